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

/** What a sport asks of its athletes. Common practice. */
const SPORT_MOTIONS: readonly { readonly sport: RegExp; readonly motionIds: readonly string[] }[] = [
  {
    sport: /row/i,
    motionIds: ['hip-flexion', 'straight-leg-raise', 'ankle-lunge', 'trunk-rotation', 'shoulder-flexion', 'hip-extension-knee-bent'],
  },
  {
    sport: /run|athletics|triathlon/i,
    motionIds: ['hip-extension-knee-bent', 'straight-leg-raise', 'ankle-lunge', 'big-toe-extension', 'hip-internal-rotation'],
  },
  {
    sport: /swim/i,
    motionIds: ['shoulder-flexion', 'shoulder-internal-rotation', 'shoulder-external-rotation', 'ankle-plantar-flexion', 'trunk-rotation'],
  },
  {
    sport: /throw|handball|tennis|volley/i,
    motionIds: ['shoulder-internal-rotation', 'shoulder-external-rotation', 'trunk-rotation', 'hip-internal-rotation'],
  },
];

/**
 * Whether a sport, by what it is called, asks for a motion.
 * @example sportAsksFor('Rowing', 'hip-flexion') // → true
 */
export function sportAsksFor(sport: string, motionId: string): boolean {
  return SPORT_MOTIONS.find((each) => each.sport.test(sport))?.motionIds.includes(motionId) === true;
}
