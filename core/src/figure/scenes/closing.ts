import type { Scene, Stance } from '../scene.ts';
import { holds, prone, sideLying, supine, upright, works } from './make.ts';
import { HOOK, PRONE_ABOVE, SEATED, SIDE_LYING, STANDING, SUPINE, SUPINE_ABOVE, twice } from './poses.ts';

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
      tilt: 8,
      bend: 18,
      ...twice({ sh: 62, plane: 90, elbow: 8 }),
      hip: 98,
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
      marks: [
        {
          kind: 'stroke',
          along: [
            ['shank', 0.9, 180],
            ['shank', 0.2, 180],
          ],
        },
      ],
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
  'home-front-of-shin': upright(
    'side',
    {
      ...STANDING,
      hip: -20,
      knee: 27,
      ankle: -58,
      'other.hip': 30,
      'other.knee': 42,
      'other.ankle': 14,
      'other.sh': 70,
      'other.plane': 90,
    },
    null,
    {
      on: 'floor',
      mover: 'athlete',
      muscles: ['tibialis-front'],
      marks: [{ kind: 'way', at: ['shank', 0.85, 0], deg: -60 }],
      props: [{ kind: 'wall', side: 'right', at: ['other.hand', 1, 0] }],
    },
  ),
  'home-bridge': supine(
    'side',
    { tilt: -26, neck: 22, ...twice({ hip: 10, knee: 120, ankle: 4, sh: 30, plane: -60, shIn: 0, elbow: 0 }) },
    null,
    {
      on: 'floor',
      mover: 'athlete',
      muscles: ['gluteus-maximus', 'hamstrings'],
      marks: [{ kind: 'way', at: ['pelvis', 0.5, 180], deg: 90 }],
    },
  ),
  'home-ball-squeeze': supine(
    'side',
    { neck: 14, nod: -6, ...twice({ hip: 52, knee: 104, ankle: 38, sh: 8, plane: -20, elbow: 10 }) },
    null,
    {
      on: 'floor',
      mover: 'athlete',
      muscles: ['adductors'],
      marks: [{ kind: 'joint', at: ['thigh', 0.94, 0] }],
      props: [{ kind: 'roll', under: ['thigh', 0.8, 0], size: 14 }],
    },
  ),
  'home-knee-opening': sideLying(
    'front',
    { ...SIDE_LYING, ...twice({ hip: 44, knee: 84 }), hipOut: 34, hipIn: -40 },
    { hipOut: 0, hipIn: 0 },
    { on: 'floor', mover: 'athlete', muscles: ['gluteus-medius'] },
  ),
  'home-neck-desk': upright(
    'back',
    { ...SEATED, neckSide: -34, sh: 6, plane: 0, shIn: 0, elbow: 0 },
    { neckSide: 0 },
    { on: 'chair', mover: 'athlete', muscles: ['upper-trapezius'] },
  ),
  'home-chest-doorway': upright('front', { ...STANDING, sh: 90, plane: -16, shIn: -90, elbow: 90, turn: -14 }, null, {
    on: 'floor',
    mover: 'athlete',
    muscles: ['pectoralis-major'],
    marks: [{ kind: 'way', at: ['chest', 0.55, 0], deg: 0 }],
    props: [{ kind: 'wall', side: 'left', at: ['forearm', 0.8, 0] }],
  }),
  'home-breathing': supine('side', { neck: 14, nod: -6, ...twice({ hip: 24, knee: 40, ankle: -12, sh: 8, plane: -20, elbow: 10 }) }, null, {
    on: 'floor',
    mover: 'athlete',
    marks: [{ kind: 'sink', at: ['waist', 0.6, 0] }],
    props: [{ kind: 'roll', under: ['thigh', 0.96, 180], size: 9 }],
  }),
};
