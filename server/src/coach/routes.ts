import { Router } from 'express';
import { coachPage, type CoachPage } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { dayIn } from '../http/days.ts';
import type { Pool } from '../db/pool.ts';
import { morningRows } from '../readiness/morning.ts';
import { membersFor, readingsFor, visitsFor } from './queries.ts';

/** How far back a coach's trends go. */
const TREND_DAYS = 120;

export function coachRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** The squads given to a coach (all of them for the owner): the word of today, availability and range, and nothing that says why. */
  router.get('/coach', async (_request, response) => {
    const { accountId, role, practice } = caller(response);
    const who = { accountId, role, practiceId: practice.id };
    const since = new Date(now().getTime() - TREND_DAYS * 86_400_000);
    const [members, visits, readings] = await Promise.all([
      membersFor(pool, who),
      visitsFor(pool, who, since),
      readingsFor(pool, who, since),
    ]);
    const today = dayIn(practice.timeZone, now());
    // One who is in two squads is reckoned once; a squad without anybody has one member without an id.
    const names = new Map(members.flatMap(({ id, name }) => (id === null || name === null ? [] : [[id, name] as const])));
    const morning = await morningRows(
      pool,
      practice,
      Array.from(names, ([id, name]) => ({ id, name })),
      today,
    );
    const page: CoachPage = coachPage({
      today,
      // The word and nothing behind it leaves this place.
      readiness: new Map(morning.map(({ id, verdict }) => [id, verdict.word])),
      members,
      visits: visits.map(({ at, ...visit }) => ({ ...visit, on: dayIn(practice.timeZone, at) })),
      readings,
    });
    response.json(page);
  });

  return router;
}
