import { checkInsCsv, loadsCsv, readingsCsv, type RecordTable } from '@pace-bend/core/exchange';
import { playedSports } from '@pace-bend/core/sport';
import { athleteById } from '../athletes/queries.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { checkInsOf } from '../checkIns/queries.ts';
import { rows, type Db } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { notFound } from '../http/problem.ts';
import { loadsOf } from '../loads/queries.ts';
import { pastReadings } from '../measured/queries.ts';
import { ownSportsOf } from '../sports/queries.ts';

/** Every day there is. */
const [FIRST_DAY, LAST_DAY] = ['1000-01-01', '9999-12-31'] as const;

/** One table of an athlete's record, whole, as CSV. */
export async function recordTable(db: Db, practice: PracticeRow, athleteId: string, table: RecordTable): Promise<string> {
  const athlete = await athleteById(db, practice.id, athleteId);
  if (!athlete) throw notFound('This athlete');
  switch (table) {
    case 'readings': {
      const names = new Map(
        (await rows<{ id: string; name: string }>(db, 'SELECT id, name FROM account WHERE practice_id = ?', [practice.id])).map(
          ({ id, name }) => [id, name],
        ),
      );
      return readingsCsv(
        await pastReadings(db, athleteId, null),
        (id) => names.get(id) ?? null,
        (instant) => dayIn(practice.timeZone, new Date(instant)),
      );
    }
    case 'loads':
      return loadsCsv(
        await loadsOf(db, athleteId, FIRST_DAY, LAST_DAY),
        athlete.name,
        playedSports(athlete.sports, await ownSportsOf(db, practice.id)),
      );
    case 'check-ins':
      return checkInsCsv(await checkInsOf(db, athleteId, FIRST_DAY, LAST_DAY));
  }
}
