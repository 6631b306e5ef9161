import { skinAt, type Body, type BoneId, type Place } from './body.ts';
import { onPage, type Camera } from './camera.ts';
import type { Shape } from './shapes.ts';
import { REGIONS, type Region, type RegionId } from './muscles.ts';
import { closedCurve, openCurve } from './path.ts';
import { dot, mix, type Pt } from './space.ts';

export interface RegionInk {
  readonly px: number;
  readonly line: number;
  /** Lines along the fibres, where there is room. */
  readonly fibres: boolean;
  readonly cut: string;
}

const STEPS = 5;

/** A place on the other side of the body: the other limb, or mirrored round a bone of the middle. */
export const mirrorPlace = ([bone, share, around]: Place): Place =>
  /^(thigh|shank|foot|upperArm|forearm|hand)$/.test(bone) ? [`other.${bone}` as BoneId, share, around] : [bone, share, -around];

/** Points along an edge, on the skin, and how much each faces the viewer. */
function edgeOnPage(camera: Camera, body: Body, edge: readonly Place[]): { points: Pt[]; facing: number } {
  const points: Pt[] = [];
  let facing = 0;
  let count = 0;
  const put = (place: Place) => {
    const { point, normal } = skinAt(body, place);
    points.push(onPage(camera, point));
    facing += dot(normal, camera.toward);
    count++;
  };
  edge.forEach((place, i) => {
    put(place);
    const next = edge[i + 1];
    if (next && next[0] === place[0])
      for (let k = 1; k < STEPS; k++)
        put([place[0], place[1] + ((next[1] - place[1]) * k) / STEPS, place[2] + ((next[2] - place[2]) * k) / STEPS]);
  });
  return { points, facing: facing / count };
}

/** The visible part of a band: places that face away are drawn in to the edge of the silhouette. */
function clamped(camera: Camera, body: Body, region: Region, side: (place: Place) => Place): { a: Place[]; b: Place[] } {
  const turn = (place: Place): number => {
    // The angle round the bone that faces the viewer.
    const bone = body.bones[place[0]];
    return (Math.atan2(dot(camera.toward, bone.outer), dot(camera.toward, bone.front)) * 180) / Math.PI;
  };
  const limit = (place: Place, other: Place): Place => {
    const toward = turn(place);
    const delta = ((((place[2] - toward) % 360) + 540) % 360) - 180;
    const otherDelta = ((((other[2] - toward) % 360) + 540) % 360) - 180;
    // Both beyond the same edge: nothing of it is seen; left as it is.
    if (Math.abs(delta) <= 92 || (Math.abs(otherDelta) > 92 && Math.sign(delta) === Math.sign(otherDelta))) return place;
    // Moved by the shorter way, so that what lies between two places is not led round the limb.
    return [place[0], place[1], place[2] + Math.sign(delta) * 90 - delta];
  };
  const [a, b] = [region.a.map(side), region.b.map(side)];
  if (a.length !== b.length || a.some((place, i) => place[0] !== b[i]![0])) return { a, b };
  return { a: a.map((place, i) => limit(place, b[i]!)), b: b.map((place, i) => limit(place, a[i]!)) };
}

/** Closed outline and fibres of a region, and whether it faces the viewer. */
export function regionOnPage(
  camera: Camera,
  body: Body,
  id: RegionId,
  other: boolean,
): { ring: Pt[]; fibres: Pt[][]; faces: boolean; facing: number } {
  const region: Region = REGIONS[id];
  const side = other ? mirrorPlace : (place: Place) => place;
  const { a, b } = clamped(camera, body, region, side);
  const [one, two] = [edgeOnPage(camera, body, a), edgeOnPage(camera, body, b)];
  const middle = edgeOnPage(
    camera,
    body,
    region.a.map((place, i) => {
      const [p, q] = [side(place), side(region.b[Math.min(i, region.b.length - 1)]!)];
      return p[0] === q[0] ? [p[0], (p[1] + q[1]) / 2, (p[2] + q[2]) / 2] : p;
    }),
  );
  const facing = Math.max(middle.facing, (one.facing + two.facing) / 2);
  const fibres: Pt[][] = [];
  const n = Math.max(one.points.length, two.points.length);
  const sample = (points: readonly Pt[], t: number): Pt => {
    const at = t * (points.length - 1);
    const i = Math.min(points.length - 2, Math.floor(at));
    return mix(points[i]!, points[i + 1]!, at - i);
  };
  for (const share of [0.2, 0.4, 0.6, 0.8]) {
    const line: Pt[] = [];
    for (let i = 0; i < n; i++) {
      const t = 0.06 + (0.88 * i) / (n - 1);
      line.push(mix(sample(one.points, t), sample(two.points, t), share));
    }
    fibres.push(line);
  }
  return { ring: [...one.points, ...[...two.points].reverse()], fibres, faces: facing > -0.12, facing };
}

/** A muscle shaded where it lies: solid where it faces the viewer, hatched with a broken edge where it lies under or behind. */
export function regionShape(camera: Camera, body: Body, id: RegionId, other: boolean, ink: RegionInk): Shape[] {
  const { ring, fibres, faces } = regionOnPage(camera, body, id, other);
  const region: Region = REGIONS[id];
  const cut = ink.cut === '' ? {} : { cut: ink.cut };
  if (region.deep || !faces)
    return [
      { d: closedCurve(ring), fill: 'deep', hatch: true, line: 'deep', width: ink.line * 1.1, dash: [ink.px * 3.2, ink.px * 2.2], ...cut },
    ];
  return [
    { d: closedCurve(ring), fill: 'muscle', ...cut },
    ...(ink.fibres ? [{ d: fibres.map(openCurve).join(''), line: 'fibre' as const, width: ink.line * 0.55, ...cut }] : []),
  ];
}
