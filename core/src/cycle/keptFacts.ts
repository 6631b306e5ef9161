import { leftOfUsual, ownShare, usuallyLeft } from '../forecast/index.ts';
import type { KeptFacts, OwnKept } from '../session/index.ts';
import { learnAll } from './learned.ts';
import { perWeekOf, timeOf, type Reading, type ResponseFacts } from './occasions.ts';

/** From this share of the doubt taken away by the athlete's own readings on, what a visit leaves is no longer mostly what is usual. Common practice. */
export const ENOUGH_OWN = 1 / 3;
/** And from so many visits at which the motion was worked on. */
export const ENOUGH_VISITS = 3;

/**
 * What is still there of a gain at the next visit, for every motion and side: what a visit leaves by the athlete's own readings
 * over weeks where they took a third of the doubt about it away, and elsewhere what is usual. The next visit is taken to come as visits came lately, and
 * is the same for all motions. `facts` hold what was read today before work as well; `now`: the instant of today's visit.
 */
export function keptFacts(facts: ResponseFacts, now: string, reading: Reading): KeptFacts {
  const at = timeOf(now);
  const visits = [...new Set(facts.blocks.map(({ startsAt }) => startsAt))].map(timeOf).sort((a, b) => a - b);
  const days = 7 / (perWeekOf(visits, at) ?? 1);
  const own = learnAll({ own: facts, others: [] }, reading.dayOf(now), reading).flatMap(
    ({ motionId, side, course, known, alone }): OwnKept[] => {
      const worked = course.occasions.filter(({ usualGain }) => usualGain > 0).length;
      if (worked < ENOUGH_VISITS || ownShare(alone) < ENOUGH_OWN) return [];
      const { mean, low, high } = leftOfUsual(known, Math.max(0, at - course.occasions.at(-1)!.day), days);
      return [{ motionId, side, visits: worked, mean, low, high }];
    },
  );
  return { days, usual: usuallyLeft(days).mean, own };
}
