import type { Scene } from '../scene.ts';
import { holds, press, prone, supine, works } from './make.ts';
import { SUPINE, SUPINE_ABOVE, PRONE, PRONE_ABOVE } from './poses.ts';

export const HIP_WORK: Readonly<Record<string, Scene>> = {
  'hip-compress-comfort': supine(
    'side',
    { ...SUPINE, hip: 84, knee: 92, hipOut: 14, ankle: -10 },
    { hip: 40, knee: 60 },
    {
      muscles: ['iliopsoas'],
      hands: [works('palm', ['thigh', 0.98, 0], { to: 'up' })],
      marks: [
        { kind: 'sink', at: ['thigh', 0.7, 0] },
        { kind: 'joint', at: ['thigh', 0, 90] },
      ],
    },
  ),
  'gluteal-elbow-line': prone('back', PRONE_ABOVE, null, {
    frame: ['pelvis', 'thigh', 'other.thigh'],
    muscles: ['gluteus-medius', 'gluteus-minimus'],
    hands: [works('elbow', ['pelvis', 0.3, 118], { to: 60, arm: 10 })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['pelvis', 0.5, 100],
          ['pelvis', 0.14, 120],
          ['pelvis', 0.5, 168],
        ],
      },
    ],
  }),
  'rotators-elbow-across': supine('front', { ...SUPINE_ABOVE, hip: 50, hipOut: -36, knee: 84, ankle: -10 }, null, {
    frame: ['pelvis', 'thigh', 'shank', 'other.thigh'],
    muscles: ['gluteus-medius', 'tensor'],
    hands: [works('elbow', ['pelvis', 0.6, 96], { to: 180, arm: 10 }), holds('palm', ['thigh', 0.9, 40], { to: 100 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['pelvis', 0.3, 76],
          ['pelvis', 0.7, 92],
          ['thigh', 0.1, 92],
        ],
      },
    ],
  }),
  'hip-roll-over-foot': supine('side', { ...SUPINE, hip: 58, knee: 112, ankle: 20 }, null, {
    on: 'floor',
    muscles: ['gluteus-maximus'],
    hands: [works('cup', ['thigh', 0.96, 0], { to: 'up' })],
    marks: [{ kind: 'rock', at: ['thigh', 1, 0], deg: 0, radius: 12 }],
  }),
  'gluteus-maximus-reset': prone(
    'side',
    { ...PRONE, hip: -14, knee: 40, ankle: -30 },
    { hip: 0, knee: 20 },
    {
      muscles: ['gluteus-maximus'],
      hands: [holds('elbow', ['pelvis', 0.6, 180], { arm: 10 }), works('cup', ['thigh', 0.86, 0], { to: 'up' })],
      marks: [press(['thigh', 0.6, 180])],
    },
  ),
  'hip-shake-roll': supine('front', { ...SUPINE_ABOVE, hipIn: 16 }, null, {
    frame: ['pelvis', 'thigh', 'shank', 'foot', 'other.thigh'],
    muscles: ['iliopsoas'],
    hands: [works('palm', ['thigh', 0.4, 0], { to: 100 }), works('grip', ['shank', 0.9, 0], { to: 90 })],
    marks: [{ kind: 'rock', at: ['foot', 0.5, 0], deg: 0, radius: 12 }],
  }),
};
