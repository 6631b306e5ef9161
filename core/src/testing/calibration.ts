import { seeded } from '../random/index.ts';
import { DIMENSIONS, FLOOR, FLOOR_VARIANCE, learn, levelAt, PARAMETERS, pathsOf, STATE, type Known } from '../forecast/index.ts';
import { madeAthlete, type Otherwise } from './athletes.ts';

/** Taken once: looked up each time they are most of the work where a test has a global scope of its own. */
const { PI, exp, floor, max, min, sqrt } = Math;

/** Days after the last occasion on which a forecast is held against the truth. */
const AHEAD_DAYS = 28;
const PATHS = 1500;
export const BANDS = [0.5, 0.8, 0.95] as const;
/** What ranks are taken of: the six numbers, where the level settles, and the level four weeks on. */
export const RANKED = [...PARAMETERS.map(({ id }) => id as string), 'floor', 'forecast'] as const;

export interface Calibration {
  readonly athletes: number;
  /** Ranks between 0 and 1, a list for each of RANKED. */
  readonly ranks: readonly (readonly number[])[];
  /** How many truths four weeks on lay within each of BANDS. */
  readonly within: readonly number[];
  readonly leastEss: number;
}

/**
 * Simulation-based calibration: athletes are drawn from what is usual beforehand, read, and learned from; the share of the posterior below
 * the truth is then even between 0 and 1 if, and only if nothing of the chain is wrong. Source: Talts S et al. arXiv 1804.06788 (2018).
 */
export function calibrate(athletes: number, visits: number, seed: number, otherwise: Otherwise = {}): Calibration {
  const random = seeded(seed);
  const ranks: number[][] = RANKED.map(() => []);
  const within = BANDS.map(() => 0);
  let leastEss = Infinity;
  for (let i = 0; i < athletes; i++) {
    const { course, truth } = madeAthlete(random, visits, otherwise);
    const known = learn(course, undefined, seed + i);
    leastEss = min(leastEss, known.ess);
    for (let k = 0; k < DIMENSIONS; k++) ranks[k]!.push(rankOf(known, truth.z[k]!, k));
    ranks[DIMENSIONS]!.push(floorRank(known, truth.floor));
    const paths = pathsOf(known, { since: AHEAD_DAYS, visits: [], homeShare: 0, at: [0] }, PATHS, seed + i);
    const level = truth.levelOn(AHEAD_DAYS);
    ranks[DIMENSIONS + 1]!.push(paths.sorted.filter((each) => each < level).length / PATHS);
    for (const [b, band] of BANDS.entries())
      if (levelAt(paths, 0, (1 - band) / 2) <= level && level <= levelAt(paths, 0, (1 + band) / 2)) within[b]! += 1;
  }
  return { athletes, ranks, within, leastEss };
}

function rankOf({ count, z, weights }: Known, truth: number, parameter: number): number {
  let below = 0;
  for (let i = 0; i < count; i++) if (z[i * DIMENSIONS + parameter]! < truth) below += weights[i]!;
  return below;
}

/** Given the parameters the floor is normal; so the share below is a mean of normal tails. */
function floorRank({ count, states, weights }: Known, truth: number): number {
  let below = 0;
  for (let i = 0; i < count; i++)
    below += weights[i]! * normalShare((truth - states[i * STATE + FLOOR]!) / sqrt(states[i * STATE + FLOOR_VARIANCE]!));
  return below;
}

/** Share of a standard normal below a value, by Simpson's rule. */
function normalShare(value: number): number {
  const to = min(8, max(-8, value));
  const steps = 200;
  const h = to / steps;
  let sum = 0;
  for (let i = 0; i <= steps; i++) sum += (i === 0 || i === steps ? 1 : i % 2 ? 4 : 2) * exp(-0.5 * (i * h) ** 2);
  return 0.5 + ((h / 3) * sum) / sqrt(2 * PI);
}

/** χ² of ranks over twenty bins of equal width, 19 degrees of freedom. */
export function chiSquared(ranks: readonly number[]): number {
  const bins = new Array<number>(20).fill(0);
  for (const rank of ranks) bins[min(19, floor(rank * 20))]! += 1;
  const expected = ranks.length / 20;
  return bins.reduce((sum, each) => sum + (each - expected) ** 2 / expected, 0);
}
