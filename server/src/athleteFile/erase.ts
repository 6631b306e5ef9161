import { forgetInEventDays } from '../eventDays/forget.ts';
import { forgetInStudies } from '../studies/queries.ts';
import { change, rows, transaction, type Db, type Pool } from '../db/pool.ts';

const VISITS = '(SELECT v.id FROM visit v WHERE v.athlete_id = ?)';

/** In the order in which nothing is left pointing at what is gone. */
const STATEMENTS = [
  `DELETE e FROM run_event e JOIN run r ON r.id = e.run_id WHERE r.visit_id IN ${VISITS}`,
  `DELETE FROM run WHERE visit_id IN ${VISITS}`,
  `DELETE FROM plan_block WHERE visit_id IN ${VISITS}`,
  `DELETE FROM plan WHERE visit_id IN ${VISITS}`,
  `DELETE FROM home_answers WHERE visit_id IN ${VISITS}`,
  `DELETE FROM home_sheet WHERE visit_id IN ${VISITS}`,
  `DELETE FROM note_addendum WHERE visit_id IN ${VISITS}`,
  `DELETE FROM note_signature WHERE visit_id IN ${VISITS}`,
  `DELETE FROM note WHERE visit_id IN ${VISITS}`,
  `DELETE FROM referral WHERE visit_id IN ${VISITS}`,
  `DELETE FROM caution_override WHERE visit_id IN ${VISITS}`,
  `DELETE FROM stop_answers WHERE visit_id IN ${VISITS}`,
  `DELETE FROM readiness_aside WHERE visit_id IN ${VISITS}`,
  `DELETE FROM readiness_kept WHERE visit_id IN ${VISITS}`,
];

const AFTER = [
  'DELETE FROM visit WHERE athlete_id = ?',
  'DELETE FROM training_load WHERE athlete_id = ?',
  'DELETE FROM check_in_link WHERE athlete_id = ?',
  'DELETE FROM calendar_link WHERE athlete_id = ?',
  'DELETE FROM event_not_at WHERE athlete_id = ?',
  'DELETE FROM calendar_event WHERE athlete_id = ?',
  'DELETE FROM season_plan WHERE owner_id = ?',
  'DELETE FROM athlete_times WHERE athlete_id = ?',
  'DELETE FROM way_comparison WHERE athlete_id = ?',
  'DELETE FROM athlete_goal WHERE athlete_id = ?',
  'DELETE FROM athlete_condition WHERE athlete_id = ?',
  'DELETE FROM no_touch_area WHERE athlete_id = ?',
  'DELETE FROM squad_member WHERE athlete_id = ?',
  'DELETE FROM athlete WHERE id = ?',
];

/** Removes everything about an athlete, all of it or nothing. `first` is done in the same transaction while it still stands. */
export async function eraseAthlete(
  pool: Pool,
  athleteId: string,
  first: (db: Db) => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  await transaction(pool, async (db) => {
    // Whoever adds to the file meanwhile waits for these rows, and then finds that there is none any more.
    await rows(db, 'SELECT id FROM athlete WHERE id = ? FOR UPDATE', [athleteId]);
    await rows(db, 'SELECT id FROM visit WHERE athlete_id = ? FOR UPDATE', [athleteId]);
    await first(db);
    for (const sql of STATEMENTS) await change(db, sql, [athleteId]);
    for (const table of ['rom_reading', 'finding'] as const) await eraseCorrected(db, table, athleteId);
    await eraseCheckIns(db, athleteId);
    await forgetInStudies(db, athleteId);
    await forgetInEventDays(db, athleteId);
    for (const sql of AFTER) await change(db, sql, [athleteId]);
  });
}

/** Corrections point at what they correct, so the latest ones go first. */
async function eraseCorrected(db: Db, table: 'rom_reading' | 'finding', athleteId: string): Promise<void> {
  const latest = `DELETE r FROM ${table} r LEFT JOIN ${table} later ON later.supersedes = r.id WHERE later.id IS NULL AND r.visit_id IN ${VISITS}`;
  while ((await change(db, latest, [athleteId])) > 0);
}

async function eraseCheckIns(db: Db, athleteId: string): Promise<void> {
  const latest = 'DELETE c FROM check_in c LEFT JOIN check_in later ON later.supersedes = c.id WHERE later.id IS NULL AND c.athlete_id = ?';
  while ((await change(db, latest, [athleteId])) > 0);
}
