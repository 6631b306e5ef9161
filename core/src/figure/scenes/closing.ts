import type { Scene, Stance } from '../scene.ts';
import { holds, prone, supine, upright, works } from './make.ts';
import { HOOK, PRONE_ABOVE, SEATED, STANDING, SUPINE, SUPINE_ABOVE, twice } from './poses.ts';

const STANDING_AT_FEET: Stance = {
  joints: { tilt: 6, hip: 12, knee: 10, ...twice({ sh: 50, plane: 90, elbow: 30 }) },
  by: 'hand',
  at: ['shank', 0.95, 0],
  faces: 'left',
};

export const CLOSING: Readonly<Record<string, Scene>> = {
  'shake-down': supine('side', { ...SUPINE, hip: 24, ankle: -20 }, null, {
    stance: STANDING_AT_FEET,
    hands: [works('cup', ['shank', 0.94, 0], { to: 'up', from: 30 }), works('cup', ['shank', 0.97, 180], { to: 'up', from: 350 })],
    marks: [{ kind: 'rock', at: ['shank', 0.4, 0], deg: 100, radius: 14 }],
  }),
  'balance-press': supine('front', SUPINE_ABOVE, null, {
    hands: [
      works('palm', ['upperArm', 0.02, 10], { to: 20, from: 190 }),
      works('palm', ['other.upperArm', 0.02, 10], { to: -20, from: 170 }),
    ],
    marks: [
      {
        kind: 'points',
        at: [
          ['upperArm', 0.2, 0],
          ['pelvis', 0.5, 52],
          ['foot', 0.4, 0],
        ],
      },
    ],
  }),
  'still-hold': supine('side', { ...SUPINE, ...twice({ sh: 8, plane: -20, shIn: 0, elbow: 10 }) }, null, {
    hands: [holds('palm', ['waist', 0.6, 0], { to: 'up', from: 60 }), holds('palm', ['chest', 0.4, 0], { to: 'down', from: 130 })],
  }),
  percussion: prone('back', PRONE_ABOVE, null, {
    muscles: ['back-extensors', 'gluteus-maximus', 'hamstrings'],
    hands: [works('fist', ['chest', 0.7, 158], { to: 100 }), works('fist', ['pelvis', 0.6, 140], { to: 80 })],
    marks: [
      { kind: 'tap', at: ['waist', 0.5, 160] },
      { kind: 'tap', at: ['thigh', 0.5, 180] },
    ],
  }),
  'home-calf-release': upright(
    'side',
    {
      ...STANDING,
      tilt: -14,
      ...twice({ sh: 40, plane: -80, elbow: 10 }),
      hip: 76,
      knee: 2,
      ankle: -20,
      'other.hip': 124,
      'other.knee': 100,
      'other.ankle': 0,
    },
    null,
    {
      on: 'none',
      mover: 'athlete',
      muscles: ['gastrocnemius'],
      marks: [{ kind: 'rock', at: ['shank', 0.3, 0], deg: 90, radius: 12 }],
      props: [{ kind: 'ball', under: ['shank', 0.3, 180] }],
    },
  ),
  'home-wall-sit': upright(
    'side',
    { ...STANDING, ...twice({ hip: 86, knee: 86, ankle: 0, sh: 6 }) },
    { ...twice({ hip: 30, knee: 34, ankle: 4 }) },
    {
      on: 'floor',
      anchor: 'shank',
      path: ['pelvis', 'shank'],
      mover: 'athlete',
      muscles: ['vasti'],
      props: [{ kind: 'wall', side: 'left', at: ['chest', 0.6, 180] }],
    },
  ),
  'home-hot-water': upright('side', { ...SEATED, ankle: -10 }, null, {
    on: 'chair',
    mover: 'athlete',
    marks: [{ kind: 'circle', at: ['foot', 0.6, 0], radius: 10 }],
    props: [{ kind: 'basin', under: ['foot', 0.45, 180] }],
  }),
  'home-mobility-line': supine('side', HOOK, null, {
    on: 'floor',
    mover: 'athlete',
    marks: [
      {
        kind: 'points',
        at: [
          ['neck', 0.5, 0],
          ['chest', 0.5, 0],
          ['pelvis', 0.6, 0],
          ['thigh', 0.95, 0],
          ['shank', 0.95, 0],
        ],
      },
    ],
  }),
};
