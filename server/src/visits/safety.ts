import { Router } from 'express';
import { blocking, cautionsFor, measuring } from '@pace-bend/core/caution';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { Problem, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { cautionsOfVisit } from '../cautions/context.ts';
import type { Pool } from '../db/pool.ts';
import { findVisit, inOpenVisit } from './find.ts';
import { answersOf, insertAnswers, insertOverride, overridesOf, referralOf, writeReferral } from '../safety/queries.ts';
import { answersSchema, overrideSchema, referralSchema } from './schema.ts';

/** What keeps hands off: the stop questions, the referral, and reasons for setting an "avoid" aside. */
export function safetyRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** Adds a set of answers; none is ever changed. The same request again adds nothing. */
  router.put('/visits/:id/answers/:answersId', async (request, response) => {
    const visitId = idFrom(request);
    const id = idFrom(request, 'answersId');
    const { practice, name } = caller(response);
    const { answers, notAsked } = validate(answersSchema, request.body);
    await inOpenVisit(pool, practice, visitId, (db) =>
      putOnce({
        what: 'These answers',
        find: async () => (await answersOf(db, visitId)).find((each) => each.id === id) ?? null,
        same: (there) => standsAlready(there, { answers, notAsked }),
        insert: () => insertAnswers(db, visitId, id, { answers, notAsked }, now(), name),
      }),
    );
    response.json({ answers: await answersOf(pool, visitId) });
  });

  router.put('/visits/:id/overrides/:overrideId', async (request, response) => {
    const visitId = idFrom(request);
    const id = idFrom(request, 'overrideId');
    const { practice, name } = caller(response);
    const override = validate(overrideSchema, request.body);
    await inOpenVisit(pool, practice, visitId, async (db, visit) => {
      const { context } = await cautionsOfVisit(db, practice, visit);
      const stop = blocking(cautionsFor(context, measuring(override.motionId, override.side)), new Set()).find(
        (caution) => caution.level === 'stop',
      );
      if (stop) throw new Problem('stopped', `${stop.because}: a stop cannot be set aside.`);
      await putOnce({
        what: 'This reason',
        find: async () => (await overridesOf(db, visitId)).find((each) => each.id === id) ?? null,
        same: (there) => standsAlready(there, override),
        insert: () => insertOverride(db, visitId, id, override, now(), name),
      });
    });
    response.json({ overrides: await overridesOf(pool, visitId) });
  });

  router.put('/visits/:id/referral', async (request, response) => {
    const visitId = idFrom(request);
    const { practice, name } = caller(response);
    const { revision, ...referral } = validate(referralSchema, request.body);
    await inOpenVisit(pool, practice, visitId, async (db) => {
      if (await writeReferral(db, visitId, revision, referral, now(), name)) return;
      const current = await referralOf(db, visitId);
      if (!current || current.revision !== revision + 1 || current.to !== referral.to || current.seen !== referral.seen)
        throw stale('The referral', current);
    });
    response.json({ referral: await referralOf(pool, visitId), visit: await findVisit(pool, practice, visitId) });
  });

  return router;
}
