import type { Origin } from '@pace-bend/core/sport';
import { REGIONS, type Instrument, type Side } from '@pace-bend/core/body';
import type { Level } from '@pace-bend/core/caution';
import type { AvailabilityLevel, Goal, GoalWhy } from '@pace-bend/core/record';
import { t } from '../words/parts.ts';

/** How the data's names are said. */
export const SIDE_WORDS: Record<Side, string> = { left: t('left2'), right: t('right2'), midline: t('middle') };
export const INSTRUMENT_WORDS: Record<Instrument, string> = {
  goniometer: t('goniometer'),
  inclinometer: t('inclinometer'),
  tape: t('tape'),
  'paired sensors': t('pairedSensors'),
};

/** "today", "tomorrow", "in 9 days", "3 days ago". */
export function inDays(days: number): string {
  if (days === 0) return t('today');
  if (days === 1) return t('tomorrow');
  if (days === -1) return t('yesterday');
  return days > 0 ? t('inDays', { days }) : t('daysAgo', { what: -days });
}

export const LEVEL_WORDS: Record<Level, string> = { stop: t('stop'), avoid: t('avoid'), modify: t('modify'), note: t('note') };
export const AVAILABILITY_WORDS: Record<AvailabilityLevel, string> = {
  full: t('fullyAvailable'),
  limited: t('limited'),
  out: t('notAvailable'),
};

/** "left knee" for a list; the side is left out where there is none. */
export const BODY_SIDES = [
  { value: 'left', label: t('left') },
  { value: 'right', label: t('right') },
  { value: 'both', label: t('both') },
  { value: 'none', label: t('notSaid') },
] as const;
/** Regions as a list to choose from. */
export const REGION_CHOICES = REGIONS.map((region) => ({ value: region.id, label: region.name }));

/** How much an event counts for whom it is. */
export const IMPORTANCE_WORDS: Readonly<Record<1 | 2 | 3, string>> = { 1: t('whatSeason'), 2: t('important'), 3: t('trainedThrough') };

export const WHY_WORDS: Readonly<Record<GoalWhy, string>> = {
  demand: t('whatSportAsks'),
  symmetry: t('otherSide'),
  wish: t('theirWish'),
};

/** What a goal is for, in words; empty where nobody said. */
export const goalWhyWords = ({ why, whyWords }: Pick<Goal, 'why' | 'whyWords'>): string =>
  [...(why ? [WHY_WORDS[why]] : []), ...(whyWords ? [whyWords] : [])].join(': ');

/**
 * With a small first letter, to stand within a sentence.
 * @example lowerFirst('Head heavy') // → 'head heavy'
 */
/** Where something comes from that another practice made, and on what terms: “from River room, CC BY 4.0”. */
export const originWords = ({ from, licence, version }: Origin): string =>
  [from === '' ? '' : t('from', { from }), t('version', { version }), licence === '' ? t('noLicenceSaid') : licence]
    .filter((part) => part !== '')
    .join(', ');

export const lowerFirst = (words: string): string => `${words.charAt(0).toLowerCase()}${words.slice(1)}`;
