import { foldDay, planDay, remediesFor, type DayEvent, type DayPlan, type EventDaySetUp, type Remedy } from '@pace-bend/core/eventDay';
import { wallMinute } from '../parts/wallMinute.ts';

/** Times for everybody at a minute, away from the screen; then what would give a time to whoever has none. */
export interface DayQuestion {
  readonly turn: number;
  readonly setUp: EventDaySetUp;
  readonly events: readonly DayEvent[];
  /** Minutes since midnight of the day, by the practice's clock; below 0 before the day. */
  readonly now: number;
  readonly zone: string;
}

export type DayAnswer =
  | { readonly kind: 'plan'; readonly turn: number; readonly plan: DayPlan }
  | { readonly kind: 'remedies'; readonly turn: number; readonly remedies: readonly Remedy[] }
  | { readonly kind: 'failed'; readonly turn: number; readonly message: string };

/** How long is looked for the best, and for each way out. */
const PATIENCE_MS = 900;
const REMEDY_MS = 400;

const within = (ms: number) => {
  const from = performance.now();
  return { stop: () => performance.now() - from > ms };
};
const say = (answer: DayAnswer) => self.postMessage(answer);

self.onmessage = ({ data: { turn, setUp, events, now, zone } }: MessageEvent<DayQuestion>) => {
  try {
    const minuteOf = wallMinute(setUp.onDate, zone);
    const state = foldDay(setUp, events);
    const plan = planDay(setUp, state, now, minuteOf, within(PATIENCE_MS));
    say({ kind: 'plan', turn, plan });
    say({ kind: 'remedies', turn, remedies: remediesFor(setUp, state, plan, now, minuteOf, () => within(REMEDY_MS)) });
  } catch (error) {
    say({ kind: 'failed', turn, message: error instanceof Error ? error.message : String(error) });
  }
};
