import type { Muscle, PersonFacts } from '../body/index.ts';

/**
 * A sport is an entry of data. What is asked of an athlete, what is a shape and not a loss, what can be trained and what the calendar
 * holds all come from here; the practice adds its own in the same form.
 */
export interface Sport {
  readonly id: string;
  readonly name: string;
  readonly synonyms: readonly string[];
  readonly disciplines: readonly Discipline[];
  readonly roles: readonly Role[];
  /** What the side that leads is called, where the sport has one: "Throwing arm". Left out, nobody is asked. */
  readonly leading?: string;
  readonly demands: readonly Demand[];
  readonly shapes: readonly Shape[];
  readonly loadKinds: readonly LoadKind[];
  readonly eventKinds: readonly EventKind[];
  /** The two entries that are no sport: for somebody who does none, and for one that is not here. */
  readonly standsFor?: 'none' | 'another';
  readonly origin?: Origin;
}

/** Where something comes from that another practice made, and on what terms it was given. It stays with it when it is changed here. */
export interface Origin {
  readonly from: string;
  /** The licence in one line, as they wrote it; empty where they wrote none. */
  readonly licence: string;
  /** How often it had been changed there, counted from one. */
  readonly version: number;
}

export interface Discipline {
  readonly id: string;
  readonly name: string;
}

export interface Role {
  readonly id: string;
  readonly name: string;
  /** What else a table may call it. */
  readonly synonyms?: readonly string[];
  /** Only in these disciplines; left out, in all. */
  readonly disciplines?: readonly string[];
  /** The side this role gives: where a rower's oar is. */
  readonly side?: 'left' | 'right';
  /** Takes part without doing what the sport asks the body for: steering, refereeing. */
  readonly asksNothing?: true;
}

/** How sure a value is. Everything without a source is common practice. */
export type Sureness = 'published' | 'common practice';

/** `leading` and `other` follow the athlete's leading side, `role` the side of the role. */
export type OnSide = 'both' | 'leading' | 'other' | 'role';

/** The range that a sport asks for. */
export interface Demand {
  readonly motionId: string;
  /** In the motion's unit: at least this, or at most where less is better. */
  readonly value: number;
  readonly on: OnSide;
  readonly sure: Sureness;
  readonly source?: string;
  /** What for, in a few words: "the catch". */
  readonly why: string;
  readonly disciplines?: readonly string[];
}

/** A side difference that the sport makes, and needs. */
export type Shape =
  | {
      readonly kind: 'more';
      readonly motionId: string;
      readonly on: Exclude<OnSide, 'both'>;
      /** Up to this much is put down to the sport, in the motion's unit. */
      readonly upTo: number;
      readonly words: string;
      readonly sure: Sureness;
      readonly source?: string;
      readonly disciplines?: readonly string[];
    }
  | {
      /** The arc of the leading arm is turned, not shorter: what one motion gains the other loses. */
      readonly kind: 'arc';
      readonly gains: string;
      readonly loses: string;
      readonly on: 'leading';
      /** Total arcs this close are alike. */
      readonly totalWithin: number;
      /** A loss of this much together with a smaller total arc is a finding. */
      readonly findingFrom: number;
      readonly words: string;
      readonly sure: Sureness;
      readonly source?: string;
      readonly disciplines?: readonly string[];
    };

/** What can be trained, and which muscles it loads. */
export interface LoadKind {
  readonly id: string;
  readonly name: string;
  /** What is counted besides minutes and exertion: metres, throws, contacts, lifts; left out for nothing. */
  readonly counts?: string;
  readonly muscles: readonly Muscle[];
}

export interface EventKind {
  readonly id: string;
  readonly name: string;
  /** No long holds in so many hours before, gentle work only in so many after. */
  readonly quietHoursBefore: number;
  readonly gentleHoursAfter: number;
}

/** What an athlete does: ids of a sport and what it offers, and a line in their own words. */
export interface AthleteSport {
  readonly sportId: string;
  readonly discipline: string | null;
  readonly role: string | null;
  readonly leading: 'left' | 'right' | null;
  /** Seat, position, distance: free words. */
  readonly words: string;
}

/** A sport that a practice added, and how often it was changed. */
export interface OwnSport extends Sport {
  readonly revision: number;
}

/** Somebody with the sports they do. */
export interface SportingPerson extends PersonFacts {
  readonly sports: readonly PlayedSport[];
}

/** The same with the sport itself, for whatever has to reckon with it. */
export interface PlayedSport {
  readonly sport: Sport;
  readonly discipline: Discipline | null;
  readonly role: Role | null;
  readonly leading: 'left' | 'right' | null;
  readonly words: string;
}
