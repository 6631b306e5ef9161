import fc from 'fast-check';
import { projectDay } from './index.ts';

const MIN = 60_000;
const at = (minute: number) => new Date(minute * MIN).toISOString();
const visit = (
  id: string,
  start: number,
  minutes: number,
  more: Partial<{ finishedAt: string | null; cancelledAt: string | null; step: 'arrive' | 'table' }> = {},
) => ({ id, startsAt: at(start), minutes, finishedAt: null, cancelledAt: null, step: 'arrive' as const, ...more });

test('a visit that runs over pushes those behind it, until a gap takes it up; one on purpose beside it is not pushed', () => {
  const day = [
    visit('a', 0, 30, { step: 'table' }),
    visit('beside', 10, 30),
    visit('along', 20, 30),
    visit('b', 30, 30),
    visit('c', 60, 30),
    visit('later', 200, 30),
  ];
  const late = Object.fromEntries(projectDay(day, 42 * MIN).map((each) => [each.id, each]));
  expect(late.a).toMatchObject({ overMin: 12, lateMin: 0 });
  expect(late.beside).toBeUndefined();
  expect(late.along!.lateMin).toBe(22);
  expect(late.b!.lateMin).toBe(12);
  expect(late.c!.lateMin).toBe(12);
  expect(late.later!.lateMin).toBe(0);
  // Somebody whose whole time went by did not come, and holds nobody up.
  expect(projectDay([visit('missed', 0, 30), visit('next', 40, 30)], 42 * MIN).map((each) => [each.id, each.lateMin])).toEqual([
    ['next', 2],
  ]);
});

test('nobody is planned into the past, nobody earlier than booked, and finishing early never makes anybody later', () => {
  const anyDay = fc
    .array(
      fc.record({
        start: fc.nat(600),
        minutes: fc.integer({ min: 5, max: 90 }),
        step: fc.constantFrom('arrive' as const, 'table' as const),
        over: fc.constantFrom<'no' | 'finished' | 'cancelled'>('no', 'finished', 'cancelled'),
      }),
      { maxLength: 8 },
    )
    .map((list) =>
      list.map((each, i) =>
        visit(`v${i}`, each.start, each.minutes, {
          step: each.step,
          finishedAt: each.over === 'finished' ? at(1) : null,
          cancelledAt: each.over === 'cancelled' ? at(1) : null,
        }),
      ),
    );
  fc.assert(
    fc.property(anyDay, fc.nat(700), (day, now) => {
      const projected = projectDay(day, now * MIN);
      for (const each of projected) {
        const booked = day.find((one) => one.id === each.id)!;
        expect(each.lateMin).toBeGreaterThanOrEqual(0);
        if (booked.step === 'arrive') expect(each.startsAtMs).toBeGreaterThanOrEqual(now * MIN);
      }
      expect(projectDay([...day].reverse(), now * MIN)).toEqual(projected);
      const [first] = projected;
      if (!first) return;
      const without = projectDay(
        day.map((one) => (one.id === first.id ? { ...one, finishedAt: at(1) } : one)),
        now * MIN,
      );
      for (const each of without) expect(each.startsAtMs).toBeLessThanOrEqual(projected.find((one) => one.id === each.id)!.startsAtMs);
    }),
  );
});
