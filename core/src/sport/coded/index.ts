import type { Sport } from '../types.ts';
import { ARMS } from './arms.ts';
import { ENDURANCE } from './endurance.ts';
import { FLOOR } from './floor.ts';

/** The sports that ship, by name; the last two stand for none and for one that is not here. Everything in them that names no source is common practice. */
export const SPORTS: readonly Sport[] = [
  ...[...ENDURANCE, ...ARMS, ...FLOOR].filter(({ standsFor }) => !standsFor).sort((a, b) => (a.name < b.name ? -1 : 1)),
  ...FLOOR.filter(({ standsFor }) => standsFor !== undefined),
];
