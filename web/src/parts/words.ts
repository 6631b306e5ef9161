import type { Origin } from '@pace-bend/core/sport';
import type { Role } from '@pace-bend/core/access';
import { REGIONS, type Instrument, type Side } from '@pace-bend/core/body';
import type { Level } from '@pace-bend/core/caution';
import type { AvailabilityLevel, Goal, GoalWhy } from '@pace-bend/core/record';

/** How the data's names are said. */
export const SIDE_WORDS: Record<Side, string> = { left: 'Left', right: 'Right', midline: 'Middle' };
export const INSTRUMENT_WORDS: Record<Instrument, string> = {
  goniometer: 'Goniometer',
  inclinometer: 'Inclinometer',
  tape: 'Tape',
  'paired sensors': 'Paired sensors',
};

/** "today", "tomorrow", "in 9 days", "3 days ago". */
export function inDays(days: number): string {
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? `in ${days} days` : `${-days} days ago`;
}

export const ROLE_WORDS: Record<Role, string> = { owner: 'owner', therapist: 'therapist', assistant: 'assistant', coach: 'coach' };
export const LEVEL_WORDS: Record<Level, string> = { stop: 'Stop', avoid: 'Avoid', modify: 'Modify', note: 'Note' };
export const AVAILABILITY_WORDS: Record<AvailabilityLevel, string> = { full: 'fully available', limited: 'limited', out: 'not available' };

/** "left knee" for a list; the side is left out where there is none. */
export const BODY_SIDES = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'both', label: 'both' },
  { value: 'none', label: 'not said' },
] as const;
/** Regions as a list to choose from. */
export const REGION_CHOICES = REGIONS.map((region) => ({ value: region.id, label: region.name }));

/** How much an event counts for whom it is. */
export const IMPORTANCE_WORDS: Readonly<Record<1 | 2 | 3, string>> = { 1: 'what the season is for', 2: 'important', 3: 'trained through' };

export const WHY_WORDS: Readonly<Record<GoalWhy, string>> = {
  demand: 'what the sport asks',
  symmetry: 'as the other side',
  wish: 'their wish',
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
  [from === '' ? '' : `from ${from}`, `version ${version}`, licence === '' ? 'no licence said' : licence]
    .filter((part) => part !== '')
    .join(', ');

export const lowerFirst = (words: string): string => `${words.charAt(0).toLowerCase()}${words.slice(1)}`;
