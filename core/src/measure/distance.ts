const DEG_PER_RAD = 180 / Math.PI;

/**
 * The angle, in degrees, that a distance gained at the end of a lever stands for: 2 · asin(gain / (2 · lever)).
 * Both in the same unit of length. Throws a RangeError when the lever is not positive or the gain is
 * longer than the lever can sweep (twice its length).
 * @example gainToAngleDeg(5, 90) // → 3.184
 */
export function gainToAngleDeg(gain: number, lever: number): number {
  if (!(lever > 0)) throw new RangeError('A lever has a positive length.');
  if (!(Math.abs(gain) <= 2 * lever)) throw new RangeError('The distance is longer than this lever can sweep.');
  return 2 * Math.asin(gain / (2 * lever)) * DEG_PER_RAD;
}

/**
 * The distance the end of a lever travels for an angle in degrees; the inverse of `gainToAngleDeg`
 * between −180° and 180°. In the lever's unit.
 * @example angleToGain(60, 90) // → 90.000
 */
export function angleToGain(angleDeg: number, lever: number): number {
  if (!(lever > 0)) throw new RangeError('A lever has a positive length.');
  if (!(Math.abs(angleDeg) <= 180)) throw new RangeError('An angle between −180° and 180° is needed.');
  return 2 * lever * Math.sin(angleDeg / 2 / DEG_PER_RAD);
}
