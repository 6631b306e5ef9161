import type { Side } from './types.ts';

/** What an athlete does that shapes one side: a sweep rower's oar is always on the same hand. */
export type RowingSide = 'stroke' | 'bow' | 'sculls' | 'cox' | 'none';

/** A side difference that the sport itself makes, and needs. */
export interface SportDifference {
  /** The side that is expected to have more range. */
  readonly moreOn: Side;
  /** Up to this much is put down to the sport, in the motion's unit. */
  readonly upTo: number;
  readonly words: string;
}

/**
 * Up to how much of a sweep rower's trunk rotation difference is put down to the rigger.
 * Common practice, no published source; a rower turns toward the oar at every catch.
 */
const SWEEP_TRUNK_ROTATION_DEG = 9;

/**
 * The side difference a rower's boat side explains for a motion, or null when it explains none.
 * A stroke-side rower sits facing the stern with the oar on the right hand, so turns right; bow side turns left.
 * @example sportDifference('trunk-rotation', 'stroke').moreOn // → 'right'
 */
export function sportDifference(motionId: string, rowing: RowingSide): SportDifference | null {
  if (motionId !== 'trunk-rotation' || (rowing !== 'stroke' && rowing !== 'bow')) return null;
  return { moreOn: rowing === 'stroke' ? 'right' : 'left', upTo: SWEEP_TRUNK_ROTATION_DEG, words: 'follows the rigger' };
}
