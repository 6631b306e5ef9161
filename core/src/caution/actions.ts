import { motionOf, type Side } from '../body/index.ts';
import { BUILT_IN, type BlockPlan, type Shelf } from '../method/index.ts';
import { MOTION_FACETS } from './facets.ts';
import type { CandidateAction } from './types.ts';

/**
 * Measuring one motion on one side, as an action: it is taken to its edge once, nobody works against it.
 * Throws a RangeError for an unknown motion.
 * @example measuring('knee-flexion', 'left').movements // → ['knee flexion']
 */
export function measuring(motionId: string, side: Side): CandidateAction {
  const motion = motionOf(motionId);
  const facets = MOTION_FACETS[motionId]!;
  return {
    moment: 'measure', side, motionId, movements: facets.movements, regions: facets.regions, techniques: [motion.mode === 'active' ? 'active' : 'lengthen', ...(facets.nerveLine ? ['nerve-line' as const] : [])],
    position: motion.position, grade: null, endRange: true, longLever: facets.longLever === true, holdS: null, postures: facets.postures ?? {},
  };
}

const longest = (seconds: readonly number[]) => (seconds.length > 0 ? Math.max(...seconds) : null);

/**
 * One side of a block, as an action: what the entry does to which place, in which way, how long, how strongly.
 * Throws a RangeError for an entry or way of working that is not known.
 */
export function blockAction(block: Pick<BlockPlan, 'entryId' | 'methodId' | 'numbers' | 'position'>, side: Side, shelf: Shelf = BUILT_IN): CandidateAction {
  const entry = shelf.entries.get(block.entryId);
  const method = shelf.methods.get(block.methodId);
  if (!entry || !method) throw new RangeError('A block names an entry or a way of working that is not known.');
  const facets = MOTION_FACETS[entry.motionId]!;
  const grade = block.numbers.grade?.[0] ?? null;
  // Pressing and shaking leave the joint where it is, whatever motion shows the effect.
  const moves = entry.still !== true && method.axis === 'motion';
  const techniques = [...new Set([...method.techniques, ...(entry.adds ?? [])])];
  const lengthens = moves && techniques.includes('lengthen');
  return {
    moment: 'work', side, motionId: entry.motionId, movements: moves ? facets.movements : [], regions: entry.regions ?? facets.regions, techniques, position: block.position ?? entry.positions[0], grade,
    endRange: lengthens || (grade !== null && grade >= 3),
    longLever: facets.longLever === true && lengthens,
    holdS: longest(method.numbers.filter((spec) => spec.limitedBy === 'holdS').flatMap((spec) => block.numbers[spec.id] ?? [])),
    postures: moves ? (facets.postures ?? {}) : {},
  };
}
