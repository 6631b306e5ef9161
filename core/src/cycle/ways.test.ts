import fc from 'fast-check';
import { normals } from '../forecast/index.ts';
import { errorOf, NOTHING_KNOWN } from '../measure/index.ts';
import { motionOf } from '../body/index.ts';
import { BUILT_IN } from '../method/index.ts';
import { seeded } from '../random/index.ts';
import type { PastBlock, PastReading } from '../record/index.ts';
import { BETWEEN_ATHLETES } from '../session/index.ts';
import { BETWEEN_WAYS, chancesOfMost, isSureOfWay, SURE_OF_WAY, waysOfMotion, wayStrengths, type WayVisit } from './index.ts';

/** Solves A·x = b by elimination. */
function solved(a: number[][], b: number[]): number[] {
  const m = a.map((row, i) => [...row, b[i]!]);
  for (let c = 0; c < m.length; c++) {
    const pivot = m.slice(c).reduce((best, row, i) => (Math.abs(row[c]!) > Math.abs(m[best]![c]!) ? i + c : best), c);
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    for (let r = 0; r < m.length; r++)
      if (r !== c) {
        const factor = m[r]![c]! / m[c]![c]!;
        for (let k = c; k <= m.length; k++) m[r]![k]! -= factor * m[c]![k]!;
      }
  }
  return m.map((row, i) => row[m.length]! / row[i]!);
}
const visits = (ways: number) =>
  fc.array(
    fc.record({
      way: fc.integer({ min: 0, max: ways - 1 }),
      usual: fc.double({ min: 0.5, max: 10, noNaN: true }),
      gained: fc.double({ min: -5, max: 15, noNaN: true }),
      variance: fc.double({ min: 0.2, max: 20, noNaN: true }),
    }),
    { maxLength: 12 },
  );

test('visit by visit is the same as all of them at once: precisions added, the normal equations solved', () => {
  fc.assert(
    fc.property(visits(3), (all: WayVisit[]) => {
      const prior = [0, 1, 2].map((i) => [0, 1, 2].map((j) => BETWEEN_ATHLETES ** 2 + (i === j ? BETWEEN_WAYS ** 2 : 0)));
      const unit = [0, 1, 2].map((i) =>
        solved(
          prior,
          [0, 1, 2].map((j) => (i === j ? 1 : 0)),
        ),
      );
      const precision = unit.map((row) => [...row]);
      const weighted = precision.map((row) => row.reduce((sum, value) => sum + value, 0));
      for (const { way, usual, gained, variance } of all) {
        precision[way]![way]! += usual ** 2 / variance;
        weighted[way]! += (usual * gained) / variance;
      }
      const { mean, covariance } = wayStrengths(3, all);
      solved(precision, weighted).forEach((value, i) => expect(mean[i]).toBeCloseTo(value, 6));
      [0, 1, 2].forEach((i) =>
        solved(
          precision,
          [0, 1, 2].map((j) => (i === j ? 1 : 0)),
        ).forEach((value, j) => expect(covariance[i]![j]).toBeCloseTo(value, 6)),
      );
    }),
  );
});

test('of two the chance is that of one normal number: 1.2816 deviations are nine in ten (normal table)', () => {
  // Var(a − b) = 1 + 1 − 2·0.5 = 1, so the difference of the means counts in deviations.
  const covariance = [
    [1, 0.5],
    [0.5, 1],
  ];
  for (const [apart, chance] of [
    [0, 0.5],
    [1.2816, 0.9],
    [1.6449, 0.95],
  ] as const) {
    const [a, b] = chancesOfMost([apart, 0], covariance, 7);
    expect(a).toBeCloseTo(chance, 1.9);
    expect(a! + b!).toBeCloseTo(1, 10);
  }
  expect(
    chancesOfMost(
      [1, 2, 3],
      [0, 0, 0].map(() => [0, 0, 0]),
      1,
    ),
  ).toEqual([0, 0, 1]);
});

test('when it says nine in ten, it is right nine times in ten: athletes drawn from the model', () => {
  const random = seeded(20_261_127);
  const normal = normals(random);
  let [said, right] = [0, 0];
  for (let athlete = 0; athlete < 800; athlete++) {
    const own = 1 + BETWEEN_ATHLETES * normal();
    const strengths = [0, 1, 2].map(() => own + BETWEEN_WAYS * normal());
    const all = Array.from({ length: 24 }, (_, i): WayVisit => {
      const way = i % 3;
      const variance = 1.2;
      return { way, usual: 6, gained: strengths[way]! * 6 + Math.sqrt(variance) * normal(), variance };
    });
    const { mean, covariance } = wayStrengths(3, all);
    const chances = chancesOfMost(mean, covariance, athlete + 1, 2000);
    const best = chances.indexOf(Math.max(...chances));
    if (chances[best]! < SURE_OF_WAY) continue;
    said += 1;
    if (strengths[best] === Math.max(...strengths)) right += 1;
  }
  expect(said).toBeGreaterThan(100);
  // What it says lies between 90 and 100 in a hundred: at least nine in ten, less three standard errors of that share.
  expect(right / said).toBeGreaterThan(0.9 - 3 * Math.sqrt((0.9 * 0.1) / said));
});

describe('from a record', () => {
  const RAISE = motionOf('straight-leg-raise');
  const ENTRY = [...BUILT_IN.entries.values()].find((entry) => entry.motionId === RAISE.id)!;
  const [ONE, OTHER] = [...BUILT_IN.methods.values()].filter((method) => method.axis === 'motion' && method.share > 0);
  const visit = (n: number, methodIds: readonly string[], gained: number | null, more: Partial<PastReading> = {}) => {
    const startsAt = `2026-10-${String(n).padStart(2, '0')}T09:00:00.000Z`;
    const read = (moment: 'before' | 'after', value: number): PastReading => ({
      visitId: String(n),
      startsAt,
      motionId: RAISE.id,
      side: 'left',
      moment,
      instrument: 'inclinometer',
      examinerId: 'a',
      trialCount: 3,
      value,
      ...(moment === 'after' ? more : {}),
    });
    return {
      past: [read('before', 60), ...(gained === null ? [] : [read('after', 60 + gained)])],
      blocks: methodIds.map((methodId): PastBlock => ({
        visitId: String(n),
        startsAt,
        entryId: ENTRY.id,
        methodId,
        motionId: RAISE.id,
        sides: [{ side: 'left', rounds: 2 }],
      })),
    };
  };
  const factsOf = (...all: ReturnType<typeof visit>[]) => ({
    past: all.flatMap(({ past }) => past),
    blocks: all.flatMap(({ blocks }) => blocks),
  });
  const look = (...all: ReturnType<typeof visit>[]) => waysOfMotion(RAISE.id, 'left', factsOf(...all), NOTHING_KNOWN);

  test('only visits in one way alone, read before and after by one hand and instrument', () => {
    const [one, other] = [ONE!.id, OTHER!.id];
    const found = look(
      visit(1, [one], 6),
      visit(2, [one, other], 20),
      visit(3, [other], null),
      visit(4, [one], 20, { instrument: 'goniometer' }),
      visit(5, [one], 20, { examinerId: 'b' }),
      visit(6, [other], 5),
    );
    expect(Object.fromEntries(found.map(({ methodId, visits: n }) => [methodId, n]))).toEqual({ [one]: 1, [other]: 1 });
    expect(found.reduce((sum, { best }) => sum + best, 0)).toBeCloseTo(1, 10);
    expect(look()).toEqual([]);
  });

  test('two visits say little, and many decide', () => {
    const few = look(visit(1, [ONE!.id], 9), visit(2, [OTHER!.id], 1));
    // However far apart: one visit each is too few, and so are many of one against two of the other.
    expect(isSureOfWay(few)).toBe(false);
    expect(
      isSureOfWay(look(...[1, 2, 3, 4, 5, 6].map((n) => visit(n, [ONE!.id], 9)), visit(7, [OTHER!.id], 1), visit(8, [OTHER!.id], 1))),
    ).toBe(false);
    expect(isSureOfWay(look(...[1, 2, 3, 4, 5, 6].map((n) => visit(n, [ONE!.id], 9))))).toBe(false);
    const many = look(...Array.from({ length: 24 }, (_, i) => visit(i + 1, [i % 2 === 0 ? ONE!.id : OTHER!.id], i % 2 === 0 ? 9 : 1)));
    expect(many[0]).toMatchObject({ methodId: ONE!.id, visits: 12 });
    expect(many[0]!.best).toBeGreaterThan(SURE_OF_WAY);
    expect(isSureOfWay(many)).toBe(true);
    expect(many[0]!.brings.middle).toBeGreaterThan(many[1]!.brings.middle);
    // The error of a reading is what the band is made of.
    expect(errorOf(RAISE, { instrument: 'inclinometer', examinerId: 'a', trialCount: 3 }, NOTHING_KNOWN, 'within').sem).toBeGreaterThan(0);
  });
});
