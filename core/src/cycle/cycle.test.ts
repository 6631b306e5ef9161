import { MOTIONS, motionOf } from '../body/index.ts';
import { learn, type Known } from '../forecast/index.ts';
import { errorOf, NOTHING_KNOWN } from '../measure/index.ts';
import { BUILT_IN } from '../method/index.ts';
import type { PastBlock, PastReading } from '../record/index.ts';
import { usualGain } from '../session/index.ts';
import {
  aheadOf,
  firstAway,
  rhythmDays,
  courseOf,
  FAN,
  groundOf,
  rhythmOf,
  learnAll,
  movingOf,
  outlookOf,
  timeOf,
  type Reading,
  type ResponseFacts,
  type Schedule,
} from './index.ts';

const RAISE = motionOf('straight-leg-raise');
const ENTRY = [...BUILT_IN.entries.values()].find((entry) => entry.motionId === RAISE.id)!;
const WAY = [...BUILT_IN.methods.values()].find((method) => method.axis === 'motion' && method.share > 0)!;
const TODAY = '2026-11-27';
const READING: Reading = { errors: NOTHING_KNOWN, dayOf: (instant) => instant.slice(0, 10) };
const at = (day: string, time = '09:00') => `${day}T${time}:00.000Z`;

const read = (
  visitId: string,
  startsAt: string,
  moment: 'before' | 'after',
  value: number,
  more: Partial<PastReading> = {},
): PastReading => ({
  visitId,
  startsAt,
  motionId: RAISE.id,
  side: 'left',
  moment,
  instrument: 'goniometer',
  examinerId: null,
  trialCount: 3,
  value,
  ...more,
});
const work = (visitId: string, startsAt: string, rounds = 2): PastBlock => ({
  visitId,
  startsAt,
  entryId: ENTRY.id,
  methodId: WAY.id,
  motionId: RAISE.id,
  sides: [{ side: 'left', rounds }],
});
const facts = (
  past: readonly PastReading[],
  blocks: readonly PastBlock[] = [],
  conditions: ResponseFacts['conditions'] = [],
): ResponseFacts => ({
  person: { birthDate: '2000-01-01', referenceSex: 'none' },
  conditions,
  past,
  blocks,
});
const course = (given: ResponseFacts, reading = READING) => courseOf(RAISE.id, 'left', given, TODAY, reading)!;

describe('occasions', () => {
  const [first, second] = [at('2026-11-01'), at('2026-11-08')];

  test('carry what was read with its errors, the day’s part apart, and the usual gain of what was done', () => {
    const found = course(
      facts([read('a', first, 'before', 70), read('a', first, 'after', 76), read('b', second, 'before', 72)], [work('a', first)]),
    );
    const [within, between] = (['within', 'between'] as const).map(
      (question) => errorOf(RAISE, { instrument: 'goniometer', examinerId: null, trialCount: 3 }, NOTHING_KNOWN, question).sem ** 2,
    );
    expect(found.occasions).toHaveLength(2);
    expect(found.occasions[0]).toMatchObject({
      usualGain: usualGain(RAISE, [WAY.share, WAY.share]),
      before: { value: 70, variance: within },
      after: { value: 76, variance: within },
    });
    expect(found.occasions[0]!.dayVariance).toBeCloseTo(between! - within!, 9);
    expect(found.occasions[1]).toMatchObject({ day: timeOf(second), usualGain: 0, after: null });
  });

  test('a reading after work of which there is no record is left out; other work of the same visit is a record', () => {
    const past = [read('a', first, 'before', 70), read('a', first, 'after', 76)];
    expect(course(facts(past)).occasions[0]!.after).toBeNull();
    const other: PastBlock = { ...work('a', first), motionId: 'knee-flexion' };
    expect(course(facts(past, [other])).occasions[0]).toMatchObject({ usualGain: 0, after: { value: 76 } });
  });

  test('a motion where less is more is turned', () => {
    const lower = MOTIONS.find((motion) => motion.better === 'lower')!;
    const side = lower.sides[0]!;
    const past = [read('a', first, 'before', 12, { motionId: lower.id, side, instrument: lower.instruments[0] })];
    expect(courseOf(lower.id, side, facts(past), TODAY, READING)!.occasions[0]!.before!.value).toBe(-12);
    expect(groundOf(lower, facts([]).person, TODAY).fullGain).toBeGreaterThan(0);
  });

  test('two visits of one day share the day’s part; visits come in order whatever order they were given in', () => {
    const found = course(facts([read('b', at('2026-11-01', '15:00'), 'before', 72), read('a', first, 'before', 70)]));
    expect(found.occasions.map(({ before, dayVariance }) => [before!.value, dayVariance === undefined])).toEqual([
      [70, false],
      [72, true],
    ]);
  });

  test('another instrument that nobody compared says nothing of the level', () => {
    const found = course(facts([read('a', first, 'before', 70, { instrument: 'inclinometer' }), read('b', second, 'before', 72)]));
    expect(found.occasions.map(({ before }) => before?.value ?? null)).toEqual([72]);
  });

  test('an operation or an injury where the motion is sets the floor anew at the next visit, elsewhere or before the first nothing', () => {
    const past = [read('a', first, 'before', 70), read('b', second, 'before', 62)];
    const resets = (condition: Partial<ResponseFacts['conditions'][number]>) =>
      course(facts(past, [], [{ region: 'thigh-back', side: 'left', onset: '2026-11-05', surgeryOn: null, ...condition }])).occasions.map(
        ({ reset }) => reset ?? false,
      );
    expect(resets({})).toEqual([false, true]);
    expect(resets({ onset: null, surgeryOn: '2026-11-05' })).toEqual([false, true]);
    expect(resets({ side: null })).toEqual([false, true]);
    expect(resets({ side: 'right' })).toEqual([false, false]);
    expect(resets({ region: 'wrist' })).toEqual([false, false]);
    expect(resets({ onset: '2026-10-05' })).toEqual([false, false]);
    expect(resets({ onset: '2026-11-20' })).toEqual([false, false]);
  });

  test('a motion never read before work has none', () => {
    expect(courseOf(RAISE.id, 'left', facts([]), TODAY, READING)).toBeNull();
    expect(courseOf(RAISE.id, 'right', facts([read('a', first, 'before', 70)]), TODAY, READING)).toBeNull();
  });

  test('how visits went lately: of the last eight weeks, to half a visit a week', () => {
    const weekly = Array.from({ length: 10 }, (_, i) => ({ day: i * 7, usualGain: 4, before: null, after: null }));
    const ground = { floorMean: 0, floorSd: 1, fullGain: 8 };
    expect(rhythmOf({ ground, occasions: weekly }, 70)).toEqual({ perWeek: 1, usualGain: 4, lately: true });
    expect(rhythmOf({ ground, occasions: weekly }, 200)).toEqual({ perWeek: 1, usualGain: 8, lately: false });
    expect(rhythmOf({ ground, occasions: weekly.slice(-1) }, 63 + 50).perWeek).toBe(0.5);
    expect(rhythmOf({ ground, occasions: [] }, 0)).toEqual({ perWeek: 1, usualGain: 8, lately: false });
  });
});

/** Visits once a week that follow the model with everything as usual beforehand. */
function weeks(count: number, startsWith: number, gain: number): ResponseFacts {
  const past: PastReading[] = [];
  const blocks: PastBlock[] = [];
  let level = startsWith;
  for (let week = 0; week < count; week++) {
    const startsAt = new Date(Date.parse(at('2026-06-01')) + week * 7 * 86_400_000).toISOString();
    past.push(read(`v${week}`, startsAt, 'before', level), read(`v${week}`, startsAt, 'after', level + gain));
    blocks.push(work(`v${week}`, startsAt, 4));
    level += 0.3 * gain * 0.3;
  }
  return facts(past, blocks);
}

describe('learning', () => {
  const learnedFrom = (own: ResponseFacts, others: readonly ResponseFacts[] = []) => learnAll({ own, others }, TODAY, READING)[0]!;

  test('every motion and side that was read; others move what is known of it, and by itself it stays what it was', () => {
    const own = weeks(3, 60, 6);
    const shares: number[] = [];
    const all = learnAll({ own, others: [weeks(12, 60, 0.1), weeks(12, 70, 0.1), weeks(12, 80, 0.1)] }, TODAY, READING, (share) =>
      shares.push(share),
    );
    expect(all.map(({ motionId, side }) => `${motionId}/${side}`)).toEqual(['straight-leg-raise/left']);
    expect(shares).toHaveLength(4);
    expect(shares.at(-1)).toBe(1);
    const response = ({ theta, weights, count }: Known) => {
      let sum = 0;
      for (let i = 0; i < count; i++) sum += weights[i]! * theta[i * 6 + 1]!;
      return sum;
    };
    expect(response(all[0]!.known)).toBeLessThan(response(all[0]!.alone));
    expect(response(all[0]!.alone)).toBeCloseTo(response(learnedFrom(own).alone), 9);
  });

  test('a fan is in order, its chance is the share of its ends, and more visits reach further', () => {
    const { known } = learnedFrom(weeks(8, 60, 6));
    const schedule: Schedule = { perWeek: 1, usualGain: 6, homeDays: 0, startsInWeeks: 0, away: null };
    const look = (more: Partial<Schedule>) =>
      outlookOf(known, { ...schedule, ...more }, { since: 3, end: 80, goal: 66, paths: 3000, seed: 4 });
    const once = look({});
    expect(once.visits).toBe(11);
    expect(once.fan.map(({ day }) => day)).toEqual([...Array.from({ length: 27 }, (_, i) => i * 3), 80]);
    for (const { levels } of once.fan) {
      expect(levels).toHaveLength(FAN.length);
      expect([...levels].sort((a, b) => a - b)).toEqual(levels);
    }
    expect(once.chance).toBeCloseTo(once.ends.filter((level) => level >= 66).length / 101, 1);
    expect(look({ perWeek: 3 }).chance!).toBeGreaterThan(once.chance!);
    expect(look({ homeDays: 7 }).chance!).toBeGreaterThan(once.chance!);
    expect(look({ away: { fromWeek: 6, weeks: 6 } }).chance!).toBeLessThan(once.chance!);
    expect(look({ startsInWeeks: 8 }).visits).toBe(3);
    const none = outlookOf(known, schedule, { since: 3, end: 80, goal: null, paths: 500, seed: 4 });
    expect([none.chance, none.halfThereDay]).toEqual([null, null]);
    const low = outlookOf(known, schedule, { since: 3, end: 80, goal: 0, paths: 500, seed: 4 });
    expect([low.chance, low.halfThereDay]).toEqual([1, 0]);
  });

  test('half are there on the first day from which on half stay there', () => {
    const { known } = learnedFrom(weeks(8, 60, 6));
    const goal = 64;
    const { fan, halfThereDay } = outlookOf(
      known,
      { perWeek: 3, usualGain: 8, homeDays: 5, startsInWeeks: 0, away: null },
      { since: 3, end: 120, goal, paths: 2000, seed: 4 },
    );
    const middle = FAN.indexOf(0.5);
    const expected = fan.findIndex((_, i) => fan.slice(i).every(({ levels }) => levels[middle]! >= goal));
    expect(halfThereDay).toBe(expected < 0 ? null : fan[expected]!.day);
  });

  test('still moving where a month’s readings will show it, time to stop where half a year would not', () => {
    const { known } = learnedFrom(weeks(8, 60, 6));
    const schedule: Schedule = { perWeek: 3, usualGain: 8, homeDays: 5, startsInWeeks: 0, away: null };
    const easy = movingOf(known, schedule, 3, 1);
    expect(easy.weeks).toBe(4);
    expect(easy.measurable).toBeCloseTo(1 / Math.sqrt(12), 9);
    expect(easy.gain).toBeGreaterThanOrEqual(easy.measurable);
    const never = movingOf(known, { ...schedule, perWeek: 0 }, 3, 30);
    expect([never.weeks, never.measurable]).toEqual([null, 30]);
    // It is said of the same rhythm whatever else was planned.
    expect(movingOf(known, { ...schedule, startsInWeeks: 9, away: { fromWeek: 0, weeks: 9 } }, 3, 1)).toEqual(easy);
  });
});

test('what is ahead: visits spread over the weeks, none while away or before the start, home work all along', () => {
  const ahead = aheadOf({ perWeek: 1, usualGain: 5, homeDays: 5, startsInWeeks: 1, away: { fromWeek: 2, weeks: 2 } }, 3, 42, [0, 42]);
  expect(ahead.visits).toEqual([10, 31, 38].map((day) => ({ day, usualGain: 5 })));
  expect([ahead.homeShare, ahead.since, ahead.at]).toEqual([5 / 7, 3, [0, 42]]);
});

test('the ground: where healthy people lie, twice as wide; the fan where no table has them', () => {
  const person = facts([]).person;
  for (const motion of MOTIONS) {
    const ground = groundOf(motion, person, TODAY);
    expect(ground.floorSd).toBeGreaterThan(0);
    expect(ground.fullGain).toBeCloseTo(
      motion.roundGain.reduce((a, b) => a + b, 0),
      9,
    );
    expect(() => learn({ ground, occasions: [] })).not.toThrow();
  }
});

describe('what is laid out in a season', () => {
  const stay = (from: string, until: string, visits = false) => ({ from, until, visits });

  test('a planned rhythm has its visits from its first day on, none where one is booked, none during an absence without visits', () => {
    const rhythm = { perWeek: 2, from: '2026-12-01' };
    const all = rhythmDays(rhythm, [], new Set(), TODAY);
    expect(all).toHaveLength(104);
    expect(all[0]! >= '2026-12-01').toBe(true);
    expect(rhythmDays({ ...rhythm, from: '2026-01-01' }, [], new Set(), TODAY)[0]! >= TODAY).toBe(true);
    expect(rhythmDays(rhythm, [], new Set([all[0]!]), TODAY)).toEqual(all.slice(1));
    const away = rhythmDays(rhythm, [stay('2026-12-07', '2026-12-20')], new Set(), TODAY);
    expect(away).toEqual(all.filter((day) => day < '2026-12-07' || day > '2026-12-20'));
    expect(all.length - away.length).toBe(4);
    expect(rhythmDays(rhythm, [stay('2026-12-07', '2026-12-20', true)], new Set(), TODAY)).toEqual(all);
    expect([rhythmDays(null, [], new Set(), TODAY), rhythmDays({ ...rhythm, perWeek: 0 }, [], new Set(), TODAY)]).toEqual([[], []]);
  });

  test('the first absence without visits counts in weeks from today, also one that has begun; later than the end none counts', () => {
    expect(firstAway([stay('2026-12-11', '2026-12-24')], TODAY, '2027-03-01')).toEqual({ fromWeek: 2, weeks: 2 });
    expect(firstAway([stay('2026-12-25', '2027-01-07'), stay('2026-12-04', '2026-12-10')], TODAY, '2027-03-01')).toEqual({
      fromWeek: 1,
      weeks: 1,
    });
    expect(firstAway([stay('2026-11-20', '2026-12-03')], TODAY, '2027-03-01')).toEqual({ fromWeek: 0, weeks: 1 });
    expect(firstAway([stay('2027-03-01', '2027-03-10')], TODAY, '2027-03-01')).toBeNull();
    expect(firstAway([stay('2026-12-11', '2026-12-24', true)], TODAY, '2027-03-01')).toBeNull();
  });
});
