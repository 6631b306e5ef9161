import type { Motion } from '../body/index.ts';
import { formatValue } from './words.ts';

/** What a set of trials says: its value is the mean, its spread is how well it repeats. */
export interface TrialSummary {
  readonly n: number;
  readonly mean: number;
  /** Sample standard deviation (n − 1); null for a single trial. */
  readonly sd: number | null;
  /** Largest minus smallest. */
  readonly spread: number;
}

/** Trials a side; the customary three plus two more when the first ones scatter. */
export const TRIALS_USUAL = 3;
export const TRIALS_MOST = 5;

/**
 * Mean, sample SD and spread of trials, all in the trials' own unit.
 * Throws a RangeError for an empty list or a value that is not finite.
 * @example summariseTrials([3, 5, 4]).mean // → 4
 */
export function summariseTrials(trials: readonly number[]): TrialSummary {
  if (trials.length === 0) throw new RangeError('A reading needs at least one trial.');
  if (!trials.every(Number.isFinite)) throw new RangeError('Every trial must be a finite number.');
  const n = trials.length;
  const mean = trials.reduce((sum, value) => sum + value, 0) / n;
  const squares = trials.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { n, mean, sd: n > 1 ? Math.sqrt(squares / (n - 1)) : null, spread: Math.max(...trials) - Math.min(...trials) };
}

/** A trial as typed: either a number that can be, or the sentence that says what is wrong. */
export type TypedTrial = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/**
 * Reads one typed trial for a motion. A comma is taken as the decimal point; one decimal is kept.
 * The message names the motion's own limits, so that it can stand beside the field as it is.
 * @example parseTrial('12,5', motion).value // → 12.5
 */
export function parseTrial(typed: string, motion: Pick<Motion, 'unit' | 'possible'>): TypedTrial {
  const text = typed.trim().replace(',', '.').replace('−', '-');
  const unitName = motion.unit === 'deg' ? 'degrees' : 'centimetres';
  if (!/^-?\d{1,3}(\.\d*)?$/.test(text)) {
    return { ok: false, message: `“${typed.trim().slice(0, 12)}” is not a number of ${unitName}.` };
  }
  const value = Math.round(Number(text) * 10) / 10;
  const { min, max } = motion.possible;
  if (value < min || value > max) {
    const reason = motion.unit === 'cm' && min === 0 && value < 0 ? 'A distance cannot be negative' : 'Outside what this motion can read';
    return { ok: false, message: `${reason}: ${formatValue(min, motion.unit, 0)} to ${formatValue(max, motion.unit, 0)}.` };
  }
  return { ok: true, value };
}
