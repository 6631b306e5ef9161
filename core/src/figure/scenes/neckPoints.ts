import type { Scene } from '../scene.ts';
import { holds, press, prone, supine, upright, works, HEAD, SHOULDERS } from './make.ts';
import { SUPINE_ABOVE, ON_ELBOWS, PRONE_ABOVE, SEATED } from './poses.ts';

export const NECK_POINTS: Readonly<Record<string, Scene>> = {
  'neck-thumb-stretch': supine(
    'front',
    { ...SUPINE_ABOVE, neckSide: -26 },
    { neckSide: 0 },
    {
      frame: HEAD,
      muscles: ['upper-trapezius', 'levator'],
      hands: [holds('thumb', ['neck', 0.3, 96], { to: 60, arm: 12 }), works('cup', ['head', 0.6, -60], { to: 120, arm: 12 })],
      marks: [
        {
          kind: 'points',
          at: [
            ['neck', 0.15, 92],
            ['neck', 0.5, 92],
            ['neck', 0.85, 92],
          ],
        },
      ],
    },
  ),
  'scalene-collarbone': supine(
    'front',
    { ...SUPINE_ABOVE, neckSide: -22 },
    { neckSide: 0 },
    {
      frame: HEAD,
      muscles: ['scalenes', 'sternomastoid'],
      hands: [holds('fingers', ['chest', 0.06, 40], { to: 150, arm: 12 }), works('palm', ['head', 0.6, -50], { to: 120, arm: 12 })],
      marks: [
        {
          kind: 'points',
          at: [
            ['chest', 0.03, 16],
            ['chest', 0.03, 40],
            ['chest', 0.03, 66],
          ],
        },
      ],
    },
  ),
  'neck-traction-pillow': supine(
    'front',
    { ...SUPINE_ABOVE, neckLong: 14 },
    { neckLong: 0 },
    {
      frame: HEAD,
      hands: [
        works('fist', ['head', 0.55, 90], { to: 30, from: 210, arm: 16 }),
        works('fist', ['head', 0.55, -90], { to: 330, from: 150, arm: 16 }),
      ],
      marks: [{ kind: 'pull', at: ['head', 0.98, 0], deg: 180 }],
      plainMove: true,
    },
  ),
  'neck-lift-seated': upright(
    'back',
    { ...SEATED, neckLong: 10 },
    { neckLong: 0 },
    {
      on: 'stool',
      frame: HEAD,
      muscles: ['neck-extensors'],
      hands: [works('palm', ['head', 0.34, 92], { to: 90, arm: 12 }), works('palm', ['head', 0.34, -92], { to: 90, arm: 12 })],
      marks: [{ kind: 'pull', at: ['head', 0.9, 180], deg: 90 }],
      plainMove: true,
    },
  ),
  'splenius-reset': prone('side', { ...ON_ELBOWS, neck: 34, nod: 8 }, null, {
    frame: SHOULDERS,
    muscles: ['splenius'],
    hands: [holds('thumb', ['neck', 0.6, 180], {}), works('cup', ['head', 0.9, 180], { to: 'up' })],
    marks: [press(['head', 0.6, 180]), press(['head', 0.6, 0])],
  }),
  'levator-shoulder-up': prone('back', { ...PRONE_ABOVE, girdle: -16 }, null, {
    frame: SHOULDERS,
    muscles: ['levator'],
    hands: [holds('palm', ['upperArm', 0.04, 90], { to: 'up' }), works('thumb', ['chest', 0.14, 150], { to: 60 })],
    marks: [{ kind: 'points', at: [['chest', 0.14, 150]] }],
  }),
};
