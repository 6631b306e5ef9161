export type { DayControl, DayPlace, DayProblem, DayShift, DaySolution, DayTask, DayWorth, Kept } from './solve/types.ts';
export { solveDay } from './solve/solve.ts';
export { WISH_KINDS, WISH_REASONS } from './types.ts';
export type {
  Closing,
  DayConflict,
  DayEvent,
  DayEventBody,
  DayRules,
  DayState,
  EventDaySetUp,
  Minute,
  Offer,
  PromisedTime,
  Race,
  RaceStart,
  Shift,
  Starter,
  Wish,
  WishKind,
  WishReason,
  WishState,
  WishStatus,
} from './types.ts';
export {
  DAY_LIMITS,
  DAY_RULE_RANGE,
  DAY_RULES,
  KIND_WORDS,
  OFFERS,
  REASON_WEIGHTS,
  REASON_WORDS,
  weightOf,
  WISH_MINUTES,
} from './rules.ts';
export type { EventDayFile, EventDayLine } from './file.ts';
export { callOf, spanOf, type Span } from './span.ts';
export { foldDay, inOrder, subjectOf } from './fold.ts';
export { dayModel, endsAt, freeStretches, planDay, planFrom } from './plan.ts';
export type { DayPlan, FreeStretch, MinuteOf, NotServed, PlanModel, Refusal, TimeChange } from './plan.ts';
export { remediesFor, type Remedy } from './remedies.ts';
export { boardOf } from './board.ts';
export type { Board, BoardRow, BoardTable, Standing } from './board.ts';
export { checkSetUp, type SetUpProblem } from './check.ts';
export {
  areasOf,
  BETWEEN_MOST,
  eventLimit,
  lookAtWork,
  protocolFit,
  secondsOf,
  type ProtocolFit,
  type WorkBlock,
  type WorkLook,
} from './work.ts';
export { contextOnDay, howDone, KNOWS_WORK, recordMinutes, recordNote, toWriteDown } from './record.ts';
export type { EventGuest, EventPeople, EventPerson, EventRecord, SaidBefore } from './record.ts';
