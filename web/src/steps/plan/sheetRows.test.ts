import { BUILT_IN, compile, newBlock, SLOW_BREATH, type BlockPlan } from '@pace-bend/core/method';
import { sessionStrip } from '@pace-bend/core/session';
import { sheetRows, sheetWatch } from './sheetRows.ts';

const block = (id: string, entryId: string, methodId: string, sides: BlockPlan['sides']): BlockPlan => ({
  ...newBlock(id, entryId, methodId, ['left'], BUILT_IN),
  sides,
});
const rowsOf = (blocks: readonly BlockPlan[], isMeasured = true) =>
  sheetRows(
    sessionStrip({
      blocks,
      line: compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null }),
      isMeasured: () => isMeasured,
      shelf: BUILT_IN,
    }),
    blocks,
    BUILT_IN,
  );

test('left, right, left: each pass with its own side and its own rounds', () => {
  const rows = rowsOf([
    block('b', 'rectus-femoris-prone', 'cr-breath', [
      { side: 'left', rounds: 2 },
      { side: 'right', rounds: 3 },
      { side: 'left', rounds: 1 },
    ]),
  ]).filter((row) => row.work);
  expect(rows.map((row) => [row.item.side, row.work!.rounds])).toEqual([
    ['left', 2],
    ['right', 3],
    ['left', 1],
  ]);
});

test('the same entry in two blocks keeps the rounds apart, and is watched for once', () => {
  const blocks = [
    block('b1', 'iliopsoas-prone', 'cr-breath', [{ side: 'left', rounds: 5 }]),
    block('b2', 'iliopsoas-prone', 'static-hold', [{ side: 'left', rounds: 1 }]),
    block('b3', 'still-hold', 'breath-sink', [{ side: 'midline', rounds: 1 }]),
  ];
  expect(
    rowsOf(blocks)
      .filter((row) => row.work)
      .map((row) => row.work!.rounds),
  ).toEqual([5, 1, 1]);
  expect(sheetWatch(blocks, BUILT_IN).map((entry) => entry.id)).toEqual(['iliopsoas-prone']);
});

test('what they are told to press stands only where they press', () => {
  const rows = rowsOf([
    block('b1', 'iliopsoas-prone', 'cr-breath', [{ side: 'left', rounds: 1 }]),
    block('b2', 'iliopsoas-prone', 'static-hold', [{ side: 'right', rounds: 1 }]),
  ]).filter((row) => row.work);
  expect(rows.map((row) => row.work!.told)).toEqual([BUILT_IN.entries.get('iliopsoas-prone')!.press, null]);
});

test('a position is named where it begins; opening, turns, measuring and close have their lines, changes of side have none', () => {
  const rows = rowsOf([
    block('b1', 'hip-circling', 'continuous-motion', [
      { side: 'left', rounds: 1 },
      { side: 'right', rounds: 1 },
    ]),
    block('b2', 'iliopsoas-prone', 'cr-breath', [{ side: 'left', rounds: 1 }]),
  ]);
  expect(rows.map((row) => row.item.kind)).not.toContain('side');
  expect(rows[0]!.item.kind).toBe('opening');
  expect(rows.at(-1)!.item.kind).toBe('close');
  rows.forEach((row, i) => expect(row.first).toBe(i === 0 || row.item.position !== rows[i - 1]!.item.position));
  expect(rows.filter((row) => row.item.kind === 'after')).toHaveLength(1);
  expect(rows.every((row) => (row.item.kind === 'block') === (row.work !== null))).toBe(true);
});

test('nothing planned: nothing to do and nothing to watch for', () => {
  expect(rowsOf([]).filter((row) => row.work)).toEqual([]);
  expect(sheetWatch([], BUILT_IN)).toEqual([]);
});
