import type { Motion, SportDifference } from '../body/index.ts';
import { mdc95 } from './error.ts';
import type { Measured } from './change.ts';
import { formatValue } from './words.ts';

export type SideKind = 'even' | 'inside-error' | 'explained-by-sport' | 'real';

export interface SideVerdict {
  readonly kind: SideKind;
  /** The side with less range, or null when neither has (to one decimal). */
  readonly stiffer: 'left' | 'right' | null;
  /** How much less, never negative, in the motion's unit. */
  readonly difference: number;
  readonly mdc: number;
  readonly words: string;
}

/**
 * Compares left with right. A difference counts when it exceeds the MDC95 of two measured values, and is
 * set down to the sport when the sport makes that side looser by at least that much. Below one SEM the
 * sides are called even.
 * Source for the limit: Weir JP. J Strength Cond Res 2005;19:231–240.
 * @example compareSides({ value: 11.3, sem: 1.5 }, { value: 17, sem: 1.5 }, motion).stiffer // → 'left'
 */
export function compareSides(left: Measured, right: Measured, motion: Pick<Motion, 'unit' | 'better'>, sport: SportDifference | null = null): SideVerdict {
  const lead = motion.better === 'higher' ? right.value - left.value : left.value - right.value;
  const difference = Math.abs(lead);
  const mdc = mdc95(left.sem, right.sem);
  const stiffer = Number(difference.toFixed(1)) === 0 ? null : lead > 0 ? 'left' : 'right';
  const looser = stiffer === 'left' ? 'right' : 'left';
  const apart = formatValue(difference, motion.unit);
  const limit = formatValue(mdc, motion.unit);

  if (stiffer === null || difference < (left.sem + right.sem) / 2) {
    return { kind: 'even', stiffer, difference, mdc, words: 'Even' };
  }
  if (difference <= mdc) {
    return { kind: 'inside-error', stiffer, difference, mdc, words: `${apart} apart: inside your error of ±${limit}` };
  }
  if (sport && sport.moreOn === looser && difference <= sport.upTo) {
    return { kind: 'explained-by-sport', stiffer, difference, mdc, words: `${apart} more to the ${looser}: ${sport.words}` };
  }
  const name = stiffer === 'left' ? 'Left' : 'Right';
  const less = motion.better === 'higher' ? `${apart} less` : `${apart} more to go`;
  return { kind: 'real', stiffer, difference, mdc, words: `${name} ${less}: a real side difference` };
}
