import { Router } from 'express';
import Joi from 'joi';
import { LIMITS, type Note } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import type { Pool } from '../db/pool.ts';
import { inOpenVisit } from '../visits/find.ts';
import { noteOf, writeNote } from './queries.ts';

const noteSchema = Joi.object<Note, true>({
  revision: Joi.number().integer().min(0).required(),
  text: Joi.string().allow('').max(LIMITS.noteLength).required().label('Note'),
});

export function noteRoutes(pool: Pool): Router {
  const router = Router();

  router.put('/visits/:id/note', async (request, response) => {
    const visitId = idFrom(request);
    const { revision, text } = validate(noteSchema, request.body);
    response.json(
      await inOpenVisit(pool, caller(response).practice, visitId, async (db) => {
        const written = await writeNote(db, visitId, revision, text);
        const current = await noteOf(db, visitId);
        if (!written && (current.revision !== revision + 1 || current.text !== text)) throw stale('The note', current);
        return current;
      }),
    );
  });

  return router;
}
