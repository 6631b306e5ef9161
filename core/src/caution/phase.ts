import { dayNumber } from '../body/index.ts';
import { conditionFacts } from './coded.ts';
import type { ConditionFields, SurgeryPhase } from './types.ts';

/** Whole weeks after which a phase begins. Common practice; the surgeon's own plan comes first. */
const BEGINS: readonly (readonly [weeks: number, phase: SurgeryPhase])[] = [
  [52, 'settled'],
  [12, 'remodel'],
  [6, 'repair'],
  [0, 'protect'],
];

export const PHASE_WORDS: Record<SurgeryPhase, string> = {
  protect: 'protect',
  repair: 'early repair',
  remodel: 'remodelling',
  settled: 'settled',
};

/**
 * Whole days from one calendar day to another, both `YYYY-MM-DD`; negative when the second comes first.
 * @example daysBetween('2026-10-07', '2026-11-25') // → 49
 */
export function daysBetween(from: string, to: string): number {
  return dayNumber(to) - dayNumber(from);
}

/**
 * Whole weeks since an operation and the phase it is in; an unknown date, or one to come, is the first phase.
 * @example surgeryPhase('2026-10-07', '2026-11-25').phase // → 'repair'
 */
export function surgeryPhase(surgeryOn: string | null, onDay: string): { readonly weeks: number | null; readonly phase: SurgeryPhase } {
  if (surgeryOn === null) return { weeks: null, phase: 'protect' };
  const weeks = Math.max(0, Math.floor(daysBetween(surgeryOn, onDay) / 7));
  return { weeks, phase: BEGINS.find(([from]) => weeks >= from)![1] };
}

/**
 * Whether a go-ahead is on file that counts: written on or after the day of the operation (of an operation whose day nobody knows: at
 * all), and not after today.
 */
export function isCleared({ clearance, surgeryOn }: Pick<ConditionFields, 'clearance' | 'surgeryOn'>, onDay: string): boolean {
  return clearance !== null && clearance.on <= onDay && (surgeryOn === null || clearance.on >= surgeryOn);
}

/** An operation that was called over inside the weeks in which it is protected, without a go-ahead: it is not over. */
export function stillProtected(condition: ConditionFields, onDay: string): boolean {
  if (!conditionFacts(condition.code).surgery || isCleared(condition, onDay)) return false;
  const { phase } = surgeryPhase(condition.surgeryOn, onDay);
  return condition.surgeryOn !== null && (phase === 'protect' || phase === 'repair' || phase === 'remodel');
}
