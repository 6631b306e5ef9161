import type { Cue } from './types.ts';

/** How the seconds or the effort of a number differ in the line from what was wished, and why. */
export interface ComesOut {
  readonly values: readonly number[];
  readonly why: 'breath' | 'caution';
}

const TENTH = 0.05;

/**
 * What comes out of a number of seconds or of effort, where the line makes something else of it: moved to the end of a breath, or cut by
 * what cautions leave. Each value once, as it first comes; null where it comes out as it was wished. `wished` are the number's own
 * values, the last one for every later round.
 * @example comesOut([], 'hold', [10]) // → null
 */
export function comesOut(
  cues: readonly Pick<Cue, 'madeOf' | 'startMs' | 'endMs' | 'effortPct' | 'round' | 'cut'>[],
  numberId: string,
  wished: readonly number[],
): ComesOut | null {
  const values: number[] = [];
  let [differs, cut] = [false, false];
  for (const cue of cues) {
    const isSeconds = cue.madeOf?.seconds === numberId;
    const value = isSeconds ? (cue.endMs - cue.startMs) / 1000 : cue.madeOf?.effort === numberId ? cue.effortPct : null;
    if (value === null) continue;
    const wish = wished[Math.min(Math.max(cue.round, 1), wished.length) - 1] ?? value;
    if (Math.abs(value - wish) > TENTH) differs = true;
    cut ||= cue.cut === true;
    const rounded = Math.round(value * 10) / 10;
    if (!values.includes(rounded)) values.push(rounded);
  }
  if (!differs) return null;
  return { values, why: cut ? 'caution' : 'breath' };
}
