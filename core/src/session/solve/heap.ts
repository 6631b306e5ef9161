/** A binary heap, greatest first; of equals the one that came first. */
export class Heap<T> {
  private readonly items: { readonly item: T; readonly key: number; readonly order: number }[] = [];
  private count = 0;

  constructor(private readonly keyOf: (item: T) => number) {}

  push(item: T): void {
    const { items } = this;
    items.push({ item, key: this.keyOf(item), order: this.count++ });
    for (let i = items.length - 1; i > 0;) {
      const parent = (i - 1) >> 1;
      if (!this.before(i, parent)) break;
      this.swap(i, parent);
      i = parent;
    }
  }

  pop(): T | undefined {
    const { items } = this;
    const top = items[0];
    const last = items.pop();
    if (!top || !last) return undefined;
    if (items.length > 0) {
      items[0] = last;
      for (let i = 0; ;) {
        let first = i;
        for (const child of [2 * i + 1, 2 * i + 2]) if (child < items.length && this.before(child, first)) first = child;
        if (first === i) break;
        this.swap(i, first);
        i = first;
      }
    }
    return top.item;
  }

  private before(a: number, b: number): boolean {
    const [x, y] = [this.items[a]!, this.items[b]!];
    return x.key > y.key || (x.key === y.key && x.order < y.order);
  }

  private swap(a: number, b: number): void {
    [this.items[a], this.items[b]] = [this.items[b]!, this.items[a]!];
  }
}
