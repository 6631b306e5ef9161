import { keptGain, smoothLevel, type Kept, type Level, type LevelInput } from '@pace-bend/core/trend';
import { classifyChange, errorOf, mdc95, NOTHING_KNOWN, referenceBands, type ErrorKnowledge, type ReferenceBand } from '@pace-bend/core/measure';
import type { Motion, PersonFacts, Side } from '@pace-bend/core/body';
import type { PastReading } from '@pace-bend/core/record';

export interface VisitPoint {
  readonly visitId: string;
  readonly at: number;
  readonly before: number | null;
  readonly after: number | null;
}

/** One side of one motion over the visits, with everything the chart draws around it. */
export interface SideSeries {
  readonly side: Side;
  readonly points: readonly VisitPoint[];
  readonly baseline: number;
  /** How far from the baseline a value must lie to be a real change. */
  readonly mdc: number;
  readonly bands: readonly ReferenceBand[];
  /** The latest value before work against the baseline, in words. */
  readonly verdict: string;
  /** Readings before work with their error, oldest first, and the level behind them. */
  readonly readings: readonly LevelInput[];
  readonly level: Level;
  /** What was gained at visits and what of it was still there at the next. */
  readonly kept: Kept;
}

const DAY_MS = 86_400_000;

/** The series of one motion's sides; sides that were never measured before work are left out. */
export function seriesOf(motion: Motion, past: readonly PastReading[], person: PersonFacts, today: string, errors: ErrorKnowledge = NOTHING_KNOWN): SideSeries[] {
  return motion.sides.flatMap((side): SideSeries[] => {
    const readings = past.filter((reading) => reading.motionId === motion.id && reading.side === side);
    const first = readings.find((reading) => reading.moment === 'before');
    if (!first) return [];
    const points = new Map<string, VisitPoint>();
    for (const reading of readings) {
      const point = points.get(reading.visitId) ?? { visitId: reading.visitId, at: Date.parse(reading.startsAt), before: null, after: null };
      points.set(reading.visitId, { ...point, [reading.moment]: reading.value });
    }
    const latest = readings.findLast((reading) => reading.moment === 'before')!;
    const semOf = (reading: PastReading) => errorOf(motion, reading, errors).sem;
    const ordered = [...points.values()].sort((a, b) => a.at - b.at);
    const inputs = readings.filter((reading) => reading.moment === 'before').map((reading): LevelInput => ({ day: Date.parse(reading.startsAt) / DAY_MS, value: reading.value, sem: semOf(reading) }));
    const change = classifyChange({ value: first.value, sem: semOf(first) }, { value: latest.value, sem: semOf(latest) }, motion);
    return [{
      side,
      points: ordered,
      baseline: first.value,
      mdc: mdc95(semOf(first), semOf(latest)),
      bands: referenceBands(motion.id, person, today),
      verdict: latest === first ? 'One visit so far: this is the baseline' : change.words,
      readings: inputs,
      level: smoothLevel(inputs),
      kept: keptGain(ordered.map(({ at, before, after }) => ({ day: at / DAY_MS, before, after })), motion, mdc95(semOf(latest))),
    }];
  });
}
