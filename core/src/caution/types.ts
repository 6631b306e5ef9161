import type { BodySide, Position, Region, Side } from '../body/index.ts';
import type { Limits, Technique } from '../method/index.ts';
import type { ConditionCode, MedicationId, QuestionId } from './coded.ts';

/**
 * Cautions remind a licensed person; they clear nobody. A rule is data: who it is about (premise), what it
 * touches, how strong it is, and what to do instead.
 */

/** Strongest first: do not treat and refer; not this motion, region or method; within limits; worth knowing. */
export const LEVELS = ['stop', 'avoid', 'modify', 'note'] as const;
export type Level = (typeof LEVELS)[number];

/** A direction of a joint, whatever the test position. Limits written by others name these. */
export const MOVEMENTS = [
  'neck rotation', 'neck side-bend', 'neck flexion', 'neck extension', 'trunk flexion', 'trunk extension', 'trunk rotation', 'trunk side-bend',
  'shoulder-blade movement', 'shoulder flexion', 'shoulder extension', 'shoulder abduction', 'shoulder across the body', 'shoulder external rotation, arm in',
  'shoulder external rotation, arm out', 'shoulder internal rotation', 'hand behind back', 'elbow flexion', 'elbow extension', 'forearm rotation', 'wrist movement', 'finger movement',
  'hip flexion', 'straight-leg raise', 'hip extension', 'hip internal rotation', 'hip external rotation', 'hip abduction', 'hip across the midline',
  'knee flexion', 'knee extension', 'ankle dorsiflexion', 'ankle plantar flexion', 'heel and midfoot movement', 'toe movement',
] as const;
export type Movement = (typeof MOVEMENTS)[number];

/** Something somebody might do to one side of an athlete. */
export interface CandidateAction {
  readonly moment: 'measure' | 'work';
  readonly side: Side;
  /** The motion that is taken toward its end, or null. */
  readonly motionId: string | null;
  readonly movements: readonly Movement[];
  readonly regions: readonly Region[];
  readonly techniques: readonly Technique[];
  readonly position: Position | null;
  /** Grade of mobilization 1–4, or null. */
  readonly grade: number | null;
  /** Taken to the edge, not only part of the way. */
  readonly endRange: boolean;
  /** Force goes through the whole limb: a straight leg, a hand at the far end. */
  readonly longLever: boolean;
  /** Longest single hold in seconds, or null. */
  readonly holdS: number | null;
  /** Joints that are kept at an angle to do it, in degrees. */
  readonly postures: Readonly<Partial<Record<Movement, number>>>;
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
}

/** What the practice may do where it is. Mobilization: highest grade, 0 for none; a region may differ. */
export interface PracticeScope {
  readonly mobilizationGrade: number;
  readonly byRegion: Readonly<Partial<Record<Region, number>>>;
  readonly ruleText: string;
  readonly ruleLink: string;
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
  /** Areas agreed to today; null when it was not asked yet. */
  readonly consent: readonly Region[] | null;
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
      /** Days since onset at most, at least; an unknown onset counts as fresh. */
      readonly withinDays?: number;
      readonly afterDays?: number;
      /** Counts after it was resolved too. */
      readonly evenResolved?: boolean;
    }
  | { readonly medications: readonly MedicationId[] }
  | { readonly beightonAtLeast: number }
  | { readonly underAge: number }
  | { readonly raised: QuestionId }
  | { readonly daysToEventAtMost: number }
  | { readonly daysSinceEventAtMost: number }
  | { readonly always: true };

/** What a rule is about. Every member that is given has to fit; within one, any of it. */
export interface Touch {
  /** The whole visit, whatever is done. */
  readonly visit?: true;
  readonly moments?: readonly CandidateAction['moment'][];
  readonly regions?: readonly Region[] | 'of-condition';
  readonly movements?: readonly Movement[];
  readonly techniques?: readonly Technique[];
  readonly positions?: readonly Position[];
  readonly gradeAbove?: number;
  readonly endRange?: true;
  readonly longLever?: true;
  readonly holdAboveS?: number;
  /** Sides: only the condition's own (usual), or whichever. */
  readonly side?: 'same' | 'any';
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
  readonly kind: 'rule' | 'written' | 'no-touch' | 'consent' | 'scope';
  readonly level: Level;
  /** What it comes from: a condition with its place and age, an answer, an event. */
  readonly because: string;
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
