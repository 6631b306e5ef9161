import { normals } from '../forecast/index.ts';
import { seeded } from '../random/index.ts';
import type { PastBlock, PastReading } from '../record/index.ts';
import { comparisonResult, comparisonVisits, drawOrder, exactPairs, PAIRS, RARE, saysWhich, type Comparison } from './index.ts';

// Darwin's maize, cross- against self-fertilised, eighths of an inch (Fisher RA. The Design of Experiments. 1935, chapter III, recalled from
// memory): the sum is 314, and of the 32 768 orders 863 give as much or more.
const MAIZE = [49, -67, 8, 16, 6, 23, 28, 41, 14, 29, 56, 24, 75, 60, -48];

test('the textbook’s example: every order of Darwin’s fifteen pairs', () => {
  const found = exactPairs(MAIZE);
  expect(found.mean * 15).toBe(314);
  expect(found.orders).toBe(32_768);
  expect(found.asGreat).toBe(863);
  expect(found.asFar).toBe(2 * 863);
});

/** The same by writing every order down. */
function byWritingDown(differences: readonly number[]): { asFar: number; asGreat: number } {
  const sums = differences.reduce<number[]>((all, each) => all.flatMap((sum) => [sum + each, sum - each]), [0]);
  const seen = differences.reduce((sum, each) => sum + each, 0);
  return {
    asFar: sums.filter((sum) => Math.abs(sum) >= Math.abs(seen) - 1e-9).length,
    asGreat: sums.filter((sum) => sum >= seen - 1e-9).length,
  };
}

test('the same as by writing every order down, ties and nothings among them', () => {
  const random = seeded(4);
  for (let i = 0; i < 300; i++) {
    const differences = Array.from({ length: 1 + Math.floor(random() * 9) }, () => Math.round((random() - 0.4) * 12) / 2);
    expect(exactPairs(differences)).toMatchObject(byWritingDown(differences));
  }
});

test('with fewer than five pairs nothing could be said, with five the clearest outcome can', () => {
  const clearest = (pairs: number) => saysWhich(exactPairs(Array.from({ length: pairs }, (_, i) => 1 + i)));
  expect([3, 4, 5, 6].map(clearest)).toEqual([false, false, true, true]);
  expect(PAIRS.min).toBe(5);
  expect(() => exactPairs([])).toThrow('pairs');
  expect(() => exactPairs(Array.from({ length: 21 }, () => 1))).toThrow('pairs');
});

test('where the ways do the same it is said they differ in no more than one of ten, whatever the readings look like; the interval holds what it says', () => {
  const random = seeded(9);
  const normal = normals(random);
  for (const [name, draw] of [
    ['normal', () => normal()],
    ['heavy tails', () => normal() / Math.max(0.05, random())],
  ] as const) {
    let [said, held, bounds] = [0, 0, 0];
    const times = 3000;
    for (let i = 0; i < times; i++) {
      const truth = 0.7;
      const differences = Array.from({ length: 6 }, draw);
      if (saysWhich(exactPairs(differences))) said += 1;
      const { interval } = exactPairs(differences.map((each) => each + truth));
      if (interval === null) continue;
      bounds += 1;
      if (interval.low <= truth && truth <= interval.high) held += 1;
      expect(interval.level).toBeGreaterThanOrEqual(1 - RARE);
    }
    // Three standard errors of the simulation.
    const slack = 3 * Math.sqrt((RARE * (1 - RARE)) / times);
    expect([name, said / times <= RARE + slack]).toEqual([name, true]);
    expect([name, bounds]).toEqual([name, times]);
    expect([name, held / bounds >= 1 - RARE - slack]).toEqual([name, true]);
  }
});

test('an order has both ways in every pair, each first about as often', () => {
  const random = seeded(2);
  let first = 0;
  for (let i = 0; i < 500; i++) {
    const order = drawOrder(6, () => random() < 0.5);
    expect(order).toHaveLength(12);
    for (let pair = 0; pair < 12; pair += 2) {
      expect([...order.slice(pair, pair + 2)].sort()).toEqual(['a', 'b']);
      if (order[pair] === 'a') first += 1;
    }
  }
  expect(first / 3000).toBeGreaterThan(0.47);
  expect(first / 3000).toBeLessThan(0.53);
});

const dayOf = (instant: string) => instant.slice(0, 10);
const on = (day: number) => `2026-10-${String(day).padStart(2, '0')}T09:00:00.000Z`;
const reading = (day: number, value: number, more: Partial<PastReading> = {}): PastReading => ({
  visitId: `v${day}`,
  startsAt: on(day),
  motionId: 'ankle-lunge',
  side: 'left',
  moment: 'before',
  instrument: 'inclinometer',
  examinerId: null,
  trialCount: 3,
  value,
  ...more,
});
const block = (day: number, methodId: string, more: Partial<PastBlock> = {}): PastBlock => ({
  visitId: `v${day}`,
  startsAt: on(day),
  entryId: 'calf-supine',
  methodId,
  motionId: 'ankle-lunge',
  sides: [{ side: 'left', rounds: 3 }],
  ...more,
});
const comparison = (order: Comparison['order']): Comparison => ({
  id: 'c',
  motionId: 'ankle-lunge',
  side: 'left',
  entryId: 'calf-supine',
  ways: ['cr-breath', 'static-hold'],
  pairs: 5,
  startedOn: '2026-10-03',
  endedOn: null,
  order,
  revision: 1,
});

describe('how a comparison stands', () => {
  test('its visits are those from its day on with one of its ways, its entry and its side', () => {
    const blocks = [
      block(2, 'cr-breath'),
      block(4, 'static-hold'),
      block(5, 'other-way'),
      block(6, 'cr-breath', { entryId: 'soleus-prone' }),
      block(7, 'cr-breath', { sides: [{ side: 'right', rounds: 3 }] }),
      block(8, 'cr-breath', { sides: [{ side: 'left', rounds: 0 }] }),
      block(9, 'cr-breath'),
      block(10, 'cr-breath'),
      block(10, 'static-hold'),
    ];
    expect(comparisonVisits(comparison([]), blocks, dayOf).map(({ visitId, did }) => [visitId, did])).toEqual([
      ['v4', 'b'],
      ['v9', 'a'],
      ['v10', 'both'],
    ]);
  });

  test('what a visit left is read before the next one; a pair counts once both are, and not where something else was done', () => {
    const blocks = [
      block(4, 'cr-breath'),
      block(8, 'static-hold'),
      block(12, 'static-hold'),
      block(16, 'cr-breath'),
      block(20, 'static-hold'),
      block(24, 'static-hold'),
    ];
    const past = [reading(4, 30), reading(8, 32), reading(12, 33), reading(16, 33.5), reading(20, 36), reading(24, 36), reading(28, 37)];
    const found = comparisonResult(comparison(['a', 'b', 'b', 'a', 'a', 'b']), { past, blocks }, dayOf);
    expect(found.visits.map(({ kept }) => kept)).toEqual([2, 1, 0.5, 2.5, 0, 1]);
    expect(found.differences).toEqual([1, 2]);
    expect(found.otherwise).toBe(1);
    expect(found.test).toMatchObject({ orders: 4, asFar: 2, mean: 1.5, interval: null });
    // Without the reading after the second pair it does not count yet.
    expect(
      comparisonResult(comparison(['a', 'b', 'b', 'a']), { past: past.slice(0, 4), blocks: blocks.slice(0, 4) }, dayOf).differences,
    ).toEqual([1]);
    expect(comparisonResult(comparison(['a']), { past: [], blocks: [] }, dayOf)).toEqual({
      visits: [],
      differences: [],
      otherwise: 0,
      test: null,
    });
  });
});
