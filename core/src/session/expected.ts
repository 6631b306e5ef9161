import { motionOf, type Side } from '../body/index.ts';
import { motionSide } from '../catalogue/index.ts';
import { errorOf, type ErrorKnowledge } from '../measure/index.ts';
import { BUILT_IN, roundShares, sidesOf, techniquesOf, type Line, type Shelf } from '../method/index.ts';
import type { PastBlock, PastReading, Reading } from '../record/index.ts';
import { predictEdges, responseOf, type PredictedEdge } from './response.ts';

export interface ExpectedFacts {
  /** What was read today before work. */
  readonly readings: readonly Reading[];
  readonly past: readonly PastReading[];
  readonly pastBlocks: readonly PastBlock[];
  readonly errors: ErrorKnowledge;
}

/**
 * Where the edge of a block's motion is expected after each round of one side, with its bands, and from how many sessions of this athlete.
 * What was worked on this motion and side earlier in the line shares its gain. Null where nothing is lengthened along the motion, or it was
 * not read today. `at`: which block of the line; `side`: the side worked on.
 */
export function expectedEdges(
  line: Line,
  at: number,
  side: Side,
  facts: ExpectedFacts,
  shelf: Shelf = BUILT_IN,
): { readonly edges: readonly PredictedEdge[]; readonly sessions: number } | null {
  const block = line.blocks[at];
  const entry = block && shelf.entries.get(block.entryId);
  const method = block && shelf.methods.get(block.methodId);
  if (!entry || !method || method.axis !== 'motion' || !techniquesOf(method).includes('lengthen')) return null;
  const motion = motionOf(entry.motionId);
  const readOn = motionSide(entry, motion.id, side);
  const start = facts.readings.find((each) => each.motionId === motion.id && each.side === readOn && each.moment === 'before');
  if (typeof start?.value !== 'number') return null;
  const shares = line.blocks.slice(0, at).flatMap((other, i) => {
    const worked = other.motionId === motion.id ? shelf.entries.get(other.entryId) : undefined;
    return (worked ? sidesOf(worked) : [])
      .filter((each) => motionSide(worked!, motion.id, each) === readOn)
      .flatMap((each) => roundShares(line, i, each, shelf));
  });
  const own = line.cues.find((cue) => cue.blockIndex === at && cue.side === side);
  const response = responseOf(motion.id, facts.past, facts.pastBlocks, facts.errors, shelf);
  const before = { start: start.value, shares, error: errorOf(motion, start, facts.errors, 'within'), furthest: own?.furthest ?? null };
  return { edges: predictEdges(motion, before, roundShares(line, at, side, shelf), response), sessions: response.sessions };
}
