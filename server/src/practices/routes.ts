import { Router } from 'express';
import Joi from 'joi';
import { REGIONS } from '@pace-bend/core/body';
import type { PracticeScope } from '@pace-bend/core/caution';
import { checkLayout, LONGEST_HEADING } from '@pace-bend/core/note';
import { LIMITS, NOTE_PARTS, type NoteLayout, type Practice } from '@pace-bend/core/record';
import { SCALES, type ScaleId } from '@pace-bend/core/readiness';
import type { PhaseRule } from '@pace-bend/core/season';
import { caller } from '../access/guard.ts';
import { practiceById, type PracticeRow } from '../access/sessions.ts';
import { dayIn } from '../http/days.ts';
import { invalid, stale } from '../http/problem.ts';
import { timeZoneSchema } from '../accounts/schema.ts';
import { validate } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { phasesSchema } from '../seasons/schema.ts';
import { oneLine } from '../http/text.ts';
import { ownSportsOf } from '../sports/queries.ts';
import { change, type Pool } from '../db/pool.ts';

interface SentPractice {
  readonly name: string;
  readonly timeZone: string;
  readonly scope: PracticeScope;
  readonly sportsServed?: readonly string[];
  readonly checkInScale?: ScaleId;
  readonly phases?: readonly PhaseRule[];
  readonly noteLayout?: NoteLayout | null;
  readonly revision: number;
}

const grade = Joi.number().integer().min(0).max(4);

const practiceSchema = Joi.object<Wire<SentPractice>>({
  revision: Joi.number().integer().min(1).required(),
  name: oneLine().trim(true).min(1).max(LIMITS.nameLength).required().label('Practice'),
  timeZone: timeZoneSchema.required(),
  // Left as they are where they are not sent.
  sportsServed: Joi.array().items(oneLine().min(1).max(60)).max(60).unique().label('Sports served'),
  checkInScale: Joi.string()
    .valid(...SCALES.map(({ id }) => id))
    .label('Check-in'),
  phases: phasesSchema.label('Phases'),
  noteLayout: Joi.object({
    sections: Joi.array()
      .items(
        Joi.object({
          heading: oneLine().trim(true).min(1).max(LONGEST_HEADING).required().label('Heading'),
          parts: Joi.array()
            .items(Joi.string().valid(...NOTE_PARTS))
            .min(1)
            .required(),
        }),
      )
      .min(1)
      .max(NOTE_PARTS.length)
      .required(),
  })
    .allow(null)
    .label('Order of the note'),
  scope: Joi.object({
    mobilizationGrade: grade.required().label('Grade'),
    byRegion: Joi.object(Object.fromEntries(REGIONS.map((region) => [region.id, grade]))).required(),
    frontOfNeck: Joi.boolean().required().label('Front of the neck'),
    ruleText: Joi.string().allow('').max(LIMITS.textLength).required().label('Local rule'),
    ruleLink: Joi.string()
      .allow('')
      .max(500)
      .uri({ scheme: ['http', 'https'] })
      .required()
      .label('Link to the rule'),
  }).required(),
});

/** The practice as everybody signed in sees it, and what its owner sets. */
export function practiceRoutes(pool: Pool, now: () => Date, devices: string | null): Router {
  const router = Router();

  /** A practice as the interface has it. */
  const shown = async ({
    id,
    name,
    timeZone,
    scope,
    sportsServed,
    checkInScale,
    phases,
    noteLayout,
    revision,
  }: PracticeRow): Promise<Practice> => ({
    name,
    timeZone,
    scope,
    sportsServed,
    checkInScale,
    phases,
    noteLayout,
    ownSports: await ownSportsOf(pool, id),
    revision,
    today: dayIn(timeZone, now()),
    devices,
  });

  router.get('/practice', async (_request, response) => {
    response.json(await shown(caller(response).practice));
  });

  router.patch('/practice', async (request, response) => {
    const { practice } = caller(response);
    const sent = validate(practiceSchema, request.body);
    const {
      revision,
      name,
      timeZone,
      scope,
      sportsServed = practice.sportsServed,
      checkInScale = practice.checkInScale,
      phases = practice.phases,
      noteLayout = practice.noteLayout,
    } = sent;
    const problems = noteLayout ? checkLayout(noteLayout) : [];
    if (problems.length > 0) throw invalid(problems.map(({ path, message }) => ({ path: `noteLayout.${path}`, message })));
    const touched = await change(
      pool,
      'UPDATE practice SET name = ?, time_zone = ?, mobilization_grade = ?, scope_by_region = ?, front_of_neck = ?, scope_rule_text = ?, scope_rule_link = ?, sports_served = ?, check_in_scale = ?, phases = ?, note_layout = ?, revision = revision + 1 WHERE id = ? AND revision = ?',
      [
        name,
        timeZone,
        scope.mobilizationGrade,
        JSON.stringify(scope.byRegion),
        scope.frontOfNeck,
        scope.ruleText,
        scope.ruleLink,
        JSON.stringify(sportsServed),
        checkInScale,
        JSON.stringify(phases),
        noteLayout === null ? null : JSON.stringify(noteLayout),
        practice.id,
        revision,
      ],
    );
    // Read by itself: whoever asked may have been signed out meanwhile.
    const after = await shown(await practiceById(pool, practice.id));
    if (touched !== 1) throw stale('The practice', after);
    response.json(after);
  });

  return router;
}
