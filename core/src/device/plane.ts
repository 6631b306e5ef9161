import type { Motion } from '../body/index.ts';
import type { PlaneAngle } from './decompose.ts';
import type { Axis } from './quaternion.ts';

/** Off-plane movement from here on is said out loud; a goniometer is read about as exactly. Common practice. */
export const OFF_PLANE_WARN_DEG = 10;

/**
 * The axis of the sensor about which a motion turns: y for bending and straightening, z for out, in and to the side, x for
 * turning along the limb. A distance has none.
 * @example motionAxis({ id: 'neck-side-bend', unit: 'deg' }) // → 'z'
 */
export function motionAxis({ id, unit }: Pick<Motion, 'id' | 'unit'>): Axis | null {
  if (unit !== 'deg') return null;
  if (/rotation|pronation|supination|inversion|eversion|forefoot/.test(id) && id !== 'scapula-upward-rotation') return 'x';
  if (/abduction|adduction|side-bend|deviation|scapula/.test(id)) return 'z';
  return 'y';
}

const WORDS: Record<'neck' | 'trunk' | 'limb', Record<Axis, string>> = {
  neck: { x: 'nose has turned', y: 'chin has moved', z: 'head has tipped' },
  trunk: { x: 'chest has turned', y: 'trunk has bent', z: 'trunk has leaned' },
  limb: { x: 'limb has rolled', y: 'limb has bent', z: 'limb has swung out of line' },
};

/**
 * What has left the plane, once it is too much: "nose has turned 12°"; null below the limit.
 * @example offPlaneWords({ joint: 'neck' }, { inPlane: 30, offPlane: 12, off: { x: 12, y: 0, z: 0 } }) // → 'nose has turned 12°'
 */
export function offPlaneWords({ joint }: Pick<Motion, 'joint'>, { offPlane, off }: PlaneAngle): string | null {
  if (offPlane < OFF_PLANE_WARN_DEG) return null;
  const worst = (['x', 'y', 'z'] as const).reduce((most, axis) => (Math.abs(off[axis]) > Math.abs(off[most]) ? axis : most));
  const words = WORDS[joint === 'neck' ? 'neck' : joint === 'trunk' ? 'trunk' : 'limb'];
  return `${words[worst]} ${Math.round(Math.abs(off[worst]))}°`;
}
