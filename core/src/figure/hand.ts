import { frameOnPage, onPage, type Camera } from './camera.ts';
import type { Body } from './body.ts';
import { at, dir2, less, RAD, unit2, type Pt } from './space.ts';

/**
 * Hands. Local axes: x toward the fingertips, y toward the back of the hand where it is seen from the side, toward the thumb where it is
 * seen flat. The origin is the wrist. Centimetres.
 */
export const CONTACTS = [
  'palm',
  'heel',
  'grip',
  'cup',
  'fist',
  'knuckles',
  'thumb',
  'fingers',
  'hook',
  'forearm',
  'elbow',
  'foot',
  'stick',
  'edge',
  'crook',
  'leg',
] as const;
export type Contact = (typeof CONTACTS)[number];

/** One closed ring; rings of one layer are drawn as one shape, layers over each other. */
export interface HandPicture {
  readonly layers: readonly (readonly (readonly Pt[])[])[];
  readonly sleeve: readonly Pt[] | null;
  readonly lines: readonly (readonly Pt[])[];
  /** Where a lock is put on a hand that holds. */
  readonly lock: Pt;
}

/** A finger: joints and half widths at them, as a closed ring. */
export function tube(points: readonly Pt[], widths: readonly number[]): Pt[] {
  const left: Pt[] = [];
  const right: Pt[] = [];
  points.forEach((p, i) => {
    const before = points[Math.max(0, i - 1)]!;
    const after = points[Math.min(points.length - 1, i + 1)]!;
    const d = unit2(less(after, before));
    const w = widths[i]!;
    left.push(at(p, [d[1], -d[0]], w));
    right.push(at(p, [d[1], -d[0]], -w));
  });
  const round = (centre: Pt, from: Pt, w: number): Pt[] => {
    const base = Math.atan2(from[1] - centre[1], from[0] - centre[0]) / RAD;
    return [36, 72, 108, 144].map((deg) => at(centre, dir2(base + deg), w));
  };
  const last = points.length - 1;
  return [
    ...left,
    ...round(points[last]!, left[last]!, widths[last]!),
    ...right.reverse(),
    ...round(points[0]!, right[right.length - 1]!, widths[0]!),
  ];
}

/** A bent finger from its knuckle: three bones, each turned by the curl. */
function finger(from: Pt, deg: number, size: number, curl: number, width: number): Pt[] {
  const points: Pt[] = [from];
  let way = deg;
  let p = from;
  for (const share of [0.45, 0.32, 0.23]) {
    way += curl;
    p = at(p, dir2(way), size * share);
    points.push(p);
  }
  return tube(points, [width, width * 0.95, width * 0.88, width * 0.74]);
}

interface Local {
  /** From the back to the front of the picture; rings in one layer make one shape. */
  readonly layers: (readonly Pt[])[][];
  readonly lines: Pt[][];
  /** The point that touches the skin. */
  readonly touch: Pt;
  /** Where the forearm goes from the wrist, degrees from the hand's length, y up. */
  readonly arm: number;
  readonly noArm?: true;
}

const profilePalm: readonly Pt[] = [
  [-0.6, 2.3],
  [3, 2.5],
  [6.5, 2.1],
  [9.4, 1.5],
  [10.2, 0.2],
  [9.4, -1.5],
  [6.5, -2.3],
  [3, -2.9],
  [0.6, -2.7],
  [-0.6, -2.2],
];
/** Seen from the thumb's side, fingers curled by degrees in each joint (plus: toward the palm). */
function profile(curl: number, thumbDeg: number): { rings: (readonly Pt[])[]; thumb: Pt[] } {
  return { rings: [profilePalm, finger([8.8, 0], 0, 9.4, -curl, 1.25)], thumb: finger([3.2, -1], thumbDeg, 6.4, 6, 1.15) };
}

const flatPalm: readonly Pt[] = [
  [-0.6, 2.8],
  [2, 3.6],
  [4.4, 4.1],
  [7, 4.3],
  [9.2, 4.1],
  [10, 2],
  [10.2, 0],
  [9.8, -2.2],
  [8.6, -4],
  [6, -4.3],
  [3, -4],
  [-0.6, -2.8],
];
function flat(spread: number, size: number, thumbDeg: number, thumb = 6.4): Local {
  const fingers = [
    finger([9, 3.1], 4 * spread, 7.4 * size, 0, 1.02),
    finger([9.6, 1.05], 1 * spread, 8.3 * size, 0, 1.05),
    finger([9.5, -1.05], -3 * spread, 7.7 * size, 0, 1.02),
    finger([8.6, -3.1], -8 * spread, 6.2 * size, 0, 0.92),
  ];
  return {
    layers: [fingers.map((each) => each), [flatPalm, finger([2.4, 3], thumbDeg, thumb, -5, 1.25)]],
    lines: [
      [
        [8.6, 2.1],
        [9.8, 2.1],
      ],
      [
        [8.9, 0],
        [10.1, 0],
      ],
      [
        [8.4, -2.1],
        [9.5, -2.1],
      ],
    ],
    touch: [5.5, 0],
    arm: 180,
  };
}

/** Hands by contact, seen from the side of the skin they lie on (`profile`) or on it (`flat`). */
function handLocal(contact: Contact, seen: 'profile' | 'flat'): Local {
  if (seen === 'flat') {
    switch (contact) {
      case 'grip':
      case 'cup':
        return { ...flat(1, 0.62, 72), touch: [7.5, 0] };
      case 'heel':
        return { ...flat(1.6, 0.95, 58), touch: [1.8, 0] };
      case 'fist':
      case 'knuckles': {
        const fist: readonly Pt[] = [
          [-0.4, 2.9],
          [3, 4],
          [7, 4.3],
          [8.7, 3.6],
          [9, 1.2],
          [8.9, -1.6],
          [8.2, -3.7],
          [5, -4.2],
          [-0.4, -2.9],
        ];
        return {
          layers: [[fist], [finger([3.4, 3.4], -8, 5, -24, 1.25)]],
          lines: [
            [
              [6.4, 2.2],
              [8.8, 2.4],
            ],
            [
              [6.4, 0.2],
              [9, 0.2],
            ],
            [
              [6.2, -1.9],
              [8.7, -1.9],
            ],
          ],
          touch: [8.4, 0],
          arm: 180,
        };
      }
      case 'thumb':
        return {
          ...flat(1, 0.6, 20, 8.6),
          layers: [
            [finger([8.6, 0.2], -38, 5.6, -30, 1.1), finger([8.4, -1.6], -44, 5.2, -32, 1.1), finger([7.8, -3], -52, 4.8, -32, 1)],
            [flatPalm, finger([3.4, 2.6], 22, 9, -2, 1.3)],
          ],
          lines: [],
          touch: [11.4, 5.2],
        };
      case 'fingers':
      case 'hook':
        return { ...flat(0.25, 0.92, 60, 5.4), touch: [16, 0] };
      case 'edge':
        return { ...flat(0.15, 1, 40, 5), touch: [6, -4] };
      default:
        return flat(1.5, 1, 50);
    }
  }
  const make = (curl: number, thumbDeg: number, touch: Pt, arm: number): Local => {
    const { rings, thumb } = profile(curl, thumbDeg);
    return { layers: [rings, [thumb]], lines: [], touch, arm };
  };
  switch (contact) {
    case 'grip':
    case 'cup':
      return make(26, -58, [8, -1.9], 158);
    case 'heel':
      return make(-7, 12, [1.2, -2.8], 106);
    case 'fist':
    case 'knuckles': {
      const fist: readonly Pt[] = [
        [-0.6, 2.3],
        [3.4, 2.7],
        [7.2, 2.7],
        [9, 1.5],
        [9.4, -0.8],
        [8.8, -3.4],
        [6.6, -4.2],
        [4.4, -3.6],
        [2, -2.7],
        [-0.6, -2.3],
      ];
      return {
        layers: [[fist], [finger([2.6, 0.2], -16, 5.4, -14, 1.2)]],
        lines: [
          [
            [9, -0.4],
            [6.8, -0.8],
            [6.2, -2],
          ],
        ],
        touch: [9.3, -0.6],
        arm: 176,
      };
    }
    case 'thumb': {
      const rings = [profilePalm, finger([8.6, -0.6], -30, 7, -34, 1.2)];
      return { layers: [rings, [finger([3.6, 0.2], -4, 9.4, -1, 1.3)]], lines: [], touch: [13, -0.5], arm: 172 };
    }
    case 'fingers':
      return make(5, -28, [17.7, -1.6], 168);
    case 'hook':
      return make(38, -40, [11.4, -7.4], 165);
    case 'edge':
      return make(2, -14, [6, -2.6], 150);
    default:
      return make(3, -18, [7, -2.6], 138);
  }
}

export interface HandPlace {
  /** Where it touches, on the page, and the direction of its fingers, degrees on the page (y down). */
  readonly touch: Pt;
  readonly deg: number;
  /** Whether the page has the local axes mirrored: the back of the hand on the other side. */
  readonly flip: boolean;
  readonly contact: Contact;
  readonly seen: 'profile' | 'flat';
  /** Length of forearm drawn, centimetres, and the direction it comes from where that is not the hand's own. */
  readonly arm?: number;
  readonly armDeg?: number;
}

/** A hand that touches the skin, as rings on the page. */
export function placeHand({ touch, deg, flip, contact, seen, arm = 15, armDeg }: HandPlace): HandPicture {
  if (contact === 'forearm' || contact === 'elbow' || contact === 'crook')
    return placeForearm({ touch, deg, flip, contact, seen, arm, ...(armDeg === undefined ? {} : { armDeg }) });
  if (contact === 'stick') {
    // A fist round a stick whose end is on the skin.
    const x = dir2(deg);
    const grip = at(touch, x, -13);
    const fist = placeHand({
      touch: grip,
      deg: deg + (flip ? -90 : 90),
      flip,
      contact: 'fist',
      seen: 'profile',
      arm,
      ...(armDeg === undefined ? {} : { armDeg }),
    });
    return { ...fist, layers: [[tube([touch, at(touch, x, -19)], [0.9, 0.9])], ...fist.layers] };
  }
  if (contact === 'foot' || contact === 'leg') return placeBody({ touch, deg, flip, contact, seen, arm });
  const local = handLocal(contact, seen);
  const x = dir2(deg);
  const y: Pt = flip ? [-x[1], x[0]] : [x[1], -x[0]];
  const put = (p: Pt): Pt => at(at(touch, x, p[0] - local.touch[0]), y, p[1] - local.touch[1]);
  const wrist = put([0, 0]);
  const back: Pt = armDeg === undefined ? less(put(at([0, 0], dir2(local.arm))), wrist) : dir2(armDeg);
  const straight = less(put([-1, 0]), wrist);
  const half = unit2([back[0] + straight[0], back[1] + straight[1]]);
  const elbow = at(at(wrist, half, 1.2), back, arm);
  const cuff = at(elbow, back, -5);
  const forearm = tube([put([0.6, 0]), at(wrist, half, 1.2), at(wrist, back, arm * 0.55), elbow], [2.5, 2.45, 3.1, 3.6]);
  const sleeve = cuffShape(cuff, back, 9, 4.2, 5);
  return {
    layers: [
      ...(seen === 'flat' ? [local.layers[0]!.map((ring) => ring.map(put))] : []),
      [forearm, ...(seen === 'flat' ? local.layers[1]! : local.layers[0]!).map((ring) => ring.map(put))],
      ...(seen === 'flat' ? [] : [local.layers[1]!.map((ring) => ring.map(put))]),
    ],
    sleeve,
    lines: local.lines.map((line) => line.map(put)),
    lock: at(cuff, back, 4.6),
  };
}

/** A rolled sleeve: from its edge across the forearm back along it. */
function cuffShape(edge: Pt, back: Pt, long: number, near: number, far: number): Pt[] {
  const n: Pt = [back[1], -back[0]];
  const end = at(edge, back, long);
  return [
    at(edge, n, near),
    at(edge, n, near),
    at(end, n, far),
    at(end, n, far),
    at(end, n, -far),
    at(end, n, -far),
    at(edge, n, -near),
    at(edge, n, -near),
  ];
}

/** A forearm laid on the skin along a direction, or the point of an elbow with both bones rising from it. */
function placeForearm({ touch, deg, flip, contact, arm = 15, armDeg }: HandPlace): HandPicture {
  const x = dir2(deg);
  const y: Pt = flip ? [-x[1], x[0]] : [x[1], -x[0]];
  const put = (a: number, b: number): Pt => at(at(touch, x, a), y, b);
  if (contact === 'crook') {
    // The bend of an elbow seen along the forearm, the upper arm going back from it.
    const back = dir2(armDeg ?? 180);
    const bend = put(0, 4.4);
    const upper = tube([bend, at(bend, back, arm * 0.6), at(bend, back, arm)], [4.6, 4.9, 5.2]);
    return {
      layers: [[upper]],
      sleeve: cuffShape(at(bend, back, arm * 0.55), back, arm * 0.6, 5.2, 5.8),
      lines: [],
      lock: at(bend, back, arm * 0.8),
    };
  }
  if (contact === 'elbow') {
    const forearm = tube([put(0, 3), put(9, 10), put(16, 16)], [3.4, 3.9, 2.6]);
    const upper = tube([put(0, 3), put(-5, 14), put(-8, 8 + arm)], [3.6, 4.2, 4.6]);
    const sleeve = cuffShape(put(-5.2, 13), unit2(less(put(-8.6, 10 + arm), put(-5.2, 13))), 9, 4.8, 5.4);
    return {
      layers: [[forearm, finger(put(16, 16), deg - (flip ? -48 : 48), 8, 12, 2.2)], [upper]],
      sleeve,
      lines: [],
      lock: put(-7.2, 9 + arm * 0.7),
    };
  }
  const forearm = tube([put(-12, 4), put(-4, 3.9), put(5, 3.4), put(13, 2.8)], [4, 4.1, 3.5, 2.6]);
  const fist = [put(12, 5.2), put(16, 5.8), put(19.4, 4.8), put(20, 2.6), put(18, 0.6), put(14, 0.4), put(12, 0.9)];
  const upper = tube([put(-12, 4.4), put(-15, 11), put(-17, 8 + arm)], [4.1, 4.6, 5]);
  const sleeve = cuffShape(put(-14.4, 9.4), unit2(less(put(-17.4, 10 + arm), put(-14.4, 9.4))), 10, 5.2, 5.8);
  return { layers: [[forearm, fist, upper]], sleeve, lines: [], lock: put(-16, 8 + arm * 0.6) };
}

/** Other parts of the therapist: a foot set down, a lower leg that blocks or walks. */
function placeBody({ touch, deg, flip, contact }: HandPlace): HandPicture {
  const x = dir2(deg);
  const y: Pt = flip ? [-x[1], x[0]] : [x[1], -x[0]];
  const put = (a: number, b: number): Pt => at(at(touch, x, a), y, b);
  if (contact === 'foot') {
    const foot = [
      put(-12, 0),
      put(0, -0.2),
      put(10, 0),
      put(13.4, 1.4),
      put(12.6, 3.6),
      put(6, 5.2),
      put(0, 8),
      put(-4, 11),
      put(-9, 10),
      put(-12.6, 5),
    ];
    const shin = tube([put(-6.5, 8), put(-8, 18), put(-9.5, 30)], [4, 5.2, 5.8]);
    const trouser = cuffShape(put(-8.4, 20), unit2(less(put(-10, 34), put(-8.4, 20))), 14, 6.6, 7.4);
    return { layers: [[foot, shin]], sleeve: trouser, lines: [], lock: put(-9.4, 28) };
  }
  const shin = tube([put(-20, 6), put(0, 5.2), put(22, 4.6)], [7, 6, 4.6]);
  const trouser = cuffShape(put(12, 5), unit2(less(put(-22, 6), put(12, 5))), 34, 6, 7.6);
  return { layers: [[shin]], sleeve: trouser, lines: [], lock: put(-10, 5.6) };
}

/** The athlete's own hand at the end of the forearm. */
export function ownHand(camera: Camera, body: Body, side: 'worked' | 'other', plain: boolean): readonly (readonly (readonly Pt[])[])[] {
  const bone = body.bones[side === 'worked' ? 'hand' : 'other.hand'];
  const { l, u, f, toL, toU, toF } = frameOnPage(camera, bone.frame);
  const down: Pt = [-u[0], -u[1]];
  const { bent: curl, thumb: led } = body.fingers[side];
  const o = onPage(camera, bone.a);
  const m = side === 'worked' ? 1 : -1;
  // With the palm forward the thumb points away from the body.
  const thumb: Pt = [-l[0] * m, -l[1] * m];
  const put =
    (x: Pt, y: Pt) =>
    (p: Pt): Pt =>
      at(at(o, x, p[0]), y, p[1]);
  if (Math.abs(toU) > 0.8) {
    // End on: knuckles side by side, the thumb across them.
    const knuckles: readonly Pt[] = [
      [-4.2, -1.6],
      [-4.4, 0.4],
      [-3.6, 1.9],
      [0, 2.4],
      [3.6, 2.1],
      [4.5, 0.6],
      [4.4, -1.6],
      [3, -2.9],
      [-2.6, -2.9],
    ];
    const back: Pt = [-f[0], -f[1]];
    const across = (list: readonly Pt[]): Pt[] => list.map(([x, y]) => at(at(o, thumb, x), back, y));
    return [
      [across(knuckles)],
      [
        across(
          tube(
            [
              [3.6, -0.6],
              [4.6, -3.4],
              [2.2, -4.6],
            ],
            [1.5, 1.35, 1.1],
          ),
        ),
      ],
    ];
  }
  if (Math.abs(toF) >= Math.abs(toL) * 0.9) {
    const local = curl > 60 ? handLocal('fist', 'flat') : flat(plain ? 0.2 : 0.8, curl > 30 ? 0.7 : 1, 44 + led * 0.5);
    return local.layers.map((layer) => layer.map((ring) => ring.map(put(down, thumb))));
  }
  const { rings, thumb: thumbRing } = profile(curl > 0 ? Math.min(60, curl / 1.6) : curl / 2 + 5, -24 - led);
  const fist = curl > 75 ? handLocal('fist', 'profile').layers : null;
  const back: Pt = [-f[0], -f[1]];
  return (fist ?? [rings, [thumbRing]]).map((layer) => layer.map((ring) => ring.map(put(down, back))));
}
