export { PHASE_KINDS, phaseKind, type PhaseKind, type PhaseKindFacts } from './phases.ts';
export { METHODS, STATIC_HOLD, CR_BREATH, MOBILIZE_OSCILLATE, findMethod } from './methods.ts';
export { newBlock, checkBlock, checkNumber, checkRounds, defaultNumbers, defaultChoices, type BlockProblem } from './block.ts';
export { compile, PlanProblem, type CompileContext } from './compile.ts';
export { SLOW_BREATH, breathAt, nearestBreathEndMs } from './breath.ts';
export { doseOf, type SideDose } from './dose.ts';
export { TECHNIQUES } from './types.ts';
export type { BlockPlan, BreathPace, ChoiceSpec, ChoiceValues, Cue, Limits, Line, LineBlock, Method, NumberSpec, NumberValues, SideLimits, SideRounds, Technique } from './types.ts';
