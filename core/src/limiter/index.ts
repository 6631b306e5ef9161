export { judge, type Cause, type Judgement, type Observed, type Push, type Question } from './judge.ts';
export { gather, openQuestions, type Evidence } from './gather.ts';
export { CAUSE_KINDS, WEIGHTS, PRIORS, stepsOf, type CauseKind, type FindingId, type FindingWeight } from './weights.ts';
export { ACTIVE_PAIRS, ARC_PAIRS, NERVE_PAIRS, TWO_JOINT_PAIRS, type TwoJointPair } from './pairs.ts';
