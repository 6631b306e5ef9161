import type { RequestHandler } from 'express';
import type { Pool } from '../db/pool.ts';
import { TRY_AGAIN_S } from '../db/failures.ts';

/** Whoever watches over the program does not wait longer than this for an answer. */
const PATIENCE_MS = 2000;

/** Whether the program can work now: it asks the database. 503 while that does not answer. */
export function health(pool: Pool): RequestHandler {
  return async (_request, response) => {
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_resolve, reject) => {
      timer = setTimeout(() => reject(new Error('no answer in time')), PATIENCE_MS);
    });
    try {
      await Promise.race([pool.query('SELECT 1 FROM practice LIMIT 1'), late]);
      response.json({ ok: true, database: 'answers' });
    } catch {
      response.status(503).set('Retry-After', String(TRY_AGAIN_S)).json({ ok: false, database: 'does not answer' });
    } finally {
      clearTimeout(timer);
    }
  };
}
