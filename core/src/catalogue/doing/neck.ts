import { away } from './away.ts';
import type { Doing } from './types.ts';

const SIDE_BEND = ['upper-trapezius', 'scalenes', 'levator'] as const;

export const NECK_DOING: Readonly<Record<string, Doing>> = {
  'neck-side-bend-supine': { goes: away('neck-side-bend', 'neck-side-bend-supine'), held: 'head', muscles: SIDE_BEND },
  // The muscle turns the head to the other side: it is long when the nose goes to its own.
  'neck-turn-supine': { goes: { 'neck-rotation': 'same', 'neck-rotation-supine': 'same' }, held: 'head', muscles: ['sternomastoid'] },
  'neck-diagonal': {
    goes: { 'neck-rotation-bent': 'same', 'neck-side-bend': 'opposite' },
    held: 'head',
    muscles: ['upper-trapezius', 'neck-extensors'],
  },
  'neck-diagonal-levator': { goes: away('neck-rotation-bent', 'neck-side-bend'), held: 'head', muscles: ['levator'] },
  'neck-crossed-arm-lift': { goes: away('neck-rotation-bent'), held: 'head', muscles: ['neck-extensors', 'levator', 'upper-trapezius'] },
  'neck-traction': { goes: { 'neck-rotation-supine': 'same' }, held: 'head', pulls: 'neck', muscles: ['neck-extensors'] },
  'neck-traction-forearm': { goes: { 'neck-rotation-supine': 'same' }, held: 'head', pulls: 'neck', muscles: ['neck-extensors'] },
  'neck-traction-towel': { goes: { 'neck-rotation-supine': 'same' }, held: 'head', pulls: 'neck', muscles: ['neck-extensors'] },
  'skull-base-melt': { goes: { 'neck-rotation-bent': 'same' }, muscles: ['neck-extensors'], on: ['neck', 'head'] },
  'scalene-pin-move': {
    goes: { 'neck-side-bend': 'opposite', 'neck-rotation': 'same' },
    held: 'head',
    muscles: ['scalenes'],
    on: ['neck'],
  },
  'neck-side-bend-seated': { goes: away('neck-side-bend'), held: 'head', muscles: SIDE_BEND },
  'neck-pin-turn-seated': { goes: away('neck-rotation'), muscles: ['sternomastoid', 'scalenes'], on: ['neck'] },
  'neck-extension-table-end': { held: 'head', muscles: ['neck-flexors', 'sternomastoid', 'scalenes'], on: ['neck'], headDown: true },
  'neck-side-bend-antagonist': { goes: away('neck-side-bend'), muscles: SIDE_BEND },
  'neck-joint-mobilization': {
    goes: { 'neck-rotation-supine': 'same', 'neck-side-bend-supine': 'same' },
    held: 'head',
    muscles: ['neck-extensors'],
    on: ['neck'],
    squeezes: ['neck bones'],
  },
};
