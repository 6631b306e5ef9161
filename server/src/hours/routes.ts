import { Router } from 'express';
import { ANY_TIME, type AthleteTimes, type TimesFile } from '@pace-bend/core/week';
import { caller } from '../access/guard.ts';
import { standsAlready } from '../db/once.ts';
import { change, firstRow, fromJson, isDuplicate, type Db, type Pool } from '../db/pool.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { hoursOf } from './queries.ts';
import { hoursSchema, timesSchema } from './schema.ts';

/** When a practice sees people, and when an athlete can come. */
export function hoursRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/week-hours', async (_request, response) => {
    response.json(await hoursOf(pool, caller(response).practice.id));
  });

  router.put('/week-hours', async (request, response) => {
    const { practice } = caller(response);
    const { revision, ...hours } = validate(hoursSchema, request.body);
    const { therapists } = await hoursOf(pool, practice.id);
    const unknown = hours.therapists.findIndex(({ accountId }) => !therapists.some(({ id }) => id === accountId));
    if (unknown >= 0) throw invalid([{ path: `therapists.${unknown}.accountId`, message: 'Only therapists who work here have hours.' }]);
    const touched = await change(
      pool,
      'UPDATE practice SET week_hours = ?, week_hours_revision = week_hours_revision + 1 WHERE id = ? AND week_hours_revision = ?',
      [JSON.stringify(hours), practice.id, revision],
    );
    const after = await hoursOf(pool, practice.id);
    if (touched !== 1 && (after.revision !== revision + 1 || !standsAlready(after.hours, hours))) throw stale('The hours', after);
    response.json(after);
  });

  router.get('/athletes/:id/times', async (request, response) => {
    response.json(await timesOf(pool, idFrom(request)));
  });

  router.put('/athletes/:id/times', async (request, response) => {
    const id = idFrom(request);
    const { revision, ...times } = validate(timesSchema, request.body);
    const done = await writeTimes(pool, id, revision, times);
    const after = await timesOf(pool, id);
    if (!done && (after.revision !== revision + 1 || !standsAlready(after.times, times))) throw stale('When they can come', after);
    response.json(after);
  });

  return router;
}

/** When somebody can come; at any time while nothing was said. */
async function timesOf(db: Db, athleteId: string): Promise<TimesFile> {
  const row = await firstRow<{ data: unknown; revision: number }>(db, 'SELECT data, revision FROM athlete_times WHERE athlete_id = ?', [
    athleteId,
  ]);
  return row ? { times: fromJson<AthleteTimes>(row.data), revision: row.revision } : { times: ANY_TIME, revision: 0 };
}

/** Writes it if it still has the revision the change was made on; 0 where there was nothing. */
async function writeTimes(db: Db, athleteId: string, revision: number, times: AthleteTimes): Promise<boolean> {
  const data = JSON.stringify(times);
  if (revision === 0)
    return change(db, 'INSERT INTO athlete_times (athlete_id, data) VALUES (?, ?)', [athleteId, data]).then(
      () => true,
      (error: unknown) => {
        if (isDuplicate(error)) return false;
        throw error;
      },
    );
  return (
    (await change(db, 'UPDATE athlete_times SET data = ?, revision = revision + 1 WHERE athlete_id = ? AND revision = ?', [
      data,
      athleteId,
      revision,
    ])) === 1
  );
}
