import { DateTime } from 'luxon';

/** A day in words: 3 Dec 2026. By itself, because the library for days is no part of the page that opens first. */
export const dayWords = (day: string): string => DateTime.fromISO(day, { zone: 'utc' }).toFormat('d LLL yyyy');
