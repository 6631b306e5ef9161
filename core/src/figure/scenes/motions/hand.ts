import type { Joints } from '../../joints.ts';
import { SEATED, SUPINE } from '../poses.ts';
import { make, ARM, FOREARM, type MotionScene } from './make.ts';

const HAND_ONLY = { on: 'none', without: ['other arm', 'legs'] } as const;
const DOWN_ON_TABLE: Joints = { ...SEATED, sh: 24, plane: 88, elbow: 66, pron: 90 };
export const HANDS: Readonly<Record<string, MotionScene>> = {
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
