import { daysBetween } from '../caution/index.ts';
import { addDays } from '../load/index.ts';
import type { Block, SeasonPlan } from './types.ts';

export const SEASON_LIMITS = { blocks: 60, stays: 30, notAt: 200, days: 1100, stayName: 80, lookBackDays: 1100 } as const;

/** What is wrong with a plan, at its place (`blocks.2.until`); empty when it can be kept. Days have to be days already. */
export function planProblems({ blocks, stays }: SeasonPlan): { readonly path: string; readonly message: string }[] {
  const found: { path: string; message: string }[] = [];
  blocks.forEach(({ from, until }, i) => {
    if (until < from) found.push({ path: `blocks.${i}.until`, message: 'A block ends on the day it begins, or later.' });
    const before = blocks[i - 1];
    if (before && from <= before.until)
      found.push({ path: `blocks.${i}.from`, message: `Blocks share no day and stand in order: the one before ends on ${before.until}.` });
  });
  stays.forEach(({ from, until }, i) => {
    if (until < from) found.push({ path: `stays.${i}.until`, message: 'It ends on the day it begins, or later.' });
  });
  const days = blocks.length > 0 ? daysBetween(blocks[0]!.from, blocks.at(-1)!.until) + 1 : 0;
  if (days > SEASON_LIMITS.days)
    found.push({ path: 'blocks', message: `A season line is ${SEASON_LIMITS.days} days at most; this one has ${days}.` });
  return found;
}

/** The block a day is in, or null between blocks and outside. */
export const blockOn = <B extends Block>(blocks: readonly B[], day: string): B | null =>
  blocks.find(({ from, until }) => from <= day && day <= until) ?? null;

/** A stretch of a line that is followed, and whether it is the athlete's own. */
export interface LaidBlock extends Block {
  readonly own: boolean;
}

/**
 * An athlete's own blocks laid over those that are followed: on every day the own one stands where there is one, and otherwise the other.
 * What is left of a block keeps the anchor of an end it still has.
 */
export function laidOver(followed: readonly Block[], own: readonly Block[]): LaidBlock[] {
  let left: Block[] = [...followed];
  for (const { from, until } of own)
    left = left.flatMap((block) => {
      if (block.until < from || until < block.from) return [block];
      return [
        ...(block.from < from ? [{ ...block, until: addDays(from, -1), untilAnchor: null }] : []),
        ...(until < block.until ? [{ ...block, from: addDays(until, 1), fromAnchor: null }] : []),
      ];
    });
  return [...left.map((block) => ({ ...block, own: false })), ...own.map((block) => ({ ...block, own: true }))].sort((a, b) =>
    a.from < b.from ? -1 : a.from > b.from ? 1 : 0,
  );
}
