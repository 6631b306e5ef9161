import { Router } from 'express';
import type { Reading, ReadingFields } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom } from '../app/ids.ts';
import { invalid, stale } from '../app/problem.ts';
import { validate } from '../app/validate.ts';
import { cautionsOfVisit, requireMeasurable } from '../cautions/context.ts';
import { isDuplicate, type Pool } from '../db/pool.ts';
import { findOpenVisit } from '../visits/find.ts';
import { insertReading, readingById, readingsOf } from './queries.ts';
import { readingSchema } from './schema.ts';

export function readingRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** Adds a reading, or a correction of one. The same request again changes nothing. */
  router.put('/visits/:id/readings/:readingId', async (request, response) => {
    const visitId = idFrom(request);
    const readingId = idFrom(request, 'readingId');
    const fields = validate(readingSchema, request.body);
    const { practice, accountId } = caller(response);
    const visit = await findOpenVisit(pool, practice, visitId);
    const existing = await readingById(pool, readingId);
    if (existing) {
      if (existing.visitId !== visitId || !sameReading(existing, fields)) throw stale('This reading', existing.visitId === visitId ? existing : null);
      return void response.json(existing);
    }
    if (fields.supersedes !== null) {
      const corrected = await readingById(pool, fields.supersedes);
      const fits = corrected?.visitId === visitId && corrected.motionId === fields.motionId && corrected.side === fields.side && corrected.moment === fields.moment;
      if (!fits) throw invalid([{ path: 'supersedes', message: 'The reading to be corrected is not one of this motion, side and moment of this visit.' }]);
    }
    // A reading can always be withdrawn.
    if (fields.trials.length > 0) {
      const { context, overrides } = await cautionsOfVisit(pool, practice, visit);
      requireMeasurable(context, overrides, fields.motionId, fields.side);
    }
    try {
      await insertReading(pool, readingId, visitId, fields, now(), accountId);
    } catch (error) {
      if (!isDuplicate(error)) throw error;
      throw stale('This reading', await readingsOf(pool, visitId));
    }
    response.json(await readingById(pool, readingId));
  });

  return router;
}

function sameReading(existing: Reading, sent: ReadingFields): boolean {
  return existing.motionId === sent.motionId && existing.side === sent.side && existing.moment === sent.moment
    && existing.supersedes === (sent.supersedes?.toLowerCase() ?? null) && JSON.stringify(existing.trials) === JSON.stringify(sent.trials);
}
