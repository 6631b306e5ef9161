import type { Known } from '../forecast/index.ts';
import { outlookOf } from './outlook.ts';
import type { Schedule } from './schedule.ts';

/** Months of four weeks are looked at one by one, so many at most: who cannot see it in half a year is not chasing it any more. */
const MONTH_DAYS = 28;
const MONTHS = 6;

export interface Moving {
  /** The first number of weeks after which what was gained is as much as a month's measuring can show; null where none is. */
  readonly weeks: number | null;
  /** What those weeks, or all that were looked at, are expected to bring over today's level. */
  readonly gain: number;
  /** The smallest change that the readings of one month can tell from those of another. */
  readonly measurable: number;
}

/**
 * Whether a motion still moves under a schedule: the middle of what it brings over today's level, month by month, against the smallest change
 * that a month's readings can tell from error. That is the MDC95 of two single readings over the root of how many a month has, because means of
 * n readings of different days err by √n less. `mdc`: of two single readings of two days.
 */
export function movingOf(known: Known, schedule: Schedule, since: number, mdc: number, paths = 2000, seed = 1): Moving {
  const measurable = mdc / Math.sqrt(Math.max(1, Math.round((schedule.perWeek * MONTH_DAYS) / 7)));
  const going = { ...schedule, startsInWeeks: 0, away: null };
  const { fan } = outlookOf(known, going, { since, end: MONTHS * MONTH_DAYS, goal: null, paths, seed });
  const middle = (day: number) => {
    const { levels } = fan.reduce((best, each) => (Math.abs(each.day - day) < Math.abs(best.day - day) ? each : best));
    return levels[(levels.length - 1) / 2]!;
  };
  const gainAt = (month: number) => middle(month * MONTH_DAYS) - middle(0);
  for (let month = 1; month <= MONTHS; month++)
    if (gainAt(month) >= measurable) return { weeks: (month * MONTH_DAYS) / 7, gain: gainAt(month), measurable };
  return { weeks: null, gain: gainAt(MONTHS), measurable };
}

export const MOVING_WEEKS = (MONTHS * MONTH_DAYS) / 7;
