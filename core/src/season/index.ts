export {
  DEVELOP,
  EMPTY_PLAN,
  NEW_WORK,
  PHASE_IDS,
  type Anchor,
  type Block,
  type Develop,
  type NewWork,
  type PhaseId,
  type PhaseLimits,
  type PhaseRule,
  type PlannedRhythm,
  type SeasonEvent,
  type SeasonPlan,
  type Stay,
} from './types.ts';
export { DEVELOP_WORDS, PHASE_NAMES, PHASE_RANGE, PHASE_RULES, phaseRule, phaseRules } from './phases.ts';
export { blockOn, laidOver, planProblems, SEASON_LIMITS, type LaidBlock } from './plan.ts';
export { afterMove, edgeRoom, edgesOf, moveEdge, putBlock, putLine, withoutBlock, withPhase, type Edge } from './edit.ts';
export { fromTemplate, SEASON_TEMPLATES, type SeasonTemplate, type Templated } from './templates.ts';
export {
  eventAhead,
  phaseBecause,
  phaseHold,
  phaseLimitId,
  phaseLimits,
  seasonDay,
  stayOn,
  type PhaseHold,
  type SeasonDay,
  type SeasonFacts,
} from './today.ts';
export { againstPath, pathLevel, pathShares, type AgainstPath, type GoalPath } from './path.ts';
export { movedLines, movedVisits, type MovedLine, type MovedVisit } from './move.ts';
