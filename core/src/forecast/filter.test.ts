import fc from 'fast-check';
import { seeded } from '../random/index.ts';
import { madeAthlete } from '../testing/athletes.ts';
import {
  DIMENSIONS,
  FADE,
  filter,
  FIRST_OFF,
  FLOOR_WANDER,
  HOME,
  KEPT,
  pack,
  parametersFrom,
  RESPONSE,
  ROOM,
  STATE,
  WANDER,
  type Course,
} from './index.ts';

/**
 * The same model as one Gaussian: every reading, the level and the floor at the end are written as sums of independent normal numbers, their
 * covariance is laid out whole, and likelihood and conditional mean come from solving it at once. Nothing of the filter is in it.
 */
function atOnce({ ground, occasions }: Course, theta: Float64Array) {
  const sources: number[] = [];
  type Sum = { constant: number; parts: Map<number, number> };
  const fresh = (variance: number): Sum => ({ constant: 0, parts: new Map([[sources.push(variance) - 1, 1]]) });
  const plus = (...terms: readonly (readonly [number, Sum])[]): Sum => {
    const parts = new Map<number, number>();
    let constant = 0;
    for (const [by, sum] of terms) {
      constant += by * sum.constant;
      for (const [source, share] of sum.parts) parts.set(source, (parts.get(source) ?? 0) + by * share);
    }
    return { constant, parts };
  };
  const number = (value: number): Sum => ({ constant: value, parts: new Map() });
  const off = () => fresh((FIRST_OFF * theta[ROOM]!) ** 2);
  let floor = plus([1, number(ground.floorMean)], [1, fresh(ground.floorSd ** 2)]);
  let level = plus([1, floor], [1, off()]);
  let part = number(0);
  const read: { sum: Sum; value: number }[] = [];
  let last: number | null = null;
  for (const each of occasions) {
    const gap = last === null ? 0 : each.day - last;
    last = each.day;
    const drip = (each.homeShare ?? 0) * theta[HOME]!;
    const rate = 1 / theta[FADE]! + drip / theta[ROOM]!;
    if (gap > 0) {
      const stays = Math.exp(-rate * gap);
      level = plus([stays, level], [1 - stays, floor], [(1 - stays) * (drip / rate), number(1)], [1, fresh(theta[WANDER]! ** 2 * gap)]);
      floor = plus([1, floor], [1, fresh((FLOOR_WANDER * theta[WANDER]!) ** 2 * gap)]);
    }
    if (each.reset) {
      floor = plus([1, number(ground.floorMean)], [1, fresh(ground.floorSd ** 2)]);
      level = plus([1, floor], [1, off()]);
    }
    if (each.dayVariance !== undefined) part = fresh(each.dayVariance);
    if (each.before) read.push({ sum: plus([1, level], [1, part], [1, fresh(each.before.variance)]), value: each.before.value });
    const gain = theta[RESPONSE]! * each.usualGain;
    const after = plus([1, level], [gain, number(1)], [-gain / theta[ROOM]!, level], [gain / theta[ROOM]!, floor]);
    if (each.after) read.push({ sum: plus([1, after], [1, part], [1, fresh(each.after.variance)]), value: each.after.value });
    level = plus([1 - theta[KEPT]!, level], [theta[KEPT]!, after]);
  }
  const covariance = (a: Sum, b: Sum) =>
    [...a.parts].reduce((sum, [source, share]) => sum + share * (b.parts.get(source) ?? 0) * sources[source]!, 0);
  const n = read.length;
  const matrix = read.map((a) => read.map((b) => covariance(a.sum, b.sum)));
  const offs = read.map(({ sum, value }) => value - sum.constant);
  const { solution, logDeterminant } = solve(matrix, offs);
  const quadratic = offs.reduce((sum, each, i) => sum + each * solution[i]!, 0);
  const conditional = (of: Sum, other: Sum) => {
    const inverse = solve(
      matrix,
      read.map(({ sum }) => covariance(sum, other)),
    ).solution;
    return covariance(of, other) - read.reduce((total, { sum }, i) => total + covariance(sum, of) * inverse[i]!, 0);
  };
  const mean = (of: Sum) => of.constant + read.reduce((total, { sum }, i) => total + covariance(sum, of) * solution[i]!, 0);
  return {
    log: -0.5 * (n * Math.log(2 * Math.PI) + logDeterminant + quadratic),
    state: [mean(level), mean(floor), conditional(level, level), conditional(level, floor), conditional(floor, floor)],
  };
}

/** Gaussian elimination with pivots. */
function solve(matrix: readonly (readonly number[])[], right: readonly number[]) {
  const rows = matrix.map((row, i) => [...row, right[i]!]);
  let logDeterminant = 0;
  for (let i = 0; i < rows.length; i++) {
    const pivot = rows.slice(i).reduce((best, row, k) => (Math.abs(row[i]!) > Math.abs(rows[best]![i]!) ? i + k : best), i);
    [rows[i], rows[pivot]] = [rows[pivot]!, rows[i]!];
    logDeterminant += Math.log(Math.abs(rows[i]![i]!));
    for (let k = i + 1; k < rows.length; k++) {
      const by = rows[k]![i]! / rows[i]![i]!;
      for (let l = i; l <= rows.length; l++) rows[k]![l]! -= by * rows[i]![l]!;
    }
  }
  const solution = new Array<number>(rows.length).fill(0);
  for (let i = rows.length - 1; i >= 0; i--)
    solution[i] = (rows[i]![rows.length]! - solution.reduce((sum, each, k) => (k > i ? sum + rows[i]![k]! * each : sum), 0)) / rows[i]![i]!;
  return { solution, logDeterminant };
}

const parameters = (z: readonly number[]) => {
  const theta = new Float64Array(DIMENSIONS);
  parametersFrom(z, 0, 8, theta);
  return theta;
};
const numbers = fc.array(fc.double({ min: -2.5, max: 2.5, noNaN: true }), { minLength: DIMENSIONS, maxLength: DIMENSIONS });

test('likelihood and state are those of the same Gaussian solved at once', () => {
  fc.assert(
    fc.property(
      fc.integer(),
      numbers,
      fc.integer({ min: 1, max: 9 }),
      fc.array(fc.constantFrom('same day', 'reset', 'no before', 'plain'), { minLength: 9, maxLength: 9 }),
      (seed, z, visits, kinds) => {
        const { course } = madeAthlete(seeded(seed), visits);
        let shift = 0;
        const occasions = course.occasions.map((each, i) => {
          const kind = i === 0 ? 'plain' : kinds[i]!;
          if (kind === 'same day') shift += each.day - course.occasions[i - 1]!.day;
          const { dayVariance, ...rest } = { ...each, day: each.day - shift };
          return {
            ...rest,
            ...(kind === 'same day' ? {} : { dayVariance: dayVariance! }),
            ...(kind === 'reset' ? { reset: true } : {}),
            ...(kind === 'no before' ? { before: null } : {}),
          };
        });
        const theta = parameters(z);
        const state = new Float64Array(STATE);
        const log = filter(pack({ ...course, occasions }), theta, 0, state);
        const whole = atOnce({ ...course, occasions }, theta);
        expect(log).toBeCloseTo(whole.log, 6);
        for (const [i, each] of whole.state.entries()) expect(state[i]!).toBeCloseTo(each, 5);
      },
    ),
    { numRuns: 60 },
  );
});

test('with nothing read the log-likelihood is 0 and the level lies about the floor that is usual', () => {
  const state = new Float64Array(STATE);
  const theta = parameters([0, 0, 0, 0, 0, 0]);
  expect(filter(pack({ ground: { floorMean: 60, floorSd: 10, fullGain: 8 }, occasions: [] }), theta, 0, state)).toBe(0);
  expect([...state]).toEqual([60, 60, 100 + (FIRST_OFF * theta[ROOM]!) ** 2, 100, 100]);
});

test.each([
  [
    'days that run backward',
    {
      occasions: [
        { day: 3, usualGain: 0, before: null, after: null },
        { day: 2, usualGain: 0, before: null, after: null },
      ],
    },
  ],
  ['a negative gain', { occasions: [{ day: 0, usualGain: -1, before: null, after: null }] }],
  ['an error of nothing', { occasions: [{ day: 0, usualGain: 0, before: { value: 3, variance: 0 }, after: null }] }],
  ['a value that is none', { occasions: [{ day: 0, usualGain: 0, before: { value: Number.NaN, variance: 1 }, after: null }] }],
  ['more home work than days', { occasions: [{ day: 0, usualGain: 0, before: null, after: null, homeShare: 1.2 }] }],
  ['no usual gain', { ground: { floorMean: 0, floorSd: 1, fullGain: 0 } }],
])('%s is refused', (_what, other) => {
  expect(() => pack({ ground: { floorMean: 60, floorSd: 10, fullGain: 8 }, occasions: [], ...other })).toThrow(RangeError);
});
