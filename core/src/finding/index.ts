export * from './types.ts';
export { findingWords, hoursThat, subjectWords, workOrder } from './words.ts';
export { currentFindings } from './standing.ts';
export { lookFirst, pointPlace, pointSubject, pointWords, type LookFirst, type PointPlace } from './points.ts';
export { findingProblem, FORCE_MOST_N, FORCE_TRIALS_MOST, REFERS_MOST } from './check.ts';
export { balances, BALANCE_PAIRS, weakSides, type Balance, type BalancePair } from './balance.ts';
