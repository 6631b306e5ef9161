import type { ResponseFacts, ResponseFile } from '@pace-bend/core/cycle';
import { athleteById } from '../athletes/queries.ts';
import { conditionsOf } from '../athletes/conditions.ts';
import { rows, type Db } from '../db/pool.ts';
import { notFound } from '../http/problem.ts';
import { pastReadings } from '../measured/queries.ts';
import { pastHome } from '../home/queries.ts';
import { pastBlocks } from '../done/past.ts';

/** How far back an athlete's own visits count, in days. */
const DAYS = 730;
/** Of how many others, those seen last, something is learned as well. */
const OTHERS = 30;

/** What an athlete's range answered with, and what that of others of the practice did: who they are is not said. */
export async function responseFile(db: Db, practiceId: string, athleteId: string, now: Date): Promise<ResponseFile> {
  // What was read today counts: a visit of today lies before the end of the day.
  const until = new Date(now.getTime() + 86_400_000);
  const others = await rows<{ id: string }>(
    db,
    `SELECT a.id FROM athlete a JOIN visit v ON v.athlete_id = a.id AND v.cancelled_at IS NULL AND v.starts_at <= ?
     WHERE a.practice_id = ? AND a.id <> ? AND EXISTS (SELECT 1 FROM rom_reading r WHERE r.visit_id = v.id)
     GROUP BY a.id ORDER BY MAX(v.starts_at) DESC, a.id LIMIT ${OTHERS}`,
    [until, practiceId, athleteId],
  );
  const [own, ...rest] = await Promise.all(
    [athleteId, ...others.map(({ id }) => id)].map((id) => responseFacts(db, practiceId, id, until)),
  );
  return { own: own!, others: rest };
}

/** What of one athlete says how their range answers, up to an instant. */
export async function responseFacts(db: Db, practiceId: string, athleteId: string, end: Date): Promise<ResponseFacts> {
  const athlete = await athleteById(db, practiceId, athleteId);
  if (!athlete) throw notFound('This athlete');
  const until = end.toISOString();
  const [conditions, past, blocks, home] = await Promise.all([
    conditionsOf(db, athleteId),
    pastReadings(db, athleteId, until),
    pastBlocks(db, { athleteId, startsAt: until }, DAYS),
    pastHome(db, athleteId, until),
  ]);
  const since = end.getTime() - DAYS * 86_400_000;
  return {
    person: { birthDate: athlete.birthDate, referenceSex: athlete.referenceSex },
    conditions: conditions.map(({ region, side, onset, surgeryOn }) => ({ region, side, onset, surgeryOn })),
    past: past.filter(({ startsAt }) => Date.parse(startsAt) >= since),
    blocks,
    home,
  };
}
