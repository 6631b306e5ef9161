import library from 'jstat';

const { centralF, studentt, chisquare } = library.jStat;

/**
 * The value that an F-distributed quantity stays below with a probability; the degrees of freedom need not be whole.
 * Throws a RangeError for a probability outside 0 to 1 or degrees of freedom that are not positive.
 * @example fQuantile(0.975, 5, 15) // → 3.576
 */
export function fQuantile(probability: number, df1: number, df2: number): number {
  check(probability, df1, df2);
  return centralF.inv(probability, df1, df2);
}

/**
 * The same for Student's t.
 * @example tQuantile(0.975, 16) // → 2.120
 */
export function tQuantile(probability: number, df: number): number {
  check(probability, df);
  return studentt.inv(probability, df);
}

/**
 * The same for chi-squared.
 * @example chiSquaredQuantile(0.025, 10) // → 3.247
 */
export function chiSquaredQuantile(probability: number, df: number): number {
  check(probability, df);
  return chisquare.inv(probability, df);
}

/** Chance of an F value at least this large when nothing is behind it. */
export function fTail(value: number, df1: number, df2: number): number {
  check(0.5, df1, df2);
  return 1 - centralF.cdf(value, df1, df2);
}

/** Chance of a t value at least this far from zero, either way, when nothing is behind it. */
export function tTails(value: number, df: number): number {
  check(0.5, df);
  return 2 * (1 - studentt.cdf(Math.abs(value), df));
}

function check(probability: number, ...df: number[]): void {
  if (!(probability > 0 && probability < 1)) throw new RangeError('A probability lies between 0 and 1.');
  if (!df.every((each) => Number.isFinite(each) && each > 0)) throw new RangeError('Degrees of freedom are positive numbers.');
}
