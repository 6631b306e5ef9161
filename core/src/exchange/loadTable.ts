import { matchByHeading } from './columns.ts';
import type { LoadFields } from '../load/index.ts';
import { LIMITS } from '../record/index.ts';
import { plainWords, type LoadKind } from '../sport/index.ts';
import { readDate, type DateOrder, type RawTable } from './squadTable.ts';

export const LOAD_FIELDS = [
  { id: 'athlete', label: 'Athlete', required: true, known: ['athlete', 'name', 'full name', 'player', 'rower', 'runner'] },
  { id: 'date', label: 'Day', required: true, known: ['date', 'day', 'session date', 'activity date'] },
  { id: 'kind', label: 'What', required: false, known: ['what', 'kind', 'type', 'session', 'activity', 'activity type', 'training'] },
  { id: 'minutes', label: 'Minutes', required: true, known: ['minutes', 'min', 'duration', 'duration min', 'time', 'moving time'] },
  { id: 'exertion', label: 'How hard', required: false, known: ['how hard', 'rpe', 'srpe', 'exertion', 'effort', 'intensity'] },
  {
    id: 'amount',
    label: 'Amount',
    required: false,
    known: ['amount', 'metres', 'meters', 'distance', 'distance m', 'throws', 'contacts', 'lifts'],
  },
] as const;
export type LoadField = (typeof LOAD_FIELDS)[number]['id'];
export type LoadColumns = Readonly<Record<LoadField, number | null>>;

export interface LoadRowProblem {
  /** 1-based, as a spreadsheet counts: the header is row 1. */
  readonly row: number;
  readonly field: LoadField;
  readonly message: string;
}

/** One row as it will be written. */
export interface LoadRow extends LoadFields {
  readonly row: number;
  readonly athleteId: string;
  /** Recognises the row when the same file is read again: what it says, and the how-manieth of its like it is. */
  readonly key: string;
}

/** Somebody a row can be about. */
export interface LoadPerson {
  readonly id: string;
  readonly name: string;
  readonly kinds: readonly LoadKind[];
}

/**
 * The column of each field: the heading that was its column the last time, or one that is known for it. Each column is used once.
 * @example matchLoadColumns(['Name', 'Date', 'RPE', 'Duration']).exertion // → 2
 */
export const matchLoadColumns = (
  header: readonly string[],
  remembered: Readonly<Record<string, string | null>> | null = null,
): LoadColumns => matchByHeading(LOAD_FIELDS, header, remembered);

/** Minutes as a number, or as hours and minutes with or without seconds; null for anything else. */
function minutesOf(text: string): number | null {
  const clock = /^(\d{1,2}):(\d{2})(?::(\d{2}))?$/.exec(text);
  if (clock) return Math.round(Number(clock[1]) * 60 + Number(clock[2]) + Number(clock[3] ?? 0) / 60);
  const value = Number(text.replace(',', '.'));
  return text !== '' && Number.isFinite(value) ? Math.round(value) : null;
}

/**
 * Rows of a table as sessions of training. A row with a problem gives none, and every problem of every row is told with its place. Who it
 * is has to be one athlete's whole name; two of the same name cannot be told apart and are a problem. A kind none of the athlete's sports
 * has is a problem; without a column for it, it is their first.
 */
export function readLoads(
  table: RawTable,
  columns: LoadColumns,
  order: DateOrder,
  people: readonly LoadPerson[],
  today: string,
): { readonly rows: readonly LoadRow[]; readonly problems: readonly LoadRowProblem[] } {
  const byName = new Map<string, LoadPerson[]>();
  for (const person of people) byName.set(plainWords(person.name), [...(byName.get(plainWords(person.name)) ?? []), person]);
  const rows: LoadRow[] = [];
  const problems: LoadRowProblem[] = [];
  const likes = new Map<string, number>();
  table.rows.forEach((cells, i) => {
    const row = i + 2;
    const wrong: LoadRowProblem[] = [];
    const cell = (field: LoadField) => (columns[field] === null ? '' : (cells[columns[field]] ?? '').trim());
    const check = (field: LoadField, message: string | null) => {
      if (message) wrong.push({ row, field, message });
    };
    const short = (text: string) => `“${text.slice(0, 40)}”`;
    const who = byName.get(plainWords(cell('athlete'))) ?? [];
    check(
      'athlete',
      cell('athlete') === ''
        ? 'Whose it is is missing.'
        : who.length === 0
          ? `${short(cell('athlete'))} is nobody here.`
          : who.length > 1
            ? `${short(cell('athlete'))} is the name of ${who.length} people here.`
            : null,
    );
    const [person] = who;
    const onDate = readDate(cell('date').split(/[T ]/)[0]!, order);
    check(
      'date',
      cell('date') === ''
        ? 'The day is missing.'
        : onDate === null
          ? `${short(cell('date'))} is not a date of this order.`
          : onDate > today
            ? 'The day is still to come.'
            : null,
    );
    const said = plainWords(cell('kind'));
    const kinds = person?.kinds ?? [];
    const kind =
      said === ''
        ? kinds[0]
        : (kinds.find((each) => plainWords(each.name) === said || plainWords(each.id) === said) ??
          kinds.find((each) => plainWords(each.name).startsWith(said)));
    if (person)
      check(
        'kind',
        kind
          ? null
          : kinds.length === 0
            ? `${person.name} has no sport with anything to train.`
            : `${short(cell('kind'))} is none of ${kinds.map((each) => each.name).join(', ')}.`,
      );
    const minutes = minutesOf(cell('minutes'));
    check(
      'minutes',
      minutes === null || minutes < LIMITS.loadMinutes.min || minutes > LIMITS.loadMinutes.max
        ? `Minutes from ${LIMITS.loadMinutes.min} to ${LIMITS.loadMinutes.max}, or hours as 1:05.`
        : null,
    );
    const exertion = cell('exertion') === '' ? null : Number(cell('exertion').replace(',', '.'));
    check(
      'exertion',
      exertion !== null && !(exertion >= 0 && exertion <= 10 && (exertion * 2) % 1 === 0)
        ? 'How hard lies between 0 and 10, in halves.'
        : null,
    );
    const amount = cell('amount') === '' ? null : Number(cell('amount').replace(/\s/g, '').replace(',', '.'));
    check(
      'amount',
      amount !== null && !(amount >= 0 && amount <= LIMITS.loadAmount.max) ? `A number up to ${LIMITS.loadAmount.max}.` : null,
    );
    if (wrong.length > 0) {
      problems.push(...wrong);
      return;
    }
    const like = [person!.id, onDate, kind!.id, minutes, exertion ?? '', amount ?? ''].join('/');
    const nth = (likes.get(like) ?? 0) + 1;
    likes.set(like, nth);
    rows.push({
      row,
      athleteId: person!.id,
      onDate: onDate!,
      kind: kind!.id,
      minutes: minutes!,
      exertion,
      amount,
      askedAfterMin: null,
      planned: false,
      key: `table/${onDate}/${kind!.id}/${minutes}/${exertion ?? ''}/${amount ?? ''}/${nth}`,
    });
  });
  return { rows, problems };
}
