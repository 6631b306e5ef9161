import type { Scene } from '../scene.ts';
import { holds, sideLying, supine, works, HEAD, SHOULDERS } from './make.ts';
import { SUPINE_ABOVE, SIDE_LYING } from './poses.ts';

export const SHOULDER_POINTS: Readonly<Record<string, Scene>> = {
  'arm-warm-ladder': supine('crown', { ...SUPINE_ABOVE, sh: 70, plane: 0, elbow: 4 }, null, {
    frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
    muscles: ['biceps', 'wrist-flexors'],
    hands: [works('palm', ['forearm', 0.5, 0], { to: 'up' }), works('knuckles', ['upperArm', 0.5, 0], {})],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['forearm', 0.9, 20],
          ['forearm', 0.2, 20],
          ['upperArm', 0.2, 20],
        ],
      },
    ],
  }),
  'scapula-comfort': supine('crown', { ...SUPINE_ABOVE, sh: 90, plane: 118, elbow: 40 }, null, {
    frame: ['head', 'chest', 'upperArm', 'other.upperArm', 'forearm'],
    muscles: ['shoulder-blade'],
    hands: [works('fist', ['chest', 0.24, 110], { to: 200 }), holds('cup', ['forearm', 0.2, 90], { to: 200 })],
    marks: [{ kind: 'sink', at: ['chest', 0.34, 104] }],
  }),
  'biceps-groove': supine('crown', { ...SUPINE_ABOVE, sh: 18, plane: 0, elbow: 88 }, null, {
    frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
    muscles: ['biceps'],
    hands: [works('thumb', ['upperArm', 0.12, 10], { to: 60 }), holds('cup', ['forearm', 0.7, 90], { to: 200 })],
    marks: [{ kind: 'friction', at: ['upperArm', 0.16, 0], deg: 0 }],
  }),
  'flank-line-overhead': supine(
    'front',
    { ...SUPINE_ABOVE, sh: 150, plane: 0, elbow: 8 },
    { sh: 110 },
    {
      muscles: ['latissimus', 'obliques'],
      hands: [works('grip', ['upperArm', 0.8, 0], { to: 90 }), holds('palm', ['pelvis', 0.3, 60], { to: 250 })],
      marks: [{ kind: 'spread', at: ['waist', 0.5, 60], deg: 90 }],
    },
  ),
  'sternal-points': supine('front', SUPINE_ABOVE, null, {
    frame: ['head', 'chest', 'upperArm', 'other.upperArm'],
    muscles: ['intercostals'],
    hands: [works('fingers', ['chest', 0.3, 4], { to: 90 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['chest', 0.18, 6],
          ['chest', 0.3, 6],
          ['chest', 0.42, 6],
          ['chest', 0.54, 6],
        ],
      },
    ],
  }),
  'subclavius-line': sideLying('front', { ...SIDE_LYING, sh: 30, plane: -60 }, null, {
    frame: SHOULDERS,
    muscles: ['pectoralis-major'],
    hands: [works('fingers', ['chest', 0.07, 44], { to: 150 }), holds('cup', ['upperArm', 0.8, 90], { to: 'down' })],
    marks: [
      {
        kind: 'points',
        at: [
          ['chest', 0.05, 14],
          ['chest', 0.05, 40],
          ['chest', 0.05, 66],
        ],
      },
    ],
  }),
  'arm-on-waist': sideLying(
    'back',
    { ...SIDE_LYING, sh: 96, plane: 10, elbow: 6 },
    { sh: 70 },
    {
      frame: ['head', 'chest', 'pelvis', 'upperArm', 'forearm', 'hand'],
      muscles: ['latissimus'],
      hands: [works('palm', ['chest', 0.6, 100], { to: 'down' })],
      marks: [{ kind: 'pull', at: ['hand', 0.5, 90], deg: 90 }],
    },
  ),
  'blade-series': sideLying('back', { ...SIDE_LYING, girdle: 6 }, null, {
    frame: SHOULDERS,
    muscles: ['cuff-back', 'rhomboids'],
    hands: [holds('cup', ['upperArm', 0.06, 90], { to: 'down' }), works('hook', ['chest', 0.3, 150], { to: 60 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['chest', 0.26, 118],
          ['chest', 0.3, 158],
          ['chest', 0.12, 140],
        ],
      },
    ],
  }),
  'upper-trap-knuckles': supine(
    'front',
    { ...SUPINE_ABOVE, girdle: -10 },
    { girdle: 20 },
    {
      frame: HEAD,
      muscles: ['upper-trapezius'],
      hands: [works('cup', ['upperArm', 0.1, 60], { to: 80 }), holds('fist', ['chest', 0.04, 120], { to: -40, arm: 14, under: true })],
      marks: [{ kind: 'sink', at: ['neck', 0.2, 90] }],
    },
  ),
  'shoulder-elbow-push': supine('crown', { ...SUPINE_ABOVE, sh: 30, plane: 0, elbow: 96, girdle: 12 }, null, {
    frame: ['head', 'chest', 'upperArm', 'forearm', 'other.upperArm'],
    muscles: ['upper-trapezius'],
    hands: [works('palm', ['upperArm', 0.96, 90], { to: 'up' })],
    marks: [{ kind: 'rock', at: ['upperArm', 0.5, 90], deg: 90, radius: 12 }],
  }),
  'coracoid-attachments': supine('crown', { ...SUPINE_ABOVE, sh: 30, plane: 0, elbow: 40 }, null, {
    frame: ['head', 'chest', 'upperArm', 'other.upperArm'],
    muscles: ['pectoralis-minor'],
    hands: [works('fingers', ['chest', 0.14, 66], { to: 150 }), holds('cup', ['upperArm', 0.7, 90], { to: 'up' })],
    marks: [
      { kind: 'points', at: [['chest', 0.16, 62]] },
      { kind: 'friction', at: ['chest', 0.34, 50] },
    ],
  }),
  'cuff-back-strokes': sideLying('back', { ...SIDE_LYING, girdle: -4 }, null, {
    frame: SHOULDERS,
    muscles: ['cuff-back', 'supraspinatus'],
    hands: [works('thumb', ['chest', 0.26, 126], { to: 70 }), holds('palm', ['upperArm', 0.1, 20], { to: 'down' })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['chest', 0.26, 150],
          ['chest', 0.2, 110],
          ['upperArm', 0.06, 130],
        ],
      },
    ],
  }),
};
