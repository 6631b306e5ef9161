import fc from 'fast-check';
import { DateTime } from 'luxon';
import { formatClock, readTypedTime, type ClockHabit } from './typedTime.ts';

const minutes = fc.integer({ min: 0, max: 24 * 60 - 1 });
const habits = fc.constantFrom<ClockHabit>('24', '12');

test('what a clock shows is read back as the same minute, in either habit', () => {
  fc.assert(fc.property(minutes, habits, (minute, habit) => expect(readTypedTime(formatClock(minute, habit))).toEqual({ minute })));
});

// An independent clock: luxon's tokens, which follow Unicode Technical Standard #35, part 4.
test('it shows what a date library shows', () => {
  fc.assert(
    fc.property(minutes, (minute) => {
      const at = DateTime.utc(2026, 3, 4).plus({ minutes: minute });
      expect(formatClock(minute, '24')).toBe(at.toFormat('HH:mm'));
      expect(formatClock(minute, '12')).toBe(at.toFormat('h:mm a').toLowerCase());
    }),
  );
});

test.each([
  ['8', 480],
  ['08', 480],
  ['8.05', 485],
  ['0805', 485],
  ['805', 485],
  ['8 : 05', 485],
  ['12 am', 0],
  ['12am', 0],
  ['12:15 pm', 735],
  ['11 P.M.', 1380],
  ['0:00', 0],
])('%s is read', (text, minute) => expect(readTypedTime(text)).toEqual({ minute }));

test.each([
  ['', /^Type a time/],
  ['noon', /^Type a time/],
  ['8:5', /two figures/],
  ['8:60', /0 to 59/],
  ['24:00', /0 to 23/],
  ['25', /0 to 23/],
  ['13 pm', /1 to 12/],
  ['0 am', /1 to 12/],
  ['12345', /^Type a time/],
  ['-1:00', /^Type a time/],
])('%s is refused in words', (text, problem) => {
  const read = readTypedTime(text);
  expect('problem' in read ? read.problem : read).toMatch(problem);
});

test('a day may end at 24:00 where that is asked for, and not after', () => {
  expect(readTypedTime('24:00', { endOfDay: true })).toEqual({ minute: 1440 });
  expect(readTypedTime('24:01', { endOfDay: true })).toHaveProperty('problem');
});
