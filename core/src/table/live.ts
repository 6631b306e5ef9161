/**
 * What devices say while a run goes on: how hard they press against what was asked, and where the limb really is against the plan. Pure: samples
 * and a cue in, words and sums out; who listens to a device and who draws is somebody else's.
 */

/** Effort that counts as what was asked for, in percent of the strongest press. */
export interface EffortBand {
  readonly lowPct: number;
  readonly highPct: number;
}

/** A quarter of what is asked either way, and never less than five percent of the strongest: nobody holds a press steadier. Common practice. */
const BAND_SHARE = 0.25;
const BAND_LEAST_PCT = 5;

/**
 * The band around an effort that is asked for.
 * @example effortBand(20) // → { lowPct: 15, highPct: 25 }
 */
export function effortBand(askedPct: number): EffortBand {
  const half = Math.max(BAND_LEAST_PCT, askedPct * BAND_SHARE);
  return { lowPct: Math.max(0, askedPct - half), highPct: askedPct + half };
}

export type EffortWord = 'more' | 'good' | 'too hard';

/**
 * What is told of an effort: both ends of the band are good.
 * @example effortWord(31, effortBand(20)) // → 'too hard'
 */
export const effortWord = (pct: number, { lowPct, highPct }: EffortBand): EffortWord =>
  pct < lowPct ? 'more' : pct > highPct ? 'too hard' : 'good';

/** A contraction as the gauge has heard it so far. */
export interface Pressing {
  /** Milliseconds that samples stand for; gaps stand for nothing. */
  readonly ms: number;
  readonly insideMs: number;
  readonly overMs: number;
  /** Newtons times milliseconds. */
  readonly sum: number;
  readonly lastMs: number | null;
}
export const NO_PRESSING: Pressing = { ms: 0, insideMs: 0, overMs: 0, sum: 0, lastMs: null };

/** Longer without a sample, the device was away: what happened then nobody knows. */
const GAP_MS = 300;

/**
 * Takes one more sample in; each stands for the time since the one before it. `maximumN`: their strongest press; null: not known, and nothing is
 * inside or over a band.
 */
export function takePressing(
  state: Pressing,
  sample: { readonly tMs: number; readonly n: number },
  band: EffortBand,
  maximumN: number | null,
): Pressing {
  const since = state.lastMs === null ? 0 : sample.tMs - state.lastMs;
  if (since <= 0 || since > GAP_MS) return { ...state, lastMs: sample.tMs };
  const n = Math.max(0, sample.n);
  const word = maximumN === null ? null : effortWord((100 * n) / maximumN, band);
  return {
    ms: state.ms + since,
    insideMs: state.insideMs + (word === 'good' ? since : 0),
    overMs: state.overMs + (word === 'too hard' ? since : 0),
    sum: state.sum + n * since,
    lastMs: sample.tMs,
  };
}

/** What is kept of a contraction: means over the time that was heard. */
export interface EffortReached {
  readonly n: number;
  /** Percent of the strongest press; null where that is not known. */
  readonly pct: number | null;
  readonly ms: number;
  readonly insideMs: number;
  readonly overMs: number;
}

/** Less than this was heard: nothing is said of the whole. */
const LEAST_HEARD_MS = 1000;

/** The effort that was reached, to a tenth of a newton and a whole percent; null where too little was heard. */
export function effortReached({ ms, insideMs, overMs, sum }: Pressing, maximumN: number | null): EffortReached | null {
  if (ms < LEAST_HEARD_MS) return null;
  const n = sum / ms;
  return {
    n: Math.round(n * 10) / 10,
    pct: maximumN === null ? null : Math.round((100 * n) / maximumN),
    ms: Math.round(ms),
    insideMs: Math.round(insideMs),
    overMs: Math.round(overMs),
  };
}

/** Where the limb is against what was planned and what cautions allow. */
export type AngleWord = 'past the limit' | 'near the limit' | 'past the plan';

/** So near the limit the hand is warned before it is reached, in the motion's unit; and so far past the plan that it is no error of reading. */
const NEAR = 5;
const PAST_PLAN = 3;

/**
 * What is told of where the limb is; null where nothing has to be. `planned` is where the cue means it to be, `furthest` where cautions end the way.
 * @example angleWord({ value: 88, planned: 80, furthest: 90, better: 'higher' }) // → 'near the limit'
 */
export function angleWord({
  value,
  planned,
  furthest,
  better,
}: {
  readonly value: number;
  readonly planned: number;
  readonly furthest: number | null;
  readonly better: 'higher' | 'lower';
}): AngleWord | null {
  const sign = better === 'higher' ? 1 : -1;
  if (furthest !== null) {
    const left = sign * (furthest - value);
    if (left < 0) return 'past the limit';
    if (left <= NEAR) return 'near the limit';
  }
  return sign * (value - planned) > PAST_PLAN ? 'past the plan' : null;
}
