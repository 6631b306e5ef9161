import Joi from 'joi';
import { POSITIONS } from '@pace-bend/core/body';
import { LONGEST_PLACE, MOST_PASSES, type BlockPlan } from '@pace-bend/core/method';
import { LIMITS, type Plan } from '@pace-bend/core/record';
import { idSchema } from '../http/ids.ts';
import type { Wire } from '../http/wire.ts';

const limit = (min: number, max: number) => Joi.number().min(min).max(max).allow(null).required();

/** The shape of a block; whether its numbers are sound is for the core's own `checkBlock` to say. */
export const blockSchema = Joi.object<Wire<BlockPlan>, true>({
  id: idSchema.required(),
  entryId: Joi.string().max(64).required(),
  methodId: Joi.string().max(64).required(),
  numbers: Joi.object().pattern(Joi.string().max(32), Joi.array().items(Joi.number()).max(24)).required(),
  choices: Joi.object().pattern(Joi.string().max(32), Joi.string().max(32)).required(),
  sides: Joi.array()
    .items(Joi.object({ side: Joi.string().valid('left', 'right', 'midline').required(), rounds: Joi.number().required() }))
    .max(MOST_PASSES)
    .required(),
  lists: Joi.object().pattern(Joi.string().max(32), Joi.array().items(Joi.string().max(LONGEST_PLACE)).max(12)),
  position: Joi.string().valid(...POSITIONS),
  limits: Joi.array()
    .min(1)
    .max(3)
    .unique('side')
    .items(
      Joi.object({
        side: Joi.string().valid('left', 'right', 'midline').required(),
        cap: limit(-200, 400),
        edgeShare: limit(0, 1),
        effortPct: limit(0, 100),
        painCeiling: limit(0, 10),
        grade: limit(0, 4),
        holdS: limit(0, 600),
        // Blocks of drafts kept before there were limits in all have none.
        contractS: limit(0, 3600).default(null).optional(),
        pressS: limit(0, 3600).default(null).optional(),
      }),
    ),
});

export const planSchema = Joi.object<Wire<Plan>, true>({
  revision: Joi.number().integer().min(0).required(),
  blocks: Joi.array().items(blockSchema).max(LIMITS.blocksInPlan).unique('id').required().label('Blocks'),
});
