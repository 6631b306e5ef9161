import fc from 'fast-check';
import { ENTRIES } from '../catalogue/index.ts';
import { motionOf } from '../body/index.ts';
import { compile, findMethod, newBlock, type BlockPlan, type BreathPace, type Line } from '../method/index.ts';

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
      fc.array(fc.integer({ min: Math.ceil(spec.min), max: Math.min(spec.max, 40) }), { minLength: 1, maxLength: spec.perRound ? 4 : 1 });
    return fc.record({
      numbers: fc.record(Object.fromEntries(method.numbers.map((spec) => [spec.id, number(spec)]))),
      choices: fc.record(Object.fromEntries(method.choices.map((choice) => [choice.id, fc.constantFrom(...choice.options.map((option) => option.id))]))),
      rounds: fc.integer({ min: 1, max: 4 }),
      sides: fc.shuffledSubarray([...motionOf(entry.motionId).sides], { minLength: 1 }),
    }).map(({ numbers, choices, rounds, sides }) => ({
      ...newBlock('b', entry.id, methodId, sides),
      numbers,
      choices,
      sides: sides.map((side) => ({ side, rounds })),
    }));
  }),
);

export const anyLine: fc.Arbitrary<Line> = fc
  .tuple(fc.array(anyBlock, { minLength: 1, maxLength: 2 }), anyBreath)
  .map(([blocks, breath]) => compile(blocks.map((block, i) => ({ ...block, id: `b${i}` })), { breath, edgeOf: () => null }));
