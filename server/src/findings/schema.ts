import Joi from 'joi';
import { DIRECTIONS, FINDING_KINDS, findingProblem, FORCE_TRIALS_MOST, REFERS_MOST, type FindingFields } from '@pace-bend/core/finding';
import { idSchema } from '../http/ids.ts';

const state = (...values: string[]) => Joi.string().valid(...values);
const orNull = (schema: Joi.Schema) => schema.allow(null).required();

/** Shape of what was found, by kind; which values make sense together is the core's to say. */
const DATA: Record<(typeof FINDING_KINDS)[number], Joi.ObjectSchema> = {
  end: Joi.object({
    endFeel: orNull(Joi.string().max(20)),
    pain: orNull(Joi.number()),
    felt: orNull(Joi.string().max(20)),
    guarding: orNull(Joi.boolean().strict()),
  }),
  clock: Joi.object({
    hours: Joi.array()
      .items(state('free', 'tight', 'painful'))
      .length(12)
      .required(),
  }),
  glide: Joi.object(Object.fromEntries(DIRECTIONS.map((direction) => [direction, orNull(state('free', 'stiff', 'painful'))]))),
  'leg-length': Joi.object({
    shorter: state('left', 'right', 'even').required(),
    byCm: orNull(Joi.number()),
    afterPull: orNull(state('left', 'right', 'even')),
  }),
  look: Joi.object({ value: Joi.string().max(20).required() }),
  press: Joi.object({ answer: Joi.string().max(20).required() }),
  point: Joi.object({
    what: Joi.string().max(20).required(),
    tenderness: orNull(Joi.number()),
    refers: Joi.string().trim(true).allow('').max(REFERS_MOST).required(),
  }),
  force: Joi.object({ trialsN: Joi.array().items(Joi.number()).min(1).max(FORCE_TRIALS_MOST).required() }),
};

export const findingSchema = Joi.object<FindingFields>({
  kind: Joi.string()
    .valid(...FINDING_KINDS)
    .required()
    .label('Kind'),
  subject: Joi.string().max(64).required().label('What it is about'),
  side: Joi.string().valid('left', 'right', 'midline').required().label('Side'),
  moment: Joi.string().valid('before', 'after').required().label('Moment'),
  data: Joi.alternatives()
    .conditional('kind', { switch: FINDING_KINDS.map((kind) => ({ is: kind, then: DATA[kind].allow(null).required() })) })
    .label('What was found'),
  supersedes: idSchema.allow(null).required().label('Corrected finding'),
}).custom((finding: FindingFields, helpers) => {
  if (finding.data === null && finding.supersedes === null) return helpers.message({ custom: 'There is nothing to withdraw' });
  const problem = findingProblem(finding);
  return problem === null ? finding : helpers.message({ custom: problem });
});
