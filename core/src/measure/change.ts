import type { Motion } from '../body/index.ts';
import { mdc95 } from './error.ts';
import { formatSigned, formatValue } from './words.ts';

/** One value with the error it was measured with, both in the motion's unit. */
export interface Measured {
  readonly value: number;
  readonly sem: number;
}

export type ChangeKind = 'real-gain' | 'real-loss' | 'inside-error';

export interface ChangeVerdict {
  readonly kind: ChangeKind;
  /** Later minus earlier, as read. */
  readonly delta: number;
  /** The same, signed so that plus is more range whichever way the motion counts. */
  readonly gain: number;
  readonly mdc: number;
  readonly words: string;
}

/**
 * Whether a motion changed from one reading to another by more than the measuring error (MDC95).
 * The change must exceed the MDC to count; one that equals it is inside the error.
 * Source: Weir JP. J Strength Cond Res 2005;19:231–240.
 * @example classifyChange({ value: 10, sem: 1.5 }, { value: 15, sem: 1.5 }, motion).kind // → 'real-gain'
 */
export function classifyChange(earlier: Measured, later: Measured, motion: Pick<Motion, 'unit' | 'better'>): ChangeVerdict {
  const delta = later.value - earlier.value;
  const gain = motion.better === 'higher' ? delta : -delta;
  const mdc = mdc95(earlier.sem, later.sem);
  const kind: ChangeKind = Math.abs(gain) <= mdc ? 'inside-error' : gain > 0 ? 'real-gain' : 'real-loss';
  return { kind, delta, gain, mdc, words: changeWords(kind, gain, mdc, motion) };
}

function changeWords(kind: ChangeKind, gain: number, mdc: number, motion: Pick<Motion, 'unit'>): string {
  const signed = formatSigned(gain, motion.unit);
  const limit = formatValue(mdc, motion.unit);
  switch (kind) {
    case 'real-gain':
      return `${signed}: a real gain, past your error of ±${limit}`;
    case 'real-loss':
      return `${signed}: a real loss, past your error of ±${limit}`;
    case 'inside-error':
      return `${signed}: inside your error of ±${limit}`;
  }
}
