import type { Joints } from '../joints.ts';
import type { Scene } from '../scene.ts';
import { HAND, holds, press, supine, upright, works } from './make.ts';
import { SEATED, SUPINE } from './poses.ts';

const LAID: Joints = { ...SEATED, sh: 24, plane: 88, elbow: 66, pron: 90 };
const STRAIGHT: Joints = { ...SEATED, sh: 66, plane: 88, elbow: 8, pron: 90 };
const alone = { on: 'none', without: ['other arm', 'legs'] } as const;
const onTop = { ...alone, props: [{ kind: 'top', under: ['forearm', 0.5, 0] }] } as const;

export const ARM: Readonly<Record<string, Scene>> = {
  'triceps-pin': supine(
    'side',
    { ...SUPINE, sh: 158, plane: 90, shIn: 0, pron: 0, elbow: 132 },
    { elbow: 60 },
    {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
      muscles: ['triceps'],
      hands: [holds('knuckles', ['upperArm', 0.45, 180], {}), works('grip', ['forearm', 0.9, 90], { to: 150 })],
      marks: [press(['forearm', 0.6, 180])],
    },
  ),
  'biceps-pin': supine(
    'side',
    { ...SUPINE, sh: 18, plane: 90, shIn: 0, pron: -70, elbow: 6 },
    { elbow: 96 },
    {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
      muscles: ['biceps'],
      hands: [holds('knuckles', ['upperArm', 0.5, 0], {}), works('cup', ['forearm', 0.92, 180], { to: 'up' })],
      marks: [press(['forearm', 0.6, 0])],
    },
  ),
  'forearm-pin': upright(
    'side',
    { ...LAID, wrist: 62, fingers: 92 },
    { wrist: -14, fingers: 92 },
    {
      ...onTop,
      frame: HAND,
      muscles: ['wrist-extensors'],
      hands: [holds('palm', ['forearm', 0.34, 180], { to: 'down', arm: 12 })],
      marks: [
        {
          kind: 'points',
          at: [
            ['forearm', 0.22, 150],
            ['forearm', 0.44, 150],
            ['forearm', 0.66, 150],
          ],
        },
      ],
      mover: 'both',
    },
  ),
  'wrist-extensor-cr': upright(
    'side',
    { ...STRAIGHT, wrist: 64, fingers: 92 },
    { wrist: 4, fingers: 92 },
    {
      ...alone,
      frame: ['forearm', 'hand', 'upperArm'],
      muscles: ['wrist-extensors'],
      hands: [holds('cup', ['forearm', 0.74, 0], { to: 'down', arm: 12 }), works('cup', ['hand', 0.34, 180], { to: 'down', arm: 12 })],
      marks: [press(['hand', 0.2, 180])],
    },
  ),
  'wrist-flexor-cr': upright(
    'side',
    { ...STRAIGHT, pron: -90, wrist: -66, fingers: -6 },
    { wrist: 4, fingers: 4 },
    {
      ...alone,
      frame: ['forearm', 'hand', 'upperArm'],
      muscles: ['wrist-flexors'],
      hands: [holds('cup', ['forearm', 0.62, 180], { to: 'down', arm: 12 }), works('palm', ['hand', 0.5, 0], { to: 'down', arm: 12 })],
      marks: [press(['hand', 0.2, 0])],
    },
  ),
  'pronator-hold': upright('crown', { ...LAID, elbow: 62, pron: 40 }, null, {
    ...alone,
    frame: ['forearm', 'hand', 'upperArm'],
    muscles: ['pronators'],
    hands: [works('knuckles', ['forearm', 0.2, 10], { to: 160 }), holds('grip', ['forearm', 0.86, 40], { to: 200 })],
    marks: [
      { kind: 'points', at: [['forearm', 0.22, 10]] },
      { kind: 'turn', at: ['hand', 0.5, 90], from: 150, to: 30, radius: 7 },
    ],
    mover: 'athlete',
  }),
  'carpal-friction': upright('crown', { ...LAID, pron: 90 }, null, {
    ...alone,
    frame: HAND,
    muscles: ['wrist-joint'],
    hands: [works('thumb', ['hand', 0.06, 150], { to: 150 }), works('thumb', ['hand', 0.06, -150], { to: 30, turned: true })],
    marks: [{ kind: 'friction', at: ['hand', 0.02, 180] }],
    props: [],
  }),
  'palm-spread': upright('crown', { ...LAID, pron: -90, thumb: 30 }, null, {
    ...alone,
    frame: HAND,
    muscles: ['palm'],
    hands: [works('grip', ['hand', 0.6, 70], { to: 190 }), works('grip', ['hand', 0.6, -70], { to: -10, turned: true })],
    marks: [{ kind: 'spread', at: ['hand', 0.3, 0], deg: 0 }],
  }),
  'finger-traction': upright('crown', { ...LAID, pron: 90 }, null, {
    ...alone,
    frame: HAND,
    hands: [holds('grip', ['hand', 0.1, 180], { to: 160 }), works('thumb', ['hand', 0.9, 170], { to: 210 })],
    marks: [
      { kind: 'pull', at: ['hand', 0.98, 180], deg: 90 },
      {
        kind: 'points',
        at: [
          ['hand', 0.5, 150],
          ['hand', 0.5, 176],
          ['hand', 0.5, -160],
        ],
      },
    ],
  }),
  'metacarpal-scissor': upright('crown', { ...LAID, pron: 90 }, null, {
    ...alone,
    frame: HAND,
    muscles: ['hand-back'],
    hands: [works('thumb', ['hand', 0.42, 150], { to: 170 }), works('thumb', ['hand', 0.42, -150], { to: 10, turned: true })],
    marks: [{ kind: 'scissor', at: ['hand', 0.36, 180] }],
  }),
};
