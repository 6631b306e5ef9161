import type { Doing } from './types.ts';

export const AFTER_OPERATION_DOING: Readonly<Record<string, Doing>> = {
  'post-op-sole': { muscles: ['sole', 'tibialis-back', 'fibulars'], on: ['foot'], kind: 'friction' },
  'post-op-scar': { moves: ['foot turned out'], held: 'foot', muscles: ['fibulars'], on: ['shin', 'ankle'], kind: 'friction' },
  'post-op-shin-lines': { moves: ['foot turned in'], held: 'foot', muscles: ['tibialis-front', 'fibulars'], on: ['shin'], kind: 'broad' },
  'post-op-front-hollow': { moves: ['ankle plantar flexion'], held: 'foot', muscles: ['tibialis-front'], on: ['ankle'], kind: 'point' },
};
