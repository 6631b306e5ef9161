import type { Doing } from './types.ts';

const CALF = ['gastrocnemius', 'soleus'] as const;
const PULL = { held: 'foot', pulls: 'ankle', muscles: [] } as const;

export const FOOT_DOING: Readonly<Record<string, Doing>> = {
  'ankle-back-glide': { held: 'foot', muscles: ['soleus'], on: ['ankle'] },
  'talocrural-traction': PULL,
  'talocrural-open-close': PULL,
  'talocrural-traction-bend': PULL,
  'ankle-circles': {
    ...PULL,
    moves: ['ankle plantar flexion', 'foot turned in', 'foot turned out', 'hip internal rotation', 'hip external rotation'],
  },
  'midfoot-turn': { moves: ['foot turned in', 'foot turned out'], held: 'foot', muscles: ['sole'], on: ['foot'], kind: 'point' },
  'heel-squeeze-roll': {
    keeps: ['heel and midfoot movement', 'foot turned in', 'foot turned out'],
    held: 'foot',
    muscles: ['sole'],
    on: ['foot'],
    kind: 'broad',
  },
  'metatarsal-scissor': { keeps: ['heel and midfoot movement'], held: 'foot', muscles: ['sole'] },
  'arch-spring': { keeps: ['heel and midfoot movement'], held: 'foot', muscles: ['sole'] },
  'ball-rounding': { keeps: ['toe movement'], held: 'foot', muscles: ['sole'] },
  'toe-rotation': { held: 'foot', pulls: 'foot', muscles: ['sole'] },
  'sole-pin': { moves: ['ankle dorsiflexion'], held: 'foot', muscles: ['sole'], on: ['foot'] },
  'opposing-wave': { keeps: ['heel and midfoot movement'], held: 'foot', muscles: ['sole'] },
  'post-op-fluid': { muscles: CALF, on: ['calf', 'shin'], kind: 'broad' },
  'post-op-turns': {
    moves: ['ankle plantar flexion', 'foot turned in', 'foot turned out'],
    held: 'foot',
    muscles: ['tibialis-front', 'fibulars'],
  },
  'post-op-calf': { held: 'foot', muscles: CALF },
  'post-op-toes': { held: 'foot', muscles: ['sole', 'tibialis-front', 'tibialis-back'] },
  'calf-pin': { held: 'foot', muscles: CALF, on: ['calf'] },
  'calf-cross-friction': { muscles: CALF, on: ['calf'], kind: 'friction' },
  'calf-point-holds': { muscles: CALF, on: ['calf'], kind: 'point' },
  'calf-supine': { keeps: ['knee extension'], held: 'foot', muscles: CALF, nerves: ['leg-back'] },
  'soleus-prone': { held: 'foot', muscles: ['soleus', 'tibialis-back'], postures: { 'knee flexion': 90 } },
  'soleus-lunge': { moves: ['knee flexion'], held: 'low-back', muscles: ['soleus'], weight: true },
  'shin-supine': { moves: ['foot turned in'], held: 'foot', muscles: ['tibialis-front', 'fibulars'] },
};
