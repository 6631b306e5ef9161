/**
 * Choosing and ordering what is done within the minutes, without any word of the trade in it. Times are whole seconds and
 * are counted in whole steps, rounded up; places, warm-ups, measurings and candidates are named by their place in the lists.
 */

/** A candidate at one of its levels: so many rounds take so long and are worth so much. */
export interface Level {
  readonly seconds: number;
  readonly value: number;
}

export interface Candidate {
  /** Any of these places will do. */
  readonly places: readonly number[];
  readonly levels: readonly Level[];
  /** The warm-up that has to come before it, or null. */
  readonly warmUp: number | null;
  /** What is measured before and after it, or null. */
  readonly measuring: number | null;
  /** It has to be in. */
  readonly required?: boolean;
  /** It must not be in. */
  readonly banned?: boolean;
}

/** Something that is done once, if anything that needs it is done. */
export interface Shared {
  readonly seconds: number;
  readonly places: readonly number[];
}

export interface Measuring {
  readonly places: readonly number[];
  /** Zero: it was measured already. */
  readonly beforeS: number;
  readonly afterS: number;
}

export interface SessionProblem {
  /** All the time there is, opening and closing included. */
  readonly seconds: number;
  readonly openingS: number;
  readonly closingS: number;
  readonly stepS: number;
  /** From the door to a place. */
  readonly arriveS: readonly number[];
  /** From place to place, in seconds; need not be symmetric, and no detour is shorter. */
  readonly moveS: readonly (readonly number[])[];
  /** What a move costs beside its time, in units of value; no detour is cheaper. */
  readonly moveCost: readonly (readonly number[])[];
  /** From the last place to where the closing is done, in seconds and in value; left out, it is done anywhere. No move makes it shorter or cheaper. */
  readonly leaveS?: readonly number[];
  readonly leaveCost?: readonly number[];
  /** At most so many stays, returning to a place included. */
  readonly mostStays: number;
  readonly warmUps: readonly Shared[];
  readonly measurings: readonly Measuring[];
  readonly candidates: readonly Candidate[];
  /** Of each list at least one is in. */
  readonly oneOf?: readonly (readonly number[])[];
  /** Both or none. */
  readonly together: readonly (readonly [number, number])[];
  /** At most one of the two. */
  readonly exclude: readonly (readonly [number, number])[];
  /** The first is done before the second; both have to be required. */
  readonly precede: readonly (readonly [number, number])[];
}

export interface Chosen {
  readonly candidate: number;
  readonly level: number;
}

export interface Stay {
  readonly place: number;
  /** What happens here, in an order that respects what has to come before what. */
  readonly tasks: readonly (
    | { readonly kind: 'measure-before'; readonly measuring: number }
    | { readonly kind: 'warm-up'; readonly warmUp: number }
    | { readonly kind: 'block'; readonly candidate: number; readonly level: number }
    | { readonly kind: 'measure-after'; readonly measuring: number }
  )[];
}

export interface Solution {
  /** `optimal`: nothing better exists. `stopped`: it may, but by no more than `gap`. `impossible`: what is required does not fit. */
  readonly status: 'optimal' | 'stopped' | 'impossible';
  readonly value: number;
  /** No plan is worth more than value + gap. */
  readonly gap: number;
  readonly chosen: readonly Chosen[];
  readonly stays: readonly Stay[];
  /** Everything, opening, moves and closing included; each part rounded up to whole steps. */
  readonly seconds: number;
}
