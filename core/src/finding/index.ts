export * from './types.ts';
export { currentFindings, findingWords, hoursThat, subjectWords, workOrder } from './words.ts';
export { findingProblem, FORCE_MOST_N, FORCE_TRIALS_MOST } from './check.ts';
export { balances, BALANCE_PAIRS, weakSides, type Balance, type BalancePair } from './balance.ts';
