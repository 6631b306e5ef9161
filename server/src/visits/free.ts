import { mostAtOnce } from '@pace-bend/core/week';
import type { PracticeRow } from '../access/sessions.ts';
import { firstRow, type Db } from '../db/pool.ts';
import { hoursOf } from '../hours/queries.ts';
import { visitsInSpan, type VisitInSpan } from './queries.ts';

/** A time that a visit would take. `therapistId`: null for whoever is there; left out, the one the visit has. */
export interface WantedTime {
  readonly id: string;
  readonly startsAt: Date;
  readonly minutes: number;
  readonly therapistId?: string | null;
}

/**
 * Visits in the way of another one; empty where there is room: nobody leads two at once, and no more lie at the same time than there are
 * tables and therapists. A visit nobody is named for is led by whoever has nothing else to do.
 */
export async function inTheWay(db: Db, practice: PracticeRow, { id, startsAt, minutes, therapistId }: WantedTime): Promise<VisitInSpan[]> {
  const taken = await visitsInSpan(db, practice.id, startsAt, minutes, id);
  if (taken.length === 0) return [];
  const { hours } = await hoursOf(db, practice.id);
  const who =
    therapistId !== undefined
      ? therapistId
      : ((await firstRow<{ therapistId: string | null }>(db, 'SELECT therapist_id AS therapistId FROM visit WHERE id = ?', [id]))
          ?.therapistId ?? null);
  const theirs = who === null ? [] : taken.filter((each) => each.therapistId === who);
  if (theirs.length > 0) return theirs;
  const spanOf = (from: Date, length: number) => {
    const fromMin = from.getTime() / 60_000;
    return { fromMin, toMin: fromMin + length };
  };
  const room = Math.max(1, Math.min(hours.tables, hours.therapists.length));
  const atOnce = mostAtOnce(
    taken.map((each) => spanOf(new Date(each.startsAt), each.minutes)),
    spanOf(startsAt, minutes),
  );
  return atOnce < room ? [] : taken;
}
