import { ENTRIES } from './entries/index.ts';
import type { Entry } from './types.ts';

export { taught } from './claims.ts';

export {
  SECTIONS,
  STAGES,
  TOOLS,
  type Claim,
  type Dose,
  type Entry,
  type HomeWork,
  type Section,
  type SetUp,
  type Spoken,
  type Stage,
  type Tool,
  type ToolLoad,
  type Variant,
} from './types.ts';
export { entryRegions, entryScene, figureShare, positionsShown, showsEntry } from './figures.ts';
export { ENTRIES };
export { doingOf, PRESS_KINDS, type Doing, type Goes, type PressKind, type Squeezed } from './doing/index.ts';
export { LOOKED_AT_AGAIN, lookAgainOf, type LookAgain } from './lookAgain.ts';
export { partnersOf, sourcesOf, type Partner } from './partners.ts';
export { ASKED_IDS, asksOf } from './asks.ts';
export { arrangedIn, positionsFor, positionWords, setUpIn } from './setUp.ts';
export { hasStance, PLACES_TO_STAND, stanceIn, stanceWords, type Stance } from './stance.ts';
export { acrossSide, motionSide, sideRelation, sideSentence, workedSides, type SideRelation } from './sides.ts';

/**
 * The built-in catalogue entry with this id, or undefined.
 * @example findEntry('rectus-femoris-prone').targets[0] // → 'rectus femoris'
 */
export function findEntry(id: string): Entry | undefined {
  return ENTRIES.find((entry) => entry.id === id);
}
