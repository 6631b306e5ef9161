import type { Motion } from '../body/index.ts';
import type { LevelInput } from './localLevel.ts';
import { changeWords, formatSigned, formatValue } from '../measure/index.ts';

export interface Period {
  /** Days, both included. */
  readonly from: number;
  readonly to: number;
}

export interface PeriodSummary {
  readonly n: number;
  readonly mean: number;
  /** Standard error of the mean, in the motion's unit. */
  readonly error: number;
}

export interface PeriodComparison {
  readonly first: PeriodSummary | null;
  readonly second: PeriodSummary | null;
  /** Second minus first, plus is more range; null when a period has no reading. */
  readonly gain: number | null;
  /** How much the gain must exceed to be real. */
  readonly limit: number | null;
  readonly isReal: boolean;
  readonly words: string;
}

/**
 * Compares the readings before work of one period with those of another. The error of a mean of n readings is the larger
 * of the known measuring error and the readings' own scatter, over √n: readings that lie closer together than they can be
 * measured do not count as more exact. A difference is real when it exceeds 1.96 times the error of the difference.
 */
export function comparePeriods(
  readings: readonly LevelInput[],
  first: Period,
  second: Period,
  motion: Pick<Motion, 'unit' | 'better'>,
): PeriodComparison {
  const [a, b] = [summarise(readings, first), summarise(readings, second)];
  if (!a || !b)
    return {
      first: a,
      second: b,
      gain: null,
      limit: null,
      isReal: false,
      words: `Nothing was read in the ${!a ? 'first' : 'second'} period`,
    };
  const gain = (b.mean - a.mean) * (motion.better === 'higher' ? 1 : -1);
  const limit = 1.96 * Math.hypot(a.error, b.error);
  const isReal = Math.abs(gain) > limit;
  const verdict = changeWords(
    isReal ? (gain > 0 ? 'real-gain' : 'real-loss') : 'inside-error',
    `the error of ±${formatValue(limit, motion.unit)}`,
  );
  return { first: a, second: b, gain, limit, isReal, words: `${formatSigned(gain, motion.unit)}: ${verdict}` };
}

function summarise(readings: readonly LevelInput[], { from, to }: Period): PeriodSummary | null {
  const inside = readings.filter(({ day }) => day >= from && day <= to);
  const n = inside.length;
  if (n === 0) return null;
  const mean = inside.reduce((sum, { value }) => sum + value, 0) / n;
  const known = inside.reduce((sum, { sem }) => sum + sem ** 2, 0) / n;
  const scatter = n > 1 ? inside.reduce((sum, { value }) => sum + (value - mean) ** 2, 0) / (n - 1) : 0;
  return { n, mean, error: Math.sqrt(Math.max(known, scatter) / n) };
}
