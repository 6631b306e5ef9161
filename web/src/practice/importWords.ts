import type { RowLeft } from '@pace-bend/core/exchange';
import { t } from '../words/practice.ts';

/** The tables of a record in the words of the interface. */
const TABLES: Readonly<Record<string, string>> = {
  own_item: t('ownWaysEntriesSequences'),
  own_sport: t('ownSports2'),
  squad: 'squads',
  calendar_event: 'events',
  error_study: t('measuringErrorStudies'),
  season_plan: 'seasons',
  event_day: t('eventDays'),
  event_day_event: t('whatHappenedEventDays'),
  athlete: 'file',
  squad_member: t('squadsThey'),
  athlete_condition: 'conditions',
  no_touch_area: t('areasNotTouch'),
  athlete_goal: 'goals',
  athlete_times: 'times',
  event_not_at: t('eventsTheyNot'),
  way_comparison: t('comparisonsTwoWays'),
  check_in: 'check-ins',
  training_load: 'loads',
  visit: 'visits',
  stop_answers: t('answersStopQuestions'),
  caution_override: t('cautionsSetAside'),
  readiness_kept: 'readiness',
  readiness_aside: t('limitsSetAside'),
  referral: 'letters',
  rom_reading: 'readings',
  finding: 'findings',
  plan: 'plans',
  plan_block: t('blocksPlanned'),
  run: 'runs',
  run_event: t('stepsRuns'),
  home_sheet: t('sheetsHome'),
  home_answers: t('answersAboutHomeWork'),
  note: 'notes',
  note_signature: t('signedNotes'),
  note_addendum: 'addenda',
};

export const tableWords = (table: string): string => TABLES[table] ?? table;

/** Why rows are not taken in. */
export const WHY_LEFT: Readonly<Record<RowLeft['why'], string>> = {
  differs: t('standsHereOtherContent'),
  'place taken': t('somethingElseStandsPlace'),
  'belongs to nothing here': t('whatBelongsNotHere'),
};

/** How many, with thousands parted: 12 345. */
export const many = (count: number): string => count.toLocaleString('en-GB').replaceAll(',', '\u202f');
