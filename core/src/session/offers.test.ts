import { MOTIONS } from '../body/index.ts';
import { ENTRIES } from '../catalogue/index.ts';
import { beginningOf, BUILT_IN, checkBlock, findMethod, fits, METHODS, wayRank, type Method, type Shelf } from '../method/index.ts';
import { addedBlock, offersFor, waysFor } from './offers.ts';

test('ways come in the entry’s own order, the usual one first, and none that does not fit', () => {
  for (const entry of ENTRIES) {
    const ways = waysFor(entry);
    expect(ways.map(({ id }) => id)).toEqual(entry.ways.filter((id) => findMethod(id) !== undefined));
    expect(ways.every((method) => fits(entry, method))).toBe(true);
  }
});

test('a practice’s own stands one place further back than the one it was made from, and ranks with it', () => {
  const entry = ENTRIES.find(({ ways }) => ways.length > 2)!;
  const own = { ...findMethod(entry.ways[0])!, id: 'own', madeFrom: entry.ways[0] } as Method;
  const shelf: Shelf = { ...BUILT_IN, methods: new Map([...BUILT_IN.methods, ['own', own]]) };
  expect(
    waysFor(entry, shelf)
      .map(({ id }) => id)
      .slice(0, 4),
  ).toEqual([entry.ways[0], entry.ways[1], 'own', entry.ways[2]]);
  expect([wayRank(entry, own), wayRank(entry, findMethod(entry.ways[0])!)]).toEqual([0, 0]);
  expect(wayRank({ ways: [entry.ways[1]!] }, own)).toBe(1);
});

test('offers: at most four motions in the order given, at most four entries each, every one of them measured on its motion', () => {
  const ids = MOTIONS.map(({ id }) => id);
  for (let i = 0; i < ids.length; i++) {
    const offers = offersFor(ids.slice(i));
    expect([...new Set(offers.map(({ motionId }) => motionId))]).toEqual(
      ids.slice(i, i + 4).filter((id) => offers.some(({ motionId }) => motionId === id)),
    );
    for (const id of ids.slice(i, i + 4)) {
      const own = offers.filter(({ motionId }) => motionId === id);
      expect(own.length).toBeLessThanOrEqual(4);
      expect(own.every(({ entry }) => entry.motionId === id && entry.measured && !entry.afterOperation)).toBe(true);
      // Nothing of the same kind that would lengthen more is left out.
      const shareOf = (entryId: string) => findMethod(ENTRIES.find((each) => each.id === entryId)!.ways[0])!.share;
      const left = ENTRIES.filter(
        (entry) =>
          entry.motionId === id &&
          entry.measured &&
          !entry.afterOperation &&
          entry.stage === 'specific' &&
          !own.some((offer) => offer.entry.id === entry.id),
      );
      const least = Math.min(...own.filter(({ entry }) => entry.stage === 'specific').map(({ entry }) => shareOf(entry.id)));
      for (const entry of left) expect(shareOf(entry.id)).toBeLessThanOrEqual(least);
    }
  }
});

test('a block put in by hand: sound for every entry and way, the tighter side first with a round more, never past the most', () => {
  for (const entry of ENTRIES) {
    for (const way of METHODS.filter((method) => fits(entry, method))) {
      const plain = addedBlock('b', entry.id, way.id, undefined);
      expect(checkBlock(plain)).toEqual([]);
      for (const side of ['left', 'right'] as const) {
        const block = addedBlock('b', entry.id, way.id, side);
        expect(checkBlock(block)).toEqual([]);
        if (block.sides.length < 2) {
          expect(block.sides).toEqual(plain.sides);
          continue;
        }
        expect(block.sides[0]!.side).toBe(side);
        expect(block.sides[0]!.rounds).toBe(Math.min(way.rounds.max, beginningOf(way, entry).rounds + 1));
        expect(block.sides[1]!.rounds).toBe(beginningOf(way, entry).rounds);
      }
    }
  }
});
