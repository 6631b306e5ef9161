import { FADE, FIRST_OFF, FLOOR_WANDER, HOME, KEPT, RESPONSE, ROOM, WANDER } from './parameters.ts';
import type { Course } from './types.ts';

/** Taken once: looked up each time they are most of the work where a test has a global scope of its own. */
const { PI, exp, log } = Math;

/** Occasions as plain numbers, a row each, for a pass that is made thousands of times. */
export interface Packed {
  readonly rows: Float64Array;
  readonly count: number;
  readonly floorMean: number;
  readonly floorVariance: number;
  readonly fullGain: number;
}

/** From SEEN on: value and variance before work, then after it. */
const [GAP, HOME_SHARE, GAIN, SEEN, DAY_VARIANCE, RESET] = [0, 1, 2, 3, 7, 8] as const;
const WIDTH = 9;

/** Throws a RangeError for days that run backward, values that are no numbers, or an error that is not above zero. */
export function pack({ ground, occasions }: Course): Packed {
  if (!(ground.fullGain > 0) || !(ground.floorSd > 0) || !Number.isFinite(ground.floorMean))
    throw new RangeError('The usual gain of a visit and the spread of levels are above zero.');
  const rows = new Float64Array(occasions.length * WIDTH);
  for (const [i, each] of occasions.entries()) {
    const gap = i === 0 ? 0 : each.day - occasions[i - 1]!.day;
    if (!Number.isFinite(each.day) || gap < 0) throw new RangeError('Occasions come in the order of their days.');
    if (!(each.usualGain >= 0) || !Number.isFinite(each.usualGain)) throw new RangeError('A usual gain is zero or more.');
    for (const seen of [each.before, each.after])
      if (seen && (!Number.isFinite(seen.value) || !(seen.variance > 0)))
        throw new RangeError('A reading is a number and its error above zero.');
    const home = each.homeShare ?? 0;
    if (!(home >= 0 && home <= 1)) throw new RangeError('Home work is a share of the days, 0 to 1.');
    rows.set(
      [
        gap,
        home,
        each.usualGain,
        each.before?.value ?? Number.NaN,
        each.before?.variance ?? 1,
        each.after?.value ?? Number.NaN,
        each.after?.variance ?? 1,
        each.dayVariance ?? (i === 0 ? 0 : Number.NaN),
        each.reset === true ? 1 : 0,
      ],
      i * WIDTH,
    );
  }
  return {
    rows,
    count: occasions.length,
    floorMean: ground.floorMean,
    floorVariance: ground.floorSd ** 2,
    fullGain: ground.fullGain,
  };
}

/** Of the level held and where it settles, after the last occasion: means, variances, covariance. */
export const [LEVEL, FLOOR, LEVEL_VARIANCE, COVARIANCE, FLOOR_VARIANCE] = [0, 1, 2, 3, 4] as const;
export const STATE = 5;

const LOG_2PI = log(2 * PI);

/**
 * The log-likelihood of all readings given the parameters at `from`, and the state after the last occasion, written into `state` at `to`.
 *
 * The model, for one motion and side turned so that more is better. There is a held level x (before work), a floor b where it settles with
 * nothing done, and room d above it. A visit whose usual gain is u, answered with s times the usual, takes the level to
 *   a = x + s·u·(1 − (x − b)/d):
 * a full gain at the floor, none at the ceiling b + d, above it a small loss. Of that, the share κ is held: x⁺ = x + κ(a − x). Then it fades
 * toward the floor, faster the shorter τ, and home work on a share r of the days drips in with h a day, less the nearer the ceiling:
 *   dx/dt = −(x − b)/τ + r·h·(1 − (x − b)/d),
 * solved exactly over any gap (a drip and not one portion a day, so that gaps of any length add up; the two differ by less than h/τ), with
 * noise of variance q²·Δ. From visit to visit the floor shifts as well, by normal steps of a stated share of that noise (with a share of 0
 * it stands still; then a slow change of the season is sooner taken for knowledge, and bands are narrower than they may be). A reading before
 * work is x, one after it a, each with its own error, and both with the part of the day they share.
 *
 * Given d, s, κ, τ, h and q all of this is linear in (x, b, part of the day) and every error normal. So the Kalman filter gives the likelihood
 * and the state exactly, b included: b need not be drawn, and only six numbers are left to integrate over. Beforehand b is normal as the
 * ground says and x lies about it by a fifth of the room. After an operation or an injury both are unknown anew, as at the beginning.
 *
 * Limits. The answer to a visit is one number for all ways of working; one visit does not differ from the next beyond what was done in it;
 * errors are taken as normal and as known. What that costs on athletes who do not follow the model is measured with the calibration.
 */
export function filter(packed: Packed, theta: ArrayLike<number>, from: number, state: Float64Array, to = 0): number {
  const { rows, count, floorMean, floorVariance } = packed;
  const room = theta[from + ROOM]!;
  const response = theta[from + RESPONSE]!;
  const kept = theta[from + KEPT]!;
  const fade = theta[from + FADE]!;
  const home = theta[from + HOME]!;
  const wander = theta[from + WANDER]! ** 2;
  const offVariance = (FIRST_OFF * room) ** 2;
  // Means of level, floor and the day's part; their variances and covariances.
  let [x, b, day] = [floorMean, floorMean, 0];
  let [xx, xb, bb] = [floorVariance + offVariance, floorVariance, floorVariance];
  let [xd, bd, dd] = [0, 0, 0];
  let sum = 0;
  // One logarithm of a product in place of many: folded before it leaves what a number can hold.
  let [product, readings] = [1, 0];
  for (let i = 0, at = 0; i < count; i++, at += WIDTH) {
    const gap = rows[at + GAP]!;
    if (gap > 0) {
      const drip = rows[at + HOME_SHARE]! * home;
      const rate = 1 / fade + drip / room;
      const stays = exp(-rate * gap);
      const fades = 1 - stays;
      x = stays * x + fades * (b + drip / rate);
      xx = stays * stays * xx + 2 * stays * fades * xb + fades * fades * bb + wander * gap;
      xb = stays * xb + fades * bb;
      xd = stays * xd + fades * bd;
      bb += FLOOR_WANDER ** 2 * wander * gap;
    }
    if (rows[at + RESET] === 1) {
      x = b = floorMean;
      xx = floorVariance + offVariance;
      xb = bb = floorVariance;
      xd = bd = 0;
    }
    const dayVariance = rows[at + DAY_VARIANCE]!;
    if (dayVariance >= 0) {
      day = 0;
      xd = bd = 0;
      dd = dayVariance;
    }
    const gain = response * rows[at + GAIN]!;
    const slope = gain / room;
    // A reading before work is one after work that did nothing.
    for (let moment = 0; moment < 2; moment++) {
      const value = rows[at + SEEN + 2 * moment]!;
      if (value !== value) continue;
      const tilt = moment * slope;
      const rest = 1 - tilt;
      const hx = rest * xx + tilt * xb + xd;
      const hb = rest * xb + tilt * bb + bd;
      const hd = rest * xd + tilt * bd + dd;
      const spread = rest * hx + tilt * hb + hd + rows[at + SEEN + 2 * moment + 1]!;
      const off = value - (rest * x + tilt * b + moment * gain) - day;
      sum -= (off * off) / spread;
      product *= spread;
      readings += 1;
      const [gx, gb, gd] = [hx / spread, hb / spread, hd / spread];
      x += gx * off;
      b += gb * off;
      day += gd * off;
      xx -= gx * hx;
      xb -= gx * hb;
      xd -= gx * hd;
      bb -= gb * hb;
      bd -= gb * hd;
      dd -= gd * hd;
    }
    if (product > 1e100 || product < 1e-100) {
      sum -= log(product);
      product = 1;
    }
    const moved = kept * slope;
    if (moved !== 0) {
      const rest = 1 - moved;
      x = rest * x + moved * b + kept * gain;
      xx = rest * rest * xx + 2 * rest * moved * xb + moved * moved * bb;
      xb = rest * xb + moved * bb;
      xd = rest * xd + moved * bd;
    }
  }
  state[to + LEVEL] = x;
  state[to + FLOOR] = b;
  state[to + LEVEL_VARIANCE] = xx;
  state[to + COVARIANCE] = xb;
  state[to + FLOOR_VARIANCE] = bb;
  return 0.5 * (sum - log(product) - readings * LOG_2PI);
}
