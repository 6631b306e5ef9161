import { DateTime } from 'luxon';
import { motionOf, type Side } from '@pace-bend/core/body';
import {
  HOME_DAYS,
  rhythmOf,
  learnAll,
  movingOf,
  outlookOf,
  toward,
  type Learned,
  type Moving,
  type Outlook,
  type ResponseFile,
  type Rhythm,
  type Schedule,
  type WayAnswer,
  waysOfMotion,
} from '@pace-bend/core/cycle';
import { chancesByRhythm, halfGone, keptAfter, nextKept, ownShare, type Middle, type RhythmChance } from '@pace-bend/core/forecast';
import { detectable, errorOf, type ErrorKnowledge } from '@pace-bend/core/measure';
import { shelfOf, type OwnItem, type Shelf } from '@pace-bend/core/method';

/** Learns and looks ahead away from the screen. A look that comes while another is being worked at takes its place. */
export type ForecastQuestion =
  | {
      readonly kind: 'learn';
      readonly file: ResponseFile;
      readonly today: string;
      readonly zone: string;
      readonly errors: ErrorKnowledge;
      readonly items: readonly OwnItem[];
    }
  | {
      readonly kind: 'look';
      readonly turn: number;
      readonly motionId: string;
      readonly side: Side;
      /** In the motion's unit, or null. */
      readonly goal: number | null;
      /** Days from today to the end. */
      readonly end: number;
      readonly schedules: readonly Schedule[];
    }
  | { readonly kind: 'cancel' };

/** One motion and side there is something to say of. */
export interface Spot {
  readonly motionId: string;
  readonly side: Side;
  /** Visits behind it. */
  readonly occasions: number;
  /** At how many of them it was worked on. */
  readonly worked: number;
  /** How much of the doubt about what a visit leaves behind the athlete's own readings took away, 0 to 1. */
  readonly ownShare: number;
  readonly rhythm: Rhythm;
  /** How many draws count; too few, and the bands are rough. */
  readonly ess: number;
}

/** What can be said besides the fans. Levels and gains are in the motion's unit; gains positive toward more range. */
export interface Said {
  readonly keptTomorrow: Middle;
  readonly keptNext: Middle;
  readonly nextInDays: number;
  readonly halfGone: Middle;
  readonly nextKept: Middle;
  readonly moving: Moving;
  /** What each way of working has brought, where there was only one at a visit; most first. */
  readonly ways: readonly WayAnswer[];
  /** Chances by visits a week, without home work and with it. */
  readonly rhythms: { readonly without: readonly RhythmChance[]; readonly with: readonly RhythmChance[] } | null;
}

export type ForecastAnswer =
  | { readonly kind: 'learning'; readonly share: number }
  | { readonly kind: 'learned'; readonly spots: readonly Spot[] }
  | { readonly kind: 'looking'; readonly turn: number; readonly share: number }
  | { readonly kind: 'outlook'; readonly turn: number; readonly at: number; readonly outlook: Outlook }
  | { readonly kind: 'said'; readonly turn: number; readonly said: Said }
  | { readonly kind: 'failed'; readonly message: string };

/** Paths of a fan, and of each rhythm that is tried: a chance of 80 in 100 is then good to 1 in 100. */
const PATHS = 10_000;
const RHYTHM_PATHS = 4_000;
const SEED = 20_260_301;
const DAY_MS = 86_400_000;

let learned: readonly Learned[] = [];
let errors: ErrorKnowledge | null = null;
let file: ResponseFile | null = null;
let shelf: Shelf | undefined;
let turn = 0;

const say = (answer: ForecastAnswer) => self.postMessage(answer);
/** Lets a question that came meanwhile in. */
const pause = () => new Promise((resolve) => setTimeout(resolve, 0));
const now = () => Date.now() / DAY_MS;
const sinceOf = ({ course }: Learned) => Math.max(0, now() - course.occasions.at(-1)!.day);

function learnFrom(question: Extract<ForecastQuestion, { kind: 'learn' }>): void {
  errors = question.errors;
  file = question.file;
  shelf = shelfOf(question.items);
  let saidAt = 0;
  learned = learnAll(
    question.file,
    question.today,
    {
      errors: question.errors,
      shelf,
      dayOf: (instant) => DateTime.fromISO(instant, { zone: question.zone }).toISODate()!,
    },
    (share) => {
      if (performance.now() - saidAt < 60) return;
      saidAt = performance.now();
      say({ kind: 'learning', share });
    },
  );
  say({
    kind: 'learned',
    spots: learned.map((each): Spot => ({
      motionId: each.motionId,
      side: each.side,
      occasions: each.course.occasions.length,
      worked: each.course.occasions.filter(({ usualGain }) => usualGain > 0).length,
      ownShare: ownShare(each.alone),
      rhythm: rhythmOf(each.course, now()),
      ess: each.known.ess,
    })),
  });
}

async function look(question: Extract<ForecastQuestion, { kind: 'look' }>): Promise<void> {
  const mine = (turn = question.turn);
  const spot = learned.find((each) => each.motionId === question.motionId && each.side === question.side);
  if (!spot) return;
  const sign = toward(motionOf(spot.motionId));
  const since = sinceOf(spot);
  const goal = question.goal === null ? null : sign * question.goal;
  const facts = { since, end: question.end, goal, paths: PATHS, seed: SEED };
  for (const [at, schedule] of question.schedules.entries()) {
    await pause();
    if (mine !== turn) return;
    const outlook = outlookOf(spot.known, schedule, facts, (share) =>
      say({ kind: 'looking', turn: mine, share: (at + share) / (question.schedules.length + 1) }),
    );
    say({ kind: 'outlook', turn: mine, at, outlook: turned(outlook, sign) });
  }
  await pause();
  if (mine !== turn) return;
  const { perWeek, usualGain } = rhythmOf(spot.course, now());
  const latest = file!.own.past.findLast((each) => each.motionId === spot.motionId && each.side === spot.side)!;
  const error = errorOf(motionOf(spot.motionId), latest, errors!, 'between');
  const rhythm = { perWeek, usualGain, homeDays: 0, startsInWeeks: 0, away: null };
  const chances = async (homeDays: number) => {
    await pause();
    return chancesByRhythm(spot.known, { since, day: question.end, level: goal!, usualGain, homeShare: homeDays / 7 }, RHYTHM_PATHS, SEED);
  };
  const rhythms = goal === null ? null : { without: await chances(0), with: await chances(HOME_DAYS) };
  if (mine !== turn) return;
  say({
    kind: 'said',
    turn: mine,
    said: {
      keptTomorrow: keptAfter(spot.known, 1),
      nextInDays: Math.max(1, Math.round(7 / perWeek)),
      keptNext: keptAfter(spot.known, 7 / perWeek),
      halfGone: halfGone(spot.known),
      nextKept: nextKept(spot.known, since, usualGain),
      ways: waysOfMotion(spot.motionId, spot.side, file!.own, errors!, { ...(shelf ? { shelf } : {}), seed: SEED }),
      moving: movingOf(spot.known, rhythm, since, detectable(error, error)),
      rhythms,
    },
  });
}

/** Levels as the motion is read: where less is more, low and high change places. */
function turned(outlook: Outlook, sign: 1 | -1): Outlook {
  if (sign === 1) return outlook;
  return {
    ...outlook,
    fan: outlook.fan.map(({ day, levels }) => ({ day, levels: levels.map((level) => -level).reverse() })),
    ends: outlook.ends.map((level) => -level).reverse(),
  };
}

self.onmessage = ({ data }: MessageEvent<ForecastQuestion>) => {
  const failed = (error: unknown) => say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  if (data.kind === 'cancel') turn += 1;
  else if (data.kind === 'learn') {
    try {
      learnFrom(data);
    } catch (error) {
      failed(error);
    }
  } else look(data).catch(failed);
};
