import { addDays, dayLoads } from './days.ts';
import { LONG_DAYS, SHORT_DAYS, uncoupled, weekFigures, weightedMeans, type ShortAndLong, type WeekFigures } from './figures.ts';
import type { DayLoad, LoadFields } from './types.ts';

/** One athlete's load as far as it can be told on a day. */
export interface LoadHistory {
  /** From the first day anything was written (at most `days` back) to the day itself, oldest first. */
  readonly days: readonly DayLoad[];
  /** Of the seven days that end on it; null with fewer than seven behind. */
  readonly week: WeekFigures | null;
  readonly rolling: ShortAndLong;
  readonly weighted: ShortAndLong;
  /** Day by day, beside `days`. */
  readonly shortMeans: readonly (number | null)[];
  readonly longMeans: readonly (number | null)[];
  /** Sessions among them that nobody rated: every figure is at least this. */
  readonly unrated: number;
}

/** The days from the first session that was written, at most so many back, to the day itself; none where none was written. */
export function daysKnown(loads: readonly LoadFields[], onDay: string, most: number): DayLoad[] {
  let first: string | null = null;
  for (const { planned, onDate } of loads) if (!planned && onDate <= onDay && (first === null || onDate < first)) first = onDate;
  const earliest = addDays(onDay, 1 - most);
  return first === null ? [] : dayLoads(loads, first > earliest ? first : earliest, onDay);
}

/**
 * What load comes to on a day. Days before the first session that was written are unknown, not restful: they are in no mean.
 * @example loadHistory([], '2026-03-01').week // → null
 */
export function loadHistory(loads: readonly LoadFields[], onDay: string, most = 400): LoadHistory {
  const days = daysKnown(loads, onDay, most);
  const values = days.map((day) => day.load);
  const shortMeans = weightedMeans(values, SHORT_DAYS);
  const longMeans = weightedMeans(values, LONG_DAYS);
  const [short, long] = [shortMeans.at(-1) ?? null, longMeans.at(-1) ?? null];
  return {
    days,
    week: values.length >= 7 ? weekFigures(values.slice(-7)) : null,
    rolling: uncoupled(values),
    weighted: { short, long, ratio: short === null || long === null || long === 0 ? null : short / long },
    shortMeans,
    longMeans,
    unrated: days.reduce((sum, day) => sum + day.unrated, 0),
  };
}
