import { shortOf } from '../next/index.ts';
import { blocksDone, type Goal, type Reading, type Run, type GivenSheet } from '../record/index.ts';
import { foldRun } from '../table/index.ts';
import type { HomeGround } from './offers.ts';

/**
 * What a visit says about what is worth taking home: motions that were worked on in earnest (a walk-through at another speed is none), and
 * those whose latest reading is short of the goal. `readings`: those that stand.
 */
export function homeGround(
  runs: readonly Pick<Run, 'line' | 'events' | 'clockRate'>[],
  readings: readonly Pick<Reading, 'motionId' | 'side' | 'moment' | 'value'>[],
  goals: readonly Pick<Goal, 'motionId' | 'side' | 'value'>[],
  last: Pick<GivenSheet, 'items'> | null,
): HomeGround {
  const worked = runs
    .filter(({ clockRate }) => clockRate === 1)
    .flatMap(({ line, events }) =>
      blocksDone(
        line,
        foldRun(
          line,
          events.map(({ event }) => event),
        ),
      ),
    )
    .flatMap(({ motionId, sides }) => sides.map(({ side }) => ({ motionId, side })));
  return { worked, short: shortOf(goals, readings).map(({ goal: { motionId, side } }) => ({ motionId, side })), last };
}
