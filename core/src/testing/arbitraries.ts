import fc from 'fast-check';
import { ENTRIES } from '../catalogue/index.ts';
import { compile, findMethod, newBlock, sidesOf, type BlockPlan, type BreathPace, type Line } from '../method/index.ts';

/** A slow to quick breath. */
export const anyBreath: fc.Arbitrary<BreathPace> = fc.record({
  periodMs: fc.integer({ min: 2000, max: 16000 }),
  inShare: fc.constantFrom(0.3, 0.4, 0.5),
});

/** A sound block: any entry, a way that fits it, every number somewhere in its bounds, one or more sides. */
export const anyBlock: fc.Arbitrary<BlockPlan> = fc.constantFrom(...ENTRIES).chain((entry) =>
  fc.constantFrom(...entry.ways).chain((methodId) => {
    const method = findMethod(methodId)!;
    const number = (spec: (typeof method.numbers)[number]) =>
      fc.array(fc.integer({ min: Math.ceil(spec.min), max: Math.min(Math.floor(spec.max), Math.ceil(spec.min) + 40) }), {
        minLength: 1,
        maxLength: spec.perRound ? Math.min(4, method.rounds.max) : 1,
      });
    return fc
      .record({
        numbers: fc.record(Object.fromEntries(method.numbers.map((spec) => [spec.id, number(spec)]))),
        choices: fc.record(
          Object.fromEntries(method.choices.map((choice) => [choice.id, fc.constantFrom(...choice.options.map((option) => option.id))])),
        ),
        rounds: fc.integer({ min: 1, max: Math.min(4, method.rounds.max) }),
        again: fc.boolean(),
        sides: fc.shuffledSubarray([...sidesOf(entry)], { minLength: 1 }),
      })
      .map(({ numbers, choices, rounds, sides, again }) => ({
        ...newBlock('b', entry.id, methodId, sides),
        numbers,
        choices,
        // Sometimes left, right, left.
        sides: (again && sides.length > 1 ? [...sides, sides[0]!] : sides).map((side) => ({ side, rounds })),
      }));
  }),
);

export const anyLine: fc.Arbitrary<Line> = fc.tuple(fc.array(anyBlock, { minLength: 1, maxLength: 2 }), anyBreath).map(([blocks, breath]) =>
  compile(
    blocks.map((block, i) => ({ ...block, id: `b${i}` })),
    { breath, edgeOf: () => null },
  ),
);
