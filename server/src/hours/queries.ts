import { usualHours, type HoursFile, type Therapist, type WeekHours } from '@pace-bend/core/week';
import { firstRow, fromJson, rows, type Db } from '../db/pool.ts';

export const therapistsOf = (db: Db, practiceId: string): Promise<Therapist[]> =>
  rows(db, "SELECT id, name FROM account WHERE practice_id = ? AND active AND role IN ('owner', 'therapist') ORDER BY created_at, id", [
    practiceId,
  ]);

/** Hours as they are kept, or the usual ones; whoever works here no more has none. */
export async function hoursOf(db: Db, practiceId: string): Promise<HoursFile> {
  const kept = await firstRow<{ hours: unknown; revision: number }>(
    db,
    'SELECT week_hours AS hours, week_hours_revision AS revision FROM practice WHERE id = ?',
    [practiceId],
  );
  const therapists = await therapistsOf(db, practiceId);
  if (kept!.hours === null) return { hours: usualHours(therapists.map(({ id }) => id)), revision: kept!.revision, set: false, therapists };
  const hours = fromJson<WeekHours>(kept!.hours);
  return {
    hours: { ...hours, therapists: hours.therapists.filter(({ accountId }) => therapists.some(({ id }) => id === accountId)) },
    revision: kept!.revision,
    set: true,
    therapists,
  };
}
