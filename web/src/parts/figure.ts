import type { Pose, PosedSegment } from '@pace-bend/core/body';
import type { Press } from '@pace-bend/core/catalogue';

/** Drawing of a posed figure: shapes from segments. The figure's own measure is hundredths of body height, up is plus. */

type PosedFan = Pose['fans'][number];

const RAD = Math.PI / 180;
const round = (value: number): number => Math.round(value * 100) / 100;

/** The outline of a limb: two round ends of their own width, joined by straight sides. */
export function capsulePath({ from, to, width, taper, id }: PosedSegment): string {
  const [a, b] = [width / 2, taper / 2];
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (id === 'head') {
    // A head is an egg about the middle of its segment.
    const [cx, cy] = [from.x + (to.x - from.x) * 0.62, from.y + (to.y - from.y) * 0.62];
    const [rx, ry] = [length * 0.38, a];
    const tilt = Math.atan2(to.y - from.y, to.x - from.x) / RAD;
    const at = (angle: number) =>
      [
        cx + rx * Math.cos(angle * RAD) * Math.cos(tilt * RAD) - ry * Math.sin(angle * RAD) * Math.sin(tilt * RAD),
        cy + rx * Math.cos(angle * RAD) * Math.sin(tilt * RAD) + ry * Math.sin(angle * RAD) * Math.cos(tilt * RAD),
      ].map(round);
    return `M${at(0).join(' ')}A${round(rx)} ${round(ry)} ${round(tilt)} 0 1 ${at(180).join(' ')}A${round(rx)} ${round(ry)} ${round(tilt)} 0 1 ${at(0).join(' ')}Z`;
  }
  if (length < 1e-6) return '';
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const [nx, ny] = [-uy, ux];
  const p = (x: number, y: number) => `${round(x)} ${round(y)}`;
  return `M${p(from.x + nx * a, from.y + ny * a)}A${a} ${a} 0 0 1 ${p(from.x - nx * a, from.y - ny * a)}L${p(to.x - nx * b, to.y - ny * b)}A${b} ${b} 0 0 1 ${p(to.x + nx * b, to.y + ny * b)}Z`;
}

/** The reference: a wedge opening from the joint, a few degrees wide even for a single value. */
export function fanPath({ at, radius, fromDeg, toDeg }: PosedFan): string {
  const LEAST_DEG = 5;
  const middle = (fromDeg + toDeg) / 2;
  const half = Math.max(LEAST_DEG, Math.abs(toDeg - fromDeg)) / 2;
  const [start, end] = [middle - half, middle + half];
  const point = (deg: number) => `${round(at.x + radius * Math.cos(deg * RAD))} ${round(at.y + radius * Math.sin(deg * RAD))}`;
  return `M${round(at.x)} ${round(at.y)}L${point(start)}A${round(radius)} ${round(radius)} 0 ${end - start > 180 ? 1 : 0} 1 ${point(end)}Z`;
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What has to be in the picture, with a margin, brought to a shape (width to height). */
export function figureBox(pose: Pose, shape: number): Box {
  const MARGIN = 3;
  const reach = (x: number, y: number, by: number) =>
    [
      [x - by, y - by],
      [x + by, y + by],
    ] as const;
  const points = [
    ...pose.segments.flatMap(({ from, to, width, taper }) => [...reach(from.x, from.y, width / 2), ...reach(to.x, to.y, taper / 2)]),
    ...pose.fans.flatMap(({ at, radius, fromDeg, toDeg }) =>
      [0, 0.5, 1].map((share) => {
        const deg = fromDeg + share * (toDeg - fromDeg);
        return [at.x + radius * Math.cos(deg * RAD), at.y + radius * Math.sin(deg * RAD)] as const;
      }),
    ),
  ];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right] = [Math.min(...xs) - MARGIN, Math.max(...xs) + MARGIN];
  const [low, high] = [Math.min(...ys) - MARGIN, Math.max(...ys) + MARGIN];
  const [width, height] = [right - left, high - low];
  const wide = Math.max(width, height * shape);
  const tall = wide / shape;
  return { x: round((left + right - wide) / 2), y: round((low + high - tall) / 2), width: round(wide), height: round(tall) };
}

export type Mark =
  | { readonly kind: 'axis'; readonly x: number; readonly y: number }
  | { readonly kind: 'along'; readonly path: string }
  | { readonly kind: 'push'; readonly path: string }
  | { readonly kind: 'hand'; readonly path: string; readonly still: boolean }
  | { readonly kind: 'tag'; readonly x: number; readonly y: number; readonly text: string };

/** A mitten of about eleven pixels, its fingers pointing along a direction. */
function mitten(x: number, y: number, deg: number, px: number): string {
  const [c, s] = [Math.cos(deg * RAD), Math.sin(deg * RAD)];
  const at = (along: number, across: number) => `${round(x + px * (along * c - across * s))} ${round(y + px * (along * s + across * c))}`;
  return `M${at(-6, -3.6)}L${at(2, -4.2)}Q${at(8, -3.8)} ${at(8, 0)}Q${at(8, 3.8)} ${at(2, 4.2)}L${at(0.5, 4.2)}L${at(-1, 8)}Q${at(-4, 8)} ${at(-3.2, 4)}L${at(-6, 3.6)}Z`;
}

/**
 * The joint's axis, the line that is read along, the hand that moves the limb (near its far end) and the one that holds (on what
 * must not follow, beside the axis), and letters for left and right. With a press there is only the hand where it works, and which
 * way it goes, in or along; while it is still coming it is off the body, without an arrow.
 */
export function figureMarks(pose: Pose, px: number, press: Press | null = null, coming = false): Mark[] {
  if (press) return pressMarks(pose, px, press, coming);
  const moving = pose.segments.filter((each) => each.moving && !each.far);
  const marks: Mark[] = [];
  const seen = new Set<string>();
  for (const side of [...new Set(moving.map((each) => each.side))]) {
    const chain = moving.filter((each) => each.side === side);
    const [first, second] = chain;
    if (!first) continue;
    const last = second && (second.id === 'shank' || second.id === 'forearm') ? second : first;
    marks.push({ kind: 'along', path: `M${round(first.from.x)} ${round(first.from.y)}L${round(last.to.x)} ${round(last.to.y)}` });
    const place = `${round(first.from.x)}/${round(first.from.y)}`;
    if (!seen.has(place)) marks.push({ kind: 'axis', x: round(first.from.x), y: round(first.from.y) });
    const share = 0.82;
    const [hx, hy] = [last.from.x + share * (last.to.x - last.from.x), last.from.y + share * (last.to.y - last.from.y)];
    if (seen.size === 0 || !seen.has(place))
      marks.push({ kind: 'hand', still: false, path: mitten(hx, hy - last.width / 2 - 3 * px, last.deg + 90, px) });
    if (!seen.has(place)) {
      // The holding hand lies on the part the limb hangs on, a little off the joint.
      const base =
        pose.segments.find(
          (each) => !each.moving && !each.far && Math.hypot(each.to.x - first.from.x, each.to.y - first.from.y) < 1 && each.id !== 'head',
        ) ??
        pose.segments.find((each) => !each.moving && !each.far && Math.hypot(each.from.x - first.from.x, each.from.y - first.from.y) < 1);
      if (base) {
        const near = Math.hypot(base.from.x - first.from.x, base.from.y - first.from.y) < 1 ? base.to : base.from;
        const [bx, by] = [first.from.x + 0.3 * (near.x - first.from.x), first.from.y + 0.3 * (near.y - first.from.y)];
        marks.push({ kind: 'hand', still: true, path: mitten(bx, by + base.width / 2, base.deg, px) });
      }
    }
    seen.add(place);
    if (side) {
      const [ex, ey] = [last.to.x, last.to.y];
      marks.push({
        kind: 'tag',
        x: round(ex + (last.taper / 2 + 7 * px) * Math.cos(last.deg * RAD)),
        y: round(ey + (last.taper / 2 + 7 * px) * Math.sin(last.deg * RAD) + (side === 'right' ? -5 * px : 5 * px)),
        text: side === 'left' ? 'L' : 'R',
      });
    }
  }
  return marks;
}

/** A short stroke for the nose, where the face points. */
export function faceMark(pose: Pose, px: number): string | null {
  const head = pose.segments.find((each) => each.id === 'head');
  if (!head || pose.faceDeg === null) return null;
  const deg = head.deg + pose.faceDeg;
  const [cx, cy] = [head.from.x + (head.to.x - head.from.x) * 0.62, head.from.y + (head.to.y - head.from.y) * 0.62];
  const reach = head.width / 2;
  const at = (distance: number) => `${round(cx + distance * Math.cos(deg * RAD))} ${round(cy + distance * Math.sin(deg * RAD))}`;
  return `M${at(reach)}L${at(reach + Math.max(1.6, 2.4 * px))}`;
}

/** The hand on the edge of a part, fingers along it, with an arrow into it, or along it where it pulls; or on its way there. */
function pressMarks(pose: Pose, px: number, { on, at, from, pulls }: Press, coming: boolean): Mark[] {
  const part = pose.segments.find((each) => each.id === on);
  if (!part) return [];
  const [x, y] = [part.from.x + at * (part.to.x - part.from.x), part.from.y + at * (part.to.y - part.from.y)];
  const half = (part.width + at * (part.taper - part.width)) / 2;
  const along = { x: Math.cos(part.deg * RAD), y: Math.sin(part.deg * RAD) };
  // Of the two edges the one that is higher on the page, or the lower one; of an upright part the outer one.
  const up = along.x > 1e-6 || (Math.abs(along.x) <= 1e-6 && along.y < 0) ? 1 : -1;
  const way = (from === 'above' ? 1 : -1) * up;
  const normal = { x: -along.y * way, y: along.x * way };
  const point = (out: number, beside = 0) =>
    `${round(x + normal.x * out + along.x * beside)} ${round(y + normal.y * out + along.y * beside)}`;
  const [tip, end] = [half + 9 * px, half + 24 * px];
  const hand = (out: number): Mark => ({ kind: 'hand', still: false, path: mitten(x + normal.x * out, y + normal.y * out, part.deg, px) });
  if (coming) return [hand(half + 17 * px)];
  if (pulls) {
    const [line, tail, head] = [half + 15 * px, -8 * px, 10 * px];
    return [
      hand(half + 4 * px),
      {
        kind: 'push',
        path: `M${point(line, tail)}L${point(line, head)}M${point(line + 4 * px, head - 5 * px)}L${point(line, head)}L${point(line - 4 * px, head - 5 * px)}`,
      },
    ];
  }
  return [
    hand(half + 4 * px),
    { kind: 'push', path: `M${point(end)}L${point(tip)}M${point(tip + 5 * px, -4 * px)}L${point(tip)}L${point(tip + 5 * px, 4 * px)}` },
  ];
}
