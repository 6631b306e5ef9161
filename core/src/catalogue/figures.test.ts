import { FIGURE_TEMPLATES, motionOf, MOTIONS, poseMotion } from '../body/index.ts';
import { ENTRIES, entryFigure, figureValue, showsEntry } from './index.ts';

const posed = (entry: (typeof ENTRIES)[number], value: number) => {
  const { motion } = entryFigure(entry);
  return poseMotion(motion, { values: { [motion.sides[0]!]: value }, band: null });
};

test('every entry is drawn in a position it is done in', () => {
  expect(
    ENTRIES.filter((entry) => !showsEntry(entryFigure(entry).motion.figure, entry)).map(
      (entry) => `${entry.id}: ${entryFigure(entry).motion.figure.template}, ${entry.positions.join(' or ')}`,
    ),
  ).toEqual([]);
});

test('every motion is drawn in the position it is measured in', () => {
  expect(
    MOTIONS.filter((motion) => !showsEntry(motion.figure, { positions: [motion.position] })).map(
      (motion) => `${motion.id}: ${motion.figure.template}, ${motion.position}`,
    ),
  ).toEqual([]);
});

test('what is moved is elsewhere at the end than in the set-up; what stays shows the hand on a part that is drawn', () => {
  for (const entry of ENTRIES) {
    const { setUp, end, press, motion } = entryFigure(entry);
    const [a, b] = [posed(entry, setUp), posed(entry, end)];
    const moved = a.segments.some((segment, i) => Math.hypot(segment.to.x - b.segments[i]!.to.x, segment.to.y - b.segments[i]!.to.y) > 1);
    // Nobody presses at home; of two that leave the joint where it is, one takes the foot along to show what to do.
    expect([entry.id, moved || press !== null]).toEqual([entry.id, true]);
    if (press) {
      expect([entry.id, a.segments.some((segment) => segment.id === press.on)]).toEqual([entry.id, true]);
      expect(press.at).toBeGreaterThanOrEqual(0);
      expect(press.at).toBeLessThanOrEqual(1);
    }
    const ids = FIGURE_TEMPLATES.get(motion.figure.template)!.segments.map((segment) => segment.id);
    for (const id of [motion.figure.moves, ...Object.keys(motion.figure.set ?? {})]) expect(ids).toContain(id);
  }
});

test('common practice: the head past the table’s end goes back below it, the lifted head comes up', () => {
  const head = (id: string) =>
    posed(
      ENTRIES.find((entry) => entry.id === id)!,
      entryFigure(ENTRIES.find((entry) => entry.id === id)!).end,
    ).segments.find((segment) => segment.id === 'head')!;
  expect(head('neck-extension-table-end').to.y).toBeLessThan(-5);
  expect(head('neck-crossed-arm-lift').to.y).toBeGreaterThan(5);
});

test('a practice’s own entry has the pictures of the one it was made from, while they show a position of its own', () => {
  const made = ENTRIES.find((entry) => entry.id === 'neck-extension-table-end')!;
  const own = { ...made, id: 'own', drawnAs: made.id };
  expect(entryFigure(own)).toEqual(entryFigure(made));
  const standing = { ...own, positions: ['standing'] as const };
  expect(entryFigure(standing).motion.figure.template).toBe('sitting');
  expect(showsEntry(entryFigure(standing).motion.figure, standing)).toBe(false);
});

test('at the table the figure follows the limb: from the set-up to the end and no further, and what is pressed stays', () => {
  for (const entry of ENTRIES) {
    const { motion, setUp, end, still } = entryFigure(entry);
    const measured = motionOf(entry.motionId);
    const { rest, fan, better } = measured;
    const toward = better === 'higher' ? fan.max : fan.min;
    const at = (share: number) => figureValue(entry, rest + share * (toward - rest));
    if (still) expect([entry.id, at(0), at(0.5), at(1)]).toEqual([entry.id, setUp, setUp, setUp]);
    else if (motion === measured) expect(at(0.5)).toBe(rest + 0.5 * (toward - rest));
    else {
      expect([entry.id, at(0), at(1)]).toEqual([entry.id, expect.closeTo(setUp, 9), expect.closeTo(end, 9)]);
      expect(Math.abs(at(0.5) - setUp)).toBeGreaterThan(0);
      expect(Math.abs(at(0.5) - setUp)).toBeLessThan(Math.abs(end - setUp));
    }
  }
});

test('seen from above or behind, the worked side is the one that moves', () => {
  const end = (id: string, side: 'left' | 'right') => {
    const { motion, end: value } = entryFigure(ENTRIES.find((entry) => entry.id === id)!);
    return poseMotion(motion, { values: { [side]: value }, band: null }).segments;
  };
  // A shin turned out: its foot comes to the middle, the other one stays.
  const feet = (side: 'left' | 'right') =>
    Object.fromEntries(
      end('ninety-turn-out', side)
        .filter((segment) => segment.id === 'foot')
        .map((segment) => [segment.side, segment.to.x]),
    );
  expect(Math.abs(feet('left').left!)).not.toBeCloseTo(Math.abs(feet('left').right!), 1);
  expect(feet('left').left).toBeCloseTo(-feet('right').right!, 6);
  // A head bends to the side it is carried to.
  const head = (side: 'left' | 'right') => end('scalene-pin-move', side).find((segment) => segment.id === 'head')!.to.x;
  expect(head('left')).toBeCloseTo(-head('right'), 6);
  expect(Math.abs(head('left'))).toBeGreaterThan(3);
});
