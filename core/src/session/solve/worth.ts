import { common, keyOf, type Bits } from './bits.ts';
import { openOptions, fill, readBack, type Cluster } from './table.ts';
import type { Component, Option } from './components.ts';
import type { ReachedSets } from './reached.ts';
import type { Chosen } from './types.ts';

/** What can be won with one set of available tasks: quickly and not less than the truth, or exactly by a table. */
interface Entry {
  readonly open: ReadonlyMap<Component, readonly Option[]>;
  /** Slopes of the hulls of all components, steepest first, summed up: steps and value so far. */
  readonly steps: readonly number[];
  readonly values: readonly number[];
  table: Float64Array | null;
}

/** Values of sets of available tasks, each worked out once. */
export class Worth {
  private readonly entries: (Entry | undefined)[] = [];
  private readonly openBy = new Map<Component, Map<string, { readonly options: readonly Option[]; readonly slopes: readonly Slope[] }>>();

  constructor(
    private readonly sets: ReachedSets,
    private readonly components: readonly Component[],
    private readonly clusters: readonly Cluster[],
    private readonly total: number,
  ) {}

  /** No choice within so many steps is worth more: parts of options may be taken, and warm-ups are free. */
  atMost(reached: number, steps: number): number {
    const entry = this.entry(reached);
    if (entry.table) return entry.table[steps]!;
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
    entry.table ??= fill(this.clusters, entry.open, this.total, false).best;
    return entry.table[steps]!;
  }

  /** The choice behind that value. */
  choice(reached: number, steps: number): Chosen[] {
    return readBack(fill(this.clusters, this.entry(reached).open, steps, true), steps);
  }

  private entry(reached: number): Entry {
    const found = this.entries[reached];
    if (found) return found;
    const open = new Map<Component, readonly Option[]>();
    const all: Slope[] = [];
    for (const component of this.components) {
      const { options, slopes } = this.openOf(component, this.sets.bits(reached));
      open.set(component, options);
      all.push(...slopes);
    }
    all.sort((a, b) => b.value * a.steps - a.value * b.steps);
    const [steps, values] = [[0], [0]];
    for (const slope of all) {
      steps.push(steps.at(-1)! + slope.steps);
      values.push(values.at(-1)! + slope.value);
    }
    const entry: Entry = { open, steps, values, table: null };
    this.entries[reached] = entry;
    return entry;
  }

  private openOf(component: Component, reached: Bits) {
    const cache = this.openBy.get(component) ?? new Map<string, { options: readonly Option[]; slopes: readonly Slope[] }>();
    this.openBy.set(component, cache);
    const key = keyOf(common(reached, component.needs));
    const known = cache.get(key);
    if (known) return known;
    const options = openOptions(component, reached);
    const found = { options, slopes: hullSlopes(options) };
    cache.set(key, found);
    return found;
  }
}

interface Slope {
  readonly steps: number;
  readonly value: number;
}

/** The slopes of the upper hull of a component's options, steepest first. */
function hullSlopes(options: readonly Option[]): { steps: number; value: number }[] {
  const hull: { steps: number; value: number }[] = [{ steps: 0, value: 0 }];
  for (const { steps, value } of [...options].sort((a, b) => a.steps - b.steps || b.value - a.value)) {
    if (value <= hull.at(-1)!.value) continue;
    while (hull.length > 1) {
      const [a, b] = [hull.at(-2)!, hull.at(-1)!];
      if ((b.value - a.value) * (steps - b.steps) > (value - b.value) * (b.steps - a.steps)) break;
      hull.pop();
    }
    hull.push({ steps, value });
  }
  return hull.slice(1).map((point, i) => ({ steps: point.steps - hull[i]!.steps, value: point.value - hull[i]!.value }));
}
