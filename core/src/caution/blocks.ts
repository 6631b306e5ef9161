import type { Side } from '../body/index.ts';
import { BUILT_IN, type BlockPlan, type Shelf, type SideLimits } from '../method/index.ts';
import { blockAction } from './actions.ts';
import { blocking, cautionsFor, overrideKey } from './evaluate.ts';
import { anyLimit } from './limits.ts';
import type { Caution, CautionContext, CautionResult } from './types.ts';

/** An "avoid" that was set aside for one motion and side of one visit, with the reason in words. */
export interface OverrideFields {
  readonly ruleId: string;
  /** What the rule spoke of: one condition with its place, one medication. */
  readonly ground: string;
  readonly motionId: string;
  /** The side the motion is read on. */
  readonly side: Side;
  readonly reason: string;
}

/** What was set aside for a motion and the side it is read on, by rule and ground. */
export function overriddenFor(overrides: readonly OverrideFields[], motionId: string, side: Side): ReadonlySet<string> {
  return new Set(overrides.filter((each) => each.motionId === motionId && each.side === side).map(overrideKey));
}

/** What cautions say of one side of a block. */
export interface SideCautions {
  /** The side that is worked on, and the one the motion is read on. */
  readonly side: Side;
  readonly readSide: Side;
  readonly result: CautionResult;
  /** What forbids this side as things stand. */
  readonly blocking: readonly Caution[];
}

/** The sides a block works on, each once, in the order they first come. */
const sidesIn = (block: BlockPlan): Side[] => [...new Set(block.sides.map(({ side }) => side))];

/** The cautions of each side of a block, in the block's own order. Throws a RangeError for an unknown entry or way of working. */
export function blockCautions(
  block: BlockPlan,
  context: CautionContext,
  overrides: readonly OverrideFields[],
  shelf: Shelf = BUILT_IN,
): SideCautions[] {
  return sidesIn(block).map((side) => {
    const action = blockAction(block, side, shelf);
    const result = cautionsFor(context, action);
    return {
      side,
      readSide: action.motionSide,
      result,
      blocking: blocking(result, overriddenFor(overrides, action.motionId!, action.motionSide)),
    };
  });
}

/** The block with the limits that cautions set on each of its sides, in place of those it had. */
export function limitedBlock(block: BlockPlan, context: CautionContext, shelf: Shelf = BUILT_IN): BlockPlan {
  const limits = sidesIn(block)
    .map((side): SideLimits => ({ side, ...cautionsFor(context, blockAction(block, side, shelf)).limits }))
    .filter(anyLimit);
  const { limits: _had, ...rest } = block;
  return limits.length > 0 ? { ...rest, limits } : rest;
}
