import type { Scene } from '../scene.ts';
import { holds, prone, supine, works } from './make.ts';
import { SUPINE, PRONE } from './poses.ts';

export const AFTER_OPERATION: Readonly<Record<string, Scene>> = {
  'post-op-sole': prone('side', { ...PRONE, knee: 10, ankle: -30 }, null, {
    frame: ['shank', 'foot'],
    muscles: ['sole'],
    hands: [works('thumb', ['foot', 0.34, 180], {})],
    marks: [{ kind: 'friction', at: ['foot', 0.5, 180], deg: 0 }],
  }),
  'post-op-scar': prone('side', { ...PRONE, knee: 16, ankle: -20 }, null, {
    frame: ['shank', 'foot'],
    mover: 'both',
    muscles: ['fibulars'],
    hands: [works('thumb', ['shank', 0.86, 120], {}), holds('cup', ['foot', 0.6, 180], { to: 'up' })],
    marks: [{ kind: 'friction', at: ['shank', 0.7, 120], deg: 90 }],
  }),
  'post-op-shin-lines': supine(
    'side',
    { ...SUPINE, hip: 14, ankle: -34 },
    { ankle: -6 },
    {
      frame: ['shank', 'foot'],
      muscles: ['tibialis-front', 'fibulars'],
      hands: [works('thumb', ['shank', 0.5, 60], {}), holds('cup', ['foot', 0.6, 0], { to: 'up' })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['shank', 0.9, 60],
            ['shank', 0.2, 60],
          ],
        },
      ],
    },
  ),
  'post-op-front-hollow': supine('side', { ...SUPINE, hip: 8, ankle: -24 }, null, {
    frame: ['shank', 'foot'],
    muscles: ['tibialis-front'],
    hands: [works('thumb', ['foot', 0.04, 10], {}), holds('cup', ['foot', 0.02, 180], { to: 200, from: 350 })],
    marks: [{ kind: 'points', at: [['foot', 0.1, 0]] }],
  }),
};
