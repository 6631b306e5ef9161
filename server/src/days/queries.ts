import type { DayPage, DayVisit } from '@pace-bend/core/record';
import { fromJson, iso, rows, type Db } from '../db/pool.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { dayIn } from '../http/days.ts';
import { morningRows } from '../readiness/morning.ts';
import { readingsBefore } from '../measured/queries.ts';
import { VISIT_COLUMNS, visitFrom, type VisitRow } from '../visits/queries.ts';

/** From the visits of a span to their athletes, never the other way: a day has a dozen, a practice has thousands. */
const DAY_VISIT = `SELECT ${VISIT_COLUMNS}, a.name AS athleteName, a.sports, a.about, a.birth_date AS birthDate, a.reference_sex AS referenceSex FROM visit v STRAIGHT_JOIN athlete a ON a.id = v.athlete_id`;

type DayVisitRow = VisitRow & Pick<DayVisit, 'athleteName' | 'sports' | 'about' | 'birthDate' | 'referenceSex'>;

async function dayVisits(db: Db, practice: PracticeRow, found: readonly DayVisitRow[]): Promise<DayVisit[]> {
  const words = await wordsOf(db, practice, found);
  const readings = await readingsBefore(
    db,
    found.map((row) => row.id),
  );
  return found.map((row) => {
    const { athleteName, about, birthDate, referenceSex } = row;
    return {
      ...visitFrom(row),
      athleteName,
      sports: fromJson(row.sports),
      about,
      birthDate,
      referenceSex,
      readiness: words.get(row.id)!,
      lastReadings: readings.get(row.id) ?? [],
    };
  });
}

/** The word of each visit's own day with its strongest reason, by visit. */
async function wordsOf(db: Db, practice: PracticeRow, found: readonly DayVisitRow[]): Promise<Map<string, DayVisit['readiness']>> {
  const byDay = new Map<string, DayVisitRow[]>();
  for (const row of found) {
    const day = dayIn(practice.timeZone, row.startsAt);
    byDay.set(day, [...(byDay.get(day) ?? []), row]);
  }
  const words = new Map<string, DayVisit['readiness']>();
  for (const [day, visits] of byDay) {
    const names = new Map(visits.map(({ athleteId, athleteName }) => [athleteId, athleteName]));
    const athletes = Array.from(names, ([id, name]) => ({ id, name }));
    const morning = new Map((await morningRows(db, practice, athletes, day)).map((row) => [row.id, row.verdict]));
    for (const visit of visits) {
      const { word, reasons, missing } = morning.get(visit.athleteId)!;
      words.set(visit.id, { word, reason: reasons[0]?.reason ?? (word === 'not known' ? `Missing: ${missing.join(', ')}.` : '') });
    }
  }
  return words;
}

export async function visitsBetween(db: Db, practice: PracticeRow, from: Date, to: Date): Promise<DayVisit[]> {
  const found = await rows<DayVisitRow>(
    db,
    `${DAY_VISIT} WHERE a.practice_id = ? AND v.starts_at >= ? AND v.starts_at < ? ORDER BY v.starts_at, v.id`,
    [practice.id, from, to],
  );
  return dayVisits(db, practice, found);
}

/** Visits of the two weeks before an instant that were neither finished nor cancelled, newest first. */
export async function unfinishedBefore(db: Db, practice: PracticeRow, before: Date): Promise<DayVisit[]> {
  const from = new Date(before.getTime() - UNFINISHED_DAYS * 86_400_000);
  const found = await rows<DayVisitRow>(
    db,
    `${DAY_VISIT} WHERE a.practice_id = ? AND v.starts_at >= ? AND v.starts_at < ? AND v.finished_at IS NULL AND v.cancelled_at IS NULL ORDER BY v.starts_at DESC LIMIT 20`,
    [practice.id, from, before],
  );
  return dayVisits(db, practice, found);
}

/** Finished visits of the two weeks before an instant whose note nobody signed, newest first. */
export async function unsignedBefore(db: Db, practice: PracticeRow, before: Date): Promise<DayPage['unsigned']> {
  const from = new Date(before.getTime() - UNFINISHED_DAYS * 86_400_000);
  const found = await rows<{ id: string; athleteName: string; startsAt: Date }>(
    db,
    `SELECT v.id, a.name AS athleteName, v.starts_at AS startsAt FROM visit v STRAIGHT_JOIN athlete a ON a.id = v.athlete_id
     LEFT JOIN note_signature s ON s.visit_id = v.id
     WHERE a.practice_id = ? AND v.starts_at >= ? AND v.starts_at < ? AND v.finished_at IS NOT NULL AND v.cancelled_at IS NULL AND s.visit_id IS NULL
     ORDER BY v.starts_at DESC LIMIT 40`,
    [practice.id, from, before],
  );
  return found.map(({ id, athleteName, startsAt }) => ({ id, athleteName, startsAt: iso(startsAt) }));
}

const UNFINISHED_DAYS = 14;
