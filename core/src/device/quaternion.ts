/** An orientation or rotation as a unit quaternion. */
export interface Quaternion {
  readonly w: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export type Vector = readonly [x: number, y: number, z: number];

/** Axes of a sensor as it is strapped on: x along the limb away from the body, y across it, z out of the skin. */
export const AXES = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } as const satisfies Record<string, Vector>;
export type Axis = keyof typeof AXES;

const DEG = 180 / Math.PI;

/** One rotation after another: first `b`, then `a`. */
export function multiply(a: Quaternion, b: Quaternion): Quaternion {
  return {
    w: a.w * b.w - a.x * b.x - a.y * b.y - a.z * b.z,
    x: a.w * b.x + a.x * b.w + a.y * b.z - a.z * b.y,
    y: a.w * b.y - a.x * b.z + a.y * b.w + a.z * b.x,
    z: a.w * b.z + a.x * b.y - a.y * b.x + a.z * b.w,
  };
}

/** The rotation back. */
export function inverse({ w, x, y, z }: Quaternion): Quaternion {
  return { w, x: -x, y: -y, z: -z };
}

/**
 * A quaternion of length one. Throws a RangeError for one of no length or with a part that is not finite: a device sent
 * nonsense.
 */
export function normalise({ w, x, y, z }: Quaternion): Quaternion {
  const length = Math.hypot(w, x, y, z);
  if (!Number.isFinite(length) || length < 1e-6) throw new RangeError('An orientation is four finite numbers, not all zero.');
  return { w: w / length, x: x / length, y: y / length, z: z / length };
}

/**
 * A rotation by degrees about an axis of length one.
 * @example about([0, 1, 0], 180).y // → 1.000
 */
export function about([x, y, z]: Vector, deg: number): Quaternion {
  const half = deg / DEG / 2;
  const s = Math.sin(half);
  return { w: Math.cos(half), x: x * s, y: y * s, z: z * s };
}

/** How far a rotation turns in all, 0 to 180 degrees. */
export function turnDeg({ w, x, y, z }: Quaternion): number {
  return 2 * Math.atan2(Math.hypot(x, y, z), Math.abs(w)) * DEG;
}
