import type { Scene } from '../scene.ts';
import { ARM } from './arm.ts';
import { NECK_POINTS } from './neckPoints.ts';
import { SHOULDER_POINTS } from './shoulderPoints.ts';
import { CHAIR } from './chair.ts';
import { ARM_LINES } from './armLines.ts';
import { BACK_WORK } from './backWork.ts';
import { HIP_WORK } from './hipWork.ts';
import { THIGH_WORK } from './thighWork.ts';
import { FOOT_SERIES } from './footSeries.ts';
import { AFTER_OPERATION } from './afterOperation.ts';
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
  ...NECK_POINTS,
  ...SHOULDER_POINTS,
  ...CHAIR,
  ...ARM_LINES,
  ...BACK_WORK,
  ...HIP_WORK,
  ...THIGH_WORK,
  ...FOOT_SERIES,
  ...AFTER_OPERATION,
};
export { MOTION_SCENES, type MotionScene } from './motions/index.ts';
export { PLACE_SCENES, type Elsewhere } from './places.ts';
