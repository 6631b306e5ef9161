import { placeWords } from '../body/index.ts';
import { conditionFacts } from './coded.ts';
import { daysBetween, PHASE_WORDS, surgeryPhase } from './phase.ts';
import type { ConditionFields } from './types.ts';

/** The words of a condition with its place, and its age or its weeks and phase. */
export function conditionWords(condition: ConditionFields, onDay: string): string {
  const facts = conditionFacts(condition.code);
  const region = condition.region ?? facts.region;
  const name = region && (facts.chooseRegion || condition.side) ? `${facts.name}, ${placeWords(region, condition.side)}` : facts.name;
  if (condition.resolvedOn) return `${name}, past`;
  if (facts.surgery) {
    const { weeks, phase } = surgeryPhase(condition.surgeryOn, onDay);
    return weeks === null ? `${name}, date not known` : `${name}, ${weeks} ${weeks === 1 ? 'week' : 'weeks'}, ${PHASE_WORDS[phase]}`;
  }
  if (condition.onset === null) return name;
  const days = Math.max(0, daysBetween(condition.onset, onDay));
  return days < 14 ? `${name}, ${days} ${days === 1 ? 'day' : 'days'}` : days < 120 ? `${name}, ${Math.floor(days / 7)} weeks` : name;
}
