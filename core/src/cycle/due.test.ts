import { MOTIONS } from '../body/index.ts';
import { CONDITIONS } from '../caution/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import { learn, nextKept } from '../forecast/index.ts';
import { addDays } from '../load/index.ts';
import type { Goal, PastReading } from '../record/index.ts';
import { PHASE_RULES, seasonDay, EMPTY_PLAN, type Block } from '../season/index.ts';
import {
  bringsWords,
  courseOf,
  dueRows,
  goalStanding,
  learnPractice,
  timeOf,
  type DueFacts,
  type DueFile,
  type DueKnown,
  type Reading,
} from './index.ts';

const NOW = '2026-11-27T10:00:00.000Z';
const TODAY = '2026-11-27';
const READING: Reading & { now: string } = { errors: NOTHING_KNOWN, dayOf: (instant) => instant.slice(0, 10), now: NOW };
const ago = (days: number) => `${addDays(TODAY, -days)}T09:00:00.000Z`;
const read = (days: number, value: number, more: Partial<PastReading> = {}): PastReading => ({
  visitId: `v${days}`,
  startsAt: ago(days),
  motionId: 'straight-leg-raise',
  side: 'left',
  moment: 'before',
  instrument: 'inclinometer',
  examinerId: null,
  trialCount: 3,
  value,
  ...more,
});
const goal = (more: Partial<Goal> = {}): Goal => ({
  id: 'g',
  motionId: 'straight-leg-raise',
  side: 'left',
  value: 80,
  byDate: addDays(TODAY, 30),
  why: null,
  whyWords: '',
  setAt: ago(60),
  ...more,
});
const facts = (id: string, more: Partial<DueFacts> = {}, past: readonly PastReading[] = [read(5, 70)]): DueFacts => ({
  id,
  name: id,
  response: { person: { birthDate: '2000-01-01', referenceSex: 'none' }, conditions: [], past, blocks: [] },
  conditions: [],
  goals: [],
  lastVisitAt: ago(5),
  nextVisitAt: null,
  lookFirst: '',
  referred: false,
  season: null,
  line: [],
  ...more,
});
const fileOf = (...athletes: DueFacts[]): DueFile => ({ athletes, rules: [], errors: NOTHING_KNOWN, total: athletes.length });
const reasonsOf = (given: DueFacts) => dueRows(fileOf(given), new Map(), READING)[0]?.reasons.map(({ words }) => words) ?? [];
const SURGERY = CONDITIONS.find((each) => 'surgery' in each)!;
const surgery = (days: number): DueFacts['conditions'] => [
  {
    code: SURGERY.code,
    region: null,
    side: 'left',
    onset: null,
    surgeryOn: addDays(TODAY, -days),
    muscle: null,
    grade: null,
    words: '',
    clearance: null,
    resolvedOn: null,
  },
];
const block = (phase: Block['phase'], from: number, until: number): Block => ({
  phase,
  from: addDays(TODAY, from),
  until: addDays(TODAY, until),
  fromAnchor: null,
  untilAnchor: null,
});
const LESS = MOTIONS.find(({ better, sides }) => better === 'lower' && sides.includes('left'))!.id;

describe('who is due', () => {
  test('not who was seen and measured lately and is on the path, nor who has a visit soon', () => {
    expect(reasonsOf(facts('a'))).toEqual([]);
    expect(reasonsOf(facts('a', { lastVisitAt: ago(40), nextVisitAt: `${addDays(TODAY, 10)}T09:00:00.000Z` }))).toEqual([]);
    expect(reasonsOf(facts('a', { lastVisitAt: ago(40), nextVisitAt: `${addDays(TODAY, 11)}T09:00:00.000Z` }))).toHaveLength(1);
  });

  test('not seen, never seen, not measured: with the days', () => {
    expect(reasonsOf(facts('a', { lastVisitAt: ago(20) }))).toEqual([]);
    expect(reasonsOf(facts('a', { lastVisitAt: ago(21) }))).toEqual(['Not seen for 21 days']);
    expect(reasonsOf(facts('a', { lastVisitAt: null }, []))).toEqual(['Never seen yet']);
    expect(reasonsOf(facts('a', {}, [read(28, 70)]))).toEqual(['Not measured for 28 days: the level is not known']);
    expect(reasonsOf(facts('a', {}, []))).toEqual(['Never measured']);
  });

  test('a phase after an operation that begins within a week must be seen; one that is over, or further off, must not', () => {
    // The phases begin at 6, 12 and 52 weeks.
    expect(reasonsOf(facts('a', { conditions: surgery(38) }))[0]).toMatch(/week 6 and early repair begin in 4 days, new limits$/);
    expect(reasonsOf(facts('a', { conditions: surgery(41) }))[0]).toMatch(/begin tomorrow/);
    expect(reasonsOf(facts('a', { conditions: surgery(34) }))).toEqual([]);
    expect(reasonsOf(facts('a', { conditions: surgery(42) }))).toEqual([]);
    expect(reasonsOf(facts('a', { conditions: [{ ...surgery(38)[0]!, resolvedOn: TODAY }] }))).toEqual([]);
  });

  test('what was left to look at, and who was sent to somebody else', () => {
    expect(reasonsOf(facts('a', { lookFirst: ' Right Achilles ' }))).toEqual(['To look at first: Right Achilles']);
    expect(reasonsOf(facts('a', { lookFirst: 'Right Achilles', referred: true }))).toEqual([
      'Sent to somebody else at the last visit, not seen since',
    ]);
  });

  test('off the path, in words, only beyond the band of the level', () => {
    const under = facts('a', { goals: [goal()] }, [read(60, 60), read(40, 60), read(20, 60), read(5, 60)]);
    // Half of the way from 60 to 80 would be over after two thirds of the days: 73.3.
    expect(reasonsOf(under)).toEqual([expect.stringMatching(/^Straight-leg raise left: 13\.\d° under the path to 80\.0°$/)]);
    const on = facts('a', { goals: [goal()] }, [read(60, 60), read(40, 65), read(20, 70), read(5, 73)]);
    expect(reasonsOf(on)).toEqual([]);
  });

  test('must first, then what to look at, then by what a visit brings in degrees; nothing is brought where range is only kept', () => {
    const compete = seasonDay(
      { followed: { name: 'Eight', plan: { ...EMPTY_PLAN, blocks: [block('compete', -3, 9)] } }, own: null, rules: [], events: [] },
      TODAY,
    );
    const tired = { lastVisitAt: ago(30), goals: [goal()] };
    const file = fileOf(
      facts('keeping', { ...tired, season: compete }, [read(30, 60)]),
      facts('little', tired, [read(30, 79)]),
      facts('much', tired, [read(30, 60)]),
      facts('look', { lookFirst: 'Elbow' }),
      facts('must', { conditions: surgery(38) }),
    );
    const learned = learnPractice(
      file.athletes.map(({ response }) => response),
      (person) => file.athletes[person]!.goals.length > 0,
      TODAY,
      READING,
    );
    const known = new Map(
      file.athletes.map(({ id }, i): [string, DueKnown[]] => [
        id,
        learned[i]!.map(({ motionId, side, known: how, course }) => ({
          motionId,
          side,
          known: how,
          usualGain: course.ground.fullGain,
          since: course.occasions.at(-1)!.day,
        })),
      ]),
    );
    const rows = dueRows(file, known, READING);
    expect(rows.map(({ athleteId }) => athleteId)).toEqual(['must', 'look', 'much', 'little', 'keeping']);
    const [, , much, little, keeping] = rows;
    expect(keeping).toMatchObject({ brings: null, held: expect.stringContaining('keep only') });
    // Never beyond the goal, and else what the forecast expects.
    expect(little!.brings!.kept.middle).toBeLessThanOrEqual(1);
    const course = courseOf('straight-leg-raise', 'left', file.athletes[2]!.response, TODAY, READING)!;
    const alone = nextKept(learn(course, undefined, 1), timeOf(NOW) - course.occasions.at(-1)!.day, course.ground.fullGain);
    expect(much!.brings!.kept.middle).toBeGreaterThan(alone.middle * 0.5);
    expect(much!.brings!.kept.middle).toBeLessThan(alone.middle * 2);
    expect(bringsWords(much!.brings!)).toMatch(/^\+\d\.\d°$/);
  });
});

describe('a goal against its path', () => {
  const season = { blocks: [], rules: PHASE_RULES };
  const look = (given: Goal, past: readonly PastReading[], blocks: readonly Block[] = []) =>
    goalStanding(given, past, { ...season, blocks }, { ...READING, today: TODAY });

  test('begins at the level on the day it was set, or at the first reading after', () => {
    const past = [read(80, 50), read(60, 50), read(10, 55)];
    const standing = look(goal(), past)!;
    expect(standing.path.fromDay).toBe(addDays(TODAY, -60));
    expect(standing.path.fromLevel).toBeGreaterThan(48);
    expect(standing.path.fromLevel).toBeLessThan(53);
    expect(look(goal({ setAt: ago(90) }), past)!.path.fromDay).toBe(addDays(TODAY, -80));
  });

  test('the longer it was not read, the less can be said to be off the path', () => {
    const recent = look(goal(), [read(60, 60), read(30, 62), read(1, 62)])!;
    const old = look(goal(), [read(89, 60), read(59, 62), read(50, 62)])!;
    expect(old.level.high - old.level.low).toBeGreaterThan(recent.level.high - recent.level.low);
    expect(old.readDaysAgo).toBe(50);
  });

  test('nothing is said without a day, without a reading, or where the day was before', () => {
    expect(look(goal({ byDate: null }), [read(5, 60)])).toBeNull();
    expect(look(goal(), [])).toBeNull();
    expect(look(goal({ byDate: addDays(TODAY, -70) }), [read(60, 60)])).toBeNull();
  });

  test('under for somebody for whom less is better, too', () => {
    const less = [read(60, 20), read(20, 20), read(5, 20)].map((each) => ({ ...each, motionId: LESS }));
    expect(look(goal({ motionId: LESS, value: 5 }), less)!.against.kind).toBe('under');
  });
});
