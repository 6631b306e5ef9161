import { daysBetween } from '../caution/index.ts';
import { phaseRule } from './phases.ts';
import { blockOn } from './plan.ts';
import type { Block, Develop, PhaseRule } from './types.ts';

/** How fast range is gone after in a phase, against a phase that develops everything. Common practice. */
const PACE: Readonly<Record<Develop, number>> = { all: 1, begun: 1, gentle: 0.5, none: 0 };

/** From a level on one day to a goal on another. */
export interface GoalPath {
  readonly fromDay: string;
  readonly fromLevel: number;
  readonly byDay: string;
  readonly goal: number;
}

/** The days of a path, each with its share of the way, from 0 on the first day to 1 on the last. */
export function pathShares(
  { fromDay, byDay }: Pick<GoalPath, 'fromDay' | 'byDay'>,
  blocks: readonly Block[],
  rules: readonly PhaseRule[],
): number[] {
  const days = Math.max(1, daysBetween(fromDay, byDay));
  const start = Date.parse(`${fromDay}T00:00:00Z`);
  const paces = Array.from({ length: days }, (_, i) => {
    const day = new Date(start + i * 86_400_000).toISOString().slice(0, 10);
    const block = blockOn(blocks, day);
    return block ? PACE[phaseRule(block.phase, rules).develop] : 1;
  });
  const all = paces.reduce((sum, pace) => sum + pace, 0);
  // Where every day only keeps, there is no better guess than evenly.
  const step = (pace: number) => (all === 0 ? 1 / days : pace / all);
  const shares = [0];
  for (const pace of paces) shares.push(shares.at(-1)! + step(pace));
  shares[days] = 1;
  return shares;
}

/**
 * Where a goal's path stands on a day: from the level at which it was set to the goal by its day, going as fast as each phase of the season
 * lets it (flat where range is only kept). Before its first day it is the first level, after its last one the goal.
 */
export function pathLevel(path: GoalPath, shares: readonly number[], day: string): number {
  const at = Math.min(Math.max(0, daysBetween(path.fromDay, day)), shares.length - 1);
  return path.fromLevel + (path.goal - path.fromLevel) * shares[at]!;
}

export interface AgainstPath {
  readonly kind: 'on' | 'under' | 'ahead';
  /** How far behind the path the level is, in the motion's unit; negative: ahead of it. */
  readonly short: number;
}

/** A level against its path; `better`: 1 where more is better, −1 where less is. Under or ahead only where the path lies outside the level's own band. */
export function againstPath(
  level: { readonly level: number; readonly low: number; readonly high: number },
  path: number,
  better: 1 | -1,
): AgainstPath {
  const short = (path - level.level) * better;
  const outside = path > level.high || path < level.low;
  return { kind: !outside ? 'on' : short > 0 ? 'under' : 'ahead', short };
}
