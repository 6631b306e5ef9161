import type { DayPlace, DayProblem, DayTask, DayWorth } from './types.ts';

/** Every way a task could lie: which shift, which minute, what it counts. One list per shift, by begin. */
export interface ShiftOptions {
  readonly shift: number;
  readonly from: number;
  /** Where the last task's turnover ends at the latest. */
  readonly until: number;
  readonly task: Int32Array;
  readonly start: Int32Array;
  /** When the table is free again. */
  readonly free: Int32Array;
  readonly value: Float64Array;
}

/** Values in one whole number, the first before the second before the third: no sum of a later one outweighs one of an earlier. */
export function valueUnits({ tasks }: DayProblem): { readonly weight: number; readonly kept: number } {
  const kept = tasks.length + 1;
  return { weight: kept * kept, kept };
}

const worthUnits = (problem: DayProblem, { weight, kept, preferred }: DayWorth): number => {
  const units = valueUnits(problem);
  return weight * units.weight + kept * units.kept + preferred;
};

/** Whether a begin keeps what was promised. */
export const keeps = ({ kept }: Pick<DayTask, 'kept'>, start: number): boolean =>
  kept !== null && start >= kept.start && start <= kept.start + kept.grace;

/** What a plan comes to. */
export function worthOf({ tasks }: DayProblem, places: readonly DayPlace[]): DayWorth {
  const worth = { weight: 0, kept: 0, preferred: 0 };
  for (const { task, shift, start } of places) {
    const each = tasks[task]!;
    worth.weight += each.weight;
    if (keeps(each, start)) worth.kept += 1;
    if (each.preferred.includes(shift)) worth.preferred += 1;
  }
  return worth;
}

/** A plan's worth as the search counts it. */
export const countOf = (problem: DayProblem, places: readonly DayPlace[]): number => worthUnits(problem, worthOf(problem, places));

/** Begins a task may have in a shift: the steps of the clock, and every minute that keeps a promise. */
export function startsIn(task: DayTask, shift: { readonly from: number; readonly until: number }, step: number): number[] {
  const least = Math.max(task.earliest, shift.from);
  const leastNew = Math.max(least, task.newFrom);
  const most = Math.min(task.latestEnd, shift.until) - task.minutes;
  const starts = new Set<number>();
  if (!task.onlyKept) for (let at = Math.ceil(leastNew / step) * step; at <= most; at += step) starts.add(at);
  if (task.kept !== null)
    for (let at = Math.max(least, task.kept.start); at <= Math.min(most, task.kept.start + task.kept.grace); at++) starts.add(at);
  return [...starts].sort((a, b) => a - b);
}

export function optionsOf(problem: DayProblem): ShiftOptions[] {
  const units = valueUnits(problem);
  return problem.shifts.map((shift, index) => {
    const found: { task: number; start: number; free: number; value: number }[] = [];
    problem.tasks.forEach((task, j) => {
      if (!task.shifts.includes(index)) return;
      const preferred = task.preferred.includes(index) ? 1 : 0;
      for (const start of startsIn(task, shift, problem.step))
        found.push({
          task: j,
          start,
          free: start + task.minutes + problem.turnover,
          value: task.weight * units.weight + (keeps(task, start) ? units.kept : 0) + preferred,
        });
    });
    found.sort((a, b) => a.start - b.start || a.task - b.task);
    return {
      shift: index,
      from: shift.from,
      until: shift.until + problem.turnover,
      task: Int32Array.from(found, (each) => each.task),
      start: Int32Array.from(found, (each) => each.start),
      free: Int32Array.from(found, (each) => each.free),
      value: Float64Array.from(found, (each) => each.value),
    };
  });
}
