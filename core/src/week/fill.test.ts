import fc from 'fast-check';
import loadHighs from 'highs';
import { anyWeek } from '../testing/weeks.ts';
import { weekModel } from '../testing/weekModel.ts';
import { clashesOf, fillWeek, valuedVisits, weekValue, type FillProblem, type Placed } from './index.ts';

/** The greatest value there is, by giving every slot to everybody and nobody in turn. */
function byTryingAll(problem: FillProblem): number {
  const { slots, people, groups, pins } = problem;
  let best = Number.NEGATIVE_INFINITY;
  const allowed = (placed: readonly Placed[], person: number, slot: number): boolean => {
    const { days, standing, apart, most, slots: can } = people[person]!;
    const { day, group } = slots[slot]!;
    const others = [
      ...placed.filter((each) => each.person === person).map((each) => slots[each.slot]!.day),
      ...standing.map((each) => each.day),
    ];
    return (
      days[day] !== null &&
      can.includes(slot) &&
      others.length < most &&
      others.every((other) => Math.abs(other - day) >= apart) &&
      placed.filter((each) => slots[each.slot]!.group === group).length < groups[group]!
    );
  };
  const visit = (slot: number, placed: readonly Placed[]): void => {
    if (slot === slots.length) return void (best = Math.max(best, worth(problem, placed)));
    visit(slot + 1, placed);
    if (pins.some((pin) => pin.slot === slot)) return;
    people.forEach((_, person) => {
      if (allowed(placed, person, slot)) visit(slot + 1, [...placed, { person, slot }]);
    });
  };
  visit(0, pins);
  return best;
}

/** What a week is worth, counted another way: by how many visits there are of each sort. */
function worth({ people, slots }: FillProblem, placed: readonly Placed[]): number {
  const sum = (values: readonly number[], from: number, count: number) =>
    Array.from({ length: count }, (_, i) => values[from + i] ?? 0).reduce((a, b) => a + b, 0);
  return people.reduce((total, person, who) => {
    const days = placed.filter((each) => each.person === who).map((each) => slots[each.slot]!.day);
    const count = (kind: 'develop' | 'keep') => days.filter((day) => (person.days[day]?.kind ?? 'keep') === kind).length;
    const had = (kind: 'develop' | 'keep') => person.standing.filter((each) => each.kind === kind).length;
    return (
      total +
      sum(person.any, person.standing.length, days.length) +
      sum(person.develop, had('develop'), count('develop')) +
      sum(person.keep, had('keep'), count('keep')) +
      days.reduce((adds, day) => adds + (person.days[day]?.add ?? 0), 0)
    );
  }, 0);
}

/** Nothing is against any visit but what was set by hand. */
function requireSound(problem: FillProblem, placed: readonly Placed[]): void {
  expect(new Set(placed.map(({ slot }) => slot)).size).toBe(placed.length);
  for (const pin of problem.pins) expect(placed).toContainEqual(pin);
  const clashes = clashesOf(problem, placed);
  placed.forEach((each, i) => {
    const isPin = problem.pins.some(({ slot }) => slot === each.slot);
    if (!isPin) expect(clashes[i]).toEqual([]);
  });
}

// Independent of the method: no network, no parts, no bounds.
test('four hundred small weeks: the same value as trying everybody in every slot', () => {
  const tally = { filled: 0, near: 0 };
  fc.assert(
    fc.property(anyWeek({ people: 3, days: 4, slotsADay: 2, pins: 2 }), (problem) => {
      const found = fillWeek(problem);
      expect(found.status).toBe('optimal');
      expect(found.value).toBeCloseTo(byTryingAll(problem), 9);
      requireSound(problem, found.placed);
      if (found.placed.length > problem.pins.length) tally.filled += 1;
      if (fillWeek({ ...problem, people: problem.people.map((each) => ({ ...each, apart: 1 })) }).value > found.value + 1e-9)
        tally.near += 1;
    }),
    { numRuns: 400 },
  );
  expect(tally.filled).toBeGreaterThan(300);
  // The days between visits decide often enough to be looked at.
  expect(tally.near).toBeGreaterThan(40);
}, 120_000);

// HiGHS, an exact general solver for mixed-integer programs (Huangfu Q, Hall JAJ. Math Prog Comp 2018;10:119–142).
test.each([
  { people: 14, days: 5, slotsADay: 4, pins: 3, runs: 60 },
  { people: 40, days: 6, slotsADay: 5, pins: 4, runs: 25 },
  { people: 40, days: 7, slotsADay: 12, pins: 0, runs: 10 },
])(
  'weeks of $people people and $slotsADay slots a day: the same value as an exact general solver',
  async ({ runs, ...size }) => {
    const highs = await loadHighs();
    fc.assert(
      fc.property(anyWeek(size), (problem) => {
        const found = fillWeek(problem);
        expect(found.status).toBe('optimal');
        requireSound(problem, found.placed);
        const model = weekModel(problem);
        const general = model === '' ? 0 : highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 1e-7, output_flag: false }).ObjectiveValue;
        expect(found.value).toBeCloseTo(general + weekValue(problem, problem.pins), 5);
      }),
      { numRuns: runs, endOnFailure: true },
    );
  },
  300_000,
);

describe('properties', () => {
  const week = anyWeek({ people: 12, days: 5, slotsADay: 4, pins: 2 });

  test('what the visits add comes to what the week is worth, however it is counted', () => {
    fc.assert(
      fc.property(week, (problem) => {
        const { placed, value } = fillWeek(problem);
        expect(value).toBeCloseTo(worth(problem, placed), 9);
        expect(valuedVisits(problem, placed).reduce((sum, each) => sum + each.value, 0)).toBeCloseTo(value, 9);
      }),
    );
  });

  test('one more slot never makes a week worse, one more pin never better', () => {
    fc.assert(
      fc.property(week, fc.nat(), fc.nat(), (problem, a, b) => {
        const { value, placed } = fillWeek(problem);
        const slots = [...problem.slots, { day: a % 5, group: problem.groups.length }];
        const more = fillWeek({
          ...problem,
          slots,
          groups: [...problem.groups, 1],
          people: problem.people.map((each) => ({ ...each, slots: [...each.slots, slots.length - 1] })),
        });
        expect(more.value).toBeGreaterThanOrEqual(value - 1e-9);
        const free = placed.filter(({ slot }) => !problem.pins.some((pin) => pin.slot === slot));
        if (free.length === 0) return;
        const pinned = fillWeek({ ...problem, pins: [...problem.pins, free[b % free.length]!] });
        expect(pinned.value).toBeCloseTo(value, 9);
      }),
    );
  });

  test('somebody who is left out would not bring more than whoever has a slot they could come to', () => {
    fc.assert(
      fc.property(anyWeek({ people: 12, days: 5, slotsADay: 2, pins: 0 }), (problem) => {
        const { placed } = fillWeek(problem);
        const valued = valuedVisits(problem, placed);
        problem.people.forEach((person, who) => {
          if (placed.some((each) => each.person === who) || person.standing.length > 0) return;
          for (const slot of person.slots) {
            const day = person.days[problem.slots[slot]!.day];
            if (!day) continue;
            const would = (person.any[0] ?? 0) + (person[day.kind][0] ?? 0) + day.add;
            const there = valued.find((each) => each.slot === slot);
            if (!there) {
              // Nobody has it: then its hands are full, or there is nothing to gain.
              const { group } = problem.slots[slot]!;
              const full = placed.filter((each) => problem.slots[each.slot]!.group === group).length >= problem.groups[group]!;
              expect(full || would <= 1e-9).toBe(true);
              continue;
            }
            // In their place: what the other's visits add without this one is at least what they add less its share, so the share is what counts.
            const without =
              weekValue(problem, placed) -
              weekValue(
                problem,
                placed.filter((each) => each.slot !== slot),
              );
            expect(would).toBeLessThanOrEqual(without + 1e-9);
          }
        });
      }),
    );
  });

  test('stopped at once it is an allowed week, and its gap is never too small', () => {
    let stopped = 0;
    fc.assert(
      fc.property(anyWeek({ people: 20, days: 6, slotsADay: 4, pins: 2 }), (problem) => {
        const told: [number, number][] = [];
        const early = fillWeek(problem, { stop: () => true, progress: (best, bound) => told.push([best, bound]) });
        const full = fillWeek(problem);
        requireSound(problem, early.placed);
        expect(early.value + early.gap).toBeGreaterThanOrEqual(full.value - 1e-6);
        for (const [best, bound] of told) {
          expect(best).toBeLessThanOrEqual(full.value + 1e-6);
          expect(bound).toBeGreaterThanOrEqual(full.value - 1e-6);
        }
        if (early.status === 'stopped') stopped += 1;
      }),
      { numRuns: 200 },
    );
    expect(stopped).toBeGreaterThan(5);
  });
});

test('a problem that contradicts itself is refused in words', () => {
  const person = {
    any: [0],
    develop: [2, 1],
    keep: [1],
    most: 2,
    apart: 2,
    days: [{ kind: 'develop', add: 0 } as const],
    slots: [0],
    standing: [],
  };
  const problem: FillProblem = { slots: [{ day: 0, group: 0 }], groups: [1], people: [person], pins: [] };
  expect(fillWeek(problem)).toEqual({ status: 'optimal', value: 2, gap: 0, placed: [{ person: 0, slot: 0 }] });
  expect(() => fillWeek({ ...problem, people: [{ ...person, develop: [1, 2] }] })).toThrow('worth more than the one before');
  expect(() => fillWeek({ ...problem, people: [{ ...person, apart: 0 }] })).toThrow('whole days apart');
  expect(() => fillWeek({ ...problem, people: [{ ...person, slots: [3] }] })).toThrow('slot that is not there');
  expect(() => fillWeek({ ...problem, slots: [{ day: 0, group: 4 }] })).toThrow('group');
  expect(() => fillWeek({ ...problem, pins: [{ person: 4, slot: 0 }] })).toThrow('pin');
  expect(() =>
    fillWeek({
      ...problem,
      pins: [
        { person: 0, slot: 0 },
        { person: 0, slot: 0 },
      ],
    }),
  ).toThrow('share');
});
