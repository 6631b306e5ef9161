import type { Instrument, Motion } from '../body/index.ts';
import { defaultSem, type ErrorFor, type ErrorOfMeasurement } from './error.ts';

/** An examiner's own error for one motion with one instrument, from a finished repeatability study of single trials. */
export interface OwnError {
  readonly examinerId: string;
  readonly motionId: string;
  readonly instrument: Instrument;
  /** Of one trial, in the motion's unit. */
  readonly sem: number;
  /** Whether its trials were read on one day, or each on a day of its own. */
  readonly spacing?: 'one-day' | 'days-apart';
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
  /** Standard deviation of the difference from one side to another: what one person may differ by on top of the mean. */
  readonly sd?: number;
  /** Whether the practice wants it taken into account when values of both are compared. */
  readonly used: boolean;
  readonly pairs: number;
  readonly on: string;
}

/** How two examiners differ on one motion with one instrument, from a repeatability study that both read in. */
export interface ExaminerShift {
  readonly motionId: string;
  readonly instrument: Instrument;
  readonly first: string;
  readonly second: string;
  readonly bias: number;
  readonly biasError: number;
  readonly sd: number;
  readonly pairs: number;
  readonly on: string;
}

/** What a practice knows of its own measuring. */
export interface ErrorKnowledge {
  readonly own: readonly OwnError[];
  readonly shifts: readonly InstrumentShift[];
  readonly examiners?: readonly ExaminerShift[];
}

export const NOTHING_KNOWN: ErrorKnowledge = { own: [], shifts: [] };

/** How a value was read: with what, by whom (null when that was not kept), and how many trials it is the mean of. */
export interface ReadBy {
  readonly instrument: Instrument;
  readonly examinerId: string | null;
  /** Three where it is not said: the usual number. */
  readonly trialCount?: number;
}

/** A study that repeats to the last degree still has the error of rounding: half a scale step, evenly spread. */
const LEAST_SEM = { deg: 1 / Math.sqrt(12), cm: 0.1 / Math.sqrt(12) } as const;

/**
 * The parts of the variance of one trial of one sitting. Common practice, order of magnitude: half of it is set-up, which stays however
 * often one reads, half is the trial itself, which shrinks with their number; from day to day the SEM of a mean of three is half as
 * large again, so a day adds a part of its own. They are stated with every verdict that rests on them.
 */
const SET_UP_PART = 0.5;
const TRIAL_PART = 0.5;
const DAY_RATIO = 1.5;
const USUAL_TRIALS = 3;
const sitting = (trials: number): number => SET_UP_PART + TRIAL_PART / trials;
/** So that √(sitting(3) + day) is 1.5 times √sitting(3). */
const DAY_PART = (DAY_RATIO ** 2 - 1) * sitting(USUAL_TRIALS);

/**
 * The standard error of measurement of a value for one kind of question.
 *
 * The model. A reading is the truth, plus a part of the day, plus a part of the set-up, plus the mean of its trials' own scatter.
 * Within one sitting the part of the day is the same for both values and falls out. A study of one day knows set-up and trial
 * together; one whose trials lie days apart knows all three. What a study does not know comes in with the stated share above, and the
 * source says so. The examiner's own, of the latest study, replaces the default as soon as there is one.
 * @example errorOf(motion, { instrument: 'goniometer', examinerId: null }, NOTHING_KNOWN, 'within').sem // → 3
 */
export function errorOf(
  motion: Pick<Motion, 'id' | 'joint' | 'unit'>,
  { instrument, examinerId, trialCount = USUAL_TRIALS }: ReadBy,
  known: ErrorKnowledge,
  question: ErrorFor,
): ErrorOfMeasurement {
  const trials = Math.max(1, trialCount);
  const share = sitting(trials) + (question === 'between' ? DAY_PART : 0);
  const own = known.own
    .filter((each) => each.examinerId === examinerId && each.motionId === motion.id && each.instrument === instrument)
    .reduce<OwnError | null>((latest, each) => (latest === null || each.on >= latest.on ? each : latest), null);
  if (!own) {
    const standard = defaultSem(motion, instrument);
    return {
      ...standard,
      sem: standard.sem * Math.sqrt(share / sitting(USUAL_TRIALS)),
      source: question === 'between' ? `${standard.source}, with a day-to-day part of ${DAY_RATIO} times` : standard.source,
    };
  }
  const daysApart = own.spacing === 'days-apart';
  // The variance of one trial of one sitting, which all shares are of.
  const one = own.sem ** 2 / (1 + (daysApart ? DAY_PART : 0));
  const words = daysApart
    ? question === 'within'
      ? ', days apart: within one sitting less, by a default share'
      : ', days apart'
    : question === 'between'
      ? `, one day, with a default day-to-day part of ${DAY_RATIO} times: it may be smaller than the truth until you repeat on another day`
      : ', one day';
  return {
    sem: Math.max(Math.sqrt(one * share), LEAST_SEM[motion.unit]),
    df: Math.max(1, (own.sides - 1) * (own.trials - 1)),
    own: true,
    source: `own, ${own.sides} sides × ${own.trials} trials on ${own.on}${words}`,
  };
}

/** What has to be known before values read with two instruments are compared. */
export interface InstrumentChange {
  readonly from: Instrument;
  readonly to: Instrument;
  /** What has to be added to the earlier value to stand for the later instrument; null when nobody compared the two. */
  readonly correction: number | null;
  readonly correctionError: number;
  readonly used: boolean;
  /** Pairs behind it; none where nobody compared. */
  readonly pairs: number;
}

type Shift = Pick<InstrumentShift, 'bias' | 'biasError' | 'on' | 'pairs'> & { readonly sd?: number | undefined };
const latest = <T extends { readonly on: string }>(all: readonly T[]): T | null =>
  all.reduce<T | null>((last, each) => (last === null || each.on >= last.on ? each : last), null);

/**
 * What a shift adds to the error of one person's value: the error of the mean difference, and what people scatter around it beyond
 * the measuring errors that both values carry anyway.
 */
function shiftError({ bias: _bias, biasError, sd = 0 }: Shift, semOfPair: number): number {
  return Math.hypot(biasError, Math.sqrt(Math.max(0, sd ** 2 - semOfPair ** 2)));
}

/**
 * Whether two values were read with different instruments, and what an agreement study says of it; null for the same one. The error
 * of the two values of a pair in that study is taken from `semOfPair`, so that it is not counted twice.
 * @example instrumentChange('hip-flexion', 'tape', 'tape', NOTHING_KNOWN) // → null
 */
export function instrumentChange(
  motionId: string,
  from: Instrument,
  to: Instrument,
  known: ErrorKnowledge,
  semOfPair = 0,
): InstrumentChange | null {
  if (from === to) return null;
  const study = latest(
    known.shifts.filter(
      (each) => each.motionId === motionId && ((each.first === from && each.second === to) || (each.first === to && each.second === from)),
    ),
  );
  if (!study) return { from, to, correction: null, correctionError: 0, used: false, pairs: 0 };
  // Bias is first − second: a value of the first becomes one of the second by taking it away.
  return {
    from,
    to,
    correction: study.first === from ? -study.bias : study.bias,
    correctionError: shiftError(study, semOfPair),
    used: study.used,
    pairs: study.pairs,
  };
}

/** What stands between two values before they may be compared. */
export type Between =
  | { readonly kind: 'alike' }
  /** Added to the earlier value, with the error of doing so and the degrees of freedom behind it. */
  | { readonly kind: 'shifted'; readonly correction: number; readonly error: number; readonly df: number }
  | { readonly kind: 'cannot-tell'; readonly because: 'another instrument' | 'another examiner' };

/**
 * Whether two values can be compared: read alike, or with a difference that somebody has studied. A change of instrument or examiner
 * that nobody has studied tells nothing about the athlete. An examiner that was not kept counts as the same one.
 */
export function between(motion: Pick<Motion, 'id' | 'joint' | 'unit'>, from: ReadBy, to: ReadBy, known: ErrorKnowledge): Between {
  const pairError = (a: ReadBy, b: ReadBy) => Math.hypot(errorOf(motion, a, known, 'within').sem, errorOf(motion, b, known, 'within').sem);
  let [correction, variance, pairs] = [0, 0, Number.POSITIVE_INFINITY];
  if (from.instrument !== to.instrument) {
    const swap = instrumentChange(
      motion.id,
      from.instrument,
      to.instrument,
      known,
      pairError(from, { ...to, examinerId: from.examinerId }),
    );
    if (!swap?.used || swap.correction === null) return { kind: 'cannot-tell', because: 'another instrument' };
    correction += swap.correction;
    variance += swap.correctionError ** 2;
    pairs = Math.min(pairs, swap.pairs);
  }
  if (from.examinerId !== null && to.examinerId !== null && from.examinerId !== to.examinerId) {
    const study = latest(
      (known.examiners ?? []).filter(
        (each) =>
          each.motionId === motion.id &&
          each.instrument === to.instrument &&
          [each.first, each.second].includes(from.examinerId!) &&
          [each.first, each.second].includes(to.examinerId!),
      ),
    );
    if (!study) return { kind: 'cannot-tell', because: 'another examiner' };
    correction += study.first === from.examinerId ? -study.bias : study.bias;
    variance += shiftError(study, pairError(from, { ...to, instrument: from.instrument })) ** 2;
    pairs = Math.min(pairs, study.pairs);
  }
  return correction === 0 && variance === 0
    ? { kind: 'alike' }
    : { kind: 'shifted', correction, error: Math.sqrt(variance), df: Math.max(1, pairs - 1) };
}
