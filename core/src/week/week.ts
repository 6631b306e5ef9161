import type { Side } from '../body/index.ts';
import { keptByVisits, reasonsFor, timeOf, type DueFacts, type DueKnown, type DueReason, type Reading } from '../cycle/index.ts';
import { daysBetween } from '../caution/index.ts';
import type { Middle } from '../forecast/index.ts';
import { addDays } from '../load/index.ts';
import type { ErrorKnowledge } from '../measure/index.ts';
import type { Develop, PhaseRule, SeasonEvent } from '../season/index.ts';
import { degreesPer } from '../session/index.ts';
import {
  mostAtOnce,
  weekdayOf,
  workSlots,
  type AthleteTimes,
  type TakenBy,
  type Therapist,
  type WeekHours,
  type WorkSlot,
} from './hours.ts';
import type { FillDay, FillPerson, FillProblem, VisitKind } from './types.ts';

/** A visit of the week, or of the weeks around it. */
export interface WeekVisit {
  readonly id: string;
  readonly athleteId: string;
  readonly athleteName: string;
  readonly startsAt: string;
  readonly minutes: number;
  readonly therapistId: string | null;
  readonly state: 'done' | 'booked';
  readonly revision: number;
}

/** What is known of one day of the week for one athlete. */
export interface WeekDay {
  readonly date: string;
  /** Where they are, if they cannot be seen: a camp, a journey, out; empty where they can. */
  readonly away: string;
  readonly develop: Develop;
  /** Why no more than that, in words. */
  readonly because: string;
  /** Events of theirs on this day. */
  readonly events: readonly SeasonEvent[];
  /** Minutes of training that are planned. */
  readonly trainingMin: number;
}

export interface WeekAthlete {
  readonly facts: DueFacts;
  readonly times: AthleteTimes;
  readonly timesRevision: number;
  /** The seven days from the Monday. */
  readonly days: readonly WeekDay[];
  /** The first event of first or second importance after the week that they are at, or null. */
  readonly eventAfter: SeasonEvent | null;
  /** Minutes of thumb work of their latest visit, or null where none was recorded. */
  readonly thumbMin: number | null;
  /** They were there already on the first day of the earliest of the three weeks before. */
  readonly since: string;
}

/** Everything a week is filled from. */
export interface WeekFile {
  readonly monday: string;
  readonly hours: WeekHours;
  /** Whether the practice set its hours, or the usual ones stand in. */
  readonly hoursSet: boolean;
  readonly therapists: readonly Therapist[];
  readonly athletes: readonly WeekAthlete[];
  /** From three weeks before the Monday to a week after. */
  readonly visits: readonly WeekVisit[];
  readonly rules: readonly PhaseRule[];
  readonly errors: ErrorKnowledge;
  /** How many athletes the practice has; not all of them are looked at. */
  readonly total: number;
  /** Minutes of thumb work a day that the practice allows. */
  readonly thumbLimit: number;
}

/** What counts besides what is kept, in degrees of it. Set by the program, and said on the page. */
export const WEEK_WEIGHTS = {
  /** Somebody who must be seen comes before anything that could be kept. */
  must: 100,
  /** Something was left to look at. */
  look: 2,
  /** Not seen or not measured for long: nothing is known. */
  unknown: 0.4,
  /** A goal is off its path. */
  path: 0.3,
  /** For each week running in which they were left out, up to three. */
  leftOut: 0.3,
  /** A visit that keeps: the first of a week, and a second. */
  keep: [0.2, 0.1] as readonly number[],
  /** A day with a long planned session takes away. */
  longTraining: -0.2,
  longTrainingMin: 90,
  /** A goal, or an event of first or second importance, within so many days makes what is kept count this much. */
  nearDays: 42,
  near: 1.5,
} as const;

/** Visits of somebody in a week at most, where they did not say. Common practice. */
export const MOST_A_WEEK = 2;
/** For how many a week is filled: of those who were seen before, and of those who never were. As many as a few therapists see in one. */
export const WEEK_REACH = { seen: 60, unseen: 60 } as const;
/** The most that anybody is worked out for. */
const WORKED_OUT = 3;

/** What is known of one athlete for one week, beside what their visits are worth. */
export interface WeekPerson {
  readonly id: string;
  readonly name: string;
  readonly reasons: readonly DueReason[];
  /** What the first, second, third visit is expected to leave, and of what; null where nothing is short of a goal. */
  readonly brings: { readonly motionId: string; readonly side: Side; readonly kept: readonly Middle[] } | null;
  /** The same in degrees, never below 0. */
  readonly keptDeg: readonly number[];
  /** What makes them count more than what is kept. */
  readonly near: boolean;
  readonly bonus: number;
  readonly must: boolean;
  /** The three weeks before, earliest first: seen, left out, or null before they were there. */
  readonly seen: readonly (boolean | null)[];
  /** Weeks running up to this one in which they were left out. */
  readonly leftOut: number;
  readonly days: readonly WeekDay[];
  /** Days since their last visit before the week, at its Monday; null for none. */
  readonly lastDays: number | null;
  readonly eventAfter: SeasonEvent | null;
  readonly thumbMin: number | null;
  readonly times: AthleteTimes;
}

/** A week as a problem to fill, with what stands behind its numbers. */
export interface WeekPlan {
  readonly slots: readonly WorkSlot[];
  readonly people: readonly WeekPerson[];
  readonly problem: FillProblem;
  /** Left out by hand, by id. */
  readonly out: readonly string[];
}

export interface WeekChoice {
  /** Slots that are kept free, by key. */
  readonly closed: readonly string[];
  /** Slots that are opened beyond the hours. */
  readonly opened: readonly WorkSlot[];
  /** Left out by hand, by id. */
  readonly out: readonly string[];
  /** Visits set by hand: who in which slot. */
  readonly pins: readonly { readonly athleteId: string; readonly key: string }[];
}

export const weekDays = (monday: string): string[] => Array.from({ length: 7 }, (_, i) => addDays(monday, i));

/** On whose clock: the day and the minute of an instant. */
export interface WeekClock {
  readonly now: string;
  readonly dayOf: (instant: string) => string;
  readonly minuteOfDay: (instant: string) => number;
}

/** Visits as spans of their day. */
export const takenSpans = (visits: readonly WeekVisit[], clock: WeekClock): TakenBy[] =>
  visits.map(({ startsAt, minutes, therapistId }) => {
    const fromMin = clock.minuteOfDay(startsAt);
    return { day: clock.dayOf(startsAt), fromMin, toMin: fromMin + minutes, accountId: therapistId };
  });

/** Times at which somebody could be seen in a week; visits of the past and of the week take theirs. */
export function weekSlots({ monday, hours, visits }: WeekFile, clock: WeekClock): WorkSlot[] {
  return workSlots(hours, weekDays(monday), takenSpans(visits, clock), {
    day: clock.dayOf(clock.now),
    fromMin: Math.ceil(clock.minuteOfDay(clock.now) / 5) * 5,
  });
}

/** Whether another slot finds its therapist and a table free. */
export function slotIsFree(slot: WorkSlot, slots: readonly WorkSlot[], { visits, hours }: WeekFile, clock: WeekClock): boolean {
  const first = hours.therapists[0]?.accountId ?? null;
  const span = { fromMin: slot.fromMin, toMin: slot.fromMin + slot.minutes };
  const there = [
    ...slots
      .filter((each) => each.date === slot.date)
      .map((each) => ({ accountId: each.accountId, fromMin: each.fromMin, toMin: each.fromMin + each.minutes })),
    ...takenSpans(visits, clock)
      .filter((each) => each.day === slot.date)
      .map((each) => ({ ...each, accountId: each.accountId ?? first })),
  ].filter((each) => each.fromMin < span.toMin && span.fromMin < each.toMin);
  return there.every((each) => each.accountId !== slot.accountId) && mostAtOnce(there, span) < hours.tables;
}

/** The people of a week: why they are due, what visits would leave, who was left out. `known`: how their motions answer, by athlete. */
export function weekPeople(
  file: WeekFile,
  known: ReadonlyMap<string, readonly DueKnown[]>,
  reading: Reading & { readonly now: string },
): WeekPerson[] {
  const today = reading.dayOf(reading.now);
  // Reckoned from the first day of the week that is still ahead.
  const from = file.monday > today ? timeOf(reading.now) + daysBetween(today, file.monday) : timeOf(reading.now);
  return file.athletes.map(({ facts, days, eventAfter, thumbMin, times, since }) => {
    const reasons = reasonsFor(facts, file.rules, reading, today);
    const brings = keptByVisits(facts, known.get(facts.id) ?? [], from, file.hours.apart, WORKED_OUT);
    const per = brings ? degreesPer(brings.motionId) : 1;
    const theirs = file.visits.filter(({ athleteId }) => athleteId === facts.id).map(({ startsAt }) => reading.dayOf(startsAt));
    const seen = [21, 14, 7].map((before) => {
      const monday = addDays(file.monday, -before);
      if (since > monday) return null;
      return theirs.some((day) => day >= monday && day < addDays(monday, 7));
    });
    const leftOut = [...seen].reverse().findIndex((each) => each !== false);
    const running = leftOut === -1 ? seen.length : leftOut;
    const kinds = new Set(reasons.map(({ kind }) => kind));
    const w = WEEK_WEIGHTS;
    const goalDays = facts.goals.flatMap(({ byDate }) => (byDate !== null && byDate >= file.monday ? [byDate] : []));
    const soonest = [
      ...goalDays,
      ...(eventAfter ? [eventAfter.onDate] : []),
      ...days.flatMap(({ events }) => events.filter(({ importance }) => importance < 3).map(({ onDate }) => onDate)),
    ].sort()[0];
    const before = theirs
      .filter((day) => day < file.monday)
      .sort()
      .at(-1);
    return {
      id: facts.id,
      name: facts.name,
      reasons,
      brings,
      keptDeg: Array.from({ length: WORKED_OUT }, (_, n) => Math.max(0, (brings?.kept[n]!.middle ?? 0) * per)),
      near: soonest !== undefined && daysBetween(file.monday, soonest) <= w.nearDays,
      must: kinds.has('must'),
      bonus:
        (kinds.has('must') ? w.must : 0) +
        (kinds.has('look') ? w.look : 0) +
        (kinds.has('unseen') || kinds.has('unmeasured') ? w.unknown : 0) +
        (kinds.has('path') ? w.path : 0) +
        // Who has nothing to be seen for is not left out.
        (reasons.length > 0 || brings !== null ? w.leftOut * running : 0),
      seen,
      leftOut: running,
      days,
      lastDays: before === undefined ? null : daysBetween(before, file.monday),
      eventAfter,
      thumbMin,
      times,
    };
  });
}

/** What a day is for somebody: out of question, only to keep, or to develop. */
function dayFor(person: WeekPerson, day: number): { readonly kind: VisitKind; readonly add: number } | null {
  const here = person.days[day]!;
  const next = person.days[day + 1];
  const nextEvents = next
    ? next.events
    : person.eventAfter && person.eventAfter.onDate === addDays(here.date, 1)
      ? [person.eventAfter]
      : [];
  if (here.away !== '' || here.events.some(({ importance }) => importance < 3)) return null;
  const keeps = here.develop === 'none' || nextEvents.some(({ importance }) => importance === 1);
  return { kind: keeps ? 'keep' : 'develop', add: here.trainingMin >= WEEK_WEIGHTS.longTrainingMin ? WEEK_WEIGHTS.longTraining : 0 };
}

/** Whether somebody can come at a time. */
function comesAt({ spans }: AthleteTimes, { date, fromMin, minutes }: WorkSlot): boolean {
  const weekday = weekdayOf(date);
  return spans.length === 0 || spans.some((span) => span.weekday === weekday && span.fromMin <= fromMin && fromMin + minutes <= span.toMin);
}

/**
 * A week as a problem to fill. A person's first visit brings what makes them due; every visit that develops what it is expected to leave, more where
 * an event or goal is near; one that keeps a little. Visits that stand count as had and keep their days free around them.
 */
export function weekPlan(file: WeekFile, people: readonly WeekPerson[], choice: WeekChoice, clock: WeekClock): WeekPlan {
  const closed = new Set(choice.closed);
  const slots = [...weekSlots(file, clock), ...choice.opened]
    .filter(({ key }) => !closed.has(key))
    .sort((a, b) => a.day - b.day || a.fromMin - b.fromMin || (a.accountId < b.accountId ? -1 : 1));
  const groups: number[] = [];
  const groupOf = new Map<string, number>();
  const first = file.hours.therapists[0]?.accountId ?? null;
  const groupFor = (accountId: string, day: number): number => {
    const key = `${accountId}/${day}`;
    let group = groupOf.get(key);
    if (group === undefined) {
      const date = addDays(file.monday, day);
      const standing = file.visits.filter(
        (each) => (each.therapistId ?? first) === accountId && clock.dayOf(each.startsAt) === date,
      ).length;
      const opened = choice.opened.filter((each) => each.accountId === accountId && each.day === day).length;
      const most = file.hours.therapists.find((each) => each.accountId === accountId)?.most ?? 0;
      groupOf.set(key, (group = groups.push(Math.max(0, most - standing) + opened) - 1));
    }
    return group;
  };
  const fillSlots = slots.map(({ accountId, day }) => ({ day, group: groupFor(accountId, day) }));
  const { apart } = file.hours;
  const fill = people.map((person): FillPerson => {
    const theirs = file.visits
      .filter(({ athleteId }) => athleteId === person.id)
      .map(({ startsAt }) => daysBetween(file.monday, clock.dayOf(startsAt)));
    const days: FillDay[] = person.days.map((_, day) =>
      theirs.some((other) => Math.abs(other - day) < apart) ? null : dayFor(person, day),
    );
    const weight = person.near ? WEEK_WEIGHTS.near : 1;
    return {
      any: [person.bonus, 0, 0],
      develop: person.keptDeg.map((value) => value * weight),
      // Keeping is for those who have something to keep, or something near.
      keep: person.brings || person.reasons.length > 0 || person.near ? WEEK_WEIGHTS.keep : [0, 0],
      most: choice.out.includes(person.id) ? 0 : (person.times.perWeek ?? MOST_A_WEEK),
      apart,
      days,
      slots: slots.flatMap((slot, i) => (comesAt(person.times, slot) ? [i] : [])),
      standing: theirs.filter((day) => day >= 0 && day < 7).map((day) => ({ day, kind: dayFor(person, day)?.kind ?? 'keep' })),
    };
  });
  const index = new Map(slots.map(({ key }, i) => [key, i]));
  const who = new Map(people.map(({ id }, i) => [id, i]));
  return {
    slots,
    people,
    out: choice.out,
    problem: {
      slots: fillSlots,
      groups,
      people: fill,
      pins: choice.pins.flatMap(({ athleteId, key }) => {
        const [person, slot] = [who.get(athleteId), index.get(key)];
        return person === undefined || slot === undefined ? [] : [{ person, slot }];
      }),
    },
  };
}
