import fc from 'fast-check';
import { NOTHING_KNOWN } from '../measure/index.ts';
import type { PastReading } from '../record/index.ts';
import { comeBack, hasWords, keptSoFar, lookChoices, toggleWords, type ComeBackFacts } from './index.ts';

const DAY = '2026-11-25';
const NONE: ComeBackFacts = { day: DAY, stopped: false, short: [], kept: null, sorest: null, event: null };
const daysTo = (day: string) => (Date.parse(day) - Date.parse(DAY)) / 86_400_000;

test.each<[string, Partial<ComeBackFacts>, number | null, RegExp]>([
  ['nothing is short', {}, 21, /nothing is short/],
  ['a goal without a day', { short: [null] }, 7, /a goal is not reached/],
  ['a goal soon', { short: [null, '2026-12-10'] }, 4, /within four weeks/],
  ['a goal far ahead', { short: ['2027-03-01'] }, 7, /a goal is not reached/],
  ['a goal whose day has passed', { short: ['2026-11-01'] }, 7, /a goal is not reached/],
  ['little was kept', { short: [null], kept: { share: 0.1, days: 6, motions: 2 } }, 3, /little of the last gain was left after 6 days/],
  ['most was kept', { short: [null], kept: { share: 0.9, days: 7, motions: 1 } }, 11, /most of the last gain/],
  ['most was kept and nothing is short', { kept: { share: 0.9, days: 20, motions: 1 } }, 28, /most of the last gain/],
  ['something sore', { sorest: 6 }, 7, /sore at 6/],
  ['something a little sore', { sorest: 4 }, 21, /nothing is short/],
  ['the day of an event', { short: [null], event: { name: 'Head race', onDate: '2026-12-02' } }, 5, /two days before Head race/],
  ['the day before an event', { short: [null], event: { name: 'Head race', onDate: '2026-12-03' } }, 6, /two days before Head race/],
  [
    'an event too near for that',
    { short: ['2026-12-10'], kept: { share: 0, days: 2, motions: 1 }, event: { name: 'Sprint', onDate: '2026-11-28' } },
    4,
    /the day after Sprint/,
  ],
  ['nothing may be done', { stopped: true, short: [null] }, null, /look at what stops this visit first/],
])('%s', (_, facts, days, why) => {
  const back = comeBack({ ...NONE, ...facts });
  expect(back.days).toBe(days);
  expect(back.reasons.join('; ')).toMatch(why);
  if (back.day !== null) expect(daysTo(back.day)).toBe(back.days);
});

test('whatever is known: two days to four weeks and a day, never on an event or the day before it, and always with a reason', () => {
  const facts = fc.record({
    short: fc.array(fc.option(fc.integer({ min: -40, max: 90 })), { maxLength: 4 }),
    share: fc.option(fc.double({ min: -1, max: 2, noNaN: true })),
    keptDays: fc.integer({ min: 1, max: 60 }),
    sorest: fc.option(fc.integer({ min: 0, max: 10 })),
    event: fc.option(fc.integer({ min: 0, max: 40 })),
  });
  const on = (days: number) => new Date(Date.parse(DAY) + days * 86_400_000).toISOString().slice(0, 10);
  fc.assert(
    fc.property(facts, ({ short, share, keptDays, sorest, event }) => {
      const back = comeBack({
        ...NONE,
        short: short.map((days) => (days === null ? null : on(days))),
        kept: share === null ? null : { share, days: keptDays, motions: 1 },
        sorest,
        event: event === null ? null : { name: 'E', onDate: on(event) },
      });
      expect(back.reasons.length).toBeGreaterThan(0);
      expect(back.days).toBeGreaterThanOrEqual(2);
      expect(back.days).toBeLessThanOrEqual(29);
      if (event !== null) expect([event, event - 1]).not.toContain(back.days);
    }),
    { numRuns: 3000 },
  );
});

const reading = (visit: string, moment: 'before' | 'after', value: number, over: Partial<PastReading> = {}): PastReading => ({
  visitId: visit,
  startsAt: visit === 'last' ? '2026-11-20T09:00:00.000Z' : '2026-11-13T09:00:00.000Z',
  motionId: 'straight-leg-raise',
  side: 'left',
  moment,
  instrument: 'goniometer',
  examinerId: null,
  value,
  ...over,
});
const TODAY = `${DAY}T09:00:00.000Z`;

test('what was kept is the share of the last gain that is still there, and only of a gain beyond the error', () => {
  const today = [reading('now', 'before', 75)];
  const past = [reading('old', 'before', 50), reading('last', 'before', 70), reading('last', 'after', 90)];
  expect(keptSoFar(past, today, TODAY, NOTHING_KNOWN)).toEqual({ share: 0.25, days: 5, motions: 1 });
  // Two degrees are no gain that could be kept.
  expect(keptSoFar([reading('last', 'before', 70), reading('last', 'after', 72)], today, TODAY, NOTHING_KNOWN)).toBeNull();
  // The visit before the last one is not asked, nor another side, nor another instrument nobody compared.
  expect(keptSoFar([...past, reading('last', 'after', 95, { side: 'right' })], today, TODAY, NOTHING_KNOWN)!.motions).toBe(1);
  expect(keptSoFar(past, [reading('now', 'before', 75, { instrument: 'inclinometer' })], TODAY, NOTHING_KNOWN)).toBeNull();
  expect(keptSoFar([], today, TODAY, NOTHING_KNOWN)).toBeNull();
});

test('words to look at first are chosen beside what was typed, and taken back', () => {
  const words = fc
    .string({ minLength: 1, maxLength: 12 })
    .map((text) => text.replaceAll(';', ' ').trim())
    .filter((text) => text !== '');
  fc.assert(
    fc.property(fc.uniqueArray(words, { maxLength: 4 }), words, (kept, choice) => {
      const before = kept.filter((each) => each !== choice).join('; ');
      const on = toggleWords(before, choice);
      expect(hasWords(on, choice)).toBe(true);
      expect(toggleWords(on, choice)).toBe(before);
    }),
  );
});

test('a goal that is reached is no choice; the reading after work counts', () => {
  const goal = { motionId: 'straight-leg-raise', side: 'left', value: 80 } as const;
  const look = (...values: ['before' | 'after', number][]) =>
    lookChoices(
      [],
      [],
      [goal],
      values.map(([moment, value]) => ({ ...goal, moment, value })),
      Date.parse(TODAY),
    ).map(({ words }) => words);
  expect(look(['before', 70])).toEqual([expect.stringContaining('goal 80')]);
  expect(look(['before', 70], ['after', 82])).toEqual([]);
  expect(look()).toEqual([]);
});
