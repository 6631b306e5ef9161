import type { Bundle } from 'fhir/r4';
import { fhirBundle } from '@pace-bend/core/fhir';
import { standing } from '@pace-bend/core/readiness';
import type { PracticeRow } from '../access/sessions.ts';
import { conditionsOf } from '../athletes/conditions.ts';
import { goalsOf } from '../athletes/goals.ts';
import { athleteById } from '../athletes/queries.ts';
import { checkInsOf } from '../checkIns/queries.ts';
import type { Db } from '../db/pool.ts';
import { pastBlocks } from '../done/past.ts';
import { pastHome } from '../home/queries.ts';
import { notFound } from '../http/problem.ts';
import { standingReadings } from '../measured/queries.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { visitsOf } from '../visits/queries.ts';
import { exportWords } from './words.ts';

/** How far back and ahead work is looked for: longer than anybody keeps a record. */
const DAYS = 73_000;

/** An athlete's record as a FHIR R4 bundle: the visits and check-ins of the days from `from` to `to`, both included, and the file itself. */
export async function athleteBundle(
  db: Db,
  practice: PracticeRow,
  athleteId: string,
  { from, to }: { readonly from: string; readonly to: string },
  now: Date,
): Promise<Bundle> {
  const athlete = await athleteById(db, practice.id, athleteId);
  if (!athlete) throw notFound('This athlete');
  const words = await exportWords(db, practice);
  const { dayOf } = words;
  const until = new Date(now.getTime() + (DAYS / 2) * 86_400_000).toISOString();
  return fhirBundle(
    {
      practice,
      athlete,
      ...words,
      conditions: await conditionsOf(db, athleteId),
      goals: await goalsOf(db, athleteId),
      visits: (await visitsOf(db, athleteId)).filter(({ startsAt }) => from <= dayOf(startsAt) && dayOf(startsAt) <= to).reverse(),
      readings: await standingReadings(db, athleteId),
      blocks: await pastBlocks(db, { athleteId, startsAt: until }, DAYS),
      home: await pastHome(db, athleteId, until),
      checkIns: standing(await checkInsOf(db, athleteId, from, to)),
      errors: await errorKnowledge(db, practice.id),
    },
    now.toISOString(),
  );
}
