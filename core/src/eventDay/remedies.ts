import { freeStretches, planFrom, dayModel, type DayPlan, type FreeStretch, type MinuteOf } from './plan.ts';
import { spanOf } from './span.ts';
import type { DayControl } from './solve/types.ts';
import { DAY_LIMITS } from './rules.ts';
import type { DayState, EventDaySetUp, Minute, Shift, WishKind } from './types.ts';

/** What would give a time to somebody who has none. Each was planned: it is known to. */
export type Remedy =
  | { readonly kind: 'table'; readonly table: number; readonly from: Minute; readonly until: Minute; readonly serves: readonly string[] }
  | {
      readonly kind: 'shorter';
      readonly of: WishKind;
      readonly minutes: number;
      readonly instead: number;
      readonly serves: readonly string[];
    };

/** The id of a shift that is not there yet. */
const EXTRA = 'extra';

/**
 * What would make it possible to serve those a plan leaves for want of a table: one more table, for as long as they need it, or fewer minutes
 * for everybody who wants the same kind, no less than the offer's least. Every remedy comes from a plan of the day with it, so it serves whom it
 * names without taking a time from anybody; the extra table serves nobody else, so its minutes are those that are needed.
 */
export function remediesFor(
  setUp: Pick<EventDaySetUp, 'shifts' | 'rules' | 'offers'>,
  state: DayState,
  plan: DayPlan,
  now: Minute,
  minuteOf: MinuteOf,
  control: () => DayControl = () => ({}),
): Remedy[] {
  const left = plan.notServed.filter(({ why }) => why === 'full' || why === 'nobody').map(({ wishId }) => wishId);
  if (left.length === 0) return [];
  const stretches = freeStretches(setUp, state, now, minuteOf);
  return [...oneMoreTable(left), ...shorter(left)];

  /** Whom of those left another plan serves, where it serves everybody the plan does. */
  function served(other: DayPlan): string[] {
    const has = new Set(other.times.map(({ wishId }) => wishId));
    return plan.times.every(({ wishId }) => has.has(wishId)) ? left.filter((wishId) => has.has(wishId)) : [];
  }

  function oneMoreTable(wanted: readonly string[]): Remedy[] {
    const tables = new Set(setUp.shifts.map(({ table }) => table));
    const table = Array.from({ length: DAY_LIMITS.tables }, (_, i) => i + 1).find((each) => !tables.has(each));
    if (table === undefined) return [];
    const spans = wanted.map((id) => spanOf(state.wishes.find(({ wish }) => wish.id === id)!.wish, state.races, setUp.rules)!);
    const shift: Shift = {
      id: EXTRA,
      table,
      therapistId: EXTRA,
      from: Math.max(now, Math.min(...spans.map(({ earliest }) => earliest))),
      until: Math.max(...spans.map(({ latestEnd }) => latestEnd)),
    };
    if (shift.until <= shift.from) return [];
    const extra: FreeStretch = { shift, from: shift.from, until: shift.until };
    const model = dayModel(setUp, state, now, minuteOf, { stretches: [...stretches, extra] });
    const only = new Set(wanted);
    const tasks = model.problem.tasks.map((task, i) =>
      only.has(model.wishes[i]!.wish.id) ? task : { ...task, shifts: task.shifts.filter((each) => each < stretches.length) },
    );
    const other = planFrom({ ...model, problem: { ...model.problem, tasks } }, setUp.rules, state, control());
    const serves = served(other);
    const there = other.times.filter(({ shiftId }) => shiftId === EXTRA);
    if (serves.length === 0 || there.length === 0) return [];
    const minutes = (wishId: string) => state.wishes.find(({ wish }) => wish.id === wishId)!.wish.minutes;
    return [
      {
        kind: 'table',
        table,
        from: Math.min(...there.map(({ start }) => start)),
        until: Math.max(...there.map(({ start, wishId }) => start + minutes(wishId))),
        serves,
      },
    ];
  }

  function shorter(wanted: readonly string[]): Remedy[] {
    const kinds = [...new Set(wanted.map((id) => state.wishes.find(({ wish }) => wish.id === id)!.wish.kind))];
    return kinds.flatMap((kind): Remedy[] => {
      const offer = setUp.offers.find((each) => each.kind === kind);
      const most = Math.max(...state.wishes.filter(({ wish }) => wish.kind === kind).map(({ wish }) => wish.minutes));
      if (!offer) return [];
      for (let minutes = most - 1; minutes >= offer.leastMinutes; minutes--) {
        const model = dayModel(setUp, state, now, minuteOf, {
          stretches,
          minutesOf: ({ wish }) => (wish.kind === kind ? Math.min(wish.minutes, minutes) : wish.minutes),
        });
        const serves = served(planFrom(model, setUp.rules, state, control()));
        if (serves.length > 0) return [{ kind: 'shorter', of: kind, minutes, instead: most, serves }];
      }
      return [];
    });
  }
}
