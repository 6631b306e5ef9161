import { checkBlock, type BlockPlan, type Shelf } from '@pace-bend/core/method';
import { invalid } from '../http/problem.ts';
import { requireFewRounds } from './room.ts';

/** Refuses blocks that cannot be run, each problem with its path from the request's root. */
export function requireSoundBlocks(blocks: readonly BlockPlan[], shelf: Shelf): void {
  const problems = blocks.flatMap((block, i) =>
    checkBlock(block, shelf).map(({ path, message }) => ({ path: `blocks.${i}.${path}`, message })),
  );
  if (problems.length > 0) throw invalid(problems);
  requireFewRounds(blocks);
}
