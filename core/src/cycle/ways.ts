import { motionOf, type Side } from '../body/index.ts';
import { normals } from '../forecast/index.ts';
import { errorOf, type ErrorKnowledge } from '../measure/index.ts';
import { BUILT_IN, type Shelf } from '../method/index.ts';
import { seeded } from '../random/index.ts';
import { BETWEEN_ATHLETES, BETWEEN_SESSIONS, usualGainDone } from '../session/index.ts';
import { toward, type ResponseFacts } from './occasions.ts';

/** How much ways differ from one another in the same athlete, as a share of what is usual. Common practice: less than athletes differ. */
export const BETWEEN_WAYS = 0.25;
/** From this probability on it is said which way gives most. */
export const SURE_OF_WAY = 0.9;
/** And only where the two ahead were each done so often: what is usual of ways is an order of magnitude, and must not decide by itself. Common practice. */
export const LEAST_WAY_VISITS = 3;
/** Draws behind the probabilities: they are good to half a point in a hundred. */
const DRAWS = 20_000;

/** One way of working on one motion and side, and what it has brought this athlete. */
export interface WayAnswer {
  readonly methodId: string;
  /** The way it was made from, where it is an own one. */
  readonly madeFrom: string | null;
  /** Visits at which the motion was worked in this way alone and read before and after. */
  readonly visits: number;
  /** What a visit in it is expected to bring, as it was done here, in the motion's unit toward more range; eight in ten lie between low and high. */
  readonly brings: { readonly middle: number; readonly low: number; readonly high: number };
  /** How likely it is that no other of these ways brings more. */
  readonly best: number;
}

/** A visit as the comparison of ways sees it. */
export interface WayVisit {
  readonly way: number;
  /** Usual gain of what was done, gained, and the variance of what was read. */
  readonly usual: number;
  readonly gained: number;
  readonly variance: number;
}

const Z80 = 1.2816;

/**
 * How strongly each way works in an athlete, against what is usual: mean and covariance, by Bayes' rule.
 *
 * The model. A visit in way w with usual gain x brings t_w·x, read with the error of two readings and a spread of a third of x from visit to
 * visit. The strengths t_w are normal about 1: a part that is the athlete's own and common to all ways (deviation one half), and a part of
 * each way by itself (a quarter). So a way that was hardly tried is expected to be like the others, and two ways differ only where the
 * readings of both say so. Everything is linear and normal, so each visit is one exact update of mean and covariance.
 */
export function wayStrengths(ways: number, visits: readonly WayVisit[]): { readonly mean: number[]; readonly covariance: number[][] } {
  const mean = Array.from({ length: ways }, () => 1);
  const covariance = Array.from({ length: ways }, (_, i) =>
    Array.from({ length: ways }, (__, j) => BETWEEN_ATHLETES ** 2 + (i === j ? BETWEEN_WAYS ** 2 : 0)),
  );
  for (const { way, usual, gained, variance } of visits) {
    const column = covariance.map((row) => row[way]! * usual);
    const spread = column[way]! * usual + variance;
    const off = gained - mean[way]! * usual;
    for (let i = 0; i < ways; i++) mean[i]! += (column[i]! / spread) * off;
    for (let i = 0; i < ways; i++) for (let j = 0; j < ways; j++) covariance[i]![j]! -= (column[i]! * column[j]!) / spread;
  }
  return { mean, covariance };
}

/** The lower triangle L of a covariance, L·Lᵀ; what rounding took below nothing counts as nothing. */
function triangle(covariance: readonly (readonly number[])[]): number[][] {
  const out = covariance.map((row) => row.map(() => 0));
  for (let i = 0; i < out.length; i++)
    for (let j = 0; j <= i; j++) {
      let sum = covariance[i]![j]!;
      for (let k = 0; k < j; k++) sum -= out[i]![k]! * out[j]![k]!;
      out[i]![j] = i === j ? Math.sqrt(Math.max(0, sum)) : out[j]![j]! > 0 ? sum / out[j]![j]! : 0;
    }
  return out;
}

/** How likely each of some values, normal with a mean and a covariance, is the largest: the share of seeded draws. */
export function chancesOfMost(mean: readonly number[], covariance: readonly (readonly number[])[], seed: number, draws = DRAWS): number[] {
  const normal = normals(seeded(seed));
  const lower = triangle(covariance);
  const wins = mean.map(() => 0);
  for (let n = 0; n < draws; n++) {
    const drawn = mean.map(() => normal());
    let best = 0;
    let most = -Infinity;
    for (let i = 0; i < mean.length; i++) {
      let value = mean[i]!;
      for (let k = 0; k <= i; k++) value += lower[i]![k]! * drawn[k]!;
      if (value > most) [most, best] = [value, i];
    }
    wins[best]! += 1;
  }
  return wins.map((won) => won / draws);
}

/** Whether there is enough to say which way gives most: it is likely enough, and both ways ahead were done often enough. */
export const isSureOfWay = ([first, second]: readonly WayAnswer[]): boolean =>
  first !== undefined && second !== undefined && first.best >= SURE_OF_WAY && Math.min(first.visits, second.visits) >= LEAST_WAY_VISITS;

/**
 * Which ways of working have brought an athlete's motion and side how much, most first. Only visits count at which it was worked in one way alone
 * and read before and after by the same instrument and examiner. What is kept of a gain is taken to be the same share in every way, so the way that
 * brings most is the one of which most is kept.
 */
export function waysOfMotion(
  motionId: string,
  side: Side,
  facts: Pick<ResponseFacts, 'past' | 'blocks'>,
  errors: ErrorKnowledge,
  { shelf = BUILT_IN, seed = 1 }: { readonly shelf?: Shelf; readonly seed?: number } = {},
): WayAnswer[] {
  const motion = motionOf(motionId);
  const ways: { readonly methodId: string; readonly madeFrom: string | null }[] = [];
  const visits: WayVisit[] = [];
  for (const visitId of new Set(facts.blocks.filter((block) => block.motionId === motionId).map((block) => block.visitId))) {
    const done = facts.blocks.filter(
      (block) => block.visitId === visitId && block.motionId === motionId && block.sides.some((each) => each.side === side),
    );
    const [only, ...others] = new Set(done.map((block) => block.methodId));
    const usual = usualGainDone(motion, done, side, shelf);
    const of = (moment: 'before' | 'after') =>
      facts.past.find((each) => each.visitId === visitId && each.motionId === motionId && each.side === side && each.moment === moment);
    const [before, after] = [of('before'), of('after')];
    if (only === undefined || others.length > 0 || usual <= 0 || !before || !after) continue;
    if (before.instrument !== after.instrument || before.examinerId !== after.examinerId) continue;
    let way = ways.findIndex(({ methodId }) => methodId === only);
    if (way === -1) way = ways.push({ methodId: only, madeFrom: done[0]!.madeFrom ?? null }) - 1;
    visits.push({
      way,
      usual,
      gained: (after.value - before.value) * toward(motion),
      variance:
        errorOf(motion, before, errors, 'within').sem ** 2 +
        errorOf(motion, after, errors, 'within').sem ** 2 +
        (BETWEEN_SESSIONS * usual) ** 2,
    });
  }
  if (ways.length === 0) return [];
  const { mean, covariance } = wayStrengths(ways.length, visits);
  // As it was done: each way at the mean of its own visits.
  const usual = ways.map((_, way) => {
    const own = visits.filter((visit) => visit.way === way);
    return own.reduce((sum, visit) => sum + visit.usual, 0) / own.length;
  });
  const brings = mean.map((strength, way) => strength * usual[way]!);
  const best = chancesOfMost(
    brings,
    covariance.map((row, i) => row.map((value, j) => value * usual[i]! * usual[j]!)),
    seed,
  );
  return ways
    .map(({ methodId, madeFrom }, way): WayAnswer => {
      const spread = Z80 * Math.sqrt(Math.max(0, covariance[way]![way]!)) * usual[way]!;
      return {
        methodId,
        madeFrom,
        visits: visits.filter((visit) => visit.way === way).length,
        brings: { middle: brings[way]!, low: brings[way]! - spread, high: brings[way]! + spread },
        best: best[way]!,
      };
    })
    .sort((a, b) => b.best - a.best || b.brings.middle - a.brings.middle);
}
