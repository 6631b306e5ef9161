import type { Scene } from '../scene.ts';
import { holds, press, upright, works, SHOULDERS } from './make.ts';
import { SEATED } from './poses.ts';

export const CHAIR: Readonly<Record<string, Scene>> = {
  'back-press-walk-seated': upright('back', { ...SEATED, bend: 22 }, null, {
    on: 'stool',
    frame: ['head', 'chest', 'pelvis', 'upperArm'],
    muscles: ['back-extensors'],
    hands: [works('palm', ['chest', 0.4, 152], { to: 90 }), works('palm', ['chest', 0.4, -152], { to: 90 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['chest', 0.2, 160],
          ['chest', 0.7, 160],
          ['waist', 0.5, 160],
        ],
      },
    ],
  }),
  'both-shoulders-press': upright('back', { ...SEATED, bend: 6 }, null, {
    on: 'stool',
    frame: ['head', 'chest', 'pelvis', 'upperArm', 'other.upperArm'],
    muscles: ['upper-trapezius', 'other.upper-trapezius'],
    hands: [works('palm', ['chest', 0.06, 116], { to: 66 }), works('palm', ['chest', 0.06, -116], { to: 114 })],
    marks: [{ kind: 'sink', at: ['chest', 0.1, 176] }],
  }),
  'shoulder-top-front-hold': upright('back', { ...SEATED, bend: 12 }, null, {
    on: 'stool',
    frame: SHOULDERS,
    muscles: ['upper-trapezius'],
    hands: [works('forearm', ['chest', 0.05, 112], { to: 60, arm: 10 })],
    marks: [{ kind: 'sink', at: ['neck', 0.1, 130] }],
  }),
  'blade-edge-trace': upright('back', { ...SEATED, bend: 14, sh: 10, plane: -40 }, null, {
    on: 'stool',
    frame: SHOULDERS,
    muscles: ['rhomboids'],
    hands: [works('hook', ['chest', 0.34, 154], { to: 80 }), holds('cup', ['upperArm', 0.04, 30], { to: 120, under: true })],
    marks: [
      {
        kind: 'points',
        at: [
          ['chest', 0.44, 152],
          ['chest', 0.32, 154],
          ['chest', 0.18, 154],
        ],
      },
    ],
  }),
  'elbow-arm-lever': upright('back', { ...SEATED, bend: 14, sh: 34, plane: -50, elbow: 20 }, null, {
    on: 'stool',
    frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
    muscles: ['upper-trapezius'],
    hands: [works('elbow', ['chest', 0.05, 118], { to: 250, arm: 10 })],
    marks: [{ kind: 'rock', at: ['hand', 0.4, 90], deg: 60, radius: 9 }],
  }),
  'shoulder-press-arm-draw': upright(
    'side',
    { ...SEATED, bend: 24, sh: 136, plane: 84, elbow: 10 },
    { sh: 96 },
    {
      on: 'stool',
      frame: ['head', 'chest', 'pelvis', 'upperArm', 'forearm'],
      muscles: ['latissimus'],
      hands: [holds('palm', ['chest', 0.06, 110], { to: 300 }), works('grip', ['forearm', 0.4, 90], { to: 30 })],
      marks: [press(['forearm', 0.8, 90])],
    },
  ),
  'shoulder-front-back-squeeze': upright('side', SEATED, null, {
    on: 'stool',
    frame: ['head', 'chest', 'upperArm', 'forearm'],
    muscles: ['cuff'],
    hands: [works('palm', ['upperArm', 0.08, 0], { to: 'up' }), works('palm', ['upperArm', 0.1, 180], { to: 'up' })],
    marks: [{ kind: 'circle', at: ['upperArm', 0.1, 90], radius: 11 }],
  }),
};
