import { MOTIONS } from '../body/index.ts';
import { daysBetween, workKey, type DayLimit } from '../caution/index.ts';
import { trainedYesterday, type Trained, type TrainingLoad } from '../load/index.ts';
import { errorOf, type ErrorKnowledge } from '../measure/index.ts';
import {
  dayLimits,
  MINUTES_SHARE,
  readinessOf,
  told,
  type CheckIn,
  type ReadinessVerdict,
  type ReadinessWord,
  type ScaleId,
  type Told,
} from '../readiness/index.ts';
import { playedSports, sportAsking, type PlayedSport, type Sport } from '../sport/index.ts';
import { phaseLimitId, phaseLimits } from '../season/index.ts';
import { smoothLevel } from '../trend/index.ts';
import type { ValueToday } from './comparison.ts';
import { currentReadings } from './readings.ts';
import type { Goal, PastBlock, PastReading, VisitFile } from './visit.ts';

/** One limit of today that somebody set aside, with the word why; never changed. */
export interface ReadinessSetAside {
  readonly id: string;
  /** Id of the reason or of the limit. */
  readonly limitId: string;
  readonly reason: string;
  readonly at: string;
  readonly by: string;
}

/** What was known and decided when the answers were taken in, and how it went: so that a later look can tell whether eased days were eased. */
export interface ReadinessKept {
  readonly word: ReadinessWord;
  readonly reasons: readonly { readonly ruleId: string; readonly reason: string; readonly weight: number }[];
  readonly limits: readonly { readonly id: string; readonly because: string }[];
  readonly acceptedAt: string;
  readonly by: string;
  /** How the session went, in the therapist's choice; null until it is said. */
  readonly outcome: ReadinessOutcome | null;
}

export const READINESS_OUTCOMES = [
  { id: 'as-planned', name: 'As planned' },
  { id: 'lighter', name: 'Lighter than planned' },
  { id: 'more', name: 'More than planned' },
  { id: 'stopped', name: 'Stopped early' },
] as const;
export type ReadinessOutcome = (typeof READINESS_OUTCOMES)[number]['id'];

/**
 * The day in one line, as it stands in a note: the word, its reasons strongest first, and what was set aside with the word why. For example
 * "Ease today: Slept five hours or less. Set aside: Slept five hours or less (slept in the afternoon)."
 */
export function dayInNote(
  word: ReadinessWord,
  reasons: readonly string[],
  setAside: readonly { readonly what: string; readonly reason: string }[],
): string {
  const head = `${word[0]!.toUpperCase()}${word.slice(1)} today`;
  return [
    reasons.length === 0 ? `${head}.` : `${head}: ${reasons.join(' ')}`,
    ...setAside.map(({ what, reason }) => `Set aside: ${what.replace(/[.!?]+$/, '')} (${reason}).`),
  ].join(' ');
}

/** What a visit's file holds of how its athlete is today. */
export interface VisitReadiness {
  readonly scale: ScaleId;
  /** Of the last weeks up to the day of the visit, corrections too, oldest first. */
  readonly checkIns: readonly CheckIn[];
  readonly loads: readonly TrainingLoad[];
  readonly setAside: readonly ReadinessSetAside[];
  readonly kept: ReadinessKept | null;
}

/** How far back a visit's file looks: the band of heart-rate variability needs the most. */
export const READINESS_DAYS = 80;

export interface ReadinessToday {
  readonly told: Told;
  /** As everything known says. */
  readonly verdict: ReadinessVerdict;
  /** The same without the reasons that were set aside. */
  readonly effective: ReadinessVerdict;
  readonly trained: readonly Trained[];
  /** Everything the day and the season's phase could hold back, whether set aside or not. */
  readonly offered: readonly DayLimit[];
  /** What they do hold back. */
  readonly limits: readonly DayLimit[];
  /** Minutes that are left of those there are; the same where nothing eases. */
  readonly minutes: number;
}

/** The least readings of a motion and side before a level can be spoken of. */
const LEAST_EARLIER = 3;
const Z95 = 1.96;

/**
 * Key motions (asked by a sport, or with a goal) whose reading today lies below what the earlier ones lead one to expect: below the level
 * behind them by more than the level's own band, its wander since, and the error of today's reading leave room for, at 95 %. One that was
 * read with another instrument, or fewer than three times before, says nothing. Null where no key motion can be told.
 */
export function motionsBelowLevel(
  today: readonly ValueToday[],
  past: readonly PastReading[],
  {
    played,
    goals,
    errors,
    onDay,
    dayOf,
  }: {
    readonly played: readonly PlayedSport[];
    readonly goals: readonly Pick<Goal, 'motionId'>[];
    readonly errors: ErrorKnowledge;
    readonly onDay: string;
    readonly dayOf: (instant: string) => string;
  },
): string[] | null {
  const below: string[] = [];
  let told = false;
  for (const motion of MOTIONS) {
    if (sportAsking(played, motion.id) === null && goals.every((goal) => goal.motionId !== motion.id)) continue;
    for (const side of motion.sides) {
      const now = today.find((value) => value.motionId === motion.id && value.side === side && value.moment === 'before');
      if (!now) continue;
      const earlier = past.filter(
        (each) => each.motionId === motion.id && each.side === side && each.moment === 'before' && each.instrument === now.instrument,
      );
      if (earlier.length < LEAST_EARLIER) continue;
      told = true;
      const sem = errorOf(motion, now, errors, 'between').sem;
      const level = smoothLevel(
        earlier.map((each) => ({
          day: -daysBetween(dayOf(each.startsAt), onDay),
          value: each.value,
          sem: errorOf(motion, each, errors, 'between').sem,
        })),
      );
      const last = level.points.at(-1)!;
      const spread = Math.sqrt(((last.high - last.low) / (2 * Z95)) ** 2 + level.wander * -last.day + sem ** 2);
      const short = motion.better === 'higher' ? last.level - now.value : now.value - last.level;
      if (short > Z95 * spread) below.push(side === 'midline' ? motion.name : `${motion.name} ${side}`);
    }
  }
  return told ? below : null;
}

/** What somebody has been through, as keys of work: every way, and every entry in its way. */
const hadBefore = (blocks: readonly PastBlock[]): string[] => [
  ...new Set(
    blocks.flatMap(({ entryId, methodId, madeFrom }) => {
      const work = { entryId, wayId: madeFrom ?? methodId };
      return [workKey('way', work), workKey('work', work)];
    }),
  ),
];

/**
 * How somebody is on the day of a visit, and what that holds back. The browser and the server work it out alike from the same file.
 * `dayOf` tells the calendar day of an instant where the practice is.
 */
export function readinessToday(
  file: Pick<
    VisitFile,
    'athlete' | 'goals' | 'past' | 'pastBlocks' | 'errors' | 'nextEvent' | 'lastEvent' | 'season' | 'readiness' | 'readings'
  > & {
    readonly visit: Pick<VisitFile['visit'], 'minutesAvailable'>;
  },
  onDay: string,
  dayOf: (instant: string) => string,
  ownSports: readonly Sport[] = [],
): ReadinessToday {
  const { readiness } = file;
  const played = playedSports(file.athlete.sports, ownSports);
  const today = currentReadings(file.readings).flatMap(({ value, ...reading }): ValueToday[] =>
    value === null ? [] : [{ ...reading, value }],
  );
  const facts = told(
    {
      onDay,
      checkIns: readiness.checkIns,
      loads: readiness.loads,
      motionsBelow: motionsBelowLevel(today, file.past, { played, goals: file.goals, errors: file.errors, onDay, dayOf }),
      daysToEvent: file.nextEvent ? daysBetween(onDay, file.nextEvent.onDate) : null,
      daysSinceEvent: file.lastEvent ? daysBetween(file.lastEvent.onDate, onDay) : null,
    },
    readiness.scale,
  );
  const aside = new Set(readiness.setAside.map(({ limitId }) => limitId));
  const verdict = readinessOf(facts.signals);
  const effective = readinessOf(facts.signals, aside);
  const trained = trainedYesterday(readiness.loads, played, onDay);
  const sore = facts.today?.sore ?? [];
  // A file that a device kept from before there were seasons has none.
  const season = file.season ?? null;
  const ofPhase = phaseLimits(season, onDay, hadBefore(file.pastBlocks));
  const phaseShare = season && !aside.has(phaseLimitId(season)) ? season.rule.minutesShare : 1;
  return {
    told: facts,
    verdict,
    effective,
    trained,
    offered: [...dayLimits(verdict, sore, trained), ...ofPhase],
    limits: [...dayLimits(effective, sore, trained, aside), ...ofPhase.filter(({ id }) => !aside.has(id))],
    minutes: Math.round((file.visit.minutesAvailable * Math.min(MINUTES_SHARE[effective.word], phaseShare)) / 5) * 5,
  };
}
