import type { Scene } from '../scene.ts';
import { holds, press, prone, sideLying, supine, upright, works, SHOULDERS } from './make.ts';
import { SUPINE_ABOVE, PRONE_ABOVE, SIDE_LYING, LONG_SITTING, twice } from './poses.ts';

/** Arms hugged over the chest. */
const HUG = twice({ sh: 40, plane: 78, shIn: 52, elbow: 118, pron: 60 });

export const BACK_WORK: Readonly<Record<string, Scene>> = {
  'quadratus-side-press': sideLying('back', { ...SIDE_LYING, ...twice({ hip: 52, knee: 74 }), side: -4 }, null, {
    frame: ['head', 'chest', 'pelvis', 'thigh'],
    muscles: ['quadratus'],
    hands: [works('elbow', ['waist', 0.5, 120], { to: 300, arm: 10 }), holds('palm', ['pelvis', 0.3, 90], { to: 'down' })],
    marks: [{ kind: 'sink', at: ['waist', 0.6, 140] }],
  }),
  'side-back-series': sideLying('back', { ...SIDE_LYING }, null, {
    frame: ['chest', 'pelvis', 'thigh'],
    muscles: ['back-extensors'],
    hands: [works('palm', ['waist', 0.3, 150], { to: 60 }), works('palm', ['pelvis', 0.1, 150], { to: 240 })],
    marks: [{ kind: 'scissor', at: ['waist', 0.7, 160], deg: 0 }],
  }),
  'trunk-rotation-long-sitting': upright(
    'side',
    { ...LONG_SITTING, twist: 52, neckTurn: 20, sh: 62, plane: 60, elbow: 30 },
    { twist: 0, neckTurn: 0, sh: 62, plane: 60, elbow: 30 },
    {
      on: 'table',
      muscles: ['obliques'],
      hands: [holds('palm', ['other.thigh', 0.9, 0], { to: 'down' })],
      marks: [{ kind: 'turn', at: ['chest', 0.1, 0], from: 200, to: 330, radius: 22 }],
    },
  ),
  'hip-draw-lean': supine(
    'front',
    { ...SUPINE_ABOVE, turn: -26, twist: 26, hip: 20, knee: 40 },
    { turn: 0, twist: 0 },
    {
      muscles: ['low-back'],
      hands: [works('palm', ['pelvis', 0.4, 84], { to: 80 }), holds('cup', ['shank', 0.4, 0], { to: 100 })],
      marks: [{ kind: 'pull', at: ['pelvis', 0.2, 70], deg: 60 }],
    },
  ),
  'shoulder-figure-eight': supine('front', SUPINE_ABOVE, null, {
    frame: SHOULDERS,
    muscles: ['cuff'],
    hands: [works('cup', ['upperArm', 0.04, 60], { to: 80 }), works('cup', ['other.upperArm', 0.04, 60], { to: 100 })],
    marks: [
      { kind: 'circle', at: ['upperArm', 0.04, 40], radius: 11 },
      { kind: 'circle', at: ['other.upperArm', 0.04, 40], radius: 11 },
    ],
  }),
  'back-dry-prep': prone('back', PRONE_ABOVE, null, {
    frame: ['head', 'chest', 'pelvis', 'thigh'],
    muscles: ['back-extensors'],
    hands: [works('forearm', ['chest', 0.6, 152], { to: 100, arm: 10 })],
    marks: [
      {
        kind: 'points',
        at: [
          ['chest', 0.3, 156],
          ['chest', 0.9, 156],
          ['waist', 0.8, 156],
        ],
      },
    ],
  }),
  'spine-muscles-reach-thoracic': prone(
    'back',
    { ...PRONE_ABOVE, sh: 168, plane: 0, twist: 6 },
    { twist: -6 },
    {
      frame: ['head', 'chest', 'pelvis', 'upperArm', 'forearm'],
      muscles: ['back-extensors'],
      hands: [holds('thumb', ['chest', 0.44, 168], { to: 60 }), works('grip', ['forearm', 0.6, 90], { to: 90 })],
      marks: [press(['forearm', 0.3, 180], 270)],
    },
  ),
  'spine-muscles-reach-lumbar': prone(
    'back',
    { ...PRONE_ABOVE, sh: 164, plane: 0, side: -16 },
    { side: 8 },
    {
      frame: ['head', 'chest', 'pelvis', 'upperArm', 'thigh'],
      muscles: ['back-extensors'],
      hands: [holds('knuckles', ['waist', 0.6, 160], { to: 60 }), works('palm', ['chest', 0.5, 96], { to: 90 })],
      marks: [press(['upperArm', 0.6, 180], 270)],
    },
  ),
  'quadratus-three-points': prone(
    'back',
    { ...PRONE_ABOVE, side: -14, sh: 156, plane: 4, hipOut: -12 },
    { side: 14, sh: 13, plane: 10, hipOut: 22 },
    {
      muscles: ['quadratus'],
      hands: [holds('fingers', ['waist', 0.5, 156], { to: 100 }), works('grip', ['thigh', 0.7, 140], { to: 150 })],
      marks: [
        {
          kind: 'points',
          at: [
            ['waist', 0.1, 160],
            ['waist', 0.5, 164],
            ['waist', 0.95, 150],
          ],
        },
        press(['pelvis', 0.5, 100], 180),
      ],
    },
  ),
  'trunk-rotation-chest-supine': supine(
    'front',
    { ...SUPINE_ABOVE, ...HUG, twist: -46 },
    { twist: 0 },
    {
      frame: ['head', 'chest', 'pelvis', 'thigh', 'other.thigh'],
      muscles: ['obliques'],
      hands: [works('cup', ['upperArm', 0.06, 120], { to: 60, from: 260 }), holds('palm', ['pelvis', 0.3, 44], { to: 80, from: 270 })],
      marks: [press(['upperArm', 0.4, 60], 270)],
    },
  ),
};
