import { summariseTrials } from '@pace-bend/core/measure';
import type { PastReading, Reading, ReadingFields } from '@pace-bend/core/record';
import { change, firstRow, fromJson, iso, rows, type Bound, type Db } from '../db/pool.ts';

type ReadingRow = Omit<Reading, 'trials' | 'takenAt'> & { trials: unknown; takenAt: Date };

const COLUMNS =
  'r.id, r.visit_id AS visitId, r.motion_id AS motionId, r.side, r.moment, r.mode, r.instrument, r.trials, r.value, r.taken_at AS takenAt, r.supersedes, r.examiner_id AS examinerId';

function readingFrom(row: ReadingRow): Reading {
  return { ...row, trials: fromJson<number[]>(row.trials), takenAt: iso(row.takenAt) };
}

/** Every reading of a visit, corrected ones too, in the order they were taken. */
export async function readingsOf(db: Db, visitId: string): Promise<Reading[]> {
  return (await rows<ReadingRow>(db, `SELECT ${COLUMNS} FROM rom_reading r WHERE r.visit_id = ? ORDER BY r.taken_at, r.id`, [visitId])).map(
    readingFrom,
  );
}

export async function readingById(db: Db, id: string): Promise<Reading | null> {
  const row = await firstRow<ReadingRow>(db, `SELECT ${COLUMNS} FROM rom_reading r WHERE r.id = ?`, [id]);
  return row ? readingFrom(row) : null;
}

/** The readings that stand of an athlete's visits, oldest first, with their trials. */
export async function standingReadings(db: Db, athleteId: string): Promise<Reading[]> {
  return (
    await rows<ReadingRow>(
      db,
      `SELECT ${COLUMNS} FROM rom_reading r JOIN visit v ON v.id = r.visit_id LEFT JOIN rom_reading later ON later.supersedes = r.id
       WHERE v.athlete_id = ? AND later.id IS NULL AND r.value IS NOT NULL ORDER BY r.taken_at, r.id`,
      [athleteId],
    )
  ).map(readingFrom);
}

/** The readings that stand of an athlete's visits, oldest first; only visits before an instant when one is given. */
export async function pastReadings(db: Db, athleteId: string, before: string | null): Promise<PastReading[]> {
  return standing(db, 'v.athlete_id = ? AND (? IS NULL OR v.starts_at < ?)', [
    athleteId,
    before,
    before === null ? null : new Date(before),
  ]);
}

/**
 * For each of the visits, by id: the readings that stand of the same athlete's latest visit before it at which
 * anything was read. Two questions, however many visits.
 */
export async function readingsBefore(db: Db, visitIds: readonly string[]): Promise<Map<string, PastReading[]>> {
  if (visitIds.length === 0) return new Map();
  const places = (ids: readonly unknown[]) => ids.map(() => '?').join(', ');
  const latest = await rows<{ id: string; lastId: string | null }>(
    db,
    `SELECT d.id, (SELECT w.id FROM visit w WHERE w.athlete_id = d.athlete_id AND w.starts_at < d.starts_at AND EXISTS (SELECT 1 FROM rom_reading x WHERE x.visit_id = w.id)
       ORDER BY w.starts_at DESC LIMIT 1) AS lastId FROM visit d WHERE d.id IN (${places(visitIds)})`,
    visitIds,
  );
  const lastIds = [...new Set(latest.flatMap((row) => (row.lastId ? [row.lastId] : [])))];
  const found = lastIds.length === 0 ? [] : await standing(db, `r.visit_id IN (${places(lastIds)})`, lastIds);
  return new Map(latest.map((row) => [row.id, found.filter((reading) => reading.visitId === row.lastId)]));
}

async function standing(db: Db, condition: string, params: readonly Bound[]): Promise<PastReading[]> {
  const found = await rows<Omit<PastReading, 'startsAt'> & { startsAt: Date }>(
    db,
    `SELECT r.visit_id AS visitId, v.starts_at AS startsAt, r.motion_id AS motionId, r.side, r.moment, r.instrument, r.examiner_id AS examinerId, JSON_LENGTH(r.trials) AS trialCount, r.value
     FROM rom_reading r
     JOIN visit v ON v.id = r.visit_id
     LEFT JOIN rom_reading later ON later.supersedes = r.id
     WHERE ${condition} AND later.id IS NULL AND r.value IS NOT NULL
     ORDER BY v.starts_at, r.taken_at, r.id`,
    params,
  );
  return found.map((row) => ({ ...row, startsAt: iso(row.startsAt) }));
}

export async function insertReading(
  db: Db,
  id: string,
  visitId: string,
  reading: ReadingFields,
  takenAt: Date,
  examinerId: string | null,
): Promise<void> {
  const value = reading.trials.length > 0 ? summariseTrials(reading.trials).mean : null;
  await change(
    db,
    'INSERT INTO rom_reading (id, visit_id, motion_id, side, moment, mode, instrument, trials, value, taken_at, supersedes, examiner_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [
      id,
      visitId,
      reading.motionId,
      reading.side,
      reading.moment,
      reading.mode,
      reading.instrument,
      JSON.stringify(reading.trials),
      value,
      takenAt,
      reading.supersedes,
      examinerId,
    ],
  );
}

/**
 * Of every athlete of a squad, of each motion and side, the first reading before work and the latest two: what a squad's
 * strip shows. By athlete, oldest first.
 */
export async function stripReadings(db: Db, squadId: string): Promise<Map<string, PastReading[]>> {
  const found = await rows<Omit<PastReading, 'startsAt'> & { athleteId: string; startsAt: Date; fromEnd: number; fromStart: number }>(
    db,
    `SELECT * FROM (
       SELECT v.athlete_id AS athleteId, r.visit_id AS visitId, v.starts_at AS startsAt, r.motion_id AS motionId, r.side, r.moment, r.instrument, r.examiner_id AS examinerId, r.value,
         ROW_NUMBER() OVER (PARTITION BY v.athlete_id, r.motion_id, r.side ORDER BY v.starts_at DESC, r.taken_at DESC, r.id DESC) AS fromEnd,
         ROW_NUMBER() OVER (PARTITION BY v.athlete_id, r.motion_id, r.side ORDER BY v.starts_at, r.taken_at, r.id) AS fromStart
       FROM squad_member m STRAIGHT_JOIN visit v ON v.athlete_id = m.athlete_id STRAIGHT_JOIN rom_reading r ON r.visit_id = v.id
       LEFT JOIN rom_reading later ON later.supersedes = r.id
       WHERE m.squad_id = ? AND r.moment = 'before' AND r.value IS NOT NULL AND later.id IS NULL
     ) ranked WHERE fromEnd <= 2 OR fromStart = 1 ORDER BY startsAt, athleteId`,
    [squadId],
  );
  const byAthlete = new Map<string, PastReading[]>();
  for (const { athleteId, fromEnd: _end, fromStart: _start, ...row } of found) {
    const list = byAthlete.get(athleteId) ?? [];
    byAthlete.set(athleteId, list);
    list.push({ ...row, startsAt: iso(row.startsAt) });
  }
  return byAthlete;
}
