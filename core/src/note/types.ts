import type { NotePart } from '../record/index.ts';

/** One sentence from the record: what it says, and the data it says it from. */
export interface NoteSentence {
  /** Stays while the data behind it change, so that what was changed by hand finds its sentence again; begins with its part. */
  readonly key: string;
  readonly part: NotePart;
  readonly text: string;
  /** Where it comes from: trials, instrument, who and when, or what was answered. */
  readonly trace: string;
}

/** A sentence as it stands in the note. */
export interface StandingSentence extends NoteSentence {
  /** Changed or left out by hand: it stays as it is when the data change. */
  readonly byHand: boolean;
  /** What the record says, where it is not what stands. */
  readonly record: string | null;
  /** The record says something else than when it was changed by hand, or nothing any more. */
  readonly isOutdated: boolean;
}
