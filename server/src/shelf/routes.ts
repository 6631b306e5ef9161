import { Router } from 'express';
import { checkOwnEntry, checkOwnWay, checkSteps, type BlockProblem } from '@pace-bend/core/method';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, notFound } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import type { Pool } from '../db/pool.ts';
import { insertItem, itemById, itemsOf, setRetired, shelfFor } from './queries.ts';
import { itemSchema, type SentItem } from './schema.ts';

/** The practice's own ways of working and entries: added, changed by a new version, taken off the shelf and put back. */
export function shelfRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /** What is wrong with an item. A sequence is held against everything the practice can plan with. */
  async function problemsOf(fields: SentItem['fields'], practiceId: string): Promise<BlockProblem[]> {
    if (fields.kind === 'way') return checkOwnWay(fields);
    if (fields.kind === 'entry') return checkOwnEntry(fields);
    const blocks = fields.steps.map((step, i) => ({ ...step, id: String(i) }));
    return checkSteps(fields.steps, await shelfFor(pool, practiceId, blocks));
  }

  router.get('/shelf', async (_request, response) => {
    response.json({ items: await itemsOf(pool, caller(response).practice.id) });
  });

  /** Adds an item, or a new version of one. The same request again is answered with what stands. */
  router.put('/shelf/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice, name } = caller(response);
    const asSent = validate(itemSchema, request.body) as SentItem;
    // Where it comes from stays with what was made of it, whoever changes it.
    const before = asSent.supersedes === null ? null : await itemById(pool, practice.id, asSent.supersedes);
    const origin = asSent.fields.origin ?? before?.fields.origin;
    const sent = origin ? { ...asSent, fields: { ...asSent.fields, origin } } : asSent;
    const problems = await problemsOf(sent.fields, practice.id);
    if (problems.length > 0) throw invalid(problems.map(({ path, message }) => ({ path: `fields.${path}`, message })));
    if (sent.supersedes !== null && (!before || before.fields.kind !== sent.fields.kind))
      throw invalid([{ path: 'supersedes', message: 'There is no such item to change.' }]);
    response.json(
      await putOnce({
        what: 'This item',
        find: () => itemById(pool, practice.id, id),
        same: (there) => standsAlready(there, sent),
        insert: () => insertItem(pool, practice.id, id, sent, now(), name),
      }),
    );
  });

  for (const [path, retired] of [
    ['retire', true],
    ['restore', false],
  ] as const) {
    router.post(`/shelf/:id/${path}`, async (request, response) => {
      const id = idFrom(request);
      const { practice } = caller(response);
      if (!(await itemById(pool, practice.id, id))) throw notFound('This item');
      await setRetired(pool, practice.id, id, retired ? now() : null);
      response.json(await itemById(pool, practice.id, id));
    });
  }

  return router;
}
