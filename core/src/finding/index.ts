export * from './types.ts';
export { findingWords, hoursThat, subjectWords, workOrder } from './words.ts';
export { currentFindings } from './standing.ts';
export { findLook, LOOK_GROUPS, LOOKS, type Look, type LookId } from './looks.ts';
export { findingVerdict, type FindingVerdict } from './verdict.ts';
export {
  feltAgainNext,
  lookFirst,
  pointPlace,
  pointSubject,
  pointWords,
  type FeltBefore,
  type LookFirst,
  type PointPlace,
} from './points.ts';
export { findingProblem, FORCE_MOST_N, FORCE_TRIALS_MOST, REFERS_MOST } from './check.ts';
export { balances, BALANCE_PAIRS, weakSides, type Balance, type BalancePair } from './balance.ts';
export { findingLines, type FindingLine } from './lines.ts';
export { strongestPress, type Strongest } from './strength.ts';
