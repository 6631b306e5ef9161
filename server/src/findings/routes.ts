import { Router } from 'express';
import type { Finding, FindingFields } from '@pace-bend/core/finding';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { cautionsOfVisit, requireMeasurable, requireNoStop } from '../cautions/context.ts';
import type { Pool } from '../db/pool.ts';
import { inOpenVisit } from '../visits/find.ts';
import { findingById, findingsOf, insertFinding } from './queries.ts';
import { findingSchema } from './schema.ts';

export function findingRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** Adds what was found, or a correction of it. The same request again changes nothing. */
  router.put('/visits/:id/findings/:findingId', async (request, response) => {
    const visitId = idFrom(request);
    const id = idFrom(request, 'findingId');
    const fields = validate(findingSchema, request.body);
    const { practice, name } = caller(response);
    response.json(
      await inOpenVisit(pool, practice, visitId, async (db, visit) => {
        const find = async () => {
          const there = await findingById(db, id);
          if (there && there.visitId !== visitId) throw stale('This finding', null);
          return there;
        };
        const insert = async () => {
          if (fields.supersedes !== null) requireSameThing(await findingById(db, fields.supersedes), visitId, fields);
          // What is on the record can always be withdrawn; hands go on only where cautions let them.
          if (fields.data !== null) {
            const { context, overrides } = await cautionsOfVisit(db, practice, visit);
            if (fields.kind === 'end') requireMeasurable(context, overrides, fields.subject, fields.side);
            else requireNoStop(context);
          }
          await insertFinding(db, id, visitId, fields, now(), name);
        };
        return putOnce({
          what: 'This finding',
          find,
          same: (there) => standsAlready(there, fields),
          insert,
          instead: () => findingsOf(db, visitId),
        });
      }),
    );
  });

  return router;
}

function requireSameThing(corrected: Finding | null, visitId: string, fields: FindingFields): void {
  const fits =
    corrected?.visitId === visitId &&
    (['kind', 'subject', 'side', 'moment'] as const).every((member) => corrected[member] === fields[member]);
  if (!fits) throw invalid([{ path: 'supersedes', message: 'What is to be corrected is not the same thing of this visit.' }]);
}
