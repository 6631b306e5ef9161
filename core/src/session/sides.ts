import type { Side } from '../body/index.ts';
import { BUILT_IN, type BlockPlan, type Shelf, type SideRounds } from '../method/index.ts';

/** Orders of working two sides. Trade habit differs, so all are offered. */
export const SIDE_PATTERNS = [
  { id: 'tight-first', label: 'tighter side first' },
  { id: 'easy-first', label: 'easier side first, to teach it' },
  { id: 'tight-easy-tight', label: 'tight, easy, tight again' },
  { id: 'even', label: 'even rounds' },
] as const;
export type SidePattern = (typeof SIDE_PATTERNS)[number]['id'];

/**
 * Passes over two sides in one of the orders, with the tighter side getting one round more unless they are to be even.
 * @example sidePasses('tight-easy-tight', 'left', 3).length // → 3
 */
export function sidePasses(pattern: SidePattern, tighter: 'left' | 'right', rounds: number): SideRounds[] {
  const easier: Side = tighter === 'left' ? 'right' : 'left';
  switch (pattern) {
    case 'tight-first':
      return [
        { side: tighter, rounds: rounds + 1 },
        { side: easier, rounds },
      ];
    case 'easy-first':
      return [
        { side: easier, rounds },
        { side: tighter, rounds: rounds + 1 },
      ];
    case 'tight-easy-tight':
      return [
        { side: tighter, rounds },
        { side: easier, rounds },
        { side: tighter, rounds: 1 },
      ];
    case 'even':
      return [
        { side: tighter, rounds },
        { side: easier, rounds },
      ];
  }
}

/**
 * All of one side first: every block of the row that works two sides becomes two, all of the first side before all of the other.
 * A close is left whole, and what follows the last block of two sides still follows it. What is done in the middle stays with the
 * first side, unless its warm-up is now among the other. `idFor` names the new blocks.
 */
export function oneSideFirst(
  blocks: readonly BlockPlan[],
  first: 'left' | 'right',
  idFor: (blockId: string) => string,
  shelf: Shelf = BUILT_IN,
): BlockPlan[] {
  const entryOf = (block: BlockPlan) => shelf.entries.get(block.entryId);
  const isTwo = (block: BlockPlan) => entryOf(block)?.stage !== 'close' && new Set(block.sides.map((each) => each.side)).size > 1;
  const end = blocks.findLastIndex(isTwo) + 1;
  const [firsts, seconds]: [BlockPlan[], BlockPlan[]] = [[], []];
  for (const block of blocks.slice(0, end)) {
    const [own, other] = [block.sides.filter((each) => each.side === first), block.sides.filter((each) => each.side !== first)];
    const warmedLater = seconds.some((each) => entryOf(each)?.stage === 'warm' && entryOf(each)?.section === entryOf(block)?.section);
    if (isTwo(block)) {
      if (own.length > 0) firsts.push({ ...block, sides: own });
      seconds.push({ ...block, id: own.length > 0 ? idFor(block.id) : block.id, sides: other });
    } else if (own.length > 0 || (block.sides.every((each) => each.side === 'midline') && !warmedLater)) firsts.push(block);
    else seconds.push(block);
  }
  return [...firsts, ...seconds, ...blocks.slice(end)];
}

/** The same work for the other side: passes mirrored, limits left behind for the cautions to write anew. */
export function mirrored(block: BlockPlan, id: string): BlockPlan {
  const { limits: _limits, ...rest } = block;
  const other: Record<Side, Side> = { left: 'right', right: 'left', midline: 'midline' };
  return { ...rest, id, sides: block.sides.map((each) => ({ ...each, side: other[each.side] })) };
}
