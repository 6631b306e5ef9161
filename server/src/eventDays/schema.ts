import Joi from 'joi';
import {
  DAY_LIMITS,
  WISH_KINDS,
  WISH_REASONS,
  type DayEvent,
  type DayEventBody,
  type EventDaySetUp,
  type EventRecord,
  type Race,
  type Starter,
  type Wish,
} from '@pace-bend/core/eventDay';
import { CONSENT_AREAS, STOP_QUESTIONS } from '@pace-bend/core/caution';
import { isDay, LIMITS } from '@pace-bend/core/record';
import { blockSchema } from '../blocks/schema.ts';
import { idSchema } from '../http/ids.ts';
import { oneLine } from '../http/text.ts';
import type { Wire } from '../http/wire.ts';

const id = idSchema.lowercase().required();
const minute = Joi.number().integer().min(0).max(1439);
const minutes = Joi.number().integer().min(0).max(1440).required();

const race = Joi.object<Race, true>({
  id,
  name: oneLine().trim(true).min(1).max(DAY_LIMITS.raceName).required().label('Race'),
  callAt: minute.allow(null).required().label('Call'),
  startAt: minute.required().label('Start'),
});

const starter = Joi.object<Starter, true>({
  id,
  athleteId: idSchema.lowercase().allow(null).required(),
  name: oneLine().trim(true).min(1).max(LIMITS.nameLength).required().label('Name'),
});

const wish = Joi.object<Wire<Wish>, true>({
  id,
  starterId: id,
  kind: Joi.string()
    .valid(...WISH_KINDS)
    .required()
    .label('What'),
  raceId: id,
  nextRaceId: idSchema.lowercase().allow(null).required(),
  minutes: minutes.label('Minutes'),
  reasons: Joi.array()
    .items(Joi.string().valid(...WISH_REASONS))
    .unique()
    .required(),
  therapistId: idSchema.lowercase().allow(null).required(),
  protocolId: Joi.string().max(80).allow(null).required().label('Sequence'),
});

const shift = Joi.object({
  id,
  table: Joi.number().integer().min(1).max(DAY_LIMITS.tables).required().label('Table'),
  therapistId: id,
  from: minute.required().label('From'),
  until: minute.required().label('Until'),
});

const offer = Joi.object({
  kind: Joi.string()
    .valid(...WISH_KINDS)
    .required(),
  offered: Joi.boolean().required(),
  minutes: minutes.label('Minutes'),
  leastMinutes: minutes.label('Least minutes'),
  protocolIds: Joi.array().items(Joi.string().max(80)).max(30).unique().required(),
});

const rule = Joi.number().integer().min(0).max(1440).required();

export const setUpSchema = Joi.object<Wire<EventDaySetUp> & { revision: number }>({
  revision: Joi.number().integer().min(0).required(),
  title: oneLine().trim(true).min(1).max(DAY_LIMITS.title).required().label('Title'),
  eventId: idSchema.lowercase().allow(null).required(),
  onDate: Joi.string()
    .required()
    .label('Day')
    .custom((value: string, helpers) => (isDay(value) ? value : helpers.message({ custom: 'A day is written YYYY-MM-DD, from 1900 on.' }))),
  races: Joi.array().items(race).max(DAY_LIMITS.races).required().label('Races'),
  starters: Joi.array().items(starter).max(DAY_LIMITS.starters).required().label('Start list'),
  starts: Joi.array()
    .items(Joi.object({ starterId: id, raceId: id }))
    .max(DAY_LIMITS.starters * 3)
    .required(),
  wishes: Joi.array().items(wish).max(DAY_LIMITS.wishes).required().label('Wishes'),
  shifts: Joi.array().items(shift).max(DAY_LIMITS.shifts).required().label('Tables'),
  offers: Joi.array().items(offer).length(WISH_KINDS.length).unique('kind').required().label('What is offered'),
  rules: Joi.object({
    beforeAtMost: rule,
    beforeAtLeast: rule,
    raceTakes: rule,
    afterWithin: rule,
    step: rule,
    turnover: rule,
    grace: rule,
    notice: rule,
    quiet: rule,
  }).required(),
});

const consent = Joi.array()
  .items(Joi.string().valid(...CONSENT_AREAS.map((area) => area.id)))
  .unique()
  .label('Consent');

/** What belongs to each kind of event a device says. That something was recorded is said by the server, which has recorded it. */
const BODIES: { readonly [Kind in Exclude<DayEventBody['kind'], 'recorded'>]: Joi.PartialSchemaMap } = {
  asked: { wishId: id, consent: consent.required() },
  here: { wishId: id },
  onTable: { wishId: id, shiftId: id },
  done: { wishId: id },
  notComing: { wishId: id },
  late: { wishId: id, until: minute.required() },
  slip: { raceId: id, callAt: minute.allow(null).required(), startAt: minute.required() },
  scratch: { starterId: id },
  overrun: { wishId: id, until: minute.required() },
  closes: { shiftId: id, from: minute.required(), until: minute.required() },
  wish: {
    wish: wish.required(),
    starter: starter.allow(null).required(),
    race: race.allow(null).required(),
    nextRace: race.allow(null).required(),
  },
  promise: {
    times: Joi.array()
      .items(Joi.object({ wishId: id, shiftId: id, start: minute.required() }))
      .max(DAY_LIMITS.wishes)
      .required(),
    dropped: Joi.array().items(idSchema.lowercase()).max(DAY_LIMITS.wishes).required(),
  },
  takeBack: { eventId: id },
};

const kinds = Object.keys(BODIES) as (keyof typeof BODIES)[];
const body = Joi.alternatives().conditional('.kind', {
  switch: kinds.map((kind) => ({ is: Joi.valid(kind).required(), then: Joi.object({ kind: Joi.string().required(), ...BODIES[kind] }) })),
  otherwise: Joi.object({
    kind: Joi.string()
      .valid(...kinds)
      .required()
      .label('What happened'),
  }).required(),
});

/** Events of a day as a device sends them. */
export type SentDayEvent = Omit<DayEvent, 'by'>;

const instant = Joi.string()
  .isoDate()
  .custom((value: string, helpers) => {
    const at = Date.parse(value);
    return at >= Date.UTC(1990, 0) && at < Date.UTC(2200, 0) ? value : helpers.message({ custom: 'It happened between 1990 and 2200.' });
  });

export const eventsSchema = Joi.object<{ events: SentDayEvent[] }>({
  events: Joi.array()
    .items(
      Joi.object({
        id,
        at: instant.required().label('When'),
        after: idSchema.lowercase().allow(null).required(),
        body: body.required(),
      }),
    )
    .min(1)
    .max(200)
    .unique('id')
    .required(),
});

/** All questions answered; what a device does not know yet is refused rather than guessed. */
const answers = Joi.object(
  Object.fromEntries(
    STOP_QUESTIONS.map((question) => [question.id, Joi.string().valid('no', 'yes', 'unsure').required().label(question.words)]),
  ),
);

/** What is written down of one wish. */
export const recordSchema = Joi.object<Wire<EventRecord>>({
  visitId: id,
  answersId: id,
  runId: idSchema.lowercase().allow(null).required(),
  event: Joi.object({ id, at: instant.required().label('When'), after: idSchema.lowercase().allow(null).required() }).required(),
  guest: Joi.object({
    athleteId: id,
    name: oneLine().trim(true).min(1).max(LIMITS.nameLength).required().label('Name'),
    birthDate: Joi.string().required().label('Birth date'),
    about: oneLine().trim(true).allow('').max(LIMITS.aboutLength).required().label('What matters'),
    agreed: Joi.boolean().valid(true).required().label('Consent').messages({ 'any.only': 'Without their consent nobody comes on file' }),
  })
    .allow(null)
    .required(),
  startsAt: instant.required().label('Begun'),
  minutes: Joi.number().integer().min(LIMITS.visitMinutes.min).max(LIMITS.visitMinutes.max).required().label('Minutes'),
  answers: answers.required(),
  consent: consent.required(),
  protocolId: Joi.string().max(80).allow(null).required().label('Sequence'),
  blocks: Joi.array().items(blockSchema).max(LIMITS.blocksInPlan).unique('id').required().label('What was done'),
  words: Joi.string().trim(true).allow('').max(LIMITS.complaintLength).required().label('Two words'),
  knowsWork: Joi.boolean().required(),
  referral: Joi.object({
    to: oneLine().trim(true).min(1).max(LIMITS.aboutLength).required().label('Sent on to'),
    seen: Joi.string().trim(true).allow('').max(LIMITS.noteLength).required().label('What was seen'),
  })
    .allow(null)
    .required(),
});
