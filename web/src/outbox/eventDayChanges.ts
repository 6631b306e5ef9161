import type { DayEvent, EventRecord } from '@pace-bend/core/eventDay';
import type { Change } from './change.ts';

/** The record a day at an event is among changes, and the spot of what is written down of one wish. */
export const eventDayRecord = (id: string) => `event-day/${id}`;
export const recordSpot = (wishId: string) => `record/${wishId}`;

/** What a change to a day says happened: its events, or that something was written down. */
export function eventsIn(change: Pick<Change, 'body' | 'path' | 'refusal'>): Omit<DayEvent, 'by'>[] {
  if (change.refusal !== null) return [];
  if (Array.isArray(change.body.events)) return change.body.events as DayEvent[];
  const record = change.body as unknown as EventRecord;
  const wishId = /\/records\/([^/]+)$/.exec(change.path)?.[1];
  if (!wishId) return [];
  return [{ ...record.event, body: { kind: 'recorded', wishId, visitId: record.visitId, athleteId: record.guest?.athleteId ?? null } }];
}

/** The same once the server has answered: what it wrote is what stands. */
export function eventsAnswered(change: Change, answer: unknown): (Omit<DayEvent, 'by'> & { readonly by?: string })[] {
  const { event } = (answer ?? {}) as { readonly event?: DayEvent };
  return event ? [event] : eventsIn({ ...change, refusal: null });
}
