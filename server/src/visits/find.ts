import type { Visit } from '@pace-bend/core/record';
import { notFound, Problem } from '../http/problem.ts';
import type { PracticeRow } from '../access/sessions.ts';
import { rows, transaction, type Db, type Pool } from '../db/pool.ts';
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
  requireOpen(visit);
  return visit;
}

/** Refuses to change a visit that is finished or cancelled. */
export function requireOpen(visit: Pick<Visit, 'finishedAt' | 'cancelledAt'>): void {
  if (visit.finishedAt) throw new Problem('finished', 'This visit is finished. Reopen it to change it.');
  if (visit.cancelledAt) throw new Problem('cancelled', 'This visit is cancelled. Put it back on the day to change it.');
}

/**
 * Looks at an open visit and writes to it in one transaction. The practice is kept as it is and the visit and its athlete are locked
 * first, so that nothing that was checked can change before what was allowed by it is written: nobody finishes or cancels the visit, adds a
 * condition (its row points at the athlete's), or changes the scope in between.
 */
export async function inOpenVisit<T>(
  pool: Pool,
  practice: PracticeRow,
  id: string,
  work: (db: Db, visit: Visit) => Promise<T>,
): Promise<T> {
  return inVisit(pool, practice, id, async (db) => work(db, await findOpenVisit(db, practice, id)));
}

/** The same for a visit that may be finished or cancelled: what follows looks at that itself. */
export async function inVisit<T>(pool: Pool, practice: PracticeRow, id: string, work: (db: Db, visit: Visit) => Promise<T>): Promise<T> {
  return transaction(pool, async (db) => {
    await rows(db, 'SELECT id FROM practice WHERE id = ? LOCK IN SHARE MODE', [practice.id]);
    await rows(db, 'SELECT v.id FROM visit v JOIN athlete a ON a.id = v.athlete_id WHERE v.id = ? AND a.practice_id = ? FOR UPDATE', [
      id,
      practice.id,
    ]);
    return work(db, await findVisit(db, practice, id));
  });
}
