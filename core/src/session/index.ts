export { solveSession, type SolveControl } from './solve/solve.ts';
export type { Candidate, Chosen, Level, Measuring, SessionProblem, Shared, Solution, Stay } from './solve/types.ts';
export { possibleBlocks, MOST_CANDIDATES, type ForbiddenEntry, type Possible, type PossibleLevel, type Possibles } from './candidates.ts';
export { type Pin, type SessionFacts } from './free.ts';
export { type KeptFacts, type KeptShare, type OwnKept } from './kept.ts';
export { type WarmUp } from './warmUps.ts';
export {
  minutesMore,
  otherSessions,
  proposeSession,
  type Alternative,
  type LeftOut,
  type Proposal,
  type ProposeControl,
  type ProposedBlock,
  type ProposedSide,
} from './propose.ts';
export { wantedMotions, degreesPer, type Term, type Wanted, type WantedFacts } from './wanted.ts';
export {
  BETWEEN_ATHLETES,
  BETWEEN_SESSIONS,
  predictEdges,
  responseOf,
  USUAL_RESPONSE,
  usualGain,
  usualGainDone,
  type Band,
  type Before,
  type PredictedEdge,
  type Response,
} from './response.ts';
export { betweenPasses, passKey, sessionStrip, type Between, type SessionStrip, type StripFacts, type StripItem } from './strip.ts';
export { byFindings, glidesFor, hoursFor } from './byFindings.ts';
export { additionsFor, blockOf, swapsFor, type TableOffer } from './atTable.ts';
export { addedBlock, offersFor, waysFor, type Offer } from './offers.ts';
export { againstPlan, type AgainstPlan } from './againstPlan.ts';
export { expectedEdges, type ExpectedFacts } from './expected.ts';
export { planChecks, type CheckFacts, type PlanCheck } from './checks.ts';
export { moveBlock, orderProblems, placeBlock, type OrderProblem } from './order.ts';
export { mirrored, oneSideFirst, SIDE_PATTERNS, sidePasses, type SidePattern } from './sides.ts';
export {
  addDoses,
  doseByTarget,
  guidanceFor,
  sparing,
  tableHeight,
  toolMinutes,
  toolLimits,
  USUAL_TOOL_LIMITS,
  type CueSeconds,
  type DoneSoFar,
  type Guidance,
  type TargetDose,
  type ToolMinutes,
} from './dose.ts';
export { CLOSING_S, moveSeconds, OPENING_S, placeOfBlock, SIDE_CHANGE_S } from './places.ts';
