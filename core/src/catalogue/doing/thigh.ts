import type { Doing } from './types.ts';

const QUADRICEPS = ['rectus-femoris', 'vasti'] as const;

export const THIGH_DOING: Readonly<Record<string, Doing>> = {
  'rectus-femoris-prone': { moves: ['trunk extension'], held: 'lower leg', muscles: QUADRICEPS, nerves: ['leg-front'] },
  'rectus-femoris-pin': { keeps: ['hip extension'], held: 'lower leg', muscles: QUADRICEPS, on: ['thigh-front'], nerves: ['leg-front'] },
  'rectus-femoris-table-side': {
    otherLimb: { 'hip flexion': 110, 'knee flexion': 110 },
    held: 'lower leg',
    muscles: ['rectus-femoris', 'iliopsoas'],
    nerves: ['leg-front'],
  },
  'quad-glide-partial': {
    strokes: 'away',
    moves: ['hip flexion', 'hip internal rotation', 'hip external rotation', 'knee twist'],
    held: 'lower leg',
    muscles: QUADRICEPS,
    on: ['thigh-front'],
  },
  'quad-glide-full': {
    strokes: 'away',
    moves: ['hip flexion', 'hip internal rotation', 'hip external rotation', 'knee twist'],
    held: 'lower leg',
    muscles: QUADRICEPS,
    on: ['thigh-front'],
  },
  'hamstring-bent-shoulder': { moves: ['knee extension'], held: 'lower leg', muscles: ['hamstrings'], nerves: ['leg-back'] },
  'hamstring-heel-on-shoulder': { moves: ['knee extension'], held: 'lower leg', muscles: ['hamstrings'], nerves: ['leg-back'] },
  'hamstring-ninety': {
    moves: ['straight-leg raise'],
    held: 'lower leg',
    muscles: ['hamstrings'],
    nerves: ['leg-back'],
    postures: { 'hip flexion': 90 },
  },
  'vasti-supine': { moves: ['hip flexion'], held: 'lower leg', muscles: ['vasti'], postures: { 'hip flexion': 100 } },
  'quadriceps-heel-to-buttock': {
    moves: ['hip extension', 'trunk extension'],
    held: 'lower leg',
    muscles: QUADRICEPS,
    nerves: ['leg-front'],
  },
  'patella-glides': { keeps: ['knee extension'], muscles: QUADRICEPS, on: ['knee'], kind: 'point' },
  'adductor-compression': { keeps: ['hip abduction'], muscles: ['adductors'], on: ['thigh-inner'] },
  'line-press-inside': {
    keeps: ['hip abduction'],
    muscles: ['adductors', 'gastrocnemius', 'soleus'],
    on: ['thigh-inner', 'calf', 'knee'],
    kind: 'broad',
  },
  'line-press-outside': { muscles: ['tensor', 'vasti', 'fibulars'], on: ['thigh-front', 'hip', 'shin', 'knee'], kind: 'broad' },
};
