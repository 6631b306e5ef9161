import type { Doing } from './types.ts';

export const THIGH_WORK_DOING: Readonly<Record<string, Doing>> = {
  'thigh-draw-bent': { held: 'thigh', pulls: 'hip', muscles: ['gluteus-maximus'] },
  'quad-warm-ladder': { muscles: ['vasti', 'rectus-femoris'], on: ['thigh-front'], kind: 'broad' },
  'leg-forearm-sweep': {
    muscles: ['vasti', 'rectus-femoris', 'tibialis-front', 'fibulars', 'tensor'],
    on: ['thigh-front', 'shin', 'knee'],
    kind: 'broad',
  },
  'leg-stick': { strokes: 'both', muscles: ['rectus-femoris', 'vasti', 'tibialis-front'], on: ['thigh-front', 'shin'], kind: 'broad' },
  'hamstring-stick': { strokes: 'both', muscles: ['hamstrings'], on: ['thigh-back'], kind: 'broad' },
  'thigh-foot-press': {
    keeps: ['hip abduction'],
    held: 'ankle',
    muscles: ['hamstrings', 'adductors'],
    on: ['thigh-inner', 'thigh-back'],
    kind: 'broad',
  },
  'thigh-foot-walk': {
    strokes: 'both',
    keeps: ['hip abduction'],
    held: 'ankle',
    muscles: ['adductors', 'hamstrings'],
    on: ['thigh-inner'],
    kind: 'broad',
  },
  'outer-thigh-draw': { keeps: ['hip abduction'], held: 'thigh', muscles: ['tensor'], on: ['thigh-front', 'hip'], kind: 'broad' },
  'thigh-press-foot-flexed': {
    keeps: ['ankle dorsiflexion'],
    held: 'foot',
    muscles: ['gastrocnemius', 'soleus', 'vasti'],
    on: ['thigh-front'],
    kind: 'broad',
  },
  'band-push-pull': { muscles: ['tensor', 'adductors'], on: ['thigh-front', 'thigh-inner'], kind: 'broad' },
  'quad-glide-outer': { strokes: 'away', held: 'lower leg', muscles: ['vasti'], on: ['thigh-front'], kind: 'broad' },
  'quad-glide-inner': { strokes: 'away', held: 'lower leg', muscles: ['vasti', 'adductors'], on: ['thigh-inner'], kind: 'broad' },
};
