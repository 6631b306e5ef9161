import {
  readinessOf,
  told,
  type Against,
  type CheckIn,
  type ReadinessFacts,
  type ReadinessVerdict,
  type ScaleId,
} from '../readiness/index.ts';

/** One value of this morning beside what is usual for its owner. */
export interface MorningValue {
  readonly id: string;
  readonly name: string;
  readonly value: number | null;
  /** Median and one own unit; null while they are not known. */
  readonly normal: { readonly median: number; readonly unit: number } | null;
  /** Answers that are missing before a normal is known; 0 when it is. */
  readonly missing: number;
  /** Own units off; positive is worse. */
  readonly off: number | null;
}

/** A verdict as far as a list needs it: what it limits is for the visit. */
export interface MorningVerdict extends Pick<ReadinessVerdict, 'word' | 'weight' | 'missing'> {
  /** Strongest first. */
  readonly reasons: readonly { readonly ruleId: string; readonly reason: string }[];
}

/** One athlete's morning. */
export interface MorningRow {
  readonly id: string;
  readonly name: string;
  readonly verdict: MorningVerdict;
  /** Today's answers, or null where there are none yet. */
  readonly answered: Pick<CheckIn, 'at' | 'sore'> | null;
  readonly sum: MorningValue;
  readonly items: readonly MorningValue[];
  readonly hours: MorningValue;
  readonly load: MorningValue;
}

/** A squad's or a whole practice's morning. */
export interface MorningPage {
  readonly date: string;
  readonly scale: ScaleId;
  readonly rows: readonly MorningRow[];
}

/** A list shows one decimal; what is sent of it need not be longer than that takes. */
const brief = (value: number): number => Math.round(value * 1000) / 1000;
const valueOf = ({ id, name, value, normal, off }: Against): MorningValue => ({
  id,
  name,
  value,
  normal: normal.kind === 'known' ? { median: brief(normal.median), unit: brief(normal.unit) } : null,
  missing: normal.kind === 'known' ? 0 : normal.missing,
  off: off === null ? null : brief(off),
});

/** What one athlete's morning comes to. */
export function morningOf(athlete: Pick<MorningRow, 'id' | 'name'>, facts: ReadinessFacts, scale: ScaleId): MorningRow {
  const { today, sum, items, sleep, load, signals } = told(facts, scale);
  const { word, weight, missing, reasons } = readinessOf(signals);
  return {
    ...athlete,
    verdict: { word, weight, missing, reasons: reasons.map(({ ruleId, reason }) => ({ ruleId, reason })) },
    answered: today && { at: today.at, sore: today.sore },
    sum: valueOf(sum),
    items: items.map(valueOf),
    hours: valueOf(sleep),
    load: valueOf(load),
  };
}

const RANK: Readonly<Record<ReadinessVerdict['word'], number>> = { hold: 0, ease: 1, ready: 2, 'not known': 3 };

/** Most worrying first: hold, ease, ready, not known; then the heavier reasons; then by name. */
export function byUrgency(rows: readonly MorningRow[]): MorningRow[] {
  return [...rows].sort(
    (a, b) => RANK[a.verdict.word] - RANK[b.verdict.word] || b.verdict.weight - a.verdict.weight || a.name.localeCompare(b.name),
  );
}
