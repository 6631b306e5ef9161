import type { BodySide, Movement, Muscle, Nerve, Position, Region, Side } from '../body/index.ts';
import type { PressKind, Squeezed } from '../catalogue/index.ts';
import type { Limits, Technique } from '../method/index.ts';
import type { ConditionCode, MedicationId, QuestionId } from './coded.ts';

/**
 * Cautions remind a licensed person; they clear nobody. A rule is data: who it is about (premise), what it
 * touches, how strong it is, and what to do instead.
 */

/** Strongest first: do not treat and refer; not this motion, region or method; within limits; worth knowing. */
export const LEVELS = ['stop', 'avoid', 'modify', 'note'] as const;
export type Level = (typeof LEVELS)[number];

/** A joint that is taken somewhere. */
export interface Moved {
  readonly movement: Movement;
  /** The limb, or, for head and trunk, the way it goes; the middle is both. */
  readonly side: Side;
  /** Taken to the edge, not only part of the way. */
  readonly endRange: boolean;
  /** Degrees of the action's motion that measure this movement: its id, or null where no written degrees can be held to. */
  readonly scale: boolean;
}

export interface Pressed {
  readonly kind: PressKind;
  readonly regions: readonly Region[];
}

/** Something somebody might do to one side of an athlete, with all it does to the body. Computed, never declared. */
export interface CandidateAction {
  readonly moment: 'measure' | 'work';
  /** The side that is worked on; of a motion that is measured, the side it is read on. */
  readonly side: Side;
  /** The motion that shows the effect, and the side it is read on. */
  readonly motionId: string | null;
  readonly motionSide: Side;
  /** Every joint that is moved, in which direction; what is only kept in place as well. */
  readonly moves: readonly Moved[];
  /** Where hands are and what moves along; the first is where the work is. */
  readonly regions: readonly Region[];
  /** What carries the force: everything from the joint that moves to where the limb is held, pulled or stood on. */
  readonly loads: readonly Region[];
  readonly presses: readonly Pressed[];
  readonly squeezes: readonly Squeezed[];
  readonly lengthens: readonly Muscle[];
  readonly contracts: readonly Muscle[];
  /** Muscles under a pressing hand. */
  readonly under: readonly Muscle[];
  readonly nerves: readonly Nerve[];
  readonly techniques: readonly Technique[];
  readonly position: Position | null;
  /** Grade of mobilization 1–4, or null. */
  readonly grade: number | null;
  /** Taken to the edge, not only part of the way. */
  readonly endRange: boolean;
  /** Force goes through most of the limb: a straight leg, a hand at the far end. */
  readonly longLever: boolean;
  /** Longest single hold in seconds, or null. */
  readonly holdS: number | null;
  /** Strongest contraction in percent, and the longest one in seconds; null where nobody contracts. */
  readonly effortPct: number | null;
  readonly contractS: number | null;
  /** Joints that are kept at an angle to do it, in degrees. */
  readonly postures: Readonly<Partial<Record<Movement, number>>>;
  /** The same of the other limb. */
  readonly otherPostures: Readonly<Partial<Record<Movement, number>>>;
  readonly weight: boolean;
  readonly headDown: boolean;
  /** Warmth from outside goes on. */
  readonly heat: boolean;
  /** A hand strokes away from the heart, if only on the way back. */
  readonly strokesAway: boolean;
  /** Which work it is, to tell whether somebody has had it before: the entry, and the way of working or what that was made from. Null when nothing is worked. */
  readonly work: { readonly entryId: string; readonly wayId: string } | null;
}

/** A limit that a surgeon, physician or physiotherapist has written down. */
export type WrittenLimit =
  | { readonly kind: 'bend'; readonly movement: Movement; readonly deg: number }
  | { readonly kind: 'effort'; readonly pct: number }
  | { readonly kind: 'ceiling'; readonly score: number };

export interface Clearance {
  readonly by: string;
  readonly on: string;
  readonly text: string;
  readonly limits: readonly WrittenLimit[];
}

export interface ConditionFields {
  readonly code: ConditionCode;
  readonly region: Region | null;
  readonly side: BodySide;
  /** Day it began, or null when nobody knows. */
  readonly onset: string | null;
  /** Day of the operation, for conditions that are one. */
  readonly surgeryOn: string | null;
  /** The muscle, where the condition is one of a muscle and somebody knows which. */
  readonly muscle: Muscle | null;
  /** 1 mild, 2 partial, 3 complete; null when nobody graded it. */
  readonly grade: 1 | 2 | 3 | null;
  readonly words: string;
  readonly clearance: Clearance | null;
  /** Day it was over, or null while it lasts. */
  readonly resolvedOn: string | null;
}

export interface NoTouchFields {
  readonly region: Region;
  readonly side: BodySide;
  readonly words: string;
}

/** An athlete as far as cautions need one, on one day. */
export interface CautionSubject {
  readonly birthDate: string;
  readonly conditions: readonly ConditionFields[];
  readonly medications: readonly MedicationId[];
  /** The nine items of the Beighton score, or null when it was not taken. */
  readonly beighton: readonly boolean[] | null;
  readonly noTouch: readonly NoTouchFields[];
  /** Whether somebody took the history: without it, an empty file says nothing. */
  readonly historyTaken: boolean;
}

/** What the practice may do where it is. Mobilization: highest grade, 0 for none; a region may differ. */
export interface PracticeScope {
  readonly mobilizationGrade: number;
  readonly byRegion: Readonly<Partial<Record<Region, number>>>;
  /** Whether hands press or pin at the front of the neck at all: practitioners differ, so the practice decides once. */
  readonly frontOfNeck: boolean;
  readonly ruleText: string;
  readonly ruleLink: string;
}

/** A limit that today sets: how somebody slept, what is sore, what was trained. It holds for the work, not for measuring. */
export interface DayLimit {
  readonly id: string;
  readonly because: string;
  readonly reason: string;
  readonly instead: string;
  readonly limits: Limits;
  /** Only where one of these is lengthened, contracts or lies under a hand; null for everywhere. */
  readonly muscles: readonly Muscle[] | null;
  readonly side: 'left' | 'right' | null;
  /** Only for work that is new to the athlete, which it forbids: ways, or entries in a way, that are not among those they have had. */
  readonly onlyNew?: { readonly what: 'way' | 'work'; readonly had: readonly string[] };
}

export interface CautionContext {
  readonly subject: CautionSubject;
  /** The day it is, `YYYY-MM-DD`. */
  readonly onDay: string;
  readonly scope: PracticeScope;
  /** Whole days to the next event and since the last one; null for none. */
  readonly daysToEvent: number | null;
  readonly daysSinceEvent: number | null;
  /** Stop-and-refer questions that were answered with yes or not sure today. */
  readonly raised: readonly QuestionId[];
  /** Whether the stop-and-refer questions were answered today, set aside with a word, or are still open. */
  readonly questions: 'answered' | 'set-aside' | 'open';
  /** Areas agreed to today; null when it was not asked yet. */
  readonly consent: readonly Region[] | null;
  /** What readiness holds back today, less what was set aside. */
  readonly today: readonly DayLimit[];
}

export interface RuleLimits extends Partial<Omit<Limits, 'cap'>> {
  /** Caps by movement, in degrees. */
  readonly bends?: Readonly<Partial<Record<Movement, number>>>;
}

export const PHASES = ['protect', 'repair', 'remodel', 'settled'] as const;
export type SurgeryPhase = (typeof PHASES)[number];

export type Premise =
  | {
      readonly conditions: readonly ConditionCode[];
      /** Phase after the operation; an unknown date counts as the first. */
      readonly phases?: readonly SurgeryPhase[];
      readonly cleared?: boolean;
      /** Days since onset (or the operation) at most, at least; unknown counts as fresh. */
      readonly withinDays?: number;
      readonly afterDays?: number;
      /** Counts after it was resolved too. */
      readonly evenResolved?: boolean;
      /** Counts only after it was resolved, for so many days. */
      readonly resolvedWithinDays?: number;
      /** Grades of injury; one that nobody graded counts as a partial tear. */
      readonly grades?: readonly (1 | 2 | 3)[];
    }
  | { readonly medications: readonly MedicationId[] }
  | { readonly beightonAtLeast: number; readonly underAge?: number; readonly fromAge?: number }
  | { readonly underAge: number }
  | { readonly fromAge: number }
  | { readonly raised: QuestionId }
  | { readonly daysToEventAtMost: number }
  | { readonly daysSinceEventAtMost: number }
  | { readonly always: true };

/** `of-condition`: the place the condition has; `near-condition`: with what belongs to the same joint; `limb-of-condition`: the whole arm or leg. */
type Where = readonly Region[] | 'of-condition' | 'near-condition' | 'limb-of-condition';
/** `of-condition`: the muscle it names, or those that lie there; `pulling-there`: those fastened there. */
type Which = readonly Muscle[] | 'of-condition' | 'pulling-there';

/** What a rule is about. Every member that is given has to fit; within one, any of it. */
export interface Touch {
  /** The whole visit, whatever is done. */
  readonly visit?: true;
  readonly moments?: readonly CandidateAction['moment'][];
  /** Hands are there, or it moves along. */
  readonly regions?: Where;
  /** Hands are there, it moves along, force runs through it, or a muscle that crosses it is lengthened or contracts. */
  readonly through?: Where;
  /** Force runs through it. */
  readonly loads?: Where;
  /** A hand presses there; with `kinds`, in one of those ways. */
  readonly pressed?: Where | 'anywhere';
  readonly kinds?: readonly PressKind[];
  readonly muscles?: Which;
  /** What is done to those muscles; any of the three when left out. */
  readonly acts?: readonly ('lengthen' | 'contract' | 'press')[];
  readonly squeezes?: readonly Squeezed[];
  readonly nerves?: readonly Nerve[] | 'of-condition';
  readonly movements?: readonly Movement[];
  /** A joint kept further than this, in degrees. */
  readonly postureAbove?: Readonly<Partial<Record<Movement, number>>>;
  readonly techniques?: readonly Technique[];
  readonly positions?: readonly Position[];
  readonly gradeAbove?: number;
  readonly endRange?: true;
  readonly longLever?: true;
  readonly weight?: true;
  readonly headDown?: true;
  readonly heat?: true;
  readonly strokesAway?: true;
  readonly holdAboveS?: number;
  readonly effortAbovePct?: number;
  /** Sides: only the condition's own (usual), the other one, or whichever. */
  readonly side?: 'same' | 'other' | 'any';
}

export interface Rule {
  readonly id: string;
  readonly premise: Premise;
  readonly touches: Touch;
  readonly level: Level;
  readonly limits?: RuleLimits;
  readonly reason: string;
  readonly instead: string;
  readonly refer?: string;
  readonly source: string;
}

/** A rule, a written limit or a boundary that applies here and now. */
export interface Caution {
  readonly ruleId: string;
  readonly kind: 'rule' | 'written' | 'no-touch' | 'consent' | 'scope' | 'today';
  readonly level: Level;
  /** What it comes from: a condition with its place and age, an answer, an event. */
  readonly because: string;
  /** The same, as a key that stays while days go by: a reason sets aside a rule for one ground. */
  readonly ground: string;
  readonly reason: string;
  readonly instead: string;
  readonly refer: string;
  readonly source: string;
  readonly limits: Limits;
  /** Whether a written reason can set an "avoid" aside. */
  readonly canOverride: boolean;
}

export interface CautionResult {
  /** All that apply, strongest first. */
  readonly cautions: readonly Caution[];
  readonly level: Level | null;
  /** The strictest of all of them. */
  readonly limits: Limits;
}
