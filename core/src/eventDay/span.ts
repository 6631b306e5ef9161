import type { DayRules, Minute, Race, Wish } from './types.ts';

/** When a wish may be served: its earliest begin and its latest end. */
export interface Span {
  readonly earliest: Minute;
  readonly latestEnd: Minute;
}

/** When they are called to a race; its start where nobody calls. */
export const callOf = ({ callAt, startAt }: Pick<Race, 'callAt' | 'startAt'>): Minute => callAt ?? startAt;

/**
 * When a wish may be served. Before a race: begun not more than so long before the call, ended at least so long before it. Between two: from when
 * the first is over until so long before the next call. After: within so long from when it is over. An earliest after the latest
 * is a span in which nothing fits. Null where its race is not there.
 * @example spanOf({ kind: 'before', raceId: 'a', nextRaceId: null }, [{ id: 'a', name: 'A', callAt: 600, startAt: 620 }], DAY_RULES) // → { earliest: 510, latestEnd: 580 }
 */
export function spanOf(wish: Pick<Wish, 'kind' | 'raceId' | 'nextRaceId'>, races: readonly Race[], rules: DayRules): Span | null {
  const race = races.find(({ id }) => id === wish.raceId);
  if (!race) return null;
  const over = race.startAt + rules.raceTakes;
  if (wish.kind === 'before')
    return { earliest: Math.max(0, callOf(race) - rules.beforeAtMost), latestEnd: callOf(race) - rules.beforeAtLeast };
  if (wish.kind === 'after') return { earliest: over, latestEnd: over + rules.afterWithin };
  const next = races.find(({ id }) => id === wish.nextRaceId);
  return next ? { earliest: over, latestEnd: callOf(next) - rules.beforeAtLeast } : null;
}
