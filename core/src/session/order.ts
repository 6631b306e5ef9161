import { BUILT_IN, type BlockPlan, type Shelf } from '../method/index.ts';

/** A rule of order that a row of blocks breaks, in words. */
export interface OrderProblem {
  readonly blockId: string;
  readonly rule: 'warm-first' | 'close-last' | 'home-apart' | 'dry-first';
  readonly words: string;
}

/**
 * What is wrong with the order of blocks: a warm-up of a region comes before its lengthening on the same side, and a closing comes last. Whether there
 * is a warm-up at all is not a matter of order. Where one part of the body is worked dry and oiled, dry comes first. Common practice: warm
 * before long, dry before oil, or the hand slips; a clear end.
 */
export function orderProblems(blocks: readonly BlockPlan[], shelf: Shelf = BUILT_IN): OrderProblem[] {
  const rows = blocks.flatMap((block, i) => {
    const entry = shelf.entries.get(block.entryId);
    return entry ? [{ block, entry, i }] : [];
  });
  return rows.flatMap(({ block, entry, i }): OrderProblem[] => {
    const later = rows.filter((row) => row.i > i);
    if (entry.stage === 'close') {
      // What ends one side may be followed by the other one.
      const after = later.find((row) => row.entry.stage !== 'close' && shareSide(row.block, block));
      return after
        ? [{ blockId: block.id, rule: 'close-last', words: `${entry.name} ends the visit: ${after.entry.name} cannot come after it.` }]
        : [];
    }
    if (entry.stage === 'home')
      return [{ blockId: block.id, rule: 'home-apart', words: `${entry.name} is work for home, not for the table.` }];
    const dry =
      entry.medium === 'oil'
        ? later.find((row) => row.entry.medium === 'dry' && row.entry.section === entry.section && shareSide(row.block, block))
        : undefined;
    const found: OrderProblem[] = dry
      ? [
          {
            blockId: block.id,
            rule: 'dry-first',
            words: `Dry before oil, or the hand slips: ${dry.entry.name} comes before ${entry.name}.`,
          },
        ]
      : [];
    if (entry.stage !== 'specific' && entry.stage !== 'joint') return found;
    const warm = later.find((row) => row.entry.stage === 'warm' && row.entry.section === entry.section && shareSide(row.block, block));
    // Loosened before, and once more after it: nothing is cold.
    const isWarm = warm && rows.some((row) => row.i < i && row.entry.id === warm.entry.id && shareSide(row.block, block));
    return warm && !isWarm
      ? [...found, { blockId: block.id, rule: 'warm-first', words: `Warm before long: ${warm.entry.name} comes before ${entry.name}.` }]
      : found;
  });
}

/** Whether two blocks work a side in common; what is done in the middle is for both. */
function shareSide(a: BlockPlan, b: BlockPlan): boolean {
  return a.sides.some((one) => b.sides.some((other) => one.side === other.side || one.side === 'midline' || other.side === 'midline'));
}

/** The row with one block at another place, or the rule that forbids it and did not speak before. */
export function moveBlock(
  blocks: readonly BlockPlan[],
  id: string,
  to: number,
  shelf: Shelf = BUILT_IN,
): { readonly blocks: readonly BlockPlan[] } | { readonly forbidden: string } {
  const from = blocks.findIndex((block) => block.id === id);
  if (from < 0) return { blocks };
  const next = blocks.filter((block) => block.id !== id);
  next.splice(Math.max(0, Math.min(to, next.length)), 0, blocks[from]!);
  const broken = newlyBroken(blocks, next, shelf);
  return broken ? { forbidden: broken.words } : { blocks: next };
}

/** The first rule that a row breaks and that the row it was made from did not. */
function newlyBroken(before: readonly BlockPlan[], after: readonly BlockPlan[], shelf: Shelf): OrderProblem | undefined {
  const known = new Set(orderProblems(before, shelf).map((problem) => problem.words));
  return orderProblems(after, shelf).find((problem) => !known.has(problem.words));
}

/**
 * The row with a block added where it belongs: of the places that break no rule of order, the one with the fewest turns in
 * the row, and of those the last. A block that breaks a rule wherever it stands goes to the end, and the rule is told there.
 */
export function placeBlock(blocks: readonly BlockPlan[], block: BlockPlan, shelf: Shelf = BUILT_IN): BlockPlan[] {
  const rows = Array.from({ length: blocks.length + 1 }, (_, at) => [...blocks.slice(0, at), block, ...blocks.slice(at)]);
  const allowed = rows.filter((row) => !newlyBroken(blocks, row, shelf));
  const positionOf = (each: BlockPlan) => each.position ?? shelf.entries.get(each.entryId)?.positions[0];
  const turns = (row: readonly BlockPlan[]) => row.filter((each, i) => i > 0 && positionOf(each) !== positionOf(row[i - 1]!)).length;
  return allowed.reduce<BlockPlan[] | null>((best, row) => (best && turns(best) < turns(row) ? best : row), null) ?? rows.at(-1)!;
}
