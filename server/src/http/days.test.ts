import fc from 'fast-check';
import { DateTime } from 'luxon';
import { dayIn } from './days.ts';

test('the day in a zone is the one that the calendar library luxon finds, also at the ends of summer time and at midnight', () => {
  const zones = ['Europe/Berlin', 'Pacific/Auckland', 'America/St_Johns', 'Asia/Kathmandu', 'Pacific/Apia', 'UTC', 'Pacific/Chatham'];
  const near = (iso: string) => Array.from({ length: 200 }, (_, i) => new Date(Date.parse(iso) + (i - 100) * 900_000));
  const edges = [
    '2026-03-29T01:00:00Z',
    '2026-10-25T01:00:00Z',
    '2026-12-31T23:00:00Z',
    '2011-12-30T10:00:00Z',
    '2028-02-28T23:59:59.999Z',
  ].flatMap(near);
  const same = (zone: string, at: Date) =>
    expect([zone, at, dayIn(zone, at)]).toEqual([zone, at, DateTime.fromJSDate(at, { zone }).toISODate()]);
  for (const zone of zones) for (const at of edges) same(zone, at);
  fc.assert(
    fc.property(
      fc.constantFrom(...zones),
      fc.date({ min: new Date('1990-01-01'), max: new Date('2200-12-31'), noInvalidDate: true }),
      same,
    ),
    { numRuns: 500 },
  );
});
