import ICAL from 'ical.js';
import { LIMITS } from '../record/index.ts';

/** One session that stands in a calendar. */
export interface PlannedSession {
  /** Calendar day where it takes place. */
  readonly onDate: string;
  readonly name: string;
  readonly minutes: number;
  /** The same event of the same day has the same key, whenever the file is read. */
  readonly key: string;
}

export type CalendarRead =
  | { readonly kind: 'sessions'; readonly sessions: readonly PlannedSession[]; readonly skipped: number }
  | { readonly kind: 'unreadable'; readonly message: string };

/** A rule without an end is followed so far, and no file gives more than this. */
const MOST_OCCURRENCES = 5000;

/**
 * Sessions between two days of an iCalendar text (RFC 5545), recurrences and exceptions worked out by a library: every occurrence of every
 * event with a time; all-day events are no sessions and are counted as skipped, as are cancelled ones. An event's day is the day of its
 * own clock: one written in UTC falls on the day `dayOf` says of that instant. Longer than a day is skipped.
 */
export function readCalendar(text: string, from: string, to: string, dayOf: (instant: string) => string): CalendarRead {
  let root: ICAL.Component;
  try {
    root = new ICAL.Component(ICAL.parse(text) as never);
  } catch {
    return { kind: 'unreadable', message: 'This is no calendar file.' };
  }
  if (root.name !== 'vcalendar') return { kind: 'unreadable', message: 'This is no calendar file.' };
  const sessions: PlannedSession[] = [];
  let skipped = 0;
  try {
    const components = root.getAllSubcomponents('vevent');
    const changed = new Map<string, ICAL.Component[]>();
    for (const each of components) {
      const uid = String(each.getFirstPropertyValue('uid') ?? '');
      if (each.hasProperty('recurrence-id')) changed.set(uid, [...(changed.get(uid) ?? []), each]);
    }
    for (const component of components) {
      if (component.hasProperty('recurrence-id')) continue;
      const event = new ICAL.Event(component, { strictExceptions: false, exceptions: [] });
      for (const exception of changed.get(event.uid) ?? []) event.relateException(exception);
      if (!event.startDate || event.startDate.isDate) {
        skipped += 1;
        continue;
      }
      const add = (item: ICAL.Event, start: ICAL.Time, end: ICAL.Time, recurrence: ICAL.Time) => {
        const onDate = start.zone?.tzid === 'UTC' ? dayOf(start.toJSDate().toISOString()) : start.toString().slice(0, 10);
        if (onDate < from || onDate > to) return;
        const minutes = Math.round(end.subtractDate(start).toSeconds() / 60);
        if (
          item.component.getFirstPropertyValue('status') === 'CANCELLED' ||
          minutes < LIMITS.loadMinutes.min ||
          minutes > LIMITS.loadMinutes.max
        ) {
          skipped += 1;
          return;
        }
        sessions.push({
          onDate,
          name: (item.summary || 'Session').slice(0, 60),
          minutes,
          key: `ical/${recurrence.toString().slice(0, 16)}/${event.uid}`.slice(0, 120),
        });
      };
      if (!event.isRecurring()) {
        add(event, event.startDate, event.endDate, event.startDate);
        continue;
      }
      const iterator = event.iterator();
      for (let n = 0; n < MOST_OCCURRENCES; n++) {
        const next = iterator.next();
        if (!next) break;
        if (next.toString().slice(0, 10) > to) break;
        const details = event.getOccurrenceDetails(next);
        add(details.item, details.startDate, details.endDate, details.recurrenceId);
      }
    }
  } catch {
    return { kind: 'unreadable', message: 'An event of this calendar cannot be understood. Nothing was read.' };
  }
  sessions.sort((a, b) => (a.onDate < b.onDate ? -1 : a.onDate > b.onDate ? 1 : 0));
  return { kind: 'sessions', sessions, skipped };
}
