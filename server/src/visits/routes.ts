import { Router } from 'express';
import { caller, concerns } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { idFrom } from '../http/ids.ts';
import { notFound, Problem, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { cautionsOfVisit, requireNoStop } from '../cautions/context.ts';
import { athleteById } from '../athletes/queries.ts';
import { transaction, type Db, type Pool } from '../db/pool.ts';
import { inTheWay } from './free.ts';
import { findOpenVisit, findVisit, inVisit, requireOpen } from './find.ts';
import { insertVisit, lockBookings, rebook, setCancelled, setFinished, setStep, updateVisit, visitById } from './queries.ts';
import { referralOf } from '../safety/queries.ts';
import { bookingSchema, newVisitSchema, revisionSchema, visitPatchSchema } from './schema.ts';

export function visitRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** Books. The same request again is answered with what stands. Time that is taken is refused unless it is meant. */
  router.put('/visits/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { overlap = false, ...fields } = validate(newVisitSchema, request.body);
    if (!(await athleteById(pool, practice.id, fields.athleteId))) throw notFound('This athlete');
    concerns(response, fields.athleteId);
    response.json(
      await putOnce({
        what: 'This visit',
        find: () => visitById(pool, practice.id, id),
        same: (there) =>
          there.athleteId === fields.athleteId.toLowerCase() &&
          Date.parse(there.startsAt) === Date.parse(fields.startsAt) &&
          there.minutes === fields.minutes,
        insert: () =>
          transaction(pool, async (db) => {
            await requireFree(db, practice, new Date(fields.startsAt), fields.minutes, id, overlap);
            await insertVisit(db, id, fields);
          }),
      }),
    );
  });

  router.patch('/visits/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { step, revision, ...patch } = validate(visitPatchSchema, request.body);
    const hasContent = Object.keys(patch).length > 0;
    // A finished visit can still be looked through: its step may change, its content may not.
    response.json(
      await inVisit(pool, practice, id, async (db, visit) => {
        if (hasContent) requireOpen(visit);
        if (hasContent && !(await updateVisit(db, id, revision, patch))) {
          const repeated = visit.revision === revision + 1 && standsAlready(visit, patch);
          if (!repeated) throw stale('This visit', visit);
        }
        if (step) await setStep(db, id, step);
        return findVisit(db, practice, id);
      }),
    );
  });

  /** Moves a visit or changes its length. */
  router.post('/visits/:id/booking', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { startsAt, minutes, revision, overlap = false } = validate(bookingSchema, request.body);
    const visit = await findOpenVisit(pool, practice, id);
    if (Date.parse(visit.startsAt) === Date.parse(startsAt) && visit.minutes === minutes) return void response.json(visit);
    const moved = await transaction(pool, async (db) => {
      await requireFree(db, practice, new Date(startsAt), minutes, id, overlap);
      return rebook(db, id, revision, new Date(startsAt), minutes);
    });
    const after = await findVisit(pool, practice, id);
    const there = Date.parse(after.startsAt) === Date.parse(startsAt) && after.minutes === minutes && after.revision === revision + 1;
    if (!moved && !there) throw stale('This visit', after);
    response.json(after);
  });

  for (const [path, at] of [
    ['cancel', () => now()],
    ['restore', () => null],
  ] as const) {
    router.post(`/visits/:id/${path}`, async (request, response) => {
      const id = idFrom(request);
      const { practice } = caller(response);
      const { revision, overlap = false } = validate(revisionSchema, request.body);
      const visit = await findVisit(pool, practice, id);
      if (visit.finishedAt) throw new Problem('finished', 'This visit is finished: it was held, and cannot be cancelled.');
      if ((visit.cancelledAt !== null) === (path === 'cancel')) return void response.json(visit);
      const done = await transaction(pool, async (db) => {
        if (path === 'restore') await requireFree(db, practice, new Date(visit.startsAt), visit.minutes, id, overlap);
        return setCancelled(db, id, revision, at());
      });
      const after = await findVisit(pool, practice, id);
      if (!done && (after.cancelledAt !== null) !== (path === 'cancel')) throw stale('This visit', after);
      response.json(after);
    });
  }

  for (const [path, at] of [
    ['finish', () => now()],
    ['reopen', () => null],
  ] as const) {
    router.post(`/visits/:id/${path}`, async (request, response) => {
      const id = idFrom(request);
      const { practice } = caller(response);
      const { revision } = validate(revisionSchema, request.body);
      response.json(
        await inVisit(pool, practice, id, async (db, visit) => {
          // The same wish again, after its answer was lost: it is already so.
          if ((visit.finishedAt !== null) === (path === 'finish')) return visit;
          if (visit.cancelledAt) throw new Problem('cancelled', 'This visit is cancelled. Put it back on the day first.');
          if (path === 'finish' && !(await referralOf(db, id))) requireNoStop((await cautionsOfVisit(db, practice, visit)).context);
          if (!(await setFinished(db, id, revision, at()))) throw stale('This visit', visit);
          return findVisit(db, practice, id);
        }),
      );
    });
  }

  return router;
}

/** Refuses a span that is taken, unless overlapping is meant. Nobody else books while it is looked at and written. */
async function requireFree(db: Db, practice: PracticeRow, from: Date, minutes: number, exceptId: string, overlap: boolean): Promise<void> {
  await lockBookings(db, practice.id);
  if (overlap) return;
  const taken = await inTheWay(db, practice, { id: exceptId, startsAt: from, minutes });
  if (taken.length > 0)
    throw new Problem('overlaps', `This time is taken by ${taken.map((visit) => visit.athleteName).join(', ')}. Nothing was changed.`, [], {
      overlaps: taken,
    });
}
