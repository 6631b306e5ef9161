import type { Joints } from '../joints.ts';
import type { Scene } from '../scene.ts';
import { holds, prone, supine, works, LOWER } from './make.ts';
import { SUPINE, SUPINE_ABOVE, PRONE, twice } from './poses.ts';

/** From the soles. */
const FEET: Joints = { ...twice({ ankle: 0 }) };

export const FOOT_SERIES: Readonly<Record<string, Scene>> = {
  'calf-wring': supine('side', { ...SUPINE, hip: 50, knee: 100, ankle: 36 }, null, {
    frame: ['thigh', 'shank', 'foot'],
    muscles: ['gastrocnemius'],
    hands: [works('grip', ['shank', 0.36, 180], { to: 200 }), works('grip', ['shank', 0.6, 180], { to: 200 })],
    marks: [{ kind: 'scissor', at: ['shank', 0.5, 0], deg: 90 }],
  }),
  'shin-pin': supine(
    'side',
    { ...SUPINE, ankle: -44 },
    { ankle: 0 },
    {
      frame: ['shank', 'foot'],
      muscles: ['tibialis-front'],
      hands: [holds('thumb', ['shank', 0.3, 30], {}), works('grip', ['foot', 0.7, 0], { to: 'up' })],
      marks: [
        {
          kind: 'points',
          at: [
            ['shank', 0.2, 30],
            ['shank', 0.5, 30],
            ['shank', 0.76, 30],
          ],
        },
      ],
    },
  ),
  'sole-stick': prone('side', { ...PRONE, knee: 26, ankle: -10 }, null, {
    frame: ['shank', 'foot'],
    muscles: ['sole'],
    hands: [works('stick', ['foot', 0.4, 180], {})],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['foot', 0.1, 180],
          ['foot', 0.8, 180],
        ],
      },
    ],
    props: [{ kind: 'bolster', under: ['shank', 0.6, 0], size: 10 }],
  }),
  'sole-lean-both': supine('side', { ...SUPINE, hip: 30, knee: 40, ankle: 8, 'other.hip': 30, 'other.knee': 40, 'other.ankle': 8 }, null, {
    on: 'floor',
    muscles: ['sole'],
    hands: [works('palm', ['foot', 0.5, 180], { to: 'up' })],
    marks: [{ kind: 'rock', at: ['pelvis', 0.3, 0], deg: 0, radius: 12 }],
  }),
  'lower-leg-warm': supine('side', { ...SUPINE, ankle: -18 }, null, {
    frame: LOWER,
    muscles: ['tibialis-front'],
    hands: [works('palm', ['shank', 0.8, 0], { to: 'up' }), works('palm', ['shank', 0.5, 30], { to: 'up' })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['foot', 0.4, 0],
          ['shank', 0.7, 20],
          ['shank', 0.1, 20],
        ],
      },
    ],
  }),
  'sole-straight-press': supine('feet', FEET, null, {
    frame: ['foot'],
    without: ['body', 'arm', 'other arm', 'other leg'],
    muscles: ['sole'],
    hands: [works('knuckles', ['foot', 0.4, 180], { to: 90 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['foot', 0.4, 140],
          ['foot', 0.4, 180],
          ['foot', 0.4, -140],
        ],
      },
    ],
  }),
  'ankle-loosening': supine('feet', FEET, null, {
    frame: ['shank', 'foot'],
    without: ['arm', 'other arm', 'other leg'],
    muscles: ['heel'],
    hands: [works('palm', ['shank', 0.94, 80], { to: 100 }), works('palm', ['shank', 0.94, -80], { to: 80 })],
    marks: [{ kind: 'rock', at: ['foot', 0.5, 180], deg: 0, radius: 8 }],
  }),
  'foot-rounds': supine('side', { ...SUPINE, ankle: -16 }, null, {
    frame: ['foot', 'shank'],
    without: ['other leg', 'arm', 'other arm'],
    muscles: ['instep'],
    hands: [works('palm', ['foot', 0.6, 0], { to: 'up' }), works('palm', ['foot', 0.6, 180], { to: 'up' })],
    marks: [{ kind: 'circle', at: ['foot', 0.6, 90], radius: 6 }],
  }),
  'foot-gap-walk': supine('front', { ...SUPINE_ABOVE, ankle: -40 }, null, {
    frame: ['foot', 'shank'],
    muscles: ['instep'],
    hands: [works('fingers', ['foot', 0.5, 10], { to: 100 }), works('fingers', ['foot', 0.5, -20], { to: 80 })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['foot', 0.8, 0],
          ['foot', 0.3, 0],
        ],
      },
    ],
  }),
  'foot-shake': supine('feet', FEET, null, {
    frame: ['shank', 'foot'],
    without: ['arm', 'other arm', 'other leg'],
    hands: [works('palm', ['foot', 0.4, 90], { to: 100 }), works('palm', ['foot', 0.4, -90], { to: 80 })],
    marks: [{ kind: 'rock', at: ['foot', 0.8, 180], deg: 0, radius: 12 }],
  }),
};
