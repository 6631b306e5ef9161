import { ENTRIES, findEntry } from '../catalogue/index.ts';
import { BUILT_IN, checkBlock, sidesOf, techniquesOf } from '../method/index.ts';
import { additionsFor, blockOf, swapsFor } from './index.ts';

const way = (id: string) => BUILT_IN.methods.get(id)!;

test('swaps of every entry and way: nine at most, never the same again, and each is a sound block on the side that is worked on', () => {
  for (const entry of ENTRIES) {
    for (const methodId of entry.ways) {
      const offers = swapsFor({ entryId: entry.id, methodId }, entry.positions[0], BUILT_IN);
      expect(offers.length).toBeLessThanOrEqual(9);
      expect(offers.filter((offer) => offer.entryId === entry.id && offer.methodId === methodId)).toEqual([]);
      // What can be done as they lie comes first.
      const turns = offers.map(({ turnTo }) => turnTo !== null);
      expect(turns).toEqual([...turns].sort((a, b) => Number(a) - Number(b)));
      for (const offer of offers) {
        const block = blockOf('x', offer, entry.positions[0], [sidesOf(entry)[0]!], null, BUILT_IN);
        if (block) expect([offer, checkBlock(block)]).toEqual([offer, []]);
      }
    }
  }
});

test('what is easier comes before another way, steady motion before the rest, harder last', () => {
  const offers = swapsFor({ entryId: 'hamstring-heel-on-shoulder', methodId: 'cr-breath' }, 'supine', BUILT_IN);
  expect(offers.slice(0, 3)).toMatchObject([
    { entryId: 'hamstring-bent-shoulder', methodId: 'cr-breath', words: 'easier: the knee stays bent' },
    { entryId: 'hamstring-ninety', words: 'easier: the thigh stays upright' },
    { entryId: 'hamstring-heel-on-shoulder', methodId: 'continuous-motion', words: 'another way' },
  ]);
  const harder = swapsFor({ entryId: 'figure-four-beside', methodId: 'cr-light' }, 'supine', BUILT_IN).filter(({ words }) =>
    words.startsWith('harder'),
  );
  for (const { entryId } of harder) expect(findEntry('figure-four-beside')!.harder.map(({ id }) => id)).toContain(entryId);
});

test('a press presses, a hold only holds, a point only presses on a point; each on one side, one round', () => {
  for (const entry of ENTRIES) {
    const offers = additionsFor(entry, entry.positions[0], BUILT_IN);
    for (const offer of offers) {
      const done = techniquesOf(way(offer.methodId));
      expect(offer.turnTo).toBeNull();
      if (offer.words.startsWith('a press')) expect([offer, done.includes('contract')]).toEqual([offer, true]);
      if (offer.words === 'a hold') expect([offer, done.includes('lengthen') && !done.includes('contract')]).toEqual([offer, true]);
      if (offer.words === 'a point') expect([offer, done.includes('press') && !done.includes('lengthen')]).toEqual([offer, true]);
      const block = blockOf('x', offer, entry.positions[0], [sidesOf(entry)[0]!], 1, BUILT_IN);
      if (block) expect([checkBlock(block), block.sides.every(({ rounds }) => rounds === 1)]).toEqual([[], true]);
    }
  }
  expect(additionsFor(findEntry('calf-supine')!, 'supine', BUILT_IN).map(({ words }) => words)).toEqual([
    'a press against your hand',
    'a hold',
    'a point',
  ]);
});

test('a midline block swapped for a paired one goes to both sides, a side for a midline one to the middle', () => {
  const offer = { entryId: 'neck-side-bend-supine', methodId: 'cr-breath', words: '', turnTo: null };
  expect(blockOf('x', offer, 'supine', ['midline'], null, BUILT_IN)!.sides.map(({ side }) => side)).toEqual(['left', 'right']);
  const middle = { entryId: 'skull-base-melt', methodId: 'breath-sink', words: '', turnTo: null };
  expect(blockOf('x', middle, 'supine', ['left'], null, BUILT_IN)!.sides.map(({ side }) => side)).toEqual(['midline']);
});
