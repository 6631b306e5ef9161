import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import type { SeasonOwner } from '@pace-bend/core/record';
import { planProblems, type SeasonPlan } from '@pace-bend/core/season';
import { caller } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { isDuplicate, snapshot, transaction, type Pool } from '../db/pool.ts';
import { standsAlready } from '../db/once.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { problems, validate } from '../http/validate.ts';
import { calendarBehind, calendarText, insertCalendar, openCalendars, revokeCalendar } from './calendars.ts';
import { seasonFile, whoseSeason } from './file.ts';
import { couldFollow, plansOf, setNotAt, writePlan } from './queries.ts';
import { planSchema } from './schema.ts';

const SEASONS: readonly { readonly owner: SeasonOwner; readonly at: string }[] = [
  { owner: 'everybody', at: '' },
  { owner: 'squad', at: '/squads/:id' },
  { owner: 'athlete', at: '/athletes/:id' },
];

const linkSchema = Joi.object<{ id: string; owner: SeasonOwner; ownerId: string | null }, true>({
  id: idSchema.lowercase().required(),
  owner: Joi.string()
    .valid(...SEASONS.map(({ owner }) => owner))
    .required(),
  ownerId: idSchema.lowercase().allow(null).required(),
});

/** Seasons of everybody, squads and athletes, and the calendars they are sent out as. */
export function seasonRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  for (const { owner, at } of SEASONS) {
    const idOf = (request: Request, practice: PracticeRow) => (owner === 'everybody' ? practice.id : idFrom(request));
    const file = (practice: PracticeRow, id: string) => snapshot(pool, (db) => seasonFile(db, practice, owner, id, now()));

    router.get(`${at}/season`, async (request, response) => {
      const { practice } = caller(response);
      response.json(await file(practice, idOf(request, practice)));
    });

    /** Lays a season out (revision 0) or changes the one with the named revision. */
    router.put(`${at}/season`, async (request, response) => {
      const { practice, name } = caller(response);
      const id = idOf(request, practice);
      const { revision, ...sent } = validate(planSchema, request.body);
      const plan = lowercased(sent as SeasonPlan);
      const wrong = planProblems(plan);
      if (wrong.length > 0) throw invalid(problems(wrong));
      if (owner !== 'athlete' && (plan.follows !== null || plan.notAt.length > 0 || plan.rhythm !== null))
        throw invalid([
          {
            path: plan.follows === null ? 'notAt' : 'follows',
            message: 'Only an athlete follows somebody, is not at an event or has a rhythm.',
          },
        ]);
      await transaction(pool, async (db) => {
        await whoseSeason(db, practice, owner, id, true);
        if (plan.follows !== null && !(await couldFollow(db, practice, id)).some((each) => each.id === plan.follows))
          throw invalid([{ path: 'follows', message: 'They are not in this squad.' }]);
        if (!(await writePlan(db, practice.id, id, revision, plan, now(), name))) {
          const there = (await plansOf(db, practice.id, [id])).get(id);
          const { notAt: _notAt, ...fields } = plan;
          if (!there || there.revision !== revision + 1 || !standsAlready(there.plan, fields)) throw stale('This season', there ?? null);
        }
        if (owner === 'athlete') await setNotAt(db, practice.id, id, plan.notAt);
      });
      response.json(await file(practice, id));
    });

    router.get(`${at}/season/calendar`, async (request, response) => {
      const { practice } = caller(response);
      sendCalendar(response, await calendarText(pool, practice, owner, idOf(request, practice), now()));
    });
  }

  router.get('/calendar-links', async (_request, response) => {
    response.json({ links: await openCalendars(pool, caller(response).practice.id) });
  });

  /** Opens a calendar to subscribe to. Its token is in this answer and nowhere else: whoever loses it opens another. */
  router.post('/calendar-links', async (request, response) => {
    const { practice, name } = caller(response);
    const { id, owner, ownerId } = validate(linkSchema, request.body);
    if ((ownerId === null) !== (owner === 'everybody'))
      throw invalid([{ path: 'ownerId', message: 'A calendar is of everybody, of one squad or of one athlete.' }]);
    await whoseSeason(pool, practice, owner, ownerId ?? practice.id);
    const token = await insertCalendar(pool, practice.id, { id, owner, ownerId: ownerId ?? practice.id }, now(), name).catch(
      (error: unknown) => {
        throw isDuplicate(error) ? stale('This calendar', null) : error;
      },
    );
    response.json({ token, links: await openCalendars(pool, practice.id) });
  });

  router.delete('/calendar-links/:id', async (request, response) => {
    const { practice } = caller(response);
    if (!(await revokeCalendar(pool, practice.id, idFrom(request), now()))) throw notFound('This calendar');
    response.json({ links: await openCalendars(pool, practice.id) });
  });

  /** For programs that know nothing but an address: the token stands in it, and the log has it nowhere. */
  router.get('/calendars/:token', async (request, response) => {
    sendCalendar(response, await calendarBehind(pool, request.params.token!.replace(/\.ics$/, ''), now()));
  });

  return router;
}

function sendCalendar(response: Response, text: string): void {
  response.set('Content-Disposition', 'inline; filename="season.ics"').type('text/calendar; charset=utf-8').send(text);
}

/** Ids as the database and every comparison write them. */
const lowercased = (plan: SeasonPlan): SeasonPlan =>
  JSON.parse(JSON.stringify(plan), (key, value: unknown) =>
    typeof value === 'string' && ['eventId', 'id', 'follows'].includes(key) ? value.toLowerCase() : value,
  ) as SeasonPlan;
