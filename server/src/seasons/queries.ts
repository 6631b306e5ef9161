import type { PracticeRow } from '../access/sessions.ts';
import { EMPTY_PLAN, seasonDay, type SeasonDay, type SeasonFacts, type SeasonPlan } from '@pace-bend/core/season';
import { change, fromJson, rows, type Db } from '../db/pool.ts';
import { eventsOfAthlete, notAtOf } from '../events/queries.ts';

export interface KeptPlan {
  readonly ownerId: string;
  readonly plan: SeasonPlan;
  readonly revision: number;
}

/** The plans of some owners, by owner; `lock` keeps them until the transaction ends. */
export async function plansOf(db: Db, practiceId: string, ownerIds: readonly string[], lock = false): Promise<Map<string, KeptPlan>> {
  if (ownerIds.length === 0) return new Map();
  const found = await rows<{ ownerId: string; data: unknown; revision: number }>(
    db,
    `SELECT owner_id AS ownerId, data, revision FROM season_plan WHERE practice_id = ? AND owner_id IN (${ownerIds.map(() => '?').join(', ')}) ORDER BY owner_id${lock ? ' FOR UPDATE' : ''}`,
    [practiceId, ...ownerIds],
  );
  return new Map(
    found.map(({ ownerId, data, revision }) => [ownerId, { ownerId, revision, plan: { ...EMPTY_PLAN, ...fromJson<SeasonPlan>(data) } }]),
  );
}

/** Who of a practice has blocks laid out, by id. */
export async function laidOut(db: Db, practiceId: string): Promise<string[]> {
  return (
    await rows<{ id: string }>(
      db,
      "SELECT owner_id AS id FROM season_plan WHERE practice_id = ? AND JSON_LENGTH(data, '$.blocks') > 0 ORDER BY owner_id",
      [practiceId],
    )
  ).map(({ id }) => id);
}

/** Writes an owner's plan on the revision it was made on; returns whether it still had it. */
export async function writePlan(
  db: Db,
  practiceId: string,
  ownerId: string,
  revision: number,
  { blocks, stays, follows, rhythm }: SeasonPlan,
  at: Date,
  by: string,
): Promise<boolean> {
  const data = JSON.stringify({ blocks, stays, follows, rhythm });
  if (revision === 0)
    return (
      (await change(db, 'INSERT IGNORE INTO season_plan (owner_id, practice_id, data, changed_at, changed_by) VALUES (?, ?, ?, ?, ?)', [
        ownerId,
        practiceId,
        data,
        at,
        by,
      ])) === 1
    );
  return (
    (await change(
      db,
      'UPDATE season_plan SET data = ?, revision = revision + 1, changed_at = ?, changed_by = ? WHERE owner_id = ? AND practice_id = ? AND revision = ?',
      [data, at, by, ownerId, practiceId, revision],
    )) === 1
  );
}

export async function setNotAt(db: Db, practiceId: string, athleteId: string, eventIds: readonly string[]): Promise<void> {
  await change(db, 'DELETE FROM event_not_at WHERE athlete_id = ?', [athleteId]);
  if (eventIds.length > 0)
    await change(
      db,
      `INSERT INTO event_not_at (athlete_id, event_id) SELECT ?, id FROM calendar_event WHERE practice_id = ? AND id IN (${eventIds.map(() => '?').join(', ')})`,
      [athleteId, practiceId, ...eventIds],
    );
}

/** Everybody whose season an athlete could follow: their squads by name, and the whole practice. */
export async function couldFollow(db: Db, practice: PracticeRow, athleteId: string): Promise<{ id: string; name: string }[]> {
  const squads = await rows<{ id: string; name: string }>(
    db,
    'SELECT s.id, s.name FROM squad s JOIN squad_member m ON m.squad_id = s.id WHERE m.athlete_id = ? AND s.practice_id = ? ORDER BY s.name',
    [athleteId, practice.id],
  );
  return [...squads, { id: practice.id, name: 'everybody' }];
}

/** Whose season an athlete follows: the one that was chosen while they can, and otherwise the first that has a line. */
export function followedOf<T extends { readonly id: string }>(
  could: readonly T[],
  chosen: string | null,
  plans: ReadonlyMap<string, KeptPlan>,
): T | null {
  return could.find(({ id }) => id === chosen) ?? could.find(({ id }) => (plans.get(id)?.plan.blocks.length ?? 0) > 0) ?? null;
}

/** An athlete's season as it is known: what is followed, their own over it, and the events they are at. */
export async function seasonFactsOf(db: Db, practice: PracticeRow, athleteId: string): Promise<SeasonFacts> {
  const could = await couldFollow(db, practice, athleteId);
  const plans = await plansOf(db, practice.id, [...could.map(({ id }) => id), athleteId]);
  const own = plans.get(athleteId)?.plan ?? null;
  const followed = followedOf(could, own?.follows ?? null, plans);
  const away = new Set(await notAtOf(db, athleteId));
  return {
    followed: followed && { name: followed.name, plan: plans.get(followed.id)?.plan ?? EMPTY_PLAN },
    own,
    rules: practice.phases,
    events: (await eventsOfAthlete(db, practice.id, athleteId)).filter(({ id }) => !away.has(id)),
  };
}

export async function seasonDayOf(db: Db, practice: PracticeRow, athleteId: string, day: string): Promise<SeasonDay | null> {
  return seasonDay(await seasonFactsOf(db, practice, athleteId), day);
}
