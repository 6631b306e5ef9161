import { Router } from 'express';
import type { AuditLine } from '@pace-bend/core/access';
import { caller } from '../access/guard.ts';
import { idSchema } from '../http/ids.ts';
import { invalid } from '../http/problem.ts';
import { iso, rows, type Pool } from '../db/pool.ts';

const PAGE = 100;

export function auditRoutes(pool: Pool): Router {
  const router = Router();

  /** Newest first; `before` goes further back, `athlete` keeps to one file. */
  router.get('/audit', async (request, response) => {
    const { before, athlete } = request.query;
    const from = typeof before === 'string' && /^\d{1,15}$/.test(before) ? Number(before) : Number.MAX_SAFE_INTEGER;
    if (athlete !== undefined && (typeof athlete !== 'string' || idSchema.validate(athlete).error))
      throw invalid([{ path: 'athlete', message: 'The athlete is named by a UUID.' }]);
    const found = await rows<Omit<AuditLine, 'at'> & { at: Date }>(
      pool,
      `SELECT u.id, u.at, u.account_name AS account, u.what, u.athlete_id AS athleteId, a.name AS athleteName
       FROM audit u LEFT JOIN athlete a ON a.id = u.athlete_id
       WHERE u.practice_id = ? AND u.id < ? AND (? IS NULL OR u.athlete_id = ?) ORDER BY u.id DESC LIMIT ${PAGE + 1}`,
      [caller(response).practice.id, from, (athlete as string | undefined) ?? null, (athlete as string | undefined) ?? null],
    );
    response.json({
      lines: found.slice(0, PAGE).map((line) => ({ ...line, id: Number(line.id), at: iso(line.at) })),
      more: found.length > PAGE,
    });
  });

  return router;
}
