import Joi from 'joi';
import { LIMITS, type RunFields } from '@pace-bend/core/record';
import { FORCE_MOST_N } from '@pace-bend/core/finding';
import { RUN_EVENT_KINDS } from '@pace-bend/core/table';
import { idSchema } from '../http/ids.ts';
import type { Wire } from '../http/wire.ts';
import { blockSchema } from '../blocks/schema.ts';
import type { SentEvent } from '../done/runs.ts';

export const runSchema = Joi.object<Wire<RunFields>, true>({
  visitId: idSchema.required(),
  blocks: Joi.array().items(blockSchema).min(1).max(LIMITS.blocksInPlan).unique('id').required(),
  breath: Joi.object({
    periodMs: Joi.number().integer().min(LIMITS.breathPeriodMs.min).max(LIMITS.breathPeriodMs.max).required(),
    inShare: Joi.number().min(0.1).max(0.9).required(),
  }).required(),
  edges: Joi.array()
    .items(
      Joi.object({
        motionId: Joi.string().max(64).required(),
        side: Joi.string().valid('left', 'right', 'midline').required(),
        value: Joi.number().min(-200).max(400).required(),
      }),
    )
    .max(200)
    .required(),
  clockRate: Joi.number().min(LIMITS.clockRate.min).max(LIMITS.clockRate.max).required(),
});

/** One day of milliseconds; no run lasts longer. */
const LONGEST_MS = 86_400_000;

/** How something felt, asked for together where it softened. */
const felt = Joi.number().integer().min(0).max(10).when('kind', { is: 'felt', then: Joi.required(), otherwise: Joi.forbidden() });

/** What the gauge heard of a contraction, all of it together. */
const heard = <S extends Joi.Schema>(schema: S) =>
  schema.when('kind', { is: 'effort', then: Joi.required(), otherwise: Joi.forbidden() }) as S;

export const runEventsSchema = Joi.object<{ events: SentEvent[] }, true>({
  events: Joi.array()
    .min(1)
    .max(LIMITS.eventsInOneRequest)
    .required()
    .items(
      Joi.object<SentEvent, true>({
        id: idSchema.required(),
        seq: Joi.number()
          .integer()
          .min(1)
          .max(LIMITS.eventsInRun)
          .required()
          .messages({ 'number.max': `A run keeps ${LIMITS.eventsInRun} events at most. Begin another run` }),
        atMs: Joi.number().integer().min(0).max(LONGEST_MS).required(),
        kind: Joi.string()
          .valid(...RUN_EVENT_KINDS)
          .required(),
        score: Joi.number().integer().min(0).max(10).when('kind', { is: 'discomfort', then: Joi.required(), otherwise: Joi.forbidden() }),
        before: felt,
        after: felt,
        how: Joi.string().valid('added', 'instead').when('kind', { is: 'put', then: Joi.required(), otherwise: Joi.forbidden() }),
        block: blockSchema.when('kind', { is: 'put', then: Joi.required(), otherwise: Joi.forbidden() }),
        // What the browser compiled is not taken: it is compiled here.
        piece: Joi.object().unknown().when('kind', { is: 'put', then: Joi.optional(), otherwise: Joi.forbidden() }).strip(),
        by: Joi.string().valid('device').when('kind', { is: 'edge', then: Joi.optional(), otherwise: Joi.forbidden() }),
        cueIndex: heard(Joi.number().integer().min(0).max(LIMITS.cuesInRun)),
        n: heard(Joi.number().min(0).max(FORCE_MOST_N)),
        pct: heard(Joi.number().min(0).max(1000).allow(null)),
        of: heard(Joi.string().valid('today', 'earlier').allow(null)),
        ms: heard(Joi.number().integer().min(1).max(LONGEST_MS)),
        insideMs: heard(Joi.number().integer().min(0).max(LONGEST_MS)),
        overMs: heard(Joi.number().integer().min(0).max(LONGEST_MS)),
        deg: Joi.number().min(0).max(180).when('kind', { is: 'plane', then: Joi.required(), otherwise: Joi.forbidden() }),
        words: Joi.string().max(80).when('kind', { is: 'plane', then: Joi.required(), otherwise: Joi.forbidden() }),
        value: Joi.number().min(-200).max(400).when('kind', { is: 'edge', then: Joi.required(), otherwise: Joi.forbidden() }),
      }),
    ),
});
