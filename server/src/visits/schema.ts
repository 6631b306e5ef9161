import Joi from 'joi';
import { REGIONS } from '@pace-bend/core/body';
import { CONSENT_AREAS, RULES, STOP_QUESTIONS, type OverrideFields } from '@pace-bend/core/caution';
import { MOTIONS } from '@pace-bend/core/body';
import { LIMITS, STEPS, type Arrival, type ReferralFields, type Step, type StopAnswers, type Visit } from '@pace-bend/core/record';
import { idSchema } from '../http/ids.ts';
import { oneLine } from '../http/text.ts';
import type { Wire } from '../http/wire.ts';

export type NewVisit = Pick<Visit, 'athleteId' | 'startsAt' | 'minutes'>;
export type VisitPatch = Partial<Arrival> & { readonly step?: Step; readonly revision: number };

const minutes = Joi.number().integer().min(LIMITS.visitMinutes.min).max(LIMITS.visitMinutes.max);
const revision = Joi.number().integer().min(1).required();
/** Overlapping is done on purpose or not at all. */
const overlap = Joi.boolean();

/** Visits are booked for the years in which somebody could still come. */
const EARLIEST = Date.UTC(1990, 0, 1);
const LATEST = Date.UTC(2200, 0, 1);
const start = Joi.string()
  .isoDate()
  .label('Start')
  .custom((value: string, helpers) => {
    const at = Date.parse(value);
    return at >= EARLIEST && at < LATEST ? value : helpers.message({ custom: 'A visit starts between 1990 and 2200.' });
  });

/** What says when a visit is. */
export const visitTime = { startsAt: start.required(), minutes: minutes.required().label('Minutes') };

export const newVisitSchema = Joi.object<NewVisit & { overlap?: boolean }, true>({
  athleteId: idSchema.required(),
  ...visitTime,
  overlap,
});

export const bookingSchema = Joi.object<Pick<Visit, 'startsAt' | 'minutes' | 'revision'> & { overlap?: boolean }, true>({
  revision,
  ...visitTime,
  overlap,
});

export const revisionSchema = Joi.object<{ revision: number; overlap?: boolean }, true>({ revision, overlap });

export const visitPatchSchema = Joi.object<Wire<VisitPatch>, true>({
  revision,
  step: Joi.string()
    .valid(...STEPS)
    .label('Step'),
  complaint: Joi.string().allow('').max(LIMITS.complaintLength).label('Complaint'),
  complaintRegion: Joi.string()
    .valid(...REGIONS.map((each) => each.id))
    .allow(null)
    .label('Place'),
  complaintSide: Joi.string().valid('left', 'right', 'both').allow(null).label('Side'),
  complaintScore: Joi.number().integer().min(0).max(10).allow(null).label('Score'),
  changed: Joi.string().allow('').max(LIMITS.textLength).label('What changed'),
  trainingSince: Joi.string().allow('').max(LIMITS.aboutLength).label('Training since'),
  trainingNext: Joi.string().allow('').max(LIMITS.aboutLength).label('Training next'),
  minutesAvailable: minutes.label('Minutes available'),
  consentWord: oneLine().allow('').max(LIMITS.aboutLength).label('Why consent was not asked'),
  consent: Joi.array()
    .items(Joi.string().valid(...CONSENT_AREAS.map((area) => area.id)))
    .unique()
    .allow(null)
    .label('Consent'),
  lookFirst: Joi.string().allow('').max(LIMITS.aboutLength).label('Look at first'),
});

const answer = Joi.string().valid('no', 'yes', 'unsure').required();
/** All of them answered, or none and the word why. */
export const answersSchema = Joi.object<Pick<StopAnswers, 'answers' | 'notAsked'>>({
  notAsked: oneLine()
    .trim(true)
    .min(LIMITS.reasonLength.min)
    .max(LIMITS.aboutLength)
    .allow(null)
    .default(null)
    .label('Why they were not asked'),
  answers: Joi.when('notAsked', {
    is: Joi.string(),
    then: Joi.object({}).required(),
    otherwise: Joi.object(Object.fromEntries(STOP_QUESTIONS.map((question) => [question.id, answer.label(question.words)]))).required(),
  }),
});

/** Rules that hold an "avoid"; written limits have ids of their own. */
const AVOIDS = new Set(RULES.filter((rule) => rule.level === 'avoid').map((rule) => rule.id));
export const overrideSchema = Joi.object<OverrideFields, true>({
  ruleId: Joi.string()
    .max(80)
    .required()
    .label('Caution')
    .custom((value: string, helpers) =>
      AVOIDS.has(value) || /^written-[a-z-]+-[\d.]+$/.test(value)
        ? value
        : helpers.message({ custom: 'This is no caution that a written reason can set aside.' }),
    ),
  ground: oneLine().min(1).max(200).required().label('What it comes from'),
  motionId: Joi.string()
    .valid(...MOTIONS.map((motion) => motion.id))
    .required()
    .label('Motion')
    .messages({ 'any.only': 'No such motion is known' }),
  side: Joi.string().valid('left', 'right', 'midline').required().label('Side'),
  reason: Joi.string().trim(true).min(LIMITS.reasonLength.min).max(LIMITS.reasonLength.max).required().label('The reason'),
});

export const referralSchema = Joi.object<ReferralFields & { revision: number }, true>({
  revision: Joi.number().integer().min(0).required(),
  to: Joi.string().allow('').max(LIMITS.aboutLength).required().label('Referred to'),
  seen: Joi.string().allow('').max(LIMITS.noteLength).required().label('What was seen'),
});
