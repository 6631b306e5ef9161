import type { Motion } from '../body/index.ts';
import { detectable } from './error.ts';
import { formatSigned, formatValue } from './words.ts';

/** One value with the error it was measured with, both in the motion's unit. */
export interface Measured {
  readonly value: number;
  readonly sem: number;
  /** Degrees of freedom behind the error; left out, it is taken as it is. */
  readonly df?: number;
  /** Whether the error is the examiner's own; left out, it is a default. */
  readonly own?: boolean;
}

export type ChangeKind = 'real-gain' | 'real-loss' | 'inside-error' | 'cannot-tell';

/**
 * A verdict of change in words, wherever it is told: alone, or with whose error it was held against.
 * @example changeWords('real-gain') // → 'a real gain'
 */
export function changeWords(kind: ChangeKind, error?: string): string {
  switch (kind) {
    case 'real-gain':
      return `a real gain${error === undefined ? '' : `, past ${error}`}`;
    case 'real-loss':
      return `a real loss${error === undefined ? '' : `, past ${error}`}`;
    case 'inside-error':
      return `inside ${error ?? 'the error'}`;
    case 'cannot-tell':
      return 'cannot tell';
  }
}

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
 * Whose error it is, as it stands in a sentence: "your" only where it is the examiner's own.
 * @example errorName({ own: true }, { own: false }) // → 'the default error'
 */
export function errorName(a: Pick<Measured, 'own'>, b: Pick<Measured, 'own'>): string {
  return a.own === true && b.own === true ? 'your error' : 'the default error';
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
  const mdc = detectable(earlier, later);
  const kind = Math.abs(gain) <= mdc ? 'inside-error' : gain > 0 ? 'real-gain' : 'real-loss';
  const error = `${errorName(earlier, later)} of ±${formatValue(mdc, motion.unit)}`;
  return { kind, delta, gain, mdc, words: `${formatSigned(gain, motion.unit)}: ${changeWords(kind, error)}` };
}

/**
 * A change between two values that cannot be compared: another instrument or another examiner, and nobody has studied the difference.
 * @example cannotTell({ value: 10, sem: 2 }, { value: 22, sem: 2 }, motion, 'another instrument').kind // → 'cannot-tell'
 */
export function cannotTell(earlier: Measured, later: Measured, motion: Pick<Motion, 'unit' | 'better'>, because: string): ChangeVerdict {
  const delta = later.value - earlier.value;
  const gain = motion.better === 'higher' ? delta : -delta;
  return {
    kind: 'cannot-tell',
    delta,
    gain,
    mdc: detectable(earlier, later),
    words: `${formatSigned(gain, motion.unit)}: ${changeWords('cannot-tell')}, ${because}`,
  };
}
