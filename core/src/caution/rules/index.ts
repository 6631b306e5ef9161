import type { Rule } from '../types.ts';
import { ARM_RULES } from './arm.ts';
import { EVENT_RULES } from './event.ts';
import { GENERAL_RULES } from './general.ts';
import { LEG_RULES } from './leg.ts';
import { OPERATION_RULES } from './operation.ts';
import { SPINE_RULES } from './spine.ts';
import { STOP_RULES } from './stop.ts';

/** Every built-in rule, each with an id of its own. */
export const RULES: readonly Rule[] = [...STOP_RULES, ...OPERATION_RULES, ...SPINE_RULES, ...ARM_RULES, ...LEG_RULES, ...GENERAL_RULES, ...EVENT_RULES];
