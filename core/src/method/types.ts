import type { Position, Side, Unit } from '../body/index.ts';
import type { Claim, SideRelation } from '../catalogue/index.ts';
import type { PhaseKind } from './phases.ts';

export { TECHNIQUES, type Technique } from './phases.ts';

/**
 * A way of working is data. It names its numbers and choices, and lists phases that refer to them.
 * The compiler (`compile.ts`) knows phases, conditions and rules; it knows no way of working.
 */

/** Unit of a number: seconds, percent of maximal contraction, percent of the way, the axis's own unit, breaths, a 0–10 score, a grade I–IV, a count, or how often a second or a minute. */
export type NumberUnit = 's' | 'pct' | 'share' | 'motion' | 'breaths' | 'score' | 'grade' | 'times' | 'per-s' | 'per-min';

/** What a way of working moves along: the motion of the limb, or how deep the hand presses, 0–10 as it is felt. */
export type AxisKind = 'motion' | 'pressure';
export type AxisUnit = Unit | 'of10';

export type DefaultOfNumber =
  | readonly number[]
  /** Taken from the motion: its usual gain round by round. */
  | { readonly from: 'round-gain' }
  /** Taken from the motion: a multiple of its usual first gain. */
  | { readonly timesFirstGain: number };

export interface NumberSpec {
  readonly id: string;
  readonly label: string;
  readonly unit: NumberUnit;
  readonly default: DefaultOfNumber;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** One value for every round; the last one given serves all later rounds. */
  readonly perRound: boolean;
  /** Shown at once, or under "more numbers". */
  readonly place: 'main' | 'more';
  /** What a block has that was planned before there was this number, so that it still means what it meant; left out, the number must be given. */
  readonly before?: number;
  readonly help?: string;
  /** The limit that holds this number down where cautions set one. */
  readonly limitedBy?: Exclude<keyof Limits, 'cap' | 'edgeShare' | 'contractS' | 'pressS'>;
}

/** How far something may go on one side. Null: nothing holds it back. */
export interface Limits {
  /** No further than this, in the motion's unit. */
  readonly cap: number | null;
  /** Share of the way from rest to today's edge, 0–1. */
  readonly edgeShare: number | null;
  readonly effortPct: number | null;
  readonly painCeiling: number | null;
  /** Grade of mobilization. */
  readonly grade: number | null;
  readonly holdS: number | null;
  /** Seconds of contraction on this side, all rounds together. */
  readonly contractS: number | null;
  /** Seconds of pressing on this side, all rounds together. */
  readonly pressS: number | null;
}

export interface SideLimits extends Limits {
  readonly side: Side;
}

export interface ChoiceSpec {
  readonly id: string;
  readonly label: string;
  /** `says` stands where a phase has the choice's id in braces; `strokes` is which way, seen from the heart, where the choice decides that. */
  readonly options: readonly {
    readonly id: string;
    readonly label: string;
    readonly says?: string;
    readonly strokes?: 'toward' | 'away';
  }[];
  readonly default: string;
}

type Place = 'first' | 'not-first' | 'last' | 'not-last';

export type Condition =
  | { readonly choice: string; readonly is: string }
  /** Which round of this pass over the side it is. */
  | { readonly round: Place }
  /** Which turn of the innermost loop it is. */
  | { readonly turn: Place };

/** Places worked one after the other: stations along a muscle, directions of a joint, hours of a clock. */
export interface ListSpec {
  readonly id: string;
  readonly label: string;
  /** Used where the catalogue entry names none of its own. */
  readonly default: readonly string[];
  readonly min: number;
  readonly max: number;
}

/** How long a phase lasts. */
export type DurationRule =
  | {
      /** A number in seconds … */
      readonly seconds: string;
      /** … moved to the nearest end of a breath in or out while the condition holds. */
      readonly toBreath?: { readonly end: 'in' | 'out'; readonly when: Condition };
    }
  /** A number of whole breaths of this athlete. */
  | { readonly breaths: string }
  /** As long as the breath in or out lasts: to its nearest end. */
  | { readonly breath: 'in' | 'out' };

/** Where the limb is at the end of the phase. */
export type AngleRule =
  | { readonly to: 'stay' }
  | { readonly to: 'rest' }
  | { readonly to: 'edge' }
  /** The edge moves on by a number, and the limb with it. */
  | { readonly to: 'new-edge'; readonly by: string }
  /** Short of the edge by a number. */
  | { readonly to: 'short-of-edge'; readonly by: string }
  /** Beyond rest, away from the edge, by a number: the muscle is slack. */
  | { readonly to: 'slack'; readonly by: string }
  /** Part of the way from rest to the edge: a number in percent. */
  | { readonly to: 'part-way'; readonly share: string };

export interface PhaseSpec {
  readonly kind: PhaseKind;
  readonly when?: readonly Condition[];
  readonly duration: DurationRule;
  readonly angle: AngleRule;
  readonly breath: 'in' | 'out' | 'free';
  readonly works: 'athlete' | 'therapist' | 'nobody';
  /** A number in percent; only where the athlete contracts. */
  readonly effort?: string;
  /** The line waits at the end of this phase until the therapist goes on. */
  readonly open?: boolean;
  /** It is a bout of mobilization, although not every phase of its kind is. */
  readonly bout?: true;
  /** How often a second or a minute something is repeated within the phase: a number in such a unit. */
  readonly rate?: string;
  /** One instruction. `{press}`, `{setUp}` and the like are filled from the catalogue entry, `{place}` and `{turn}` from the loop. */
  readonly text: string;
  /** The entry's own line for where its limb goes stands in place of the text: as far as it goes, or further than before; where it eases; or what plays in its joint. */
  readonly leads?: 'there' | 'further' | 'ease' | 'play' | undefined;
  /** A second line: the how. */
  readonly detail: string;
}

/** Phases gone through several times within a round: a number of times, or once for every place of a list. */
export interface Loop {
  readonly each: { readonly times: string } | { readonly list: string; readonly backward?: true };
  readonly when?: readonly Condition[];
  readonly phases: readonly PhaseNode[];
}

export type PhaseNode = PhaseSpec | Loop;

export interface Method {
  readonly id: string;
  /** The built-in way of working a practice's own was made from; it fits where that one does. */
  readonly madeFrom?: string;
  readonly name: string;
  readonly synonyms: readonly string[];
  readonly what: string;
  /** What it is taken for. */
  readonly purpose: string;
  /** Where the work or the deepening sits in the breath, in words. */
  readonly breathWords: string;
  readonly axis: AxisKind;
  /** What a session in it brings of a motion's usual gain, at its own numbers. Common practice, order of magnitude only; other numbers count by what they make of a round (`strength.ts`). */
  readonly share: number;
  /** What it suits beside the usual: lighter or slower where somebody guards, short and easy before a start, the joint, the athlete's own strength. */
  readonly suits: readonly Suit[];
  readonly claims: readonly Claim[];
  readonly schoolsDiffer: string;
  readonly rounds: { readonly default: number; readonly min: number; readonly max: number };
  readonly numbers: readonly NumberSpec[];
  readonly choices: readonly ChoiceSpec[];
  readonly lists: readonly ListSpec[];
  readonly opening: readonly PhaseNode[];
  readonly round: readonly PhaseNode[];
  readonly closing: readonly PhaseNode[];
  /** Which number is the discomfort ceiling, and which is how far easing off goes back. */
  readonly painCeiling: string;
  readonly easeBack: string;
}

/** What a way of working is good for, where that changes what is proposed. */
export const SUITS = ['guarding', 'start', 'capsule', 'weakness'] as const;
export type Suit = (typeof SUITS)[number];

/** Values of a block's numbers by number id; a list of one unless the number is per round. */
export type NumberValues = Readonly<Record<string, readonly number[]>>;
export type ChoiceValues = Readonly<Record<string, string>>;
export type ListValues = Readonly<Record<string, readonly string[]>>;

/** One pass over a side, the one that is worked on. A side may come more than once: left, right, left. */
export interface SideRounds {
  readonly side: Side;
  readonly rounds: number;
}

/** One block of a plan: what is done to what, in which way, with which numbers, on which sides in which order. */
export interface BlockPlan {
  readonly id: string;
  readonly entryId: string;
  readonly methodId: string;
  readonly numbers: NumberValues;
  readonly choices: ChoiceValues;
  readonly sides: readonly SideRounds[];
  /** Stations and directions by list id; left out where the way of working has none. */
  readonly lists?: ListValues;
  /** Where the athlete lies or sits, when it is not the entry's usual position. */
  readonly position?: Position;
  /** What cautions allow, by side; a side that is not named is free. The line never goes past it, whatever the numbers say. */
  readonly limits?: readonly SideLimits[];
}

/** The athlete's breath when told to breathe slowly. */
export interface BreathPace {
  readonly periodMs: number;
  /** Share of the period that is the breath in, 0–1. */
  readonly inShare: number;
}

export interface Cue {
  readonly index: number;
  readonly blockIndex: number;
  readonly side: Side;
  /** Which pass of the block this is, from 0; a line kept before there were several has none. */
  readonly pass?: number;
  /** 1-based and counted on over the passes of a side; 0 in the opening, and `rounds` + 1 in the closing. */
  readonly round: number;
  /** Rounds of this side in all its passes. */
  readonly rounds: number;
  readonly kind: PhaseKind;
  readonly startMs: number;
  readonly endMs: number;
  readonly open: boolean;
  /** Cautions made it shorter or lighter than its numbers ask for. */
  readonly cut?: true;
  /** A bout of mobilization by its phase, not by its kind. */
  readonly bout?: true;
  readonly text: string;
  readonly detail: string;
  readonly effortPct: number | null;
  /** How often a minute something is repeated within the cue; left out or null where nothing is. */
  readonly perMin?: number | null;
  /** Predicted position of the limb at start and end, in the block's unit. */
  readonly from: number;
  readonly to: number;
  /** Predicted edge once this cue is done, in the block's unit. */
  readonly edge: number;
  readonly breath: 'in' | 'out' | 'free';
  /** Where in the breath cycle this cue starts, so that a pacer can be drawn at any moment of the line. */
  readonly breathOffsetMs: number;
  readonly works: 'athlete' | 'therapist' | 'nobody';
  /** Ids of the block's numbers that this cue's length, effort and place come from, where they come from one. */
  readonly madeOf?: { readonly seconds?: string; readonly effort?: string; readonly place?: string };
  readonly painCeiling: number;
  /** How far easing off goes back from the edge, in the block's unit. */
  readonly easeBack: number;
  /** The limb goes no further than this, in the block's unit; null when nothing limits it. */
  readonly furthest: number | null;
}

export interface LineBlock {
  readonly blockId: string;
  readonly entryId: string;
  readonly methodId: string;
  readonly motionId: string;
  /** How the motion's side follows from the cue's; lines of version 1 have none, because their cues name the motion's side. */
  readonly motionSide?: SideRelation;
  readonly name: string;
  /** Where the athlete lies or sits; lines kept before it was noted have none. */
  readonly position?: Position;
  readonly unit: AxisUnit;
  readonly better: 'higher' | 'lower';
  /** Seconds that cautions leave for contractions and for presses on a side, all rounds together, where they hold either down. */
  readonly most?: readonly Pick<SideLimits, 'side' | 'contractS' | 'pressS'>[];
  /** Put in at the table: beside what was planned, or in its place. */
  readonly unplanned?: 'added' | 'instead';
}

/**
 * A session compiled to one flat, timed list of cues. Version 2: a cue's side is the side that is worked on. In version 1, which old
 * visits keep, it was the side the motion is read on.
 */
export interface Line {
  readonly version: 1 | 2;
  readonly cues: readonly Cue[];
  readonly totalMs: number;
  readonly breath: BreathPace;
  readonly blocks: readonly LineBlock[];
}
