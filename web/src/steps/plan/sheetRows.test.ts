import { BUILT_IN, compile, newBlock, SLOW_BREATH, type BlockPlan } from '@pace-bend/core/method';
import { sessionStrip } from '@pace-bend/core/session';
import { sheetRows, sheetType, sheetWatch, type SheetFacts } from './sheetRows.ts';

const block = (id: string, entryId: string, methodId: string, sides: BlockPlan['sides']): BlockPlan => ({
  ...newBlock(id, entryId, methodId, ['left'], BUILT_IN),
  sides,
});
const NOTHING: Pick<SheetFacts, 'cautions' | 'edgeOf'> = { cautions: new Map(), edgeOf: () => null };
const rowsOf = (blocks: readonly BlockPlan[], isMeasured = true, facts = NOTHING) => {
  const line = compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null });
  return sheetRows(sessionStrip({ blocks, line, isMeasured: () => isMeasured, shelf: BUILT_IN }), blocks, BUILT_IN, { line, ...facts });
};

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

test('each pass has its effort from the lightest to the hardest press, where the motion ends today, and what cautions leave of it', () => {
  const blocks = [
    block('b1', 'rectus-femoris-prone', 'cr-breath', [
      { side: 'left', rounds: 3 },
      { side: 'right', rounds: 1 },
    ]),
    block('b2', 'rectus-femoris-prone', 'static-hold', [{ side: 'left', rounds: 1 }]),
  ];
  const { cues } = compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null });
  const pressed = cues.filter((cue) => cue.blockIndex === 0 && cue.side === 'left' && cue.kind === 'contract').map((cue) => cue.effortPct!);
  const [least, most] = [Math.min(...pressed), Math.max(...pressed)];
  const NO_LIMITS = {
    cap: null,
    edgeShare: null,
    effortPct: null,
    painCeiling: null,
    grade: null,
    holdS: null,
    contractS: null,
    pressS: null,
  };
  const limited = { side: 'left', readSide: 'left', result: { cautions: [], limits: { ...NO_LIMITS, effortPct: 20 } }, blocking: [] };
  const rows = rowsOf(blocks, true, {
    cautions: new Map([['b1', [limited as never]]]),
    edgeOf: (_motionId, side) => (side === 'left' ? 101.5 : null),
  }).filter((row) => row.work);
  expect(rows.map((row) => row.work!.effort)).toEqual([
    least === most ? `${least} %` : `${least}–${most} %`,
    expect.stringMatching(/^\d+ %$/),
    null,
  ]);
  expect(rows.map((row) => row.work!.edge)).toEqual(['101.5°', null, '101.5°']);
  expect(rows.map((row) => row.work!.limits)).toEqual([['effort to 20 %'], [], []]);
});

test('type on the page for the wall is as large as one page lets it be, and never too small to be read', () => {
  const passes = (n: number) => {
    const blocks = Array.from({ length: n }, (_, i) =>
      block(`b${i}`, 'rectus-femoris-prone', 'cr-breath', [{ side: i % 2 ? 'left' : 'right', rounds: 1 }]),
    );
    return rowsOf(blocks);
  };
  expect(sheetType(passes(1), 1)).toBe(20);
  const sizes = [1, 4, 8, 12, 20, 60].map((n) => sheetType(passes(n), 1));
  expect([...sizes].sort((a, b) => b - a)).toEqual(sizes);
  expect(sizes.at(-1)).toBe(12.5);
});
