import type { Joints } from '../joints.ts';
import type { Scene } from '../scene.ts';
import { holds, press, prone, sideLying, supine, upright, works } from './make.ts';
import { HOOK, LONG_SITTING, PRONE, PRONE_ABOVE, SEATED, SEATED_FOLDED, SIDE_LYING, SUPINE_ABOVE, twice } from './poses.ts';

const table = { on: 'table' } as const;
const KNEES_UP: Joints = { ...SIDE_LYING, ...twice({ hip: 70, knee: 84 }) };
const SPREAD_ARMS: Joints = { ...SUPINE_ABOVE, ...twice({ sh: 80, plane: 0, elbow: 6 }) };
const middle = ['head', 'chest', 'pelvis', 'thigh', 'upperArm'] as const;

export const TRUNK: Readonly<Record<string, Scene>> = {
  'trunk-rotation-supine': supine(
    'front',
    { ...SPREAD_ARMS, ...twice({ hip: 66, knee: 96, hipOut: 0 }), turn: -58, twist: 58 },
    { turn: 0, twist: 0 },
    {
      muscles: ['obliques'],
      hands: [holds('palm', ['pelvis', 0.4, 80], { to: 80 }), works('palm', ['upperArm', 0.06, 0], { to: 190, from: 20 })],
      marks: [press(['thigh', 0.9, 90])],
    },
  ),
  'side-lying-rotation-low': sideLying(
    'back',
    { ...SIDE_LYING, hip: 72, knee: 70, turn: -28, twist: 28, sh: 10 },
    { turn: 0, twist: 0 },
    {
      frame: ['head', 'chest', 'pelvis', 'thigh', 'shank', 'other.shank'],
      muscles: ['low-back'],
      hands: [works('forearm', ['pelvis', 0.35, 110], { to: 'down', arm: 12 }), holds('palm', ['upperArm', 0.1, 90], { to: 'up' })],
      marks: [press(['pelvis', 0.8, 140])],
    },
  ),
  'side-lying-rotation-chest': sideLying(
    'side',
    { ...KNEES_UP, sh: 90, plane: 10, elbow: 8, twist: 66 },
    { twist: 0, plane: 80 },
    {
      muscles: ['pectoralis-major'],
      hands: [holds('palm', ['thigh', 0.9, 90], { to: 100 }), works('palm', ['upperArm', 0.14, 20], { to: 110, from: 290 })],
      marks: [press(['forearm', 0.5, 0], 90)],
    },
  ),
  'side-lying-rotation-both': sideLying(
    'back',
    { ...SIDE_LYING, hip: 76, knee: 80, turn: -34, twist: 76, sh: 30, plane: 20 },
    { turn: 0, twist: 0 },
    {
      frame: middle,
      muscles: ['obliques', 'low-back'],
      hands: [
        works('forearm', ['pelvis', 0.5, 100], { to: 'down', arm: 12 }),
        works('forearm', ['chest', 0.16, 80], { to: 'up', arm: 12 }),
      ],
      marks: [
        { kind: 'turn', at: ['pelvis', 0.5, 150], from: 60, to: -50, radius: 12 },
        { kind: 'turn', at: ['chest', 0.4, 150], from: 120, to: 230, radius: 12 },
      ],
    },
  ),
  'side-lying-back-bow': sideLying(
    'side',
    { ...SIDE_LYING, bend: -30, hip: -34, knee: 50, sh: 128, plane: -10, elbow: 30 },
    { bend: 0, hip: 10, sh: 80, plane: 40 },
    {
      on: 'floor',
      muscles: ['obliques'],
      hands: [
        holds('foot', ['waist', 0.5, 176], {}),
        works('grip', ['forearm', 0.8, 90], { to: 250 }),
        works('grip', ['shank', 0.8, 90], { to: 300 }),
      ],
      marks: [press(['shank', 0.5, 0], 80)],
    },
  ),
  'trunk-rotation-seated': upright(
    'crown',
    { ...SEATED_FOLDED, twist: 56 },
    { twist: 0 },
    {
      ...table,
      frame: ['head', 'chest', 'upperArm', 'other.upperArm', 'thigh', 'other.thigh', 'forearm', 'other.forearm'],
      muscles: ['obliques'],
      hands: [works('palm', ['chest', 0.3, 140], { to: 'up' }), works('palm', ['other.upperArm', 0.1, 20], { to: 'down' })],
      marks: [{ kind: 'turn', at: ['neck', 0, 0], from: 10, to: -70, radius: 34 }],
      inset: upright('back', { ...SEATED_FOLDED, twist: 40 }, null, {
        ...table,
        frame: ['head', 'chest', 'pelvis', 'upperArm', 'other.upperArm'],
        muscles: ['obliques'],
      }),
    },
  ),
  'side-bend-seated': upright(
    'back',
    { ...SEATED, side: -36, neckSide: -8, sh: 168, plane: 0, elbow: 40 },
    { side: 0 },
    {
      ...table,
      frame: ['head', 'chest', 'pelvis', 'hand', 'forearm', 'other.upperArm'],
      muscles: ['obliques', 'quadratus'],
      hands: [holds('palm', ['pelvis', 0.35, 92], { to: 'down' }), works('cup', ['upperArm', 0.85, 90], { to: 'up' })],
      marks: [press(['upperArm', 0.5, 90])],
    },
  ),
  'lumbar-forearm-sink': prone('back', PRONE_ABOVE, null, {
    frame: ['head', 'chest', 'pelvis', 'thigh', 'other.thigh'],
    muscles: ['back-extensors'],
    hands: [works('forearm', ['waist', 0.6, 152], { to: 100, arm: 10 }), holds('palm', ['pelvis', 0.6, 178], { to: 150, from: 330 })],
    marks: [{ kind: 'sink', at: ['chest', 0.94, 164] }],
    inset: prone('side', PRONE, null, {
      frame: ['chest', 'pelvis', 'thigh'],
      muscles: ['back-extensors'],
      marks: [{ kind: 'sink', at: ['waist', 0.5, 180] }],
    }),
  }),
  'rib-pelvis-spread': sideLying('back', { ...SIDE_LYING, side: -6, sh: 150, plane: 40 }, null, {
    frame: middle,
    muscles: ['obliques'],
    hands: [works('forearm', ['chest', 0.72, 90], { to: 'up', arm: 10 }), works('forearm', ['pelvis', 0.4, 90], { to: 'down', arm: 10 })],
    marks: [{ kind: 'spread', at: ['waist', 0.5, 150] }],
  }),
  'quadratus-comfort': prone(
    'back',
    { ...PRONE_ABOVE, side: 20, hipOut: 34, hip: 10, knee: 64 },
    { side: 0, hipOut: 6, knee: 0, hip: 0 },
    {
      muscles: ['quadratus'],
      hands: [holds('fingers', ['waist', 0.5, 156], { to: 100 }), works('grip', ['pelvis', 0.3, 110], { to: 150 })],
      marks: [
        { kind: 'points', at: [['waist', 0.5, 160]] },
        { kind: 'way', at: ['pelvis', 0.1, 128], deg: 180 },
      ],
    },
  ),
  'quadratus-crossed': sideLying(
    'back',
    { ...SIDE_LYING, hip: -24, knee: 10, hipOut: -24, sh: 160, plane: 20, elbow: 20, 'other.hip': 50, 'other.knee': 70 },
    { hipOut: 0, sh: 110 },
    {
      muscles: ['quadratus'],
      hands: [works('forearm', ['chest', 0.78, 90], { to: 'down', arm: 10 }), works('forearm', ['pelvis', 0.4, 90], { to: 'up', arm: 10 })],
      marks: [press(['thigh', 0.5, 90])],
    },
  ),
  'quadratus-reset': sideLying('back', { ...SIDE_LYING, list: 8 }, null, {
    frame: middle,
    mover: 'athlete',
    muscles: ['quadratus'],
    hands: [works('heel', ['pelvis', 0.2, 92], { to: 'up' }), holds('palm', ['waist', 0.5, 150], { to: 70, from: 260 })],
    marks: [press(['pelvis', 0.66, 92], 170)],
  }),
  'back-extensors-reach': upright(
    'side',
    { ...LONG_SITTING, tilt: 8, hip: 94, 'other.hip': 94, bend: 26, twist: -22, sh: 96, plane: 90, elbow: 4, neck: 10, 'other.sh': 74 },
    { bend: 4, sh: 62, tilt: 0, twist: 0 },
    {
      ...table,
      mover: 'athlete',
      muscles: ['back-extensors'],
      hands: [holds('palm', ['waist', 0.5, 176], { to: 'up', from: 150 })],
      marks: [press(['chest', 0.7, 178])],
    },
  ),
  'back-reach-long-sitting': upright(
    'side',
    { ...LONG_SITTING, ...twice({ hip: 122, knee: 22, sh: 104, plane: 90, elbow: 4 }), tilt: 26, bend: 34, neck: 20 },
    { tilt: 0, bend: 4, ...twice({ hip: 96, sh: 70 }) },
    {
      ...table,
      muscles: ['back-extensors', 'hamstrings'],
      hands: [works('palm', ['waist', 0.4, 176], { to: 'up', from: 150 })],
      marks: [press(['chest', 0.8, 178])],
    },
  ),
  'pelvic-tilts': supine('side', HOOK, null, {
    mover: 'athlete',
    muscles: ['low-back'],
    hands: [holds('palm', ['waist', 0.5, 180], { to: 'down', from: 181, arm: 30 })],
    marks: [{ kind: 'rock', at: ['pelvis', 0.5, 90], deg: 90, radius: 16 }],
  }),
  'low-back-rock': supine('side', { ...HOOK, ...twice({ hip: 104, knee: 100, ankle: -10 }) }, null, {
    muscles: ['low-back'],
    hands: [works('forearm', ['thigh', 0.9, 180], { to: 'up', arm: 12 }), holds('palm', ['waist', 0.5, 0], { to: 'down', from: 120 })],
    marks: [{ kind: 'rock', at: ['thigh', 0.98, 0], deg: 60, radius: 16 }],
  }),
  'shoulder-roll': supine('crown', { ...SUPINE_ABOVE, twist: 16, neckTurn: -6 }, null, {
    without: ['legs', 'arm', 'other arm'],
    frame: ['head', 'chest', 'upperArm', 'other.upperArm'],
    hands: [works('palm', ['chest', 0.18, 128], { to: 160, from: 300 }), works('palm', ['chest', 0.18, -128], { to: 20, from: 240 })],
    marks: [{ kind: 'rock', at: ['chest', 0.2, 0], deg: 90, radius: 18 }],
  }),
  'belly-rock': supine('front', SUPINE_ABOVE, null, {
    frame: ['chest', 'pelvis', 'upperArm', 'other.upperArm'],
    muscles: ['belly'],
    hands: [works('palm', ['waist', 0.4, 54], { to: 90 }), works('palm', ['pelvis', 0.2, 50], { to: 84 })],
    marks: [{ kind: 'rock', at: ['waist', 0.4, -20], deg: 0, radius: 16 }],
  }),
};
