/** One angle of the device at one moment of its own clock. */
export interface AngleSample {
  readonly tMs: number;
  readonly deg: number;
}

export interface SteadyState {
  /** The samples looked at, oldest first. */
  readonly window: readonly AngleSample[];
  /** Waiting to leave the place where the last value was taken. */
  readonly leaving: number | null;
  /** Where the limb rests; nothing near it is a value. */
  readonly rest: number | null;
}

export const NOT_STEADY: SteadyState = { window: [], leaving: null, rest: null };

/** How long a value has to stand still to count, and how still. Common practice: about a second at the edge. */
export const STEADY_MS = 1200;
const STEADY_SD_DEG = 0.7;
const STEADY_DRIFT_DEG = 1;
/** A pause this long is a dropout: what came before does not count. */
const GAP_MS = 300;
/** A value is taken once; the limb has to move this far before the next one. */
const LEAVE_DEG = 5;

/**
 * Takes one more sample in. When the angle has stood still for `STEADY_MS` the mean is given as `taken`, once; then the
 * limb has to leave by 5° before another is taken. Nothing within 5° of rest is a value, before or after the first: begin with
 * `startAt(rest)`. A dropout or a clock that runs backward begins the window again.
 */
export function takeSample(state: SteadyState, sample: AngleSample): { readonly state: SteadyState; readonly taken: number | null } {
  const last = state.window.at(-1);
  const broken = last !== undefined && (sample.tMs <= last.tMs || sample.tMs - last.tMs > GAP_MS);
  const leaving = state.leaving !== null && Math.abs(sample.deg - state.leaving) > LEAVE_DEG ? null : state.leaving;
  // One sample from before the span is kept, so that the span is known to be filled.
  const kept = broken ? [] : state.window.filter((each, i, all) => (all[i + 1] ?? each).tMs > sample.tMs - STEADY_MS);
  const window = [...kept, sample];
  const next: SteadyState = { ...state, window, leaving };
  if (leaving !== null || sample.tMs - window[0]!.tMs < STEADY_MS) return { state: next, taken: null };
  const mean = average(window);
  const sd = Math.sqrt(window.reduce((sum, { deg }) => sum + (deg - mean) ** 2, 0) / window.length);
  const half = Math.floor(window.length / 2);
  const drift = Math.abs(average(window.slice(-half)) - average(window.slice(0, half)));
  if (sd > STEADY_SD_DEG || drift > STEADY_DRIFT_DEG) return { state: next, taken: null };
  if (state.rest !== null && Math.abs(mean - state.rest) <= LEAVE_DEG) return { state: next, taken: null };
  return { state: { ...state, window: [], leaving: mean }, taken: mean };
}

/** Begins at rest, near which nothing is taken. */
export function startAt(restDeg: number): SteadyState {
  return { window: [], leaving: null, rest: restDeg };
}

const average = (samples: readonly AngleSample[]): number => samples.reduce((sum, { deg }) => sum + deg, 0) / samples.length;
