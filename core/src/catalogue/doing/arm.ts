import type { Doing } from './types.ts';

export const ARM_DOING: Readonly<Record<string, Doing>> = {
  'triceps-pin': { keeps: ['shoulder flexion'], held: 'forearm', muscles: ['triceps'], on: ['upper-arm'] },
  'biceps-pin': { nerves: ['arm'], keeps: ['shoulder extension'], held: 'forearm', muscles: ['biceps'], on: ['upper-arm'] },
  'forearm-pin': { strokes: 'away', held: 'hand', muscles: ['wrist-extensors', 'wrist-flexors'], on: ['forearm'] },
  'wrist-extensor-cr': { keeps: ['elbow extension'], held: 'hand', muscles: ['wrist-extensors'] },
  'wrist-flexor-cr': { keeps: ['elbow extension'], held: 'hand', muscles: ['wrist-flexors'], nerves: ['arm'] },
  'pronator-hold': { held: 'wrist', muscles: ['pronators', 'wrist-flexors'], on: ['forearm'] },
  'carpal-friction': { keeps: ['wrist movement'], held: 'hand', muscles: [], on: ['wrist'] },
  'palm-spread': { keeps: ['finger movement'], held: 'hand', muscles: ['hand-muscles'], on: ['hand'] },
  'finger-traction': { held: 'hand', pulls: 'hand', muscles: ['hand-muscles'] },
  'metacarpal-scissor': { keeps: ['finger movement'], held: 'hand', muscles: ['hand-muscles'] },
};
