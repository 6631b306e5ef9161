import { Router } from 'express';
import Joi from 'joi';
import { isDeepStrictEqual } from 'node:util';
import { LIMITS, MOST_EDITS, type Note } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { putOnce } from '../db/once.ts';
import { idFrom } from '../http/ids.ts';
import { Problem, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import type { Pool } from '../db/pool.ts';
import { inOpenVisit, inVisit } from '../visits/find.ts';
import { addendaCount, addendumById, insertAddendum, insertSignature, noteOf, signatureOf, writeNote } from './queries.ts';

const words = Joi.string().allow('').max(LIMITS.noteLength);
const noteSchema = Joi.object<Pick<Note, 'text' | 'revision'> & { readonly edits?: Note['edits'] }, true>({
  revision: Joi.number().integer().min(0).required(),
  text: words.required().label('Note'),
  edits: Joi.object()
    .pattern(Joi.string().max(160), Joi.object({ text: words.required(), was: words.required() }))
    .max(MOST_EDITS)
    .label('Changes by hand'),
});
const signatureSchema = Joi.object<{ readonly revision: number; readonly text: string }, true>({
  revision: Joi.number().integer().min(0).required(),
  text: Joi.string().trim(true).min(1).max(LIMITS.signedNoteLength).required().label('Note'),
});
const addendumSchema = Joi.object<{ readonly text: string }, true>({
  text: Joi.string().trim(true).min(1).max(LIMITS.noteLength).required().label('Addition'),
});

export function noteRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.put('/visits/:id/note', async (request, response) => {
    const visitId = idFrom(request);
    const { revision, text, edits } = validate(noteSchema, request.body);
    response.json(
      await inOpenVisit(pool, caller(response).practice, visitId, async (db) => {
        const before = await noteOf(db, visitId);
        // Sent by a program that knows of no changes by hand: they stay.
        const wanted = { text, edits: edits ?? before.edits };
        const stands = (note: Note) =>
          note.revision === revision + 1 && note.text === wanted.text && isDeepStrictEqual(note.edits, wanted.edits);
        if (before.signed) {
          if (stands(before)) return before;
          throw new Problem('signed', 'This note is signed. What is to be added goes into an addition.', [], { current: before });
        }
        const written = await writeNote(db, visitId, revision, wanted);
        const current = await noteOf(db, visitId);
        if (!written && !stands(current)) throw stale('The note', current);
        return current;
      }),
    );
  });

  /** Signs the note as its writer sees it, once; a visit that is over can be signed, one that is cancelled not. */
  router.put('/visits/:id/note/signature', async (request, response) => {
    const visitId = idFrom(request);
    const { revision, text } = validate(signatureSchema, request.body);
    const { practice, accountId, name } = caller(response);
    response.json(
      await inVisit(pool, practice, visitId, async (db, visit) => {
        const before = await noteOf(db, visitId);
        await putOnce({
          what: 'The signed note',
          find: () => signatureOf(db, visitId),
          same: (there) => there.text === text,
          insert: async () => {
            if (visit.cancelledAt) throw new Problem('cancelled', 'This visit is cancelled. Put it back on the day to change it.');
            // Somebody wrote on meanwhile: what would be signed was not seen.
            if (before.revision !== revision) throw stale('The note', before);
            await insertSignature(db, visitId, text, now(), name, accountId);
          },
        });
        return noteOf(db, visitId);
      }),
    );
  });

  /** What is added to a signed note, signed and dated by itself; never changed. */
  router.put('/visits/:id/note/addenda/:addendumId', async (request, response) => {
    const visitId = idFrom(request);
    const id = idFrom(request, 'addendumId');
    const { text } = validate(addendumSchema, request.body);
    const { practice, name } = caller(response);
    response.json(
      await inVisit(pool, practice, visitId, async (db) => {
        await putOnce({
          what: 'This addition',
          find: () => addendumById(db, id),
          same: (there) => there.visitId === visitId && there.text === text,
          insert: async () => {
            if (!(await signatureOf(db, visitId)))
              throw new Problem('not-signed', 'This note is not signed yet: change it instead of adding to it.');
            if ((await addendaCount(db, visitId)) >= LIMITS.addendaOfNote)
              throw new Problem('full', `A note takes ${LIMITS.addendaOfNote} additions at most.`);
            await insertAddendum(db, id, visitId, text, now(), name);
          },
        });
        return noteOf(db, visitId);
      }),
    );
  });

  return router;
}
