import { JOINT_REGIONS, motionOf, MOTIONS, type BodySide, type Motion, type Region, type Side } from '../body/index.ts';
import { formatValue, type ErrorKnowledge } from '../measure/index.ts';
import type { PhaseHold } from '../season/index.ts';
import { askedOf, sportAsking, type SportingPerson } from '../sport/index.ts';
import { compareMotion, type Goal, type PastBlock, type PastReading, type ValueToday } from '../record/index.ts';

/** Part of why a motion is worth minutes: a share on top of one. */
export interface Term {
  readonly words: string;
  /** Added to the weight of one. */
  readonly weight: number;
}

/** What is to be won on one side of a motion. */
export interface Wanted {
  readonly motion: Motion;
  readonly side: Side;
  /** Today's edge, or the last one known. */
  readonly edge: number;
  readonly measuredToday: boolean;
  /** How far to go, in the motion's unit; zero: nothing beyond the error. */
  readonly missing: number;
  readonly because: string;
  readonly terms: readonly Term[];
  /** One plus all terms. */
  readonly weight: number;
}

export interface WantedFacts {
  readonly person: SportingPerson;
  readonly onDay: string;
  readonly today: readonly ValueToday[];
  readonly past: readonly PastReading[];
  readonly pastBlocks: readonly PastBlock[];
  readonly goals: readonly Goal[];
  readonly complaint: { readonly region: Region | null; readonly side: BodySide };
  readonly errors: ErrorKnowledge;
  readonly daysToEvent: number | null;
  /** What the season's phase leaves of developing range; left out or null: everything. */
  readonly hold?: PhaseHold | null;
}

const EVENT_NEAR_DAYS = 14;
const LONG_AGO_DAYS = 7;
const DAY_MS = 86_400_000;
/** A motion that was worked on within so many days is under way. Common practice. */
const UNDER_WAY_DAYS = 42;

/**
 * What is to be won, motion by motion and side by side, from today's readings and, where there is a goal, from the last ones.
 *
 * What is missing is the largest of: the way to the goal, to the lower end of the reference, to what the sport asks for (where the
 * reading is surely short of it), and what a real side difference leaves beyond what the sport explains; they are largely the same
 * range, so they are not added. A shortfall inside the error is nothing.
 * Its weight is one, and more for a real side difference (0.5), a goal (0.5), a complaint here (0.75), an event near that asks for it
 * (0.5), a sport that asks for it (0.25), and a week and more without work on it (0.25). Weights are common practice.
 *
 * A phase of the season can hold it back: to what is under way (a goal, work in the last six weeks, today's complaint), or to keeping that.
 * Keeping is as much as was there at the best reading of those six weeks, and at least what one usual round brings. So a phase takes
 * away from what is missing and never adds to it.
 */
export function wantedMotions(facts: WantedFacts): Wanted[] {
  const before = facts.today.filter((value) => value.moment === 'before');
  const wanted = MOTIONS.filter(
    (motion) => before.some((value) => value.motionId === motion.id) || facts.goals.some((goal) => goal.motionId === motion.id),
  );
  return wanted.flatMap((motion) => wantedOf(motion, before, facts));
}

function wantedOf(motion: Motion, before: readonly ValueToday[], facts: WantedFacts): Wanted[] {
  const measured = before.filter((value) => value.motionId === motion.id);
  const lastOf = (side: Side) =>
    facts.past.findLast((reading) => reading.motionId === motion.id && reading.side === side && reading.moment === 'before');
  const values = motion.sides.flatMap((side): ValueToday[] => {
    const now = measured.find((value) => value.side === side);
    const last = lastOf(side);
    return now ? [now] : last ? [last] : [];
  });
  const { sides, sideVerdict } = compareMotion(motion, 'before', {
    person: facts.person,
    onDay: facts.onDay,
    // The arc of an arm is judged by both ways it turns: what else was read today is looked at too.
    today: [...values, ...before.filter((value) => value.motionId !== motion.id)],
    past: [],
    errors: facts.errors,
  });
  return sides.flatMap((each): Wanted[] => {
    if (!each.now) return [];
    const gaps: { missing: number; because: string }[] = [];
    const goal = facts.goals.find((other) => other.motionId === motion.id && other.side === each.side);
    const toGoal = goal ? (motion.better === 'higher' ? goal.value - each.now.value : each.now.value - goal.value) : 0;
    if (goal && toGoal > 0)
      gaps.push({ missing: toGoal, because: `${formatValue(toGoal, motion.unit)} to the goal of ${formatValue(goal.value, motion.unit)}` });
    if (each.reference?.kind === 'below') gaps.push({ missing: each.reference.missing, because: each.reference.words });
    const demand = askedOf(facts.person.sports, motion.id, each.side);
    const toDemand = demand ? (motion.better === 'higher' ? demand.value - each.now.value : each.now.value - demand.value) : 0;
    // Between what the sport asks and what was read there is the error of the reading: within it nothing is said to be missing.
    if (demand && each.errorOverDays && toDemand > 1.96 * each.errorOverDays.sem)
      gaps.push({
        missing: toDemand,
        because: `${formatValue(toDemand, motion.unit)} short of the ${formatValue(demand.value, motion.unit)} that ${demand.sport.toLowerCase()} asks for`,
      });
    const real = sideVerdict?.kind === 'real' && sideVerdict.stiffer === each.side;
    if (real) gaps.push({ missing: sideVerdict.unexplained, because: sideVerdict.words });
    const largest = withinPhase(motion, each.side, each.now.value, gaps.sort((a, b) => b.missing - a.missing)[0], facts);
    const terms = termsOf(motion, each.side, { real, goal: goal !== undefined && toGoal > 0 }, facts);
    return [
      {
        motion,
        side: each.side,
        edge: each.now.value,
        measuredToday: measured.some((value) => value.side === each.side),
        missing: largest?.missing ?? 0,
        because: largest?.because ?? 'nothing beyond the error',
        terms,
        weight: 1 + terms.reduce((sum, term) => sum + term.weight, 0),
      },
    ];
  });
}

interface Gap {
  readonly missing: number;
  readonly because: string;
}

/** What a phase leaves of the largest gap, with its reason. */
function withinPhase(motion: Motion, side: Side, now: number, gap: Gap | undefined, facts: WantedFacts): Gap | undefined {
  const hold = facts.hold ?? null;
  if (!gap || hold === null || (hold.develop !== 'begun' && hold.develop !== 'none')) return gap;
  const lately = (startsAt: string) => (Date.parse(facts.onDay) - Date.parse(startsAt.slice(0, 10))) / DAY_MS <= UNDER_WAY_DAYS;
  const underWay =
    facts.goals.some((goal) => goal.motionId === motion.id && goal.side === side) ||
    facts.pastBlocks.some((block) => block.motionId === motion.id && lately(block.startsAt)) ||
    complaintHere(motion, side, facts);
  if (!underWay) return { missing: 0, because: hold.because };
  if (hold.develop === 'begun') return gap;
  const lost = facts.past
    .filter((each) => each.motionId === motion.id && each.side === side && each.moment === 'before' && lately(each.startsAt))
    .map(({ value }) => (motion.better === 'higher' ? value - now : now - value));
  return { missing: Math.min(gap.missing, Math.max(motion.roundGain[0]!, ...lost)), because: `${hold.because}; ${gap.because}` };
}

function complaintHere(motion: Motion, side: Side, { complaint: { region, side: where } }: WantedFacts): boolean {
  return (
    region !== null &&
    JOINT_REGIONS[motion.joint].includes(region) &&
    (where === null || where === 'both' || side === 'midline' || where === side)
  );
}

function termsOf(motion: Motion, side: Side, { real, goal }: { real: boolean; goal: boolean }, facts: WantedFacts): Term[] {
  const terms: Term[] = [];
  if (real) terms.push({ words: 'a real side difference', weight: 0.5 });
  if (goal) terms.push({ words: 'a goal is set', weight: 0.5 });
  if (complaintHere(motion, side, facts)) terms.push({ words: 'the complaint is here', weight: 0.75 });
  const asked = sportAsking(facts.person.sports, motion.id)?.toLowerCase();
  if (asked !== undefined) {
    const near = facts.daysToEvent !== null && facts.daysToEvent >= 0 && facts.daysToEvent <= EVENT_NEAR_DAYS;
    terms.push(
      near
        ? { words: `${asked} asks for it, and there is a start in ${facts.daysToEvent} days`, weight: 0.5 }
        : { words: `${asked} asks for it`, weight: 0.25 },
    );
  }
  const last = facts.pastBlocks.findLast((block) => block.motionId === motion.id);
  const days = last ? Math.floor((Date.parse(facts.onDay) - Date.parse(last.startsAt.slice(0, 10))) / DAY_MS) : null;
  if (days === null || days >= LONG_AGO_DAYS)
    terms.push({ words: days === null ? 'not worked on yet' : `last worked on ${days} days ago`, weight: 0.25 });
  return terms;
}

/** Degrees that a unit of a motion counts as: a centimetre of a tape reading is as hard to win, and to measure, as about 3.3°. */
export function degreesPer(motionId: string): number {
  return motionOf(motionId).unit === 'deg' ? 1 : 10 / 3;
}
