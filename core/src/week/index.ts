export { freeSlots, USUAL_HOURS, type Slot, type Taken } from './slots.ts';
export { fillWeek } from './fill.ts';
export { clashesOf, valuedVisits, weekValue, type Clash, type Valued } from './valued.ts';
export type { FillControl, FillDay, FillPerson, FillProblem, FillSlot, FillSolution, Placed, VisitKind } from './types.ts';
export {
  ANY_TIME,
  HOURS_RANGE,
  mostAtOnce,
  slotKey,
  usualHours,
  weekdayOf,
  workSlots,
  wrongSpans,
  type AthleteTimes,
  type HoursFile,
  type Therapist,
  type TimesFile,
  type TakenBy,
  type TherapistHours,
  type WeekHours,
  type WorkSlot,
  type WorkSpan,
} from './hours.ts';
export {
  MOST_A_WEEK,
  slotIsFree,
  takenSpans,
  WEEK_REACH,
  WEEK_WEIGHTS,
  weekDays,
  weekPeople,
  weekPlan,
  weekSlots,
  type WeekAthlete,
  type WeekChoice,
  type WeekClock,
  type WeekDay,
  type WeekFile,
  type WeekPerson,
  type WeekPlan,
  type WeekVisit,
} from './week.ts';
export { moreSlots, oneMore, type OneMore } from './more.ts';
export { aboutWords, keptInWeek, keptOf, leftOutOf, nthWords, visitWords, type LeftOut, type WeekState } from './words.ts';
