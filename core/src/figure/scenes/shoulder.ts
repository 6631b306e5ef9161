import type { Joints } from '../joints.ts';
import type { Scene } from '../scene.ts';
import { HEAD, holds, press, prone, SHOULDERS, sideLying, supine, TORSO, upright, works } from './make.ts';
import { HOOK, PRONE_ABOVE, SEATED, SIDE_LYING, SUPINE, SUPINE_ABOVE, twice } from './poses.ts';

const table = { on: 'table' } as const;
const overhead: Joints = { plane: 90, shIn: 0, elbow: 6, pron: 0 };
const crown = { without: ['other arm', 'legs'], frame: ['head', 'chest', 'upperArm', 'hand', 'other.upperArm'] } as const;

export const SHOULDER: Readonly<Record<string, Scene>> = {
  'latissimus-supine': supine(
    'side',
    { ...HOOK, ...overhead, sh: 170 },
    { sh: 108 },
    {
      muscles: ['latissimus'],
      hands: [works('cup', ['upperArm', 0.8, 180], { to: 'up' }), holds('palm', ['chest', 0.82, 88], { to: -30, from: 120 })],
      marks: [press(['forearm', 0.5, 0], 70)],
    },
  ),
  'latissimus-side-lying': sideLying(
    'back',
    { ...SIDE_LYING, sh: 158, plane: 20, elbow: 10 },
    { sh: 92 },
    {
      muscles: ['latissimus'],
      hands: [works('cup', ['upperArm', 0.8, 90], { to: 'down' }), holds('palm', ['chest', 0.7, 92], { to: 'down' })],
      marks: [press(['forearm', 0.4, 90], 60)],
    },
  ),
  'latissimus-heel-of-hand': sideLying(
    'back',
    { ...SIDE_LYING, sh: 168, plane: 4, elbow: 20 },
    { sh: 120 },
    {
      frame: TORSO,
      muscles: ['latissimus'],
      hands: [works('heel', ['chest', 0.4, 140], { to: -10, from: 140 }), works('cup', ['upperArm', 0.85, 90], { to: 'down' })],
      marks: [{ kind: 'way', at: ['chest', 0.66, 150], deg: 0 }],
    },
  ),
  'pectoralis-supine': supine(
    'front',
    { ...SUPINE_ABOVE, sh: 92, plane: 0, elbow: 90, shIn: -88, pron: 0 },
    { shIn: -30 },
    {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand', 'other.upperArm'],
      muscles: ['pectoralis-major'],
      hands: [holds('palm', ['chest', 0.42, 4], { to: -80, from: 100 }), works('grip', ['forearm', 0.7, 0], { to: 20 })],
      marks: [{ kind: 'sink', at: ['forearm', 0.4, 30] }, press(['forearm', 0.1, 0], -30)],
      inset: supine(
        'side',
        { ...SUPINE, sh: 90, plane: 0, elbow: 90, shIn: -86, pron: 90 },
        { shIn: -20 },
        { frame: ['head', 'chest', 'forearm', 'hand'] },
      ),
    },
  ),
  'pectoralis-press-stretch': supine(
    'crown',
    { ...SUPINE_ABOVE, sh: 90, plane: -34, elbow: 16 },
    { plane: 16 },
    {
      ...crown,
      muscles: ['pectoralis-major'],
      hands: [works('fist', ['chest', 0.24, 30], {}), works('grip', ['forearm', 0.3, 0], { to: 200 })],
      marks: [press(['forearm', 0.7, 0], 80)],
    },
  ),
  'pectoralis-nerve-line': supine(
    'front',
    { ...SUPINE_ABOVE, sh: 96, plane: 0, shIn: -70, elbow: 4, pron: -60, wrist: -64 },
    { wrist: 0 },
    {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand', 'other.upperArm'],
      muscles: ['pectoralis-major', 'wrist-flexors'],
      hands: [holds('palm', ['upperArm', 0.06, 10], { to: 200, from: 20 }), works('grip', ['hand', 0.5, 0], { to: 160 })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['upperArm', 0.3, 0],
            ['upperArm', 0.9, 0],
            ['forearm', 0.9, 0],
          ],
        },
      ],
    },
  ),
  'chest-opener-seated': upright(
    'side',
    { ...SEATED, ...twice({ sh: 124, plane: 8, shIn: -40, elbow: 138 }), bend: -10 },
    { ...twice({ plane: 62 }), bend: 4 },
    {
      ...table,
      frame: ['head', 'chest', 'pelvis', 'upperArm'],
      muscles: ['pectoralis-major'],
      hands: [works('cup', ['upperArm', 0.9, 0], { to: 'up', arm: 12 })],
      marks: [press(['upperArm', 0.7, 0], 0)],
      props: [{ kind: 'cushion', under: ['chest', 0.4, 180] }],
    },
  ),
  'upper-trap-side-lying': sideLying(
    'back',
    { ...SIDE_LYING, girdle: -14 },
    { girdle: 22 },
    {
      frame: SHOULDERS,
      muscles: ['upper-trapezius'],
      hands: [works('cup', ['upperArm', 0.06, 90], { to: 'down' }), works('grip', ['neck', 0.25, 140], { to: 60, from: 250 })],
      marks: [press(['upperArm', 0.3, 90], 176)],
    },
  ),
  'upper-trap-supine': supine(
    'front',
    { ...SUPINE_ABOVE, girdle: -12 },
    { girdle: 22 },
    {
      frame: HEAD,
      muscles: ['upper-trapezius'],
      hands: [
        works('palm', ['upperArm', 0.02, 30], { to: 10, from: 190 }),
        works('cup', ['neck', 0.3, 150], { to: -20, arm: 18, under: true }),
      ],
      marks: [{ kind: 'rock', at: ['upperArm', 0.05, 40], deg: 0, radius: 15 }],
    },
  ),
  'upper-trap-prone': prone(
    'back',
    { ...PRONE_ABOVE, girdle: -4 },
    { girdle: 14 },
    {
      frame: SHOULDERS,
      muscles: ['upper-trapezius'],
      hands: [works('grip', ['chest', 0.06, 140], { to: 30, from: 210 }), holds('palm', ['upperArm', 0.04, 90], { to: 'down' })],
      marks: [{ kind: 'rock', at: ['upperArm', 0.05, 140], deg: 0, radius: 15 }],
    },
  ),
  'scapula-four-glides': sideLying('back', { ...SIDE_LYING, girdle: 4 }, null, {
    frame: TORSO,
    muscles: ['shoulder-blade'],
    hands: [works('cup', ['upperArm', 0.02, 90], { to: 'down' }), works('palm', ['chest', 0.52, 150], { to: 130, from: 300 })],
    marks: [
      { kind: 'way', at: ['chest', 0.02, 134], deg: 180 },
      { kind: 'way', at: ['chest', 0.8, 140], deg: 0 },
      { kind: 'way', at: ['chest', 0.34, 174], deg: 270 },
    ],
  }),
  'scapula-lift-behind-back': prone('back', { ...PRONE_ABOVE, sh: 30, plane: -62, shIn: 64, elbow: 108, pron: 60, girdle: 6 }, null, {
    frame: TORSO,
    muscles: ['rhomboids'],
    hands: [works('fingers', ['chest', 0.34, 152], { to: 60, from: 240 }), works('cup', ['upperArm', 0.04, 90], { to: 'down' })],
    marks: [{ kind: 'sink', at: ['chest', 0.34, 158] }],
  }),
  'arm-circles-traction': supine('side', { ...SUPINE, ...overhead, sh: 92 }, null, {
    muscles: ['cuff'],
    hands: [works('cup', ['upperArm', 0.85, 180], { to: 'down' }), works('grip', ['forearm', 0.92, 90], { to: 160 })],
    marks: [
      { kind: 'circle', at: ['hand', 0.9, 0], radius: 14 },
      { kind: 'pull', at: ['upperArm', 0.1, 0] },
    ],
  }),
  'subscapularis-approach': supine(
    'front',
    { ...SUPINE_ABOVE, sh: 84, plane: 0, elbow: 50, shIn: -30 },
    { shIn: 20 },
    {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
      muscles: ['subscapularis'],
      hands: [works('fingers', ['chest', 0.3, 88], { from: -60 }), works('grip', ['forearm', 0.8, 0], { to: 30 })],
      marks: [{ kind: 'points', at: [['chest', 0.3, 84]] }],
    },
  ),
  'cuff-back-supine': supine(
    'side',
    { ...SUPINE, sh: 90, plane: 0, elbow: 90, shIn: 62, pron: 90 },
    { shIn: 0 },
    {
      frame: ['head', 'chest', 'forearm', 'hand', 'pelvis'],
      muscles: ['cuff-back'],
      hands: [holds('heel', ['chest', 0.14, 40], { to: 'down' }), works('cup', ['forearm', 0.9, 180], { to: 'up' })],
      marks: [press(['forearm', 0.6, 180])],
    },
  ),
  'cuff-four-way': supine('crown', { ...SUPINE_ABOVE, sh: 8, plane: 0, elbow: 90, pron: 0 }, null, {
    without: ['other arm', 'legs'],
    frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
    muscles: ['cuff'],
    hands: [works('palm', ['forearm', 0.85, 90], { to: 'up' }), holds('cup', ['upperArm', 0.9, 90], { to: 'down' })],
    marks: [press(['forearm', 0.55, 90], 0), press(['forearm', 0.55, -90], 180)],
  }),
  'deltoid-front': sideLying(
    'side',
    { ...SIDE_LYING, sh: 62, plane: -88, elbow: 84, pron: 0, shIn: 0 },
    { sh: 6 },
    {
      frame: TORSO,
      muscles: ['deltoid-front'],
      hands: [holds('palm', ['chest', 0.3, 168], { to: 'up' }), works('cup', ['upperArm', 0.9, 180], { to: 'up' })],
      marks: [press(['upperArm', 0.9, 0])],
    },
  ),
  'deltoid-middle': upright(
    'back',
    { ...SEATED, sh: 34, plane: -96, shIn: 52, elbow: 74, pron: 60 },
    { plane: -24 },
    {
      ...table,
      frame: ['head', 'chest', 'pelvis', 'upperArm', 'other.upperArm', 'hand'],
      muscles: ['deltoid-middle'],
      hands: [holds('palm', ['chest', 0.08, 110], { to: 250 }), works('grip', ['upperArm', 0.92, 150], { to: 180 })],
      marks: [press(['upperArm', 0.7, 90], 0)],
    },
  ),
  'deltoid-back': supine(
    'crown',
    { ...SUPINE_ABOVE, sh: 92, plane: 142, elbow: 70, pron: 60 },
    { plane: 92 },
    {
      ...crown,
      muscles: ['deltoid-back'],
      hands: [works('cup', ['upperArm', 0.92, 180], { to: 'up' }), holds('palm', ['chest', 0.3, 128], { to: 100, from: 300 })],
      marks: [press(['upperArm', 0.6, 180])],
    },
  ),
  'first-rib-reach': supine('front', { ...SUPINE_ABOVE, neckSide: 14 }, null, {
    frame: ['head', 'chest', 'upperArm', 'forearm', 'hand', 'pelvis'],
    mover: 'athlete',
    muscles: ['first-rib'],
    hands: [works('edge', ['neck', 0.02, 86], { to: 20, from: 200 }), holds('palm', ['head', 0.6, -60], { to: -10, arm: 10 })],
    marks: [
      { kind: 'way', at: ['hand', 0.8, 0], deg: 0 },
      { kind: 'glide', at: ['chest', 0.03, 70], deg: 0 },
    ],
  }),
  'second-third-rib': supine('front', { ...SUPINE_ABOVE, sh: 164, plane: 0, elbow: 10 }, null, {
    frame: ['head', 'chest', 'upperArm', 'hand', 'other.hand', 'pelvis'],
    mover: 'athlete',
    muscles: ['second-third-rib'],
    hands: [works('fingers', ['chest', 0.22, 74], { to: 40, from: 230 }), holds('grip', ['forearm', 0.4, 0], { to: 60 })],
    marks: [
      { kind: 'way', at: ['other.hand', 0.8, 0], deg: 0 },
      { kind: 'glide', at: ['chest', 0.36, 60], deg: 0 },
    ],
  }),
  'overhead-rib-rock': supine('side', { ...SUPINE, ...overhead, sh: 172 }, null, {
    frame: ['head', 'chest', 'pelvis', 'upperArm', 'hand'],
    muscles: ['serratus', 'intercostals'],
    hands: [works('palm', ['chest', 0.62, 88], { to: 100, from: 290 }), holds('palm', ['upperArm', 0.7, 0], { to: 'up' })],
    marks: [{ kind: 'rock', at: ['chest', 0.95, 80], deg: 90, radius: 14 }],
  }),
  'three-breath-chest-press': supine('side', SUPINE, null, {
    frame: ['head', 'chest', 'pelvis'],
    muscles: ['intercostals', 'upper-ribs'],
    hands: [works('palm', ['chest', 0.3, 0], { to: 'down', from: 130 })],
    marks: [{ kind: 'sink', at: ['chest', 0.62, 0] }],
  }),
  'thoracic-spring': supine('side', SUPINE, null, {
    frame: ['head', 'chest', 'pelvis'],
    muscles: ['upper-back'],
    hands: [works('palm', ['chest', 0.45, 180], { to: 0, from: 178, arm: 40 })],
    marks: [{ kind: 'rock', at: ['chest', 0.5, 0], deg: 90, radius: 10 }],
  }),
  'shoulder-down-glide': supine('front', { ...SUPINE_ABOVE, sh: 88, plane: 0, elbow: 40 }, null, {
    frame: ['head', 'chest', 'upperArm', 'forearm'],
    hands: [works('edge', ['upperArm', 0.04, -80], { to: -40, from: 170 }), holds('cup', ['upperArm', 0.85, 90], { to: 'up' })],
    marks: [
      { kind: 'joint', at: ['upperArm', 0, 0] },
      { kind: 'glide', at: ['upperArm', 0.06, 0], deg: 0 },
    ],
  }),
};
