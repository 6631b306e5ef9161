/** Vectors in space (centimetres) and on the page (x to the right, y down), and the frames bones carry. */

export type Vec = readonly [number, number, number];
export type Pt = readonly [number, number];

/** A right-handed frame of a part: the athlete's left, up (toward the head, against the limb), forward. */
export interface Frame {
  readonly l: Vec;
  readonly u: Vec;
  readonly f: Vec;
}

export const RAD = Math.PI / 180;

export const plus = (a: Vec, b: Vec, k = 1): Vec => [a[0] + b[0] * k, a[1] + b[1] * k, a[2] + b[2] * k];
export const times = (a: Vec, k: number): Vec => [a[0] * k, a[1] * k, a[2] * k];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
export const length = (a: Vec): number => Math.hypot(a[0], a[1], a[2]);
export const unit = (a: Vec): Vec => times(a, 1 / (length(a) || 1));

/**
 * A vector turned about a unit axis by degrees, right-handed (Rodrigues' formula).
 */
export function turnVec(v: Vec, axis: Vec, deg: number): Vec {
  const [c, s] = [Math.cos(deg * RAD), Math.sin(deg * RAD)];
  const k = dot(axis, v) * (1 - c);
  const x = cross(axis, v);
  return [v[0] * c + x[0] * s + axis[0] * k, v[1] * c + x[1] * s + axis[1] * k, v[2] * c + x[2] * s + axis[2] * k];
}

export function turnFrame(frame: Frame, axis: Vec, deg: number): Frame {
  if (deg === 0) return frame;
  return { l: turnVec(frame.l, axis, deg), u: turnVec(frame.u, axis, deg), f: turnVec(frame.f, axis, deg) };
}

export const at = (a: Pt, b: Pt, k = 1): Pt => [a[0] + b[0] * k, a[1] + b[1] * k];
export const less = (a: Pt, b: Pt): Pt => [a[0] - b[0], a[1] - b[1]];
export const mix = (a: Pt, b: Pt, t: number): Pt => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
export const dot2 = (a: Pt, b: Pt): number => a[0] * b[0] + a[1] * b[1];
export const cross2 = (a: Pt, b: Pt): number => a[0] * b[1] - a[1] * b[0];
export const norm2 = (a: Pt): number => Math.hypot(a[0], a[1]);
export const unit2 = (a: Pt): Pt => {
  const k = norm2(a) || 1;
  return [a[0] / k, a[1] / k];
};
export const dir2 = (deg: number): Pt => [Math.cos(deg * RAD), Math.sin(deg * RAD)];
