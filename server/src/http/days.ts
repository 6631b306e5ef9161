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

const formats = new Map<string, Intl.DateTimeFormat>();

/**
 * The calendar day it is at an instant in a time zone. By the platform's own formatter, because tables of a whole practice ask for hundreds of
 * thousands; Swedish writes days as the standard does.
 */
export function dayIn(timeZone: string, at: Date): string {
  let format = formats.get(timeZone);
  if (!format)
    formats.set(timeZone, (format = new Intl.DateTimeFormat('sv-SE', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' })));
  return format.format(at);
}
