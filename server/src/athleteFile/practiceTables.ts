import { Readable, type PassThrough } from 'node:stream';
import { Router } from 'express';
import { practicePackage, RECORD_TABLES, type RecordTable } from '@pace-bend/core/exchange';
import type { Athlete } from '@pace-bend/core/record';
import { ZipFile } from 'yazl';
import { caller } from '../access/guard.ts';
import { sent } from '../access/sent.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { ATHLETES_AHEAD, everyAthlete } from '../athletes/queries.ts';
import { ahead } from '../db/ahead.ts';
import { snapshot, type Db, type Pool } from '../db/pool.ts';
import { notFound } from '../http/problem.ts';
import { emptyTables, tablesOfAthlete, tableWords, type ExportWords } from './tables.ts';

/** Tables whose rows of one athlete take more than one statement to read. */
const SEVERAL_STATEMENTS: readonly RecordTable[] = ['blocks'];

/**
 * A table of everybody of the practice, by name, piece by piece: while one athlete's rows leave the next few are read, and no more than
 * those are held at a time. The rows of one athlete are of one moment; between two of them somebody may write.
 */
async function* lines(pool: Pool, practice: PracticeRow, table: RecordTable, words: ExportWords): AsyncGenerator<string> {
  yield emptyTables(words)[table].ofPractice.heading();
  const of = async (db: Db, athlete: Athlete) =>
    (await tablesOfAthlete(db, athlete, table, words))[table].ofPractice.lines({ athleteId: athlete.id, athleteName: athlete.name });
  // What one statement reads is of one moment without more ado.
  const linesOf = (athlete: Athlete) => (SEVERAL_STATEMENTS.includes(table) ? snapshot(pool, (db) => of(db, athlete)) : of(pool, athlete));
  for await (const text of ahead(everyAthlete(pool, practice.id), linesOf, ATHLETES_AHEAD)) if (text !== '') yield text;
}

/** Everything countable of the whole practice, as tables. */
export function practiceTableRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/export/tables/:table', async (request, response) => {
    const { practice } = caller(response);
    const table = RECORD_TABLES.find((each) => each.id === request.params.table);
    if (!table) throw notFound('This table');
    const words = await tableWords(pool, practice);
    response.attachment(`practice-${table.id}.csv`).type('text/csv; charset=utf-8');
    await sent(() => Readable.from(lines(pool, practice, table.id, words)), response);
  });

  /** All of them with their data dictionary, as one zip file that is packed as it is sent. */
  router.get('/export/tables', async (_request, response) => {
    const { practice } = caller(response);
    const at = now();
    const words = await tableWords(pool, practice);
    const dictionary = practicePackage(emptyTables(words), `Records of ${practice.name}`, at.toISOString());
    response.attachment('practice-tables.zip').type('application/zip');
    await sent(() => {
      const zip = new ZipFile();
      const packed = zip.outputStream as PassThrough;
      zip.addBuffer(Buffer.from(JSON.stringify(dictionary, null, 2)), 'datapackage.json', { mtime: at });
      for (const { id } of RECORD_TABLES)
        zip.addReadStreamLazy(`${id}.csv`, { mtime: at }, (take) => {
          const table = Readable.from(lines(pool, practice, id, words));
          // yazl does not listen whether a table is read to its end, and what nobody listens to ends the program.
          table.on('error', (error) => packed.destroy(error));
          take(null, table);
        });
      zip.end();
      return packed;
    }, response);
  });

  return router;
}
