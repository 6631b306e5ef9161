export { whatWasDone, type SideDone } from './done.ts';
export { blocksDone, type DoneBlock } from './treated.ts';
export { formatDuration } from './time.ts';
export { LIMITS, checkBirthDate, isDay } from './limits.ts';
export { dayExample, formatDay, readTypedDay, type DayOrder, type TypedDay } from './typedDay.ts';
export { lineOfRun } from './runLine.ts';
export { currentReadings } from './readings.ts';
export {
  compareMotion,
  stiffestFirst,
  type ComparisonContext,
  type MotionComparison,
  type SideComparison,
  type Stiffest,
  type ValueToday,
} from './comparison.ts';
export { planRound, roundSeconds, SECONDS_A_SIDE, turnSeconds, type Round, type RoundItem } from './round.ts';
export { proposeMeasuring, type MeasureProposal, type MeasureReason, type ProposalFacts } from './proposal.ts';
export {
  emptyValues,
  knowledgeOf,
  nextStep,
  partMeans,
  partsOf,
  STUDY_LIMITS,
  studyOrder,
  studyProblem,
  tableOf,
  unfinishedBecause,
  type Study,
  type StudyFields,
  type StudyKind,
  type StudyStep,
  type StudySubject,
} from './study.ts';
export { cautionContextOf, openQuestions, questionsOf, raisedOf, type OpenQuestion } from './cautions.ts';
export { sortStrip, stripOf, type Strip, type StripCell, type StripOrder, type StripRow } from './strip.ts';
export { byUrgency, morningOf, type MorningPage, type MorningRow, type MorningValue } from './morning.ts';
export type { MoveLook, MoveVisit, SeasonFile, SeasonOwner, SeasonVisit, SeasonWeek } from './season.ts';
export { historyOf } from './history.ts';
export { historyVisits, historyWays, inRegion, type HistoryEntry, type HistoryVisit } from './historyVisits.ts';
export { projectDay, type ProjectedVisit } from './day.ts';
export { coachPage, type CoachAthlete, type CoachFacts, type CoachPage } from './coach.ts';
export {
  READINESS_DAYS,
  READINESS_OUTCOMES,
  dayInNote,
  readinessToday,
  type ReadinessKept,
  type ReadinessOutcome,
  type ReadinessSetAside,
  type ReadinessToday,
  type VisitReadiness,
} from './readiness.ts';
export {
  BLANK_FILE,
  type Athlete,
  type AthleteFields,
  type AthleteFile,
  type AthleteHistory,
  type AthleteList,
  type AthleteRow,
  type AvailabilityLevel,
  type Condition,
  type Contact,
  type Handed,
  type HistoryLine,
  type NoTouchArea,
  type Squad,
} from './athlete.ts';
export {
  PAST_BLOCK_DAYS,
  GOAL_WHYS,
  STEPS,
  type Arrival,
  type CalendarEvent,
  type ComparisonStep,
  type DayPage,
  type DayVisit,
  type EdgeAtStart,
  type EventFields,
  type Goal,
  type GoalFields,
  type GoalWhy,
  type Moment,
  type Override,
  type PastBlock,
  type PastReading,
  type Plan,
  type Practice,
  type Reading,
  type ReadingFields,
  type Referral,
  type ReferralFields,
  type Run,
  type RunFields,
  type SquadStrip,
  type Step,
  type StopAnswers,
  type StoredRunEvent,
  type Visit,
  type VisitFile,
} from './visit.ts';

export {
  MOST_EDITS,
  NOTE_PARTS,
  type Note,
  type NoteAddendum,
  type NoteEdit,
  type NoteEdits,
  type NoteLayout,
  type NotePart,
  type NoteSignature,
} from './note.ts';

export {
  HOME_DONE,
  HOME_LIMITS,
  type GivenSheet,
  type HomeAnswers,
  type HomeAnswersFields,
  type HomeDone,
  type HomeItem,
  type HomeSheet,
  type HomeSheetFields,
  type PastHome,
} from './home.ts';
export {
  FIRST_STEPS,
  firstStepsProgress,
  type FirstStepId,
  type FirstStepsKept,
  type FirstStepsPage,
  type FirstStepsProgress,
  type FirstStepState,
} from './firstSteps.ts';
export { formatClock, readTypedTime, timeProblem, type ClockHabit, type TypedTime } from './typedTime.ts';
export { blocksInVisits } from './inVisits.ts';
