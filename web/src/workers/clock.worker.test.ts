import type { AlarmAnswer, AlarmRequest } from './clock.worker.ts';

interface Scope {
  onmessage: ((event: { data: AlarmRequest }) => void) | null;
  postMessage: (answer: AlarmAnswer) => void;
}

const rung: { token: number; late: number }[] = [];
const now = () => performance.timeOrigin + performance.now();
const scope: Scope = {
  onmessage: null,
  postMessage: ({ token, atMs }) => {
    rung.push({ token, late: now() - atMs });
  },
};

beforeAll(async () => {
  Object.assign(globalThis, { self: scope });
  await import('./clock.worker.ts');
});
beforeEach(() => {
  rung.length = 0;
});

const ask = (data: AlarmRequest) => scope.onmessage!({ data });
const wait = (ms: number) =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });

test('rings at the moment named, not before it by more than half a millisecond', async () => {
  for (let token = 1; token <= 5; token++) {
    ask({ token, atMs: now() + 20 + token * 3 });
    await wait(80);
  }
  expect(rung.map((each) => each.token)).toEqual([1, 2, 3, 4, 5]);
  for (const { late } of rung) expect(late).toBeGreaterThanOrEqual(-0.5);
});

test('a moment that has passed rings at once', () => {
  ask({ token: 9, atMs: now() - 1000 });
  expect(rung.map((each) => each.token)).toEqual([9]);
});

test('a new alarm takes the place of the old one, and null of both', async () => {
  ask({ token: 1, atMs: now() + 20 });
  ask({ token: 2, atMs: now() + 30 });
  await wait(80);
  expect(rung.map((each) => each.token)).toEqual([2]);
  ask({ token: 3, atMs: now() + 20 });
  ask({ token: 4, atMs: null });
  await wait(60);
  expect(rung).toHaveLength(1);
});
