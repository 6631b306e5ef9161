import { v7 as uuid } from 'uuid';
import { keptTables, keptUntil, type KeptKind } from '@pace-bend/core/keeping';
import { practiceById, type PracticeRow } from '../access/sessions.ts';
import { readLayout } from '../archive/columns.ts';
import { idsIn } from '../archive/ids.ts';
import { headOf, partOf, pointedAt } from '../archive/write.ts';
import { eraseAthlete } from '../athleteFile/erase.ts';
import { athleteById } from '../athletes/queries.ts';
import { change, firstRow, rows, type Db, type Pool } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { keepingOf, lastVisitOn } from './queries.ts';

type Person = { readonly id: string; readonly birthDate: string };
export interface Wish {
  readonly by: string;
  readonly copy: 'handed over' | 'not wanted';
}
interface Stays {
  readonly keptUntil: string | null;
  readonly kinds: readonly KeptKind[];
  readonly reason: string;
}

/** What of somebody’s record has to stay by the law that the practice set, and until when. */
export async function whatStays(db: Db, practice: PracticeRow, { id, birthDate }: Person, today: string): Promise<Stays> {
  const { law } = (await keepingOf(db, practice.id)).keeping;
  const until = keptUntil(law, { birthDate, lastOn: await lastVisitOn(db, practice, id) }, today);
  return { keptUntil: until, kinds: until === null ? [] : law!.kinds, reason: until === null ? '' : law!.reason };
}

/**
 * Erases somebody on their wish: what has to stay is put aside as an archive, out of everybody’s sight, everything else goes, in one transaction.
 * Returns until when something stays; null where nothing does.
 */
export async function eraseOnWish(pool: Pool, practice: PracticeRow, person: Person, { by, copy }: Wish, at: Date): Promise<string | null> {
  let until: string | null = null;
  await eraseAthlete(pool, person.id, async (db) => {
    const stays = await whatStays(db, practice, person, dayIn(practice.timeZone, at));
    until = stays.keptUntil;
    if (until !== null) await putAside(db, practice, person.id, by, at, until, stays);
    await change(db, 'REPLACE INTO erased (athlete_id, practice_id, erased_at, erased_by, copy) VALUES (?, ?, ?, ?, ?)', [
      person.id,
      practice.id,
      at,
      by,
      copy,
    ]);
  });
  return until;
}

async function putAside(
  db: Db,
  practice: PracticeRow,
  athleteId: string,
  by: string,
  at: Date,
  until: string,
  { reason, kinds }: Stays,
): Promise<void> {
  const layout = await readLayout(db);
  const tables = keptTables(await partOf(db, layout, 'athlete', athleteId), kinds);
  const shared = await pointedAt(db, layout, practice.id, tables);
  const file = { ...(await headOf(db, practice, at, idsIn(tables))), shared, athletes: [{ tables }] };
  await change(
    db,
    'INSERT INTO kept_record (id, athlete_id, practice_id, erased_at, erased_by, keep_until, reason, kinds, data) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [uuid(), athleteId, practice.id, at, by, until, reason, JSON.stringify(kinds), JSON.stringify(file)],
  );
}

/**
 * Erases again whoever was erased after a backup was made that has been put back since: the restore wrote them down. Returns how many there were.
 */
export async function eraseAgain(pool: Pool, at: Date): Promise<number> {
  const there = await firstRow(
    pool,
    "SELECT 1 AS there FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = 'erase_again'",
  );
  if (!there) return 0;
  const again = await rows<{ athleteId: string; practiceId: string } & Wish>(
    pool,
    'SELECT e.athlete_id AS athleteId, a.practice_id AS practiceId, e.erased_by AS `by`, e.copy FROM erase_again e JOIN athlete a ON a.id = e.athlete_id',
  );
  for (const { athleteId, practiceId, by, copy } of again) {
    const practice = await practiceById(pool, practiceId);
    const person = await athleteById(pool, practiceId, athleteId);
    if (practice && person) await eraseOnWish(pool, practice, person, { by, copy }, at);
  }
  await pool.query('DROP TABLE erase_again');
  return again.length;
}
