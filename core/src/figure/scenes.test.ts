import { ENTRIES, entryScene } from '../catalogue/index.ts';
import { MOTIONS } from '../body/index.ts';
import { cameraFor, drawScene, jointsAt, motionScene, sceneBody, type Drawing, type Scene, type Shape } from './index.ts';
import { inside, toRing } from '../testing/rings.ts';
import { tableLine } from './furniture.ts';
import { handOnPage } from './hands.ts';
import { bodyParts } from './parts.ts';
import { flipPath } from './mirror.ts';
import { pointsIn } from './path.ts';
import { withoutLoops } from './skin.ts';
import type { Pt } from './space.ts';

/** Every picture there is of entries: of each position that is drawn otherwise than the usual one too. */
const SCENES = ENTRIES.flatMap((entry) => {
  const drawn = new Map<Scene, string>();
  for (const position of entry.positions) {
    const scene = entryScene(entry, position);
    if (!drawn.has(scene)) drawn.set(scene, position === entry.positions[0] ? entry.id : `${entry.id}, ${position}`);
  }
  return [...drawn].map(([scene, name]) => [name, scene] as const);
});
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

test('on its way a picture keeps its frame, so that it neither zooms nor wanders', () => {
  for (const [id, scene] of SCENES.filter(([, each]) => each.start)) {
    const boxes = [0, 0.3, 0.7, 1].flatMap((share) =>
      [true, false].map((presses) => JSON.stringify(drawScene(scene, { size: 200, share, side: 'left', presses }).box)),
    );
    expect([id, new Set(boxes).size]).toEqual([id, 1]);
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
