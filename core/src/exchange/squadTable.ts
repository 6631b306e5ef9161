import Papa from 'papaparse';
import { checkBirthDate, LIMITS } from '../record/index.ts';
import type { AthleteFields } from '../record/index.ts';
import { placeIn, playedSports, sportNamed, sportWithRole, type AthleteSport, type Sport } from '../sport/index.ts';

/** One athlete of a squad's table. */
export interface SquadRow {
  readonly name: string;
  readonly birthDate: string;
  readonly referenceSex: AthleteFields['referenceSex'];
  readonly sports: AthleteFields['sports'];
  readonly coach: string;
  readonly about: string;
  /** Squads, by name. */
  readonly squads: readonly string[];
}

export const SQUAD_FIELDS = [
  { id: 'name', label: 'Name', required: true, known: ['name', 'full name', 'athlete', 'rower', 'surname and name'] },
  { id: 'birthDate', label: 'Birth date', required: true, known: ['birth date', 'date of birth', 'dob', 'born', 'birthday', 'birthdate'] },
  { id: 'referenceSex', label: 'Reference table', required: false, known: ['reference table', 'reference sex', 'sex', 'gender'] },
  { id: 'sport', label: 'Sport', required: false, known: ['sport', 'sports'] },
  { id: 'discipline', label: 'Discipline', required: false, known: ['discipline', 'discipline of sport'] },
  { id: 'role', label: 'Role', required: false, known: ['role', 'boat side', 'boat', 'side', 'rowing', 'oar', 'position'] },
  {
    id: 'leading',
    label: 'Leading side',
    required: false,
    known: ['leading side', 'dominant side', 'throwing arm', 'racket arm', 'kicking leg', 'dominant arm', 'dominant'],
  },
  { id: 'words', label: 'Sport in words', required: false, known: ['sport in words', 'seat', 'position', 'role'] },
  { id: 'coach', label: 'Coach', required: false, known: ['coach', 'trainer'] },
  { id: 'about', label: 'About', required: false, known: ['about', 'remarks', 'notes', 'comment'] },
  { id: 'squads', label: 'Squads', required: false, known: ['squads', 'squad', 'crew', 'team', 'group'] },
] as const satisfies readonly {
  readonly id: string;
  readonly label: string;
  readonly required: boolean;
  readonly known: readonly string[];
}[];

export type SquadField = (typeof SQUAD_FIELDS)[number]['id'];

/** Which column of the table holds which field; null where none does. */
export type ColumnMatch = Readonly<Record<SquadField, number | null>>;

/** Order of a date written with numbers only. */
export type DateOrder = 'ymd' | 'dmy' | 'mdy';

export interface RawTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly delimiter: string;
}

export interface RowProblem {
  /** 1-based, as a spreadsheet counts: the header is row 1. */
  readonly row: number;
  readonly field: SquadField;
  readonly message: string;
}

/**
 * Reads delimited text (RFC 4180; comma, semicolon, tab or bar; quotes; a byte-order mark; any line end).
 * Rows are cut or filled to the header's length; rows without any content are left out.
 * @example readTable('a;b\n1;2').delimiter // → ';'
 */
export function readTable(text: string): RawTable {
  const plain = text.replace(/^\uFEFF/, '');
  const { data, meta } = Papa.parse<string[]>(plain, {
    skipEmptyLines: 'greedy',
    delimiter: delimiterOf(plain),
    delimitersToGuess: DELIMITERS,
  });
  const [header = [], ...rows] = data;
  return {
    header: header.map((cell) => cell.trim()),
    rows: rows.map((row) => header.map((_, i) => (row[i] ?? '').trim())),
    delimiter: meta.delimiter,
  };
}

const DELIMITERS = [',', ';', '\t', '|'];

/** The delimiter under which most headings are known; empty, so that it is guessed from the cells, when none is. */
function delimiterOf(text: string): string {
  const known = (delimiter: string) =>
    Object.values(matchColumns(Papa.parse<string[]>(text, { delimiter, preview: 1, skipEmptyLines: 'greedy' }).data[0] ?? [])).filter(
      (column) => column !== null,
    ).length;
  const [best] = DELIMITERS.map((delimiter) => ({ delimiter, found: known(delimiter) })).sort((a, b) => b.found - a.found);
  return best!.found > 0 ? best!.delimiter : '';
}

/**
 * The likely column of each field, by its heading; each column is used once.
 * @example matchColumns(['DOB', 'Full name']).name // → 1
 */
export function matchColumns(header: readonly string[]): ColumnMatch {
  const plain = header.map((cell) =>
    cell
      .toLowerCase()
      .replace(/[_\-.:]+/g, ' ')
      .trim(),
  );
  const taken = new Set<number>();
  const find = (known: readonly string[]): number | null => {
    const i = plain.findIndex((cell, at) => !taken.has(at) && known.includes(cell));
    if (i < 0) return null;
    taken.add(i);
    return i;
  };
  return Object.fromEntries(SQUAD_FIELDS.map((field) => [field.id, find(field.known)])) as ColumnMatch;
}

/**
 * The order of day, month and year under which most dates of a column can be read; of equals the first of ymd, dmy,
 * mdy. One date that cannot be does not spoil the others.
 * @example guessDateOrder(['31.12.2001', '01.02.2003']) // → 'dmy'
 */
export function guessDateOrder(dates: readonly string[]): DateOrder {
  const read = (order: DateOrder) => dates.filter((date) => readDate(date, order) !== null).length;
  return (['ymd', 'dmy', 'mdy'] as const).reduce((best, order) => (read(order) > read(best) ? order : best));
}

/**
 * A date in the given order as `YYYY-MM-DD`, or null when it is none. A year has four digits: two are not guessed at.
 * @example readDate('3/4/2001', 'dmy') // → '2001-04-03'
 */
export function readDate(text: string, order: DateOrder): string | null {
  const parts = /^(\d{1,4})[-./ ](\d{1,2})[-./ ](\d{1,4})$/.exec(text.trim());
  if (!parts) return null;
  const [first, second, third] = [parts[1]!, parts[2]!, parts[3]!];
  const [year, month, day] = order === 'ymd' ? [first, second, third] : order === 'dmy' ? [third, second, first] : [third, first, second];
  if (year.length !== 4 || month.length > 2 || day.length > 2) return null;
  const iso = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  const date = new Date(`${iso}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(iso) ? iso : null;
}

const SEXES: Readonly<Record<string, SquadRow['referenceSex']>> = {
  female: 'female',
  f: 'female',
  w: 'female',
  woman: 'female',
  women: 'female',
  male: 'male',
  m: 'male',
  man: 'male',
  men: 'male',
  none: 'none',
  both: 'none',
  x: 'none',
  '': 'none',
};
const LEADING: Readonly<Record<string, AthleteSport['leading']>> = {
  left: 'left',
  l: 'left',
  right: 'right',
  r: 'right',
  both: null,
  none: null,
  unknown: null,
  '': null,
};

/**
 * What the columns about sport say together: several sports stand in one cell with semicolons, and the other cells follow their order.
 * A role that only one sport has names the sport. What no sport knows is kept in words.
 */
function sportsFrom(
  said: { readonly sport: string; readonly discipline: string; readonly role: string; readonly leading: string; readonly words: string },
  own: readonly Sport[],
): readonly AthleteSport[] | { readonly field: 'leading'; readonly message: string } {
  const parts = (cell: string) => cell.split(';').map((part) => part.trim());
  const [sports, disciplines, roles, leadings, words] = [said.sport, said.discipline, said.role, said.leading, said.words].map(parts);
  const found: AthleteSport[] = [];
  for (let i = 0; i < Math.max(sports!.length, roles!.length, words!.length); i++) {
    const [discipline = '', role = '', more = ''] = [disciplines![i], roles![i], words![i]];
    const leading = LEADING[(leadings![i] ?? '').toLowerCase()];
    if (leading === undefined) return { field: 'leading', message: `“${leadings![i]!.slice(0, 40)}” is neither left nor right.` };
    const named = sportNamed(sports![i] ?? '', own) ?? sportNamed(discipline, own);
    const whole = named ?? sportWithRole(role, own);
    const left = [discipline, role, more].filter((each) => each !== '' && each.toLowerCase() !== 'none');
    if (!whole) {
      // Nothing here is the name of a sport, discipline or role: it stays as it was said.
      const said = sportNamed(left.join(', '), own);
      if (said) found.push(said);
      continue;
    }
    const entry: AthleteSport = 'sportId' in whole ? whole : { sportId: whole.id, discipline: null, role: null, leading: null, words: '' };
    const { sport } = playedSports([entry], own)[0]!;
    const place = placeIn(sport, {
      discipline: entry.discipline === null ? discipline : '',
      role,
      words: [entry.words, more].filter(Boolean).join(', '),
    });
    found.push({
      ...entry,
      ...place,
      discipline: place.discipline ?? entry.discipline,
      leading: sport.leading === undefined ? null : leading,
    });
  }
  return found;
}

/**
 * Rows of a table as athletes. A row with a problem gives no athlete; every problem of every row is told with its
 * place, so that all can be mended at once. Somebody with the same name and birth date as a row above is a problem too.
 */
export function readSquad(
  table: RawTable,
  columns: ColumnMatch,
  order: DateOrder,
  today: string,
  ownSports: readonly Sport[] = [],
): { readonly rows: readonly (SquadRow & { readonly row: number })[]; readonly problems: readonly RowProblem[] } {
  const rows: (SquadRow & { row: number })[] = [];
  const problems: RowProblem[] = [];
  const seen = new Map<string, number>();
  table.rows.forEach((cells, i) => {
    const row = i + 2;
    const wrong: RowProblem[] = [];
    // What stands in a cell is one line, however it was broken in the spreadsheet.
    const cell = (field: SquadField) =>
      columns[field] === null
        ? ''
        : bare(cells[columns[field]] ?? '')
            .replace(/[\r\n\t\u2028\u2029]+/g, ' ')
            .trim();
    const check = (field: SquadField, message: string | null) => {
      if (message) wrong.push({ row, field, message });
    };

    const name = cell('name');
    check(
      'name',
      name === '' ? 'The name is missing.' : name.length > LIMITS.nameLength ? `A name has ${LIMITS.nameLength} letters at most.` : null,
    );
    const date = cell('birthDate');
    const birthDate = readDate(date, order);
    check(
      'birthDate',
      date === ''
        ? 'The birth date is missing.'
        : birthDate === null
          ? `“${date.slice(0, 40)}” is not a date of this order with a year of four digits.`
          : checkBirthDate(birthDate, today),
    );
    const referenceSex = SEXES[cell('referenceSex').toLowerCase()];
    check('referenceSex', referenceSex === undefined ? `“${cell('referenceSex').slice(0, 40)}” is none of female, male, none.` : null);
    const sports = sportsFrom(
      { sport: cell('sport'), discipline: cell('discipline'), role: cell('role'), leading: cell('leading'), words: cell('words') },
      ownSports,
    );
    if (isProblem(sports)) check(sports.field, sports.message);
    else {
      check('sport', sports.length > LIMITS.sports ? `${LIMITS.sports} sports at most.` : null);
      check('words', sports.some(({ words }) => words.length > LIMITS.sportWords) ? `${LIMITS.sportWords} letters at most.` : null);
    }
    for (const [field, most] of [
      ['coach', LIMITS.lineLength],
      ['about', LIMITS.aboutLength],
    ] as const)
      check(field, cell(field).length > most ? `${most} letters at most.` : null);
    const squads = [
      ...new Set(
        cell('squads')
          .split(/[;,|]/)
          .map((squad) => squad.trim())
          .filter(Boolean),
      ),
    ];
    check(
      'squads',
      squads.some((squad) => squad.length > LIMITS.squadName) ? `A squad's name has ${LIMITS.squadName} letters at most.` : null,
    );
    if (wrong.length === 0) {
      const who = personKey(name, birthDate!);
      const before = seen.get(who);
      if (before === undefined) seen.set(who, row);
      else check('name', `The same person stands in row ${before}.`);
    }
    if (wrong.length > 0) problems.push(...wrong);
    else
      rows.push({
        row,
        name,
        birthDate: birthDate!,
        referenceSex: referenceSex!,
        sports: sports as readonly AthleteSport[],
        coach: cell('coach'),
        about: cell('about'),
        squads,
      });
  });
  return { rows, problems };
}

const isProblem = (sports: ReturnType<typeof sportsFrom>): sports is { readonly field: 'leading'; readonly message: string } =>
  'field' in sports;

/**
 * What makes two rows the same person: the name without regard to case, accents and spaces, and the birth date.
 * @example personKey('  Zoë  BRAND', '2001-02-03') // → 'zoe brand/2001-02-03'
 */
export function personKey(name: string, birthDate: string): string {
  return `${name.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim()}/${birthDate}`;
}

/**
 * A squad as a table in the fields' own headings, with CRLF line ends. A cell that a spreadsheet would take for a
 * formula gets an apostrophe in front; reading it in again takes it off. Without the heading it goes on a table begun before.
 */
export function writeSquad(rows: readonly SquadRow[], { heading = true, ownSports = [] as readonly Sport[] } = {}): string {
  const lines = rows.map((row) => {
    const played = playedSports(row.sports, ownSports);
    const joined = (of: (each: (typeof played)[number]) => string) => {
      const cells = played.map(of);
      return cells.some(Boolean) ? cells.join('; ') : '';
    };
    const cells: Readonly<Record<SquadField, string>> = {
      ...row,
      sport: joined(({ sport }) => sport.name),
      discipline: joined(({ discipline }) => discipline?.name ?? ''),
      role: joined(({ role }) => role?.name ?? ''),
      leading: joined(({ leading }) => leading ?? ''),
      // A semicolon parts the sports of a cell.
      words: joined(({ words }) => words.replaceAll(';', ',')),
      squads: row.squads.join('; '),
    };
    return SQUAD_FIELDS.map(({ id }) => harmless(cells[id]));
  });
  return `${Papa.unparse([...(heading ? [SQUAD_FIELDS.map((field) => field.label)] : []), ...lines], { newline: '\r\n' })}\r\n`;
}

/**
 * What a spreadsheet may take for the beginning of a formula: the signs themselves, plain and wide, behind blanks, line ends and
 * separators, which some programs drop or split at before they look (OWASP, CSV injection; recalled from memory).
 */
const FORMULA =
  /^(?:[\s\u0000-\u001F\u200B-\u200F\u2060\uFEFF,;|"]*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20\u2212\uFE62\uFE63\uFE66\uFE6B]|[\t\r\n])/;
/** The same at the beginning of a later line of the cell, where a program that does not know quotes begins a new one. */
const FORMULA_LATER = /([\r\n])(?=[\s\u200B-\u200F\u2060\uFEFF,;|"]*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20\u2212\uFE62\uFE63\uFE66\uFE6B])/g;

/** Begins with a letter or a digit and has no second line: most cells of a long table need no closer look. */
const PLAIN = /^[A-Za-z0-9][^\r\n]*$/;

/**
 * A cell that no spreadsheet runs: an apostrophe stands before what could begin a formula, in its first line and in later ones.
 * @example harmless('=1+1') // → "'=1+1"
 */
export function harmless(cell: string): string {
  if (PLAIN.test(cell)) return cell;
  const later = cell.replace(FORMULA_LATER, "$1'");
  return FORMULA.test(cell) ? `'${later}` : later;
}

/** Takes the apostrophes of `harmless` off again. */
function bare(cell: string): string {
  const plain = cell.replace(/([\r\n])'/g, (whole, end: string, at: number) => (FORMULA.test(cell.slice(at + 2)) ? end : whole));
  return plain.startsWith("'") && FORMULA.test(plain.slice(1)) ? plain.slice(1) : plain;
}
