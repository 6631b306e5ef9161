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

/** How far the toe lies ahead of the ankle, as a share of the shin: foot and shank of Drillis and Contini (1966), recalled from memory. */
const TOE_AHEAD = 0.46;

/**
 * The tilt of the shin from upright, in degrees, for a distance of the toe from the wall while the knee touches it: the knee lies that
 * distance and the length of the foot ahead of the ankle, on a circle about it with the shin's own length. All in one unit of length.
 * Throws a RangeError for a shin that is not positive or a distance the shin cannot reach.
 * @example shinTilt(0, 40) // → 27.387
 */
export function shinTilt(toeToWall: number, shin: number): number {
  if (!(shin > 0)) throw new RangeError('A shin has a positive length.');
  const ahead = toeToWall + TOE_AHEAD * shin;
  if (!(Math.abs(ahead) <= shin)) throw new RangeError('The distance is longer than this shin can reach.');
  return Math.asin(ahead / shin) * DEG_PER_RAD;
}
