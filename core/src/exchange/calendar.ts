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

/** The calendar of a text, or null when it is none. */
function calendarOf(text: string): ICAL.Component | null {
  try {
    const root = new ICAL.Component(ICAL.parse(text) as never);
    return root.name === 'vcalendar' ? root : null;
  } catch {
    return null;
  }
}

interface Occurrence {
  readonly item: ICAL.Event;
  readonly start: ICAL.Time;
  readonly end: ICAL.Time;
  readonly recurrence: ICAL.Time;
}

/** Every occurrence of every event up to a day, recurrences and exceptions worked out by the library; `withoutStart` is told of those that have none. */
function* occurrencesIn(root: ICAL.Component, to: string, withoutStart: () => void = () => undefined): Generator<Occurrence> {
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
    if (!event.startDate) {
      withoutStart();
      continue;
    }
    if (!event.isRecurring()) {
      yield { item: event, start: event.startDate, end: event.endDate, recurrence: event.startDate };
      continue;
    }
    const iterator = event.iterator();
    for (let n = 0; n < MOST_OCCURRENCES; n++) {
      const next = iterator.next();
      if (!next || next.toString().slice(0, 10) > to) break;
      const details = event.getOccurrenceDetails(next);
      yield { item: details.item, start: details.startDate, end: details.endDate, recurrence: details.recurrenceId };
    }
  }
}

const NO_CALENDAR = 'This is no calendar file.';
const NOT_UNDERSTOOD = 'An event of this calendar cannot be understood. Nothing was read.';
const isCancelled = (item: ICAL.Event) => item.component.getFirstPropertyValue('status') === 'CANCELLED';
const keyOf = (item: ICAL.Event, recurrence: ICAL.Time) => `ical/${recurrence.toString().slice(0, 16)}/${item.uid}`.slice(0, 120);
const inOrder = (a: { readonly onDate: string }, b: { readonly onDate: string }) =>
  a.onDate < b.onDate ? -1 : a.onDate > b.onDate ? 1 : 0;

/**
 * Sessions between two days of an iCalendar text (RFC 5545): every occurrence of every event with a time; all-day events are no sessions and
 * are counted as skipped, as are cancelled ones. An event's day is the day of its own clock: one written in UTC falls on the day `dayOf`
 * says of that instant. Longer than a day is skipped.
 */
export function readCalendar(text: string, from: string, to: string, dayOf: (instant: string) => string): CalendarRead {
  const root = calendarOf(text);
  if (!root) return { kind: 'unreadable', message: NO_CALENDAR };
  const sessions: PlannedSession[] = [];
  let skipped = 0;
  const seen = new Set<string>();
  try {
    for (const { item, start, end, recurrence } of occurrencesIn(root, to, () => (skipped += 1))) {
      if (start.isDate) {
        // Days on which nothing has a time are skipped once, however often they come again.
        if (!seen.has(item.uid)) skipped += 1;
        seen.add(item.uid);
        continue;
      }
      const onDate = dayOfStart(start, dayOf);
      if (onDate < from || onDate > to) continue;
      const minutes = Math.round(end.subtractDate(start).toSeconds() / 60);
      if (isCancelled(item) || minutes < LIMITS.loadMinutes.min || minutes > LIMITS.loadMinutes.max) {
        skipped += 1;
        continue;
      }
      sessions.push({ onDate, name: (item.summary || 'Session').slice(0, 60), minutes, key: keyOf(item, recurrence) });
    }
  } catch {
    return { kind: 'unreadable', message: NOT_UNDERSTOOD };
  }
  return { kind: 'sessions', sessions: sessions.sort(inOrder), skipped };
}

const dayOfStart = (start: ICAL.Time, dayOf: (instant: string) => string): string =>
  !start.isDate && start.zone?.tzid === 'UTC' ? dayOf(start.toJSDate().toISOString()) : start.toString().slice(0, 10);

/** Something that a calendar has on a day: a race, a meet. */
export interface FoundEvent {
  readonly onDate: string;
  readonly name: string;
  /** Whether it stands there for the whole day, as races mostly do; training has a time. */
  readonly allDay: boolean;
  readonly key: string;
}

export type EventsRead =
  | { readonly kind: 'events'; readonly events: readonly FoundEvent[]; readonly skipped: number }
  | { readonly kind: 'unreadable'; readonly message: string };

/** Events between two days of an iCalendar text, by their first day, in order; cancelled ones are counted as skipped. Which of them are trained for is for whoever reads it. */
export function readEvents(text: string, from: string, to: string, dayOf: (instant: string) => string): EventsRead {
  const root = calendarOf(text);
  if (!root) return { kind: 'unreadable', message: NO_CALENDAR };
  const events: FoundEvent[] = [];
  let skipped = 0;
  try {
    for (const { item, start, recurrence } of occurrencesIn(root, to, () => (skipped += 1))) {
      const onDate = dayOfStart(start, dayOf);
      if (onDate < from || onDate > to) continue;
      if (isCancelled(item)) skipped += 1;
      else
        events.push({
          onDate,
          name: (item.summary || 'Event').slice(0, LIMITS.eventName),
          allDay: start.isDate,
          // One that comes once keeps its key when its day changes.
          key: item.isRecurring() || item.isRecurrenceException() ? keyOf(item, recurrence) : `ical/${item.uid}`.slice(0, 120),
        });
    }
  } catch {
    return { kind: 'unreadable', message: NOT_UNDERSTOOD };
  }
  return { kind: 'events', events: events.sort(inOrder), skipped };
}
