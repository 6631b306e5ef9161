/** One week in figures, in the units of a session load. */
export interface WeekFigures {
  readonly sum: number;
  readonly mean: number;
  readonly sd: number;
  /** Mean over SD; null where every day was alike, and it is not defined. */
  readonly monotony: number | null;
  readonly strain: number | null;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * Sum, monotony (daily mean over the sample SD of the days, rest days as 0) and strain (sum × monotony) of seven days. Where all days
 * are alike the SD is 0 and monotony and strain are not defined: null, never infinite. Throws a RangeError unless there are seven days.
 * Source: Foster C. Med Sci Sports Exerc 1998;30:1164–1168, recalled from memory.
 * @example weekFigures([300, 0, 300, 0, 300, 0, 0]).monotony.toFixed(2) // → '0.80'
 */
export function weekFigures(days: readonly number[]): WeekFigures {
  if (days.length !== 7) throw new RangeError('A week has seven days.');
  const average = mean(days);
  const sd = Math.sqrt(days.reduce((sum, day) => sum + (day - average) ** 2, 0) / 6);
  const sum = days.reduce((total, day) => total + day, 0);
  // Alike to the last digit that a sum of loads can carry.
  const monotony = sd > 1e-9 * Math.max(1, average) ? average / sd : null;
  return { sum, mean: average, sd, monotony, strain: monotony === null ? null : sum * monotony };
}

/** A short mean against a long one, per day; null where there are too few days behind it. */
export interface ShortAndLong {
  readonly short: number | null;
  readonly long: number | null;
  readonly ratio: number | null;
}

export const SHORT_DAYS = 7;
export const LONG_DAYS = 28;

/**
 * Rolling means that share no day: the last 7 days against the 28 before them (days 8–35). `days` is oldest first and ends today; a mean
 * with too few days behind it is null, and so is the ratio over a long mean of 0.
 * @example uncoupled(Array(35).fill(100)) // → { short: 100, long: 100, ratio: 1 }
 */
export function uncoupled(days: readonly number[]): ShortAndLong {
  const short = days.length >= SHORT_DAYS ? mean(days.slice(-SHORT_DAYS)) : null;
  const long = days.length >= SHORT_DAYS + LONG_DAYS ? mean(days.slice(-SHORT_DAYS - LONG_DAYS, -SHORT_DAYS)) : null;
  return { short, long, ratio: ratioOf(short, long) };
}

const ratioOf = (short: number | null, long: number | null) => (short === null || long === null || long === 0 ? null : short / long);

/**
 * The exponentially weighted mean of each day, λ = 2/(N + 1), started from the mean of the first N days and not from 0; null for the days
 * before it can start. `days` is oldest first. Throws a RangeError for an N below 1.
 * Source: Williams S et al. Br J Sports Med 2017;51:209–210, recalled from memory; the start from a mean: common practice.
 * @example weightedMeans([1, 2, 3, 4], 3) // → [null, null, 2, 3]
 */
export function weightedMeans(days: readonly number[], n: number): (number | null)[] {
  if (!(n >= 1)) throw new RangeError('The mean runs over one day at least.');
  const weight = 2 / (n + 1);
  let last: number | null = null;
  return days.map((day, i) => {
    if (i === n - 1) last = mean(days.slice(0, n));
    else if (last !== null) last = weight * day + (1 - weight) * last;
    return last;
  });
}

/** What stands beside short against long wherever it is shown. */
export const CONTESTED =
  'Short against long is a description, not a risk: whether it foretells injury is contested (Gabbett 2016 for it, Impellizzeri 2020 against it).';
