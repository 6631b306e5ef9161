import { Router, type Request, type Response } from 'express';
import Joi from 'joi';
import { isDay, type SeasonOwner } from '@pace-bend/core/record';
import { planProblems, type SeasonPlan } from '@pace-bend/core/season';
import { caller } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { change, isDuplicate, snapshot, transaction, type Db, type Pool } from '../db/pool.ts';
import { standsAlready } from '../db/once.ts';
import { eventById } from '../events/queries.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { problems, validate } from '../http/validate.ts';
import { lockBookings, rebook } from '../visits/queries.ts';
import { calendarBehind, calendarText, insertCalendar, openCalendars, revokeCalendar } from './calendars.ts';
import { seasonFile, whoseSeason } from './file.ts';
import { lookAtMove, type Moving } from './move.ts';
import { couldFollow, plansOf, setNotAt, writePlan } from './queries.ts';
import { moveSchema, planSchema } from './schema.ts';

const SEASONS: readonly { readonly owner: SeasonOwner; readonly at: string }[] = [
  { owner: 'everybody', at: '' },
  { owner: 'squad', at: '/squads/:id' },
  { owner: 'athlete', at: '/athletes/:id' },
];

const lookSchema = Joi.object<{ onDate: string }, true>({
  onDate: Joi.string()
    .required()
    .label('Day')
    .custom((value: string, helpers) => (isDay(value) ? value : helpers.message({ custom: 'A day is written YYYY-MM-DD, from 1900 on.' }))),
});

const linkSchema = Joi.object<{ id: string; owner: SeasonOwner; ownerId: string | null }, true>({
  id: idSchema.lowercase().required(),
  owner: Joi.string()
    .valid(...SEASONS.map(({ owner }) => owner))
    .required(),
  ownerId: idSchema.lowercase().allow(null).required(),
});

/** Seasons of everybody, squads and athletes, what moves with an event, and the calendars they are sent out as. */
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
      await whoseSeason(pool, practice, owner, id);
      if (owner !== 'athlete' && (plan.follows !== null || plan.notAt.length > 0))
        throw invalid([
          { path: plan.follows === null ? 'notAt' : 'follows', message: 'Only an athlete follows somebody or is not at an event.' },
        ]);
      await transaction(pool, async (db) => {
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

  /** What would move with an event; nothing is changed. */
  router.post('/events/:id/move-look', async (request, response) => {
    const { practice } = caller(response);
    const { onDate } = validate(lookSchema, request.body);
    const id = idFrom(request);
    response.json(
      await snapshot(pool, async (db) => {
        const event = await eventById(db, practice.id, id);
        if (!event) throw notFound('This event');
        return shown(await lookAtMove(db, practice, event, onDate, now()));
      }),
    );
  });

  /**
   * Moves an event with everything that is tied to it: the lines, the goals that are wanted by its day where that is meant, and the visits that
   * are named. All of it or nothing; a visit that somebody else changed since it was looked at refuses the whole.
   */
  router.post('/events/:id/move', async (request, response) => {
    const { practice, name } = caller(response);
    const id = idFrom(request);
    const { revision, onDate, visits, goals } = validate(moveSchema, request.body);
    const moved = await transaction(pool, async (db) => {
      await lockBookings(db, practice.id);
      const event = await eventById(db, practice.id, id, true);
      if (!event) throw notFound('This event');
      if (event.revision === revision + 1 && event.onDate === onDate) return null;
      if (event.revision !== revision) throw stale('This event', event);
      const look = await lookAtMove(db, practice, event, onDate, now(), true);
      await write(db, practice, look, { visits, goals }, now(), name);
      return look;
    });
    const event = await eventById(pool, practice.id, id);
    response.json({ event, moved: moved && shown(moved) });
  });

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

const shown = ({ goalIds: _goalIds, ...look }: Moving) => look;

/** Ids as the database and every comparison write them. */
const lowercased = (plan: SeasonPlan): SeasonPlan =>
  JSON.parse(JSON.stringify(plan), (key, value: unknown) =>
    typeof value === 'string' && ['eventId', 'id', 'follows'].includes(key) ? value.toLowerCase() : value,
  ) as SeasonPlan;

async function write(
  db: Db,
  practice: PracticeRow,
  look: Moving,
  { visits, goals }: { readonly visits: readonly { readonly id: string; readonly revision: number }[]; readonly goals: boolean },
  at: Date,
  by: string,
): Promise<void> {
  await change(db, 'UPDATE calendar_event SET on_date = ?, revision = revision + 1 WHERE id = ?', [look.toDay, look.event.id]);
  const plans = await plansOf(
    db,
    practice.id,
    look.lines.map(({ ownerId }) => ownerId),
  );
  for (const { ownerId, revision, after } of look.lines)
    await writePlan(db, practice.id, ownerId, revision, { ...plans.get(ownerId)!.plan, blocks: after }, at, by);
  if (goals && look.goalIds.length > 0)
    await change(db, `UPDATE athlete_goal SET by_date = ? WHERE id IN (${look.goalIds.map(() => '?').join(', ')})`, [
      look.toDay,
      ...look.goalIds,
    ]);
  for (const { id, revision } of visits) {
    const visit = look.visits.find((each) => each.id === id.toLowerCase());
    if (!visit || visit.past) throw invalid([{ path: 'visits', message: 'A visit that is named does not move with this event.' }]);
    if (visit.revision !== revision || !(await rebook(db, visit.id, revision, new Date(visit.toStartsAt), visit.minutes)))
      throw stale(`The visit of ${visit.athleteName}`, null);
  }
}
