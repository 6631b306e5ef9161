import type { Visit } from '@pace-bend/core/record';
import { notFound, Problem } from '../app/problem.ts';
import type { PracticeRow } from '../access/sessions.ts';
import type { Db } from '../db/pool.ts';
import { visitById } from './queries.ts';

/** The visit of this practice, or a 404. */
export async function findVisit(db: Db, practice: PracticeRow, id: string): Promise<Visit> {
  const visit = await visitById(db, practice.id, id);
  if (!visit) throw notFound('This visit');
  return visit;
}

/** The visit if it can still be changed; a finished one has to be reopened first, a cancelled one restored. */
export async function findOpenVisit(db: Db, practice: PracticeRow, id: string): Promise<Visit> {
  const visit = await findVisit(db, practice, id);
  if (visit.finishedAt) throw new Problem('finished', 'This visit is finished. Reopen it to change it.');
  if (visit.cancelledAt) throw new Problem('cancelled', 'This visit is cancelled. Put it back on the day to change it.');
  return visit;
}
