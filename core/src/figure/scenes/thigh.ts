import type { Scene, Stance } from '../scene.ts';
import { holds, press, prone, supine, works } from './make.ts';
import { PRONE, SUPINE, SUPINE_ABOVE } from './poses.ts';

/** Their heel lies on the therapist's shoulder. */
const SHOULDER_UNDER: Stance = {
  joints: { tilt: 16, hip: 30, knee: 14, 'other.hip': -10, 'other.knee': 20, sh: 62, plane: 90, elbow: 30 },
  by: 'shoulder',
  at: ['shank', 0.95, 180],
  faces: 'left',
};
const overSide = { 'other.hip': 116, 'other.knee': 124, 'other.ankle': -10 } as const;

export const THIGH: Readonly<Record<string, Scene>> = {
  'rectus-femoris-prone': prone(
    'side',
    { ...PRONE, hip: -14, knee: 118, ankle: -20 },
    { hip: 0, knee: 70 },
    {
      muscles: ['rectus-femoris'],
      hands: [holds('forearm', ['pelvis', 0.5, 180], { to: 'up' }), works('cup', ['shank', 0.8, 0], { to: 'up' })],
      marks: [press(['shank', 0.5, 0])],
    },
  ),
  'rectus-femoris-pin': supine(
    'side',
    { ...SUPINE, hip: -4, knee: 106, ankle: -20 },
    { knee: 40 },
    {
      edge: ['thigh', 0.62, 180],
      muscles: ['rectus-femoris'],
      hands: [holds('forearm', ['thigh', 0.5, 0], { to: 'up' }), works('cup', ['shank', 0.8, 0], { to: 'up' })],
      marks: [
        {
          kind: 'points',
          at: [
            ['thigh', 0.16, 10],
            ['thigh', 0.34, 10],
            ['thigh', 0.66, 10],
            ['thigh', 0.84, 10],
          ],
        },
      ],
      mover: 'both',
    },
  ),
  'rectus-femoris-table-side': supine(
    'side',
    { ...SUPINE, ...overSide, hip: -20, knee: 104, ankle: -20 },
    { hip: -4, knee: 56 },
    {
      edge: ['pelvis', 0.98, 180],
      muscles: ['rectus-femoris'],
      hands: [holds('palm', ['thigh', 0.6, 0], { to: 'up' }), works('cup', ['shank', 0.8, 0], { to: 'up' })],
      marks: [press(['shank', 0.5, 0])],
    },
  ),
  'quad-glide-partial': supine(
    'side',
    { ...SUPINE, hip: 36, knee: 60, ankle: -10 },
    { hip: 22, knee: 34 },
    {
      muscles: ['vasti'],
      hands: [works('forearm', ['thigh', 0.6, 0], { to: 'up' }), works('cup', ['shank', 0.9, 180], { to: 'down' })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['thigh', 0.86, 20],
            ['thigh', 0.5, 20],
            ['thigh', 0.16, 30],
          ],
        },
        { kind: 'circle', at: ['foot', 0.9, 0], radius: 8 },
      ],
      props: [{ kind: 'roll', under: ['shank', 0.04, 180], size: 7 }],
      mover: 'both',
      plainMove: true,
    },
  ),
  'quad-glide-full': supine(
    'side',
    { ...SUPINE, hip: 62, knee: 122, ankle: 20 },
    { hip: 26, knee: 50 },
    {
      muscles: ['rectus-femoris'],
      hands: [works('palm', ['thigh', 0.6, 0], { to: 'up' }), works('cup', ['shank', 0.9, 0], { to: 'up' })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['thigh', 0.86, 30],
            ['thigh', 0.5, 30],
            ['thigh', 0.16, 40],
          ],
        },
      ],
      mover: 'both',
    },
  ),
  'hamstring-bent-shoulder': supine(
    'side',
    { ...SUPINE, hip: 108, knee: 46, ankle: -10 },
    { hip: 76, knee: 58 },
    {
      muscles: ['hamstrings'],
      hands: [works('grip', ['thigh', 0.82, 90], { to: 150, from: 330 })],
      marks: [press(['shank', 0.6, 180])],
      stance: SHOULDER_UNDER,
    },
  ),
  'hamstring-heel-on-shoulder': supine(
    'side',
    { ...SUPINE, hip: 84, knee: 2, ankle: -10 },
    { hip: 40 },
    {
      muscles: ['hamstrings'],
      hands: [holds('grip', ['thigh', 0.88, 60], { to: 160, from: 340 })],
      marks: [press(['shank', 0.5, 180])],
      stance: SHOULDER_UNDER,
    },
  ),
  'hamstring-ninety': supine(
    'side',
    { ...SUPINE, hip: 90, knee: 24, ankle: -10 },
    { knee: 82 },
    {
      muscles: ['hamstrings'],
      hands: [holds('palm', ['thigh', 0.8, 0], { to: 'up' }), works('forearm', ['shank', 0.72, 180], { to: 'down' })],
      marks: [press(['shank', 0.36, 180])],
    },
  ),
  'vasti-supine': supine(
    'side',
    { ...SUPINE, hip: 96, knee: 138, ankle: -10 },
    { knee: 92 },
    {
      muscles: ['vasti'],
      hands: [holds('palm', ['thigh', 0.9, 0], { to: 'up' }), works('cup', ['shank', 0.84, 0], { to: 'up' })],
      marks: [press(['shank', 0.5, 0])],
    },
  ),
  'quadriceps-heel-to-buttock': prone(
    'side',
    { ...PRONE, knee: 140, ankle: -30 },
    { knee: 88 },
    {
      muscles: ['rectus-femoris', 'vasti'],
      hands: [holds('palm', ['pelvis', 0.5, 180], { to: 'up' }), works('palm', ['shank', 0.6, 0], { to: 'up' })],
      marks: [press(['shank', 0.36, 0])],
      props: [{ kind: 'cushion', under: ['waist', 0.6, 0] }],
    },
  ),
  'patella-glides': supine('front', { ...SUPINE_ABOVE, hip: 4, knee: 8 }, null, {
    frame: ['thigh', 'shank'],
    muscles: ['knee-cap'],
    hands: [works('thumb', ['thigh', 0.97, 60], { to: 110 }), works('fingers', ['thigh', 0.97, -60], { to: 250 })],
    marks: [
      { kind: 'way', at: ['thigh', 0.86, 0], deg: 180 },
      { kind: 'way', at: ['shank', 0.1, 0], deg: 0 },
    ],
  }),
  'adductor-compression': supine('front', { ...SUPINE_ABOVE, hip: 34, hipOut: 48, knee: 80, ankle: -20 }, null, {
    muscles: ['adductors'],
    hands: [works('forearm', ['thigh', 0.45, -60], { to: 60, arm: 10 }), holds('palm', ['shank', 0.04, 0], { to: 120 })],
    marks: [{ kind: 'sink', at: ['thigh', 0.66, -60] }],
    props: [{ kind: 'cushion', under: ['thigh', 1, 90] }],
  }),
  'line-press-inside': supine('front', { ...SUPINE_ABOVE, hip: 30, hipOut: 40, knee: 70, ankle: -20 }, null, {
    muscles: ['adductors'],
    hands: [works('palm', ['thigh', 0.3, -60], { to: 70 }), works('palm', ['shank', 0.4, -60], { to: 70 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['shank', 0.86, -60],
          ['shank', 0.6, -60],
          ['shank', 0.3, -60],
          ['thigh', 0.8, -60],
          ['thigh', 0.5, -60],
        ],
      },
    ],
  }),
  'line-press-outside': supine('front', { ...SUPINE_ABOVE, hip: 54, hipOut: -26, knee: 88, ankle: -10 }, null, {
    muscles: ['tensor'],
    hands: [works('palm', ['thigh', 0.5, 80], { to: 100 }), holds('grip', ['shank', 0.9, 40], { to: 110 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['thigh', 0.92, 70],
          ['thigh', 0.5, 80],
          ['pelvis', 0.7, 84],
        ],
      },
    ],
  }),
};
