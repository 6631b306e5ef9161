import { onScopeDispose, ref } from 'vue';
import type { RunEventBody } from '@pace-bend/core/table';
import { within } from '../../parts/within.ts';

/** A beat of the other page can come in between once; twice is somebody at work there. */
const TIMES = 2;
/** So long the server is waited for to say who leads. */
const PATIENCE_MS = 4000;

/**
 * Takes a run back from another page. That page's events are taken over, and this one leads from now on: it says so at once, with a hold where
 * the count ran, so that a beat of the other one that comes before the next key does not take the lead back. Where one came in between all the
 * same, once more. Until it is certain who leads, or the line is too slow to tell, keys wait: what they did would be dropped with the next
 * attempt. A page that is left meanwhile takes nothing back any more: what is open then is somebody else's.
 */
export function useTakingBack(run: {
  /** Forgets what this page did since the other one leads. */
  drop(): void;
  /** Reads the run again. */
  read(): Promise<unknown>;
  /** Takes it up as it was read, and says that this page leads. */
  lead(): void;
  /** Until the server has heard it. */
  said(): Promise<unknown>;
  isElsewhere(): boolean;
  act(body: RunEventBody): void;
}) {
  /** Who leads is not certain yet. */
  const taking = ref(false);
  /** What was pressed meanwhile, the last of each kind: whoever presses again because nothing moves means it once. */
  const pressed = new Map<RunEventBody['kind'], RunEventBody>();
  let isLeft = false;
  onScopeDispose(() => {
    isLeft = true;
  });

  async function takeOver(): Promise<void> {
    taking.value = true;
    try {
      for (let attempt = 0; attempt < TIMES; attempt++) {
        run.drop();
        await run.read();
        if (isLeft) return;
        run.lead();
        await within(PATIENCE_MS, run.said());
        if (isLeft || !run.isElsewhere()) return;
      }
    } finally {
      taking.value = false;
      const waited = [...pressed.values()];
      pressed.clear();
      if (!isLeft) for (const body of waited) run.act(body);
    }
  }

  /** True when a key has to wait; it is done when it is certain who leads. */
  function waits(body: RunEventBody): boolean {
    if (taking.value) pressed.set(body.kind, body);
    return taking.value;
  }

  return { taking, takeOver, waits };
}
