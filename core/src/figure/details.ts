import { skinAt, type Body, type BoneId, type Place } from './body.ts';
import { onPage, type Camera } from './camera.ts';
import { positive } from './parts.ts';
import { openCurve, polyline } from './path.ts';
import { mirrorPlace } from './region.ts';
import type { Shape } from './shapes.ts';
import { at, dir2, dot, less, norm2, plus, unit2, type Pt } from './space.ts';

/** Short trousers: a band over pelvis and upper thighs, cut to the body. */
export function shortsShapes(camera: Camera, body: Body, lateral: boolean, legs: boolean): Shape[] {
  const ring = (id: BoneId, from: number, to: number, wide: number): Pt[] => {
    const bone = body.bones[id];
    const [a, b] = [from, to].map((share) => onPage(camera, plus(bone.a, bone.d, bone.length * share))) as [Pt, Pt];
    const d = unit2(less(b, a));
    const n: Pt = [d[1], -d[0]];
    return [at(a, n, wide), at(b, n, wide), at(b, n, -wide), at(a, n, -wide)];
  };
  const shown = (id: BoneId) =>
    norm2(less(onPage(camera, body.bones[id].b), onPage(camera, body.bones[id].a))) > 0.42 * body.bones[id].length;
  const rings: Pt[][] = [];
  if (shown('pelvis')) rings.push(ring('pelvis', 0.12, 1.02, 18));
  for (const id of ['thigh', 'other.thigh'] as const)
    if (legs && !(lateral && id === 'other.thigh') && shown(id)) rings.push(ring(id, -0.06, 0.34, lateral ? 16 : 9.6));
  if (lateral) rings.push(Array.from({ length: 14 }, (_, i) => at(onPage(camera, body.bones.thigh.a), dir2(i * 25.7), 14.4)));
  return rings.length === 0 ? [] : [{ d: rings.map((r) => `${polyline(positive(r))}Z`).join(''), fill: 'shorts', cut: 'body' }];
}

/** Fine lines of the body, as places on the skin: shown where they face the viewer. */
const LINES: readonly (readonly Place[])[] = [
  [
    ['thigh', 0.91, -30],
    ['thigh', 0.97, -38],
    ['shank', 0.02, -26],
  ],
  [
    ['thigh', 0.91, 30],
    ['thigh', 0.97, 38],
    ['shank', 0.02, 26],
  ],
  [
    ['chest', 0.11, 10],
    ['chest', 0.09, 40],
    ['chest', 0.07, 66],
  ],
  [
    ['chest', 0.5, 66],
    ['chest', 0.55, 44],
    ['chest', 0.52, 18],
  ],
  [
    ['chest', 0.2, 158],
    ['chest', 0.5, 153],
    ['chest', 0.44, 138],
  ],
  [
    ['thigh', 0.15, 146],
    ['thigh', 0.2, 178],
    ['thigh', 0.17, 214],
  ],
];
const MIDDLE_LINES: readonly (readonly Place[])[] = [
  [
    ['chest', 0.06, 180],
    ['chest', 0.5, 180],
    ['chest', 0.95, 180],
    ['waist', 0.5, 180],
    ['pelvis', 0.3, 180],
  ],
  [
    ['pelvis', 0.62, 180],
    ['pelvis', 1, 180],
  ],
  [
    ['waist', 0.58, 1],
    ['waist', 0.7, 0],
  ],
];

/** Knee-caps, collar-bones, blades, the line of the spine: what tells front from back. */
export function fineLines(camera: Camera, body: Body, width: number, legs: boolean): Shape[] {
  const out: Shape[] = [];
  const draw = (places: readonly Place[]) => {
    if (!legs && places.some(([bone]) => /thigh|shank/.test(bone))) return;
    const skins = places.map((place) => skinAt(body, place));
    const facing = skins.reduce((sum, { normal }) => sum + dot(normal, camera.toward), 0) / skins.length;
    if (facing < 0.5) return;
    out.push({ d: openCurve(skins.map(({ point }) => onPage(camera, point))), line: 'ink', width, cut: 'body' });
  };
  for (const places of LINES) {
    draw(places);
    draw(places.map(mirrorPlace));
  }
  for (const places of MIDDLE_LINES) draw(places);
  return out;
}
