import { MOTIONS, poseMotion } from '@pace-bend/core/body';
import { capsulePath, faceMark, fanPath, figureBox, figureMarks } from './figure.ts';

const pose = (motion: (typeof MOTIONS)[number], share = 0.6) => {
  const value = motion.fan.min + share * (motion.fan.max - motion.fan.min);
  return poseMotion(motion, { values: motion.sides.length === 1 ? { midline: value } : { left: value, right: motion.fan.max }, band: { low: value, high: motion.fan.max } });
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
    const drawn = [...posed.segments.map(capsulePath), ...posed.fans.map(fanPath), ...figureMarks(posed, 0.3).map((mark) => ('path' in mark ? mark.path : '')), faceMark(posed, 0.3) ?? ''].join('');
    expect(drawn).not.toMatch(/NaN|undefined|Infinity/);
  }
});

test('every figure shows where its joint is and a hand that moves; both sides have their letter', () => {
  for (const motion of MOTIONS) {
    const marks = figureMarks(pose(motion), 0.3);
    expect([motion.id, marks.some((mark) => mark.kind === 'axis'), marks.some((mark) => mark.kind === 'hand' && !mark.still)]).toEqual([motion.id, true, true]);
    const letters = marks.flatMap((mark) => (mark.kind === 'tag' ? [mark.text] : [])).sort();
    expect([motion.id, letters]).toEqual([motion.id, motion.sides.length === 1 ? [] : ['L', 'R']]);
  }
});

test('a single reference value is still a wedge that can be seen', () => {
  expect(fanPath({ side: null, at: { x: 0, y: 0 }, radius: 10, fromDeg: 45, toDeg: 45 })).toMatch(/^M0 0L7\.37 6\.76A10 10 0 0 1 6\.76 7\.37Z$/);
});
