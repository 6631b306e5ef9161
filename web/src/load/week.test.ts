import { playedSports } from '@pace-bend/core/sport';
import type { TrainingLoad } from '@pace-bend/core/load';
import { cellsOf, changesOf, figuresOf, mondayOf, pastedCells } from './week.ts';

const kinds = playedSports([{ sportId: 'running', discipline: null, role: null, leading: null, words: '' }])[0]!.sport.loadKinds;
const load = (id: string, onDate: string, minutes: number, exertion: number | null, more: Partial<TrainingLoad> = {}): TrainingLoad => ({
  id,
  onDate,
  kind: 'easy-run',
  minutes,
  exertion,
  amount: null,
  askedAfterMin: null,
  planned: false,
  by: '',
  at: '',
  revision: 1,
  ...more,
});

test.each([
  ['2026-11-23', '2026-11-23'],
  ['2026-11-29', '2026-11-23'],
  ['2026-03-29', '2026-03-23'],
  ['2026-01-01', '2025-12-29'],
])('the week of %s begins on %s', (day, monday) => {
  expect(mondayOf(day)).toBe(monday);
});

const cell = (loads: readonly TrainingLoad[]) => cellsOf(loads, '2026-11-23', kinds)[1]!;

test('a cell holds its day: what was done as it is typed, what is planned apart', () => {
  const found = cell([
    load('a', '2026-11-24', 60, 7),
    load('b', '2026-11-24', 30, null, { kind: 'strength' }),
    load('c', '2026-11-24', 50, null, { planned: true }),
    load('d', '2026-11-25', 10, 1),
  ]);
  expect(found.text).toBe('60 7; Strength 30');
  expect(found.planned.map(({ id }) => id)).toEqual(['c']);
});

test('typing changes what changed and nothing else: over what stands, then new ones, and what is left goes out', () => {
  const two = cell([load('a', '2026-11-24', 60, 7), load('b', '2026-11-24', 30, 3)]);
  expect(changesOf(two, '60 7; 30 3', kinds)).toEqual([]);
  expect(changesOf(two, '60 7; 30 4; 20 2', kinds)).toEqual([
    { kind: 'write', fields: { kind: 'easy-run', minutes: 30, exertion: 4, amount: null }, over: two.done[1] },
    { kind: 'write', fields: { kind: 'easy-run', minutes: 20, exertion: 2, amount: null }, over: null },
  ]);
  expect(changesOf(two, '', kinds)).toEqual([
    { kind: 'take-out', id: 'a' },
    { kind: 'take-out', id: 'b' },
  ]);
  expect(changesOf(two, 'sixty', kinds)).toMatchObject({ message: expect.stringContaining('60 7') });
});

test('what is pasted comes apart as spreadsheets put it together', () => {
  expect(pastedCells('60 7\t\t"30 3; 20 1"\r\n\t45 5\t\r\n')).toEqual([
    ['60 7', '', '30 3; 20 1'],
    ['', '45 5', ''],
  ]);
});

test('a week that is not over ends today', () => {
  const loads = [load('a', '2026-11-16', 60, 5), load('b', '2026-11-24', 60, 5)];
  expect(figuresOf(loads, '2026-11-23', '2026-11-25').days.at(-1)!.on).toBe('2026-11-25');
  expect(figuresOf(loads, '2026-11-16', '2026-11-25').days.at(-1)!.on).toBe('2026-11-22');
});
