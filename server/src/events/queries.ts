import type { CalendarEvent } from '@pace-bend/core/record';
import { firstRow, rows, type Db } from '../db/pool.ts';

export const EVENT_COLUMNS = 'id, name, on_date AS onDate, importance, squad_id AS squadId, revision';

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

/** Events that concern an athlete: everybody's, and those of their squads. */
const OF_ATHLETE = 'practice_id = ? AND (squad_id IS NULL OR squad_id IN (SELECT m.squad_id FROM squad_member m WHERE m.athlete_id = ?))';

export async function eventsOfAthlete(db: Db, practiceId: string, athleteId: string): Promise<CalendarEvent[]> {
  return rows<CalendarEvent>(db, `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE ${OF_ATHLETE} ORDER BY on_date, importance, name`, [
    practiceId,
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
  const columns = `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE ${OF_ATHLETE}`;
  const [next, last] = await Promise.all([
    firstRow<CalendarEvent>(db, `${columns} AND on_date >= ? ORDER BY on_date, importance LIMIT 1`, [practiceId, athleteId, day]),
    firstRow<CalendarEvent>(db, `${columns} AND on_date < ? ORDER BY on_date DESC, importance LIMIT 1`, [practiceId, athleteId, day]),
  ]);
  return { next, last };
}
