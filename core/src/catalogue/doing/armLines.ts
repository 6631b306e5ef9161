import type { Doing } from './types.ts';

export const ARM_LINES_DOING: Readonly<Record<string, Doing>> = {
  'forearm-spread': { muscles: ['wrist-flexors', 'wrist-extensors'], on: ['forearm'], kind: 'broad' },
  'wrist-extensor-stroke-active': {
    strokes: 'away',
    moves: ['wrist extension'],
    muscles: ['wrist-extensors'],
    on: ['forearm'],
    kind: 'friction',
  },
  'upper-arm-deep': { muscles: ['biceps'], on: ['upper-arm'], kind: 'point' },
  'forearm-flexor-lines': { muscles: ['wrist-flexors'], on: ['forearm'], kind: 'point' },
};
