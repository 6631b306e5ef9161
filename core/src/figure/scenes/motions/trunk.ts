import type { Joints } from '../../joints.ts';
import { LONG_SITTING, PRONE, SEATED_FOLDED, SIDE_LYING, STANDING, SUPINE_ABOVE, twice } from '../poses.ts';
import { make, seatedOnTable, standing, type MotionScene } from './make.ts';

const straightLegsBend = (perUnit: number, zero = 0): MotionScene['moves'] => ({
  tilt: [zero * 0.55, perUnit * 0.55],
  hip: [zero * 0.55, perUnit * 0.55],
  'other.hip': [zero * 0.55, perUnit * 0.55],
  bend: [zero * 0.45, perUnit * 0.45],
  sh: [zero * 0.95, perUnit * 0.95],
  'other.sh': [zero * 0.95, perUnit * 0.95],
});
const REACHING: Joints = { ...STANDING, ...twice({ sh: 60, plane: 90, elbow: 4 }) };
export const TRUNK: Readonly<Record<string, MotionScene>> = {
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
