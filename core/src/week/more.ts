import { addDays } from '../load/index.ts';
import { fillWeek } from './fill.ts';
import { slotKey, weekdayOf, type WorkSlot } from './hours.ts';
import type { FillControl, FillSolution } from './types.ts';
import { slotIsFree, weekPlan, type WeekChoice, type WeekClock, type WeekFile, type WeekPerson, type WeekPlan } from './week.ts';

/** What one more visit's time would bring. */
export interface OneMore {
  readonly slot: WorkSlot;
  /** How much the best week is worth more, in degrees as they are weighed. */
  readonly adds: number;
  /** Who has a visit then, or one more, and had not before. */
  readonly gains: readonly string[];
  /** False where the search was stopped: then it is at least so much. */
  readonly exact: boolean;
}

/** The latest that work is offered beyond the hours. Common practice. */
const LATEST = 21 * 60;

/** One time more on each day that somebody works: after their last. */
export function moreSlots(file: WeekFile, plan: WeekPlan, clock: WeekClock): WorkSlot[] {
  const { minutes, pauseMin, therapists } = file.hours;
  const today = clock.dayOf(clock.now);
  return Array.from({ length: 7 }, (_, day) => ({ day, date: addDays(file.monday, day) })).flatMap(({ day, date }) => {
    if (date < today) return [];
    return therapists.flatMap(({ accountId, spans }): WorkSlot[] => {
      const ends = spans.filter(({ weekday }) => weekday === weekdayOf(date)).map(({ toMin }) => toMin);
      if (ends.length === 0) return [];
      const last = plan.slots
        .filter((each) => each.date === date && each.accountId === accountId)
        .map((each) => each.fromMin + each.minutes + pauseMin);
      const fromMin = Math.max(...ends, ...last);
      const slot = { key: slotKey(accountId, date, fromMin), accountId, day, date, fromMin, minutes };
      if (fromMin + minutes > LATEST || (date === today && fromMin < clock.minuteOfDay(clock.now))) return [];
      return slotIsFree(slot, plan.slots, file, clock) ? [slot] : [];
    });
  });
}

/** What one more time of each day would bring, most first: each week filled anew with it. */
export function oneMore(
  file: WeekFile,
  people: readonly WeekPerson[],
  choice: WeekChoice,
  filled: { readonly plan: WeekPlan; readonly solution: FillSolution },
  clock: WeekClock,
  control: (day: number) => FillControl = () => ({}),
): OneMore[] {
  const had = people.map((_, who) => filled.solution.placed.filter(({ person }) => person === who).length);
  return moreSlots(file, filled.plan, clock)
    .map((slot, i): OneMore => {
      const plan = weekPlan(file, people, { ...choice, opened: [...choice.opened, slot] }, clock);
      const found = fillWeek(plan.problem, control(i));
      return {
        slot,
        adds: Math.max(0, found.value - filled.solution.value),
        gains: people.flatMap(({ name }, who) => (found.placed.filter(({ person }) => person === who).length > had[who]! ? [name] : [])),
        exact: found.status === 'optimal' && filled.solution.status === 'optimal',
      };
    })
    .sort((a, b) => b.adds - a.adds || a.slot.day - b.slot.day);
}
