import fc from 'fast-check';
import { compile, newBlock, SLOW_BREATH } from '../method/index.ts';
import { whatWasDone } from '../record/index.ts';
import {
  angleWord,
  applyEvent,
  effortBand,
  effortReached,
  effortWord,
  foldRun,
  NO_PRESSING,
  READY,
  RUN_EVENT_KINDS,
  isFromDevice,
  takePressing,
  UNDO_MS,
  type Pressing,
  type RunEvent,
} from './index.ts';

const heard = (samples: readonly { readonly tMs: number; readonly n: number }[], asked: number, maximum: number | null): Pressing =>
  samples.reduce((state, sample) => takePressing(state, sample, effortBand(asked), maximum), NO_PRESSING);
const steady = (n: number, ms: number, from = 0) => Array.from({ length: ms / 20 + 1 }, (_, i) => ({ tMs: from + i * 20, n }));

test('a band is a quarter of what is asked, and five percent of the strongest at least', () => {
  expect(effortBand(10)).toEqual({ lowPct: 5, highPct: 15 });
  expect(effortBand(40)).toEqual({ lowPct: 30, highPct: 50 });
  expect([4, 5, 15, 16].map((pct) => effortWord(pct, effortBand(10)))).toEqual(['more', 'good', 'good', 'too hard']);
});

test('a steady press: its mean, its percent, and all of its time inside or over', () => {
  expect(effortReached(heard(steady(60, 5000), 20, 300), 300)).toEqual({ n: 60, pct: 20, ms: 5000, insideMs: 5000, overMs: 0 });
  expect(effortReached(heard(steady(150, 5000), 20, 300), 300)).toMatchObject({ pct: 50, insideMs: 0, overMs: 5000 });
  // Without a test there are newtons, and nothing is inside anything.
  expect(effortReached(heard(steady(60, 5000), 20, null), null)).toEqual({ n: 60, pct: null, ms: 5000, insideMs: 0, overMs: 0 });
  expect(effortReached(heard(steady(60, 900), 20, 300), 300)).toBeNull();
});

test('what was not heard counts for nothing: a gauge that drops out and comes back', () => {
  const gone = [...steady(60, 2000), ...steady(60, 2000, 9000)];
  expect(effortReached(heard(gone, 20, 300), 300)).toMatchObject({ n: 60, ms: 4000, insideMs: 4000 });
});

test('by another count: a fading press, in closed form', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 90 }), fc.integer({ min: 10, max: 60 }), (from, to, asked) => {
      const ms = 6000;
      const samples = Array.from({ length: ms / 20 + 1 }, (_, i) => ({ tMs: i * 20, n: 3 * (from + ((to - from) * i * 20) / ms) }));
      const reached = effortReached(heard(samples, asked, 300), 300)!;
      expect(reached.n).toBeCloseTo((3 * (from + to)) / 2, -1);
      const { lowPct, highPct } = effortBand(asked);
      const [low, high] = [Math.min(from, to), Math.max(from, to)];
      const inside =
        low === high
          ? low >= lowPct && low <= highPct
            ? 1
            : 0
          : Math.max(0, Math.min(high, highPct) - Math.max(low, lowPct)) / (high - low);
      expect(Math.abs(reached.insideMs / ms - inside)).toBeLessThan(0.02);
    }),
  );
});

test('the limit is warned of before it is reached, whichever way the motion is read', () => {
  const word = (value: number, furthest: number | null, better: 'higher' | 'lower' = 'higher') =>
    angleWord({ value, planned: 80, furthest, better });
  expect([70, 84, 85, 90, 91].map((value) => word(value, 90))).toEqual([
    null,
    'past the plan',
    'near the limit',
    'near the limit',
    'past the limit',
  ]);
  expect([90, 82, 76, 75, 69].map((value) => word(value, 70, 'lower'))).toEqual([
    null,
    null,
    'past the plan',
    'near the limit',
    'past the limit',
  ]);
  expect(word(83, null)).toBeNull();
});

const line = compile([newBlock('b', 'calf-supine', 'cr-breath', ['left'])], {
  breath: SLOW_BREATH,
  edgeOf: () => ({ value: 60 }) as never,
});
const at = (atMs: number, kind: string, extra: object = {}) => ({ atMs, kind, ...extra }) as RunEvent;
const press = line.cues.find((cue) => cue.kind === 'contract')!;
const EFFORT = { n: 60, pct: 22, of: 'today', ms: 6000, insideMs: 4500, overMs: 0 };

test('what was reached stands with its round, and what the share inside was', () => {
  const events = [
    at(0, 'start'),
    at(0, 'go'),
    at(0, 'go'),
    ...Array.from({ length: press.index }, (_, i) => at(10 + i, 'next')),
    at(5000, 'effort', { cueIndex: press.index, ...EFFORT }),
    at(5001, 'plane', { deg: 14, words: 'limb has rolled 14°' }),
  ];
  const [side] = whatWasDone(line, foldRun(line, events));
  expect(side!.reached).toEqual([{ round: 1, n: 60, pct: 22, of: 'today', insidePct: 75 }]);
  expect(side!.offPlane).toEqual(['limb has rolled 14°']);
});

test('of a contraction that was never begun nothing is kept', () => {
  const begun = applyEvent(line, READY, at(0, 'start'));
  expect(applyEvent(line, begun, at(10, 'effort', { cueIndex: line.cues.length - 1, ...EFFORT })).efforts).toEqual([]);
  expect(applyEvent(line, begun, at(10, 'effort', { cueIndex: 9999, ...EFFORT })).efforts).toEqual([]);
  expect(applyEvent(line, READY, at(10, 'plane', { deg: 14, words: 'x' })).planes).toEqual([]);
});

test('devices and keys do not take one another back: a key undone leaves what was heard since, and the state is as had it not been pressed', () => {
  const keys = RUN_EVENT_KINDS.filter((kind) => ['next', 'again', 'discomfort', 'drift', 'brace', 'leave', 'more', 'edge'].includes(kind));
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 60_000 }),
      fc.constantFrom(...keys),
      fc.integer({ min: 0, max: UNDO_MS - 1000 }),
      fc.integer({ min: 0, max: 999 }),
      (before, kind, heardAfter, undoneAfter) => {
        const start = [at(0, 'start'), at(0, 'go'), at(0, 'go')];
        const key = at(before, kind, { score: 3, value: 64 });
        const say = [
          at(before + heardAfter, 'plane', { deg: 14, words: 'limb has rolled 14°' }),
          at(before + heardAfter, 'edge', { value: 61, by: 'device' }),
        ];
        const undo = at(before + heardAfter + undoneAfter, 'undo');
        const { undo: _a, ...undone } = foldRun(line, [...start, key, ...say, undo]);
        const { undo: _b, ...never } = foldRun(line, [...start, ...say, at(before + heardAfter + undoneAfter, 'beat')]);
        expect(undone).toEqual(never);
      },
    ),
    { numRuns: 300 },
  );
});

test('what a device says is no key', () => {
  expect(isFromDevice({ kind: 'edge', value: 1 })).toBe(false);
  expect(isFromDevice({ kind: 'edge', value: 1, by: 'device' })).toBe(true);
});
