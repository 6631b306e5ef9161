import { solveDay } from './solve/solve.ts';
import type { DayControl, DayProblem, DaySolution, DayTask } from './solve/types.ts';
import { weightOf } from './rules.ts';
import { spanOf, type Span } from './span.ts';
import type { DayRules, DayState, EventDaySetUp, Minute, PromisedTime, Shift, WishState } from './types.ts';

/** A clock that reads an instant as a minute of the day on the wall; before the day it is less than 0. */
export type MinuteOf = (instant: string) => number;

/** Why somebody gets no time. */
export type Refusal =
  /** Between the earliest and the latest there are not so many minutes. */
  | 'no-span'
  /** The latest is over. */
  | 'over'
  /** No table is open for so long then. */
  | 'nobody'
  /** They were told of a time just now. */
  | 'told-just-now'
  /** The tables are taken by what counts as much or more. */
  | 'full';

export interface NotServed {
  readonly wishId: string;
  readonly why: Refusal;
  readonly span: Span | null;
}

/** What becomes of one promise. */
export interface TimeChange {
  readonly wishId: string;
  readonly from: PromisedTime | null;
  readonly to: PromisedTime | null;
}

export interface DayPlan {
  readonly times: readonly PromisedTime[];
  /** New times, other times, and times that are no more; another table at the same time as well. Begins within the grace are no change. */
  readonly changes: readonly TimeChange[];
  readonly notServed: readonly NotServed[];
  /** What is proven of it; see DaySolution. */
  readonly proven: DaySolution['proven'];
}

/** A stretch of a shift in which its table is free. */
export interface FreeStretch {
  readonly shift: Shift;
  readonly from: Minute;
  readonly until: Minute;
}

/** When what is on a table is expected to end. */
export function endsAt({ wish, since, overUntil }: WishState, now: Minute, minuteOf: MinuteOf): Minute {
  const planned = Math.floor(minuteOf(since!)) + wish.minutes;
  return Math.max(overUntil ?? planned, now);
}

/** The shifts without what is past, closed, or on the table. */
export function freeStretches(
  setUp: Pick<EventDaySetUp, 'shifts' | 'rules'>,
  state: Pick<DayState, 'closings' | 'wishes'>,
  now: Minute,
  minuteOf: MinuteOf,
): FreeStretch[] {
  return setUp.shifts.flatMap((shift) => {
    const out = [
      { from: 0, until: now },
      ...state.closings.filter((each) => each.shiftId === shift.id),
      ...state.wishes
        .filter(({ status, shiftId }) => status === 'onTable' && tableOf(setUp, shiftId) === shift.table)
        .map((wish) => ({ from: 0, until: endsAt(wish, now, minuteOf) + setUp.rules.turnover })),
    ].sort((a, b) => a.from - b.from);
    const found: FreeStretch[] = [];
    let from = setUp.shifts.some((other) => follows(shift, other, setUp.rules)) ? shift.from + setUp.rules.turnover : shift.from;
    for (const each of out) {
      if (each.from > from) found.push({ shift, from, until: Math.min(each.from, shift.until) });
      from = Math.max(from, each.until);
    }
    found.push({ shift, from, until: shift.until });
    return found.filter((each) => each.until > each.from);
  });
}

/** Whether a shift takes a table over from another without time to make it ready. */
const follows = (shift: Shift, other: Shift, { turnover }: DayRules): boolean =>
  other.id !== shift.id && other.table === shift.table && other.until <= shift.from && shift.from - other.until < turnover;

const tableOf = ({ shifts }: Pick<EventDaySetUp, 'shifts'>, shiftId: string | null): number | null =>
  shifts.find(({ id }) => id === shiftId)?.table ?? null;

/** What a plan is made from: the solver's problem, and what its numbers stand for. */
export interface PlanModel {
  readonly problem: DayProblem;
  readonly wishes: readonly WishState[];
  readonly stretches: readonly FreeStretch[];
  /** Of those that want a time and cannot be in the problem. */
  readonly outside: readonly NotServed[];
}

/**
 * The problem a day comes to at a minute. Who waits or is here wants a time; a promise is kept by its own minute up to the grace; who was
 * told of a time within the quiet minutes can only keep it; a new time leaves those who are not here the notice. Hands that were
 * asked for count, and where none were, the table that was promised does.
 */
export function dayModel(
  setUp: Pick<EventDaySetUp, 'shifts' | 'rules'>,
  state: DayState,
  now: Minute,
  minuteOf: MinuteOf,
  { stretches = freeStretches(setUp, state, now, minuteOf), minutesOf = ({ wish }: WishState) => wish.minutes } = {},
): PlanModel {
  const { rules } = setUp;
  const starters = [...new Set(state.wishes.map(({ wish }) => wish.starterId))];
  const outside: NotServed[] = [];
  const wishes: WishState[] = [];
  const tasks: DayTask[] = [];
  for (const each of state.wishes) {
    const { wish, promise } = each;
    if (each.status !== 'waiting' && each.status !== 'here') continue;
    const span = spanOf(wish, state.races, rules);
    const minutes = minutesOf(each);
    const quiet = quietFor(each, state, now, minuteOf, rules);
    const refuse = (why: Refusal) => outside.push({ wishId: wish.id, why: quiet ? 'told-just-now' : why, span });
    if (!span || span.latestEnd - span.earliest < minutes) {
      refuse('no-span');
      continue;
    }
    const notBefore = Math.max(now, each.lateUntil ?? 0);
    if (span.latestEnd - Math.max(span.earliest, notBefore) < minutes) {
      refuse(span.latestEnd - Math.max(span.earliest, now) < minutes ? 'over' : 'no-span');
      continue;
    }
    const earliest = Math.max(span.earliest, notBefore);
    const kept = promise === null ? null : { start: promise.start, grace: rules.grace };
    if (quiet && (kept === null || kept.start + kept.grace < earliest)) {
      refuse('told-just-now');
      continue;
    }
    wishes.push(each);
    tasks.push({
      person: starters.indexOf(wish.starterId),
      minutes,
      earliest,
      latestEnd: span.latestEnd,
      weight: weightOf(wish.reasons) + (quiet ? JUST_TOLD : 0),
      kept,
      onlyKept: quiet,
      newFrom: each.status === 'here' ? earliest : Math.max(earliest, now + rules.notice),
      shifts: stretches.flatMap(({ shift }, i) => (!quiet || shift.id === promise!.shiftId ? [i] : [])),
      preferred: stretches.flatMap(({ shift }, i) => (prefers(each, shift) ? [i] : [])),
    });
  }
  return {
    problem: { shifts: stretches.map(({ from, until }) => ({ from, until })), tasks, step: rules.step, turnover: rules.turnover },
    wishes,
    stretches,
    outside,
  };
}

/** Who was told a time just now keeps it before anything else: nobody is told twice. More than all other weights of a day. */
const JUST_TOLD = 2000;

const prefers = ({ wish, promise }: WishState, shift: Shift): boolean =>
  wish.therapistId !== null ? shift.therapistId === wish.therapistId : promise?.shiftId === shift.id;

/** Whether somebody was told of a time so short a while ago that they are told of none now. */
function quietFor({ wish }: WishState, { toldAt }: DayState, now: Minute, minuteOf: MinuteOf, { quiet }: DayRules): boolean {
  const at = toldAt[wish.starterId];
  return at !== undefined && now >= 0 && minuteOf(at) >= 0 && now - minuteOf(at) < quiet;
}

/**
 * Times for everybody who wants one, from a minute on: first as much weight as can be served, then as few promises changed as can be, then
 * the hands that were asked for. Nothing is taken by it: it is shown, and taken as one event.
 */
export function planDay(
  setUp: Pick<EventDaySetUp, 'shifts' | 'rules'>,
  state: DayState,
  now: Minute,
  minuteOf: MinuteOf,
  control: DayControl = {},
): DayPlan {
  const model = dayModel(setUp, state, now, minuteOf);
  return planFrom(model, setUp.rules, state, control);
}

/** The plan of a model, in the day's own terms. */
export function planFrom(model: PlanModel, rules: DayRules, state: DayState, control: DayControl = {}): DayPlan {
  const { problem, wishes, stretches, outside } = model;
  const { places, proven } = solveDay(problem, control);
  const served = new Map(places.map((place) => [place.task, place]));
  const times: PromisedTime[] = [];
  const changes: TimeChange[] = [];
  const notServed: NotServed[] = [...outside];
  wishes.forEach(({ wish, promise }, task) => {
    const place = served.get(task);
    const span = spanOf(wish, state.races, rules);
    if (!place) {
      const why = problem.tasks[task]!.onlyKept ? 'told-just-now' : opensFor(problem, task) ? 'full' : 'nobody';
      notServed.push({ wishId: wish.id, why, span });
      return;
    }
    const at: PromisedTime = { wishId: wish.id, shiftId: stretches[place.shift]!.shift.id, start: place.start };
    const kept = promise !== null && place.start >= promise.start && place.start <= promise.start + rules.grace;
    const time = kept ? { ...at, start: promise.start } : at;
    times.push(time);
    if (!kept || promise.shiftId !== time.shiftId) changes.push({ wishId: wish.id, from: promise, to: time });
  });
  for (const { wishId, why } of notServed) {
    // They were told just now and are not told again yet: the board shows what their time is worth meanwhile.
    if (why === 'told-just-now') continue;
    const promise = state.wishes.find(({ wish }) => wish.id === wishId)!.promise;
    if (promise) changes.push({ wishId, from: promise, to: null });
  }
  return { times, changes, notServed, proven };
}

/** Whether any table is open for as long as a task takes, within its time. */
function opensFor({ shifts, tasks }: DayProblem, task: number): boolean {
  const { earliest, latestEnd, minutes } = tasks[task]!;
  return shifts.some(({ from, until }) => Math.min(until, latestEnd) - Math.max(from, earliest) >= minutes);
}
