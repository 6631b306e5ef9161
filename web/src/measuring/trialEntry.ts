import type { Motion } from '@pace-bend/core/body';
import { parseTrial, TRIALS_MOST, TRIALS_USUAL } from '@pace-bend/core/measure';

/** What stands in the trial fields of one motion, side and moment. */
export type TypedTrials = readonly string[];

export interface CheckedTrials {
  /** The trials that can be read, in order. */
  readonly values: readonly number[];
  /** What is wrong, by field. */
  readonly messages: readonly (string | null)[];
  readonly sound: boolean;
}

/** Reads typed trials; empty fields are no trials. */
export function checkTrials(typed: TypedTrials, motion: Pick<Motion, 'unit' | 'possible'>): CheckedTrials {
  const values: number[] = [];
  const messages = typed.map((text) => {
    if (text.trim() === '') return null;
    const trial = parseTrial(text, motion);
    if (!trial.ok) return trial.message;
    values.push(trial.value);
    return null;
  });
  return { values, messages, sound: messages.every((message) => message === null) };
}

/** How many fields are shown: the usual three, and one more than is filled after that. */
export function fieldCount(typed: TypedTrials): number {
  const filled = typed.filter((text) => text.trim() !== '').length;
  return Math.min(TRIALS_MOST, Math.max(TRIALS_USUAL, filled >= TRIALS_USUAL ? filled + 1 : 0));
}

/** Whether the typed values differ from those that stand. */
export function differs(values: readonly number[], standing: readonly number[] | undefined): boolean {
  return JSON.stringify(values) !== JSON.stringify(standing ?? []);
}
