import type { Clearance } from '@pace-bend/core/caution';
import type { Condition, NoTouchArea } from '@pace-bend/core/record';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';
import type { SentCondition } from './schema.ts';

const COLUMNS =
  'c.id, c.code, c.region, c.side, c.onset, c.surgery_on AS surgeryOn, c.muscle, c.grade, c.words, c.clearance, c.resolved_on AS resolvedOn, c.revision';

function conditionFrom(row: Condition): Condition {
  return { ...row, clearance: row.clearance === null ? null : fromJson<Clearance>(row.clearance) };
}

/** The conditions of an athlete that were not withdrawn, oldest entry first. */
export async function conditionsOf(db: Db, athleteId: string): Promise<Condition[]> {
  return (
    await rows<Condition>(
      db,
      `SELECT ${COLUMNS} FROM athlete_condition c WHERE c.athlete_id = ? AND c.withdrawn_at IS NULL ORDER BY c.created_at, c.id`,
      [athleteId],
    )
  ).map(conditionFrom);
}

export async function conditionById(db: Db, athleteId: string, id: string): Promise<Condition | null> {
  const row = await firstRow<Condition>(
    db,
    `SELECT ${COLUMNS} FROM athlete_condition c WHERE c.id = ? AND c.athlete_id = ? AND c.withdrawn_at IS NULL`,
    [id, athleteId],
  );
  return row && conditionFrom(row);
}

export async function insertCondition(db: Db, athleteId: string, id: string, sent: SentCondition): Promise<void> {
  await change(
    db,
    'INSERT INTO athlete_condition (id, athlete_id, code, region, side, onset, surgery_on, muscle, grade, words, clearance, resolved_on) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [
      id,
      athleteId,
      sent.code,
      sent.region,
      sent.side,
      sent.onset,
      sent.surgeryOn,
      sent.muscle,
      sent.grade,
      sent.words,
      sent.clearance && JSON.stringify(sent.clearance),
      sent.resolvedOn,
    ],
  );
}

/** Changes a condition that still has the named revision; returns whether it had. */
export async function updateCondition(db: Db, athleteId: string, id: string, sent: SentCondition): Promise<boolean> {
  const touched = await change(
    db,
    `UPDATE athlete_condition SET code = ?, region = ?, side = ?, onset = ?, surgery_on = ?, muscle = ?, grade = ?, words = ?, clearance = ?, resolved_on = ?, revision = revision + 1
     WHERE id = ? AND athlete_id = ? AND revision = ? AND withdrawn_at IS NULL`,
    [
      sent.code,
      sent.region,
      sent.side,
      sent.onset,
      sent.surgeryOn,
      sent.muscle,
      sent.grade,
      sent.words,
      sent.clearance && JSON.stringify(sent.clearance),
      sent.resolvedOn,
      id,
      athleteId,
      sent.revision,
    ],
  );
  return touched === 1;
}

export async function withdrawCondition(db: Db, athleteId: string, id: string, at: Date): Promise<void> {
  await change(db, 'UPDATE athlete_condition SET withdrawn_at = COALESCE(withdrawn_at, ?) WHERE id = ? AND athlete_id = ?', [
    at,
    id,
    athleteId,
  ]);
}

/** The areas an athlete does not want touched, the longest-standing first. */
export async function noTouchOf(db: Db, athleteId: string): Promise<NoTouchArea[]> {
  const found = await rows<Omit<NoTouchArea, 'since'> & { since: Date }>(
    db,
    'SELECT id, region, side, words, since FROM no_touch_area WHERE athlete_id = ? AND lifted_at IS NULL ORDER BY since, id',
    [athleteId],
  );
  return found.map((row) => ({ ...row, since: iso(row.since) }));
}

export async function insertNoTouch(
  db: Db,
  athleteId: string,
  id: string,
  area: Pick<NoTouchArea, 'region' | 'side' | 'words'>,
  at: Date,
): Promise<void> {
  await change(db, 'INSERT INTO no_touch_area (id, athlete_id, region, side, words, since) VALUES (?, ?, ?, ?, ?, ?)', [
    id,
    athleteId,
    area.region,
    area.side,
    area.words,
    at,
  ]);
}

export async function liftNoTouch(db: Db, athleteId: string, id: string, at: Date): Promise<void> {
  await change(db, 'UPDATE no_touch_area SET lifted_at = COALESCE(lifted_at, ?) WHERE id = ? AND athlete_id = ?', [at, id, athleteId]);
}
