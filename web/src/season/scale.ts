import { DateTime } from 'luxon';
import { daysBetween } from '@pace-bend/core/caution';
import { addDays } from '@pace-bend/core/load';

/** How much of a season is looked at, in weeks. */
export const SPANS = [20, 40, 60] as const;
export type Span = (typeof SPANS)[number];

/** A drawing's days from left to right. */
export interface Scale {
  readonly from: string;
  readonly until: string;
  readonly x: (day: string) => number;
  /** The day at a place, whole. */
  readonly dayAt: (x: number) => string;
  readonly dayWidth: number;
  readonly left: number;
  readonly right: number;
}

/** The drawing's own units: it is as wide as this wherever it stands. */
export const DRAWING = { width: 760, left: 104, right: 752 } as const;

/** Some weeks of days, beginning on a Monday; `shift`: so many weeks later than usual, where today stands at a third. */
export function scaleOf(today: string, weeks: Span, shift: number): Scale {
  const from = DateTime.fromISO(today, { zone: 'utc' })
    .startOf('week')
    .plus({ weeks: shift - Math.round(weeks * 0.3) })
    .toISODate()!;
  const days = weeks * 7;
  const { left, right } = DRAWING;
  const dayWidth = (right - left) / days;
  return {
    from,
    until: addDays(from, days),
    x: (day) => left + Math.min(days, Math.max(0, daysBetween(from, day))) * dayWidth,
    dayAt: (x) => addDays(from, Math.round((x - left) / dayWidth)),
    dayWidth,
    left,
    right,
  };
}

/** Mondays of a scale with their number in the month, and where a month begins. */
export function ticksOf(
  { from, until }: Scale,
  everyWeeks: number,
): { readonly day: string; readonly label: string; readonly month: string | null }[] {
  const ticks: { day: string; label: string; month: string | null }[] = [];
  let last = '';
  for (let day = from, i = 0; day < until; day = addDays(day, 7), i++) {
    const date = DateTime.fromISO(day, { zone: 'utc' });
    const month = date.toFormat(date.month === 1 || i === 0 ? 'LLL yyyy' : 'LLL');
    const begins = date.toFormat('LLL') !== last;
    if (i % everyWeeks === 0 || begins)
      ticks.push({ day, label: i % everyWeeks === 0 ? String(date.day) : '', month: begins ? month : null });
    last = date.toFormat('LLL');
  }
  return ticks;
}

/** A day as it is said, with the year where it is another one than that of a day it is seen from. */
export function dayWords(day: string, from: string): string {
  return DateTime.fromISO(day, { zone: 'utc' }).toFormat(day.slice(0, 4) === from.slice(0, 4) ? 'd LLL' : 'd LLL yyyy');
}
