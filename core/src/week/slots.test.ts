import fc from 'fast-check';
import { freeSlots, USUAL_HOURS, type Taken } from './index.ts';

const DAYS = ['2026-11-28', '2026-11-30'];
const taken = fc.array(
  fc
    .record({
      day: fc.constantFrom(...DAYS, '2026-12-24'),
      fromMin: fc.integer({ min: 300, max: 1200 }),
      length: fc.integer({ min: 5, max: 240 }),
    })
    .map(({ day, fromMin, length }): Taken => ({ day, fromMin, toMin: fromMin + length })),
  { maxLength: 12 },
);

test('what is offered is free, within the hours, in order, without overlap, and nothing earlier was passed over', () => {
  fc.assert(
    fc.property(taken, fc.integer({ min: 10, max: 120 }), fc.integer({ min: 0, max: 30 }), (busy, minutes, most) => {
      const slots = freeSlots(DAYS, busy, minutes, most);
      expect(slots.length).toBeLessThanOrEqual(most);
      const free = (day: string, from: number) =>
        busy.every((each) => each.day !== day || each.toMin <= from || from + minutes <= each.fromMin);
      for (const { day, fromMin } of slots) {
        expect(DAYS).toContain(day);
        expect(free(day, fromMin)).toBe(true);
        expect(fromMin).toBeGreaterThanOrEqual(USUAL_HOURS.fromMin);
        expect(fromMin + minutes).toBeLessThanOrEqual(USUAL_HOURS.toMin);
        expect((fromMin - USUAL_HOURS.fromMin) % USUAL_HOURS.step).toBe(0);
      }
      // Every place before the last that is offered is taken, or overlaps one that is.
      for (const [i, day] of DAYS.entries())
        for (let from = USUAL_HOURS.fromMin; from + minutes <= USUAL_HOURS.toMin; from += USUAL_HOURS.step) {
          const covered = slots.some((slot) => slot.day === day && Math.abs(slot.fromMin - from) < minutes);
          const last = slots.at(-1);
          const after = slots.length === most && (!last || DAYS.indexOf(last.day) < i || (last.day === day && last.fromMin < from));
          if (free(day, from) && !covered) expect(after).toBe(true);
        }
    }),
  );
});
