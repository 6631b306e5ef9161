import { DateTime } from 'luxon';
import { isDay, readTypedDay, type DayOrder } from '@pace-bend/core/record';
import { t } from '../words/parts.ts';

/**
 * In which order a place writes day, month and year in figures.
 * @example orderOfPlace('en-US') // → 'mdy'
 */
export function orderOfPlace(locale: string | undefined): DayOrder {
  const parts = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'numeric', year: 'numeric' }).formatToParts(new Date(0));
  const first = parts.find(({ type }) => type === 'day' || type === 'month' || type === 'year')?.type;
  return first === 'month' ? 'mdy' : first === 'year' ? 'ymd' : 'dmy';
}

/** The order of whoever sits at this browser. */
export const dayOrder = (): DayOrder => orderOfPlace(typeof navigator === 'undefined' ? undefined : navigator.language);

/**
 * A day in words, so that nobody has to wonder which figure was the month.
 * @example dayInWords('2001-03-14') // → 'Wednesday 14 March 2001'
 */
export const dayInWords = (day: string): string => DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('cccc d LLLL yyyy');

/** What is wrong with what a day’s field holds: a day (`YYYY-MM-DD`), or what was typed where it is none. */
export function dayProblem(held: string, today: string): string | null {
  if (isDay(held)) return null;
  const read = readTypedDay(held, dayOrder(), today);
  return 'problem' in read ? read.problem : t('dayLiesBetween1900');
}

/** Said of an hour that a clock is put forward over. */
export const NO_SUCH_TIME = t('timeNoneDayClocks');
