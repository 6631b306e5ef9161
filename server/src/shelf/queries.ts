import { BUILT_IN, shelfOf, type BlockPlan, type OwnItem, type Shelf } from '@pace-bend/core/method';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';

interface OwnRow {
  readonly id: string;
  readonly data: unknown;
  readonly supersedes: string | null;
  readonly madeAt: Date;
  readonly madeBy: string;
  readonly retiredAt: Date | null;
}

const COLUMNS = 'id, data, supersedes, made_at AS madeAt, made_by AS madeBy, retired_at AS retiredAt';

function itemFrom(row: OwnRow): OwnItem {
  return {
    id: row.id,
    fields: fromJson(row.data),
    supersedes: row.supersedes,
    madeAt: iso(row.madeAt),
    madeBy: row.madeBy,
    retiredAt: row.retiredAt ? iso(row.retiredAt) : null,
  };
}

/** Every version of everything of the practice's own, oldest first. */
export async function itemsOf(db: Db, practiceId: string): Promise<OwnItem[]> {
  return (await rows<OwnRow>(db, `SELECT ${COLUMNS} FROM own_item WHERE practice_id = ? ORDER BY made_at, id`, [practiceId])).map(itemFrom);
}

export async function itemById(db: Db, practiceId: string, id: string): Promise<OwnItem | null> {
  const row = await firstRow<OwnRow>(db, `SELECT ${COLUMNS} FROM own_item WHERE practice_id = ? AND id = ?`, [practiceId, id]);
  return row && itemFrom(row);
}

/** The shelf that blocks need; the practice's own is only read when one of them names something that did not ship. */
export async function shelfFor(db: Db, practiceId: string, blocks: readonly BlockPlan[]): Promise<Shelf> {
  if (blocks.every((block) => BUILT_IN.entries.has(block.entryId) && BUILT_IN.methods.has(block.methodId))) return BUILT_IN;
  return shelfOf(await itemsOf(db, practiceId));
}

/** The same for entries without a way of working. */
export async function shelfWithEntries(db: Db, practiceId: string, entryIds: readonly string[]): Promise<Shelf> {
  return entryIds.every((id) => BUILT_IN.entries.has(id)) ? BUILT_IN : shelfOf(await itemsOf(db, practiceId));
}

export async function insertItem(
  db: Db,
  practiceId: string,
  id: string,
  { fields, supersedes }: Pick<OwnItem, 'fields' | 'supersedes'>,
  at: Date,
  by: string,
): Promise<void> {
  await change(db, 'INSERT INTO own_item (id, practice_id, kind, data, supersedes, made_at, made_by) VALUES (?, ?, ?, ?, ?, ?, ?)', [
    id,
    practiceId,
    fields.kind,
    JSON.stringify(fields),
    supersedes,
    at,
    by,
  ]);
}

/** Takes an item off the shelf, or puts it back. */
export async function setRetired(db: Db, practiceId: string, id: string, at: Date | null): Promise<void> {
  await change(db, 'UPDATE own_item SET retired_at = ? WHERE practice_id = ? AND id = ?', [at, practiceId, id]);
}
