import { ENTRIES, entryScene } from '../catalogue/index.ts';
import { MOTIONS } from '../body/index.ts';
import { cameraFor, drawMotion, drawScene, jointsAt, motionScene, sceneBody, type Drawing, type Scene, type Shape } from './index.ts';
import { tableLine } from './furniture.ts';
import { handOnPage } from './hands.ts';
import { bodyParts } from './parts.ts';
import { flipPath } from './mirror.ts';
import { pointsIn } from './path.ts';
import { withoutLoops } from './skin.ts';
import type { Pt } from './space.ts';

const SCENES = ENTRIES.map((entry) => [entry.id, entryScene(entry)] as const);
const lateral = ({ view }: Scene) => view === 'side' || view === 'inside';
/** All rings of a body's skin on the page. */
function rings(scene: Scene, share = 1): (readonly Pt[])[] {
  const camera = cameraFor(scene.posture, scene.view);
  const body = sceneBody(scene, share);
  const parts = bodyParts(camera, body, { samples: 11, table: null, plain: false, lateral: lateral(scene), legs: true, body: true });
  return [
    ...parts.trunk.map((each) => each.ring),
    ...parts.neck.map((each) => each.ring),
    parts.head.outline,
    ...parts.head.bits,
    ...(['worked', 'other'] as const).flatMap((side) => [
      ...parts.leg(side, parts.joined && side === 'worked').rings,
      ...parts.arm(side).rings,
      ...parts.arm(side).hand.flat(),
    ]),
  ];
}
const points = (drawing: Drawing, keep: (shape: Shape) => boolean): Pt[] => drawing.shapes.filter(keep).flatMap(({ d }) => pointsIn(d));
const inside = (p: Pt, ring: readonly Pt[]): boolean => {
  let odd = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [a, b] = [ring[i]!, ring[j]!];
    if (a[1] > p[1] !== b[1] > p[1] && p[0] < ((b[0] - a[0]) * (p[1] - a[1])) / (b[1] - a[1]) + a[0]) odd = !odd;
  }
  return odd;
};
const toRing = (p: Pt, ring: readonly Pt[]): number => {
  let best = Infinity;
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const t = Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)));
    best = Math.min(best, Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy));
  }
  return best;
};

test.each(SCENES)('%s: every hand touches the skin: on its edge or on it, within a centimetre', (_id, scene) => {
  const skins = rings(scene);
  const camera = cameraFor(scene.posture, scene.view);
  const body = sceneBody(scene, 1);
  for (const use of scene.hands ?? []) {
    const { touch } = handOnPage(camera, body, use);
    const apart = skins.some((ring) => inside(touch, ring)) ? 0 : Math.min(...skins.map((ring) => toRing(touch, ring)));
    expect([use.at.join(' '), apart <= 1 ? 'touches' : apart]).toEqual([use.at.join(' '), 'touches']);
  }
});

test('a hand never reaches through the table: no further down than its padding', () => {
  const PADDING_CM = 7;
  const through = SCENES.flatMap(([id, scene]) => {
    if ((scene.on ?? 'table') !== 'table' || scene.posture === 'upright') return [];
    const camera = cameraFor(scene.posture, scene.view);
    if (camera.plan || scene.view !== 'side') return [];
    const body = sceneBody(scene, 1);
    const edge = scene.edge ? handOnPage(camera, body, { contact: 'palm', at: scene.edge }).touch[0] : null;
    const [from, to] = edge === null ? [-100, 118] : /head|neck|chest/.test(scene.edge![0]) ? [edge, 118] : [-100, edge];
    return (scene.hands ?? []).flatMap((use) => {
      const { picture, seen } = handOnPage(camera, body, use);
      // A hand that is seen flat lies on this side of the table.
      if (seen === 'flat') return [];
      const low = Math.max(
        ...picture.layers
          .flat(2)
          .filter((p) => p[0] > from && p[0] < to)
          .map((p) => p[1] - tableLine(scene)),
        -99,
      );
      return low > PADDING_CM ? [`${id}: ${use.contact} at ${use.at.join(' ')}, ${low.toFixed(1)} cm`] : [];
    });
  });
  expect(through).toEqual([]);
});

test.each(SCENES)(
  '%s: everything that is drawn of body and hands lies in the picture, or is cut where the picture is of a part',
  (_id, scene) => {
    for (const size of [48, 96, 200, 400]) {
      const drawing = drawScene(scene, { size });
      const { x, y, width, height } = drawing.box;
      expect(width / height).toBeCloseTo(1.25, 1);
      const tones = scene.frame ? ['hand', 'hand-hold'] : ['skin', 'skin-far', 'hand', 'hand-hold', 'hair', 'muscle', 'move', 'athlete'];
      const drawn = points(drawing, (shape) => tones.includes(shape.fill ?? ''));
      const beyond = drawn.filter((p) => p[0] < x - 0.5 || p[0] > x + width + 0.5 || p[1] < y - 0.5 || p[1] > y + height + 0.5);
      expect([size, beyond]).toEqual([size, []]);
      expect(drawing.shapes.map(({ d }) => d).join('')).not.toMatch(/NaN|undefined|Infinity/);
    }
  },
);

test('no outline crosses itself: entries on their whole way, motions over all that is possible', () => {
  const bad: string[] = [];
  const look = (id: string, scene: Scene, share: number) =>
    rings(scene, share).forEach((ring, i) => {
      if (withoutLoops(ring).length !== ring.length) bad.push(`${id} at ${share}, ring ${i}`);
    });
  for (const [id, scene] of SCENES) for (const share of [0, 0.25, 0.5, 0.75, 1]) look(id, scene, share);
  for (const motion of MOTIONS) {
    const { scene, moves } = motionScene(motion.id);
    for (let step = 0; step <= 6; step++) {
      const value = motion.possible.min + ((motion.possible.max - motion.possible.min) * step) / 6;
      const turned = Object.fromEntries(Object.entries(moves).map(([key, [zero, perUnit]]) => [key, zero + perUnit * value]));
      look(`${motion.id} ${value}`, { ...scene, joints: { ...scene.joints, ...turned } }, 1);
    }
  }
  expect(bad).toEqual([]);
});

test('no two entries have the same picture: neither large nor as small as a list has it', () => {
  for (const size of [400, 200, 96, 48]) {
    const seen = new Map<string, string>();
    const same: string[] = [];
    for (const [id, scene] of SCENES) {
      const key = JSON.stringify(drawScene(scene, { size }).shapes);
      if (seen.has(key)) same.push(`${size}: ${seen.get(key)} and ${id}`);
      seen.set(key, id);
    }
    expect(same).toEqual([]);
  }
});

test('the picture of the other side is the mirror image, to the last point', () => {
  for (const [, scene] of SCENES) {
    const [left, right] = [drawScene(scene, { size: 200, side: 'left' }), drawScene(scene, { size: 200, side: 'right' })];
    const plan = cameraFor(scene.posture, scene.view).plan && scene.posture !== 'upright';
    expect(left.shapes.map(({ d }) => flipPath(d, plan))).toEqual(right.shapes.map(({ d }) => flipPath(flipPath(d, plan), plan)));
    expect(left.box.width).toBe(right.box.width);
  }
});

test('at the table the figure goes from the set-up to the edge: what moves is elsewhere, and never leaves its way', () => {
  for (const [id, scene] of SCENES.filter(([, each]) => each.start)) {
    const [a, b] = [sceneBody(scene, 0), sceneBody(scene, 1)];
    const far = Object.keys(a.bones) as (keyof typeof a.bones)[];
    const moved = Math.max(...far.map((bone) => Math.hypot(...[0, 1, 2].map((i) => a.bones[bone].b[i]! - b.bones[bone].b[i]!))));
    const turned = Math.max(...far.map((bone) => Math.hypot(...[0, 1, 2].map((i) => a.bones[bone].front[i]! - b.bones[bone].front[i]!))));
    const toes = Math.abs((scene.joints.toes ?? 0) - (scene.start!.toes ?? scene.joints.toes ?? 0));
    expect([id, moved > 1 || turned > 0.1 || toes > 5]).toEqual([id, true]);
    const half = jointsAt(scene, 0.5);
    for (const [key, to] of Object.entries(scene.joints)) {
      const from = (scene.start as Record<string, number>)[key] ?? to;
      expect(half[key as keyof typeof half]).toBeCloseTo((from + to) / 2, 9);
    }
  }
});

test('what stays where it is shows hands or marks: nobody is drawn for nothing', () => {
  for (const [id, scene] of SCENES)
    expect([id, Boolean(scene.start) || (scene.hands ?? []).length + (scene.marks ?? []).length > 0]).toEqual([id, true]);
});

test('standing, the feet are on the floor at every share of the way', () => {
  for (const [id, scene] of SCENES.filter(([, each]) => each.posture === 'upright' && each.on === 'floor')) {
    const lowest = (share: number) =>
      Math.max(
        ...rings(scene, share)
          .flat()
          .map((p) => p[1]),
      );
    const drawn = drawScene(scene, { size: 200 });
    const floor = Math.min(...points({ ...drawn, shapes: drawn.shapes.slice(0, 1) }, () => true).map((p) => p[1]));
    for (const share of [0, 0.5, 1]) expect([id, Math.abs(lowest(share) - floor) < (scene.anchor ? 3.2 : 2)]).toEqual([id, true]);
  }
});

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
