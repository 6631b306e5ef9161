import { positionOn, type Position } from '../body/index.ts';
import { limitedBlock } from '../caution/index.ts';
import type { Entry } from '../catalogue/index.ts';
import { compile, newBlock, offeredEntries, sidesOf, type BlockPlan, type Shelf } from '../method/index.ts';
import { freePositions, type SessionFacts } from './free.ts';
import { SIDE_CHANGE_S } from './places.ts';

/** A warm-up with the positions in which cautions forbid nothing of it and it needs no turn, and what it takes. */
export interface WarmUp {
  readonly entry: Entry;
  readonly free: readonly Position[];
  readonly seconds: number;
}

/** The warm-ups of a part of the body: those there are, and those that may be done. */
export interface WarmUps {
  readonly exist: boolean;
  readonly allowed: readonly WarmUp[];
}

/** One round of a warm-up on every side it has. */
export function warmBlock(entry: Entry, id: string, shelf: Shelf): BlockPlan {
  const block = newBlock(id, entry.id, entry.ways[0], sidesOf(entry), shelf);
  return { ...block, sides: block.sides.map((each) => ({ ...each, rounds: 1 })) };
}

/**
 * Warm-ups of a part of the body without those that another one beats: no quicker, and done in no position that the other has not.
 * Both sides are warmed where the athlete lies, so only positions that are the same for both count.
 */
export function warmUpsFor(section: Entry['section'], facts: SessionFacts, shelf: Shelf): WarmUps {
  const all = offeredEntries(shelf).filter(
    (entry) => entry.stage === 'warm' && !entry.afterOperation && !entry.onlyAsked && entry.section === section,
  );
  const allowed = all
    .filter((entry) => !facts.bans.includes(entry.id))
    .map((entry): WarmUp => {
      const block = warmBlock(entry, 'warm', shelf);
      const sides = block.sides.map(({ side }) => side);
      const free = freePositions(block, entry, facts, shelf).free.filter(
        (position) => !facts.withoutPositions.includes(position) && new Set(sides.map((side) => positionOn({ position }, side))).size === 1,
      );
      const changes = sides.filter((side) => side !== 'midline').length - 1;
      return {
        entry,
        free,
        seconds:
          Math.round(
            compile([limitedBlock(free[0] ? { ...block, position: free[0] } : block, facts.caution, shelf)], {
              breath: facts.breath,
              edgeOf: () => null,
              shelf,
            }).totalMs / 1000,
          ) +
          Math.max(0, changes) * SIDE_CHANGE_S,
      };
    })
    .filter(({ free }) => free.length > 0);
  const beats = (a: WarmUp, b: WarmUp) => a.seconds <= b.seconds && b.free.every((position) => a.free.includes(position));
  return {
    exist: all.length > 0,
    allowed: allowed.filter((each, i) => !allowed.some((other, j) => j !== i && beats(other, each) && (!beats(each, other) || j < i))),
  };
}
