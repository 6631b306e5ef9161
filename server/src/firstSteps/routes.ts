import { Router } from 'express';
import Joi from 'joi';
import { DateTime } from 'luxon';
import { FIRST_STEPS, type FirstStepsKept } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { transaction, type Pool } from '../db/pool.ts';
import { validate } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { firstStepsOf, keepFirstSteps } from './queries.ts';
import { addSamples, oneAtATime, removeSamples } from './samples.ts';

const keptSchema = Joi.object<Wire<FirstStepsKept>>({
  skipped: Joi.array()
    .items(Joi.string().valid(...FIRST_STEPS))
    .unique()
    .required()
    .label('Steps set aside'),
  left: Joi.boolean().required().label('Put away'),
});

/** The owner's way into an empty practice, and the sample athletes to look around with. */
export function firstStepsRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/first-steps', async (_request, response) => {
    response.json(await firstStepsOf(pool, caller(response).practice.id));
  });

  router.put('/first-steps', async (request, response) => {
    const { id } = caller(response).practice;
    await keepFirstSteps(pool, id, validate(keptSchema, request.body));
    response.json(await firstStepsOf(pool, id));
  });

  router.post('/samples', async (_request, response) => {
    const { practice, name } = caller(response);
    const today = DateTime.fromJSDate(now(), { zone: practice.timeZone }).startOf('day');
    await oneAtATime(pool, practice.id, () => transaction(pool, (db) => addSamples(db, practice.id, today, name)));
    response.json(await firstStepsOf(pool, practice.id));
  });

  router.delete('/samples', async (_request, response) => {
    const { id } = caller(response).practice;
    await oneAtATime(pool, id, () => removeSamples(pool, id));
    response.json(await firstStepsOf(pool, id));
  });

  return router;
}
