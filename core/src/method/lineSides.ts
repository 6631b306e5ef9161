import { acrossSide, findEntry, sideRelation } from '../catalogue/index.ts';
import type { Side } from '../body/index.ts';
import type { Shelf } from './shelf.ts';
import type { LineBlock } from './types.ts';

/**
 * The side the motion of a block of a line is read on, for the side a cue names.
 * @example motionSideIn({ motionSide: 'opposite' }, 'left') // → 'right'
 */
export function motionSideIn(block: Pick<LineBlock, 'motionSide'>, side: Side): Side {
  return block.motionSide === undefined ? side : acrossSide(block.motionSide, side);
}

/**
 * The side that was worked on, for the side a cue of a block of a line names: lines of version 1 name the motion's side.
 * @example workedSideIn({ entryId: 'neck-side-bend-supine', motionId: 'neck-side-bend' }, 'left') // → 'right'
 */
export function workedSideIn(block: Pick<LineBlock, 'motionSide' | 'entryId' | 'motionId'>, side: Side, shelf?: Shelf): Side {
  if (block.motionSide !== undefined) return side;
  const entry = shelf?.entries.get(block.entryId) ?? findEntry(block.entryId);
  const relation = entry ? sideRelation(entry, block.motionId) : 'same';
  return relation === 'opposite' ? acrossSide(relation, side) : side;
}
