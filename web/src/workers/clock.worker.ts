/// <reference lib="webworker" />

/**
 * Wakes the page at a named moment. It lives in a worker because a page in the background has its timers slowed
 * down and a worker's are not. The moment is absolute (milliseconds of the time origin plus the monotonic clock),
 * so a late wake-up never moves the next one.
 */
export interface AlarmRequest {
  readonly token: number;
  /** Absolute moment, or null to cancel. */
  readonly atMs: number | null;
}

export interface AlarmAnswer {
  readonly token: number;
  readonly atMs: number;
}

/** A timeout may fire a little early; one that is still this far off is set again. */
const NEAR_MS = 0.5;
/** Long waits are taken in pieces, so that a machine that slept notices soon. */
const PIECE_MS = 10_000;

const scope = self as unknown as DedicatedWorkerGlobalScope;
let timer: ReturnType<typeof setTimeout> | undefined;

scope.onmessage = ({ data }: MessageEvent<AlarmRequest>) => {
  clearTimeout(timer);
  if (data.atMs !== null) wait(data.token, data.atMs);
};

function wait(token: number, atMs: number): void {
  const leftMs = atMs - (performance.timeOrigin + performance.now());
  if (leftMs <= NEAR_MS) {
    scope.postMessage({ token, atMs } satisfies AlarmAnswer);
    return;
  }
  timer = setTimeout(() => wait(token, atMs), Math.min(leftMs, PIECE_MS));
}
