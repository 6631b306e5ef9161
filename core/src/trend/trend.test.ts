import fc from 'fast-check';
import { comparePeriods, foldTrends, keptGain, mostLikelyWander, smoothLevel, type LevelInput } from './index.ts';

const series = fc
  .array(
    fc.record({
      gap: fc.integer({ min: 0, max: 40 }),
      value: fc.integer({ min: -20, max: 120 }),
      sem: fc.double({ min: 0.4, max: 6, noNaN: true }),
    }),
    { minLength: 2, maxLength: 14 },
  )
  .map((list) => {
    let day = 0;
    return list.map(({ gap, value, sem }): LevelInput => ({ day: (day += gap), value, sem }));
  });

/** The same levels by solving the Gaussian system at once: (R⁻¹ + DᵀQ⁻¹D) μ = R⁻¹y, by elimination with pivots. */
function solvedAtOnce(readings: readonly LevelInput[], wander: number): { level: number; variance: number }[] {
  const n = readings.length;
  const matrix: number[][] = readings.map((_, i) => Array.from({ length: 2 * n }, (_unused, j) => (j === n + i ? 1 : 0)));
  for (const [i, { sem }] of readings.entries()) matrix[i]![i]! += 1 / sem ** 2;
  for (let i = 1; i < n; i += 1) {
    const weight = 1 / (wander * (readings[i]!.day - readings[i - 1]!.day));
    matrix[i]![i]! += weight;
    matrix[i - 1]![i - 1]! += weight;
    matrix[i]![i - 1]! -= weight;
    matrix[i - 1]![i]! -= weight;
  }
  for (let column = 0; column < n; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < n; row += 1) if (Math.abs(matrix[row]![column]!) > Math.abs(matrix[pivot]![column]!)) pivot = row;
    [matrix[column], matrix[pivot]] = [matrix[pivot]!, matrix[column]!];
    const by = matrix[column]![column]!;
    matrix[column] = matrix[column]!.map((value) => value / by);
    for (let row = 0; row < n; row += 1) {
      const factor = matrix[row]![column]!;
      if (row !== column && factor !== 0) matrix[row] = matrix[row]!.map((value, j) => value - factor * matrix[column]![j]!);
    }
  }
  const inverse = matrix.map((row) => row.slice(n));
  return readings.map((_, i) => ({
    level: inverse[i]!.reduce((sum, value, j) => sum + (value * readings[j]!.value) / readings[j]!.sem ** 2, 0),
    variance: inverse[i]![i]!,
  }));
}

test('filter and smoother give what solving the whole system at once gives', () => {
  fc.assert(
    fc.property(series, fc.double({ min: 0.01, max: 3, noNaN: true }), (readings, wander) => {
      const apart = readings.map((reading, i) => ({ ...reading, day: reading.day + i }));
      const direct = solvedAtOnce(apart, wander);
      for (const [i, { level, low, high }] of smoothLevel(apart, wander).points.entries()) {
        expect(level).toBeCloseTo(direct[i]!.level, 5);
        expect((high - low) / 2 / 1.96).toBeCloseTo(Math.sqrt(direct[i]!.variance), 5);
      }
    }),
  );
});

test('a level that does not wander is the mean weighted by how well each reading is known', () => {
  fc.assert(
    fc.property(series, (readings) => {
      const weights = readings.map(({ sem }) => 1 / sem ** 2);
      const mean = readings.reduce((sum, { value }, i) => sum + weights[i]! * value, 0) / weights.reduce((a, b) => a + b, 0);
      for (const { level } of smoothLevel(readings, 0).points) expect(level).toBeCloseTo(mean, 6);
    }),
  );
});

test('the level stays within the readings; with a known wander its band is never wider than one reading alone', () => {
  fc.assert(
    fc.property(series, fc.double({ min: 0, max: 5, noNaN: true }), (readings, wander) => {
      const values = readings.map(({ value }) => value);
      for (const { level } of smoothLevel(readings).points) {
        expect(level).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9);
        expect(level).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
      }
      for (const [i, { low, high }] of smoothLevel(readings, wander).points.entries()) {
        expect(high - low).toBeLessThanOrEqual(2 * 1.96 * readings[i]!.sem + 1e-9);
      }
    }),
  );
});

test('noise alone does not wander; a steady climb does', () => {
  const at = (values: readonly number[]) => values.map((value, i): LevelInput => ({ day: 7 * i, value, sem: 3 }));
  expect(mostLikelyWander(at([20, 21, 19, 20.5, 20, 19.5]))).toBe(0);
  const climb = smoothLevel(at([10, 16, 22, 28, 34, 40]));
  expect(climb.wander).toBeGreaterThan(0);
  expect(climb.points.at(-1)!.level).toBeGreaterThan(36);
  expect(mostLikelyWander(at([10, 40]))).toBe(0);
  expect(smoothLevel([])).toEqual({ points: [], wander: 0 });
});

test('bad time lines are refused', () => {
  expect(() => smoothLevel([{ day: 1, value: 2, sem: 0 }])).toThrow(RangeError);
  expect(() =>
    smoothLevel([
      { day: 3, value: 2, sem: 1 },
      { day: 1, value: 2, sem: 1 },
    ]),
  ).toThrow('order');
});

describe('what was kept', () => {
  const higher = { better: 'higher' } as const;
  test('half of six degrees; the last visit has no next one', () => {
    const { steps, share, meanGain } = keptGain(
      [
        { day: 0, before: 10, after: 16 },
        { day: 7, before: 13, after: 18 },
        { day: 14, before: 15.5, after: null },
      ],
      higher,
      4,
    );
    expect(steps).toEqual([
      { fromDay: 0, toDay: 7, gained: 6, kept: 3 },
      { fromDay: 7, toDay: 14, gained: 5, kept: 2.5 },
    ]);
    expect([share, meanGain]).toEqual([0.5, 5.5]);
    // One visit with a next one is not enough to speak, and the bar grows with the number of visits.
    expect(
      keptGain(
        [
          { day: 0, before: 10, after: 16 },
          { day: 7, before: 13, after: null },
        ],
        higher,
        4,
      ).share,
    ).toBeNull();
    expect(
      keptGain(
        [
          { day: 0, before: 10, after: 13 },
          { day: 7, before: 12, after: 14.4 },
          { day: 14, before: 13, after: null },
        ],
        higher,
        4,
      ).share,
    ).toBeNull();
  });
  test('a gap that closes counts as gain; visits without a value are passed over', () => {
    const { steps } = keptGain(
      [
        { day: 0, before: 12, after: 9 },
        { day: 5, before: null, after: null },
        { day: 9, before: 11, after: null },
      ],
      { better: 'lower' },
      1,
    );
    expect(steps).toEqual([{ fromDay: 0, toDay: 9, gained: 3, kept: 1 }]);
  });
  test('next to nothing gained says nothing', () => {
    expect(
      keptGain(
        [
          { day: 0, before: 10, after: 10.5 },
          { day: 7, before: 13, after: null },
        ],
        higher,
        4,
      ).share,
    ).toBeNull();
  });
});

describe('two periods', () => {
  const motion = { unit: 'deg', better: 'higher' } as const;
  const readings = [10, 11, 10, 20, 21, 22].map((value, i): LevelInput => ({ day: 10 * i, value, sem: 2 }));
  test('a real gain', () => {
    const { gain, limit, words } = comparePeriods(readings, { from: 0, to: 25 }, { from: 30, to: 60 }, motion);
    expect(gain).toBeCloseTo(10.667, 3);
    expect(limit).toBeCloseTo(1.96 * Math.hypot(2 / Math.sqrt(3), 2 / Math.sqrt(3)), 6);
    expect(words).toMatch(/^\+10\.7°: a real gain/);
  });
  test('the same period twice is inside the error, an empty one says so', () => {
    expect(comparePeriods(readings, { from: 0, to: 25 }, { from: 0, to: 25 }, motion)).toMatchObject({ gain: 0, isReal: false });
    expect(comparePeriods(readings, { from: 0, to: 25 }, { from: 90, to: 99 }, motion).words).toBe('Nothing was read in the second period');
  });
});

test('folding does not depend on the order the readings come in', () => {
  const one = fc.record({
    athleteId: fc.constantFrom('a', 'b'),
    motionId: fc.constantFrom('m', 'n'),
    side: fc.constantFrom('left' as const, 'right' as const),
    instrument: fc.constant('goniometer' as const),
    day: fc.integer({ min: 0, max: 400 }),
    value: fc.integer({ min: 0, max: 90 }),
  });
  const key = (each: { athleteId: string; motionId: string; side: string }) => `${each.athleteId}/${each.motionId}/${each.side}`;
  fc.assert(
    fc.property(fc.uniqueArray(one, { maxLength: 40, selector: (each) => `${key(each)}/${each.day}` }), (readings) => {
      const sorted = (list: ReturnType<typeof foldTrends>) => [...list].sort((a, b) => key(a).localeCompare(key(b)));
      expect(sorted(foldTrends([...readings].reverse(), () => 3))).toEqual(sorted(foldTrends(readings, () => 3)));
      expect(foldTrends(readings, () => 3).reduce((sum, trend) => sum + trend.readings.length, 0)).toBe(readings.length);
    }),
  );
});

describe('the wander that is most likely', () => {
  /** The density of all readings at once given the first, by multiplying conditional normals written out again. */
  const logDensity = (readings: readonly LevelInput[], wander: number) => {
    let [mean, variance, sum] = [readings[0]!.value, readings[0]!.sem ** 2, 0];
    for (const [i, { day, value, sem }] of readings.entries()) {
      if (i === 0) continue;
      const ahead = variance + wander * (day - readings[i - 1]!.day);
      const total = ahead + sem * sem;
      sum += -0.5 * Math.log(2 * Math.PI * total) - (value - mean) ** 2 / (2 * total);
      mean += (ahead * (value - mean)) / total;
      variance = (ahead * sem * sem) / total;
    }
    return sum;
  };

  test('no wander of a fine grid is more likely', () => {
    fc.assert(
      fc.property(
        series.filter((readings) => readings.length >= 3),
        (readings) => {
          const found = logDensity(readings, mostLikelyWander(readings));
          const scale = readings.reduce((sum, { sem }) => sum + sem ** 2, 0) / readings.length;
          for (let power = -5; power <= 1; power += 0.05)
            expect(found).toBeGreaterThanOrEqual(logDensity(readings, scale * 10 ** power) - 0.02);
          expect(found).toBeGreaterThanOrEqual(logDensity(readings, 0) - 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('moving every reading moves the level, and stretching stretches it', () => {
    fc.assert(
      fc.property(series, fc.integer({ min: -50, max: 50 }), (readings, by) => {
        const levels = (list: readonly LevelInput[]) => smoothLevel(list).points.map((point) => point.level);
        const moved = levels(readings.map((reading) => ({ ...reading, value: reading.value + by })));
        const doubled = levels(readings.map((reading) => ({ ...reading, value: 2 * reading.value, sem: 2 * reading.sem })));
        // The most likely wander is searched for: what the search leaves open is a hundred-thousandth of how far the readings lie apart.
        const values = readings.map(({ value }) => value);
        const open = 1e-5 * (10 + Math.max(...values) - Math.min(...values));
        for (const [i, level] of levels(readings).entries()) {
          expect(Math.abs(moved[i]! - (level + by))).toBeLessThan(open);
          expect(Math.abs(doubled[i]! - 2 * level)).toBeLessThan(2 * open);
        }
      }),
      {
        examples: [
          [
            [
              { day: 0, value: 0, sem: 4.654948737194453 },
              { day: 2, value: 27, sem: 0.4 },
            ],
            -10,
          ],
        ],
      },
    );
  });

  test('a better reading pulls harder', () => {
    const pair = (sem: number) =>
      smoothLevel(
        [
          { day: 0, value: 0, sem: 3 },
          { day: 0, value: 10, sem },
        ],
        0,
      ).points[0]!.level;
    expect(pair(1)).toBeGreaterThan(pair(3));
    expect(pair(3)).toBeCloseTo(5, 9);
  });
});

test('several visits: gains and what was kept add up over all of them', () => {
  const visits = [
    { day: 0, before: 10, after: 15 },
    { day: 7, before: 12, after: 18 },
    { day: 14, before: 13, after: null },
  ];
  const { share, steps, meanGain } = keptGain(visits, { better: 'higher' }, 4);
  expect(steps.map((step) => step.kept)).toEqual([2, 1]);
  expect([share, meanGain]).toEqual([3 / 11, 5.5]);
});
