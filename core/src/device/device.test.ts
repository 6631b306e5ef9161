import fc from 'fast-check';
import { mat3, quat, vec3 } from 'gl-matrix';
import { MOTIONS, motionOf } from '../body/index.ts';
import {
  about,
  AXES,
  decompose,
  effortPct,
  maximumOf,
  motionAxis,
  multiply,
  NO_FORCE,
  offPlaneWords,
  readDeviceMessage,
  relative,
  startAt,
  takeForce,
  takeSample,
  type Axis,
  type ForceState,
  type Quaternion,
  type SensorPair,
} from './index.ts';

const axis = fc.constantFrom<Axis>('x', 'y', 'z');
const deg = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const direction = fc.tuple(deg(-1, 1), deg(-1, 1), deg(-1, 1)).filter((v) => Math.hypot(...v) > 0.1);
/** Made by the reference library, so that nothing of ours goes into what ours is held against. */
const random = fc.tuple(direction, deg(-179, 179)).map(([v, angle]) => {
  const unit = vec3.normalize(vec3.create(), v);
  return quat.setAxisAngle(quat.create(), unit, (angle * Math.PI) / 180);
});
const ours = ([x, y, z, w]: ArrayLike<number> & Iterable<number>): Quaternion => ({ w: w!, x: x!, y: y!, z: z! });
// The library keeps single precision.
const PLACES = 3;

describe('against a general 3-D library (gl-matrix) on random rotations', () => {
  test('multiplication and rotation of vectors agree with its matrices', () => {
    fc.assert(
      fc.property(random, random, (p, q) => {
        const product = multiply(ours(p), ours(q));
        const theirs = mat3.multiply(mat3.create(), mat3.fromQuat(mat3.create(), p), mat3.fromQuat(mat3.create(), q));
        const mine = mat3.fromQuat(mat3.create(), quat.fromValues(product.x, product.y, product.z, product.w));
        for (let i = 0; i < 9; i += 1) expect(mine[i]).toBeCloseTo(theirs[i]!, PLACES);
      }),
    );
  });

  test('a twist in the plane and then a swing out of it are found again', () => {
    fc.assert(
      fc.property(axis, deg(-175, 175), deg(0, 85), deg(0, 360), (about_, twist, swing, around) => {
        const n = AXES[about_];
        const others = (['x', 'y', 'z'] as const).filter((each) => each !== about_).map((each) => AXES[each]);
        const out = vec3.fromValues(
          ...(others[0]!.map(
            (part, i) => part * Math.cos((around * Math.PI) / 180) + others[1]![i]! * Math.sin((around * Math.PI) / 180),
          ) as [number, number, number]),
        );
        const made = quat.multiply(
          quat.create(),
          quat.setAxisAngle(quat.create(), out, (swing * Math.PI) / 180),
          quat.setAxisAngle(quat.create(), [...n], (twist * Math.PI) / 180),
        );
        const { inPlane, offPlane, off } = decompose(ours(made), about_);
        expect(Math.cos(((inPlane - twist) * Math.PI) / 180)).toBeCloseTo(1, 5);
        expect(Math.abs(offPlane - swing)).toBeLessThan(0.1);
        expect(off[about_]).toBe(0);
        expect(Math.hypot(off.x, off.y, off.z)).toBeCloseTo(offPlane, 6);
      }),
    );
  });

  test('how the moving sensor was strapped on and how the athlete lies drop out', () => {
    fc.assert(
      fc.property(random, random, axis, deg(-120, 120), (room, strapped, about_, angle) => {
        // The still sensor's axes are the motion's; the moving one sits on its segment at any attitude.
        const turned = quat.setAxisAngle(quat.create(), [...AXES[about_]], (angle * Math.PI) / 180);
        const pair = (rotation: quat): SensorPair => ({
          still: ours(room),
          moving: ours(quat.multiply(quat.create(), quat.multiply(quat.create(), room, rotation), strapped)),
        });
        const { inPlane, offPlane } = decompose(relative(pair(turned), pair(quat.create())), about_);
        expect(Math.cos(((inPlane - angle) * Math.PI) / 180)).toBeCloseTo(1, 5);
        expect(offPlane).toBeLessThan(0.15);
      }),
    );
  });
});

test('the twist is the rotation about the axis that comes closest to the whole', () => {
  fc.assert(
    fc.property(random, axis, deg(-180, 180), (q, about_, other) => {
      const { inPlane } = decompose(ours(q), about_);
      const left = (angle: number) => Math.abs(multiply(ours(q), about(AXES[about_], -angle)).w);
      expect(left(inPlane)).toBeGreaterThanOrEqual(left(other) - 1e-6);
    }),
  );
});

test('every angle has a plane, no distance has one; off-plane words name what moved', () => {
  for (const motion of MOTIONS) expect([motion.id, motionAxis(motion) === null]).toEqual([motion.id, motion.unit === 'cm']);
  expect([
    motionAxis(motionOf('straight-leg-raise')),
    motionAxis(motionOf('hip-abduction')),
    motionAxis(motionOf('hip-internal-rotation')),
    motionAxis(motionOf('neck-rotation')),
  ]).toEqual(['y', 'z', 'x', 'x']);
  expect(offPlaneWords({ joint: 'neck' }, { inPlane: 30, offPlane: 12.4, off: { x: -12, y: 3, z: 0 } })).toBe('nose has turned 12°');
  expect(offPlaneWords({ joint: 'knee' }, { inPlane: 30, offPlane: 9, off: { x: 9, y: 0, z: 0 } })).toBeNull();
});

describe('a steady value', () => {
  const run = (points: readonly { tMs: number; deg: number }[], rest = 0) => {
    let state = startAt(rest);
    return points.flatMap((sample) => {
      const { state: next, taken } = takeSample(state, sample);
      state = next;
      return taken === null ? [] : [taken];
    });
  };
  const path = (...legs: readonly { to: number; ms: number }[]) => {
    const out: { tMs: number; deg: number }[] = [];
    let [tMs, at] = [0, 0];
    for (const { to, ms } of legs) {
      const from = at;
      for (let i = 20; i <= ms; i += 20) out.push({ tMs: (tMs += 20), deg: (at = from + ((to - from) * i) / ms) });
    }
    return out;
  };

  test('is taken once for each hold, and never on the way', () => {
    const taken = run(
      path({ to: 62, ms: 2000 }, { to: 62, ms: 3000 }, { to: 5, ms: 1500 }, { to: 5, ms: 500 }, { to: 64, ms: 2000 }, { to: 64, ms: 2000 }),
    );
    expect(taken.map(Math.round)).toEqual([62, 64]);
  });
  test('rest is not a value, before the first and after it', () => {
    expect(run(path({ to: 1, ms: 4000 }))).toEqual([]);
    expect(run(path({ to: 50, ms: 1500 }, { to: 50, ms: 2000 }, { to: 2, ms: 1500 }, { to: 2, ms: 4000 })).map(Math.round)).toEqual([50]);
  });
  test('a slow creep is not steady; a hold shorter than the span is not either', () => {
    expect(run(path({ to: 40, ms: 20_000 }))).toEqual([]);
    expect(run(path({ to: 40, ms: 1000 }, { to: 40, ms: 900 }, { to: 0, ms: 1000 }))).toEqual([]);
  });
  test('a dropout in the middle of a hold begins it again', () => {
    const held = path({ to: 50, ms: 1000 }, { to: 50, ms: 1100 });
    const later = held.slice(-40).map((each) => ({ ...each, tMs: each.tMs + 5000 }));
    expect(run([...held, ...later])).toEqual([]);
    expect(run([...held, ...later, ...later.map((each) => ({ ...each, tMs: each.tMs + 820 }))]).map(Math.round)).toEqual([50]);
  });
  test('noise of half a degree does not hide a hold, and the mean is its middle', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 140 }), fc.array(deg(-0.8, 0.8), { minLength: 160, maxLength: 160 }), (to, noise) => {
        const points = path({ to, ms: 1500 }, { to, ms: 3000 }).map((each, i) => ({
          ...each,
          deg: each.deg + (noise[i % noise.length] ?? 0),
        }));
        const taken = run(points);
        expect(taken.length).toBe(1);
        expect(Math.abs(taken[0]! - to)).toBeLessThan(1.2);
      }),
    );
  });
});

describe('force', () => {
  const feed = (forces: readonly number[], from: ForceState = NO_FORCE, at = 0): ForceState =>
    forces.reduce((state, n, i) => takeForce(state, { tMs: at + i * 20, n }), from);
  const press = (peak: number, ms: number) => [
    ...Array<number>(10).fill(0),
    ...Array<number>(Math.round(ms / 20)).fill(peak),
    ...Array<number>(10).fill(0),
  ];

  test('the best of three counts; percent follows', () => {
    const { presses } = feed([...press(180, 2000), ...press(220, 2000), ...press(200, 2000)]);
    expect(presses.map(Math.round)).toEqual([180, 220, 200]);
    expect(effortPct(55, maximumOf(presses)!)).toBeCloseTo(25, 6);
    expect(maximumOf([])).toBeNull();
    expect(() => effortPct(10, 0)).toThrow(RangeError);
  });
  test('a knock is not a press', () => expect(feed(press(400, 80)).presses).toEqual([]));
  test('a press that a dropout cuts off is not counted', () => {
    const cut = feed([...Array<number>(10).fill(0), ...Array<number>(60).fill(200)]);
    expect(feed(Array<number>(30).fill(0), cut, 9000).presses).toEqual([]);
  });
  test('no press is ever larger than what was pressed', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 600 }), { minLength: 5, maxLength: 400 }), (forces) => {
        for (const each of feed(forces).presses) expect(each).toBeLessThanOrEqual(Math.max(...forces));
      }),
    );
  });
});

describe('what comes from a device', () => {
  const orientation = { type: 'orientation', t: 20, seq: 1, a: [1, 0, 0, 0], b: [0, 1, 0, 0], battery: 0.9, button: false };
  test('is taken when it is whole', () => {
    expect(readDeviceMessage(JSON.stringify(orientation))).toEqual(orientation);
    expect(readDeviceMessage(JSON.stringify({ type: 'hello', protocol: 1, device: 'force-gauge', name: 'Gauge', rate: 50 }))?.type).toBe(
      'hello',
    );
  });
  test.each([
    ['not JSON'],
    ['null'],
    ['{"type":"hello","protocol":2}'],
    [JSON.stringify({ ...orientation, a: [0, 0, 0, 0] })],
    [JSON.stringify({ ...orientation, b: [1, 0, 0] })],
    [JSON.stringify({ ...orientation, t: 'now' })],
    ['{"type":"elsewhere"}'],
    ['7'],
  ])('is passed over otherwise: %s', (text) => expect(readDeviceMessage(text)).toBeNull());
});
