import { motionOf, type Side } from '../body/index.ts';
import type { PastBlock } from '../record/index.ts';
import { toward, type ResponseFacts } from './occasions.ts';

/** One of the two ways that are compared. */
export type Which = 'a' | 'b';

/** What is decided when a comparison of two ways is planned. */
export interface ComparisonFields {
  readonly motionId: string;
  readonly side: Side;
  readonly entryId: string;
  /** Ways of working; the first is called a. */
  readonly ways: readonly [string, string];
  /** Pairs of visits. */
  readonly pairs: number;
}

/** A comparison as it stands. The order was drawn when it was planned; of it only what was done, and the next, is shown. */
export interface Comparison extends ComparisonFields {
  readonly id: string;
  readonly startedOn: string;
  /** The day it was ended before its last visit, or null. */
  readonly endedOn: string | null;
  readonly order: readonly Which[];
  readonly revision: number;
}

/** Pairs of a comparison: with fewer than five no outcome could reach 90 in 100 (two of sixteen orders are as far out as any can be). */
export const PAIRS = { min: 5, max: 10, usual: 6 } as const;
/** An order this rare or rarer among all that could have been drawn is called enough to say. */
export const RARE = 0.1;

/**
 * The order of a comparison: in each pair both ways, which comes first by a coin. Drawn once, beforehand, so that neither the athlete's day nor the
 * therapist's expectation decides who gets which.
 */
export function drawOrder(pairs: number, coin: () => boolean): Which[] {
  return Array.from({ length: pairs }, (): Which[] => (coin() ? ['a', 'b'] : ['b', 'a'])).flat();
}

/** Outcome of an exact randomisation test of paired differences. */
export interface ExactPairs {
  readonly mean: number;
  /** Orders that could have been drawn. */
  readonly orders: number;
  /** How many of them give a sum at least as far from nothing as the one that was seen, and how many one as great or greater. */
  readonly asFar: number;
  readonly asGreat: number;
  /** Within which the difference lies with at least 90 in 100, or null where no such bounds exist. */
  readonly interval: { readonly low: number; readonly high: number; readonly level: number } | null;
}

const MOST_PAIRS = 20;
/** Sums that differ by less are the same: differences are sums of readings. */
const SAME = 1e-9;

/**
 * The exact randomisation test of paired differences (Fisher 1935, The Design of Experiments, §21, recalled from memory). Where the two ways do the
 * same, a pair's difference would have had the other sign with the other order; so every order that could have been drawn gives a known sum, and the
 * share of those as far out as the one that was drawn is exact, whatever the readings' distribution. All of them are gone through (by Gray's code:
 * one sign changes from each to the next).
 *
 * The interval turns the test round: taking k-th smallest and k-th largest of the means of all parts of the pairs, the true difference lies
 * between with 1 − 2k/2ⁿ (Hartigan 1969, typical values, recalled from memory); exact for differences that are symmetric about it.
 * Throws a RangeError without pairs, or with more than twenty.
 */
export function exactPairs(differences: readonly number[]): ExactPairs {
  const n = differences.length;
  if (n < 1 || n > MOST_PAIRS) throw new RangeError(`One to ${MOST_PAIRS} pairs are compared.`);
  const orders = 2 ** n;
  const seen = differences.reduce((sum, each) => sum + each, 0);
  const same = SAME * Math.max(1, ...differences.map(Math.abs));
  const signs = differences.map(() => 1);
  let sum = seen;
  let [asFar, asGreat] = [0, 0];
  for (let order = 1; ; order++) {
    if (Math.abs(sum) >= Math.abs(seen) - same) asFar += 1;
    if (sum >= seen - same) asGreat += 1;
    if (order === orders) break;
    const flip = 31 - Math.clz32(order & -order);
    sum -= 2 * signs[flip]! * differences[flip]!;
    signs[flip]! *= -1;
  }
  return { mean: seen / n, orders, asFar, asGreat, interval: typicalBounds(differences) };
}

function typicalBounds(differences: readonly number[]): ExactPairs['interval'] {
  const n = differences.length;
  const k = Math.floor((RARE / 2) * 2 ** n);
  if (k < 1 || n > PAIRS.max) return null;
  const means: number[] = [];
  for (let part = 1; part < 2 ** n; part++) {
    let [sum, count] = [0, 0];
    for (let i = 0; i < n; i++)
      if ((part >> i) & 1) {
        sum += differences[i]!;
        count += 1;
      }
    means.push(sum / count);
  }
  means.sort((a, b) => a - b);
  return { low: means[k - 1]!, high: means[means.length - k]!, level: 1 - (2 * k) / 2 ** n };
}

/** A visit of a comparison: which way was done. */
export interface ComparisonVisit {
  readonly visitId: string;
  readonly startsAt: string;
  readonly did: Which | 'both';
}

/** The visits that count as a comparison's, oldest first: those from its day on at which one of its ways was done with its entry on its side. */
export function comparisonVisits(
  { startedOn, entryId, ways, motionId, side }: Pick<Comparison, 'startedOn' | 'entryId' | 'ways' | 'motionId' | 'side'>,
  blocks: readonly PastBlock[],
  dayOf: (instant: string) => string,
): ComparisonVisit[] {
  const found = new Map<string, { startsAt: string; did: Set<Which> }>();
  for (const block of blocks) {
    if (block.entryId !== entryId || block.motionId !== motionId || dayOf(block.startsAt) < startedOn) continue;
    if (!block.sides.some((each) => each.side === side && each.rounds > 0)) continue;
    const at = ways.indexOf(block.methodId);
    if (at < 0) continue;
    const visit = found.get(block.visitId) ?? { startsAt: block.startsAt, did: new Set<Which>() };
    visit.did.add(at === 0 ? 'a' : 'b');
    found.set(block.visitId, visit);
  }
  return [...found]
    .map(([visitId, { startsAt, did }]): ComparisonVisit => ({ visitId, startsAt, did: did.size > 1 ? 'both' : [...did][0]! }))
    .sort((a, b) => (a.startsAt < b.startsAt ? -1 : 1));
}

/** One visit of a comparison with what was kept of it. */
export interface ComparedVisit extends ComparisonVisit {
  readonly planned: Which;
  /** What the motion stood at before the next visit, less before this one, toward more range; null while it is not known. */
  readonly kept: number | null;
}

export interface ComparisonResult {
  readonly visits: readonly ComparedVisit[];
  /** Pairs done as they were drawn and read, with what a left more than b. */
  readonly differences: readonly number[];
  /** Pairs that do not count because something else was done than was drawn. */
  readonly otherwise: number;
  readonly test: ExactPairs | null;
}

/**
 * How a comparison stands: what each visit left, pair by pair, and the exact test of the pairs that are complete. What a visit left is read before
 * the next visit at which the motion was read. Limits: a way whose effect comes late, or lasts on into the other one's visits, makes the two look
 * more alike than they are; pairs lie close so that season and training are much the same for both.
 */
export function comparisonResult(
  comparison: Pick<Comparison, 'startedOn' | 'entryId' | 'ways' | 'order' | 'motionId' | 'side'>,
  { past, blocks }: Pick<ResponseFacts, 'past' | 'blocks'>,
  dayOf: (instant: string) => string,
): ComparisonResult {
  const { motionId, side, order } = comparison;
  const before = past.filter((each) => each.motionId === motionId && each.side === side && each.moment === 'before');
  const visits = comparisonVisits(comparison, blocks, dayOf)
    .slice(0, order.length)
    .map((visit, i): ComparedVisit => {
      const own = before.find((each) => each.visitId === visit.visitId);
      const next = before.filter((each) => each.startsAt > visit.startsAt).sort((a, b) => (a.startsAt < b.startsAt ? -1 : 1))[0];
      return { ...visit, planned: order[i]!, kept: own && next ? (next.value - own.value) * toward(motionOf(motionId)) : null };
    });
  const differences: number[] = [];
  let otherwise = 0;
  for (let i = 0; i + 1 < visits.length; i += 2) {
    const pair = visits.slice(i, i + 2);
    if (pair.some(({ did, planned }) => did !== planned)) otherwise += 1;
    else if (pair.every(({ kept }) => kept !== null)) {
      const of = (which: Which) => pair.find(({ planned }) => planned === which)!.kept!;
      differences.push(of('a') - of('b'));
    }
  }
  return { visits, differences, otherwise, test: differences.length > 0 ? exactPairs(differences) : null };
}

/** Whether a comparison says which way leaves more: rare enough among all orders that could have been drawn. */
export const saysWhich = (test: ExactPairs | null): boolean => test !== null && test.asFar / test.orders <= RARE;
