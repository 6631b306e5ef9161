export {
  courseOf,
  groundOf,
  perWeekOf,
  rhythmOf,
  timeOf,
  toward,
  type Reading,
  type Rhythm,
  type ResponseFacts,
  type ResponseFile,
} from './occasions.ts';
export { aheadOf, firstAway, HOME_DAYS, rhythmDays, SCHEDULE_LIMITS, type Schedule } from './schedule.ts';
export { FAN, fanDays, outlookOf, type Outlook } from './outlook.ts';
export { learnAll, learnGoals, learnPractice, type Learned } from './learned.ts';
export { movingOf, MOVING_WEEKS, type Moving } from './moving.ts';
export { goalStanding, type GoalStanding } from './goalStanding.ts';
export {
  bringsWords,
  DUE_DAYS,
  dueRows,
  reasonsFor,
  type DueFacts,
  type DueFile,
  type DueKind,
  type DueKnown,
  type DueReason,
  type DueRow,
} from './due.ts';
export { ENOUGH_OWN, ENOUGH_VISITS, keptFacts } from './keptFacts.ts';
export { keptByVisits, type KeptByVisits } from './visitWorth.ts';
export {
  BETWEEN_WAYS,
  chancesOfMost,
  isSureOfWay,
  LEAST_WAY_VISITS,
  SURE_OF_WAY,
  waysOfMotion,
  wayStrengths,
  type WayAnswer,
  type WayVisit,
} from './ways.ts';
export {
  comparisonResult,
  comparisonVisits,
  drawOrder,
  exactPairs,
  PAIRS,
  RARE,
  saysWhich,
  type ComparedVisit,
  type Comparison,
  type ComparisonFields,
  type ComparisonResult,
  type ComparisonVisit,
  type ExactPairs,
  type Which,
} from './alternating.ts';
