import { STANDING, SUPINE, SUPINE_ABOVE, twice } from '../poses.ts';
import { make, standing, type MotionScene } from './make.ts';

export const FOOT: Readonly<Record<string, MotionScene>> = {
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
