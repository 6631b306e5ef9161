import { DAY_LIMITS, DAY_RULE_RANGE, WISH_MINUTES } from './rules.ts';
import type { EventDaySetUp } from './types.ts';

/** Something wrong with what was set up, by its path: `shifts.2.from`. */
export interface SetUpProblem {
  readonly path: string;
  readonly message: string;
}

const twice = (ids: readonly string[]): number => ids.findIndex((id, i) => ids.indexOf(id) < i);

/** Everything wrong with a set-up, each at its place; shapes are taken as given. */
export function checkSetUp(setUp: EventDaySetUp): SetUpProblem[] {
  const { races, starters, starts, wishes, shifts, offers, rules } = setUp;
  const problems: SetUpProblem[] = [];
  const say = (path: string, message: string) => problems.push({ path, message });
  for (const [name, list] of Object.entries({ races, starters, wishes, shifts }))
    if (twice(list.map(({ id }) => id)) >= 0) say(name, 'Two of these have the same id.');
  const raceIds = new Set(races.map(({ id }) => id));
  const starterIds = new Set(starters.map(({ id }) => id));
  races.forEach(({ callAt, startAt }, i) => {
    if (callAt !== null && callAt > startAt) say(`races.${i}.callAt`, 'The call is before the start.');
  });
  starts.forEach(({ starterId, raceId }, i) => {
    if (!starterIds.has(starterId)) say(`starts.${i}.starterId`, 'Nobody on the start list has this id.');
    if (!raceIds.has(raceId)) say(`starts.${i}.raceId`, 'No race has this id.');
  });
  shifts.forEach((shift, i) => {
    if (shift.table < 1 || shift.table > DAY_LIMITS.tables) say(`shifts.${i}.table`, `Tables are 1 to ${DAY_LIMITS.tables}.`);
    if (shift.until <= shift.from) say(`shifts.${i}.until`, 'It ends after it begins.');
    for (const other of shifts.slice(0, i)) {
      if (shift.from >= other.until || other.from >= shift.until) continue;
      if (other.table === shift.table) say(`shifts.${i}.from`, 'Somebody else stands at this table then.');
      if (other.therapistId === shift.therapistId) say(`shifts.${i}.from`, 'They stand at another table then.');
    }
  });
  wishes.forEach((wish, i) => {
    if (!starterIds.has(wish.starterId)) say(`wishes.${i}.starterId`, 'Nobody on the start list has this id.');
    if (!raceIds.has(wish.raceId)) say(`wishes.${i}.raceId`, 'No race has this id.');
    if ((wish.kind === 'between') !== (wish.nextRaceId !== null))
      say(`wishes.${i}.nextRaceId`, 'Work between races names the next one, other work does not.');
    if (wish.nextRaceId !== null && !raceIds.has(wish.nextRaceId)) say(`wishes.${i}.nextRaceId`, 'No race has this id.');
    if (wish.minutes < WISH_MINUTES.min || wish.minutes > WISH_MINUTES.max)
      say(`wishes.${i}.minutes`, `${WISH_MINUTES.min} to ${WISH_MINUTES.max} minutes.`);
  });
  offers.forEach(({ minutes, leastMinutes }, i) => {
    if (leastMinutes > minutes) say(`offers.${i}.leastMinutes`, 'The least is not more than what is offered.');
    if (leastMinutes < WISH_MINUTES.min || minutes > WISH_MINUTES.max)
      say(`offers.${i}.minutes`, `${WISH_MINUTES.min} to ${WISH_MINUTES.max} minutes.`);
  });
  for (const [name, { min, max }] of Object.entries(DAY_RULE_RANGE)) {
    const value = rules[name as keyof typeof rules];
    if (value < min || value > max) say(`rules.${name}`, `${min} to ${max} minutes.`);
  }
  if (rules.beforeAtMost - rules.beforeAtLeast < WISH_MINUTES.min) say('rules.beforeAtMost', 'There is no time left between the two.');
  return problems;
}
