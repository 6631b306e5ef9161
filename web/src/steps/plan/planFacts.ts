import type { Side } from '@pace-bend/core/body';
import { blockCautions, blocking, cautionsFor, limitedBlock, measuring, overriddenFor, type CautionContext } from '@pace-bend/core/caution';
import { checkBlock, SLOW_BREATH, type BlockPlan, type BreathPace, type Line, type Shelf } from '@pace-bend/core/method';
import type { ResponseFacts } from '@pace-bend/core/cycle';
import { currentReadings, lineOfRun, PAST_BLOCK_DAYS, type EdgeAtStart, type PastReading, type VisitFile } from '@pace-bend/core/record';

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

const DAY_MS = 86_400_000;

/**
 * What says how an athlete's range answers over weeks, from what is at hand at the visit, so also while the server is away: as far back as what was
 * done is known, with what was read today before work.
 */
export function responseOfVisit(file: VisitFile, person: ResponseFacts['person']): ResponseFacts {
  const { id, startsAt } = file.visit;
  const since = Date.parse(startsAt) - PAST_BLOCK_DAYS * DAY_MS;
  const today = currentReadings(file.readings)
    .filter(({ moment }) => moment === 'before')
    .map(({ motionId, side, moment, instrument, examinerId, trials, value }): PastReading => ({
      visitId: id,
      startsAt,
      motionId,
      side,
      moment,
      instrument,
      examinerId,
      trialCount: trials.length,
      value: value!,
    }));
  return {
    person: { birthDate: person.birthDate, referenceSex: person.referenceSex },
    conditions: file.conditions.map(({ region, side, onset, surgeryOn }) => ({ region, side, onset, surgeryOn })),
    past: [...file.past.filter((each) => Date.parse(each.startsAt) >= since), ...today],
    blocks: file.pastBlocks,
  };
}
