import type { ArchiveRow, ArchiveTables } from '../exchange/index.ts';

/** What of a record may have to stay when somebody wishes to be erased. */
export const KEPT_KINDS = [
  { id: 'treatment', name: 'Visits with what was asked, read, found, done, written and given to do at home' },
  { id: 'conditions', name: 'Conditions, areas not to touch and medication' },
  { id: 'days', name: 'Check-ins and loads' },
] as const;
export type KeptKind = (typeof KEPT_KINDS)[number]['id'];

/** What the law of the place asks: how long, of what, and where that stands. The practice says so; the program knows no law. */
export interface LawRule {
  /** So many years after the last visit. */
  readonly years: number;
  /** And at least until they are so old; null where age plays no part. */
  readonly untilAge: number | null;
  readonly kinds: readonly KeptKind[];
  /** What asks for it, as it is told to whoever wishes to be erased. */
  readonly reason: string;
}

/** What goes when nobody needs it any more, each after so many months; null for what stays. */
export interface Keeping {
  readonly law: LawRule | null;
  /** A whole record, after the last visit. */
  readonly recordsMonths: number | null;
  readonly checkInsMonths: number | null;
  readonly loadsMonths: number | null;
  /** Names of guests on event days, who have no file. */
  readonly guestsMonths: number | null;
}
export type DueKind = 'records' | 'checkIns' | 'loads' | 'guests';

/** Nothing is assumed: no law, and nothing goes by itself. */
export const NO_KEEPING: Keeping = { law: null, recordsMonths: null, checkInsMonths: null, loadsMonths: null, guestsMonths: null };

export const KEEPING_LIMITS = {
  years: { min: 1, max: 100 },
  untilAge: { min: 1, max: 100 },
  months: { min: 1, max: 1200 },
  reason: { min: 3, max: 300 },
} as const;

/** A record of somebody erased, of which the law keeps a part. */
export interface KeptRecord {
  readonly id: string;
  /** Whose it is, by the id they had. */
  readonly athleteId: string;
  readonly name: string;
  readonly birthDate: string;
  readonly erasedOn: string;
  readonly erasedBy: string;
  readonly keepUntil: string;
  readonly reason: string;
  readonly kinds: readonly KeptKind[];
}

/** What the page about keeping shows. */
export interface KeepingPage {
  readonly keeping: Keeping;
  readonly revision: number;
  readonly today: string;
  /** Records whose period is over, the longest first; at most two hundred. */
  readonly records: readonly {
    readonly athleteId: string;
    readonly name: string;
    readonly lastOn: string;
    readonly keptUntil: string | null;
  }[];
  readonly recordsInAll: number;
  /** How much of each kind is past its period, and since when. */
  readonly checkIns: { readonly count: number; readonly before: string } | null;
  readonly loads: { readonly count: number; readonly before: string } | null;
  readonly guests: { readonly count: number; readonly before: string } | null;
  /** What the law keeps of those who were erased. */
  readonly kept: readonly KeptRecord[];
  /** Backups in which whoever is erased today still stands, oldest first, and the day each goes; null where none is set. */
  readonly backups: readonly { readonly name: string; readonly madeAt: string; readonly goesOn: string | null }[];
  /** How many were erased, and when last. */
  readonly erased: { readonly count: number; readonly last: string | null };
}

/**
 * A day so many months later, or earlier for less than none; the last of the month where it has no such day.
 * @example addMonths('2024-02-29', 12) // → '2025-02-28'
 */
export function addMonths(day: string, months: number): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const first = new Date(Date.UTC(year, month - 1 + months, 1));
  const last = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 0)).getUTCDate();
  return new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth(), Math.min(date, last))).toISOString().slice(0, 10);
}

/**
 * Until which day, that day included, the law keeps a record; null where it does not, or no longer on `today`.
 * @example keptUntil({ years: 10, untilAge: 28, kinds: ['treatment'], reason: '' }, { birthDate: '2008-05-01', lastOn: '2020-01-31' }, '2026-11-29') // → '2036-05-01'
 */
export function keptUntil(
  law: LawRule | null,
  { birthDate, lastOn }: { readonly birthDate: string; readonly lastOn: string | null },
  today: string,
): string | null {
  // Whoever never came has no treatment to be kept.
  if (law === null || lastOn === null || law.kinds.length === 0) return null;
  const afterVisit = addMonths(lastOn, law.years * 12);
  const byAge = law.untilAge === null ? afterVisit : addMonths(birthDate, law.untilAge * 12);
  const until = afterVisit > byAge ? afterVisit : byAge;
  return until >= today ? until : null;
}

/**
 * Before which day what a period names is due; null without a period.
 * @example dueBefore(6, '2026-11-29') // → '2026-05-29'
 */
export function dueBefore(months: number | null, today: string): string | null {
  return months === null ? null : addMonths(today, -months);
}

const OF_KIND: Readonly<Record<KeptKind, readonly string[]>> = {
  treatment: [
    'visit',
    'stop_answers',
    'caution_override',
    'readiness_kept',
    'readiness_aside',
    'referral',
    'rom_reading',
    'finding',
    'plan',
    'plan_block',
    'run',
    'run_event',
    'home_sheet',
    'home_answers',
    'note',
    'note_signature',
    'note_addendum',
  ],
  conditions: ['athlete_condition', 'no_touch_area'],
  days: ['check_in', 'training_load'],
};
/** What of the file itself is nobody's treatment. */
const NOT_OF_THE_FILE = {
  about: '',
  build: '',
  preferences: '',
  coach: '',
  contacts: [],
  availability: 'full',
  available_until: null,
} as const;

/** The part of a record that stays: who it is of, and the kinds that are kept. */
export function keptTables(tables: ArchiveTables, kinds: readonly KeptKind[]): ArchiveTables {
  const names = new Set(kinds.flatMap((kind) => OF_KIND[kind]));
  const athlete = (tables.athlete ?? []).map((row): ArchiveRow => ({
    ...row,
    ...NOT_OF_THE_FILE,
    ...(kinds.includes('conditions') ? {} : { medications: [], beighton: null }),
  }));
  return { athlete, ...Object.fromEntries(Object.entries(tables).filter(([name]) => names.has(name))) };
}
