import type { DayVisit } from '@pace-bend/core/record';
import { hoursOf, layOutDay, scaleOf } from './boardLayout.ts';

const minuteOf = (instant: string) => Number(instant);
const visit = (id: string, from: number, minutes: number) => ({ id, startsAt: String(from), minutes }) as DayVisit;
const places = (...visits: DayVisit[]) => layOutDay(visits, minuteOf).map((each) => [each.visit.id, each.column, each.columns]);

test('visits that touch stand under each other; those that overlap side by side, in as few columns as it takes', () => {
  expect(places(visit('a', 540, 45), visit('b', 585, 30))).toEqual([
    ['a', 0, 1],
    ['b', 0, 1],
  ]);
  expect(places(visit('b', 560, 30), visit('a', 540, 45), visit('c', 588, 30), visit('d', 700, 30))).toEqual([
    ['a', 0, 2],
    ['b', 1, 2],
    ['c', 0, 2],
    ['d', 0, 1],
  ]);
  expect(places(visit('a', 540, 60), visit('b', 545, 60), visit('c', 550, 60))).toEqual([
    ['a', 0, 3],
    ['b', 1, 3],
    ['c', 2, 3],
  ]);
  expect(places()).toEqual([]);
  // One that was cancelled takes nobody's room.
  expect(places(visit('a', 540, 60), { ...visit('gone', 545, 60), cancelledAt: 'x' })).toEqual([['a', 0, 1]]);
});

test('the day shows eight to six, and further where visits reach further, never past midnight', () => {
  expect(hoursOf([])).toEqual({ first: 8, last: 18 });
  expect(hoursOf(layOutDay([visit('early', 390, 30), visit('late', 1100, 45)], minuteOf))).toEqual({ first: 6, last: 20 });
  expect(hoursOf(layOutDay([visit('night', 1425, 60)], minuteOf)).last).toBe(24);
});

test('a short visit with a long name makes the day larger, within bounds; a usual day is drawn as usual', () => {
  const named = (athleteName: string, minutes: number, columns = 1) => ({
    visit: { ...visit('a', 540, minutes), athleteName },
    from: 540,
    column: 0,
    columns,
  });
  const long = 'Maximiliane-Theodora Vandenbroucke-Østergaard';
  expect(scaleOf([])).toBe(1.75);
  expect(scaleOf([named('Ines Okkonen', 45), named('Ines Okkonen', 20)])).toBe(1.75);
  expect(scaleOf([named(long, 45)])).toBe(1.75);
  expect(scaleOf([named(long, 20)])).toBeCloseTo(2.3);
  expect(scaleOf([named(long, 40, 3)])).toBeCloseTo(2.45);
  expect(scaleOf([named(long, 5, 2)])).toBe(5);
});
