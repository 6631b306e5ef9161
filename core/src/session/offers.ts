import type { Side } from '../body/index.ts';
import type { Entry } from '../catalogue/index.ts';
import {
  BUILT_IN,
  fits,
  newBlock,
  offeredEntries,
  offeredMethods,
  sidesOf,
  wayRank,
  type BlockPlan,
  type Method,
  type Shelf,
} from '../method/index.ts';

/** An entry that can be taken for a motion by hand, with its ways, the usual one first. */
export interface Offer {
  readonly motionId: string;
  readonly entry: Entry;
  readonly ways: readonly Method[];
}

/** How many of the stiffest motions are offered, and for each so many entries of a kind: lengthening first, then broad work, then the joint. */
const MOTIONS_MOST = 4;
const EACH = [
  ['specific', 2],
  ['broad', 1],
  ['joint', 1],
] as const;

/**
 * Every way of working that fits an entry, in the entry's own order; a practice's own one place further back than the one it was made
 * from, so that the two that come first stay where the hand knows them.
 */
export function waysFor(entry: Entry, shelf: Shelf = BUILT_IN): Method[] {
  const place = (method: Method) => wayRank(entry, method) + (entry.ways.includes(method.id) ? 0 : 1.5);
  return offeredMethods(shelf)
    .filter((method) => fits(entry, method))
    .sort((a, b) => place(a) - place(b));
}

/**
 * What is offered to be taken by hand: for the first four motions (the stiffest first, as they are given) entries that show their effect on
 * the motion, by kind, and of one kind first what its usual way lengthens most. Entries for after an operation are left to the proposal
 * that asks for them.
 */
export function offersFor(motionIds: readonly string[], shelf: Shelf = BUILT_IN): Offer[] {
  const shareOf = (entry: Entry) => shelf.methods.get(entry.ways[0])?.share ?? 0;
  return motionIds.slice(0, MOTIONS_MOST).flatMap((motionId) => {
    const fit = offeredEntries(shelf).filter((entry) => entry.motionId === motionId && entry.measured && !entry.afterOperation);
    return EACH.flatMap(([stage, most]) =>
      fit
        .filter((entry) => entry.stage === stage)
        .sort((a, b) => shareOf(b) - shareOf(a))
        .slice(0, most),
    ).map((entry) => ({ motionId, entry, ways: waysFor(entry, shelf) }));
  });
}

/**
 * A block as it is put in by hand: both sides of a paired entry, the tighter one first and with a round more, where one is tighter.
 * Throws a RangeError for an entry or a way that does not exist.
 */
export function addedBlock(id: string, entryId: string, methodId: string, tighter: Side | undefined, shelf: Shelf = BUILT_IN): BlockPlan {
  const own = sidesOf(shelf.entries.get(entryId)!);
  const order = tighter ? [...own].sort((a, b) => Number(b === tighter) - Number(a === tighter)) : own;
  const block = newBlock(id, entryId, methodId, order, shelf);
  const most = shelf.methods.get(methodId)!.rounds.max;
  return {
    ...block,
    sides: block.sides.map((each) =>
      each.side === tighter && own.length > 1 && each.rounds < most ? { ...each, rounds: each.rounds + 1 } : each,
    ),
  };
}
