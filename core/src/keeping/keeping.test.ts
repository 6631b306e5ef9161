import fc from 'fast-check';
import { DateTime } from 'luxon';
import { addMonths, dueBefore, keptTables, keptUntil, type LawRule } from './index.ts';

const LAW: LawRule = { years: 10, untilAge: null, kinds: ['treatment'], reason: 'The rule of the place' };
const day = fc
  .date({ min: new Date('1950-01-01'), max: new Date('2090-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

test('months are counted as the calendar library luxon counts them', () => {
  fc.assert(
    fc.property(day, fc.integer({ min: -1200, max: 1200 }), (from, months) => {
      expect(addMonths(from, months)).toBe(DateTime.fromISO(from, { zone: 'utc' }).plus({ months }).toISODate());
    }),
  );
});

test('a record is kept from the last visit on, or until an age, whichever is later; then no longer', () => {
  const person = { birthDate: '2008-05-01', lastOn: '2020-01-31' };
  expect(keptUntil(LAW, person, '2026-11-29')).toBe('2030-01-31');
  expect(keptUntil({ ...LAW, untilAge: 28 }, person, '2026-11-29')).toBe('2036-05-01');
  expect(keptUntil(LAW, person, '2030-01-31')).toBe('2030-01-31');
  expect(keptUntil(LAW, person, '2030-02-01')).toBeNull();
  expect(keptUntil(LAW, { ...person, lastOn: null }, '2026-11-29')).toBeNull();
  expect(keptUntil(null, person, '2026-11-29')).toBeNull();
  expect(keptUntil({ ...LAW, kinds: [] }, person, '2026-11-29')).toBeNull();
});

test('it is never kept for less than the law says', () => {
  fc.assert(
    fc.property(
      day,
      day,
      day,
      fc.integer({ min: 1, max: 40 }),
      fc.option(fc.integer({ min: 1, max: 40 })),
      (birthDate, lastOn, today, years, untilAge) => {
        const until = keptUntil({ ...LAW, years, untilAge }, { birthDate, lastOn }, today);
        const wanted = [addMonths(lastOn, years * 12), ...(untilAge === null ? [] : [addMonths(birthDate, untilAge * 12)])];
        if (until === null) expect(wanted.every((each) => each < today)).toBe(true);
        else expect(wanted.every((each) => each <= until)).toBe(true);
      },
    ),
  );
});

test('without a period nothing is due', () => {
  expect(dueBefore(null, '2026-11-29')).toBeNull();
  expect(dueBefore(3, '2026-05-31')).toBe('2026-02-28');
});

test('what stays is who it is of and what is named, nothing else', () => {
  const tables = {
    athlete: [{ id: 'a', name: 'A', birth_date: '2000-01-01', contacts: [{ name: 'x' }], about: 'y', coach: 'z', medications: ['m'] }],
    visit: [{ id: 'v' }],
    athlete_goal: [{ id: 'g' }],
    check_in: [{ id: 'c' }],
    athlete_condition: [{ id: 'k' }],
  };
  const kept = keptTables(tables, ['treatment']);
  expect(Object.keys(kept).sort()).toEqual(['athlete', 'visit']);
  expect(kept.athlete).toMatchObject([{ name: 'A', contacts: [], about: '', coach: '', medications: [] }]);
  expect(Object.keys(keptTables(tables, ['conditions', 'days'])).sort()).toEqual(['athlete', 'athlete_condition', 'check_in']);
  expect(keptTables(tables, ['conditions']).athlete).toMatchObject([{ medications: ['m'] }]);
});
