import { motionOf, type Side } from '../body/index.ts';
import { usuallyLeft } from '../forecast/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import { BUILT_IN } from '../method/index.ts';
import type { PastBlock, PastReading } from '../record/index.ts';
import { usualGain } from '../session/index.ts';
import { ENOUGH_VISITS, keptFacts, type Reading, type ResponseFacts } from './index.ts';

const READING: Reading = { errors: NOTHING_KNOWN, dayOf: (instant) => instant.slice(0, 10) };
const WAY = [...BUILT_IN.methods.values()].find((method) => method.axis === 'motion' && method.share > 0)!;
const entryOf = (motionId: string) => [...BUILT_IN.entries.values()].find((entry) => entry.motionId === motionId)!;
const DAY_MS = 86_400_000;
const FIRST = Date.parse('2026-09-01T09:00:00.000Z');
const at = (day: number) => new Date(FIRST + day * DAY_MS).toISOString();

/** Visits so many days apart at which a motion is worked on one side; so much of each gain is there at the next. */
function worked(motionId: string, side: Side, visits: number, apart: number, keeps: number): ResponseFacts {
  const motion = motionOf(motionId);
  const toward = motion.better === 'higher' ? 1 : -1;
  const gain = usualGain(motion, [WAY.share, WAY.share]);
  const past: PastReading[] = [];
  const blocks: PastBlock[] = [];
  let level = motion.rest + toward * 0.4 * Math.abs(motion.fan.max - motion.rest);
  for (let n = 0; n < visits; n++) {
    const [visitId, startsAt] = [`v${n}`, at(n * apart)];
    const read = (moment: 'before' | 'after', value: number): PastReading => ({
      visitId,
      startsAt,
      motionId,
      side,
      moment,
      instrument: motion.instruments[0],
      examinerId: null,
      trialCount: 3,
      value,
    });
    past.push(read('before', level), read('after', level + toward * gain));
    blocks.push({ visitId, startsAt, entryId: entryOf(motionId).id, methodId: WAY.id, motionId, sides: [{ side, rounds: 2 }] });
    level += toward * keeps * gain;
  }
  return { person: { birthDate: '2000-01-01', referenceSex: 'none' }, conditions: [], past, blocks };
}
const both = (a: ResponseFacts, b: ResponseFacts): ResponseFacts => ({
  ...a,
  past: [...a.past, ...b.past],
  blocks: [...a.blocks, ...b.blocks],
});
const [HIP, KNEE] = ['straight-leg-raise', 'knee-flexion'] as const;

test('a motion whose gains stay leaves more than is usual, one whose gains go leaves less, each from its own visits', () => {
  const facts = both(worked(HIP, 'left', 10, 4, 0.6), worked(KNEE, 'left', 10, 4, 0));
  const found = keptFacts(facts, at(40), READING);
  expect(found.usual).toBe(usuallyLeft(found.days).mean);
  const of = (motionId: string) => found.own.find((each) => each.motionId === motionId)!;
  expect(of(HIP).visits).toBe(10);
  expect(of(HIP).mean).toBeGreaterThan(found.usual);
  expect(of(KNEE).mean).toBeLessThan(found.usual);
  for (const each of found.own) {
    expect(each.low).toBeLessThan(each.high);
    expect(each.mean).toBeGreaterThan(each.low);
  }
});

test('after a few visits nothing is said to be one’s own, after many what was worked on is, and nothing else', () => {
  const few = keptFacts(worked(HIP, 'left', ENOUGH_VISITS - 1, 4, 0.6), at(12), READING);
  expect(few.own).toEqual([]);
  const many = worked(HIP, 'left', 10, 4, 0.6);
  expect(keptFacts(many, at(40), READING).own.map(({ motionId, side }) => [motionId, side])).toEqual([[HIP, 'left']]);
});

test('the next visit comes as visits came lately, for all motions; once a week where there was none', () => {
  const days = (apart: number, visits = 10) => keptFacts(worked(HIP, 'left', visits, apart, 0.3), at(apart * visits), READING).days;
  expect(days(7)).toBeCloseTo(7, 5);
  expect(days(2)).toBeLessThan(3);
  expect(keptFacts(worked(HIP, 'left', 4, 7, 0.3), at(200), READING).days).toBe(7);
  const idle: ResponseFacts = { person: { birthDate: '2000-01-01', referenceSex: 'none' }, conditions: [], past: [], blocks: [] };
  expect(keptFacts(idle, at(0), READING)).toEqual({ days: 7, usual: usuallyLeft(7).mean, own: [] });
});
