import type { Place } from './body.ts';

/**
 * Where muscles lie on the body: two edges from origin to insertion, each a list of places on the skin. They stretch and shorten with the
 * bones they are fastened to. Anatomy: common practice; drawn to be recognised, not to be measured. The worked side's; the other side's
 * are the mirror image.
 */
export interface Region {
  readonly a: readonly Place[];
  readonly b: readonly Place[];
  /** Lies under others: hatched, with a broken edge, whatever the view. */
  readonly deep?: true;
  readonly words: string;
}

type Station = readonly [...Place, number];
/** A band along stations: place and half its width, in degrees around the bone. */
const band = (words: string, stations: readonly Station[], deep = false): Region => ({
  a: stations.map(([bone, share, around, half]) => [bone, share, around - half] as const),
  b: stations.map(([bone, share, around, half]) => [bone, share, around + half] as const),
  words,
  ...(deep ? { deep: true as const } : {}),
});
const area = (words: string, a: readonly Place[], b: readonly Place[], deep = false): Region => ({
  a,
  b,
  words,
  ...(deep ? { deep: true as const } : {}),
});

export const REGIONS = {
  'upper-trapezius': area(
    'upper trapezius',
    [
      ['neck', 1, 150],
      ['neck', 0.4, 118],
      ['chest', 0.04, 98],
      ['chest', 0.09, 92],
    ],
    [
      ['neck', 1, 172],
      ['neck', 0.3, 168],
      ['chest', 0.1, 158],
      ['chest', 0.13, 105],
    ],
  ),
  levator: band('levator scapulae', [
    ['neck', 0.9, 108, 10],
    ['neck', 0.3, 128, 13],
    ['chest', 0.16, 150, 9],
  ]),
  scalenes: band('scalenes', [
    ['neck', 0.85, 84, 10],
    ['neck', 0.4, 72, 16],
    ['neck', 0, 62, 20],
  ]),
  sternomastoid: band('sternocleidomastoid', [
    ['head', 0.16, 108, 9],
    ['neck', 0.55, 60, 12],
    ['neck', 0, 16, 8],
  ]),
  splenius: band('splenius', [
    ['head', 0.18, 132, 12],
    ['neck', 0.5, 148, 14],
    ['chest', 0.1, 172, 7],
  ]),
  'neck-extensors': band('neck extensors', [
    ['head', 0.16, 152, 16],
    ['neck', 0.5, 150, 20],
    ['chest', 0.1, 162, 12],
  ]),
  suboccipitals: band('suboccipitals', [
    ['head', 0.2, 152, 22],
    ['neck', 0.8, 152, 22],
  ]),
  'neck-flexors': band('front of the neck', [
    ['neck', 0.9, 24, 16],
    ['neck', 0.05, 20, 16],
  ]),
  jaw: band('jaw line', [
    ['head', 0.3, 62, 10],
    ['head', 0.1, 48, 12],
  ]),

  'pectoralis-major': area(
    'pectoralis major',
    [
      ['chest', 0.13, 8],
      ['chest', 0.13, 52],
      ['upperArm', 0.16, 10],
    ],
    [
      ['chest', 0.6, 8],
      ['chest', 0.5, 48],
      ['upperArm', 0.3, 4],
    ],
  ),
  'pectoralis-minor': area(
    'pectoralis minor',
    [
      ['chest', 0.14, 60],
      ['chest', 0.46, 30],
    ],
    [
      ['chest', 0.18, 72],
      ['chest', 0.52, 48],
    ],
    true,
  ),
  latissimus: area(
    'latissimus dorsi and teres major',
    [
      ['upperArm', 0.2, -110],
      ['chest', 0.34, 98],
      ['chest', 0.78, 110],
      ['waist', 0.6, 138],
      ['pelvis', 0.2, 150],
    ],
    [
      ['upperArm', 0.1, -150],
      ['chest', 0.34, 148],
      ['chest', 0.62, 175],
      ['waist', 0.5, 177],
      ['pelvis', 0.3, 176],
    ],
  ),
  'teres-major': band('teres major', [
    ['chest', 0.46, 140, 9],
    ['upperArm', 0.18, -135, 24],
  ]),
  subscapularis: area(
    'subscapularis',
    [
      ['chest', 0.18, 92],
      ['chest', 0.46, 112],
    ],
    [
      ['chest', 0.2, 126],
      ['chest', 0.5, 136],
    ],
    true,
  ),
  'cuff-back': area(
    'infraspinatus and teres minor',
    [
      ['chest', 0.2, 166],
      ['chest', 0.18, 124],
      ['upperArm', 0.03, 140],
    ],
    [
      ['chest', 0.48, 158],
      ['chest', 0.34, 124],
      ['upperArm', 0.14, 150],
    ],
  ),
  supraspinatus: area(
    'supraspinatus',
    [
      ['chest', 0.1, 162],
      ['chest', 0.06, 108],
      ['upperArm', 0.02, 100],
    ],
    [
      ['chest', 0.17, 162],
      ['chest', 0.14, 112],
      ['upperArm', 0.08, 110],
    ],
    true,
  ),
  cuff: band(
    'rotator cuff',
    [
      ['upperArm', -0.02, 90, 84],
      ['upperArm', 0.16, 90, 84],
    ],
    true,
  ),
  'deltoid-front': band('deltoid, front', [
    ['upperArm', 0, 28, 39],
    ['upperArm', 0.2, 34, 39],
    ['upperArm', 0.46, 70, 9],
  ]),
  'deltoid-middle': band('deltoid, middle', [
    ['upperArm', -0.04, 90, 45],
    ['upperArm', 0.2, 90, 42],
    ['upperArm', 0.46, 88, 9],
  ]),
  'deltoid-back': band('deltoid, back', [
    ['upperArm', 0, 150, 39],
    ['upperArm', 0.2, 142, 39],
    ['upperArm', 0.46, 104, 9],
  ]),
  rhomboids: area(
    'rhomboids',
    [
      ['chest', 0.08, 176],
      ['chest', 0.24, 154],
    ],
    [
      ['chest', 0.32, 177],
      ['chest', 0.46, 154],
    ],
  ),
  serratus: area(
    'serratus anterior',
    [
      ['chest', 0.32, 108],
      ['chest', 0.36, 66],
    ],
    [
      ['chest', 0.72, 104],
      ['chest', 0.72, 62],
    ],
  ),
  intercostals: area(
    'intercostals',
    [
      ['chest', 0.4, 62],
      ['chest', 0.4, 108],
    ],
    [
      ['chest', 0.88, 58],
      ['chest', 0.88, 108],
    ],
  ),
  'upper-ribs': area(
    'upper ribs',
    [
      ['chest', 0.14, 10],
      ['chest', 0.14, 54],
    ],
    [
      ['chest', 0.42, 10],
      ['chest', 0.42, 50],
    ],
  ),
  'first-rib': area(
    'first rib',
    [
      ['neck', 0.05, 60],
      ['neck', 0.02, 110],
    ],
    [
      ['chest', 0.08, 52],
      ['chest', 0.08, 96],
    ],
    true,
  ),
  'second-third-rib': area(
    'second and third rib',
    [
      ['chest', 0.16, 52],
      ['chest', 0.2, 86],
    ],
    [
      ['chest', 0.3, 46],
      ['chest', 0.34, 84],
    ],
  ),
  'shoulder-blade': area(
    'shoulder blade',
    [
      ['chest', 0.16, 160],
      ['chest', 0.14, 122],
    ],
    [
      ['chest', 0.54, 150],
      ['chest', 0.5, 134],
    ],
  ),
  'upper-back': band('upper back', [
    ['chest', 0.12, 166, 12],
    ['chest', 0.7, 166, 12],
  ]),

  biceps: band('biceps', [
    ['upperArm', 0.14, 0, 33],
    ['upperArm', 0.4, -4, 66],
    ['upperArm', 0.75, -4, 63],
    ['upperArm', 0.98, 0, 27],
  ]),
  triceps: band('triceps', [
    ['upperArm', 0.1, 190, 36],
    ['upperArm', 0.35, 186, 75],
    ['upperArm', 0.7, 182, 63],
    ['upperArm', 0.98, 180, 24],
  ]),
  brachioradialis: band('brachioradialis', [
    ['upperArm', 0.78, 62, 24],
    ['forearm', 0.2, 58, 33],
    ['forearm', 0.75, 62, 18],
  ]),
  'wrist-extensors': band('wrist extensors', [
    ['upperArm', 0.93, 96, 27],
    ['forearm', 0.22, 134, 60],
    ['forearm', 0.55, 150, 51],
    ['forearm', 0.96, 164, 30],
  ]),
  'wrist-flexors': band('wrist flexors', [
    ['upperArm', 0.95, -80, 27],
    ['forearm', 0.22, -26, 63],
    ['forearm', 0.55, -12, 54],
    ['forearm', 0.96, 0, 30],
  ]),
  pronators: band('pronator teres', [
    ['upperArm', 0.96, -78, 18],
    ['forearm', 0.16, -16, 27],
    ['forearm', 0.42, 38, 18],
  ]),
  'forearm-ring': band('wrist extensors and flexors', [
    ['forearm', 0.08, 60, 84],
    ['forearm', 0.5, 60, 84],
  ]),
  palm: band('palm', [
    ['hand', 0.08, 0, 50],
    ['hand', 0.3, 0, 58],
    ['hand', 0.46, 0, 50],
  ]),
  'hand-back': band(
    'bones of the hand',
    [
      ['hand', 0.1, 180, 44],
      ['hand', 0.45, 180, 52],
    ],
    true,
  ),
  'wrist-joint': band(
    'wrist joints',
    [
      ['forearm', 0.94, 0, 84],
      ['hand', 0.14, 0, 180],
    ],
    true,
  ),
  'thumb-ball': band('muscles of the thumb', [
    ['hand', 0.06, 40, 26],
    ['hand', 0.3, 58, 24],
  ]),

  abdominals: band('abdominals', [
    ['chest', 0.72, 0, 30],
    ['waist', 0.5, 0, 34],
    ['pelvis', 0.85, 0, 24],
  ]),
  obliques: area(
    'obliques',
    [
      ['chest', 0.66, 52],
      ['waist', 0.5, 38],
      ['pelvis', 0.32, 40],
    ],
    [
      ['chest', 0.6, 118],
      ['waist', 0.5, 124],
      ['pelvis', 0.16, 116],
    ],
  ),
  quadratus: area(
    'quadratus lumborum',
    [
      ['chest', 0.92, 150],
      ['waist', 0.5, 146],
      ['pelvis', 0.16, 140],
    ],
    [
      ['chest', 0.92, 170],
      ['waist', 0.5, 172],
      ['pelvis', 0.22, 168],
    ],
    true,
  ),
  'back-extensors': band('back extensors', [
    ['chest', 0.12, 168, 7],
    ['chest', 0.6, 164, 11],
    ['waist', 0.3, 161, 15],
    ['pelvis', 0.5, 169, 9],
  ]),
  'low-back': band('low back', [
    ['chest', 0.92, 164, 14],
    ['waist', 0.5, 162, 16],
    ['pelvis', 0.4, 166, 12],
  ]),
  belly: band(
    'belly',
    [
      ['chest', 0.9, 0, 40],
      ['waist', 0.5, 0, 50],
      ['pelvis', 0.5, 0, 42],
    ],
    true,
  ),
  sacroiliac: band('sacroiliac joint', [
    ['pelvis', 0.3, 166, 9],
    ['pelvis', 0.72, 168, 9],
  ]),

  iliopsoas: band(
    'iliopsoas',
    [
      ['chest', 1, 14, 7],
      ['waist', 0.6, 20, 9],
      ['pelvis', 0.5, 36, 13],
      ['pelvis', 0.9, 44, 14],
      ['thigh', 0.14, -10, 20],
    ],
    true,
  ),
  psoas: band(
    'psoas',
    [
      ['chest', 1, 12, 7],
      ['waist', 0.5, 18, 10],
      ['pelvis', 0.45, 30, 10],
      ['pelvis', 0.95, 38, 8],
    ],
    true,
  ),
  iliacus: area(
    'iliacus',
    [
      ['pelvis', 0.12, 38],
      ['pelvis', 0.8, 32],
      ['thigh', 0.1, -16],
    ],
    [
      ['pelvis', 0.12, 66],
      ['pelvis', 0.6, 62],
      ['thigh', 0.1, 6],
    ],
    true,
  ),
  'gluteus-maximus': area(
    'gluteus maximus',
    [
      ['pelvis', 0.3, 171],
      ['pelvis', 0.4, 132],
      ['thigh', 0.02, 108],
      ['thigh', 0.16, 98],
    ],
    [
      ['pelvis', 0.98, 172],
      ['thigh', 0.06, 178],
      ['thigh', 0.18, 150],
      ['thigh', 0.26, 104],
    ],
  ),
  'gluteus-medius': area(
    'gluteus medius and minimus',
    [
      ['pelvis', 0.1, 74],
      ['pelvis', 0.6, 74],
      ['thigh', 0.02, 82],
    ],
    [
      ['pelvis', 0.14, 140],
      ['pelvis', 0.62, 116],
      ['thigh', 0.03, 104],
    ],
  ),
  'gluteus-minimus': area(
    'gluteus minimus',
    [
      ['pelvis', 0.36, 76],
      ['thigh', 0.01, 84],
    ],
    [
      ['pelvis', 0.36, 112],
      ['thigh', 0.03, 102],
    ],
    true,
  ),
  tensor: band('tensor fasciae latae and band', [
    ['pelvis', 0.42, 60, 9],
    ['thigh', 0.08, 62, 22],
    ['thigh', 0.28, 78, 18],
    ['thigh', 0.6, 88, 8],
    ['thigh', 0.99, 84, 8],
  ]),
  piriformis: area(
    'piriformis',
    [
      ['pelvis', 0.42, 170],
      ['pelvis', 0.66, 138],
      ['thigh', -0.02, 112],
    ],
    [
      ['pelvis', 0.62, 170],
      ['pelvis', 0.82, 140],
      ['thigh', 0.03, 112],
    ],
    true,
  ),
  'deep-rotators': area(
    'deep outward rotators',
    [
      ['pelvis', 0.44, 168],
      ['pelvis', 0.7, 136],
      ['thigh', -0.02, 112],
    ],
    [
      ['pelvis', 0.98, 162],
      ['thigh', 0.1, 150],
      ['thigh', 0.1, 112],
    ],
    true,
  ),
  adductors: band('adductors', [
    ['thigh', -0.02, -62, 33],
    ['thigh', 0.2, -76, 51],
    ['thigh', 0.5, -84, 45],
    ['thigh', 0.86, -88, 18],
  ]),
  'adductors-short': band('adductors, short', [
    ['thigh', -0.04, -52, 24],
    ['thigh', 0.14, -66, 39],
    ['thigh', 0.4, -84, 24],
  ]),
  'groin-tendon': band(
    'attachment below the groin',
    [
      ['thigh', 0.02, -34, 21],
      ['thigh', 0.16, -44, 21],
    ],
    true,
  ),
  hamstrings: band('hamstrings', [
    ['pelvis', 1, 160, 8],
    ['thigh', 0.16, 180, 51],
    ['thigh', 0.5, 180, 78],
    ['thigh', 0.84, 180, 69],
    ['shank', 0.06, 180, 66],
  ]),
  'rectus-femoris': band('rectus femoris', [
    ['pelvis', 0.6, 46, 6],
    ['thigh', 0.1, 26, 20],
    ['thigh', 0.45, 4, 42],
    ['thigh', 0.8, 0, 36],
    ['thigh', 0.96, 0, 21],
  ]),
  vasti: band('vasti', [
    ['thigh', 0.24, 20, 84],
    ['thigh', 0.6, 6, 84],
    ['thigh', 0.86, 0, 84],
    ['thigh', 0.97, 0, 42],
  ]),
  'knee-cap': band(
    'knee-cap',
    [
      ['thigh', 0.93, 0, 30],
      ['thigh', 0.99, 0, 51],
      ['shank', 0.04, 0, 30],
    ],
    true,
  ),
  popliteal: band(
    'back of the knee',
    [
      ['thigh', 0.9, 180, 54],
      ['shank', 0.1, 180, 60],
    ],
    true,
  ),

  gastrocnemius: band('gastrocnemius', [
    ['thigh', 0.95, 180, 48],
    ['shank', 0.12, 180, 81],
    ['shank', 0.3, 180, 84],
    ['shank', 0.46, 180, 81],
    ['shank', 0.56, 180, 27],
    ['shank', 0.97, 180, 18],
  ]),
  soleus: band('soleus', [
    ['shank', 0.34, 180, 84],
    ['shank', 0.5, 180, 84],
    ['shank', 0.66, 180, 66],
    ['shank', 0.8, 180, 27],
    ['shank', 0.98, 180, 18],
  ]),
  achilles: band('Achilles tendon', [
    ['shank', 0.66, 180, 30],
    ['shank', 0.98, 180, 21],
  ]),
  'tibialis-front': band('tibialis anterior and toe lifters', [
    ['shank', 0.07, 48, 24],
    ['shank', 0.3, 44, 45],
    ['shank', 0.6, 26, 33],
    ['shank', 0.97, 4, 21],
    ['foot', 0.5, 0, 26],
  ]),
  fibulars: band('fibulars', [
    ['shank', 0.08, 92, 18],
    ['shank', 0.4, 98, 30],
    ['shank', 0.8, 120, 10],
    ['shank', 0.98, 130, 8],
  ]),
  'tibialis-back': band(
    'tibialis posterior and toe flexors',
    [
      ['shank', 0.2, -132, 36],
      ['shank', 0.6, -130, 33],
      ['shank', 0.98, -120, 10],
    ],
    true,
  ),
  sole: band('sole', [
    ['foot', 0.08, 180, 30],
    ['foot', 0.4, 180, 40],
    ['foot', 0.68, 180, 52],
  ]),
  instep: band(
    'top of the foot',
    [
      ['foot', 0.36, 0, 46],
      ['foot', 0.7, 0, 60],
    ],
    true,
  ),
  ball: band('ball of the foot', [
    ['foot', 0.6, 180, 62],
    ['foot', 0.76, 180, 62],
  ]),
  heel: band(
    'heel',
    [
      ['foot', 0.02, 180, 60],
      ['foot', 0.2, 180, 60],
    ],
    true,
  ),
} as const satisfies Readonly<Record<string, Region>>;

export type RegionId = keyof typeof REGIONS;
