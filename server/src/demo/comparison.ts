import type { DateTime } from 'luxon';
import type { Which } from '@pace-bend/core/cycle';
import { insertComparison } from '../comparisons/queries.ts';
import type { Db } from '../db/pool.ts';
import type { SeededRandom } from './random.ts';

/** In which way the visits of 48, 41, 34, 27, 20, 13 and 6 days ago were done, and what was drawn for the three to come. */
const DRAWN: readonly Which[] = ['b', 'a', 'a', 'b', 'b', 'a', 'b', 'a', 'a', 'b'];

/** Two ways on a runner's calf, five pairs, three of them done and the fourth begun. */
export async function loadComparison(db: Db, today: DateTime, random: SeededRandom, athleteId: string, by: string): Promise<void> {
  const begun = today.minus({ days: 48 });
  await insertComparison(
    db,
    athleteId,
    random.uuid(begun.toJSDate()),
    { motionId: 'ankle-dorsiflexion', side: 'left', entryId: 'calf-supine', ways: ['cr-breath', 'static-hold'], pairs: DRAWN.length / 2 },
    DRAWN,
    begun.toISODate()!,
    by,
  );
}
