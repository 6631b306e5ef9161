import fc from 'fast-check';
import { compile, newBlock, SLOW_BREATH } from '../method/index.ts';
import { countedByHand, foldRun, paceWord, practiseResult, READY, type RunEvent } from './index.ts';

const line = compile([newBlock('b', 'calf-supine', 'crac', ['left'])], { breath: SLOW_BREATH, edgeOf: () => null });
const timed = line.cues.filter((cue) => !cue.open && cue.endMs > cue.startMs);

/** Goes through the line with a key at the end of each cue, so long after it began. */
function byHand(took: (index: number) => number): readonly RunEvent[] {
  let atMs = 0;
  return [
    { kind: 'start', atMs: 0 },
    ...line.cues.map((cue) => {
      atMs += took(cue.index);
      return { kind: 'go' as const, atMs };
    }),
  ];
}

test('a tenth of the time either way is on pace, and half a second at least', () => {
  expect([5400, 5500, 5501, 4500, 4499].map((took) => paceWord(5000, took))).toEqual([
    'on pace',
    'on pace',
    'too long',
    'on pace',
    'too short',
  ]);
  expect([33_000, 33_001, 27_000, 26_999].map((took) => paceWord(30_000, took))).toEqual(['on pace', 'too long', 'on pace', 'too short']);
});

test('counted by oneself, each phase takes what the hand took for it, shorter or longer than asked; the line itself is not touched', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 90_000 }), { minLength: line.cues.length, maxLength: line.cues.length }), (tooks) => {
      const state = foldRun(
        countedByHand(line),
        byHand((index) => tooks[index]!),
      );
      expect(state.status).toBe('finished');
      const { phases, kinds } = practiseResult(line, state, true);
      expect(phases.map(({ cue, tookMs, askedMs }) => [cue.index, tookMs, askedMs])).toEqual(
        timed.map((cue) => [cue.index, tooks[cue.index]!, cue.endMs - cue.startMs]),
      );
      // By name: the same phases, once each, and means that come to the same sums.
      expect(kinds.reduce((sum, kind) => sum + kind.count, 0)).toBe(timed.length);
      expect(kinds.reduce((sum, kind) => sum + kind.count * kind.tookMs, 0)).toBeCloseTo(
        timed.reduce((sum, cue) => sum + tooks[cue.index]!, 0),
        3,
      );
      expect(kinds.reduce((sum, kind) => sum + kind.onPace, 0)).toBe(phases.filter(({ word }) => word === 'on pace').length);
    }),
    { numRuns: 200 },
  );
  expect(line.cues.some((cue) => !cue.open)).toBe(true);
});

test('who ends early is told of the phases that were gone through; counted by the program no pace is claimed', () => {
  const some = byHand(() => 3000).slice(0, 5);
  const ended = foldRun(countedByHand(line), [...some, { kind: 'finish', atMs: 100_000 }]);
  const { phases } = practiseResult(line, ended, true);
  expect(phases.length).toBeGreaterThan(0);
  expect(phases.every(({ cue }) => cue.index < 4)).toBe(true);
  expect(practiseResult(line, ended, false).phases).toEqual([]);
  expect(practiseResult(line, READY, true)).toEqual({ phases: [], kinds: [], presses: [], offPlane: [] });
});

test('presses stand against the effort of their cue, and against nothing without a strongest press; leaving the plane is told once a kind', () => {
  const press = line.cues.find((cue) => cue.effortPct !== null)!;
  const heard = { atMs: 1, cueIndex: press.index, ms: 5000, insideMs: 4000, overMs: 1000, of: 'today' as const };
  const planes = [8, -12, 9].map((deg, i) => ({ atMs: i, cueIndex: press.index, deg, words: i === 2 ? 'lifting' : 'turning out' }));
  const known = practiseResult(line, { spans: [], efforts: [{ ...heard, n: 60, pct: press.effortPct! }], planes }, true);
  expect(known.presses).toEqual([{ cue: press, askedPct: press.effortPct, pct: press.effortPct, n: 60, word: 'good', inside: 0.8 }]);
  expect(known.offPlane).toEqual([
    { words: 'turning out', deg: 12, times: 2 },
    { words: 'lifting', deg: 9, times: 1 },
  ]);
  const unknown = practiseResult(line, { spans: [], efforts: [{ ...heard, n: 60, pct: null, of: null }], planes: [] }, true);
  expect(unknown.presses[0]).toMatchObject({ word: null, inside: null, pct: null });
});
