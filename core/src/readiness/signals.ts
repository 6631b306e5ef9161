import { dayNumber } from '../body/index.ts';
import { daysBetween } from '../caution/index.ts';
import { addDays, daysKnown, type LoadFields } from '../load/index.ts';
import { hrvOn } from './hrv.ts';
import { deviation, NORMAL_DAYS, normalOf, type DayValue, type OwnNormal } from './normal.ts';
import { scaleOf, scaleSum, type ScaleId } from './scales.ts';
import { standing, type CheckIn } from './types.ts';

/** What readiness is told from, all of one athlete. */
export interface ReadinessFacts {
  /** The day it is about. */
  readonly onDay: string;
  /** Of the last 70 days and more, corrections too; the day's own among them. */
  readonly checkIns: readonly CheckIn[];
  /** Of the last 35 days and more. */
  readonly loads: readonly LoadFields[];
  /** Key motions whose reading of today lies below the level behind the earlier ones; null where none was read today. */
  readonly motionsBelow: readonly string[] | null;
  readonly daysToEvent: number | null;
  readonly daysSinceEvent: number | null;
}

/** One thing that was asked, today against the own normal. */
export interface Against {
  readonly id: string;
  readonly name: string;
  readonly value: number | null;
  readonly normal: OwnNormal;
  /** In own units; positive is worse. Null where either is not known. */
  readonly off: number | null;
}

/**
 * Every bad sign as a number that grows with it; null where nothing is known of it. Everything that readiness says follows from these,
 * and no rule looks at one that is null.
 */
export interface Signals {
  /** Own units that the sum of the answers is worse by. */
  readonly sumOff: number | null;
  /** The same of the worst single answer. */
  readonly itemOff: number | null;
  /** Hours of sleep short of eight; never below 0. */
  readonly sleepShortH: number | null;
  readonly sleepOff: number | null;
  /** The sorest place, 0–10. */
  readonly sore: number | null;
  /** 1 for yes, 0 for no. */
  readonly ill: number | null;
  readonly injured: number | null;
  readonly travelled: number | null;
  /** 0 full, 1 part, 2 none. */
  readonly trainingCut: number | null;
  /** Own units that yesterday's load is above the usual. */
  readonly loadOff: number | null;
  /** Days running that the seven-day mean of ln rMSSD has been below its band. */
  readonly hrvBelowDays: number | null;
  readonly motionsBelow: number | null;
  /** 0 far from an event, 1 the day before, 2 the day itself. */
  readonly eventNear: number | null;
  /** 0 long ago, 1 the day before yesterday, 2 yesterday or today. */
  readonly eventFresh: number | null;
}

export interface Told {
  readonly signals: Signals;
  /** Today's check-in, or null. */
  readonly today: CheckIn | null;
  readonly sum: Against;
  readonly items: readonly Against[];
  readonly sleep: Against;
  /** Yesterday's load. */
  readonly load: Against;
}

const SLEEP_ENOUGH_H = 8;
const HRV_LOOKS_BACK = 14;
/** The smallest steps that count: half a step of an answer, and what that comes to in a sum; half an hour; a light quarter of an hour. */
const SMALLEST = { item: 0.5 * 1.4826, sum: 1.4826, hours: 0.5 * 1.4826, load: 60 };

/** A value of today (0 days ago) against those of the days before it. */
function against(
  id: string,
  name: string,
  daysAgo: readonly number[],
  values: readonly (number | null)[],
  smallest: number,
  worse: 'higher' | 'lower',
): Against {
  const value = values[daysAgo.indexOf(0)] ?? null;
  const normal = normalOf(daysAgo, values, smallest);
  return { id, name, value, normal, off: deviation(value, normal, worse) };
}

/** Turns what is known of an athlete into signals. Pure; a later row for the same day stands for it. */
export function told(facts: ReadinessFacts, scaleId: ScaleId): Told {
  const { onDay } = facts;
  const scale = scaleOf(scaleId);
  const all = standing(facts.checkIns).filter((each) => each.onDate <= onDay);
  const today = all.find((each) => each.onDate === onDay) ?? null;
  // Another scale's answers say nothing on this one.
  const from = addDays(onDay, -NORMAL_DAYS);
  const lately = all.filter((each) => each.onDate >= from);
  const ofScale = lately.filter((each) => each.scale === scaleId);
  const number = dayNumber(onDay);
  const daysAgo = (list: readonly CheckIn[]) => list.map((each) => number - dayNumber(each.onDate));
  const [agoLately, agoOfScale] = [daysAgo(lately), daysAgo(ofScale)];
  const items = scale.items.map((item) =>
    against(
      item.id,
      item.name,
      agoOfScale,
      ofScale.map((each) => each.answers[item.id] ?? null),
      SMALLEST.item,
      scale.worse,
    ),
  );
  const sum = against(
    'sum',
    'Sum',
    agoOfScale,
    ofScale.map((each) => scaleSum(scaleId, each.answers)),
    SMALLEST.sum,
    scale.worse,
  );
  const sleep = against(
    'hours',
    'Hours slept',
    agoLately,
    lately.map((each) => each.hoursSlept),
    SMALLEST.hours,
    'lower',
  );
  // Yesterday's load against the days before it: the last of these is yesterday.
  const loads = daysKnown(facts.loads, addDays(onDay, -1), NORMAL_DAYS + 1).map((day) => day.load);
  const load = against(
    'load',
    'Load yesterday',
    loads.map((_, i) => loads.length - 1 - i),
    loads,
    SMALLEST.load,
    'higher',
  );
  const offs = items.flatMap(({ off }) => (off === null ? [] : [off]));
  const yes = (value: boolean | null | undefined) => (value === null || value === undefined ? null : value ? 1 : 0);
  const sore = today?.sore ?? null;
  return {
    today,
    sum,
    items,
    sleep,
    load,
    signals: {
      sumOff: sum.off,
      itemOff: offs.length > 0 ? Math.max(...offs) : null,
      sleepShortH: sleep.value === null ? null : Math.max(0, SLEEP_ENOUGH_H - sleep.value),
      sleepOff: sleep.off,
      sore: sore === null ? null : Math.max(0, ...sore.map(({ score }) => score)),
      ill: yes(today?.ill),
      injured: yes(today?.injured),
      travelled: yes(today?.travelled),
      trainingCut: today?.training ? ['full', 'part', 'none'].indexOf(today.training) : null,
      loadOff: load.off,
      hrvBelowDays: belowDays(
        all.map((each) => ({ on: each.onDate, value: each.rmssdMs })),
        onDay,
      ),
      motionsBelow: facts.motionsBelow === null ? null : facts.motionsBelow.length,
      eventNear: facts.daysToEvent === null ? null : Math.max(0, 2 - Math.max(0, facts.daysToEvent)),
      eventFresh: facts.daysSinceEvent === null ? null : Math.max(0, Math.min(2, 3 - facts.daysSinceEvent)),
    },
  };
}

/** How many days running, the day itself included, the seven-day mean has been below its band; null without a mean or a band. */
function belowDays(values: readonly DayValue[], onDay: string): number | null {
  const known = values.filter((each) => each.value !== null && daysBetween(each.on, onDay) < 90);
  if (known.length === 0) return null;
  let days = 0;
  for (let back = 0; back < HRV_LOOKS_BACK; back++) {
    const { mean, band } = hrvOn(known, addDays(onDay, -back));
    if (mean === null || band === null) return back === 0 ? null : days;
    if (mean >= band.low) return days;
    days += 1;
  }
  return days;
}
