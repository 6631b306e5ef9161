import type { Limits } from '../method/index.ts';
import { boundaries, noTouchCaution } from './boundaries.ts';
import { MOTION_FACETS } from './facets.ts';
import { groundedRules, sameSide, type Grounded } from './grounds.ts';
import { mergeLimits, NO_LIMITS } from './limits.ts';
import { LEVELS, type CandidateAction, type Caution, type CautionContext, type CautionResult, type Level, type Movement, type RuleLimits } from './types.ts';
import { writtenLimits, writtenOnFile } from './written.ts';

/**
 * Every caution that applies to an action, strongest first, and the strictest of their limits.
 *
 * The model. A rule has a premise and a touch. Its premise is looked for in the athlete's facts one by one: each
 * condition, each medication, the Beighton score, the answers of today, the distance to an event. Every find is a
 * ground, and a rule whose touch fits the action gives one caution for each ground. No rule asks whether something
 * is absent from the file, and limits are merged by minimum only. Hence adding a condition can add cautions and
 * tighten limits but take nothing away; the result does not depend on the order of conditions or rules.
 * What is not known counts as the careful case: no date is a fresh injury or operation, no side is either side.
 *
 * Scope, consent and no-touch areas are boundaries of their own kind; no written reason sets them aside.
 */
export function cautionsFor(context: CautionContext, action: CandidateAction): CautionResult {
  const cautions = [
    ...groundedRules(context).filter((each) => touches(each, action)).map((each) => fromRule(each, action)),
    ...writtenLimits(context, action),
    ...boundaries(context, action),
  ];
  return resultOf(cautions);
}

/** What concerns the whole visit, before any hand goes on. */
export function visitCautions(context: CautionContext): CautionResult {
  return resultOf(groundedRules(context).filter(({ rule }) => rule.touches.visit).map((each) => fromRule(each, null)));
}

/** Everything on file that any rule speaks of, one entry for each ground, with all that hangs on it. */
export function cautionOverview(context: CautionContext): readonly { readonly because: string; readonly level: Level; readonly cautions: readonly Caution[] }[] {
  const all = [
    ...groundedRules(context).filter(({ rule }) => !('always' in rule.premise)).map((each) => fromRule(each, null)),
    ...writtenOnFile(context),
    ...context.subject.noTouch.map(noTouchCaution),
  ];
  return [...new Set(all.map((caution) => caution.because))]
    .map((because) => resultOf(all.filter((caution) => caution.because === because)))
    .map(({ cautions, level }) => ({ because: cautions[0]!.because, level: level!, cautions }))
    .sort((a, b) => rank(a.level) - rank(b.level));
}

/**
 * The cautions that forbid an action as things stand: a stop, and every "avoid" without a written reason.
 */
export function blocking(result: CautionResult, overridden: ReadonlySet<string>): Caution[] {
  return result.cautions.filter((caution) => caution.level === 'stop' || (caution.level === 'avoid' && !(caution.canOverride && overridden.has(caution.ruleId))));
}

const rank = (level: Level) => LEVELS.indexOf(level);

/** Any fixed order will do among equals; this one needs no language. */
const byText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

function resultOf(found: readonly Caution[]): CautionResult {
  const cautions = found.filter((caution, i) => found.findIndex((other) => isSame(other, caution)) === i)
    .sort((a, b) => rank(a.level) - rank(b.level) || byText(a.ruleId, b.ruleId) || byText(a.because, b.because));
  return { cautions, level: cautions[0]?.level ?? null, limits: cautions.map((caution) => caution.limits).reduce(mergeLimits, NO_LIMITS) };
}

/** The same words and limits from the same ground: said once. */
function isSame(a: Caution, b: Caution): boolean {
  return a.ruleId === b.ruleId && a.because === b.because && a.reason === b.reason && a.instead === b.instead && JSON.stringify(a.limits) === JSON.stringify(b.limits);
}

function touches({ rule: { touches: touch }, ground }: Grounded, action: CandidateAction): boolean {
  if (touch.visit) return true;
  const overlap = <T>(wanted: readonly T[] | undefined, has: readonly T[]) => wanted === undefined || wanted.some((each) => has.includes(each));
  const regions = touch.regions === 'of-condition' ? (ground.region ? [ground.region] : undefined) : touch.regions;
  return ((touch.side ?? 'same') === 'any' || sameSide(ground.side, action.side))
    && overlap(regions, action.regions)
    && overlap(touch.movements, action.movements)
    && overlap(touch.techniques, action.techniques)
    && (touch.moments === undefined || touch.moments.includes(action.moment))
    && (touch.positions === undefined || (action.position !== null && touch.positions.includes(action.position)))
    && (touch.gradeAbove === undefined || (action.grade !== null && action.grade > touch.gradeAbove))
    && (touch.endRange === undefined || action.endRange)
    && (touch.longLever === undefined || action.longLever)
    && (touch.holdAboveS === undefined || (action.holdS !== null && action.holdS > touch.holdAboveS));
}

function fromRule({ rule, ground }: Grounded, action: CandidateAction | null): Caution {
  return {
    ruleId: rule.id, kind: 'rule', level: rule.level, because: ground.because, reason: rule.reason, instead: rule.instead, refer: rule.refer ?? '', source: rule.source,
    limits: limitsOf(rule.limits, action), canOverride: rule.level === 'avoid',
  };
}

function limitsOf(limits: RuleLimits | undefined, action: CandidateAction | null): Limits {
  if (!limits) return NO_LIMITS;
  const { bends, ...rest } = limits;
  const caps = Object.entries(bends ?? {}).filter(([movement]) => action?.motionId && MOTION_FACETS[action.motionId]?.scale.includes(movement as Movement)).map(([, deg]) => deg);
  const limited = { ...NO_LIMITS, ...rest, cap: caps.length > 0 ? Math.min(...caps) : null };
  // Measuring finds the edge, once and with nobody pressing: what is left of a limit is how far and how much discomfort.
  return action?.moment === 'measure' ? { ...NO_LIMITS, cap: limited.cap, painCeiling: limited.painCeiling } : limited;
}
