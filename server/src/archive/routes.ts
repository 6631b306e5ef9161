import { Readable } from 'node:stream';
import express, { Router } from 'express';
import { ARCHIVE_LIMITS, type ArchiveReport } from '@pace-bend/core/exchange';
import { caller, concerns } from '../access/guard.ts';
import { sent } from '../access/sent.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { ATHLETES_AHEAD, everyAthlete } from '../athletes/queries.ts';
import { ahead } from '../db/ahead.ts';
import { firstRow, snapshot, transaction, type Pool } from '../db/pool.ts';
import { idFrom } from '../http/ids.ts';
import { requireFewParts, requireSaneShape } from '../http/shape.ts';
import { validate } from '../http/validate.ts';
import { readLayout, type Layout } from './columns.ts';
import { archiveSchema, pieceSchema } from './shape.ts';
import { takePiece, type Taken } from './take.ts';
import { idsIn } from './ids.ts';
import { besideOf, headOf, partOf, pointedAt } from './write.ts';

/** One athlete’s years at the table: a run alone has thousands of cues. */
const PIECE_SHAPE = { parts: 4_000_000, depth: 24, members: 20_000 } as const;

/** Thrown to take back what a look has done. */
class OnlyALook extends Error {
  constructor(readonly taken: Taken) {
    super('a look');
  }
}

/** Whole records and the whole practice, out and in again. */
export function archiveRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();
  let known: Promise<{ readonly columns: Layout; readonly piece: ReturnType<typeof pieceSchema> }> | null = null;
  /** The layout and what a piece may be by it: worked out once, and asked again where the database did not answer. */
  const theLayout = () => {
    known ??= readLayout(pool)
      .then((columns) => ({ columns, piece: pieceSchema(columns) }))
      .catch((error: unknown) => {
        known = null;
        throw error;
      });
    return known;
  };

  router.get('/archive/schema', async (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(archiveSchema((await theLayout()).columns), null, 2));
  });

  /** Everything that is kept about an athlete, as an archive of one. */
  router.get('/athletes/:id/record', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { columns } = await theLayout();
    const record = await snapshot(pool, async (db) => {
      const tables = await partOf(db, columns, 'athlete', id);
      const shared = await pointedAt(db, columns, practice.id, tables);
      return { ...(await headOf(db, practice, now(), idsIn(tables))), shared, athletes: [{ tables, beside: await besideOf(db, id) }] };
    });
    response.attachment('athlete-record.json').type('application/json').send(JSON.stringify(record));
  });

  /** The whole practice, sent as it is read: while one athlete leaves the next few are read, and no more are held. */
  router.get('/export/practice', async (_request, response) => {
    const { practice } = caller(response);
    const { columns } = await theLayout();
    response.attachment('practice.json').type('application/json');
    await sent(() => Readable.from(wholePractice(pool, columns, practice, now())), response);
  });

  const parse = express.json({ limit: ARCHIVE_LIMITS.pieceBytes, verify: requireFewParts(PIECE_SHAPE.parts) });
  const piece = async (body: unknown) => {
    requireSaneShape(body, PIECE_SHAPE.parts, PIECE_SHAPE);
    return validate((await theLayout()).piece, body);
  };

  /** What a piece would bring, found by taking it in and taking that back. */
  router.post('/archive/look', parse, async (request, response) => {
    const { practice } = caller(response);
    const given = await piece(request.body);
    const { columns } = await theLayout();
    const { report } = await transaction(pool, async (db): Promise<Taken> => {
      throw new OnlyALook(await takePiece(db, practice, columns, given, true, now()));
    }).catch((error: unknown) => {
      if (error instanceof OnlyALook) return error.taken;
      throw error;
    });
    response.json(report satisfies ArchiveReport);
  });

  router.post('/archive/take', parse, async (request, response) => {
    const { practice } = caller(response);
    const given = await piece(request.body);
    const { columns } = await theLayout();
    const { report } = await transaction(pool, async (db) => {
      const taken = await takePiece(db, practice, columns, given, false, now());
      if (taken.athleteId !== null) concerns(response, taken.athleteId);
      return taken;
    });
    response.json(report satisfies ArchiveReport);
  });

  return router;
}

async function* wholePractice(pool: Pool, layout: Layout, practice: PracticeRow, at: Date): AsyncGenerator<string> {
  const opening = await snapshot(pool, async (db) => ({
    ...(await headOf(db, practice, at, null)),
    settings: await firstRow<Record<string, unknown>>(db, 'SELECT * FROM practice WHERE id = ?', [practice.id]),
    shared: await partOf(db, layout, 'shared', practice.id),
  }));
  yield `${JSON.stringify(opening).slice(0, -1)},"athletes":[`;
  let separator = '';
  const recordOf = ({ id }: { readonly id: string }) =>
    snapshot(pool, async (db) => ({ tables: await partOf(db, layout, 'athlete', id), beside: await besideOf(db, id) }));
  for await (const record of ahead(everyAthlete(pool, practice.id), recordOf, ATHLETES_AHEAD)) {
    yield `${separator}${JSON.stringify(record)}`;
    separator = ',\n';
  }
  yield ']}\n';
}
