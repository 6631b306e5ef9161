import type { Motion } from '../body/index.ts';

/** Visits with a next one before there is anything to say. */
const LEAST_STEPS = 2;

/** One visit of one motion and side: before and after the work, or null where it was not measured. */
export interface VisitValues {
  readonly day: number;
  readonly before: number | null;
  readonly after: number | null;
}

export interface KeptStep {
  /** Day of the visit whose gain is looked at, and of the next one measured before work. */
  readonly fromDay: number;
  readonly toDay: number;
  /** Plus is more range, in the motion's unit. */
  readonly gained: number;
  readonly kept: number;
}

export interface Kept {
  readonly steps: readonly KeptStep[];
  /** Of all that was gained, the share still there at the next visit; null while too little was gained to say. */
  readonly share: number | null;
  readonly meanGain: number | null;
}

/**
 * What of each visit's gain was still there before the next visit's work. The share is the sum of what was kept over the
 * sum of what was gained, so that one visit with next to no gain cannot blow it up. The error of a sum of n gains grows with √n, so
 * it is left out while the sum is not above `leastGain` (the MDC95 of one gain) times √n, and while there are fewer than two visits
 * with a next one. It can be negative or above one.
 * @example keptGain([{ day: 0, before: 10, after: 16 }, { day: 7, before: 13, after: 19 }, { day: 14, before: 16, after: null }], motion, 4).share // → 0.50
 */
export function keptGain(visits: readonly VisitValues[], motion: Pick<Motion, 'better'>, leastGain: number): Kept {
  const sign = motion.better === 'higher' ? 1 : -1;
  const gains = visits.flatMap(({ before, after }) => (before === null || after === null ? [] : [sign * (after - before)]));
  const steps: KeptStep[] = [];
  for (const [i, visit] of visits.entries()) {
    if (visit.before === null || visit.after === null) continue;
    const next = visits.slice(i + 1).find((each) => each.before !== null);
    if (next)
      steps.push({
        fromDay: visit.day,
        toDay: next.day,
        gained: sign * (visit.after - visit.before),
        kept: sign * (next.before! - visit.before),
      });
  }
  const [gained, kept] = steps.reduce(([a, b], step) => [a + step.gained, b + step.kept], [0, 0]);
  return {
    steps,
    share: steps.length >= LEAST_STEPS && gained > leastGain * Math.sqrt(steps.length) ? kept / gained : null,
    meanGain: gains.length > 0 ? gains.reduce((sum, gain) => sum + gain, 0) / gains.length : null,
  };
}
