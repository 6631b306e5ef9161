import { dayNumber } from '../body/index.ts';
import { median } from './normal.ts';
import type { DayValue } from './normal.ts';

/** Intervals between beats as they were read from a file, or why they cannot be. */
export type IntervalsRead =
  | { readonly kind: 'intervals'; readonly ms: readonly number[] }
  | { readonly kind: 'unreadable'; readonly line: number; readonly message: string };

/** Longer files are no morning's reading. */
const MOST_INTERVALS = 5000;
const POSSIBLE_MS = { min: 250, max: 2500 };

/**
 * Reads intervals from plain text or CSV: one a line, or the last column of a table that may have a heading; milliseconds, or seconds
 * where every value is below 5. Nothing half is read: the first line that is no interval is named.
 * @example readIntervals('RR\n812\n798\n').ms // → [812, 798]
 */
export function readIntervals(text: string): IntervalsRead {
  const ms: number[] = [];
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  for (const [i, line] of lines.entries()) {
    const cell = line
      .split(/[;\t,]/)
      .at(-1)!
      .trim();
    if (line.trim() === '') continue;
    const value = Number(cell);
    if (cell === '' || !Number.isFinite(value) || value <= 0) {
      if (ms.length === 0 && i === 0 && /\p{L}/u.test(line)) continue;
      return { kind: 'unreadable', line: i + 1, message: `“${cell.slice(0, 30)}” is no interval.` };
    }
    if (ms.length === MOST_INTERVALS) return { kind: 'unreadable', line: i + 1, message: `More than ${MOST_INTERVALS} intervals.` };
    ms.push(value);
  }
  if (ms.length === 0) return { kind: 'unreadable', line: 1, message: 'No intervals.' };
  const inMs = ms.every((value) => value < 5) ? ms.map((value) => value * 1000) : ms;
  return { kind: 'intervals', ms: inMs };
}

export type Rmssd =
  | { readonly kind: 'known'; readonly rmssdMs: number; readonly dropped: number; readonly pairs: number }
  | { readonly kind: 'too-noisy'; readonly droppedShare: number }
  | { readonly kind: 'too-short'; readonly pairs: number };

const NOISY_SHARE = 0.05;
const OFF_MEDIAN = 0.2;
const FEWEST_PAIRS = 30;

/**
 * rMSSD of one reading: the root of the mean squared difference of neighbouring intervals, in ms. A beat that differs from the running
 * median of five by more than 20 %, or that no heart makes, is dropped, and no pair across the gap is used; with more than 5 % dropped
 * the reading is too noisy, with fewer than 30 pairs too short. At the ends the five nearest intervals make the median.
 * Formula: common practice; limits from memory, common practice.
 * @example rmssd([]).kind // → 'too-short'
 */
export function rmssd(intervalsMs: readonly number[]): Rmssd {
  const n = intervalsMs.length;
  const kept = intervalsMs.map((value, i) => {
    const from = Math.max(0, Math.min(i - 2, n - 5));
    const middle = median(intervalsMs.slice(from, from + 5));
    return value >= POSSIBLE_MS.min && value <= POSSIBLE_MS.max && Math.abs(value - middle) <= OFF_MEDIAN * middle;
  });
  const dropped = kept.filter((each) => !each).length;
  const squares: number[] = [];
  for (let i = 1; i < n; i++) if (kept[i] && kept[i - 1]) squares.push((intervalsMs[i]! - intervalsMs[i - 1]!) ** 2);
  if (n > 0 && dropped / n > NOISY_SHARE) return { kind: 'too-noisy', droppedShare: dropped / n };
  if (squares.length < FEWEST_PAIRS) return { kind: 'too-short', pairs: squares.length };
  return { kind: 'known', rmssdMs: Math.sqrt(squares.reduce((a, b) => a + b, 0) / squares.length), dropped, pairs: squares.length };
}

/** A day's seven-day mean of ln rMSSD and the band it is held against. */
export interface HrvDay {
  readonly on: string;
  /** Mean of ln rMSSD of the seven days that end here; null with fewer than three values. */
  readonly mean: number | null;
  readonly band: { readonly low: number; readonly high: number } | null;
}

const average = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
const WEEK = 7;
const FEWEST_OF_WEEK = 3;
const BAND_DAYS = 60;
const FEWEST_OF_BAND = 14;
const FEWEST_BAND_DAYS = 28;

/**
 * The seven-day mean of ln rMSSD on a day (at least three values), and the band: mean ± 0.5 SD of the values of the up to 60 days before
 * that week. There is a band once the values reach back 28 days before the week and number at least 14.
 * Source: Plews DJ et al. Sports Med 2013;43:773–781, recalled from memory; how many values are enough: common practice.
 * @example hrvOn([], '2026-03-01').mean // → null
 */
export function hrvOn(values: readonly DayValue[], onDay: string): HrvDay {
  const today = dayNumber(onDay);
  const week: number[] = [];
  const all: number[] = [];
  let furthest = 0;
  for (const { on, value } of values) {
    const ago = today - dayNumber(on);
    if (value === null || value <= 0 || ago < 0 || ago >= WEEK + BAND_DAYS) continue;
    (ago < WEEK ? week : all).push(Math.log(value));
    if (ago > furthest) furthest = ago;
  }
  const mean = week.length >= FEWEST_OF_WEEK ? average(week) : null;
  if (all.length < FEWEST_OF_BAND || furthest < WEEK + FEWEST_BAND_DAYS - 1) return { on: onDay, mean, band: null };
  const middle = average(all);
  const sd = Math.sqrt(all.reduce((sum, ln) => sum + (ln - middle) ** 2, 0) / (all.length - 1));
  return { on: onDay, mean, band: { low: middle - 0.5 * sd, high: middle + 0.5 * sd } };
}
