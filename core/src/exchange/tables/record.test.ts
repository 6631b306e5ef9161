import { parse } from 'csv-parse/sync';
import { findEntry } from '../../catalogue/index.ts';
import { BUILT_IN } from '../../method/index.ts';
import type { CheckIn } from '../../readiness/index.ts';
import type { Finding } from '../../finding/index.ts';
import type { Reading, Visit } from '../../record/index.ts';
import { SPORTS } from '../../sport/index.ts';
import {
  dataPackage,
  guessDateOrder,
  matchLoadColumns,
  readLoads,
  readTable,
  recordTables,
  RECORD_TABLES,
  type RecordRows,
  type TableWords,
} from '../index.ts';

/*
 * Read back by csv-parse, a general-purpose parser that has nothing to do with what writes them (RFC 4180), and held against the data dictionary
 * (Frictionless Data Package and Table Schema 1.0, specs.frictionlessdata.io; field types and keys recalled from memory).
 */
const running = SPORTS.find(({ id }) => id === 'running')!;
const words: TableWords = {
  nameOf: (id) => (id === 'gone' ? null : id === 'evil' ? '=cmd()' : 'A, the "owner"'),
  dayOf: (instant) => (instant === '2026-03-01T23:30:00.000Z' ? '2026-03-02' : instant.slice(0, 10)),
  shelf: BUILT_IN,
  athleteName: 'Long, Ada "A"',
  played: [{ sport: running, discipline: null, role: null, leading: null, words: '' }],
};
const reading = (more: Partial<Reading>): Reading => ({
  id: 'r1',
  visitId: 'v1',
  motionId: 'hip-extension-knee-bent',
  side: 'left',
  moment: 'before',
  mode: 'passive',
  instrument: 'goniometer',
  trials: [-5, -4.5, -4],
  value: -4.5,
  supersedes: null,
  takenAt: '2026-03-01T23:30:00.000Z',
  examinerId: 'evil',
  ...more,
});
const visit: Visit = {
  id: 'v1',
  athleteId: 'a',
  startsAt: '2026-03-01T23:30:00.000Z',
  minutes: 45,
  step: 'close',
  finishedAt: null,
  cancelledAt: null,
  eventDayId: null,
  revision: 1,
  complaint: 'Tight,\r\n"very"',
  complaintRegion: 'knee',
  complaintSide: 'left',
  complaintScore: 0,
  changed: '',
  trainingSince: '',
  trainingNext: '',
  minutesAvailable: 45,
  consent: null,
  consentWord: '',
  lookFirst: '',
};
const found = (more: object): Finding =>
  ({
    id: 'f1',
    visitId: 'v1',
    foundAt: '2026-03-02T08:00:00.000Z',
    foundBy: 'b',
    moment: 'before',
    supersedes: null,
    kind: 'force',
    subject: 'knee-flexors',
    side: 'left',
    data: { trialsN: [181.5, 203, 190] },
    ...more,
  }) as Finding;
const load = {
  onDate: '2026-03-01',
  kind: running.loadKinds[0]!.id,
  minutes: 60,
  exertion: 5.5,
  amount: 12_000,
  askedAfterMin: 20,
  planned: false,
};
const checkIn = (more: Partial<CheckIn>): CheckIn => ({
  id: '1',
  at: '2026-03-01T06:00:00.000Z',
  by: 'A, herself',
  supersedes: null,
  onDate: '2026-03-01',
  scale: 'four-items',
  answers: { sleep: 2, stress: 3, fatigue: 4, soreness: 5 },
  hoursSlept: 7.5,
  sore: [],
  ill: false,
  injured: null,
  travelled: true,
  training: 'part',
  rmssdMs: 61.2,
  ...more,
});
const block = {
  visitId: 'v1',
  startsAt: visit.startsAt,
  entryId: 'rectus-femoris-prone',
  methodId: 'static-hold',
  motionId: 'straight-leg-raise',
};
const rows: RecordRows = {
  visits: [
    visit,
    {
      ...visit,
      id: 'v2',
      complaint: '',
      complaintRegion: null,
      complaintScore: null,
      finishedAt: visit.startsAt,
      cancelledAt: visit.startsAt,
    },
  ],
  readings: [
    reading({}),
    reading({ id: 'r2', moment: 'after', examinerId: null, trials: [3], value: 3 }),
    reading({ id: 'r3', supersedes: 'r4', value: null, trials: [] }),
    reading({ id: 'r4', value: 99 }),
  ],
  findings: [
    found({}),
    found({ id: 'f2', kind: 'press', subject: 'leg-lift', data: { answer: 'late' }, foundBy: 'gone' }),
    found({ id: 'f3', supersedes: 'f4', data: null }),
    found({ id: 'f4' }),
  ],
  blocks: [
    {
      ...block,
      sides: [
        {
          side: 'left',
          rounds: 2,
          work: [
            { heldS: 20.04, workedS: 0, pressedS: 6, effortPct: 20 },
            { heldS: 22.4, workedS: 0, pressedS: 6, effortPct: 25 },
          ],
        },
        { side: 'right', rounds: 1 },
      ],
    },
    { ...block, sides: [{ side: 'left', rounds: 3, work: [] }] },
  ],
  loads: [
    load,
    { ...load, onDate: '2026-03-02', kind: running.loadKinds[1]!.id, minutes: 45, exertion: null, amount: null, askedAfterMin: null },
    { ...load, onDate: '2026-04-01', planned: true },
  ],
  checkIns: [
    checkIn({}),
    checkIn({
      id: '2',
      at: '2026-03-01T07:00:00.000Z',
      supersedes: '1',
      hoursSlept: 6,
      sore: [{ muscle: 'soleus', side: 'left', score: 4 }],
    }),
    checkIn({ id: '3', onDate: '2026-03-02', sore: null, ill: null }),
  ],
};
const tables = recordTables(rows, words);
const parsed = (id: (typeof RECORD_TABLES)[number]['id']) =>
  parse<Record<string, string>>(tables[id].csv(), { columns: true, record_delimiter: '\r\n' });

test('readings: those that stand, by the day where the practice is; a minus stays a number, a name that could be a formula does not run', () => {
  expect(tables.readings.csv().endsWith('\r\n')).toBe(true);
  expect(parsed('readings')).toMatchObject([
    {
      Day: '2026-03-02',
      Motion: 'Hip extension',
      Side: 'left',
      When: 'before work',
      Value: '-4.5',
      Unit: 'deg',
      Trials: '3',
      'Read by': "'=cmd()",
      Reading: 'r1',
      Visit: 'v1',
    },
    { When: 'after work', 'Read by': '', Reading: 'r2' },
  ]);
  expect(parsed('trials').map(({ Reading: of, Trial, Value }) => [of, Trial, Value])).toEqual([
    ['r1', '1', '-5'],
    ['r1', '2', '-4.5'],
    ['r1', '3', '-4'],
    ['r2', '1', '3'],
  ]);
});

test('visits: words with commas, quotes and line ends come back as they were; what was not asked is empty', () => {
  expect(parsed('visits')).toMatchObject([
    { Visit: 'v1', 'What brings them': 'Tight,\r\n"very"', Where: 'left knee', 'How bad (0–10)': '0', Cancelled: 'no', 'Finished at': '' },
    { Visit: 'v2', 'What brings them': '', Where: '', 'How bad (0–10)': '', Cancelled: 'yes' },
  ]);
});

test('findings that stand, in words; the best press as a number', () => {
  expect(parsed('findings')).toMatchObject([
    { About: 'Knee flexors', 'Strongest press (N)': '203', 'Tenderness (0–10)': '', 'Found by': 'A, the "owner"' },
    { About: 'Leg lift', Found: 'late', 'Strongest press (N)': '', 'Found by': '' },
  ]);
});

test('blocks: a row for each side, numbered within the visit; seconds that were not counted are empty, not nought', () => {
  expect(parsed('blocks')).toMatchObject([
    {
      Block: '1',
      Entry: findEntry('rectus-femoris-prone')!.name,
      Side: 'left',
      Rounds: '2',
      'At end range (s)': '42.4',
      'Pressed (s)': '12',
      'Effort (%)': '25',
    },
    { Block: '1', Side: 'right', Rounds: '1', 'At end range (s)': '', 'Effort (%)': '' },
    { Block: '2', Side: 'left', 'At end range (s)': '0', 'Effort (%)': '' },
  ]);
});

test('loads are read in again as they went out', () => {
  const table = readTable(tables.loads.csv());
  const columns = matchLoadColumns(table.header);
  const back = readLoads(
    table,
    columns,
    guessDateOrder(table.rows.map((row) => row[columns.date!]!)),
    [{ id: 'a', name: words.athleteName, kinds: running.loadKinds }],
    '2026-03-10',
  );
  expect(back.problems).toEqual([]);
  const plain = ({ onDate, kind, minutes, exertion, amount }: Omit<(typeof rows.loads)[number], 'planned'>) => ({
    onDate,
    kind,
    minutes,
    exertion,
    amount,
  });
  expect(back.rows.map(plain)).toEqual(rows.loads.slice(0, 2).map(plain));
});

test('check-ins: those that stand, one a day; what was not asked is empty, nothing sore is said', () => {
  const all = parsed('check-ins');
  expect(all).toHaveLength(2);
  expect(all[0]).toMatchObject({
    Day: '2026-03-01',
    'Entered by': 'A, herself',
    'Hours slept': '6',
    'Sore places (0–10)': 'soleus left 4',
    Ill: 'no',
    Injured: '',
    'Training today': 'part',
  });
  expect(Object.values(all[0]!).filter((cell) => ['2', '3', '4', '5'].includes(cell))).toHaveLength(4);
  expect(all[1]).toMatchObject({ 'Sore places (0–10)': '', Ill: '', 'rMSSD (ms)': '61.2' });
});

describe('the data dictionary', () => {
  interface Field {
    name: string;
    type: string;
    description: string;
    constraints?: { enum: string[] };
  }
  interface Resource {
    name: string;
    path: string;
    schema: {
      fields: Field[];
      missingValues: string[];
      primaryKey?: string;
      foreignKeys?: { fields: string; reference: { resource: string; fields: string } }[];
    };
  }
  const { resources } = dataPackage(tables, 'Record of Ada', '2026-11-29T10:00:00.000Z') as { resources: Resource[] };
  const FITS: Readonly<Record<string, RegExp>> = {
    string: /^[^]*$/,
    number: /^-?\d+(\.\d+)?$/,
    integer: /^-?\d+$/,
    boolean: /^(yes|no)$/,
    date: /^\d{4}-\d{2}-\d{2}$/,
    datetime: /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d+)?Z$/,
  };

  test('names every table and, in their order, every column of it, none twice', () => {
    expect(resources.map(({ name, path }) => [name, path])).toEqual(RECORD_TABLES.map(({ id }) => [id, `${id}.csv`]));
    for (const { id } of RECORD_TABLES) {
      const fields = resources.find(({ name }) => name === id)!.schema.fields.map(({ name }) => name);
      const [heading] = parse(tables[id].csv(), { record_delimiter: '\r\n' });
      expect([id, heading]).toEqual([id, fields]);
      expect(new Set(fields).size).toBe(fields.length);
    }
  });

  test('every cell is of the type and among the values that it says, and every column says what it is', () => {
    for (const { name, schema } of resources)
      for (const row of parsed(name as 'visits'))
        for (const { name: column, type, description, constraints } of schema.fields) {
          expect(description.length).toBeGreaterThan(4);
          const cell = row[column]!;
          if (schema.missingValues.includes(cell)) continue;
          expect([name, column, cell]).toEqual([name, column, expect.stringMatching(FITS[type]!)]);
          if (constraints) expect(constraints.enum).toContain(cell);
        }
  });

  test('keys are keys, and what refers to another table finds its row there', () => {
    let held = 0;
    for (const { name, schema } of resources) {
      const own = parsed(name as 'visits');
      if (schema.primaryKey) expect(new Set(own.map((row) => row[schema.primaryKey!])).size).toBe(own.length);
      for (const { fields, reference } of schema.foreignKeys ?? []) {
        const there = parsed(reference.resource as 'visits').map((row) => row[reference.fields]);
        for (const row of own) expect(there).toContain(row[fields]);
        held += own.length;
      }
    }
    expect(held).toBeGreaterThan(8);
  });
});
