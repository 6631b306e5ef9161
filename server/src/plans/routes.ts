import { Router } from 'express';
import { SLOW_BREATH } from '@pace-bend/core/method';
import { lineOfRun } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { cautionsOfVisit, requireAllowed } from '../cautions/context.ts';
import type { Pool } from '../db/pool.ts';
import { requireRoom } from '../blocks/room.ts';
import { inOpenVisit } from '../visits/find.ts';
import { shelfFor } from '../shelf/queries.ts';
import { requireSoundBlocks } from '../blocks/check.ts';
import { planOf, replacePlan } from './queries.ts';
import { planSchema } from '../blocks/schema.ts';

export function planRoutes(pool: Pool): Router {
  const router = Router();

  router.put('/visits/:id/plan', async (request, response) => {
    const visitId = idFrom(request);
    const { revision, blocks } = validate(planSchema, request.body);
    const { practice } = caller(response);
    const shelf = await shelfFor(pool, practice.id, blocks);
    requireSoundBlocks(blocks, shelf);
    // What could not be run is not planned either; without the athlete's edges a line has the same cues.
    const line = lineOfRun({ blocks, breath: SLOW_BREATH, edges: [] }, shelf);
    requireRoom(line, JSON.stringify(line));
    const plan = await inOpenVisit(pool, practice, visitId, async (db, visit) => {
      if (blocks.length > 0) {
        const { context, overrides } = await cautionsOfVisit(db, practice, visit);
        requireAllowed(context, overrides, blocks, shelf);
      }
      const replaced = await replacePlan(db, visitId, revision, blocks);
      const current = await planOf(db, visitId);
      if (replaced) return current;
      // The same plan one revision on: this request again, after its answer was lost.
      const repeated = current.revision === revision + 1 && JSON.stringify(current.blocks) === JSON.stringify(blocks.map(inStoredOrder));
      if (!repeated) throw stale('The plan', current);
      return current;
    });
    response.json(plan);
  });

  return router;
}

/** The members of a block in the order `planOf` gives them, so that the two can be compared as text. */
function inStoredOrder<
  B extends {
    id: string;
    entryId: string;
    methodId: string;
    numbers: unknown;
    choices: unknown;
    sides: unknown;
    limits?: unknown;
    lists?: unknown;
    position?: unknown;
  },
>({ id, entryId, methodId, numbers, choices, sides, limits, lists, position }: B) {
  return {
    id,
    entryId,
    methodId,
    numbers,
    choices,
    sides,
    ...(limits ? { limits } : {}),
    ...(lists ? { lists } : {}),
    ...(position ? { position } : {}),
  };
}
