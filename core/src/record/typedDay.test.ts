import fc from 'fast-check';
import { DateTime } from 'luxon';
import { dayExample, formatDay, readTypedDay, type DayOrder } from './index.ts';

const TODAY = '2026-11-28';
const read = (text: string, order: DayOrder = 'dmy') => readTypedDay(text, order, TODAY);
const ORDERS = ['dmy', 'mdy', 'ymd'] as const;

test('a day as people write it in one place or another', () => {
  for (const text of [
    '14.3.2001',
    '14/3/2001',
    '2001-03-14',
    '14-03-2001',
    '14 March 2001',
    '14 mar 2001',
    'March 14, 2001',
    ' 14. 3. 2001 ',
    '14.3.01',
  ])
    expect([text, read(text)]).toEqual([text, { day: '2001-03-14' }]);
  expect(read('3/14/2001', 'mdy')).toEqual({ day: '2001-03-14' });
  expect(read('3/4/2001', 'mdy')).toEqual({ day: '2001-03-04' });
  expect(read('3/4/2001', 'dmy')).toEqual({ day: '2001-04-03' });
  // Points are written day first, whatever the place.
  expect(read('3.4.2001', 'mdy')).toEqual({ day: '2001-04-03' });
  expect(read('14th March 2001')).toEqual({ day: '2001-03-14' });
});

test('two figures of a year mean the one that is at most ten years ahead', () => {
  expect(read('1.1.36')).toEqual({ day: '2036-01-01' });
  expect(read('1.1.37')).toEqual({ day: '1937-01-01' });
  expect(readTypedDay('1.1.05', 'dmy', '2096-01-01')).toEqual({ day: '2105-01-01' });
});

test('what is wrong is said, each for itself', () => {
  expect(read('31.4.2001')).toEqual({ problem: 'April has 30 days.' });
  expect(read('29.2.2001')).toEqual({ problem: 'February 2001 has 28 days.' });
  expect(read('29.2.2000')).toEqual({ day: '2000-02-29' });
  expect(read('3/14/2001', 'dmy')).toEqual({ problem: 'There is no month 14.' });
  expect(read('0.3.2001')).toEqual({ problem: 'A month begins with day 1.' });
  expect(read('14.3')).toEqual({ problem: 'Add the year.' });
  expect(read('14 March')).toEqual({ problem: 'Add the year.' });
  expect(read('14.3.1799')).toEqual({ problem: 'A year lies between 1800 and 2199.' });
  for (const text of ['', 'soon', 'x', '14.3.201', '14/3.2001', '99', '14 Smarch 2001', '2001', '1.1.2001 or so'])
    expect([text, read(text)]).toEqual([text, { problem: 'Type a day, as 14.3.2001 or 2001-03-14.' }]);
});

test('every day of two centuries is read back from how each place writes it, and from a library’s own words; luxon is the other method', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 109_000 }), fc.constantFrom(...ORDERS), (n, order) => {
      const date = DateTime.utc(1900, 1, 1).plus({ days: n });
      const day = date.toISODate()!;
      expect(read(formatDay(day, order), order)).toEqual({ day });
      expect(read(date.toFormat('d LLLL yyyy'), order)).toEqual({ day });
      expect(read(date.toFormat('LLL d, yyyy'), order)).toEqual({ day });
      expect(read(date.toFormat(order === 'mdy' ? 'LL/dd/yyyy' : 'dd/LL/yyyy'), order)).toEqual({ day });
    }),
  );
});

test('whatever is typed: a day of the calendar or a sentence, never anything else', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ maxLength: 20 }),
        fc.tuple(fc.nat(40), fc.nat(20), fc.nat(3000), fc.constantFrom('.', '/', '-')).map(([a, b, c, sign]) => [a, b, c].join(sign)),
      ),
      fc.constantFrom(...ORDERS),
      (text, order) => {
        const found = read(text, order);
        if ('day' in found) expect(DateTime.fromISO(found.day, { zone: 'utc' }).toISODate()).toBe(found.day);
        else expect(found.problem).toMatch(/\.$/);
      },
    ),
    { numRuns: 2000 },
  );
  for (const order of ORDERS) expect(read(dayExample(order), order)).toEqual({ day: '2001-03-14' });
});
