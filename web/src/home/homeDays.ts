import { DateTime } from 'luxon';

/** Days of a week stand on a sheet; a longer one is ticked off week by week. */
const MOST_DAYS = 7;

/** The days that stand over the boxes: from the day after the visit, a week of them at most. Days are `YYYY-MM-DD`. */
export function sheetDays(visitDay: string, until: string): string[] {
  const days: string[] = [];
  for (
    let day = DateTime.fromISO(visitDay).plus({ days: 1 });
    day.toISODate()! <= until && days.length < MOST_DAYS;
    day = day.plus({ days: 1 })
  )
    days.push(day.toISODate()!);
  return days;
}

/** A day as it stands over its boxes: “Fri 27”. */
export const dayHead = (day: string): string => DateTime.fromISO(day).toFormat('ccc d');

/** A day as it is said on the sheet: “Friday 27 November”. */
export const dayWords = (day: string): string => DateTime.fromISO(day).toFormat('cccc d LLLL');
