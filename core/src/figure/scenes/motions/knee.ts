import { PRONE, SEATED, SUPINE } from '../poses.ts';
import { make, LEG, seatedOnTable, type MotionScene } from './make.ts';

export const KNEE: Readonly<Record<string, MotionScene>> = {
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
