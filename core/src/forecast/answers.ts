import { DIMENSIONS as D, FADE, KEPT, RESPONSE, ROOM } from './parameters.ts';
import { FLOOR, LEVEL, STATE } from './filter.ts';
import { chanceOf, pathsOf } from './paths.ts';
import { learn, type Known } from './posterior.ts';

/** A middle and two ends between which eight in ten lie. */
export interface Middle {
  readonly middle: number;
  readonly low: number;
  readonly high: number;
}

/** Middle and ends of something that follows from the parameters: weighted quantiles 0.1, 0.5 and 0.9. */
function middleOf({ count, weights }: Known, values: Float64Array): Middle {
  const order = Uint32Array.from({ length: count }, (_, i) => i).sort((a, b) => values[a]! - values[b]!);
  const [low, middle, high] = [0.1, 0.5, 0.9].map((share) => {
    let sum = 0;
    for (const i of order) if ((sum += weights[i]!) >= share) return values[i]!;
    return values[order.at(-1)!]!;
  });
  return { middle: middle!, low: low!, high: high! };
}

const each = (known: Known, of: (theta: Float64Array, from: number, states: Float64Array, state: number) => number) =>
  Float64Array.from({ length: known.count }, (_, i) => of(known.theta, i * D, known.states, i * STATE));

/** Share of what a visit gains that is still there some days later, with nothing done meanwhile. */
export const keptAfter = (known: Known, days: number): Middle =>
  middleOf(
    known,
    each(known, (theta, from) => theta[from + KEPT]! * Math.exp(-days / theta[from + FADE]!)),
  );

/** Days until half of what is above the floor is gone, with nothing done. */
export const halfGone = (known: Known): Middle =>
  middleOf(
    known,
    each(known, (theta, from) => theta[from + FADE]! * Math.LN2),
  );

/** What the next visit adds to the held level, `since` days after the last occasion, given its usual gain. */
export const nextKept = (known: Known, since: number, usualGain: number): Middle => nextKepts(known, since, usualGain, 1, 1)[0]!;

/**
 * What each of the next visits adds to the held level, `apart` days from one to the next, given their usual gain: what is held already leaves
 * less room. A further visit is never counted for more than the one before, though more may have faded in between.
 */
export function nextKepts(known: Known, since: number, usualGain: number, apart: number, count: number): Middle[] {
  const added = Array.from({ length: count }, () => new Float64Array(known.count));
  for (let i = 0; i < known.count; i++) {
    const [from, state] = [i * D, i * STATE];
    const floor = known.states[state + FLOOR]!;
    const fade = known.theta[from + FADE]!;
    let above = (known.states[state + LEVEL]! - floor) * Math.exp(-since / fade);
    let least = Number.POSITIVE_INFINITY;
    for (const values of added) {
      const gain = known.theta[from + KEPT]! * known.theta[from + RESPONSE]! * usualGain * (1 - above / known.theta[from + ROOM]!);
      least = Math.min(least, gain);
      values[i] = least;
      above = (above + gain) * Math.exp(-apart / fade);
    }
  }
  return added.map((values) => middleOf(known, values));
}

/** What a visit leaves, with the mean beside its middle. */
export interface Left extends Middle {
  readonly mean: number;
}

/**
 * What the next visit, `since` days after the last occasion, leaves of each unit of its usual gain so many days later: κ·s·(1 − (x − b)/c)·e^(−days/τ).
 * Below nothing: less than before. Linear in level and floor, which given the parameters are normal, so their means are enough for its mean;
 * the band is of the parameters.
 */
export function leftOfUsual(known: Known, since: number, days: number): Left {
  return leftOf(
    known,
    each(known, (theta, from, states, state) => {
      const above = (states[state + LEVEL]! - states[state + FLOOR]!) * Math.exp(-since / theta[from + FADE]!);
      return theta[from + KEPT]! * theta[from + RESPONSE]! * (1 - above / theta[from + ROOM]!) * Math.exp(-days / theta[from + FADE]!);
    }),
  );
}

/** The same for somebody of whom nothing was read yet, at the floor. */
export function usuallyLeft(days: number): Left {
  const known = nothingRead();
  return leftOf(
    known,
    each(known, (theta, from) => theta[from + KEPT]! * theta[from + RESPONSE]! * Math.exp(-days / theta[from + FADE]!)),
  );
}

function leftOf(known: Known, values: Float64Array): Left {
  let mean = 0;
  for (let i = 0; i < known.count; i++) mean += known.weights[i]! * values[i]!;
  return { ...middleOf(known, values), mean };
}

let unread: Known | null = null;
const nothingRead = (): Known => (unread ??= learn({ ground: { floorMean: 0, floorSd: 1, fullGain: 1 }, occasions: [] }));

/** Mean and variance of what a visit leaves behind at the floor, in full visits. */
function leftBehind(known: Known): { readonly mean: number; readonly variance: number } {
  const values = each(known, (theta, from) => theta[from + KEPT]! * theta[from + RESPONSE]!);
  let [mean, square] = [0, 0];
  for (let i = 0; i < known.count; i++) {
    mean += known.weights[i]! * values[i]!;
    square += known.weights[i]! * values[i]! ** 2;
  }
  return { mean, variance: square - mean ** 2 };
}

let beforehand: number | null = null;
/**
 * How much of the doubt about what a visit leaves behind the athlete's own readings have taken away: 0 nothing is their own yet, 1 everything
 * is. One less the variance that is left over the variance before anything was read.
 */
export function ownShare(known: Known): number {
  beforehand ??= leftBehind(nothingRead()).variance;
  return Math.min(1, Math.max(0, 1 - leftBehind(known).variance / beforehand));
}

/** Visits a week that can be asked about. */
export const RHYTHMS = [0, 1, 2, 3, 4, 5] as const;

/** Days of visits, so many a week and evenly spread, from a first day to the day before an end; at the middle of their share of the week. */
export function visitDays(perWeek: number, from: number, end: number): number[] {
  const days: number[] = [];
  if (!(perWeek > 0)) return days;
  for (let n = 0; ; n++) {
    const day = from + Math.floor(((n + 0.5) * 7) / perWeek);
    if (day >= end) return days;
    days.push(day);
  }
}

/** What a number of visits a week, with home work or without, comes to. */
export interface RhythmChance {
  readonly perWeek: number;
  readonly chance: number;
}

/** A chance from this on is called likely enough to plan with. */
export const LIKELY = 0.8;

/**
 * The chance that the level stands at or above a value on a day, for each number of visits a week. Every rhythm meets the same athletes on
 * the same days, so that what differs is the rhythm. `homeShare`: the share of days with home work.
 */
export function chancesByRhythm(
  known: Known,
  {
    since,
    day,
    level,
    usualGain,
    homeShare,
  }: {
    readonly since: number;
    readonly day: number;
    readonly level: number;
    readonly usualGain: number;
    readonly homeShare: number;
  },
  count: number,
  seed: number,
): RhythmChance[] {
  return RHYTHMS.map((perWeek) => {
    const visits = visitDays(perWeek, 0, day).map((on) => ({ day: on, usualGain }));
    return { perWeek, chance: chanceOf(pathsOf(known, { since, visits, homeShare, at: [day] }, count, seed), 0, level) };
  });
}

/** The fewest visits a week that make it likely; null where none of those asked about does. */
export const fewestVisits = (chances: readonly RhythmChance[]): number | null =>
  chances.find(({ chance }) => chance >= LIKELY)?.perWeek ?? null;
