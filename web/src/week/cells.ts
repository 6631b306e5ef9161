import { motionOf } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import {
  keptOf,
  visitWords,
  weekdayOf,
  type Clash,
  type Valued,
  type VisitKind,
  type WeekPerson,
  type WeekVisit,
  type WorkSlot,
} from '@pace-bend/core/week';
import { t } from '../words/week.ts';

/** What a cell says of a visit. */
export interface CellVisit {
  readonly athleteId: string;
  readonly name: string;
  readonly words: string;
  readonly seen: readonly (boolean | null)[];
  readonly kind: VisitKind;
  readonly must: boolean;
  readonly pinned: boolean;
  /** Degrees it is expected to leave; 0 where it only keeps or nothing is short. */
  readonly kept: number;
  readonly keptWords: string;
  /** What is against it where it lies, or nothing. */
  readonly clash: string;
}

/** One time of a day, as it lies in its row. */
export interface Cell {
  /** The slot’s key, or the visit’s id. */
  readonly id: string;
  readonly fromMin: number;
  readonly state: 'placed' | 'booked' | 'done' | 'free' | 'closed' | 'break';
  readonly slot: WorkSlot | null;
  readonly visit: CellVisit | null;
  readonly visitId: string | null;
  readonly words: string;
}

/** One day of one therapist. */
export interface WeekRow {
  readonly key: string;
  readonly date: string;
  readonly accountId: string;
  readonly cells: readonly Cell[];
}

export const CLASH_WORDS: Readonly<Record<Clash, string>> = {
  'cannot come': t('cannotComeThen'),
  'not that day': t('notDay'),
  'too near': t('tooNearAnotherVisit'),
  'too many': t('moreVisitsThanThey'),
  hands: t('moreThanHandsAllow'),
};

/**
 * Degrees as a cell says them.
 * @example degreesWords(0.94) // → '+0.9°'
 */
export const degreesWords = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}°`;

/** What a visit of a person leaves, in the motion's own unit. */
export function keptWords(person: WeekPerson, visit: Pick<Valued, 'kind' | 'nthOfKind'>): string {
  const kept = visit.kind === 'develop' ? person.brings?.kept[visit.nthOfKind] : undefined;
  return kept && person.brings ? `+${formatValue(Math.max(0, kept.middle), motionOf(person.brings.motionId).unit, 1)}` : '';
}

export function cellVisit(person: WeekPerson, valued: Valued, pinned: boolean, clashes: readonly Clash[]): CellVisit {
  return {
    athleteId: person.id,
    name: person.name,
    words: visitWords(person, valued),
    seen: person.seen,
    kind: valued.kind,
    must: person.must && valued.nth === 0,
    pinned,
    kept: keptOf(person, valued),
    keptWords: keptWords(person, valued),
    clash: clashes.map((each) => CLASH_WORDS[each]).join('; '),
  };
}

/** A visit that stands, as a cell says it. */
export const standingVisit = ({ athleteId, athleteName }: WeekVisit, person: WeekPerson | undefined): CellVisit => ({
  athleteId,
  name: athleteName,
  words: person?.brings ? motionOf(person.brings.motionId).name : '',
  seen: person?.seen ?? [],
  kind: 'develop',
  must: false,
  pinned: false,
  kept: 0,
  keptWords: '',
  clash: '',
});

const DAYS = [t('monday'), t('tuesday'), t('wednesday'), t('thursday'), t('friday'), t('saturday'), t('sunday')] as const;
export const WEEKDAYS = DAYS.map((name, i) => ({ weekday: i + 1, name, short: name.slice(0, 3) }));
export const dayName = (date: string): string => DAYS[weekdayOf(date) - 1]!;
