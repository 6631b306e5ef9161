import Joi from 'joi';
import { SCHEDULE_LIMITS } from '@pace-bend/core/cycle';
import { isDay } from '@pace-bend/core/record';
import { DEVELOP, NEW_WORK, PHASE_IDS, PHASE_RANGE, SEASON_LIMITS, type PhaseRule, type SeasonPlan } from '@pace-bend/core/season';
import { idSchema } from '../http/ids.ts';
import { oneLine } from '../http/text.ts';
import type { Wire } from '../http/wire.ts';

const day = Joi.string()
  .required()
  .custom((value: string, helpers) => (isDay(value) ? value : helpers.message({ custom: 'A day is written YYYY-MM-DD, from 1900 on.' })));

const anchor = Joi.object({ eventId: idSchema.required(), days: Joi.number().integer().min(-400).max(400).required() })
  .allow(null)
  .required();

export const planSchema = Joi.object<Wire<SeasonPlan> & { revision: number }>({
  revision: Joi.number().integer().min(0).required(),
  blocks: Joi.array()
    .items(
      Joi.object({
        phase: Joi.string()
          .valid(...PHASE_IDS)
          .required()
          .label('Phase'),
        from: day.label('From'),
        until: day.label('Until'),
        fromAnchor: anchor,
        untilAnchor: anchor,
      }),
    )
    .max(SEASON_LIMITS.blocks)
    .required()
    .label('Blocks'),
  stays: Joi.array()
    .items(
      Joi.object({
        id: idSchema.required(),
        kind: Joi.string().valid('camp', 'travel').required(),
        name: oneLine().trim(true).min(1).max(SEASON_LIMITS.stayName).required().label('Name'),
        from: day.label('From'),
        until: day.label('Until'),
        visits: Joi.boolean().required(),
      }),
    )
    .max(SEASON_LIMITS.stays)
    .required()
    .label('Camps and travel'),
  follows: idSchema.allow(null).required(),
  rhythm: Joi.object({
    perWeek: Joi.number().min(0).max(SCHEDULE_LIMITS.perWeek).required().label('Visits a week'),
    homeDays: Joi.number().integer().min(0).max(SCHEDULE_LIMITS.homeDays).required().label('Home work'),
    from: day.label('From'),
  })
    .allow(null)
    .default(null),
  notAt: Joi.array().items(idSchema).max(SEASON_LIMITS.notAt).unique().required(),
});

const range = ({ min, max }: { readonly min: number; readonly max: number }) => Joi.number().min(min).max(max);
const { effortPct, edgeShare, painCeiling, holdS, minutesShare, newWorkDays, words } = PHASE_RANGE;

/** Phases that a practice has its own way, each once. */
export const phasesSchema = Joi.array()
  .items(
    Joi.object<PhaseRule>({
      id: Joi.string()
        .valid(...PHASE_IDS)
        .required(),
      develop: Joi.string()
        .valid(...DEVELOP)
        .required(),
      newWork: Joi.string()
        .valid(...NEW_WORK)
        .required(),
      newWorkDays: range(newWorkDays).integer().allow(null).required().label('Days before an event'),
      limits: Joi.object({
        effortPct: range(effortPct).integer().allow(null).required().label('Effort'),
        edgeShare: range(edgeShare).allow(null).required().label('Share of the way'),
        painCeiling: range(painCeiling).integer().allow(null).required().label('Discomfort'),
        holdS: range(holdS).integer().allow(null).required().label('Hold'),
      }).required(),
      minutesShare: range(minutesShare).required().label('Share of the minutes'),
      words: oneLine().allow('').trim(true).max(words).required().label('Words'),
    }),
  )
  .max(PHASE_IDS.length)
  .unique('id');
