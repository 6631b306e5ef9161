import { Router } from 'express';
import Joi from 'joi';
import { dueBefore, KEEPING_LIMITS, KEPT_KINDS, keptUntil, type Keeping, type KeepingPage } from '@pace-bend/core/keeping';
import { isDay, LIMITS } from '@pace-bend/core/record';
import { caller, concerns } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { athleteById } from '../athletes/queries.ts';
import { change, firstRow, fromJson, transaction, type Pool } from '../db/pool.ts';
import { standsAlready } from '../db/once.ts';
import { forgetGuests } from '../eventDays/forget.ts';
import { dayIn } from '../http/days.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, notFound, Problem, stale } from '../http/problem.ts';
import { oneLine } from '../http/text.ts';
import { validate } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { eraseOnWish, whatStays } from './erase.ts';
import {
  backups,
  eraseCheckInsBefore,
  eraseLoadsBefore,
  erasedSoFar,
  keepingOf,
  keptRecord,
  keptRecords,
  pastTheirPeriod,
  recordsBefore,
  writeKeeping,
} from './queries.ts';

const whole = ({ min, max }: { readonly min: number; readonly max: number }) => Joi.number().integer().min(min).max(max);
const months = whole(KEEPING_LIMITS.months).allow(null).required();
const keepingSchema = Joi.object<Wire<Keeping> & { revision: number }>({
  revision: Joi.number().integer().min(0).required(),
  law: Joi.object({
    years: whole(KEEPING_LIMITS.years).required().label('Years'),
    untilAge: whole(KEEPING_LIMITS.untilAge).allow(null).required().label('Age'),
    kinds: Joi.array()
      .items(Joi.string().valid(...KEPT_KINDS.map(({ id }) => id)))
      .min(1)
      .max(KEPT_KINDS.length)
      .unique()
      .required()
      .label('What stays'),
    reason: oneLine().trim(true).min(KEEPING_LIMITS.reason.min).max(KEEPING_LIMITS.reason.max).required().label('What asks for it'),
  })
    .allow(null)
    .required(),
  recordsMonths: months.label('Records'),
  checkInsMonths: months.label('Check-ins'),
  loadsMonths: months.label('Loads'),
  guestsMonths: months.label('Guests'),
});
const eraseSchema = Joi.object<{ confirm: string; copy: 'handed over' | 'not wanted' }, true>({
  confirm: Joi.string().max(LIMITS.nameLength).required().label('The name'),
  copy: Joi.string().valid('handed over', 'not wanted').required().label('A copy'),
});
const nameSchema = Joi.object<{ confirm: string }, true>({ confirm: Joi.string().max(LIMITS.nameLength).required().label('The name') });
const beforeSchema = Joi.object<{ before: string }, true>({
  before: Joi.string()
    .custom((day: string, helpers) => (isDay(day) ? day : helpers.message({ custom: '{{#label}} is no day of the calendar' })))
    .required()
    .label('The day'),
});

const notTheName = () => invalid([{ path: 'confirm', message: 'The name that was typed is not the athlete’s. Nothing was erased.' }]);

/** Erasing, and how long what is kept. */
export function keepingRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();
  const todayIn = ({ timeZone }: PracticeRow) => dayIn(timeZone, now());

  router.get('/keeping', async (_request, response) => {
    const { practice } = caller(response);
    const today = todayIn(practice);
    const { keeping, revision } = await keepingOf(pool, practice.id);
    const before = dueBefore(keeping.recordsMonths, today);
    const due = before === null ? { all: 0, records: [] } : await recordsBefore(pool, practice, before);
    response.json({
      keeping,
      revision,
      today,
      records: due.records.map(({ athleteId, name, birthDate, lastOn, came }) => ({
        athleteId,
        name,
        lastOn,
        keptUntil: keptUntil(keeping.law, { birthDate, lastOn: came ? lastOn : null }, today),
      })),
      recordsInAll: due.all,
      ...(await pastTheirPeriod(pool, practice.id, keeping, today)),
      kept: await keptRecords(pool, practice),
      backups: await backups(pool),
      erased: await erasedSoFar(pool, practice),
    } satisfies KeepingPage);
  });

  router.put('/keeping', async (request, response) => {
    const { practice } = caller(response);
    const { revision, ...keeping } = validate(keepingSchema, request.body);
    const written = await writeKeeping(pool, practice.id, revision, keeping);
    const after = await keepingOf(pool, practice.id);
    if (!written && (after.revision !== revision + 1 || !standsAlready(after.keeping, keeping)))
      throw stale('How long things are kept', after);
    response.json(after);
  });

  /** What erasing an athlete leaves, and where they still stand after it. */
  router.get('/athletes/:id/erasing', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const athlete = await athleteById(pool, practice.id, id);
    if (!athlete) throw notFound('This athlete');
    response.json({ ...(await whatStays(pool, practice, athlete, todayIn(practice))), backups: await backups(pool) });
  });

  /**
   * Erases an athlete. Their name has to be typed, and whether they have their copy said. What the law of the place keeps is put aside as a
   * file of its own, out of everybody’s sight; beside that only lines of the audit stay, which hold no content.
   */
  router.delete('/athletes/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice, name: by } = caller(response);
    const { confirm, copy } = validate(eraseSchema, request.body);
    const athlete = await athleteById(pool, practice.id, id);
    if (!athlete) throw notFound('This athlete');
    if (confirm.trim() !== athlete.name) throw notTheName();
    const keptUntil = await eraseOnWish(pool, practice, athlete, { by, copy }, now());
    response.json({ erased: true, keptUntil });
  });

  for (const [path, months_, erase] of [
    ['check-ins', 'checkInsMonths', eraseCheckInsBefore],
    ['loads', 'loadsMonths', eraseLoadsBefore],
    ['guests', 'guestsMonths', forgetGuests],
  ] as const) {
    /** Erases what is past its period; only what the period that is set names. */
    router.post(`/keeping/${path}`, async (request, response) => {
      const { practice } = caller(response);
      const { before } = validate(beforeSchema, request.body);
      const erased = await transaction(pool, async (db) => {
        const due = dueBefore((await keepingOf(db, practice.id)).keeping[months_], todayIn(practice));
        if (due === null || before > due)
          throw invalid([{ path: 'before', message: 'The period that is set does not reach so far. Nothing was erased.' }]);
        return erase(db, practice.id, before);
      });
      response.json({ erased });
    });
  }

  /** What the law keeps of somebody, as a file that can be read in again. */
  router.get('/keeping/kept/:id', async (request, response) => {
    const row = await firstRow<{ data: unknown; athleteId: string }>(
      pool,
      'SELECT data, athlete_id AS athleteId FROM kept_record WHERE id = ? AND practice_id = ?',
      [idFrom(request), caller(response).practice.id],
    );
    if (!row) throw notFound('This record');
    concerns(response, row.athleteId);
    response.attachment('kept-record.json').json(fromJson(row.data));
  });

  router.delete('/keeping/kept/:id', async (request, response) => {
    const { practice } = caller(response);
    const { confirm } = validate(nameSchema, request.body);
    const kept = await keptRecord(pool, practice, idFrom(request));
    if (!kept) throw notFound('This record');
    if (confirm.trim() !== kept.name) throw notTheName();
    if (kept.keepUntil >= todayIn(practice))
      throw new Problem('refused', `It has to stay until ${kept.keepUntil} (${kept.reason}). Nothing was erased.`);
    concerns(response, kept.athleteId);
    await change(pool, 'DELETE FROM kept_record WHERE id = ? AND practice_id = ?', [kept.id, practice.id]);
    response.json({ erased: true });
  });

  return router;
}
