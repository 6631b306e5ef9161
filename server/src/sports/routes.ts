import { Router } from 'express';
import { checkSport, type Sport } from '@pace-bend/core/sport';
import { caller } from '../access/guard.ts';
import { isDuplicate, transaction, type Pool } from '../db/pool.ts';
import { standsAlready } from '../db/once.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, notFound, Problem, stale } from '../http/problem.ts';
import { problems, validate } from '../http/validate.ts';
import { athletesWith, deleteSport, insertSport, ownSport, ownSportsOf, updateSport } from './queries.ts';
import { OWN_SPORTS, sportSchema } from './schema.ts';

/** The sports a practice adds to those that ship. */
export function sportRoutes(pool: Pool): Router {
  const router = Router();

  /** Adds a sport (revision 0) or changes one. */
  router.put('/sports/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { revision, ...fields } = validate(sportSchema, request.body);
    const asSent = { ...fields, id } as unknown as Sport;
    const wrong = checkSport(asSent);
    if (wrong.length > 0) throw invalid(problems(wrong));
    await transaction(pool, async (db) => {
      const there = await ownSport(db, practice.id, id);
      // Where it comes from stays with what was made of it.
      const sport: Sport = there?.origin && !asSent.origin ? { ...asSent, origin: there.origin } : asSent;
      const same = there !== null && there.revision === revision + 1 && standsAlready(there, sport);
      if (same) return;
      if (revision === 0 && there === null) {
        if ((await ownSportsOf(db, practice.id)).length >= OWN_SPORTS)
          throw invalid([{ path: 'name', message: `A practice keeps ${OWN_SPORTS} sports of its own at most.` }]);
        await insertSport(db, practice.id, sport).catch((error: unknown) => {
          throw isDuplicate(error) ? stale('This sport', null) : error;
        });
      } else if (!(await updateSport(db, practice.id, revision, sport))) throw stale('This sport', there);
    });
    response.json({ ownSports: await ownSportsOf(pool, practice.id) });
  });

  /** Takes a sport out that no athlete has on file. */
  router.delete('/sports/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    await transaction(pool, async (db) => {
      if (!(await ownSport(db, practice.id, id))) throw notFound('This sport');
      const used = await athletesWith(db, practice.id, id);
      if (used > 0)
        throw new Problem(
          'in-use',
          `${used === 1 ? 'One athlete has' : `${used} athletes have`} this sport on file. Give them another one first.`,
        );
      await deleteSport(db, practice.id, id);
    });
    response.json({ ownSports: await ownSportsOf(pool, practice.id) });
  });

  return router;
}
