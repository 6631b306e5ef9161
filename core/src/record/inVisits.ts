import type { PastBlock } from './visit.ts';

/** Each block with which one of its visit it is, 1 for the first; their order is kept. As nothing that was done is taken back, it stays that one. */
export function blocksInVisits(blocks: readonly PastBlock[]): { readonly block: PastBlock; readonly nth: number }[] {
  const counted = new Map<string, number>();
  return blocks.map((block) => {
    const nth = (counted.get(block.visitId) ?? 0) + 1;
    counted.set(block.visitId, nth);
    return { block, nth };
  });
}
