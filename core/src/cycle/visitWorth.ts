import { motionOf, type Side } from '../body/index.ts';
import { nextKepts, type Middle } from '../forecast/index.ts';
import { degreesPer } from '../session/index.ts';
import type { DueFacts, DueKnown } from './due.ts';
import { toward } from './occasions.ts';

/** What the next visits are expected to leave of one motion and side, in its unit, with 80 in 100 of each; none counts beyond the goal. */
export interface KeptByVisits {
  readonly motionId: string;
  readonly side: Side;
  readonly kept: readonly Middle[];
}

/**
 * The motion of which the next visit is expected to leave most towards its goal, counted in degrees, with what each of so many visits leaves of it;
 * null where nothing is short of a goal. `now`: days since 1970; `apart`: days from one visit to the next.
 */
export function keptByVisits(
  facts: Pick<DueFacts, 'goals' | 'response'>,
  known: readonly DueKnown[],
  now: number,
  apart: number,
  count: number,
): KeptByVisits | null {
  const all = known.flatMap(({ motionId, side, known: how, usualGain, since }): KeptByVisits[] => {
    const goal = facts.goals.find((each) => each.motionId === motionId && each.side === side);
    const last = facts.response.past.findLast((each) => each.motionId === motionId && each.side === side && each.moment === 'before');
    if (!goal || !last) return [];
    let missing = (goal.value - last.value) * toward(motionOf(motionId));
    if (missing <= 0) return [];
    const kept = nextKepts(how, Math.max(0, now - since), usualGain, apart, count).map(({ middle, low, high }): Middle => {
      // Beyond the goal nothing counts.
      const within = (value: number) => Math.min(missing, value);
      const part = { middle: within(middle), low: within(low), high: within(high) };
      missing = Math.max(0, missing - Math.max(0, part.middle));
      return part;
    });
    return [{ motionId, side, kept }];
  });
  return all.sort((a, b) => b.kept[0]!.middle * degreesPer(b.motionId) - a.kept[0]!.middle * degreesPer(a.motionId))[0] ?? null;
}
