import { Router } from 'express';
import { unfinishedBecause, type Study } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, notFound, Problem, stale } from '../http/problem.ts';
import { putOnce, standsAlready } from '../db/once.ts';
import { validate } from '../http/validate.ts';
import type { Db, Pool } from '../db/pool.ts';
import { athleteById } from '../athletes/queries.ts';
import { dropStudy, examinersOf, finishStudy, insertStudy, studiesOf, studyById, updateStudy, useStudy, withinDay } from './queries.ts';
import { studyRevisionSchema, studySchema, useSchema, type SentStudy } from './schema.ts';

const YEAR_MS = 365 * 86_400_000;

/** Studies of the measuring error: how well examiners repeat themselves, how two instruments agree. */
export function studyRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/studies', async (_request, response) => {
    const { practice } = caller(response);
    const [studies, examiners] = await Promise.all([studiesOf(pool, practice.id), examinersOf(pool, practice.id)]);
    response.json({ studies, examiners });
  });

  /** The caller's own repeats of the last year. */
  router.get('/studies/within-day', async (_request, response) => {
    response.json({ rows: await withinDay(pool, caller(response).accountId, new Date(now().getTime() - YEAR_MS)) });
  });

  /** Begins a study (revision 0) or writes the values read so far. The same request again changes nothing. */
  router.put('/studies/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice, name } = caller(response);
    const { revision, ...fields } = validate(studySchema, request.body) as SentStudy;
    await requireOurs(pool, practice.id, fields);
    const before = await studyById(pool, practice.id, id);
    if (before?.finishedAt) throw new Problem('finished', 'This study is finished; its values stand.');
    if (revision === 0 && !before) {
      await putOnce({
        what: 'This study',
        find: () => studyById(pool, practice.id, id),
        same: (there) => standsAlready(there, fields),
        insert: () => insertStudy(pool, practice.id, id, fields, now(), name),
      });
    } else {
      if (!before) throw notFound('This study');
      requireSameDesign(before, fields);
      if (!(await updateStudy(pool, practice.id, id, revision, fields))) {
        const current = await studyById(pool, practice.id, id);
        if (!current) throw notFound('This study');
        if (current.revision !== revision + 1 || !standsAlready(current, fields)) throw stale('This study', current);
      }
    }
    response.json(await findStudy(pool, practice.id, id));
  });

  router.delete('/studies/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const study = await studyById(pool, practice.id, id);
    if (study?.finishedAt) throw new Problem('finished', 'A finished study is not dropped. Stop using it instead.');
    if (!study) throw notFound('This study');
    // Whoever finished it at the same instant was first: then it stays.
    if (!(await dropStudy(pool, practice.id, id)) && (await studyById(pool, practice.id, id)))
      throw new Problem('finished', 'A finished study is not dropped. Stop using it instead.');
    response.json({ studies: await studiesOf(pool, practice.id) });
  });

  router.post('/studies/:id/finish', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { revision } = validate(studyRevisionSchema, request.body);
    const study = await findStudy(pool, practice.id, id);
    if (!study.finishedAt) {
      const problem = unfinishedBecause(study);
      if (problem !== null) throw new Problem('not-complete', problem);
      if (!(await finishStudy(pool, practice.id, id, revision, now()))) {
        const current = await findStudy(pool, practice.id, id);
        if (!current.finishedAt) throw stale('This study', current);
      }
    }
    response.json(await findStudy(pool, practice.id, id));
  });

  /** Whether what came out is used from now on. */
  router.post('/studies/:id/use', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { revision, used } = validate(useSchema, request.body);
    const study = await findStudy(pool, practice.id, id);
    if (!study.finishedAt) throw new Problem('not-finished', 'Only a finished study can be used.');
    if (study.used !== used && !(await useStudy(pool, practice.id, id, revision, used))) {
      const current = await findStudy(pool, practice.id, id);
      if (current.used !== used) throw stale('This study', current);
    }
    response.json(await findStudy(pool, practice.id, id));
  });

  return router;
}

async function findStudy(db: Db, practiceId: string, id: string): Promise<Study> {
  const study = await studyById(db, practiceId, id);
  if (!study) throw notFound('This study');
  return study;
}

/** Examiners and athletes named have to be the practice's own. */
async function requireOurs(db: Db, practiceId: string, fields: Pick<Study, 'examinerIds' | 'subjects'>): Promise<void> {
  const examiners = new Set((await examinersOf(db, practiceId)).map((each) => each.id));
  if (!fields.examinerIds.every((id) => examiners.has(id.toLowerCase())))
    throw invalid([{ path: 'examinerIds', message: 'An examiner is not one of this practice.' }]);
  for (const id of new Set(fields.subjects.flatMap((subject) => subject.athleteId ?? []))) {
    if (!(await athleteById(db, practiceId, id.toLowerCase())))
      throw invalid([{ path: 'subjects', message: 'An athlete is not one of this practice.' }]);
  }
}

function requireSameDesign(
  before: Study,
  fields: Pick<Study, 'kind' | 'motionId' | 'instruments' | 'examinerIds' | 'trials' | 'subjects'>,
): void {
  const { kind, motionId, instruments, examinerIds, trials, subjects } = fields;
  if (!standsAlready(before, { kind, motionId, instruments, examinerIds, trials, subjects }))
    throw invalid([{ path: 'kind', message: 'What a study is of stays as it began. Begin another one.' }]);
}
