import { Router } from 'express';
import Joi from 'joi';
import { isDay, LIMITS, type CalendarEvent, type EventFields } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { oneLine } from '../http/text.ts';
import { change, firstRow, transaction, type Db, type Pool } from '../db/pool.ts';
import { allEvents, eventById } from './queries.ts';

const day = Joi.string()
  .required()
  .custom((value: string, helpers) => (isDay(value) ? value : helpers.message({ custom: 'A day is written YYYY-MM-DD, from 1900 on.' })));
const importance = Joi.number().integer().min(1).max(3).required();

const eventSchema = Joi.object<EventFields & { revision: number }, true>({
  revision: Joi.number().integer().min(0).required(),
  name: oneLine().trim(true).min(1).max(LIMITS.eventName).required().label('Event'),
  onDate: day.label('Day'),
  importance: importance.label('Importance'),
  squadId: idSchema.allow(null).required().label('Squad'),
  athleteId: idSchema.allow(null).default(null).label('Athlete'),
});

const importSchema = Joi.object<
  { events: { id: string; name: string; onDate: string; importance: 1 | 2 | 3; key: string }[]; squadId: string | null },
  true
>({
  squadId: idSchema.allow(null).required().label('Squad'),
  events: Joi.array()
    .items(
      Joi.object({
        id: idSchema.required(),
        name: oneLine().trim(true).min(1).max(LIMITS.eventName).required().label('Event'),
        onDate: day.label('Day'),
        importance: importance.label('Importance'),
        key: oneLine().min(1).max(120).required(),
      }),
    )
    .min(1)
    .max(LIMITS.eventsInOneRequest)
    .required()
    .label('Events'),
});

async function requireSquad(db: Db, practiceId: string, squadId: string | null): Promise<void> {
  if (squadId !== null && !(await firstRow(db, 'SELECT id FROM squad WHERE id = ? AND practice_id = ?', [squadId, practiceId])))
    throw invalid([{ path: 'squadId', message: 'No such squad is known.' }]);
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
    await requireSquad(pool, practice.id, fields.squadId);
    if (fields.athleteId !== null) {
      if (fields.squadId !== null) throw invalid([{ path: 'athleteId', message: 'An event is of one squad or of one athlete.' }]);
      if (!(await firstRow(pool, 'SELECT id FROM athlete WHERE id = ? AND practice_id = ?', [fields.athleteId, practice.id])))
        throw invalid([{ path: 'athleteId', message: 'No such athlete is known.' }]);
    }
    const find = () => eventById(pool, practice.id, id);
    const same = (there: CalendarEvent) => there.revision === revision + 1 && standsAlready(there, fields);
    if (revision === 0) {
      await putOnce({
        what: 'This event',
        find,
        same,
        insert: () =>
          change(
            pool,
            'INSERT INTO calendar_event (id, practice_id, name, on_date, importance, squad_id, athlete_id) VALUES (?, ?, ?, ?, ?, ?, ?)',
            [id, practice.id, fields.name, fields.onDate, fields.importance, fields.squadId, fields.athleteId],
          ),
      });
    } else {
      const touched = await change(
        pool,
        'UPDATE calendar_event SET name = ?, on_date = ?, importance = ?, squad_id = ?, athlete_id = ?, revision = revision + 1 WHERE id = ? AND practice_id = ? AND revision = ?',
        [fields.name, fields.onDate, fields.importance, fields.squadId, fields.athleteId, id, practice.id, revision],
      );
      const current = touched === 1 ? null : await find();
      if (touched !== 1 && !current) throw notFound('This event');
      if (current && !same(current)) throw stale('This event', current);
    }
    response.json({ events: await allEvents(pool, practice.id) });
  });

  /** Events out of a calendar. One that came from there before is known by its key and left as it is; where its day there is another now, it is said. */
  router.post('/import/events', async (request, response) => {
    const { practice } = caller(response);
    const { events, squadId } = validate(importSchema, request.body);
    await requireSquad(pool, practice.id, squadId);
    const result = { added: 0, known: 0, otherDay: [] as { name: string; onDate: string; thereOn: string }[] };
    await transaction(pool, async (db) => {
      for (const { id, name, onDate, importance, key } of events) {
        const written = await change(
          db,
          'INSERT IGNORE INTO calendar_event (id, practice_id, name, on_date, importance, squad_id, source_key) VALUES (?, ?, ?, ?, ?, ?, ?)',
          [id, practice.id, name, onDate, importance, squadId, key],
        );
        if (written === 1) {
          result.added += 1;
          continue;
        }
        const there = await firstRow<{ name: string; onDate: string }>(
          db,
          'SELECT name, on_date AS onDate FROM calendar_event WHERE practice_id = ? AND source_key = ?',
          [practice.id, key],
        );
        result.known += 1;
        if (there && there.onDate !== onDate) result.otherDay.push({ name: there.name, onDate: there.onDate, thereOn: onDate });
      }
    });
    response.json({ ...result, events: await allEvents(pool, practice.id) });
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
