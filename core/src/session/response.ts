import { motionOf, type Motion, type Side } from '../body/index.ts';
import { errorOf, type ErrorKnowledge, type Uncertain } from '../measure/index.ts';
import { BUILT_IN, sharesOf, type Shelf } from '../method/index.ts';
import { tQuantile } from '../quantile/index.ts';
import type { PastBlock, PastReading } from '../record/index.ts';

/** Rounds past those the motion lists go on shrinking by this. Common practice: diminishing return. */
const SHRINK = 0.7;
/** How much athletes differ from the usual, as a share of it, and how much one session differs from the next. Common practice. */
export const BETWEEN_ATHLETES = 0.5;
export const BETWEEN_SESSIONS = 0.3;
/** Ninety percent of what a normal distribution holds. */
const Z90 = 1.6449;

/** What an athlete's motion answers with, against what is usual. */
export interface Response {
  /** 1: as usual; below 0 it was less after work than before, on the whole. */
  readonly scale: number;
  readonly sd: number;
  /** Sessions of this athlete behind it. */
  readonly sessions: number;
}

export const USUAL_RESPONSE: Response = { scale: 1, sd: BETWEEN_ATHLETES, sessions: 0 };

/**
 * The usual gain of rounds one after the other, in the motion's unit, never negative: what the motion usually gains in each, times what
 * the round brings of it. Blocks on one motion share its rounds, so the second begins where the first left off.
 * @example usualGain({ roundGain: [4, 2] }, [1, 0.5]) // → 5
 */
export function usualGain(motion: Pick<Motion, 'roundGain'>, shares: readonly number[]): number {
  return gainsOf(motion, shares).reduce((sum, gain) => sum + gain, 0);
}

function gainsOf({ roundGain }: Pick<Motion, 'roundGain'>, shares: readonly number[]): number[] {
  let last = 0;
  return shares.map((share, round) => {
    last = roundGain[round] ?? last * SHRINK;
    return share * last;
  });
}

/**
 * How an athlete's motion has answered so far, by Bayes' rule.
 *
 * The model. A session with usual gain x brings s·x, where s is the athlete's own scale: before anything is known normal about 1 with
 * a deviation of one half. What was read, after less before, is s·x with the measuring error of two readings and a spread of a third
 * of x from session to session. With normal errors the posterior is normal again, its precision the sum of all precisions and its mean
 * their weighted mean, so that a few noisy sessions move it little and many sessions decide it. Readings pool over both sides of a motion.
 * Sessions count by what was done in them, not by what was planned.
 */
export function responseOf(
  motionId: string,
  past: readonly PastReading[],
  blocks: readonly PastBlock[],
  errors: ErrorKnowledge,
  shelf: Shelf = BUILT_IN,
): Response {
  const motion = motionOf(motionId);
  const toward = motion.better === 'higher' ? 1 : -1;
  let precision = 1 / BETWEEN_ATHLETES ** 2;
  let weighted = precision;
  let sessions = 0;
  for (const visitId of new Set(blocks.filter((block) => block.motionId === motionId).map((block) => block.visitId))) {
    const worked = blocks.filter((block) => block.visitId === visitId && block.motionId === motionId);
    for (const side of motion.sides) {
      const find = (moment: 'before' | 'after') =>
        past.find(
          (reading) => reading.visitId === visitId && reading.motionId === motionId && reading.side === side && reading.moment === moment,
        );
      const [before, after] = [find('before'), find('after')];
      const x = usualGainDone(motion, worked, side, shelf);
      if (!before || !after || x === 0) continue;
      const variance =
        errorOf(motion, before, errors, 'within').sem ** 2 +
        errorOf(motion, after, errors, 'within').sem ** 2 +
        (BETWEEN_SESSIONS * x) ** 2;
      precision += x ** 2 / variance;
      weighted += (x * (after.value - before.value) * toward) / variance;
      sessions += 1;
    }
  }
  return { scale: weighted / precision, sd: Math.sqrt(1 / precision), sessions };
}

/** The usual gain, in the motion's unit, of what blocks of one visit did on one side of the motion: by what was done, not by what was planned. */
export function usualGainDone(motion: Motion, blocks: readonly PastBlock[], side: Side, shelf: Shelf = BUILT_IN): number {
  return usualGain(
    motion,
    blocks.filter((block) => block.motionId === motion.id).flatMap((block) => pastShares(block, side, shelf)),
  );
}

/** What each round done on a side brought of the usual; one whose making was not kept counts as a round at its way's own numbers. */
function pastShares(block: PastBlock, side: Side, shelf: Shelf): number[] {
  const method = shelf.methods.get(block.methodId) ?? (block.madeFrom === undefined ? undefined : shelf.methods.get(block.madeFrom));
  const entry = shelf.entries.get(block.entryId);
  if (!method) return [];
  return block.sides
    .filter((each) => each.side === side)
    .flatMap(({ rounds, work }) =>
      work && entry ? sharesOf(work, entry, method, shelf) : Array.from({ length: rounds }, () => method.share),
    );
}

/** Two ends between which nine in ten lie. */
export interface Band {
  readonly low: number;
  readonly high: number;
}

export interface PredictedEdge {
  readonly round: number;
  readonly expected: number;
  /** Nine readings in ten that end a session here lie between these. */
  readonly reading: Band;
  /** Nine true gains in ten lie between these, in the motion's unit toward more range; below zero: less than before. */
  readonly gain: Band;
}

/** What stands before the rounds that are predicted. */
export interface Before {
  readonly start: number;
  /** Rounds on the same motion and side earlier in the visit, by what they bring. */
  readonly shares?: readonly number[];
  /** The error of a reading of this motion within a sitting. */
  readonly error: Uncertain;
  /** Where cautions end the way, or null: the limb is not taken further, whatever it could. */
  readonly furthest?: number | null;
}

/**
 * Where the edge is expected after each round, in the motion's unit, never past what the motion can read nor past where cautions end the way.
 *
 * The model is that of `responseOf`, read forward: a session brings s·x, s normal as known so far, with a spread of a third of x from session
 * to session; so the true gain is normal about the expected one. A reading adds twice the error of a reading: its own, and that of
 * the reading it began from; where that error is itself an estimate, its part is as much wider as Student's t says. Both bands are true for
 * nine in ten of athletes who differ as the model says.
 */
export function predictEdges(
  motion: Pick<Motion, 'roundGain' | 'better' | 'possible'>,
  { start, shares: before = [], error, furthest = null }: Before,
  shares: readonly number[],
  response: Response,
): PredictedEdge[] {
  const toward = motion.better === 'higher' ? 1 : -1;
  const within = (value: number) => Math.min(motion.possible.max, Math.max(motion.possible.min, value));
  const room = furthest === null ? Number.POSITIVE_INFINITY : Math.max(0, toward * (furthest - start));
  const df = error.df ?? Number.POSITIVE_INFINITY;
  const misread = Math.SQRT2 * error.sem * (Number.isFinite(df) ? tQuantile(0.95, Math.max(1, df)) : Z90);
  const gains = gainsOf(motion, [...before, ...shares]);
  return shares.map((_, i) => {
    const x = gains.slice(0, before.length + i + 1).reduce((sum, gain) => sum + gain, 0);
    const mean = response.scale * x;
    const spread = Z90 * Math.hypot(x * response.sd, BETWEEN_SESSIONS * x);
    const read = Math.hypot(spread, misread);
    return {
      round: i + 1,
      expected: within(start + toward * Math.min(mean, room)),
      gain: { low: Math.min(mean - spread, room), high: Math.min(mean + spread, room) },
      reading: {
        low: within(start + toward * Math.min(mean - read, room - misread)),
        high: within(start + toward * Math.min(mean + read, room + misread)),
      },
    };
  });
}
