import Joi from 'joi';
import { MUSCLES } from '@pace-bend/core/body';
import { SCALES, scaleOf, type CheckInFields, type SorePlace } from '@pace-bend/core/readiness';
import { isDay, LIMITS } from '@pace-bend/core/record';
import { idSchema } from '../http/ids.ts';
import type { Wire } from '../http/wire.ts';

export type SentCheckIn = CheckInFields & { readonly supersedes: string | null };

const yesNo = () => Joi.boolean().allow(null).required();

/** What is sent of one check-in. A day to come cannot be answered for. */
const fields = (today: string) => ({
  onDate: Joi.string()
    .required()
    .label('Day')
    .custom((value: string, helpers) =>
      isDay(value) && value <= today ? value : helpers.message({ custom: 'A check-in is for today or a day before, written YYYY-MM-DD' }),
    ),
  scale: Joi.string()
    .valid(...SCALES.map(({ id }) => id))
    .required(),
  answers: Joi.object().pattern(Joi.string().max(20), Joi.number().integer()).max(10).required().label('Answers'),
  hoursSlept: Joi.number().min(LIMITS.hoursSlept.min).max(LIMITS.hoursSlept.max).allow(null).required().label('Hours slept'),
  sore: Joi.array()
    .max(LIMITS.sorePlaces)
    .allow(null)
    .required()
    .label('Sore places')
    .items(
      Joi.object({
        muscle: Joi.string()
          .valid(...MUSCLES.map(({ id }) => id))
          .required(),
        side: Joi.string().valid('left', 'right').allow(null).required(),
        score: Joi.number().integer().min(0).max(10).required(),
      }),
    )
    .unique((a: SorePlace, b: SorePlace) => a.muscle === b.muscle && a.side === b.side),
  ill: yesNo().label('Ill'),
  injured: yesNo().label('Injured'),
  travelled: yesNo().label('Travelled'),
  training: Joi.string().valid('full', 'part', 'none').allow(null).required().label('Training today'),
  rmssdMs: Joi.number().min(LIMITS.rmssdMs.min).max(LIMITS.rmssdMs.max).allow(null).required().label('rMSSD'),
  supersedes: idSchema.lowercase().allow(null).required(),
});

/** Every answer belongs to the scale and lies on it. */
function onScale<T extends SentCheckIn>(sent: T, helpers: Joi.CustomHelpers): T | Joi.ErrorReport {
  const scale = scaleOf(sent.scale);
  for (const [id, value] of Object.entries(sent.answers)) {
    const item = scale.items.find((each) => each.id === id);
    if (!item) return helpers.message({ custom: `“${id.slice(0, 20)}” is no question of this scale` });
    if (value < scale.lowest || value > scale.highest)
      return helpers.message({ custom: `${item.name} is answered from ${scale.lowest} to ${scale.highest}` });
  }
  return sent;
}

export const checkInSchema = (today: string) => Joi.object<Wire<SentCheckIn>, true>(fields(today)).custom(onScale);

/** From a page without a sign-in: a squad's tablet says who it is. */
export type SentFromPage = SentCheckIn & { readonly athleteId: string | null };

export const pageCheckInSchema = (today: string) =>
  Joi.object<SentFromPage>({ ...fields(today), athleteId: idSchema.lowercase().allow(null).required() }).custom(onScale);
