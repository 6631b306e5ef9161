import Joi from 'joi';
import { LIMITS } from '@pace-bend/core/record';
import { HOURS_RANGE, wrongSpans, type AthleteTimes, type WeekHours, type WorkSpan } from '@pace-bend/core/week';
import { idSchema } from '../http/ids.ts';
import { oneLine } from '../http/text.ts';
import type { Wire } from '../http/wire.ts';

const range = ({ min, max }: { readonly min: number; readonly max: number }) => Joi.number().integer().min(min).max(max);
const DAY_MIN = 24 * 60;
const span = {
  weekday: Joi.number().integer().min(1).max(7).required().label('Day of the week'),
  fromMin: Joi.number().integer().min(0).max(DAY_MIN).required().label('From'),
  toMin: Joi.number().integer().min(0).max(DAY_MIN).required().label('To'),
};
const apart = (value: WorkSpan[], helpers: Joi.CustomHelpers) => {
  const wrong = wrongSpans(value);
  return wrong === '' ? value : helpers.message({ custom: wrong });
};
const spans = Joi.array().items(Joi.object(span)).max(HOURS_RANGE.spans).required().custom(apart);

export const hoursSchema = Joi.object<Wire<WeekHours> & { revision: number }, true>({
  revision: Joi.number().integer().min(0).required(),
  minutes: range(HOURS_RANGE.minutes).required().label('Minutes of a visit'),
  pauseMin: range(HOURS_RANGE.pauseMin).required().label('Minutes between visits'),
  tables: range(HOURS_RANGE.tables).required().label('Tables'),
  apart: range(HOURS_RANGE.apart).required().label('Days between visits'),
  therapists: Joi.array()
    .items(
      Joi.object({
        accountId: idSchema.lowercase().required(),
        spans: spans.label('Hours'),
        breaks: Joi.array()
          .items(Joi.object({ ...span, words: oneLine().trim(true).allow('').max(LIMITS.nameLength).required().label('What it is') }))
          .max(HOURS_RANGE.spans)
          .required()
          .custom(apart)
          .label('Breaks'),
        most: range(HOURS_RANGE.most).required().label('Visits a day'),
      }),
    )
    .max(HOURS_RANGE.therapists)
    .unique('accountId')
    .required(),
});

export const timesSchema = Joi.object<Wire<AthleteTimes> & { revision: number }, true>({
  revision: Joi.number().integer().min(0).required(),
  perWeek: range(HOURS_RANGE.perWeek).allow(null).required().label('Visits a week'),
  spans: spans.label('Times'),
});
