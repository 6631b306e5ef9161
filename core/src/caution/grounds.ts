import { ageInYears, type BodySide, type Region, type Side } from '../body/index.ts';
import { conditionFacts, MEDICATIONS, STOP_QUESTIONS } from './coded.ts';
import { daysBetween, surgeryPhase } from './phase.ts';
import { RULES } from './rules/index.ts';
import type { CautionContext, Rule } from './types.ts';
import { conditionWords } from './words.ts';

/** Somebody or something a rule can be about: the athlete as a whole, or one condition with its place. */
export interface Ground {
  readonly because: string;
  readonly region: Region | null;
  readonly side: BodySide;
}

/** A rule with something in the athlete's facts that it is about. */
export interface Grounded {
  readonly rule: Rule;
  readonly ground: Ground;
}

/** What was found for a context, as long as somebody holds it: contexts are never changed, and many actions are asked of one. */
const found = new WeakMap<CautionContext, readonly Grounded[]>();

/** Every rule whose premise holds, once for each ground. What is being done plays no part yet. */
export function groundedRules(context: CautionContext): readonly Grounded[] {
  const known = found.get(context);
  if (known) return known;
  const grounded = RULES.flatMap((rule) => groundsOf(rule, context).map((ground) => ({ rule, ground })));
  found.set(context, grounded);
  return grounded;
}

const ADULT = 18;

function groundsOf({ premise }: Rule, context: CautionContext): Ground[] {
  const { subject, onDay } = context;
  const whole = (because: string): Ground[] => [{ because, region: null, side: null }];
  if ('always' in premise) return whole('Anatomy');
  if ('medications' in premise) return subject.medications.filter((id) => premise.medications.includes(id)).map((id) => ({ because: MEDICATIONS.find((each) => each.id === id)!.name, region: null, side: null }));
  if ('beightonAtLeast' in premise) {
    const score = subject.beighton?.filter(Boolean).length ?? 0;
    return score >= premise.beightonAtLeast && ageInYears(subject.birthDate, onDay) >= ADULT ? whole(`Beighton ${score} of 9`) : [];
  }
  if ('underAge' in premise) {
    const age = ageInYears(subject.birthDate, onDay);
    return age < premise.underAge ? whole(`Age ${age}`) : [];
  }
  if ('raised' in premise) return context.raised.includes(premise.raised) ? whole(STOP_QUESTIONS.find((each) => each.id === premise.raised)!.words) : [];
  if ('daysToEventAtMost' in premise) return context.daysToEvent !== null && context.daysToEvent <= premise.daysToEventAtMost ? whole(context.daysToEvent === 0 ? 'Start today' : context.daysToEvent === 1 ? 'Start tomorrow' : `Start in ${context.daysToEvent} days`) : [];
  if ('daysSinceEventAtMost' in premise) return context.daysSinceEvent !== null && context.daysSinceEvent <= premise.daysSinceEventAtMost ? whole(context.daysSinceEvent === 0 ? 'Event today' : 'Event yesterday') : [];
  return subject.conditions.filter((condition) => {
    if (!premise.conditions.includes(condition.code)) return false;
    if (condition.resolvedOn !== null && condition.resolvedOn <= onDay && !premise.evenResolved) return false;
    if (premise.phases && !premise.phases.includes(surgeryPhase(condition.surgeryOn, onDay).phase)) return false;
    if (premise.cleared !== undefined && premise.cleared !== (condition.clearance !== null)) return false;
    const age = condition.onset === null ? null : daysBetween(condition.onset, onDay);
    if (premise.withinDays !== undefined && age !== null && age > premise.withinDays) return false;
    return premise.afterDays === undefined || (age !== null && age >= premise.afterDays);
  }).map((condition) => ({ because: conditionWords(condition, onDay), region: condition.region ?? conditionFacts(condition.code).region, side: condition.side }));
}

/** A place whose side was not said, or that is on both, meets either side; the middle meets both. */
export function sameSide(place: BodySide, side: Side): boolean {
  return place === null || place === 'both' || side === 'midline' || place === side;
}
