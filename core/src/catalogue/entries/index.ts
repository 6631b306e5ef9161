import type { Entry } from '../types.ts';
import { ARM } from './arm.ts';
import { CLOSING, HOME } from './closing.ts';
import { FOOT } from './foot.ts';
import { HIP } from './hip.ts';
import { NECK } from './neck.ts';
import { SHOULDER } from './shoulder.ts';
import { THIGH } from './thigh.ts';
import { TRUNK } from './trunk.ts';

/** The built-in catalogue, in our own words; common practice throughout. */
export const ENTRIES: readonly Entry[] = [...NECK, ...SHOULDER, ...ARM, ...TRUNK, ...HIP, ...THIGH, ...FOOT, ...CLOSING, ...HOME];
