import type { DayEvent, EventDaySetUp } from './types.ts';

/** An event day as the server sends it. */
export interface EventDayFile {
  readonly id: string;
  readonly revision: number;
  readonly setUp: EventDaySetUp;
  /** In the order they arrived. */
  readonly events: readonly DayEvent[];
  /** The number of the last of them. */
  readonly upTo: number;
  /** Whoever may stand at a table. */
  readonly therapists: readonly { readonly id: string; readonly name: string }[];
}

/** A day as lists of days have it. */
export interface EventDayLine {
  readonly id: string;
  readonly title: string;
  readonly onDate: string;
  readonly revision: number;
  readonly wishes: number;
}
