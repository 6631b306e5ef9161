import type { Side } from '../body/index.ts';
import { motionSideIn, type Line } from '../method/index.ts';
import type { RunState } from '../table/index.ts';
import { whatWasDone } from './done.ts';

/** A block as it was really done: the sides its motion is read on, with the rounds whose last phase was done. */
export interface DoneBlock {
  readonly entryId: string;
  readonly methodId: string;
  readonly motionId: string;
  readonly sides: readonly { readonly side: Side; readonly rounds: number }[];
}

/**
 * What a run of a line did, block by block, from what happened at the table and not from what was planned: a side that was never
 * reached is not in it, nor is a block of which no round was finished.
 */
export function blocksDone(line: Line, state: RunState): DoneBlock[] {
  const done = whatWasDone(line, state).filter(({ real }) => real.rounds > 0);
  return line.blocks.flatMap(({ entryId, methodId, motionId, motionSide }, blockIndex) => {
    const sides = done.filter((each) => each.blockIndex === blockIndex).map(({ side, real }) => ({ side: motionSideIn({ ...(motionSide === undefined ? {} : { motionSide }) }, side), rounds: real.rounds }));
    return sides.length > 0 ? [{ entryId, methodId, motionId, sides }] : [];
  });
}
