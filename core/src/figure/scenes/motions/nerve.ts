import type { Joints } from '../../joints.ts';
import { SEATED, SIDE_LYING, SUPINE_ABOVE, twice } from '../poses.ts';
import { make, seatedOnTable, type MotionScene } from './make.ts';

const SLUMP: Joints = { ...SEATED, bend: 52, tilt: -6, ...twice({ sh: 24, plane: -60, elbow: 70, shIn: 40 }), ankle: 16 };
export const NERVE: Readonly<Record<string, MotionScene>> = {
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
