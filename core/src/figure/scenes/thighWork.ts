import type { Scene } from '../scene.ts';
import { holds, prone, sideLying, supine, works } from './make.ts';
import { SUPINE, SUPINE_ABOVE, PRONE, SIDE_LYING } from './poses.ts';

export const THIGH_WORK: Readonly<Record<string, Scene>> = {
  'thigh-draw-bent': supine('side', { ...SUPINE, hip: 54, knee: 106, ankle: 30 }, null, {
    on: 'floor',
    muscles: ['gluteus-maximus'],
    hands: [works('grip', ['thigh', 0.7, 90], { to: 150, from: 330 })],
    marks: [{ kind: 'pull', at: ['thigh', 0.96, 0], deg: 30 }],
  }),
  'quad-warm-ladder': supine('side', { ...SUPINE, hip: 10, knee: 14 }, null, {
    frame: ['pelvis', 'thigh', 'shank'],
    muscles: ['vasti', 'rectus-femoris'],
    hands: [works('palm', ['thigh', 0.7, 0], { to: 'up' }), works('heel', ['thigh', 0.4, 0], { to: 'up' })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['thigh', 0.9, 0],
          ['thigh', 0.5, 0],
          ['thigh', 0.14, 0],
        ],
      },
    ],
  }),
  'leg-forearm-sweep': supine('front', SUPINE_ABOVE, null, {
    frame: ['pelvis', 'thigh', 'shank', 'foot', 'other.thigh'],
    muscles: ['vasti', 'tibialis-front'],
    hands: [works('forearm', ['thigh', 0.5, 10], { to: 180, arm: 10 }), works('forearm', ['shank', 0.4, 20], { to: 180, arm: 10 })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['shank', 0.9, 10],
          ['shank', 0.2, 20],
          ['thigh', 0.3, 20],
        ],
      },
    ],
  }),
  'leg-stick': supine('side', { ...SUPINE, hip: 16, knee: 22 }, null, {
    frame: ['pelvis', 'thigh', 'shank', 'foot'],
    muscles: ['rectus-femoris', 'tibialis-front'],
    hands: [works('stick', ['thigh', 0.5, 0], {})],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['thigh', 0.2, 0],
          ['thigh', 0.86, 0],
        ],
      },
    ],
  }),
  'hamstring-stick': prone('side', { ...PRONE, knee: 12 }, null, {
    frame: ['pelvis', 'thigh', 'shank'],
    muscles: ['hamstrings'],
    hands: [works('stick', ['thigh', 0.5, 180], {})],
    marks: [
      {
        kind: 'points',
        at: [
          ['thigh', 0.2, 180],
          ['thigh', 0.76, 180],
        ],
      },
    ],
    props: [{ kind: 'roll', under: ['shank', 0.86, 0], size: 5 }],
  }),
  'thigh-foot-press': supine('front', { ...SUPINE_ABOVE, hipOut: 34 }, null, {
    on: 'floor',
    frame: ['pelvis', 'thigh', 'shank', 'foot', 'other.thigh', 'other.shank'],
    muscles: ['adductors'],
    hands: [works('foot', ['thigh', 0.5, -70], { to: 60 }), holds('grip', ['shank', 0.94, 0], { to: 90 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['thigh', 0.2, -70],
          ['thigh', 0.8, -70],
        ],
      },
    ],
  }),
  'thigh-foot-walk': supine('front', { ...SUPINE_ABOVE, hipOut: 28, hip: 20, knee: 30 }, null, {
    on: 'floor',
    frame: ['pelvis', 'thigh', 'shank', 'foot', 'other.thigh'],
    muscles: ['adductors'],
    hands: [works('foot', ['thigh', 0.34, -70], { to: 50 }), works('foot', ['thigh', 0.7, -70], { to: 50 })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['thigh', 0.9, -60],
          ['thigh', 0.2, -60],
        ],
      },
    ],
  }),
  'outer-thigh-draw': supine('front', { ...SUPINE_ABOVE, hip: 46, hipOut: 40, knee: 90 }, null, {
    on: 'floor',
    frame: ['pelvis', 'thigh', 'shank', 'other.thigh'],
    muscles: ['tensor'],
    hands: [works('cup', ['thigh', 0.5, 80], { to: 100 })],
    marks: [{ kind: 'pull', at: ['thigh', 0.5, 60], deg: 60 }],
  }),
  'thigh-press-foot-flexed': supine(
    'side',
    { ...SUPINE, hip: 50, knee: 58, ankle: 16 },
    { ankle: -16 },
    {
      on: 'floor',
      muscles: ['gastrocnemius'],
      hands: [works('forearm', ['foot', 0.7, 180], { to: 'up', arm: 10 }), works('palm', ['thigh', 0.6, 0], { to: 'up' })],
      marks: [{ kind: 'sink', at: ['thigh', 0.4, 0] }],
    },
  ),
  'band-push-pull': supine('front', { ...SUPINE_ABOVE, hip: 10 }, null, {
    frame: ['pelvis', 'thigh', 'shank', 'other.thigh'],
    muscles: ['tensor'],
    hands: [works('palm', ['thigh', 0.4, 70], { to: 100 }), works('palm', ['thigh', 0.66, 70], { to: 280 })],
    marks: [{ kind: 'scissor', at: ['thigh', 0.86, 40], deg: 0 }],
  }),
  'quad-glide-outer': supine(
    'side',
    { ...SUPINE, hip: 50, knee: 104, ankle: 20 },
    { hip: 20, knee: 40 },
    {
      muscles: ['vasti'],
      hands: [works('forearm', ['thigh', 0.5, 70], { to: 180, arm: 10 }), holds('cup', ['shank', 0.9, 0], { to: 'up' })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['thigh', 0.1, 80],
            ['thigh', 0.5, 80],
            ['thigh', 0.9, 70],
          ],
        },
      ],
      mover: 'both',
    },
  ),
  'quad-glide-inner': sideLying(
    'front',
    { ...SIDE_LYING, hip: 30, knee: 84 },
    { hip: 20, knee: 30 },
    {
      muscles: ['vasti'],
      hands: [works('palm', ['thigh', 0.5, -30], { to: 180 }), holds('cup', ['shank', 0.7, 0], { to: 'up' })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['thigh', 0.2, -30],
            ['thigh', 0.8, -20],
          ],
        },
      ],
      mover: 'both',
    },
  ),
};
