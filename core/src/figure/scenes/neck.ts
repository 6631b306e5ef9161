import type { Scene } from '../scene.ts';
import { HEAD, HEAD_ONLY, holds, press, supine, upright, works } from './make.ts';
import { SEATED, SUPINE, SUPINE_ABOVE } from './poses.ts';

const table = { on: 'table' } as const;

export const NECK: Readonly<Record<string, Scene>> = {
  'neck-side-bend-supine': supine(
    'front',
    { ...SUPINE_ABOVE, neckSide: -36 },
    { neckSide: 0 },
    {
      frame: HEAD,
      muscles: ['upper-trapezius', 'scalenes'],
      hands: [works('palm', ['head', 0.72, 62], { to: 40, arm: 12 }), holds('palm', ['upperArm', 0, 20], { to: 20, from: 190, arm: 16 })],
      marks: [press(['head', 0.5, 90])],
    },
  ),
  'neck-turn-supine': supine(
    'front',
    { ...SUPINE_ABOVE, neckTurn: -58 },
    { neckTurn: 0 },
    {
      frame: HEAD,
      muscles: ['sternomastoid'],
      hands: [works('palm', ['head', 0.5, 40], { to: -10, arm: 12 }), holds('cup', ['head', 0.4, 180], { to: 10, arm: 12 })],
      marks: [{ kind: 'turn', at: ['head', 0.5, 0], from: 250, to: 110, radius: 15 }, press(['head', 0.45, -60], -80)],
    },
  ),
  'neck-diagonal': supine(
    'front',
    { ...SUPINE_ABOVE, neckTurn: 46, neckSide: -24, neck: 22, girdle: -8 },
    { neckTurn: 0, neckSide: 0, neck: 4 },
    {
      frame: HEAD,
      muscles: ['upper-trapezius'],
      hands: [works('palm', ['head', 0.7, 120], { to: 30, arm: 12 }), holds('palm', ['upperArm', 0, 20], { to: 20, from: 190, arm: 16 })],
      marks: [press(['head', 0.85, 150], 200)],
    },
  ),
  'neck-diagonal-levator': supine(
    'front',
    { ...SUPINE_ABOVE, neckTurn: -48, neckSide: -26, neck: 26, girdle: -8 },
    { neckTurn: 0, neckSide: 0, neck: 4 },
    {
      frame: HEAD,
      muscles: ['levator'],
      hands: [works('palm', ['head', 0.7, 90], { to: 30, arm: 12 }), holds('palm', ['upperArm', 0, 20], { to: 20, from: 190, arm: 16 })],
      marks: [press(['head', 0.8, 120], 220)],
    },
  ),
  'neck-crossed-arm-lift': supine(
    'side',
    { ...SUPINE, neck: 50, nod: 6 },
    { neck: 12, nod: 0 },
    {
      frame: HEAD,
      muscles: ['neck-extensors', 'splenius'],
      hands: [
        works('cup', ['head', 0.35, 180], { to: 'down', from: 176, arm: 20 }),
        works('palm', ['upperArm', 0.02, 30], { to: 0, from: 170, arm: 20 }),
      ],
      marks: [press(['head', 0.6, 180])],
    },
  ),
  'neck-traction': supine(
    'side',
    { ...SUPINE, neckLong: 16 },
    { neckLong: 0 },
    {
      frame: HEAD,
      muscles: ['neck-extensors'],
      hands: [
        // The far hand lies behind the near one: two of them read as a forearm.
        works('cup', ['head', 0.12, 170], { to: 'down', from: 178, arm: 16 }),
      ],
      marks: [
        { kind: 'pull', at: ['head', 0.75, 0], deg: 184 },
        { kind: 'joint', at: ['neck', 0.4, 90] },
      ],
      plainMove: true,
    },
  ),
  'neck-traction-forearm': supine(
    'side',
    { ...SUPINE, neckLong: 16 },
    { neckLong: 0 },
    {
      frame: HEAD,
      muscles: ['neck-extensors'],
      hands: [works('crook', ['head', 0.06, 180], { from: 172, arm: 24 }), holds('palm', ['head', 0.78, 0], { to: 'down', arm: 14 })],
      marks: [
        { kind: 'pull', at: ['head', 0.9, 20], deg: 184 },
        { kind: 'joint', at: ['neck', 0.4, 90] },
      ],
      plainMove: true,
    },
  ),
  'neck-traction-towel': supine(
    'side',
    { ...SUPINE, neckLong: 16 },
    { neckLong: 0 },
    {
      frame: HEAD,
      muscles: ['neck-extensors'],
      marks: [
        { kind: 'towel', at: ['neck', 0.85, 160], deg: 166 },
        { kind: 'pull', at: ['head', 0.75, 0], deg: 184 },
        { kind: 'joint', at: ['neck', 0.4, 90] },
      ],
      plainMove: true,
    },
  ),
  'skull-base-melt': supine('side', { ...SUPINE, neck: 24, nod: -10 }, null, {
    frame: HEAD_ONLY,
    muscles: ['suboccipitals'],
    hands: [works('fingers', ['neck', 0.92, 180], { to: 14, from: 178, arm: 16 })],
    marks: [{ kind: 'sink', at: ['head', 0.55, 0] }],
  }),
  'scalene-pin-move': supine(
    'front',
    { ...SUPINE_ABOVE, neckSide: -32 },
    { neckSide: 0 },
    {
      frame: HEAD,
      muscles: ['scalenes'],
      hands: [holds('fingers', ['neck', 0.12, 56], { to: 50, arm: 12 }), works('palm', ['head', 0.7, 60], { to: 40, arm: 12 })],
      marks: [{ kind: 'points', at: [['neck', 0.2, 62]] }],
    },
  ),
  'neck-side-bend-seated': upright(
    'front',
    { ...SEATED, neckSide: -36 },
    { neckSide: 0 },
    {
      ...table,
      frame: HEAD,
      muscles: ['upper-trapezius', 'scalenes'],
      hands: [holds('forearm', ['chest', 0.05, 86], { to: 'down', arm: 14 }), works('palm', ['head', 0.72, 90], { to: 'up', arm: 12 })],
      marks: [press(['head', 0.5, 90])],
    },
  ),
  'neck-pin-turn-seated': upright(
    'front',
    { ...SEATED, neckTurn: -52 },
    { neckTurn: 0 },
    {
      ...table,
      frame: HEAD,
      mover: 'athlete',
      muscles: ['sternomastoid'],
      hands: [holds('fingers', ['neck', 0.4, 58], { to: 60, arm: 12 })],
      marks: [
        {
          kind: 'points',
          at: [
            ['neck', 0.12, 30],
            ['neck', 0.5, 56],
            ['head', 0.12, 100],
          ],
        },
        { kind: 'turn', at: ['head', 0.95, 0], from: 20, to: 160, radius: 10 },
      ],
    },
  ),

  'neck-extension-table-end': supine(
    'side',
    { ...SUPINE, neck: -40, nod: -14 },
    { neck: -4, nod: 0 },
    {
      frame: HEAD,
      edge: ['chest', 0.16, 180],
      muscles: ['neck-flexors'],
      hands: [
        works('cup', ['head', 0.45, 180], { to: 'down', arm: 12 }),
        holds('fingers', ['neck', 0.4, 180], { to: 34, from: 205, arm: 14 }),
      ],
      marks: [press(['head', 0.85, 0], 70)],
    },
  ),
  'neck-side-bend-antagonist': upright(
    'front',
    { ...SEATED, neckSide: -38 },
    { neckSide: 0 },
    {
      ...table,
      frame: HEAD,
      mover: 'athlete',
      muscles: ['upper-trapezius', 'scalenes'],
      hands: [holds('palm', ['upperArm', 0.02, 60], { to: 200, arm: 14 })],
    },
  ),
  'neck-joint-mobilization': supine('front', { ...SUPINE_ABOVE, neckSide: -8 }, null, {
    frame: HEAD,
    hands: [works('edge', ['neck', 0.5, 90], { to: 20, arm: 14 }), holds('palm', ['head', 0.6, -80], { to: -10, arm: 14 })],
    marks: [
      { kind: 'joint', at: ['neck', 0.5, 0] },
      { kind: 'glide', at: ['neck', 0.5, 90], deg: 90 },
    ],
  }),
};
