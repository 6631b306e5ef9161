import fc from 'fast-check';
import Papa from 'papaparse';
import { SPORTS, type AthleteSport } from '../sport/index.ts';
import {
  guessDateOrder,
  harmless,
  matchColumns,
  personKey,
  readDate,
  readSquad,
  readTable,
  SQUAD_FIELDS,
  writeSquad,
  type SquadRow,
} from './index.ts';

const TODAY = '2026-11-25';
const read = (text: string) => {
  const table = readTable(text);
  const columns = matchColumns(table.header);
  const dates = table.rows.map((row) => row[columns.birthDate ?? 0] ?? '');
  return { table, columns, ...readSquad(table, columns, guessDateOrder(dates), TODAY) };
};

test('a byte-order mark, semicolons, quotes, bare line ends, short and empty rows', () => {
  const { table, rows, problems } = read(
    '\uFEFFName;Date of birth;Sex;Boat side;Squads\n"Brand; Zoë";14.03.2004;f;bow side;"Eight, Juniors"\n\n;;;;\nAda Long;1.2.2003;;sculls\n',
  );
  expect(table.delimiter).toBe(';');
  expect(problems).toEqual([]);
  expect(rows).toEqual([
    {
      row: 2,
      name: 'Brand; Zoë',
      birthDate: '2004-03-14',
      referenceSex: 'female',
      sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }],
      coach: '',
      about: '',
      squads: ['Eight', 'Juniors'],
    },
    {
      row: 3,
      name: 'Ada Long',
      birthDate: '2003-02-01',
      referenceSex: 'none',
      sports: [{ sportId: 'rowing', discipline: 'sculls', role: 'sculler', leading: null, words: '' }],
      coach: '',
      about: '',
      squads: [],
    },
  ]);
});

test('every problem of every row is told with its place, and the row gives nobody', () => {
  const { rows, problems } = read(
    'name,dob,sex,throwing arm\n,2001-02-30,q,up\nAnn,2001-02-03,f,right\nann ,2001-02-03,f,right\nOld One,1880-01-01,,\nNobody,,,\n',
  );
  expect(rows.map((row) => row.name)).toEqual(['Ann']);
  expect(problems.map(({ row, field }) => [row, field])).toEqual([
    [2, 'name'],
    [2, 'birthDate'],
    [2, 'referenceSex'],
    [2, 'leading'],
    [4, 'name'],
    [5, 'birthDate'],
    [6, 'birthDate'],
  ]);
  expect(problems[4]!.message).toBe('The same person stands in row 3.');
});

test('dates: the order that fits the whole column; a two-digit year is never guessed', () => {
  expect(guessDateOrder(['01/02/2001', '13/02/2001'])).toBe('dmy');
  expect(guessDateOrder(['01/02/2001', '02/13/2001'])).toBe('mdy');
  expect(guessDateOrder(['2001-02-03', ''])).toBe('ymd');
  // One impossible date does not turn the others round.
  expect(guessDateOrder(['14.03.2006', '31.02.2004', '2.11.2005'])).toBe('dmy');
  expect(guessDateOrder([])).toBe('ymd');
  expect(readDate('01/02/01', 'dmy')).toBeNull();
  expect(readDate('29.02.2001', 'dmy')).toBeNull();
  expect(readDate('2004/2/29', 'ymd')).toBe('2004-02-29');
});

// OWASP, CSV injection: cells that begin with = + - @ tab or carriage return. Recalled from memory.
test.each([
  '=HYPERLINK("http://x")',
  '+1',
  '-1',
  '@SUM(A1)',
  '\tx',
  '\rx',
  '＝1+1',
  '＋1',
  '－1',
  '＠SUM(A1)',
  ' =1',
  ';=1',
  '"=1',
  '\u200b=1',
  '−1',
])('a cell that begins like a formula is neutralised on the way out and comes back whole: %j', (cell) => {
  const row: SquadRow = {
    name: 'A',
    birthDate: '2001-02-03',
    referenceSex: 'none',
    sports: [],
    coach: cell,
    about: '',
    squads: [],
  };
  const out = Papa.parse<string[]>(writeSquad([row]), { delimiter: ',' }).data[1]!;
  expect(out[SQUAD_FIELDS.findIndex((field) => field.id === 'coach')]).toBe(harmless(cell));
  expect(read(writeSquad([row])).rows[0]!.coach).toBe(cell.trim());
});

test('a later line of a cell begins no formula either, and comes back as one line', () => {
  for (const cell of ['fine\n=1+1', 'a\r\n@SUM(A1)', 'a\n;=cmd', 'two\nlines', "it's\nfine"]) {
    const out = harmless(cell);
    for (const line of out.split(/\r\n|\r|\n/)) expect(line).not.toMatch(/^[\s;,"]*[=+\-@]/);
    expect(
      read(
        writeSquad([
          {
            name: 'A',
            birthDate: '2001-02-03',
            referenceSex: 'none',
            sports: [],
            coach: '',
            about: cell,
            squads: [],
          },
        ]),
      ).rows[0]!.about,
    ).toBe(cell.replace(/[\r\n]+/g, ' '));
  }
});

/** Any sport with a discipline, role and leading side that belong together, as a file would hold it. */
function anySport(word: fc.Arbitrary<string>): fc.Arbitrary<AthleteSport> {
  return fc
    .record({ sport: fc.constantFrom(...SPORTS), at: fc.nat(), side: fc.constantFrom('left', 'right', null), words: word })
    .map(({ sport, at, side, words }): AthleteSport => {
      const role = sport.roles.length > 0 && at % 2 === 0 ? sport.roles[at % sport.roles.length]! : null;
      const disciplines = role?.disciplines ?? sport.disciplines.map(({ id }) => id);
      return {
        sportId: sport.id,
        discipline: role?.disciplines || (disciplines.length > 0 && at % 3 === 0) ? disciplines[at % disciplines.length]! : null,
        role: role?.id ?? null,
        leading: sport.leading === undefined ? null : side,
        words: at % 5 === 0 ? words : '',
      };
    });
}

// Headings of tables that were written before sports were data.
test.each([
  ['stroke', 'sweep', 'stroke-side'],
  ['Starboard', 'sweep', 'bow-side'],
  ['sculls', 'sculls', 'sculler'],
  ['cox', null, 'cox'],
])('an old table’s boat side “%s” is a role of rowing, and its role stays in words', (said, discipline, role) => {
  const { rows, problems } = read(
    `Name,Birth date,Boat side,Sport,Role\nAnn,2001-02-03,${said},Rowing,seat 5\nBea,2001-02-04,${said},,\nCal,2001-02-05,none,Korfball,post\n`,
  );
  expect(problems).toEqual([]);
  expect(rows[0]!.sports).toEqual([{ sportId: 'rowing', discipline, role, leading: null, words: 'seat 5' }]);
  expect(rows[1]!.sports).toEqual([{ sportId: 'rowing', discipline, role, leading: null, words: '' }]);
  expect(rows[2]!.sports).toEqual([{ sportId: 'hand-ball-games', discipline: null, role: null, leading: null, words: 'post' }]);
});

test('a sport nobody knows is kept in words, and a thrower is not taken for a rower', () => {
  const { rows } = read('Name,Birth date,Sport,Throwing arm\nAnn,2001-02-03,Thrower,left\nBea,2001-02-04,Kite buggying,\n');
  expect(rows[0]!.sports).toEqual([{ sportId: 'throwing', discipline: null, role: null, leading: 'left', words: '' }]);
  expect(rows[1]!.sports).toEqual([{ sportId: 'other', discipline: null, role: null, leading: null, words: 'Kite buggying' }]);
});

test('whatever a squad holds, writing and reading it gives the same squad; no cell of the file begins a formula', () => {
  const word = fc
    .stringMatching(/^[A-Za-zÀ-ž0-9"',;=+\-@ .]{1,24}$/)
    .map((text) => text.trim())
    .filter((text) => text !== '' && !text.startsWith("'"));
  const anyRow: fc.Arbitrary<SquadRow> = fc.record({
    name: word,
    birthDate: fc.integer({ min: 0, max: 20_000 }).map((days) => new Date(Date.UTC(1960, 0, 1 + days)).toISOString().slice(0, 10)),
    referenceSex: fc.constantFrom('female', 'male', 'none'),
    sports: fc.array(anySport(word.map((text) => text.replaceAll(';', ',').trim()).filter((text) => !/^[,\s]*$/.test(text))), {
      maxLength: 3,
    }),
    coach: word,
    about: word,
    squads: fc.uniqueArray(word.map((text) => text.replace(/[,;|']/g, '').trim()).filter(Boolean), { maxLength: 3 }),
  });
  fc.assert(
    fc.property(fc.uniqueArray(anyRow, { minLength: 1, maxLength: 6, selector: (row) => personKey(row.name, row.birthDate) }), (rows) => {
      const text = writeSquad(rows);
      for (const cell of Papa.parse<string[]>(text, { delimiter: ',' }).data.flat()) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
      const back = read(text);
      expect(back.problems).toEqual([]);
      expect(back.rows.map(({ row: _row, ...rest }) => rest)).toEqual(rows);
    }),
    { numRuns: 300 },
  );
});

test('twenty thousand rows are read whole', () => {
  const text = `name;dob\n${Array.from({ length: 20_000 }, (_, i) => `Rower ${i};${1970 + (i % 40)}-05-0${1 + (i % 9)}`).join('\n')}`;
  expect(read(text).rows).toHaveLength(20_000);
});
