import fc from 'fast-check';
import { findEntry } from '../catalogue/index.ts';
import { motionOf, type Side } from '../body/index.ts';
import { anyBlock, anyBreath } from '../testing/arbitraries.ts';
import { compile, findMethod, newBlock, type BlockPlan, type SideLimits } from './index.ts';

const anyLimits = (side: Side): fc.Arbitrary<SideLimits> =>
  fc.record({
    side: fc.constant(side),
    cap: fc.option(fc.integer({ min: 0, max: 120 })),
    edgeShare: fc.option(fc.double({ min: 0.5, max: 1, noNaN: true })),
    effortPct: fc.option(fc.integer({ min: 0, max: 100 })),
    painCeiling: fc.option(fc.integer({ min: 0, max: 10 })),
    grade: fc.option(fc.integer({ min: 1, max: 4 })),
    holdS: fc.option(fc.integer({ min: 2, max: 60 })),
    contractS: fc.option(fc.integer({ min: 0, max: 60 })),
    pressS: fc.option(fc.integer({ min: 0, max: 200 })),
  });

test('whatever the numbers say, no cue goes past what its side is allowed; a side without limits runs as before', () => {
  fc.assert(
    fc.property(anyBlock, anyBreath, fc.integer({ min: 0, max: 140 }), (block, breath, edge) => {
      const side = block.sides[0]!.side;
      return fc.assert(
        fc.property(anyLimits(side), (limits) => {
          const motion = motionOf(findEntry(block.entryId)!.motionId);
          const limited: BlockPlan = { ...block, limits: [limits] };
          const edgeOf = () => edge;
          const line = compile([limited], { breath, edgeOf });
          for (const cue of line.cues.filter((each) => each.side === side)) {
            expect(cue.painCeiling).toBeLessThanOrEqual(limits.painCeiling ?? 10);
            if (cue.effortPct !== null && limits.effortPct !== null) expect(cue.effortPct).toBeLessThanOrEqual(limits.effortPct);
            if (cue.furthest === null) continue;
            const up = motion.better === 'higher' || findMethod(block.methodId)!.axis === 'pressure';
            const beyond = up ? Math.max(cue.to, cue.edge) - cue.furthest : cue.furthest - Math.min(cue.to, cue.edge);
            expect(beyond).toBeLessThanOrEqual(1e-9);
            if (findMethod(block.methodId)!.axis === 'pressure') expect(cue.to).toBeLessThanOrEqual(limits.painCeiling ?? 10);
            else if (motion.better === 'higher' && limits.cap !== null) expect(cue.to).toBeLessThanOrEqual(limits.cap);
          }
          const free = compile([block], { breath, edgeOf });
          const plain = (cues: typeof line.cues) =>
            cues
              .filter((each) => each.side !== side)
              .map(({ kind, effortPct, from, to, edge: at, text }) => ({ kind, effortPct, from, to, at, text }));
          expect(plain(line.cues)).toEqual(plain(free.cues));
        }),
        { numRuns: 5 },
      );
    }),
    { numRuns: 60 },
  );
});

test('seven weeks after a knee operation: 110° written, today’s edge at 118°', () => {
  const block: BlockPlan = {
    ...newBlock('b', 'vasti-supine', 'cr-breath', ['left']),
    limits: [
      { side: 'left', cap: 110, edgeShare: 0.9, effortPct: 20, painCeiling: 3, grade: null, holdS: null, contractS: null, pressS: null },
    ],
  };
  const { cues } = compile([block], { breath: { periodMs: 8000, inShare: 0.4 }, edgeOf: () => 118 });
  const { rest } = motionOf('knee-flexion');
  const furthest = Math.min(110, Math.round((rest + 0.9 * (118 - rest)) * 10) / 10);
  expect(Math.max(...cues.map((cue) => cue.to))).toBe(furthest);
  expect(new Set(cues.map((cue) => cue.effortPct).filter((effort) => effort !== null))).toEqual(new Set([20]));
  expect(cues.every((cue) => cue.painCeiling === 3 && cue.furthest === furthest)).toBe(true);
});

test('a mobilization names its grade, held down by the scope’s', () => {
  const block: BlockPlan = {
    ...newBlock('b', 'ankle-back-glide', 'mobilize-oscillate', ['left']),
    limits: [
      {
        side: 'left',
        cap: null,
        edgeShare: null,
        effortPct: null,
        painCeiling: null,
        grade: 1,
        holdS: null,
        contractS: null,
        pressS: null,
      },
    ],
  };
  const oscillate = compile([block], { breath: { periodMs: 8000, inShare: 0.4 }, edgeOf: () => 12 }).cues.find(
    (cue) => cue.kind === 'oscillate',
  )!;
  expect(oscillate.text).toBe('Talus straight back');
  expect(oscillate.detail).toMatch(/^grade 1,/);
  expect(oscillate.detail).toContain('2 a second');
  expect(oscillate.endMs - oscillate.startMs).toBe(45_000);
});
