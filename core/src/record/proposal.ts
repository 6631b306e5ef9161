import { JOINT_REGIONS, MOTIONS, type BodySide, type Motion, type Region, type Side } from '../body/index.ts';
import { formatValue, type ErrorKnowledge } from '../measure/index.ts';
import { sportAsking, type SportingPerson } from '../sport/index.ts';
import { compareMotion, type ValueToday } from './comparison.ts';
import { roundSeconds } from './round.ts';
import type { Goal, PastReading } from './visit.ts';

export interface MeasureReason {
  readonly words: string;
  /** Larger is more urgent. */
  readonly weight: number;
}

export interface MeasureProposal {
  readonly motion: Motion;
  readonly reasons: readonly MeasureReason[];
  readonly weight: number;
  /** Whether it is part of what fits the minutes. */
  readonly fits: boolean;
}

export interface ProposalFacts {
  readonly person: SportingPerson;
  readonly complaint: { readonly region: Region | null; readonly side: BodySide };
  readonly goals: readonly Goal[];
  readonly past: readonly PastReading[];
  readonly errors: ErrorKnowledge;
  /** ISO date of today, and the day an instant falls on. */
  readonly today: string;
  readonly dayOf: (instant: string) => string;
  /** Whether something speaks against measuring a motion at all. */
  readonly forbidden: (motion: Motion) => boolean;
}

/** The joint a complaint is about comes with its usual first readings; more than these are asked for by name. */
const FIRST_OF_REGION = 3;
const DUE_DAYS = 28;
const DAY_MS = 86_400_000;

/**
 * What to measure today, most wanted first, and how much of it fits the minutes.
 *
 * Reasons add up: short last time (3, and a little more the further it falls short), a goal (4), worked on last time, so was
 * it kept (2.5), the complaint is here (3), the sport asks for it (1), not read for four weeks (1). Motions are then taken in
 * the order of their weight as long as the round of all taken so far, turns included, fits; a later one that still fits is
 * not kept out by an earlier one that does not. Motions that cautions forbid are left out. Weights are common practice.
 */
export function proposeMeasuring(facts: ProposalFacts, minutes: number): MeasureProposal[] {
  const wanted = MOTIONS.filter((motion) => !facts.forbidden(motion))
    .map((motion) => ({ motion, reasons: reasonsFor(motion, facts) }))
    .filter(({ reasons }) => reasons.length > 0)
    .map((each) => ({ ...each, weight: each.reasons.reduce((sum, reason) => sum + reason.weight, 0) }))
    .sort((a, b) => b.weight - a.weight);
  const taken: Motion[] = [];
  return wanted.map((each) => {
    const fits = roundSeconds([...taken, each.motion]) <= minutes * 60;
    if (fits) taken.push(each.motion);
    return { ...each, reasons: [...each.reasons].sort((a, b) => b.weight - a.weight), fits };
  });
}

function reasonsFor(motion: Motion, facts: ProposalFacts): MeasureReason[] {
  const readings = facts.past.filter((reading) => reading.motionId === motion.id);
  return [
    ...lastTime(motion, readings, facts),
    ...goalReasons(motion, readings, facts),
    ...complaintReasons(motion, readings, facts),
    ...sportReasons(motion, readings, facts),
  ];
}

function lastTime(motion: Motion, readings: readonly PastReading[], facts: ProposalFacts): MeasureReason[] {
  const latest = readings.findLast((reading) => reading.moment === 'before');
  if (!latest) return [];
  const thatVisit = readings.filter((reading) => reading.visitId === latest.visitId);
  const values = thatVisit.map((reading): ValueToday => reading);
  const { sides, sideVerdict } = compareMotion(motion, 'before', {
    person: facts.person,
    onDay: facts.dayOf(latest.startsAt),
    // The arc of an arm is judged by both ways it turns: everything of that visit is looked at.
    today: [...values, ...facts.past.filter((reading) => reading.visitId === latest.visitId && reading.motionId !== motion.id)],
    past: [],
    errors: facts.errors,
  });
  const out: MeasureReason[] = [];
  const short = sides.filter((each) => each.short && each.error);
  if (short.length > 0) {
    const worst = Math.max(
      ...short.map(
        (each) => (each.reference?.kind === 'below' ? each.reference.missing : (sideVerdict?.difference ?? 0)) / each.error!.sem,
      ),
    );
    const words =
      sideVerdict?.kind === 'real'
        ? sideVerdict.words
        : `${short.length === 2 ? 'both sides' : short[0]!.side === 'midline' ? 'it was' : short[0]!.side} short last time`;
    out.push({ words, weight: 3 + Math.min(2, worst / 5) });
  }
  if (thatVisit.some((reading) => reading.moment === 'after')) out.push({ words: 'worked on last time: was it kept?', weight: 2.5 });
  const days = (Date.parse(facts.today) - Date.parse(facts.dayOf(latest.startsAt))) / DAY_MS;
  if (days >= DUE_DAYS) out.push({ words: `not read for ${Math.floor(days / 7)} weeks`, weight: 1 });
  return out;
}

function goalReasons(motion: Motion, readings: readonly PastReading[], { goals }: ProposalFacts): MeasureReason[] {
  return goals
    .filter((goal) => goal.motionId === motion.id)
    .map((goal) => {
      const last = readings.findLast((reading) => reading.side === goal.side && reading.moment === 'before');
      const togo = last ? (motion.better === 'higher' ? goal.value - last.value : last.value - goal.value) : null;
      const left = togo === null ? '' : togo > 0 ? `, ${formatValue(togo, motion.unit)} to go` : ', reached last time';
      return {
        words: `goal ${sideWords(goal.side)}${formatValue(goal.value, motion.unit)}${goal.byDate ? ` by ${goal.byDate}` : ''}${left}`,
        weight: togo !== null && togo <= 0 ? 1.5 : 4,
      };
    });
}

const sideWords = (side: Side): string => (side === 'midline' ? '' : `${side} `);

function complaintReasons(motion: Motion, readings: readonly PastReading[], { complaint }: ProposalFacts): MeasureReason[] {
  if (complaint.region === null || !JOINT_REGIONS[motion.joint].includes(complaint.region)) return [];
  // The closest joint first: it names the region first. A joint further off only counts for what is read anyway.
  const isClosest = JOINT_REGIONS[motion.joint].indexOf(complaint.region) === 0;
  const usual = MOTIONS.filter((each) => each.joint === motion.joint)
    .slice(0, FIRST_OF_REGION)
    .includes(motion);
  if (readings.length === 0 && !usual) return [];
  return [{ words: 'the complaint is here', weight: isClosest ? 3 : 1.5 }];
}

function sportReasons(motion: Motion, readings: readonly PastReading[], { person }: ProposalFacts): MeasureReason[] {
  const asking = sportAsking(person.sports, motion.id)?.toLowerCase();
  if (asking === undefined) return [];
  return [
    {
      words: readings.length > 0 ? `${asking} asks for it` : `${asking} asks for it, no starting value yet`,
      weight: readings.length > 0 ? 1 : 1.5,
    },
  ];
}
