import Joi from 'joi';
import {
  BEIGHTON_ITEMS,
  CONDITIONS,
  conditionFacts,
  MEDICATIONS,
  stillProtected,
  type ConditionFields,
  type NoTouchFields,
} from '@pace-bend/core/caution';
import { motionOf, MOTIONS, MOVEMENTS, MUSCLES, REGIONS } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import { BLANK_FILE, checkBirthDate, GOAL_WHYS, isDay, LIMITS, type AthleteFields, type GoalFields } from '@pace-bend/core/record';
import type { Wire } from '../http/wire.ts';
import { oneLine } from '../http/text.ts';

const day = Joi.string().custom((value: string, helpers) =>
  isDay(value) ? value : helpers.message({ custom: 'A day is written YYYY-MM-DD, from 1900 on.' }),
);
const word = oneLine().max(LIMITS.lineLength);
const line = word.allow('');
const text = Joi.string().allow('').max(LIMITS.textLength);
const handed = Joi.string().valid('left', 'right', 'both', 'unknown');
const lever = Joi.number().min(LIMITS.leverCm.min).max(LIMITS.leverCm.max).allow(null);
const region = Joi.string().valid(...REGIONS.map((each) => each.id));
const side = Joi.string().valid('left', 'right', 'both').allow(null);

/** What an athlete does. That the sport is known is checked where the practice's own are at hand. */
export const sportsSchema = Joi.array()
  .max(LIMITS.sports)
  .items(
    Joi.object({
      sportId: oneLine().min(1).max(60).required().label('Sport'),
      discipline: oneLine().max(60).allow(null).required().label('Discipline'),
      role: oneLine().max(60).allow(null).required().label('Role'),
      leading: Joi.string().valid('left', 'right').allow(null).required().label('Leading side'),
      words: oneLine().allow('').max(LIMITS.sportWords).required().label('In words'),
    }),
  )
  .unique('sportId')
  .messages({ 'array.unique': 'Each sport stands once' });

const fields = (today: string) => ({
  name: oneLine().trim(true).min(1).max(LIMITS.nameLength).label('Name'),
  birthDate: Joi.string()
    .label('Birth date')
    .custom((value: string, helpers) => {
      const message = checkBirthDate(value, today);
      return message ? helpers.message({ custom: message }) : value;
    }),
  referenceSex: Joi.string().valid('female', 'male', 'none').label('Reference table'),
  sports: sportsSchema.label('Sports'),
  about: oneLine().allow('').max(LIMITS.aboutLength).label('About'),
  breathPeriodMs: Joi.number().integer().min(LIMITS.breathPeriodMs.min).max(LIMITS.breathPeriodMs.max).label('Slow breath'),
  hand: handed.label('Hand'),
  foot: handed.label('Foot'),
  thighCm: lever.label('Thigh'),
  legCm: lever.label('Leg'),
  armCm: lever.label('Arm'),
  forearmCm: lever.label('Forearm'),
  build: text.label('Build'),
  preferences: text.label('Preferences'),
  coach: line.label('Coach'),
  contacts: Joi.array()
    .max(LIMITS.contacts)
    .label('Contacts')
    .items(Joi.object({ name: word.required().label('Contact'), role: line.required(), phone: line.required(), email: line.required() })),
  medications: Joi.array()
    .items(Joi.string().valid(...MEDICATIONS.map((each) => each.id)))
    .unique()
    .label('Medication'),
  historyOn: day.allow(null).label('History taken'),
  beighton: Joi.array().items(Joi.boolean()).length(BEIGHTON_ITEMS.length).allow(null).label('Beighton score'),
  availability: Joi.string().valid('full', 'limited', 'out').label('Availability'),
  availableUntil: day.allow(null).label('Available until'),
});

/** Checked at compile time against the core's own type. Only what the tables need is required; the rest of the file starts blank. */
export const athleteSchema = (today: string) => {
  const all = fields(today);
  const blank = Object.fromEntries(
    Object.entries(BLANK_FILE).map(([name, value]) => [name, all[name as keyof typeof BLANK_FILE].default(() => structuredClone(value))]),
  ) as unknown as Pick<typeof all, keyof typeof BLANK_FILE>;
  return Joi.object<Wire<AthleteFields>, true>({
    ...all,
    ...blank,
    name: all.name.required(),
    birthDate: all.birthDate.required(),
    referenceSex: all.referenceSex.required(),
    about: all.about.required(),
    breathPeriodMs: all.breathPeriodMs.required(),
  });
};

export type AthletePatch = Partial<AthleteFields> & { readonly revision: number };

export const athletePatchSchema = (today: string) =>
  Joi.object<AthletePatch>({ ...fields(today), revision: Joi.number().integer().min(1).required() })
    .min(2)
    .messages({ 'object.min': 'Nothing to change was sent' });

const limit = Joi.alternatives()
  .match('one')
  .try(
    Joi.object({
      kind: Joi.string().valid('bend').required(),
      movement: Joi.string()
        .valid(...MOVEMENTS)
        .required(),
      deg: Joi.number().min(0).max(200).required(),
    }),
    Joi.object({ kind: Joi.string().valid('effort').required(), pct: Joi.number().min(0).max(100).required() }),
    Joi.object({ kind: Joi.string().valid('ceiling').required(), score: Joi.number().integer().min(0).max(10).required() }),
  )
  .messages({
    'alternatives.any': 'A written limit is a movement with degrees, an effort in percent, or a discomfort from 0 to 10',
    'alternatives.match': 'A written limit is a movement with degrees, an effort in percent, or a discomfort from 0 to 10',
  });

export interface SentCondition extends ConditionFields {
  /** 0 for a new one. */
  readonly revision: number;
}

export const conditionSchema = (today: string) =>
  Joi.object<Wire<SentCondition>, true>({
    revision: Joi.number().integer().min(0).required(),
    code: Joi.string()
      .valid(...CONDITIONS.map((each) => each.code))
      .required()
      .label('Condition')
      .messages({ 'any.only': 'No such condition is in the list' }),
    region: region.allow(null).required().label('Region'),
    side: side.required().label('Side'),
    onset: day.allow(null).required().label('Onset'),
    surgeryOn: day.allow(null).required().label('Operation'),
    muscle: Joi.string()
      .valid(...MUSCLES.map((each) => each.id))
      .allow(null)
      .default(null)
      .label('Muscle'),
    grade: Joi.number().valid(1, 2, 3).allow(null).default(null).label('Grade'),
    words: text.required().label('Words'),
    clearance: Joi.object({
      by: word.required().label('Cleared by'),
      on: day.required().label('Cleared on'),
      text: text.required().label('As written'),
      limits: Joi.array().items(limit).max(12).required().label('Limits'),
    })
      .allow(null)
      .required()
      .label('Clearance'),
    resolvedOn: day.allow(null).required().label('Over since'),
  }).custom((sent: SentCondition, helpers) => {
    const facts = conditionFacts(sent.code);
    if (facts.chooseRegion && sent.region === null) return helpers.message({ custom: `${facts.name} needs its region` });
    if (!facts.ofMuscle && (sent.muscle !== null || sent.grade !== null))
      return helpers.message({ custom: `${facts.name} is none of a muscle` });
    if (sent.clearance && sent.surgeryOn !== null && sent.clearance.on < sent.surgeryOn)
      return helpers.message({ custom: 'A go-ahead is given after the operation' });
    if (sent.resolvedOn !== null && stillProtected({ ...sent, clearance: sent.clearance ?? null }, today))
      return helpers.message({ custom: 'Within a year of an operation “over” needs the go-ahead of the surgeon or physiotherapist' });
    if (!facts.surgery && sent.surgeryOn !== null)
      return helpers.message({ custom: `${facts.name} is no operation and has no date of one` });
    for (const [on, what] of [
      [sent.onset, 'The onset'],
      [sent.surgeryOn, 'The operation'],
      [sent.resolvedOn, 'The end'],
      [sent.clearance?.on ?? null, 'The clearance'],
    ] as const) {
      if (on !== null && on > today) return helpers.message({ custom: `${what} lies in the future` });
    }
    return sent;
  });

export const noTouchSchema = Joi.object<Wire<NoTouchFields>, true>({
  region: region.required().label('Region'),
  side: side.required().label('Side'),
  words: Joi.string().allow('').max(LIMITS.aboutLength).required().label('Words'),
});

export const goalSchema = Joi.object<Wire<GoalFields>, true>({
  motionId: Joi.string()
    .valid(...MOTIONS.map((motion) => motion.id))
    .required()
    .label('Motion')
    .messages({ 'any.only': 'No such motion is known' }),
  side: Joi.string().valid('left', 'right', 'midline').required().label('Side'),
  value: Joi.number().required().label('Goal'),
  byDate: day.allow(null).required().label('Wanted by'),
  why: Joi.string()
    .valid(...GOAL_WHYS)
    .allow(null)
    .default(null)
    .label('Why'),
  whyWords: oneLine().allow('').trim(true).max(LIMITS.goalWords).default('').label('In their words'),
}).custom((goal: GoalFields, helpers) => {
  const motion = motionOf(goal.motionId);
  if (!motion.sides.includes(goal.side)) return helpers.message({ custom: `${motion.name} is not measured on the ${goal.side}` });
  const { min, max } = motion.possible;
  return goal.value >= min && goal.value <= max
    ? goal
    : helpers.message({ custom: `A goal lies between ${formatValue(min, motion.unit, 0)} and ${formatValue(max, motion.unit, 0)}` });
});
