import type { Doing } from './types.ts';

export const CLOSING_DOING: Readonly<Record<string, Doing>> = {
  'shake-down': {
    keeps: ['hip flexion', 'hip internal rotation', 'hip external rotation', 'knee twist'],
    held: 'ankle',
    pulls: 'hip',
    muscles: [],
  },
  'balance-press': { muscles: [], on: ['shoulder', 'pelvis'], kind: 'broad', squeezes: ['ribs'] },
  'still-hold': { muscles: [] },
  percussion: {
    muscles: ['back-extensors', 'hamstrings'],
    on: ['upper-back', 'thigh-back'],
    kind: 'percussion',
    squeezes: ['spine', 'ribs'],
  },
  'home-calf-release': { held: 'low-back', muscles: ['gastrocnemius', 'soleus'], on: ['calf'], weight: true },
  'home-wall-sit': { held: 'low-back', moves: ['hip flexion'], muscles: ['vasti', 'rectus-femoris', 'gluteus-maximus'], weight: true },
  'home-hot-water': { keeps: ['ankle plantar flexion', 'ankle dorsiflexion'], muscles: [], heat: true },
  'home-mobility-line': {
    goes: { 'trunk-rotation': 'same' },
    moves: ['neck rotation', 'neck side-bend', 'trunk side-bend', 'hip flexion', 'ankle dorsiflexion'],
    muscles: [],
    weight: true,
  },
  'home-front-of-shin': { held: 'foot', muscles: ['tibialis-front'], weight: true },
  'home-bridge': { held: 'low-back', moves: ['hip extension'], muscles: ['gluteus-maximus', 'hamstrings'], weight: true },
  'home-ball-squeeze': { muscles: ['adductors'] },
  'home-knee-opening': { muscles: ['gluteus-medius', 'deep-rotators'] },
  'home-neck-desk': { goes: { 'neck-side-bend': 'opposite', 'neck-rotation': 'opposite' }, muscles: ['upper-trapezius', 'scalenes'] },
  'home-chest-doorway': { held: 'elbow', muscles: ['pectoralis-major', 'pectoralis-minor'] },
  'home-breathing': { muscles: [] },
};
