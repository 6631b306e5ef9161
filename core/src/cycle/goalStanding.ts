import { motionOf } from '../body/index.ts';
import { daysBetween } from '../caution/index.ts';
import { errorOf, formatValue, type ErrorKnowledge } from '../measure/index.ts';
import type { Goal, PastReading } from '../record/index.ts';
import { againstPath, pathLevel, pathShares, type AgainstPath, type Block, type GoalPath, type PhaseRule } from '../season/index.ts';
import { smoothLevel } from '../trend/index.ts';
import { toward } from './occasions.ts';

/** Where a goal stands on a day. */
export interface GoalStanding {
  readonly path: GoalPath;
  /** Share of the way by day from the path's first. */
  readonly shares: readonly number[];
  /** The level behind the readings today, with its 95 % band. */
  readonly level: { readonly level: number; readonly low: number; readonly high: number };
  /** The path today. */
  readonly due: number;
  readonly against: AgainstPath;
  /** Days since it was last read. */
  readonly readDaysAgo: number;
  readonly words: string;
}

const Z95 = 1.96;

/**
 * A goal against its path on a day: the path goes from the level on the day it was set (or at the first reading after) to the goal on its day,
 * as fast as each phase of the season lets it. The level is the smoothed one behind all readings before work, its band grown by the wander
 * since the last. Null where there is no day, or nothing was read. Readings oldest first; days are those of the practice.
 */
export function goalStanding(
  goal: Pick<Goal, 'motionId' | 'side' | 'value' | 'byDate' | 'setAt'>,
  past: readonly PastReading[],
  { blocks, rules }: { readonly blocks: readonly Block[]; readonly rules: readonly PhaseRule[] },
  { errors, today, dayOf }: { readonly errors: ErrorKnowledge; readonly today: string; readonly dayOf: (instant: string) => string },
): GoalStanding | null {
  const motion = motionOf(goal.motionId);
  const readings = past.filter((each) => each.motionId === goal.motionId && each.side === goal.side && each.moment === 'before');
  const latest = readings.at(-1);
  if (goal.byDate === null || !latest) return null;
  const days = readings.map((each) => dayOf(each.startsAt));
  const { points, wander } = smoothLevel(
    readings.map((each, i) => ({
      day: -daysBetween(days[i]!, today),
      value: each.value,
      sem: errorOf(motion, each, errors, 'between').sem,
    })),
  );
  const last = points.at(-1)!;
  const readDaysAgo = Math.max(0, -last.day);
  const spread = Z95 * Math.sqrt(((last.high - last.low) / (2 * Z95)) ** 2 + wander * readDaysAgo);
  const level = { level: last.level, low: last.level - spread, high: last.level + spread };
  const setOn = dayOf(goal.setAt);
  const before = days.findLastIndex((day) => day <= setOn);
  const start = before === -1 ? 0 : before;
  const path: GoalPath = {
    fromDay: before === -1 ? days[0]! : setOn,
    fromLevel: points[start]!.level,
    byDay: goal.byDate,
    goal: goal.value,
  };
  if (path.byDay <= path.fromDay) return null;
  const shares = pathShares(path, blocks, rules);
  const due = pathLevel(path, shares, today);
  const against = againstPath(level, due, toward(motion));
  return { path, shares, level, due, against, readDaysAgo, words: standingWords(goal.value, motion.unit, against) };
}

function standingWords(goal: number, unit: 'deg' | 'cm', { kind, short }: AgainstPath): string {
  const to = `the path to ${formatValue(goal, unit)}`;
  if (kind === 'on') return `on ${to}, as far as readings can tell`;
  return `${formatValue(Math.abs(short), unit, 1)} ${kind === 'under' ? 'under' : 'ahead of'} ${to}`;
}
