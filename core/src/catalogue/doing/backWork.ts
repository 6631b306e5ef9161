import type { Doing } from './types.ts';

export const BACK_WORK_DOING: Readonly<Record<string, Doing>> = {
  'quadratus-side-press': { goes: { 'side-bend-slide': 'opposite' }, muscles: ['quadratus'], on: ['low-back', 'hip'], kind: 'point' },
  'side-back-series': { muscles: ['back-extensors', 'quadratus'], on: ['low-back', 'upper-back'], kind: 'broad', squeezes: ['spine'] },
  'trunk-rotation-long-sitting': {
    goes: { 'trunk-rotation': 'opposite' },
    held: 'chest',
    muscles: ['obliques', 'back-extensors', 'quadratus'],
  },
  'hip-draw-lean': { goes: { 'lumbar-rotation': 'opposite' }, held: 'pelvis', muscles: ['back-extensors', 'obliques'] },
  'shoulder-figure-eight': { instead: ['shoulder-blade movement'], held: 'shoulder', muscles: ['upper-trapezius', 'rhomboids'] },
  'back-dry-prep': { muscles: ['back-extensors'], on: ['upper-back', 'low-back'], kind: 'broad', squeezes: ['ribs', 'spine'] },
  'spine-muscles-reach-thoracic': {
    goes: { 'trunk-rotation-lying': 'same' },
    keeps: ['shoulder flexion'],
    held: 'forearm',
    muscles: ['back-extensors'],
    on: ['upper-back'],
    kind: 'point',
  },
  'spine-muscles-reach-lumbar': {
    goes: { 'side-bend-slide': 'opposite' },
    keeps: ['shoulder flexion', 'trunk rotation'],
    held: 'chest',
    muscles: ['back-extensors', 'quadratus'],
    on: ['low-back'],
    kind: 'point',
  },
  'quadratus-three-points': {
    goes: { 'side-bend-slide': 'opposite' },
    moves: ['hip across the midline', 'shoulder flexion'],
    held: 'thigh',
    muscles: ['quadratus'],
    on: ['low-back'],
    kind: 'point',
  },
  'trunk-rotation-chest-supine': {
    goes: { 'trunk-rotation-lying': 'opposite', 'trunk-rotation': 'opposite' },
    held: 'shoulder',
    muscles: ['obliques', 'quadratus', 'back-extensors'],
  },
};
