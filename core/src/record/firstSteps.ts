/** What a practice sets up before its first visit, in the order that lets each step build on those before it. */
export const FIRST_STEPS = ['sports', 'scope', 'people', 'events', 'athlete', 'error'] as const;
export type FirstStepId = (typeof FIRST_STEPS)[number];

/** What the practice decided about its first steps. */
export interface FirstStepsKept {
  /** Steps set aside: not needed, or later. */
  readonly skipped: readonly FirstStepId[];
  /** The path as a whole was put away; it can be taken up again. */
  readonly left: boolean;
}

/** First steps as they are asked for and sent: what is done is seen from the data, not ticked off. */
export interface FirstStepsPage extends FirstStepsKept {
  readonly done: readonly FirstStepId[];
  /** Sample athletes that are looked around with; 0 when there are none. */
  readonly sampleAthletes: number;
}

export type FirstStepState = 'done' | 'skipped' | 'next' | 'open';

export interface FirstStepsProgress {
  readonly steps: readonly { readonly id: FirstStepId; readonly state: FirstStepState }[];
  /** Steps that are done. */
  readonly done: number;
  /** Nothing is open any more: each step is done or set aside. */
  readonly complete: boolean;
}

/**
 * How far the first steps are. A step that is done stays done, also when it was set aside before; the first that is neither is next.
 *
 * @example
 * firstStepsProgress({ done: ['scope'], skipped: ['sports'] }).steps.map(({ state }) => state) // => ['skipped', 'done', 'next', 'open', 'open', 'open']
 */
export function firstStepsProgress({ done, skipped }: Pick<FirstStepsPage, 'done' | 'skipped'>): FirstStepsProgress {
  const isOpen = (id: FirstStepId) => !done.includes(id) && !skipped.includes(id);
  const next = FIRST_STEPS.find(isOpen);
  return {
    steps: FIRST_STEPS.map((id) => ({
      id,
      state: done.includes(id) ? 'done' : skipped.includes(id) ? 'skipped' : id === next ? 'next' : 'open',
    })),
    done: FIRST_STEPS.filter((id) => done.includes(id)).length,
    complete: next === undefined,
  };
}
