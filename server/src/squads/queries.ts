import type { Squad, SquadStrip } from '@pace-bend/core/record';
import { invalid } from '../http/problem.ts';
import { problems } from '../http/validate.ts';
import { change, firstRow, fromJson, rows, type Db } from '../db/pool.ts';

/** The names of an athlete's squads. */
export async function squadNamesOf(db: Db, athleteId: string): Promise<string[]> {
  return (
    await rows<{ name: string }>(
      db,
      'SELECT s.name FROM squad s JOIN squad_member m ON m.squad_id = s.id WHERE m.athlete_id = ? ORDER BY s.name',
      [athleteId],
    )
  ).map((row) => row.name);
}

/** The practice's squads by name, with their members. */
export async function squadsOf(db: Db, practiceId: string): Promise<Squad[]> {
  const [squads, members] = await Promise.all([
    rows<{ id: string; name: string; revision: number }>(db, 'SELECT id, name, revision FROM squad WHERE practice_id = ? ORDER BY name', [
      practiceId,
    ]),
    rows<{ squadId: string; athleteId: string }>(
      db,
      'SELECT m.squad_id AS squadId, m.athlete_id AS athleteId FROM squad_member m JOIN squad s ON s.id = m.squad_id WHERE s.practice_id = ?',
      [practiceId],
    ),
  ]);
  return squads.map((squad) => ({
    ...squad,
    athleteIds: members.filter((member) => member.squadId === squad.id).map((member) => member.athleteId),
  }));
}

/** Who is in a squad, by name, as far as a strip needs to know them. */
export async function membersOf(db: Db, squadId: string): Promise<Omit<SquadStrip['athletes'][number], 'readings'>[]> {
  const found = await rows<Omit<SquadStrip['athletes'][number], 'readings'>>(
    db,
    'SELECT a.id, a.name, a.birth_date AS birthDate, a.reference_sex AS referenceSex, a.sports FROM squad_member m JOIN athlete a ON a.id = m.athlete_id WHERE m.squad_id = ? ORDER BY a.name',
    [squadId],
  );
  return found.map((row) => ({ ...row, sports: fromJson(row.sports) }));
}

export async function squadPractice(db: Db, id: string): Promise<string | null> {
  return (await firstRow<{ practiceId: string }>(db, 'SELECT practice_id AS practiceId FROM squad WHERE id = ?', [id]))?.practiceId ?? null;
}

/** Refuses a list in which somebody is named who is not of the practice, with the place. */
export async function requireMembers(db: Db, practiceId: string, athleteIds: readonly string[]): Promise<void> {
  if (athleteIds.length === 0) return;
  const known = new Set(
    (
      await rows<{ id: string }>(db, `SELECT id FROM athlete WHERE practice_id = ? AND id IN (${athleteIds.map(() => '?').join(', ')})`, [
        practiceId,
        ...athleteIds,
      ])
    ).map((row) => row.id),
  );
  const strangers = athleteIds.flatMap((id, i) =>
    known.has(id) ? [] : [{ path: `athleteIds.${i}`, message: 'No such athlete is known.' }],
  );
  if (strangers.length > 0) throw invalid(problems(strangers));
}

/** Writes a new squad with its members. */
export async function insertSquad(db: Db, practiceId: string, id: string, name: string, athleteIds: readonly string[]): Promise<true> {
  await change(db, 'INSERT INTO squad (id, practice_id, name) VALUES (?, ?, ?)', [id, practiceId, name]);
  await addMembers(
    db,
    practiceId,
    athleteIds.map((athleteId) => [id, athleteId]),
  );
  return true;
}

/** Changes a squad that still has the named revision; returns whether it had. */
export async function changeSquad(
  db: Db,
  practiceId: string,
  id: string,
  revision: number,
  name: string,
  athleteIds: readonly string[],
): Promise<boolean> {
  if (
    (await change(db, 'UPDATE squad SET name = ?, revision = revision + 1 WHERE id = ? AND practice_id = ? AND revision = ?', [
      name,
      id,
      practiceId,
      revision,
    ])) !== 1
  )
    return false;
  await change(db, 'DELETE FROM squad_member WHERE squad_id = ?', [id]);
  await addMembers(
    db,
    practiceId,
    athleteIds.map((athleteId) => [id, athleteId]),
  );
  return true;
}

/** Adds members, in statements of a few hundred. */
export async function addMembers(
  db: Db,
  practiceId: string,
  members: readonly (readonly [squadId: string, athleteId: string])[],
): Promise<void> {
  const BATCH = 500;
  for (let from = 0; from < members.length; from += BATCH) {
    const batch = members.slice(from, from + BATCH);
    await change(
      db,
      `INSERT IGNORE INTO squad_member (squad_id, athlete_id) SELECT s.id, a.id FROM (${batch.map(() => 'SELECT CAST(? AS UUID) AS s, CAST(? AS UUID) AS a').join(' UNION ALL ')}) w
       JOIN squad s ON s.id = w.s AND s.practice_id = ? JOIN athlete a ON a.id = w.a AND a.practice_id = ?`,
      [...batch.flat(), practiceId, practiceId],
    );
  }
}
