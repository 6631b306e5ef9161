export { summariseTrials, parseTrial, TRIALS_USUAL, TRIALS_MOST, type TrialSummary, type TypedTrial } from './trials.ts';
export { defaultSem, mdc95, band95, type ErrorOfMeasurement } from './error.ts';
export { gainToAngleDeg, angleToGain } from './distance.ts';
export { classifyChange, type ChangeKind, type ChangeVerdict, type Measured } from './change.ts';
export { compareSides, type SideKind, type SideVerdict } from './sides.ts';
export { referenceBands, classifyReference, type ReferenceBand, type ReferenceVerdict } from './reference.ts';
export { SOUCIE, type SourceOfReference } from './references.ts';
export { formatValue, formatNumber, formatSigned } from './words.ts';
export { rankStiffness, type Stiffness } from './stiffness.ts';
