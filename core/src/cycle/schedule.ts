import { visitDays, type Ahead } from '../forecast/index.ts';

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
