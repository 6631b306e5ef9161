import { seeded } from '../random/index.ts';
import { GROUND, madeAthlete } from '../testing/athletes.ts';
import {
  DIMENSIONS,
  ENOUGH_ESS,
  expectedOf,
  filter,
  KEPT,
  learn,
  ownShare,
  pack,
  parametersFrom,
  pooled,
  RESPONSE,
  ROOM,
  STATE,
  type Course,
  type Known,
  type Usual,
} from './index.ts';

const meanOf = ({ count, z, weights }: Known, k: number) => {
  let [mean, square] = [0, 0];
  for (let i = 0; i < count; i++) {
    mean += weights[i]! * z[i * DIMENSIONS + k]!;
    square += weights[i]! * z[i * DIMENSIONS + k]! ** 2;
  }
  return { mean, sd: Math.sqrt(square - mean ** 2) };
};

test.each([1, 2, 3])('importance sampling agrees with a dense grid (athlete %d)', (seed) => {
  // Three numbers free, three all but fixed: a grid of 49³ points is dense in three.
  const free: readonly number[] = [ROOM, RESPONSE, KEPT];
  const usual: Usual = {
    mean: new Float64Array(DIMENSIONS),
    sd: Float64Array.from({ length: DIMENSIONS }, (_, k) => (free.includes(k) ? 1 : 1e-4)),
  };
  const { course } = madeAthlete(seeded(seed), 12);
  const packed = pack(course);
  const z = new Float64Array(DIMENSIONS);
  const theta = new Float64Array(DIMENSIONS);
  const state = new Float64Array(STATE);
  const steps = Array.from({ length: 49 }, (_, i) => -4.5 + (9 * i) / 48);
  const points: { at: readonly number[]; log: number }[] = [];
  for (const a of steps)
    for (const b of steps)
      for (const c of steps) {
        z.fill(0);
        [z[ROOM], z[RESPONSE], z[KEPT]] = [a, b, c];
        parametersFrom(z, 0, GROUND.fullGain, theta);
        points.push({ at: [a, b, c], log: filter(packed, theta, 0, state) - 0.5 * (a * a + b * b + c * c) });
      }
  const top = points.reduce((most, { log }) => Math.max(most, log), -Infinity);
  const sum = points.reduce((total, { log }) => total + Math.exp(log - top), 0);
  const known = learn(course, usual, seed);
  expect(known.ess).toBeGreaterThan(ENOUGH_ESS);
  for (const [i, k] of free.entries()) {
    const mean = points.reduce((total, { at, log }) => total + Math.exp(log - top) * at[i]!, 0) / sum;
    const sd = Math.sqrt(points.reduce((total, { at, log }) => total + Math.exp(log - top) * (at[i]! - mean) ** 2, 0) / sum);
    const found = meanOf(known, k);
    // Four times the error of a mean of so many draws.
    expect(Math.abs(found.mean - mean)).toBeLessThan((4 * sd) / Math.sqrt(known.ess));
    expect(found.sd / sd).toBeGreaterThan(0.85);
    expect(found.sd / sd).toBeLessThan(1.15);
  }
});

test('the same readings and seed give the same draws; weights sum to one; enough of them count', () => {
  for (let seed = 1; seed < 40; seed++) {
    const { course } = madeAthlete(seeded(seed), 1 + (seed % 25));
    const known = learn(course, undefined, seed);
    expect(known.weights.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    expect(known.ess).toBeGreaterThan(ENOUGH_ESS);
    expect(learn(course, undefined, seed).weights).toEqual(known.weights);
  }
});

test('nothing read: what is usual, and nothing of one’s own; many visits: much', () => {
  const none = learn({ ground: GROUND, occasions: [] });
  for (let k = 0; k < DIMENSIONS; k++) {
    expect(Math.abs(meanOf(none, k).mean)).toBeLessThan(0.15);
    expect(Math.abs(meanOf(none, k).sd - 1)).toBeLessThan(0.15);
  }
  expect(ownShare(none)).toBe(0);
  const shares = [2, 8, 40].map((visits) => {
    const found = Array.from({ length: 30 }, (_, i) => ownShare(learn(madeAthlete(seeded(i), visits).course)));
    return found.reduce((a, b) => a + b, 0) / found.length;
  });
  expect(shares[0]!).toBeLessThan(0.45);
  expect(shares[1]!).toBeGreaterThan(shares[0]!);
  expect(shares[2]!).toBeGreaterThan(0.45);
});

describe('pooling', () => {
  test('expected of one from all others is what the whole Gaussian says, solved at once', () => {
    const random = seeded(3);
    const series = Array.from({ length: 9 }, (_, i) => ({
      athleteId: `a${i % 4}`,
      said: i % 5 === 4 ? null : { value: 4 * random() - 2, variance: 0.2 + 3 * random() },
    }));
    const alike = (i: number, j: number) => 0.2 + (series[i]!.athleteId === series[j]!.athleteId ? 0.3 : 0) + (i === j ? 0.5 : 0);
    const found = expectedOf(series);
    for (let i = 0; i < series.length; i++) {
      const others = series.flatMap(({ said }, j) => (j !== i && said ? [{ j, said }] : []));
      // Conditioning one reading after the other, on the joint covariance of everybody.
      const n = series.length;
      const mean = new Array<number>(n).fill(0);
      const matrix = Array.from({ length: n }, (_, a) => Array.from({ length: n }, (__, b) => alike(a, b)));
      for (const { j, said } of others) {
        const spread = matrix[j]![j]! + said.variance;
        const gains = matrix.map((row) => row[j]! / spread);
        const off = said.value - mean[j]!;
        const row = [...matrix[j]!];
        for (let a = 0; a < n; a++) {
          mean[a]! += gains[a]! * off;
          for (let b = 0; b < n; b++) matrix[a]![b]! -= gains[a]! * row[b]!;
        }
      }
      expect(found[i]!.mean).toBeCloseTo(mean[i]!, 9);
      expect(found[i]!.variance).toBeCloseTo(matrix[i]![i]!, 9);
    }
    expect(expectedOf([{ athleteId: 'a', said: null }])).toEqual([{ mean: 0, variance: 1 }]);
  });

  test('a practice in which everybody answers little makes a newcomer expected to answer less, and widens nobody', () => {
    const random = seeded(8);
    const series = (athleteId: string, course: Course) => ({ athleteId, course, known: learn(course) });
    const little = Array.from({ length: 12 }, (_, i) => series(`a${i}`, madeAthlete(random, 15, { noAnswer: true }).course));
    const newcomer = series('new', { ground: GROUND, occasions: [] });
    const [alone, together] = [newcomer.known, pooled([...little, newcomer]).at(-1)!].map((known) => meanOf(known, RESPONSE));
    expect(together!.mean).toBeLessThan(alone!.mean - 0.4);
    expect(together!.sd).toBeLessThan(alone!.sd);
    for (const known of pooled([...little, newcomer])) expect(known.ess).toBeGreaterThan(ENOUGH_ESS);
  });
});
