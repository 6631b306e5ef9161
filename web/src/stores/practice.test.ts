import { createPinia, setActivePinia } from 'pinia';
import { installBrowser, type Answer } from '../testing/browser.ts';
import { usePractice } from './practice.ts';

/** A practice in a zone, on a day. */
async function open(timeZone: string, today: string) {
  installBrowser(() => ({ status: 200, body: { name: 'River room', timeZone, today } }));
  setActivePinia(createPinia());
  const practice = usePractice();
  await practice.load();
  return practice;
}

test('an instant is shown on the practice’s clock and falls on its calendar day, wherever the browser is', async () => {
  const practice = await open('Pacific/Auckland', '2026-11-26');
  const instant = '2026-11-25T11:30:00.000Z';
  expect([practice.timeOfDay(instant), practice.dayOf(instant), practice.minuteOfDay(instant)]).toEqual(['00:30', '2026-11-26', 30]);
  expect(practice.instantAt('2026-11-26', '00:30')).toBe(instant);
});

// Days of change of the clock in 2026 in central Europe, 29 March and 25 October, are set by Directive 2000/84/EC: the last Sundays, at 01:00 UTC.
test('on the days the clock changes a time of day is still one instant and back', async () => {
  const practice = await open('Europe/Berlin', '2026-03-29');
  expect(practice.instantAt('2026-03-29', '01:59')).toBe('2026-03-29T00:59:00.000Z');
  expect(practice.instantAt('2026-03-29', '03:00')).toBe('2026-03-29T01:00:00.000Z');
  expect(practice.instantAt('2026-10-25', '12:00')).toBe('2026-10-25T11:00:00.000Z');
  for (const [day, time] of [
    ['2026-03-29', '09:20'],
    ['2026-10-25', '00:10'],
    ['2026-10-25', '23:50'],
  ] as const) {
    const instant = practice.instantAt(day, time)!;
    expect([practice.dayOf(instant), practice.timeOfDay(instant)]).toEqual([day, time]);
  }
  expect(practice.daysUntil('2026-03-30')).toBe(1);
});

test('days ahead and behind are whole, over the change of the clock and the turn of the year', async () => {
  const practice = await open('Europe/Berlin', '2026-10-20');
  expect([
    practice.daysUntil('2026-10-20'),
    practice.daysUntil('2026-10-26'),
    practice.daysUntil('2026-10-19'),
    practice.daysUntil('2027-01-01'),
  ]).toEqual([0, 6, -1, 73]);
});

test('a date of another year says so', async () => {
  const practice = await open('utc', '2026-11-26');
  expect([practice.shortDate('2026-02-03T10:00:00.000Z'), practice.shortDate('2025-12-31T10:00:00.000Z')]).toEqual([
    '3 Feb',
    '31 Dec 2025',
  ]);
});

test.each(['', '9:20', '24:30', '12:60', 'noon', '12:00:00'])('“%s” is no time of day', async (typed) => {
  expect((await open('utc', '2026-11-26')).instantAt('2026-11-26', typed)).toBeNull();
});

test('it is asked for once however many ask; a failure is not kept, and asking again asks anew', async () => {
  let answer: Answer | null = null;
  const { sent } = installBrowser(() => answer);
  setActivePinia(createPinia());
  const practice = usePractice();
  await expect(practice.load()).rejects.toThrow();
  expect([practice.zone, practice.today]).toEqual(['utc', '']);
  answer = { status: 200, body: { name: 'River room', timeZone: 'Europe/Berlin', today: '2026-11-26' } };
  await Promise.all([practice.load(), practice.load(), practice.load()]);
  expect(sent).toHaveLength(2);
  answer = { status: 200, body: { name: 'River room', timeZone: 'Europe/Berlin', today: '2026-11-27' } };
  await practice.load(true);
  expect([sent.length, practice.today]).toEqual([3, '2026-11-27']);
  practice.take({ name: 'Lake room', timeZone: 'utc', today: '2026-11-28' } as never);
  expect([practice.zone, practice.today]).toEqual(['utc', '2026-11-28']);
});
