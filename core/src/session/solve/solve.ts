import { checkProblem } from './check.ts';
import { classesOf, type Classes } from './classes.ts';
import { componentsOf } from './components.ts';
import { Heap } from './heap.ts';
import { ReachedSets } from './reached.ts';
import { scheduleOf } from './schedule.ts';
import { clustersOf } from './table.ts';
import { leastTours } from './tours.ts';
import type { Chosen, SessionProblem, Solution, Stay } from './types.ts';
import { Worth } from './worth.ts';

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
 * above with parts of options allowed, then taken from the table. What is open is gone through in the order of these bounds, and
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
  private readonly heap = new Heap<Open>((open) => open.bound);
  private readonly seen = new Map<number, { steps: number; cost: number }[]>();
  private best = Number.NEGATIVE_INFINITY;
  private found: Pick<Solution, 'chosen' | 'stays'> | null = null;

  constructor(
    private readonly problem: SessionProblem,
    private readonly steps: (seconds: number) => number,
    private readonly total: number,
  ) {
    this.classes = classesOf(problem);
    this.sets = new ReachedSets(this.classes);
    const components = componentsOf(problem, this.classes);
    this.canBeEmpty = !components.some((component) => component.required);
    this.worth = new Worth(
      this.sets,
      components,
      clustersOf(
        components,
        problem.warmUps.map((each) => steps(each.seconds)),
      ),
      Math.max(0, total),
    );
    const moves = problem.moveS.map((row) => row.map(steps));
    this.leaveSteps = problem.arriveS.map((_, place) => steps(problem.leaveS?.[place] ?? 0));
    this.leaveCost = problem.arriveS.map((_, place) => problem.leaveCost?.[place] ?? 0);
    this.stepTours = leastTours(moves);
    this.costTours = leastTours(problem.moveCost);
    const real = (table: readonly (readonly number[])[]) => table.flatMap((row, a) => row.filter((_, b) => a !== b));
    this.leastMove = {
      steps: Math.min(...real(moves), Number.MAX_SAFE_INTEGER),
      cost: Math.min(...real(problem.moveCost), Number.MAX_SAFE_INTEGER),
    };
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
        const soFar = () =>
          this.result(
            this.best === Number.NEGATIVE_INFINITY || (above !== undefined && !this.found) ? 'impossible' : 'stopped',
            open.bound - Math.max(this.best, 0),
          );
        progress?.(Math.max(0, this.best), open.bound, soFar);
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
      this.problem.arriveS.forEach((seconds, place) => {
        if ((open.set >> place) & 1)
          this.openWalk({
            ...open,
            left: open.set & ~(1 << place),
            walk: { place, before: null },
            reached: this.sets.after(open.reached, place),
            steps: this.steps(seconds),
            cost: 0,
          });
      });
      return;
    }
    if (open.left === 0) this.judge(open);
    const from = open.walk.place;
    this.problem.moveS[from]!.forEach((seconds, place) => {
      if (place === from || ((open.set >> place) & 1) === 0) return;
      const returning = ((open.left >> place) & 1) === 0;
      if (returning && open.returns === 0) return;
      const reached = this.sets.after(open.reached, place);
      if (returning && reached === open.reached) return;
      this.openWalk({
        ...open,
        left: open.left & ~(1 << place),
        returns: open.returns - Number(returning),
        walk: { place, before: open.walk },
        reached,
        steps: open.steps + this.steps(seconds),
        cost: open.cost + this.problem.moveCost[from]![place]!,
      });
    });
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
    const stays = countOf(set) + returns;
    if (stays > problem.mostStays || (returns > 0 && countOf(set) < 2)) return;
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
    const leave = this.leastLeave(set);
    leastSteps = Math.max(leastSteps, arrive + (stays - 1) * this.leastMove.steps) + leave.steps;
    leastCost = Math.max(leastCost, (stays - 1) * this.leastMove.cost) + leave.cost;
    this.push({ set, left: set, returns, walk: null, reached: sets.nothing, hoped, steps: 0, cost: 0, leastSteps, leastCost }, most);
  }

  /** Opens a walk that goes on from another one, whose bound stands for it as well. */
  private openWalk(begun: Omit<Open, 'hoped' | 'leastSteps' | 'leastCost'>): void {
    const { set, left, returns, walk, reached, steps, cost, bound } = begun;
    const at = walk!.place;
    const key = (((reached * 4096 + set) * 4096 + left) * 16 + returns) * 16 + at;
    const others = this.seen.get(key);
    if (!others) this.seen.set(key, [{ steps, cost }]);
    else if (others.some((other) => other.steps <= steps && other.cost <= cost)) return;
    else others.push({ steps, cost });
    const moves = countOf(left) + returns;
    const leave = this.leastLeave(returns > 0 ? set : left === 0 ? 1 << at : left);
    this.push(
      {
        ...begun,
        hoped: this.sets.afterAll(reached, returns > 0 ? set : left),
        leastSteps: Math.max(this.stepTours[left]![at]!, moves === 0 ? 0 : moves * this.leastMove.steps) + leave.steps,
        leastCost: Math.max(this.costTours[left]![at]!, moves === 0 ? 0 : moves * this.leastMove.cost) + leave.cost,
      },
      bound,
    );
  }

  /** The least that leaving takes for a walk that ends at one of these places. */
  private leastLeave(ends: number): { readonly steps: number; readonly cost: number } {
    let [steps, cost] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    this.leaveSteps.forEach((leave, place) => {
      if (((ends >> place) & 1) === 0) return;
      steps = Math.min(steps, leave);
      cost = Math.min(cost, this.leaveCost[place]!);
    });
    return { steps, cost };
  }

  private push(open: Omit<Open, 'bound'>, most = Number.POSITIVE_INFINITY): void {
    const steps = this.total - open.steps - open.leastSteps;
    if (steps < 0) return;
    const bound = Math.min(most, this.worth.atMost(open.hoped, steps) - open.cost - open.leastCost);
    if (bound > this.best + EPSILON) this.heap.push({ ...open, bound });
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

function countOf(set: number): number {
  let count = 0;
  for (let left = set; left !== 0; left &= left - 1) count += 1;
  return count;
}
