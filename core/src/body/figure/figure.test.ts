import fc from 'fast-check';
import { FIGURE_TEMPLATES, MOTIONS, motionOf, poseMotion, type Motion } from '../index.ts';

const pose = (motion: Motion, left: number, right = left) =>
  poseMotion(motion, { values: motion.sides.length === 1 ? { midline: left } : { left, right }, band: { low: left, high: right } });
const far = (motion: Motion, value: number) =>
  pose(motion, value).segments.find((each) => each.id === motion.figure.moves && each.side !== 'right')!;

test.each(MOTIONS)('$id: its template exists, moves something, and every unit of the value turns it by the same angle', (motion) => {
  const template = FIGURE_TEMPLATES.get(motion.figure.template)!;
  const ids = template.segments.map((each) => each.id);
  expect(ids).toContain(motion.figure.moves);
  for (const id of Object.keys(motion.figure.set ?? {})) expect(ids).toContain(id);
  const visible = template.segments.find((each) => each.id === motion.figure.moves)!;
  const id = visible.hidden ? template.segments.find((each) => each.on === visible.id)!.id : visible.id;
  const degAt = (value: number) => pose(motion, value).segments.find((each) => each.id === id && each.side !== 'right')!.deg;
  const { min, max } = motion.fan;
  const step = (motion.figure.degPerUnit ?? 1) * motion.figure.turn;
  expect(degAt(max) - degAt(min)).toBeCloseTo(step * (max - min), 6);
});

test('segments hang together and keep their length, whatever the value', () => {
  fc.assert(
    fc.property(fc.constantFrom(...MOTIONS), fc.double({ min: 0, max: 1, noNaN: true }), (motion, share) => {
      const value = motion.possible.min + share * (motion.possible.max - motion.possible.min);
      const template = FIGURE_TEMPLATES.get(motion.figure.template)!;
      for (const made of pose(motion, value).segments) {
        const { length } = template.segments.find((each) => each.id === made.id)!;
        expect(Math.hypot(made.to.x - made.from.x, made.to.y - made.from.y)).toBeCloseTo(length, 6);
      }
    }),
  );
});

test('mirrored sides reflect each other at equal values, in every template with two of everything', () => {
  for (const motion of MOTIONS.filter((each) => FIGURE_TEMPLATES.get(each.figure.template)!.mirrored && each.sides.length === 2)) {
    const value = motion.fan.min + 0.4 * (motion.fan.max - motion.fan.min);
    const { segments } = pose(motion, value);
    for (const left of segments.filter((each) => each.side === 'left' && each.moving)) {
      const right = segments.find(
        (each) =>
          each.side === 'right' && each.id === left.id && Math.abs(each.to.x + left.to.x) < 1e-6 && Math.abs(each.to.y - left.to.y) < 1e-6,
      );
      expect([motion.id, left.id, right !== undefined]).toEqual([motion.id, left.id, true]);
    }
  }
});

test('the fan of the reference ends where the limb would be', () => {
  for (const motion of MOTIONS) {
    const { fans, segments } = poseMotion(motion, {
      values: motion.sides.length === 1 ? { midline: motion.fan.max } : { left: motion.fan.max, right: motion.fan.max },
      band: { low: motion.fan.min, high: motion.fan.max },
    });
    const moved = segments.find((each) => each.id === motion.figure.moves && each.side !== 'right');
    if (moved) expect([motion.id, (((fans[0]!.toDeg - moved.deg) % 360) + 360) % 360]).toEqual([motion.id, expect.closeTo(0, 6)]);
  }
});

describe('common practice: where limbs end up', () => {
  test.each([
    ['straight-leg-raise', 90, 'up', 24.5],
    ['shoulder-flexion', 90, 'up', 18.5],
    ['hip-extension-knee-bent', 20, 'up', 24.5 * Math.sin(Math.PI / 9)],
  ])('%s at %d° rises', (id, value, _, height) => {
    const segment = far(motionOf(id), value);
    expect(segment.to.y - segment.from.y).toBeCloseTo(height, 3);
  });

  test('turning in carries the foot outward, turning out carries it inward, on both sides', () => {
    for (const [id, outward] of [
      ['hip-internal-rotation', 1],
      ['hip-external-rotation', -1],
      ['hip-internal-rotation-seated', 1],
      ['hip-external-rotation-seated', -1],
    ] as const) {
      const { segments } = pose(motionOf(id), 30);
      for (const [side, sign] of [
        ['left', -1],
        ['right', 1],
      ] as const) {
        const shank = segments.find((each) => each.id === 'shank' && each.side === side)!;
        expect([id, side, Math.sign(shank.to.x - shank.from.x)]).toEqual([id, side, sign * outward]);
      }
    }
  });

  test('the arm overhead points away from the feet; the arm at the side toward them', () => {
    expect(far(motionOf('shoulder-flexion'), 180).to.x).toBeLessThan(far(motionOf('shoulder-flexion'), 0).to.x);
  });
});
