import Joi from 'joi';
import { Router } from 'express';
import { isDay, LIMITS, READINESS_OUTCOMES, type MorningPage, type ReadinessOutcome } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { snapshot, type Pool } from '../db/pool.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { dayIn } from '../http/days.ts';
import { idFrom, isId } from '../http/ids.ts';
import { invalid } from '../http/problem.ts';
import { oneLine } from '../http/text.ts';
import { validate } from '../http/validate.ts';
import { findVisit, inOpenVisit } from '../visits/find.ts';
import { athletesOf } from './athletes.ts';
import { morningRows } from './morning.ts';
import { asidesOf, insertAside, keep, keptOf, readinessOfVisit, setOutcome } from './visit.ts';

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

/** A squad's morning, and what a visit keeps of the day it was on. */
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
    response.json({ setAside: await snapshot(pool, (db) => asidesOf(db, visitId)), visit: await findVisit(pool, practice, visitId) });
  });

  return router;
}
