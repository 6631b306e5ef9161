import type { OwnSport, Sport } from '@pace-bend/core/sport';
import { change, fromJson, rows, type Db } from '../db/pool.ts';

interface OwnRow {
  readonly id: string;
  readonly data: unknown;
  readonly revision: number;
}

const own = ({ id, data, revision }: OwnRow): OwnSport => ({ ...fromJson<Omit<Sport, 'id'>>(data), id, revision });

/** The sports a practice added, oldest first. */
export async function ownSportsOf(db: Db, practiceId: string): Promise<OwnSport[]> {
  return (
    await rows<OwnRow>(db, 'SELECT id, data, revision FROM own_sport WHERE practice_id = ? ORDER BY created_at, id', [practiceId])
  ).map(own);
}

export async function ownSport(db: Db, practiceId: string, id: string): Promise<OwnSport | null> {
  const [row] = await rows<OwnRow>(db, 'SELECT id, data, revision FROM own_sport WHERE practice_id = ? AND id = ?', [practiceId, id]);
  return row ? own(row) : null;
}

export async function insertSport(db: Db, practiceId: string, { id, ...data }: Sport): Promise<void> {
  await change(db, 'INSERT INTO own_sport (id, practice_id, data) VALUES (?, ?, ?)', [id, practiceId, JSON.stringify(data)]);
}

/** Changes a sport that still has the named revision; returns whether it had. */
export async function updateSport(db: Db, practiceId: string, revision: number, { id, ...data }: Sport): Promise<boolean> {
  return (
    (await change(db, 'UPDATE own_sport SET data = ?, revision = revision + 1 WHERE id = ? AND practice_id = ? AND revision = ?', [
      JSON.stringify(data),
      id,
      practiceId,
      revision,
    ])) === 1
  );
}

/** How many athletes of the practice have a sport on file. */
export async function athletesWith(db: Db, practiceId: string, sportId: string): Promise<number> {
  const [row] = await rows<{ n: number }>(
    db,
    "SELECT COUNT(*) AS n FROM athlete WHERE practice_id = ? AND JSON_CONTAINS(JSON_EXTRACT(sports, '$[*].sportId'), JSON_QUOTE(?))",
    [practiceId, sportId],
  );
  return Number(row?.n ?? 0);
}

export async function deleteSport(db: Db, practiceId: string, id: string): Promise<void> {
  await change(db, 'DELETE FROM own_sport WHERE id = ? AND practice_id = ?', [id, practiceId]);
}
