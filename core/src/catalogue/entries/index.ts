import type { Entry } from '../types.ts';
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
import { HOME } from './home.ts';
import { FOOT } from './foot.ts';
import { HIP } from './hip.ts';
import { NECK } from './neck.ts';
import { SHOULDER } from './shoulder.ts';
import { THIGH } from './thigh.ts';
import { TRUNK } from './trunk.ts';

/** The built-in catalogue, in our own words; common practice throughout. */
export const ENTRIES: readonly Entry[] = [
  ...NECK,
  ...NECK_POINTS,
  ...SHOULDER,
  ...SHOULDER_POINTS,
  ...CHAIR,
  ...ARM,
  ...ARM_LINES,
  ...TRUNK,
  ...BACK_WORK,
  ...HIP,
  ...HIP_WORK,
  ...THIGH,
  ...THIGH_WORK,
  ...FOOT,
  ...FOOT_SERIES,
  ...AFTER_OPERATION,
  ...CLOSING,
  ...HOME,
];
