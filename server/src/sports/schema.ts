import Joi from 'joi';
import { LIMITS } from '@pace-bend/core/record';
import type { Sport } from '@pace-bend/core/sport';
import { originSchema } from '../shelf/schema.ts';
import { oneLine } from '../http/text.ts';
import type { Wire } from '../http/wire.ts';

const name = () => oneLine().trim(true).min(1).max(60).required();
/** Small letters, digits and hyphens: what is referred to from athletes' files. */
const id = () =>
  Joi.string()
    .pattern(/^[a-z0-9][a-z0-9-]{0,59}$/)
    .required()
    .messages({ 'string.pattern.base': '{{#label}} has small letters, digits and hyphens' });
const source = Joi.string().max(300);
const sure = Joi.string().valid('published', 'common practice').required();
const disciplines = Joi.array().items(Joi.string().max(60)).max(20);
const amount = Joi.number().min(0).max(400).required();
const motion = Joi.string().max(80).required();

export type SentSport = Omit<Sport, 'id' | 'standsFor'> & { readonly revision: number };

/** The form of a sport; whether what it names exists is for the core to say. */
export const sportSchema = Joi.object<Wire<SentSport>>({
  revision: Joi.number().integer().min(0).required(),
  name: name().label('Name'),
  synonyms: Joi.array().items(oneLine().min(1).max(60)).max(30).required().label('Other names'),
  disciplines: Joi.array()
    .items(Joi.object({ id: id(), name: name() }))
    .max(20)
    .required()
    .label('Disciplines'),
  roles: Joi.array()
    .items(
      Joi.object({
        id: id(),
        name: name(),
        synonyms: Joi.array().items(oneLine().max(60)).max(10),
        disciplines,
        side: Joi.string().valid('left', 'right'),
        asksNothing: Joi.boolean().valid(true),
      }),
    )
    .max(30)
    .required()
    .label('Roles'),
  leading: oneLine().min(1).max(40).label('Leading side'),
  demands: Joi.array()
    .items(
      Joi.object({
        motionId: motion,
        value: Joi.number().min(-200).max(400).required().label('Value'),
        on: Joi.string().valid('both', 'leading', 'other', 'role').required(),
        sure,
        source,
        why: oneLine().allow('').max(80).required(),
        disciplines,
      }).custom(named),
    )
    .max(60)
    .required()
    .label('Demands'),
  shapes: Joi.array()
    .items(
      Joi.alternatives().conditional(Joi.object({ kind: 'arc' }).unknown(), {
        then: Joi.object({
          kind: Joi.string().valid('arc').required(),
          gains: motion,
          loses: motion,
          on: Joi.string().valid('leading').required(),
          totalWithin: amount,
          findingFrom: amount,
          words: name(),
          sure,
          source,
          disciplines,
        }).custom(named),
        otherwise: Joi.object({
          kind: Joi.string().valid('more').required(),
          motionId: motion,
          on: Joi.string().valid('leading', 'other', 'role').required(),
          upTo: amount,
          words: name(),
          sure,
          source,
          disciplines,
        }).custom(named),
      }),
    )
    .max(20)
    .required()
    .label('Shapes'),
  loadKinds: Joi.array()
    .items(
      Joi.object({
        id: id(),
        name: name(),
        counts: oneLine().min(1).max(30),
        muscles: Joi.array().items(Joi.string().max(40)).max(60).required(),
      }),
    )
    .max(30)
    .required()
    .label('What is trained'),
  eventKinds: Joi.array()
    .items(
      Joi.object({
        id: id(),
        name: name(),
        quietHoursBefore: Joi.number().min(0).max(168).required(),
        gentleHoursAfter: Joi.number().min(0).max(336).required(),
      }),
    )
    .max(20)
    .required()
    .label('Events'),
  origin: originSchema,
});

/** What is published names where; what names nothing is common practice. */
function named<T extends { readonly sure: string; readonly source?: string }>(each: T, helpers: Joi.CustomHelpers): T | Joi.ErrorReport {
  return (each.sure === 'published') === (each.source !== undefined)
    ? each
    : helpers.message({ custom: 'Published values name their source, and only those do' });
}

export const OWN_SPORTS = LIMITS.ownSports;
