import { MOTIONS, poseMotion } from '@pace-bend/core/body';
import { ENTRIES, entryFigure, findEntry } from '@pace-bend/core/catalogue';
import { capsulePath, faceMark, fanPath, figureBox, figureMarks } from './figure.ts';

const pose = (motion: (typeof MOTIONS)[number], share = 0.6) => {
  const value = motion.fan.min + share * (motion.fan.max - motion.fan.min);
  return poseMotion(motion, {
    values: motion.sides.length === 1 ? { midline: value } : { left: value, right: motion.fan.max },
    band: { low: value, high: motion.fan.max },
  });
};

test.each(MOTIONS)('$id is drawn inside its box, at any shape, in numbers only', (motion) => {
  for (const shape of [1, 1.35, 1.95]) {
    const posed = pose(motion);
    const box = figureBox(posed, shape);
    expect(box.width / box.height).toBeCloseTo(shape, 1);
    for (const { from, to } of posed.segments) {
      for (const { x, y } of [from, to]) {
        expect(x).toBeGreaterThanOrEqual(box.x - 1e-6);
        expect(x).toBeLessThanOrEqual(box.x + box.width + 1e-6);
        expect(y).toBeGreaterThanOrEqual(box.y - 1e-6);
        expect(y).toBeLessThanOrEqual(box.y + box.height + 1e-6);
      }
    }
    const drawn = [
      ...posed.segments.map(capsulePath),
      ...posed.fans.map(fanPath),
      ...figureMarks(posed, 0.3).map((mark) => ('path' in mark ? mark.path : '')),
      faceMark(posed, 0.3) ?? '',
    ].join('');
    expect(drawn).not.toMatch(/NaN|undefined|Infinity/);
  }
});

test('every figure shows where its joint is and a hand that moves; both sides have their letter', () => {
  for (const motion of MOTIONS) {
    const marks = figureMarks(pose(motion), 0.3);
    expect([motion.id, marks.some((mark) => mark.kind === 'axis'), marks.some((mark) => mark.kind === 'hand' && !mark.still)]).toEqual([
      motion.id,
      true,
      true,
    ]);
    const letters = marks.flatMap((mark) => (mark.kind === 'tag' ? [mark.text] : [])).sort();
    expect([motion.id, letters]).toEqual([motion.id, motion.sides.length === 1 ? [] : ['L', 'R']]);
  }
});

test('a single reference value is still a wedge that can be seen', () => {
  expect(fanPath({ side: null, at: { x: 0, y: 0 }, radius: 10, fromDeg: 45, toDeg: 45 })).toMatch(
    /^M0 0L7\.37 6\.76A10 10 0 0 1 6\.76 7\.37Z$/,
  );
});

/** Where the arrow of a press begins and where its tip is. */
const arrowOf = (id: string) => {
  const { motion, end, press } = entryFigure(findEntry(id)!);
  const posed = poseMotion(motion, { values: { [motion.sides[0]!]: end }, band: null });
  const marks = figureMarks(posed, 0.3, press);
  const push = marks.find((mark) => mark.kind === 'push') as { path: string };
  const [, x1, y1, x2, y2] = /^M([-\d.]+) ([-\d.]+)L([-\d.]+) ([-\d.]+)/.exec(push.path)!.map(Number);
  return { posed, press: press!, along: { x: x2! - x1!, y: y2! - y1! }, tip: { x: x2!, y: y2! } };
};

test('a hand that presses comes first, off the body and without an arrow, then is on it with an arrow', () => {
  const pressing = ENTRIES.filter((entry) => entryFigure(entry).press !== null);
  expect(pressing.length).toBeGreaterThan(30);
  for (const entry of pressing) {
    const { motion, end, press } = entryFigure(entry);
    const posed = poseMotion(motion, { values: { [motion.sides[0]!]: end }, band: null });
    expect([entry.id, figureMarks(posed, 0.3, press, true).map((mark) => mark.kind)]).toEqual([entry.id, ['hand']]);
    expect([entry.id, figureMarks(posed, 0.3, press).map((mark) => mark.kind)]).toEqual([entry.id, ['hand', 'push']]);
    const [coming, there] = [figureMarks(posed, 0.3, press, true)[0]!, figureMarks(posed, 0.3, press)[0]!];
    expect(coming).not.toEqual(there);
  }
});

test('pressing goes into the part, traction along it and away from the body', () => {
  for (const entry of ENTRIES.filter((each) => entryFigure(each).press !== null)) {
    const { posed, press, along, tip } = arrowOf(entry.id);
    const part = posed.segments.find((segment) => segment.id === press.on)!;
    const axis = { x: part.to.x - part.from.x, y: part.to.y - part.from.y };
    const length = Math.hypot(axis.x, axis.y);
    const share = (along.x * axis.x + along.y * axis.y) / length / Math.hypot(along.x, along.y);
    if (press.pulls) expect([entry.id, share]).toEqual([entry.id, expect.closeTo(1, 1)]);
    else {
      // Across the part, and from outside toward its middle line.
      expect([entry.id, share]).toEqual([entry.id, expect.closeTo(0, 1)]);
      const middle = { x: part.from.x + press.at * axis.x, y: part.from.y + press.at * axis.y };
      expect((middle.x - tip.x) * along.x + (middle.y - tip.y) * along.y).toBeGreaterThan(0);
    }
  }
  // Common practice: the neck is drawn toward the therapist's end, the leg and the ankle toward the feet.
  expect(arrowOf('neck-traction').along.x).toBeLessThan(0);
  for (const id of ['leg-pull', 'talocrural-traction', 'talocrural-open-close']) expect(arrowOf(id).along.x).toBeGreaterThan(0);
});
