import type { ShiftOptions } from './options.ts';
import type { DayPlace, DayProblem } from './types.ts';

/** One option, by its shift and its place in the shift's list. */
export interface Pick {
  readonly shift: number;
  readonly option: number;
}

/** A plan while it is made: nobody is at two tables, no table holds two. */
export class DayPlan {
  readonly picks: (Pick | null)[];
  /** All options of each task, most valuable first, then earliest. */
  private readonly ofTask: readonly (readonly Pick[])[];

  constructor(
    private readonly problem: DayProblem,
    private readonly shifts: readonly ShiftOptions[],
  ) {
    this.picks = problem.tasks.map(() => null);
    const ofTask: Pick[][] = problem.tasks.map(() => []);
    shifts.forEach((each, shift) => each.task.forEach((task, option) => ofTask[task]!.push({ shift, option })));
    for (const list of ofTask) list.sort((a, b) => this.value(b) - this.value(a) || this.start(a) - this.start(b));
    this.ofTask = ofTask;
  }

  private value({ shift, option }: Pick): number {
    return this.shifts[shift]!.value[option]!;
  }

  private start({ shift, option }: Pick): number {
    return this.shifts[shift]!.start[option]!;
  }

  get total(): number {
    return this.picks.reduce((sum, pick) => sum + (pick ? this.value(pick) : 0), 0);
  }

  places(): DayPlace[] {
    return this.picks.flatMap((pick, task) => (pick ? [{ task, shift: pick.shift, start: this.start(pick) }] : []));
  }

  /** Makes the plan that takes what the shifts took, each task once, and then what else fits. */
  from(taken: readonly (readonly number[])[]): void {
    this.picks.fill(null);
    const found = taken.flatMap((options, shift) => options.map((option) => ({ shift, option })));
    found.sort((a, b) => this.value(b) - this.value(a) || this.start(a) - this.start(b));
    for (const pick of found) {
      const task = this.shifts[pick.shift]!.task[pick.option]!;
      if (this.picks[task] === null && this.against(task, pick).length === 0) this.picks[task] = pick;
    }
    this.fill();
  }

  /** Tasks without a time get the first of their options that is free, most urgent first. */
  private fill(): void {
    const { tasks } = this.problem;
    const left = tasks.map((_, j) => j).filter((j) => this.picks[j] === null);
    left.sort((a, b) => tasks[b]!.weight - tasks[a]!.weight || tasks[a]!.latestEnd - tasks[b]!.latestEnd);
    for (const j of left) this.picks[j] = this.freeFor(j);
  }

  private freeFor(task: number): Pick | null {
    for (const pick of this.ofTask[task]!) if (this.against(task, pick).length === 0) return pick;
    return null;
  }

  /** Placed tasks that a pick cannot stand beside. */
  private against(task: number, pick: Pick): number[] {
    const { tasks, turnover } = this.problem;
    const mine = this.shifts[pick.shift]!;
    const [start, free] = [mine.start[pick.option]!, mine.free[pick.option]!];
    const found: number[] = [];
    this.picks.forEach((other, j) => {
      if (!other || j === task) return;
      const theirs = this.shifts[other.shift]!;
      const [from, until] = [theirs.start[other.option]!, theirs.free[other.option]!];
      const table = other.shift === pick.shift && start < until && from < free;
      const person = tasks[j]!.person === tasks[task]!.person && start < until - turnover && from < free - turnover;
      if (table || person) found.push(j);
    });
    return found;
  }

  /** Puts tasks where they are worth more, where those in the way find another time; until nothing gets better. */
  improve(): void {
    for (let better = true; better;) {
      better = false;
      for (let j = 0; j < this.picks.length; j++) better = this.betterFor(j) || better;
    }
  }

  private betterFor(task: number): boolean {
    const now = this.picks[task] ?? null;
    const had = now ? this.value(now) : 0;
    for (const pick of this.ofTask[task]!) {
      const gain = this.value(pick) - had;
      if (gain <= 0) return false;
      const inTheWay = this.against(task, pick);
      if (inTheWay.length > 3) continue;
      const kept = inTheWay.map((j) => this.picks[j]!);
      for (const j of inTheWay) this.picks[j] = null;
      this.picks[task] = pick;
      let lost = 0;
      inTheWay.forEach((j, i) => {
        this.picks[j] = this.freeFor(j);
        lost += this.value(kept[i]!) - (this.picks[j] ? this.value(this.picks[j]) : 0);
      });
      if (gain > lost) return true;
      inTheWay.forEach((j, i) => (this.picks[j] = kept[i]!));
      this.picks[task] = now;
    }
    return false;
  }
}
