import type { Pt } from './space.ts';

/**
 * Paths as SVG writes them, in whole numbers of half a millimetre: short, quick to write and finer than any screen. What paints them
 * multiplies centimetres by the same.
 */
export const PATH_SCALE = 20;
const n = (v: number): number => Math.round(v * PATH_SCALE);
export const xy = (p: Pt): string => `${n(p[0])} ${n(p[1])}`;

/**
 * A smooth closed line: every point is the control point of a quadratic curve between the middles of its two sides.
 */
export function closedCurve(points: readonly Pt[]): string {
  const count = points.length;
  if (count < 3) return '';
  let [x, y] = points[0]!;
  const [lastX, lastY] = points[count - 1]!;
  let d = `M${n((lastX + x) / 2)} ${n((lastY + y) / 2)}`;
  for (let i = 1; i <= count; i++) {
    const [nextX, nextY] = points[i === count ? 0 : i]!;
    d += `Q${n(x)} ${n(y)} ${n((x + nextX) / 2)} ${n((y + nextY) / 2)}`;
    x = nextX;
    y = nextY;
  }
  return `${d}Z`;
}

/** A smooth open line that begins and ends at its own ends. */
export function openCurve(points: readonly Pt[]): string {
  if (points.length < 2) return '';
  if (points.length === 2) return `M${xy(points[0]!)}L${xy(points[1]!)}`;
  let d = `M${xy(points[0]!)}`;
  for (let i = 1; i < points.length - 2; i++) {
    const [a, b] = [points[i]!, points[i + 1]!];
    d += `Q${n(a[0])} ${n(a[1])} ${n((a[0] + b[0]) / 2)} ${n((a[1] + b[1]) / 2)}`;
  }
  return `${d}Q${xy(points[points.length - 2]!)} ${xy(points[points.length - 1]!)}`;
}

export const polygon = (points: readonly Pt[]): string => `M${points.map(xy).join('L')}Z`;
export const polyline = (points: readonly Pt[]): string => `M${points.map(xy).join('L')}`;
export const circle = (c: Pt, r: number): string =>
  `M${n(c[0] - r)} ${n(c[1])}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
export const rect = (x: number, y: number, width: number, height: number): string =>
  `M${n(x)} ${n(y)}h${n(width)}v${n(height)}h${-n(width)}Z`;

/** A rectangle with round corners. */
export function roundRect(x: number, y: number, width: number, height: number, r: number): string {
  const [w, h, c] = [n(width - 2 * r), n(height - 2 * r), n(r)];
  return `M${n(x + r)} ${n(y)}h${w}a${c} ${c} 0 0 1 ${c} ${c}v${h}a${c} ${c} 0 0 1 ${-c} ${c}h${-w}a${c} ${c} 0 0 1 ${-c} ${-c}v${-h}a${c} ${c} 0 0 1 ${c} ${-c}Z`;
}

/** The shackle of a padlock: up, round, and down again. */
export const shackle = (x: number, y: number, half: number, rise: number): string =>
  `M${n(x - half)} ${n(y)}v${n(-rise)}a${n(half)} ${n(half)} 0 0 1 ${2 * n(half)} 0v${n(rise)}`;

/** The points of a path that are written absolutely, in centimetres. */
export function pointsIn(d: string): Pt[] {
  const out: Pt[] = [];
  for (const [, rest] of d.matchAll(/[MLQ]([^A-Za-z]+)/g)) {
    const numbers = rest!.trim().split(/\s+/);
    for (let i = 0; i + 1 < numbers.length; i += 2) out.push([Number(numbers[i]) / PATH_SCALE, Number(numbers[i + 1]) / PATH_SCALE]);
  }
  return out;
}
