import type { Joints } from '../joints.ts';
import type { Scene } from '../scene.ts';
import { holds, LOWER, press, prone, supine, upright, works } from './make.ts';
import { PRONE, PRONE_ABOVE, STANDING, SUPINE, SUPINE_ABOVE, twice } from './poses.ts';

const calf = ['thigh', 'shank', 'foot'] as const;
const FEET: Joints = { ...twice({ ankle: 0 }) };
const soleView = { on: 'none', frame: ['foot'], without: ['body', 'arm', 'other arm', 'other leg'] } as const;
const heelOver = { edge: ['shank', 0.82, 180] } as const;

export const FOOT: Readonly<Record<string, Scene>> = {
  'ankle-back-glide': supine('side', { ...SUPINE, ankle: -6 }, null, {
    ...heelOver,
    frame: LOWER,
    hands: [works('edge', ['foot', 0.3, 0], { to: 'up', from: 80 }), holds('palm', ['shank', 0.8, 0], { to: 'up' })],
    marks: [
      { kind: 'joint', at: ['shank', 1, 90] },
      { kind: 'glide', at: ['foot', 0.26, 0], deg: 270 },
    ],
    props: [{ kind: 'roll', under: ['shank', 0.8, 180], size: 3 }],
  }),
  'talocrural-traction': supine('side', { ...SUPINE, ankle: -6 }, null, {
    ...heelOver,
    frame: LOWER,
    hands: [works('cup', ['foot', 0, 180], { to: 200, from: 350 }), works('grip', ['foot', 0.5, 0], { to: 'up', from: 20 })],
    marks: [
      { kind: 'joint', at: ['shank', 1, 90] },
      { kind: 'pull', at: ['shank', 0.62, 0] },
    ],
  }),
  'talocrural-open-close': supine('side', { ...SUPINE, ankle: -10 }, null, {
    ...heelOver,
    frame: LOWER,
    hands: [works('cup', ['foot', 0, 180], { to: 200, from: 350 }), works('grip', ['foot', 0.5, 0], { to: 'up', from: 20 })],
    marks: [
      { kind: 'joint', at: ['shank', 1, 90] },
      { kind: 'scissor', at: ['shank', 0.7, 0] },
    ],
  }),
  'talocrural-traction-bend': supine(
    'side',
    { ...SUPINE, ankle: 10 },
    { ankle: -28 },
    {
      ...heelOver,
      frame: LOWER,
      hands: [works('cup', ['foot', 0, 180], { to: 200, from: 350 }), works('palm', ['foot', 0.66, 180], { to: 'down' })],
      marks: [
        { kind: 'joint', at: ['shank', 1, 90] },
        { kind: 'pull', at: ['shank', 0.62, 0] },
      ],
    },
  ),
  'ankle-circles': supine('side', { ...SUPINE, ankle: -10 }, null, {
    ...heelOver,
    frame: LOWER,
    hands: [works('cup', ['foot', 0, 180], { to: 200, from: 350 }), works('grip', ['foot', 0.7, 0], { to: 'up', from: 40 })],
    marks: [{ kind: 'circle', at: ['foot', 0.9, 90], radius: 9 }],
  }),
  'midfoot-turn': supine(
    'front',
    { ...SUPINE_ABOVE, ankle: -62, soleIn: 16 },
    { soleIn: -12 },
    {
      frame: ['foot', 'shank'],
      hands: [holds('cup', ['foot', 0.16, 140], { to: 160 }), works('grip', ['foot', 0.7, 20], { to: 200 })],
      marks: [
        { kind: 'turn', at: ['foot', 0.7, 0], from: 130, to: 230, radius: 12 },
        { kind: 'joint', at: ['foot', 0.45, 0] },
      ],
      plainMove: true,
    },
  ),
  'heel-squeeze-roll': prone('back', { ...PRONE_ABOVE, ankle: -30 }, null, {
    frame: ['foot', 'shank'],
    muscles: ['heel'],
    hands: [works('palm', ['shank', 0.98, 90], { to: 0, from: 200 }), works('palm', ['shank', 0.98, -90], { to: 0, from: 160 })],
    marks: [{ kind: 'circle', at: ['foot', 0.1, 180], radius: 8 }],
  }),
  'metatarsal-scissor': supine('feet', FEET, null, {
    ...soleView,
    muscles: ['ball'],
    hands: [works('thumb', ['foot', 0.66, 160], { to: 10 }), works('thumb', ['foot', 0.66, -160], { to: 170, turned: true })],
    marks: [{ kind: 'scissor', at: ['foot', 0.62, 180] }],
  }),
  'arch-spring': supine('inside', { ...SUPINE, ankle: -8 }, null, {
    ...soleView,
    muscles: ['sole'],
    hands: [works('palm', ['foot', 0.04, 180], { to: 'down' }), works('palm', ['foot', 0.7, 180], { to: 'up' })],
    marks: [{ kind: 'spread', at: ['foot', 0.38, -90] }],
  }),
  'ball-rounding': supine('feet', FEET, null, {
    ...soleView,
    muscles: ['ball'],
    hands: [works('grip', ['foot', 0.7, 130], { to: 20 }), works('grip', ['foot', 0.7, -130], { to: 160, turned: true })],
    marks: [{ kind: 'rock', at: ['foot', 0.6, 180], deg: 270, radius: 8 }],
  }),
  'toe-rotation': supine('side', { ...SUPINE, ankle: -14, toes: 20 }, null, {
    frame: ['foot'],
    without: ['other leg', 'arm', 'other arm'],
    hands: [holds('cup', ['foot', 0.5, 180], { to: 'up' }), works('thumb', ['foot', 0.94, 0], { to: 200 })],
    marks: [{ kind: 'circle', at: ['foot', 1, 0], radius: 5 }],
  }),
  'sole-pin': prone(
    'side',
    { ...PRONE, knee: 40, ankle: 4, toes: 56 },
    { toes: -20 },
    {
      frame: ['foot', 'shank'],
      mover: 'both',
      muscles: ['sole'],
      hands: [holds('knuckles', ['foot', 0.4, 180], {}), works('fingers', ['foot', 0.7, 180], {})],
      marks: [
        {
          kind: 'points',
          at: [
            ['foot', 0.16, 180],
            ['foot', 0.55, 180],
          ],
        },
      ],
    },
  ),
  'opposing-wave': supine('side', { ...SUPINE, ankle: -20 }, null, {
    frame: ['foot', 'shank'],
    without: ['other leg', 'arm', 'other arm'],
    muscles: ['sole', 'instep'],
    hands: [works('palm', ['foot', 0.45, 0], { to: 'up' }), works('palm', ['foot', 0.4, 180], { to: 'up' })],
  }),
  'post-op-fluid': prone('side', PRONE, null, {
    frame: ['thigh', 'shank', 'foot'],
    muscles: ['gastrocnemius', 'tibialis-front'],
    hands: [works('palm', ['shank', 0.72, 180], { to: 'up' }), works('palm', ['shank', 0.34, 180], { to: 'up' })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['shank', 0.9, 120],
          ['shank', 0.5, 120],
          ['shank', 0.06, 140],
        ],
      },
    ],
    props: [{ kind: 'roll', under: ['shank', 0.9, 0], size: 8 }],
  }),
  'post-op-turns': supine(
    'side',
    { ...SUPINE, ankle: -2 },
    { ankle: -16 },
    {
      ...heelOver,
      frame: LOWER,
      mover: 'both',
      hands: [holds('palm', ['shank', 0.6, 0], { to: 'down' }), works('palm', ['foot', 0.6, 180], { to: 'down' })],
      marks: [{ kind: 'joint', at: ['shank', 1, 90] }],
    },
  ),
  'post-op-calf': prone('side', { ...PRONE, knee: 8, ankle: -44 }, null, {
    frame: calf,
    mover: 'athlete',
    muscles: ['gastrocnemius', 'soleus'],
    hands: [works('thumb', ['shank', 0.56, 180], {})],
    marks: [press(['foot', 0.8, 180]), { kind: 'sink', at: ['shank', 0.42, 180] }],
    props: [{ kind: 'roll', under: ['shank', 0.86, 0], size: 6 }],
  }),
  'post-op-toes': supine('feet', FEET, null, {
    ...soleView,
    mover: 'athlete',
    hands: [holds('cup', ['foot', 0.1, 150], { to: 40 }), works('fingers', ['foot', 0.9, -150], { to: 170 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['foot', 0.4, 180],
          ['foot', 0.9, -130],
          ['foot', 0.86, 170],
        ],
      },
    ],
  }),
  'calf-pin': prone(
    'side',
    { ...PRONE, ankle: 12 },
    { ankle: -34 },
    {
      frame: calf,
      edge: ['shank', 0.86, 0],
      muscles: ['gastrocnemius'],
      hands: [holds('forearm', ['shank', 0.34, 180], { to: 'down' }), works('palm', ['foot', 0.7, 180], { to: 'down' })],
      marks: [
        {
          kind: 'points',
          at: [
            ['shank', 0.16, 180],
            ['shank', 0.56, 180],
          ],
        },
      ],
      mover: 'both',
    },
  ),
  'calf-cross-friction': prone('back', { ...PRONE_ABOVE, knee: 14 }, null, {
    frame: LOWER,
    muscles: ['gastrocnemius'],
    hands: [works('knuckles', ['shank', 0.3, 176], { to: 90 }), holds('grip', ['shank', 0.94, 180], { to: 120 })],
    marks: [{ kind: 'friction', at: ['shank', 0.42, 180] }],
  }),
  'calf-point-holds': prone('side', { ...PRONE, knee: 14, ankle: -50 }, null, {
    frame: LOWER,
    muscles: ['gastrocnemius', 'soleus'],
    hands: [works('knuckles', ['shank', 0.3, 180], {})],
    marks: [
      { kind: 'points', at: [['shank', 0.24, 180]] },
      { kind: 'sink', at: ['shank', 0.44, 180] },
    ],
    props: [{ kind: 'roll', under: ['shank', 0.9, 0], size: 5 }],
  }),
  'calf-supine': supine(
    'side',
    { ...SUPINE, ankle: 18 },
    { ankle: -22 },
    {
      ...heelOver,
      frame: calf,
      muscles: ['gastrocnemius'],
      hands: [works('cup', ['foot', 0.06, 180], { to: 'down', from: 300 }), works('forearm', ['foot', 0.72, 180], { to: 'up', arm: 10 })],
      marks: [press(['foot', 0.86, 180])],
    },
  ),
  'soleus-prone': prone(
    'side',
    { ...PRONE, knee: 90, ankle: 22 },
    { ankle: -16 },
    {
      frame: calf,
      muscles: ['soleus'],
      hands: [works('palm', ['foot', 0.66, 180], { to: 'down' }), holds('cup', ['shank', 0.5, 0], { to: 'up' })],
      marks: [press(['foot', 0.86, 180])],
    },
  ),
  'soleus-lunge': upright(
    'side',
    {
      ...STANDING,
      'other.hip': -32,
      'other.knee': 14,
      'other.ankle': 22,
      ...twice({ sh: 76, plane: 90, elbow: 14, wrist: -50, pron: 90 }),
      knee: 68,
      hip: 30,
      ankle: 38,
    },
    { hip: 48, ankle: 14, knee: 62 },
    {
      on: 'floor',
      anchor: 'shank',
      path: ['thigh', 'shank'],
      muscles: ['soleus'],
      hands: [holds('cup', ['foot', 0.02, 150], { to: 270, from: 150 }), works('cup', ['shank', 0.04, 180], { to: 'up' })],
      marks: [press(['foot', 0.9, 0], 270)],
      props: [{ kind: 'wall', side: 'right', at: ['hand', 0.6, 0] }],
    },
  ),
  'shin-supine': supine(
    'side',
    { ...SUPINE, hip: 24, knee: 30, ankle: -56, toes: -16 },
    { ankle: -10, toes: 0 },
    {
      frame: calf,
      muscles: ['tibialis-front'],
      hands: [works('palm', ['foot', 0.55, 0], { to: 'up' }), holds('cup', ['foot', 0, 180], { to: 'up', from: 330 })],
      marks: [press(['foot', 0.8, 0])],
      props: [{ kind: 'bolster', under: ['thigh', 0.97, 180], size: 8 }],
    },
  ),
};
