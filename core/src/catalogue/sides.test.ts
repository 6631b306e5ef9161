import { MOTIONS, motionOf, type Side } from '../body/index.ts';
import { sceneBody } from '../figure/index.ts';
import { doingOf, ENTRIES, entryScene, motionSide, sideSentence, workedSides } from './index.ts';

/**
 * Which way head or trunk goes while the RIGHT side is worked on, by entry and motion, written by hand from anatomy
 * (common practice): a muscle at the side of the neck or the trunk is long when the head or the trunk goes to the other side;
 * one that turns the head to the other side is long when the nose goes to its own.
 */
const WHEN_RIGHT_IS_WORKED: Readonly<Record<string, Readonly<Record<string, Side>>>> = {
  // The right upper trapezius, scalenes, levator open when the ear goes to the left shoulder.
  'neck-side-bend-supine': { 'neck-side-bend': 'left', 'neck-side-bend-supine': 'left' },
  'neck-side-bend-seated': { 'neck-side-bend': 'left' },
  'neck-side-bend-antagonist': { 'neck-side-bend': 'left' },
  // The right sternocleidomastoid turns the nose to the left, so it is long when the nose goes to the right.
  'neck-turn-supine': { 'neck-rotation': 'right', 'neck-rotation-supine': 'right' },
  // Chin to the held shoulder, head carried away from it; the levator the other way round in the turn.
  'neck-diagonal': { 'neck-rotation-bent': 'right', 'neck-side-bend': 'left', 'neck-flexion': 'midline' },
  'neck-diagonal-levator': { 'neck-rotation-bent': 'left', 'neck-side-bend': 'left', 'neck-flexion': 'midline' },
  'neck-crossed-arm-lift': { 'neck-flexion': 'midline', 'chin-to-chest': 'midline', 'neck-rotation-bent': 'left' },
  'neck-traction': { 'neck-rotation-supine': 'right' },
  'neck-traction-forearm': { 'neck-rotation-supine': 'right' },
  'neck-traction-towel': { 'neck-rotation-supine': 'right' },
  'skull-base-melt': { 'neck-rotation-bent': 'right' },
  // Pinned low on the right, the head carried to the left; the scalenes need a little turn to their own side.
  'scalene-pin-move': { 'neck-side-bend': 'left', 'neck-rotation': 'right' },
  // Nose over the far shoulder.
  'neck-pin-turn-seated': { 'neck-rotation': 'left' },
  'neck-extension-table-end': { 'neck-extension': 'midline' },
  'neck-joint-mobilization': { 'neck-rotation-supine': 'right', 'neck-side-bend-supine': 'right' },
  'upper-trap-side-lying': { 'neck-side-bend': 'left' },
  'upper-trap-supine': { 'neck-side-bend': 'left' },
  'upper-trap-prone': { 'neck-side-bend': 'left' },
  // A right first rib that gives lets the head go further to the left.
  'first-rib-reach': { 'neck-side-bend-supine': 'left' },
  'three-breath-chest-press': { 'trunk-rotation': 'right' },
  'thoracic-spring': { 'trunk-rotation-lying': 'right' },
  // The right flank and low back open when the knees go to the left; the chest is then turned to the right, seen from the pelvis.
  'trunk-rotation-supine': { 'lumbar-rotation': 'left', 'trunk-rotation': 'right' },
  'side-lying-rotation-low': { 'lumbar-rotation': 'left' },
  'side-lying-rotation-chest': { 'trunk-rotation-lying': 'right', 'trunk-rotation': 'right' },
  'side-lying-rotation-both': { 'trunk-rotation-lying': 'right', 'lumbar-rotation': 'left', 'trunk-rotation': 'right' },
  'trunk-rotation-seated': { 'trunk-rotation': 'right' },
  // The arm of the right side overhead, the trunk bent to the left.
  'side-bend-seated': { 'trunk-side-bend': 'left', 'side-bend-slide': 'left' },
  'rib-pelvis-spread': { 'side-bend-slide': 'left' },
  'quadratus-comfort': { 'side-bend-slide': 'left' },
  // The right quadratus is long with the trunk bent to the left.
  'quadratus-three-points': { 'side-bend-slide': 'left' },
  // The right shoulder lifted, the chest turned to the left.
  'trunk-rotation-chest-supine': { 'trunk-rotation-lying': 'left', 'trunk-rotation': 'left' },
  'quadratus-crossed': { 'side-bend-slide': 'left', 'trunk-side-bend': 'left' },
  'quadratus-reset': { 'side-bend-slide': 'left' },
  'low-back-rock': { 'lumbar-rotation': 'left' },
  'belly-rock': { 'lumbar-rotation': 'left' },
  'shoulder-roll': { 'trunk-rotation': 'right' },
  'sacroiliac-twist': { 'lumbar-rotation': 'left' },
  // Pinned on the right, the head carried to the left.
  'neck-thumb-stretch': { 'neck-side-bend': 'left' },
  'scalene-collarbone': { 'neck-side-bend': 'left' },
  'neck-traction-pillow': { 'neck-rotation-supine': 'right' },
  'neck-lift-seated': { 'neck-rotation': 'right' },
  // The right splenius and levator turn and bend the head to the right: they are long with the chin down and to the left.
  'splenius-reset': { 'neck-rotation-bent': 'left' },
  'levator-shoulder-up': { 'neck-rotation-bent': 'left' },
  'upper-trap-knuckles': { 'neck-side-bend': 'left' },
  'shoulder-elbow-push': { 'neck-side-bend': 'left' },
  'both-shoulders-press': { 'neck-side-bend': 'left' },
  'shoulder-top-front-hold': { 'neck-side-bend': 'left' },
  'elbow-arm-lever': { 'neck-side-bend': 'left' },
  'quadratus-side-press': { 'side-bend-slide': 'left' },
  // The right arm crosses over, the trunk turns to the left: the right line of the back opens.
  'trunk-rotation-long-sitting': { 'trunk-rotation': 'left' },
  'hip-draw-lean': { 'lumbar-rotation': 'left' },
  'shoulder-figure-eight': { 'trunk-rotation': 'right' },
  // The small rotators on the right turn the trunk to the left: they are long when it is turned to the right.
  'spine-muscles-reach-thoracic': { 'trunk-rotation-lying': 'right' },
  'spine-muscles-reach-lumbar': { 'side-bend-slide': 'left' },
  'home-mobility-line': { 'trunk-rotation': 'right' },
  'home-neck-desk': { 'neck-side-bend': 'left', 'neck-rotation': 'left' },
};
const MIRROR: Record<Side, Side> = { left: 'right', right: 'left', midline: 'midline' };

test.each(ENTRIES.map((entry) => [entry.id, entry] as const))('%s: worked side and direction agree with the anatomy', (id, entry) => {
  for (const motionId of [entry.motionId, ...entry.also]) {
    const motion = motionOf(motionId);
    const onRight = motion.sides.length === 1 ? 'midline' : motion.goes === undefined ? 'right' : WHEN_RIGHT_IS_WORKED[id]?.[motionId];
    expect([
      id,
      motionId,
      motionSide(entry, motionId, 'right'),
      motionSide(entry, motionId, 'left'),
      motionSide(entry, motionId, 'midline'),
    ]).toEqual([id, motionId, onRight, MIRROR[onRight!], 'midline']);
    for (const worked of ['left', 'right'] as const) {
      if (motion.sides.length === 2 && (entry.sides ?? motionOf(entry.motionId).sides).includes(worked))
        expect(workedSides(entry, motionId, motionSide(entry, motionId, worked))).toContain(worked);
    }
  }
});

test('every motion that has a way says so where an entry drives it, instead of leaving it to a default', () => {
  const silent = ENTRIES.flatMap((entry) =>
    [entry.motionId, ...entry.also]
      .filter((id) => motionOf(id).goes !== undefined && doingOf(entry).goes?.[id] === undefined && !(entry.sides?.length === 1))
      .map((id) => `${entry.id}: ${id}`),
  );
  expect(silent).toEqual([]);
});

test('motions of neck and trunk with two sides have a way, all others a limb', () => {
  for (const motion of MOTIONS)
    expect([motion.id, motion.goes !== undefined]).toEqual([
      motion.id,
      motion.sides.length === 2 && (motion.joint === 'neck' || motion.joint === 'trunk'),
    ]);
});

test('what goes where is said at the set-up', () => {
  const said = (id: string, side: Side) =>
    sideSentence(
      ENTRIES.find((entry) => entry.id === id)!,
      side,
    );
  expect(said('neck-side-bend-supine', 'right')).toBe('right side lengthens: head bends left');
  expect(said('neck-turn-supine', 'left')).toBe('left side lengthens: head turns left');
  expect(said('side-lying-rotation-low', 'right')).toBe('right side lengthens: knees go left');
  expect(said('upper-trap-supine', 'left')).toBe('left side is worked on; shown by head bending right');
  expect(said('hamstring-heel-on-shoulder', 'left')).toBeNull();
});

test('figures are held to the same table: the head of a right neck bends to the left, in the picture of either side', () => {
  for (const id of ['neck-side-bend-seated', 'scalene-pin-move', 'neck-side-bend-supine']) {
    const entry = ENTRIES.find((each) => each.id === id)!;
    const { bones } = sceneBody(entryScene(entry), 1);
    // The drawn body is worked on its right side; its left is plus x.
    const bent: Side = bones.head.b[0] > bones.neck.a[0] ? 'left' : 'right';
    expect([id, bent]).toEqual([id, motionSide(entry, entry.motionId, 'right')]);
  }
});
