import type { LoadFields, TrainingLoad } from '@pace-bend/core/load';
import { change, iso, rows, type Db } from '../db/pool.ts';

const COLUMNS = `l.id, l.on_date AS onDate, l.kind, l.minutes, l.exertion, l.amount, l.asked_after_min AS askedAfterMin, l.planned, l.entered_at AS at, l.entered_by AS \`by\`, l.revision`;

type LoadRow = Omit<TrainingLoad, 'at' | 'planned'> & { readonly at: Date; readonly planned: number };

const loadFrom = (row: LoadRow): TrainingLoad => ({ ...row, at: iso(row.at), planned: row.planned === 1 });

/** An athlete's sessions of a span of days, oldest first; withdrawn ones are gone. */
export async function loadsOf(db: Db, athleteId: string, from: string, to: string): Promise<TrainingLoad[]> {
  return (
    await rows<LoadRow>(
      db,
      `SELECT ${COLUMNS} FROM training_load l WHERE l.athlete_id = ? AND l.on_date BETWEEN ? AND ? AND l.withdrawn_at IS NULL ORDER BY l.on_date, l.entered_at, l.id`,
      [athleteId, from, to],
    )
  ).map(loadFrom);
}

/** The same of many athletes, by athlete. */
export async function loadsOfMany(db: Db, athleteIds: readonly string[], from: string, to: string): Promise<Map<string, TrainingLoad[]>> {
  const byAthlete = new Map<string, TrainingLoad[]>();
  if (athleteIds.length === 0) return byAthlete;
  const found = await rows<LoadRow & { athleteId: string }>(
    db,
    `SELECT l.athlete_id AS athleteId, ${COLUMNS} FROM training_load l WHERE l.athlete_id IN (${athleteIds.map(() => '?').join(', ')}) AND l.on_date BETWEEN ? AND ? AND l.withdrawn_at IS NULL ORDER BY l.on_date, l.entered_at, l.id`,
    [...athleteIds, from, to],
  );
  for (const { athleteId, ...row } of found) {
    const list = byAthlete.get(athleteId);
    if (list) list.push(loadFrom(row));
    else byAthlete.set(athleteId, [loadFrom(row)]);
  }
  return byAthlete;
}

export async function loadById(db: Db, athleteId: string, id: string): Promise<TrainingLoad | null> {
  const [row] = await rows<LoadRow>(
    db,
    `SELECT ${COLUMNS} FROM training_load l WHERE l.id = ? AND l.athlete_id = ? AND l.withdrawn_at IS NULL`,
    [id, athleteId],
  );
  return row ? loadFrom(row) : null;
}

export async function loadsOn(db: Db, athleteId: string, day: string): Promise<number> {
  const [row] = await rows<{ n: number }>(
    db,
    'SELECT COUNT(*) AS n FROM training_load WHERE athlete_id = ? AND on_date = ? AND withdrawn_at IS NULL',
    [athleteId, day],
  );
  return Number(row?.n ?? 0);
}

export async function insertLoad(
  db: Db,
  athleteId: string,
  id: string,
  load: LoadFields,
  at: Date,
  by: string,
  key: string | null = null,
): Promise<void> {
  await change(
    db,
    'INSERT INTO training_load (id, athlete_id, on_date, kind, minutes, exertion, amount, asked_after_min, planned, entered_at, entered_by, source_key) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [id, athleteId, load.onDate, load.kind, load.minutes, load.exertion, load.amount, load.askedAfterMin, load.planned, at, by, key],
  );
}

/** Changes a session that still has the named revision; returns whether it had. */
export async function updateLoad(
  db: Db,
  athleteId: string,
  id: string,
  revision: number,
  load: LoadFields,
  at: Date,
  by: string,
): Promise<boolean> {
  return (
    (await change(
      db,
      'UPDATE training_load SET on_date = ?, kind = ?, minutes = ?, exertion = ?, amount = ?, asked_after_min = ?, planned = ?, entered_at = ?, entered_by = ?, revision = revision + 1 WHERE id = ? AND athlete_id = ? AND revision = ? AND withdrawn_at IS NULL',
      [load.onDate, load.kind, load.minutes, load.exertion, load.amount, load.askedAfterMin, load.planned, at, by, id, athleteId, revision],
    )) === 1
  );
}

export async function withdrawLoad(db: Db, athleteId: string, id: string, at: Date): Promise<void> {
  // Its key is free again: the same row of a file may be read in once more.
  await change(
    db,
    'UPDATE training_load SET withdrawn_at = ?, source_key = NULL WHERE id = ? AND athlete_id = ? AND withdrawn_at IS NULL',
    [at, id, athleteId],
  );
}

/** Which of these keys each athlete has already. */
export async function keysOf(db: Db, athleteIds: readonly string[]): Promise<Set<string>> {
  if (athleteIds.length === 0) return new Set();
  const found = await rows<{ athleteId: string; sourceKey: string }>(
    db,
    `SELECT athlete_id AS athleteId, source_key AS sourceKey FROM training_load WHERE athlete_id IN (${athleteIds.map(() => '?').join(', ')}) AND source_key IS NOT NULL`,
    [...athleteIds],
  );
  return new Set(found.map((row) => `${row.athleteId}/${row.sourceKey}`));
}
