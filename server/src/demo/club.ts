import type { DateTime } from 'luxon';
import { change, firstRow, type Db } from '../db/pool.ts';
import { insertSquad } from '../squads/queries.ts';
import { EVENTS, SQUADS } from './people.ts';
import type { SeededRandom } from './random.ts';

/** Events by name. */
export type ClubEvents = ReadonlyMap<string, { readonly id: string; readonly onDate: string }>;

/** Ids of squads by the names the demo has for them. */
export type ClubSquads = ReadonlyMap<string, string>;

/** Writes the club's events. */
export async function loadEvents(db: Db, practiceId: string, today: DateTime, random: SeededRandom): Promise<ClubEvents> {
  const events = new Map<string, { id: string; onDate: string }>();
  for (const { name, inDays, importance } of EVENTS) {
    const event = { id: random.uuid(today.toJSDate()), onDate: today.plus({ days: inDays }).toISODate()! };
    events.set(name, event);
    await change(db, 'INSERT INTO calendar_event (id, practice_id, name, on_date, importance) VALUES (?, ?, ?, ?, ?)', [
      event.id,
      practiceId,
      name,
      event.onDate,
      importance,
    ]);
  }
  return events;
}

/** Writes the club's squads with their members. A name that a squad of the practice has already is told apart. */
export async function loadSquads(
  db: Db,
  practiceId: string,
  today: DateTime,
  random: SeededRandom,
  athletes: ReadonlyMap<string, string>,
): Promise<ClubSquads> {
  const squads = new Map<string, string>();
  for (const { name, members } of SQUADS) {
    const id = random.uuid(today.toJSDate());
    squads.set(name, id);
    const isTaken = await firstRow(db, 'SELECT id FROM squad WHERE practice_id = ? AND name = ?', [practiceId, name]);
    await insertSquad(
      db,
      practiceId,
      id,
      isTaken ? `${name} (sample)` : name,
      members.map((member) => athletes.get(member)!),
    );
  }
  return squads;
}
