import { Router } from 'express';
import Joi from 'joi';
import { LIMITS, type Squad, type SquadStrip } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { putOnce } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { oneLine } from '../http/text.ts';
import { firstRow, isDuplicate, transaction, type Db, type Pool } from '../db/pool.ts';
import { stripReadings } from '../measured/queries.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { changeSquad, insertSquad, membersOf, requireMembers, squadPractice, squadsOf } from './queries.ts';

const squadSchema = Joi.object<{ name: string; athleteIds: string[]; revision: number }, true>({
  revision: Joi.number().integer().min(0).required(),
  name: oneLine().trim(true).min(1).max(LIMITS.squadName).required().label('Squad'),
  athleteIds: Joi.array().items(idSchema).max(LIMITS.squadMembers).required().label('Members'),
});

const nameTaken = invalid([{ path: 'name', message: 'Another squad has this name.' }]);
const sameMembers = (one: readonly string[], other: readonly string[]) =>
  one.length === new Set(other).size && other.every((id) => one.includes(id));

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
    const [members, readings, errors] = await Promise.all([
      membersOf(pool, id),
      stripReadings(pool, id),
      errorKnowledge(pool, practice.id),
    ]);
    response.json({
      squadId: id,
      name: squad.name,
      errors,
      athletes: members.map((member) => ({ ...member, readings: readings.get(member.id) ?? [] })),
    } satisfies SquadStrip);
  });

  /** Makes a squad (revision 0) or changes the one with the named revision. Everybody named has to be of the practice. */
  router.put('/squads/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { revision, ...sent } = validate(squadSchema, request.body);
    const athleteIds = [...new Set(sent.athleteIds.map((each) => each.toLowerCase()))];
    const owner = await squadPractice(pool, id);
    if (owner !== null && owner !== practice.id) throw notFound('This squad');
    const find = async (): Promise<Squad | null> => (await squadsOf(pool, practice.id)).find((each) => each.id === id) ?? null;
    const same = (squad: Squad) => squad.name === sent.name && squad.revision === revision + 1 && sameMembers(squad.athleteIds, athleteIds);
    const write = (work: (db: Db) => Promise<boolean>) =>
      transaction(pool, async (db) => {
        await requireMembers(db, practice.id, athleteIds);
        // The database compares names without regard to case and accents; whose name this is in other letters keeps it.
        if (await firstRow(db, 'SELECT id FROM squad WHERE practice_id = ? AND name = ? AND id <> ?', [practice.id, sent.name, id]))
          throw nameTaken;
        return work(db);
      });
    if (revision === 0)
      await putOnce({
        what: 'This squad',
        find,
        same,
        insert: () => write((db) => insertSquad(db, practice.id, id, sent.name, athleteIds)),
      });
    else {
      const changed = await write((db) => changeSquad(db, practice.id, id, revision, sent.name, athleteIds)).catch((error: unknown) => {
        throw isDuplicate(error) ? nameTaken : error;
      });
      const current = changed ? null : await find();
      if (!changed && !current) throw notFound('This squad');
      if (current && !same(current)) throw stale('This squad', current);
    }
    response.json({ squads: await squadsOf(pool, practice.id) });
  });

  return router;
}
