import type { CheckIn } from '@pace-bend/core/readiness';
import { LIMITS } from '@pace-bend/core/record';
import { isDuplicate, rows, transaction, type Pool } from '../db/pool.ts';
import { standsAlready } from '../db/once.ts';
import { invalid, Problem, stale } from '../http/problem.ts';
import { checkInById, checkInsOn, insertCheckIn } from './queries.ts';
import type { SentCheckIn } from './schema.ts';

/**
 * Appends a check-in, once: the same one again is answered with what stands. A correction names a check-in of the same athlete and day
 * that nothing has corrected yet.
 */
export async function appendCheckIn(pool: Pool, athleteId: string, id: string, sent: SentCheckIn, at: Date, by: string): Promise<CheckIn> {
  return transaction(pool, async (db) => {
    await rows(db, 'SELECT id FROM athlete WHERE id = ? FOR UPDATE', [athleteId]);
    const there = await checkInById(db, athleteId, id);
    if (there) {
      if (!standsAlready(there, sent)) throw stale('This check-in', there);
      return there;
    }
    if (sent.supersedes !== null) {
      const before = await checkInById(db, athleteId, sent.supersedes);
      if (!before || before.onDate !== sent.onDate)
        throw invalid([{ path: 'supersedes', message: 'What is corrected is a check-in of the same athlete and day.' }]);
    }
    if ((await checkInsOn(db, athleteId, sent.onDate)) >= LIMITS.checkInsOfDay)
      throw new Problem('full', 'This day has been corrected as often as it can be.');
    await insertCheckIn(db, athleteId, id, sent, at, by).catch((error: unknown) => {
      throw isDuplicate(error) ? stale('This check-in', null) : error;
    });
    return (await checkInById(db, athleteId, id))!;
  });
}
