import Papa from 'papaparse';
import { matchStartColumns, readStarts, readTable } from './index.ts';

const ATHLETES = [
  { id: 'a', name: 'Ann Rower' },
  { id: 'b', name: 'Bo Rower' },
  { id: 'c', name: 'Bo Rower' },
];
const read = (text: string, remembered: Record<string, string | null> | null = null) => {
  const table = readTable(text);
  return readStarts(table, matchStartColumns(table.header, remembered), ATHLETES);
};

test('a start list is read whatever its columns are called, and by what they were the last time', () => {
  expect(read('Start time;Heat;Name;Call\n10:20;Eights, heat 1;ann  rower;10.00\n2:30 pm;Final;Somebody Else;\n')).toEqual({
    rows: [
      { row: 2, athleteId: 'a', name: 'ann rower', race: 'Eights, heat 1', callAt: 600, startAt: 620 },
      { row: 3, athleteId: null, name: 'Somebody Else', race: 'Final', callAt: null, startAt: 870 },
    ],
    problems: [],
  });
  const remembered = { athlete: 'Who', race: 'What', call: null, start: 'Off' };
  expect(read('Who,What,Off\nAnn Rower,Four,9:15\n', remembered).rows).toMatchObject([{ name: 'Ann Rower', race: 'Four', startAt: 555 }]);
});

test('two athletes of one name are a name only; every problem is told at its row and field', () => {
  const { rows, problems } = read(
    [
      'Name,Race,Call,Start',
      'Bo Rower,Eights,10:00,10:20',
      ',Eights,10:00,10:20',
      'Ann Rower,,10:00,10:20',
      'Ann Rower,Eights,10:00,',
      'Ann Rower,Eights,10:00,10:30',
      'Ann Rower,Pair,11:00,10:30',
      'Ann Rower,Pair,soon,10:30',
      'bo rower,eights,10:00,10:20',
    ].join('\n'),
  );
  expect(rows).toEqual([{ row: 2, athleteId: null, name: 'Bo Rower', race: 'Eights', callAt: 600, startAt: 620 }]);
  expect(problems.map(({ row, field }) => `${row} ${field}`)).toEqual([
    '3 athlete',
    '4 race',
    '5 start',
    '6 start',
    '7 call',
    '8 call',
    '9 athlete',
  ]);
});

test('names with quotes and commas are read whole', () => {
  const list = Array.from({ length: 24 }, (_, i) => ({ Name: `Rower "${i}", the ${i}th`, Race: `Heat ${i % 5}`, Start: `1${i % 5}:05` }));
  expect(read(Papa.unparse(list)).rows.map(({ name, race, startAt }) => [name, race, startAt])).toEqual(
    list.map((each, i) => [each.Name, each.Race, (10 + (i % 5)) * 60 + 5]),
  );
});
