import { chanceOf, levelAt, pathsOf, type Known } from '../forecast/index.ts';
import { aheadOf, type Schedule } from './schedule.ts';

/** Shares of paths below the lines of a fan: ends of 95, 80 and 50 in a hundred, and the middle. */
export const FAN = [0.025, 0.1, 0.25, 0.5, 0.75, 0.9, 0.975] as const;

/** Where a schedule leads, in levels turned so that more is better. */
export interface Outlook {
  readonly visits: number;
  /** Each week from today, and the end. */
  readonly fan: readonly { readonly day: number; readonly levels: readonly number[] }[];
  /** Levels of all paths on the last day, sorted, in hundredths of them: 101 numbers. */
  readonly ends: readonly number[];
  /** Share of the paths at or above the goal on the last day; null without a goal. */
  readonly chance: number | null;
  /** The first of those days on which half the paths are there, and stay until the end; null where there is none, or no goal. */
  readonly halfThereDay: number | null;
}

/** Days at which a fan is drawn: every third, and the end. */
export function fanDays(end: number): number[] {
  const days = Array.from({ length: Math.floor(end / 3) + 1 }, (_, i) => i * 3);
  if (days.at(-1) !== end) days.push(end);
  return days;
}

/** Where one schedule leads by a day, as so many paths of the same athletes. `goal`: a level turned so that more is better, or null. */
export function outlookOf(
  known: Known,
  schedule: Schedule,
  {
    since,
    end,
    goal,
    paths: count,
    seed,
  }: { readonly since: number; readonly end: number; readonly goal: number | null; readonly paths: number; readonly seed: number },
  progress?: (share: number) => void,
): Outlook {
  const days = fanDays(end);
  const ahead = aheadOf(schedule, since, end, days);
  const paths = pathsOf(known, ahead, count, seed, progress);
  const fan = days.map((day, i) => ({ day, levels: FAN.map((share) => levelAt(paths, i, share)) }));
  const last = days.length - 1;
  const middle = FAN.indexOf(0.5);
  let halfThereDay: number | null = null;
  if (goal !== null)
    for (const { day, levels } of [...fan].reverse()) {
      if (levels[middle]! < goal) break;
      halfThereDay = day;
    }
  return {
    visits: ahead.visits.length,
    fan,
    ends: Array.from({ length: 101 }, (_, i) => levelAt(paths, last, i / 100)),
    chance: goal === null ? null : chanceOf(paths, last, goal),
    halfThereDay,
  };
}
