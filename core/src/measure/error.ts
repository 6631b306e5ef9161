import type { Instrument, Joint, Motion } from '../body/index.ts';

/** The 97.5 % point of the normal distribution, as printed in Weir 2005. */
const Z95 = 1.96;

/** Where a standard error of measurement comes from, so that the screen can say it. */
export interface ErrorOfMeasurement {
  /** In the motion's unit, for the mean of the trials of one visit by one examiner. */
  readonly sem: number;
  readonly source: string;
}

const RECALLED = 'default, recalled from memory; order of magnitude';

/** Default SEM by joint for angles, degrees. */
const ANGLE_SEM: Record<'spine' | 'small' | 'goniometer' | 'inclinometer', ErrorOfMeasurement> = {
  /** Printed for toes; finger joints are taken to be no better. */
  small: { sem: 5, source: RECALLED },
  spine: { sem: 3.5, source: RECALLED },
  goniometer: { sem: 3, source: RECALLED },
  inclinometer: { sem: 2, source: RECALLED },
};

/** Default SEM of distances, centimetres. */
const TAPE_SEM: Record<string, ErrorOfMeasurement> = {
  'knee-to-wall': { sem: 0.6, source: RECALLED },
};
const TAPE_SEM_OTHER: ErrorOfMeasurement = { sem: 1.5, source: 'default, assumed: no source' };

const SMALL_JOINTS: ReadonlySet<Joint> = new Set(['toes', 'fingers']);

/**
 * The standard error of measurement used for a motion with an instrument until the examiner has an own one.
 * @example defaultSem(motion, 'goniometer').sem // → 3
 */
export function defaultSem(motion: Pick<Motion, 'id' | 'joint' | 'unit'>, instrument: Instrument): ErrorOfMeasurement {
  if (motion.unit === 'cm') return TAPE_SEM[motion.id] ?? TAPE_SEM_OTHER;
  if (SMALL_JOINTS.has(motion.joint)) return ANGLE_SEM.small;
  if (motion.joint === 'neck' || motion.joint === 'trunk') return ANGLE_SEM.spine;
  return instrument === 'inclinometer' ? ANGLE_SEM.inclinometer : ANGLE_SEM.goniometer;
}

/**
 * Minimal detectable change at 95 %: how far two measured values must lie apart before the distance is
 * more than measuring error. With one SEM it is 1.96 · √2 · SEM; when the two values carry different
 * errors (another instrument, another side) it is 1.96 · √(SEM₁² + SEM₂²), which is the same for equal ones.
 * In the unit of the SEMs. Throws a RangeError for a SEM that is negative or not finite.
 * Source: Weir JP. J Strength Cond Res 2005;19:231–240.
 * @example mdc95(3) // → 8.316
 */
export function mdc95(sem: number, otherSem: number = sem): number {
  for (const value of [sem, otherSem]) {
    if (!Number.isFinite(value) || value < 0) throw new RangeError('A standard error of measurement is a finite number, zero or more.');
  }
  return Z95 * Math.hypot(sem, otherSem);
}

/**
 * Half-width of the 95 % band around one measured value: 1.96 · SEM, in the unit of the SEM.
 * @example band95(2) // → 3.92
 */
export function band95(sem: number): number {
  return Z95 * sem;
}
