import Joi from 'joi';
import type { LoadFields } from '@pace-bend/core/load';
import { addDays } from '@pace-bend/core/load';
import { isDay, LIMITS } from '@pace-bend/core/record';
import { idSchema } from '../http/ids.ts';
import { oneLine } from '../http/text.ts';
import type { Wire } from '../http/wire.ts';

export type SentLoad = LoadFields & { readonly revision: number };

/** How far ahead training is planned. */
const AHEAD_DAYS = 400;

const fields = (today: string) => ({
  onDate: Joi.string()
    .required()
    .label('Day')
    .custom((value: string, helpers) =>
      isDay(value) && value <= addDays(today, AHEAD_DAYS)
        ? value
        : helpers.message({ custom: 'A day is written YYYY-MM-DD, a year ahead at most' }),
    ),
  kind: oneLine().trim(true).min(1).max(60).required().label('What'),
  minutes: Joi.number().integer().min(LIMITS.loadMinutes.min).max(LIMITS.loadMinutes.max).required().label('Minutes'),
  exertion: Joi.number().min(0).max(10).multiple(0.5).allow(null).required().label('Exertion'),
  amount: Joi.number().min(LIMITS.loadAmount.min).max(LIMITS.loadAmount.max).allow(null).required().label('Amount'),
  askedAfterMin: Joi.number().integer().min(0).max(10_000).allow(null).required().label('Asked after'),
  planned: Joi.boolean().required(),
});

/** What was done was done by today; what is to come has no rating yet. */
const whole =
  (today: string) =>
  <T extends LoadFields>(sent: T, helpers: Joi.CustomHelpers): T | Joi.ErrorReport => {
    if (!sent.planned && sent.onDate > today) return helpers.message({ custom: 'A session that is still to come is a planned one' });
    if (sent.planned && sent.exertion !== null) return helpers.message({ custom: 'A planned session has no rating yet' });
    return sent;
  };

export const loadSchema = (today: string) =>
  Joi.object<Wire<SentLoad>, true>({ ...fields(today), revision: Joi.number().integer().min(0).required() }).custom(whole(today));

export type SentPageLoad = LoadFields & { readonly athleteId: string | null };
export const pageLoadSchema = (today: string) =>
  Joi.object<SentPageLoad>({ ...fields(today), athleteId: idSchema.lowercase().allow(null).required() }).custom(whole(today));

/** One row of a table or a calendar; `key` recognises it when the same file comes again. */
export type ImportLoad = LoadFields & { readonly id: string; readonly athleteId: string; readonly key: string };

export const importSchema = (today: string) =>
  Joi.object<{ by: 'table' | 'calendar'; columns: Record<string, string | null> | null; rows: ImportLoad[] }>({
    by: Joi.string().valid('table', 'calendar').required(),
    columns: Joi.object().pattern(Joi.string().max(20), Joi.string().max(120).allow(null)).max(12).allow(null).required(),
    rows: Joi.array()
      .min(1)
      .max(LIMITS.loadsInRequest)
      .required()
      .items(
        Joi.object({
          ...fields(today),
          id: idSchema.lowercase().required(),
          athleteId: idSchema.lowercase().required(),
          key: Joi.string().min(1).max(120).required(),
        }).custom(whole(today)),
      ),
  });
