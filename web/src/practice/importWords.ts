import type { RowLeft } from '@pace-bend/core/exchange';

/** The tables of a record in the words of the interface. */
const TABLES: Readonly<Record<string, string>> = {
  own_item: 'own ways, entries and sequences',
  own_sport: 'own sports',
  squad: 'squads',
  calendar_event: 'events',
  error_study: 'measuring error studies',
  season_plan: 'seasons',
  event_day: 'event days',
  event_day_event: 'what happened at event days',
  athlete: 'file',
  squad_member: 'squads they are in',
  athlete_condition: 'conditions',
  no_touch_area: 'areas not to touch',
  athlete_goal: 'goals',
  athlete_times: 'times',
  event_not_at: 'events they are not at',
  way_comparison: 'comparisons of two ways',
  check_in: 'check-ins',
  training_load: 'loads',
  visit: 'visits',
  stop_answers: 'answers to the stop questions',
  caution_override: 'cautions set aside',
  readiness_kept: 'readiness',
  readiness_aside: 'limits set aside',
  referral: 'letters',
  rom_reading: 'readings',
  finding: 'findings',
  plan: 'plans',
  plan_block: 'blocks planned',
  run: 'runs',
  run_event: 'steps of runs',
  home_sheet: 'sheets for home',
  home_answers: 'answers about home work',
  note: 'notes',
  note_signature: 'signed notes',
  note_addendum: 'addenda',
};

export const tableWords = (table: string): string => TABLES[table] ?? table;

/** Why rows are not taken in. */
export const WHY_LEFT: Readonly<Record<RowLeft['why'], string>> = {
  differs: 'stands here with other content; it stays as it is here',
  'place taken': 'something else stands in its place here',
  'belongs to nothing here': 'what it belongs to is not here',
};

/** How many, with thousands parted: 12 345. */
export const many = (count: number): string => count.toLocaleString('en-GB').replaceAll(',', '\u202f');
