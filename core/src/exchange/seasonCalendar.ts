import ICAL from 'ical.js';
import { addDays } from '../load/index.ts';
import { PHASE_NAMES, type Block, type SeasonEvent, type Stay } from '../season/index.ts';

/** What leaves as a calendar. There is no place in it for a word about anybody's health. */
export interface SeasonCalendar {
  readonly name: string;
  /** Lines with whose they are; the name stands before the phase where there are several. */
  readonly lines: readonly {
    readonly ownerId: string;
    readonly name: string;
    readonly blocks: readonly Block[];
    readonly stays: readonly Stay[];
  }[];
  readonly events: readonly SeasonEvent[];
  /** `who`: the name that is shown, or null for none. */
  readonly visits: readonly { readonly id: string; readonly startsAt: string; readonly minutes: number; readonly who: string | null }[];
}

/** RFC 5545: 1 is the highest priority, 9 the lowest. */
const PRIORITY: Readonly<Record<SeasonEvent['importance'], number>> = { 1: 1, 2: 5, 3: 9 };

/**
 * A season as iCalendar text (RFC 5545): blocks, camps and events as whole days, visits with their times in UTC. `at`: the instant it is
 * written, in ISO 8601. The same season has the same UIDs, so that a program that reads it again replaces what it had.
 */
export function seasonCalendar({ name, lines, events, visits }: SeasonCalendar, at: string): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('prodid', '-//Pace Bend//Season//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('calscale', 'GREGORIAN');
  calendar.updatePropertyWithValue('x-wr-calname', name);
  const stamp = ICAL.Time.fromJSDate(new Date(at), true);
  const add = (uid: string, summary: string): ICAL.Component => {
    const component = new ICAL.Component('vevent');
    component.updatePropertyWithValue('uid', `${uid}@pace-bend`);
    component.updatePropertyWithValue('dtstamp', stamp);
    component.updatePropertyWithValue('summary', summary);
    calendar.addSubcomponent(component);
    return component;
  };
  const days = (component: ICAL.Component, from: string, until: string): void => {
    component.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(from));
    // The end of whole days is the day after the last.
    component.updatePropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(until, 1)));
    component.updatePropertyWithValue('transp', 'TRANSPARENT');
  };
  const before = (line: SeasonCalendar['lines'][number]) => (lines.length > 1 ? `${line.name}: ` : '');
  for (const line of lines) {
    line.blocks.forEach(({ phase, from, until }, i) =>
      days(add(`block-${line.ownerId}-${i}`, `${before(line)}${PHASE_NAMES[phase]}`), from, until),
    );
    for (const stay of line.stays) days(add(`stay-${stay.id}`, `${before(line)}${stay.name}`), stay.from, stay.until);
  }
  for (const event of events) {
    const component = add(`event-${event.id}`, event.name);
    days(component, event.onDate, event.onDate);
    component.updatePropertyWithValue('priority', PRIORITY[event.importance]);
  }
  for (const { id, startsAt, minutes, who } of visits) {
    const component = add(`visit-${id}`, who === null ? 'Visit' : `Visit: ${who}`);
    const begins = Date.parse(startsAt);
    component.updatePropertyWithValue('dtstart', ICAL.Time.fromJSDate(new Date(begins), true));
    component.updatePropertyWithValue('dtend', ICAL.Time.fromJSDate(new Date(begins + minutes * 60_000), true));
  }
  return `${calendar.toString()}\r\n`;
}
