import { JOINT_REGIONS, motionOf, type Motion, type PersonFacts, type Side } from '../body/index.ts';
import type { ConditionFields } from '../caution/index.ts';
import type { Course, Ground, Occasion, Seen } from '../forecast/index.ts';
import { between, errorOf, referenceBands, type ErrorKnowledge } from '../measure/index.ts';
import { BUILT_IN, type Shelf } from '../method/index.ts';
import type { PastBlock, PastHome, PastReading } from '../record/index.ts';
import { homeShareBetween } from '../home/index.ts';
import { usualGainDone } from '../session/index.ts';

/** What of an athlete's file says how their range answers over weeks. */
export interface ResponseFacts {
  readonly person: PersonFacts;
  readonly conditions: readonly Pick<ConditionFields, 'region' | 'side' | 'onset' | 'surgeryOn'>[];
  readonly past: readonly PastReading[];
  readonly blocks: readonly PastBlock[];
  /** Sheets for home and what was answered about them; left out, nothing is known of any. */
  readonly home?: readonly PastHome[];
}

/** One athlete's, and those of others of the practice, from whom a little is learned as well. */
export interface ResponseFile {
  readonly own: ResponseFacts;
  readonly others: readonly ResponseFacts[];
}

/** What the whole practice has in common for reading a file. */
export interface Reading {
  readonly errors: ErrorKnowledge;
  readonly shelf?: Shelf;
  /** The calendar day of an instant where the practice is, `YYYY-MM-DD`. */
  readonly dayOf: (instant: string) => string;
}

const DAY_MS = 86_400_000;
export const timeOf = (instant: string): number => Date.parse(instant) / DAY_MS;

/** More is better, whichever way the motion is read. */
export const toward = ({ better }: Pick<Motion, 'better'>): 1 | -1 => (better === 'higher' ? 1 : -1);

/** How wide the prior of where levels settle is: twice the spread of healthy people, or a third of what the motion's fan spans. Common practice. */
const FLOOR_WIDER = 2;
const FAN_SHARE = 3;
const SD_IN_BAND = 2 * 1.96;

/** What is usual for a motion of this person before anything was read, turned so that more is better. */
export function groundOf(motion: Motion, person: PersonFacts, today: string): Ground {
  const sign = toward(motion);
  const bands = referenceBands(motion.id, person, today);
  const fullGain = motion.roundGain.reduce((sum, gain) => sum + gain, 0);
  const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
  if (bands.length > 0)
    return {
      floorMean: sign * mean(bands.map(({ middle }) => middle)),
      floorSd: FLOOR_WIDER * mean(bands.map(({ low, high }) => (high - low) / SD_IN_BAND)),
      fullGain,
    };
  return { floorMean: (sign * (motion.fan.min + motion.fan.max)) / 2, floorSd: (motion.fan.max - motion.fan.min) / FAN_SHARE, fullGain };
}

/**
 * An athlete's visits as occasions of one motion and side: readings with their own errors (within a sitting, and the day's part apart), and the
 * usual gain of what was really done. Readings by another instrument or examiner are brought beside the latest where somebody studied the
 * difference, with the error of doing so, and left out where nobody did. An operation or an injury where the motion is sets the floor anew.
 * Days between visits on which home work for the motion was done count as it was answered.
 * A reading after work of which there is no record is left out: what it answers to is not known. Visits at which the motion was neither read nor worked on are no occasions. Null where it was never read before work.
 */
export function courseOf(motionId: string, side: Side, facts: ResponseFacts, today: string, reading: Reading): Course | null {
  const motion = motionOf(motionId);
  const shelf = reading.shelf ?? BUILT_IN;
  const sign = toward(motion);
  const readings = facts.past.filter((each) => each.motionId === motionId && each.side === side);
  const latest = readings.findLast(({ moment }) => moment === 'before');
  if (!latest) return null;
  const seenOf = (each: PastReading): Seen | null => {
    const way = between(motion, each, latest, reading.errors);
    if (way.kind === 'cannot-tell') return null;
    const shift = way.kind === 'shifted' ? way : { correction: 0, error: 0 };
    return {
      value: sign * (each.value + shift.correction),
      variance: errorOf(motion, each, reading.errors, 'within').sem ** 2 + shift.error ** 2,
    };
  };
  const dayVarianceOf = (each: PastReading) =>
    Math.max(0, errorOf(motion, each, reading.errors, 'between').sem ** 2 - errorOf(motion, each, reading.errors, 'within').sem ** 2);
  const visits = new Map<string, string>();
  for (const { visitId, startsAt } of [...readings, ...facts.blocks.filter((block) => block.motionId === motionId)])
    visits.set(visitId, startsAt);
  const occasions: Occasion[] = [];
  const days: string[] = [];
  for (const [visitId, startsAt] of [...visits].sort(([, a], [, b]) => timeOf(a) - timeOf(b))) {
    const usualGain = usualGainDone(
      motion,
      facts.blocks.filter((block) => block.visitId === visitId),
      side,
      shelf,
    );
    const of = (moment: 'before' | 'after') => readings.find((each) => each.visitId === visitId && each.moment === moment);
    const [before, after] = [of('before'), of('after')];
    const [seenBefore, seenAfter] = [before ? seenOf(before) : null, after ? seenOf(after) : null];
    if (usualGain === 0 && !seenBefore && !seenAfter) continue;
    // Where nobody recorded what was done, a reading after it says nothing of what it answers to.
    const recorded = facts.blocks.some((block) => block.visitId === visitId);
    const day = reading.dayOf(startsAt);
    const last = days.at(-1);
    // Before the first reading nothing is known that something since could have changed.
    const reset = last !== undefined && facts.conditions.some((each) => setsAnew(each, motion, side, last, day));
    const homeShare =
      last === undefined ? 0 : homeShareBetween(facts.home ?? [], motionId, side, { after: last, until: day }, reading.dayOf, shelf);
    occasions.push({
      day: timeOf(startsAt),
      usualGain,
      before: seenBefore,
      after: recorded ? seenAfter : null,
      ...(last === day ? {} : { dayVariance: dayVarianceOf(before ?? after ?? latest) }),
      ...(homeShare > 0 ? { homeShare } : {}),
      ...(reset ? { reset: true } : {}),
    });
    days.push(day);
  }
  return { ground: groundOf(motion, facts.person, today), occasions };
}

/** Whether a condition began, or was operated on, after one day and up to another, where the motion is. */
function setsAnew(
  { region, side: where, onset, surgeryOn }: ResponseFacts['conditions'][number],
  { joint }: Motion,
  side: Side,
  after: string,
  until: string,
): boolean {
  const within = (day: string | null) => day !== null && day > after && day <= until;
  return (
    (within(onset) || within(surgeryOn)) &&
    region !== null &&
    JOINT_REGIONS[joint].includes(region) &&
    (where === null || where === 'both' || side === 'midline' || where === side)
  );
}

/** A rhythm of visits: how many a week, and the usual gain of each. */
export interface Rhythm {
  readonly perWeek: number;
  readonly usualGain: number;
  /** Whether visits went like this lately; otherwise it is one usual visit a week, in full. */
  readonly lately: boolean;
}

const RHYTHM_WEEKS = 8;

/** Visits a week, to half a one, from the days on which there were visits in the last eight weeks; null where there was none. */
export function perWeekOf(days: readonly number[], now: number): number | null {
  const lately = days.filter((day) => now - day <= RHYTHM_WEEKS * 7);
  if (lately.length === 0) return null;
  const weeks = Math.max(1, (now - lately[0]!) / 7);
  return Math.max(0.5, Math.round((lately.length / weeks) * 2) / 2);
}

/** How visits went, from those of the last eight weeks, to half a visit a week; where there was none, one full visit a week. */
export function rhythmOf({ ground, occasions }: Course, now: number): Rhythm {
  const worked = occasions.filter(({ day, usualGain }) => usualGain > 0 && now - day <= RHYTHM_WEEKS * 7);
  const perWeek = perWeekOf(
    worked.map(({ day }) => day),
    now,
  );
  if (perWeek === null) return { perWeek: 1, usualGain: ground.fullGain, lately: false };
  return { perWeek, usualGain: worked.reduce((sum, { usualGain }) => sum + usualGain, 0) / worked.length, lately: true };
}
