import { Router } from 'express';
import Joi from 'joi';
import { isDeepStrictEqual } from 'node:util';
import { daysBetween } from '@pace-bend/core/caution';
import { judgeItem } from '@pace-bend/core/home';
import {
  HOME_DONE,
  HOME_LIMITS,
  isDay,
  LIMITS,
  type HomeAnswersFields,
  type HomeItem,
  type HomeSheet,
  type HomeSheetFields,
} from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { cautionsOfVisit, requireNoStop } from '../cautions/context.ts';
import type { Db, Pool } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, stale } from '../http/problem.ts';
import { oneLine } from '../http/text.ts';
import { validate } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { shelfWithEntries } from '../shelf/queries.ts';
import { inOpenVisit } from '../visits/find.ts';
import { homeAnswersOf, homeBefore, homeOf, writeHome, writeHomeAnswers } from './queries.ts';

const whole = ({ min, max }: { readonly min: number; readonly max: number }) => Joi.number().integer().min(min).max(max).required();
const revision = Joi.number().integer().min(0).required();

const itemSchema = Joi.object<Wire<HomeItem>, true>({
  id: idSchema.required(),
  entryId: Joi.string().max(64).required(),
  name: oneLine().trim().min(1).max(LIMITS.nameLength).required().label('Name'),
  sides: Joi.array()
    .items(Joi.object({ side: Joi.string().valid('left', 'right', 'midline').required(), times: whole(HOME_LIMITS.times).label('Times') }))
    .min(1)
    .max(2)
    .unique('side')
    .required()
    .label('Sides'),
  seconds: Joi.number().integer().min(HOME_LIMITS.seconds.min).max(HOME_LIMITS.seconds.max).allow(null).required().label('Seconds'),
  breaths: Joi.boolean().required(),
  sets: whole(HOME_LIMITS.sets).label('Sets'),
  perDay: whole(HOME_LIMITS.perDay).label('Times a day'),
  when: oneLine().allow('').max(HOME_LIMITS.whenLength).required().label('When'),
  how: Joi.string().trim().min(1).max(HOME_LIMITS.howLength).required().label('What they do'),
  stop: Joi.string().trim().min(1).max(HOME_LIMITS.stopLength).required().label('Stop when'),
});

const sheetSchema = Joi.object<Wire<HomeSheetFields & { readonly revision: number }>, true>({
  revision,
  items: Joi.array().items(itemSchema).max(HOME_LIMITS.items).unique('id').required().label('Exercises'),
  until: Joi.string()
    .required()
    .label('Until')
    .custom((day: string, helpers) => (isDay(day) ? day : helpers.message({ custom: 'A day is written YYYY-MM-DD.' }))),
  words: Joi.string().allow('').max(HOME_LIMITS.wordsLength).required().label('Words of your own'),
});

const answersSchema = Joi.object<Wire<HomeAnswersFields & { readonly revision: number }>, true>({
  revision,
  sheetOf: idSchema.required(),
  answers: Joi.object()
    .pattern(idSchema, Joi.string().valid(...HOME_DONE.map(({ id }) => id)))
    .max(HOME_LIMITS.items)
    .required()
    .label('Answers'),
});

export function homeRoutes(pool: Pool): Router {
  const router = Router();

  /** What goes home. Every exercise is held against the cautions of the visit, as everything at the table is. */
  router.put('/visits/:id/home', async (request, response) => {
    const visitId = idFrom(request);
    const { revision: known, ...fields } = validate(sheetSchema, request.body);
    const { practice } = caller(response);
    response.json(
      await inOpenVisit(pool, practice, visitId, async (db, visit) => {
        const stands = (sheet: HomeSheet) => {
          const { revision: there, ...rest } = sheet;
          return there === known + 1 && isDeepStrictEqual(rest, fields);
        };
        const before = await homeOf(db, visitId);
        if (stands(before)) return before;
        const day = dayIn(practice.timeZone, new Date(visit.startsAt));
        const ahead = daysBetween(day, fields.until);
        if (ahead < 0 || ahead > HOME_LIMITS.days)
          throw invalid([{ path: 'until', message: `From the day of the visit to ${HOME_LIMITS.days} days later.` }]);
        if (fields.items.length > 0) await requireAllowed(db);
        const written = await writeHome(db, visitId, known, fields);
        const current = await homeOf(db, visitId);
        if (!written && !stands(current)) throw stale('The sheet for home', current);
        return current;

        async function requireAllowed(within: Db): Promise<void> {
          const { context, overrides } = await cautionsOfVisit(within, practice, visit);
          requireNoStop(context);
          const shelf = await shelfWithEntries(
            within,
            practice.id,
            fields.items.map(({ entryId }) => entryId),
          );
          const wrong = fields.items.flatMap((item, i) => {
            const { forbidden } = judgeItem(item, context, overrides, shelf);
            return forbidden ? [{ path: `items.${i}`, message: `${item.name}: ${forbidden}` }] : [];
          });
          if (wrong.length > 0) throw invalid(wrong);
        }
      }),
    );
  });

  /** What is answered about the sheet that was given last before this visit. */
  router.put('/visits/:id/home-answers', async (request, response) => {
    const visitId = idFrom(request);
    const { revision: known, ...fields } = validate(answersSchema, request.body);
    const { practice } = caller(response);
    response.json(
      await inOpenVisit(pool, practice, visitId, async (db, visit) => {
        const asked = await homeBefore(db, visit.athleteId, visit.startsAt);
        if (asked?.visitId !== fields.sheetOf.toLowerCase())
          throw invalid([{ path: 'sheetOf', message: 'Only the sheet that was given last before this visit is asked about.' }]);
        const unknown = Object.keys(fields.answers).filter((id) => !asked.items.some((item) => item.id === id));
        if (unknown.length > 0) throw invalid([{ path: 'answers', message: 'An answer is about an exercise of that sheet.' }]);
        const written = await writeHomeAnswers(db, visitId, known, fields);
        const current = await homeAnswersOf(db, visitId);
        const stands = current?.revision === known + 1 && isDeepStrictEqual(current.answers, fields.answers);
        if (!written && !stands) throw stale('The answers about home work', current);
        return current;
      }),
    );
  });

  return router;
}
