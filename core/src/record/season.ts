import type { Side } from '../body/index.ts';
import type { MovedLine, PhaseRule, SeasonPlan } from '../season/index.ts';
import type { CalendarEvent } from './visit.ts';

/** Whose season it is: everybody's, a squad's, or one athlete's own over the one that is followed. */
export type SeasonOwner = 'everybody' | 'squad' | 'athlete';

/** A visit as a season shows it. */
export interface SeasonVisit {
  readonly id: string;
  readonly athleteId: string;
  readonly athleteName: string;
  readonly startsAt: string;
  readonly minutes: number;
  readonly state: 'done' | 'booked';
}

/** The load of a week that begins on a Monday; of a squad, the mean of those who have any. */
export interface SeasonWeek {
  readonly monday: string;
  readonly load: number;
  readonly planned: boolean;
}

/** Everything a season is drawn from. */
export interface SeasonFile {
  readonly owner: SeasonOwner;
  readonly ownerId: string;
  readonly name: string;
  readonly plan: SeasonPlan;
  /** 0 while nothing was laid out. */
  readonly revision: number;
  /** Of an athlete: whose season theirs lies over; null where there is none. */
  readonly followed: { readonly id: string; readonly name: string; readonly plan: SeasonPlan } | null;
  /** Of an athlete: everybody whose season they could follow. */
  readonly couldFollow: readonly { readonly id: string; readonly name: string }[];
  /** Everybody of the practice who has something laid out, by id. */
  readonly laidOut: readonly string[];
  /** What the practice changed about the phases. */
  readonly rules: readonly PhaseRule[];
  /** All that concern them, those of an athlete who is not at them too. */
  readonly events: readonly CalendarEvent[];
  readonly visits: readonly SeasonVisit[];
  readonly weeks: readonly SeasonWeek[];
}

/** What moves when an event does, looked at before it is done. */
export interface MoveLook {
  readonly event: CalendarEvent;
  readonly toDay: string;
  readonly lines: readonly MovedLine[];
  readonly goals: readonly { readonly athleteName: string; readonly motionId: string; readonly side: Side }[];
  readonly visits: readonly MoveVisit[];
}

export interface MoveVisit {
  readonly id: string;
  readonly revision: number;
  readonly athleteName: string;
  readonly startsAt: string;
  readonly minutes: number;
  /** At the same hour of the other day. */
  readonly toStartsAt: string;
  /** Whose visits lie there already; empty when it is free. */
  readonly taken: readonly string[];
  /** The other day has passed. */
  readonly past: boolean;
}
