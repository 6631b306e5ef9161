import { ANKLE } from './ankle.ts';
import { FOOT } from './foot.ts';
import { HANDS } from './hand.ts';
import { HIP } from './hip.ts';
import { KNEE } from './knee.ts';
import type { MotionScene } from './make.ts';
import { NECK } from './neck.ts';
import { NERVE } from './nerve.ts';
import { SHOULDER } from './shoulder.ts';
import { TRUNK } from './trunk.ts';

export type { MotionScene, Spot } from './make.ts';

/** How every motion is drawn, by its id. */
export const MOTION_SCENES: Readonly<Record<string, MotionScene>> = {
  ...HIP,
  ...KNEE,
  ...ANKLE,
  ...FOOT,
  ...TRUNK,
  ...NECK,
  ...SHOULDER,
  ...HANDS,
  ...NERVE,
};
