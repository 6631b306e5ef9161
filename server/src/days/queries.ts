import type { CalendarEvent, DayVisit } from '@pace-bend/core/record';
import { firstRow, rows, type Db } from '../db/pool.ts';
import { readingsBefore } from '../readings/queries.ts';
import { VISIT_COLUMNS, visitFrom, type VisitRow } from '../visits/queries.ts';

/** From the visits of a span to their athletes, never the other way: a day has a dozen, a practice has thousands. */
const DAY_VISIT = `SELECT ${VISIT_COLUMNS}, a.name AS athleteName, a.rowing, a.about, a.birth_date AS birthDate, a.reference_sex AS referenceSex FROM visit v STRAIGHT_JOIN athlete a ON a.id = v.athlete_id`;

type DayVisitRow = VisitRow & Pick<DayVisit, 'athleteName' | 'rowing' | 'about' | 'birthDate' | 'referenceSex'>;

async function dayVisits(db: Db, found: readonly DayVisitRow[]): Promise<DayVisit[]> {
  const readings = await readingsBefore(db, found.map((row) => row.id));
  return found.map((row) => {
    const { athleteName, rowing, about, birthDate, referenceSex } = row;
    return { ...visitFrom(row), athleteName, rowing, about, birthDate, referenceSex, lastReadings: readings.get(row.id) ?? [] };
  });
}

export async function visitsBetween(db: Db, practiceId: string, from: Date, to: Date): Promise<DayVisit[]> {
  const found = await rows<DayVisitRow>(db, `${DAY_VISIT} WHERE a.practice_id = ? AND v.starts_at >= ? AND v.starts_at < ? ORDER BY v.starts_at, v.id`, [practiceId, from, to]);
  return dayVisits(db, found);
}

/** Visits of the two weeks before an instant that were neither finished nor cancelled, newest first. */
export async function unfinishedBefore(db: Db, practiceId: string, before: Date): Promise<DayVisit[]> {
  const from = new Date(before.getTime() - UNFINISHED_DAYS * 86_400_000);
  const found = await rows<DayVisitRow>(db, `${DAY_VISIT} WHERE a.practice_id = ? AND v.starts_at >= ? AND v.starts_at < ? AND v.finished_at IS NULL AND v.cancelled_at IS NULL ORDER BY v.starts_at DESC LIMIT 20`, [practiceId, from, before]);
  return dayVisits(db, found);
}

const UNFINISHED_DAYS = 14;

export const EVENT_COLUMNS = 'id, name, on_date AS onDate, importance, squad_id AS squadId, revision';

/** Events from a day on, for everybody and for every squad. */
export async function eventsFrom(db: Db, practiceId: string, fromDate: string): Promise<CalendarEvent[]> {
  return rows<CalendarEvent>(db, `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE practice_id = ? AND on_date >= ? ORDER BY on_date, importance, name`, [practiceId, fromDate]);
}

export async function allEvents(db: Db, practiceId: string): Promise<CalendarEvent[]> {
  return eventsFrom(db, practiceId, '1000-01-01');
}

/** Events that concern an athlete: everybody's, and those of their squads. */
const OF_ATHLETE = 'practice_id = ? AND (squad_id IS NULL OR squad_id IN (SELECT m.squad_id FROM squad_member m WHERE m.athlete_id = ?))';

export async function eventsOfAthlete(db: Db, practiceId: string, athleteId: string): Promise<CalendarEvent[]> {
  return rows<CalendarEvent>(db, `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE ${OF_ATHLETE} ORDER BY on_date, importance, name`, [practiceId, athleteId]);
}

/** The athlete's next event from a day on, and their last one before it. */
export async function eventsAround(db: Db, practiceId: string, athleteId: string, day: string): Promise<{ readonly next: CalendarEvent | null; readonly last: CalendarEvent | null }> {
  const columns = `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE ${OF_ATHLETE}`;
  const [next, last] = await Promise.all([
    firstRow<CalendarEvent>(db, `${columns} AND on_date >= ? ORDER BY on_date, importance LIMIT 1`, [practiceId, athleteId, day]),
    firstRow<CalendarEvent>(db, `${columns} AND on_date < ? ORDER BY on_date DESC, importance LIMIT 1`, [practiceId, athleteId, day]),
  ]);
  return { next, last };
}
