import type { BlockPlan } from '@pace-bend/core/method';
import type { Plan } from '@pace-bend/core/record';
import { change, firstRow, fromJson, insertMany, rows, type Db } from '../db/pool.ts';

/** The plan of a visit; revision 0 and no blocks when none was made yet. */
export async function planOf(db: Db, visitId: string): Promise<Plan> {
  const plan = await firstRow<{ revision: number }>(db, 'SELECT revision FROM plan WHERE visit_id = ?', [visitId]);
  if (!plan) return { revision: 0, blocks: [] };
  const blocks = await rows<Record<Exclude<keyof BlockPlan, 'position'> | 'placed', unknown>>(
    db,
    'SELECT id, entry_id AS entryId, method_id AS methodId, numbers, choices, sides, limits, lists, placed FROM plan_block WHERE visit_id = ? ORDER BY position',
    [visitId],
  );
  return {
    revision: plan.revision,
    blocks: blocks.map((row) => ({
      id: row.id as string,
      entryId: row.entryId as string,
      methodId: row.methodId as string,
      numbers: fromJson(row.numbers),
      choices: fromJson(row.choices),
      sides: fromJson(row.sides),
      ...(row.limits === null ? {} : { limits: fromJson<NonNullable<BlockPlan['limits']>>(row.limits) }),
      ...(row.lists === null ? {} : { lists: fromJson<NonNullable<BlockPlan['lists']>>(row.lists) }),
      ...(row.placed === null ? {} : { position: row.placed as NonNullable<BlockPlan['position']> }),
    })),
  };
}

/** Puts a plan in place of the one with the named revision, inside a transaction; returns false when that is not the latest. */
export async function replacePlan(db: Db, visitId: string, revision: number, blocks: readonly BlockPlan[]): Promise<boolean> {
  const claimed =
    revision === 0
      ? await change(db, 'INSERT IGNORE INTO plan (visit_id, revision) VALUES (?, 1)', [visitId])
      : await change(db, 'UPDATE plan SET revision = revision + 1 WHERE visit_id = ? AND revision = ?', [visitId, revision]);
  if (claimed !== 1) return false;
  await change(db, 'DELETE FROM plan_block WHERE visit_id = ?', [visitId]);
  const values = blocks.map((block, position) => [
    block.id,
    visitId,
    position,
    block.entryId,
    block.methodId,
    JSON.stringify(block.numbers),
    JSON.stringify(block.choices),
    JSON.stringify(block.sides),
    block.limits ? JSON.stringify(block.limits) : null,
    block.lists ? JSON.stringify(block.lists) : null,
    block.position ?? null,
  ]);
  if (values.length > 0)
    await insertMany(
      db,
      'INSERT INTO plan_block (id, visit_id, position, entry_id, method_id, numbers, choices, sides, limits, lists, placed) VALUES ?',
      values,
    );
  return true;
}

/** Visits of an athlete that have a plan with anything in it. */
export async function plannedVisits(db: Db, athleteId: string): Promise<string[]> {
  return (
    await rows<{ id: string }>(
      db,
      'SELECT DISTINCT b.visit_id AS id FROM plan_block b JOIN visit v ON v.id = b.visit_id WHERE v.athlete_id = ? AND v.cancelled_at IS NULL',
      [athleteId],
    )
  ).map(({ id }) => id);
}
