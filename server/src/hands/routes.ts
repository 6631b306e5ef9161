import { Router } from 'express';
import Joi from 'joi';
import { TOOLS } from '@pace-bend/core/catalogue';
import { USUAL_TOOL_LIMITS, type ToolMinutes } from '@pace-bend/core/session';
import { caller } from '../access/guard.ts';
import { validate } from '../app/validate.ts';
import type { Wire } from '../app/wire.ts';
import { change, firstRow, fromJson, type Pool } from '../db/pool.ts';

const KNUCKLE_CM = { min: 45, max: 110 };
const MOST_MINUTES = 600;

const meSchema = Joi.object<{ knuckleCm: number | null }, true>({ knuckleCm: Joi.number().min(KNUCKLE_CM.min).max(KNUCKLE_CM.max).allow(null).required().label('Knuckle height') });
const limitsSchema = Joi.object<Wire<ToolMinutes>, true>(Object.fromEntries(TOOLS.map((tool) => [tool, Joi.number().integer().min(0).max(MOST_MINUTES).required().label(tool)])) as never);

/** The therapist's own body: how high the knuckles are, how many minutes a day each tool may carry. */
export function handRoutes(pool: Pool): Router {
  const router = Router();

  const handsOf = async (practiceId: string, accountId: string) => {
    const row = await firstRow<{ limits: unknown; knuckleCm: number | null }>(pool, 'SELECT p.tool_limits AS limits, a.knuckle_cm AS knuckleCm FROM practice p JOIN account a ON a.practice_id = p.id WHERE p.id = ? AND a.id = ?', [practiceId, accountId]);
    return { limits: row!.limits === null ? USUAL_TOOL_LIMITS : fromJson<ToolMinutes>(row!.limits), knuckleCm: row!.knuckleCm };
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
    await change(pool, 'UPDATE practice SET tool_limits = ? WHERE id = ?', [JSON.stringify(validate(limitsSchema, request.body)), practice.id]);
    response.json(await handsOf(practice.id, accountId));
  });

  return router;
}
