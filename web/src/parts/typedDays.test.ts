import { dayInWords, dayProblem, orderOfPlace } from './typedDays.ts';

test('the order of a place is the one its own figures are written in', () => {
  expect(['en-US', 'en-GB', 'de-DE', 'nb-NO', 'sv-SE', 'ja-JP', 'fr-FR'].map(orderOfPlace)).toEqual([
    'mdy',
    'dmy',
    'dmy',
    'dmy',
    'ymd',
    'ymd',
    'dmy',
  ]);
});

test('a day in words; and what is wrong with what is none', () => {
  expect(dayInWords('2026-11-28')).toBe('Saturday 28 November 2026');
  expect(dayProblem('2026-11-28', '2026-11-28')).toBeNull();
  expect(dayProblem('1880-01-01', '2026-11-28')).toBe('A day lies between 1900 and 2199.');
  expect(dayProblem('31.4.2001', '2026-11-28')).toBe('April has 30 days.');
});
