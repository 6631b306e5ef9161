import { away } from './away.ts';
import type { Doing } from './types.ts';

export const SHOULDER_POINTS_DOING: Readonly<Record<string, Doing>> = {
  'arm-warm-ladder': {
    muscles: ['biceps', 'wrist-flexors', 'wrist-extensors', 'pectoralis-major'],
    on: ['forearm', 'upper-arm', 'shoulder'],
    kind: 'broad',
  },
  'scapula-comfort': {
    instead: ['shoulder across the body', 'shoulder-blade movement'],
    held: 'elbow',
    muscles: ['subscapularis', 'rhomboids'],
    on: ['upper-back'],
  },
  'biceps-groove': {
    instead: ['shoulder external rotation, arm in', 'shoulder internal rotation'],
    held: 'forearm',
    muscles: ['biceps'],
    on: ['shoulder'],
    kind: 'friction',
  },
  'flank-line-overhead': { moves: ['trunk side-bend'], held: 'forearm', pulls: 'shoulder', muscles: ['triceps', 'latissimus', 'obliques'] },
  'sternal-points': { muscles: ['pectoralis-major', 'intercostals'], on: ['chest'], kind: 'point', squeezes: ['ribs'] },
  'subclavius-line': {
    keeps: ['shoulder extension'],
    held: 'forearm',
    muscles: ['pectoralis-major', 'pectoralis-minor'],
    on: ['chest'],
    kind: 'point',
  },
  'arm-on-waist': { held: 'hand', pulls: 'shoulder', muscles: ['latissimus', 'pectoralis-minor', 'deltoid'], on: ['armpit', 'shoulder'] },
  'blade-series': {
    keeps: ['shoulder-blade movement'],
    held: 'shoulder',
    muscles: ['cuff-back', 'rhomboids', 'supraspinatus', 'levator'],
    on: ['upper-back', 'shoulder'],
    kind: 'point',
  },
  'upper-trap-knuckles': {
    goes: away('neck-side-bend'),
    instead: ['shoulder-blade movement'],
    held: 'shoulder',
    muscles: ['upper-trapezius'],
    on: ['neck', 'shoulder'],
  },
  'shoulder-elbow-push': {
    goes: away('neck-side-bend'),
    instead: ['shoulder-blade movement'],
    held: 'elbow',
    muscles: ['upper-trapezius'],
  },
  'coracoid-attachments': { muscles: ['pectoralis-minor', 'biceps'], on: ['chest', 'shoulder'], kind: 'point' },
  'cuff-back-strokes': { muscles: ['supraspinatus', 'cuff-back'], on: ['upper-back', 'shoulder'], kind: 'friction' },
};
