import type { DayProblem } from '../eventDay/index.ts';

/**
 * The whole day as an integer program in the text format that solvers read: a choice for every task, shift and begin, a row for every task, for
 * every minute of every shift and for every minute of every person with several. Written for itself, from the rules and not from the search.
 */
export function eventDayModel({ shifts, tasks, step, turnover }: DayProblem): string {
  const kept = tasks.length + 1;
  const worth: string[] = [];
  const rows = new Map<string, string[]>();
  const put = (row: string, name: string) => rows.set(row, [...(rows.get(row) ?? []), name]);
  const names: string[] = [];
  tasks.forEach((task, j) => {
    for (const m of task.shifts)
      for (let at = shifts[m]!.from; at + task.minutes <= shifts[m]!.until; at++) {
        if (at < task.earliest || at + task.minutes > task.latestEnd) continue;
        const keeps = task.kept !== null && at >= task.kept.start && at - task.kept.start <= task.kept.grace;
        if (!keeps && (task.onlyKept || at % step !== 0 || at < task.newFrom)) continue;
        const name = `x_${j}_${m}_${at}`;
        names.push(name);
        worth.push(`${task.weight * kept * kept + (keeps ? kept : 0) + (task.preferred.includes(m) ? 1 : 0)} ${name}`);
        put(`task${j}`, name);
        for (let minute = at; minute < at + task.minutes + turnover; minute++) put(`shift${m}at${minute}`, name);
        if (tasks.some((other, i) => i !== j && other.person === task.person))
          for (let minute = at; minute < at + task.minutes; minute++) put(`person${task.person}at${minute}`, name);
      }
  });
  const lines = [...rows].filter(([, row]) => row.length > 1).map(([name, row]) => ` ${name}: ${row.join(' + ')} <= 1`);
  return `Maximize\n obj: ${worth.join(' + ') || '0 none'}\nSubject To\n${lines.join('\n')}\n none0: none <= 1\nBinary\n ${[...names, 'none'].join('\n ')}\nEnd\n`;
}
