import { Router } from 'express';
import Joi from 'joi';
import { LIMITS } from '@pace-bend/core/record';
import { weekdayOf } from '@pace-bend/core/week';
import { caller } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { athleteById } from '../athletes/queries.ts';
import { rows, snapshot, transaction, type Db, type Pool } from '../db/pool.ts';
import { therapistsOf } from '../hours/queries.ts';
import { idSchema } from '../http/ids.ts';
import { dayBounds } from '../http/days.ts';
import { invalid, Problem, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { inTheWay } from '../visits/free.ts';
import { insertVisit, lockBookings, setCancelled, visitById } from '../visits/queries.ts';
import { visitTime } from '../visits/schema.ts';
import { weekFile } from './file.ts';

/** A visit as a week books it. */
interface WeekBooking {
  readonly id: string;
  readonly athleteId: string;
  readonly startsAt: string;
  readonly minutes: number;
  readonly therapistId: string;
}

/** A visit that could not be booked, and whose it meets. */
interface WeekConflict {
  readonly id: string;
  readonly athleteName: string;
  readonly startsAt: string;
  readonly takenBy: readonly string[];
}

const bookSchema = Joi.object<{ visits: WeekBooking[] }, true>({
  visits: Joi.array()
    .items(
      Joi.object<WeekBooking, true>({
        id: idSchema.lowercase().required(),
        athleteId: idSchema.lowercase().required(),
        therapistId: idSchema.lowercase().required(),
        ...visitTime,
      }),
    )
    .min(1)
    .max(LIMITS.weekBookings)
    .unique('id')
    .required(),
});

const cancelSchema = Joi.object<{ ids: string[] }, true>({
  ids: Joi.array().items(idSchema.lowercase()).min(1).max(LIMITS.weekBookings).unique().required(),
});

/** The therapist's week: what it is filled from, and its visits booked in one step. */
export function weekRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/week/:date', async (request, response) => {
    const { practice } = caller(response);
    const monday = request.params.date;
    dayBounds(monday, practice.timeZone);
    if (weekdayOf(monday) !== 1) throw invalid([{ path: 'date', message: 'A week begins on a Monday.' }]);
    response.json(await snapshot(pool, (db) => weekFile(db, practice, monday, now())));
  });

  /**
   * Books all visits or none. One that lies where another one does refuses the whole and says which; the same request again is answered with what
   * stands, and what was taken back is put back.
   */
  router.post('/week/book', async (request, response) => {
    const { practice } = caller(response);
    const { visits } = validate(bookSchema, request.body);
    await transaction(pool, async (db) => {
      await lockBookings(db, practice.id);
      const therapists = await therapistsOf(db, practice.id);
      const conflicts: WeekConflict[] = [];
      for (const [i, visit] of visits.entries()) {
        const athlete = await athleteById(db, practice.id, visit.athleteId);
        if (!athlete) throw invalid([{ path: `visits.${i}.athleteId`, message: 'This athlete is not in the practice.' }]);
        if (!therapists.some(({ id }) => id === visit.therapistId))
          throw invalid([{ path: `visits.${i}.therapistId`, message: 'This therapist does not work here.' }]);
        const wanted = { id: visit.id, startsAt: new Date(visit.startsAt), minutes: visit.minutes, therapistId: visit.therapistId };
        const takenBy = await inTheWay(db, practice, wanted);
        if (takenBy.length > 0) {
          const { id, startsAt } = visit;
          conflicts.push({ id, startsAt, athleteName: athlete.name, takenBy: takenBy.map((each) => each.athleteName) });
        } else await bookOne(db, practice, visit);
      }
      if (conflicts.length > 0)
        throw new Problem(
          'overlaps',
          `${conflicts.length === 1 ? 'One of these times is taken' : `${conflicts.length} of these times are taken`} by now: ${conflicts
            .map(({ athleteName, takenBy }) => `${athleteName} by ${takenBy.join(', ')}`)
            .join('; ')}. Nothing was booked.`,
          [],
          { conflicts },
        );
    });
    response.json({ booked: visits.map(({ id }) => id) });
  });

  /** Takes bookings back, all or none: those that have begun or were held stay. */
  router.post('/week/cancel', async (request, response) => {
    const { practice } = caller(response);
    const { ids } = validate(cancelSchema, request.body);
    await transaction(pool, async (db) => {
      await rows(db, `SELECT v.id FROM visit v WHERE v.id IN (${ids.map(() => '?').join(', ')}) FOR UPDATE`, ids);
      for (const id of ids) {
        const visit = await visitById(db, practice.id, id);
        if (!visit) throw invalid([{ path: 'ids', message: 'One of these visits does not exist.' }]);
        if (visit.cancelledAt) continue;
        if (visit.finishedAt || visit.step !== 'arrive')
          throw new Problem(
            'finished',
            `The visit of ${(await athleteById(db, practice.id, visit.athleteId))!.name} has begun. Nothing was taken back.`,
          );
        await setCancelled(db, id, visit.revision, now());
      }
    });
    response.json({ cancelled: ids });
  });

  return router;
}

async function bookOne(db: Db, practice: PracticeRow, { id, therapistId, ...fields }: WeekBooking): Promise<void> {
  const there = await visitById(db, practice.id, id);
  if (!there) return insertVisit(db, id, fields, therapistId);
  const same =
    there.athleteId === fields.athleteId && Date.parse(there.startsAt) === Date.parse(fields.startsAt) && there.minutes === fields.minutes;
  if (!same) throw stale('A visit of this week', there);
  if (there.cancelledAt) await setCancelled(db, id, there.revision, null);
}
