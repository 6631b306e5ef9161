import { RunClock } from './runClock.ts';

test('reads one monotonic start, however seldom it is asked', () => {
  let now = 1000.25;
  const [often, seldom] = [new RunClock(() => now), new RunClock(() => now)];
  often.startAt(0);
  seldom.startAt(0);
  for (let i = 0; i < 100_000; i++) {
    now += 0.37;
    often.now();
  }
  expect(often.now()).toBe(seldom.now());
  expect(seldom.now()).toBe(37_000);
});

test('goes on from the time it was closed at, not from the time that has passed since', () => {
  let now = 0;
  const clock = new RunClock(() => now);
  clock.startAt(45_000);
  now = 1500;
  expect(clock.now()).toBe(46_500);
});

test('a moment and its run time are inverse to each other at any rate', () => {
  let now = 500;
  for (const rate of [1, 7, 30]) {
    const clock = new RunClock(() => now, rate);
    clock.startAt(2000);
    now = clock.monotonicAt(12_000);
    expect(clock.now()).toBe(12_000);
  }
});

test('before the start it stands at zero and no moment ever comes', () => {
  const clock = new RunClock(() => 99);
  expect([clock.now(), clock.monotonicAt(5), clock.isRunning]).toEqual([0, Infinity, false]);
});
