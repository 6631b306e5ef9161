import { DIMENSIONS as D } from './parameters.ts';
import { ENOUGH_ESS, learn, reweighed, USUAL, type Known } from './posterior.ts';
import type { Course } from './types.ts';

/** A series with whose it is: motions and sides of one athlete are alike more than those of two. */
export interface Whose {
  readonly athleteId: string;
  readonly course: Course;
  /** What its own readings say, under the plain prior. */
  readonly known: Known;
}

/**
 * How alike series are beforehand, as shares of the whole spread: what all of a practice have in common (its hands, its ways, its people), and
 * what an athlete's motions have in common beyond that. The rest is each series' own. Common practice; no study known.
 */
export const COMMON_TO_PRACTICE = 0.2;
export const COMMON_TO_ATHLETE = 0.3;

/** What the readings of one series say of one number: a value with its variance, or null where they say nothing. */
interface Said {
  readonly value: number;
  readonly variance: number;
}

/**
 * Partial pooling over the motions and athletes of a practice.
 *
 * The model, number by number: z = P + A + E, where P is shared by the practice, A by an athlete's motions and E is the series' own, normal
 * about 0 with variances 0.2, 0.3 and 0.5; so a series by itself has the prior it had, and two series go together. What the readings of a
 * series say of z is taken from its draws: a posterior with mean m and variance v under a prior of 0 and 1 is the same as a reading of
 * m/(1 − v) with variance v/(1 − v). Of all others' readings the normal model gives exactly what is to be expected of this one, and its draws
 * are weighted by that in place of the plain prior; where too few of them count then, it is learned anew under it. Nobody's own readings are counted twice: what is expected of a series leaves it out.
 *
 * Limits. The six numbers pool each by itself, and what readings say is taken as normal; the weighting itself is exact.
 * Comes back in the order it was given, where only the `first` are wanted those; work grows with the number of series.
 */
export function pooled(series: readonly Whose[], first = series.length): Known[] {
  const expected = series.map(() => ({ mean: new Float64Array(D), sd: new Float64Array(D) }));
  for (let k = 0; k < D; k++)
    for (const [i, { mean, variance }] of expectedOf(
      series.map(({ athleteId, known }) => ({ athleteId, said: saidOf(known, k) })),
    ).entries()) {
      expected[i]!.mean[k] = mean;
      expected[i]!.sd[k] = Math.sqrt(variance);
    }
  return series.slice(0, first).map(({ course, known }, i) => {
    const again = reweighed(known, USUAL, expected[i]!);
    return again.ess >= ENOUGH_ESS ? again : learn(course, expected[i]!, i + 1);
  });
}

/** A posterior hardly narrower than its prior says nothing that its draws could tell from chance. */
const LEAST_SAID = 0.01;

function saidOf({ count, z, weights }: Known, k: number): Said | null {
  let [mean, square] = [0, 0];
  for (let i = 0; i < count; i++) {
    const value = z[i * D + k]!;
    mean += weights[i]! * value;
    square += weights[i]! * value * value;
  }
  const variance = square - mean * mean;
  return variance > 1 - LEAST_SAID || variance <= 0 ? null : { value: mean / (1 - variance), variance: variance / (1 - variance) };
}

/**
 * What the others' values make one expect of each: mean and variance.
 * @example expectedOf([{ athleteId: 'a', said: null }]) // → [{ mean: 0, variance: 1 }]
 */
export function expectedOf(
  series: readonly { readonly athleteId: string; readonly said: Said | null }[],
): { readonly mean: number; readonly variance: number }[] {
  const own = 1 - COMMON_TO_PRACTICE - COMMON_TO_ATHLETE;
  const athletes = new Map<string, { precision: number; weighted: number }>();
  const part = ({ value, variance }: Said) => ({ precision: 1 / (variance + own), weighted: value / (variance + own) });
  for (const { athleteId, said } of series) {
    const sum = athletes.get(athleteId) ?? { precision: 0, weighted: 0 };
    if (said) {
      sum.precision += part(said).precision;
      sum.weighted += part(said).weighted;
    }
    athletes.set(athleteId, sum);
  }
  /** What one athlete's series say of the practice. */
  const ofPractice = ({ precision, weighted }: { precision: number; weighted: number }) =>
    precision === 0
      ? { precision: 0, weighted: 0 }
      : { precision: 1 / (COMMON_TO_ATHLETE + 1 / precision), weighted: weighted / precision / (COMMON_TO_ATHLETE + 1 / precision) };
  let practice = { precision: 1 / COMMON_TO_PRACTICE, weighted: 0 };
  for (const each of athletes.values()) {
    const { precision, weighted } = ofPractice(each);
    practice = { precision: practice.precision + precision, weighted: practice.weighted + weighted };
  }
  return series.map(({ athleteId, said }) => {
    const all = athletes.get(athleteId)!;
    const mine = said ? part(said) : { precision: 0, weighted: 0 };
    const others = { precision: all.precision - mine.precision, weighted: all.weighted - mine.weighted };
    const whole = ofPractice(all);
    // The practice without this athlete, then this athlete's other series.
    const precision = practice.precision - whole.precision;
    const [mean, variance] = [(practice.weighted - whole.weighted) / precision, 1 / precision];
    const athlete = 1 / (1 / (variance + COMMON_TO_ATHLETE) + others.precision);
    return {
      mean: athlete * (mean / (variance + COMMON_TO_ATHLETE) + others.weighted),
      variance: athlete + own,
    };
  });
}
