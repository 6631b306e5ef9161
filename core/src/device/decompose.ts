import { inverse, multiply, normalise, turnDeg, type Axis, type Quaternion } from './quaternion.ts';

/** Orientation of the two sensors at one moment: the one that stays and the one that moves. */
export interface SensorPair {
  readonly still: Quaternion;
  readonly moving: Quaternion;
}

/** A rotation told apart into what lies in the motion's plane and what does not. Degrees. */
export interface PlaneAngle {
  /** About the motion's axis, −180 to 180. */
  readonly inPlane: number;
  /** All that is left over, 0 to 180. */
  readonly offPlane: number;
  /** The left-over rotation by axis; zero about the motion's own. */
  readonly off: Readonly<Record<Axis, number>>;
}

const DEG = 180 / Math.PI;

/**
 * The moving segment as seen from the still one, since both were zeroed.
 *
 * A sensor's orientation is its own attitude in the room. Where it happened to be strapped on and how the athlete lies
 * drop out: the relative orientation still⁻¹ · moving does not depend on the room, and taking off the relative orientation at
 * zero from the right leaves the rotation since then, told in the still sensor's axes at zero.
 */
export function relative(now: SensorPair, zero: SensorPair): Quaternion {
  const seen = (pair: SensorPair) => multiply(inverse(normalise(pair.still)), normalise(pair.moving));
  return multiply(seen(now), inverse(seen(zero)));
}

/**
 * Splits a rotation into a twist about the motion's axis, done first, and a swing about an axis at right angles to it:
 * q = swing · twist. The twist is the part of q whose vector lies along the axis, made to length one again; it is the
 * rotation about that axis that comes closest to q, which is what a goniometer in the plane reads. For a swing of 180°
 * the twist is not defined and is given as 0.
 * @example decompose(about([0, 1, 0], 62), 'y').inPlane // → 62.0
 */
export function decompose(rotation: Quaternion, axis: Axis): PlaneAngle {
  const { w, x, y, z } = normalise(rotation);
  const along = { x, y, z }[axis];
  const length = Math.hypot(w, along);
  const twist: Quaternion = length < 1e-9 ? { w: 1, x: 0, y: 0, z: 0 } : { w: w / length, x: 0, y: 0, z: 0, [axis]: along / length };
  const swing = multiply({ w, x, y, z }, inverse(twist));
  const inPlane = wrap(2 * Math.atan2(twist[axis], twist.w) * DEG);
  const offPlane = turnDeg(swing);
  // The swing as a rotation vector; its part along the motion's axis is zero by construction.
  const size = Math.hypot(swing.x, swing.y, swing.z);
  const share = (part: number) => (size < 1e-12 ? 0 : (Math.sign(swing.w || 1) * part * offPlane) / size);
  const off = { x: share(swing.x), y: share(swing.y), z: share(swing.z) };
  return { inPlane, offPlane, off: { ...off, [axis]: 0 } };
}

function wrap(deg: number): number {
  const turned = ((((deg + 180) % 360) + 360) % 360) - 180;
  return turned === -180 ? 180 : turned;
}
