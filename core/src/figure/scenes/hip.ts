import type { Joints } from '../joints.ts';
import type { Scene, Stance } from '../scene.ts';
import { holds, press, prone, sideLying, supine, works } from './make.ts';
import { PRONE, PRONE_ABOVE, SIDE_LYING, SUPINE, SUPINE_ABOVE, twice } from './poses.ts';

/** Both hands at the ankle, the body leaning away. */
const LEANING_BACK: Stance = {
  joints: { tilt: -16, hip: 6, knee: 18, 'other.hip': 34, 'other.knee': 26, ...twice({ sh: 58, plane: 90, elbow: 4 }) },
  by: 'hand',
  at: ['shank', 0.94, 0],
  faces: 'left',
};
const SHINS_UP: Joints = { ...twice({ knee: 90, ankle: 0 }), hipOut: 3 };
/** From the chest down: the leg fills the picture. */
const FROM_CHEST = ['chest', 'pelvis', 'thigh', 'shank', 'foot', 'other.thigh'] as const;
/** How far the knee has gone toward the table, seen from the feet. */
const fallenOut = (hip: number, hipOut: number, knee: number): Scene =>
  supine('feet', { hip, hipOut, knee }, { hipOut: 16 }, { frame: ['pelvis', 'thigh', 'shank', 'foot'], without: ['arm', 'other arm'] });
const shins = ['pelvis', 'shank', 'foot', 'other.shank', 'other.foot'] as const;

export const HIP: Readonly<Record<string, Scene>> = {
  'iliopsoas-prone': prone(
    'side',
    { ...PRONE, hip: -26, knee: 30, ankle: -20 },
    { hip: 0, knee: 10 },
    {
      muscles: ['iliopsoas'],
      hands: [holds('forearm', ['pelvis', 0.5, 180], { to: 'up' }), works('cup', ['thigh', 0.82, 0], { to: 'up' })],
      marks: [press(['thigh', 0.5, 0])],
      props: [{ kind: 'cushion', under: ['waist', 0.5, 0] }],
    },
  ),
  'gluteus-bent-knee-turn': supine(
    'side',
    { ...SUPINE, hip: 122, knee: 126, ankle: 0 },
    { hip: 84, knee: 92 },
    {
      muscles: ['gluteus-maximus'],
      hands: [works('cup', ['shank', 0.12, 0], { to: 'up' }), holds('palm', ['other.thigh', 0.6, 0], { to: 'down' })],
      marks: [press(['thigh', 0.9, 0])],
    },
  ),
  'ninety-turn-out': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 92, hipOut: 8, hipIn: -62, knee: 90, ankle: 0 },
    { hipIn: 0 },
    {
      muscles: ['deep-rotators', 'gluteus-medius'],
      hands: [works('grip', ['thigh', 0.98, 30], { to: 100 }), works('grip', ['shank', 0.9, 60], { to: 60 })],
      marks: [press(['shank', 0.5, 90], 0)],
      inset: supine('feet', { hip: 92, hipOut: 4, hipIn: -62, knee: 90 }, null, {
        frame: FROM_CHEST,
        without: ['arm', 'other arm'],
      }),
    },
  ),
  'foot-on-hip-adductor': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 62, knee: 96, hipOut: 66, ankle: 0 },
    { hipOut: 26 },
    {
      frame: FROM_CHEST,
      inset: fallenOut(62, 66, 96),
      muscles: ['adductors-short'],
      hands: [works('palm', ['thigh', 0.55, -60], { to: 60 }), holds('palm', ['pelvis', 0.5, -50], { to: 90 })],
      marks: [{ kind: 'sink', at: ['thigh', 0.9, -40] }],
    },
  ),
  'figure-four-beside': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 44, hipOut: 58, knee: 118, hipIn: -14, ankle: -10 },
    { hipOut: 24 },
    {
      frame: FROM_CHEST,
      inset: fallenOut(44, 58, 118),
      muscles: ['adductors'],
      hands: [works('palm', ['thigh', 0.9, -50], { to: 70 }), holds('palm', ['pelvis', 0.5, -56], { to: 84 })],
      marks: [
        { kind: 'points', at: [['pelvis', 0.4, 50]] },
        { kind: 'sink', at: ['thigh', 0.7, -40] },
      ],
    },
  ),
  'figure-four-above': supine(
    'side',
    { ...SUPINE, hip: 92, hipOut: 34, hipIn: -54, knee: 96, 'other.hip': 96, 'other.knee': 96, 'other.ankle': 0 },
    { hip: 66, 'other.hip': 66 },
    {
      muscles: ['deep-rotators', 'gluteus-maximus'],
      hands: [works('cup', ['other.thigh', 0.8, 180], { to: 'up' }), works('palm', ['shank', 0.4, 0], { to: 110 })],
      marks: [press(['shank', 0.6, 0], -10)],
    },
  ),
  'adductors-walk-out': supine(
    'front',
    { ...SUPINE_ABOVE, hipOut: 50, 'other.hipOut': 14 },
    { hipOut: 10 },
    {
      frame: ['chest', 'pelvis', 'thigh', 'shank', 'foot', 'other.thigh', 'other.shank'],
      muscles: ['adductors'],
      hands: [holds('palm', ['pelvis', 0.5, -50], { to: 88 }), works('leg', ['shank', 0.72, -80], { to: 60 })],
      marks: [press(['shank', 0.2, -60])],
    },
  ),
  'leg-across-straight': supine(
    'front',
    { ...SUPINE_ABOVE, hipOut: -30, hip: 16 },
    { hipOut: 4, hip: 4 },
    {
      frame: FROM_CHEST,
      inset: supine('side', SUPINE, null, {
        frame: ['pelvis', 'thigh', 'shank'],
        without: ['arm', 'other arm', 'other leg'],
        muscles: ['tensor'],
      }),
      muscles: ['tensor'],
      hands: [works('grip', ['shank', 0.92, 40], { to: 110 }), holds('palm', ['pelvis', 0.4, 50], { to: 90 })],
      marks: [press(['shank', 0.5, 60])],
    },
  ),
  'leg-across-bent': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 50, hipOut: -44, hipIn: 0, knee: 92, ankle: -10 },
    { hipOut: 6 },
    {
      frame: FROM_CHEST,
      inset: supine('side', SUPINE, null, {
        frame: ['pelvis', 'thigh', 'shank'],
        without: ['arm', 'other arm', 'other leg'],
        muscles: ['gluteus-medius'],
      }),
      muscles: ['gluteus-medius', 'piriformis'],
      hands: [works('palm', ['thigh', 0.88, 60], { to: 100 }), holds('palm', ['upperArm', 0.08, 10], { to: 190, from: 10 })],
      marks: [press(['thigh', 0.6, 70])],
    },
  ),
  'hip-circling': supine('side', { ...SUPINE, hip: 92, knee: 100, ankle: -10 }, null, {
    hands: [works('cup', ['thigh', 0.98, 0], { to: 'up' }), works('cup', ['shank', 0.94, 180], { to: 'down' })],
    marks: [
      { kind: 'circle', at: ['thigh', 1, 0], radius: 17 },
      { kind: 'joint', at: ['thigh', 0, 90] },
    ],
  }),
  'gluteus-maximus-reps': supine(
    'side',
    { ...SUPINE, hip: 118, knee: 122, ankle: 0 },
    { hip: 50, knee: 84 },
    {
      mover: 'athlete',
      muscles: ['gluteus-maximus'],
      hands: [works('palm', ['shank', 0.3, 0], { to: 'up' }), holds('palm', ['other.thigh', 0.6, 0], { to: 'down' })],
    },
  ),
  'piriformis-reps': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 56, hipOut: -38, knee: 106, ankle: -10 },
    { hipOut: 14 },
    {
      mover: 'athlete',
      frame: FROM_CHEST,
      inset: prone('back', { hipOut: 4, 'other.hipOut': 4 }, null, {
        frame: ['pelvis', 'thigh', 'other.thigh'],
        without: ['arm', 'other arm'],
        muscles: ['piriformis'],
      }),
      muscles: ['piriformis'],
      hands: [works('palm', ['thigh', 0.9, 60], { to: 100 }), holds('palm', ['pelvis', 0.3, 60], { to: 80 })],
    },
  ),
  'gluteals-comfort-press': prone(
    'back',
    { ...PRONE_ABOVE, hipOut: 30, hipIn: -24, knee: 50, ankle: -10 },
    { hipOut: 6, hipIn: 0 },
    {
      frame: ['chest', 'pelvis', 'thigh', 'shank', 'foot', 'other.thigh'],
      muscles: ['gluteus-maximus', 'gluteus-medius'],
      hands: [works('elbow', ['pelvis', 0.6, 132], { to: 100, arm: 10 }), works('grip', ['shank', 0.1, 150], { to: 160 })],
      marks: [{ kind: 'points', at: [['pelvis', 0.5, 130]] }],
    },
  ),
  'outward-rotators-prone': prone(
    'feet',
    { ...SHINS_UP, hipIn: 46 },
    { hipIn: 0 },
    {
      frame: shins,
      without: ['arm', 'other arm'],
      muscles: ['piriformis'],
      hands: [works('grip', ['shank', 0.82, -60], { to: 20 }), holds('palm', ['pelvis', 0.5, 178], { to: 200, from: 20 })],
      marks: [press(['shank', 0.6, 90])],
      inset: prone('back', PRONE_ABOVE, null, {
        frame: ['pelvis', 'thigh', 'other.thigh'],
        muscles: ['piriformis'],
        without: ['arm', 'other arm'],
      }),
    },
  ),
  'inward-rotators-prone': prone(
    'feet',
    { ...SHINS_UP, hipIn: -46 },
    { hipIn: 0 },
    {
      frame: shins,
      without: ['arm', 'other arm'],
      muscles: ['tensor'],
      hands: [works('grip', ['shank', 0.82, 60], { to: 160 }), holds('palm', ['pelvis', 0.5, 178], { to: 200, from: 20 })],
      marks: [press(['shank', 0.6, -90])],
      inset: prone('side', PRONE, null, { frame: ['pelvis', 'thigh'], muscles: ['tensor'], without: ['arm', 'other arm', 'other leg'] }),
    },
  ),
  'psoas-sink': supine('side', { ...SUPINE, ...twice({ sh: 8, plane: -20, shIn: 0, elbow: 10 }), hip: 52, knee: 104, ankle: 38 }, null, {
    frame: ['chest', 'pelvis', 'thigh', 'shank', 'foot'],
    muscles: ['psoas'],
    hands: [works('fingers', ['waist', 0.9, 0], {}), works('fingers', ['waist', 0.5, 0], { to: 'up' })],
    marks: [{ kind: 'sink', at: ['pelvis', 0.45, 0] }, press(['thigh', 0.7, 0], 110)],
  }),
  'iliacus-supine': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 54, hipOut: -34, knee: 88, ankle: -10 },
    { hipOut: 4 },
    {
      frame: FROM_CHEST,
      muscles: ['iliacus'],
      hands: [holds('thumb', ['pelvis', 0.3, 34], { to: 120 }), works('palm', ['thigh', 0.9, 50], { to: 100 })],
      marks: [{ kind: 'sink', at: ['pelvis', 0.5, 30] }],
    },
  ),
  'iliacus-side-lying': sideLying('front', { ...SIDE_LYING, ...twice({ hip: 58, knee: 70 }), sh: 100, plane: 60 }, null, {
    frame: ['waist', 'pelvis', 'thigh'],
    muscles: ['iliacus'],
    hands: [works('hook', ['pelvis', 0.3, 62], { to: -60, from: 130 }), holds('palm', ['pelvis', 0.4, 92], { to: 'down' })],
    marks: [{ kind: 'points', at: [['pelvis', 0.4, 50]] }],
  }),
  'groin-attachment-shake': supine('front', { ...SUPINE_ABOVE, hip: 40, hipOut: 34, knee: 66, ankle: -20 }, null, {
    frame: FROM_CHEST,
    muscles: ['groin-tendon'],
    hands: [holds('palm', ['thigh', 0.12, -30], { to: 70 }), works('grip', ['shank', 0.2, 20], { to: 110 })],
    marks: [{ kind: 'rock', at: ['shank', 0.4, 20], deg: 0, radius: 14 }],
  }),
  'groin-opening': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 56, hipOut: 72, knee: 108, ankle: -10 },
    { hipOut: 40 },
    {
      frame: FROM_CHEST,
      inset: fallenOut(56, 72, 108),
      muscles: ['adductors', 'groin-tendon'],
      hands: [works('palm', ['thigh', 0.5, -60], { to: 60 }), holds('palm', ['pelvis', 0.5, -56], { to: 84 })],
      marks: [{ kind: 'sink', at: ['thigh', 0.8, -40] }],
      props: [{ kind: 'cushion', under: ['thigh', 1, 90] }],
    },
  ),
  'groin-comfort': supine(
    'front',
    { ...SUPINE_ABOVE, hip: 48, hipOut: -22, knee: 70, ankle: -20 },
    { hipOut: 16, hip: 20 },
    {
      frame: FROM_CHEST,
      muscles: ['adductors', 'groin-tendon'],
      hands: [holds('fingers', ['thigh', 0.1, -36], { to: 100 }), works('grip', ['shank', 0.3, 40], { to: 110 })],
      marks: [{ kind: 'points', at: [['thigh', 0.1, -36]] }],
    },
  ),
  'sacroiliac-twist': sideLying('back', { ...SIDE_LYING, ...twice({ hip: 46, knee: 60 }) }, null, {
    frame: ['chest', 'pelvis', 'thigh'],
    muscles: ['sacroiliac'],
    hands: [holds('palm', ['pelvis', 0.6, 174], { to: 80, from: 260 }), works('palm', ['pelvis', 0.3, 92], { to: 'down' })],
    marks: [{ kind: 'scissor', at: ['pelvis', 0.5, 168], deg: 90 }],
  }),
  'buttock-wake-up': prone('side', PRONE, null, {
    frame: ['chest', 'pelvis', 'thigh', 'shank'],
    mover: 'athlete',
    muscles: ['gluteus-maximus'],
    hands: [works('fingers', ['pelvis', 0.8, 176], { to: 'up' })],
    marks: [{ kind: 'tap', at: ['pelvis', 1, 180] }],
  }),
  'sacral-edge-presses': prone('back', PRONE_ABOVE, null, {
    frame: ['chest', 'pelvis', 'thigh', 'other.thigh'],
    muscles: ['sacroiliac', 'gluteus-maximus'],
    hands: [works('thumb', ['pelvis', 0.5, 160], { to: 120 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['pelvis', 0.3, 164],
          ['pelvis', 0.55, 166],
          ['pelvis', 0.8, 168],
        ],
      },
    ],
  }),
  'leg-pull': supine('side', { ...SUPINE, hip: 14, ankle: -20 }, null, {
    stance: LEANING_BACK,
    hands: [works('cup', ['shank', 0.92, 0], { to: 'up', from: 20 }), works('cup', ['shank', 0.96, 180], { to: 'up', from: 10 })],
    marks: [
      { kind: 'pull', at: ['thigh', 0.8, 0] },
      { kind: 'joint', at: ['thigh', 0, 90] },
    ],
  }),
  'hip-long-axis-rock': supine('side', { ...SUPINE, hip: 46, knee: 34, ankle: -10, hipOut: 10 }, null, {
    muscles: ['gluteus-maximus'],
    stance: LEANING_BACK,
    hands: [works('cup', ['shank', 0.86, 180], { to: 'up', from: 20 }), works('cup', ['shank', 0.86, 0], { to: 'up', from: 40 })],
    marks: [
      { kind: 'pull', at: ['thigh', 0.5, 0] },
      { kind: 'rock', at: ['thigh', 1, 0], deg: 60, radius: 15 },
    ],
  }),
};
