import { DIMENSIONS as D } from './parameters.ts';

/** Taken once: looked up each time they are most of the work where a test has a global scope of its own. */
const { PI, log, log1p, sqrt } = Math;

/** Degrees of freedom: tails heavier than what is sought, so that no weight runs away. */
const DF = 5;

/** A multivariate Student distribution about a middle, from which numbers are drawn and whose density is known up to a constant. */
export interface Proposal {
  readonly middle: Float64Array;
  /** Lower triangle whose square is the scale, row by row. */
  readonly root: Float64Array;
  /** Logarithm of the density at the middle, without what all share. */
  readonly logTop: number;
}

/** Lower triangle L with L·Lᵀ = the matrix, row by row; throws a RangeError where there is none. */
export function cholesky(matrix: Float64Array): Float64Array {
  const root = new Float64Array(D * D);
  for (let i = 0; i < D; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i * D + j]!;
      for (let k = 0; k < j; k++) sum -= root[i * D + k]! * root[j * D + k]!;
      if (i === j) {
        if (!(sum > 0)) throw new RangeError('This is no covariance.');
        root[i * D + i] = sqrt(sum);
      } else root[i * D + j] = sum / root[j * D + j]!;
    }
  return root;
}

/** What a few draws say of a spread is too little; so much of the variance there was beforehand is always added. */
const WIDENED = 0.05;

/**
 * A proposal about weighted draws: their mean and covariance, widened a little. `weights` need not sum to one; every draw is a row of D.
 * `sd`: the deviations beforehand.
 */
export function proposalAbout(draws: Float64Array, weights: Float64Array, count: number, sd: ArrayLike<number>): Proposal {
  let total = 0;
  const middle = new Float64Array(D);
  for (let i = 0; i < count; i++) {
    const weight = weights[i]!;
    total += weight;
    for (let k = 0; k < D; k++) middle[k]! += weight * draws[i * D + k]!;
  }
  for (let k = 0; k < D; k++) middle[k]! /= total;
  const scale = new Float64Array(D * D);
  for (let i = 0; i < count; i++) {
    const weight = weights[i]! / total;
    if (weight === 0) continue;
    for (let k = 0; k < D; k++) {
      const off = weight * (draws[i * D + k]! - middle[k]!);
      for (let l = 0; l <= k; l++) scale[k * D + l]! += off * (draws[i * D + l]! - middle[l]!);
    }
  }
  for (let k = 0; k < D; k++) {
    for (let l = 0; l < k; l++) scale[l * D + k] = scale[k * D + l]!;
    scale[k * D + k]! += WIDENED * sd[k]! ** 2;
  }
  return proposal(middle, scale);
}

function proposal(middle: Float64Array, scale: Float64Array): Proposal {
  const root = cholesky(scale);
  let logTop = 0;
  for (let k = 0; k < D; k++) logTop -= log(root[k * D + k]!);
  return { middle, root, logTop };
}

/** Draws one row of D numbers into `out` at `to`. */
export function drawFrom({ middle, root }: Proposal, normal: () => number, out: Float64Array, to: number): void {
  let squares = 0;
  for (let k = 0; k < DF; k++) squares += normal() ** 2;
  const stretch = sqrt(DF / squares);
  const plain = [normal(), normal(), normal(), normal(), normal(), normal()];
  for (let k = 0; k < D; k++) {
    let sum = 0;
    for (let l = 0; l <= k; l++) sum += root[k * D + l]! * plain[l]!;
    out[to + k] = middle[k]! + stretch * sum;
  }
}

/** Γ((DF + D)/2) / (Γ(DF/2)·(DF·π)^(D/2)) against (2π)^(−D/2), so that it can stand beside a normal density without its constant. */
const LOG_CONSTANT = (() => {
  // Γ(11/2) / Γ(5/2) = 9/2 · 7/2 · 5/2, for five degrees of freedom and six dimensions.
  const gammas = log(4.5 * 3.5 * 2.5);
  return gammas - (D / 2) * log(DF * PI) + (D / 2) * log(2 * PI);
})();

const solved = new Float64Array(D);
/** Logarithm of the density at a row, times (2π)^(D/2). */
export function logDensity({ middle, root, logTop }: Proposal, draws: Float64Array, from: number): number {
  let distance = 0;
  for (let k = 0; k < D; k++) {
    let sum = draws[from + k]! - middle[k]!;
    for (let l = 0; l < k; l++) sum -= root[k * D + l]! * solved[l]!;
    solved[k] = sum / root[k * D + k]!;
    distance += solved[k]! ** 2;
  }
  return LOG_CONSTANT + logTop - ((DF + D) / 2) * log1p(distance / DF);
}
