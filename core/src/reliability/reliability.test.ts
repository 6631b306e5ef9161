import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import chiSquaredReference from '@stdlib/stats-base-dists-chisquare-quantile';
import fReference from '@stdlib/stats-base-dists-f-quantile';
import tReference from '@stdlib/stats-base-dists-t-quantile';
import {
  agreement,
  chiSquaredQuantile,
  fitLine,
  fQuantile,
  intraclass,
  meanSquares,
  pooledWithin,
  repeatability,
  tQuantile,
} from './index.ts';

const worked = <T>(name: string): T => JSON.parse(readFileSync(new URL(`./checks/${name}.json`, import.meta.url), 'utf8')) as T;

describe('Shrout PE, Fleiss JL. Psychol Bull 1979;86:420–428, tables 2 and 4', () => {
  const { data, expected } = worked<{ data: number[][]; expected: Record<string, number> }>('shrout-fleiss-1979');
  const squares = meanSquares(data);
  const iccs = intraclass(squares);

  test('mean squares', () => {
    expect(squares.betweenRows).toBeCloseTo(expected['MS between targets']!, 2);
    expect(squares.withinRows).toBeCloseTo(expected['MS within targets']!, 2);
    expect(squares.betweenColumns).toBeCloseTo(expected['MS between judges']!, 2);
    expect(squares.error).toBeCloseTo(expected['MS error']!, 2);
  });

  test.each(['1,1', '2,1', '3,1', '1,k', '2,k', '3,k'] as const)('ICC(%s)', (form) => {
    expect(iccs.find((icc) => icc.form === form)!.value).toBeCloseTo(expected[`ICC(${form})`]!, 2);
  });

  // 95 % limits of the same table as statistics packages print them; recalled from memory.
  test.each([
    ['1,1', -0.13, 0.72],
    ['2,1', 0.02, 0.76],
    ['3,1', 0.34, 0.95],
    ['1,k', -0.88, 0.91],
    ['2,k', 0.07, 0.93],
    ['3,k', 0.68, 0.99],
  ] as const)('limits of ICC(%s)', (form, low, high) => {
    const icc = iccs.find((each) => each.form === form)!;
    expect(icc.low).toBeCloseTo(low, 2);
    expect(icc.high).toBeCloseTo(high, 2);
  });

  // Weir JP. J Strength Cond Res 2005;19:231–240: SEM = √MSE, MDC95 = SEM · 1.96 · √2.
  test('SEM and MDC95 of the two-way table', () => {
    const { sem, mdc } = repeatability(data, 'deg');
    expect(sem).toBeCloseTo(Math.sqrt(1.0194), 3);
    expect(mdc).toBeCloseTo(1.96 * Math.SQRT2 * sem, 12);
  });
});

// Weir JP. J Strength Cond Res 2005;19:231–240, table 1: eight people twice, the same differences over a wide and a narrow
// range of people. Data and results recalled from memory; the differences of both sets agree with each other.
describe('Weir 2005: the error does not depend on how different people are, the correlation does', () => {
  const wide = [
    [146, 140],
    [148, 152],
    [170, 152],
    [90, 99],
    [157, 145],
    [156, 153],
    [176, 167],
    [205, 218],
  ];
  const narrow = [
    [166, 160],
    [168, 172],
    [160, 142],
    [150, 159],
    [147, 135],
    [146, 143],
    [156, 147],
    [155, 168],
  ];
  const icc = (table: readonly (readonly number[])[]) => intraclass(meanSquares(table)).find((each) => each.form === '3,1')!.value!;

  test('SEM 7.6 in both, so a change counts from 21', () => {
    for (const table of [wide, narrow]) {
      const { sem, mdc } = repeatability(table, 'cm');
      expect(sem).toBeCloseTo(7.6, 1);
      expect(mdc).toBeCloseTo(1.96 * Math.SQRT2 * 7.56, 1);
    }
  });
  test('ICC(3,1) .95 against something poor', () => {
    expect(icc(wide)).toBeCloseTo(0.95, 2);
    expect(icc(narrow)).toBeLessThan(0.6);
  });
});

// Two trials are the plain case: with k = 2 the error's mean square is half the variance of the differences (algebra).
test('two trials: SEM is the SD of the differences over √2', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 150 }), fc.integer({ min: 0, max: 150 })), { minLength: 3, maxLength: 20 }),
      (pairs) => {
        const differences = pairs.map(([a, b]) => a - b);
        const mean = differences.reduce((sum, value) => sum + value, 0) / differences.length;
        const variance = differences.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (differences.length - 1);
        expect(repeatability(pairs, 'deg').sem).toBeCloseTo(Math.sqrt(variance / 2), 6);
      },
    ),
  );
});

describe('Bland JM, Altman DG. Lancet 1986;i:307–310', () => {
  const {
    large_first: large,
    large_second: again,
    mini_first: mini,
  } = worked<Record<'large_first' | 'large_second' | 'mini_first', number[]>>('bland-altman-1986');
  const result = agreement(
    large.map((first, i) => ({ first, second: mini[i]! })),
    'cm',
    undefined,
    2,
  );

  test('bias, SD, limits', () => {
    expect(result.bias.value).toBeCloseTo(-2.1, 1);
    expect(result.sd).toBeCloseTo(38.8, 1);
    // Printed from a mean and an SD already rounded, hence the tenth.
    expect(Math.abs(result.lower.value - -79.7)).toBeLessThan(0.11);
    expect(Math.abs(result.upper.value - 75.4)).toBeLessThan(0.11);
    expect(result.biasIsReal).toBe(false);
  });

  // The paper's own confidence limits, recalled from memory; printed from rounded standard errors (9.4 and 16.3).
  test.each([
    ['bias', -22.0, 17.8],
    ['lower', -114.3, -45.1],
    ['upper', 40.9, 110.0],
  ] as const)('confidence of the %s', (which, low, high) => {
    expect(Math.abs(result[which].low - low)).toBeLessThan(0.25);
    expect(Math.abs(result[which].high - high)).toBeLessThan(0.25);
  });

  test('SD of repeats with the large meter', () => {
    expect(pooledWithin(large.map((first, i) => [first, again[i]!])).sd).toBeCloseTo(15.3, 1);
  });
});

test('NIST StRD, linear regression, Norris: certified values', () => {
  const { x, y, certified } = worked<{ x: number[]; y: number[]; certified: Record<string, number> }>('nist-norris');
  const line = fitLine(x.map((value, i) => ({ x: value, y: y[i]! })));
  expect(line.intercept).toBeCloseTo(certified.intercept!, 11);
  expect(line.slope).toBeCloseTo(certified.slope!, 13);
  expect(line.residualSd).toBeCloseTo(certified['residual SD']!, 12);
});

describe('quantiles against an independent statistics library (stdlib)', () => {
  const probability = fc.constantFrom(0.025, 0.05, 0.5, 0.9, 0.95, 0.975, 0.995);
  const df = fc.oneof(fc.integer({ min: 2, max: 120 }), fc.double({ min: 1.5, max: 60, noNaN: true }));
  const near = (ours: number, theirs: number) => expect(Math.abs(ours - theirs)).toBeLessThan(1e-6 * Math.max(1, Math.abs(theirs)));
  test('F', () => fc.assert(fc.property(probability, df, df, (p, a, b) => near(fQuantile(p, a, b), fReference(p, a, b)))));
  test('t', () => fc.assert(fc.property(probability, df, (p, a) => near(tQuantile(p, a), tReference(p, a)))));
  test('chi-squared', () => fc.assert(fc.property(probability, df, (p, a) => near(chiSquaredQuantile(p, a), chiSquaredReference(p, a)))));
  test('refuse what is none', () => {
    expect(() => fQuantile(1, 3, 4)).toThrow(RangeError);
    expect(() => tQuantile(0.5, 0)).toThrow(RangeError);
  });
});

describe('whatever the table', () => {
  const table = fc
    .integer({ min: 2, max: 5 })
    .chain((k) => fc.array(fc.array(fc.integer({ min: -30, max: 150 }), { minLength: k, maxLength: k }), { minLength: 3, maxLength: 12 }));

  test('an ICC lies inside its limits, and never above 1', () => {
    fc.assert(
      fc.property(table, (values) => {
        for (const { value, low, high } of intraclass(meanSquares(values))) {
          if (value === null) continue;
          expect(value).toBeLessThanOrEqual(1 + 1e-9);
          if (low === null || high === null) continue;
          expect(low).toBeLessThanOrEqual(value + 1e-6);
          expect(high).toBeGreaterThanOrEqual(value - 1e-6);
        }
      }),
    );
  });

  test('shifting every value changes no SEM; doubling doubles it; the order of rows does not matter', () => {
    fc.assert(
      fc.property(table, (values) => {
        const { sem } = repeatability(values, 'deg');
        expect(
          repeatability(
            values.map((row) => row.map((value) => value + 7)),
            'deg',
          ).sem,
        ).toBeCloseTo(sem, 6);
        expect(
          repeatability(
            values.map((row) => row.map((value) => 2 * value)),
            'deg',
          ).sem,
        ).toBeCloseTo(2 * sem, 6);
        expect(repeatability([...values].reverse(), 'deg').sem).toBeCloseTo(sem, 9);
      }),
    );
  });

  test('swapping the instruments turns every sign and swaps the limits', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ first: fc.integer({ min: 0, max: 90 }), second: fc.integer({ min: 0, max: 90 }) }), {
          minLength: 3,
          maxLength: 30,
        }),
        (pairs) => {
          const [there, back] = [
            agreement(pairs, 'deg'),
            agreement(
              pairs.map(({ first, second }) => ({ first: second, second: first })),
              'deg',
            ),
          ];
          expect(back.bias.value).toBeCloseTo(-there.bias.value, 9);
          expect(back.upper.value).toBeCloseTo(-there.lower.value, 9);
          expect(back.biasIsReal).toBe(there.biasIsReal);
        },
      ),
    );
  });
});

describe('said in plain words', () => {
  test('a table that repeats to the degree', () => {
    const { words, sem, iccs } = repeatability(
      [
        [10, 10, 10],
        [20, 20, 20],
        [30, 30, 30],
      ],
      'deg',
    );
    expect(sem).toBe(0);
    expect(iccs.map((icc) => icc.value)).toEqual([1, 1, 1, 1, 1, 1]);
    expect(words).toContain('off by about 0.0°');
  });

  test('values that climb from trial to trial ask for a rehearsal', () => {
    const { words, shiftIsReal } = repeatability(
      [
        [10, 14, 17],
        [20, 23, 28],
        [30, 34, 37],
        [15, 19, 23],
      ],
      'deg',
    );
    expect(shiftIsReal).toBe(true);
    expect(words).toMatch(/moved by \d+\.\d°: that is more than chance/);
    expect(words).toContain('Only 4 sides were measured');
  });

  test('nothing varies: no correlation, and that is said', () => {
    const { words, iccs } = repeatability(
      [
        [10, 10],
        [10, 10],
        [10, 10],
      ],
      'deg',
    );
    expect(iccs[0]).toEqual({ form: '1,1', value: null, low: null, high: null });
    expect(words).toContain('nothing can be said');
  });

  test('one instrument reading more than the other', () => {
    const { words, biasIsReal } = agreement(
      [
        { first: 20, second: 16 },
        { first: 33, second: 28 },
        { first: 41, second: 37 },
        { first: 12, second: 9 },
      ],
      'deg',
      ['the goniometer', 'the inclinometer'],
    );
    expect(biasIsReal).toBe(true);
    expect(words).toContain('The goniometer reads 4.0° more than the inclinometer');
  });

  test('too little is refused, not guessed', () => {
    expect(() => meanSquares([[1, 2]])).toThrow('at least two measured sides');
    expect(() => meanSquares([[1, 2], [1]])).toThrow('same number of trials');
    expect(() => agreement([{ first: 1, second: 2 }], 'deg')).toThrow('at least three');
    expect(() =>
      fitLine([
        { x: 1, y: 1 },
        { x: 1, y: 2 },
        { x: 1, y: 3 },
      ]),
    ).toThrow('differ in x');
    expect(pooledWithin([[4], []])).toEqual({ sd: null, sets: 0, df: 0 });
  });
});
