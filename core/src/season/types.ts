import type { Limits } from '../method/index.ts';

/** What a stretch of the season is for. */
export const PHASE_IDS = ['build', 'sharpen', 'compete', 'recover', 'off'] as const;
export type PhaseId = (typeof PHASE_IDS)[number];

/** What may change in a phase, most first: range wherever it is short, only where it was begun, gently, or nothing but kept. */
export const DEVELOP = ['all', 'begun', 'gentle', 'none'] as const;
export type Develop = (typeof DEVELOP)[number];

/** What of the work may be new to somebody: anything, no way they have not had, or nothing they have not had. */
export const NEW_WORK = ['any', 'no-new-ways', 'nothing'] as const;
export type NewWork = (typeof NEW_WORK)[number];

/** What a phase holds back by numbers; null: nothing. */
export type PhaseLimits = Pick<Limits, 'effortPct' | 'edgeShare' | 'painCeiling' | 'holdS'>;

/** What therapy does in a phase. Data of the practice; those that ship are in `phases.ts`. */
export interface PhaseRule {
  readonly id: PhaseId;
  readonly develop: Develop;
  readonly newWork: NewWork;
  /** Before an event this near, in days; null: all through the phase. */
  readonly newWorkDays: number | null;
  readonly limits: PhaseLimits;
  /** How much of the usual minutes, 0–1. */
  readonly minutesShare: number;
  /** What is done, in the practice's words. */
  readonly words: string;
}

/** An end of a block that stands so many days after an event (before it: negative), and moves with it. */
export interface Anchor {
  readonly eventId: string;
  readonly days: number;
}

/** One stretch of a season; both days are in it. */
export interface Block {
  readonly phase: PhaseId;
  readonly from: string;
  readonly until: string;
  readonly fromAnchor: Anchor | null;
  readonly untilAnchor: Anchor | null;
}

/** A camp or a journey; both days are in it. */
export interface Stay {
  readonly id: string;
  readonly kind: 'camp' | 'travel';
  readonly name: string;
  readonly from: string;
  readonly until: string;
  /** Whether somebody of the practice is there, so that visits are possible. */
  readonly visits: boolean;
}

/** How often an athlete is to be seen from a day on, as it was chosen among schedules. */
export interface PlannedRhythm {
  readonly perWeek: number;
  /** Days a week with home work. */
  readonly homeDays: number;
  readonly from: string;
}

/** What is laid out for everybody, for a squad, or laid over it for one athlete. Blocks are in order and share no day. */
export interface SeasonPlan {
  readonly blocks: readonly Block[];
  readonly stays: readonly Stay[];
  /** Of an athlete: whose season is followed where it is not the first of theirs that has one. */
  readonly follows: string | null;
  /** Of an athlete: events of the squad they are not at. */
  readonly notAt: readonly string[];
  /** Of an athlete: the rhythm that is planned, or null. */
  readonly rhythm: PlannedRhythm | null;
}

export const EMPTY_PLAN: SeasonPlan = { blocks: [], stays: [], follows: null, notAt: [], rhythm: null };

/** As much of an event as a season needs. */
export interface SeasonEvent {
  readonly id: string;
  readonly name: string;
  readonly onDate: string;
  readonly importance: 1 | 2 | 3;
}
