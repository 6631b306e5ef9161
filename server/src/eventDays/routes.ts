import { Router } from 'express';
import { checkSetUp, DAY_LIMITS, type EventDayFile, type EventDaySetUp, type EventRecord } from '@pace-bend/core/eventDay';
import { caller } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { standsAlready } from '../db/once.ts';
import { firstRow, isDuplicate, rows, snapshot, transaction, type Db, type Pool } from '../db/pool.ts';
import { eventById } from '../events/queries.ts';
import { therapistsOf } from '../hours/queries.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, notFound, Problem, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import {
  countEvents,
  dayEvents,
  deleteEventDay,
  eventDayById,
  eventDays,
  insertDayEvents,
  knownEvents,
  writeEventDay,
  type KeptEventDay,
} from './queries.ts';
import { peopleOf } from './people.ts';
import { athletesOf, writeRecord } from './record.ts';
import { eventsSchema, recordSchema, setUpSchema } from './schema.ts';

/** Days at events: what was set up, and what happens on them. */
export function eventDayRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/event-days', async (_request, response) => {
    response.json({ days: await eventDays(pool, caller(response).practice.id) });
  });

  router.get('/event-days/:id', async (request, response) => {
    const { practice } = caller(response);
    response.json(await snapshot(pool, (db) => fileOf(db, practice, idFrom(request))));
  });

  /** Sets a day up (revision 0) or changes the one with the named revision. */
  router.put('/event-days/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice, name } = caller(response);
    const { revision, ...sent } = validate(setUpSchema, request.body);
    const setUp = sent as EventDaySetUp;
    const wrong = checkSetUp(setUp);
    if (wrong.length > 0) throw invalid(wrong);
    await transaction(pool, async (db) => {
      const before = await eventDayById(db, practice.id, id, true);
      await requireKnown(db, practice, setUp, before?.setUp.eventId ?? null);
      if (!(await writeEventDay(db, practice.id, id, revision, setUp, now(), name))) {
        const there = await eventDayById(db, practice.id, id);
        if (!there && revision > 0) throw notFound('This event day');
        if (!there || there.revision !== revision + 1 || !standsAlready(there.setUp, setUp)) throw stale('This event day', there);
      }
    });
    response.json(await snapshot(pool, (db) => fileOf(db, practice, id)));
  });

  /** Takes a day off on which nothing was recorded. */
  router.delete('/event-days/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    await transaction(pool, async (db) => {
      if (!(await eventDayById(db, practice.id, id, true))) throw notFound('This event day');
      if (await firstRow(db, 'SELECT id FROM visit WHERE event_day_id = ? LIMIT 1', [id]))
        throw new Problem('in-use', 'Visits were recorded on this day. It stays.');
      await deleteEventDay(db, practice.id, id);
    });
    response.json({ days: await eventDays(pool, practice.id) });
  });

  router.get('/event-days/:id/events', async (request, response) => {
    const { practice } = caller(response);
    const id = idFrom(request);
    const { since } = request.query;
    if (since !== undefined && (typeof since !== 'string' || !/^\d{1,15}$/.test(since)))
      throw invalid([{ path: 'since', message: 'Since is the number of the last event that is known.' }]);
    if (!(await eventDayById(pool, practice.id, id))) throw notFound('This event day');
    response.json(await dayEvents(pool, id, Number(since ?? 0)));
  });

  /** Adds what happened. What is there already is passed over, so that sending again is harmless; nothing is changed or taken away. */
  router.post('/event-days/:id/events', async (request, response) => {
    const { practice, name } = caller(response);
    const id = idFrom(request);
    const { events } = validate(eventsSchema, request.body);
    await transaction(pool, async (db) => {
      // Two devices that send the same at once are one after the other.
      if (!(await eventDayById(db, practice.id, id, true))) throw notFound('This event day');
      const known = await knownEvents(
        db,
        events.map((event) => event.id),
      );
      if (known.some((event) => event.eventDayId !== id))
        throw invalid([{ path: 'events', message: 'An event with this id belongs to another day.' }]);
      const fresh = events.filter((event) => !known.some((there) => there.id === event.id));
      if (fresh.length === 0) return;
      if ((await countEvents(db, id)) + fresh.length > DAY_LIMITS.events)
        throw invalid([{ path: 'events', message: `A day holds at most ${DAY_LIMITS.events} events.` }]);
      await insertDayEvents(db, id, fresh, name);
    });
    response.json({ kept: events.map((event) => event.id) });
  });

  /** What cautions need to know of whoever is on the start list and on file. */
  router.get('/event-days/:id/people', async (request, response) => {
    const { practice } = caller(response);
    const id = idFrom(request);
    response.json(
      await snapshot(pool, async (db) => {
        const day = await eventDayById(db, practice.id, id);
        if (!day) throw notFound('This event day');
        const { events } = await dayEvents(db, id);
        return peopleOf(db, practice, athletesOf(day, events), day.setUp.onDate);
      }),
    );
  });

  /** Writes down what was done for a wish: it becomes a finished visit. One wish is one visit; the same again is answered with what stands. */
  router.put('/event-days/:id/records/:wishId', async (request, response) => {
    const { practice, accountId, name } = caller(response);
    const id = idFrom(request);
    const wishId = idFrom(request, 'wishId');
    const record = validate(recordSchema, request.body) as EventRecord;
    const event = await transaction(pool, async (db) => {
      const day = await eventDayById(db, practice.id, id, true);
      if (!day) throw notFound('This event day');
      return writeRecord(db, day, wishId, record, { practice, accountId, name }, now());
    }).catch((error: unknown) => {
      if (isDuplicate(error)) throw invalid([{ path: 'visitId', message: 'An id of this record belongs to something else.' }]);
      throw error;
    });
    response.json({ event });
  });

  return router;

  async function fileOf(db: Db, practice: PracticeRow, id: string): Promise<EventDayFile> {
    const day = await eventDayById(db, practice.id, id);
    if (!day) throw notFound('This event day');
    return { ...(day satisfies KeptEventDay), ...(await dayEvents(db, id)), therapists: await therapistsOf(db, practice.id) };
  }

  /** Whoever and whatever is named is of this practice. */
  async function requireKnown(
    db: Db,
    practice: PracticeRow,
    { eventId, starters, shifts, wishes }: EventDaySetUp,
    hadEventId: string | null,
  ): Promise<void> {
    // An event that was taken off the season since leaves its day as it is.
    if (eventId !== null && eventId !== hadEventId && !(await eventById(db, practice.id, eventId)))
      throw invalid([{ path: 'eventId', message: 'No such event is known.' }]);
    const named = [...new Set(starters.flatMap(({ athleteId }) => (athleteId ? [athleteId] : [])))];
    if (named.length > 0) {
      const known = new Set(
        (
          await rows<{ id: string }>(
            db,
            `SELECT id FROM athlete WHERE practice_id = ? AND id IN (${named.map(() => '?').join(', ')}) ORDER BY id`,
            [practice.id, ...named],
          )
        ).map((row) => row.id),
      );
      const unknown = starters.findIndex(({ athleteId }) => athleteId !== null && !known.has(athleteId));
      if (unknown >= 0) throw invalid([{ path: `starters.${unknown}.athleteId`, message: 'No such athlete is known.' }]);
    }
    const accounts = await rows<{ id: string }>(db, 'SELECT id FROM account WHERE practice_id = ?', [practice.id]);
    const works = (id: string) => accounts.some((account) => account.id === id);
    const shift = shifts.findIndex(({ therapistId }) => !works(therapistId));
    if (shift >= 0) throw invalid([{ path: `shifts.${shift}.therapistId`, message: 'Nobody here has this account.' }]);
    const wish = wishes.findIndex(({ therapistId }) => therapistId !== null && !works(therapistId));
    if (wish >= 0) throw invalid([{ path: `wishes.${wish}.therapistId`, message: 'Nobody here has this account.' }]);
  }
}
