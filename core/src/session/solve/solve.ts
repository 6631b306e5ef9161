import { checkProblem } from './check.ts';
import { basisOf } from './basis.ts';
import type { Classes } from './classes.ts';
import { Heap } from '../../heap/index.ts';
import type { ReachedSets } from './reached.ts';
import { scheduleOf } from './schedule.ts';
import type { Chosen, SessionProblem, Solution, Stay } from './types.ts';
import type { Worth } from './worth.ts';

/** The last stay of a walk, and how it came there. */
interface Step {
  readonly place: number;
  readonly before: Step | null;
}

/** Every session that begins with a walk and goes on through exactly the rest of a set of places, with so many returns. */
interface Open {
  /** Places of the whole session, as bits, and those still to be visited. */
  readonly set: number;
  readonly left: number;
  /** How often it still comes back to a place of the set. */
  readonly returns: number;
  readonly walk: Step | null;
  readonly reached: number;
  /** What may become available at most. */
  readonly hoped: number;
  readonly steps: number;
  readonly cost: number;
  /** The least that the rest of the walk still takes. */
  readonly leastSteps: number;
  readonly leastCost: number;
  readonly bound: number;
}

export interface SolveControl {
  /** Only plans worth more than this are wanted: where there is none, nothing is found and the status is `impossible`. */
  readonly above?: number;
  /** Asked now and then; true ends the search with what there is. */
  readonly stop?: () => boolean;
  /**
   * Told now and then how far the search is: the best value so far, what no plan can exceed, and, on asking, the best plan so far as
   * it would stand if the search ended here.
   */
  readonly progress?: (best: number, bound: number, soFar: () => Solution) => void;
}

const EPSILON = 1e-9;
const ASK_EVERY = 16;

/**
 * Which candidates, at which level, in which order of places: the greatest sum of values less the cost of moving, within the time.
 *
 * The model. A session is a walk over places; a place may come again. During a stay anything can be done that belongs there:
 * measuring before, a warm-up, blocks, measuring after. A block needs its warm-up and its measuring before it, measuring again
 * comes after it, and hand-set orders are orders between blocks. Time is spent on moves, on what is done, once on every warm-up
 * and every measuring that anything needs. Some candidates go together, some exclude each other, some are required.
 *
 * Why it is exact. (1) Time is one sum, so for a given walk it does not matter when a task is done, only whether it can be. Doing
 * each task at its earliest stay respects every order, because what comes before it then is at its own earliest stay, which is no
 * later. Hence all that a walk has to say is the set of tasks it makes available. (2) For a set of available tasks, candidates that
 * hang together form components of which every allowed combination is listed, and the best choice over components and warm-ups
 * within every number of steps is found by a knapsack table over whole steps. (3) Every session stays at exactly one set of places
 * and returns a certain number of times. Sessions are split by set, by returns and by how they begin. None that begins with a walk
 * is worth more than what the tasks are worth that may still become available, within the steps that are left after the least the
 * rest takes (a shortest tour of the places not yet visited, or so many shortest moves), less the cost so far and the least still to
 * come: without returns only what can be done at the places not yet visited may still become available. First this is estimated from
 * above (see Worth), then taken from the table. What is open is gone through in the order of these bounds, and
 * no bound is above that of what it came from, whose sessions include its own. For a walk that is complete the bound is its value, so
 * the first complete one to come up is optimal. A walk is dropped only when another one
 * with the same place, places left, returns left and tasks available is no later and no dearer; and a return that makes nothing new
 * available is never taken: with no detour shorter or cheaper, leaving it out is no worse. Stopped early, the greatest bound left is
 * what a better plan could be worth at most.
 *
 * Throws a RangeError for a problem that contradicts itself.
 */
export function solveSession(problem: SessionProblem, control: SolveControl = {}): Solution {
  checkProblem(problem);
  const steps = (seconds: number) => Math.ceil(seconds / problem.stepS);
  const total = Math.floor(problem.seconds / problem.stepS) - steps(problem.openingS) - steps(problem.closingS);
  const search = new Search(problem, steps, total);
  if (total < 0) return search.result('impossible', 0);
  return search.run(control);
}

class Search {
  private readonly classes: Classes;
  private readonly sets: ReachedSets;
  private readonly worth: Worth;
  private readonly canBeEmpty: boolean;
  private readonly stepTours: readonly Float64Array[];
  private readonly costTours: readonly Float64Array[];
  private readonly leastMove: { readonly steps: number; readonly cost: number };
  /** By place: what leaving it for the closing takes. */
  private readonly leaveSteps: readonly number[];
  private readonly leaveCost: readonly number[];
  /** By set of places, as bits: how many they are, and the least that leaving takes from one of them. */
  private readonly countOf: Uint8Array;
  private readonly leastLeaveSteps: Float64Array;
  private readonly leastLeaveCost: Float64Array;
  private readonly moveSteps: readonly (readonly number[])[];
  private readonly heap = new Heap<Open>((open) => open.bound);
  /** What walks took that came to the same: by set and tasks available, then by places left, returns left and the last place. */
  private readonly seen = new Map<number, Map<number, number[]>>();
  private best = Number.NEGATIVE_INFINITY;
  private found: Pick<Solution, 'chosen' | 'stays'> | null = null;

  constructor(
    private readonly problem: SessionProblem,
    private readonly steps: (seconds: number) => number,
    private readonly total: number,
  ) {
    const basis = basisOf(problem);
    ({ classes: this.classes, sets: this.sets, canBeEmpty: this.canBeEmpty, moveSteps: this.moveSteps } = basis);
    ({ stepTours: this.stepTours, costTours: this.costTours, leastMove: this.leastMove } = basis);
    this.worth = basis.worth(Math.max(0, total));
    this.leaveSteps = problem.arriveS.map((_, place) => steps(problem.leaveS?.[place] ?? 0));
    this.leaveCost = problem.arriveS.map((_, place) => problem.leaveCost?.[place] ?? 0);
    const places = problem.arriveS.length;
    this.countOf = new Uint8Array(1 << places);
    this.leastLeaveSteps = new Float64Array(1 << places).fill(Number.POSITIVE_INFINITY);
    this.leastLeaveCost = new Float64Array(1 << places).fill(Number.POSITIVE_INFINITY);
    for (let set = 1; set < 1 << places; set++) {
      const last = 31 - Math.clz32(set);
      const rest = set & ~(1 << last);
      this.countOf[set] = this.countOf[rest]! + 1;
      this.leastLeaveSteps[set] = Math.min(this.leastLeaveSteps[rest]!, this.leaveSteps[last]!);
      this.leastLeaveCost[set] = Math.min(this.leastLeaveCost[rest]!, this.leaveCost[last]!);
    }
  }

  run({ stop, progress, above }: SolveControl): Solution {
    if (this.canBeEmpty && above === undefined) this.best = 0;
    if (above !== undefined) this.best = above;
    for (let set = 1; set < 1 << this.problem.arriveS.length; set++) this.openSet(set, 0);
    let told = this.best;
    for (let n = 0; ; n++) {
      const open = this.heap.pop();
      if (!open || open.bound <= this.best + EPSILON)
        return this.result(this.best === Number.NEGATIVE_INFINITY || (above !== undefined && !this.found) ? 'impossible' : 'optimal', 0);
      if (n % ASK_EVERY === 0 || this.best > told) {
        told = this.best;
        const best = this.best === Number.NEGATIVE_INFINITY ? 0 : this.best;
        const soFar = () => {
          const none = this.best === Number.NEGATIVE_INFINITY || (above !== undefined && !this.found);
          // What must be done may cost more than it is worth: the best so far may be below nothing, and the gap is counted from there.
          return this.result(none ? 'impossible' : 'stopped', open.bound - best);
        };
        progress?.(best, open.bound, soFar);
        if (stop?.()) return soFar();
      }
      this.goOn(open);
    }
  }

  private goOn(open: Open): void {
    const exact = this.worth.exactly(open.hoped, this.total - open.steps - open.leastSteps) - open.cost - open.leastCost;
    if (exact < open.bound - EPSILON) {
      if (exact > this.best + EPSILON) this.heap.push({ ...open, bound: exact });
      return;
    }
    if (open.walk === null) {
      // With one return more everything takes longer and costs more, and nothing else becomes available: the bound stands.
      this.openSet(open.set, open.returns + 1, open.bound);
      if (open.returns === 0) this.judge(this.shortestTour(open.set));
      for (let place = 0; place < this.leaveSteps.length; place++) {
        if ((open.set >> place) & 1)
          this.openWalk(open, place, false, this.sets.after(open.reached, place), this.steps(this.problem.arriveS[place]!), 0);
      }
      return;
    }
    if (open.left === 0) this.judge(open);
    const from = open.walk.place;
    const [steps, costs] = [this.moveSteps[from]!, this.problem.moveCost[from]!];
    for (let place = 0; place < steps.length; place++) {
      if (place === from || ((open.set >> place) & 1) === 0) continue;
      const returning = ((open.left >> place) & 1) === 0;
      if (returning && open.returns === 0) continue;
      const reached = this.sets.after(open.reached, place);
      if (returning && reached === open.reached) continue;
      this.openWalk(open, place, returning, reached, open.steps + steps[place]!, open.cost + costs[place]!);
    }
  }

  /** The tour of a set that takes the least time: a plan early on cuts off most of what is open. */
  private shortestTour(set: number): Pick<Open, 'walk' | 'reached' | 'steps' | 'cost'> {
    const { arriveS, moveS, moveCost } = this.problem;
    let [left, reached, steps, cost] = [set, this.sets.nothing, 0, 0];
    let walk: Step | null = null;
    while (left !== 0) {
      const from: Step | null = walk;
      const toll = (place: number): number => this.steps(from ? moveS[from.place]![place]! : arriveS[place]!);
      const places = arriveS.map((_, place) => place).filter((place) => (left >> place) & 1);
      const rest = (place: number): number => toll(place) + this.stepTours[left & ~(1 << place)]![place]!;
      const next: number = places.reduce((best, place) => (rest(place) < rest(best) ? place : best));
      steps += toll(next);
      cost += from ? moveCost[from.place]![next]! : 0;
      reached = this.sets.after(reached, next);
      left &= ~(1 << next);
      walk = { place: next, before: from };
    }
    return { walk, reached, steps, cost };
  }

  /** All sessions of a set with so many returns, before the first step. */
  private openSet(set: number, returns: number, most = Number.POSITIVE_INFINITY): void {
    const { problem, sets } = this;
    const stays = this.countOf[set]! + returns;
    if (stays > problem.mostStays || (returns > 0 && this.countOf[set]! < 2)) return;
    const hoped = sets.afterAll(sets.nothing, set);
    // A place at which nothing can ever be done is left out.
    if (this.classes.at.some((tasks, place) => (set >> place) & 1 && tasks.length === 0)) return;
    let [leastSteps, leastCost, arrive] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    problem.arriveS.forEach((seconds, place) => {
      if (((set >> place) & 1) === 0) return;
      const rest = set & ~(1 << place);
      arrive = Math.min(arrive, this.steps(seconds));
      leastSteps = Math.min(leastSteps, this.steps(seconds) + this.stepTours[rest]![place]!);
      leastCost = Math.min(leastCost, this.costTours[rest]![place]!);
    });
    leastSteps = Math.max(leastSteps, arrive + (stays - 1) * this.leastMove.steps) + this.leastLeaveSteps[set]!;
    leastCost = Math.max(leastCost, (stays - 1) * this.leastMove.cost) + this.leastLeaveCost[set]!;
    const bound = this.boundOf(hoped, 0, 0, leastSteps, leastCost, most);
    if (bound > this.best + EPSILON)
      this.heap.push({
        set,
        left: set,
        returns,
        walk: null,
        reached: sets.nothing,
        hoped,
        steps: 0,
        cost: 0,
        leastSteps,
        leastCost,
        bound,
      });
  }

  /**
   * Opens the walk that goes on from another one to a place, whose bound stands for it as well. What cannot be better than the best is not
   * even remembered: neither can be what it would have beaten.
   */
  private openWalk(from: Open, place: number, returning: boolean, reached: number, steps: number, cost: number): void {
    const { set } = from;
    const left = from.left & ~(1 << place);
    const returns = from.returns - Number(returning);
    const ends = returns > 0 ? set : left === 0 ? 1 << place : left;
    const moves = this.countOf[left]! + returns;
    const hoped = this.sets.afterAll(reached, returns > 0 ? set : left);
    const leastSteps =
      Math.max(this.stepTours[left]![place]!, moves === 0 ? 0 : moves * this.leastMove.steps) + this.leastLeaveSteps[ends]!;
    const leastCost = Math.max(this.costTours[left]![place]!, moves === 0 ? 0 : moves * this.leastMove.cost) + this.leastLeaveCost[ends]!;
    const bound = this.boundOf(hoped, steps, cost, leastSteps, leastCost, from.bound);
    if (bound <= this.best + EPSILON || this.isBeaten(reached * 4096 + set, (left * 16 + returns) * 16 + place, steps, cost)) return;
    this.heap.push({ set, left, returns, walk: { place, before: from.walk }, reached, hoped, steps, cost, leastSteps, leastCost, bound });
  }

  /** Whether a walk that came to the same took no more; if none did, this one is remembered. */
  private isBeaten(group: number, key: number, steps: number, cost: number): boolean {
    let walks = this.seen.get(group);
    if (!walks) this.seen.set(group, (walks = new Map()));
    const others = walks.get(key);
    if (!others) {
      walks.set(key, [steps, cost]);
      return false;
    }
    for (let i = 0; i < others.length; i += 2) if (others[i]! <= steps && others[i + 1]! <= cost) return true;
    others.push(steps, cost);
    return false;
  }

  /** No plan that goes on so is worth more; minus infinity where the time does not allow it. */
  private boundOf(hoped: number, steps: number, cost: number, leastSteps: number, leastCost: number, most: number): number {
    const left = this.total - steps - leastSteps;
    return left < 0 ? Number.NEGATIVE_INFINITY : Math.min(most, this.worth.atMost(hoped, left) - cost - leastCost);
  }

  /** The best plan on exactly this walk, if it is the best so far. */
  private judge({ walk, reached, steps, cost: spent }: Pick<Open, 'walk' | 'reached' | 'steps' | 'cost'>): void {
    const left = this.total - steps - this.leaveSteps[walk!.place]!;
    if (left < 0) return;
    const cost = spent + this.leaveCost[walk!.place]!;
    if (this.worth.atMost(reached, left) - cost <= this.best + EPSILON) return;
    if (this.worth.exactly(reached, left) - cost <= this.best + EPSILON) return;
    const chosen = this.worth.choice(reached, left);
    const stays = scheduleOf(this.problem, this.classes, placesOf(walk), chosen);
    // A walk may hold a stay that nothing is done at; without it the plan is worth a little more.
    this.best = this.valueOf(chosen, stays);
    this.found = { chosen, stays };
  }

  result(status: Solution['status'], gap: number): Solution {
    if (status === 'impossible' || !this.found) return { status, value: 0, gap, chosen: [], stays: [], seconds: this.secondsOf([], []) };
    const { chosen, stays } = this.found;
    return { status, value: this.best, gap, chosen, stays, seconds: this.secondsOf(chosen, stays) };
  }

  private valueOf(chosen: readonly Chosen[], stays: readonly Stay[]): number {
    const { candidates, moveCost } = this.problem;
    const moves = stays.slice(1).reduce((sum, stay, i) => sum + moveCost[stays[i]!.place]![stay.place]!, 0);
    const leave = stays.length > 0 ? this.leaveCost[stays.at(-1)!.place]! : 0;
    return chosen.reduce((sum, { candidate, level }) => sum + candidates[candidate]!.levels[level]!.value, 0) - moves - leave;
  }

  private secondsOf(chosen: readonly Chosen[], stays: readonly Stay[]): number {
    const { problem, steps } = this;
    const warm = new Set(chosen.flatMap(({ candidate }) => problem.candidates[candidate]!.warmUp ?? []));
    const measured = new Set(chosen.flatMap(({ candidate }) => problem.candidates[candidate]!.measuring ?? []));
    const work = chosen.reduce((sum, { candidate, level }) => sum + steps(problem.candidates[candidate]!.levels[level]!.seconds), 0);
    const warming = [...warm].reduce((sum, i) => sum + steps(problem.warmUps[i]!.seconds), 0);
    const measuring = [...measured].reduce(
      (sum, i) => sum + steps(problem.measurings[i]!.beforeS) + steps(problem.measurings[i]!.afterS),
      0,
    );
    const moves = stays.reduce(
      (sum, stay, i) => sum + steps(i === 0 ? problem.arriveS[stay.place]! : problem.moveS[stays[i - 1]!.place]![stay.place]!),
      0,
    );
    const leave = stays.length > 0 ? this.leaveSteps[stays.at(-1)!.place]! : 0;
    return (steps(problem.openingS) + steps(problem.closingS) + leave + moves + work + warming + measuring) * problem.stepS;
  }
}

function placesOf(walk: Step | null): number[] {
  const places: number[] = [];
  for (let step = walk; step; step = step.before) places.unshift(step.place);
  return places;
}
