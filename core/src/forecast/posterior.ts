import { seeded } from '../random/index.ts';
import { filter, pack, STATE } from './filter.ts';
import { normals } from './normals.ts';
import { DIMENSIONS as D, parametersFrom } from './parameters.ts';
import { drawFrom, logDensity, proposalAbout, type Proposal } from './proposal.ts';
import type { Course } from './types.ts';

/** Taken once: looked up each time they are most of the work where a test has a global scope of its own. */
const { exp, log } = Math;

/** What is usual of the six numbers beforehand: normal, each by itself. Left out, mean 0 and deviation 1. */
export interface Usual {
  readonly mean: ArrayLike<number>;
  readonly sd: ArrayLike<number>;
}
export const USUAL: Usual = { mean: new Float64Array(D), sd: new Float64Array(D).fill(1) };

/** What is known of one motion and side after its readings: draws with weights that sum to one. */
export interface Known {
  readonly count: number;
  /** The plain numbers, a row of D each; normal about 0 with deviation 1 beforehand. */
  readonly z: Float64Array;
  /** The parameters themselves, a row of D each. */
  readonly theta: Float64Array;
  /** Level and floor after the last occasion given the parameters, a row of STATE each. */
  readonly states: Float64Array;
  readonly weights: Float64Array;
  /** How many equally weighted draws these are worth. */
  readonly ess: number;
}

const FIRST = 500;
const MORE = 500;
const MOST_ROUNDS = 14;
/** Draws are added until they are worth so many equally weighted ones. */
const WANTED_ESS = 350;
/** With fewer than these the ends of bands are rough, and that is said. */
export const ENOUGH_ESS = 150;

/**
 * Integrates over the six numbers by importance sampling.
 *
 * Draws come first from what is usual beforehand. Where they are worth too few (ESS = 1/Σw², Kong 1992), a Student distribution about the
 * weighted draws becomes a further source, and so on. A draw's weight is prior × likelihood over the mixture of all sources so far, each by
 * its share of the draws, whichever source it came from (deterministic mixture: Veach E, Guibas LJ 1995; adaptive: Cornuet JM et al.
 * Scand J Stat 2012;39:798–812; recalled from memory), so early draws are not lost and no weight runs away where a source has no tail.
 * Weights that hardly any draw shares are flattened before a source is laid about them, until 60 draws count.
 */
export function learn(course: Course, usual: Usual = USUAL, seed = 1): Known {
  const packed = pack(course);
  const normal = normals(seeded(seed));
  const most = FIRST + MORE * (MOST_ROUNDS - 1);
  const z = new Float64Array(most * D);
  const theta = new Float64Array(most * D);
  const states = new Float64Array(most * STATE);
  const logs = new Float64Array(most);
  const logPrior = new Float64Array(most);
  const sources: { readonly count: number; readonly from: Proposal | null }[] = [];
  /** Sum over the sources of their number of draws times their density, by draw. */
  const mixture = new Float64Array(most);
  let count = 0;
  let weights = new Float64Array(0);
  let ess = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const source = round === 0 ? null : proposalAbout(z, flattened(weights, count), count, usual.sd);
    const from = count;
    count += round === 0 ? FIRST : MORE;
    for (let i = from; i < count; i++) {
      if (source) drawFrom(source, normal, z, i * D);
      else for (let k = 0; k < D; k++) z[i * D + k] = usual.mean[k]! + usual.sd[k]! * normal();
      parametersFrom(z, i * D, packed.fullGain, theta, i * D);
      logs[i] = filter(packed, theta, i * D, states, i * STATE);
      logPrior[i] = priorLog(usual, z, i * D);
      for (const earlier of sources) mixture[i]! += earlier.count * densityOf(earlier.from, logPrior[i]!, z, i * D);
    }
    sources.push({ count: count - from, from: source });
    for (let i = 0; i < count; i++) mixture[i]! += (count - from) * densityOf(source, logPrior[i]!, z, i * D);
    weights = weightsOf(logs, logPrior, mixture, count);
    ess = essOf(weights);
    if (ess >= WANTED_ESS) break;
  }
  return {
    count,
    z: z.subarray(0, count * D),
    theta: theta.subarray(0, count * D),
    states: states.subarray(0, count * STATE),
    weights,
    ess,
  };
}

/** Without the constant that all densities here leave out. */
function priorLog({ mean, sd }: Usual, z: Float64Array, from: number): number {
  let sum = 0;
  for (let k = 0; k < D; k++) sum -= log(sd[k]!) + 0.5 * ((z[from + k]! - mean[k]!) / sd[k]!) ** 2;
  return sum;
}

const densityOf = (source: Proposal | null, prior: number, z: Float64Array, from: number) =>
  exp(source ? logDensity(source, z, from) : prior);

function weightsOf(logs: Float64Array, prior: Float64Array, mixture: Float64Array, count: number): Float64Array<ArrayBuffer> {
  const weights = new Float64Array(count);
  let top = -Infinity;
  for (let i = 0; i < count; i++) {
    weights[i] = logs[i]! + prior[i]! - log(mixture[i]!);
    if (weights[i]! > top) top = weights[i]!;
  }
  let sum = 0;
  for (let i = 0; i < count; i++) sum += weights[i] = exp(weights[i]! - top);
  for (let i = 0; i < count; i++) weights[i]! /= sum;
  return weights;
}

export function essOf(weights: Float64Array): number {
  let squares = 0;
  for (const weight of weights) squares += weight * weight;
  return 1 / squares;
}

const FEWEST_TO_FIT = 60;
/** Weights raised to the largest power up to 1 under which at least so many draws count. */
function flattened(weights: Float64Array, count: number): Float64Array {
  let power = 1;
  let out = weights;
  while (power > 0.01 && essOf(out) < FEWEST_TO_FIT) {
    power *= 0.7;
    out = new Float64Array(count);
    let sum = 0;
    for (let i = 0; i < count; i++) sum += out[i] = weights[i]! ** power;
    for (let i = 0; i < count; i++) out[i]! /= sum;
  }
  return out;
}

/** The same draws under another opinion of what is usual: weights are changed, nothing is drawn. */
export function reweighed(known: Known, was: Usual, is: Usual): Known {
  const weights = new Float64Array(known.count);
  const logs = new Float64Array(known.count);
  let top = -Infinity;
  for (let i = 0; i < known.count; i++) {
    logs[i] = log(known.weights[i]!) + priorLog(is, known.z, i * D) - priorLog(was, known.z, i * D);
    if (logs[i]! > top) top = logs[i]!;
  }
  let sum = 0;
  for (let i = 0; i < known.count; i++) sum += weights[i] = exp(logs[i]! - top);
  for (let i = 0; i < known.count; i++) weights[i]! /= sum;
  return { ...known, weights, ess: essOf(weights) };
}
