import type { Scene } from '../scene.ts';
import { ARM } from './arm.ts';
import { CLOSING } from './closing.ts';
import { FOOT } from './foot.ts';
import { HIP } from './hip.ts';
import { NECK } from './neck.ts';
import { SHOULDER } from './shoulder.ts';
import { THIGH } from './thigh.ts';
import { TRUNK } from './trunk.ts';

/** How every entry of the catalogue is drawn in its usual position, by its id. */
export const ENTRY_SCENES: Readonly<Record<string, Scene>> = {
  ...NECK,
  ...SHOULDER,
  ...ARM,
  ...TRUNK,
  ...HIP,
  ...THIGH,
  ...FOOT,
  ...CLOSING,
};
export { MOTION_SCENES, type MotionScene } from './motions/index.ts';
