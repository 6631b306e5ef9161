import type { BoneId } from '../body.ts';
import type { JointKey, Joints } from '../joints.ts';
import type { Scene } from '../scene.ts';
import {
  HOOK,
  LONG_SITTING,
  PRONE,
  PRONE_ABOVE,
  SEATED,
  SEATED_FOLDED,
  SIDE_LYING,
  STANDING,
  SUPINE,
  SUPINE_ABOVE,
  other,
  twice,
} from './poses.ts';

/** A bone's far end, its near end, or a named spot of the body. */
export type Spot =
  BoneId | `${BoneId}:near` | 'nose' | 'crown' | 'eyes' | 'thumb' | 'knuckles' | 'fingertips' | 'ball' | 'toes' | 'ankle' | 'sole';

/** A test position, and which joints a value turns: each by zero + perUnit × value, degrees. */
export interface MotionScene {
  readonly scene: Scene;
  readonly moves: Readonly<Partial<Record<JointKey, readonly [zero: number, perUnit: number]>>>;
  /** What it turns about, and what is read. */
  readonly axis: Spot;
  readonly tip: Spot;
  /** Head and trunk go to either side: a right value is drawn as it is, a left one as its mirror. */
  readonly central?: true;
  /** The other limb is needed elsewhere: the second side is a needle only. */
  readonly alone?: true;
}

const make = (
  view: Scene['view'],
  posture: Scene['posture'],
  joints: Joints,
  moves: MotionScene['moves'],
  axis: Spot,
  tip: Spot,
  more: Partial<Scene> & { central?: true; alone?: true } = {},
): MotionScene => {
  const { central, alone, ...scene } = more;
  return {
    scene: { posture, view, joints, ...scene },
    moves,
    axis,
    tip,
    ...(central ? { central } : {}),
    ...(alone ? { alone } : {}),
  };
};

const LEG: readonly BoneId[] = ['pelvis', 'thigh', 'shank', 'foot'];
const LOWER: readonly BoneId[] = ['shank', 'foot'];
const HEAD: readonly BoneId[] = ['head', 'neck', 'chest'];
const ARM: readonly BoneId[] = ['head', 'chest', 'upperArm', 'forearm', 'hand'];
const FOREARM: readonly BoneId[] = ['forearm', 'hand'];
const seatedOnTable = { on: 'table' } as const;
const standing = { on: 'floor' } as const;

const HIP: Readonly<Record<string, MotionScene>> = {
  'hip-extension-knee-straight': make('side', 'prone', PRONE, { hip: [0, -1] }, 'thigh:near', 'shank'),
  'hip-extension-knee-bent': make('side', 'prone', { ...PRONE, knee: 90, ankle: -10 }, { hip: [0, -1] }, 'thigh:near', 'thigh'),
  'hip-flexion': make('side', 'supine', { ...SUPINE, knee: 115 }, { hip: [0, 1] }, 'thigh:near', 'thigh'),
  'straight-leg-raise': make('side', 'supine', { ...SUPINE, ankle: -24 }, { hip: [0, 1] }, 'thigh:near', 'shank'),
  'straight-leg-raise-ankle-up': make('side', 'supine', { ...SUPINE, ankle: 18 }, { hip: [0, 1] }, 'thigh:near', 'shank'),
  'straight-leg-raise-active': make('side', 'supine', { ...SUPINE, ankle: 0, toes: 8 }, { hip: [0, 1] }, 'thigh:near', 'shank', {
    mover: 'athlete',
  }),
  'hip-flexion-active': make('side', 'supine', { ...SUPINE, knee: 108, ankle: 0 }, { hip: [0, 1] }, 'thigh:near', 'thigh', {
    mover: 'athlete',
  }),
  'hip-internal-rotation': make(
    'feet',
    'prone',
    { ...twice({ knee: 90, ankle: 0 }), hipOut: 3 },
    { hipIn: [0, 1] },
    'shank:near',
    'shank',
    {
      frame: ['pelvis', 'shank', 'foot', 'other.shank', 'other.foot'],
    },
  ),
  'hip-external-rotation': make(
    'feet',
    'prone',
    { ...twice({ knee: 90, ankle: 0 }), hipOut: 3 },
    { hipIn: [0, -1] },
    'shank:near',
    'shank',
    {
      frame: ['pelvis', 'shank', 'foot', 'other.shank', 'other.foot'],
    },
  ),
  'hip-abduction': make('front', 'supine', SUPINE_ABOVE, { hipOut: [0, 1] }, 'thigh:near', 'shank'),
  'hip-adduction': make(
    'front',
    'supine',
    { ...SUPINE_ABOVE, 'other.hip': 40, 'other.hipOut': 42, 'other.knee': 70 },
    { hipOut: [0, -1] },
    'thigh:near',
    'shank',
    { alone: true },
  ),
  'hip-extension-table-end': make(
    'side',
    'supine',
    { ...SUPINE, knee: 66, 'other.hip': 116, 'other.knee': 124, 'other.ankle': -10 },
    { hip: [0, -1] },
    'thigh:near',
    'thigh',
    {
      edge: ['pelvis', 0.95, 180],
      alone: true,
    },
  ),
  'hip-adduction-side-straight': make(
    'back',
    'side-lying',
    { ...SIDE_LYING, hip: -8, knee: 0, ankle: 0 },
    { hipOut: [0, -1] },
    'thigh:near',
    'shank',
    { alone: true },
  ),
  'hip-adduction-side-bent': make(
    'back',
    'side-lying',
    { ...SIDE_LYING, hip: -4, knee: 70, ankle: 0 },
    { hipOut: [0, -1] },
    'thigh:near',
    'thigh',
    { alone: true },
  ),
  'hip-internal-rotation-seated': make(
    'front',
    'upright',
    { ...SEATED, ...twice({ hip: 90, knee: 90, hipOut: 4 }) },
    { hipIn: [0, 1] },
    'shank:near',
    'shank',
    seatedOnTable,
  ),
  'hip-external-rotation-seated': make(
    'front',
    'upright',
    { ...SEATED, ...twice({ hip: 90, knee: 90, hipOut: 4 }) },
    { hipIn: [0, -1] },
    'shank:near',
    'shank',
    seatedOnTable,
  ),
  'hip-abduction-knee-bent': make(
    'front',
    'supine',
    { ...SUPINE_ABOVE, ...twice({ hip: 58, knee: 112, hipOut: 46, ankle: -10 }) },
    { hipOut: [0, 1] },
    'thigh:near',
    'thigh',
  ),
  'knee-to-table': make(
    'feet',
    'supine',
    { ...twice({ hip: 58, knee: 112, hipOut: 46, ankle: 0 }) },
    { hipOut: [84, -1.7] },
    'thigh:near',
    'thigh',
    {
      frame: ['pelvis', 'thigh', 'shank', 'foot', 'other.thigh', 'other.shank', 'other.foot'],
    },
  ),
};

const KNEE: Readonly<Record<string, MotionScene>> = {
  'knee-flexion': make('side', 'supine', { ...SUPINE, hip: 80, ankle: -10 }, { knee: [0, 1] }, 'shank:near', 'shank'),
  'knee-extension-hip-90': make('side', 'supine', { ...SUPINE, hip: 90, ankle: 0 }, { knee: [0, 1] }, 'shank:near', 'shank', {
    mover: 'athlete',
  }),
  'knee-extension-hip-90-passive': make('side', 'supine', { ...SUPINE, hip: 90, ankle: -20 }, { knee: [0, 1] }, 'shank:near', 'shank'),
  'knee-extension-hip-90-ankle-up': make('side', 'supine', { ...SUPINE, hip: 90, ankle: 20 }, { knee: [0, 1] }, 'shank:near', 'shank'),
  'heel-to-buttock': make('side', 'prone', { ...PRONE, ankle: -30 }, { knee: [152, -1.8] }, 'shank:near', 'shank'),
  'knee-flexion-prone': make('side', 'prone', { ...PRONE, ankle: -10 }, { knee: [0, 1] }, 'shank:near', 'shank'),
  'knee-flexion-table-end': make(
    'side',
    'supine',
    { ...SUPINE, hip: -4, 'other.hip': 116, 'other.knee': 124, ankle: -14 },
    { knee: [0, 1] },
    'shank:near',
    'shank',
    {
      edge: ['thigh', 0.5, 180],
      alone: true,
    },
  ),
  'knee-extension': make('side', 'supine', { ...SUPINE, hip: 4, ankle: 0 }, { knee: [0, -1] }, 'shank:near', 'shank', {
    frame: LEG,
    props: [{ kind: 'roll', under: ['shank', 0.95, 180] }],
    alone: true,
  }),
  'tibial-internal-rotation': make('crown', 'upright', SEATED, { shinIn: [0, 1] }, 'ankle', 'foot', {
    ...seatedOnTable,
    frame: ['thigh', 'foot', 'other.thigh', 'other.foot'],
  }),
  'tibial-external-rotation': make('crown', 'upright', SEATED, { shinIn: [0, -1] }, 'ankle', 'foot', {
    ...seatedOnTable,
    frame: ['thigh', 'foot', 'other.thigh', 'other.foot'],
  }),
};

const lunge: Joints = {
  ...STANDING,
  'other.hip': -32,
  'other.knee': 14,
  'other.ankle': 22,
  ...twice({ sh: 76, plane: 90, elbow: 14, wrist: -50, pron: 90 }),
};
const CALF_STEP: Joints = {
  ...STANDING,
  'other.hip': 34,
  'other.knee': 44,
  'other.ankle': 6,
  ...twice({ sh: 80, plane: 90, elbow: 12, wrist: -50, pron: 90 }),
  tilt: 8,
};
const ANKLE: Readonly<Record<string, MotionScene>> = {
  'ankle-dorsiflexion': make('side', 'supine', { ...SUPINE, 'other.hip': 2 }, { ankle: [0, 1] }, 'ankle', 'foot', {
    frame: LOWER,
    edge: ['shank', 0.86, 180],
  }),
  'ankle-dorsiflexion-active': make('side', 'supine', { ...SUPINE, toes: 24 }, { ankle: [0, 1] }, 'ankle', 'foot', {
    frame: LOWER,
    edge: ['shank', 0.86, 180],
    mover: 'athlete',
  }),
  'ankle-plantar-flexion': make('side', 'supine', { ...SUPINE, hip: 24, knee: 30 }, { ankle: [0, -1] }, 'ankle', 'foot', {
    frame: LOWER,
    props: [{ kind: 'cushion', under: ['thigh', 0.96, 180] }],
  }),
  'ankle-lunge': make('side', 'upright', { ...lunge, knee: 62 }, { ankle: [0, 1], hip: [62, -1] }, 'ankle', 'thigh', {
    ...standing,
    anchor: 'shank',
    path: ['thigh', 'shank'],
    props: [{ kind: 'wall', side: 'right', at: ['hand', 0.6, 0] }],
    alone: true,
  }),
  'ankle-deep-squat': make(
    'side',
    'upright',
    { ...STANDING, ...twice({ sh: 84, plane: 90, elbow: 6, knee: 122 }), tilt: 34 },
    { ankle: [0, 1], hip: [156, -1], 'other.ankle': [0, 1], 'other.hip': [156, -1] },
    'ankle',
    'thigh',
    { ...standing, anchor: 'shank', path: ['thigh', 'shank'] },
  ),
  'knee-to-wall': make('side', 'upright', { ...lunge, knee: 72 }, { ankle: [12, 2], hip: [60, -2] }, 'ankle', 'thigh', {
    ...standing,
    anchor: 'shank',
    path: ['thigh', 'shank'],
    frame: ['thigh', 'shank', 'foot'],
    props: [{ kind: 'wall', side: 'right', at: ['shank', 0.02, 0] }],
    alone: true,
  }),
  'ankle-dorsiflexion-knee-bent': make('side', 'prone', { ...PRONE, knee: 90 }, { ankle: [0, 1] }, 'ankle', 'foot', {
    frame: ['thigh', 'shank', 'foot'],
  }),
  'ankle-lunge-knee-straight': make('side', 'upright', CALF_STEP, { ankle: [0, 1], hip: [8, -1] }, 'ankle', 'thigh', {
    ...standing,
    anchor: 'shank',
    path: ['thigh', 'shank'],
    props: [{ kind: 'wall', side: 'right', at: ['hand', 0.6, 0] }],
    alone: true,
  }),
  'subtalar-inversion': make('back', 'prone', { ...PRONE_ABOVE, ...twice({ ankle: 0 }) }, { soleIn: [0, 1] }, 'ankle', 'sole', {
    frame: ['shank', 'foot'],
    alone: true,
  }),
  'subtalar-eversion': make('back', 'prone', { ...PRONE_ABOVE, ...twice({ ankle: 0 }) }, { soleIn: [0, -1] }, 'ankle', 'sole', {
    frame: ['shank', 'foot'],
    alone: true,
  }),
};

const FOOT: Readonly<Record<string, MotionScene>> = {
  'forefoot-in': make('front', 'supine', { ...SUPINE_ABOVE, ...twice({ ankle: 0 }) }, { soleIn: [0, 1] }, 'ankle', 'sole', {
    frame: ['shank', 'foot'],
  }),
  'forefoot-out': make('front', 'supine', { ...SUPINE_ABOVE, ...twice({ ankle: 0 }) }, { soleIn: [0, -1] }, 'ankle', 'sole', {
    frame: ['shank', 'foot'],
  }),
  'arch-drop': make('back', 'upright', STANDING, { soleIn: [0, -6] }, 'ankle', 'sole', { ...standing, frame: ['shank', 'foot'] }),
  'big-toe-extension': make('inside', 'supine', { ...SUPINE, ankle: -18 }, { toes: [0, 1] }, 'ball', 'toes', { frame: ['foot'] }),
  'big-toe-extension-ankle-up': make('inside', 'supine', { ...SUPINE, ankle: 16 }, { toes: [0, 1] }, 'ball', 'toes', { frame: ['foot'] }),
  'big-toe-extension-standing': make('inside', 'upright', STANDING, { toes: [0, 1] }, 'ball', 'toes', { ...standing, frame: ['foot'] }),
  'big-toe-flexion': make('inside', 'supine', { ...SUPINE, ankle: -18 }, { toes: [0, -1] }, 'ball', 'toes', { frame: ['foot'] }),
  'lesser-toes-extension': make('side', 'supine', { ...SUPINE, ankle: -18 }, { toes: [0, 1] }, 'ball', 'toes', {
    frame: ['foot'],
    without: ['other leg'],
  }),
  'lesser-toes-flexion': make('side', 'supine', { ...SUPINE, ankle: -18 }, { toes: [0, -1] }, 'ball', 'toes', {
    frame: ['foot'],
    without: ['other leg'],
  }),
};

const straightLegsBend = (perUnit: number, zero = 0): MotionScene['moves'] => ({
  tilt: [zero * 0.55, perUnit * 0.55],
  hip: [zero * 0.55, perUnit * 0.55],
  'other.hip': [zero * 0.55, perUnit * 0.55],
  bend: [zero * 0.45, perUnit * 0.45],
  sh: [zero * 0.95, perUnit * 0.95],
  'other.sh': [zero * 0.95, perUnit * 0.95],
});
const REACHING: Joints = { ...STANDING, ...twice({ sh: 60, plane: 90, elbow: 4 }) };
const TRUNK: Readonly<Record<string, MotionScene>> = {
  'trunk-rotation': make('crown', 'upright', SEATED_FOLDED, { twist: [0, 1] }, 'chest:near', 'upperArm', {
    ...seatedOnTable,
    central: true,
  }),
  'trunk-side-bend': make('back', 'upright', STANDING, { side: [0, 1] }, 'pelvis', 'neck:near', { ...standing, central: true }),
  'side-bend-slide': make(
    'back',
    'upright',
    { ...STANDING, ...twice({ sh: 4, plane: 0, elbow: 0 }) },
    { side: [0, 1.5] },
    'pelvis',
    'neck:near',
    { ...standing, central: true },
  ),
  'fingertip-to-floor': make('side', 'upright', { ...REACHING, neck: 20 }, straightLegsBend(-1.6, 112), 'pelvis', 'neck:near', standing),
  'trunk-flexion': make('side', 'upright', { ...STANDING, neck: 20 }, straightLegsBend(1), 'pelvis', 'neck:near', standing),
  'trunk-extension': make(
    'side',
    'upright',
    { ...STANDING, ...twice({ sh: 44, plane: -60, elbow: 92, shIn: 30 }) },
    { bend: [0, -0.8], tilt: [0, -0.2], hip: [0, -0.2], 'other.hip': [0, -0.2] },
    'pelvis',
    'neck:near',
    standing,
  ),
  'trunk-extension-prone': make(
    'side',
    'prone',
    { ...PRONE, neck: -18, ...twice({ sh: 60, plane: 90, elbow: 40, pron: 90, wrist: -60 }) },
    { bend: [0, -1] },
    'pelvis',
    'neck:near',
  ),
  'trunk-rotation-lying': make(
    'side',
    'side-lying',
    { ...SIDE_LYING, ...twice({ hip: 70, knee: 84 }), sh: 88, plane: 30, elbow: 8 },
    { twist: [0, 0.9], plane: [60, -0.6] },
    'chest:near',
    'hand',
    { alone: true },
  ),
  'trunk-rotation-locked': make(
    'side',
    'prone',
    {
      ...twice({ hip: 112, knee: 138, ankle: -50 }),
      neck: -10,
      sh: 84,
      plane: 10,
      elbow: 140,
      'other.sh': 80,
      'other.plane': 96,
      'other.elbow': 88,
    },
    { twist: [0, 1] },
    'chest:near',
    'upperArm',
    { on: 'floor', alone: true },
  ),
  'lumbar-rotation': make(
    'front',
    'supine',
    { ...SUPINE_ABOVE, ...twice({ sh: 78, plane: 0, elbow: 6, hip: 64, knee: 96, hipOut: 0 }) },
    { turn: [0, -1], twist: [0, 1] },
    'thigh:near',
    'thigh',
    { central: true },
  ),
  'sit-and-reach': make(
    'side',
    'upright',
    { ...LONG_SITTING, ...twice({ plane: 90, elbow: 4, ankle: 4 }), neck: 12 },
    { tilt: [24, 0.9], hip: [108, 0.9], 'other.hip': [108, 0.9], bend: [24, 0.3], sh: [92, 0.62], 'other.sh': [92, 0.62] },
    'pelvis',
    'neck:near',
    { on: 'table' },
  ),
};

const NECK: Readonly<Record<string, MotionScene>> = {
  'neck-rotation': make('crown', 'upright', SEATED, { neckTurn: [0, 1] }, 'eyes', 'nose', {
    ...seatedOnTable,
    frame: ['head', 'upperArm', 'other.upperArm', 'chest'],
    central: true,
  }),
  'neck-side-bend': make('front', 'upright', SEATED, { neckSide: [0, 1] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: HEAD,
    central: true,
  }),
  'neck-flexion': make('side', 'upright', SEATED, { neck: [0, 0.8], nod: [0, 0.2] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: HEAD,
  }),
  'neck-extension': make('side', 'upright', SEATED, { neck: [0, -0.7], nod: [0, -0.3] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: HEAD,
  }),
  'neck-rotation-supine': make('crown', 'supine', SUPINE_ABOVE, { neckTurn: [0, 1] }, 'eyes', 'nose', {
    frame: ['head', 'chest'],
    without: ['arm', 'other arm', 'legs'],
    central: true,
  }),
  'neck-side-bend-supine': make('front', 'supine', SUPINE_ABOVE, { neckSide: [0, 1] }, 'neck:near', 'crown', {
    frame: HEAD,
    central: true,
  }),
  'neck-rotation-bent': make('crown', 'supine', { ...SUPINE_ABOVE, neck: 34 }, { neckTurn: [0, 1] }, 'eyes', 'nose', {
    frame: ['head', 'chest'],
    without: ['arm', 'other arm', 'legs'],
    central: true,
  }),
  'chin-to-chest': make('side', 'upright', SEATED, { neck: [46, -3.6], nod: [8, -0.7] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: ['head', 'neck', 'chest'],
  }),
};

const BEHIND_OVER: Joints = {
  ...STANDING,
  sh: 168,
  plane: 20,
  elbow: 140,
  pron: 60,
  'other.sh': 26,
  'other.plane': -70,
  'other.shIn': 70,
  'other.elbow': 112,
  'other.pron': 70,
};
const OUT: Joints = { ...SUPINE, sh: 90, plane: 0, elbow: 90, pron: 90 };
const SHOULDER: Readonly<Record<string, MotionScene>> = {
  'acromion-to-table': make('crown', 'supine', { ...SUPINE_ABOVE, sh: 4 }, { reach: [0, 3.4] }, 'upperArm:near', 'upperArm', {
    without: ['legs'],
    frame: ['chest', 'upperArm', 'head', 'other.upperArm'],
  }),
  'scapula-upward-rotation': make(
    'back',
    'upright',
    { ...STANDING, sh: 90, plane: 0, elbow: 4 },
    { girdle: [0, 0.6], sh: [80, 0.3] },
    'upperArm:near',
    'hand',
    { ...standing, frame: ['head', 'chest', 'upperArm', 'hand', 'other.upperArm'], muscles: ['shoulder-blade'] },
  ),
  'hands-behind-back-gap': make('back', 'upright', BEHIND_OVER, { elbow: [150, -0.9] }, 'forearm:near', 'hand', {
    ...standing,
    frame: ['head', 'chest', 'pelvis', 'upperArm', 'forearm', 'other.upperArm', 'other.forearm'],
    alone: true,
  }),
  'fist-to-wall': make(
    'side',
    'upright',
    { ...STANDING, ...twice({ plane: 90, elbow: 4, fingers: 90 }) },
    { sh: [184, -1.6], 'other.sh': [184, -1.6] },
    'upperArm:near',
    'hand',
    { ...standing, props: [{ kind: 'wall', side: 'left', at: ['pelvis', 0.9, 180] }] },
  ),
  'shoulder-flexion': make('side', 'supine', { ...HOOK, plane: 90, shIn: 0, elbow: 4, pron: 0 }, { sh: [0, 1] }, 'upperArm:near', 'hand', {
    alone: true,
  }),
  'shoulder-flexion-back-free': make(
    'side',
    'supine',
    { ...SUPINE, plane: 90, shIn: 0, elbow: 4, pron: 0, bend: -14 },
    { sh: [0, 1] },
    'upperArm:near',
    'hand',
    { alone: true },
  ),
  'shoulder-flexion-active': make('side', 'upright', { ...STANDING, plane: 90, elbow: 4 }, { sh: [0, 1] }, 'upperArm:near', 'hand', {
    ...standing,
    mover: 'athlete',
  }),
  'combined-elevation': make(
    'side',
    'prone',
    { ...PRONE, neck: 4, ...twice({ plane: 90, elbow: 2 }) },
    { sh: [180, 1], 'other.sh': [180, 1] },
    'upperArm:near',
    'hand',
    { mover: 'athlete' },
  ),
  'shoulder-extension': make(
    'side',
    'prone',
    { ...PRONE, plane: -90, elbow: 6, ...other({ sh: 12, plane: 0, elbow: 8 }) },
    { sh: [0, 1] },
    'upperArm:near',
    'hand',
    { alone: true },
  ),
  'shoulder-abduction': make(
    'front',
    'supine',
    { ...SUPINE_ABOVE, plane: 0, elbow: 4, pron: -80 },
    { sh: [0, 1] },
    'upperArm:near',
    'hand',
  ),
  'shoulder-abduction-active': make(
    'back',
    'upright',
    { ...STANDING, plane: 0, elbow: 4, shIn: -60 },
    { sh: [0, 1] },
    'upperArm:near',
    'hand',
    {
      ...standing,
      mover: 'athlete',
    },
  ),
  'shoulder-internal-rotation': make('side', 'supine', OUT, { shIn: [0, 1] }, 'forearm:near', 'hand', { frame: ARM }),
  'shoulder-external-rotation': make('side', 'supine', OUT, { shIn: [0, -1] }, 'forearm:near', 'hand', { frame: ARM }),
  'shoulder-external-rotation-side': make(
    'crown',
    'supine',
    { ...SUPINE_ABOVE, sh: 6, plane: 0, elbow: 90 },
    { shIn: [0, -1] },
    'forearm:near',
    'hand',
    { frame: ['head', 'chest', 'upperArm', 'forearm', 'hand', 'other.upperArm'], without: ['other arm', 'legs'] },
  ),
  'shoulder-internal-rotation-lying': make(
    'front',
    'side-lying',
    { ...SIDE_LYING, 'other.sh': 88, 'other.plane': 90, 'other.elbow': 90 },
    { 'other.shIn': [90, 1] },
    'other.forearm:near',
    'other.hand',
    { frame: ['head', 'chest', 'other.upperArm', 'other.forearm', 'other.hand', 'pelvis'], alone: true },
  ),
  'shoulder-horizontal-adduction': make(
    'crown',
    'supine',
    { ...SUPINE_ABOVE, sh: 90, elbow: 8 },
    { plane: [90, 1] },
    'upperArm:near',
    'hand',
    {
      frame: ['head', 'chest', 'upperArm', 'hand', 'other.upperArm'],
      without: ['other arm', 'legs'],
    },
  ),
  'shoulder-horizontal-abduction': make(
    'crown',
    'supine',
    { ...SUPINE_ABOVE, sh: 90, elbow: 20, pron: -40 },
    { plane: [0, -1] },
    'upperArm:near',
    'hand',
    { frame: ['head', 'chest', 'upperArm', 'hand', 'other.upperArm'], without: ['other arm', 'legs'] },
  ),
  'shoulder-horizontal-abduction-high': make(
    'crown',
    'supine',
    { ...SUPINE_ABOVE, sh: 128, elbow: 8, pron: -40 },
    { plane: [0, -1] },
    'upperArm:near',
    'hand',
    { frame: ['head', 'chest', 'upperArm', 'hand', 'other.upperArm'], without: ['other arm', 'legs'] },
  ),
  'hand-behind-back': make(
    'back',
    'upright',
    { ...STANDING, sh: 24, plane: -72, shIn: 66, pron: 70 },
    { elbow: [128, -1.5] },
    'forearm:near',
    'hand',
    { ...standing, frame: ['head', 'chest', 'pelvis', 'upperArm', 'forearm', 'other.upperArm'], alone: true },
  ),
};

const HAND_ONLY = { on: 'none', without: ['other arm', 'legs'] } as const;
const DOWN_ON_TABLE: Joints = { ...SEATED, sh: 24, plane: 88, elbow: 66, pron: 90 };
const HANDS: Readonly<Record<string, MotionScene>> = {
  'elbow-flexion': make('side', 'supine', { ...SUPINE, sh: 8, plane: 60, shIn: 0, pron: -60 }, { elbow: [0, 1] }, 'forearm:near', 'hand', {
    frame: ARM,
  }),
  'elbow-extension': make(
    'side',
    'supine',
    { ...SUPINE, sh: 8, plane: 60, shIn: 0, pron: -60 },
    { elbow: [0, -1] },
    'forearm:near',
    'hand',
    {
      frame: ARM,
    },
  ),
  'elbow-extension-arm-back': make(
    'side',
    'supine',
    { ...SUPINE, sh: 26, plane: -90, shIn: 0, pron: 60 },
    { elbow: [0, -1] },
    'forearm:near',
    'hand',
    { frame: ARM, without: ['other arm'], alone: true },
  ),
  'elbow-flexion-overhead': make(
    'side',
    'supine',
    { ...SUPINE, sh: 168, plane: 90, shIn: 0, pron: 0 },
    { elbow: [0, 1] },
    'forearm:near',
    'hand',
    { frame: ARM },
  ),
  'forearm-pronation': make(
    'front',
    'upright',
    { ...SEATED, sh: 6, plane: 20, elbow: 90, fingers: 90 },
    { pron: [0, 1] },
    'knuckles',
    'thumb',
    {
      ...HAND_ONLY,
      frame: ['hand', 'upperArm'],
    },
  ),
  'forearm-supination': make(
    'front',
    'upright',
    { ...SEATED, sh: 6, plane: 20, elbow: 90, fingers: 90 },
    { pron: [0, -1] },
    'knuckles',
    'thumb',
    { ...HAND_ONLY, frame: ['hand', 'upperArm'] },
  ),
  'wrist-flexion': make('side', 'upright', { ...DOWN_ON_TABLE, fingers: 18 }, { wrist: [0, 1] }, 'hand:near', 'hand', {
    ...HAND_ONLY,
    frame: FOREARM,
    props: [{ kind: 'top', under: ['forearm', 0.5, 0] }],
  }),
  'wrist-flexion-fist': make('side', 'upright', { ...DOWN_ON_TABLE, fingers: 95 }, { wrist: [0, 1] }, 'hand:near', 'hand', {
    ...HAND_ONLY,
    frame: FOREARM,
    props: [{ kind: 'top', under: ['forearm', 0.5, 0] }],
  }),
  'wrist-extension': make('side', 'upright', { ...DOWN_ON_TABLE, fingers: 40 }, { wrist: [0, -1] }, 'hand:near', 'hand', {
    ...HAND_ONLY,
    frame: FOREARM,
    props: [{ kind: 'top', under: ['forearm', 0.5, 0] }],
  }),
  'wrist-extension-fingers-straight': make('side', 'upright', { ...DOWN_ON_TABLE, fingers: -8 }, { wrist: [0, -1] }, 'hand:near', 'hand', {
    ...HAND_ONLY,
    frame: FOREARM,
    props: [{ kind: 'top', under: ['forearm', 0.5, 0] }],
  }),
  'wrist-radial-deviation': make('crown', 'upright', DOWN_ON_TABLE, { dev: [0, 1] }, 'hand:near', 'hand', { ...HAND_ONLY, frame: FOREARM }),
  'wrist-ulnar-deviation': make('crown', 'upright', DOWN_ON_TABLE, { dev: [0, -1] }, 'hand:near', 'hand', { ...HAND_ONLY, frame: FOREARM }),
  'thumb-abduction': make('crown', 'upright', { ...DOWN_ON_TABLE, pron: 0 }, { thumb: [0, 1] }, 'hand:near', 'thumb', {
    ...HAND_ONLY,
    frame: ['hand'],
  }),
  'thumb-flexion': make('crown', 'upright', { ...DOWN_ON_TABLE, pron: -80 }, { thumb: [40, -1] }, 'hand:near', 'thumb', {
    ...HAND_ONLY,
    frame: ['hand'],
  }),
  'index-flexion': make('side', 'upright', DOWN_ON_TABLE, { fingers: [0, 0.9] }, 'knuckles', 'fingertips', {
    ...HAND_ONLY,
    frame: ['hand'],
  }),
  'index-extension': make('side', 'upright', DOWN_ON_TABLE, { fingers: [0, -0.9] }, 'knuckles', 'fingertips', {
    ...HAND_ONLY,
    frame: ['hand'],
  }),
};

const SLUMP: Joints = { ...SEATED, bend: 52, tilt: -6, ...twice({ sh: 24, plane: -60, elbow: 70, shIn: 40 }), ankle: 16 };
const NERVE: Readonly<Record<string, MotionScene>> = {
  slump: make('side', 'upright', { ...SLUMP, neck: 46, nod: 12 }, { knee: [0, 1] }, 'shank:near', 'shank', {
    ...seatedOnTable,
    alone: true,
  }),
  'slump-head-up': make('side', 'upright', { ...SLUMP, neck: -34, nod: -8 }, { knee: [0, 1] }, 'shank:near', 'shank', {
    ...seatedOnTable,
    alone: true,
  }),
  'femoral-slump': make(
    'side',
    'side-lying',
    { ...SIDE_LYING, 'other.hip': 110, 'other.knee': 104, bend: 44, neck: 42, knee: 96 },
    { hip: [0, -1] },
    'thigh:near',
    'thigh',
    { alone: true },
  ),
  'femoral-slump-head-up': make(
    'side',
    'side-lying',
    { ...SIDE_LYING, 'other.hip': 110, 'other.knee': 104, bend: 44, neck: -26, knee: 96 },
    { hip: [0, -1] },
    'thigh:near',
    'thigh',
    { alone: true },
  ),
  'arm-nerve-line': make(
    'front',
    'supine',
    { ...SUPINE_ABOVE, sh: 92, plane: 0, shIn: -88, pron: -80, wrist: -60 },
    { elbow: [0, 1] },
    'forearm:near',
    'hand',
  ),
  'arm-nerve-line-wrist-loose': make(
    'front',
    'supine',
    { ...SUPINE_ABOVE, sh: 92, plane: 0, shIn: -88, pron: -80, wrist: 24, fingers: 30 },
    { elbow: [0, 1] },
    'forearm:near',
    'hand',
  ),
};

/** How every motion is drawn, by its id. */
export const MOTION_SCENES: Readonly<Record<string, MotionScene>> = {
  ...HIP,
  ...KNEE,
  ...ANKLE,
  ...FOOT,
  ...TRUNK,
  ...NECK,
  ...SHOULDER,
  ...HANDS,
  ...NERVE,
};
