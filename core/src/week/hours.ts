import type { Taken } from './slots.ts';

/** A span of one day of the week, 1 Monday to 7 Sunday, in minutes since midnight on the practice's clock. */
export interface WorkSpan {
  readonly weekday: number;
  readonly fromMin: number;
  readonly toMin: number;
}

/** When one therapist sees people. */
export interface TherapistHours {
  readonly accountId: string;
  readonly spans: readonly WorkSpan[];
  /** Not to be booked, with a word why. */
  readonly breaks: readonly (WorkSpan & { readonly words: string })[];
  /** Visits a day that the hands allow. */
  readonly most: number;
}

/** When a practice sees people, and how long and how often. */
export interface WeekHours {
  /** Of a visit, and from one to the next. */
  readonly minutes: number;
  readonly pauseMin: number;
  /** People who can lie at the same time. */
  readonly tables: number;
  /** Days from one visit of somebody to their next at least. */
  readonly apart: number;
  readonly therapists: readonly TherapistHours[];
}

/** Hours as they are sent, with everybody whose hands could have a week. */
export interface HoursFile {
  readonly hours: WeekHours;
  readonly revision: number;
  /** False where the usual ones stand in. */
  readonly set: boolean;
  readonly therapists: readonly Therapist[];
}

export interface Therapist {
  readonly id: string;
  readonly name: string;
}

/** When somebody can come, and how often they want to; no spans: at any time. */
export interface AthleteTimes {
  readonly perWeek: number | null;
  readonly spans: readonly WorkSpan[];
}

/** The same as it is sent. */
export interface TimesFile {
  readonly times: AthleteTimes;
  readonly revision: number;
}

export const ANY_TIME: AthleteTimes = { perWeek: null, spans: [] };

/** What may be entered. Limits of the program. */
export const HOURS_RANGE = {
  minutes: { min: 10, max: 180 },
  pauseMin: { min: 0, max: 60 },
  tables: { min: 1, max: 10 },
  apart: { min: 1, max: 7 },
  most: { min: 0, max: 30 },
  perWeek: { min: 0, max: 3 },
  spans: 28,
  therapists: 12,
} as const;

const DAY_MIN = 24 * 60;

/** What is used until a practice sets its own: weekdays from 8 to 18 with an hour at noon, one table, three quarters of an hour, every other day at most. Common practice. */
export const usualHours = (accountIds: readonly string[]): WeekHours => ({
  minutes: 45,
  pauseMin: 5,
  tables: 1,
  apart: 2,
  therapists: accountIds.map((accountId) => ({
    accountId,
    spans: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, fromMin: 8 * 60, toMin: 18 * 60 })),
    breaks: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, fromMin: 12 * 60, toMin: 13 * 60, words: 'noon' })),
    most: 8,
  })),
});

/** What is wrong with some spans, in words, or nothing: they lie within a day, and no two of a day share time. */
export function wrongSpans(spans: readonly WorkSpan[]): string {
  for (const { weekday, fromMin, toMin } of spans) {
    if (![weekday, fromMin, toMin].every(Number.isInteger) || weekday < 1 || weekday > 7) return 'Every time is on a day of the week.';
    if (fromMin < 0 || toMin > DAY_MIN || fromMin >= toMin) return 'Every time ends after it begins, within the day.';
  }
  const clash = spans.some((a, i) => spans.some((b, j) => j > i && a.weekday === b.weekday && a.fromMin < b.toMin && b.fromMin < a.toMin));
  return clash ? 'Two times of a day share time.' : '';
}

/** A time at which a therapist could see somebody. `day` counts from the first of the week's days. */
export interface WorkSlot {
  readonly key: string;
  readonly accountId: string;
  readonly day: number;
  readonly date: string;
  readonly fromMin: number;
  readonly minutes: number;
}

/** A visit that stands, as far as time goes; without a therapist it is the first one's. */
export interface TakenBy extends Taken {
  readonly accountId: string | null;
}

/** A name for a slot that stays the same however the week is filled. */
export const slotKey = (accountId: string, date: string, fromMin: number): string => `${accountId}/${date}/${fromMin}`;

const meets = (a: { fromMin: number; toMin: number }, b: { fromMin: number; toMin: number }) => a.fromMin < b.toMin && b.fromMin < a.toMin;

/**
 * The times at which somebody could be seen on some days: each therapist's, one after the other with the pause between, around breaks and what is
 * taken. Where there are fewer tables than therapists, whoever stands first has the table. Nothing before `notBefore` on its day, nor on days before it.
 */
export function workSlots(
  { minutes, pauseMin, tables, therapists }: WeekHours,
  days: readonly string[],
  taken: readonly TakenBy[],
  notBefore: { readonly day: string; readonly fromMin: number },
): WorkSlot[] {
  const found: WorkSlot[] = [];
  const first = therapists[0]?.accountId ?? null;
  for (const [day, date] of days.entries()) {
    if (date < notBefore.day) continue;
    const weekday = weekdayOf(date);
    const here = taken.filter((each) => each.day === date);
    for (const { accountId, spans, breaks } of therapists) {
      const shut = [
        ...here
          .filter((each) => (each.accountId ?? first) === accountId)
          .map(({ fromMin, toMin }) => ({ fromMin: fromMin - pauseMin, toMin: toMin + pauseMin })),
        ...breaks.filter((each) => each.weekday === weekday),
      ];
      for (const span of spans.filter((each) => each.weekday === weekday)) {
        let from = date === notBefore.day ? Math.max(span.fromMin, notBefore.fromMin) : span.fromMin;
        while (from + minutes <= span.toMin) {
          const slot = { fromMin: from, toMin: from + minutes };
          const inTheWay = shut.find((each) => meets(each, slot));
          if (inTheWay) {
            from = inTheWay.toMin;
            continue;
          }
          found.push({ key: slotKey(accountId, date, from), accountId, day, date, fromMin: from, minutes });
          from = slot.toMin + pauseMin;
        }
      }
    }
  }
  return atTables(found, tables, taken, first);
}

/** Those that find a table: in order of the therapists, with what is taken lying already. */
function atTables(slots: readonly WorkSlot[], tables: number, taken: readonly TakenBy[], first: string | null): WorkSlot[] {
  const kept: WorkSlot[] = [];
  for (const slot of slots) {
    const span = { fromMin: slot.fromMin, toMin: slot.fromMin + slot.minutes };
    const others = [
      ...kept
        .filter((each) => each.date === slot.date && each.accountId !== slot.accountId)
        .map((each) => ({ fromMin: each.fromMin, toMin: each.fromMin + each.minutes })),
      ...taken.filter((each) => each.day === slot.date && (each.accountId ?? first) !== slot.accountId),
    ].filter((each) => meets(each, span));
    if (mostAtOnce(others, span) < tables) kept.push(slot);
  }
  return kept;
}

/** How many of some spans lie over one another at once within another one. */
export function mostAtOnce(
  spans: readonly { readonly fromMin: number; readonly toMin: number }[],
  within: { readonly fromMin: number; readonly toMin: number },
): number {
  const starts = [within.fromMin, ...spans.map(({ fromMin }) => fromMin)].filter((at) => at >= within.fromMin && at < within.toMin);
  return Math.max(0, ...starts.map((at) => spans.filter(({ fromMin, toMin }) => fromMin <= at && at < toMin).length));
}

/** 1 Monday to 7 Sunday. */
export function weekdayOf(date: string): number {
  const day = new Date(`${date}T00:00:00Z`).getUTCDay();
  return day === 0 ? 7 : day;
}
