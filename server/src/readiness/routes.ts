import { Router } from 'express';
import { isDay, type MorningPage } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { athletesOf } from '../athletes/roster.ts';
import type { Pool } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { isId } from '../http/ids.ts';
import { invalid } from '../http/problem.ts';
import { morningRows } from './morning.ts';

/** A squad's or the whole practice's morning. */
export function readinessRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/morning', async (request, response) => {
    const { practice } = caller(response);
    const { squad, date = dayIn(practice.timeZone, now()) } = request.query;
    if (squad !== undefined && !isId(squad)) throw invalid([{ path: 'squad', message: 'The squad is named by a UUID.' }]);
    if (typeof date !== 'string' || !isDay(date)) throw invalid([{ path: 'date', message: 'A day is written YYYY-MM-DD.' }]);
    const athletes = await athletesOf(pool, practice.id, squad ?? null);
    response.json({ date, scale: practice.checkInScale, rows: await morningRows(pool, practice, athletes, date) } satisfies MorningPage);
  });

  return router;
}
