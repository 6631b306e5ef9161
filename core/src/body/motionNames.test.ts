import { MOTIONS, motionOf, tradeNames } from './index.ts';

test('every trade name leads to a motion, and a test leads to its own', () => {
  expect(tradeNames(motionOf('straight-leg-raise'))).toContain('SLR');
  expect(tradeNames(motionOf('knee-extension-hip-90'))).toContain('popliteal angle');
  expect(tradeNames(motionOf('hip-extension-table-end'))).toContain('Thomas test');
  expect(tradeNames(motionOf('elbow-flexion'))).toEqual([]);
  // What carries no name of the trade is rare: most motions have one.
  expect(MOTIONS.filter((motion) => tradeNames(motion).length > 0).length).toBeGreaterThan(60);
});
