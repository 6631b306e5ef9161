import type { Goal, GoalFields } from '@pace-bend/core/record';
import { change, iso, rows, transaction, type Db, type Pool } from '../db/pool.ts';

/** The goals that stand, oldest first. */
export async function goalsOf(db: Db, athleteId: string): Promise<Goal[]> {
  const found = await rows<Omit<Goal, 'setAt'> & { setAt: Date }>(
    db,
    'SELECT id, motion_id AS motionId, side, value, by_date AS byDate, why, why_words AS whyWords, set_at AS setAt FROM athlete_goal WHERE athlete_id = ? AND withdrawn_at IS NULL ORDER BY set_at, id',
    [athleteId],
  );
  return found.map((row) => ({ ...row, setAt: iso(row.setAt) }));
}

/** Sets a goal in place of whatever stood for the motion and side. */
export async function setGoal(pool: Pool, athleteId: string, id: string, goal: GoalFields, at: Date): Promise<void> {
  await transaction(pool, async (db) => {
    await change(
      db,
      'INSERT INTO athlete_goal (id, athlete_id, motion_id, side, value, by_date, why, why_words, set_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
      [id, athleteId, goal.motionId, goal.side, goal.value, goal.byDate, goal.why, goal.whyWords, at],
    );
    await change(
      db,
      'UPDATE athlete_goal SET withdrawn_at = ? WHERE athlete_id = ? AND motion_id = ? AND side = ? AND id <> ? AND withdrawn_at IS NULL',
      [at, athleteId, goal.motionId, goal.side, id],
    );
  });
}

export async function withdrawGoal(db: Db, athleteId: string, id: string, at: Date): Promise<void> {
  await change(db, 'UPDATE athlete_goal SET withdrawn_at = ? WHERE athlete_id = ? AND id = ? AND withdrawn_at IS NULL', [
    at,
    athleteId,
    id,
  ]);
}
