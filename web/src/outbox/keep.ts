import type { DayEvent, EventDayFile } from '@pace-bend/core/eventDay';
import type { OwnItem } from '@pace-bend/core/method';
import type { VisitFile } from '@pace-bend/core/record';
import { amendKept } from '../api/kept.ts';
import { withAnswer as withAthletesAnswer } from './athleteChanges.ts';
import type { Change } from './change.ts';
import { eventsAnswered } from './eventDayChanges.ts';
import { withAnswer as withVisitsAnswer } from './visitChanges.ts';

/** Everything on the practice's own shelf is one record. */
export const SHELF_RECORD = 'shelf';

/** An own item in place of the one with its id, at the end. */
export const withItem = (items: readonly OwnItem[], item: OwnItem): OwnItem[] => [...items.filter((each) => each.id !== item.id), item];

/** A day with events that were acknowledged at its end; the number up to which it was heard stays, so that others' are asked for still. */
export const withDayEvents = (
  file: EventDayFile,
  events: readonly (Omit<DayEvent, 'by'> & { readonly by?: string })[],
  by = '',
): EventDayFile => ({
  ...file,
  events: [
    ...file.events,
    ...events.filter(({ id }) => !file.events.some((event) => event.id === id)).map((event) => ({ ...event, by: event.by ?? by })),
  ],
});

/**
 * Puts what the server acknowledged into the answers kept on the device, whichever page was open when it came: without a line a
 * visit shows what it was told, and the cautions of every visit know the conditions that were added to the athlete's file.
 */
export async function keepAcknowledged(change: Change, answer: unknown): Promise<void> {
  const [kind, id] = change.record.split('/');
  switch (kind) {
    case 'visit':
      return amendKept(`/visits/${id}`, (file) => withVisitsAnswer(file as VisitFile, change, answer));
    case 'athlete':
      return amendKept('/visits/', (file) =>
        (file as VisitFile).athlete.id === id ? withAthletesAnswer(file as VisitFile, change, answer) : file,
      );
    case 'event-day':
      return amendKept(`/event-days/${id}`, (file) => withDayEvents(file as EventDayFile, eventsAnswered(change, answer)));
    case SHELF_RECORD:
      return amendKept('/shelf', (shelf) => ({
        ...(shelf as object),
        items: withItem((shelf as { items: OwnItem[] }).items, answer as OwnItem),
      }));
    default:
      return undefined;
  }
}
