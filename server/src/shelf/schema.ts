import Joi from 'joi';
import { MOTIONS, POSITIONS, REGIONS } from '@pace-bend/core/body';
import { SECTIONS, STAGES, TOOLS } from '@pace-bend/core/catalogue';
import {
  ADDED_KINDS,
  LONGEST_DETAIL,
  LONGEST_PLACE,
  LONGEST_TEXT,
  MOST_PHASES,
  MOST_STEPS,
  type OwnEntryFields,
  type OwnItem,
  type OwnProtocolFields,
  type OwnWayFields,
} from '@pace-bend/core/method';
import type { Origin } from '@pace-bend/core/sport';
import { CLOCKS, DIRECTIONS, GLIDES } from '@pace-bend/core/finding';
import { HOME_LIMITS, LIMITS } from '@pace-bend/core/record';
import { blockSchema } from '../blocks/schema.ts';
import { idSchema } from '../http/ids.ts';
import type { Wire } from '../http/wire.ts';

const line = Joi.string().trim(true).max(LIMITS.lineLength);
const text = Joi.string().trim(true).allow('').max(LIMITS.textLength);
const words = (most: number) => Joi.array().items(line.min(1)).max(most).required();
const lists = Joi.object().pattern(Joi.string().max(32), Joi.array().items(Joi.string().max(LONGEST_PLACE)).max(12));
const id = Joi.string().max(64);

/** Another entry with its reason, which older ones lack, or the same one done otherwise. */
const reason = Joi.string().trim(true).max(80);
const variant = Joi.alternatives(
  Joi.object({ id: id.required(), why: reason.allow('').required() }),
  Joi.object({ why: reason.min(1).required() }),
);

const instruction = {
  text: Joi.string().trim(true).allow('').max(LONGEST_TEXT),
  detail: Joi.string().trim(true).allow('').max(LONGEST_DETAIL),
};
const phase = Joi.alternatives().conditional('.adds', {
  is: Joi.exist(),
  then: Joi.object({
    adds: Joi.string()
      .valid(...ADDED_KINDS)
      .required(),
    seconds: Joi.number().required().label('Seconds'),
    ...instruction,
  }),
  otherwise: Joi.object({ of: Joi.number().integer().min(0).required(), ...instruction }),
});

/** Where something comes from that another practice made. */
export const originSchema = Joi.object<Wire<Origin>>({
  from: line.allow('').max(160).required().label('Where it comes from'),
  licence: line.allow('').max(160).required().label('Licence'),
  version: Joi.number().integer().min(1).max(9999).required(),
});

const waySchema = Joi.object<Wire<OwnWayFields>, true>({
  kind: Joi.string().valid('way').required(),
  baseId: id.required(),
  name: line.min(2).required().label('Name'),
  purpose: text.required(),
  what: text.required(),
  synonyms: words(20),
  schoolsDiffer: text.required(),
  rounds: Joi.number().required(),
  numbers: Joi.object().pattern(Joi.string().max(32), Joi.array().items(Joi.number()).max(24)).required(),
  choices: Joi.object().pattern(Joi.string().max(32), Joi.string().max(32)).required(),
  lists: lists.required(),
  phases: Joi.array().items(phase).min(1).max(MOST_PHASES),
  origin: originSchema,
});

const between = ({ min, max }: { readonly min: number; readonly max: number }) => Joi.number().integer().min(min).max(max);

const entrySchema = Joi.object<Wire<OwnEntryFields>, true>({
  origin: originSchema,
  kind: Joi.string().valid('entry').required(),
  section: Joi.string()
    .valid(...SECTIONS)
    .required(),
  stage: Joi.string()
    .valid(...STAGES)
    .required(),
  name: line.min(2).required().label('Name'),
  synonyms: words(20),
  targets: words(8).min(1),
  motionId: Joi.string()
    .valid(...MOTIONS.map((motion) => motion.id))
    .required(),
  also: Joi.array().items(id).max(12).required(),
  measured: Joi.boolean().required(),
  regions: Joi.array()
    .items(Joi.string().valid(...REGIONS.map((region) => region.id)))
    .min(1)
    .max(12),
  still: Joi.boolean().valid(true),
  sides: Joi.array()
    .items(Joi.string().valid('left', 'right', 'midline'))
    .min(1)
    .max(3)
    .unique(),
  positions: Joi.array()
    .items(Joi.string().valid(...POSITIONS))
    .min(1)
    .max(POSITIONS.length)
    .unique()
    .required(),
  places: Joi.object().pattern(
    Joi.string().valid(...POSITIONS),
    Joi.object({
      setUp: line.min(2).required().label('Set-up'),
      supports: line.min(2).label('Supports'),
      hands: line.min(2).label('Hands'),
      without: Joi.array().items(id).max(40).unique(),
    }),
  ),
  says: Joi.object().pattern(
    id,
    Joi.object()
      .pattern(
        Joi.string().max(60),
        Joi.object({
          text: Joi.string().trim(true).min(2).max(60).required().label('Line'),
          detail: line.min(2).label('What goes with it'),
          works: Joi.string().valid('athlete', 'therapist'),
        }),
      )
      .max(16),
  ),
  doses: Joi.object().pattern(
    id,
    Joi.object({
      rounds: Joi.number(),
      numbers: Joi.object().pattern(Joi.string().max(32), Joi.array().items(Joi.number()).max(24)),
      choices: Joi.object().pattern(Joi.string().max(32), Joi.string().max(32)),
      lists,
    }),
  ),
  supports: text.required(),
  setUp: line.min(2).required().label('Set-up'),
  lead: Joi.string().trim(true).min(2).max(LONGEST_PLACE).label('Where it is carried'),
  ease: Joi.string().trim(true).min(2).max(LONGEST_PLACE).label('Where it eases'),
  play: Joi.string().trim(true).min(2).max(LONGEST_PLACE).label('What plays in the joint'),
  hands: line.min(2).required().label('Hands'),
  mover: Joi.string().valid('therapist', 'athlete', 'both').required(),
  press: Joi.string().trim(true).min(2).max(LONGEST_TEXT).required().label('How they are told to press'),
  pressLine: line.min(2).required().label('Direction'),
  bringHome: line.min(2).required().label('Way home'),
  watch: line.min(2).required().label('What to watch'),
  cautions: text.required(),
  found: Joi.object({
    clock: Joi.string().valid(...CLOCKS.map((each) => each.id)),
    glide: Joi.object({
      subject: Joi.string()
        .valid(...GLIDES.map((each) => each.id))
        .required(),
      words: Joi.object(Object.fromEntries(DIRECTIONS.map((each) => [each, Joi.string().min(1).max(LONGEST_PLACE).required()]))).required(),
    }),
  }),
  medium: Joi.string().valid('dry', 'oil', 'dry first'),
  sign: line.min(2),
  longer: line.min(2),
  leaveOut: line.min(2),
  tools: Joi.array()
    .items(
      Joi.object({
        tool: Joi.string()
          .valid(...TOOLS)
          .required(),
        share: Joi.number().min(0).max(1).required(),
      }),
    )
    .min(1)
    .max(TOOLS.length)
    .unique('tool')
    .required(),
  ways: Joi.array().items(id).min(1).max(40).unique().required(),
  adds: Joi.array()
    .items(Joi.string().valid('friction', 'nerve-line', 'press', 'pin', 'mobilize'))
    .max(5),
  lists,
  vessel: Joi.boolean().valid(true),
  afterOperation: Joi.boolean().valid(true),
  onlyAsked: Joi.boolean().valid(true),
  home: Joi.object({
    how: Joi.string().trim(true).min(2).max(HOME_LIMITS.howLength).required().label('What they do'),
    stop: Joi.string().trim(true).min(2).max(HOME_LIMITS.stopLength).required().label('Stop when'),
    times: between(HOME_LIMITS.times).required().label('Times'),
    seconds: between(HOME_LIMITS.seconds).allow(null).required().label('Seconds'),
    breaths: Joi.boolean().valid(true),
    sets: between(HOME_LIMITS.sets).label('Sets'),
    perDay: between(HOME_LIMITS.perDay).required().label('Times a day'),
    when: Joi.string().trim(true).max(HOME_LIMITS.whenLength).allow('').required().label('When'),
  }).when('stage', { is: 'home', then: Joi.required(), otherwise: Joi.forbidden() }),
  drawnAs: id,
  easier: Joi.array().items(variant).max(8).required(),
  harder: Joi.array().items(variant).max(8).required(),
});

const step = blockSchema.fork(['id', 'limits'], () => Joi.forbidden());

const protocolSchema = Joi.object<Wire<OwnProtocolFields>, true>({
  kind: Joi.string().valid('protocol').required(),
  name: line.min(2).required().label('Name'),
  what: text.required(),
  steps: Joi.array().items(step).min(1).max(MOST_STEPS).required().label('Steps') as never,
  origin: originSchema,
});

export type SentItem = Pick<OwnItem, 'fields' | 'supersedes'>;

export const itemSchema = Joi.object<SentItem>({
  supersedes: idSchema.allow(null).required(),
  fields: Joi.alternatives()
    .conditional('.kind', {
      switch: [
        { is: 'way', then: waySchema },
        { is: 'protocol', then: protocolSchema, otherwise: entrySchema },
      ],
    })
    .required(),
});
