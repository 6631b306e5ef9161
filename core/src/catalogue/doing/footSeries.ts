import type { Doing } from './types.ts';

export const FOOT_SERIES_DOING: Readonly<Record<string, Doing>> = {
  'calf-wring': { muscles: ['gastrocnemius', 'soleus'], on: ['calf'], kind: 'broad' },
  'shin-pin': { moves: ['foot turned in'], held: 'foot', muscles: ['tibialis-front', 'fibulars'], on: ['shin'], kind: 'point' },
  'sole-stick': { strokes: 'away', muscles: ['sole'], on: ['foot'], kind: 'broad' },
  'sole-lean-both': { moves: ['ankle dorsiflexion'], held: 'foot', muscles: ['sole', 'back-extensors'] },
  'lower-leg-warm': { muscles: ['tibialis-front', 'gastrocnemius', 'fibulars'], on: ['shin', 'calf', 'ankle', 'foot'], kind: 'broad' },
  'sole-straight-press': { muscles: ['sole'], on: ['foot'], kind: 'broad' },
  'ankle-loosening': { moves: ['heel and midfoot movement'], held: 'foot', muscles: ['tibialis-front', 'fibulars'] },
  'foot-rounds': { strokes: 'away', moves: ['heel and midfoot movement'], held: 'foot', muscles: ['sole'] },
  'foot-gap-walk': { muscles: ['sole', 'tibialis-front'], on: ['foot', 'ankle'], kind: 'point' },
  'foot-shake': { moves: ['heel and midfoot movement'], held: 'foot', muscles: [] },
};
