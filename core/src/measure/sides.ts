import type { Motion } from '../body/index.ts';
import type { SportDifference } from '../sport/index.ts';
import { detectable } from './error.ts';
import { errorName, type Measured } from './change.ts';
import { formatValue } from './words.ts';

export type SideKind = 'even' | 'inside-error' | 'explained-by-sport' | 'real' | 'cannot-tell';

export interface SideVerdict {
  readonly kind: SideKind;
  /** The side with less range, or null when neither has (to one decimal). */
  readonly stiffer: 'left' | 'right' | null;
  /** How much less, never negative, in the motion's unit. */
  readonly difference: number;
  /** What of it the sport does not explain. */
  readonly unexplained: number;
  readonly mdc: number;
  readonly words: string;
}

/**
 * Compares left with right. What counts is the difference less what the sport makes of it: a shape of up to so much on the side that
 * the sport needs looser. What is left has to exceed the MDC95 of two values of one sitting, so that a shape also helps where it is
 * smaller than the error. Below one SEM the sides are called even.
 * Source for the limit: Weir JP. J Strength Cond Res 2005;19:231–240; for taking the shape off first: common practice.
 * @example compareSides({ value: 11.3, sem: 1.5 }, { value: 17, sem: 1.5 }, motion).stiffer // → 'left'
 */
export function compareSides(
  left: Measured,
  right: Measured,
  motion: Pick<Motion, 'unit' | 'better'>,
  sport: SportDifference | null = null,
): SideVerdict {
  const lead = motion.better === 'higher' ? right.value - left.value : left.value - right.value;
  const difference = Math.abs(lead);
  const mdc = detectable(left, right);
  const stiffer = Number(difference.toFixed(1)) === 0 ? null : lead > 0 ? 'left' : 'right';
  const looser = stiffer === 'left' ? 'right' : 'left';
  const shaped = sport !== null && sport.moreOn === looser;
  const unexplained = shaped ? Math.max(0, difference - sport.upTo) : difference;
  const apart = formatValue(difference, motion.unit);
  const error = `${errorName(left, right)} of ±${formatValue(mdc, motion.unit)}`;
  const so = { stiffer, difference, unexplained, mdc } as const;

  if (stiffer === null || difference < (left.sem + right.sem) / 2) return { kind: 'even', ...so, words: 'Even' };
  if (difference <= mdc) return { kind: 'inside-error', ...so, words: `${apart} apart: inside ${error}` };
  if (shaped && unexplained <= mdc) return { kind: 'explained-by-sport', ...so, words: `${apart} more to the ${looser}: ${sport.words}` };
  const name = stiffer === 'left' ? 'Left' : 'Right';
  const less = motion.better === 'higher' ? `${apart} less` : `${apart} more to go`;
  return {
    kind: 'real',
    ...so,
    words: `${name} ${less}: a real side difference${sport?.finding ? `, ${sport.finding}` : shaped ? `, ${formatValue(unexplained, motion.unit)} more than ${sport.words.replace(/^follows /, 'what follows ')} explains` : ''}`,
  };
}

/** Two sides that cannot be compared: read with different instruments or by different examiners, and nobody has studied the difference. */
export function sidesCannotTell(left: Measured, right: Measured, motion: Pick<Motion, 'unit' | 'better'>, because: string): SideVerdict {
  const verdict = compareSides(left, right, motion);
  return { ...verdict, kind: 'cannot-tell', words: `${formatValue(verdict.difference, motion.unit)} apart: cannot tell, ${because}` };
}
