import Papa from 'papaparse';
import { SPORTS } from '../sport/index.ts';
import type { CheckIn } from '../readiness/index.ts';
import type { PastReading } from '../record/index.ts';
import { checkInsCsv, guessDateOrder, loadsCsv, matchLoadColumns, readingsCsv, readLoads, readTable } from './index.ts';

/** Read by a general-purpose parser, by heading. */
const parsed = (text: string) => Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
const running = SPORTS.find(({ id }) => id === 'running')!;
const played = [{ sport: running, discipline: null, role: null, leading: null, words: '' }];

const reading = (more: Partial<PastReading>): PastReading => ({
  visitId: 'v',
  startsAt: '2026-03-01T23:30:00.000Z',
  motionId: 'hip-extension-knee-bent',
  side: 'left',
  moment: 'before',
  instrument: 'goniometer',
  examinerId: 'e',
  trialCount: 3,
  value: -4.5,
  ...more,
});

test('readings: by the day where the practice is, a minus stays a number, a name that could be a formula does not run', () => {
  const text = readingsCsv(
    [reading({}), reading({ moment: 'after', examinerId: null })],
    () => '=cmd()',
    () => '2026-03-02',
  );
  expect(text.split('\r\n')).toHaveLength(4);
  expect(text.endsWith('\r\n')).toBe(true);
  expect(parsed(text)).toMatchObject([
    {
      Day: '2026-03-02',
      Motion: 'Hip extension',
      Side: 'left',
      When: 'before work',
      Value: '-4.5',
      Unit: 'deg',
      Trials: '3',
      'Read by': "'=cmd()",
    },
    { When: 'after work', 'Read by': '' },
  ]);
});

test('loads are read in again as they went out', () => {
  const loads = [
    { onDate: '2026-03-01', kind: running.loadKinds[0]!.id, minutes: 60, exertion: 5.5, amount: 12_000, askedAfterMin: 20, planned: false },
    {
      onDate: '2026-03-02',
      kind: running.loadKinds[1]!.id,
      minutes: 45,
      exertion: null,
      amount: null,
      askedAfterMin: null,
      planned: false,
    },
  ];
  const ahead = { ...loads[0]!, onDate: '2026-04-01', planned: true };
  const table = readTable(loadsCsv([...loads, ahead], 'Long, Ada "A"', played));
  const columns = matchLoadColumns(table.header);
  const back = readLoads(
    table,
    columns,
    guessDateOrder(table.rows.map((row) => row[columns.date!]!)),
    [{ id: 'a', name: 'Long, Ada "A"', kinds: running.loadKinds }],
    '2026-03-10',
  );
  expect(back.problems).toEqual([]);
  expect(
    back.rows.map(({ athleteId, onDate, kind, minutes, exertion, amount }) => ({ athleteId, onDate, kind, minutes, exertion, amount })),
  ).toEqual(loads.map(({ onDate, kind, minutes, exertion, amount }) => ({ athleteId: 'a', onDate, kind, minutes, exertion, amount })));
});

test('check-ins: those that stand, one a day; what was not asked is empty, nothing sore is said', () => {
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
  const found = parsed(
    checkInsCsv([
      checkIn({}),
      checkIn({
        id: '2',
        at: '2026-03-01T07:00:00.000Z',
        supersedes: '1',
        hoursSlept: 6,
        sore: [{ muscle: 'soleus', side: 'left', score: 4 }],
      }),
      checkIn({ id: '3', onDate: '2026-03-02', sore: null, ill: null }),
    ]),
  );
  expect(found).toHaveLength(2);
  expect(found[0]).toMatchObject({
    Day: '2026-03-01',
    'Entered by': 'A, herself',
    'Hours slept': '6',
    'Sore places (0–10)': 'soleus left 4',
    Ill: 'no',
    Injured: '',
  });
  expect(found[0]!['Training today']).toBe('part');
  expect(Object.values(found[0]!).filter((cell) => ['2', '3', '4', '5'].includes(cell))).toHaveLength(4);
  expect(found[1]).toMatchObject({ 'Sore places (0–10)': '', Ill: '', 'rMSSD (ms)': '61.2' });
});
