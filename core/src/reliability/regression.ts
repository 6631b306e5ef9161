/** A straight line through points: y = intercept + slope · x. */
export interface Line {
  readonly n: number;
  readonly intercept: number;
  readonly slope: number;
  /** Standard deviation of what the line leaves over, with n − 2 degrees of freedom. */
  readonly residualSd: number;
  readonly slopeError: number;
}

/**
 * Ordinary least squares. Sums are taken about the means, so that large, close-lying values keep their digits.
 * Throws a RangeError for fewer than three points or when all x are the same.
 * @example fitLine([{ x: 0, y: 1 }, { x: 1, y: 3 }, { x: 2, y: 5 }]).slope // → 2.000
 */
export function fitLine(points: readonly { readonly x: number; readonly y: number }[]): Line {
  const n = points.length;
  if (n < 3) throw new RangeError('A line needs at least three points.');
  const meanX = points.reduce((sum, { x }) => sum + x, 0) / n;
  const meanY = points.reduce((sum, { y }) => sum + y, 0) / n;
  let [sxx, sxy] = [0, 0];
  for (const { x, y } of points) {
    sxx += (x - meanX) ** 2;
    sxy += (x - meanX) * (y - meanY);
  }
  if (!(sxx > 0)) throw new RangeError('A line needs points that differ in x.');
  const slope = sxy / sxx;
  const intercept = meanY - slope * meanX;
  const left = points.reduce((sum, { x, y }) => sum + (y - meanY - slope * (x - meanX)) ** 2, 0);
  const residualSd = Math.sqrt(left / (n - 2));
  return { n, intercept, slope, residualSd, slopeError: residualSd / Math.sqrt(sxx) };
}
