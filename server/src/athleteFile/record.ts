import { rows, type Pool } from '../db/pool.ts';

/** Where an athlete's rows stand, by the name they have in the record. */
const PARTS = {
  athlete: 'SELECT * FROM athlete WHERE id = ?',
  conditions: 'SELECT * FROM athlete_condition WHERE athlete_id = ? ORDER BY created_at',
  noTouchAreas: 'SELECT * FROM no_touch_area WHERE athlete_id = ? ORDER BY since',
  squads: 'SELECT s.* FROM squad s JOIN squad_member m ON m.squad_id = s.id WHERE m.athlete_id = ? ORDER BY s.name',
  visits: 'SELECT * FROM visit WHERE athlete_id = ? ORDER BY starts_at',
  stopAnswers: 'SELECT s.* FROM stop_answers s JOIN visit v ON v.id = s.visit_id WHERE v.athlete_id = ? ORDER BY s.answered_at',
  overrides: 'SELECT o.* FROM caution_override o JOIN visit v ON v.id = o.visit_id WHERE v.athlete_id = ? ORDER BY o.made_at',
  referrals: 'SELECT f.* FROM referral f JOIN visit v ON v.id = f.visit_id WHERE v.athlete_id = ? ORDER BY f.written_at',
  readings: 'SELECT r.* FROM rom_reading r JOIN visit v ON v.id = r.visit_id WHERE v.athlete_id = ? ORDER BY r.taken_at',
  findings: 'SELECT f.* FROM finding f JOIN visit v ON v.id = f.visit_id WHERE v.athlete_id = ? ORDER BY f.found_at',
  goals: 'SELECT * FROM athlete_goal WHERE athlete_id = ? ORDER BY set_at',
  season: 'SELECT * FROM season_plan WHERE owner_id = ?',
  comparisons: 'SELECT * FROM way_comparison WHERE athlete_id = ? ORDER BY started_on',
  times: 'SELECT * FROM athlete_times WHERE athlete_id = ?',
  eventDays:
    "SELECT id, title, on_date FROM event_day WHERE JSON_SEARCH(data, 'one', ?, NULL, '$.starters[*].athleteId') IS NOT NULL ORDER BY on_date",
  events: 'SELECT * FROM calendar_event WHERE athlete_id = ? ORDER BY on_date',
  notAtEvents: 'SELECT event_id FROM event_not_at WHERE athlete_id = ?',
  checkIns: 'SELECT * FROM check_in WHERE athlete_id = ? ORDER BY on_date, entered_at',
  trainingLoads: 'SELECT * FROM training_load WHERE athlete_id = ? ORDER BY on_date, entered_at',
  readiness: 'SELECT k.* FROM readiness_kept k JOIN visit v ON v.id = k.visit_id WHERE v.athlete_id = ? ORDER BY k.accepted_at',
  readinessSetAside: 'SELECT s.* FROM readiness_aside s JOIN visit v ON v.id = s.visit_id WHERE v.athlete_id = ? ORDER BY s.made_at',
  plans: 'SELECT p.* FROM plan p JOIN visit v ON v.id = p.visit_id WHERE v.athlete_id = ?',
  planBlocks: 'SELECT b.* FROM plan_block b JOIN visit v ON v.id = b.visit_id WHERE v.athlete_id = ? ORDER BY b.visit_id, b.position',
  runs: 'SELECT r.* FROM run r JOIN visit v ON v.id = r.visit_id WHERE v.athlete_id = ? ORDER BY r.started_at',
  runEvents:
    'SELECT e.* FROM run_event e JOIN run r ON r.id = e.run_id JOIN visit v ON v.id = r.visit_id WHERE v.athlete_id = ? ORDER BY e.run_id, e.seq',
  notes: 'SELECT n.* FROM note n JOIN visit v ON v.id = n.visit_id WHERE v.athlete_id = ?',
  signedNotes: 'SELECT s.* FROM note_signature s JOIN visit v ON v.id = s.visit_id WHERE v.athlete_id = ? ORDER BY s.signed_at',
  noteAddenda: 'SELECT n.* FROM note_addendum n JOIN visit v ON v.id = n.visit_id WHERE v.athlete_id = ? ORDER BY n.written_at',
  homeSheets: 'SELECT h.* FROM home_sheet h JOIN visit v ON v.id = h.visit_id WHERE v.athlete_id = ?',
  homeAnswers: 'SELECT h.* FROM home_answers h JOIN visit v ON v.id = h.visit_id WHERE v.athlete_id = ?',
  audit: 'SELECT at, account_name, what FROM audit WHERE athlete_id = ? ORDER BY id',
} as const;

const JSON_COLUMNS = new Set([
  'sports',
  'sore',
  'reasons',
  'contacts',
  'medications',
  'beighton',
  'clearance',
  'consent',
  'answers',
  'trials',
  'numbers',
  'choices',
  'sides',
  'limits',
  'input',
  'edits',
  'items',
  'line',
  'data',
]);

/** Everything the database holds about an athlete, table by table, with the columns' own names. */
export async function wholeRecord(pool: Pool, athleteId: string): Promise<Record<keyof typeof PARTS, unknown[]>> {
  const parts = await Promise.all(
    Object.entries(PARTS).map(
      async ([name, sql]) => [name, (await rows<Record<string, unknown>>(pool, sql, [athleteId])).map(opened)] as const,
    ),
  );
  return Object.fromEntries(parts) as Record<keyof typeof PARTS, unknown[]>;
}

/** JSON columns as what they hold, not as text. */
function opened(row: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(row).map(([name, value]) => [name, JSON_COLUMNS.has(name) && typeof value === 'string' ? JSON.parse(value) : value]),
  );
}
