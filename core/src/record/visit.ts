import type { DoneBlock } from './treated.ts';
import type { BodySide, Instrument, Mode, Region, Side } from '../body/index.ts';
import type { ConsentArea, OverrideFields, PracticeScope, QuestionId } from '../caution/index.ts';
import type { BlockPlan, BreathPace, Line } from '../method/index.ts';
import type { RunEvent } from '../table/index.ts';
import type { ErrorKnowledge } from '../measure/index.ts';
import type { ReadinessWord, ScaleId } from '../readiness/index.ts';
import type { AthleteSport, OwnSport } from '../sport/index.ts';
import type { PhaseRule, SeasonDay } from '../season/index.ts';
import type { VisitReadiness } from './readiness.ts';
import type { Finding } from '../finding/index.ts';
import type { GivenSheet, HomeAnswers, HomeSheet } from './home.ts';
import type { Note, NoteLayout } from './note.ts';
import type { Athlete, AthleteFields, Condition, NoTouchArea } from './athlete.ts';

/**
 * What the server keeps and the interface shows. Instants are ISO 8601 in UTC, days are `YYYY-MM-DD`,
 * ids are UUIDs made by the client. `revision` counts changes: a change names the revision it was made on.
 */

export interface Practice {
  readonly name: string;
  /** IANA name; days are days of this zone. */
  readonly timeZone: string;
  /** The day it is now in that zone. */
  readonly today: string;
  readonly scope: PracticeScope;
  /** Sports the practice serves, by id; empty for all. */
  readonly sportsServed: readonly string[];
  /** The practice's own sports. */
  readonly ownSports: readonly OwnSport[];
  /** Which of the two check-in scales is asked. */
  readonly checkInScale: ScaleId;
  /** What therapy does in the phases of a season, where the practice changed it. */
  readonly phases: readonly PhaseRule[];
  /** Order and headings of its notes; null for those to begin with. */
  readonly noteLayout: NoteLayout | null;
  /** Where the measuring devices are to be spoken to, or null when there are none. */
  readonly devices: string | null;
  readonly revision: number;
}

/** What is entered about an event that is trained for. */
export interface EventFields {
  readonly name: string;
  /** Calendar day, `YYYY-MM-DD`. */
  readonly onDate: string;
  /** 1 is what the season is for, 3 a race to train through. */
  readonly importance: 1 | 2 | 3;
  /** Whose event it is; null when it is everybody's. */
  readonly squadId: string | null;
  /** The one athlete it is of, or null; one of an athlete is of no squad. */
  readonly athleteId: string | null;
}

export interface CalendarEvent extends EventFields {
  readonly id: string;
  readonly revision: number;
}

export const STEPS = ['arrive', 'measure', 'plan', 'table', 'close'] as const;
export type Step = (typeof STEPS)[number];

export interface Visit extends Arrival {
  readonly id: string;
  readonly athleteId: string;
  readonly startsAt: string;
  readonly minutes: number;
  /** The step that was open last; where the visit is taken up again. */
  readonly step: Step;
  readonly finishedAt: string | null;
  readonly cancelledAt: string | null;
  /** The event day it was work at, or null for a visit of the practice. */
  readonly eventDayId: string | null;
  readonly revision: number;
}

/** What is asked when somebody arrives, and what the last visit left to look at. */
export interface Arrival {
  readonly complaint: string;
  readonly complaintRegion: Region | null;
  readonly complaintSide: BodySide;
  /** 0–10, or null when it was not asked. */
  readonly complaintScore: number | null;
  readonly changed: string;
  readonly trainingSince: string;
  readonly trainingNext: string;
  readonly minutesAvailable: number;
  /** Areas agreed to today, or null until it was asked. */
  readonly consent: readonly ConsentArea[] | null;
  /** Why consent was not asked, in a word; empty while it was asked or is still open. */
  readonly consentWord: string;
  /** Left for the next visit at closing: what to look at first. */
  readonly lookFirst: string;
}

/** One answer to all stop-and-refer questions, or the word why they were not asked. Never changed; a later one stands. */
export interface StopAnswers {
  readonly id: string;
  readonly at: string;
  readonly by: string;
  /** Empty where they were not asked. Sets from before a question was added do not name it. */
  readonly answers: Readonly<Partial<Record<QuestionId, 'no' | 'yes' | 'unsure'>>>;
  /** Why they were not asked, or null where they were. */
  readonly notAsked: string | null;
}

export interface Override extends OverrideFields {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

export interface ReferralFields {
  readonly to: string;
  readonly seen: string;
}

/** A visit that ended with somebody else: what was seen, no diagnosis. */
export interface Referral extends ReferralFields {
  readonly at: string;
  readonly by: string;
  readonly revision: number;
}

export type Moment = 'before' | 'after';

export interface ReadingFields {
  readonly motionId: string;
  readonly side: Side;
  readonly moment: Moment;
  readonly mode: Mode;
  readonly instrument: Instrument;
  /** One to five trials; none when the reading is withdrawn. */
  readonly trials: readonly number[];
  /** The reading this one corrects, or null for a first one. */
  readonly supersedes: string | null;
}

export interface Reading extends ReadingFields {
  readonly id: string;
  readonly visitId: string;
  readonly takenAt: string;
  /** Mean of the trials; null when withdrawn. */
  readonly value: number | null;
  /** The account that read it; null for readings from before this was kept. */
  readonly examinerId: string | null;
}

/** A reading of an earlier visit, as far as comparing needs it. */
export interface PastReading {
  readonly visitId: string;
  readonly startsAt: string;
  readonly motionId: string;
  readonly side: Side;
  readonly moment: Moment;
  readonly instrument: Instrument;
  readonly examinerId: string | null;
  /** How many trials it is the mean of. */
  readonly trialCount?: number;
  readonly value: number;
}

/** What a goal is for: what the sport asks, the other side, or the athlete's wish. */
export const GOAL_WHYS = ['demand', 'symmetry', 'wish'] as const;
export type GoalWhy = (typeof GOAL_WHYS)[number];

export interface GoalFields {
  readonly motionId: string;
  readonly side: Side;
  /** In the motion's unit. */
  readonly value: number;
  /** The day it is wanted by, or null. */
  readonly byDate: string | null;
  /** What it is for, and in their words if there are any. */
  readonly why: GoalWhy | null;
  readonly whyWords: string;
}

/** A value an athlete works toward; one for each motion and side. */
export interface Goal extends GoalFields {
  readonly id: string;
  readonly setAt: string;
}

export interface Plan {
  readonly revision: number;
  readonly blocks: readonly BlockPlan[];
}

export interface EdgeAtStart {
  readonly motionId: string;
  readonly side: Side;
  readonly value: number;
}

/** What a run is compiled from; the server compiles the same line from it as the browser does. */
export interface RunFields {
  readonly visitId: string;
  readonly blocks: readonly BlockPlan[];
  readonly breath: BreathPace;
  readonly edges: readonly EdgeAtStart[];
  /** 1 for a real run; more when the clock was sped up to walk through a plan. */
  readonly clockRate: number;
}

export interface StoredRunEvent {
  readonly id: string;
  readonly seq: number;
  readonly event: RunEvent;
}

export interface Run {
  readonly id: string;
  readonly visitId: string;
  readonly line: Line;
  readonly clockRate: number;
  readonly startedAt: string;
  readonly events: readonly StoredRunEvent[];
}

/** A block that was done at an earlier visit, as far as what came of it and how long ago it was need it. */
/** How many days back of a visit what was done is sent with it. */
export const PAST_BLOCK_DAYS = 180;

export interface PastBlock extends DoneBlock {
  readonly visitId: string;
  readonly startsAt: string;
  /** The way of working an own one was made from: it is learned from in the same way. */
  readonly madeFrom?: string;
}

/** What a visit is to do for a comparison of two ways that runs. */
export interface ComparisonStep {
  readonly id: string;
  readonly motionId: string;
  readonly side: Side;
  readonly entryId: string;
  readonly methodId: string;
  /** Which visit it is, from 1, of how many. */
  readonly step: number;
  readonly of: number;
}

/** Everything about one visit. */
export interface VisitFile {
  readonly visit: Visit;
  readonly athlete: Athlete;
  readonly conditions: readonly Condition[];
  readonly noTouch: readonly NoTouchArea[];
  readonly scope: PracticeScope;
  readonly nextEvent: CalendarEvent | null;
  readonly lastEvent: CalendarEvent | null;
  /** What was answered at the visit before, or null at the first. */
  readonly lastArrival: (Arrival & { readonly startsAt: string }) | null;
  /** Every set of answers given today, oldest first. */
  readonly answers: readonly StopAnswers[];
  readonly overrides: readonly Override[];
  readonly referral: Referral | null;
  /** When they are booked next after this visit, or null. */
  readonly nextVisitAt: string | null;
  /** How many visits this athlete has had up to and including this one. */
  readonly visitNumber: number;
  readonly readings: readonly Reading[];
  readonly past: readonly PastReading[];
  /** What was done at earlier visits, oldest first. */
  readonly pastBlocks: readonly PastBlock[];
  /** What this visit is to do for a comparison of two ways that runs; null where none does. */
  readonly comparison: ComparisonStep | null;
  /** What the practice knows of its own measuring errors. */
  readonly errors: ErrorKnowledge;
  /** Everything found by hand and eye today, corrected ones too, oldest first. */
  readonly findings: readonly Finding[];
  /** Those that stood at the latest earlier visit with any. */
  readonly lastFindings: readonly Finding[];
  readonly goals: readonly Goal[];
  /** Where the athlete is in the season on the day of the visit; null where nothing is laid out for it. */
  readonly season: SeasonDay | null;
  readonly readiness: VisitReadiness;
  readonly plan: Plan;
  /** Every run of this visit, oldest first. */
  readonly runs: readonly Run[];
  /** The therapist's words; null for somebody who does not read notes. */
  readonly note: Note | null;
  /** What goes home from this visit; with no exercise and revision 0 where nothing does yet. */
  readonly home: HomeSheet;
  /** The sheet given last before this visit, and what was answered about it today. */
  readonly lastHome: GivenSheet | null;
  readonly homeAnswers: HomeAnswers | null;
}

export interface DayVisit extends Visit {
  readonly athleteName: string;
  readonly sports: readonly AthleteSport[];
  /** The word of that day and its strongest reason. */
  readonly readiness: { readonly word: ReadinessWord; readonly reason: string };
  readonly about: string;
  readonly birthDate: string;
  readonly referenceSex: AthleteFields['referenceSex'];
  /** Readings of the athlete's latest visit before this one. */
  readonly lastReadings: readonly PastReading[];
}

export interface DayPage {
  readonly date: string;
  readonly errors: ErrorKnowledge;
  readonly visits: readonly DayVisit[];
  readonly events: readonly CalendarEvent[];
  /** Visits of the last two weeks that were neither finished nor cancelled. */
  readonly unfinished: readonly DayVisit[];
  /** Visits of the last two weeks that are finished and whose note nobody signed. */
  readonly unsigned: readonly Pick<DayVisit, 'id' | 'athleteName' | 'startsAt'>[];
}

/** What a squad's strip is drawn from: everybody's readings before work, oldest first. */
export interface SquadStrip {
  readonly squadId: string;
  readonly name: string;
  readonly errors: ErrorKnowledge;
  readonly athletes: readonly (Pick<Athlete, 'id' | 'name' | 'birthDate' | 'referenceSex' | 'sports'> & {
    /** Of each motion and side the first reading and the latest two. */
    readonly readings: readonly PastReading[];
  })[];
}
