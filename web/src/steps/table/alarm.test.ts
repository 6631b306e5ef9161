import { absoluteNowMs, Alarm } from './alarm.ts';
import { settle } from '../../testing/browser.ts';

/** A worker that a test can ring and break. */
class StubWorker {
  static last: StubWorker;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { preventDefault(): void }) => void) | null = null;
  readonly asked: { token: number; atMs: number | null }[] = [];
  closed = false;
  constructor() {
    StubWorker.last = this;
  }
  postMessage(message: { token: number; atMs: number | null }): void {
    this.asked.push(message);
  }
  terminate(): void {
    this.closed = true;
  }
}
beforeEach(() => {
  Object.defineProperty(globalThis, 'Worker', { configurable: true, value: StubWorker });
});

test('the worker rings, and only for the moment that was set last', () => {
  let rung = 0;
  const alarm = new Alarm(
    () => {
      rung += 1;
    },
    () => undefined,
  );
  alarm.set(1000);
  alarm.set(2000);
  const [first, second] = StubWorker.last.asked;
  StubWorker.last.onmessage!({ data: { token: first!.token } });
  expect(rung).toBe(0);
  StubWorker.last.onmessage!({ data: { token: second!.token } });
  expect(rung).toBe(1);
  alarm.close();
  expect(StubWorker.last.closed).toBe(true);
});

test('a worker that fails is told once, and the page rings by itself for what was set and for what is set later', async () => {
  let [rung, told] = [0, 0];
  const alarm = new Alarm(
    () => {
      rung += 1;
    },
    () => {
      told += 1;
    },
  );
  alarm.set(absoluteNowMs() + 20);
  for (let i = 0; i < 2; i++) StubWorker.last.onerror!({ preventDefault() {} });
  await settle(60);
  expect([rung, told]).toEqual([1, 1]);
  alarm.set(absoluteNowMs() + 20);
  await settle(60);
  expect(rung).toBe(2);
  alarm.set(absoluteNowMs() + 20);
  alarm.set(null);
  await settle(60);
  expect(rung).toBe(2);
  alarm.set(absoluteNowMs() + 20);
  alarm.close();
  await settle(60);
  expect(rung).toBe(2);
});
