import type { Motion } from '../types.ts';
import { ANKLE } from './ankle.ts';
import { ARM } from './arm.ts';
import { FOOT } from './foot.ts';
import { GIRDLE } from './girdle.ts';
import { HAND } from './hand.ts';
import { HIP } from './hip.ts';
import { KNEE } from './knee.ts';
import { NECK } from './neck.ts';
import { NERVE } from './nerve.ts';
import { SHOULDER } from './shoulder.ts';
import { TRUNK } from './trunk.ts';

/**
 * Every motion that can be measured, from the hip outward. Test positions, landmarks and compensations are common
 * practice, in our own words; published reference values stand in `measure/references.ts`.
 */
export const MOTIONS: readonly Motion[] = [
  ...HIP,
  ...KNEE,
  ...ANKLE,
  ...FOOT,
  ...TRUNK,
  ...NECK,
  ...GIRDLE,
  ...SHOULDER,
  ...ARM,
  ...HAND,
  ...NERVE,
];
const byId = new Map(MOTIONS.map((motion) => [motion.id, motion]));

/**
 * The motion with this id, or undefined when no such motion exists.
 * @example findMotion('knee-to-wall').unit // → 'cm'
 */
export function findMotion(id: string): Motion | undefined {
  return byId.get(id);
}

/**
 * The motion with this id. Throws a RangeError that names the id when there is none.
 * @example motionOf('straight-leg-raise').joint // → 'hip'
 */
export function motionOf(id: string): Motion {
  const motion = byId.get(id);
  if (!motion) throw new RangeError(`No motion has the id "${id}".`);
  return motion;
}
