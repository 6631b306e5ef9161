import { motionOf, type Motion, type Side } from '../body/index.ts';
import { errorOf, type ErrorKnowledge } from '../measure/index.ts';
import type { PastBlock, PastReading } from '../record/index.ts';

/**
 * How much of the usual gain of a motion a way of working brings in one session, by way: common practice, order of magnitude only.
 * What is not named here lengthens nothing.
 */
const WAY_SHARE: Readonly<Record<string, number>> = {
  'cr-breath': 1, 'cr-firm': 1, crac: 1.05, 'cr-light': 0.85, 'cr-backoff': 0.9, 'static-hold': 0.8, 'brief-hold': 0.5, 'agonist-contract': 0.7, 'active-assisted': 0.65, pulsed: 0.75, 'inhibit-integrated': 0.9, 'slack-stretch': 0.7,
  'pin-lengthen': 0.8, 'position-of-comfort': 0.4, 'point-hold': 0.35, 'breath-sink': 0.4, 'mobilize-oscillate': 0.6, 'mobilize-sustained': 0.6, 'mobilize-movement': 0.6, 'continuous-motion': 0.25, 'glide-circumduct': 0.25, 'line-press': 0.15, 'four-way': 0.2,
};

export function wayShare(methodId: string, madeFrom?: string): number {
  return WAY_SHARE[methodId] ?? (madeFrom === undefined ? 0 : (WAY_SHARE[madeFrom] ?? 0));
}

/** Rounds past those the motion lists go on shrinking by this. Common practice: diminishing return. */
const SHRINK = 0.7;
/** How much athletes differ from the usual, as a share of it, and how much one session differs from the next. */
const BETWEEN_ATHLETES = 0.5;
const BETWEEN_SESSIONS = 0.3;
/** Ninety percent of what a normal distribution holds. */
const Z90 = 1.645;

/** What an athlete's motion answers with, against what is usual. */
export interface Response {
  /** 1: as usual. */
  readonly scale: number;
  readonly sd: number;
  /** Sessions of this athlete behind it. */
  readonly sessions: number;
}

export const USUAL_RESPONSE: Response = { scale: 1, sd: BETWEEN_ATHLETES, sessions: 0 };

/**
 * The usual gain after so many rounds, in the motion's unit, never negative.
 * @example usualGain({ roundGain: [4, 2] }, 2) // → 6
 */
export function usualGain({ roundGain }: Pick<Motion, 'roundGain'>, rounds: number): number {
  let [sum, last] = [0, 0];
  for (let round = 0; round < rounds; round++) {
    last = roundGain[round] ?? last * SHRINK;
    sum += last;
  }
  return sum;
}

/**
 * How an athlete's motion has answered so far, by Bayes' rule.
 *
 * The model. A session with usual gain x brings s·x, where s is the athlete's own scale: before anything is known normal about 1 with
 * a deviation of one half. What was read, after less before, is s·x with the measuring error of two readings and a spread of a third
 * of x from session to session. With normal errors the posterior is normal again, its precision the sum of all precisions and its mean
 * their weighted mean, so that a few noisy sessions move it little and many sessions decide it. Readings pool over both sides of a motion.
 */
export function responseOf(motionId: string, past: readonly PastReading[], blocks: readonly PastBlock[], errors: ErrorKnowledge): Response {
  const motion = motionOf(motionId);
  const toward = motion.better === 'higher' ? 1 : -1;
  let precision = 1 / BETWEEN_ATHLETES ** 2;
  let weighted = precision;
  let sessions = 0;
  for (const visitId of new Set(blocks.filter((block) => block.motionId === motionId).map((block) => block.visitId))) {
    for (const side of motion.sides) {
      const find = (moment: 'before' | 'after') => past.find((reading) => reading.visitId === visitId && reading.motionId === motionId && reading.side === side && reading.moment === moment);
      const [before, after] = [find('before'), find('after')];
      const x = blocks.filter((block) => block.visitId === visitId && block.motionId === motionId).reduce((sum, block) => sum + wayShare(block.methodId, block.madeFrom) * usualGain(motion, roundsOn(block, side)), 0);
      if (!before || !after || x === 0) continue;
      const variance = errorOf(motion, before, errors, 'within').sem ** 2 + errorOf(motion, after, errors, 'within').sem ** 2 + (BETWEEN_SESSIONS * x) ** 2;
      precision += x ** 2 / variance;
      weighted += (x * (after.value - before.value) * toward) / variance;
      sessions += 1;
    }
  }
  return { scale: Math.max(0, weighted / precision), sd: Math.sqrt(1 / precision), sessions };
}

function roundsOn(block: PastBlock, side: Side): number {
  return block.sides.filter((each) => each.side === side).reduce((sum, each) => sum + each.rounds, 0);
}

export interface PredictedEdge {
  readonly round: number;
  readonly expected: number;
  /** Nine sessions in ten end between these. */
  readonly low: number;
  readonly high: number;
}

/**
 * Where the edge is expected after each round, and where nine sessions in ten would find it, in the motion's unit. Never past what
 * the motion can read; the band never begins before today's edge.
 */
export function predictEdges(motion: Pick<Motion, 'roundGain' | 'better' | 'possible'>, start: number, rounds: number, methodId: string, response: Response, madeFrom?: string): PredictedEdge[] {
  const toward = motion.better === 'higher' ? 1 : -1;
  const within = (value: number) => Math.min(motion.possible.max, Math.max(motion.possible.min, value));
  return Array.from({ length: rounds }, (_, i) => {
    const x = wayShare(methodId, madeFrom) * usualGain(motion, i + 1);
    const spread = Z90 * Math.hypot(x * response.sd, BETWEEN_SESSIONS * x);
    const at = (gain: number) => within(start + toward * Math.max(0, gain));
    return { round: i + 1, expected: at(response.scale * x), low: at(response.scale * x - spread), high: at(response.scale * x + spread) };
  });
}
