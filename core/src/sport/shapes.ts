import { motionOf, type Side } from '../body/index.ts';
import { isOf, sidesOn } from './demands.ts';
import type { PlayedSport, Shape } from './types.ts';

/** A side difference that the sport itself makes, and needs. */
export interface SportDifference {
  /** The side that is expected to have more range. */
  readonly moreOn: Side;
  /** Up to this much is put down to the sport, in the motion's unit. */
  readonly upTo: number;
  readonly words: string;
  /** What makes it a finding in spite of the sport, or left out. */
  readonly finding?: string;
}

/** Today's value of one side of a motion, or null where it was not read. */
export type ReadValue = (motionId: string, side: 'left' | 'right') => number | null;

const otherSide = (side: 'left' | 'right') => (side === 'left' ? 'right' : 'left');

/**
 * The side difference that an athlete's sports explain for a motion, or null when they explain none.
 *
 * Of a shape `more`, up to its own amount. Of an `arc`, what the arm has gained the other way and the tolerance of the total arc: a loss
 * that a like gain stands against is a turned arc, not a short one. A loss of `findingFrom` and more together with a total arc that is
 * smaller by more than the tolerance is a finding, and the sport explains nothing of it. Without all four readings an arc cannot be
 * judged and explains nothing.
 * Source for the arc: Wilk KE et al. Am J Sports Med 2011;39:329–335, recalled from memory; the rest: common practice.
 */
export function sportDifference(motionId: string, played: readonly PlayedSport[], read: ReadValue): SportDifference | null {
  let most: SportDifference | null = null;
  for (const each of played) {
    if (each.role?.asksNothing) continue;
    for (const shape of each.sport.shapes) {
      if (!isOf(shape.disciplines, each)) continue;
      const [side] = sidesOn(shape.on, each);
      if (!side) continue;
      const found = shape.kind === 'more' ? moreOf(shape, side, motionId) : arcOf(shape, side, motionId, read);
      if (found?.finding) return found;
      if (found && (most === null || found.upTo > most.upTo)) most = found;
    }
  }
  return most;
}

function moreOf(shape: Extract<Shape, { kind: 'more' }>, side: 'left' | 'right', motionId: string): SportDifference | null {
  return shape.motionId === motionId ? { moreOn: side, upTo: shape.upTo, words: shape.words } : null;
}

/** What the turned arc of one arm comes to, in degrees; positive `gained` and `lost` are as the sport turns it. */
export interface TurnedArc {
  readonly gained: number;
  readonly lost: number;
  /** Total arc of the leading arm less the other's. */
  readonly total: number;
  readonly verdict: 'alike' | 'turned' | 'finding' | 'other';
}

/**
 * Compares the arcs of two arms. `turned`: more one way, less the other, by like amounts. `finding`: the loss is large and the total arc
 * smaller. `alike`: neither way differs by more than the tolerance. `other`: none of these.
 * @example turnedArc({ gains: 110, loses: 50 }, { gains: 100, loses: 60 }, { totalWithin: 5, findingFrom: 18 }).verdict // → 'turned'
 */
export function turnedArc(
  leading: { readonly gains: number; readonly loses: number },
  other: { readonly gains: number; readonly loses: number },
  { totalWithin, findingFrom }: { readonly totalWithin: number; readonly findingFrom: number },
): TurnedArc {
  const gained = leading.gains - other.gains;
  const lost = other.loses - leading.loses;
  const total = gained - lost;
  const verdict =
    lost >= findingFrom && total < -totalWithin
      ? 'finding'
      : Math.max(Math.abs(gained), Math.abs(lost)) <= totalWithin
        ? 'alike'
        : Math.abs(total) <= totalWithin && gained > 0 && lost > 0
          ? 'turned'
          : 'other';
  return { gained, lost, total, verdict };
}

function arcOf(shape: Extract<Shape, { kind: 'arc' }>, side: 'left' | 'right', motionId: string, read: ReadValue): SportDifference | null {
  if (motionId !== shape.gains && motionId !== shape.loses) return null;
  const other = otherSide(side);
  const values = [read(shape.gains, side), read(shape.loses, side), read(shape.gains, other), read(shape.loses, other)];
  if (values.some((value) => value === null)) return null;
  const [gains, loses, otherGains, otherLoses] = values as number[];
  const arc = turnedArc({ gains: gains!, loses: loses! }, { gains: otherGains!, loses: otherLoses! }, shape);
  if (arc.verdict === 'finding')
    return {
      moreOn: motionId === shape.gains ? side : other,
      upTo: 0,
      words: shape.words,
      finding: `${Math.round(arc.lost)}° less ${motionOf(shape.loses).name.toLowerCase()} with ${Math.round(-arc.total)}° less arc in all: more than a turned arc`,
    };
  return motionId === shape.gains
    ? { moreOn: side, upTo: Math.max(0, arc.lost) + shape.totalWithin, words: shape.words }
    : { moreOn: other, upTo: Math.max(0, arc.gained) + shape.totalWithin, words: shape.words };
}
