import type { ShiftOptions } from './options.ts';

/** Which options are still open, a byte each, per shift. */
export type Alive = readonly Uint8Array[];

/** What one look at the prices gives: a bound, and the plan of each shift by itself that gives it. */
export interface Look {
  readonly bound: number;
  /** Options taken, per shift, by begin. */
  readonly taken: readonly (readonly number[])[];
  /** How often each task was taken. */
  readonly times: Int32Array;
}

/**
 * The bound of a part of the search. Every task has a price; a shift by itself takes, in any order and as often as it likes, options whose
 * value less the price of their task is most together, without two at once: a longest path over its minutes. The prices and the paths together
 * are never less than the best plan, whatever the prices (Lagrange): the best plan is among what the shifts may do, and pays each price at most
 * once. Prices are then moved towards tasks that are taken twice and away from those that are left.
 */
export class Bound {
  readonly prices: Float64Array;
  private readonly slope: Float64Array;
  /** Per shift: best value from the first minute on, and to the last minute. */
  private readonly ahead: Float64Array[];
  private readonly behind: Float64Array[];
  private readonly by: Int32Array[];

  constructor(
    private readonly shifts: readonly ShiftOptions[],
    private readonly taskCount: number,
  ) {
    this.prices = new Float64Array(taskCount);
    this.slope = new Float64Array(taskCount);
    const minutes = (shift: ShiftOptions) => shift.until - shift.from + 1;
    this.ahead = shifts.map((shift) => new Float64Array(minutes(shift)));
    this.behind = shifts.map((shift) => new Float64Array(minutes(shift)));
    this.by = shifts.map((shift) => new Int32Array(minutes(shift)));
  }

  look(alive: Alive): Look {
    const times = new Int32Array(this.taskCount);
    let bound = 0;
    for (let j = 0; j < this.taskCount; j++) bound += this.prices[j]!;
    const taken = this.shifts.map((shift, m) => {
      bound += this.backward(m, alive[m]!);
      const path: number[] = [];
      const by = this.by[m]!;
      for (let at = 0; at < by.length;) {
        const option = by[at]!;
        if (option < 0) {
          at += 1;
          continue;
        }
        path.push(option);
        times[shift.task[option]!]! += 1;
        at = shift.free[option]! - shift.from;
      }
      return path;
    });
    return { bound, taken, times };
  }

  /** Best value from each minute to the end of a shift; returns the whole shift's. */
  private backward(m: number, alive: Uint8Array): number {
    const { task, start, free, value, from } = this.shifts[m]!;
    const [best, by] = [this.ahead[m]!, this.by[m]!];
    const last = best.length - 1;
    best[last] = 0;
    by[last] = -1;
    let option = start.length - 1;
    for (let at = last - 1; at >= 0; at--) {
      let [most, which] = [best[at + 1]!, -1];
      for (; option >= 0 && start[option]! - from === at; option--) {
        if (!alive[option]) continue;
        const worth = value[option]! - this.prices[task[option]!]! + best[free[option]! - from]!;
        if (worth > most) [most, which] = [worth, option];
      }
      best[at] = most;
      by[at] = which;
    }
    return best[0]!;
  }

  /**
   * Closes every option with which no plan is worth `atLeast`: the best its shift could do with it, in place of the best it can do, takes the
   * bound below. Call it right after `look`, with what that gave.
   */
  close(alive: Alive, bound: number, atLeast: number): void {
    this.shifts.forEach((shift, m) => {
      const { task, start, free, value, from } = shift;
      const [ahead, behind, mine] = [this.ahead[m]!, this.behind[m]!, alive[m]!];
      behind.fill(0);
      let option = 0;
      for (let at = 0; at < behind.length; at++) {
        if (at > 0 && behind[at - 1]! > behind[at]!) behind[at] = behind[at - 1]!;
        for (; option < start.length && start[option]! - from === at; option++) {
          if (!mine[option]) continue;
          const worth = value[option]! - this.prices[task[option]!]!;
          const then = free[option]! - from;
          if (behind[at]! + worth > behind[then]!) behind[then] = behind[at]! + worth;
          if (bound - ahead[0]! + behind[at]! + worth + ahead[then]! < atLeast - SLACK) mine[option] = 0;
        }
      }
    });
  }

  /** Begins anew at prices: what was learned of the slope before does not hold there. */
  restart(prices: Float64Array): void {
    this.prices.set(prices);
    this.slope.fill(0);
  }

  /**
   * Moves the prices by a step towards a better bound, none below `least` or above `most`; `target` is a value known to be reachable, `share` how much of Polyak's
   * step is taken. The slope is smoothed over the last looks: the three things that count differ by orders, and a bare slope swings between them.
   */
  move({ bound, times }: Look, least: Float64Array, most: Float64Array, target: number, share: number): void {
    const { prices, slope } = this;
    let steep = 0;
    for (let j = 0; j < this.taskCount; j++) {
      slope[j] = SMOOTH * slope[j]! + (1 - SMOOTH) * (1 - times[j]!);
      if (slope[j]! < 0 ? prices[j]! < most[j]! : prices[j]! > least[j]!) steep += slope[j]! ** 2;
    }
    if (steep === 0) return;
    const step = (share * Math.max(bound - target, 0.5)) / steep;
    for (let j = 0; j < this.taskCount; j++) prices[j] = Math.min(most[j]!, Math.max(least[j]!, prices[j]! - step * slope[j]!));
  }
}

const SMOOTH = 0.9;

/** Sums of fractions differ in their last bits. */
const SLACK = 1e-6;
