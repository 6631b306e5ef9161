import { Router } from 'express';
import { caller } from '../access/guard.ts';
import { change, firstRow, fromJson, insertMany, isDuplicate, rows, transaction, type Pool } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { spanOf } from '../http/span.ts';
import { idFrom, isId } from '../http/ids.ts';
import { invalid } from '../http/problem.ts';
import { problems, validate } from '../http/validate.ts';
import { athletesOf } from '../athletes/roster.ts';
import { keysOf, loadsOfMany, withdrawLoad } from './queries.ts';
import { importSchema, loadSchema } from './schema.ts';
import { writeLoad } from './write.ts';

/** The longest span of a squad's days. */
const MOST_SQUAD_DAYS = 70;

/** Sessions of training: one by one, a squad's weeks, and whole files. */
export function loadRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.put('/athletes/:id/loads/:loadId', async (request, response) => {
    const { practice, name } = caller(response);
    const sent = validate(loadSchema(dayIn(practice.timeZone, now())), request.body);
    response.json(await writeLoad(pool, idFrom(request), idFrom(request, 'loadId'), sent, now(), name));
  });

  router.delete('/athletes/:id/loads/:loadId', async (request, response) => {
    await withdrawLoad(pool, idFrom(request), idFrom(request, 'loadId'), now());
    response.json({ withdrawn: true });
  });

  /** What a squad trained between two days, by athlete, and which columns of a table were what the last time. */
  router.get('/loads', async (request, response) => {
    const { practice } = caller(response);
    const { squad } = request.query;
    if (squad !== undefined && !isId(squad)) throw invalid([{ path: 'squad', message: 'The squad is named by a UUID.' }]);
    const { from, to } = spanOf(request.query, dayIn(practice.timeZone, now()), MOST_SQUAD_DAYS, 41);
    const athletes = await athletesOf(pool, practice.id, squad ?? null);
    const loads = await loadsOfMany(
      pool,
      athletes.map(({ id }) => id),
      from,
      to,
    );
    const kept = await firstRow<{ columns: unknown }>(pool, 'SELECT load_columns AS columns FROM practice WHERE id = ?', [practice.id]);
    response.json({
      from,
      to,
      columns: kept?.columns ? fromJson(kept.columns) : null,
      athletes: athletes.map(({ id, name, sports }) => ({ id, name, sports, loads: loads.get(id) ?? [] })),
    });
  });

  /**
   * Reads sessions in: every row, or none. A row that is here already, from the same file read before, is left as it is and counted; a
   * row about nobody of the practice refuses the request with its place.
   */
  router.post('/import/loads', async (request, response) => {
    const { practice, name } = caller(response);
    const { by, columns, rows: sent } = validate(importSchema(dayIn(practice.timeZone, now())), request.body);
    const result = await transaction(pool, async (db) => {
      await rows(db, 'SELECT id FROM practice WHERE id = ? FOR UPDATE', [practice.id]);
      const known = new Set(
        (await rows<{ id: string }>(db, 'SELECT id FROM athlete WHERE practice_id = ?', [practice.id])).map(({ id }) => id),
      );
      const strangers = sent.flatMap((row, i) =>
        known.has(row.athleteId) ? [] : [{ path: `rows.${i}.athleteId`, message: 'No such athlete is known.' }],
      );
      if (strangers.length > 0) throw invalid(problems(strangers));
      const keys = await keysOf(db, [...new Set(sent.map((row) => row.athleteId))]);
      const fresh = sent.filter((row) => {
        const key = `${row.athleteId}/${row.key}`;
        if (keys.has(key)) return false;
        keys.add(key);
        return true;
      });
      const [at, source] = [now(), `${name}, ${by === 'table' ? 'from a table' : 'from a calendar'}`.slice(0, 120)];
      if (fresh.length > 0)
        await insertMany(
          db,
          'INSERT INTO training_load (id, athlete_id, on_date, kind, minutes, exertion, amount, asked_after_min, planned, entered_at, entered_by, source_key) VALUES ?',
          fresh.map((row) => [
            row.id,
            row.athleteId,
            row.onDate,
            row.kind,
            row.minutes,
            row.exertion,
            row.amount,
            row.askedAfterMin,
            row.planned,
            at,
            source,
            row.key,
          ]),
        );
      if (columns) await change(db, 'UPDATE practice SET load_columns = ? WHERE id = ?', [JSON.stringify(columns), practice.id]);
      return { added: fresh.length, already: sent.length - fresh.length };
    }).catch((error: unknown) => {
      throw isDuplicate(error) ? invalid([{ path: 'rows', message: 'A row’s id is taken, or two rows have the same one.' }]) : error;
    });
    response.json(result);
  });

  return router;
}
