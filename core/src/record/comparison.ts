import { MOTIONS, sportDifference, type Instrument, type Motion, type PersonFacts, type RowingSide, type Side } from '../body/index.ts';
import {
  classifyChange, classifyReference, compareSides, errorOf, instrumentChange, NOTHING_KNOWN, rankStiffness, referenceBands,
  type ChangeVerdict, type ErrorKnowledge, type InstrumentChange, type ReadBy, type Stiffness, type ErrorOfMeasurement, type Measured, type ReferenceBand, type ReferenceVerdict, type SideVerdict,
} from '../measure/index.ts';
import type { Moment, PastReading } from './visit.ts';

/** One value read today; enough of a reading to compare it, so that trials still being typed can be compared too. */
export interface ValueToday {
  readonly motionId: string;
  readonly side: Side;
  readonly moment: Moment;
  readonly instrument: Instrument;
  readonly examinerId: string | null;
  readonly value: number;
}

export interface SideComparison {
  readonly side: Side;
  readonly before: ValueToday | null;
  readonly after: ValueToday | null;
  /** The value the question is about: that of the moment asked for. */
  readonly now: ValueToday | null;
  readonly error: ErrorOfMeasurement | null;
  /** First value ever read before work. */
  readonly baseline: PastReading | null;
  /** Value before work at the latest earlier visit that has one. */
  readonly last: PastReading | null;
  readonly sinceBaseline: ChangeVerdict | null;
  readonly sinceLast: ChangeVerdict | null;
  /** Where the value compared with was read with another instrument than today's. */
  readonly otherInstrument: { readonly baseline: InstrumentChange | null; readonly last: InstrumentChange | null; readonly before: InstrumentChange | null };
  /** After against before, today. */
  readonly gained: ChangeVerdict | null;
  readonly reference: ReferenceVerdict | null;
  /** Needs care: below the reference, or the stiffer side of a real difference. */
  readonly short: boolean;
}

export interface MotionComparison {
  readonly motion: Motion;
  readonly bands: readonly ReferenceBand[];
  readonly sides: readonly SideComparison[];
  readonly sideVerdict: SideVerdict | null;
}

export interface ComparisonContext {
  readonly person: PersonFacts & { readonly rowing: RowingSide };
  /** Day of the visit, for age and reference. */
  readonly onDay: string;
  readonly today: readonly ValueToday[];
  /** Readings of earlier visits, oldest first. */
  readonly past: readonly PastReading[];
  /** The practice's own errors; left out, the defaults hold. */
  readonly errors?: ErrorKnowledge;
}

/**
 * Everything the screen says about one motion at one moment of a visit: side against side, today against the
 * last visit and the baseline, after against before, and against the reference. Like is compared with like:
 * values before work with values before work. Each value carries the error of whoever
 * read it with the instrument it was read with. Where instruments differ that is flagged, and when the practice has compared
 * the two and wants it, the earlier value is shifted first and carries the error of the shift too.
 */
export function compareMotion(motion: Motion, moment: Moment, { person, onDay, today, past, errors = NOTHING_KNOWN }: ComparisonContext): MotionComparison {
  const measured = (read: Read): Measured => ({ value: read.value, sem: errorOf(motion, read, errors).sem });
  const bands = referenceBands(motion.id, person, onDay);
  const find = (side: Side, at: Moment) => today.find((value) => value.motionId === motion.id && value.side === side && value.moment === at) ?? null;
  const measuredSides = motion.sides.map((side): Omit<SideComparison, 'short'> => {
    const earlier = past.filter((reading) => reading.motionId === motion.id && reading.side === side && reading.moment === 'before');
    const [before, after, baseline, last] = [find(side, 'before'), find(side, 'after'), earlier[0] ?? null, earlier.at(-1) ?? null];
    const now = moment === 'before' ? before : after;
    const swapped = (from: Read | null) => (from && now ? instrumentChange(motion.id, from.instrument, now.instrument, errors) : null);
    const change = (from: Read | null, to: ValueToday | null) => {
      if (!from || !to) return null;
      const swap = instrumentChange(motion.id, from.instrument, to.instrument, errors);
      const { value, sem } = measured(from);
      const earlier = swap?.used && swap.correction !== null ? { value: value + swap.correction, sem: Math.hypot(sem, swap.correctionError) } : { value, sem };
      return classifyChange(earlier, measured(to), motion);
    };
    return {
      side, before, after, now, baseline, last,
      error: now ? errorOf(motion, now, errors) : null,
      otherInstrument: { baseline: swapped(baseline), last: swapped(last), before: moment === 'after' ? swapped(before) : null },
      sinceBaseline: change(baseline, now),
      sinceLast: change(last, now),
      gained: change(before, after),
      reference: now ? classifyReference(measured(now), bands, motion) : null,
    };
  });
  const [left, right] = [measuredSides.find((each) => each.side === 'left')?.now, measuredSides.find((each) => each.side === 'right')?.now];
  const sideVerdict = left && right ? compareSides(measured(left), measured(right), motion, sportDifference(motion.id, person.rowing)) : null;
  const stiffer = sideVerdict?.kind === 'real' ? sideVerdict.stiffer : null;
  const sides = measuredSides.map((each) => ({ ...each, short: each.reference?.kind === 'below' || each.side === stiffer }));
  return { motion, bands, sides, sideVerdict };
}

/** The stiffest motion and side of a set of values, with its comparison. */
export interface Stiffest {
  readonly comparison: MotionComparison;
  readonly stiffness: Stiffness;
}

/**
 * The values' motions from the stiffest to the freest, each motion once, with the side that is stiffer first.
 * Only values before work count.
 */
export function stiffestFirst(context: ComparisonContext): Stiffest[] {
  const read = new Set(context.today.map((value) => value.motionId));
  const comparisons = new Map(MOTIONS.filter((motion) => read.has(motion.id)).map((motion) => [motion.id, compareMotion(motion, 'before', context)]));
  const ranked = rankStiffness([...comparisons.values()].flatMap(({ motion, sides, sideVerdict }) =>
    sides.flatMap((each) => (each.now && each.error ? [{ motion, side: each.side, sem: each.error.sem, reference: each.reference, sides: sideVerdict }] : []))));
  const seen = new Set<string>();
  return ranked.flatMap((stiffness) => {
    if (seen.has(stiffness.motion.id)) return [];
    seen.add(stiffness.motion.id);
    return [{ comparison: comparisons.get(stiffness.motion.id)!, stiffness }];
  });
}

/** A value with how it was read. */
type Read = ReadBy & { readonly value: number };
