import { positionOn, type Position, type Side } from '../body/index.ts';
import type { Entry } from '../catalogue/index.ts';
import type { BlockPlan } from '../method/index.ts';
import { turnSeconds } from '../record/index.ts';

/** Where the athlete is for one side of an entry: its position, on the side for side-lying. */
export function placeFor(position: Position, side: Side): Position {
  return positionOn({ position }, side);
}

/** Where a block's first pass is done. */
export function placeOfBlock(block: Pick<BlockPlan, 'position' | 'sides'>, entry: Pick<Entry, 'positions'>, pass = 0): Position {
  return placeFor(block.position ?? entry.positions[0], block.sides[pass]?.side ?? 'midline');
}

/**
 * Seconds from one position to another with the calm it costs counted in time only; what leaves a sitting position is quicker than
 * what lies down into it. Common practice.
 */
export function moveSeconds(from: Position, to: Position): number {
  if (from === to) return 0;
  const up = ['seated upright', 'seated leaning', 'standing', 'long-sitting'];
  return turnSeconds(from, to) + (up.includes(from) && !up.includes(to) ? 5 : 0);
}

/** Walking round the table to the other side, or reaching over it. Common practice. */
export const SIDE_CHANGE_S = 10;
/** The athlete gets onto the table and is covered; gets up and is told what was found. Common practice. */
export const OPENING_S = 60;
export const CLOSING_S = 60;
