import type { MarkUse, Scene } from '../scene.ts';
import { holds, supine, upright, works, HAND } from './make.ts';
import { SUPINE_ABOVE, SEATED } from './poses.ts';

/** Line by line from the wrist to the inner bump of the elbow. */
export const FLEXOR_LINES: readonly MarkUse[] = [-34, 0, 34].map((round) => ({
  kind: 'stroke',
  along: [
    ['forearm', 0.8, round],
    ['forearm', 0.5, round],
    ['forearm', 0.12, round / 2],
  ],
}));

export const ARM_LINES: Readonly<Record<string, Scene>> = {
  'forearm-spread': supine('crown', { ...SUPINE_ABOVE, sh: 40, plane: 0, elbow: 6 }, null, {
    frame: HAND,
    without: ['legs'],
    muscles: ['wrist-flexors'],
    hands: [works('fist', ['forearm', 0.44, 20], { to: 'up' }), holds('grip', ['forearm', 0.92, 0], { to: 'down', from: 40 })],
    marks: [
      {
        kind: 'stroke',
        along: [
          ['forearm', 0.84, 10],
          ['forearm', 0.5, 10],
          ['forearm', 0.14, 10],
        ],
      },
    ],
  }),
  'wrist-extensor-stroke-active': upright(
    'side',
    { ...SEATED, sh: 30, plane: 84, elbow: 70, pron: 80, wrist: -36 },
    { wrist: 40 },
    {
      on: 'stool',
      frame: HAND,
      mover: 'athlete',
      muscles: ['wrist-extensors'],
      hands: [works('fingers', ['forearm', 0.4, 180], { to: 'down', arm: 12 })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['forearm', 0.14, 180],
            ['forearm', 0.5, 180],
            ['forearm', 0.86, 180],
          ],
        },
      ],
    },
  ),
  'upper-arm-deep': supine('crown', { ...SUPINE_ABOVE, sh: 44, plane: 0, elbow: 30 }, null, {
    frame: ['chest', 'upperArm', 'forearm'],
    muscles: ['biceps'],
    hands: [works('thumb', ['upperArm', 0.6, 30], { to: 'up' }), holds('fingers', ['upperArm', 0.5, -30], { to: 'down' })],
    marks: [
      {
        kind: 'points',
        at: [
          ['upperArm', 0.36, -40],
          ['upperArm', 0.76, 30],
        ],
      },
    ],
  }),
  'forearm-flexor-lines': supine('crown', { ...SUPINE_ABOVE, sh: 36, plane: 0, elbow: 10 }, null, {
    frame: HAND,
    without: ['legs'],
    muscles: ['wrist-flexors'],
    hands: [works('thumb', ['forearm', 0.4, 0], { to: 'up' }), holds('grip', ['forearm', 0.94, 20], { to: 'down', from: 40 })],
    marks: FLEXOR_LINES,
  }),
};
