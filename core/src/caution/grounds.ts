import { ageInYears, type BodySide, type Muscle, type Region, type Side } from '../body/index.ts';
import { conditionFacts, MEDICATIONS, STOP_QUESTIONS, type ConditionCode } from './coded.ts';
import { daysBetween, isCleared, stillProtected, surgeryPhase } from './phase.ts';
import { RULES } from './rules/index.ts';
import type { CautionContext, ConditionFields, Rule } from './types.ts';
import { conditionWords } from './words.ts';

/** Somebody or something a rule can be about: the athlete as a whole, or one condition with its place. */
export interface Ground {
  readonly because: string;
  /** The same as a key that stays while days go by. */
  readonly key: string;
  readonly region: Region | null;
  readonly side: BodySide;
  readonly muscle: Muscle | null;
}

/** A rule with something in the athlete's facts that it is about. */
export interface Grounded {
  readonly rule: Rule;
  readonly ground: Ground;
}

/** What was found for a context, as long as somebody holds it: contexts are never changed, and many actions are asked of one. */
const found = new WeakMap<CautionContext, readonly Grounded[]>();

/** Rules about conditions, by the code of the condition: a file names few of many. */
const ABOUT = new Map<ConditionCode, Rule[]>();
for (const rule of RULES)
  if ('conditions' in rule.premise) for (const code of rule.premise.conditions) ABOUT.set(code, [...(ABOUT.get(code) ?? []), rule]);
const OTHER_RULES = RULES.filter((rule) => !('conditions' in rule.premise));

/** Every rule whose premise holds, once for each ground. What is being done plays no part yet. */
export function groundedRules(context: CautionContext): readonly Grounded[] {
  const known = found.get(context);
  if (known) return known;
  const { subject, onDay } = context;
  const grounded = [
    ...OTHER_RULES.flatMap((rule) => groundsOf(rule, context).map((ground) => ({ rule, ground }))),
    ...subject.conditions.flatMap((condition): Grounded[] => {
      const rules = (ABOUT.get(condition.code) ?? []).filter(({ premise }) => 'conditions' in premise && holds(premise, condition, onDay));
      if (rules.length === 0) return [];
      const ground: Ground = {
        because: conditionWords(condition, onDay),
        key: conditionKey(condition),
        region: condition.region ?? conditionFacts(condition.code).region,
        side: condition.side,
        muscle: condition.muscle,
      };
      return rules.map((rule) => ({ rule, ground }));
    }),
  ];
  found.set(context, grounded);
  return grounded;
}

function groundsOf({ premise }: Rule, context: CautionContext): Ground[] {
  const { subject, onDay } = context;
  const whole = (because: string, key: string): Ground[] => [{ because, key, region: null, side: null, muscle: null }];
  if ('always' in premise) return whole('Anatomy', 'anatomy');
  if ('medications' in premise)
    return subject.medications
      .filter((id) => premise.medications.includes(id))
      .flatMap((id) => whole(MEDICATIONS.find((each) => each.id === id)!.name, `medication/${id}`));
  const age = ageInYears(subject.birthDate, onDay);
  if ('beightonAtLeast' in premise) {
    const score = subject.beighton?.filter(Boolean).length ?? 0;
    const fits =
      score >= premise.beightonAtLeast &&
      (premise.underAge === undefined || age < premise.underAge) &&
      (premise.fromAge === undefined || age >= premise.fromAge);
    return fits ? whole(`Beighton ${score} of 9`, 'beighton') : [];
  }
  if ('underAge' in premise) return age < premise.underAge ? whole(`Age ${age}`, 'age') : [];
  if ('fromAge' in premise) return age >= premise.fromAge ? whole(`Age ${age}`, 'age') : [];
  if ('raised' in premise)
    return context.raised.includes(premise.raised)
      ? whole(STOP_QUESTIONS.find((each) => each.id === premise.raised)!.words, `raised/${premise.raised}`)
      : [];
  if ('daysToEventAtMost' in premise)
    return context.daysToEvent !== null && context.daysToEvent <= premise.daysToEventAtMost
      ? whole(
          context.daysToEvent === 0 ? 'Start today' : context.daysToEvent === 1 ? 'Start tomorrow' : `Start in ${context.daysToEvent} days`,
          'event',
        )
      : [];
  if ('daysSinceEventAtMost' in premise)
    return context.daysSinceEvent !== null && context.daysSinceEvent <= premise.daysSinceEventAtMost
      ? whole(context.daysSinceEvent === 0 ? 'Event today' : 'Event yesterday', 'event')
      : [];
  return [];
}

/** An injury nobody graded counts as a partial tear. */
const UNGRADED = 2;

/** Whether a condition on file is one a rule speaks of. What nobody knows counts as the careful case. */
function holds(premise: Extract<Rule['premise'], { readonly conditions: unknown }>, condition: ConditionFields, onDay: string): boolean {
  if (!premise.conditions.includes(condition.code)) return false;
  const over = condition.resolvedOn !== null && condition.resolvedOn <= onDay && !stillProtected(condition, onDay);
  if (premise.resolvedWithinDays !== undefined) return over && daysBetween(condition.resolvedOn!, onDay) <= premise.resolvedWithinDays;
  if (over && !premise.evenResolved) return false;
  if (premise.phases && !premise.phases.includes(surgeryPhase(condition.surgeryOn, onDay).phase)) return false;
  if (premise.cleared !== undefined && premise.cleared !== isCleared(condition, onDay)) return false;
  if (premise.grades && !premise.grades.includes(condition.grade ?? UNGRADED)) return false;
  const began = condition.onset ?? condition.surgeryOn;
  const age = began === null ? null : daysBetween(began, onDay);
  if (premise.withinDays !== undefined && age !== null && age > premise.withinDays) return false;
  return premise.afterDays === undefined || (age !== null && age >= premise.afterDays);
}

/** A place and kind that stay the same while the words count days. */
export function conditionKey({ code, region, side, muscle, onset, surgeryOn }: ConditionFields): string {
  return [code, region ?? '', side ?? '', muscle ?? '', onset ?? surgeryOn ?? ''].join('/');
}

/** A place whose side was not said, or that is on both, meets either side; the middle meets both. */
export function sameSide(place: BodySide, side: Side): boolean {
  return place === null || place === 'both' || side === 'midline' || place === side;
}
