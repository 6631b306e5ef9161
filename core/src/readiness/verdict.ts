import { mergeLimits, NO_LIMITS } from '../caution/index.ts';
import type { Limits } from '../method/index.ts';
import { COMFORT, EASE_FROM, EASED, HOLD_FROM, READINESS_RULES, type Matter, type ReadinessRule } from './rules.ts';
import type { Signals } from './signals.ts';

/** Drawn as a disc, a half disc, a hollow square and a dashed ring. */
export type ReadinessWord = 'ready' | 'ease' | 'hold' | 'not known';

export interface ReadinessReason {
  readonly ruleId: string;
  readonly weight: number;
  readonly reason: string;
  /** What would change it. */
  readonly until: string;
  readonly limits: Limits;
}

export interface ReadinessVerdict {
  readonly word: ReadinessWord;
  /** Strongest first. */
  readonly reasons: readonly ReadinessReason[];
  readonly weight: number;
  /** What is missing before it could be called ready; empty when it is known. */
  readonly missing: readonly string[];
  /** What the word itself holds back besides the reasons' own limits. */
  readonly limits: Limits;
}

const limited = (limits: Partial<Limits>): Limits => ({ ...NO_LIMITS, ...limits });

/**
 * Readiness on one day.
 *
 * The model. Every bad sign is a number that grows with it, or null where nothing is known. A rule fires when its signal is known and at
 * least at its step; of one matter only the heaviest rule counts, and weights of different matters add up. From 1 on it is `ease`, from
 * 3 on `hold`. Below that it is `ready` only if today's answers and their own normal are known, and otherwise `not known`. A higher
 * signal fires the same steps and perhaps more, and no step weighs or allows more than one below it; so one more bad sign never makes
 * the word better nor a limit wider, in the order ready, not known, ease, hold. What is missing can only keep it from being ready.
 * A reason that was set aside with a word counts for nothing, and neither does what is lighter in its matter.
 */
export function readinessOf(signals: Signals, setAside: ReadonlySet<string> = new Set()): ReadinessVerdict {
  const heaviest = new Map<Matter, ReadinessRule>();
  for (const each of READINESS_RULES) {
    const value = signals[each.signal];
    if (value === null || value < each.atLeast) continue;
    const before = heaviest.get(each.matter);
    if (!before || each.weight > before.weight || (each.weight === before.weight && each.signal === before.signal))
      heaviest.set(each.matter, each);
  }
  const reasons = [...heaviest.values()]
    .filter(({ id }) => !setAside.has(id))
    .map(({ id, weight, reason, until, limits }) => ({ ruleId: id, weight, reason, until, limits: limited(limits) }))
    .sort((a, b) => b.weight - a.weight || (a.ruleId < b.ruleId ? -1 : 1));
  const weight = reasons.reduce((sum, each) => sum + each.weight, 0);
  const missing = [
    ...(signals.sumOff === null ? ['today’s answers against their own normal'] : []),
    ...(signals.ill === null ? ['whether they are ill'] : []),
    ...(signals.injured === null ? ['whether they are injured'] : []),
  ];
  const word = weight >= HOLD_FROM ? 'hold' : weight >= EASE_FROM ? 'ease' : missing.length > 0 ? 'not known' : 'ready';
  return {
    word,
    reasons,
    weight,
    missing,
    limits: limited(word === 'hold' ? COMFORT : word === 'ease' ? EASED : {}),
  };
}

/** All limits of a verdict as one, the strictest of each. */
export function limitsOf(verdict: ReadinessVerdict): Limits {
  return verdict.reasons.map(({ limits }) => limits).reduce(mergeLimits, verdict.limits);
}

/** How much of the usual minutes a word leaves. Common practice. */
export const MINUTES_SHARE: Readonly<Record<ReadinessWord, number>> = { ready: 1, 'not known': 1, ease: 0.75, hold: 0.5 };
