import { dayAt, dayNumber } from '../body/index.ts';
import type { DayLoad, LoadFields } from './types.ts';

/** Days are counted as dates: a day of clock change is one day like any other. */
export function addDays(day: string, days: number): string {
  return dayAt(dayNumber(day) + days);
}

/**
 * The load of one session in arbitrary units: exertion (0–10) × minutes; null where it was not rated or is still to come.
 * Source: Foster C et al. J Strength Cond Res 2001;15:109–115, recalled from memory.
 * @example sessionLoad({ exertion: 6, minutes: 50, planned: false }) // → 300
 */
export function sessionLoad({ exertion, minutes, planned }: Pick<LoadFields, 'exertion' | 'minutes' | 'planned'>): number | null {
  return exertion === null || planned ? null : exertion * minutes;
}

/**
 * The loads of the days `from` to `to` (both included), oldest first; a day without a session is a rest day with 0. Throws a
 * RangeError when `to` is before `from`.
 * @example dayLoads([], '2026-03-01', '2026-03-07').length // → 7
 */
export function dayLoads(
  loads: readonly Pick<LoadFields, 'onDate' | 'exertion' | 'minutes' | 'planned'>[],
  from: string,
  to: string,
): DayLoad[] {
  if (to < from) throw new RangeError(`${to} is before ${from}.`);
  const byDay = new Map<string, { load: number; sessions: number; unrated: number }>();
  for (const each of loads) {
    if (each.planned || each.onDate < from || each.onDate > to) continue;
    const load = sessionLoad(each);
    let day = byDay.get(each.onDate);
    if (!day) byDay.set(each.onDate, (day = { load: 0, sessions: 0, unrated: 0 }));
    day.load += load ?? 0;
    day.sessions += 1;
    if (load === null) day.unrated += 1;
  }
  const days: DayLoad[] = [];
  const last = dayNumber(to);
  for (let number = dayNumber(from); number <= last; number++) {
    const on = dayAt(number);
    const day = byDay.get(on);
    days.push({ on, load: day?.load ?? 0, sessions: day?.sessions ?? 0, unrated: day?.unrated ?? 0 });
  }
  return days;
}
