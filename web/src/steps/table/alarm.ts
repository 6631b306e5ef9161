import type { AlarmAnswer, AlarmRequest } from '../../workers/clock.worker.ts';

/** The absolute monotonic time, the same in the page and in its workers. */
export function absoluteNowMs(): number {
  return performance.timeOrigin + performance.now();
}

/** One alarm at a time, rung by a worker; when the worker fails, by the page itself, which a browser may slow down in the background. */
export class Alarm {
  private readonly worker = new Worker(new URL('../../workers/clock.worker.ts', import.meta.url), { type: 'module' });
  private token = 0;
  private atMs: number | null = null;
  private failed = false;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly ring: () => void,
    onFailure: () => void,
  ) {
    this.worker.onerror = (event) => {
      event.preventDefault();
      if (this.failed) return;
      this.failed = true;
      this.set(this.atMs);
      onFailure();
    };
    this.worker.onmessage = ({ data }: MessageEvent<AlarmAnswer>) => {
      if (data.token === this.token) ring();
    };
  }

  /** Rings at an absolute moment; null means never. What was set before is forgotten. */
  set(atMs: number | null): void {
    this.token += 1;
    this.atMs = atMs;
    clearTimeout(this.timer);
    if (this.failed) {
      if (atMs !== null) this.timer = setTimeout(this.ring, Math.max(0, atMs - absoluteNowMs()));
      return;
    }
    this.worker.postMessage({ token: this.token, atMs } satisfies AlarmRequest);
  }

  close(): void {
    clearTimeout(this.timer);
    this.worker.terminate();
  }
}
