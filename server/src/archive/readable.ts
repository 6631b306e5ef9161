import { shelfOf } from '@pace-bend/core/method';
import type { PracticeRow } from '../access/sessions.ts';
import { athleteBundle } from '../athleteFile/fhir.ts';
import { responseFacts } from '../athleteFile/response.ts';
import { tablesOf } from '../athleteFile/tables.ts';
import { cueSeconds, treatedRuns } from '../done/treated.ts';
import { plannedVisits } from '../plans/queries.ts';
import type { Db } from '../db/pool.ts';
import { invalid, Problem } from '../http/problem.ts';
import { itemsOf } from '../shelf/queries.ts';
import { ownSportsOf } from '../sports/queries.ts';
import { errorKnowledge } from '../studies/queries.ts';

const EVER = { from: '1900-01-01', to: '2199-12-31' } as const;

/**
 * Whether the program can read what has just come in: columns are checked one by one, but what stands in JSON, and whether it fits together,
 * only reading it can say. Of an athlete everything countable is made, and their bundle, as if it were to go out again.
 * @throws Problem 422 where it cannot
 */
export async function requireReadable(db: Db, practice: PracticeRow, athleteId: string | null, now: Date): Promise<void> {
  try {
    shelfOf(await itemsOf(db, practice.id));
    await ownSportsOf(db, practice.id);
    await errorKnowledge(db, practice.id);
    if (athleteId === null) return;
    const { tables } = await tablesOf(db, practice, athleteId, null);
    for (const table of Object.values(tables)) table.csv();
    JSON.stringify(await athleteBundle(db, practice, athleteId, EVER, now));
    // What was counted at the table, from its line and its events, and not only what was worked out of them when it was.
    for (const run of await treatedRuns(db, 'v.athlete_id = ?', [athleteId])) cueSeconds(run)(0);
    await plannedVisits(db, athleteId);
    await responseFacts(db, practice.id, athleteId, now);
  } catch (error) {
    // What the database says of itself is not about the file.
    if (error instanceof Problem || (error as { errno?: number }).errno !== undefined) throw error;
    const whose = athleteId === null ? 'What the practice shares' : 'The rows of this athlete';
    throw invalid([
      { path: athleteId === null ? 'shared' : 'athlete', message: `${whose} cannot be read by this program. Nothing of it was taken in.` },
    ]);
  }
}
