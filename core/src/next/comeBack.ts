import { motionOf } from '../body/index.ts';
import { between, detectable, errorOf, type ErrorKnowledge } from '../measure/index.ts';
import type { PastReading } from '../record/index.ts';

/** What was still there at this visit of what earlier ones gained. */
export interface KeptSoFar {
  /** Share of the gain, over the motions that gained more than the error of measuring; may lie below 0 and above 1. */
  readonly share: number;
  /** Days since that visit. */
  readonly days: number;
  /** Motions and sides it is taken from. */
  readonly motions: number;
}

/**
 * What was kept of the gain of the visit before, by what was read before work today: over the motions and sides that then gained more than the
 * error within a sitting, the mean of their shares. Null where nothing of the kind was read. `past`: earlier readings; `today`: those before work today.
 */
export function keptSoFar(
  past: readonly PastReading[],
  today: readonly Pick<PastReading, 'motionId' | 'side' | 'moment' | 'value' | 'instrument' | 'examinerId' | 'trialCount'>[],
  startsAt: string,
  errors: ErrorKnowledge,
): KeptSoFar | null {
  const last = past
    .filter((each) => each.startsAt < startsAt)
    .reduce((latest, each) => (each.startsAt > latest ? each.startsAt : latest), '');
  if (last === '') return null;
  let [kept, motions] = [0, 0];
  for (const back of today.filter(({ moment }) => moment === 'before')) {
    const motion = motionOf(back.motionId);
    const sign = motion.better === 'higher' ? 1 : -1;
    const of = (moment: 'before' | 'after') =>
      past.find((each) => each.startsAt === last && each.motionId === back.motionId && each.side === back.side && each.moment === moment);
    const [before, after] = [of('before'), of('after')];
    if (!before || !after) continue;
    if (between(motion, before, after, errors).kind !== 'alike' || between(motion, before, back, errors).kind !== 'alike') continue;
    const gain = sign * (after.value - before.value);
    if (gain <= detectable(errorOf(motion, before, errors, 'within'), errorOf(motion, after, errors, 'within'))) continue;
    // Degrees and centimetres stand side by side: each gain counts one.
    kept += (sign * (back.value - before.value)) / gain;
    motions += 1;
  }
  if (motions === 0) return null;
  return { share: kept / motions, days: Math.max(1, Math.round((Date.parse(startsAt) - Date.parse(last)) / DAY_MS)), motions };
}

const DAY_MS = 86_400_000;

export interface ComeBackFacts {
  /** The day of the visit, `YYYY-MM-DD`. */
  readonly day: string;
  /** Nothing may be done as things stand: somebody else sees them first. */
  readonly stopped: boolean;
  /** Days by which goals that are not reached are wanted; null for one without a day. */
  readonly short: readonly (string | null)[];
  readonly kept: KeptSoFar | null;
  /** How sore the sorest place is that was found today, 0 to 10; null where none was. */
  readonly sorest: number | null;
  /** The next event, or null. */
  readonly event: { readonly name: string; readonly onDate: string } | null;
}

/** When to come back, with the reasons in the order they weigh; `day` null where somebody else has to see them first. */
export interface ComeBack {
  readonly day: string | null;
  readonly days: number | null;
  readonly reasons: readonly string[];
}

const DAYS = { nothingShort: 21, short: 7, soon: 4, sore: 7, least: 2, most: 28 } as const;
const SOON_DAYS = 28;
const SORE = 5;
/** Less than this is little, more than that is most of it. */
const [LITTLE, MOST] = [1 / 3, 3 / 4];

/**
 * When to come back, by a rule of thumb (common practice; the numbers are this program's own): every three weeks where nothing is short of its
 * goal, every week where something is, every four days where it is wanted within four weeks; half of the days since the last time where little
 * was left of what it gained, half as many again where most was; within a week where something is sore at 5 or more. Never on the day of an
 * event or the day before: then two days before it, or the day after where that is too soon.
 */
export function comeBack({ day, stopped, short, kept, sorest, event }: ComeBackFacts): ComeBack {
  if (stopped) return { day: null, days: null, reasons: ['somebody has to look at what stops this visit first'] };
  const reasons: string[] = [];
  let days: number;
  const wanted = short.filter((each) => each !== null).map((each) => daysFrom(day, each));
  if (wanted.some((left) => left >= 0 && left <= SOON_DAYS)) {
    days = DAYS.soon;
    reasons.push('a goal is wanted within four weeks and not reached');
  } else if (short.length > 0) {
    days = DAYS.short;
    reasons.push(short.length === 1 ? 'a goal is not reached yet' : `${short.length} goals are not reached yet`);
  } else {
    days = DAYS.nothingShort;
    reasons.push('nothing is short of its goal');
  }
  if (kept && kept.share < LITTLE) {
    days = Math.min(days, Math.ceil(kept.days / 2));
    reasons.push(`little of the last gain was left after ${dayCount(kept.days)}`);
  } else if (kept && kept.share > MOST && days < kept.days * 1.5) {
    days = Math.min(Math.round(kept.days * 1.5), short.length > 0 ? 2 * days : DAYS.most);
    reasons.push(`most of the last gain was still there after ${dayCount(kept.days)}`);
  }
  if (sorest !== null && sorest >= SORE && days > DAYS.sore) {
    days = DAYS.sore;
    reasons.push(`something is sore at ${sorest}`);
  }
  days = Math.max(DAYS.least, Math.min(DAYS.most, days));
  const toEvent = event ? daysFrom(day, event.onDate) : null;
  if (event && toEvent !== null && (days === toEvent || days === toEvent - 1)) {
    const before = toEvent - 2;
    days = before >= DAYS.least ? before : toEvent + 1;
    reasons.push(`${before >= DAYS.least ? 'two days before' : 'the day after'} ${event.name}`);
  }
  return { day: addDays(day, days), days, reasons };
}

const at = (day: string) => Date.parse(`${day}T00:00:00Z`);
const daysFrom = (from: string, to: string) => Math.round((at(to) - at(from)) / DAY_MS);
const addDays = (day: string, days: number) => new Date(at(day) + days * DAY_MS).toISOString().slice(0, 10);
const dayCount = (days: number) => (days === 1 ? 'a day' : `${days} days`);
