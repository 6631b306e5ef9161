import type { Joints } from '../../joints.ts';
import { PRONE, PRONE_ABOVE, STANDING, SUPINE, twice } from '../poses.ts';
import { make, LOWER, standing, type MotionScene } from './make.ts';

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
export const ANKLE: Readonly<Record<string, MotionScene>> = {
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
