export { summariseTrials, parseTrial, TRIALS_USUAL, TRIALS_MOST, type TrialSummary, type TypedTrial } from './trials.ts';
export { defaultSem, detectable, mdc95, band95, type ErrorFor, type ErrorOfMeasurement, type Uncertain } from './error.ts';
export {
  between,
  errorOf,
  instrumentChange,
  NOTHING_KNOWN,
  type Between,
  type ErrorKnowledge,
  type ExaminerShift,
  type InstrumentChange,
  type InstrumentShift,
  type OwnError,
  type ReadBy,
} from './ownError.ts';
export { gainToAngleDeg, angleToGain, shinTilt } from './distance.ts';
export { cannotTell, changeWords, classifyChange, errorName, type ChangeKind, type ChangeVerdict, type Measured } from './change.ts';
export { compareSides, sidesCannotTell, type SideKind, type SideVerdict } from './sides.ts';
export { referenceBands, classifyReference, noReferenceBecause, type ReferenceBand, type ReferenceVerdict } from './reference.ts';
export { SOUCIE, type SourceOfReference } from './references.ts';
export { formatValue, formatNumber, formatSigned } from './words.ts';
export { rankStiffness, type Stiffness } from './stiffness.ts';
