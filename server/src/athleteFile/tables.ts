import { recordTables, type RecordTable } from '@pace-bend/core/exchange';
import type { Athlete } from '@pace-bend/core/record';
import { playedSports } from '@pace-bend/core/sport';
import type { PracticeRow } from '../access/sessions.ts';
import { athleteById } from '../athletes/queries.ts';
import { checkInsOf } from '../checkIns/queries.ts';
import type { Db } from '../db/pool.ts';
import { pastBlocks } from '../done/past.ts';
import { findingsOfAthlete } from '../findings/queries.ts';
import { notFound } from '../http/problem.ts';
import { loadsOf } from '../loads/queries.ts';
import { standingReadings } from '../measured/queries.ts';
import { ownSportsOf } from '../sports/queries.ts';
import { visitsOf } from '../visits/queries.ts';
import { exportWords } from './words.ts';

/** Every day there is. */
const [FIRST_DAY, LAST_DAY] = ['1000-01-01', '9999-12-31'] as const;
/** Work is looked for up to an instant that never comes, and so far back as anybody may have worked. */
const [NEVER, DAYS] = ['2200-01-01T00:00:00.000Z', 110_000] as const;

/** What tables are told with that is the same for everybody. */
export interface ExportWords extends Awaited<ReturnType<typeof exportWords>> {
  readonly ownSports: Awaited<ReturnType<typeof ownSportsOf>>;
}
export const tableWords = async (db: Db, practice: PracticeRow): Promise<ExportWords> => ({
  ...(await exportWords(db, practice)),
  ownSports: await ownSportsOf(db, practice.id),
});

/** The tables of an athlete's record, each made when it is asked for; with the athlete's name. */
export async function tablesOf(
  db: Db,
  practice: PracticeRow,
  athleteId: string,
  only: RecordTable | null,
): Promise<{ readonly name: string; readonly tables: ReturnType<typeof recordTables> }> {
  const athlete = await athleteById(db, practice.id, athleteId);
  if (!athlete) throw notFound('This athlete');
  return { name: athlete.name, tables: await tablesOfAthlete(db, athlete, only, await tableWords(db, practice)) };
}

/** The same of an athlete who was read already. Tables that are not wanted are without rows. */
export async function tablesOfAthlete(
  db: Db,
  { id: athleteId, name: athleteName, sports }: Pick<Athlete, 'id' | 'name' | 'sports'>,
  only: RecordTable | null,
  { ownSports, ...words }: ExportWords,
): Promise<ReturnType<typeof recordTables>> {
  // A table that is not wanted is not read.
  const of = async <T>(which: readonly RecordTable[], read: () => Promise<T[]>): Promise<T[]> =>
    only === null || which.includes(only) ? read() : [];
  const rows = {
    visits: (await of(['visits'], () => visitsOf(db, athleteId))).reverse(),
    readings: await of(['readings', 'trials'], () => standingReadings(db, athleteId)),
    findings: await of(['findings'], () => findingsOfAthlete(db, athleteId)),
    blocks: await of(['blocks'], () => pastBlocks(db, { athleteId, startsAt: NEVER }, DAYS)),
    loads: await of(['loads'], () => loadsOf(db, athleteId, FIRST_DAY, LAST_DAY)),
    checkIns: await of(['check-ins'], () => checkInsOf(db, athleteId, FIRST_DAY, LAST_DAY)),
  };
  return recordTables(rows, { ...words, athleteName, played: playedSports(sports, ownSports) });
}

/** Tables without rows: their headings, and how they stand in a data package. */
export const emptyTables = ({ ownSports: _ownSports, ...words }: ExportWords): ReturnType<typeof recordTables> =>
  recordTables({ visits: [], readings: [], findings: [], blocks: [], loads: [], checkIns: [] }, { ...words, athleteName: '', played: [] });
