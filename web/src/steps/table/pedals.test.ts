import { jest } from '@jest/globals';
import { HOLD_MS, Pedals } from './pedals.ts';

function pedals() {
  const acts: string[] = [];
  return { acts, feet: new Pedals((what) => acts.push(what)) };
}
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('pressed: next and again, when it is let go, however often the key repeats meanwhile', () => {
  const { acts, feet } = pedals();
  feet.press('down');
  feet.press('down');
  jest.advanceTimersByTime(HOLD_MS - 1);
  expect(acts).toEqual([]);
  feet.release('down');
  feet.press('up');
  feet.release('up');
  jest.advanceTimersByTime(5 * HOLD_MS);
  expect(acts).toEqual(['next', 'again']);
});

test('held: leave the rest and one more round, once, and nothing when it is let go', () => {
  const { acts, feet } = pedals();
  feet.press('down');
  jest.advanceTimersByTime(4 * HOLD_MS);
  feet.release('down');
  feet.press('up');
  jest.advanceTimersByTime(HOLD_MS);
  feet.release('up');
  expect(acts).toEqual(['leave', 'more']);
});

test.each([
  ['down', 'up', 'down', 'up'],
  ['up', 'down', 'down', 'up'],
] as const)('both at once: until it softens, once, in whatever order (%s, %s, then off %s, %s)', (a, b, c, d) => {
  const { acts, feet } = pedals();
  feet.press(a);
  jest.advanceTimersByTime(100);
  feet.press(b);
  jest.advanceTimersByTime(3 * HOLD_MS);
  feet.release(c);
  jest.advanceTimersByTime(3 * HOLD_MS);
  feet.release(d);
  expect(acts).toEqual(['until']);
  // Then each is itself again.
  feet.press('down');
  feet.release('down');
  expect(acts).toEqual(['until', 'next']);
});

test('a key that is let go elsewhere is forgotten', () => {
  const { acts, feet } = pedals();
  feet.press('down');
  feet.forget();
  jest.advanceTimersByTime(5 * HOLD_MS);
  feet.release('down');
  expect(acts).toEqual([]);
  expect([Pedals.of('PageDown'), Pedals.of('PageUp'), Pedals.of('ArrowDown')]).toEqual(['down', 'up', null]);
});
