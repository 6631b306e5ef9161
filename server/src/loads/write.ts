import type { LoadFields, TrainingLoad } from '@pace-bend/core/load';
import { LIMITS } from '@pace-bend/core/record';
import { isDuplicate, rows, transaction, type Pool } from '../db/pool.ts';
import { standsAlready } from '../db/once.ts';
import { Problem, stale } from '../http/problem.ts';
import { insertLoad, loadById, loadsOn, updateLoad } from './queries.ts';
import type { SentLoad } from './schema.ts';

/**
 * Writes a session of training, once: a new one (revision 0), or a change of one that still has the named revision. From a page without a
 * sign-in only new ones are taken.
 */
export async function writeLoad(
  pool: Pool,
  athleteId: string,
  id: string,
  sent: LoadFields & { readonly revision?: number },
  at: Date,
  by: string,
  onlyNew = false,
): Promise<TrainingLoad> {
  const { revision = 0, ...fields } = sent as SentLoad;
  return transaction(pool, async (db) => {
    await rows(db, 'SELECT id FROM athlete WHERE id = ? FOR UPDATE', [athleteId]);
    const there = await loadById(db, athleteId, id);
    if (there && there.revision === revision + 1 && standsAlready(there, fields)) return there;
    if (revision === 0 || onlyNew) {
      if (there) throw stale('This session', onlyNew ? null : there);
      if ((await loadsOn(db, athleteId, fields.onDate)) >= LIMITS.loadsOfDay)
        throw new Problem('full', `A day holds ${LIMITS.loadsOfDay} sessions at most.`);
      await insertLoad(db, athleteId, id, fields, at, by).catch((error: unknown) => {
        throw isDuplicate(error) ? stale('This session', null) : error;
      });
    } else if (!(await updateLoad(db, athleteId, id, revision, fields, at, by))) throw stale('This session', there);
    return (await loadById(db, athleteId, id))!;
  });
}
