import { motionOf, type Side } from '../body/index.ts';
import { lookFirst, type Finding } from '../finding/index.ts';
import { formatValue } from '../measure/index.ts';
import type { Goal, Reading } from '../record/index.ts';

/** Something worth looking at first next time, in the words it is kept in. */
export interface LookChoice {
  readonly why: 'found' | 'not looked at' | 'goal';
  readonly words: string;
}

const sideWord = (side: Side) => (side === 'midline' ? '' : `, ${side}`);

/**
 * What to look at first next time, to choose from: points found today that are not clean, those of earlier visits nobody looked at today, and
 * goals the latest reading of today is short of, each in one line. `readings`: those that stand; `nowMs`: when the visit is.
 */
export function lookChoices(
  today: readonly Finding[],
  earlier: readonly Finding[],
  goals: readonly Pick<Goal, 'motionId' | 'side' | 'value'>[],
  readings: readonly Pick<Reading, 'motionId' | 'side' | 'moment' | 'value'>[],
  nowMs: number,
): LookChoice[] {
  return [
    // Its age is said anew when it is read: what is kept today is what it was today.
    ...lookFirst(today, [], nowMs).map(({ what }) => ({ why: 'found' as const, words: what })),
    ...lookFirst(earlier, today, nowMs).map(({ what }) => ({ why: 'not looked at' as const, words: what })),
    ...shortOf(goals, readings).map(({ goal, value }) => {
      const motion = motionOf(goal.motionId);
      return {
        why: 'goal' as const,
        words: `${motion.name}${sideWord(goal.side)}: ${formatValue(value, motion.unit)}, goal ${formatValue(goal.value, motion.unit)}`,
      };
    }),
  ];
}

/** Goals that the latest reading of the visit is short of, with that reading: the one after work where there is one. */
export function shortOf<G extends Pick<Goal, 'motionId' | 'side' | 'value'>>(
  goals: readonly G[],
  readings: readonly Pick<Reading, 'motionId' | 'side' | 'moment' | 'value'>[],
): { readonly goal: G; readonly value: number }[] {
  return goals.flatMap((goal) => {
    const here = readings.filter((each) => each.motionId === goal.motionId && each.side === goal.side && each.value !== null);
    const value = (here.findLast(({ moment }) => moment === 'after') ?? here.at(-1))?.value;
    if (value === undefined || value === null) return [];
    const isShort = motionOf(goal.motionId).better === 'higher' ? value < goal.value : value > goal.value;
    return isShort ? [{ goal, value }] : [];
  });
}

/**
 * The words that are kept with one choice more, or without it: choices stand side by side, divided by semicolons, and what somebody typed
 * beside them stays.
 * @example toggleWords('lump; stiff ankle', 'lump') // → 'stiff ankle'
 */
export function toggleWords(kept: string, choice: string): string {
  const parts = kept
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '');
  return (parts.includes(choice) ? parts.filter((part) => part !== choice) : [...parts, choice]).join('; ');
}

/**
 * Whether a choice stands in the words that are kept.
 * @example hasWords('lump; stiff ankle', 'stiff ankle') // → true
 */
export const hasWords = (kept: string, choice: string): boolean =>
  kept
    .split(';')
    .map((part) => part.trim())
    .includes(choice);
