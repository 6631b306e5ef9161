import { muscleFacts } from '../body/index.ts';
import { NO_LIMITS, anyLimit, type DayLimit } from '../caution/index.ts';
import type { Trained } from '../load/index.ts';
import type { SorePlace } from './types.ts';
import type { ReadinessVerdict } from './verdict.ts';

const SORE_FROM = 4;
const VERY_SORE_FROM = 7;
const HARD_FROM = 5;

/** Ids of the limits that are the word's own and not one reason's. */
const WORD_LIMIT = 'readiness';

/**
 * What a day's readiness holds back, as limits for the work: of each reason its own, of the word what it comes to together, of a sore
 * place its muscle, and of what was trained hard yesterday its muscles. One that was set aside with a word is left out. Give it the
 * verdict without the reasons that were set aside, so that they weigh nothing in the word either.
 */
export function dayLimits(
  verdict: ReadinessVerdict,
  sore: readonly SorePlace[],
  trained: readonly Trained[],
  setAside: ReadonlySet<string> = new Set(),
): DayLimit[] {
  const found: DayLimit[] = [];
  if (anyLimit(verdict.limits))
    found.push({
      id: `${WORD_LIMIT}-${verdict.word}`,
      because: verdict.word === 'hold' ? 'Hold today' : 'Ease today',
      reason: verdict.reasons.map(({ reason }) => reason).join(' '),
      instead: verdict.word === 'hold' ? 'Comfort and easy motion only, or not today.' : 'Shorter, lighter, nothing new.',
      limits: verdict.limits,
      muscles: null,
      side: null,
    });
  for (const each of verdict.reasons)
    if (anyLimit(each.limits))
      found.push({
        id: each.ruleId,
        because: each.reason.replace(/\.$/, ''),
        reason: each.reason,
        instead: `Lighter until ${each.until}.`,
        limits: each.limits,
        muscles: null,
        side: null,
      });
  for (const place of sore)
    if (place.score >= SORE_FROM) {
      const very = place.score >= VERY_SORE_FROM;
      const name = `${place.side ? `${place.side} ` : ''}${muscleFacts(place.muscle).name}`;
      found.push({
        id: `sore-${place.side ?? 'middle'}-${place.muscle}`,
        because: `Sore today: ${name}, ${place.score} of 10`,
        reason: `The ${name} is sore to ${place.score}.`,
        instead: very ? 'Leave it, or comfort only.' : 'Lighter there, and ask again.',
        limits: {
          ...NO_LIMITS,
          ...(very ? { effortPct: 0, edgeShare: 0.8, painCeiling: 2, pressS: 60 } : { effortPct: 30, edgeShare: 0.9, painCeiling: 3 }),
        },
        muscles: [place.muscle],
        side: place.side,
      });
    }
  for (const each of trained)
    if (each.muscles.length > 0 && (each.exertion ?? 0) >= HARD_FROM)
      found.push({
        id: `trained-${each.kind?.id ?? each.name}`,
        because: `Trained yesterday: ${each.name.toLowerCase()}, ${each.minutes} min at ${each.exertion} of 10`,
        reason: 'These muscles worked hard yesterday.',
        instead: 'Milder contractions there.',
        limits: { ...NO_LIMITS, effortPct: 40, edgeShare: 0.95 },
        muscles: each.muscles,
        side: null,
      });
  return found.filter((limit, i) => !setAside.has(limit.id) && found.findIndex(({ id }) => id === limit.id) === i);
}
