import fc from 'fast-check';
import { MOTIONS } from '../body/index.ts';
import {
  about,
  AXES,
  decompose,
  motionAxis,
  multiply,
  normalise,
  OFF_PLANE_WARN_DEG,
  offPlaneWords,
  readDeviceMessage,
  relative,
  turnDeg,
  type Axis,
  type Quaternion,
} from './index.ts';

const axis = fc.constantFrom<Axis>('x', 'y', 'z');
const angle = fc.double({ min: -170, max: 170, noNaN: true });
const close = (a: Quaternion, b: Quaternion) => Math.abs(a.w * b.w + a.x * b.x + a.y * b.y + a.z * b.z);

describe('rotations', () => {
  test('about one axis, angles add', () =>
    fc.assert(
      fc.property(axis, angle, angle, (n, a, b) =>
        expect(close(multiply(about(AXES[n], a), about(AXES[n], b)), about(AXES[n], a + b))).toBeCloseTo(1, 9),
      ),
    ));
  test('a rotation and its way back leave everything where it was', () =>
    fc.assert(
      fc.property(axis, angle, (n, a) => {
        const q = about(AXES[n], a);
        expect(turnDeg(multiply(q, { w: q.w, x: -q.x, y: -q.y, z: -q.z }))).toBeLessThan(1e-5);
        expect(turnDeg(q)).toBeCloseTo(Math.abs(a), 6);
      }),
    ));
  test('the length of what a device sends does not matter; nonsense does', () => {
    expect(normalise({ w: 2, x: 0, y: 0, z: 0 })).toEqual({ w: 1, x: 0, y: 0, z: 0 });
    for (const bad of [
      { w: 0, x: 0, y: 0, z: 0 },
      { w: NaN, x: 0, y: 0, z: 1 },
      { w: Infinity, x: 0, y: 0, z: 0 },
    ])
      expect(() => normalise(bad)).toThrow(RangeError);
  });
});

describe('the angle in the plane', () => {
  test('one axis only: all of it, and nothing off the plane', () =>
    fc.assert(
      fc.property(axis, angle, (n, a) => {
        const { inPlane, offPlane, off } = decompose(about(AXES[n], a), n);
        expect(inPlane).toBeCloseTo(a, 6);
        expect(offPlane).toBeLessThan(1e-5);
        expect(off[n]).toBe(0);
      }),
    ));
  test('another axis only: nothing in the plane, all of it off, on its own axis and with its sign', () =>
    fc.assert(
      fc.property(axis, axis, angle, (n, m, a) => {
        fc.pre(n !== m && Math.abs(a) > 1);
        const { inPlane, offPlane, off } = decompose(about(AXES[m], a), n);
        expect(inPlane).toBeCloseTo(0, 6);
        expect(offPlane).toBeCloseTo(Math.abs(a), 5);
        expect(off[m]).toBeCloseTo(a, 5);
      }),
    ));
  test('the sign a quaternion is written with does not matter', () =>
    fc.assert(
      fc.property(axis, axis, angle, angle, (n, m, a, b) => {
        const q = multiply(about(AXES[m], b), about(AXES[n], a));
        const other = decompose({ w: -q.w, x: -q.x, y: -q.y, z: -q.z }, n);
        const one = decompose(q, n);
        expect(Math.cos(((one.inPlane - other.inPlane) * Math.PI) / 180)).toBeCloseTo(1, 9);
        expect(one.offPlane).toBeCloseTo(other.offPlane, 6);
      }),
    ));
  test('turning the athlete as a whole changes nothing', () =>
    fc.assert(
      fc.property(axis, angle, axis, angle, (n, a, roomAxis, room) => {
        const turned = about(AXES[roomAxis], room);
        const pair = (q: Quaternion) => ({ still: turned, moving: multiply(turned, q) });
        expect(decompose(relative(pair(about(AXES[n], a)), pair(about(AXES[n], 0))), n).inPlane).toBeCloseTo(a, 5);
      }),
    ));
  test('zeroed anywhere, the angle counts from there', () =>
    fc.assert(
      fc.property(axis, fc.double({ min: -80, max: 80, noNaN: true }), fc.double({ min: -80, max: 80, noNaN: true }), (n, zero, now) => {
        const at = (deg: number) => ({ still: about(AXES.z, 20), moving: multiply(about(AXES.z, 20), about(AXES[n], deg)) });
        expect(decompose(relative(at(now), at(zero)), n).inPlane).toBeCloseTo(now - zero, 5);
      }),
    ));
});

describe('what is said off the plane', () => {
  test.each([
    ['neck', 'x', 'nose has turned'],
    ['neck', 'y', 'chin has moved'],
    ['neck', 'z', 'head has tipped'],
    ['trunk', 'x', 'chest has turned'],
    ['trunk', 'z', 'trunk has leaned'],
    ['hip', 'x', 'limb has rolled'],
    ['knee', 'z', 'limb has swung out of line'],
  ] as const)('%s about %s', (joint, n, words) => {
    const off = { x: 0, y: 0, z: 0, [n]: -12.4 };
    expect(offPlaneWords({ joint }, { inPlane: 30, offPlane: 12.4, off })).toBe(`${words} 12°`);
  });
  test('only from the limit on', () => {
    for (const offPlane of [0, 5, OFF_PLANE_WARN_DEG - 0.1])
      expect(offPlaneWords({ joint: 'hip' }, { inPlane: 0, offPlane, off: { x: offPlane, y: 0, z: 0 } })).toBeNull();
    expect(
      offPlaneWords({ joint: 'hip' }, { inPlane: 0, offPlane: OFF_PLANE_WARN_DEG, off: { x: OFF_PLANE_WARN_DEG, y: 0, z: 0 } }),
    ).not.toBeNull();
  });
  test('bends bend, turns turn, what goes to the side goes to the side', () => {
    for (const motion of MOTIONS.filter((each) => each.unit === 'deg')) {
      const expected = /flexion|extension|raise|lunge/.test(motion.id) && !/rotation|abduction/.test(motion.id) ? 'y' : null;
      if (expected) expect([motion.id, motionAxis(motion)]).toEqual([motion.id, expected]);
    }
  });
});

test('whatever text comes from the port: a message of the protocol or nothing, and never a throw', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc
          .record({
            type: fc.constantFrom('hello', 'orientation', 'force', 'taken', 'refused', 'x'),
            t: fc.anything(),
            seq: fc.integer(),
            a: fc.array(fc.double()),
            n: fc.anything(),
          })
          .map((value) => {
            try {
              return JSON.stringify(value) ?? '';
            } catch {
              return '';
            }
          }),
      ),
      (text) => {
        const message = readDeviceMessage(text);
        if (message !== null) expect(['hello', 'orientation', 'force', 'taken', 'refused']).toContain(message.type);
      },
    ),
  );
});
