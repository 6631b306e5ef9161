import { Router } from 'express';
import Joi from 'joi';
import { TOOLS } from '@pace-bend/core/catalogue';
import { toolLimits, type ToolMinutes } from '@pace-bend/core/session';
import { caller } from '../access/guard.ts';
import { stale } from '../http/problem.ts';
import { standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { change, firstRow, fromJson, type Pool } from '../db/pool.ts';

const KNUCKLE_CM = { min: 45, max: 110 };
const MOST_MINUTES = 600;

const meSchema = Joi.object<{ knuckleCm: number | null }, true>({
  knuckleCm: Joi.number().min(KNUCKLE_CM.min).max(KNUCKLE_CM.max).allow(null).required().label('Knuckle height'),
});
const limitsSchema = Joi.object<{ revision: number; limits: Wire<ToolMinutes> }, true>({
  revision: Joi.number().integer().min(0).required(),
  limits: Joi.object<Wire<ToolMinutes>>(
    Object.fromEntries(TOOLS.map((tool) => [tool, Joi.number().integer().min(0).max(MOST_MINUTES).required().label(tool)])) as never,
  ).required(),
});

/** The therapist's own body: how high the knuckles are, how many minutes a day each tool may carry. */
export function handRoutes(pool: Pool): Router {
  const router = Router();

  const handsOf = async (practiceId: string, accountId: string) => {
    const row = await firstRow<{ limits: unknown; revision: number; knuckleCm: number | null }>(
      pool,
      'SELECT p.tool_limits AS limits, p.tool_limits_revision AS revision, a.knuckle_cm AS knuckleCm FROM practice p JOIN account a ON a.practice_id = p.id WHERE p.id = ? AND a.id = ?',
      [practiceId, accountId],
    );
    return {
      limits: toolLimits(row!.limits === null ? null : fromJson<Partial<ToolMinutes>>(row!.limits)),
      revision: row!.revision,
      knuckleCm: row!.knuckleCm,
    };
  };

  router.get('/hands', async (_request, response) => {
    const { practice, accountId } = caller(response);
    response.json(await handsOf(practice.id, accountId));
  });

  router.put('/hands/me', async (request, response) => {
    const { practice, accountId } = caller(response);
    await change(pool, 'UPDATE account SET knuckle_cm = ? WHERE id = ?', [validate(meSchema, request.body).knuckleCm, accountId]);
    response.json(await handsOf(practice.id, accountId));
  });

  router.put('/hands/limits', async (request, response) => {
    const { practice, accountId } = caller(response);
    const { revision, limits } = validate(limitsSchema, request.body);
    const touched = await change(
      pool,
      'UPDATE practice SET tool_limits = ?, tool_limits_revision = tool_limits_revision + 1 WHERE id = ? AND tool_limits_revision = ?',
      [JSON.stringify(limits), practice.id, revision],
    );
    if (touched !== 1) {
      const current = await handsOf(practice.id, accountId);
      if (current.revision !== revision + 1 || !standsAlready(current.limits, limits)) throw stale('The minutes of the hands', current);
    }
    response.json(await handsOf(practice.id, accountId));
  });

  return router;
}
