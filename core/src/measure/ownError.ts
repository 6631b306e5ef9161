import type { Instrument, Motion } from '../body/index.ts';
import { defaultSem, type ErrorOfMeasurement } from './error.ts';

/** An examiner's own error for one motion with one instrument, from a finished repeatability study. */
export interface OwnError {
  readonly examinerId: string;
  readonly motionId: string;
  readonly instrument: Instrument;
  /** In the motion's unit. */
  readonly sem: number;
  /** How many sides and trials it rests on, and the day it was finished. */
  readonly sides: number;
  readonly trials: number;
  readonly on: string;
}

/** How two instruments differ on one motion, from a finished agreement study. */
export interface InstrumentShift {
  readonly motionId: string;
  readonly first: Instrument;
  readonly second: Instrument;
  /** First minus second, with its standard error, in the motion's unit. */
  readonly bias: number;
  readonly biasError: number;
  /** Whether the practice wants it taken into account when values of both are compared. */
  readonly used: boolean;
  readonly pairs: number;
  readonly on: string;
}

/** What a practice knows of its own measuring. */
export interface ErrorKnowledge {
  readonly own: readonly OwnError[];
  readonly shifts: readonly InstrumentShift[];
}

export const NOTHING_KNOWN: ErrorKnowledge = { own: [], shifts: [] };

/** How a value was read: with what, and by whom (null when that was not kept). */
export interface ReadBy {
  readonly instrument: Instrument;
  readonly examinerId: string | null;
}

/** A study that repeats to the last degree still has the error of rounding: half a scale step, evenly spread. */
const LEAST_SEM = { deg: 1 / Math.sqrt(12), cm: 0.1 / Math.sqrt(12) } as const;

/**
 * The standard error of measurement of a value: the examiner's own for that motion and instrument, of the latest study,
 * or the default when there is none. The default of an instrument the motion is not usually read with is still the
 * instrument's.
 * @example errorOf(motion, { instrument: 'goniometer', examinerId: null }, NOTHING_KNOWN).sem // → 3
 */
export function errorOf(motion: Pick<Motion, 'id' | 'joint' | 'unit'>, { instrument, examinerId }: ReadBy, known: ErrorKnowledge): ErrorOfMeasurement {
  const own = known.own
    .filter((each) => each.examinerId === examinerId && each.motionId === motion.id && each.instrument === instrument)
    .reduce<OwnError | null>((latest, each) => (latest === null || each.on >= latest.on ? each : latest), null);
  if (!own) return defaultSem(motion, instrument);
  return { sem: Math.max(own.sem, LEAST_SEM[motion.unit]), source: `own, ${own.sides} sides × ${own.trials} trials on ${own.on}` };
}

/** What has to be known before values read with two instruments are compared. */
export interface InstrumentChange {
  readonly from: Instrument;
  readonly to: Instrument;
  /** What has to be added to the earlier value to stand for the later instrument; null when nobody compared the two. */
  readonly correction: number | null;
  readonly correctionError: number;
  readonly used: boolean;
}

/**
 * Whether two values were read with different instruments, and what an agreement study says of it; null for the same one.
 * @example instrumentChange('hip-flexion', 'tape', 'tape', NOTHING_KNOWN) // → null
 */
export function instrumentChange(motionId: string, from: Instrument, to: Instrument, known: ErrorKnowledge): InstrumentChange | null {
  if (from === to) return null;
  const study = known.shifts
    .filter((each) => each.motionId === motionId && ((each.first === from && each.second === to) || (each.first === to && each.second === from)))
    .reduce<InstrumentShift | null>((latest, each) => (latest === null || each.on >= latest.on ? each : latest), null);
  if (!study) return { from, to, correction: null, correctionError: 0, used: false };
  // Bias is first − second: a value of the first becomes one of the second by taking it away.
  return { from, to, correction: study.first === from ? -study.bias : study.bias, correctionError: study.biasError, used: study.used };
}
