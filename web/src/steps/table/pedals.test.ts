import { jest } from '@jest/globals';
import { PEDALS } from '../../parts/keys.ts';
import { HOLD_MS, Pedals, TWICE_MS } from './pedals.ts';

function pedals(codes = { down: PEDALS.down.code as string, up: PEDALS.up.code as string }) {
  const acts: string[] = [];
  const feet = new Pedals(
    (what) => acts.push(what),
    () => codes,
    () => Date.now(),
  );
  const press = (pedal: 'down' | 'up') => {
    feet.press(pedal);
    feet.release(pedal);
  };
  return { acts, feet, press };
}
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('pressed: the step that is due, and again, when it is let go, however often the key repeats meanwhile', () => {
  const { acts, feet, press } = pedals();
  feet.press('down');
  feet.press('down');
  jest.advanceTimersByTime(HOLD_MS - 1);
  expect(acts).toEqual([]);
  feet.release('down');
  press('up');
  jest.advanceTimersByTime(5 * HOLD_MS);
  expect(acts).toEqual(['step', 'again']);
});

test('held: hold here and one more round, once, and nothing when it is let go', () => {
  const { acts, feet } = pedals();
  feet.press('down');
  jest.advanceTimersByTime(4 * HOLD_MS);
  feet.release('down');
  feet.press('up');
  jest.advanceTimersByTime(HOLD_MS);
  feet.release('up');
  expect(acts).toEqual(['space', 'more']);
});

test('pressed twice within the time: stop, the first press having acted; a third is a press again; slower ones are steps', () => {
  const { acts, press } = pedals();
  press('down');
  jest.advanceTimersByTime(TWICE_MS);
  press('down');
  press('down');
  expect(acts).toEqual(['step', 'stop', 'step']);
  jest.advanceTimersByTime(TWICE_MS + 1);
  press('down');
  jest.advanceTimersByTime(TWICE_MS + 1);
  press('down');
  expect(acts.slice(3)).toEqual(['step', 'step']);
  // The other pedal between two presses makes two of them.
  press('up');
  press('down');
  expect(acts.slice(5)).toEqual(['again', 'step']);
});

test.each([
  ['down', 'up', 'down', 'up'],
  ['up', 'down', 'down', 'up'],
] as const)(
  'both at once: until it softens; both held: leave the rest; once, in whatever order (%s, %s, then off %s, %s)',
  (a, b, c, d) => {
    const { acts, feet, press } = pedals();
    const both = (ms: number) => {
      feet.press(a);
      jest.advanceTimersByTime(100);
      feet.press(b);
      jest.advanceTimersByTime(ms);
      feet.release(c);
      jest.advanceTimersByTime(3 * HOLD_MS);
      feet.release(d);
    };
    both(100);
    expect(acts).toEqual(['until']);
    both(2 * HOLD_MS);
    expect(acts).toEqual(['until', 'leave']);
    // Then each is itself again.
    press('down');
    expect(acts).toEqual(['until', 'leave', 'step']);
  },
);

test('one that is held and has acted makes no pair with another', () => {
  const { acts, feet } = pedals();
  feet.press('down');
  jest.advanceTimersByTime(HOLD_MS);
  feet.press('up');
  jest.advanceTimersByTime(3 * HOLD_MS);
  feet.release('up');
  feet.release('down');
  expect(acts).toEqual(['space']);
});

test('a key that is let go elsewhere is forgotten; keys are those that were learned', () => {
  const { acts, feet } = pedals();
  feet.press('down');
  feet.forget();
  jest.advanceTimersByTime(5 * HOLD_MS);
  feet.release('down');
  expect(acts).toEqual([]);
  expect([feet.of('PageDown'), feet.of('PageUp'), feet.of('ArrowDown')]).toEqual(['down', 'up', null]);
  const { feet: own } = pedals({ down: 'b', up: 'F7' });
  expect([own.of('PageDown'), own.of('b'), own.of('F7')]).toEqual([null, 'down', 'up']);
});
