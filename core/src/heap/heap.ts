/** A binary heap, greatest first; of equals the one that came first. */
export class Heap<T> {
  private readonly items: T[] = [];
  private readonly keys: number[] = [];
  private readonly orders: number[] = [];
  private count = 0;

  constructor(private readonly keyOf: (item: T) => number) {}

  push(item: T): void {
    this.rise(this.items.length, item, this.keyOf(item), this.count++);
  }

  /** What comes next, left where it is. */
  top(): T | undefined {
    return this.items[0];
  }

  pop(): T | undefined {
    const { items, keys, orders } = this;
    if (items.length === 0) return undefined;
    const top = items[0]!;
    const [item, key, order] = [items.pop()!, keys.pop()!, orders.pop()!];
    if (items.length > 0) this.sink(item, key, order);
    return top;
  }

  /** Puts an item in at a free place, or above it. */
  private rise(free: number, item: T, key: number, order: number): void {
    let at = free;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (!before(key, order, this.keys[parent]!, this.orders[parent]!)) break;
      this.copy(parent, at);
      at = parent;
    }
    this.put(at, item, key, order);
  }

  /** Puts an item in at the top, which is free, or below it. */
  private sink(item: T, key: number, order: number): void {
    const { keys, orders } = this;
    const end = keys.length;
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= end) break;
      if (child + 1 < end && before(keys[child + 1]!, orders[child + 1]!, keys[child]!, orders[child]!)) child += 1;
      if (!before(keys[child]!, orders[child]!, key, order)) break;
      this.copy(child, at);
      at = child;
    }
    this.put(at, item, key, order);
  }

  private copy(from: number, to: number): void {
    this.put(to, this.items[from]!, this.keys[from]!, this.orders[from]!);
  }

  private put(at: number, item: T, key: number, order: number): void {
    this.items[at] = item;
    this.keys[at] = key;
    this.orders[at] = order;
  }
}

const before = (key: number, order: number, otherKey: number, otherOrder: number): boolean =>
  key > otherKey || (key === otherKey && order < otherOrder);
