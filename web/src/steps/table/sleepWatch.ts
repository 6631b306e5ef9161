/**
 * After so long without a sign of life the device has slept: a count that runs is looked at every three seconds, in the background too.
 * Without the clock's worker a browser may hold timers up for a minute.
 */
const SILENT_MS = 10_000;
const SILENT_WITHOUT_WORKER_MS = 75_000;

/** Notices a closed lid, a sleeping tablet. The clock on the wall tells it, because the other one may have slept as well. */
export class SleepWatch {
  private aliveMs = Date.now();

  /** A sign of life; returns how many milliseconds nobody knows anything of, or null where that is not long enough to be sleep. */
  alive(withoutWorker: boolean): number | null {
    const silentMs = Date.now() - this.aliveMs;
    this.aliveMs = Date.now();
    return silentMs < (withoutWorker ? SILENT_WITHOUT_WORKER_MS : SILENT_MS) ? null : silentMs;
  }
}
