import { Router, type RequestHandler } from 'express';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { snapshot, type Pool } from '../db/pool.ts';
import { visitFile } from './assemble.ts';

export function visitFileRoutes(pool: Pool): Router {
  const router = Router();

  const send: RequestHandler = async (request, response) => {
    const { practice, role } = caller(response);
    const id = idFrom(request);
    response.json(await snapshot(pool, (db) => visitFile(db, practice, id, role)));
  };
  router.get('/visits/:id', send);
  // Asked for by a device that keeps the day for the time without a line: the same file, and another line in the audit.
  router.get('/visits/:id/ahead', send);

  return router;
}
