import { motionOf, type Side } from '../body/index.ts';
import { motionSideIn, BUILT_IN, type Line, type Shelf } from '../method/index.ts';
import type { Reading, Run } from '../record/index.ts';
import { whatWasDone } from '../record/index.ts';
import { foldRun } from '../table/index.ts';
import { expectedEdges, type ExpectedFacts } from './expected.ts';
import type { Band } from './response.ts';

/** What a plan expected of one side of a motion, and what was read. */
export interface AgainstPlan {
  readonly motionId: string;
  readonly side: Side;
  readonly before: number;
  readonly expected: number;
  /** Nine readings in ten lie between these, where all rounds are done. */
  readonly reading: Band;
  readonly after: number;
  /** Where it was read against that band, toward more range. */
  readonly word: 'as expected' | 'more than expected' | 'less than expected';
  readonly rounds: { readonly done: number; readonly planned: number };
}

/**
 * What the plan of a run expected of every motion and side that was read before and after it, against what was read. The expectation is that of
 * the line as it was compiled, all of its rounds; how many were done stands beside it, because of fewer less is to be expected. The last block
 * on a motion and side says it, with what earlier ones bring in it. `readings`: those that stand. Walk-throughs expect nothing.
 */
export function againstPlan(
  runs: readonly Pick<Run, 'line' | 'events' | 'clockRate'>[],
  readings: readonly Reading[],
  facts: Omit<ExpectedFacts, 'readings'>,
  shelf: Shelf = BUILT_IN,
): AgainstPlan[] {
  const rows = new Map<string, AgainstPlan>();
  for (const { line, events, clockRate } of runs) {
    if (clockRate !== 1 || events.length === 0) continue;
    const done = whatWasDone(
      line,
      foldRun(
        line,
        events.map(({ event }) => event),
      ),
    );
    for (const [blockIndex, block] of line.blocks.entries())
      for (const side of sidesIn(line, blockIndex)) {
        const expected = expectedEdges(line, blockIndex, side, { ...facts, readings }, shelf)?.edges.at(-1);
        const readOn = motionSideIn(block.motionSide === undefined ? {} : { motionSide: block.motionSide }, side);
        const of = (moment: 'before' | 'after') =>
          readings.find((each) => each.motionId === block.motionId && each.side === readOn && each.moment === moment)?.value ?? null;
        const [before, after] = [of('before'), of('after')];
        const sum = done.find((each) => each.blockIndex === blockIndex && each.side === side);
        if (!expected || before === null || after === null || !sum) continue;
        const key = `${block.motionId}/${readOn}`;
        const earlier = rows.get(key)?.rounds ?? { done: 0, planned: 0 };
        rows.set(key, {
          motionId: block.motionId,
          side: readOn,
          before,
          expected: expected.expected,
          reading: expected.reading,
          after,
          word: wordOf(block.motionId, after, expected.reading),
          rounds: { done: earlier.done + sum.real.rounds, planned: earlier.planned + sum.planned.rounds },
        });
      }
  }
  return [...rows.values()];
}

const sidesIn = (line: Line, blockIndex: number): Side[] => [
  ...new Set(line.cues.filter((cue) => cue.blockIndex === blockIndex).map(({ side }) => side)),
];

function wordOf(motionId: string, after: number, { low, high }: Band): AgainstPlan['word'] {
  const [least, most] = [Math.min(low, high), Math.max(low, high)];
  if (after >= least && after <= most) return 'as expected';
  return after > most === (motionOf(motionId).better === 'higher') ? 'more than expected' : 'less than expected';
}
