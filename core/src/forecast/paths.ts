import { seeded } from '../random/index.ts';
import { COVARIANCE, FLOOR, FLOOR_VARIANCE, LEVEL, LEVEL_VARIANCE, STATE } from './filter.ts';
import { normals } from './normals.ts';
import { DIMENSIONS as D, FADE, FLOOR_WANDER, HOME, KEPT, RESPONSE, ROOM, WANDER } from './parameters.ts';
import type { Known } from './posterior.ts';

/** Taken once: looked up each time they are most of the work where a test has a global scope of its own. */
const { exp, floor, max, min, sqrt } = Math;

/** What will be done, in whole days from a first day. */
export interface Ahead {
  /** Days from the last occasion to the first day; home work on none of them. */
  readonly since: number;
  /** Visits, in order of day; each brings so much of the usual. */
  readonly visits: readonly { readonly day: number; readonly usualGain: number }[];
  /** Share of the days ahead on which home work is done, 0 to 1. */
  readonly homeShare: number;
  /** Days at which the level is wanted, in order; a visit of the same day is not yet in it. */
  readonly at: readonly number[];
}

export interface Paths {
  readonly count: number;
  readonly at: readonly number[];
  /** Levels of all paths at one of the days, after the other, sorted: `count` numbers for each of `at`. */
  readonly sorted: Float64Array;
  /** Levels on the last day by path, not sorted: path i of two schedules is the same athlete on the same days. */
  readonly last: Float64Array;
}

/** Paths in the order they are made, so that somebody who waits can be told how far it is. */
const CHUNK = 500;

/**
 * Levels of many possible futures. Each path is one draw of the parameters (the weighted draws, evenly gone through: systematic resampling,
 * Kitagawa 1996, recalled from memory), a level and floor drawn from what is known given them, and then the model of `filter` forward with
 * its noise, day by day. The noise between two visits adds up and does not fade before the next visit, as there. The same seed gives path i
 * the same athlete and the same days under every schedule: what differs between two schedules is the schedule.
 * Throws a RangeError for days that are not whole or not in order.
 */
export function pathsOf(known: Known, ahead: Ahead, count: number, seed: number, progress?: (share: number) => void): Paths {
  check(ahead, count);
  const levels = new Float64Array(count * ahead.at.length);
  const last = new Float64Array(count);
  const pickAt = seeded(seed)();
  const days = max(0, ahead.at.at(-1) ?? 0);
  let pick = 0;
  let sum = known.weights[0]!;
  for (let path = 0; path < count; path++) {
    while (sum < (path + pickAt) / count && pick < known.count - 1) sum += known.weights[++pick]!;
    walk(known, pick, ahead, days, normals(seeded(seed + 7919 * (path + 1))), levels, path, count);
    if (progress && (path + 1) % CHUNK === 0) progress((path + 1) / count);
  }
  if (ahead.at.length > 0) last.set(levels.subarray((ahead.at.length - 1) * count));
  for (let i = 0; i < ahead.at.length; i++) levels.subarray(i * count, (i + 1) * count).sort();
  return { count, at: ahead.at, sorted: levels, last };
}

function walk(
  { theta, states }: Known,
  draw: number,
  { since, visits, homeShare, at }: Ahead,
  days: number,
  normal: () => number,
  out: Float64Array,
  path: number,
  count: number,
): void {
  const [from, state] = [draw * D, draw * STATE];
  const room = theta[from + ROOM]!;
  const wander = theta[from + WANDER]!;
  const kept = theta[from + KEPT]!;
  const response = theta[from + RESPONSE]!;
  const drip = homeShare * theta[from + HOME]!;
  // Level and floor given the parameters: the floor first, then the level given it.
  let floor = states[state + FLOOR]! + sqrt(max(0, states[state + FLOOR_VARIANCE]!)) * normal();
  const variance = states[state + FLOOR_VARIANCE]!;
  const slope = variance > 0 ? states[state + COVARIANCE]! / variance : 0;
  const rest = max(0, states[state + LEVEL_VARIANCE]! - slope * states[state + COVARIANCE]!);
  const start = states[state + LEVEL]! + slope * (floor - states[state + FLOOR]!) + sqrt(rest) * normal();
  const still = 1 / theta[from + FADE]!;
  const rate = still + drip / room;
  let goal = floor + drip / rate;
  const stays = exp(-rate);
  // Up to the first day nothing is done.
  let level = floor + (start - floor) * exp(-still * since);
  let noise = wander * sqrt(since) * normal();
  let floorNoise = wander * sqrt(since) * normal();
  let [visit, want] = [0, 0];
  for (let day = 0; ; day++) {
    while (want < at.length && at[want] === day) out[want++ * count + path] = level + noise;
    if (day === days) return;
    while (visit < visits.length && visits[visit]!.day === day) {
      const gain = response * visits[visit++]!.usualGain;
      const before = level + noise;
      level = before + kept * gain * (1 - (before - floor) / room);
      noise = 0;
      floor += FLOOR_WANDER * floorNoise;
      goal = floor + drip / rate;
      floorNoise = 0;
    }
    level = goal + (level - goal) * stays;
    noise += wander * normal();
    floorNoise += wander * normal();
  }
}

function check({ since, visits, homeShare, at }: Ahead, count: number): void {
  if (!Number.isInteger(count) || count < 1) throw new RangeError('At least one path.');
  if (!(since >= 0)) throw new RangeError('The last occasion lies before the first day.');
  if (!(homeShare >= 0 && homeShare <= 1)) throw new RangeError('Home work is a share of the days, 0 to 1.');
  const ordered = (days: readonly number[]) =>
    days.every((day, i) => Number.isInteger(day) && day >= 0 && (i === 0 || day >= days[i - 1]!));
  if (!ordered(at) || !ordered(visits.map(({ day }) => day))) throw new RangeError('Days ahead are whole and in order.');
}

/** The level that a share of the paths does not pass at one of the days. */
export function levelAt(paths: Paths, day: number, share: number): number {
  const place = share * (paths.count - 1);
  const low = floor(place);
  const from = day * paths.count;
  const [a, b] = [paths.sorted[from + low]!, paths.sorted[from + min(paths.count - 1, low + 1)]!];
  return a + (place - low) * (b - a);
}

/** The share of paths at or above a level at one of the days. */
export function chanceOf(paths: Paths, day: number, level: number): number {
  let [low, high] = [day * paths.count, (day + 1) * paths.count];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (paths.sorted[middle]! < level) low = middle + 1;
    else high = middle;
  }
  return ((day + 1) * paths.count - low) / paths.count;
}
