import type { Instrument, Joint, Motion } from '../body/index.ts';
import { tQuantile } from '../quantile/index.ts';

/** The 97.5 % point of the normal distribution, as printed in Weir 2005. */
const Z95 = 1.96;

/** What an error is for: two values of one sitting (before and after, left and right), or of two days. */
export type ErrorFor = 'within' | 'between';

/** Where a standard error of measurement comes from, so that the screen can say it. */
export interface ErrorOfMeasurement {
  /** In the motion's unit, for the value of one visit by one examiner: the mean of its trials. */
  readonly sem: number;
  readonly source: string;
  /** Degrees of freedom behind it; a default has none to count and is taken as it is. */
  readonly df: number;
  /** Whether it is the examiner's own and not a default. */
  readonly own: boolean;
}

const RECALLED = 'default, recalled from memory; order of magnitude';
const byDefault = (sem: number, source = RECALLED): ErrorOfMeasurement => ({ sem, source, df: Number.POSITIVE_INFINITY, own: false });

/** Default SEM by joint for angles, degrees. */
const ANGLE_SEM: Record<'spine' | 'small' | 'goniometer' | 'inclinometer', ErrorOfMeasurement> = {
  /** Printed for toes; finger joints are taken to be no better. */
  small: byDefault(5),
  spine: byDefault(3.5),
  goniometer: byDefault(3),
  inclinometer: byDefault(2),
};

/** Default SEM of distances by what the tape measures, centimetres. Recalled from memory, order of magnitude. */
const TAPE_SEM: Record<string, ErrorOfMeasurement> = {
  'knee-to-wall': byDefault(0.6),
  'arch-drop': byDefault(0.15),
  'chin-to-chest': byDefault(0.4),
  'acromion-to-table': byDefault(0.6),
  'fingertip-to-floor': byDefault(1.5),
};
const TAPE_SEM_OTHER = byDefault(1.5, 'default, assumed: no source');

const SMALL_JOINTS: ReadonlySet<Joint> = new Set(['toes', 'fingers']);

/**
 * The standard error of measurement used for a motion with an instrument until the examiner has an own one: for the mean of three
 * trials, against a value of the same sitting.
 * @example defaultSem(motion, 'goniometer').sem // → 3
 */
export function defaultSem(motion: Pick<Motion, 'id' | 'joint' | 'unit'>, instrument: Instrument): ErrorOfMeasurement {
  if (motion.unit === 'cm') return TAPE_SEM[motion.id] ?? TAPE_SEM_OTHER;
  if (SMALL_JOINTS.has(motion.joint)) return ANGLE_SEM.small;
  if (motion.joint === 'neck' || motion.joint === 'trunk') return ANGLE_SEM.spine;
  return instrument === 'inclinometer' || instrument === 'paired sensors' ? ANGLE_SEM.inclinometer : ANGLE_SEM.goniometer;
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

/** A standard error with the degrees of freedom behind it; left out, it is known as well as can be. */
export interface Uncertain {
  readonly sem: number;
  readonly df?: number;
}

/**
 * The MDC95 where the errors themselves are only estimates: Student's t in place of 1.96, with the degrees of freedom of
 * Satterthwaite for two different estimates and those of the study where both values carry the same one. In the unit of the SEMs.
 * Source: Satterthwaite FE. Biometrics Bulletin 1946;2:110–114, recalled from memory.
 * @example detectable({ sem: 3 }, { sem: 3 }) // → 8.316
 */
export function detectable(a: Uncertain, b: Uncertain): number {
  const [dfA, dfB] = [a.df ?? Number.POSITIVE_INFINITY, b.df ?? Number.POSITIVE_INFINITY];
  const [va, vb] = [a.sem ** 2, b.sem ** 2];
  const df = dfA === dfB ? dfA : (va + vb) ** 2 / (va ** 2 / dfA + vb ** 2 / dfB);
  // Also refuses what is no error at all.
  const plain = mdc95(a.sem, b.sem);
  return Number.isFinite(df) && df < 1e6 ? (plain / Z95) * tQuantile(0.975, Math.max(1, df)) : plain;
}

/**
 * Half-width of the 95 % band around one measured value: 1.96 · SEM, in the unit of the SEM.
 * @example band95(2) // → 3.92
 */
export function band95(sem: number): number {
  return Z95 * sem;
}
