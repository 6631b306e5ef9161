export { scaleOf, scaleSum, SCALES, type CheckInScale, type ScaleId, type ScaleItem } from './scales.ts';
export { standing, type CheckIn, type CheckInFields, type SorePlace } from './types.ts';
export {
  ANSWERED_WITHIN_DAYS,
  ANSWERS_NEEDED,
  deviation,
  median,
  NORMAL_DAYS,
  ownNormal,
  type DayValue,
  type OwnNormal,
} from './normal.ts';
export { hrvOn, readIntervals, rmssd, type HrvDay, type IntervalsRead, type Rmssd } from './hrv.ts';
export { told, type Against, type ReadinessFacts, type Signals, type Told } from './signals.ts';
export { READINESS_RULES, type ReadinessRule } from './rules.ts';
export { limitsOf, MINUTES_SHARE, readinessOf, type ReadinessReason, type ReadinessVerdict, type ReadinessWord } from './verdict.ts';
export { dayLimits } from './limits.ts';
