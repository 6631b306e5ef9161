import { MOTIONS, type Instrument, type Motion, type Side } from '../body/index.ts';
import { sportDifference, type SportingPerson } from '../sport/index.ts';
import {
  between,
  cannotTell,
  classifyChange,
  classifyReference,
  compareSides,
  errorOf,
  instrumentChange,
  NOTHING_KNOWN,
  rankStiffness,
  referenceBands,
  sidesCannotTell,
  type ChangeVerdict,
  type ErrorFor,
  type ErrorKnowledge,
  type InstrumentChange,
  type ReadBy,
  type Stiffness,
  type ErrorOfMeasurement,
  type Measured,
  type ReferenceBand,
  type ReferenceVerdict,
  type SideVerdict,
  type Uncertain,
} from '../measure/index.ts';
import type { Moment, PastReading } from './visit.ts';

/** One value read today; enough of a reading to compare it, so that trials still being typed can be compared too. */
export interface ValueToday {
  readonly motionId: string;
  readonly side: Side;
  readonly moment: Moment;
  readonly instrument: Instrument;
  readonly examinerId: string | null;
  /** How many trials it is the mean of; the usual three where it is not said. */
  readonly trialCount?: number;
  readonly value: number;
}

export interface SideComparison {
  readonly side: Side;
  readonly before: ValueToday | null;
  readonly after: ValueToday | null;
  /** The value the question is about: that of the moment asked for. */
  readonly now: ValueToday | null;
  /** Of the value against one of the same sitting, and against one of another day. */
  readonly error: ErrorOfMeasurement | null;
  readonly errorOverDays: ErrorOfMeasurement | null;
  /** First value ever read before work. */
  readonly baseline: PastReading | null;
  /** Value before work at the latest earlier visit that has one. */
  readonly last: PastReading | null;
  readonly sinceBaseline: ChangeVerdict | null;
  readonly sinceLast: ChangeVerdict | null;
  /** Where the value compared with was read with another instrument than today's. */
  readonly otherInstrument: {
    readonly baseline: InstrumentChange | null;
    readonly last: InstrumentChange | null;
    readonly before: InstrumentChange | null;
  };
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
  readonly person: SportingPerson;
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
export function compareMotion(
  motion: Motion,
  moment: Moment,
  { person, onDay, today, past, errors = NOTHING_KNOWN }: ComparisonContext,
): MotionComparison {
  const measured = (read: Read, question: ErrorFor): Measured => {
    const { sem, df, own } = errorOf(motion, read, errors, question);
    return { value: read.value, sem, df, own };
  };
  /** The earlier value as it would stand beside the later one, or why it cannot. */
  const beside = (from: Read, to: Read, question: ErrorFor): Measured | string => {
    const way = between(motion, from, to, errors);
    const plain = measured(from, question);
    if (way.kind === 'cannot-tell') return way.because;
    return way.kind === 'alike'
      ? plain
      : { ...plain, value: plain.value + way.correction, ...together(plain, { sem: way.error, df: way.df }) };
  };
  const bands = referenceBands(motion.id, person, onDay);
  const find = (side: Side, at: Moment) =>
    today.find((value) => value.motionId === motion.id && value.side === side && value.moment === at) ?? null;
  const measuredSides = motion.sides.map((side): Omit<SideComparison, 'short'> => {
    const earlier = past.filter((reading) => reading.motionId === motion.id && reading.side === side && reading.moment === 'before');
    const [before, after, baseline, last] = [find(side, 'before'), find(side, 'after'), earlier[0] ?? null, earlier.at(-1) ?? null];
    const now = moment === 'before' ? before : after;
    const swapped = (from: Read | null) => (from && now ? instrumentChange(motion.id, from.instrument, now.instrument, errors) : null);
    const change = (from: Read | null, to: ValueToday | null, question: ErrorFor) => {
      if (!from || !to) return null;
      const earlier = beside(from, to, question);
      return typeof earlier === 'string'
        ? cannotTell(measured(from, question), measured(to, question), motion, earlier)
        : classifyChange(earlier, measured(to, question), motion);
    };
    return {
      side,
      before,
      after,
      now,
      baseline,
      last,
      error: now ? errorOf(motion, now, errors, 'within') : null,
      errorOverDays: now ? errorOf(motion, now, errors, 'between') : null,
      otherInstrument: { baseline: swapped(baseline), last: swapped(last), before: moment === 'after' ? swapped(before) : null },
      sinceBaseline: change(baseline, now, 'between'),
      sinceLast: change(last, now, 'between'),
      gained: change(before, after, 'within'),
      reference: now ? classifyReference(measured(now, 'between'), bands, motion) : null,
    };
  });
  const [left, right] = [measuredSides.find((each) => each.side === 'left')?.now, measuredSides.find((each) => each.side === 'right')?.now];
  const sideVerdict = left && right ? sidesOf(left, right) : null;
  const stiffer = sideVerdict?.kind === 'real' ? sideVerdict.stiffer : null;
  const sides = measuredSides.map((each) => ({ ...each, short: each.reference?.kind === 'below' || each.side === stiffer }));
  return { motion, bands, sides, sideVerdict };

  /** The arc of an arm is judged by both ways it turns: all of today's values are looked at. */
  function valueOf(motionId: string, side: 'left' | 'right') {
    return today.find((value) => value.motionId === motionId && value.side === side && value.moment === moment)?.value ?? null;
  }

  function sidesOf(one: Read, other: Read) {
    const [first, second] = [beside(one, other, 'within'), measured(other, 'within')];
    return typeof first === 'string'
      ? sidesCannotTell(measured(one, 'within'), second, motion, first)
      : compareSides(first, second, motion, sportDifference(motion.id, person.sports, valueOf));
  }
}

/** Two independent parts of one value's error, as one. */
function together(a: Uncertain, b: Uncertain): { readonly sem: number; readonly df: number } {
  const [va, vb] = [a.sem ** 2, b.sem ** 2];
  const spread = va ** 2 / (a.df ?? Number.POSITIVE_INFINITY) + vb ** 2 / (b.df ?? Number.POSITIVE_INFINITY);
  return { sem: Math.sqrt(va + vb), df: spread > 0 ? (va + vb) ** 2 / spread : Number.POSITIVE_INFINITY };
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
  const comparisons = new Map(
    MOTIONS.filter((motion) => read.has(motion.id)).map((motion) => [motion.id, compareMotion(motion, 'before', context)]),
  );
  const ranked = rankStiffness(
    [...comparisons.values()].flatMap(({ motion, sides, sideVerdict }) =>
      sides.flatMap((each) =>
        each.now && each.error ? [{ motion, side: each.side, sem: each.error.sem, reference: each.reference, sides: sideVerdict }] : [],
      ),
    ),
  );
  const seen = new Set<string>();
  return ranked.flatMap((stiffness) => {
    if (seen.has(stiffness.motion.id)) return [];
    seen.add(stiffness.motion.id);
    return [{ comparison: comparisons.get(stiffness.motion.id)!, stiffness }];
  });
}

/** A value with how it was read. */
type Read = ReadBy & { readonly value: number };
