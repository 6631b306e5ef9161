import type { Visit } from './visit.ts';

type Booked = Pick<Visit, 'id' | 'startsAt' | 'minutes' | 'finishedAt' | 'cancelledAt' | 'step'>;

const MINUTE_MS = 60_000;

const startOf = (visit: Booked) => Date.parse(visit.startsAt);
const endOf = (visit: Booked) => startOf(visit) + visit.minutes * MINUTE_MS;
const isOn = (visit: Booked) => visit.cancelledAt === null;

export interface ProjectedVisit {
  readonly id: string;
  /** When it can really begin, as things stand. */
  readonly startsAtMs: number;
  readonly lateMin: number;
  /** Minutes past its booked end, while it is going on. */
  readonly overMin: number;
}

/**
 * How late the day is running. A visit that has begun and is not finished keeps the table at least until now; one
 * that has not begun cannot begin before now, nor before the one ahead of it is done with its minutes. Visits that
 * overlap on purpose share the table and do not push each other. Finished and cancelled ones are left out, and so is
 * one whose whole time has gone by without beginning: nobody came. Lateness is in whole minutes, rounded down; order of `visits` does not matter.
 */
export function projectDay(visits: readonly Booked[], nowMs: number): ProjectedVisit[] {
  const mayCome = (visit: Booked) => visit.step !== 'arrive' || endOf(visit) > nowMs;
  const waiting = visits
    .filter((visit) => isOn(visit) && visit.finishedAt === null && mayCome(visit))
    .sort((a, b) => startOf(a) - startOf(b) || a.id.localeCompare(b.id));
  const done: { visit: Booked; endsMs: number }[] = [];
  return waiting.map((visit) => {
    const begun = visit.step !== 'arrive';
    // What went before and was not meant to overlap has to end first.
    const free = Math.max(0, ...done.filter((other) => endOf(other.visit) <= startOf(visit)).map((other) => other.endsMs));
    const startsAtMs = begun ? startOf(visit) : Math.max(startOf(visit), free, nowMs);
    const endsMs = begun ? Math.max(endOf(visit), nowMs) : startsAtMs + visit.minutes * MINUTE_MS;
    done.push({ visit, endsMs });
    return {
      id: visit.id,
      startsAtMs,
      lateMin: Math.floor((startsAtMs - startOf(visit)) / MINUTE_MS),
      overMin: begun ? Math.max(0, Math.floor((nowMs - endOf(visit)) / MINUTE_MS)) : 0,
    };
  });
}
