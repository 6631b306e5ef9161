import type { Muscle } from '../../body/index.ts';
import type { Demand, EventKind, LoadKind, OnSide } from '../types.ts';

/** A demand without a source: common practice, recalled from memory. */
export const asks = (motionId: string, value: number, why: string, on: OnSide = 'both', disciplines?: readonly string[]): Demand => ({
  motionId,
  value,
  on,
  sure: 'common practice',
  why,
  ...(disciplines ? { disciplines } : {}),
});

export const LEGS: readonly Muscle[] = ['gluteus-maximus', 'vasti', 'rectus-femoris', 'hamstrings', 'gastrocnemius', 'soleus'];
export const SHOULDERS: readonly Muscle[] = ['latissimus', 'deltoid', 'pectoralis-major', 'cuff-back', 'subscapularis', 'triceps'];
export const TRUNK: readonly Muscle[] = ['back-extensors', 'abdominals', 'obliques', 'quadratus'];
const PULLING: readonly Muscle[] = ['latissimus', 'rhomboids', 'biceps', 'back-extensors', 'wrist-flexors'];

/** What nearly every athlete trains besides the sport itself. */
export const GYM: readonly LoadKind[] = [
  { id: 'strength', name: 'Strength', counts: 'lifts', muscles: [...LEGS, ...TRUNK, ...PULLING, 'pectoralis-major'] },
  { id: 'mobility', name: 'Mobility', muscles: [] },
];
export const EASY_RUN: LoadKind = { id: 'easy-run', name: 'Easy run', counts: 'metres', muscles: [...LEGS, 'tibialis-front'] };
export const PULLS = PULLING;

const event = (id: string, name: string, quietHoursBefore: number, gentleHoursAfter: number): EventKind => ({
  id,
  name,
  quietHoursBefore,
  gentleHoursAfter,
});
/** Hours are common practice: no long holds in the day before a start, gentle work for a day or two after. */
export const RACE = event('race', 'Race', 24, 24);
export const MATCH = event('match', 'Match', 24, 36);
export const MEET = event('meet', 'Meet', 24, 24);
export const TOURNAMENT = event('tournament', 'Tournament', 24, 48);
export const HEATS = event('heats-finals', 'Heats and finals', 24, 24);
export const REGATTA = event('regatta', 'Regatta', 24, 24);
export const LONG_RACE = event('long-race', 'Long race', 48, 72);
export const SHOW = event('show', 'Performance', 24, 24);
export const COMPETITION = event('competition', 'Competition', 24, 24);
export const FIGHT = event('fight', 'Bout', 48, 72);
