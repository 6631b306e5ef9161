import type { Limits } from '../method/index.ts';
import type { Signals } from './signals.ts';

export type Matter =
  'health' | 'injury' | 'answers' | 'sleep' | 'soreness' | 'training' | 'load' | 'heartbeat' | 'range' | 'event' | 'travel';

/** What each signal is about: a bad night shows in the hours and in their distance from the usual, and is one bad night. */
const MATTER: Readonly<Record<keyof Signals, Matter>> = {
  ill: 'health',
  injured: 'injury',
  sumOff: 'answers',
  itemOff: 'answers',
  sleepShortH: 'sleep',
  sleepOff: 'sleep',
  sore: 'soreness',
  trainingCut: 'training',
  loadOff: 'load',
  hrvBelowDays: 'heartbeat',
  motionsBelow: 'range',
  eventNear: 'event',
  eventFresh: 'event',
  travelled: 'travel',
};

/** One reason that can count against working as usual. A rule fires when its signal is known and at least so high. */
export interface ReadinessRule {
  readonly id: string;
  readonly signal: keyof Signals;
  readonly atLeast: number;
  /** What it is about. Signs of one matter say one thing: of its rules only the heaviest counts. */
  readonly matter: Matter;
  /** Reasons add up over the matters: from 1 on it is a day to ease, from 3 on one to hold. */
  readonly weight: number;
  /** What it holds back by itself. */
  readonly limits: Partial<Limits>;
  readonly reason: string;
  /** What would change it. */
  readonly until: string;
  readonly source: string;
}

export const EASE_FROM = 1;
export const HOLD_FROM = 3;

const LIGHTER: Partial<Limits> = { effortPct: 30, edgeShare: 0.9, painCeiling: 4 };
const LIGHT: Partial<Limits> = { effortPct: 20, edgeShare: 0.85, painCeiling: 3, holdS: 20 };
/** Comfort and easy motion only. */
export const COMFORT: Partial<Limits> = { effortPct: 10, edgeShare: 0.7, painCeiling: 2, holdS: 15, grade: 1 };
/** What several small reasons hold back together. */
export const EASED = LIGHTER;

const COMMON = 'common practice';

/**
 * What counts, how much, and what it limits. Weights, thresholds and limits are common practice; where a band or a normal is used its
 * source stands with its computation. In every signal more is worse, and in a signal a higher step never weighs or holds back less; of rules of
 * one matter a heavier one never holds back less.
 */
export const READINESS_RULES: readonly ReadinessRule[] = [
  rule('ill', 'ill', 1, 3, COMFORT, 'Ill today.', 'well again for a day'),
  rule('injured', 'injured', 1, 2, LIGHT, 'Says they are injured.', 'the place has been looked at'),
  rule('answers-1', 'sumOff', 1, 0.5, {}, 'Answers are worse than their own normal.', 'answers within one own unit of normal'),
  rule('answers-2', 'sumOff', 2, 1, LIGHTER, 'Answers are well off their own normal.', 'answers within one own unit of normal'),
  rule('answers-3', 'sumOff', 3, 2, LIGHT, 'Answers are far off their own normal.', 'answers within one own unit of normal'),
  rule('item-2', 'itemOff', 2, 0.5, {}, 'One answer is well off their own normal.', 'that answer nearer to normal'),
  rule('sleep-6', 'sleepShortH', 2, 0.5, {}, 'Slept six hours or less.', 'seven hours of sleep'),
  rule('sleep-5', 'sleepShortH', 3, 1, LIGHTER, 'Slept five hours or less.', 'seven hours of sleep'),
  rule('sleep-4', 'sleepShortH', 4, 1.5, LIGHT, 'Slept four hours or less.', 'seven hours of sleep'),
  rule('sleep-own', 'sleepOff', 2, 0.5, {}, 'Slept well below their own normal.', 'a usual night'),
  rule('sore-5', 'sore', 5, 0.5, {}, 'A place is sore to 5 or more.', 'soreness under 5'),
  rule('sore-7', 'sore', 7, 1, LIGHTER, 'A place is sore to 7 or more.', 'soreness under 5'),
  rule('training-part', 'trainingCut', 1, 0.5, {}, 'Can only train in part.', 'full training'),
  rule('training-none', 'trainingCut', 2, 1, LIGHTER, 'Cannot train today.', 'some training'),
  rule('load-2', 'loadOff', 2, 0.5, {}, 'Yesterday’s load was well above their usual.', 'a usual day of training'),
  rule('load-4', 'loadOff', 4, 1, LIGHTER, 'Yesterday’s load was far above their usual.', 'a usual day of training'),
  rule('hrv-2', 'hrvBelowDays', 2, 1, LIGHTER, 'Heart-rate variability below their band two days running.', 'back in the band'),
  rule('motion-1', 'motionsBelow', 1, 0.5, {}, 'A key motion is below its own level.', 'the motion back at its level'),
  rule('motion-2', 'motionsBelow', 2, 1, LIGHTER, 'Several key motions are below their own level.', 'the motions back at their level'),
  rule('event-eve', 'eventNear', 1, 0.5, {}, 'An event tomorrow.', 'the event is over'),
  rule('event-day', 'eventNear', 2, 1, LIGHTER, 'An event today.', 'the event is over'),
  rule('event-after', 'eventFresh', 2, 0.5, {}, 'An event yesterday.', 'a day of rest'),
  rule('travelled', 'travelled', 1, 0.5, {}, 'Travelled yesterday or today.', 'a night at one place'),
];

function rule(
  id: string,
  signal: keyof Signals,
  atLeast: number,
  weight: number,
  limits: Partial<Limits>,
  reason: string,
  until: string,
): ReadinessRule {
  return { id, signal, atLeast, matter: MATTER[signal], weight, limits, reason, until, source: COMMON };
}
