/**
 * What `work` makes of items, in their order, with at most `atOnce` under way: while one is sent the next are read. No more are begun before
 * one has been taken. Where one fails, or nobody takes any more, those that are under way are waited for, so that none is left behind.
 */
export async function* ahead<Item, Made>(
  items: AsyncIterable<Item>,
  work: (item: Item) => Promise<Made>,
  atOnce: number,
): AsyncGenerator<Made> {
  const underWay: Promise<Made>[] = [];
  try {
    for await (const item of items) {
      const made = work(item);
      // It is told when its turn comes; until then nobody listens.
      made.catch(() => undefined);
      underWay.push(made);
      if (underWay.length >= atOnce) yield await underWay.shift()!;
    }
    while (underWay.length > 0) yield await underWay.shift()!;
  } finally {
    await Promise.allSettled(underWay);
  }
}
