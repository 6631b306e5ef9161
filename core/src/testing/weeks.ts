import fc from 'fast-check';
import type { FillDay, FillPerson, FillProblem } from '../week/index.ts';

/** How large weeks for tests are. */
export interface WeekSize {
  readonly people: number;
  readonly days: number;
  readonly slotsADay: number;
  readonly pins: number;
}

/** Values that do not grow, in quarters: equal ones are common, so that there is something to decide between. */
const falling = (length: number, most: number) =>
  fc
    .array(fc.integer({ min: 0, max: most }), { minLength: length, maxLength: length })
    .map((values) => values.map((value) => value / 4).sort((a, b) => b - a));

/** Any week of a size: some days keep only, some are out, visits stand already, pins lie anywhere. */
export function anyWeek({ people, days, slotsADay, pins }: WeekSize): fc.Arbitrary<FillProblem> {
  const slots = Array.from({ length: days }, (_, day) =>
    Array.from({ length: slotsADay }, (__, i) => ({ day, group: day * 2 + (i % 2) })),
  ).flat();
  const day: fc.Arbitrary<FillDay> = fc.oneof(
    { weight: 6, arbitrary: fc.record({ kind: fc.constant('develop' as const), add: fc.constantFrom(0, 0, 0, -0.25, 0.25) }) },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant('keep' as const), add: fc.constantFrom(0, -0.25) }) },
    { weight: 1, arbitrary: fc.constant(null) },
  );
  const person: fc.Arbitrary<FillPerson> = fc.record({
    any: fc.oneof(fc.constant([0, 0, 0]), falling(3, 4)),
    develop: falling(3, 12),
    keep: falling(2, 3),
    most: fc.integer({ min: 1, max: 3 }),
    apart: fc.integer({ min: 1, max: 3 }),
    days: fc.array(day, { minLength: days, maxLength: days }),
    slots: fc
      .array(fc.integer({ min: 0, max: 3 }), { minLength: slots.length, maxLength: slots.length })
      .map((dice) => dice.flatMap((each, slot) => (each > 0 ? [slot] : []))),
    standing: fc.oneof(
      { weight: 5, arbitrary: fc.constant([]) },
      {
        weight: 1,
        arbitrary: fc
          .record({ day: fc.integer({ min: 0, max: days - 1 }), kind: fc.constantFrom('develop' as const, 'keep' as const) })
          .map((each) => [each]),
      },
    ),
  });
  return fc
    .record({
      groups: fc.array(fc.integer({ min: 1, max: slotsADay }), { minLength: days * 2, maxLength: days * 2 }),
      people: fc.array(person, { minLength: people, maxLength: people }),
      pins: fc.uniqueArray(
        fc.record({ person: fc.integer({ min: 0, max: people - 1 }), slot: fc.integer({ min: 0, max: slots.length - 1 }) }),
        { maxLength: pins, selector: ({ slot }) => slot },
      ),
    })
    .map((parts) => ({ slots, ...parts }));
}

/**
 * A week with little equal in it: as many people as are given, thirty slots over five days, second visits nearly as dear as first ones, half of
 * the times open to each, days that only keep.
 */
export function largeWeek(random: () => number, people: number, apart: number): FillProblem {
  const slots = Array.from({ length: 30 }, (_, i) => ({ day: Math.floor(i / 6), group: Math.floor(i / 6) }));
  return {
    slots,
    groups: [6, 6, 6, 6, 6],
    pins: [],
    people: Array.from({ length: people }, (): FillPerson => {
      const first = random() * 2;
      const further = 0.7 + 0.3 * random();
      return {
        any: [0, 0, 0],
        develop: [first, first * further, first * further ** 2],
        keep: [0.2, 0.1],
        most: 3,
        apart,
        standing: [],
        days: Array.from({ length: 5 }, (): FillDay =>
          random() < 0.1 ? null : { kind: random() < 0.2 ? 'keep' : 'develop', add: random() < 0.3 ? -0.3 : 0 },
        ),
        slots: slots.flatMap((_, i) => (random() < 0.5 ? [i] : [])),
      };
    }),
  };
}
