import { Router } from 'express';
import type { Reading, ReadingFields } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, stale } from '../http/problem.ts';
import { putOnce } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { cautionsOfVisit, requireMeasurable } from '../cautions/context.ts';
import type { Pool } from '../db/pool.ts';
import { inOpenVisit } from '../visits/find.ts';
import { insertReading, readingById, readingsOf } from '../measured/queries.ts';
import { readingSchema } from './schema.ts';

export function readingRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** Adds a reading, or a correction of one. The same request again changes nothing. */
  router.put('/visits/:id/readings/:readingId', async (request, response) => {
    const visitId = idFrom(request);
    const readingId = idFrom(request, 'readingId');
    const fields = validate(readingSchema, request.body);
    const { practice, accountId } = caller(response);
    response.json(
      await inOpenVisit(pool, practice, visitId, async (db, visit) => {
        const find = async () => {
          const there = await readingById(db, readingId);
          if (there && there.visitId !== visitId) throw stale('This reading', null);
          return there;
        };
        const insert = async () => {
          if (fields.supersedes !== null) {
            const corrected = await readingById(db, fields.supersedes);
            const fits =
              corrected?.visitId === visitId &&
              corrected.motionId === fields.motionId &&
              corrected.side === fields.side &&
              corrected.moment === fields.moment;
            if (!fits)
              throw invalid([
                { path: 'supersedes', message: 'The reading to be corrected is not one of this motion, side and moment of this visit.' },
              ]);
          }
          // A reading can always be withdrawn.
          if (fields.trials.length > 0) {
            const { context, overrides } = await cautionsOfVisit(db, practice, visit);
            requireMeasurable(context, overrides, fields.motionId, fields.side);
          }
          await insertReading(db, readingId, visitId, fields, now(), accountId);
        };
        return putOnce({
          what: 'This reading',
          find,
          same: (there) => sameReading(there, fields),
          insert,
          instead: () => readingsOf(db, visitId),
        });
      }),
    );
  });

  return router;
}

function sameReading(existing: Reading, sent: ReadingFields): boolean {
  return (
    existing.motionId === sent.motionId &&
    existing.side === sent.side &&
    existing.moment === sent.moment &&
    existing.supersedes === (sent.supersedes?.toLowerCase() ?? null) &&
    JSON.stringify(existing.trials) === JSON.stringify(sent.trials)
  );
}
