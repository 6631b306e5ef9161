import { frameOnPage, onPage, type Camera } from './camera.ts';
import type { Body } from './body.ts';
import { at, plus, type Pt, type Vec } from './space.ts';

/** The head as it is seen: a closed outline, the hair on it, and lines of the face. Centimetres on the page. */
export interface HeadPicture {
  readonly outline: readonly Pt[];
  readonly hair: readonly Pt[] | null;
  /** Small closed shapes outside the outline: ears from the front, the nose from above. */
  readonly bits: readonly (readonly Pt[])[];
  readonly lines: readonly (readonly Pt[])[];
}

type Local = readonly (readonly [number, number])[];
// Profile: x toward the face, y toward the crown; the origin is the uppermost joint of the neck.
const PROFILE: Local = [
  [-6.4, -3.2],
  [-8.6, 0.6],
  [-9.9, 5],
  [-10.3, 9.4],
  [-9.5, 14],
  [-6.6, 18.4],
  [-2, 20.9],
  [3, 20.8],
  [7, 18.6],
  [9.2, 15],
  [9.7, 12],
  [9.3, 10.4],
  [10.3, 8.4],
  [11.9, 6.2],
  [11.6, 5.1],
  [10.2, 4.7],
  [10.5, 3.7],
  [10.1, 2.8],
  [10.4, 1.8],
  [9.6, 0.6],
  [9.9, -0.9],
  [9, -2.7],
  [6, -2.9],
  [2, -1.2],
  [-2.4, -3.4],
];
const PROFILE_HAIR: Local = [
  [-8.9, 1.4],
  [-10.3, 5.4],
  [-10.6, 9.6],
  [-9.8, 14.4],
  [-6.7, 19],
  [-2, 21.5],
  [3.2, 21.4],
  [7.4, 19],
  [8.9, 16.2],
  [5.6, 16.6],
  [3.6, 14.2],
  [2.4, 11.4],
  [0.6, 9.8],
  [-1, 10.6],
  [-2.6, 9.4],
  [-3, 5.4],
  [-5.4, 2],
];
const EAR: Local = [
  [-1.5, 7.6],
  [-0.8, 8.8],
  [0.8, 8.6],
  [1.2, 7],
  [0.2, 5.8],
  [0.1, 4.8],
  [-0.9, 4.6],
];
const HALF_FRONT: Local = [
  [0, -3.2],
  [2.9, -2.8],
  [5.3, -0.6],
  [6.7, 3.6],
  [7.4, 8.4],
  [7.6, 12.6],
  [6.6, 17],
  [3.8, 20],
  [0, 21],
];
const both = (half: Local): Local => [
  ...half,
  ...[...half]
    .reverse()
    .slice(1, -1)
    .map(([x, y]) => [-x, y] as const),
];
const FRONT_HAIR: Local = both(
  [
    [0, 16.6],
    [3.4, 16.9],
    [5.6, 15.2],
    [6.6, 11.4],
    [7.9, 10.6],
    [8, 13.4],
    [6.9, 17.6],
    [4, 20.7],
    [0, 21.6],
  ].reverse() as unknown as Local,
);
const BACK_HAIR: Local = both([
  [0, 2.6],
  [3.6, 2.4],
  [6, 3.6],
  [7.5, 8],
  [7.9, 12.8],
  [6.8, 17.4],
  [3.9, 20.6],
  [0, 21.5],
]);

/**
 * The head of a body as a camera sees it. Which of the drawings is used follows from where the face looks; each is projected as it is,
 * so that a head that nods or turns in the page does so truly, and a face turned part of the way shows its features moved.
 */
export function headPicture(camera: Camera, body: Body): HeadPicture {
  const { head } = body.bones;
  const base = plus(head.a, head.frame.u, 3);
  const { l, u, f, toL, toU, toF } = frameOnPage(camera, head.frame);
  const o = onPage(camera, base);
  const place =
    (origin: Pt, x: Pt, y: Pt) =>
    (list: Local): Pt[] =>
      list.map(([a, b]) => at(at(origin, x, a), y, b));
  const ellipse = (cx: number, cy: number, rx: number, ry: number, n = 18): Local =>
    Array.from({ length: n }, (_, i) => [cx + rx * Math.cos((i * 2 * Math.PI) / n), cy + ry * Math.sin((i * 2 * Math.PI) / n)] as const);

  if (Math.abs(toU) > Math.max(Math.abs(toF), Math.abs(toL))) {
    const centre = onPage(camera, plus(base, head.frame.u as Vec, 10));
    const put = place(centre, l, f);
    if (toU > 0) {
      const nose: Local = [
        [-1.5, 8.6],
        [-0.9, 11],
        [0, 11.8],
        [0.9, 11],
        [1.5, 8.6],
      ];
      return {
        outline: put(ellipse(0, 0, 7.7, 10)),
        hair: put(ellipse(0, -0.9, 7.9, 9.3)),
        bits: [put(nose), put(ellipse(8, 0.2, 1, 1.9, 10)), put(ellipse(-8, 0.2, 1, 1.9, 10))],
        lines: [
          put([
            [0, -7],
            [0.4, -2],
            [0, 3],
          ]),
        ],
      };
    }
    return {
      outline: put(ellipse(0, 0.4, 6.6, 9.4)),
      hair: null,
      bits: [
        put([
          [-1.3, 8.4],
          [-0.8, 10.8],
          [0, 11.6],
          [0.8, 10.8],
          [1.3, 8.4],
        ]),
      ],
      lines: [
        put([
          [-4.6, 4.4],
          [-2.6, 7.6],
          [0, 8.6],
          [2.6, 7.6],
          [4.6, 4.4],
        ]),
      ],
    };
  }
  if (Math.abs(toL) > Math.abs(toF)) {
    const put = place(o, f, u);
    return {
      outline: put(PROFILE),
      hair: put(PROFILE_HAIR),
      bits: [],
      lines: [
        put(EAR),
        put([
          [6.4, 10.2],
          [7.6, 9.8],
          [8.6, 10.2],
        ]),
        put([
          [6.4, 12.2],
          [7.7, 12.7],
          [9, 12.3],
        ]),
        put([
          [10.2, 2.8],
          [9.2, 2.7],
          [8.6, 2.4],
        ]),
      ],
    };
  }
  // The features move with the face: where it points, seen from here.
  const put = place(o, l, u);
  if (toF < 0) {
    return {
      outline: put(both(HALF_FRONT)),
      hair: put(BACK_HAIR),
      bits: [put(ellipse(7.9, 7, 0.9, 2, 10)), put(ellipse(-7.9, 7, 0.9, 2, 10))],
      lines: [],
    };
  }
  const shift: Pt = [f[0] * 7.5, f[1] * 7.5];
  const face = place(at(o, shift), l, u);
  return {
    outline: put(both(HALF_FRONT)),
    hair: place(at(o, shift, 0.35), l, u)(FRONT_HAIR),
    bits: [put(ellipse(7.9, 7, 0.9, 2, 10)), put(ellipse(-7.9, 7, 0.9, 2, 10))],
    lines: [
      face([
        [-4.2, 9.6],
        [-3.1, 10.1],
        [-2, 9.6],
      ]),
      face([
        [4.2, 9.6],
        [3.1, 10.1],
        [2, 9.6],
      ]),
      face([
        [-4.5, 11.8],
        [-3, 12.4],
        [-1.7, 12],
      ]),
      face([
        [4.5, 11.8],
        [3, 12.4],
        [1.7, 12],
      ]),
      face([
        [0.5, 9],
        [1.2, 5.8],
        [0, 5.2],
        [-0.8, 5.6],
      ]),
      face([
        [-2, 1.9],
        [0, 1.5],
        [2, 1.9],
      ]),
    ],
  };
}
