import { away } from './away.ts';
import type { Doing } from './types.ts';

export const NECK_POINTS_DOING: Readonly<Record<string, Doing>> = {
  'neck-thumb-stretch': {
    goes: away('neck-side-bend'),
    held: 'head',
    muscles: ['upper-trapezius', 'levator', 'neck-extensors'],
    on: ['neck'],
    kind: 'point',
  },
  'scalene-collarbone': { goes: away('neck-side-bend'), held: 'head', muscles: ['scalenes', 'sternomastoid'], on: ['neck', 'chest'] },
  'neck-traction-pillow': { goes: { 'neck-rotation-supine': 'same' }, held: 'head', pulls: 'neck', muscles: ['neck-extensors'] },
  'neck-lift-seated': { held: 'head', pulls: 'neck', muscles: ['neck-extensors'] },
  'splenius-reset': { goes: away('neck-rotation-bent'), held: 'head', muscles: ['neck-extensors'], on: ['neck'], kind: 'point' },
  'levator-shoulder-up': {
    goes: away('neck-rotation-bent'),
    instead: ['shoulder-blade movement'],
    muscles: ['levator'],
    on: ['upper-back', 'neck'],
    kind: 'point',
  },
};
