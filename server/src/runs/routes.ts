import { Router } from 'express';
import { lineOfRun } from '@pace-bend/core/record';
import { caller, concerns } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, Problem, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import { cautionsOfVisit, requireAllowed, requireAsked } from '../cautions/context.ts';
import { isDuplicate, transaction, type Pool } from '../db/pool.ts';
import { requireSoundBlocks } from '../blocks/check.ts';
import { shelfFor } from '../shelf/queries.ts';
import { findVisit, inVisit, requireOpen } from '../visits/find.ts';
import { requireRoom, requireRoomForEvents, requireRoomInVisit } from '../blocks/room.ts';
import { eventsOf, insertRun, insertRunEvents, lastSeqLocked, runById, visitOfRunLocked } from '../done/runs.ts';
import { withPieces } from './pieces.ts';
import { runEventsSchema, runSchema } from './schema.ts';
import { keepDone } from '../done/treated.ts';

export function runRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** Begins a run: the line is compiled here from the same input the browser used, and kept. */
  router.put('/runs/:id', async (request, response) => {
    const id = idFrom(request);
    const fields = validate(runSchema, request.body);
    const { practice, accountId } = caller(response);
    const shelf = await shelfFor(pool, practice.id, fields.blocks);
    requireSoundBlocks(fields.blocks, shelf);
    concerns(response, (await findVisit(pool, practice, fields.visitId)).athleteId);
    // A run that was begun already stands, whatever became of its visit since.
    const run = await inVisit(pool, practice, fields.visitId, (db, visit) =>
      putOnce({
        what: 'This run',
        find: async () => {
          const there = await runById(db, id);
          if (there && there.visitId !== visit.id) throw stale('This run', null);
          return there;
        },
        same: (there) => standsAlready(there.input, fields),
        insert: async () => {
          requireOpen(visit);
          const { context, overrides, open } = await cautionsOfVisit(db, practice, visit);
          requireAsked(open);
          requireAllowed(context, overrides, fields.blocks, shelf);
          const line = lineOfRun(fields, shelf);
          const text = JSON.stringify(line);
          requireRoom(line, text);
          await requireRoomInVisit(db, visit.id, text.length);
          await insertRun(db, id, fields, text, now(), accountId);
        },
      }),
    );
    response.json({ ...run, input: undefined });
  });

  /**
   * Appends events. They must follow on the last one kept; those that are already there under the same id are
   * passed over, so that sending again is harmless. Another event in a place that is taken means that a second
   * tab leads the same run: nothing is written and what stands is sent back.
   */
  router.post('/runs/:id/events', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { events } = validate(runEventsSchema, request.body);
    events.forEach((event, i) => {
      const before = events[i - 1];
      if (before && (event.seq !== before.seq + 1 || event.atMs < before.atMs)) {
        throw invalid([
          { path: `events.${i}.seq`, message: 'Events follow one another: numbers without a gap, times that do not go back.' },
        ]);
      }
    });

    const lastSeq = await transaction(pool, async (db) => {
      const visit = await visitOfRunLocked(db, id);
      const before = await lastSeqLocked(db, id);
      let last = before;
      const fresh: (typeof events)[number][] = [];
      // The event before the first one sent says which time may not be gone back behind.
      const kept = new Map((await eventsOf(db, id, events[0]!.seq - 1)).map((stored) => [stored.seq, stored]));
      // What is there already is answered whatever became of the visit; nothing is added to one that is finished or cancelled.
      if (visit && events.some((event) => event.seq > last)) requireOpen(visit);
      await requireRoomForEvents(db, id, events.filter((event) => event.seq > last).length);
      for (const event of events) {
        const there = kept.get(event.seq);
        if (there) {
          if (there.id !== event.id.toLowerCase())
            throw new Problem('led-elsewhere', 'Another tab is leading this run. Nothing was overwritten.', [], { lastSeq: last });
          continue;
        }
        if (event.seq !== last + 1)
          throw new Problem('gap', `Event ${last + 1} is missing before event ${event.seq}.`, [], { lastSeq: last });
        const previous = kept.get(last);
        if (previous && event.atMs < previous.event.atMs)
          throw invalid([{ path: 'events.0.atMs', message: 'The time lies before an event that is already kept.' }]);
        fresh.push(event);
        kept.set(event.seq, { id: event.id.toLowerCase(), seq: event.seq, event: event as never });
        last = event.seq;
      }
      await insertRunEvents(db, id, await withPieces(db, practice, id, fresh));
      if (last > before) await keepDone(db, id);
      return last;
    }).catch((error: unknown) => {
      if (isDuplicate(error)) throw invalid([{ path: 'events', message: 'An event with this id belongs to another place.' }]);
      throw error;
    });
    response.json({ lastSeq });
  });

  return router;
}
