import { motionOf, type Side } from '../body/index.ts';
import { conditionWords, daysBetween, PHASE_WORDS, surgeryPhase, conditionFacts, type ConditionFields } from '../caution/index.ts';
import type { Known, Middle } from '../forecast/index.ts';
import { addDays } from '../load/index.ts';
import { formatValue, type ErrorKnowledge } from '../measure/index.ts';
import type { Goal } from '../record/index.ts';
import { phaseHold, type Block, type Develop, type PhaseRule, type SeasonDay } from '../season/index.ts';
import { degreesPer } from '../session/index.ts';
import { goalStanding } from './goalStanding.ts';
import { timeOf, type Reading, type ResponseFacts } from './occasions.ts';
import { keptByVisits } from './visitWorth.ts';

/** What says whether an athlete is due. */
export interface DueFacts {
  readonly id: string;
  readonly name: string;
  readonly response: ResponseFacts;
  readonly conditions: readonly ConditionFields[];
  readonly goals: readonly Goal[];
  /** Instants of the last visit that was held and of the next that is booked. */
  readonly lastVisitAt: string | null;
  readonly nextVisitAt: string | null;
  /** What the last visit left to look at, and whether it ended with somebody else. */
  readonly lookFirst: string;
  readonly referred: boolean;
  readonly season: SeasonDay | null;
  readonly line: readonly Block[];
}

export interface DueFile {
  readonly athletes: readonly DueFacts[];
  readonly rules: readonly PhaseRule[];
  readonly errors: ErrorKnowledge;
  /** How many athletes the practice has; not all of them are looked at. */
  readonly total: number;
}

/** How one motion and side of an athlete answers, as far as a due list needs it. */
export interface DueKnown {
  readonly motionId: string;
  readonly side: Side;
  readonly known: Known;
  /** Of one more visit like those of late. */
  readonly usualGain: number;
  /** When it was last read or worked on, in days since 1970. */
  readonly since: number;
}

export type DueKind = 'must' | 'look' | 'path' | 'unseen' | 'unmeasured';

export interface DueReason {
  readonly kind: DueKind;
  readonly words: string;
  /** The same where there is little room. */
  readonly short?: string;
}

export interface DueRow {
  readonly athleteId: string;
  readonly name: string;
  /** The gravest first. */
  readonly reasons: readonly DueReason[];
  /** What the next visit is expected to leave of what is wanted most, in the motion's unit, with 80 in 100 of it; null without a goal to go after. */
  readonly brings: { readonly motionId: string; readonly side: Side; readonly kept: Middle } | null;
  /** What holds it back in the season, in words, or nothing. */
  readonly held: string;
}

/** Days after which somebody counts as not seen, not measured, and within which a booked visit answers for it. Common practice. */
export const DUE_DAYS = { unseen: 21, unmeasured: 28, booked: 10, week: 7 } as const;

const ORDER: readonly DueKind[] = ['must', 'look', 'path', 'unseen', 'unmeasured'];

/**
 * Who is due and why: what must be seen first (the phase after an operation changes within a week), then what was left to look at, then by
 * what the next visit is expected to bring of what is wanted, in degrees. Who has a visit booked within ten days is not due, nor is who has
 * no reason. `known`: how their motions answer, by athlete.
 */
export function dueRows(
  file: DueFile,
  known: ReadonlyMap<string, readonly DueKnown[]>,
  reading: Reading & { readonly now: string },
): DueRow[] {
  const today = reading.dayOf(reading.now);
  return file.athletes
    .flatMap((facts) => {
      const reasons = reasonsFor(facts, file.rules, reading, today);
      const booked = facts.nextVisitAt !== null && daysBetween(today, reading.dayOf(facts.nextVisitAt)) <= DUE_DAYS.booked;
      if (reasons.length === 0 || booked) return [];
      const hold = phaseHold(facts.season, today);
      return [
        {
          row: {
            athleteId: facts.id,
            name: facts.name,
            reasons,
            brings: bringsMost(facts, known.get(facts.id) ?? [], timeOf(reading.now), hold?.develop ?? 'all'),
            held: hold?.because ?? '',
          } satisfies DueRow,
          first: Math.min(2, ...reasons.map(({ kind }) => ORDER.indexOf(kind))),
        },
      ];
    })
    .sort((a, b) => a.first - b.first || worth(b.row) - worth(a.row) || (a.row.name < b.row.name ? -1 : a.row.name > b.row.name ? 1 : 0))
    .map(({ row }) => row);
}

const worth = ({ brings }: DueRow) => (brings ? brings.kept.middle * degreesPer(brings.motionId) : 0);

/** The motion of which the next visit is expected to leave most towards its goal; nothing where range is only kept. */
function bringsMost(facts: DueFacts, known: readonly DueKnown[], now: number, develop: Develop): DueRow['brings'] {
  const most = develop === 'none' ? null : keptByVisits(facts, known, now, 1, 1);
  return most && { motionId: most.motionId, side: most.side, kept: most.kept[0]! };
}

/** Why somebody is due, the gravest first. */
export function reasonsFor(facts: DueFacts, rules: readonly PhaseRule[], reading: Reading, today: string): DueReason[] {
  const reasons: DueReason[] = [];
  for (const condition of facts.conditions) {
    const change = phaseChange(condition, today);
    if (change) reasons.push({ kind: 'must', words: `${conditionWords(condition, today)}: ${change}`, short: change });
  }
  if (facts.referred) reasons.push({ kind: 'look', words: 'Sent to somebody else at the last visit, not seen since' });
  else if (facts.lookFirst.trim() !== '') reasons.push({ kind: 'look', words: `To look at first: ${facts.lookFirst.trim()}` });
  for (const goal of facts.goals) {
    const standing = goalStanding(goal, facts.response.past, { blocks: facts.line, rules }, { ...reading, today });
    if (standing?.against.kind === 'under')
      reasons.push({
        kind: 'path',
        words: `${motionOf(goal.motionId).name}${goal.side === 'midline' ? '' : ` ${goal.side}`}: ${standing.words}`,
      });
  }
  const seen = facts.lastVisitAt === null ? null : daysBetween(reading.dayOf(facts.lastVisitAt), today);
  if (seen === null) reasons.push({ kind: 'unseen', words: 'Never seen yet' });
  else if (seen >= DUE_DAYS.unseen) reasons.push({ kind: 'unseen', words: `Not seen for ${seen} days` });
  const read = facts.response.past.findLast(({ moment }) => moment === 'before');
  const measured = read ? daysBetween(reading.dayOf(read.startsAt), today) : null;
  if (seen !== null && (measured === null || measured >= DUE_DAYS.unmeasured))
    reasons.push({
      kind: 'unmeasured',
      words: measured === null ? 'Never measured' : `Not measured for ${measured} days: the level is not known`,
    });
  return reasons.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind));
}

/** The phase that begins within a week after an operation, in words, or null. */
function phaseChange(condition: ConditionFields, today: string): string | null {
  const { code, surgeryOn, resolvedOn } = condition;
  if (surgeryOn === null || surgeryOn > today || (resolvedOn !== null && resolvedOn <= today) || !conditionFacts(code).surgery) return null;
  const now = surgeryPhase(surgeryOn, today).phase;
  for (let days = 1; days <= DUE_DAYS.week; days++) {
    const then = surgeryPhase(surgeryOn, addDays(today, days));
    if (then.phase !== now)
      return `week ${then.weeks} and ${PHASE_WORDS[then.phase]} begin ${days === 1 ? 'tomorrow' : `in ${days} days`}, new limits`;
  }
  return null;
}

/** What a visit brings, as a row says it. */
export const bringsWords = ({ motionId, kept }: NonNullable<DueRow['brings']>): string =>
  `${kept.middle >= 0 ? '+' : '−'}${formatValue(Math.abs(kept.middle), motionOf(motionId).unit, 1)}`;
