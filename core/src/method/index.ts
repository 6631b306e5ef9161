export {
  PHASE_FAMILIES,
  PHASE_KINDS,
  phaseFamily,
  phaseKind,
  type PhaseFamily,
  type PhaseFamilyFacts,
  type PhaseKind,
  type PhaseKindFacts,
} from './phases.ts';
export { METHODS, STATIC_HOLD, CR_BREATH, MOBILIZE_OSCILLATE, findMethod } from './methods.ts';
export { BUILT_IN, offeredEntries, offeredMethods, shelfWith, type Shelf } from './shelf.ts';
export {
  checkSteps,
  MOST_STEPS,
  protocolBlocks,
  protocolGaps,
  protocolSeconds,
  sortProtocols,
  stepsFrom,
  type Protocol,
  type ProtocolGap,
  type ProtocolStep,
} from './protocol.ts';
export { findProtocol, PROTOCOLS } from './protocols.ts';
export {
  checkDose,
  checkOwnEntry,
  checkOwnWay,
  ownWay,
  sayable,
  shelfOf,
  type OwnEntryFields,
  protocolsOf,
  type OwnItem,
  type OwnProtocolFields,
  type OwnWayFields,
} from './own.ts';
export {
  ADDED,
  ADDED_KINDS,
  addable,
  arrange,
  basePhases,
  checkOwnRound,
  isBase,
  LONGEST_DETAIL,
  LONGEST_TEXT,
  MOST_PHASES,
  type AddedKind,
  type OwnPhase,
} from './ownRound.ts';
export { axisOf, type Axis } from './axis.ts';
export {
  newBlock,
  beginningOf,
  type Beginning,
  checkBlock,
  checkNumber,
  checkRounds,
  defaultNumbers,
  defaultChoices,
  defaultLists,
  fits,
  wayRank,
  LONGEST_PLACE,
  MOST_PASSES,
  sidesOf,
  type BlockProblem,
} from './block.ts';
export { compile, PlanProblem, type CompileContext } from './compile.ts';
export { SLOW_BREATH, breathAt, nearestBreathEndMs } from './breath.ts';
export { comesOut, type ComesOut } from './comesOut.ts';
export { doseOf, type SideDose } from './dose.ts';
export { roundShares, roundWork, sharesOf, type CueDone, type RoundWork } from './strength.ts';
export { goesSlack, phasesOf, reachesEdge, techniquesOf } from './techniques.ts';
export { motionSideIn, workedSideIn } from './lineSides.ts';
export { SUITS, TECHNIQUES } from './types.ts';
export type {
  AxisKind,
  AxisUnit,
  BlockPlan,
  BreathPace,
  ChoiceSpec,
  ChoiceValues,
  Cue,
  Limits,
  Line,
  LineBlock,
  ListSpec,
  ListValues,
  Loop,
  Method,
  NumberSpec,
  NumberValues,
  PhaseNode,
  PhaseSpec,
  SideLimits,
  SideRounds,
  Suit,
  Technique,
} from './types.ts';
