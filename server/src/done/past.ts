import { findMethod } from '@pace-bend/core/method';
import { PAST_BLOCK_DAYS, type PastBlock, type Visit } from '@pace-bend/core/record';
import { iso, rows, type Db } from '../db/pool.ts';
import { treatedBlocks } from './treated.ts';

/** What was done at an athlete's earlier visits, oldest first: as it happened at the table, whatever the plans say by now. */
export async function pastBlocks(db: Db, visit: Pick<Visit, 'athleteId' | 'startsAt'>, days = PAST_BLOCK_DAYS): Promise<PastBlock[]> {
  const until = new Date(visit.startsAt);
  const runs = await treatedBlocks(db, 'v.athlete_id = ? AND v.starts_at < ? AND v.starts_at >= ?', [
    visit.athleteId,
    until,
    new Date(until.getTime() - days * 86_400_000),
  ]);
  const madeFrom = await basesOf(
    db,
    runs.flatMap(({ done }) => done.map(({ methodId }) => methodId)),
  );
  return runs.flatMap(({ visitId, startsAt, done }) =>
    done.map((block): PastBlock => {
      const base = madeFrom.get(block.methodId);
      return { ...block, visitId, startsAt: iso(startsAt), ...(base === undefined ? {} : { madeFrom: base }) };
    }),
  );
}

/** What own ways of working were made from, by id. */
async function basesOf(db: Db, methodIds: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const own = [...new Set(methodIds)].filter((id) => !findMethod(id));
  if (own.length === 0) return new Map();
  const found = await rows<{ id: string; baseId: string | null }>(
    db,
    `SELECT id, JSON_VALUE(data, '$.baseId') AS baseId FROM own_item WHERE CAST(id AS CHAR) IN (${own.map(() => '?').join(', ')})`,
    own,
  );
  return new Map(found.flatMap(({ id, baseId }) => (baseId === null ? [] : [[id, baseId]])));
}
