import { keeps, startsIn } from './options.ts';
import type { DayPlace, DayProblem } from './types.ts';

/** The same plan, in the same order at every table, each time that keeps no promise as early as that allows. Its worth does not change. */
export function tidied(problem: DayProblem, places: readonly DayPlace[]): DayPlace[] {
  const { shifts, tasks, step, turnover } = problem;
  const done: DayPlace[] = [];
  for (const place of [...places].sort((a, b) => a.start - b.start || a.task - b.task)) {
    const task = tasks[place.task]!;
    const fits = (start: number) =>
      done.every((other) => {
        const [until, theirs] = [start + task.minutes, other.start + tasks[other.task]!.minutes];
        const table = other.shift === place.shift && start < theirs + turnover && other.start < until + turnover;
        const person = tasks[other.task]!.person === task.person && start < theirs && other.start < until;
        return !table && !person;
      });
    const wanted = keeps(task, place.start);
    const start = startsIn(task, shifts[place.shift]!, step).find((at) => at <= place.start && keeps(task, at) === wanted && fits(at));
    done.push({ ...place, start: start ?? place.start });
  }
  return done.sort((a, b) => a.start - b.start || a.shift - b.shift || a.task - b.task);
}
