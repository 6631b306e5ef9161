import { Router } from 'express';
import { caller } from '../access/guard.ts';
import { snapshot, type Pool } from '../db/pool.ts';
import { dueFile } from './facts.ts';

/** What says who is due; who it is and in what order, the browser works out. */
export function dueRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();
  router.get('/due', async (_request, response) => {
    const { practice } = caller(response);
    response.json(await snapshot(pool, (db) => dueFile(db, practice, now())));
  });
  return router;
}
