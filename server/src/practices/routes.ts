import { Router } from 'express';
import Joi from 'joi';
import { REGIONS } from '@pace-bend/core/body';
import type { PracticeScope } from '@pace-bend/core/caution';
import { LIMITS, type Practice } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { practiceById } from '../access/sessions.ts';
import { dayIn } from '../http/days.ts';
import { stale } from '../http/problem.ts';
import { timeZoneSchema } from '../accounts/schema.ts';
import { validate } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { oneLine } from '../http/text.ts';
import { change, type Pool } from '../db/pool.ts';

interface SentPractice {
  readonly name: string;
  readonly timeZone: string;
  readonly scope: PracticeScope;
  readonly revision: number;
}

const grade = Joi.number().integer().min(0).max(4);

const practiceSchema = Joi.object<Wire<SentPractice>, true>({
  revision: Joi.number().integer().min(1).required(),
  name: oneLine().trim(true).min(1).max(LIMITS.nameLength).required().label('Practice'),
  timeZone: timeZoneSchema.required(),
  scope: Joi.object({
    mobilizationGrade: grade.required().label('Grade'),
    byRegion: Joi.object(Object.fromEntries(REGIONS.map((region) => [region.id, grade]))).required(),
    ruleText: Joi.string().allow('').max(LIMITS.textLength).required().label('Local rule'),
    ruleLink: Joi.string()
      .allow('')
      .max(500)
      .uri({ scheme: ['http', 'https'] })
      .required()
      .label('Link to the rule'),
  }).required(),
});

/** The practice as everybody signed in sees it, and what its owner sets. */
export function practiceRoutes(pool: Pool, now: () => Date, devices: string | null): Router {
  const router = Router();

  router.get('/practice', (_request, response) => {
    const {
      practice: { name, timeZone, scope, revision },
    } = caller(response);
    response.json({ name, timeZone, scope, revision, today: dayIn(timeZone, now()), devices } satisfies Practice);
  });

  router.patch('/practice', async (request, response) => {
    const { practice } = caller(response);
    const { revision, name, timeZone, scope } = validate(practiceSchema, request.body);
    const touched = await change(
      pool,
      'UPDATE practice SET name = ?, time_zone = ?, mobilization_grade = ?, scope_by_region = ?, scope_rule_text = ?, scope_rule_link = ?, revision = revision + 1 WHERE id = ? AND revision = ?',
      [name, timeZone, scope.mobilizationGrade, JSON.stringify(scope.byRegion), scope.ruleText, scope.ruleLink, practice.id, revision],
    );
    // Read by itself: whoever asked may have been signed out meanwhile.
    const after = await practiceById(pool, practice.id);
    if (touched !== 1) throw stale('The practice', { ...after, today: dayIn(after.timeZone, now()), devices });
    response.json({
      name: after.name,
      timeZone: after.timeZone,
      scope: after.scope,
      revision: after.revision,
      today: dayIn(after.timeZone, now()),
      devices,
    } satisfies Practice);
  });

  return router;
}
