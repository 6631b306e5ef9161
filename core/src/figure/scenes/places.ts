import type { Scene } from '../scene.ts';
import { FLEXOR_LINES } from './armLines.ts';
import { HAND, HEAD, HEAD_ONLY, holds, LOWER, press, prone, SHOULDERS, sideLying, supine, TORSO, upright, works } from './make.ts';
import { PRONE, PRONE_ABOVE, SEATED, SEATED_FOLDED, SIDE_LYING, STANDING, SUPINE, SUPINE_ABOVE, twice } from './poses.ts';

/** A position but the usual one, by the name it has for a scene: lying on a side is drawn once, the worked side up. */
export type Elsewhere = 'supine' | 'prone' | 'side-lying' | 'seated' | 'leaning' | 'mat' | 'standing';

const table = { on: 'table' } as const;
const stool = { on: 'stool' } as const;
/** Leaning forward with the chest on a rest, seen from behind. */
const LEANING = { ...SEATED, bend: 16 } as const;
const SHIN_UP = { ...PRONE, knee: 90, ankle: 0 } as const;
/** The palm-up forearm on a table, as it lies in sitting. */
const ON_TABLE = { ...SEATED, sh: 44, plane: 78, elbow: 52, pron: -60 } as const;

/** How entries are drawn in the other positions they are done in, where the usual picture would show another one. */
export const PLACE_SCENES: Readonly<Record<string, Readonly<Partial<Record<Elsewhere, Scene>>>>> = {
  'skull-base-melt': {
    leaning: upright('back', { ...LEANING, neck: 20 }, null, {
      ...stool,
      frame: HEAD_ONLY,
      muscles: ['suboccipitals'],
      hands: [works('hook', ['head', 0.1, 150], { to: 70, from: 240 }), works('hook', ['head', 0.1, -150], { to: 110, from: 300 })],
      marks: [{ kind: 'sink', at: ['neck', 0.9, 180] }],
    }),
  },
  'neck-side-bend-antagonist': {
    supine: supine(
      'front',
      { ...SUPINE_ABOVE, neckSide: -34 },
      { neckSide: 0 },
      {
        frame: HEAD,
        mover: 'athlete',
        muscles: ['upper-trapezius', 'scalenes'],
        hands: [works('cup', ['head', 0.3, 180], { to: 10, arm: 12 }), holds('palm', ['upperArm', 0, 20], { to: 20, from: 190, arm: 16 })],
      },
    ),
  },
  'levator-shoulder-up': {
    'side-lying': sideLying('back', { ...SIDE_LYING, girdle: 20 }, null, {
      frame: SHOULDERS,
      muscles: ['levator'],
      hands: [holds('palm', ['upperArm', 0.06, 90], { to: 'up' }), works('thumb', ['chest', 0.14, 150], { to: 60 })],
      marks: [{ kind: 'points', at: [['chest', 0.14, 150]] }],
    }),
  },
  'latissimus-heel-of-hand': {
    supine: supine(
      'front',
      { ...SUPINE_ABOVE, sh: 164, plane: 10, elbow: 16 },
      { sh: 116 },
      {
        frame: TORSO,
        muscles: ['latissimus'],
        hands: [works('heel', ['chest', 0.5, 80], { to: 0, from: 130 }), works('cup', ['upperArm', 0.85, 90], { to: 'down' })],
        marks: [{ kind: 'way', at: ['chest', 0.75, 70], deg: 0 }],
      },
    ),
  },
  'scapula-lift-behind-back': {
    'side-lying': sideLying('back', { ...SIDE_LYING, sh: 30, plane: -62, shIn: 64, elbow: 108, pron: 60, girdle: 6 }, null, {
      frame: TORSO,
      muscles: ['rhomboids'],
      hands: [works('fingers', ['chest', 0.34, 152], { to: 60, from: 240 }), works('cup', ['upperArm', 0.04, 60], { to: 'down' })],
      marks: [{ kind: 'sink', at: ['chest', 0.34, 158] }],
    }),
    leaning: upright('back', { ...LEANING, sh: 30, plane: -62, shIn: 64, elbow: 108, pron: 60, girdle: 6 }, null, {
      ...stool,
      frame: TORSO,
      muscles: ['rhomboids'],
      hands: [works('thumb', ['chest', 0.4, 152], { to: 80 }), works('thumb', ['chest', 0.24, 152], { to: 80, from: 250 })],
      marks: [{ kind: 'sink', at: ['chest', 0.5, 150] }],
    }),
  },
  'arm-circles-traction': {
    'side-lying': sideLying('side', { ...SIDE_LYING, sh: 88, plane: 4, elbow: 30 }, null, {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
      muscles: ['cuff'],
      hands: [works('cup', ['upperArm', 0.85, 180], { to: 'down' }), works('palm', ['chest', 0.2, 150], { to: 'up' })],
      marks: [
        { kind: 'circle', at: ['forearm', 0.6, 0], radius: 12 },
        { kind: 'pull', at: ['upperArm', 0.2, 0] },
      ],
    }),
  },
  'subscapularis-approach': {
    'side-lying': sideLying('side', { ...SIDE_LYING, sh: 96, plane: 30, elbow: 6 }, null, {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
      muscles: ['subscapularis'],
      hands: [works('fingers', ['chest', 0.34, 96], { to: 'up', from: 300 }), holds('cup', ['upperArm', 0.9, 90], { to: 'down' })],
      marks: [{ kind: 'points', at: [['chest', 0.3, 90]] }],
    }),
    prone: prone('back', { ...PRONE_ABOVE, sh: 78, plane: 46, elbow: 12 }, null, {
      frame: SHOULDERS,
      muscles: ['subscapularis'],
      hands: [works('fingers', ['chest', 0.34, 96], { to: 100, from: 280 }), holds('palm', ['chest', 0.32, 156], { to: 40, from: 200 })],
      marks: [{ kind: 'points', at: [['chest', 0.32, 94]] }],
    }),
  },
  'cuff-four-way': {
    seated: upright('front', { ...SEATED, sh: 4, plane: 60, elbow: 90, pron: 0 }, null, {
      ...stool,
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
      muscles: ['cuff'],
      hands: [works('palm', ['forearm', 0.85, 90], { to: 'up' }), holds('cup', ['upperArm', 0.9, 90], { to: 'down' })],
      marks: [press(['forearm', 0.55, 90], 180), press(['forearm', 0.55, -90], 0)],
    }),
    prone: prone('back', PRONE_ABOVE, null, {
      frame: SHOULDERS,
      muscles: ['cuff'],
      hands: [works('fingers', ['chest', 0.26, 128], { to: 70 }), holds('palm', ['upperArm', 0.6, 60], { to: 'up' })],
      marks: [press(['upperArm', 0.2, 90], 180), press(['upperArm', 0.85, 150], 270)],
    }),
  },
  'deltoid-front': {
    prone: prone(
      'side',
      { ...PRONE, ...{ sh: 40, plane: -88, shIn: 0, elbow: 84, pron: 0 } },
      { sh: 8 },
      {
        frame: TORSO,
        muscles: ['deltoid-front'],
        hands: [holds('palm', ['chest', 0.3, 172], { to: 'up' }), works('cup', ['upperArm', 0.9, 0], { to: 'up' })],
        marks: [press(['upperArm', 0.8, 180], 270)],
      },
    ),
  },
  'deltoid-middle': {
    'side-lying': sideLying(
      'back',
      { ...SIDE_LYING, sh: 34, plane: -96, shIn: 52, elbow: 74, pron: 60 },
      { plane: -24 },
      {
        frame: ['head', 'chest', 'pelvis', 'upperArm', 'hand'],
        muscles: ['deltoid-middle'],
        hands: [holds('palm', ['chest', 0.08, 110], { to: 'down', from: 150 }), works('grip', ['upperArm', 0.92, 150], { to: 180 })],
        marks: [press(['upperArm', 0.7, 90], 90)],
      },
    ),
  },
  'deltoid-back': {
    seated: upright(
      'back',
      { ...SEATED, sh: 90, plane: 118, elbow: 40, pron: 30 },
      { plane: 92 },
      {
        ...stool,
        frame: ['head', 'chest', 'upperArm', 'other.upperArm'],
        muscles: ['deltoid-back'],
        hands: [holds('palm', ['chest', 0.3, 128], { to: 100, from: 270 }), works('cup', ['upperArm', 0.7, 180], { to: 'down' })],
        marks: [press(['upperArm', 0.4, 180], 0)],
      },
    ),
  },
  'overhead-rib-rock': {
    'side-lying': sideLying('back', { ...SIDE_LYING, sh: 164, plane: 10, elbow: 16 }, null, {
      frame: ['head', 'chest', 'pelvis', 'upperArm', 'hand'],
      muscles: ['serratus', 'intercostals'],
      hands: [works('palm', ['chest', 0.6, 96], { to: 0, from: 130 }), holds('grip', ['upperArm', 0.8, 60], { to: 'down' })],
      marks: [{ kind: 'rock', at: ['chest', 0.85, 94], deg: 0, radius: 14 }],
    }),
  },
  'biceps-groove': {
    'side-lying': sideLying('front', { ...SIDE_LYING, sh: 6, plane: 20, elbow: 84, pron: 0 }, null, {
      frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
      muscles: ['biceps'],
      hands: [works('thumb', ['upperArm', 0.12, 10], { to: 60 }), holds('cup', ['forearm', 0.7, 90], { to: 200 })],
      marks: [{ kind: 'friction', at: ['upperArm', 0.16, 10], deg: 90 }],
    }),
  },
  'cuff-back-strokes': {
    prone: prone('back', { ...PRONE_ABOVE, sh: 70, plane: 30, elbow: 20 }, null, {
      frame: ['head', 'chest', 'upperArm', 'other.upperArm'],
      muscles: ['cuff-back', 'supraspinatus'],
      hands: [works('thumb', ['chest', 0.26, 130], { to: 70 }), holds('palm', ['upperArm', 0.3, 90], { to: 'down' })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['chest', 0.26, 152],
            ['chest', 0.22, 124],
            ['upperArm', 0.04, 150],
          ],
        },
      ],
    }),
  },
  'triceps-pin': {
    'side-lying': sideLying(
      'back',
      { ...SIDE_LYING, sh: 160, plane: 20, elbow: 116 },
      { elbow: 50 },
      {
        frame: ['head', 'chest', 'upperArm', 'forearm', 'hand'],
        muscles: ['triceps'],
        hands: [holds('knuckles', ['upperArm', 0.45, 150]), works('grip', ['forearm', 0.85, 90], { to: 150 })],
        marks: [press(['forearm', 0.6, 180])],
      },
    ),
  },
  'forearm-spread': {
    seated: upright('crown', ON_TABLE, null, {
      ...stool,
      frame: HAND,
      without: ['legs', 'other arm'],
      muscles: ['wrist-flexors'],
      hands: [works('fist', ['forearm', 0.44, 10], { to: 0 }), holds('grip', ['forearm', 0.94, 20], { to: 180 })],
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
  },
  'wrist-extensor-stroke-active': {
    supine: supine(
      'side',
      { ...SUPINE, sh: 14, plane: 20, shIn: 0, elbow: 12, pron: 90, wrist: -40 },
      { wrist: 0 },
      {
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
  },
  'forearm-flexor-lines': {
    seated: upright('crown', ON_TABLE, null, {
      ...stool,
      frame: HAND,
      without: ['legs', 'other arm'],
      muscles: ['wrist-flexors'],
      hands: [works('thumb', ['forearm', 0.4, 0], { to: 0 }), holds('grip', ['forearm', 0.94, 20], { to: 180 })],
      marks: FLEXOR_LINES,
    }),
  },
  'lumbar-forearm-sink': {
    'side-lying': sideLying('back', { ...SIDE_LYING, ...twice({ hip: 46, knee: 60 }) }, null, {
      frame: ['chest', 'pelvis', 'thigh'],
      muscles: ['back-extensors'],
      hands: [works('forearm', ['waist', 0.5, 150], { to: 100, arm: 10 }), holds('palm', ['pelvis', 0.4, 92], { to: 'down' })],
      marks: [{ kind: 'sink', at: ['waist', 0.5, 162] }],
    }),
  },
  'rib-pelvis-spread': {
    prone: prone('back', PRONE_ABOVE, null, {
      frame: ['chest', 'pelvis', 'thigh', 'other.thigh'],
      muscles: ['obliques', 'quadratus'],
      hands: [works('palm', ['chest', 0.7, 160], { to: 96, from: 276 }), works('palm', ['pelvis', 0.35, 160], { to: 84, from: 264 })],
      marks: [{ kind: 'spread', at: ['waist', 0.5, 150], deg: 0 }],
    }),
  },
  'quadratus-comfort': {
    'side-lying': sideLying(
      'back',
      { ...SIDE_LYING, side: 18, hip: 50, hipOut: 34, knee: 60 },
      { side: 0, hipOut: 0 },
      {
        muscles: ['quadratus'],
        hands: [holds('fingers', ['waist', 0.5, 150], { to: 100 }), works('forearm', ['pelvis', 0.2, 92], { to: 'up', arm: 10 })],
        marks: [{ kind: 'points', at: [['waist', 0.5, 154]] }],
      },
    ),
  },
  'quadratus-reset': {
    prone: prone('back', PRONE_ABOVE, null, {
      mover: 'athlete',
      muscles: ['quadratus'],
      hands: [works('grip', ['shank', 0.9, 180], { to: 200 }), holds('palm', ['waist', 0.5, 156], { to: 100, from: 280 })],
      marks: [press(['pelvis', 0.5, 110], 180)],
    }),
  },
  'back-extensors-reach': {
    seated: upright(
      'side',
      { ...SEATED, bend: 30, sh: 92, plane: 88, elbow: 6, tilt: 8, twist: 16 },
      { bend: 4, sh: 62, tilt: 0, twist: 0 },
      {
        ...stool,
        mover: 'athlete',
        muscles: ['back-extensors'],
        hands: [holds('palm', ['waist', 0.5, 176], { to: 'up', from: 150 })],
        marks: [press(['chest', 0.7, 178])],
      },
    ),
  },
  'pelvic-tilts': {
    prone: prone('side', PRONE, null, {
      mover: 'athlete',
      muscles: ['low-back'],
      hands: [holds('palm', ['pelvis', 0.4, 140], { to: 'up', from: 120 })],
      marks: [{ kind: 'rock', at: ['pelvis', 0.5, 90], deg: 90, radius: 16 }],
      props: [{ kind: 'cushion', under: ['waist', 0.5, 0], size: 8 }],
    }),
  },
  'low-back-rock': {
    prone: prone('side', { ...PRONE, ...twice({ knee: 92, ankle: -10 }) }, null, {
      muscles: ['low-back'],
      hands: [works('forearm', ['shank', 0.8, 180], { to: 'up', arm: 12 }), holds('palm', ['waist', 0.5, 180], { to: 'down', from: 120 })],
      marks: [{ kind: 'rock', at: ['shank', 0.5, 90], deg: 0, radius: 16 }],
    }),
  },
  'shoulder-roll': {
    prone: prone('back', { ...PRONE_ABOVE }, null, {
      frame: SHOULDERS,
      hands: [
        works('palm', ['upperArm', 0.04, 60], { to: 'up', under: true }),
        works('palm', ['other.upperArm', 0.04, 60], { to: 'up', under: true }),
      ],
      marks: [{ kind: 'rock', at: ['chest', 0.14, 180], deg: 90, radius: 18 }],
    }),
  },
  'gluteals-comfort-press': {
    'side-lying': sideLying(
      'back',
      { ...SIDE_LYING, hip: 24, hipOut: 36, hipIn: -20, knee: 70 },
      { hipOut: 4, hipIn: 0 },
      {
        frame: ['chest', 'pelvis', 'thigh', 'shank', 'foot', 'other.thigh'],
        muscles: ['gluteus-maximus', 'gluteus-medius'],
        hands: [works('elbow', ['pelvis', 0.6, 132], { to: 100, arm: 10 }), works('cup', ['shank', 0.1, 150], { to: 160 })],
        marks: [{ kind: 'points', at: [['pelvis', 0.5, 130]] }],
      },
    ),
  },
  'sacroiliac-twist': {
    prone: prone('back', PRONE_ABOVE, null, {
      frame: ['chest', 'pelvis', 'thigh', 'other.thigh'],
      muscles: ['sacroiliac'],
      hands: [holds('palm', ['pelvis', 0.7, 186], { to: 264, from: 84 }), works('palm', ['pelvis', 0.25, 140], { to: 80, from: 260 })],
      marks: [{ kind: 'scissor', at: ['pelvis', 0.5, 160], deg: 0 }],
    }),
  },
  'sacral-edge-presses': {
    'side-lying': sideLying('back', { ...SIDE_LYING, hip: 70, knee: 84 }, null, {
      frame: ['chest', 'pelvis', 'thigh', 'other.thigh'],
      muscles: ['sacroiliac', 'gluteus-maximus'],
      hands: [works('knuckles', ['pelvis', 0.5, 156], { to: 100 })],
      marks: [
        {
          kind: 'points',
          at: [
            ['pelvis', 0.3, 164],
            ['pelvis', 0.55, 166],
            ['pelvis', 0.8, 168],
          ],
        },
      ],
    }),
  },
  'ankle-circles': {
    prone: prone('side', SHIN_UP, null, {
      frame: LOWER,
      hands: [works('cup', ['foot', 0, 180], { to: 200, from: 350 }), works('grip', ['foot', 0.7, 0], { to: 'up', from: 40 })],
      marks: [{ kind: 'circle', at: ['foot', 0.9, 90], radius: 9 }],
    }),
  },
  'midfoot-turn': {
    prone: prone(
      'back',
      { ...PRONE_ABOVE, knee: 90, ankle: 0, soleIn: 14 },
      { soleIn: -12 },
      {
        frame: LOWER,
        hands: [holds('thumb', ['foot', 0.4, 180]), works('grip', ['foot', 0.7, 20], { to: 200 })],
        marks: [
          { kind: 'turn', at: ['foot', 0.7, 0], from: 130, to: 230, radius: 12 },
          { kind: 'joint', at: ['foot', 0.45, 0] },
        ],
        plainMove: true,
      },
    ),
  },
  'heel-squeeze-roll': {
    supine: supine('front', { ...SUPINE_ABOVE, ankle: -10 }, null, {
      frame: LOWER,
      muscles: ['heel'],
      hands: [works('palm', ['shank', 0.98, 90], { to: 0, from: 160 }), works('palm', ['shank', 0.98, -90], { to: 0, from: 200 })],
      marks: [{ kind: 'circle', at: ['shank', 0.96, 0], radius: 8 }],
    }),
  },
  'sole-pin': {
    supine: supine(
      'side',
      { ...SUPINE, ankle: 0, toes: 40 },
      { toes: -20 },
      {
        frame: LOWER,
        edge: ['shank', 0.82, 180],
        mover: 'both',
        muscles: ['sole'],
        hands: [holds('knuckles', ['foot', 0.4, 180]), works('fingers', ['foot', 0.7, 180])],
        marks: [
          {
            kind: 'points',
            at: [
              ['foot', 0.16, 180],
              ['foot', 0.55, 180],
            ],
          },
        ],
      },
    ),
  },
  'post-op-fluid': {
    supine: supine('side', { ...SUPINE, hip: 30, ankle: -10 }, null, {
      frame: ['thigh', 'shank', 'foot'],
      muscles: ['tibialis-front'],
      hands: [works('palm', ['shank', 0.72, 0], { to: 'up' }), works('palm', ['shank', 0.34, 0], { to: 'up' })],
      marks: [
        {
          kind: 'stroke',
          along: [
            ['shank', 0.9, 60],
            ['shank', 0.5, 60],
            ['shank', 0.08, 60],
          ],
        },
      ],
      props: [{ kind: 'bolster', under: ['shank', 0.6, 180], size: 12 }],
    }),
  },
  'calf-point-holds': {
    'side-lying': sideLying('front', { ...SIDE_LYING, hip: 60, knee: 70, 'other.hip': 10, 'other.knee': 20 }, null, {
      frame: ['other.shank', 'other.foot', 'shank'],
      muscles: ['other.gastrocnemius', 'other.soleus'],
      hands: [works('knuckles', ['other.shank', 0.3, 90])],
      marks: [{ kind: 'points', at: [['other.shank', 0.24, 90]] }],
    }),
  },
  'shake-down': {
    prone: prone('side', SHIN_UP, null, {
      hands: [works('cup', ['shank', 0.94, 0], { to: 'up', from: 30 }), works('cup', ['shank', 0.97, 180], { to: 'up', from: 150 })],
      marks: [{ kind: 'rock', at: ['shank', 0.5, 0], deg: 0, radius: 14 }],
    }),
  },
  'balance-press': {
    prone: prone('back', PRONE_ABOVE, null, {
      hands: [works('palm', ['chest', 0.3, 146], { to: 20, from: 200 }), works('palm', ['chest', 0.3, -146], { to: -20, from: 160 })],
      marks: [
        {
          kind: 'points',
          at: [
            ['chest', 0.3, 160],
            ['pelvis', 0.3, 140],
            ['shank', 0.3, 180],
          ],
        },
      ],
    }),
    leaning: upright('back', LEANING, null, {
      ...stool,
      frame: SHOULDERS,
      hands: [works('palm', ['chest', 0.05, 116], { to: 250, from: 90 }), works('palm', ['chest', 0.05, -116], { to: 290, from: 90 })],
      marks: [{ kind: 'sink', at: ['chest', 0.16, 180] }],
    }),
    seated: upright('back', SEATED, null, {
      ...stool,
      frame: ['head', 'chest', 'pelvis', 'upperArm', 'other.upperArm'],
      hands: [works('palm', ['chest', 0.05, 116], { to: 70, from: 270 }), works('palm', ['chest', 0.05, -116], { to: 110, from: 270 })],
      marks: [{ kind: 'sink', at: ['chest', 0.16, 180] }],
    }),
  },
  'still-hold': {
    prone: prone('side', PRONE, null, {
      hands: [holds('palm', ['pelvis', 0.4, 180], { to: 'up', from: 60 }), holds('palm', ['chest', 0.4, 180], { to: 'down', from: 130 })],
    }),
    'side-lying': sideLying('back', SIDE_LYING, null, {
      hands: [holds('palm', ['upperArm', 0.04, 90], { to: 'down', from: 110 }), holds('palm', ['pelvis', 0.4, 90], { to: 'up', from: 70 })],
    }),
    seated: upright('back', SEATED, null, {
      ...table,
      hands: [holds('palm', ['chest', 0.05, 116], { to: 70, from: 270 }), holds('palm', ['chest', 0.05, -116], { to: 110, from: 270 })],
    }),
    leaning: upright('back', LEANING, null, {
      ...stool,
      hands: [holds('palm', ['chest', 0.4, 180], { to: 80 }), holds('palm', ['waist', 0.8, 180], { to: 100 })],
    }),
  },
  percussion: {
    supine: supine('front', SUPINE_ABOVE, null, {
      muscles: ['rectus-femoris'],
      hands: [works('fist', ['thigh', 0.75, 10], { to: 60 }), works('fist', ['upperArm', 0.5, 40], { to: 100 })],
      marks: [
        { kind: 'tap', at: ['thigh', 0.6, 0] },
        { kind: 'tap', at: ['upperArm', 0.5, 20] },
      ],
    }),
    seated: upright('back', SEATED_FOLDED, null, {
      ...stool,
      muscles: ['upper-trapezius', 'back-extensors'],
      hands: [works('fist', ['chest', 0.08, 122], { to: 40 }), works('fist', ['chest', 0.4, -134], { to: 140 })],
      marks: [
        { kind: 'tap', at: ['chest', 0.2, 140] },
        { kind: 'tap', at: ['chest', 0.5, -160] },
      ],
    }),
  },
  'home-mobility-line': {
    standing: upright(
      'front',
      { ...STANDING, ...twice({ sh: 130, plane: 0, elbow: 10 }), side: -18, hipOut: 12, 'other.hipOut': 12 },
      { side: 8, ...twice({ sh: 60 }) },
      {
        on: 'floor',
        mover: 'athlete',
        marks: [
          {
            kind: 'points',
            at: [
              ['neck', 0.5, 0],
              ['chest', 0.5, 0],
              ['pelvis', 0.6, 0],
              ['thigh', 0.95, 0],
              ['shank', 0.95, 0],
            ],
          },
        ],
      },
    ),
  },
};
