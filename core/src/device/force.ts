export interface ForceSample {
  readonly tMs: number;
  readonly n: number;
}

/** A press on the gauge while it goes on, and the best of each press so far. */
export interface ForceState {
  readonly recent: readonly ForceSample[];
  readonly pressing: boolean;
  readonly peak: number;
  /** Newtons, one for each finished press. */
  readonly presses: readonly number[];
}

export const NO_FORCE: ForceState = { recent: [], pressing: false, peak: 0, presses: [] };

/** A press begins above the first and ends below the second; between them a tremor changes nothing. */
const BEGIN_N = 20;
const END_N = 10;
/** A peak has to be held this long: a jerk is not a press. */
const HELD_MS = 300;
const GAP_MS = 300;

/**
 * Takes one more sample of the gauge in. The force of a press is the highest mean over 0.3 s, so that a knock does not count;
 * a press that was never held that long, or that a dropout cut off, is not counted.
 */
export function takeForce(state: ForceState, sample: ForceSample): ForceState {
  const last = state.recent.at(-1);
  if (last && (sample.tMs <= last.tMs || sample.tMs - last.tMs > GAP_MS)) return { ...state, recent: [sample], pressing: false, peak: 0 };
  const recent = [...state.recent.filter((each) => each.tMs > sample.tMs - HELD_MS), sample];
  const full = sample.tMs - recent[0]!.tMs >= HELD_MS * 0.8;
  const mean = recent.reduce((sum, { n }) => sum + n, 0) / recent.length;
  if (!state.pressing) return sample.n >= BEGIN_N ? { ...state, recent: [sample], pressing: true, peak: 0 } : { ...state, recent };
  const peak = full ? Math.max(state.peak, mean) : state.peak;
  if (sample.n >= END_N) return { ...state, recent, peak };
  return { ...state, recent, pressing: false, peak: 0, presses: peak >= BEGIN_N ? [...state.presses, peak] : state.presses };
}

/** The best of the presses is the maximum; null before the first. */
export function maximumOf(presses: readonly number[]): number | null {
  return presses.length === 0 ? null : Math.max(...presses);
}

/**
 * Effort now, in percent of the maximum.
 * @example effortPct(60, 240) // → 25
 */
export function effortPct(n: number, maximum: number): number {
  if (!(maximum > 0)) throw new RangeError('A maximum is more than nothing.');
  return (100 * Math.max(0, n)) / maximum;
}
