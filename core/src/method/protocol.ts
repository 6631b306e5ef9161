import type { Side } from '../body/index.ts';
import { checkBlock, type BlockProblem } from './block.ts';
import { SLOW_BREATH } from './breath.ts';
import { compile } from './compile.ts';
import { BUILT_IN, type Shelf } from './shelf.ts';
import type { BlockPlan } from './types.ts';

/** One step of a protocol: a block without its place in a visit. What cautions allow is written into it where it is taken. */
export type ProtocolStep = Omit<BlockPlan, 'id' | 'limits'>;

/** A sequence of blocks that is taught, or kept, as one. */
export interface Protocol {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  /** Minutes it is taught to take; null where nobody says. */
  readonly minutes: readonly [least: number, most: number] | null;
  readonly steps: readonly [ProtocolStep, ...ProtocolStep[]];
}

export const MOST_STEPS = 30;

/** The blocks of a protocol as they go into a plan, in its order; `idFor` gives each its own id. */
export function protocolBlocks({ steps }: Pick<Protocol, 'steps'>, idFor: () => string): BlockPlan[] {
  return steps.map((step) => ({ ...step, id: idFor() }));
}

/** A protocol's steps from the blocks of a plan: everything but their ids and what cautions wrote into them. */
export function stepsFrom(blocks: readonly BlockPlan[]): ProtocolStep[] {
  return blocks.map(({ id: _id, limits: _limits, ...step }) => step);
}

/** Seconds of its cues at a slow breath, without changes of side and turns. */
export function protocolSeconds({ steps }: Pick<Protocol, 'steps'>, shelf: Shelf = BUILT_IN): number {
  const blocks = steps.map((step, i) => ({ ...step, id: String(i) }));
  return Math.round(compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null, shelf }).totalMs / 1000);
}

/** Everything that is wrong with steps, each with its path: `steps.2.numbers.hold.0`. */
export function checkSteps(steps: readonly ProtocolStep[], shelf: Shelf = BUILT_IN): BlockProblem[] {
  const problems: BlockProblem[] = [];
  if (steps.length === 0) problems.push({ path: 'steps', message: 'A sequence has at least one step.' });
  if (steps.length > MOST_STEPS) problems.push({ path: 'steps', message: `At most ${MOST_STEPS} steps.` });
  return [
    ...problems,
    ...steps.flatMap((step, i) =>
      checkBlock({ ...step, id: String(i) }, shelf).map(({ path, message }) => ({ path: `steps.${i}.${path}`, message })),
    ),
  ];
}

/** Protocols that can be planned with what stands on the shelf now, and those that no longer can: kept before an entry lost a position or a way. */
export function sortProtocols(
  protocols: readonly Protocol[],
  shelf: Shelf = BUILT_IN,
): { readonly fit: readonly Protocol[]; readonly unfit: readonly Protocol[] } {
  const fits = protocols.map(({ steps }) => checkSteps(steps, shelf).length === 0);
  return { fit: protocols.filter((_, i) => fits[i]), unfit: protocols.filter((_, i) => !fits[i]) };
}

/** What a protocol has on both sides and a plan only on one. */
export interface ProtocolGap {
  readonly protocolId: string;
  readonly missing: Side;
  readonly entryIds: readonly string[];
}

const sidesIn = (blocks: readonly Pick<BlockPlan, 'entryId' | 'sides'>[], entryId: string): Set<Side> =>
  new Set(blocks.filter((block) => block.entryId === entryId).flatMap(({ sides }) => sides.map(({ side }) => side)));

/**
 * Side blocks of a protocol that were begun and not ended: of a plan that holds most of a protocol, what it does on both sides and the plan
 * on one only. Never stop after one arm (common practice). A plan that holds less of it is a plan of its own and nothing is missing.
 */
export function protocolGaps(blocks: readonly Pick<BlockPlan, 'entryId' | 'sides'>[], protocols: readonly Protocol[]): ProtocolGap[] {
  return protocols.flatMap(({ id, steps }) => {
    const entries = [...new Set(steps.map(({ entryId }) => entryId))];
    const planned = entries.filter((entryId) => blocks.some((block) => block.entryId === entryId));
    if (entries.length < 2 || planned.length * 2 <= entries.length) return [];
    return (['left', 'right'] as const).flatMap((side) => {
      const missing = planned.filter((entryId) => sidesIn(steps, entryId).has(side) && !sidesIn(blocks, entryId).has(side));
      return missing.length > 0 ? [{ protocolId: id, missing: side, entryIds: missing }] : [];
    });
  });
}
