import { undominated, type Component, type Option } from './components.ts';
import { within, type Bits } from './bits.ts';
import type { Chosen } from './types.ts';

/** The options of one component that are open, split by the warm-ups they need. */
interface Open {
  readonly component: Component;
  readonly options: readonly Option[];
}

/** Components that share warm-ups; a cluster without any holds a single component. */
export interface Cluster {
  readonly components: readonly Component[];
  /** Every set of the warm-ups of this cluster, as bits, with the steps it takes. */
  readonly warmings: readonly { readonly warm: number; readonly steps: number }[];
}

const NEVER = Number.NEGATIVE_INFINITY;

/** Groups components by the warm-ups they share, so that a warm-up is paid once for all of them. */
export function clustersOf(components: readonly Component[], warmUpSteps: readonly number[]): Cluster[] {
  const left = [...components];
  const clusters: Cluster[] = [];
  while (left.length > 0) {
    const members = [left.shift()!];
    let warm = members[0]!.warm;
    for (let i = 0; i < left.length;) {
      if ((left[i]!.warm & warm) === 0) {
        i += 1;
        continue;
      }
      warm |= left[i]!.warm;
      members.push(...left.splice(i, 1));
      i = 0;
    }
    const bits = warmUpSteps.flatMap((_, i) => ((warm >> i) & 1 ? [i] : []));
    const warmings = Array.from({ length: 1 << bits.length }, (_, set) => {
      const chosen = bits.filter((_, j) => (set >> j) & 1);
      return { warm: chosen.reduce((sum, i) => sum | (1 << i), 0), steps: chosen.reduce((sum, i) => sum + warmUpSteps[i]!, 0) };
    });
    clusters.push({ components: members, warmings });
  }
  return clusters;
}

/**
 * What is open of a component when the classes of `reached` are available: options whose needs are all there, without those
 * that another open one beats.
 */
export function openOptions(component: Component, reached: Bits): Option[] {
  const open = component.options.filter((option) => within(option.needs, reached));
  const byWarm = new Map<number, Option[]>();
  for (const option of open) byWarm.set(option.warm, [...(byWarm.get(option.warm) ?? []), option]);
  return [...byWarm.values()].flatMap(undominated);
}

/** How a table was filled, so that what was chosen can be read back. */
export type Trace = {
  readonly cluster: Cluster;
  readonly which: Int8Array;
  readonly ways: readonly {
    readonly shift: number;
    readonly picks: readonly { readonly options: readonly Option[]; readonly choice: Int16Array }[];
  }[];
};

/**
 * How the greatest value within each number of steps is had, when these options are open: a knapsack over components, of each at most
 * one option, and of each cluster one set of warm-ups. A set of warm-ups is paid first; then only options that need no
 * other are taken. Going through every set and every option, it is exact for whole steps.
 */
export function fill(clusters: readonly Cluster[], open: ReadonlyMap<Component, readonly Option[]>, steps: number): readonly Trace[] {
  let best: Float64Array = new Float64Array(steps + 1);
  const traces: Trace[] = [];
  for (const cluster of clusters) best = withCluster(best, cluster, open, traces);
  return traces;
}

/** The table of what comes before with one cluster more; how it was filled is added to `traces`, where it is asked for. */
export function withCluster(
  best: Float64Array,
  cluster: Cluster,
  open: ReadonlyMap<Component, readonly Option[]>,
  traces: Trace[] | null = null,
): Float64Array {
  const steps = best.length - 1;
  const opened = cluster.components.map((component): Open => ({ component, options: open.get(component)! }));
  const needed = opened.reduce((bits, { options }) => options.reduce((sum, option) => sum | option.warm, bits), 0);
  const which = new Int8Array(traces ? steps + 1 : 0);
  const ways: Trace['ways'][number][] = [];
  let after: Float64Array | null = null;
  cluster.warmings.forEach(({ warm, steps: shift }, w) => {
    if ((warm & ~needed) !== 0 || shift > steps) {
      if (traces) ways.push({ shift, picks: [] });
      return;
    }
    let table: Float64Array = new Float64Array(steps + 1).fill(NEVER, 0, shift);
    table.set(best.subarray(0, steps + 1 - shift), shift);
    const picks: { options: readonly Option[]; choice: Int16Array }[] = [];
    for (const { component, options } of opened) {
      const usable = options.filter((option) => (option.warm & ~warm) === 0);
      const next = component.required ? new Float64Array(steps + 1).fill(NEVER) : table.slice();
      const choice = new Int16Array(traces ? steps + 1 : 0).fill(-1);
      for (let o = 0; o < usable.length; o++) improve(next, table, usable[o]!, traces ? choice : null, o);
      picks.push({ options: usable, choice });
      table = next;
    }
    if (traces) ways.push({ shift, picks });
    if (after === null) {
      after = table;
      if (traces) which.fill(w);
    } else {
      for (let t = 0; t <= steps; t++) {
        if (table[t]! > after[t]!) {
          after[t] = table[t]!;
          if (traces) which[t] = w;
        }
      }
    }
  });
  traces?.push({ cluster, which, ways });
  return after ?? best;
}

/** Takes an option wherever it is better; on its own, because everything else waits for this loop. */
function improve(next: Float64Array, table: Float64Array, { steps, value }: Option, choice: Int16Array | null, o: number): void {
  const end = next.length;
  if (choice === null) {
    for (let t = steps, from = 0; t < end; t++, from++) {
      const so = table[from]! + value;
      if (so > next[t]!) next[t] = so;
    }
    return;
  }
  for (let t = steps, from = 0; t < end; t++, from++) {
    const so = table[from]! + value;
    if (so > next[t]!) {
      next[t] = so;
      choice[t] = o;
    }
  }
}

/** What was chosen within so many steps, and the warm-ups that go with it. */
export function readBack(traces: readonly Trace[], steps: number): Chosen[] {
  const chosen: Chosen[] = [];
  let t = steps;
  for (const { which, ways } of [...traces].reverse()) {
    const way = ways[which[t]!]!;
    for (const { options, choice } of [...way.picks].reverse()) {
      const option = options[choice[t]!];
      if (!option) continue;
      chosen.push(...option.picks);
      t -= option.steps;
    }
    t -= way.shift;
  }
  return chosen.sort((a, b) => a.candidate - b.candidate);
}
