import { setTimeout as wait } from 'node:timers/promises';
import { ahead } from './ahead.ts';

async function* numbers(count: number): AsyncGenerator<number> {
  for (let i = 0; i < count; i++) yield i;
}
const watched = (fails = -1) => {
  const seen = { now: 0, most: 0, begun: 0 };
  const work = async (item: number) => {
    seen.begun += 1;
    seen.most = Math.max(seen.most, ++seen.now);
    // The first take longest: order is not that of ending.
    await wait(Math.max(1, 12 - item));
    seen.now -= 1;
    if (item === fails) throw new Error(`no ${item}`);
    return item * 10;
  };
  return { seen, work };
};

test.each([1, 3, 50])('in order, at most %i under way', async (atOnce) => {
  const { seen, work } = watched();
  const found: number[] = [];
  for await (const made of ahead(numbers(20), work, atOnce)) found.push(made);
  expect(found).toEqual(Array.from({ length: 20 }, (_, i) => i * 10));
  expect(seen.most).toBeLessThanOrEqual(atOnce);
  if (atOnce === 3) expect(seen.most).toBe(3);
});

test('one that fails is told at its turn, and nothing is left under way', async () => {
  const { seen, work } = watched(5);
  const found: number[] = [];
  const go = async () => {
    for await (const made of ahead(numbers(20), work, 4)) found.push(made);
  };
  await expect(go()).rejects.toThrow('no 5');
  expect(found).toEqual([0, 10, 20, 30, 40]);
  expect(seen.now).toBe(0);
  expect(seen.begun).toBeLessThan(12);
});

test('whoever stops taking leaves nothing under way, and no more is begun', async () => {
  const { seen, work } = watched();
  for await (const made of ahead(numbers(20), work, 4)) if (made === 20) break;
  expect(seen.now).toBe(0);
  expect(seen.begun).toBeLessThan(9);
});
