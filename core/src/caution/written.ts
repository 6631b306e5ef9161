import { acrossSide } from '../catalogue/index.ts';
import type { Limits } from '../method/index.ts';
import { nearRegions } from './areas.ts';
import { conditionFacts } from './coded.ts';
import { conditionKey, sameSide } from './grounds.ts';
import { NO_LIMITS } from './limits.ts';
import { stillProtected } from './phase.ts';
import type { CandidateAction, Caution, CautionContext, ConditionFields, Level, WrittenLimit } from './types.ts';
import { conditionWords } from './words.ts';

function openConditions({ subject, onDay }: CautionContext): readonly ConditionFields[] {
  return subject.conditions.filter(
    (condition) => condition.resolvedOn === null || condition.resolvedOn > onDay || stillProtected(condition, onDay),
  );
}

/** Everything that was written for conditions which are not over, whatever is being done. */
export function writtenOnFile(context: CautionContext): Caution[] {
  return openConditions(context).flatMap((condition) =>
    (condition.clearance?.limits ?? []).map((limit) => writtenCaution(condition, context, limit, 'at most', 'modify', NO_LIMITS)),
  );
}

/**
 * Limits that somebody wrote. A bend is held to where the motion reads that movement in degrees; where it needs a
 * joint bent further than allowed, or cannot be read in degrees, it is left out.
 */
export function writtenLimits(context: CautionContext, action: CandidateAction): Caution[] {
  return openConditions(context).flatMap((condition) =>
    (condition.clearance?.limits ?? []).flatMap((limit) => writtenLimit(condition, context, limit, action) ?? []),
  );
}

function writtenLimit(condition: ConditionFields, context: CautionContext, limit: WrittenLimit, action: CandidateAction): Caution | null {
  const say = (how: string, level: Level, limits: Limits) => writtenCaution(condition, context, limit, how, level, limits);
  if (limit.kind !== 'bend') {
    const region = condition.region ?? conditionFacts(condition.code).region;
    const here = region === null || [...action.regions, ...action.loads].some((each) => nearRegions(region).includes(each));
    // Nobody presses while measuring.
    if (!here || !sameSide(condition.side, action.side) || (limit.kind === 'effort' && action.moment === 'measure')) return null;
    return say(
      'was written',
      'modify',
      limit.kind === 'effort' ? { ...NO_LIMITS, effortPct: limit.pct } : { ...NO_LIMITS, painCeiling: limit.score },
    );
  }
  const kept = [
    sameSide(condition.side, action.side) ? action.postures[limit.movement] : undefined,
    sameSide(condition.side, acrossSide('opposite', action.side)) ? action.otherPostures[limit.movement] : undefined,
  ].filter((deg) => deg !== undefined);
  const posture = kept.length > 0 ? Math.max(...kept) : undefined;
  if (posture !== undefined && posture > limit.deg) return say(`was written; this needs it at ${posture}°`, 'avoid', NO_LIMITS);
  const moved = action.moves.filter((each) => each.movement === limit.movement && sameSide(condition.side, each.side));
  if (moved.length === 0) return null;
  if (moved.every((each) => each.scale)) return say('was written', 'modify', { ...NO_LIMITS, cap: limit.deg });
  return posture === undefined
    ? say('was written; this motion is not read in those degrees, so it cannot be held to', 'avoid', NO_LIMITS)
    : null;
}

/** What was written, in words, and what tells it from every other limit: a reason given for one never covers another. */
function limitWords(limit: WrittenLimit): { readonly words: string; readonly id: string } {
  switch (limit.kind) {
    case 'bend':
      return {
        words: `${limit.movement[0]!.toUpperCase()}${limit.movement.slice(1)} to ${limit.deg}°`,
        id: `${limit.movement.replace(/[^a-z]+/g, '-')}-${limit.deg}`,
      };
    case 'effort':
      return { words: `Effort to ${limit.pct} %`, id: `effort-${limit.pct}` };
    case 'ceiling':
      return { words: `Discomfort to ${limit.score}`, id: `ceiling-${limit.score}` };
  }
}

function writtenCaution(
  condition: ConditionFields,
  { onDay }: CautionContext,
  limit: WrittenLimit,
  how: string,
  level: Level,
  limits: Limits,
): Caution {
  const { by, on, text } = condition.clearance!;
  const { words, id } = limitWords(limit);
  return {
    ruleId: `written-${condition.code}-${condition.side ?? 'any'}-${id}`,
    kind: 'written',
    level,
    because: conditionWords(condition, onDay),
    ground: conditionKey(condition),
    reason: `${words} ${how} (${by}, ${on}).`,
    instead: text ? `As written: “${text}”.` : 'Stay inside it.',
    refer: `${by}, to widen it`,
    source: 'written clearance on file',
    limits,
    canOverride: level === 'avoid',
  };
}
