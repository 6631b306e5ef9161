import type { Side } from '../body/index.ts';

/** What is known of how much a gain is still there at the next visit. */
export interface KeptFacts {
  /** Days to the next visit, as visits went lately. */
  readonly days: number;
  /** What is there then of each unit of usual gain, where nothing else is known. */
  readonly usual: number;
  /** Motions and sides of which enough is known of this athlete. */
  readonly own: readonly OwnKept[];
}

/** What is there at the next visit of each unit of usual gain; low and high: eight in ten. */
export interface OwnKept {
  readonly motionId: string;
  readonly side: Side;
  /** Visits at which it was worked on. */
  readonly visits: number;
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

/** What is there at the next visit of a gain: shares of it, and what its degrees count for. */
export interface KeptShare {
  readonly days: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
  /** Visits of this athlete behind it; null: as is usual. */
  readonly visits: number | null;
  /** How much a degree gained here counts, against one of which as much is kept as is usual: 1 where nothing else is known. */
  readonly factor: number;
}

/**
 * What is kept of a gain on one side of a motion, to weigh a plan by; null where nobody asked what is kept.
 *
 * A plan is for what is still there next time. Where enough is known of the athlete, rounds with usual gain x leave k·x, by the athlete's own
 * visits over weeks; elsewhere κ·x, by what is usual. In a visit they bring s·x (`responseOf`), which is what readings before and after show,
 * so of a gain k/s is kept, or κ. Everything is divided by κ: where nothing is known a degree counts one, as it did, and what turns and a still
 * end are worth stays in the same degrees. So the best plan is the one of which most is expected to be kept, each motion times its weight.
 * `scale`: s, above zero.
 */
export function keptShare(facts: KeptFacts | null | undefined, motionId: string, side: Side, scale: number): KeptShare | null {
  if (!facts) return null;
  const { days, usual } = facts;
  const own = facts.own.find((each) => each.motionId === motionId && each.side === side);
  if (!own || scale <= 0) return { days, share: usual, low: usual, high: usual, visits: null, factor: 1 };
  return {
    days,
    share: own.mean / scale,
    low: own.low / scale,
    high: own.high / scale,
    visits: own.visits,
    factor: own.mean / scale / usual,
  };
}
