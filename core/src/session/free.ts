import { positionOn, type Position, type Side } from '../body/index.ts';
import {
  blockCautions,
  blocking,
  cautionsFor,
  measuring,
  overriddenFor,
  type CautionContext,
  type OverrideFields,
} from '../caution/index.ts';
import { positionsFor, type Entry } from '../catalogue/index.ts';
import type { CauseKind } from '../limiter/index.ts';
import type { BlockPlan, BreathPace, Limits, Shelf, SideRounds } from '../method/index.ts';
import type { KeptFacts } from './kept.ts';
import type { WantedFacts } from './wanted.ts';

/** Something that has to be in. */
export interface Pin {
  readonly entryId: string;
  readonly methodId: string;
  /** At least so many rounds, by side; a side that is not named takes at least one. */
  readonly least?: readonly SideRounds[];
  /** The block as it stands: its numbers, choices, position, sides and their order are kept, and its rounds are the least. */
  readonly block?: BlockPlan;
}

export interface SessionFacts extends WantedFacts {
  readonly minutes: number;
  readonly breath: BreathPace;
  readonly caution: CautionContext;
  readonly overrides: readonly OverrideFields[];
  /** What is likely to hold a motion, by `motion/side`. */
  readonly causes: Readonly<Record<string, CauseKind>>;
  /** What is kept of gains; left out or null: plans are for what is gained in the visit. */
  readonly kept?: KeptFacts | null;
  /** Warm already: nothing needs a warm-up. */
  readonly warm: boolean;
  readonly pins: readonly Pin[];
  /** Pinned blocks keep the order they are given in. */
  readonly keepOrder?: boolean;
  /** Entries that are not to be in. */
  readonly bans: readonly string[];
  /** Positions that are not to be used, for anything. */
  readonly withoutPositions: readonly Position[];
  readonly shelf?: Shelf;
}

/** Of some positions, those in which the block's way of working goes on its entry. */
function possible({ entryId, methodId }: BlockPlan, positions: readonly Position[], shelf: Shelf): readonly Position[] {
  const [entry, method] = [shelf.entries.get(entryId), shelf.methods.get(methodId)];
  if (!entry || !method) return positions;
  const goes = positionsFor(entry, method);
  return positions.filter((position) => goes.includes(position));
}

/** The positions of an entry in which cautions forbid no side of a block, and, where there is none, why. */
export function freePositions(
  block: BlockPlan,
  entry: Entry,
  facts: Pick<SessionFacts, 'caution' | 'overrides'>,
  shelf: Shelf,
): { readonly free: readonly Position[]; readonly because: string } {
  const judged = possible(block, entry.positions, shelf).map((position) => ({
    position,
    blocking: blockCautions({ ...block, position }, facts.caution, facts.overrides, shelf).flatMap((side) => side.blocking),
  }));
  const first = judged[0]!.blocking[0];
  return {
    free: judged.filter((each) => each.blocking.length === 0).map((each) => each.position),
    because: first ? `${first.because}: ${first.reason}` : '',
  };
}

/** What cautions leave of a block, side by side and position by position. */
export interface FreeSide {
  readonly side: Side;
  readonly free: readonly { readonly position: Position; readonly place: Position; readonly limits: Limits }[];
  readonly because: string;
}

/** The same for every side of a block by itself, with the limits that hold in each position. */
export function freeBySide(
  block: BlockPlan,
  positions: readonly Position[],
  facts: Pick<SessionFacts, 'caution' | 'overrides'>,
  shelf: Shelf,
): FreeSide[] {
  const judged = possible(block, positions, shelf).map((position) => ({
    position,
    sides: blockCautions({ ...block, position }, facts.caution, facts.overrides, shelf),
  }));
  return [...new Set(block.sides.map((each) => each.side))].map((side) => {
    const own = judged.map(({ position, sides }) => ({ position, found: sides.find((each) => each.side === side)! }));
    const first = own[0]?.found.blocking[0];
    return {
      side,
      because: first ? `${first.because}: ${first.reason}` : '',
      free: own
        .filter(({ found }) => found.blocking.length === 0)
        .map(({ position, found }) => ({ position, place: positionOn({ position }, side), limits: found.result.limits })),
    };
  });
}

/** Whether cautions let a motion be measured on a side. */
export function mayMeasure({ caution, overrides }: Pick<SessionFacts, 'caution' | 'overrides'>, motionId: string, side: Side): boolean {
  return blocking(cautionsFor(caution, measuring(motionId, side)), overriddenFor(overrides, motionId, side)).length === 0;
}
