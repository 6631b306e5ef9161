import { checkBlock, type BlockPlan } from '@pace-bend/core/method';
import { invalid } from '../app/problem.ts';

/** Refuses blocks that cannot be run, each problem with its path from the request's root. */
export function requireSoundBlocks(blocks: readonly BlockPlan[]): void {
  const problems = blocks.flatMap((block, i) => checkBlock(block).map(({ path, message }) => ({ path: `blocks.${i}.${path}`, message })));
  if (problems.length > 0) throw invalid(problems);
}
