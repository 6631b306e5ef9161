import { compile, type Line, type Shelf } from '../method/index.ts';
import type { RunFields } from './visit.ts';

/**
 * The line of a run: its blocks compiled with the breath and the edges that were read before work. The browser
 * and the server both call this, so the same input is the same line on either side.
 * Throws PlanProblem when a block is not sound.
 */
export function lineOfRun({ blocks, breath, edges }: Pick<RunFields, 'blocks' | 'breath' | 'edges'>, shelf?: Shelf): Line {
  return compile(blocks, {
    breath,
    ...(shelf ? { shelf } : {}),
    edgeOf: (motionId, side) => edges.find((edge) => edge.motionId === motionId && edge.side === side)?.value ?? null,
  });
}
