import { keptGain, smoothLevel, type Kept, type Level, type LevelInput } from '@pace-bend/core/trend';
import {
  between,
  cannotTell,
  classifyChange,
  detectable,
  errorOf,
  mdc95,
  NOTHING_KNOWN,
  referenceBands,
  type ErrorKnowledge,
  type ReferenceBand,
} from '@pace-bend/core/measure';
import type { Motion, PersonFacts, Side } from '@pace-bend/core/body';
import type { PastReading } from '@pace-bend/core/record';
import { t } from '../words/parts.ts';

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
export function seriesOf(
  motion: Motion,
  past: readonly PastReading[],
  person: PersonFacts,
  today: string,
  errors: ErrorKnowledge = NOTHING_KNOWN,
): SideSeries[] {
  return motion.sides.flatMap((side): SideSeries[] => {
    const readings = past.filter((reading) => reading.motionId === motion.id && reading.side === side);
    const first = readings.find((reading) => reading.moment === 'before');
    if (!first) return [];
    const points = new Map<string, VisitPoint>();
    for (const reading of readings) {
      const point = points.get(reading.visitId) ?? {
        visitId: reading.visitId,
        at: Date.parse(reading.startsAt),
        before: null,
        after: null,
      };
      points.set(reading.visitId, { ...point, [reading.moment]: reading.value });
    }
    const latest = readings.findLast((reading) => reading.moment === 'before')!;
    const over = (reading: PastReading) => errorOf(motion, reading, errors, 'between');
    const semOf = (reading: PastReading) => over(reading).sem;
    /** A reading as it would stand beside the latest; null where nobody knows the difference of the two instruments or examiners. */
    const beside = (reading: PastReading) => {
      const way = between(motion, reading, latest, errors);
      return way.kind === 'cannot-tell'
        ? null
        : {
            value: reading.value + (way.kind === 'shifted' ? way.correction : 0),
            sem: Math.hypot(semOf(reading), way.kind === 'shifted' ? way.error : 0),
          };
    };
    const ordered = [...points.values()].sort((a, b) => a.at - b.at);
    // What cannot be compared with the latest reading says nothing of the level behind it.
    const inputs = readings
      .filter((reading) => reading.moment === 'before')
      .flatMap((reading): LevelInput[] => {
        const here = beside(reading);
        return here ? [{ day: Date.parse(reading.startsAt) / DAY_MS, ...here }] : [];
      });
    const now = { value: latest.value, ...over(latest) };
    const then = beside(first);
    const change = then
      ? classifyChange({ ...over(first), ...then }, now, motion)
      : cannotTell({ value: first.value, ...over(first) }, now, motion, t('anotherInstrumentExaminer'));
    return [
      {
        side,
        points: ordered,
        baseline: first.value,
        mdc: detectable(over(first), over(latest)),
        bands: referenceBands(motion.id, person, today),
        verdict: latest === first ? t('oneVisitFarBaseline') : change.words,
        readings: inputs,
        level: smoothLevel(inputs),
        kept: keptGain(
          ordered.map(({ at, before, after }) => ({ day: at / DAY_MS, before, after })),
          motion,
          mdc95(errorOf(motion, latest, errors, 'within').sem),
        ),
      },
    ];
  });
}
