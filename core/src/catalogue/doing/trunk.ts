import type { Doing } from './types.ts';

const FLANK = ['quadratus', 'obliques', 'back-extensors'] as const;
const LOW_BACK_ROLL = { 'lumbar-rotation': 'opposite' } as const;
/** The worked side opens: the trunk bends to the other one. */
const BENDS_AWAY = { 'trunk-side-bend': 'opposite', 'side-bend-slide': 'opposite' } as const;

export const TRUNK_DOING: Readonly<Record<string, Doing>> = {
  // Knees to one side is the chest to the other, seen from the pelvis.
  'trunk-rotation-supine': {
    goes: { ...LOW_BACK_ROLL, 'trunk-rotation': 'same' },
    keeps: ['hip flexion', 'hip across the midline'],
    held: 'thigh',
    muscles: ['obliques', 'back-extensors', 'gluteus-medius'],
    postures: { 'hip flexion': 90, 'knee flexion': 90 },
  },
  'side-lying-rotation-low': {
    goes: LOW_BACK_ROLL,
    keeps: ['hip flexion', 'hip across the midline'],
    held: 'pelvis',
    muscles: ['obliques', 'back-extensors', 'quadratus'],
    postures: { 'hip flexion': 80 },
  },
  'side-lying-rotation-chest': {
    goes: { 'trunk-rotation-lying': 'same', 'trunk-rotation': 'same' },
    moves: ['shoulder out and back', 'shoulder abduction'],
    held: 'shoulder',
    muscles: ['obliques', 'pectoralis-major', 'intercostals'],
    squeezes: ['ribs'],
  },
  'side-lying-rotation-both': {
    goes: { 'trunk-rotation-lying': 'same', 'trunk-rotation': 'same', ...LOW_BACK_ROLL },
    keeps: ['hip flexion', 'hip across the midline'],
    held: 'pelvis',
    muscles: ['obliques', 'back-extensors', 'intercostals'],
    squeezes: ['ribs'],
  },
  'side-lying-back-bow': {
    goes: BENDS_AWAY,
    moves: ['trunk extension', 'hip extension', 'shoulder flexion', 'shoulder extension'],
    held: 'lower leg',
    muscles: [...FLANK, 'iliopsoas', 'abdominals'],
    on: ['low-back'],
    kind: 'broad',
    squeezes: ['spine'],
  },
  'trunk-rotation-seated': { goes: { 'trunk-rotation': 'same' }, held: 'chest', muscles: ['obliques'], weight: true },
  'side-bend-seated': {
    goes: BENDS_AWAY,
    keeps: ['shoulder abduction', 'shoulder flexion'],
    held: 'upper arm',
    muscles: [...FLANK, 'latissimus'],
    weight: true,
  },
  'lumbar-forearm-sink': { muscles: ['back-extensors', 'quadratus'], on: ['low-back'], kind: 'broad', squeezes: ['spine'] },
  'rib-pelvis-spread': {
    goes: BENDS_AWAY,
    keeps: ['trunk side-bend'],
    muscles: FLANK,
    on: ['chest', 'pelvis'],
    kind: 'broad',
    squeezes: ['ribs'],
  },
  'quadratus-comfort': {
    goes: BENDS_AWAY,
    keeps: ['hip abduction', 'hip flexion'],
    held: 'thigh',
    muscles: ['quadratus'],
    on: ['low-back'],
    kind: 'point',
  },
  'quadratus-crossed': {
    goes: BENDS_AWAY,
    moves: ['hip across the midline', 'hip extension', 'shoulder flexion'],
    keeps: ['hip across the midline'],
    held: 'pelvis',
    muscles: [...FLANK, 'gluteus-medius', 'tensor'],
    on: ['chest', 'pelvis'],
    squeezes: ['ribs'],
  },
  'quadratus-reset': { goes: BENDS_AWAY, held: 'pelvis', muscles: ['quadratus'], on: ['low-back'] },
  'back-extensors-reach': {
    moves: ['straight-leg raise'],
    muscles: ['back-extensors', 'hamstrings'],
    contracts: ['back-extensors'],
    on: ['low-back'],
    nerves: ['leg-back'],
    weight: true,
  },
  'back-reach-long-sitting': {
    moves: ['straight-leg raise'],
    held: 'upper-back',
    muscles: ['back-extensors', 'hamstrings'],
    contracts: ['back-extensors'],
    on: ['low-back'],
    nerves: ['leg-back'],
    weight: true,
  },
  'pelvic-tilts': { keeps: ['trunk flexion', 'trunk extension'], muscles: ['abdominals', 'back-extensors'] },
  'low-back-rock': {
    goes: LOW_BACK_ROLL,
    keeps: ['trunk rotation', 'trunk flexion', 'hip flexion'],
    held: 'thigh',
    muscles: ['back-extensors'],
    postures: { 'hip flexion': 90, 'knee flexion': 90 },
  },
  'shoulder-roll': {
    goes: { 'trunk-rotation': 'same' },
    keeps: ['trunk rotation', 'neck rotation'],
    held: 'shoulder',
    muscles: ['back-extensors'],
    squeezes: ['ribs'],
  },
  'belly-rock': {
    goes: LOW_BACK_ROLL,
    keeps: ['trunk rotation'],
    muscles: ['abdominals', 'iliopsoas'],
    on: ['belly'],
    kind: 'broad',
    squeezes: ['belly'],
  },
};
