import type { Side } from '@pace-bend/core/body';
import { blockCautions, blocking, cautionsFor, limitedBlock, measuring, overriddenFor, type CautionContext } from '@pace-bend/core/caution';
import { checkBlock, SLOW_BREATH, type BlockPlan, type BreathPace, type Line, type Shelf } from '@pace-bend/core/method';
import { currentReadings, lineOfRun, type EdgeAtStart, type VisitFile } from '@pace-bend/core/record';

/** Today's edges: what was read before work. */
export function edgesOf(file: VisitFile): EdgeAtStart[] {
  return currentReadings(file.readings)
    .filter((reading) => reading.moment === 'before')
    .map(({ motionId, side, value }) => ({ motionId, side, value: value! }));
}

/** Whether a motion was read on a side, by the edges of today. */
export const measuredIn =
  (edges: readonly EdgeAtStart[]) =>
  (motionId: string, side: Side): boolean =>
    edges.some((edge) => edge.motionId === motionId && edge.side === side);

/** Whether cautions let a motion be measured on a side. */
export const mayMeasureIn =
  (file: VisitFile, context: CautionContext) =>
  (motionId: string, side: Side): boolean =>
    blocking(cautionsFor(context, measuring(motionId, side)), overriddenFor(file.overrides, motionId, side)).length === 0;

export function breathOf(file: VisitFile): BreathPace {
  return { ...SLOW_BREATH, periodMs: file.athlete.breathPeriodMs };
}

/** The line of a plan, or null while a number in it is not sound. */
export function lineOf(blocks: readonly BlockPlan[], breath: BreathPace, edges: readonly EdgeAtStart[], shelf: Shelf): Line | null {
  if (blocks.some((block) => checkBlock(block, shelf).length > 0)) return null;
  return lineOfRun({ blocks, breath, edges }, shelf);
}

/** Whether cautions forbid a block as things stand, on any of its sides. */
export function isForbidden(file: VisitFile, context: Parameters<typeof limitedBlock>[1], block: BlockPlan, shelf: Shelf): boolean {
  return blockCautions(block, context, file.overrides, shelf).some((side) => side.blocking.length > 0);
}
