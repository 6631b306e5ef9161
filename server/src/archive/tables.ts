/** The tables whose rows stand in an archive, in the order in which nothing points at what is not there yet. */
export interface ArchiveTable {
  readonly name: string;
  readonly part: 'shared' | 'athlete';
  /** Which rows belong to the practice, or to the athlete, whose id is bound once. */
  readonly where: string;
  readonly order: string;
  /** The columns by which a row is the same row. */
  readonly key: readonly string[];
  /** Columns that name a row of another table, or of this one. */
  readonly refs: Readonly<Record<string, string>>;
  /** Those of them that a row can do without. */
  readonly loose?: readonly string[];
  /** How a row of it, `t`, leads to its practice; left out where its key is no id of its own. */
  readonly practiceOf?: string;
  /** Whether a row says itself whose practice it is of. */
  readonly ofPractice?: true;
}

const OF_VISIT = 'visit_id IN (SELECT id FROM visit WHERE athlete_id = ?)';
const BY_ATHLETE = 'SELECT t.id FROM {table} t JOIN athlete a ON a.id = t.athlete_id WHERE a.practice_id {is} ?';
const BY_VISIT =
  'SELECT t.id FROM {table} t JOIN visit v ON v.id = t.visit_id JOIN athlete a ON a.id = v.athlete_id WHERE a.practice_id {is} ?';
const BY_PRACTICE = 'SELECT t.id FROM {table} t WHERE t.practice_id {is} ?';

const ofAthlete = (name: string, order: string, more: Partial<ArchiveTable> = {}): ArchiveTable => ({
  name,
  part: 'athlete',
  where: 'athlete_id = ?',
  order,
  key: ['id'],
  refs: { athlete_id: 'athlete', ...more.refs },
  practiceOf: BY_ATHLETE,
  ...(more.key ? { key: more.key, practiceOf: undefined } : {}),
  ...(more.loose ? { loose: more.loose } : {}),
});
const ofVisit = (name: string, order: string, more: Partial<ArchiveTable> = {}): ArchiveTable => ({
  name,
  part: 'athlete',
  where: OF_VISIT,
  order,
  key: ['id'],
  practiceOf: BY_VISIT,
  ...(more.key ? { key: more.key, practiceOf: undefined } : {}),
  refs: { visit_id: 'visit', ...more.refs },
  ...(more.loose ? { loose: more.loose } : {}),
});
const shared = (name: string, order: string, more: Partial<ArchiveTable> = {}): ArchiveTable => ({
  name,
  part: 'shared',
  where: 'practice_id = ?',
  order,
  key: ['id'],
  refs: {},
  practiceOf: BY_PRACTICE,
  ofPractice: true,
  ...more,
});

export const ARCHIVE_TABLES: readonly ArchiveTable[] = [
  shared('own_item', 'made_at, id', { refs: { supersedes: 'own_item' } }),
  shared('own_sport', 'created_at, id'),
  shared('squad', 'name'),
  shared('calendar_event', 'on_date, id', {
    where: 'practice_id = ? AND athlete_id IS NULL',
    refs: { squad_id: 'squad', athlete_id: 'athlete' },
  }),
  shared('error_study', 'started_at, id'),
  shared('season_plan', 'owner_id', {
    where: 'practice_id = ? AND owner_id NOT IN (SELECT id FROM athlete)',
    key: ['owner_id'],
    refs: { owner_id: 'owner' },
    practiceOf: undefined,
  }),
  shared('event_day', 'on_date, id'),
  shared('event_day_event', 'arrived', {
    where: 'event_day_id IN (SELECT id FROM event_day WHERE practice_id = ?)',
    refs: { event_day_id: 'event_day' },
    ofPractice: undefined,
    practiceOf: 'SELECT t.id FROM {table} t JOIN event_day d ON d.id = t.event_day_id WHERE d.practice_id {is} ?',
  }),

  { ...ofAthlete('athlete', 'id'), where: 'id = ?', refs: {}, practiceOf: BY_PRACTICE, ofPractice: true },
  ofAthlete('squad_member', 'squad_id', { key: ['squad_id', 'athlete_id'], refs: { squad_id: 'squad' } }),
  ofAthlete('athlete_condition', 'created_at, id'),
  ofAthlete('no_touch_area', 'since, id'),
  ofAthlete('athlete_goal', 'set_at, id'),
  ofAthlete('athlete_times', 'athlete_id', { key: ['athlete_id'] }),
  { ...ofAthlete('calendar_event', 'on_date, id', { refs: { squad_id: 'squad' } }), practiceOf: BY_PRACTICE, ofPractice: true },
  ofAthlete('event_not_at', 'event_id', { key: ['athlete_id', 'event_id'], refs: { event_id: 'calendar_event' } }),
  {
    ...ofAthlete('season_plan', 'owner_id', { key: ['owner_id'] }),
    where: 'owner_id = ?',
    refs: { owner_id: 'athlete' },
    ofPractice: true,
  },
  ofAthlete('way_comparison', 'started_on, id'),
  ofAthlete('check_in', 'on_date, entered_at, id', { refs: { supersedes: 'check_in' } }),
  ofAthlete('training_load', 'on_date, entered_at, id'),
  ofAthlete('visit', 'starts_at, id', {
    refs: { therapist_id: 'account', event_day_id: 'event_day' },
    loose: ['therapist_id', 'event_day_id'],
  }),
  ofVisit('stop_answers', 'answered_at, id'),
  ofVisit('caution_override', 'made_at, id'),
  ofVisit('readiness_kept', 'visit_id', { key: ['visit_id'] }),
  ofVisit('readiness_aside', 'made_at, id'),
  ofVisit('referral', 'visit_id', { key: ['visit_id'] }),
  ofVisit('rom_reading', 'taken_at, id', { refs: { supersedes: 'rom_reading', examiner_id: 'account' }, loose: ['examiner_id'] }),
  ofVisit('finding', 'found_at, id', { refs: { supersedes: 'finding' } }),
  ofVisit('plan', 'visit_id', { key: ['visit_id'] }),
  ofVisit('plan_block', 'visit_id, position', { key: ['visit_id', 'position'], refs: { visit_id: 'plan' } }),
  ofVisit('run', 'started_at, id', { refs: { account_id: 'account' }, loose: ['account_id'] }),
  {
    name: 'run_event',
    part: 'athlete',
    where: 'run_id IN (SELECT r.id FROM run r JOIN visit v ON v.id = r.visit_id WHERE v.athlete_id = ?)',
    order: 'run_id, seq',
    key: ['run_id', 'seq'],
    refs: { run_id: 'run' },
    practiceOf:
      'SELECT t.id FROM {table} t JOIN run r ON r.id = t.run_id JOIN visit v ON v.id = r.visit_id JOIN athlete a ON a.id = v.athlete_id WHERE a.practice_id {is} ?',
  },
  ofVisit('home_sheet', 'visit_id', { key: ['visit_id'] }),
  ofVisit('home_answers', 'visit_id', { key: ['visit_id'], refs: { sheet_of: 'home_sheet' } }),
  ofVisit('note', 'visit_id', { key: ['visit_id'] }),
  ofVisit('note_signature', 'visit_id', { key: ['visit_id'], refs: { account_id: 'account' }, loose: ['account_id'] }),
  ofVisit('note_addendum', 'written_at, id', { refs: { visit_id: 'note_signature' } }),
];

/** Tables whose rows stand in no archive, and why. */
export const NOT_ARCHIVED: Readonly<Record<string, string>> = {
  practice: 'how this practice works; it goes out to be looked at, and is never read in',
  account: 'who signs in; names and roles go out, and nothing to sign in with',
  coach_squad: 'belongs to accounts',
  sign_in: 'who is signed in',
  known_device: 'belongs to accounts',
  sign_in_attempt: 'counts attempts',
  check_in_link: 'keys to pages',
  calendar_link: 'keys to pages',
  audit: 'what was done here; the lines about an athlete go out with their record, and are never read in',
  erased: 'who was erased, by an id',
  kept_record: 'what the law keeps of those who were erased; each goes out by itself',
  backup_made: 'the program’s own',
  lease: 'the program’s own',
  migration: 'the program’s own',
  migration_step: 'the program’s own',
};

/** Columns that are no part of a row: whose practice it is, what the database works out, and whether it is a sample. */
export const NOT_A_COLUMN = new Set(['practice_id', 'root_key', 'arrived', 'sample']);
