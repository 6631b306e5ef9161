import type { SquadAnswer, SquadQuestion } from './squad.worker.ts';

const answers: SquadAnswer[] = [];
const scope = {
  onmessage: null as ((event: { data: SquadQuestion }) => void) | null,
  postMessage: (answer: SquadAnswer) => {
    answers.push(answer);
  },
};
Object.defineProperty(globalThis, 'self', { configurable: true, value: scope });
await import('./squad.worker.ts');

const TODAY = '2026-11-25';
function ask(question: SquadQuestion): SquadAnswer {
  scope.onmessage!({ data: question });
  return answers.at(-1)!;
}
const file = (text: string) =>
  ask({ kind: 'file', bytes: new TextEncoder().encode(text).buffer as ArrayBuffer, today: TODAY, ownSports: [] });

test('a file is read with its columns and its order of dates guessed, and read again as the columns are changed', () => {
  const first = file('Rower;DOB;Remarks\nZoë Brand;14.03.2004;tall\nAda Long;01.02.2003;\n');
  expect(first).toMatchObject({
    delimiter: ';',
    encoding: 'UTF-8',
    count: 2,
    order: 'dmy',
    columns: { name: 0, birthDate: 1, about: 2, coach: null },
    problems: [],
  });
  expect(first.rows.map((row) => [row.name, row.birthDate, row.about])).toEqual([
    ['Zoë Brand', '2004-03-14', 'tall'],
    ['Ada Long', '2003-02-01', ''],
  ]);
  const again = ask({ kind: 'again', columns: { ...first.columns, about: null, coach: 2 }, order: 'dmy', today: TODAY, ownSports: [] });
  expect(again.rows.map((row) => [row.about, row.coach])).toEqual([
    ['', 'tall'],
    ['', ''],
  ]);
  expect(
    ask({ kind: 'again', columns: first.columns, order: 'mdy', today: TODAY, ownSports: [] }).problems.map((each) => each.row),
  ).toEqual([2]);
});

test('a file without a name column gives nobody and says why in every row; an empty one gives nothing', () => {
  const answer = file('a,b\n1,2\n3,4\n');
  expect(answer.rows).toEqual([]);
  expect(answer.problems.filter((each) => each.field === 'name').map((each) => each.row)).toEqual([2, 3]);
  expect(file('')).toMatchObject({ header: [], count: 0, rows: [], problems: [] });
});
