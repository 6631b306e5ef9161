import { randomInt } from 'node:crypto';
import { Router } from 'express';
import Joi from 'joi';
import { MOTIONS, motionOf } from '@pace-bend/core/body';
import { drawOrder, PAIRS, type Comparison, type ComparisonFields } from '@pace-bend/core/cycle';
import { shelfOf } from '@pace-bend/core/method';
import { caller } from '../access/guard.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { rows, snapshot, transaction, type Db, type Pool } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { pastBlocks } from '../done/past.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, notFound, Problem, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { itemsOf } from '../shelf/queries.ts';
import { comparisonsOf, endComparison, insertComparison, isRunning, shownComparison } from './queries.ts';

/** How far back what was done is looked at, in days: a comparison is over long before. */
const DAYS = 730;

const comparisonSchema = Joi.object<Wire<ComparisonFields>, true>({
  motionId: Joi.string()
    .valid(...MOTIONS.map(({ id }) => id))
    .required()
    .label('Motion'),
  side: Joi.string().valid('left', 'right', 'midline').required().label('Side'),
  entryId: Joi.string().max(60).required().label('Entry'),
  ways: Joi.array().ordered(Joi.string().max(60).required(), Joi.string().max(60).required()).length(2).unique().required().label('Ways'),
  pairs: Joi.number().integer().min(PAIRS.min).max(PAIRS.max).required().label('Pairs'),
});
const endSchema = Joi.object<{ revision: number }, true>({ revision: Joi.number().integer().min(1).required() });

/** Comparisons of two ways on one athlete: planned once with an order drawn by lot, shown visit by visit, ended early if wanted. */
export function comparisonRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();
  const list = async (db: Db, practice: PracticeRow, athleteId: string): Promise<{ comparisons: Comparison[] }> => {
    const blocks = await blocksUntilNow(db, athleteId, now());
    return { comparisons: (await comparisonsOf(db, athleteId)).map((each) => shownComparison(each, blocks, practice.timeZone)) };
  };

  router.get('/athletes/:id/comparisons', async (request, response) => {
    const { practice } = caller(response);
    response.json(await snapshot(pool, (db) => list(db, practice, idFrom(request))));
  });

  /** Plans one and draws its order; the same request again is answered with what stands. One runs at a time. */
  router.put('/athletes/:id/comparisons/:comparisonId', async (request, response) => {
    const { practice, name } = caller(response);
    const athleteId = idFrom(request);
    const id = idFrom(request, 'comparisonId');
    const sent = validate(comparisonSchema, request.body);
    const fields: ComparisonFields = { ...sent, ways: [sent.ways[0]!, sent.ways[1]!] };
    await requireDoable(pool, practice.id, fields);
    await transaction(pool, async (db) => {
      await rows(db, 'SELECT id FROM athlete WHERE id = ? FOR UPDATE', [athleteId]);
      const there = await comparisonsOf(db, athleteId, true);
      const same = there.find((each) => each.id === id);
      if (same) {
        const { motionId, side, entryId, ways, pairs } = same;
        if (JSON.stringify({ motionId, side, entryId, ways, pairs }) !== JSON.stringify({ ...fields }))
          throw stale('This comparison', null);
        return;
      }
      const blocks = await blocksUntilNow(db, athleteId, now());
      if (there.some((each) => isRunning(each, blocks, practice.timeZone)))
        throw new Problem('changed-meanwhile', 'A comparison of theirs runs already. End it first, or let it come to its end.');
      const drawn = drawOrder(fields.pairs, () => randomInt(2) === 0);
      await insertComparison(db, athleteId, id, fields, drawn, dayIn(practice.timeZone, now()), name);
    });
    response.json(await list(pool, practice, athleteId));
  });

  router.post('/athletes/:id/comparisons/:comparisonId/end', async (request, response) => {
    const { practice } = caller(response);
    const athleteId = idFrom(request);
    const id = idFrom(request, 'comparisonId');
    const { revision } = validate(endSchema, request.body);
    const done = await endComparison(pool, athleteId, id, revision, dayIn(practice.timeZone, now()));
    const after = await list(pool, practice, athleteId);
    const it = after.comparisons.find((each) => each.id === id);
    if (!it) throw notFound('This comparison');
    if (!done && it.endedOn === null) throw stale('This comparison', it);
    response.json(after);
  });

  return router;
}

const blocksUntilNow = (db: Db, athleteId: string, now: Date) =>
  pastBlocks(db, { athleteId, startsAt: new Date(now.getTime() + 86_400_000).toISOString() }, DAYS);

/** Refuses what cannot be compared: an entry or way that is not on the shelf, a side the motion has not. */
async function requireDoable(db: Db, practiceId: string, { motionId, side, entryId, ways }: ComparisonFields): Promise<void> {
  const shelf = shelfOf(await itemsOf(db, practiceId));
  const entry = shelf.entries.get(entryId);
  if (!entry) throw invalid([{ path: 'entryId', message: 'This entry is not on the shelf.' }]);
  if (entry.motionId !== motionId) throw invalid([{ path: 'motionId', message: 'This entry does not work on this motion.' }]);
  if (!motionOf(motionId).sides.includes(side)) throw invalid([{ path: 'side', message: 'This motion has no such side.' }]);
  const unknown = ways.findIndex((way) => !shelf.methods.has(way));
  if (unknown >= 0) throw invalid([{ path: `ways.${unknown}`, message: 'This way of working is not on the shelf.' }]);
}
