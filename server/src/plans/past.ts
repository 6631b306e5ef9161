import { findEntry, motionSide } from '@pace-bend/core/catalogue';
import type { PastBlock, Visit } from '@pace-bend/core/record';
import { fromJson, iso, rows, type Db } from '../db/pool.ts';

/** How far back what was done is looked at. */
const DAYS = 180;

/** What was run at an athlete's earlier visits, oldest first. */
export async function pastBlocks(db: Db, visit: Pick<Visit, 'athleteId' | 'startsAt'>): Promise<PastBlock[]> {
  const until = new Date(visit.startsAt);
  const found = await rows<{ visitId: string; startsAt: Date; entryId: string; methodId: string; sides: unknown; ownMotion: string | null; drawnAs: string | null }>(
    db,
    `SELECT v.id AS visitId, v.starts_at AS startsAt, b.entry_id AS entryId, b.method_id AS methodId, b.sides, JSON_VALUE(o.data, '$.motionId') AS ownMotion, JSON_VALUE(o.data, '$.drawnAs') AS drawnAs
     FROM visit v JOIN plan_block b ON b.visit_id = v.id LEFT JOIN own_item o ON CAST(o.id AS CHAR) = b.entry_id
     WHERE v.athlete_id = ? AND v.starts_at < ? AND v.starts_at >= ? AND EXISTS (SELECT 1 FROM run r WHERE r.visit_id = v.id)
     ORDER BY v.starts_at, b.position`,
    [visit.athleteId, until, new Date(until.getTime() - DAYS * 86_400_000)],
  );
  return found.flatMap(({ visitId, startsAt, entryId, methodId, sides, ownMotion, drawnAs }) => {
    const motionId = findEntry(entryId)?.motionId ?? ownMotion;
    if (motionId === null) return [];
    // A block says which side was worked on; what came of it is read on the motion's side.
    const entry = { id: entryId, motionId, ...(drawnAs === null ? {} : { drawnAs }) };
    return [{ visitId, startsAt: iso(startsAt), entryId, methodId, motionId, sides: fromJson<PastBlock['sides']>(sides).map((each) => ({ ...each, side: motionSide(entry, motionId, each.side) })) }];
  });
}
