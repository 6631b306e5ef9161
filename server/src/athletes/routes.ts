import { Router } from 'express';
import { LIMITS, type Condition } from '@pace-bend/core/record';
import { caller, concerns } from '../access/guard.ts';
import { dayIn } from '../http/days.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { requireKnownSports } from '../sports/known.ts';
import type { Pool } from '../db/pool.ts';
import {
  conditionById,
  conditionsOf,
  insertCondition,
  insertNoTouch,
  liftNoTouch,
  noTouchOf,
  updateCondition,
  withdrawCondition,
} from './conditions.ts';
import { goalsOf, setGoal, withdrawGoal } from './goals.ts';
import { athleteById, athletesByName, insertAthlete, updateAthlete } from './queries.ts';
import { athletePatchSchema, athleteSchema, conditionSchema, goalSchema, noTouchSchema } from './schema.ts';

export function athleteRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/athletes', async (request, response) => {
    const { practice } = caller(response);
    const { q, offset, squad, limit } = request.query;
    const search = typeof q === 'string' ? q.slice(0, 120) : '';
    const from = typeof offset === 'string' && /^\d{1,7}$/.test(offset) ? Number(offset) : 0;
    if (squad !== undefined && (typeof squad !== 'string' || idSchema.validate(squad).error))
      throw invalid([{ path: 'squad', message: 'The squad is named by a UUID.' }]);
    const most =
      typeof limit === 'string' && /^\d{1,3}$/.test(limit) ? Math.min(LIMITS.listPage, Math.max(1, Number(limit))) : LIMITS.listPage;
    response.json(await athletesByName(pool, practice.id, { search, squadId: squad ?? null, offset: from, limit: most }));
  });

  /** Creates. The same request again is answered with what stands; another content under the same id is refused. */
  router.put('/athletes/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const fields = validate(athleteSchema(dayIn(practice.timeZone, now())), request.body);
    concerns(response, id);
    await requireKnownSports(pool, practice.id, [{ path: 'sports', sports: fields.sports }]);
    response.json(
      await putOnce({
        what: 'This athlete',
        find: () => athleteById(pool, practice.id, id),
        same: (there) => standsAlready(there, fields),
        insert: () => insertAthlete(pool, practice.id, id, fields),
      }),
    );
  });

  router.patch('/athletes/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { revision, ...patch } = validate(athletePatchSchema(dayIn(practice.timeZone, now())), request.body);
    await requireKnownSports(pool, practice.id, [{ path: 'sports', sports: patch.sports ?? [] }]);
    if (!(await updateAthlete(pool, id, revision, patch))) {
      const current = await athleteById(pool, practice.id, id);
      if (!current) throw notFound('This athlete');
      // The same change one revision on: this request again, after its answer was lost.
      if (current.revision !== revision + 1 || !standsAlready(current, patch)) throw stale('This file', current);
    }
    response.json(await athleteById(pool, practice.id, id));
  });

  router.put('/athletes/:id/conditions/:conditionId', async (request, response) => {
    const athleteId = idFrom(request);
    const id = idFrom(request, 'conditionId');
    const { practice } = caller(response);
    const sent = validate(conditionSchema(dayIn(practice.timeZone, now())), request.body);
    const { revision, ...fields } = sent;
    const find = () => conditionById(pool, athleteId, id);
    const same = (there: Condition) => there.revision === revision + 1 && standsAlready(there, fields);
    if (revision === 0)
      return void response.json(
        await putOnce({ what: 'This condition', find, same, insert: () => insertCondition(pool, athleteId, id, sent) }),
      );
    const changed = await updateCondition(pool, athleteId, id, sent);
    const current = await find();
    if (!changed && (!current || !same(current))) throw stale('This condition', current);
    response.json(current);
  });

  router.delete('/athletes/:id/conditions/:conditionId', async (request, response) => {
    const athleteId = idFrom(request);
    await withdrawCondition(pool, athleteId, idFrom(request, 'conditionId'), now());
    response.json({ conditions: await conditionsOf(pool, athleteId) });
  });

  router.put('/athletes/:id/no-touch/:areaId', async (request, response) => {
    const athleteId = idFrom(request);
    const id = idFrom(request, 'areaId');
    const area = validate(noTouchSchema, request.body);
    await putOnce({
      what: 'This area',
      find: async () => (await noTouchOf(pool, athleteId)).find((each) => each.id === id) ?? null,
      same: (there) => standsAlready(there, area),
      insert: () => insertNoTouch(pool, athleteId, id, area, now()),
    });
    response.json({ noTouch: await noTouchOf(pool, athleteId) });
  });

  router.delete('/athletes/:id/no-touch/:areaId', async (request, response) => {
    const athleteId = idFrom(request);
    await liftNoTouch(pool, athleteId, idFrom(request, 'areaId'), now());
    response.json({ noTouch: await noTouchOf(pool, athleteId) });
  });

  /** Sets a goal; it takes the place of the one that stood for the motion and side. */
  router.put('/athletes/:id/goals/:goalId', async (request, response) => {
    const athleteId = idFrom(request);
    const id = idFrom(request, 'goalId');
    const goal = validate(goalSchema, request.body);
    await putOnce({
      what: 'This goal',
      find: async () => (await goalsOf(pool, athleteId)).find((each) => each.id === id) ?? null,
      same: (there) => standsAlready(there, goal),
      insert: () => setGoal(pool, athleteId, id, goal, now()),
    });
    response.json({ goals: await goalsOf(pool, athleteId) });
  });

  router.delete('/athletes/:id/goals/:goalId', async (request, response) => {
    const athleteId = idFrom(request);
    await withdrawGoal(pool, athleteId, idFrom(request, 'goalId'), now());
    response.json({ goals: await goalsOf(pool, athleteId) });
  });

  return router;
}
