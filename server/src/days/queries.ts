import type { DayVisit } from '@pace-bend/core/record';
import { rows, type Db } from '../db/pool.ts';
import { readingsBefore } from '../readings/queries.ts';
import { VISIT_COLUMNS, visitFrom, type VisitRow } from '../visits/queries.ts';

/** From the visits of a span to their athletes, never the other way: a day has a dozen, a practice has thousands. */
const DAY_VISIT = `SELECT ${VISIT_COLUMNS}, a.name AS athleteName, a.rowing, a.about, a.birth_date AS birthDate, a.reference_sex AS referenceSex FROM visit v STRAIGHT_JOIN athlete a ON a.id = v.athlete_id`;

type DayVisitRow = VisitRow & Pick<DayVisit, 'athleteName' | 'rowing' | 'about' | 'birthDate' | 'referenceSex'>;

async function dayVisits(db: Db, found: readonly DayVisitRow[]): Promise<DayVisit[]> {
  const readings = await readingsBefore(
    db,
    found.map((row) => row.id),
  );
  return found.map((row) => {
    const { athleteName, rowing, about, birthDate, referenceSex } = row;
    return { ...visitFrom(row), athleteName, rowing, about, birthDate, referenceSex, lastReadings: readings.get(row.id) ?? [] };
  });
}

export async function visitsBetween(db: Db, practiceId: string, from: Date, to: Date): Promise<DayVisit[]> {
  const found = await rows<DayVisitRow>(
    db,
    `${DAY_VISIT} WHERE a.practice_id = ? AND v.starts_at >= ? AND v.starts_at < ? ORDER BY v.starts_at, v.id`,
    [practiceId, from, to],
  );
  return dayVisits(db, found);
}

/** Visits of the two weeks before an instant that were neither finished nor cancelled, newest first. */
export async function unfinishedBefore(db: Db, practiceId: string, before: Date): Promise<DayVisit[]> {
  const from = new Date(before.getTime() - UNFINISHED_DAYS * 86_400_000);
  const found = await rows<DayVisitRow>(
    db,
    `${DAY_VISIT} WHERE a.practice_id = ? AND v.starts_at >= ? AND v.starts_at < ? AND v.finished_at IS NULL AND v.cancelled_at IS NULL ORDER BY v.starts_at DESC LIMIT 20`,
    [practiceId, from, before],
  );
  return dayVisits(db, found);
}

const UNFINISHED_DAYS = 14;
