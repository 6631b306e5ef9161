import type { Side } from '../body/index.ts';
import { motionSideIn, roundWork, type Line, type RoundWork } from '../method/index.ts';
import { lineNow, type RunState } from '../table/index.ts';
import { whatWasDone } from './done.ts';

/** A block as it was really done: the sides its motion is read on, with the rounds whose last phase was done. */
export interface DoneBlock {
  readonly entryId: string;
  readonly methodId: string;
  readonly motionId: string;
  /** `work`: what those rounds were made of, by the seconds they really took; left out in what was kept before it was counted. */
  readonly sides: readonly { readonly side: Side; readonly rounds: number; readonly work?: readonly RoundWork[] }[];
}

/**
 * What a run of a line did, block by block, from what happened at the table and not from what was planned: a side that was never
 * reached is not in it, nor is a block of which no round was finished.
 */
export function blocksDone(compiled: Line, state: RunState): DoneBlock[] {
  const line = lineNow(compiled, state);
  const done = whatWasDone(compiled, state).filter(({ real }) => real.rounds > 0);
  const seconds = new Map<number, number>();
  for (const { cueIndex, startMs, endMs } of state.spans) seconds.set(cueIndex, (seconds.get(cueIndex) ?? 0) + (endMs - startMs) / 1000);
  const efforts = new Map(state.spans.map(({ cueIndex, effortPct }) => [cueIndex, effortPct]));
  const asDone = { secondsOf: (index: number) => seconds.get(index) ?? 0, effortOf: (index: number) => efforts.get(index) ?? null };
  return line.blocks.flatMap(({ entryId, methodId, motionId, motionSide }, blockIndex) => {
    const sides = done
      .filter((each) => each.blockIndex === blockIndex)
      .map(({ side, real }) => {
        const work = roundWork(line, blockIndex, side, asDone);
        return {
          side: motionSideIn({ ...(motionSide === undefined ? {} : { motionSide }) }, side),
          rounds: real.rounds,
          work: real.finished.map((round) => work[round - 1]!),
        };
      });
    return sides.length > 0 ? [{ entryId, methodId, motionId, sides }] : [];
  });
}
