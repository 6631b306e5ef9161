import type { AthleteSport } from '../sport/index.ts';
import type { ConditionFields, MedicationId, NoTouchFields } from '../caution/index.ts';
import type { ErrorKnowledge } from '../measure/index.ts';
import type { Finding } from '../finding/index.ts';
import type { PastHome } from './home.ts';
import type { CalendarEvent, Goal, PastBlock, PastReading, Visit } from './visit.ts';

export type Handed = 'left' | 'right' | 'both' | 'unknown';

export interface Contact {
  readonly name: string;
  readonly role: string;
  readonly phone: string;
  readonly email: string;
}

/** What somebody who plans the crew may know: whether the athlete can be counted on. */
export type AvailabilityLevel = 'full' | 'limited' | 'out';

export interface AthleteFields {
  readonly name: string;
  readonly birthDate: string;
  readonly referenceSex: 'female' | 'male' | 'none';
  readonly sports: readonly AthleteSport[];
  /** One line: seat, build, story. */
  readonly about: string;
  /** Length of one slow, guided breath. */
  readonly breathPeriodMs: number;
  readonly hand: Handed;
  readonly foot: Handed;
  /** Lever lengths in centimetres, null until measured: they turn a distance gained into degrees. */
  readonly thighCm: number | null;
  readonly legCm: number | null;
  readonly armCm: number | null;
  readonly forearmCm: number | null;
  readonly build: string;
  readonly preferences: string;
  readonly coach: string;
  readonly contacts: readonly Contact[];
  readonly medications: readonly MedicationId[];
  /** The day somebody took the history; null when nobody has, and an empty file says nothing. */
  readonly historyOn: string | null;
  /** The nine items of the Beighton score in their order, or null when it was not taken. */
  readonly beighton: readonly boolean[] | null;
  readonly availability: AvailabilityLevel;
  /** Last day of a limited or missing availability, or null for open end. */
  readonly availableUntil: string | null;
}

/** What a new athlete's file holds besides the name and what the tables need. */
export const BLANK_FILE: Omit<AthleteFields, 'name' | 'birthDate' | 'referenceSex' | 'about' | 'breathPeriodMs'> = {
  sports: [],
  hand: 'unknown',
  foot: 'unknown',
  thighCm: null,
  legCm: null,
  armCm: null,
  forearmCm: null,
  build: '',
  preferences: '',
  coach: '',
  contacts: [],
  medications: [],
  historyOn: null,
  beighton: null,
  availability: 'full',
  availableUntil: null,
};

export interface Athlete extends AthleteFields {
  readonly id: string;
  readonly revision: number;
}

export interface Condition extends ConditionFields {
  readonly id: string;
  readonly revision: number;
}

export interface NoTouchArea extends NoTouchFields {
  readonly id: string;
  readonly since: string;
}

export interface Squad {
  readonly id: string;
  readonly name: string;
  readonly athleteIds: readonly string[];
  readonly revision: number;
}

/** One thing that happened, for the timeline. */
export interface HistoryLine {
  /** Calendar day. */
  readonly on: string;
  readonly kind: 'visit' | 'referral' | 'condition' | 'resolved' | 'operation' | 'clearance' | 'no-touch' | 'event';
  readonly words: string;
  readonly visitId: string | null;
}

/** What was done, found and given to do at home at all visits, oldest first. */
export interface AthleteHistory {
  readonly blocks: readonly PastBlock[];
  /** Corrected ones too. */
  readonly findings: readonly Finding[];
  readonly home: readonly PastHome[];
  /** Visits that have a plan. */
  readonly planned: readonly string[];
}

export interface AthleteFile {
  readonly athlete: Athlete;
  readonly conditions: readonly Condition[];
  readonly noTouch: readonly NoTouchArea[];
  /** By name. */
  readonly squads: readonly string[];
  readonly past: readonly PastReading[];
  readonly errors: ErrorKnowledge;
  readonly goals: readonly Goal[];
  readonly visits: readonly Visit[];
  readonly referredVisitIds: readonly string[];
  readonly events: readonly CalendarEvent[];
}

/** A line of the list; the file itself is asked for by id. */
export interface AthleteRow extends Pick<
  Athlete,
  'id' | 'name' | 'birthDate' | 'referenceSex' | 'sports' | 'about' | 'availability' | 'availableUntil'
> {
  readonly lastVisitAt: string | null;
  readonly visits: number;
  /** Conditions on file that are not over. */
  readonly open: number;
}

export interface AthleteList {
  readonly athletes: readonly AthleteRow[];
  /** How many fit the search in all; the list holds one page. */
  readonly total: number;
  readonly offset: number;
}
