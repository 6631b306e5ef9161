import type { Rule } from '../types.ts';
import { ARM_RULES } from './arm.ts';
import { BONE_RULES } from './bone.ts';
import { EVENT_RULES } from './event.ts';
import { GENERAL_RULES } from './general.ts';
import { LEG_RULES } from './leg.ts';
import { MUSCLE_RULES } from './muscle.ts';
import { NECK_RULES } from './neck.ts';
import { OPERATION_RULES } from './operation.ts';
import { SPINE_RULES } from './spine.ts';
import { STOP_RULES } from './stop.ts';
import { VESSEL_RULES } from './vessels.ts';

/** Every caution rule. Most are common practice; each names its source. They remind a licensed person and clear nobody. */
export const RULES: readonly Rule[] = [
  ...STOP_RULES,
  ...OPERATION_RULES,
  ...NECK_RULES,
  ...SPINE_RULES,
  ...BONE_RULES,
  ...ARM_RULES,
  ...LEG_RULES,
  ...MUSCLE_RULES,
  ...VESSEL_RULES,
  ...GENERAL_RULES,
  ...EVENT_RULES,
];
