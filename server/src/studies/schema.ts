import Joi from 'joi';
import { INSTRUMENTS, MOTIONS } from '@pace-bend/core/body';
import { STUDY_LIMITS, studyProblem, type StudyFields } from '@pace-bend/core/record';
import { idSchema } from '../http/ids.ts';
import type { Wire } from '../http/wire.ts';

export type SentStudy = StudyFields & { readonly revision: number };

export const studySchema = Joi.object<Wire<SentStudy>, true>({
  revision: Joi.number().integer().min(0).required(),
  kind: Joi.string().valid('repeatability', 'agreement').required().label('Kind'),
  motionId: Joi.string()
    .valid(...MOTIONS.map((motion) => motion.id))
    .required()
    .label('Motion')
    .messages({ 'any.only': 'No such motion is known' }),
  instruments: Joi.array()
    .items(Joi.string().valid(...INSTRUMENTS))
    .max(2)
    .required()
    .label('Instruments'),
  examinerIds: Joi.array().items(idSchema).max(STUDY_LIMITS.examiners).required().label('Examiners'),
  spacing: Joi.string().valid('one-day', 'days-apart').required().label('Spacing'),
  trials: Joi.number().integer().min(STUDY_LIMITS.trials.min).max(STUDY_LIMITS.trials.max).required().label('Trials'),
  subjects: Joi.array()
    .items(
      Joi.object({
        label: Joi.string().trim(true).min(1).max(STUDY_LIMITS.label).required().label('Name'),
        athleteId: idSchema.allow(null).required(),
        side: Joi.string().valid('left', 'right', 'midline').required().label('Side'),
      }),
    )
    .min(STUDY_LIMITS.subjects.min)
    .max(STUDY_LIMITS.subjects.max)
    .required()
    .label('Sides'),
  values: Joi.array()
    .items(Joi.array().items(Joi.array().items(Joi.number().allow(null))))
    .required()
    .label('Values'),
}).custom((study: SentStudy, helpers) => {
  const problem = studyProblem(study);
  return problem === null ? study : helpers.message({ custom: problem });
});

export const studyRevisionSchema = Joi.object<{ revision: number }, true>({ revision: Joi.number().integer().min(1).required() });
export const useSchema = Joi.object<{ revision: number; used: boolean }, true>({
  revision: Joi.number().integer().min(1).required(),
  used: Joi.boolean().strict().required(),
});
