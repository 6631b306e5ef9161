import type { Position } from '../body/index.ts';
import type { Entry, SetUp } from './types.ts';

/** The same name for lying on either side. */
const kindOf = (position: Position): Position => (position === 'side-lying right' ? 'side-lying left' : position);

/**
 * How an entry is set up in a position: its own words for it, or those of its usual one. Lying on a side is said once, for the worked side up.
 * @example setUpIn(findEntry('palm-spread'), 'seated upright').supports // → 'Forearm on the table'
 */
export function setUpIn(entry: Pick<Entry, 'positions' | 'places' | 'setUp' | 'supports' | 'hands'>, position: Position): Required<SetUp> {
  const { setUp, supports, hands } = entry;
  const own = entry.places?.[position] ?? entry.places?.[kindOf(position)];
  return { setUp, supports, hands, ...(position === entry.positions[0] ? {} : own) };
}
