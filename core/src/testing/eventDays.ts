import type { DayProblem, DayShift, DayTask } from '../eventDay/index.ts';

/** How large a made-up day is: people, tables, and within how many minutes their races lie. */
export interface DaySize {
  readonly tasks: number;
  readonly tables: number;
  readonly spread: number;
}

/**
 * A made-up day as they are: everybody races once or twice and wants something before, in between or after; hands change at noon. `random`
 * gives numbers from 0 up to 1.
 */
export function anyEventDay(random: () => number, { tasks: wanted, tables, spread }: DaySize): DayProblem {
  const int = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const of = <T>(list: readonly T[]): T => list[int(0, list.length - 1)]!;
  const shifts: DayShift[] = [];
  for (let table = 0; table < tables; table++) {
    const change = int(580, 660);
    shifts.push({ from: int(470, 500), until: change }, { from: change, until: 680 + spread });
  }
  const tasks: DayTask[] = [];
  const every = shifts.map((_, i) => i);
  for (let person = 0; tasks.length < wanted; person++) {
    const call = int(590, 590 + spread);
    const preferred = random() < 0.35 ? [of(every)] : [];
    const common = { person, weight: of([1, 1, 1, 1, 2, 3, 10]), kept: null, onlyKept: false, shifts: every, preferred };
    if (random() < 0.75)
      tasks.push({ ...common, minutes: of([8, 10, 12, 15]), earliest: call - 90, newFrom: call - 90, latestEnd: call - 20 });
    const again = call + int(70, 150);
    if (random() < 0.3) tasks.push({ ...common, minutes: of([6, 8, 10]), earliest: call + 20, newFrom: call + 20, latestEnd: again - 20 });
    if (random() < 0.3)
      tasks.push({ ...common, minutes: of([10, 15, 20]), earliest: again + 20, newFrom: again + 20, latestEnd: again + 140 });
  }
  return { shifts, tasks: tasks.slice(0, wanted), step: 5, turnover: 2 };
}

/** The day after something happened: what was promised is kept where it can be, some races are later, one table closes for a while. */
export function disturbed(
  random: () => number,
  { problem, places }: { readonly problem: DayProblem; readonly places: readonly { readonly task: number; readonly start: number }[] },
): DayProblem {
  const int = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const slip = int(10, 40);
  const from = int(600, 700);
  return {
    ...problem,
    shifts: problem.shifts.map((shift, i) => (i === 0 && shift.until - shift.from > 60 ? { ...shift, until: shift.until - 40 } : shift)),
    tasks: problem.tasks.map((task, j) => {
      const place = places.find((each) => each.task === j);
      const later = task.earliest >= from && task.earliest < from + 40 ? slip : 0;
      return {
        ...task,
        earliest: task.earliest + later,
        newFrom: task.newFrom + later,
        latestEnd: task.latestEnd + later,
        kept: place ? { start: place.start, grace: 5 } : null,
      };
    }),
  };
}
