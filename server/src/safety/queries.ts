import type { Override, Referral, ReferralFields, StopAnswers } from '@pace-bend/core/record';
import type { OverrideFields } from '@pace-bend/core/caution';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';

/** Every set of stop answers of a visit, oldest first. */
export async function answersOf(db: Db, visitId: string): Promise<StopAnswers[]> {
  const found = await rows<{ id: string; at: Date; by: string; answers: unknown; notAsked: string | null }>(
    db,
    'SELECT id, answered_at AS at, answered_by AS `by`, answers, not_asked AS notAsked FROM stop_answers WHERE visit_id = ? ORDER BY answered_at, id',
    [visitId],
  );
  return found.map((row) => ({ ...row, at: iso(row.at), answers: fromJson(row.answers) }));
}

export async function insertAnswers(
  db: Db,
  visitId: string,
  id: string,
  { answers, notAsked }: Pick<StopAnswers, 'answers' | 'notAsked'>,
  at: Date,
  by: string,
): Promise<void> {
  await change(db, 'INSERT INTO stop_answers (id, visit_id, answers, not_asked, answered_at, answered_by) VALUES (?, ?, ?, ?, ?, ?)', [
    id,
    visitId,
    JSON.stringify(answers),
    notAsked,
    at,
    by,
  ]);
}

/** What was set aside at a visit, oldest first. */
export async function overridesOf(db: Db, visitId: string): Promise<Override[]> {
  const found = await rows<Omit<Override, 'at'> & { at: Date }>(
    db,
    'SELECT id, rule_id AS ruleId, ground, motion_id AS motionId, side, reason, made_at AS at, made_by AS `by` FROM caution_override WHERE visit_id = ? ORDER BY made_at, id',
    [visitId],
  );
  return found.map((row) => ({ ...row, at: iso(row.at) }));
}

export async function insertOverride(db: Db, visitId: string, id: string, override: OverrideFields, at: Date, by: string): Promise<void> {
  await change(
    db,
    'INSERT INTO caution_override (id, visit_id, rule_id, ground, motion_id, side, reason, made_at, made_by) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [id, visitId, override.ruleId, override.ground, override.motionId, override.side, override.reason, at, by],
  );
}

export async function referralOf(db: Db, visitId: string): Promise<Referral | null> {
  const row = await firstRow<Omit<Referral, 'at'> & { at: Date }>(
    db,
    'SELECT referred_to AS `to`, seen, written_at AS at, written_by AS `by`, revision FROM referral WHERE visit_id = ?',
    [visitId],
  );
  return row && { ...row, at: iso(row.at) };
}

/** Writes a referral if it still has the named revision (0 for a new one); returns whether it had. */
export async function writeReferral(
  db: Db,
  visitId: string,
  revision: number,
  { to, seen }: ReferralFields,
  at: Date,
  by: string,
): Promise<boolean> {
  const touched =
    revision === 0
      ? await change(
          db,
          'INSERT IGNORE INTO referral (visit_id, referred_to, seen, written_at, written_by, revision) VALUES (?, ?, ?, ?, ?, 1)',
          [visitId, to, seen, at, by],
        )
      : await change(db, 'UPDATE referral SET referred_to = ?, seen = ?, revision = revision + 1 WHERE visit_id = ? AND revision = ?', [
          to,
          seen,
          visitId,
          revision,
        ]);
  return touched === 1;
}

/** Visits of an athlete that ended in a referral. */
export async function referredVisits(db: Db, athleteId: string): Promise<string[]> {
  return (
    await rows<{ id: string }>(db, 'SELECT f.visit_id AS id FROM referral f JOIN visit v ON v.id = f.visit_id WHERE v.athlete_id = ?', [
      athleteId,
    ])
  ).map((row) => row.id);
}
