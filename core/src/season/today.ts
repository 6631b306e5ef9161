import { anyLimit, daysBetween, NO_LIMITS, type DayLimit } from '../caution/index.ts';
import { DEVELOP_WORDS, PHASE_NAMES, phaseRule } from './phases.ts';
import { blockOn, laidOver } from './plan.ts';
import type { Develop, PhaseRule, SeasonEvent, SeasonPlan, Stay } from './types.ts';

/** Where an athlete is in the season on a day. */
export interface SeasonDay {
  /** What the phase asks for, as the practice has it. */
  readonly rule: PhaseRule;
  readonly from: string;
  readonly until: string;
  /** Whose season it is, in words; `own` where it is the athlete's own. */
  readonly whose: string;
  /** The next event they are at, or null. */
  readonly event: SeasonEvent | null;
}

/** What is known to say where somebody is: the plan that is followed, their own over it, and the events ahead they are at. */
export interface SeasonFacts {
  readonly followed: { readonly name: string; readonly plan: SeasonPlan } | null;
  readonly own: SeasonPlan | null;
  readonly rules: readonly PhaseRule[];
  readonly events: readonly SeasonEvent[];
}

/** Where somebody is in the season on a day; null where no block is laid out for it. */
export function seasonDay({ followed, own, rules, events }: SeasonFacts, day: string): SeasonDay | null {
  const block = blockOn(laidOver(followed?.plan.blocks ?? [], own?.blocks ?? []), day);
  if (!block) return null;
  const ahead = events.filter(({ onDate }) => onDate >= day).sort((a, b) => (a.onDate < b.onDate ? -1 : 1));
  return {
    rule: phaseRule(block.phase, rules),
    from: block.from,
    until: block.until,
    whose: block.own ? 'own' : followed!.name,
    // What the season is for is named rather than a race that is trained through.
    event: ahead.find(({ onDate, importance }) => onDate <= block.until && importance < 3) ?? ahead[0] ?? null,
  };
}

/** The camp or journey somebody is on that day: their own, or that of those they follow. */
export const stayOn = (plans: readonly (SeasonPlan | null)[], day: string): Stay | null =>
  plans.flatMap((plan) => plan?.stays ?? []).find(({ from, until }) => from <= day && day <= until) ?? null;

/**
 * An event and how far it is, as reasons say it.
 * @example eventAhead({ id: '1', name: 'Head race', onDate: '2026-12-05', importance: 1 }, '2026-11-26') // → 'Head race in 9 days'
 */
export function eventAhead({ name, onDate }: SeasonEvent, today: string): string {
  const days = daysBetween(today, onDate);
  return `${name} ${days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`}`;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
/** A day as reasons say it: "20 Dec". */
const dayInWords = (day: string): string => `${Number(day.slice(8))} ${MONTHS[Number(day.slice(5, 7)) - 1]}`;

/** What the phase is there for in a few words: the event it leads to, or its last day. */
export const phaseBecause = ({ event, until }: SeasonDay, today: string): string =>
  event !== null && event.onDate <= until ? eventAhead(event, today) : `until ${dayInWords(until)}`;

/** Whether nothing new counts on a day: all through the phase, or only near its event. */
function newIsOut({ rule, event }: SeasonDay, today: string): boolean {
  if (rule.newWork === 'any') return false;
  if (rule.newWorkDays === null) return true;
  return event !== null && daysBetween(today, event.onDate) <= rule.newWorkDays;
}

/** How far ahead an event counts as the reason of a phase, where the phase itself does not reach it. */
const REASON_DAYS = 60;

/** The id of a phase's limits, by which they are set aside. */
export const phaseLimitId = ({ rule }: SeasonDay): string => `phase-${rule.id}`;

/**
 * What a phase holds back on a day, as limits for the work like every other: its numbers, and what is new to the athlete.
 * `had`: keys of the work they have had. Each can be set aside with a word by its id.
 */
export function phaseLimits(at: SeasonDay | null, today: string, had: readonly string[]): DayLimit[] {
  if (at === null) return [];
  const { rule, event } = at;
  const near =
    event !== null && daysBetween(today, event.onDate) <= REASON_DAYS ? eventAhead(event, today) : `until ${dayInWords(at.until)}`;
  const name = PHASE_NAMES[rule.id];
  const found: DayLimit[] = [];
  const limits = { ...NO_LIMITS, ...rule.limits };
  if (anyLimit(limits) || rule.minutesShare < 1)
    found.push({
      id: phaseLimitId(at),
      because: `${name}: ${near}`,
      reason: rule.words || `${name} until ${dayInWords(at.until)}.`,
      instead: 'Within the phase’s limits.',
      limits,
      muscles: null,
      side: null,
    });
  if (newIsOut(at, today))
    found.push({
      id: `phase-${rule.id}-new`,
      because: `${rule.newWork === 'nothing' ? 'Nothing new' : 'No new ways'}: ${near}`,
      reason:
        rule.newWork === 'nothing'
          ? 'They have not had this work in this way in the last half year.'
          : 'They have not had this way of working in the last half year.',
      instead: 'What they know, or after the event.',
      limits: NO_LIMITS,
      muscles: null,
      side: null,
      onlyNew: { what: rule.newWork === 'nothing' ? 'work' : 'way', had },
    });
  return found;
}

/** How far range is developed on a day, and why no further. */
export interface PhaseHold {
  readonly develop: Develop;
  readonly because: string;
}

/** What a phase leaves of developing range: null where it leaves everything. */
export const phaseHold = (at: SeasonDay | null, today: string): PhaseHold | null =>
  at === null || at.rule.develop === 'all'
    ? null
    : { develop: at.rule.develop, because: `${DEVELOP_WORDS[at.rule.develop]}: ${phaseBecause(at, today)}` };
