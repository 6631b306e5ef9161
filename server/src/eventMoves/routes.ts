import { Router } from 'express';
import Joi from 'joi';
import { isDay, LIMITS } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { change, snapshot, transaction, type Db, type Pool } from '../db/pool.ts';
import { eventById } from '../events/queries.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { plansOf, writePlan } from '../seasons/queries.ts';
import { lockBookings, rebook } from '../visits/queries.ts';
import { lookAtMove, type Moving } from './move.ts';

const day = Joi.string()
  .required()
  .label('Day')
  .custom((value: string, helpers) => (isDay(value) ? value : helpers.message({ custom: 'A day is written YYYY-MM-DD, from 1900 on.' })));

const lookSchema = Joi.object<{ onDate: string }, true>({
  onDate: day,
});

const moveSchema = Joi.object<{ revision: number; onDate: string; visits: { id: string; revision: number }[]; goals: boolean }, true>({
  revision: Joi.number().integer().min(1).required(),
  onDate: day,
  visits: Joi.array()
    .items(Joi.object({ id: idSchema.required(), revision: Joi.number().integer().min(1).required() }))
    .max(LIMITS.eventsInOneRequest)
    .required(),
  goals: Joi.boolean().required(),
});

/** Moving an event with everything that is tied to its day: looked at first, then done. */
export function eventMoveRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

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

  return router;
}

const shown = ({ goalIds: _goalIds, ...look }: Moving) => look;

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
