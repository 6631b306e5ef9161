import { dayNumber } from '../body/index.ts';

/** A value of one day, or null where it is missing. */
export interface DayValue {
  readonly on: string;
  readonly value: number | null;
}

/** What is usual for one person. */
export type OwnNormal =
  | {
      readonly kind: 'known';
      readonly median: number;
      /** One own unit: 1.4826 times the median absolute deviation, and at least the smallest step that counts. */
      readonly unit: number;
      /** Answers it rests on. */
      readonly answers: number;
    }
  | { readonly kind: 'not-known'; readonly missing: number };

export const NORMAL_DAYS = 28;
export const ANSWERS_NEEDED = 8;
export const ANSWERED_WITHIN_DAYS = 14;
/** Makes the median absolute deviation a standard deviation where values are spread normally. */
const MAD_TO_SD = 1.4826;

/** The middle one, or the mean of the two in the middle. Throws a RangeError for no values. */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('No values have no median.');
  // In short lists, and these are, putting each in its place is several times as quick as a general sort: a morning has thousands.
  const sorted: number[] = [];
  for (const value of values) {
    let at = sorted.length;
    for (; at > 0 && sorted[at - 1]! > value; at--) sorted[at] = sorted[at - 1]!;
    sorted[at] = value;
  }
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/**
 * Somebody's own normal on a day: median and 1.4826·MAD of the 28 days before it. It is known when at least 8 of the last 14 days were
 * answered; otherwise it says how many answers are missing. Somebody who always answers alike has a MAD of 0: one unit is then
 * `smallest`, so that the first other answer is not endlessly far off. The day itself is not part of its own normal.
 * Median and MAD: common practice in robust statistics; days and answers: common practice.
 * @example ownNormal([], '2026-03-01', 0.5).missing // → 8
 */
export function ownNormal(values: readonly DayValue[], onDay: string, smallest: number): OwnNormal {
  const today = dayNumber(onDay);
  return normalOf(
    values.map(({ on }) => today - dayNumber(on)),
    values.map(({ value }) => value),
    smallest,
  );
}

/** The same from how many days ago each value is, for whoever asks about several values of the same days. */
export function normalOf(daysAgo: readonly number[], values: readonly (number | null)[], smallest: number): OwnNormal {
  const all: number[] = [];
  let lately = 0;
  for (let i = 0; i < values.length; i++) {
    const [value, ago] = [values[i]!, daysAgo[i]!];
    if (value === null || ago < 1 || ago > NORMAL_DAYS) continue;
    all.push(value);
    if (ago <= ANSWERED_WITHIN_DAYS) lately += 1;
  }
  if (lately < ANSWERS_NEEDED) return { kind: 'not-known', missing: ANSWERS_NEEDED - lately };
  const middle = median(all);
  const spread = MAD_TO_SD * median(all.map((value) => Math.abs(value - middle)));
  return { kind: 'known', median: middle, unit: Math.max(spread, smallest), answers: all.length };
}

/**
 * How far a value is off the own normal, in own units; positive is worse. Null where either is not known.
 * @example deviation(6, { kind: 'known', median: 3, unit: 1.5, answers: 20 }, 'higher') // → 2
 */
export function deviation(value: number | null, normal: OwnNormal, worse: 'higher' | 'lower'): number | null {
  if (value === null || normal.kind === 'not-known') return null;
  return ((value - normal.median) / normal.unit) * (worse === 'higher' ? 1 : -1);
}
