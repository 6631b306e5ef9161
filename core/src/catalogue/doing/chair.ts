import { away } from './away.ts';
import type { Doing } from './types.ts';

export const CHAIR_DOING: Readonly<Record<string, Doing>> = {
  'back-press-walk-seated': { muscles: ['back-extensors'], on: ['upper-back', 'low-back'], kind: 'broad', squeezes: ['ribs', 'spine'] },
  'both-shoulders-press': { goes: away('neck-side-bend'), muscles: ['upper-trapezius'], on: ['shoulder'], kind: 'broad' },
  'shoulder-top-front-hold': {
    goes: away('neck-side-bend'),
    muscles: ['upper-trapezius', 'pectoralis-major'],
    on: ['shoulder', 'chest'],
    kind: 'broad',
  },
  'blade-edge-trace': {
    instead: ['shoulder-blade movement', 'shoulder extension'],
    held: 'shoulder',
    muscles: ['rhomboids'],
    on: ['upper-back'],
    kind: 'point',
  },
  'elbow-arm-lever': {
    goes: away('neck-side-bend'),
    instead: ['shoulder extension'],
    held: 'hand',
    muscles: ['upper-trapezius'],
    on: ['shoulder'],
    kind: 'point',
  },
  'shoulder-press-arm-draw': { held: 'forearm', pulls: 'shoulder', muscles: ['latissimus', 'upper-trapezius'], on: ['shoulder'] },
  'shoulder-front-back-squeeze': { instead: ['shoulder-blade movement'], held: 'shoulder', muscles: ['pectoralis-major', 'deltoid'] },
};
