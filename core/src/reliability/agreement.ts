import type { Unit } from '../body/index.ts';
import { formatSigned, formatValue } from '../measure/words.ts';
import { fitLine } from './regression.ts';
import { tQuantile, tTails } from '../quantile/index.ts';

/** The same side read with two instruments, the mean of each one's trials. */
export interface Pair {
  readonly first: number;
  readonly second: number;
}

export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Two instruments against each other. All values in the unit of the readings. */
export interface Agreement {
  readonly n: number;
  /** First minus second, on average, with its 95 % confidence limits. */
  readonly bias: Estimate;
  readonly sd: number;
  /** Between these lie about 95 of 100 differences; each with its own 95 % confidence limits. */
  readonly lower: Estimate;
  readonly upper: Estimate;
  readonly biasIsReal: boolean;
  /** Whether the difference grows or shrinks with the value itself. */
  readonly slope: { readonly value: number; readonly p: number; readonly isReal: boolean } | null;
  /** One point for each pair, as it is drawn. */
  readonly points: readonly { readonly mean: number; readonly difference: number }[];
  readonly words: string;
}

/**
 * Limits of agreement of two instruments. `multiple` is how many standard deviations the limits lie from the bias: 1.96,
 * or 2 as in the paper's own example. The standard error of the bias is SD/√n, that of a limit √(3 · SD²/n).
 * Throws a RangeError for fewer than three pairs.
 * Source: Bland JM, Altman DG. Lancet 1986;i:307–310.
 */
export function agreement(
  pairs: readonly Pair[],
  unit: Unit,
  names: readonly [string, string] = ['the first', 'the second'],
  multiple = 1.96,
): Agreement {
  const n = pairs.length;
  if (n < 3) throw new RangeError('Agreement needs at least three sides read with both instruments.');
  const points = pairs.map(({ first, second }) => ({ mean: (first + second) / 2, difference: first - second }));
  const mean = points.reduce((sum, { difference }) => sum + difference, 0) / n;
  const sd = Math.sqrt(points.reduce((sum, { difference }) => sum + (difference - mean) ** 2, 0) / (n - 1));
  const t = tQuantile(0.975, n - 1);
  const around = (value: number, error: number): Estimate => ({ value, low: value - t * error, high: value + t * error });
  const bias = around(mean, sd / Math.sqrt(n));
  const limitError = Math.sqrt((3 * sd ** 2) / n);
  const [lower, upper] = [around(mean - multiple * sd, limitError), around(mean + multiple * sd, limitError)];
  const biasIsReal = bias.low > 0 || bias.high < 0;
  const slope = slopeOf(points);
  return { n, bias, sd, lower, upper, biasIsReal, slope, points, words: sentence() };

  /** What becomes of the distance between the two as the range grows: not of its sign. */
  function growth(steepness: number): string {
    const middle = points.reduce((sum, each) => sum + each.mean, 0) / n;
    const at = (value: number) => mean + steepness * (value - middle);
    const [low, high] = [at(Math.min(...points.map((each) => each.mean))), at(Math.max(...points.map((each) => each.mean)))];
    return low * high < 0 ? 'changes from one sign to the other' : Math.abs(high) > Math.abs(low) ? 'grows' : 'shrinks';
  }

  function sentence(): string {
    const [first, second] = names;
    const side = mean > 0 ? 'more' : 'less';
    const shift = biasIsReal
      ? `${capital(first)} reads ${formatValue(Math.abs(mean), unit)} ${side} than ${second}.`
      : `No steady difference between ${first} and ${second} was found (${formatSigned(mean, unit)} on average, which may be chance).`;
    const grows = slope?.isReal
      ? ` The difference ${growth(slope.value)} with the range itself, so one figure does not fit all of it.`
      : '';
    return `${shift} For one person they may lie from ${formatSigned(lower.value, unit)} to ${formatSigned(upper.value, unit)} apart.${grows}`;
  }
}

function slopeOf(points: Agreement['points']): Agreement['slope'] {
  if (new Set(points.map(({ mean }) => mean)).size < 2) return null;
  const { slope, slopeError, n } = fitLine(points.map(({ mean, difference }) => ({ x: mean, y: difference })));
  if (!(slopeError > 0)) return { value: slope, p: slope === 0 ? 1 : 0, isReal: slope !== 0 };
  const p = tTails(slope / slopeError, n - 2);
  return { value: slope, p, isReal: p < 0.05 };
}

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);
