import { daysBetween } from '../caution/index.ts';
import { visitDays, type Ahead } from '../forecast/index.ts';
import { addDays } from '../load/index.ts';
import type { PlannedRhythm, Stay } from '../season/index.ts';

/** A way to go on from today, as somebody thinks of it. Days and weeks count from today. */
export interface Schedule {
  readonly perWeek: number;
  /** Of one visit, in the motion's unit: its rounds at what their way brings. */
  readonly usualGain: number;
  /** Days of home work in a week, 0 to 7. */
  readonly homeDays: number;
  /** Weeks until the first visit. */
  readonly startsInWeeks: number;
  /** Weeks without visits, first and number; null for none. */
  readonly away: { readonly fromWeek: number; readonly weeks: number } | null;
}

/** Days a week that are meant where home work is meant without a number. Common practice: weekdays. */
export const HOME_DAYS = 5;

export const SCHEDULE_LIMITS = { perWeek: 7, homeDays: 7, startsInWeeks: 20, awayWeeks: 20, weeks: 40 } as const;

/** What is done on which day up to an end. Home work goes on while somebody is away: that is what it is for. */
export function aheadOf(schedule: Schedule, since: number, end: number, at: readonly number[]): Ahead {
  const { perWeek, usualGain, homeDays, startsInWeeks, away } = schedule;
  const days = visitDays(perWeek, startsInWeeks * 7, end).filter(
    (day) => away === null || day < away.fromWeek * 7 || day >= (away.fromWeek + away.weeks) * 7,
  );
  return { since, visits: days.map((day) => ({ day, usualGain })), homeShare: homeDays / 7, at };
}

const YEAR_DAYS = 52 * 7;

/** Days of the visits that a planned rhythm would have within a year, without those that are booked and those of an absence without visits. */
export function rhythmDays(
  rhythm: Pick<PlannedRhythm, 'perWeek' | 'from'> | null,
  stays: readonly Pick<Stay, 'from' | 'until' | 'visits'>[],
  booked: ReadonlySet<string>,
  today: string,
): string[] {
  if (!rhythm || rhythm.perWeek === 0) return [];
  const from = rhythm.from > today ? rhythm.from : today;
  const away = stays.filter(({ visits }) => !visits);
  return visitDays(rhythm.perWeek, 1, YEAR_DAYS)
    .map((day) => addDays(from, Math.round(day)))
    .filter((day) => !booked.has(day) && !away.some((stay) => stay.from <= day && day <= stay.until));
}

/** The first absence without visits that begins before a day, in weeks from today, as a schedule has it; null where there is none. */
export function firstAway(stays: readonly Pick<Stay, 'from' | 'until' | 'visits'>[], today: string, before: string): Schedule['away'] {
  const stay = stays
    .filter(({ visits, from, until }) => !visits && until > today && from < before)
    .sort((a, b) => (a.from < b.from ? -1 : 1))[0];
  if (!stay) return null;
  const fromWeek = Math.max(0, Math.floor(daysBetween(today, stay.from) / 7));
  return { fromWeek, weeks: Math.max(1, Math.round((daysBetween(today, stay.until) + 1) / 7) - fromWeek) };
}
