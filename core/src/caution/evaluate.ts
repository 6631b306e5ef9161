import { bellyIn, endIn, jointOf, muscleFacts, regionsOf, type Movement, type Muscle, type Region, type Side } from '../body/index.ts';
import { acrossSide } from '../catalogue/index.ts';
import type { Limits } from '../method/index.ts';
import { boundaries, noTouchCaution } from './boundaries.ts';
import { limbOf, nearRegions, nervesOf } from './areas.ts';
import { groundedRules, sameSide, type Ground, type Grounded } from './grounds.ts';
import { mergeLimits, NO_LIMITS } from './limits.ts';
import {
  LEVELS,
  type CandidateAction,
  type Caution,
  type CautionContext,
  type CautionResult,
  type Level,
  type RuleLimits,
  type Touch,
} from './types.ts';
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
    ...groundedRules(context)
      .filter((each) => touches(each, action))
      .map((each) => fromRule(each, action)),
    ...writtenLimits(context, action),
    ...boundaries(context, action),
  ];
  return resultOf(cautions);
}

/** What concerns the whole visit, before any hand goes on. */
export function visitCautions(context: CautionContext): CautionResult {
  return resultOf(
    groundedRules(context)
      .filter(({ rule }) => rule.touches.visit)
      .map((each) => fromRule(each, null)),
  );
}

/** Everything on file that any rule speaks of, one entry for each ground, with all that hangs on it. */
export function cautionOverview(
  context: CautionContext,
): readonly { readonly because: string; readonly level: Level; readonly cautions: readonly Caution[] }[] {
  const all = [
    ...groundedRules(context)
      .filter(({ rule }) => !('always' in rule.premise))
      .map((each) => fromRule(each, null)),
    ...writtenOnFile(context),
    ...context.subject.noTouch.map(noTouchCaution),
  ];
  return [...new Set(all.map((caution) => caution.because))]
    .map((because) => resultOf(all.filter((caution) => caution.because === because)))
    .map(({ cautions, level }) => ({ because: cautions[0]!.because, level: level!, cautions }))
    .sort((a, b) => rank(a.level) - rank(b.level));
}

/**
 * What a written reason sets aside: one rule, for one ground. Another condition under the same rule needs its own.
 * @example overrideKey({ ruleId: 'veins', ground: 'varicose-veins/calf/left' }) // → 'veins@varicose-veins/calf/left'
 */
export function overrideKey({ ruleId, ground }: Pick<Caution, 'ruleId' | 'ground'>): string {
  return `${ruleId}@${ground}`;
}

/**
 * The cautions that forbid an action as things stand: a stop, and every "avoid" without a written reason.
 */
export function blocking(result: CautionResult, overridden: ReadonlySet<string>): Caution[] {
  return result.cautions.filter(
    (caution) => caution.level === 'stop' || (caution.level === 'avoid' && !(caution.canOverride && overridden.has(overrideKey(caution)))),
  );
}

const rank = (level: Level) => LEVELS.indexOf(level);

/** Any fixed order will do among equals; this one needs no language. */
const byText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

function resultOf(found: readonly Caution[]): CautionResult {
  // The same words and limits from the same ground are said once, by the first of them.
  const once = new Map<string, Caution>();
  for (const caution of found) {
    const key = sameness(caution);
    if (!once.has(key)) once.set(key, caution);
  }
  const cautions = [...once.values()].sort(
    (a, b) => rank(a.level) - rank(b.level) || byText(a.ruleId, b.ruleId) || byText(a.because, b.because) || byText(a.ground, b.ground),
  );
  return { cautions, level: cautions[0]?.level ?? null, limits: cautions.map((caution) => caution.limits).reduce(mergeLimits, NO_LIMITS) };
}

const sameness = ({ ruleId, ground, because, reason, instead, limits }: Caution) =>
  [ruleId, ground, because, reason, instead, ...Object.values(limits)].join('\u0000');

const overlap = <T>(wanted: readonly T[], has: readonly T[]) => wanted.some((each) => has.includes(each));

/** The places a rule speaks of, or null where the condition has none: then it may be any. */
function placesOf(where: Touch['regions'], { region }: Ground): readonly Region[] | null {
  if (where === undefined || (typeof where === 'string' && region === null)) return null;
  return where === 'of-condition'
    ? [region!]
    : where === 'near-condition'
      ? nearRegions(region!)
      : where === 'limb-of-condition'
        ? limbOf(region!)
        : where;
}

function musclesOf(which: NonNullable<Touch['muscles']>, { region, muscle }: Ground): readonly Muscle[] | null {
  if (typeof which !== 'string') return which;
  if (muscle !== null) return [muscle];
  if (region === null) return null;
  // A tendon is sore along its muscle as well as where it ends.
  return which === 'of-condition' ? bellyIn(region) : [...new Set([...endIn(region), ...bellyIn(region)])];
}

const through = new WeakMap<CandidateAction, readonly Region[]>();

/** Everywhere something is done: under the hands, at every joint that moves, along the force, and across every joint that a working muscle crosses. */
function throughOf(action: CandidateAction): readonly Region[] {
  let places = through.get(action);
  if (!places) {
    places = [
      ...new Set([
        ...action.regions,
        ...regionsOf(action.moves.map(({ movement }) => jointOf(movement))),
        ...action.loads,
        ...action.presses.flatMap((press) => press.regions),
        ...[...action.lengthens, ...action.contracts].flatMap((muscle) => {
          const { belly, ends } = muscleFacts(muscle);
          return [...belly, ...ends];
        }),
      ]),
    ];
    through.set(action, places);
  }
  return places;
}

function touches({ rule: { touches: touch }, ground }: Grounded, action: CandidateAction): boolean {
  if (touch.visit) return true;
  const side = touch.side ?? 'same';
  const onSide = (at: Side) =>
    side === 'any' ||
    (side === 'same'
      ? sameSide(ground.side, at)
      : ground.side === null || ground.side === 'both' || at === 'midline' || at !== ground.side);
  const within = (where: Touch['regions'], has: readonly Region[]) => {
    const places = placesOf(where, ground);
    return places === null ? where === undefined || has.length > 0 : overlap(places, has);
  };
  const moved =
    touch.movements === undefined
      ? null
      : action.moves.filter(
          (each) => touch.movements!.includes(each.movement) && onSide(each.side) && (touch.endRange === undefined || each.endRange),
        );
  if (moved !== null ? moved.length === 0 : touch.endRange !== undefined && !action.endRange) return false;
  // Where a joint is named, its own side has been looked at.
  const kept = touch.postureAbove === undefined ? null : keptBeyond(touch.postureAbove, action).filter(onSide);
  if (moved === null && kept === null && !onSide(action.side)) return false;
  return (
    (touch.regions === undefined || within(touch.regions, action.regions)) &&
    (touch.through === undefined || within(touch.through, throughOf(action))) &&
    (touch.loads === undefined || within(touch.loads, action.loads)) &&
    (touch.pressed === undefined ||
      action.presses.some(
        (press) =>
          (touch.kinds === undefined || touch.kinds.includes(press.kind)) &&
          (touch.pressed === 'anywhere' || within(touch.pressed, press.regions)),
      )) &&
    (touch.muscles === undefined || worksOn(touch, ground, action)) &&
    (touch.squeezes === undefined || overlap(touch.squeezes, action.squeezes)) &&
    (touch.nerves === undefined || overlap(touch.nerves === 'of-condition' ? nervesOf(ground.region) : touch.nerves, action.nerves)) &&
    (kept === null || kept.length > 0) &&
    (touch.techniques === undefined || overlap(touch.techniques, action.techniques)) &&
    (touch.moments === undefined || touch.moments.includes(action.moment)) &&
    (touch.positions === undefined || (action.position !== null && touch.positions.includes(action.position))) &&
    (touch.gradeAbove === undefined || (action.grade !== null && action.grade > touch.gradeAbove)) &&
    (touch.longLever === undefined || action.longLever) &&
    (touch.weight === undefined || action.weight) &&
    (touch.headDown === undefined || action.headDown) &&
    (touch.heat === undefined || action.heat) &&
    (touch.strokesAway === undefined || action.strokesAway) &&
    (touch.holdAboveS === undefined || (action.holdS !== null && action.holdS > touch.holdAboveS)) &&
    (touch.effortAbovePct === undefined || (action.effortPct !== null && action.effortPct > touch.effortAbovePct))
  );
}

/** The sides on which a joint is kept beyond an angle: the one that is worked on, or the other one that is held meanwhile. */
function keptBeyond(angles: NonNullable<Touch['postureAbove']>, { side, postures, otherPostures }: CandidateAction): Side[] {
  const beyond = (has: CandidateAction['postures']) =>
    Object.entries(angles).some(([movement, deg]) => (has[movement as Movement] ?? Number.NEGATIVE_INFINITY) > deg);
  return [...(beyond(postures) ? [side] : []), ...(beyond(otherPostures) ? [acrossSide('opposite', side)] : [])];
}

function worksOn({ muscles, acts = ['lengthen', 'contract', 'press'] }: Touch, ground: Ground, action: CandidateAction): boolean {
  const named = musclesOf(muscles!, ground);
  const done = { lengthen: action.lengthens, contract: action.contracts, press: action.under };
  return acts.some((act) => (named === null ? done[act].length > 0 : overlap(named, done[act])));
}

function fromRule({ rule, ground }: Grounded, action: CandidateAction | null): Caution {
  return {
    ruleId: rule.id,
    kind: 'rule',
    level: rule.level,
    because: ground.because,
    ground: ground.key,
    reason: rule.reason,
    instead: rule.instead,
    refer: rule.refer ?? '',
    source: rule.source,
    limits: limitsOf(rule.limits, action),
    canOverride: rule.level === 'avoid',
  };
}

function limitsOf(limits: RuleLimits | undefined, action: CandidateAction | null): Limits {
  if (!limits) return NO_LIMITS;
  const { bends, ...rest } = limits;
  const caps = Object.entries(bends ?? {})
    .filter(([movement]) => action?.moves.some((each) => each.movement === movement && each.scale))
    .map(([, deg]) => deg);
  const limited = { ...NO_LIMITS, ...rest, cap: caps.length > 0 ? Math.min(...caps) : null };
  // Measuring finds the edge, once and with nobody pressing: what is left of a limit is how far and how much discomfort.
  return action?.moment === 'measure' ? { ...NO_LIMITS, cap: limited.cap, painCeiling: limited.painCeiling } : limited;
}
