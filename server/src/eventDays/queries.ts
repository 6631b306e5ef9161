import type { DayEvent, DayEventBody, EventDayLine, EventDaySetUp } from '@pace-bend/core/eventDay';
import { change, firstRow, fromJson, insertMany, iso, rows, type Db } from '../db/pool.ts';
import type { SentDayEvent } from './schema.ts';

/** A day as it is kept, without what happened on it. */
export interface KeptEventDay {
  readonly id: string;
  readonly revision: number;
  readonly setUp: EventDaySetUp;
}

/** One event day of a practice, or null; `lock` keeps it until the transaction ends. */
export async function eventDayById(db: Db, practiceId: string, id: string, lock = false): Promise<KeptEventDay | null> {
  const row = await firstRow<{ id: string; revision: number; data: unknown }>(
    db,
    `SELECT id, revision, data FROM event_day WHERE id = ? AND practice_id = ?${lock ? ' FOR UPDATE' : ''}`,
    [id, practiceId],
  );
  return row && { id: row.id, revision: row.revision, setUp: fromJson<EventDaySetUp>(row.data) };
}

/** What is there to choose from, the latest day first. */
export async function eventDays(db: Db, practiceId: string): Promise<EventDayLine[]> {
  return rows(
    db,
    `SELECT id, title, on_date AS onDate, revision, JSON_LENGTH(data, '$.wishes') AS wishes
     FROM event_day WHERE practice_id = ? ORDER BY on_date DESC, title, id LIMIT 200`,
    [practiceId],
  );
}

/** Writes what was set up, on the revision it was made on (0 for a new one); returns whether it still had it. */
export async function writeEventDay(
  db: Db,
  practiceId: string,
  id: string,
  revision: number,
  setUp: EventDaySetUp,
  at: Date,
  by: string,
): Promise<boolean> {
  const data = JSON.stringify(setUp);
  const touched =
    revision === 0
      ? await change(
          db,
          'INSERT IGNORE INTO event_day (id, practice_id, on_date, title, data, changed_at, changed_by) VALUES (?, ?, ?, ?, ?, ?, ?)',
          [id, practiceId, setUp.onDate, setUp.title, data, at, by],
        )
      : await change(
          db,
          'UPDATE event_day SET on_date = ?, title = ?, data = ?, changed_at = ?, changed_by = ?, revision = revision + 1 WHERE id = ? AND practice_id = ? AND revision = ?',
          [setUp.onDate, setUp.title, data, at, by, id, practiceId, revision],
        );
  return touched === 1;
}

/** What arrived after a place, in the order it arrived, and the last place there is. */
export async function dayEvents(db: Db, eventDayId: string, since = 0): Promise<{ events: DayEvent[]; upTo: number }> {
  const found = await rows<{ arrived: number; id: string; at: Date; by: string; after: string | null; body: unknown }>(
    db,
    `SELECT arrived, id, happened_at AS at, by_name AS \`by\`, after_id AS \`after\`, data AS body
     FROM event_day_event WHERE event_day_id = ? AND arrived > ? ORDER BY arrived`,
    [eventDayId, since],
  );
  return {
    events: found.map(({ id, at, by, after, body }) => ({ id, at: iso(at), by, after, body: fromJson<DayEventBody>(body) })),
    upTo: Number(found.at(-1)?.arrived ?? since),
  };
}

/** Which of some events there are, and of which day. */
export async function knownEvents(db: Db, ids: readonly string[]): Promise<{ id: string; eventDayId: string }[]> {
  return rows(db, `SELECT id, event_day_id AS eventDayId FROM event_day_event WHERE id IN (${ids.map(() => '?').join(', ')})`, ids);
}

export async function countEvents(db: Db, eventDayId: string): Promise<number> {
  return Number((await firstRow<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM event_day_event WHERE event_day_id = ?', [eventDayId]))!.n);
}

export async function insertDayEvents(db: Db, eventDayId: string, events: readonly SentDayEvent[], by: string): Promise<void> {
  await insertMany(
    db,
    'INSERT INTO event_day_event (id, event_day_id, happened_at, by_name, after_id, data) VALUES ?',
    events.map(({ id, at, after, body }) => [id, eventDayId, new Date(at), by, after, JSON.stringify(body)]),
  );
}

/** Takes a day off, with what happened on it; whether there was one. Visits that were recorded keep it. */
export async function deleteEventDay(db: Db, practiceId: string, id: string): Promise<boolean> {
  await change(db, 'DELETE e FROM event_day_event e JOIN event_day d ON d.id = e.event_day_id WHERE d.id = ? AND d.practice_id = ?', [
    id,
    practiceId,
  ]);
  return (await change(db, 'DELETE FROM event_day WHERE id = ? AND practice_id = ?', [id, practiceId])) === 1;
}
