/** What a visit of a day is: it may develop range, or only keep it. */
export type VisitKind = 'develop' | 'keep';

/** A day as far as one person goes; null where they cannot be seen on it. */
export type FillDay = {
  readonly kind: VisitKind;
  /** What this day adds to a visit's value, or takes away. */ readonly add: number;
} | null;

/** Somebody who might be seen in a week. Values may be in any unit, the same for all. */
export interface FillPerson {
  /** What the first, second, … visit of the week adds, whatever is done at it. None is above the one before. */
  readonly any: readonly number[];
  /** The same of visits that develop, and of those that keep. */
  readonly develop: readonly number[];
  readonly keep: readonly number[];
  /** Visits at most, those that stand among them. */
  readonly most: number;
  /** Days from one visit to the next at least; 1: one a day. */
  readonly apart: number;
  readonly days: readonly FillDay[];
  /** Slots they can come to. */
  readonly slots: readonly number[];
  /** Visits of the week that stand already. */
  readonly standing: readonly { readonly day: number; readonly kind: VisitKind }[];
}

/** A time at which somebody can be seen. */
export interface FillSlot {
  /** Day of the week, counted from 0. */
  readonly day: number;
  /** Whose hands: slots of one group have a most together. */
  readonly group: number;
}

/** Who could be seen when. */
export interface FillProblem {
  readonly slots: readonly FillSlot[];
  /** By group: visits at most. */
  readonly groups: readonly number[];
  readonly people: readonly FillPerson[];
  /** Visits that stay where they are, whatever the rules say of them: they were set by hand. No two in one slot. */
  readonly pins: readonly Placed[];
}

export interface Placed {
  readonly person: number;
  readonly slot: number;
}

export interface FillSolution {
  readonly status: 'optimal' | 'stopped';
  readonly value: number;
  /** How much more a better week could be worth at most; 0 where there is none. */
  readonly gap: number;
  /** Pins among them, by slot. */
  readonly placed: readonly Placed[];
}

export interface FillControl {
  /** Asked now and then; true ends the search with the best so far. */
  readonly stop?: () => boolean;
  /** Told now and then: the best so far, and what no week can exceed. */
  readonly progress?: (best: number, bound: number) => void;
}
