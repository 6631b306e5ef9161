import { has, noBits } from './bits.ts';
import { reach, type Classes } from './classes.ts';
import type { Chosen, SessionProblem, Stay } from './types.ts';

/**
 * What happens at each stay of a walk: every task at its earliest stay, which respects every order (see `solveSession`).
 * A measuring after several blocks comes with the last of them. Stays in which nothing happens are left out.
 */
export function scheduleOf(problem: SessionProblem, classes: Classes, walk: readonly number[], chosen: readonly Chosen[]): Stay[] {
  const earliest = stayOfClass(classes, walk);
  const tasks: Stay['tasks'][number][][] = walk.map(() => []);
  const firstAt = (places: readonly number[], from: number) => walk.findIndex((place, stay) => stay >= from && places.includes(place));
  const [warm, before, after] = [new Map<number, number>(), new Map<number, number>(), new Map<number, number>()];
  for (const { candidate } of chosen) {
    const { warmUp, measuring } = problem.candidates[candidate]!;
    if (warmUp !== null) warm.set(warmUp, earliest[classes.warmUpOf[warmUp]!]!);
    if (measuring === null) continue;
    if (classes.beforeOf[measuring]! >= 0) before.set(measuring, earliest[classes.beforeOf[measuring]!]!);
    const { afterS, places } = problem.measurings[measuring]!;
    if (afterS > 0) after.set(measuring, Math.max(after.get(measuring) ?? 0, firstAt(places, earliest[classes.blockOf[candidate]!]!)));
  }
  for (const [measuring, stay] of before) tasks[stay]!.push({ kind: 'measure-before', measuring });
  for (const [warmUp, stay] of warm) tasks[stay]!.push({ kind: 'warm-up', warmUp });
  for (const { candidate, level } of inOrder(problem, chosen))
    tasks[earliest[classes.blockOf[candidate]!]!]!.push({ kind: 'block', candidate, level });
  for (const [measuring, stay] of after) tasks[stay]!.push({ kind: 'measure-after', measuring });
  return walk.map((place, i) => ({ place, tasks: tasks[i]! })).filter((stay) => stay.tasks.length > 0);
}

/** Blocks that precede others first, otherwise as they are listed. */
function inOrder(problem: SessionProblem, chosen: readonly Chosen[]): Chosen[] {
  const left = [...chosen];
  const sorted: Chosen[] = [];
  while (left.length > 0) {
    const free = left.findIndex(
      ({ candidate }) => !problem.precede.some(([a, b]) => b === candidate && left.some((other) => other.candidate === a)),
    );
    sorted.push(...left.splice(Math.max(0, free), 1));
  }
  return sorted;
}

function stayOfClass(classes: Classes, walk: readonly number[]): number[] {
  const earliest = classes.all.map(() => -1);
  let had = noBits(classes.words);
  walk.forEach((place, stay) => {
    had = reach(classes, place, had);
    classes.all.forEach((_, i) => {
      if (earliest[i] === -1 && has(had, i)) earliest[i] = stay;
    });
  });
  return earliest;
}
