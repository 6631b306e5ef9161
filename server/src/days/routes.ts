import { Router } from 'express';
import { mayRead } from '@pace-bend/core/access';
import type { DayPage } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { dayBounds } from '../http/days.ts';
import type { Pool } from '../db/pool.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { eventsFrom } from '../events/queries.ts';
import { unfinishedBefore, unsignedBefore, visitsBetween } from './queries.ts';

export function dayRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/days/:date', async (request, response) => {
    const { practice, role } = caller(response);
    const { from, to } = dayBounds(request.params.date, practice.timeZone);
    const [visits, events, unfinished, unsigned, errors] = await Promise.all([
      visitsBetween(pool, practice, from, to),
      eventsFrom(pool, practice.id, request.params.date),
      unfinishedBefore(pool, practice, from),
      mayRead(role, 'visit note') ? unsignedBefore(pool, practice, to) : [],
      errorKnowledge(pool, practice.id),
    ]);
    response.json({ date: request.params.date, visits, events, unfinished, unsigned, errors } satisfies DayPage);
  });

  return router;
}
