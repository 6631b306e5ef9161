import { Heap } from '../../heap/index.ts';
import { Bound, type Look } from './bound.ts';
import { countOf, keeps, optionsOf, valueUnits, worthOf, type ShiftOptions } from './options.ts';
import { DayPlan } from './plan.ts';
import { tidied } from './tidied.ts';
import type { DayControl, DayPlace, DayProblem, DaySolution } from './types.ts';

/** Looks at the prices of the whole day, and of each part of it after. */
const LOOKS = 2000;
const LOOKS_OF_PART = 150;
/** Looks without a better bound after which the steps are halved, and the share below which it is no use any more. */
const PATIENCE = 60;
const FIRST_SHARE = 0.3;
/** A share of looks too small to split a task's begins by. */
const AGREED = 0.08;
/** How far below nothing the price of a task may fall that has to be served, in what it can be worth. */
const FORCED = 20;
const LEAST_SHARE = 0.0005;
const LOOKS_OF_DIVE = 12;
const SHARE_OF_DIVE = 0.3;
const DIVE_EVERY = 12;
const HOLD_EVERY = 10;
const HOLD_EVERY_OF_PART = 60;
const CLOSE_EVERY = 4;
const WARM_LOOKS = 30;
const IMPROVE_EVERY = 50;

/** What is still open, and which tasks have to be served. */
interface Half {
  readonly alive: readonly Uint8Array[];
  readonly must: Uint8Array;
}

/** A part of the search: what is still open, the prices it was left with, and what no plan in it exceeds. */
interface Part extends Half {
  readonly prices: Float64Array;
  readonly bound: number;
}

/**
 * Puts a day's tasks on its tables so that first the weight of those served is most, then the most promises are kept, then the most have the
 * hands they asked for. Times are steps of the clock, or any minute that keeps a promise; a task lies within one shift, tables are made ready
 * between two people, and nobody is at two tables at once.
 *
 * Model. A binary choice for every task, shift and begin ("option"); a task takes at most one, a shift's minute holds at most one. Giving each
 * task a price in place of the first rule leaves a longest path for each shift, and with any prices that is a bound (see Bound), at the best
 * prices as good as the linear relaxation of this time-indexed model, which is known to be close. Values are whole numbers, so that a
 * bound less than one above a plan proves it. Options that cannot be in a better plan are closed by the same paths. What then is left is split
 * in two that together are the whole: a task before a minute or from it on, one shift or the others, one option taken or not; parts are gone
 * through best bound first. Each part has fewer options, so the search ends. Two tasks of one person at once are allowed by the bound and
 * split when met. Every part's paths are also made into a plan, so that there is one to hold when it has to be stopped.
 *
 * Within what the three judge alike, times are as early as their order allows; that is a habit and not proven.
 *
 * Throws a RangeError where a task has no minutes, a weight is no whole number from 1, or a shift is not there.
 * @example solveDay({ shifts: [{ from: 600, until: 630 }], step: 5, turnover: 0, tasks: [{ person: 0, minutes: 10, earliest: 600, newFrom: 600, latestEnd: 630, weight: 1, kept: null, onlyKept: false, shifts: [0], preferred: [] }] }).places // → [{ task: 0, shift: 0, start: 600 }]
 */
export function solveDay(problem: DayProblem, { stop }: DayControl = {}): DaySolution {
  check(problem);
  const search = new Search(problem);
  const bound = search.run(stop);
  const places = tidied(problem, search.best);
  return { places, worth: worthOf(problem, places), proven: provenBy(problem, places, bound), parts: search.parts };
}

/** A part in which no plan is allowed. */
const NOTHING: Look = { bound: Number.NEGATIVE_INFINITY, taken: [], times: new Int32Array() };

class Search {
  best: readonly DayPlace[] = [];
  parts = 0;
  private bestCount = -1;
  private readonly shifts: ShiftOptions[];
  private readonly bound: Bound;
  private readonly plan: DayPlan;
  /** How often each option was taken while a part was looked into. */
  private readonly taken: Int32Array[];
  private looked = 0;

  constructor(private readonly problem: DayProblem) {
    this.shifts = optionsOf(problem);
    this.bound = new Bound(this.shifts, problem.tasks.length);
    this.plan = new DayPlan(problem, this.shifts);
    this.taken = this.shifts.map(({ task }) => new Int32Array(task.length));
  }

  /** Goes through the parts; returns what no plan exceeds: the best one's count, or more where it was stopped. */
  run(stop?: () => boolean): number {
    const heap = new Heap<Part>(({ bound }) => bound);
    const alive = this.shifts.map(({ task }) => new Uint8Array(task.length).fill(1));
    heap.push({
      alive,
      must: new Uint8Array(this.problem.tasks.length),
      // No price above the most a task can be worth is any use.
      prices: this.mostOf(alive),
      bound: Number.POSITIVE_INFINITY,
    });
    /** What could not be split although it is not settled: nothing, but for the last bits of a sum. It is not said to be proven then. */
    let left = 0;
    for (let part = heap.pop(); part; part = heap.pop()) {
      if (this.settled(part.bound)) break;
      this.parts += 1;
      const looked = this.lookInto(part);
      if (this.settled(looked.bound)) continue;
      if (this.parts % DIVE_EVERY === 1) this.dive(part.alive);
      // The part that was looked into was the best there is: nothing is above it.
      if (stop?.()) return Math.max(looked.bound, heap.top()?.bound ?? 0, left);
      const halves = this.split(part, looked);
      if (halves === null) left = Math.max(left, looked.bound);
      else for (const half of halves) heap.push({ ...half, prices: this.bound.prices.slice(), bound: looked.bound });
    }
    return Math.max(this.bestCount, left);
  }

  /**
   * Whether nothing under a bound is better than what is held. Where the bound leaves no room for more weight, what is left to win are promises
   * and hands, of which there are so many.
   */
  private settled(bound: number): boolean {
    const { weight, kept } = valueUnits(this.problem);
    const most = Math.floor(bound + 1e-6);
    const { tasks } = this.problem;
    const held = Math.floor(this.bestCount / weight);
    const rest = tasks.filter((task) => task.kept).length * kept + tasks.filter((task) => task.preferred.length > 0).length;
    return (Math.floor(most / weight) > held ? most : Math.min(most, held * weight + rest)) <= this.bestCount;
  }

  /**
   * Goes down from a part without coming back: looks at the prices, takes for good what nearly every look took, closes what cannot stand beside
   * it, and looks again, until every task is taken or out. The plan at the end is held where it is better.
   */
  private dive(from: readonly Uint8Array[]): void {
    let alive: readonly Uint8Array[] = from.map((open) => open.slice());
    const prices = this.bound.prices.slice();
    const sure = new Uint8Array(this.problem.tasks.length);
    for (let round = 0; round < sure.length; round++) {
      const most = this.mostOf(alive);
      this.bound.restart(this.bound.prices.map((price, j) => Math.min(price, most[j]!)));
      const least = new Float64Array(sure.length);
      const seen = new Map<string, { shift: number; option: number; task: number; times: number }>();
      let look = this.bound.look(alive);
      for (let i = 0; i < LOOKS_OF_DIVE; i++) {
        look.taken.forEach((options, shift) =>
          options.forEach((option) => {
            const task = this.shifts[shift]!.task[option]!;
            if (sure[task]) return;
            const each = seen.get(`${shift} ${option}`) ?? { shift, option, task, times: 0 };
            each.times += 1;
            seen.set(`${shift} ${option}`, each);
          }),
        );
        this.bound.move(look, least, most, this.bestCount, SHARE_OF_DIVE);
        look = this.bound.look(alive);
      }
      this.hold(look, false);
      const found = [...seen.values()].sort((a, b) => b.times - a.times);
      if (found.length === 0) break;
      const enough = Math.max(LOOKS_OF_DIVE * 0.95, 1);
      for (const [i, each] of found.entries()) {
        if (sure[each.task] || (i > 0 && each.times < enough) || !alive[each.shift]![each.option]) continue;
        sure[each.task] = 1;
        alive = this.with(alive, each.shift, each.option);
      }
    }
    this.bound.restart(prices);
  }

  /** Moves the prices of a part until they are good; returns its best bound and the look that gave it. */
  private lookInto({ alive, must, prices }: Part): Look {
    const mostNow = this.mostOf(alive);
    if (must.some((is, j) => is === 1 && mostNow[j] === 0)) return NOTHING;
    const least = mostNow.map((most, j) => (must[j] ? -FORCED * most : 0));
    this.bound.restart(prices.map((price, j) => Math.min(price, mostNow[j]!)));
    const looks = this.parts === 1 ? LOOKS : LOOKS_OF_PART;
    for (const counts of this.taken) counts.fill(0);
    this.looked = 0;
    let best: Look | null = null;
    let bestPrices = prices;
    let [share, since] = [FIRST_SHARE, 0];
    for (let i = 0; i < looks; i++) {
      const look = this.bound.look(alive);
      // While the prices are still those of the look.
      if (i % CLOSE_EVERY === 0) this.bound.close(alive, look.bound, this.bestCount + 1);
      if (i >= WARM_LOOKS) {
        this.looked += 1;
        look.taken.forEach((options, m) => options.forEach((o) => (this.taken[m]![o]! += 1)));
      }
      if (i % (this.parts === 1 ? HOLD_EVERY : HOLD_EVERY_OF_PART) === 0) this.hold(look, this.parts === 1 && i % IMPROVE_EVERY === 0);
      if (best === null || look.bound < best.bound - 1e-9) [best, bestPrices, since] = [look, this.bound.prices.slice(), 0];
      else since += 1;
      if (this.settled(best.bound)) return best;
      if (since >= PATIENCE) [share, since] = [share / 2, 0];
      if (share < LEAST_SHARE) break;
      this.bound.move(look, least, mostNow, this.bestCount, share);
    }
    // What was closed since may have made the paths at the best prices shorter, and left tasks without an option, whose price would only
    // lift the bound; what is split must be what is open now.
    const now = this.mostOf(alive);
    if (must.some((is, j) => is === 1 && now[j] === 0)) return NOTHING;
    this.bound.restart(bestPrices.map((price, j) => Math.min(price, now[j]!)));
    const last = this.bound.look(alive);
    this.hold(last, this.parts % 16 === 1);
    return { ...last, bound: Math.min(last.bound, best!.bound) };
  }

  /** Makes a plan of a look and holds it where it is better. */
  private hold({ taken }: Look, improve: boolean): void {
    this.plan.from(taken);
    if (improve) this.plan.improve();
    if (this.plan.total <= this.bestCount) return;
    if (!improve) this.plan.improve();
    this.best = this.plan.places();
    this.bestCount = countOf(this.problem, this.best);
  }

  /** Two parts, each with fewer options, that together hold every plan of this one. */
  private split(part: Part, look: Look): Half[] | null {
    const served = this.halfServed(part);
    if (served !== null) return this.servedOrNot(part, served);
    return this.splitOptions(part.alive, look)?.map((alive) => ({ alive, must: part.must })) ?? null;
  }

  /** The task, and the weight with it, that was taken in about half the looks; null where there is none. */
  private halfServed({ alive, must }: Part): number | null {
    let [found, most]: [number | null, number] = [null, 0];
    const times = new Int32Array(must.length);
    this.shifts.forEach(({ task }, m) => task.forEach((j, o) => alive[m]![o] && (times[j]! += this.taken[m]![o]!)));
    times.forEach((taken, j) => {
      const share = this.looked === 0 ? 0 : taken / this.looked;
      const score = Math.min(share, 1 - share);
      if (must[j] || score < AGREED || score * this.problem.tasks[j]!.weight <= most) return;
      [found, most] = [j, score * this.problem.tasks[j]!.weight];
    });
    return found;
  }

  /** A task served, or left out. */
  private servedOrNot({ alive, must }: Part, task: number): Half[] {
    return [
      { alive: alive.map((open) => open.slice()), must: must.map((is, j) => (j === task ? 1 : is)) },
      { alive: this.without(alive, (m, o) => this.shifts[m]!.task[o] === task), must },
    ];
  }

  private splitOptions(alive: readonly Uint8Array[], { taken, times }: Look): Uint8Array[][] | null {
    const half = this.halfWay(alive);
    if (half) return this.parted(alive, half.task, half.which);
    const wide = this.widest(alive);
    if (wide) return this.parted(alive, wide.task, (_, start) => start < wide.at);
    const picks = taken.flatMap((options, shift) => options.map((option) => ({ shift, option, ...this.at(shift, option) })));
    const twice = picks.filter(({ task }) => times[task]! > 1);
    if (twice.length > 0) {
      // The one taken most often, then the one whose begins lie farthest apart.
      const most = twice.reduce((a, b) => (times[b.task]! > times[a.task]! ? b : a)).task;
      const mine = twice.filter(({ task }) => task === most).sort((a, b) => a.start - b.start);
      const [first, last] = [mine[0]!, mine.at(-1)!];
      if (first.start < last.start) return this.parted(alive, most, (_, start) => start < Math.ceil((first.start + last.start) / 2));
      return this.parted(alive, most, (shift) => shift === first.shift);
    }
    for (const a of picks)
      for (const b of picks)
        if (a !== b && this.problem.tasks[a.task]!.person === this.problem.tasks[b.task]!.person && a.start < b.end && b.start < a.end)
          return this.oneOrOther(alive, a, b);
    // Each task at most once and nobody at two tables: a plan. The bound is above it by tasks with a price that nobody took.
    const left = this.problem.tasks.flatMap((_, j) => (times[j] === 0 && this.bound.prices[j]! > 0 ? [j] : []));
    left.sort((a, b) => this.bound.prices[b]! - this.bound.prices[a]!);
    for (const task of left) {
      const starts = this.startsOf(alive, task);
      if (starts.length > 1) return this.parted(alive, task, (_, start) => start < starts[starts.length >> 1]!);
      const shifts = this.shiftsOf(alive, task);
      if (shifts.length > 1) return this.parted(alive, task, (shift) => shift === shifts[0]);
      const parts = starts.length === 1 ? this.takenOrNot(alive, task, shifts[0]!) : null;
      if (parts) return parts;
    }
    // Then nothing is left that is in anybody's way, and the plan made of these paths is worth the bound.
    return null;
  }

  /** The task that was taken about half the time with a promise kept, or the hands asked for: what counts most first. */
  private halfWay(alive: readonly Uint8Array[]): { task: number; which: (shift: number, start: number) => boolean } | null {
    const { tasks } = this.problem;
    const units = valueUnits(this.problem);
    const [all, kept, preferred] = [new Int32Array(tasks.length), new Int32Array(tasks.length), new Int32Array(tasks.length)];
    this.shifts.forEach(({ task, start }, m) =>
      task.forEach((j, o) => {
        const times = alive[m]![o] ? this.taken[m]![o]! : 0;
        if (times === 0) return;
        all[j]! += times;
        if (keeps(tasks[j]!, start[o]!)) kept[j]! += times;
        if (tasks[j]!.preferred.includes(m)) preferred[j]! += times;
      }),
    );
    let found: { task: number; which: (shift: number, start: number) => boolean } | null = null;
    let most = 0;
    const offer = (task: number, times: number, unit: number, which: (shift: number, start: number) => boolean) => {
      const share = times / all[task]!;
      const score = Math.min(share, 1 - share);
      if (score < AGREED || score * unit <= most) return;
      [found, most] = [{ task, which }, score * unit];
    };
    tasks.forEach((task, j) => {
      if (all[j] === 0) return;
      offer(j, kept[j]!, units.kept, (_, start) => keeps(task, start));
      offer(j, preferred[j]!, 1, (shift) => task.preferred.includes(shift));
    });
    return found;
  }

  /** The task whose begins were least agreed on, and the minute with as many of them before as from it on; null where all were agreed on. */
  private widest(alive: readonly Uint8Array[]): { readonly task: number; readonly at: number } | null {
    const counts: Map<number, number>[] = this.problem.tasks.map(() => new Map());
    this.shifts.forEach(({ task, start }, m) =>
      task.forEach((j, o) => {
        if (alive[m]![o] && this.taken[m]![o]! > 0) counts[j]!.set(start[o]!, (counts[j]!.get(start[o]!) ?? 0) + this.taken[m]![o]!);
      }),
    );
    let [found, least]: [{ task: number; at: number } | null, number] = [null, AGREED];
    counts.forEach((by, task) => {
      const starts = [...by.keys()].sort((a, b) => a - b);
      const total = starts.reduce((sum, at) => sum + by.get(at)!, 0);
      let before = 0;
      for (let i = 1; i < starts.length; i++) {
        before += by.get(starts[i - 1]!)!;
        const smaller = Math.min(before, total - before) / Math.max(total, 1);
        if (smaller > least) [found, least] = [{ task, at: starts[i]! }, smaller];
      }
    });
    return found;
  }

  /** The most each task can be worth with what is open; 0 where nothing is. */
  private mostOf(alive: readonly Uint8Array[]): Float64Array {
    const most = new Float64Array(this.problem.tasks.length);
    this.shifts.forEach(({ task, value }, m) => task.forEach((j, o) => alive[m]![o] && (most[j] = Math.max(most[j]!, value[o]!))));
    return most;
  }

  private at(shift: number, option: number): { readonly task: number; readonly start: number; readonly end: number } {
    const { task, start, free } = this.shifts[shift]!;
    return { task: task[option]!, start: start[option]!, end: free[option]! - this.problem.turnover };
  }

  private startsOf(alive: readonly Uint8Array[], wanted: number): number[] {
    const found = new Set<number>();
    this.shifts.forEach(({ task, start }, m) => task.forEach((j, o) => j === wanted && alive[m]![o] && found.add(start[o]!)));
    return [...found].sort((a, b) => a - b);
  }

  private shiftsOf(alive: readonly Uint8Array[], wanted: number): number[] {
    return this.shifts.flatMap(({ task }, m) => (task.some((j, o) => j === wanted && alive[m]![o] === 1) ? [m] : []));
  }

  /** The options without those that `close` names. */
  private without(alive: readonly Uint8Array[], close: (shift: number, option: number) => boolean): Uint8Array[] {
    return alive.map((open, m) => open.map((is, o) => (is === 1 && !close(m, o) ? 1 : 0)));
  }

  /** What is left open where an option is taken: nothing else of its task, its table or its person at that time. */
  private with(alive: readonly Uint8Array[], shift: number, option: number): Uint8Array[] {
    const { task, start, free } = this.shifts[shift]!;
    const mine = this.at(shift, option);
    const { person } = this.problem.tasks[mine.task]!;
    return this.without(alive, (m, o) => {
      if (m === shift && o === option) return false;
      const each = this.at(m, o);
      const table = m === shift && start[o]! < free[option]! && start[option]! < free[o]!;
      const same = this.problem.tasks[each.task]!.person === person && each.start < mine.end && mine.start < each.end;
      return table || same || each.task === task[option];
    });
  }

  /** A task's options on one side of a line, and on the other. */
  private parted(alive: readonly Uint8Array[], task: number, side: (shift: number, start: number) => boolean): Uint8Array[][] {
    const of = (which: boolean) =>
      this.without(alive, (m, o) => this.shifts[m]!.task[o] === task && side(m, this.shifts[m]!.start[o]!) !== which);
    return [of(true), of(false)];
  }

  /** Either `a` does not begin then, or it does and `b` keeps out of its way. */
  private oneOrOther(
    alive: readonly Uint8Array[],
    a: { readonly task: number; readonly start: number; readonly end: number },
    b: { readonly task: number },
  ): Uint8Array[][] {
    return [
      this.without(alive, (m, o) => this.shifts[m]!.task[o] === a.task && this.shifts[m]!.start[o] === a.start),
      this.without(alive, (m, o) => {
        const each = this.at(m, o);
        return (each.task === a.task && each.start !== a.start) || (each.task === b.task && each.start < a.end && a.start < each.end);
      }),
    ];
  }

  /** A task's last option taken, so that nothing else lies there; or the task left out. Null where nothing lies there anyway. */
  private takenOrNot(alive: readonly Uint8Array[], task: number, shift: number): Uint8Array[][] | null {
    const option = this.shifts[shift]!.task.findIndex((j, o) => j === task && alive[shift]![o] === 1);
    const taken = this.with(alive, shift, option);
    const closed = taken.some((open, m) => open.some((is, o) => is !== alive[m]![o]));
    return !closed ? null : [taken, this.without(alive, (m, o) => this.shifts[m]!.task[o] === task)];
  }
}

/** What a bound proves of a plan. */
function provenBy(problem: DayProblem, places: readonly DayPlace[], bound: number): DaySolution['proven'] {
  const units = valueUnits(problem);
  const { weight, kept } = worthOf(problem, places);
  if (bound < countOf(problem, places) + 1 - 1e-6) return 'all';
  if (bound < weight * units.weight + (kept + 1) * units.kept - 1e-6) return 'promises';
  return bound < (weight + 1) * units.weight - 1e-6 ? 'weight' : 'nothing';
}

function check({ shifts, tasks, step, turnover }: DayProblem): void {
  const whole = (value: number, least: number) => Number.isInteger(value) && value >= least;
  if (!whole(step, 1) || !whole(turnover, 0)) throw new RangeError('Steps are whole minutes from 1, the time between two people from 0.');
  for (const { from, until } of shifts)
    if (!whole(from, 0) || !whole(until, 0) || until <= from) throw new RangeError(`A shift from ${from} until ${until} has no minutes.`);
  for (const task of tasks) {
    if (!whole(task.minutes, 1) || !whole(task.weight, 1)) throw new RangeError('Minutes and weights are whole numbers from 1.');
    if ([...task.shifts, ...task.preferred].some((shift) => !shifts[shift]))
      throw new RangeError('A task names a shift that is not there.');
  }
}
