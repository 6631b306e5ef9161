import type { ConsentArea } from '../caution/index.ts';

/** What is asked for around a race: before it, between two of a person's races, or after it. */
export const WISH_KINDS = ['before', 'between', 'after'] as const;
export type WishKind = (typeof WISH_KINDS)[number];

/** Why somebody goes first. */
export const WISH_REASONS = ['must', 'complaint', 'first-boat'] as const;
export type WishReason = (typeof WISH_REASONS)[number];

/** Whole minutes of the day by the clock on the wall, 0–1439. */
export type Minute = number;

export interface Race {
  readonly id: string;
  readonly name: string;
  /** When they are called; null where nobody is: then it is the start. */
  readonly callAt: Minute | null;
  readonly startAt: Minute;
}

/** Somebody on the start list: an athlete of the practice, or a name only. */
export interface Starter {
  readonly id: string;
  readonly athleteId: string | null;
  readonly name: string;
}

/** Somebody's start in a race. */
export interface RaceStart {
  readonly starterId: string;
  readonly raceId: string;
}

/** Ten minutes that somebody wants. */
export interface Wish {
  readonly id: string;
  readonly starterId: string;
  readonly kind: WishKind;
  /** The race it is before or after; of one between races, the earlier. */
  readonly raceId: string;
  /** Of one between races, the later; null otherwise. */
  readonly nextRaceId: string | null;
  readonly minutes: number;
  readonly reasons: readonly WishReason[];
  /** Whose hands are asked for, by account; null for anybody's. */
  readonly therapistId: string | null;
  readonly protocolId: string | null;
}

/** Somebody stands at a table. A table is open while somebody does. */
export interface Shift {
  readonly id: string;
  /** 1 to 4. */
  readonly table: number;
  readonly therapistId: string;
  readonly from: Minute;
  readonly until: Minute;
}

/** What is offered of a kind. */
export interface Offer {
  readonly kind: WishKind;
  readonly offered: boolean;
  readonly minutes: number;
  /** The least it can be shortened to. */
  readonly leastMinutes: number;
  readonly protocolIds: readonly string[];
}

/** The rules of the day, in minutes. */
export interface DayRules {
  /** Work before a start begins at most so long before the call, and ends at least so long before it. */
  readonly beforeAtMost: number;
  readonly beforeAtLeast: number;
  /** How long a race takes from its start until somebody can be on a table. */
  readonly raceTakes: number;
  /** Work after a race ends within so long after that. */
  readonly afterWithin: number;
  /** Times are promised in steps of. */
  readonly step: number;
  /** A table is made ready between two people for. */
  readonly turnover: number;
  /** A promise is kept by a begin at most so late. */
  readonly grace: number;
  /** Nobody is told of a new time that is nearer than this, unless they are here. */
  readonly notice: number;
  /** Nobody is given two promises within. */
  readonly quiet: number;
}

/** All that is set up of an event day. */
export interface EventDaySetUp {
  readonly title: string;
  /** Of the season, or null. */
  readonly eventId: string | null;
  /** Calendar day, `YYYY-MM-DD`. */
  readonly onDate: string;
  readonly races: readonly Race[];
  readonly starters: readonly Starter[];
  readonly starts: readonly RaceStart[];
  readonly wishes: readonly Wish[];
  readonly shifts: readonly Shift[];
  readonly offers: readonly Offer[];
  readonly rules: DayRules;
}

export interface PromisedTime {
  readonly wishId: string;
  readonly shiftId: string;
  readonly start: Minute;
}

/** What happens on the day. */
export type DayEventBody =
  | { readonly kind: 'here'; readonly wishId: string }
  | { readonly kind: 'onTable'; readonly wishId: string; readonly shiftId: string }
  | { readonly kind: 'done'; readonly wishId: string }
  | { readonly kind: 'notComing'; readonly wishId: string }
  /** They come, but not before. */
  | { readonly kind: 'late'; readonly wishId: string; readonly until: Minute }
  /** A race is at another time. */
  | { readonly kind: 'slip'; readonly raceId: string; readonly callAt: Minute | null; readonly startAt: Minute }
  /** Nothing more of this person today. */
  | { readonly kind: 'scratch'; readonly starterId: string }
  /** What is on the table goes on until. */
  | { readonly kind: 'overrun'; readonly wishId: string; readonly until: Minute }
  /** Nobody stands at the table from until. */
  | { readonly kind: 'closes'; readonly shiftId: string; readonly from: Minute; readonly until: Minute }
  /** One more wish; who and which race it is of, where they were not on the list. */
  | {
      readonly kind: 'wish';
      readonly wish: Wish;
      readonly starter: Starter | null;
      readonly race: Race | null;
      readonly nextRace: Race | null;
    }
  /** Times that are told; a wish among them with none is told that there is none. */
  | { readonly kind: 'promise'; readonly times: readonly PromisedTime[]; readonly dropped: readonly string[] }
  /** Before hands went on: every stop question was answered with no, and hands may be on these areas. */
  | { readonly kind: 'asked'; readonly wishId: string; readonly consent: readonly ConsentArea[] }
  /** It is written down as a visit, of this athlete. */
  | {
      readonly kind: 'recorded';
      readonly wishId: string;
      readonly visitId: string;
      /** Null once they were erased. */ readonly athleteId: string | null;
    }
  /** What happened before did not. */
  | { readonly kind: 'takeBack'; readonly eventId: string };

/** Something that happened, as it is kept: never changed, never taken away. */
export interface DayEvent {
  readonly id: string;
  /** Instant by the clock of the device, ISO 8601 in UTC. */
  readonly at: string;
  readonly by: string;
  /** The last event about the same thing that the device knew of; null for none. */
  readonly after: string | null;
  readonly body: DayEventBody;
}

export type WishStatus = 'waiting' | 'here' | 'onTable' | 'done' | 'off';

export interface WishState {
  readonly wish: Wish;
  readonly status: WishStatus;
  /** When it came to that, by the event; null where nothing happened yet. */
  readonly since: string | null;
  /** Where it is or was done. */
  readonly shiftId: string | null;
  /** The time they were told last, and when that was. */
  readonly promise: (PromisedTime & { readonly toldAt: string }) | null;
  /** They do not come before. */
  readonly lateUntil: Minute | null;
  /** It goes on until. */
  readonly overUntil: Minute | null;
  /** When it came onto the table; null before. */
  readonly beganAt: string | null;
  /** The areas agreed to once every stop question was answered with no; null before that. */
  readonly asked: readonly ConsentArea[] | null;
  /** The visit it is written down as; null where it is not. */
  readonly visitId: string | null;
}

/** Two devices said something of one thing without knowing of each other; the later one stands. */
export interface DayConflict {
  readonly first: DayEvent;
  readonly second: DayEvent;
}

export interface Closing {
  readonly shiftId: string;
  readonly from: Minute;
  readonly until: Minute;
}

/** The day as it stands. */
export interface DayState {
  readonly races: readonly Race[];
  readonly starters: readonly Starter[];
  readonly wishes: readonly WishState[];
  readonly closings: readonly Closing[];
  readonly conflicts: readonly DayConflict[];
  /** By what an event is about: the last one there is. */
  readonly last: Readonly<Record<string, string>>;
  /** By person: when they were told of a time last. */
  readonly toldAt: Readonly<Record<string, string>>;
}
