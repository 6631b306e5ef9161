import { shelfOf, type Shelf } from '@pace-bend/core/method';
import type { PracticeRow } from '../access/sessions.ts';
import { accountsOf } from '../accounts/queries.ts';
import type { Db } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { itemsOf } from '../shelf/queries.ts';

/** What a record that leaves is told with: names of accounts by id, days where the practice is, its shelf. */
export async function exportWords(
  db: Db,
  practice: PracticeRow,
): Promise<{ readonly nameOf: (id: string) => string | null; readonly dayOf: (instant: string) => string; readonly shelf: Shelf }> {
  const names = new Map((await accountsOf(db, practice.id)).map(({ id, name }) => [id, name]));
  return {
    nameOf: (id) => names.get(id) ?? null,
    dayOf: (instant) => dayIn(practice.timeZone, new Date(instant)),
    shelf: shelfOf(await itemsOf(db, practice.id)),
  };
}
