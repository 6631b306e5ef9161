import { Router } from 'express';
import Joi from 'joi';
import { isDay, LIMITS, type CalendarEvent, type EventFields } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { oneLine } from '../http/text.ts';
import { change, firstRow, type Db, type Pool } from '../db/pool.ts';
import { allEvents, EVENT_COLUMNS } from './queries.ts';

const eventSchema = Joi.object<EventFields & { revision: number }, true>({
  revision: Joi.number().integer().min(0).required(),
  name: oneLine().trim(true).min(1).max(LIMITS.eventName).required().label('Event'),
  onDate: Joi.string()
    .required()
    .label('Day')
    .custom((value: string, helpers) => (isDay(value) ? value : helpers.message({ custom: 'A day is written YYYY-MM-DD, from 1900 on.' }))),
  importance: Joi.number().integer().min(1).max(3).required().label('Importance'),
  squadId: idSchema.allow(null).required().label('Squad'),
});

async function eventById(db: Db, practiceId: string, id: string): Promise<CalendarEvent | null> {
  return firstRow<CalendarEvent>(db, `SELECT ${EVENT_COLUMNS} FROM calendar_event WHERE id = ? AND practice_id = ?`, [id, practiceId]);
}

/** What lies ahead and behind: races, matches, meets. For everybody, or for one squad. */
export function eventRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/events', async (_request, response) => {
    response.json({ events: await allEvents(pool, caller(response).practice.id) });
  });

  /** Adds an event (revision 0) or changes the one with the named revision. */
  router.put('/events/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { revision, ...fields } = validate(eventSchema, request.body);
    if (
      fields.squadId !== null &&
      !(await firstRow(pool, 'SELECT id FROM squad WHERE id = ? AND practice_id = ?', [fields.squadId, practice.id]))
    )
      throw invalid([{ path: 'squadId', message: 'No such squad is known.' }]);
    const find = () => eventById(pool, practice.id, id);
    const same = (there: CalendarEvent) => there.revision === revision + 1 && standsAlready(there, fields);
    if (revision === 0) {
      await putOnce({
        what: 'This event',
        find,
        same,
        insert: () =>
          change(pool, 'INSERT INTO calendar_event (id, practice_id, name, on_date, importance, squad_id) VALUES (?, ?, ?, ?, ?, ?)', [
            id,
            practice.id,
            fields.name,
            fields.onDate,
            fields.importance,
            fields.squadId,
          ]),
      });
    } else {
      const touched = await change(
        pool,
        'UPDATE calendar_event SET name = ?, on_date = ?, importance = ?, squad_id = ?, revision = revision + 1 WHERE id = ? AND practice_id = ? AND revision = ?',
        [fields.name, fields.onDate, fields.importance, fields.squadId, id, practice.id, revision],
      );
      const current = touched === 1 ? null : await find();
      if (touched !== 1 && !current) throw notFound('This event');
      if (current && !same(current)) throw stale('This event', current);
    }
    response.json({ events: await allEvents(pool, practice.id) });
  });

  /** Takes an event off. */
  router.delete('/events/:id', async (request, response) => {
    const { practice } = caller(response);
    if ((await change(pool, 'DELETE FROM calendar_event WHERE id = ? AND practice_id = ?', [idFrom(request), practice.id])) !== 1)
      throw notFound('This event');
    response.json({ events: await allEvents(pool, practice.id) });
  });

  return router;
}
