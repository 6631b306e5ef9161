import type { Instrument, Side } from '../body/index.ts';
import { smoothLevel, type Level, type LevelInput } from './localLevel.ts';

/** A reading that stands, as the server holds it. */
export interface FoldReading {
  readonly athleteId: string;
  readonly motionId: string;
  readonly side: Side;
  readonly instrument: Instrument;
  readonly day: number;
  readonly value: number;
}

export interface FoldedTrend {
  readonly athleteId: string;
  readonly motionId: string;
  readonly side: Side;
  readonly readings: readonly LevelInput[];
  readonly level: Level;
}

/**
 * Folds readings before work, in any order, into one smoothed trend for each athlete, motion and side.
 * One pass groups them, each group is sorted by day and smoothed; memory is of the order of the readings.
 */
export function foldTrends(readings: Iterable<FoldReading>, semOf: (motionId: string, instrument: Instrument) => number): FoldedTrend[] {
  const groups = new Map<string, { athleteId: string; motionId: string; side: Side; inputs: LevelInput[] }>();
  for (const { athleteId, motionId, side, instrument, day, value } of readings) {
    const key = `${athleteId}/${motionId}/${side}`;
    let group = groups.get(key);
    if (!group) groups.set(key, (group = { athleteId, motionId, side, inputs: [] }));
    group.inputs.push({ day, value, sem: semOf(motionId, instrument) });
  }
  return [...groups.values()].map(({ athleteId, motionId, side, inputs }) => {
    inputs.sort((a, b) => a.day - b.day);
    return { athleteId, motionId, side, readings: inputs, level: smoothLevel(inputs) };
  });
}
