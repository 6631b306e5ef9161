import { compile, newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { applyEvent, carryTo, nextChangeMs, READY, type RunState } from '@pace-bend/core/table';
import { absoluteNowMs, Alarm } from '../../web/src/steps/table/alarm.ts';
import { RunClock } from '../../web/src/steps/table/runClock.ts';

/** How late (or early) each cue change came, milliseconds. */
export interface CueErrors {
  readonly ours: readonly number[];
  readonly countdown: readonly number[];
}

/** A line of about two minutes; the two cues that wait for the therapist are gone through at once. */
const block = newBlock('b', 'rectus-femoris-prone', 'cr-breath', ['left']);
const line = compile([{ ...block, choices: { ...block.choices, timing: 'fixed' }, sides: [{ side: 'left', rounds: 4 }] }], {
  breath: SLOW_BREATH,
  edgeOf: () => 4,
});
const timed = line.cues.filter((cue) => !cue.open);
const beginsMs = timed[0]!.startMs;

/** The program's own clock: one monotonic start, alarms in a worker. */
function withAlarm(): Promise<number[]> {
  return new Promise((resolve) => {
    const errors: number[] = [];
    const clock = new RunClock(absoluteNowMs);
    let state: RunState = [{ kind: 'start' }, { kind: 'go' }, { kind: 'go' }].reduce(
      (now, event) => applyEvent(line, now, { ...event, atMs: 0 } as never),
      READY,
    );
    const alarm = new Alarm(
      () => {
        errors.push(absoluteNowMs() - clock.monotonicAt(line.cues[state.cueIndex]!.endMs - beginsMs));
        // The alarm may ring a fraction of a millisecond before the whole millisecond that ends the cue.
        state = carryTo(line, state, Math.max(clock.now(), nextChangeMs(line, state)!));
        next();
      },
      () => undefined,
    );
    const next = () => {
      const change = nextChangeMs(line, state);
      if (change !== null) return alarm.set(clock.monotonicAt(change));
      alarm.close();
      resolve(errors);
    };
    clock.startAt(0);
    next();
  });
}

/** The plain way: a countdown that takes one off every second and starts the next cue at zero. */
function withInterval(): Promise<number[]> {
  return new Promise((resolve) => {
    const errors: number[] = [];
    const start = performance.now();
    let index = 0;
    let left = seconds(0);
    const timer = setInterval(() => {
      left -= 1;
      if (left > 0) return;
      errors.push(performance.now() - start - (timed[index]!.endMs - beginsMs));
      index += 1;
      if (index < timed.length) left = seconds(index);
      else {
        clearInterval(timer);
        resolve(errors);
      }
    }, 1000);
  });
}

function seconds(index: number): number {
  return Math.round((timed[index]!.endMs - timed[index]!.startMs) / 1000);
}

/** Keeps the page busy the way drawing and saving do, in bursts; the same bursts every time. */
function load(untilMs: number): void {
  let seed = 7;
  const burst = () => {
    seed = (seed * 16807) % 2147483647;
    const end = performance.now() + 20 + (seed % 160);
    while (performance.now() < end);
    if (performance.now() < untilMs) setTimeout(burst, 150 + (seed % 500));
  };
  burst();
}

Object.assign(window, {
  async measure(busy: boolean): Promise<CueErrors> {
    if (busy) load(performance.now() + line.totalMs);
    const [ours, countdown] = await Promise.all([withAlarm(), withInterval()]);
    return { ours, countdown };
  },
  lineSeconds: (line.totalMs - beginsMs) / 1000,
});
