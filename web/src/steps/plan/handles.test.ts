import fc from 'fast-check';
import { compile, findMethod, METHODS, newBlock, sidesOf, SLOW_BREATH, type BlockPlan } from '@pace-bend/core/method';
import { ENTRIES } from '@pace-bend/core/catalogue';
import { layOutStair } from '../../parts/stair.ts';
import { handlesOf, snapped, withValue } from './handles.ts';

const drawn = (block: BlockPlan, edge = 10) => {
  const { cues, blocks } = compile([block], { breath: SLOW_BREATH, edgeOf: () => edge });
  const stair = layOutStair(cues, blocks[0]!.better, { width: 640, height: 280 });
  return { cues, stair, handles: handlesOf(block, findMethod(block.methodId)!, cues, stair) };
};

test('every value of a number has one handle, however often its phase comes again', () => {
  const { handles } = drawn(newBlock('b', 'rectus-femoris-prone', 'cr-breath', ['left']));
  expect(handles.filter((handle) => handle.kind === 'effort').map((handle) => [handle.label, handle.value])).toEqual([
    ['Effort, round 1', 20],
    ['Effort, round 2', 30],
    ['Effort, round 3', 40],
  ]);
  expect(handles.filter((handle) => handle.spec.id === 'contract')).toHaveLength(1);
  expect(handles.filter((handle) => handle.spec.id === 'gain').map((handle) => handle.index)).toEqual([0, 1, 2]);
  // What waits for the therapist has no length to drag.
  expect(handles.map((handle) => handle.spec.id)).not.toContain('setUp');
});

test('dragging an edge by as many pixels as ten seconds are wide asks for ten seconds more', () => {
  const block = { ...newBlock('b', 'rectus-femoris-prone', 'static-hold', ['left']), choices: { timing: 'fixed' } };
  const { handles, cues, stair } = drawn(block);
  const hold = handles.find((handle) => handle.spec.id === 'hold')!;
  const column = stair.columns.find((each) => each.index === cues.find((cue) => cue.kind === 'hold')!.index)!;
  expect(hold.x).toBeCloseTo(column.x + column.width, 6);
  expect(hold.value + (column.width / 2) * hold.perPx).toBeCloseTo(30, 6);
});

test('a tread dragged up by one unit’s height is one unit more, for a motion that counts down as well', () => {
  for (const [entryId, edge] of [
    ['rectus-femoris-prone', 10],
    ['quadriceps-heel-to-buttock', 12],
  ] as const) {
    const { handles, stair, cues } = drawn(newBlock('b', entryId, 'cr-breath', ['left']), edge);
    const tread = handles.find((handle) => handle.spec.id === 'gain')!;
    const height = Math.abs(stair.yAt(cues[5]!.edge) - stair.yAt(cues[5]!.edge + 1));
    expect(tread.perPx * height).toBeCloseTo(1, 6);
  }
});

test('what leads away from the edge grows downward', () => {
  const { handles } = drawn(newBlock('b', 'rectus-femoris-prone', 'cr-backoff', ['left']));
  expect(handles.find((handle) => handle.spec.id === 'short')!.perPx).toBeLessThan(0);
});

test('every way of working is drawn with handles inside the picture, and what they change can be run', () => {
  for (const method of METHODS) {
    const entry = ENTRIES.find((each) => each.ways.includes(method.id))!;
    const block = newBlock('b', entry.id, method.id, sidesOf(entry).slice(0, 1));
    const { handles } = drawn(block, 60);
    expect([method.id, handles.length > 0]).toEqual([method.id, true]);
    for (const handle of handles) {
      expect(handle.x).toBeGreaterThanOrEqual(0);
      expect(handle.x).toBeLessThanOrEqual(641);
      const changed = withValue(block, handle, snapped(handle.spec.max, handle.spec));
      expect(compile([changed], { breath: SLOW_BREATH, edgeOf: () => 60 }).cues.length).toBeGreaterThan(0);
    }
  }
});

test('what a caution holds lower says so, and still keeps what was planned', () => {
  const block: BlockPlan = {
    ...newBlock('b', 'rectus-femoris-prone', 'cr-breath', ['left']),
    limits: [
      {
        side: 'left',
        cap: null,
        edgeShare: null,
        effortPct: 30,
        painCeiling: null,
        grade: null,
        holdS: null,
        contractS: null,
        pressS: null,
      },
    ],
  };
  const efforts = drawn(block).handles.filter((handle) => handle.kind === 'effort');
  expect(efforts.map(({ value, heldAt }) => [value, heldAt])).toEqual([
    [20, null],
    [30, null],
    [40, 30],
  ]);
  // A caution of one side says nothing of the other.
  const other = drawn({ ...block, sides: [{ side: 'right', rounds: 3 }] }).handles.filter((handle) => handle.kind === 'effort');
  expect(other.map((handle) => handle.heldAt)).toEqual([null, null, null]);
});

test('snapping stays on the steps and between the bounds', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -500, max: 500, noNaN: true }),
      fc.constantFrom({ min: 2, max: 30, step: 1 }, { min: 5, max: 100, step: 5 }, { min: 0, max: 30, step: 0.5 }),
      fc.constantFrom(1, 5),
      (value, spec, steps) => {
        const to = snapped(value, spec, steps);
        expect(to).toBeGreaterThanOrEqual(spec.min);
        expect(to).toBeLessThanOrEqual(spec.max);
        const inside = value > spec.min + spec.step * steps && value < spec.max - spec.step * steps;
        if (inside) expect(Math.abs(to - value)).toBeLessThanOrEqual((spec.step * steps) / 2 + 1e-9);
      },
    ),
  );
});
