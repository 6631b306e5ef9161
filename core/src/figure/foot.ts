import { frameOnPage, onPage, type Camera } from './camera.ts';
import type { Body } from './body.ts';
import { at, type Pt } from './space.ts';

/** A foot as it is seen: closed outlines that make one shape together with the shin, and fine lines. */
export interface FootPicture {
  readonly outlines: readonly (readonly Pt[])[];
  readonly lines: readonly (readonly Pt[])[];
  readonly view: 'side' | 'top' | 'sole' | 'toes' | 'heel';
}

type Local = readonly (readonly [number, number])[];
// From the side: x toward the toes, y toward the shin; the origin is the ankle.
const SIDE: Local = [
  [-3.4, 4.4],
  [-3.9, 1.4],
  [-5.3, -1.2],
  [-6.7, -3.8],
  [-6.7, -5.9],
  [-5, -6.9],
  [-2, -6.9],
  [2, -6.1],
  [6, -5.8],
  [9.6, -6.4],
  [12.6, -7],
  [14.4, -6.7],
  [14.4, -3.6],
  [11.6, -2.3],
  [8, -0.4],
  [5.2, 1.8],
  [3.7, 4.6],
];
const TOE: Local = [
  [-1.8, -1.7],
  [1.4, -1.4],
  [3.2, -1.9],
  [5.4, -2],
  [7, -1.1],
  [7.3, 0.3],
  [6.3, 1.3],
  [3.6, 1.5],
  [1, 1.9],
  [-1.6, 2.4],
];
// From above or below: x outward, y toward the toes.
const PLAN: Local = [
  [0, -6.5],
  [2.3, -6.1],
  [3.4, -4],
  [3.3, -1],
  [3.4, 3],
  [4.2, 7.5],
  [5.1, 11.4],
  [5.1, 13.6],
  [3.4, 15],
  [0, 15.9],
  [-3, 15.6],
  [-4.7, 13.6],
  [-4.7, 11.4],
  [-3.5, 7],
  [-2.7, 2.5],
  [-3, -1],
  [-3.2, -4],
  [-2.3, -6.1],
];
const TOES: readonly (readonly [number, number, number, number])[] = [
  [-3, 17, 1.7, 3.1],
  [-0.6, 17.4, 1.15, 2.4],
  [1.3, 16.7, 1.05, 2.2],
  [2.9, 15.7, 1, 2],
  [4.3, 14.3, 0.95, 1.9],
];
// Toward the viewer: x outward, y toward the shin.
const FRONT: Local = [
  [-2.9, 4],
  [-3.1, 0.6],
  [-4.3, -3],
  [-4.9, -5.4],
  [-4.3, -6.9],
  [0, -7],
  [4.3, -6.9],
  [4.9, -5.7],
  [4.1, -3],
  [3.1, 0.6],
  [2.9, 4],
];
const HEEL: Local = [
  [-2.9, 4.6],
  [-2.6, 1],
  [-3.1, -3],
  [-3.2, -5.6],
  [-2.1, -6.9],
  [2.1, -6.9],
  [3.2, -5.6],
  [3.1, -3],
  [2.6, 1],
  [2.9, 4.6],
];

const oval = (cx: number, cy: number, rx: number, ry: number, n = 10): Local =>
  Array.from({ length: n }, (_, i) => [cx + rx * Math.cos((i * 2 * Math.PI) / n), cy + ry * Math.sin((i * 2 * Math.PI) / n)] as const);

export function footPicture(camera: Camera, body: Body, side: 'worked' | 'other'): FootPicture {
  const bone = body.bones[side === 'worked' ? 'foot' : 'other.foot'];
  const ankle = body.bones[side === 'worked' ? 'shank' : 'other.shank'].b;
  const { l, u, f, toL, toU, toF } = frameOnPage(camera, bone.frame);
  const outward: Pt = side === 'worked' ? [-l[0], -l[1]] : l;
  const o = onPage(camera, ankle);
  const put = (x: Pt, y: Pt, list: Local, origin: Pt = o): Pt[] => list.map(([a, b]) => at(at(origin, x, a), y, b));
  const most = Math.max(Math.abs(toL), Math.abs(toU), Math.abs(toF));
  if (Math.abs(toL) === most) {
    const { root, frame } = body.toes[side];
    const toe = frameOnPage(camera, frame);
    const big = put(toe.f, toe.u, TOE, onPage(camera, root));
    // The inner side shows the arch and the big toe, the outer one the outer ankle bone and the small toes.
    const inner = side === 'worked' ? toL > 0 : toL < 0;
    return {
      view: 'side',
      outlines: [put(f, u, SIDE), big],
      lines: [
        put(f, u, [
          [-1.5, 1.4],
          [-0.6, 0],
          [0.9, 0.1],
          [1.4, 1.3],
        ]),
        put(
          toe.f,
          toe.u,
          [
            [5.3, 1.2],
            [5.7, 0.5],
            [7, 0.3],
          ],
          onPage(camera, root),
        ),
        inner
          ? put(f, u, [
              [2, -6.2],
              [6, -4.9],
              [9.6, -6.2],
            ])
          : put(
              toe.f,
              toe.u,
              [
                [2, -1.6],
                [2.6, -0.6],
                [4, -0.5],
              ],
              onPage(camera, root),
            ),
      ],
    };
  }
  if (Math.abs(toU) === most) {
    const toe = frameOnPage(camera, body.toes[side].frame);
    // The outline lies where the skin does: on the instep, or on the sole.
    const plane = at(o, u, toU > 0 ? -3.4 : -6.2);
    const stretch = Math.max(0.35, Math.hypot(toe.f[0], toe.f[1]));
    const toes = TOES.map(([x, y, rx, ry]) => {
      const reach = 13.2;
      return put(outward, f, oval(x, reach + (y - reach) * stretch, rx, ry * Math.max(0.6, stretch)), plane);
    });
    return {
      view: toU > 0 ? 'top' : 'sole',
      outlines: [put(outward, f, PLAN, plane), ...toes],
      lines:
        toU > 0
          ? TOES.map(([x, y, rx, ry]) =>
              put(
                outward,
                f,
                [
                  [x - rx * 0.55, y + ry * 0.35],
                  [x, y + ry * 0.15],
                  [x + rx * 0.55, y + ry * 0.35],
                ],
                plane,
              ),
            )
          : [
              put(
                outward,
                f,
                [
                  [-2.2, -3.2],
                  [0, -4.4],
                  [2.2, -3.2],
                ],
                plane,
              ),
              put(
                outward,
                f,
                [
                  [-3.6, 12.8],
                  [0, 14],
                  [4, 12.4],
                ],
                plane,
              ),
            ],
    };
  }
  if (toF > 0) {
    return {
      view: 'toes',
      outlines: [
        put(outward, u, FRONT),
        ...[-3.3, -1.2, 0.6, 2.2, 3.7].map((x, i) => put(outward, u, oval(x, -5.7, i === 0 ? 1.5 : 1, i === 0 ? 1.4 : 1.1))),
      ],
      lines: [],
    };
  }
  return {
    view: 'heel',
    outlines: [put(outward, u, HEEL)],
    lines: [
      put(outward, u, [
        [-1, 4.6],
        [-0.8, 1],
        [-1.2, -1.4],
      ]),
      put(outward, u, [
        [1, 4.6],
        [0.8, 1],
        [1.2, -1.4],
      ]),
    ],
  };
}
