import type { Pt } from './space.ts';

/** Paths as SVG writes them. Numbers are rounded to a twentieth of a millimetre per centimetre of figure: invisible at any size. */
const n = (v: number): string => `${Math.round(v * 50) / 50}`;
export const xy = (p: Pt): string => `${n(p[0])} ${n(p[1])}`;

/**
 * A smooth closed line: every point is the control point of a quadratic curve between the middles of its two sides.
 */
export function closedCurve(points: readonly Pt[]): string {
  const count = points.length;
  if (count < 3) return '';
  const middle = (a: Pt, b: Pt): string => `${n((a[0] + b[0]) / 2)} ${n((a[1] + b[1]) / 2)}`;
  let d = `M${middle(points[count - 1]!, points[0]!)}`;
  for (let i = 0; i < count; i++) d += `Q${xy(points[i]!)} ${middle(points[i]!, points[(i + 1) % count]!)}`;
  return `${d}Z`;
}

/** A smooth open line that begins and ends at its own ends. */
export function openCurve(points: readonly Pt[]): string {
  if (points.length < 2) return '';
  if (points.length === 2) return `M${xy(points[0]!)}L${xy(points[1]!)}`;
  let d = `M${xy(points[0]!)}`;
  for (let i = 1; i < points.length - 2; i++)
    d += `Q${xy(points[i]!)} ${n((points[i]![0] + points[i + 1]![0]) / 2)} ${n((points[i]![1] + points[i + 1]![1]) / 2)}`;
  return `${d}Q${xy(points[points.length - 2]!)} ${xy(points[points.length - 1]!)}`;
}

export const polygon = (points: readonly Pt[]): string => `M${points.map(xy).join('L')}Z`;
export const polyline = (points: readonly Pt[]): string => `M${points.map(xy).join('L')}`;
export const circle = (c: Pt, r: number): string =>
  `M${n(c[0] - r)} ${n(c[1])}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
