import Joi from 'joi';
import { findMotion, INSTRUMENTS, MOTIONS } from '@pace-bend/core/body';
import { formatValue, TRIALS_MOST } from '@pace-bend/core/measure';
import type { ReadingFields } from '@pace-bend/core/record';
import { idSchema } from '../http/ids.ts';
import type { Wire } from '../http/wire.ts';

export const readingSchema = Joi.object<Wire<ReadingFields>, true>({
  motionId: Joi.string()
    .valid(...MOTIONS.map((motion) => motion.id))
    .required()
    .label('Motion')
    .messages({ 'any.only': 'No such motion is known' }),
  side: Joi.string().valid('left', 'right', 'midline').required().label('Side'),
  moment: Joi.string().valid('before', 'after').required().label('Moment'),
  mode: Joi.string().valid('passive', 'active').required().label('Mode'),
  instrument: Joi.string()
    .valid(...INSTRUMENTS)
    .required()
    .label('Instrument'),
  trials: Joi.array().items(Joi.number()).max(TRIALS_MOST).required().label('Trials'),
  supersedes: idSchema.allow(null).required().label('Corrected reading'),
}).custom((reading: ReadingFields, helpers) => {
  const motion = findMotion(reading.motionId)!;
  if (!motion.sides.includes(reading.side)) return helpers.message({ custom: `${motion.name} is not measured on the ${reading.side}` });
  if (!motion.instruments.includes(reading.instrument))
    return helpers.message({ custom: `${motion.name} is not measured with a ${reading.instrument}` });
  if (reading.trials.length === 0 && reading.supersedes === null) return helpers.message({ custom: 'A reading needs at least one trial' });
  const { min, max } = motion.possible;
  const outside = reading.trials.find((trial) => trial < min || trial > max);
  const print = (value: number) => formatValue(value, motion.unit, Number.isInteger(value) ? 0 : 1);
  return outside === undefined
    ? reading
    : helpers.message({ custom: `${print(outside)} is outside what this motion can read: ${print(min)} to ${print(max)}` });
});
