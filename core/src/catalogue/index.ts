import { ENTRIES } from './entries.ts';
import type { Entry } from './types.ts';

export type { Entry } from './types.ts';
export { ENTRIES } from './entries.ts';

/**
 * The catalogue entry with this id, or undefined.
 * @example findEntry('rectus-femoris-prone').target // → 'rectus femoris'
 */
export function findEntry(id: string): Entry | undefined {
  return ENTRIES.find((entry) => entry.id === id);
}

/**
 * Entries that lengthen what limits a motion, in catalogue order.
 * @example entriesFor('straight-leg-raise')[0].id // → 'hamstring-heel-on-shoulder'
 */
export function entriesFor(motionId: string): Entry[] {
  return ENTRIES.filter((entry) => entry.motionId === motionId);
}
