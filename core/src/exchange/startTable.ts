import { matchByHeading } from './columns.ts';
import { readTypedTime } from '../record/index.ts';
import { plainWords } from '../sport/index.ts';
import type { RawTable } from './squadTable.ts';

export const START_FIELDS = [
  { id: 'athlete', label: 'Athlete', required: true, known: ['athlete', 'name', 'full name', 'player', 'rower', 'runner', 'swimmer'] },
  { id: 'race', label: 'Race', required: true, known: ['race', 'event', 'heat', 'boat class', 'class', 'discipline'] },
  { id: 'call', label: 'Call', required: false, known: ['call', 'call time', 'call room', 'marshalling', 'boats on the water'] },
  { id: 'start', label: 'Start', required: true, known: ['start', 'start time', 'time', 'race time', 'gun'] },
] as const;
export type StartField = (typeof START_FIELDS)[number]['id'];
export type StartColumns = Readonly<Record<StartField, number | null>>;

export interface StartRowProblem {
  /** 1-based, as a spreadsheet counts: the header is row 1. */
  readonly row: number;
  readonly field: StartField;
  readonly message: string;
}

/** Somebody's start, as a list has it. */
export interface StartRow {
  readonly row: number;
  /** The one athlete of that name, or null: a name only. */
  readonly athleteId: string | null;
  readonly name: string;
  readonly race: string;
  /** Minutes of the day. */
  readonly callAt: number | null;
  readonly startAt: number;
}

/**
 * The column of each field: the heading that was its column the last time, or one that is known for it. Each column is used once.
 * @example matchStartColumns(['Name', 'Heat', 'Start time']).start // → 2
 */
export const matchStartColumns = (
  header: readonly string[],
  remembered: Readonly<Record<string, string | null>> | null = null,
): StartColumns => matchByHeading(START_FIELDS, header, remembered);

/**
 * Rows of a table as starts. Whoever's whole name is that of one athlete is that athlete, everybody else is a name only. A race has one call
 * and one start: a row that says otherwise than the rows before it is a problem, as is a row without a name, a race or a
 * start, or with a call after the start. A row with a problem gives no start; every problem is told with its place.
 */
export function readStarts(
  table: RawTable,
  columns: StartColumns,
  athletes: readonly { readonly id: string; readonly name: string }[],
): { readonly rows: readonly StartRow[]; readonly problems: readonly StartRowProblem[] } {
  const rows: StartRow[] = [];
  const problems: StartRowProblem[] = [];
  const races = new Map<string, StartRow>();
  const seen = new Set<string>();
  table.rows.forEach((cells, i) => {
    const row = i + 2;
    const cell = (field: StartField) => (columns[field] === null ? '' : (cells[columns[field]] ?? '').trim());
    const wrong: StartRowProblem[] = [];
    const say = (field: StartField, message: string) => wrong.push({ row, field, message });
    const [name, race] = [cell('athlete').replace(/\s+/g, ' '), cell('race').replace(/\s+/g, ' ')];
    if (name === '') say('athlete', 'There is no name.');
    if (race === '') say('race', 'There is no race.');
    const start = readTypedTime(cell('start'));
    const call = cell('call') === '' ? null : readTypedTime(cell('call'));
    if ('problem' in start) say('start', cell('start') === '' ? 'There is no start.' : start.problem);
    if (call && 'problem' in call) say('call', call.problem);
    const startAt = 'minute' in start ? start.minute : 0;
    const callAt = call && 'minute' in call ? call.minute : null;
    if (wrong.length === 0 && callAt !== null && callAt > startAt) say('call', 'The call is after the start.');
    const there = races.get(plainWords(race));
    if (wrong.length === 0 && there && (there.startAt !== startAt || there.callAt !== callAt))
      say('start', `${there.race} is at another time in row ${there.row}.`);
    const key = `${plainWords(name)} ${plainWords(race)}`;
    if (wrong.length === 0 && seen.has(key)) say('athlete', 'They are in this race already.');
    if (wrong.length > 0) return void problems.push(...wrong);
    seen.add(key);
    const same = athletes.filter((athlete) => plainWords(athlete.name) === plainWords(name));
    const made: StartRow = { row, athleteId: same.length === 1 ? same[0]!.id : null, name, race: there?.race ?? race, callAt, startAt };
    races.set(plainWords(race), there ?? made);
    rows.push(made);
  });
  return { rows, problems };
}
