import { DateTime } from 'luxon';
import { invalid } from './problem.ts';

/** The UTC instants between which a calendar day lies in a time zone. */
export function dayBounds(date: string, timeZone: string): { from: Date; to: Date } {
  const start = DateTime.fromISO(date, { zone: timeZone });
  if (!/^\d{4}-\d{2}-\d{2}$/.test(date) || !start.isValid || start.year < 1990 || start.year > 2200) {
    throw invalid([{ path: 'date', message: 'A day is written YYYY-MM-DD and lies between 1990 and 2200.' }]);
  }
  return { from: start.toJSDate(), to: start.plus({ days: 1 }).toJSDate() };
}

/** The calendar day it is at an instant in a time zone. */
export function dayIn(timeZone: string, at: Date): string {
  return DateTime.fromJSDate(at, { zone: timeZone }).toISODate()!;
}
