import { keyOf, noBits, oneBit, union, type Bits } from './bits.ts';
import type { Classes } from './classes.ts';
import type { Chosen, SessionProblem } from './types.ts';

/** One way to use a component: some of its candidates, each at a level. */
export interface Option {
  readonly steps: number;
  readonly value: number;
  /** Task classes that have to be available. */
  readonly needs: Bits;
  /** Warm-ups it needs, as bits. */
  readonly warm: number;
  readonly picks: readonly Chosen[];
}

/** Candidates that cannot be chosen apart: measured together, needing or forbidding each other. */
export interface Component {
  readonly options: readonly Option[];
  /** It has to be used. */
  readonly required: boolean;
  readonly warm: number;
  /** All classes that any option asks for. */
  readonly needs: Bits;
}

/** More ways than this to combine what cannot be chosen apart is a mistake in the question. */
const MOST_SETS = 50_000;

/**
 * Splits the candidates into components and lists the worthwhile options of each. Within a component every allowed set of
 * candidates is gone through; for one set the levels are combined, and what is no faster and no better than another
 * combination with the same needs is dropped, which cannot lose an optimum.
 */
export function componentsOf(problem: SessionProblem, classes: Classes): Component[] {
  const groups = groupsOf(problem);
  return groups.map((members) => componentFrom(members, problem, classes));
}

function groupsOf({ candidates, together, exclude, oneOf = [] }: SessionProblem): number[][] {
  const root = candidates.map((_, i) => i);
  const find = (i: number): number => (root[i] === i ? i : (root[i] = find(root[i]!)));
  const join = (a: number, b: number) => {
    root[find(a)] = find(b);
  };
  for (const [a, b] of [...together, ...exclude]) join(a, b);
  for (const list of oneOf) for (const i of list) join(list[0]!, i);
  const firstOf = new Map<number, number>();
  candidates.forEach(({ measuring }, i) => {
    if (measuring === null) return;
    const first = firstOf.get(measuring);
    if (first === undefined) firstOf.set(measuring, i);
    else join(i, first);
  });
  const groups = new Map<number, number[]>();
  candidates.forEach((_, i) => groups.set(find(i), [...(groups.get(find(i)) ?? []), i]));
  return [...groups.values()];
}

function componentFrom(members: readonly number[], problem: SessionProblem, classes: Classes): Component {
  const { candidates, measurings, together, exclude, stepS, oneOf = [] } = problem;
  const steps = (seconds: number) => Math.ceil(seconds / stepS);
  const clashes = new Map(members.map((i) => [i, new Set(exclude.flatMap(([a, b]) => (a === i ? [b] : b === i ? [a] : [])))]));
  const pairs = together.filter(([a]) => members.includes(a));
  const needed = oneOf.filter((list) => list.some((i) => members.includes(i)));
  const options: Option[] = [];
  let sets = 0;

  const visit = (at: number, set: readonly number[]): void => {
    if (at < members.length) {
      const next = members[at]!;
      if (candidates[next]!.banned !== true && !set.some((i) => clashes.get(next)!.has(i))) visit(at + 1, [...set, next]);
      if (candidates[next]!.required !== true) visit(at + 1, set);
      return;
    }
    if (set.length === 0 || pairs.some(([a, b]) => set.includes(a) !== set.includes(b))) return;
    if (needed.some((list) => !list.some((i) => set.includes(i)))) return;
    sets += 1;
    if (sets > MOST_SETS) throw new RangeError('Too many candidates hang together to be gone through.');
    let [warm, base] = [0, 0];
    let needs = noBits(classes.words);
    const measured = new Set<number>();
    for (const i of set) {
      needs = union(needs, oneBit(classes.doneOf[i]!, classes.words));
      const { warmUp, measuring } = candidates[i]!;
      if (warmUp !== null) warm |= 1 << warmUp;
      if (measuring !== null && !measured.has(measuring)) {
        measured.add(measuring);
        base += steps(measurings[measuring]!.beforeS) + steps(measurings[measuring]!.afterS);
      }
    }
    let combined: { steps: number; value: number; picks: readonly Chosen[] }[] = [{ steps: base, value: 0, picks: [] }];
    for (const candidate of set) {
      combined = undominated(
        combined.flatMap((so) =>
          candidates[candidate]!.levels.map((each, level) => ({
            steps: so.steps + steps(each.seconds),
            value: so.value + each.value,
            picks: [...so.picks, { candidate, level }],
          })),
        ),
      );
    }
    options.push(...combined.map((so) => ({ ...so, needs, warm })));
  };
  visit(0, []);
  const kept = withoutWorse(options);
  return {
    options: kept,
    required: needed.length > 0 || members.some((i) => candidates[i]!.required === true),
    warm: kept.reduce((bits, option) => bits | option.warm, 0),
    needs: kept.reduce<Bits>((bits, option) => union(bits, option.needs), noBits(classes.words)),
  };
}

/** Fastest first; each later one worth strictly more. */
export function undominated<T extends { readonly steps: number; readonly value: number }>(all: readonly T[]): T[] {
  const kept: T[] = [];
  for (const each of [...all].sort((a, b) => a.steps - b.steps || b.value - a.value))
    if (kept.length === 0 || each.value > kept.at(-1)!.value) kept.push(each);
  return kept;
}

/** Drops options that another one beats while asking for no more. */
function withoutWorse(options: readonly Option[]): Option[] {
  const byNeeds = new Map<string, Option[]>();
  for (const option of options) {
    const key = `${keyOf(option.needs)}:${option.warm}`;
    byNeeds.set(key, [...(byNeeds.get(key) ?? []), option]);
  }
  return [...byNeeds.values()].flatMap(undominated);
}
