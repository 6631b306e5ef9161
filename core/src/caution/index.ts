export { measuring, blockAction } from './actions.ts';
export { nervesOf } from './areas.ts';
export { workKey } from './boundaries.ts';
export { blockCautions, limitedBlock, overriddenFor, type OverrideFields, type SideCautions } from './blocks.ts';
export {
  BEIGHTON_ITEMS,
  CONDITIONS,
  MEDICATIONS,
  STOP_QUESTIONS,
  conditionFacts,
  type ConditionCode,
  type ConditionFacts,
  type MedicationId,
  type QuestionId,
  type Shows,
} from './coded.ts';
export { CONSENT_AREAS, consentArea, regionsOfAreas, type ConsentArea } from './consent.ts';
export { blocking, cautionOverview, cautionsFor, overrideKey, visitCautions } from './evaluate.ts';
export { conditionWords } from './words.ts';
export { anyLimit, isAsStrict, limitWords, mergeLimits, NO_LIMITS } from './limits.ts';
export { daysBetween, isCleared, PHASE_WORDS, stillProtected, surgeryPhase } from './phase.ts';
export { RULES } from './rules/index.ts';
export {
  LEVELS,
  PHASES,
  type CandidateAction,
  type Caution,
  type CautionContext,
  type CautionResult,
  type CautionSubject,
  type Clearance,
  type DayLimit,
  type ConditionFields,
  type Level,
  type NoTouchFields,
  type PracticeScope,
  type Rule,
  type SurgeryPhase,
  type WrittenLimit,
} from './types.ts';
