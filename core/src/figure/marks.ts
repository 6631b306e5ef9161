import { skinAt, type Body, type Place } from './body.ts';
import { onPage, type Camera } from './camera.ts';
import type { Detail, Shape, Tone } from './shapes.ts';
import { circle, openCurve, polygon, polyline } from './path.ts';
import type { MarkUse, Scene } from './scene.ts';
import { at, dir2, dot, less, norm2, RAD, unit2, type Pt } from './space.ts';

export interface Ink {
  readonly detail: Detail;
  /** One pixel in centimetres. */
  readonly px: number;
  readonly line: number;
  readonly mover: 'therapist' | 'athlete' | 'both';
}

/** What every mark means, said once; the legend and the words for screen readers come from here. */
export const MARK_WORDS = {
  move: 'the therapist moves it',
  'own-move': 'the athlete moves it',
  press: 'the athlete presses',
  pull: 'drawn apart along the limb',
  circle: 'circles',
  rock: 'rocked to and fro',
  sink: 'sinks in with the breath',
  points: 'points, in their order',
  friction: 'across the fibres',
  stroke: 'a long stroke',
  turn: 'turned',
  towel: 'held in a towel',
  way: 'the way it goes',
  scissor: 'one past the other',
  spread: 'drawn apart',
  joint: 'the joint worked on',
  glide: 'a small glide of the joint',
  tap: 'light taps',
  lock: 'this hand keeps its place',
} as const;

const left = (d: Pt): Pt => [d[1], -d[0]];

function head(tip: Pt, d: Pt, size: number): Pt[] {
  const back = at(tip, d, -size);
  return [at(tip, d, size * 0.25), at(back, left(d), size * 0.62), at(back, left(d), -size * 0.62)];
}

/** A line with an arrow's head at its end, and at its start too where it goes both ways; on a ground-coloured edge. */
export function arrow(
  points: readonly Pt[],
  tone: Tone,
  width: number,
  options: { both?: boolean; bar?: boolean; bars?: boolean } = {},
): Shape[] {
  const n = points.length;
  const size = width * 3.6;
  const [tip, before] = [points[n - 1]!, points[Math.max(0, n - 2)]!];
  const d = unit2(less(tip, before));
  const e = unit2(less(points[0]!, points[1]!));
  const body: Pt[] = [...points.slice(0, n - 1), at(tip, d, -size * 0.6)];
  if (options.both) body[0] = at(points[0]!, e, -size * 0.6);
  const line = openCurve(body);
  const heads = polygon(head(tip, d, size)) + (options.both ? polygon(head(points[0]!, e, size)) : '');
  const bar = options.bar ? polyline([at(points[0]!, left(e), size * 0.7), at(points[0]!, left(e), -size * 0.7)]) : '';
  const bars = options.bars
    ? [0.2, 1]
        .map((k) =>
          polyline([
            at(at(points[0]!, e, size * (0.3 + k)), left(e), size * 0.55),
            at(at(points[0]!, e, size * (0.3 + k)), left(e), -size * 0.55),
          ]),
        )
        .join('')
    : '';
  return [
    { d: line + bar + bars, line: 'ground', width: width * 2.6 },
    { d: heads, fill: 'ground', line: 'ground', width: width * 1.6 },
    { d: line + bar + bars, line: tone, width },
    { d: heads, fill: tone },
  ];
}

/** A block arrow with two bars behind it: the athlete's force. */
function block(tip: Pt, d: Pt, size: number): Shape[] {
  const n = left(d);
  const p = (along: number, across: number): Pt => at(at(tip, d, along * size), n, across * size);
  const shaft: Pt[] = [p(0, 0), p(-0.9, 0.85), p(-0.9, 0.4), p(-1.9, 0.4), p(-1.9, -0.4), p(-0.9, -0.4), p(-0.9, -0.85)];
  const bars = [2.15, 2.6].map((k) => polygon([p(-k, 0.4), p(-k - 0.22, 0.4), p(-k - 0.22, -0.4), p(-k, -0.4)])).join('');
  return [
    { d: polygon(shaft) + bars, fill: 'ground', line: 'ground', width: size * 0.42 },
    { d: polygon(shaft) + bars, fill: 'athlete' },
  ];
}

/** Where a place lies on the page, and which way the skin faces there. */
function spot(camera: Camera, body: Body, place: Place): { p: Pt; n: Pt; toward: number; along: Pt } {
  const { point, normal } = skinAt(body, place);
  const bone = body.bones[place[0]];
  const n = onPage(camera, normal);
  return {
    p: onPage(camera, point),
    n: norm2(n) < 0.05 ? [0, -1] : unit2(n),
    toward: dot(normal, camera.toward),
    along: unit2(onPage(camera, bone.d)),
  };
}

/** The marks of a scene as shapes. `path` is the way of what moves, already set off from the body. */
export function markShapes(scene: Scene, camera: Camera, body: Body, path: readonly Pt[], from: Body | null, ink: Ink): Shape[] {
  const out: Shape[] = [];
  const plain = ink.detail === 'arrow' || ink.detail === 'silhouette';
  // Bigger pictures have bigger marks, but less so than they are bigger.
  const w = ink.px * (plain ? 1.7 : ink.detail === 'hands' ? 2.4 : 3);
  const unit = ink.px * (plain ? 5.4 : ink.detail === 'hands' ? 8 : 11);
  const own = ink.mover === 'athlete';
  /** An arrow by whoever moves. */
  const moves = (points: readonly Pt[]): Shape[] => arrow(points, own ? 'athlete' : 'move', w, own ? { bars: true } : {});
  if (path.length > 1) out.push(...moves(path));
  const degOf = (mark: { deg?: number }, fallback: Pt): Pt => (mark.deg === undefined ? fallback : dir2(-mark.deg));
  for (const mark of scene.marks ?? []) out.push(...markShape(mark));
  return out;

  function markShape(mark: MarkUse): Shape[] {
    switch (mark.kind) {
      case 'press': {
        const place: Place | undefined = mark.at ?? scene.hands?.find((hand) => !hand.holds)?.at;
        if (!place) return [];
        const { p, n, along } = spot(camera, body, place);
        let d: Pt = n;
        if (mark.deg !== undefined) d = dir2(-mark.deg);
        else if (from) {
          // Against the movement of the place itself.
          const back = less(spot(camera, from, place).p, p);
          if (norm2(back) > 1) d = unit2(back);
        }
        // Beside the hand, toward the middle of the bone, beginning on the skin.
        const beside = scene.hands?.some((hand) => hand.at[0] === place[0] && Math.abs(hand.at[1] - place[1]) < 0.15)
          ? place[1] > 0.5
            ? -1
            : 1
          : 0;
        const root = at(p, along, beside * unit * 1.5);
        return block(at(root, d, unit * 2.9), d, unit);
      }
      case 'pull': {
        const { p, n, along } = spot(camera, body, mark.at);
        const d = degOf(mark, mark.back ? [-along[0], -along[1]] : along);
        const start = at(p, n, unit * 1.1);
        return arrow([start, at(start, d, unit * 4.6)], 'move', w, { bar: true });
      }
      case 'way': {
        const { p } = spot(camera, body, mark.at);
        const d = dir2(-mark.deg);
        return moves([at(p, d, -unit * 2), at(p, d, unit * 2.4)]);
      }
      case 'glide': {
        const { p, n } = spot(camera, body, mark.at);
        const d = dir2(-mark.deg);
        const start = at(at(p, n, unit * 0.4), d, -unit * 0.9);
        return [
          ...arrow([start, at(start, d, unit * 2.2)], 'move', w * 1.25),
          { d: polyline([at(start, left(d), unit * 0.8), at(start, left(d), -unit * 0.8)]), line: 'move', width: w },
        ];
      }
      case 'circle': {
        const { p } = spot(camera, body, mark.at);
        const r = mark.radius ?? unit * 2.4;
        const points = Array.from({ length: 15 }, (_, i) => at(p, dir2(-60 + i * 21), r));
        return arrow(points, 'move', w);
      }
      case 'turn': {
        const { p } = spot(camera, body, mark.at);
        const points = Array.from({ length: 10 }, (_, i) => at(p, dir2(-(mark.from + ((mark.to - mark.from) * i) / 9)), mark.radius));
        return moves(points);
      }
      case 'towel': {
        const { p } = spot(camera, body, mark.at);
        const d = dir2(-mark.deg);
        const n = left(d);
        const end = at(p, d, 25);
        const cloth = polygon([at(at(p, d, -2.5), n, 3), at(end, n, 2.4), at(end, n, -2.4), at(at(p, d, -2.5), n, -3)]);
        const fist = Array.from({ length: 10 }, (_, i) => at(at(end, d, 2), dir2(i * 36), 4.6));
        return [
          { d: cloth, fill: 'cushion', line: 'ink', width: ink.line * 1.6 },
          {
            d:
              polyline([at(at(p, d, 3), n, 2.6), at(at(p, d, 3), n, -2.6)]) + polyline([at(at(p, d, 5), n, 2.6), at(at(p, d, 5), n, -2.6)]),
            line: 'move',
            width: ink.line * 0.8,
          },
          {
            d: polygon([at(at(end, d, 5), n, 2.8), at(at(end, d, 16), n, 3.6), at(at(end, d, 16), n, -3.6), at(at(end, d, 5), n, -2.8)]),
            fill: 'sleeve',
            line: 'hand-ink',
            width: ink.line * 1.6,
          },
          { d: polygon(fist), fill: 'hand', line: 'hand-ink', width: ink.line * 1.8 },
        ];
      }
      case 'rock': {
        const { p, n } = spot(camera, body, mark.at);
        const r = mark.radius ?? unit * 4;
        const middle = mark.deg === undefined ? Math.atan2(n[1], n[0]) / RAD : -mark.deg;
        const points = Array.from({ length: 9 }, (_, i) => at(p, dir2(middle - 34 + i * 8.5), r));
        return arrow(points, 'rock', w, { both: true });
      }
      case 'sink': {
        const { p, n, toward } = spot(camera, body, mark.at);
        if (Math.abs(toward) > 0.72) {
          const arrows = [45, 135, 225, 315].flatMap((deg) => {
            const d = dir2(deg);
            return arrow([at(p, d, unit * 2.3), at(p, d, unit * 0.9)], 'point', w * 0.85);
          });
          return [...arrows, { d: circle(p, unit * 0.42), fill: 'point' }];
        }
        return [-0.55, 0.55].flatMap((k) => {
          const s = at(p, left(n), k * unit * 1.6);
          return arrow([at(s, n, unit * 3), at(s, n, unit * 0.5)], 'point', w);
        });
      }
      case 'points': {
        const spots = mark.at.map((place) => spot(camera, body, place).p);
        const apart = Math.min(...spots.slice(1).map((p, i) => norm2(less(p, spots[i]!))), Infinity);
        // Numbers where there is room for them; dots that never lie on each other.
        const numbered = spots.length > 1 && !plain && apart > unit * 1.5;
        const r = Math.min(numbered ? unit * 0.95 : unit * 0.6, apart * 0.46);
        return spots.flatMap((p, i): Shape[] => [
          { d: circle(p, r + ink.px), fill: 'ground' },
          { d: circle(p, r), fill: 'point' },
          numbered
            ? { d: '', fill: 'ground', text: { at: p, said: `${i + 1}`, size: r * 1.5 } }
            : { d: circle(p, r * 0.36), fill: 'ground' },
        ]);
      }
      case 'friction': {
        const { p, along } = spot(camera, body, mark.at);
        const d = degOf(mark, left(along));
        return arrow([at(p, d, -unit * 1.9), at(p, d, unit * 1.9)], 'rock', w, { both: true });
      }
      case 'stroke': {
        const points = mark.along.map((place) => spot(camera, body, place).p);
        return arrow(points, 'move', w * 1.2).map((shape) =>
          shape.line === 'move' ? { ...shape, dash: [w * 3.4, w * 1.7] as const } : shape,
        );
      }
      case 'scissor': {
        const { p, along } = spot(camera, body, mark.at);
        const d = degOf(mark, along);
        const n = left(d);
        return [1, -1].flatMap((k) =>
          arrow([at(at(p, n, k * unit), d, -k * unit * 1.6), at(at(p, n, k * unit), d, k * unit * 1.6)], 'rock', w),
        );
      }
      case 'spread': {
        const { p, along } = spot(camera, body, mark.at);
        const d = degOf(mark, along);
        return [1, -1].flatMap((k) => arrow([at(p, d, k * unit * 0.8), at(p, d, k * unit * 4)], 'move', w, { bar: true }));
      }
      case 'joint': {
        const { p } = spot(camera, body, mark.at);
        return [
          { d: circle(p, unit * 1.25), line: 'ground', width: w * 2.2 },
          { d: circle(p, unit * 1.25), line: 'joint', width: w },
        ];
      }
      case 'tap': {
        const { p, n, toward } = spot(camera, body, mark.at);
        const d: Pt = Math.abs(toward) > 0.72 ? [0, -1] : n;
        return [-1, 0, 1].flatMap((k) => {
          const s = at(at(p, left(d), k * unit * 1.5), d, unit * (k === 0 ? 1.7 : 1.2));
          return [{ d: polyline([s, at(s, d, unit * 1.3)]), line: 'rock' as const, width: w }];
        });
      }
    }
  }
}
