/** A value that was read, turned so that more is better, with the variance of the reading itself (the day's part left out). */
export interface Seen {
  readonly value: number;
  readonly variance: number;
}

/** One visit as far as one motion and side go. */
export interface Occasion {
  /** Days on any time line, in the order of the list. */
  readonly day: number;
  /** The usual gain of what was done on this motion and side, in the motion's unit; 0 where nothing was. */
  readonly usualGain: number;
  readonly before: Seen | null;
  readonly after: Seen | null;
  /** Variance of the part that every reading of one day shares; left out, the day goes on from the occasion before. */
  readonly dayVariance?: number;
  /** Share of the days since the occasion before on which home work was done, 0 to 1. */
  readonly homeShare?: number;
  /** An operation or an injury since: where the level settles is unknown anew. */
  readonly reset?: boolean;
}

/** What is usual before anything was read: where levels settle, and the unit that gains are counted in. */
export interface Ground {
  readonly floorMean: number;
  readonly floorSd: number;
  /** The usual gain of one full visit; room, home work and wander are counted in it. Above zero. */
  readonly fullGain: number;
}

/** Occasions of one motion and side, and what is usual for it. */
export interface Course {
  readonly ground: Ground;
  readonly occasions: readonly Occasion[];
}
