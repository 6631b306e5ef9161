import { Router } from 'express';
import Joi from 'joi';
import { LIMITS, type SquadStrip } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom, idSchema } from '../app/ids.ts';
import { invalid, notFound } from '../app/problem.ts';
import { validate } from '../app/validate.ts';
import { isDuplicate, transaction, type Pool } from '../db/pool.ts';
import { stripReadings } from '../readings/queries.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { membersOf, putSquad, squadPractice, squadsOf } from './queries.ts';

const squadSchema = Joi.object<{ name: string; athleteIds: string[] }, true>({
  name: Joi.string().trim(true).min(1).max(LIMITS.squadName).required().label('Squad'),
  athleteIds: Joi.array().items(idSchema).max(2000).required().label('Members'),
});

export function squadRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/squads', async (_request, response) => {
    response.json({ squads: await squadsOf(pool, caller(response).practice.id) });
  });

  /** Everybody's range at a glance. */
  router.get('/squads/:id/strip', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const squad = (await squadsOf(pool, practice.id)).find((each) => each.id === id);
    if (!squad) throw notFound('This squad');
    const [members, readings, errors] = await Promise.all([membersOf(pool, id), stripReadings(pool, id), errorKnowledge(pool, practice.id)]);
    response.json({ squadId: id, name: squad.name, errors, athletes: members.map((member) => ({ ...member, readings: readings.get(member.id) ?? [] })) } satisfies SquadStrip);
  });

  router.put('/squads/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { name, athleteIds } = validate(squadSchema, request.body);
    const owner = await squadPractice(pool, id);
    if (owner !== null && owner !== practice.id) throw notFound('This squad');
    await transaction(pool, (db) => putSquad(db, practice.id, id, name, athleteIds)).catch((error: unknown) => {
      if (isDuplicate(error)) throw invalid([{ path: 'name', message: 'Another squad has this name.' }]);
      throw error;
    });
    response.json({ squads: await squadsOf(pool, practice.id) });
  });

  return router;
}
