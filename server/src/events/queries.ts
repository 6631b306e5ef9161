import type { CalendarEvent } from '@pace-bend/core/record';
import { firstRow, rows, type Db } from '../db/pool.ts';

const EVENT_COLUMNS = 'id, name, on_date AS onDate, importance, squad_id AS squadId, athlete_id AS athleteId, revision';

/** One event of a practice, or null; `lock` keeps it until the transaction ends. */
export async function eventById(db: Db, practiceId: string, id: string, lock = false): Promise<CalendarEvent | null> {
  return firstRow<CalendarEvent>(
    db,
    `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE id = ? AND practice_id = ?${lock ? ' FOR UPDATE' : ''}`,
    [id, practiceId],
  );
}

/** Events from a day on, for everybody and for every squad. */
export async function eventsFrom(db: Db, practiceId: string, fromDate: string): Promise<CalendarEvent[]> {
  return rows<CalendarEvent>(
    db,
    `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE practice_id = ? AND on_date >= ? ORDER BY on_date, importance, name`,
    [practiceId, fromDate],
  );
}

export async function allEvents(db: Db, practiceId: string): Promise<CalendarEvent[]> {
  return eventsFrom(db, practiceId, '1000-01-01');
}

/** Events that concern an athlete: their own, everybody's, and those of their squads. Asks for the practice and twice for the athlete. */
const OF_ATHLETE = `practice_id = ? AND (athlete_id = ? OR (athlete_id IS NULL AND
  (squad_id IS NULL OR squad_id IN (SELECT m.squad_id FROM squad_member m WHERE m.athlete_id = ?))))`;

/** The same without those they are not at; asks for the athlete three times. */
const AT = `${OF_ATHLETE} AND id NOT IN (SELECT n.event_id FROM event_not_at n WHERE n.athlete_id = ?)`;

/** Events that an athlete is not at, by id. */
export async function notAtOf(db: Db, athleteId: string): Promise<string[]> {
  return (
    await rows<{ id: string }>(db, 'SELECT event_id AS id FROM event_not_at WHERE athlete_id = ? ORDER BY event_id', [athleteId])
  ).map(({ id }) => id);
}

export async function eventsOfAthlete(db: Db, practiceId: string, athleteId: string): Promise<CalendarEvent[]> {
  return rows<CalendarEvent>(db, `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE ${OF_ATHLETE} ORDER BY on_date, importance, name`, [
    practiceId,
    athleteId,
    athleteId,
  ]);
}

/** The athlete's next event from a day on, and their last one before it. */
export async function eventsAround(
  db: Db,
  practiceId: string,
  athleteId: string,
  day: string,
): Promise<{ readonly next: CalendarEvent | null; readonly last: CalendarEvent | null }> {
  const columns = `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE ${AT}`;
  const whose = [practiceId, athleteId, athleteId, athleteId];
  const [next, last] = await Promise.all([
    firstRow<CalendarEvent>(db, `${columns} AND on_date >= ? ORDER BY on_date, importance LIMIT 1`, [...whose, day]),
    firstRow<CalendarEvent>(db, `${columns} AND on_date < ? ORDER BY on_date DESC, importance LIMIT 1`, [...whose, day]),
  ]);
  return { next, last };
}
