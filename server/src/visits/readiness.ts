import Joi from 'joi';
import { Router } from 'express';
import { LIMITS, READINESS_OUTCOMES, type ReadinessOutcome } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import type { Pool } from '../db/pool.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { idFrom } from '../http/ids.ts';
import { invalid } from '../http/problem.ts';
import { oneLine } from '../http/text.ts';
import { validate } from '../http/validate.ts';
import { asidesOf, insertAside, keep, keptOf, readinessOfVisit, setOutcome } from '../readiness/visit.ts';
import { inOpenVisit } from './find.ts';

const asideSchema = Joi.object<{ limitId: string; reason: string }, true>({
  limitId: oneLine().min(1).max(80).required(),
  reason: oneLine().trim(true).min(3).max(LIMITS.aboutLength).required().label('Why'),
});

const keepSchema = Joi.object<{ outcome: ReadinessOutcome | null }, true>({
  outcome: Joi.string()
    .valid(...READINESS_OUTCOMES.map(({ id }) => id))
    .allow(null)
    .required(),
});

/** What a visit keeps of the day it was on. */
export function visitReadinessRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** Takes in what is known of the day, or says afterwards how it went. */
  router.put('/visits/:id/readiness', async (request, response) => {
    const visitId = idFrom(request);
    const { practice, name } = caller(response);
    const { outcome } = validate(keepSchema, request.body);
    const kept = await inOpenVisit(pool, practice, visitId, async (db, visit) => {
      const before = await keptOf(db, visitId);
      if (outcome !== null && before && (await setOutcome(db, visitId, outcome))) return keptOf(db, visitId);
      await keep(db, visitId, await readinessOfVisit(db, practice, visit), outcome, now(), name);
      return keptOf(db, visitId);
    });
    response.json({ kept });
  });

  /** Sets a reason or a limit of the day aside, with a word. The same request again adds nothing. */
  router.put('/visits/:id/readiness-aside/:asideId', async (request, response) => {
    const visitId = idFrom(request);
    const id = idFrom(request, 'asideId');
    const { practice, name } = caller(response);
    const sent = validate(asideSchema, request.body);
    await inOpenVisit(pool, practice, visitId, async (db, visit) => {
      const { offered, verdict } = await readinessOfVisit(db, practice, visit);
      await putOnce({
        what: 'This reason',
        find: async () => (await asidesOf(db, visitId)).find((each) => each.id === id) ?? null,
        same: (there) => standsAlready(there, sent),
        insert: async () => {
          if (![...offered.map((limit) => limit.id), ...verdict.reasons.map(({ ruleId }) => ruleId)].includes(sent.limitId))
            throw invalid([{ path: 'limitId', message: 'Nothing of this kind holds anything back today.' }]);
          await insertAside(db, visitId, id, sent, now(), name);
        },
      });
    });
    response.json({ setAside: await asidesOf(pool, visitId) });
  });

  return router;
}
