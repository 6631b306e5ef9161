import { onPage, type Camera } from './camera.ts';
import { reachOf, type Bone } from './body.ts';
import { sectionsOf } from './sections.ts';
import { at, cross2, dot, dot2, less, norm2, plus, times, unit2, type Pt } from './space.ts';

/**
 * Outlines of limbs and trunk as they are seen. A bone seen along the page has two contours: on either side the point of each section
 * that reaches furthest across the bone's direction on the page (the support of its four quarter ellipses; the direction lies in the
 * section's plane, so no approximation). Where two bones meet, the outside of the bend is an arc with the joint's own radius and the
 * inside ends where both contours cross: the crease. A bone seen nearly end on has no direction on the page; it is the convex hull of
 * its projected sections.
 */

/** Below this share of its length on the page a bone is seen end on. */
const END_ON = 0.42;

interface Flat {
  readonly bone: Bone;
  readonly a: Pt;
  readonly b: Pt;
  readonly d: Pt;
  /** To the left of the direction on the page, and the other side. */
  readonly sides: readonly [readonly Pt[], readonly Pt[]];
  readonly share: number;
}

export interface SkinOptions {
  /** Points per bone on each side. */
  readonly samples: number;
  /** How round the two ends are, as a share of their half width; 0 is flat. */
  readonly caps?: readonly [number, number];
  /** Flesh below this height on the page lies flat on the table, as far to the right as the table goes. */
  readonly table?: { readonly y: number; readonly to: number } | null;
}

export function flatBone(camera: Camera, bone: Bone, samples: number): Flat {
  const [a, b] = [onPage(camera, bone.a), onPage(camera, bone.b)];
  const way = less(b, a);
  const size = norm2(way);
  const d = unit2(way);
  const left: Pt = [d[1], -d[0]];
  const sections = sectionsOf(bone.section, samples);
  const front = onPage(camera, bone.front);
  const outer = onPage(camera, bone.outer);
  // The direction across lies in the section's plane: what it has of front and outer is what they have of it on the page.
  const contour = (n: Pt): Pt[] => {
    const [cf, co] = [dot2(n, front), dot2(n, outer)];
    const [f, o] = [cf >= 0 ? 0 : 1, co >= 0 ? 2 : 3];
    const out: Pt[] = [];
    for (let i = 0; i <= samples; i++) {
      const section = sections[i]!;
      const [rf, ro] = [section[f]!, section[o]!];
      const reach = Math.hypot(rf * cf, ro * co) || 1e-9;
      const [tf, to] = [(rf * rf * cf) / reach, (ro * ro * co) / reach];
      const t = i / samples;
      out.push([a[0] + way[0] * t + front[0] * tf + outer[0] * to, a[1] + way[1] * t + front[1] * tf + outer[1] * to]);
    }
    return out;
  };
  return { bone, a, b, d, sides: [contour(left), contour([-left[0], -left[1]])], share: size / bone.length };
}

/** Where two open lines cross first, seen from the end of one and the start of the other: indices and the point. */
function crossing(a: readonly Pt[], b: readonly Pt[]): { i: number; j: number; p: Pt } | null {
  for (let i = a.length - 2; i >= 0; i--) {
    for (let j = 0; j < b.length - 1; j++) {
      const [p, q, r, s] = [a[i]!, a[i + 1]!, b[j]!, b[j + 1]!];
      const [u, v] = [less(q, p), less(s, r)];
      const det = cross2(u, v);
      if (Math.abs(det) < 1e-9) continue;
      const w = less(r, p);
      const [t, k] = [cross2(w, v) / det, cross2(w, u) / det];
      if (t >= 0 && t <= 1 && k >= 0 && k <= 1) return { i, j, p: at(p, u, t) };
    }
  }
  return null;
}

/** One side of a chain: contours joined by arcs outside the bends and creases inside. `marks` are the indices where each bone begins. */
function joinSide(chain: readonly Flat[], side: 0 | 1): { readonly points: Pt[]; readonly starts: readonly number[] } {
  let points = [...chain[0]!.sides[side]];
  const starts = [0];
  for (let k = 1; k < chain.length; k++) {
    const [before, next] = [chain[k - 1]!, chain[k]!];
    const line = next.sides[side];
    const turn = cross2(before.d, next.d);
    const bend = Math.acos(Math.max(-1, Math.min(1, dot2(before.d, next.d))));
    // On a page with y down a positive turn is clockwise: the left side is then outside.
    const outside = side === 0 ? turn > 0 : turn < 0;
    if (bend < 0.02) {
      starts.push(points.length);
      points.push(...line.slice(1));
      continue;
    }
    if (outside) {
      starts.push(points.length);
      const [p, q] = [points[points.length - 1]!, line[0]!];
      const joint = next.a;
      const [rp, rq] = [norm2(less(p, joint)), norm2(less(q, joint))];
      const [up, uq] = [unit2(less(p, joint)), unit2(less(q, joint))];
      const steps = Math.floor(bend / 0.3);
      for (let i = 1; i <= steps; i++) {
        const t = i / (steps + 1);
        const way = unit2([up[0] + (uq[0] - up[0]) * t, up[1] + (uq[1] - up[1]) * t]);
        points.push(at(joint, way, rp + (rq - rp) * t));
      }
      points.push(...line);
      continue;
    }
    // A thigh drawn up meets the belly, further up than the bone it hangs on.
    const back = before.bone.section === 'pelvis' ? 0 : starts[k - 1]!;
    const found = crossing(points.slice(back), line);
    if (found) {
      const kept = back + found.i + 1;
      points = points.slice(0, kept);
      starts.push(points.length);
      points.push(found.p, ...line.slice(found.j + 1));
    } else {
      starts.push(points.length);
      points.push(...line.slice(1));
    }
  }
  return { points, starts };
}

/** Part of a circle-like end from one side to the other round the bone's end. */
function cap(from: Pt, to: Pt, middle: Pt, out: Pt, roundness: number): Pt[] {
  if (roundness <= 0) return [];
  const [a, b] = [less(from, middle), less(to, middle)];
  const half = (norm2(a) + norm2(b)) / 2;
  return [30, 60, 90, 120, 150].map((deg) => {
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
    const base: Pt = c >= 0 ? [a[0] * c, a[1] * c] : [b[0] * -c, b[1] * -c];
    return at(at(middle, base), out, half * roundness * s);
  });
}

/** Bent further than this, flesh can meet flesh beyond the next bone: then loops are looked for. */
const FOLDED_RAD = 0.42;
const sharpest = (run: readonly Flat[]): number =>
  run.reduce((most, flat, i) => (i === 0 ? 0 : Math.max(most, Math.acos(Math.max(-1, Math.min(1, dot2(run[i - 1]!.d, flat.d)))))), 0);

/** A ring with the small loops cut off that are left where a contour crosses itself. */
export function withoutLoops(ring: readonly Pt[]): readonly Pt[] {
  let points = [...ring];
  for (let round = 0; round < 6; round++) {
    const found = firstCrossing(points);
    if (!found) break;
    const { i, j, p } = found;
    const inner = j - i;
    points = inner <= points.length - inner ? [...points.slice(0, i + 1), p, ...points.slice(j + 1)] : [p, ...points.slice(i + 1, j + 1)];
  }
  return points;
}

function firstCrossing(points: readonly Pt[]): { i: number; j: number; p: Pt } | null {
  const n = points.length;
  for (let i = 0; i < n; i++) {
    const a = points[i]!;
    const b = points[(i + 1) % n]!;
    const [left, right] = a[0] < b[0] ? [a[0], b[0]] : [b[0], a[0]];
    const [top, bottom] = a[1] < b[1] ? [a[1], b[1]] : [b[1], a[1]];
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const c = points[j]!;
      const d = points[(j + 1) % n]!;
      if ((c[0] < left && d[0] < left) || (c[0] > right && d[0] > right) || (c[1] < top && d[1] < top) || (c[1] > bottom && d[1] > bottom))
        continue;
      const [u, v, w] = [less(b, a), less(d, c), less(c, a)];
      const det = cross2(u, v);
      if (Math.abs(det) < 1e-9) continue;
      const [t, k] = [cross2(w, v) / det, cross2(w, u) / det];
      if (t > 0 && t < 1 && k > 0 && k < 1) return { i, j, p: at(a, u, t) };
    }
  }
  return null;
}

export interface Outline {
  /** Closed, without the first point repeated. */
  readonly ring: readonly Pt[];
  /** Both sides from the near end to the far one, without the caps, and the far cap between them. */
  readonly left: readonly Pt[];
  readonly right: readonly Pt[];
  readonly far: readonly Pt[];
}

/** The convex hull of points (Andrew's monotone chain). */
export function hull(points: readonly Pt[]): Pt[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Pt[]): Pt[] => {
    const out: Pt[] = [];
    for (const p of list) {
      while (out.length >= 2 && cross2(less(out[out.length - 1]!, out[out.length - 2]!), less(p, out[out.length - 2]!)) <= 0) out.pop();
      out.push(p);
    }
    out.pop();
    return out;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

/** A bone seen end on. */
function blob(camera: Camera, bone: Bone): Pt[] {
  const points: Pt[] = [];
  for (const share of [0, 0.15, 0.35, 0.6, 0.85, 1]) {
    const middle = plus(bone.a, bone.d, bone.length * share);
    for (let deg = 0; deg < 360; deg += 24) {
      const rad = (deg * Math.PI) / 180;
      const direction = plus(times(bone.front, Math.cos(rad)), bone.outer, Math.sin(rad));
      const { front, outer } = reachOf(bone, share, direction);
      points.push(onPage(camera, plus(plus(middle, bone.front, front), bone.outer, outer)));
    }
  }
  return hull(points);
}

/**
 * The outlines of a chain of bones as a camera sees them: one closed ring for every run of bones that lie along the page, one hull for
 * each that is seen end on. In the order of the chain.
 */
export function skin(camera: Camera, bones: readonly Bone[], options: SkinOptions): Outline[] {
  const out: Outline[] = [];
  let run: Flat[] = [];
  const caps = options.caps ?? [0, 0];
  const { table } = options;
  const press = (p: Pt): Pt => (table && p[1] > table.y && p[0] < table.to ? [p[0], table.y + (p[1] - table.y) * 0.04] : p);
  const close = (last: boolean) => {
    if (run.length === 0) return;
    const [first, end] = [run[0]!, run[run.length - 1]!];
    const left = joinSide(run, 0).points.map(press);
    const right = joinSide(run, 1).points.map(press);
    const nearRound = first.bone === bones[0] ? caps[0] : 1;
    const farRound = last ? caps[1] : 1;
    const far = cap(left[left.length - 1]!, right[right.length - 1]!, end.b, end.d, farRound).map(press);
    const near = cap(right[0]!, left[0]!, first.a, [-first.d[0], -first.d[1]], nearRound).map(press);
    const ring = [...left, ...far, ...[...right].reverse(), ...near];
    out.push({ ring: sharpest(run) > FOLDED_RAD ? withoutLoops(ring) : ring, left, right, far });
    run = [];
  };
  for (const bone of bones) {
    const flat = flatBone(camera, bone, options.samples);
    if (flat.share < END_ON) {
      close(false);
      const ring = blob(camera, bone);
      out.push({ ring, left: ring, right: [], far: [] });
      continue;
    }
    run.push(flat);
  }
  close(true);
  return out;
}

/** How far toward the viewer a bone's middle lies, centimetres. */
export const depthOf = (camera: Camera, bone: Bone): number => dot(plus(bone.a, bone.d, bone.length / 2), camera.toward);
