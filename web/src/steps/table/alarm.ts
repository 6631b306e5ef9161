import type { AlarmAnswer, AlarmRequest } from '../../workers/clock.worker.ts';

/** The absolute monotonic time, the same in the page and in its workers. */
export function absoluteNowMs(): number {
  return performance.timeOrigin + performance.now();
}

/** One alarm at a time, rung by a worker. */
export class Alarm {
  private readonly worker = new Worker(new URL('../../workers/clock.worker.ts', import.meta.url), { type: 'module' });
  private token = 0;

  constructor(ring: () => void) {
    this.worker.onmessage = ({ data }: MessageEvent<AlarmAnswer>) => {
      if (data.token === this.token) ring();
    };
  }

  /** Rings at an absolute moment; null means never. What was set before is forgotten. */
  set(atMs: number | null): void {
    this.token += 1;
    this.worker.postMessage({ token: this.token, atMs } satisfies AlarmRequest);
  }

  close(): void {
    this.worker.terminate();
  }
}
