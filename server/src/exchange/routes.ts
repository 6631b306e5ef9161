import { setImmediate as breathe } from 'node:timers/promises';
import express, { Router } from 'express';
import { writeSquad } from '@pace-bend/core/exchange';
import { LIMITS } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { dayIn } from '../http/days.ts';
import { invalid } from '../http/problem.ts';
import { IMPORT_PARTS, requireFewParts, requireSaneShape } from '../http/shape.ts';
import { athletePages } from '../athletes/queries.ts';
import { isDuplicate, rows, transaction, type Pool } from '../db/pool.ts';
import { requireKnownSports } from '../sports/known.ts';
import { ownSportsOf } from '../sports/queries.ts';
import { importRows, rowsFrom } from './importSquad.ts';

export function exchangeRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /**
   * Reads a squad in: every row, or none. A row that cannot be, or a person who is already here or comes twice,
   * refuses the whole request with each row's own message. The same request again finds its own rows and adds none.
   */
  router.post(
    '/import/athletes',
    express.json({ limit: LIMITS.importBytes, verify: requireFewParts(IMPORT_PARTS) }),
    async (request, response) => {
      const { practice } = caller(response);
      requireSaneShape(request.body, IMPORT_PARTS);
      const sent = await rowsFrom(request.body, dayIn(practice.timeZone, now()));
      await requireKnownSports(
        pool,
        practice.id,
        sent.map((row, i) => ({ path: `rows.${i}.sports`, sports: row.sports })),
      );
      const added = await transaction(pool, (db) => importRows(db, practice.id, sent)).catch((error: unknown) => {
        throw isDuplicate(error) ? invalid([{ path: 'rows', message: 'A row’s id is taken, or two rows have the same one.' }]) : error;
      });
      response.json({ added, already: sent.length - added });
    },
  );

  router.get('/export/athletes', async (_request, response) => {
    const { practice } = caller(response);
    const squads = await rows<{ athleteId: string; name: string }>(
      pool,
      'SELECT m.athlete_id AS athleteId, s.name FROM squad_member m JOIN squad s ON s.id = m.squad_id WHERE s.practice_id = ? ORDER BY s.name',
      [practice.id],
    );
    const ownSports = await ownSportsOf(pool, practice.id);
    const names = new Map<string, string[]>();
    for (const { athleteId, name } of squads) names.set(athleteId, [...(names.get(athleteId) ?? []), name]);
    // Page by page, so that others have their turn.
    let text = `\uFEFF${writeSquad([])}`;
    for await (const page of athletePages(pool, practice.id)) {
      text += writeSquad(
        page.map((athlete) => ({ ...athlete, squads: names.get(athlete.id) ?? [] })),
        { heading: false, ownSports },
      );
      await breathe();
    }
    response.attachment('squad.csv').type('text/csv; charset=utf-8').send(text);
  });

  return router;
}
