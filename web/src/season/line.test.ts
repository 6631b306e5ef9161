import fc from 'fast-check';
import { daysBetween } from '@pace-bend/core/caution';
import { addDays } from '@pace-bend/core/load';
import type { SeasonVisit } from '@pace-bend/core/record';
import type { LaidBlock } from '@pace-bend/core/season';
import { DRAWING, dayWords, scaleOf, SPANS, ticksOf } from './scale.ts';
import { changedVisits, stepsOf } from './steps.ts';

const TODAY = '2026-11-27';
const block = (from: number, until: number, phase: LaidBlock['phase'] = 'build', own = true): LaidBlock => ({
  phase,
  from: addDays(TODAY, from),
  until: addDays(TODAY, until),
  fromAnchor: null,
  untilAnchor: null,
  own,
});

test('a scale begins on a Monday, holds today at about a third, and says of every place the day that is drawn there', () => {
  fc.assert(
    fc.property(fc.constantFrom(...SPANS), fc.integer({ min: -60, max: 60 }), fc.integer({ min: 0, max: 419 }), (span, shift, n) => {
      const scale = scaleOf(TODAY, span, shift);
      expect(new Date(`${scale.from}T00:00:00Z`).getUTCDay()).toBe(1);
      expect(daysBetween(scale.from, scale.until)).toBe(span * 7);
      const day = addDays(scale.from, n % (span * 7));
      expect(scale.dayAt(scale.x(day))).toBe(day);
      if (shift === 0) expect((scale.x(TODAY) - DRAWING.left) / (DRAWING.right - DRAWING.left)).toBeCloseTo(0.33, 1);
      expect(scale.x(addDays(scale.until, 9))).toBeCloseTo(DRAWING.right, 6);
    }),
  );
});

test('months are named where they begin, the year where it does', () => {
  const ticks = ticksOf(scaleOf(TODAY, 20, 0), 1);
  expect(ticks.filter(({ month }) => month).map(({ month }) => month)).toEqual(['Oct 2026', 'Nov', 'Dec', 'Jan 2027', 'Feb']);
  expect(ticks).toHaveLength(20);
  expect(dayWords('2027-01-03', TODAY)).toBe('3 Jan 2027');
  expect(dayWords('2026-12-05', TODAY)).toBe('5 Dec');
});

test('a step is as high as its phase lets range change, as the practice has it', () => {
  const scale = scaleOf(TODAY, 20, 0);
  const y = (height: number) => 100 - height;
  const tops = (rules: Parameters<typeof stepsOf>[1]) =>
    stepsOf([block(0, 6), block(7, 13, 'compete')], rules, scale.x, y, (day) => addDays(day, 1)).map(({ top }) => top);
  expect(tops([])).toEqual([97, 100]);
  const gentle = { id: 'compete', develop: 'gentle' } as Parameters<typeof stepsOf>[1][number];
  expect(tops([gentle])).toEqual([97, 99]);
});

test('booked visits that come into another phase are counted by the phase; what was held is not', () => {
  const visit = (n: number, state: SeasonVisit['state'] = 'booked'): SeasonVisit => ({
    id: String(n),
    athleteId: 'a',
    athleteName: 'A',
    startsAt: `${addDays(TODAY, n)}T09:00:00.000Z`,
    minutes: 40,
    state,
  });
  const dayOf = (instant: string) => instant.slice(0, 10);
  const before = [block(0, 9), block(10, 20, 'compete')];
  const after = [block(0, 5), block(6, 20, 'compete')];
  expect(changedVisits([visit(3), visit(7), visit(9), visit(8, 'done'), visit(12)], dayOf, before, after)).toBe(
    '2 booked visits come into compete',
  );
  expect(changedVisits([visit(15)], dayOf, before, [block(0, 9)])).toBe('1 booked visit comes into no block');
  expect(changedVisits([visit(3)], dayOf, before, before)).toBe('');
});
