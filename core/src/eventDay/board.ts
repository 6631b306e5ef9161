import { endsAt, type MinuteOf } from './plan.ts';
import { spanOf, type Span } from './span.ts';
import type { DayState, EventDaySetUp, Minute, Shift, WishState } from './types.ts';

/** How a time stands: as promised, already past it, or going to be missed as things are. */
export type Standing = 'on-time' | 'late' | 'at-risk';

export interface BoardRow {
  readonly state: WishState;
  readonly name: string;
  readonly raceName: string;
  readonly callAt: Minute | null;
  /** What was promised, or when it began. */
  readonly at: Minute | null;
  /** When it is expected to begin, as its table stands. */
  readonly expected: Minute | null;
  /** When it is expected to end. */
  readonly until: Minute | null;
  readonly standing: Standing;
  /** Late or at risk: by how many minutes. */
  readonly by: number;
  readonly span: Span | null;
}

export interface BoardTable {
  readonly table: number;
  /** Who stands at it now, or is the next to; null when nobody comes any more. */
  readonly shift: Shift | null;
  readonly now: BoardRow | null;
  readonly next: BoardRow | null;
  readonly later: readonly BoardRow[];
}

export interface Board {
  readonly tables: readonly BoardTable[];
  /** They want a time and have none. */
  readonly untimed: readonly BoardRow[];
  readonly finished: readonly BoardRow[];
  /** Off the list: they do not come. */
  readonly off: readonly BoardRow[];
}

/**
 * What the board shows at a minute: what is on each table, what is next and what comes later, with what is late or at risk. The times that are
 * expected follow from each other: a table is free when what lies on it ends and is made ready; whoever is promised a time begins then or,
 * where the table is not free by then, as soon as it is. At risk is who would begin later than a promise allows, or end after their latest.
 */
export function boardOf(setUp: Pick<EventDaySetUp, 'shifts' | 'rules'>, state: DayState, now: Minute, minuteOf: MinuteOf): Board {
  const { rules } = setUp;
  const row = (each: WishState): BoardRow => {
    const race = state.races.find(({ id }) => id === (each.wish.nextRaceId ?? each.wish.raceId));
    return {
      state: each,
      name: state.starters.find(({ id }) => id === each.wish.starterId)?.name ?? '',
      raceName: race?.name ?? '',
      callAt: race?.callAt ?? race?.startAt ?? null,
      at: each.promise?.start ?? null,
      expected: each.promise?.start ?? null,
      until: each.promise ? each.promise.start + each.wish.minutes : null,
      standing: 'on-time',
      by: 0,
      span: spanOf(each.wish, state.races, rules),
    };
  };
  const tableOf = (shiftId: string | null) => setUp.shifts.find(({ id }) => id === shiftId)?.table ?? null;
  const waits = ({ status }: WishState) => status === 'waiting' || status === 'here';
  const tables = [...new Set(setUp.shifts.map(({ table }) => table))].sort((a, b) => a - b);
  return {
    tables: tables.map((table) => {
      const running = state.wishes.find(({ status, shiftId }) => status === 'onTable' && tableOf(shiftId) === table);
      const onIt = running ? runningRow(row(running), running) : null;
      let free = onIt ? onIt.until! + rules.turnover : now;
      const queue = state.wishes
        .filter((each) => waits(each) && each.promise && tableOf(each.promise.shiftId) === table)
        .sort((a, b) => a.promise!.start - b.promise!.start)
        .map((each) => {
          const made = promisedRow(row(each), each, free);
          free = made.until! + rules.turnover;
          return made;
        });
      const mine = setUp.shifts.filter((shift) => shift.table === table).sort((a, b) => a.from - b.from);
      return {
        table,
        shift: mine.find(({ until }) => until > now) ?? null,
        now: onIt,
        next: queue[0] ?? null,
        later: queue.slice(1),
      };
    }),
    untimed: state.wishes.filter((each) => waits(each) && !each.promise).map(row),
    finished: state.wishes.filter(({ status }) => status === 'done').map(row),
    off: state.wishes.filter(({ status }) => status === 'off').map(row),
  };

  function runningRow(base: BoardRow, each: WishState): BoardRow {
    const began = Math.floor(minuteOf(each.since!));
    const until = endsAt(each, now, minuteOf);
    const over = until - (began + each.wish.minutes);
    return { ...base, at: began, expected: began, until, standing: over > 0 ? 'late' : 'on-time', by: Math.max(0, over) };
  }

  function promisedRow(base: BoardRow, each: WishState, free: Minute): BoardRow {
    const promised = each.promise!.start;
    const expected = Math.max(promised, free, each.lateUntil ?? 0);
    const until = expected + each.wish.minutes;
    const late = now - promised;
    const missed = Math.max(expected - promised - rules.grace, base.span ? until - base.span.latestEnd : 0);
    if (late > rules.grace) return { ...base, expected, until, standing: 'late', by: late };
    return { ...base, expected, until, standing: missed > 0 ? 'at-risk' : 'on-time', by: Math.max(0, missed) };
  }
}
