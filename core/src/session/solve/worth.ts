import { common, keyOf, union, type Bits } from './bits.ts';
import type { Component, Option } from './components.ts';
import type { ReachedSets } from './reached.ts';
import { fill, openOptions, readBack, withCluster, type Cluster } from './table.ts';
import type { Chosen } from './types.ts';

/** What can be won with one set of available tasks: quickly and not less than the truth, or exactly by a table. */
interface Entry {
  readonly open: ReadonlyMap<Component, readonly Option[]>;
  /** The least that is required takes; infinite where it is not available. From there the slopes of all clusters, steepest first, summed up. */
  readonly steps: readonly number[];
  readonly values: readonly number[];
  table: Float64Array | null;
}

/** A cluster on its own: the upper hull of what it is worth within each number of steps. */
interface Hull {
  /** Where it begins: nothing, or the least that is required there; infinite where that is not available. */
  readonly steps: number;
  readonly value: number;
  readonly slopes: readonly Slope[];
}

interface Slope {
  readonly steps: number;
  readonly value: number;
}

/**
 * Values of sets of available tasks, each worked out once.
 *
 * The quick bound: of every cluster (components that share warm-ups) its own exact table is known, warm-ups paid for, and of that the
 * upper hull, which is concave and nowhere below it. Clusters share nothing but the time, so that the greatest sum of hulls within
 * some steps is no less than the greatest sum of tables; and for concave parts that sum is had by taking the steepest slopes first.
 */
export class Worth {
  private readonly entries: (Entry | undefined)[] = [];
  private readonly openBy = new Map<Component, Map<string, readonly Option[]>>();
  private readonly empty: Float64Array;
  private readonly filled = new Map<string, Float64Array>();
  private readonly hullBy: { readonly cluster: Cluster; readonly needs: Bits; readonly known: Map<string, Hull> }[];

  constructor(
    private readonly sets: ReachedSets,
    private readonly components: readonly Component[],
    private readonly clusters: readonly Cluster[],
    total: number,
  ) {
    this.empty = new Float64Array(total + 1);
    this.hullBy = clusters.map((cluster) => ({
      cluster,
      needs: cluster.components.map((component) => component.needs).reduce(union),
      known: new Map(),
    }));
  }

  /** No choice within so many steps is worth more: of every cluster parts may be taken. */
  atMost(reached: number, steps: number): number {
    const entry = this.entry(reached);
    if (entry.table) return entry.table[steps]!;
    if (steps < entry.steps[0]!) return Number.NEGATIVE_INFINITY;
    let [low, high] = [0, entry.steps.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (entry.steps[middle]! <= steps) low = middle;
      else high = middle - 1;
    }
    const [from, value] = [entry.steps[low]!, entry.values[low]!];
    const next = entry.steps[low + 1];
    return next === undefined ? value : value + ((entry.values[low + 1]! - value) * (steps - from)) / (next - from);
  }

  /** The greatest value within so many steps, or minus infinity where what is required is not available. */
  exactly(reached: number, steps: number): number {
    const entry = this.entry(reached);
    entry.table ??= this.tableOf(reached, entry.open);
    return entry.table[steps]!;
  }

  /** Filled cluster by cluster; sets that have the same of the first clusters share their tables as far as that goes. */
  private tableOf(reached: number, open: ReadonlyMap<Component, readonly Option[]>): Float64Array {
    const bits = this.sets.bits(reached);
    let [table, key] = [this.empty, ''];
    for (const { cluster, needs } of this.hullBy) {
      key += `${keyOf(common(bits, needs))}|`;
      const known = this.filled.get(key) ?? withCluster(table, cluster, open);
      this.filled.set(key, known);
      table = known;
    }
    return table;
  }

  /** The choice behind that value. */
  choice(reached: number, steps: number): Chosen[] {
    return readBack(fill(this.clusters, this.entry(reached).open, steps), steps);
  }

  private entry(reached: number): Entry {
    const found = this.entries[reached];
    if (found) return found;
    const bits = this.sets.bits(reached);
    const open = new Map(this.components.map((component) => [component, this.openOf(component, bits)]));
    const hulls = this.hullBy.map((each) => {
      const key = keyOf(common(bits, each.needs));
      const known = each.known.get(key) ?? hullOf(withCluster(this.empty, each.cluster, open));
      each.known.set(key, known);
      return known;
    });
    const steps = [hulls.reduce((sum, hull) => sum + hull.steps, 0)];
    const values = [hulls.reduce((sum, hull) => sum + hull.value, 0)];
    for (const slope of hulls.flatMap((hull) => hull.slopes).sort((a, b) => b.value * a.steps - a.value * b.steps)) {
      steps.push(steps.at(-1)! + slope.steps);
      values.push(values.at(-1)! + slope.value);
    }
    const entry: Entry = { open, steps, values, table: null };
    this.entries[reached] = entry;
    return entry;
  }

  private openOf(component: Component, reached: Bits): readonly Option[] {
    const cache = this.openBy.get(component) ?? new Map<string, readonly Option[]>();
    this.openBy.set(component, cache);
    const key = keyOf(common(reached, component.needs));
    const known = cache.get(key) ?? openOptions(component, reached);
    cache.set(key, known);
    return known;
  }
}

/** The upper hull of a table that never falls: where it begins, and its slopes, steepest first. */
function hullOf(best: Float64Array): Hull {
  const begins = best.findIndex((value) => value !== Number.NEGATIVE_INFINITY);
  if (begins < 0) return { steps: Number.POSITIVE_INFINITY, value: 0, slopes: [] };
  const hull: Slope[] = [{ steps: begins, value: best[begins]! }];
  for (let steps = begins + 1; steps < best.length; steps++) {
    const value = best[steps]!;
    // Only where it rises can it touch its hull from below.
    if (value <= best[steps - 1]!) continue;
    while (hull.length > 1) {
      const [a, b] = [hull.at(-2)!, hull.at(-1)!];
      if ((b.value - a.value) * (steps - b.steps) > (value - b.value) * (b.steps - a.steps)) break;
      hull.pop();
    }
    hull.push({ steps, value });
  }
  const slopes = hull.slice(1).map((point, i) => ({ steps: point.steps - hull[i]!.steps, value: point.value - hull[i]!.value }));
  return { steps: begins, value: best[begins]!, slopes };
}
