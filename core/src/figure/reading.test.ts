import { MOTIONS } from '../body/index.ts';
import { drawMotion, motionScene, sceneBody, type Drawing } from './index.ts';
import { inside, toRing } from '../testing/rings.ts';
import { pointsIn } from './path.ts';
import type { Pt } from './space.ts';

test.each(MOTIONS)('$id: its needle, wedge and body are drawn at both ends of what is possible, on both sides', (motion) => {
  const { min, max } = motion.fan;
  for (const size of [48, 150, 480]) {
    const values = motion.sides.length === 1 ? { midline: max } : { left: min, right: max };
    const drawing = drawMotion(motion, { values, band: { low: min, high: max }, short: motion.sides.slice(0, 1), size });
    expect(drawing.shapes.map(({ d }) => d).join('')).not.toMatch(/NaN|undefined|Infinity/);
    expect(drawing.shapes.some((shape) => shape.line === 'low')).toBe(true);
    const letters = drawing.shapes.flatMap((shape) => (shape.text ? [shape.text.said] : [])).sort();
    if (size >= 150) expect([motion.id, letters]).toEqual([motion.id, motion.sides.length === 1 ? [] : ['L', 'R']]);
  }
});

test('a motion without values shows its way: a ghost of the start and an arrow', () => {
  const ids = MOTIONS.filter((motion) => {
    const drawing = drawMotion(motion, { values: {}, size: 200 });
    return !drawing.shapes.some((shape) => shape.fill === 'move' || shape.fill === 'athlete');
  }).map((motion) => motion.id);
  expect(ids).toEqual([]);
  expect(motionScene('straight-leg-raise').scene.posture).toBe('supine');
});

test('about to be read, left and right are each other’s mirror image, and one of them is the picture without a side', () => {
  for (const motion of MOTIONS.filter(({ sides }) => sides.length === 2)) {
    const [plain, left, right] = [undefined, 'left', 'right'].map((toRead) =>
      drawMotion(motion, { values: {}, size: 200, ...(toRead ? { toRead: toRead as 'left' } : {}) }),
    ) as [Drawing, Drawing, Drawing];
    const paths = ({ shapes }: Drawing) => shapes.map(({ d }) => d).join(' ');
    expect([motion.id, paths(left) === paths(right)]).toEqual([motion.id, false]);
    expect([motion.id, [paths(left), paths(right)].includes(paths(plain))]).toEqual([motion.id, true]);
    // As large as one another, about one axis or the other.
    expect([left.box.width, left.box.height].map(Math.round)).toEqual([right.box.width, right.box.height].map(Math.round));
  }
});

/** Needles of a drawing: the lines of a tone, as two points. */
const needle = (drawing: Drawing, tone: string): readonly [Pt, Pt] => {
  const [from, to] = pointsIn(drawing.shapes.find((shape) => shape.line === tone && !shape.fill)!.d);
  return [from!, to!];
};
/** Degrees a needle stands above the table, seen from the side. */
const risen = ([from, to]: readonly [Pt, Pt], towardHead: 1 | -1) =>
  (Math.atan2(from[1] - to[1], towardHead * (to[0] - from[0])) * 180) / Math.PI;

test.each([
  ['straight-leg-raise', 1],
  ['hip-flexion', 1],
  ['hip-extension-knee-straight', 1],
] as const)('%s: seen from the side, each needle stands at its reading above the table', (id, way) => {
  const motion = MOTIONS.find((each) => each.id === id)!;
  for (const share of [0.1, 0.5, 0.9]) {
    const value = motion.fan.min + share * (motion.fan.max - motion.fan.min);
    const drawing = drawMotion(motion, { values: { left: value, right: value / 2 }, size: 200 });
    expect(risen(needle(drawing, 'left'), way)).toBeCloseTo(value, 0);
    expect(risen(needle(drawing, 'right'), way)).toBeCloseTo(value / 2, 0);
  }
});

test('left is the athlete’s left: lying on the back seen from above with the head at the left, it is toward the top of the page', () => {
  const abduction = MOTIONS.find(({ id }) => id === 'hip-abduction')!;
  const drawing = drawMotion(abduction, { values: { left: 30, right: 50 }, size: 200 });
  expect(needle(drawing, 'left')[1][1]).toBeLessThan(needle(drawing, 'right')[1][1]);
  // Somebody who faces the viewer has their left at the right of the page.
  const seated = MOTIONS.find(({ id }) => id === 'hip-internal-rotation-seated')!;
  const front = drawMotion(seated, { values: { left: 10, right: 10 }, size: 200 });
  expect(needle(front, 'left')[0][0]).toBeGreaterThan(needle(front, 'right')[0][0]);
  const turn = MOTIONS.find(({ id }) => id === 'neck-side-bend')!;
  const bent = drawMotion(turn, { values: { left: 30, right: 30 }, size: 200 });
  expect(needle(bent, 'left')[1][0]).toBeGreaterThan(needle(bent, 'right')[1][0]);
});

test('the wedge of the reference holds the needle of a value inside it, and not that of one outside', () => {
  for (const motion of MOTIONS.filter(({ unit, sides }) => unit === 'deg' && sides.length === 2)) {
    const at = (share: number) => motion.fan.min + share * (motion.fan.max - motion.fan.min);
    const drawing = drawMotion(motion, { values: { right: at(0.5) }, band: { low: at(0.3), high: at(0.7) }, size: 200 });
    const wedge = pointsIn(drawing.shapes.find((shape) => shape.fill === 'band')!.d);
    const [from, to] = needle(drawing, 'right');
    // A little before its end, where the wedge is as wide as the needle's way there.
    const p: Pt = [from[0] + (to[0] - from[0]) * 0.8, from[1] + (to[1] - from[1]) * 0.8];
    const seen = Math.hypot(to[0] - from[0], to[1] - from[1]) > 4;
    if (seen) expect([motion.id, inside(p, wedge) || toRing(p, wedge) < 0.6]).toEqual([motion.id, true]);
  }
});

test('seen from the inside, the limb the picture is about stands alone and in full tone', () => {
  for (const motion of MOTIONS.filter(({ id }) => motionScene(id).scene.view === 'inside')) {
    const drawing = drawMotion(motion, { values: { right: motion.fan.max }, size: 200 });
    expect([motion.id, drawing.shapes.some((shape) => shape.fill === 'skin-far')]).toEqual([motion.id, false]);
    // What turns is the foot that is drawn: at the two ends of its range the skin is elsewhere.
    const skin = (value: number) =>
      drawMotion(motion, { values: { right: value }, size: 200 }).shapes.find((shape) => shape.fill === 'skin')!.d;
    expect([motion.id, skin(motion.fan.max) !== skin(motion.fan.min)]).toEqual([motion.id, true]);
  }
});

test('whatever a value turns is seen to turn: the body itself, not only its needle, in every motion', () => {
  for (const motion of MOTIONS) {
    const skin = (value: number) =>
      drawMotion(motion, { values: { [motion.sides.at(-1)!]: value }, size: 200 })
        .shapes.filter((shape) => shape.fill === 'skin' || shape.fill === 'hair')
        .map(({ d }) => d)
        .join();
    expect([motion.id, skin(motion.fan.max) !== skin(motion.fan.min)]).toEqual([motion.id, true]);
  }
});

test('common practice: lying on the arm, turning in takes the hand from upright down toward the feet and the table', () => {
  const { scene, moves } = motionScene('shoulder-internal-rotation-lying');
  const handAt = (value: number): Pt => {
    const joints = {
      ...scene.joints,
      ...Object.fromEntries(Object.entries(moves).map(([key, [zero, perUnit]]) => [key, zero + perUnit * value])),
    };
    const { bones } = sceneBody({ ...scene, joints }, 1);
    const way = bones['other.forearm'];
    return [way.b[0] - way.a[0], way.b[1] - way.a[1]];
  };
  // The worked body's left is underneath: up against gravity is minus x; toward the feet is minus y.
  const [upright, turned] = [handAt(0), handAt(70)];
  expect(upright[0]).toBeLessThan(-20);
  expect(turned[0]).toBeGreaterThan(-12);
  expect(turned[1]).toBeLessThan(-20);
});

describe('common practice: where limbs end up', () => {
  const bonesAt = (id: string, value: number) => {
    const { scene, moves } = motionScene(id);
    const turned = Object.fromEntries(Object.entries(moves).map(([key, [zero, perUnit]]) => [key, zero + perUnit * value]));
    return sceneBody({ ...scene, joints: { ...scene.joints, ...turned } }, 1);
  };
  // The worked side is the right one: outward is minus x, toward the head plus y, forward plus z.
  test.each([
    ['hip-internal-rotation', 30, 'foot', 0, -1],
    ['hip-external-rotation', 30, 'foot', 0, 1],
    ['hip-internal-rotation-seated', 30, 'foot', 0, -1],
    ['hip-external-rotation-seated', 30, 'foot', 0, 1],
    ['hip-abduction', 30, 'foot', 0, -1],
    ['hip-adduction', 20, 'foot', 0, 1],
    ['shoulder-external-rotation', 80, 'hand', 1, 1],
    ['shoulder-internal-rotation', 70, 'hand', 1, -1],
    ['shoulder-external-rotation-side', 50, 'hand', 0, -1],
    ['shoulder-flexion', 170, 'hand', 1, 1],
    ['shoulder-extension', 50, 'hand', 2, -1],
    ['shoulder-horizontal-adduction', 40, 'hand', 0, 1],
    ['neck-rotation', 60, 'nose', 0, -1],
    ['neck-side-bend', 30, 'head', 0, -1],
    ['trunk-side-bend', 30, 'head', 0, -1],
    ['neck-flexion', 50, 'head', 2, 1],
    ['neck-extension', 50, 'head', 2, -1],
  ] as const)('%s at %d: the %s goes the way it is called', (id, value, what, axis, sign) => {
    const rest = bonesAt(id, id.startsWith('shoulder') && id !== 'shoulder-horizontal-adduction' ? 20 : 0);
    const there = bonesAt(id, value);
    const of = ({ bones }: typeof there) => (what === 'nose' ? bones.head.frame.f : bones[what].b);
    expect(Math.sign(of(there)[axis] - of(rest)[axis])).toBe(sign);
  });

  test('an ankle that bends up brings the toes to the shin; a supinated hand has its thumb outward', () => {
    const far = (value: number) => bonesAt('ankle-dorsiflexion', value).bones.foot.b[1];
    expect(far(20)).toBeGreaterThan(far(0));
    const palm = bonesAt('forearm-supination', 85).bones.hand.frame.f;
    expect(palm[1]).toBeGreaterThan(0.9);
    expect(bonesAt('forearm-pronation', 85).bones.hand.frame.f[1]).toBeLessThan(-0.9);
  });
});

test.each(['hip-flexion', 'straight-leg-raise', 'shoulder-flexion'])(
  '%s: what a sport asks for is marked where a reading of that value would stand',
  (id) => {
    const motion = MOTIONS.find((each) => each.id === id)!;
    const [value, asked] = [
      motion.fan.min + 0.4 * (motion.fan.max - motion.fan.min),
      motion.fan.min + 0.8 * (motion.fan.max - motion.fan.min),
    ];
    const marked = drawMotion(motion, { values: { right: value }, asked: { right: asked, left: asked }, size: 200 });
    const there = needle(drawMotion(motion, { values: { right: asked }, size: 200 }), 'right');
    const corners = pointsIn(marked.shapes.find((shape) => shape.name === 'asked right')!.d);
    const [x, y] = [0, 1].map((i) => corners.slice(0, 4).reduce((sum, corner) => sum + corner[i]!, 0) / 4);
    const [axis] = needle(marked, 'right');
    const direction = (from: Pt, to: Pt) => (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
    expect(direction(axis, [x!, y!])).toBeCloseTo(direction(...there), 0);
    // A side without a reading has no mark, and neither has a small picture.
    expect(marked.shapes.filter((shape) => shape.name?.startsWith('asked'))).toHaveLength(1);
    expect(drawMotion(motion, { values: { right: value }, asked: { right: asked }, size: 48 }).shapes.some((shape) => shape.name)).toBe(
      drawMotion(motion, { values: { right: value }, size: 48 }).shapes.some((shape) => shape.name),
    );
  },
);
