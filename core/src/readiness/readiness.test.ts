import fc from 'fast-check';
import { median as libraryMedian, medianAbsoluteDeviation } from 'simple-statistics';
import { isAsStrict } from '../caution/index.ts';
import { addDays } from '../load/index.ts';
import { seeded } from '../random/index.ts';
import {
  dayLimits,
  deviation,
  limitsOf,
  ownNormal,
  READINESS_RULES,
  readinessOf,
  SCALES,
  scaleSum,
  standing,
  told,
  type CheckIn,
  type DayValue,
  type ReadinessVerdict,
  type Signals,
} from './index.ts';

const ON = '2026-11-25';
const days = (values: readonly (number | null)[]): DayValue[] => values.map((value, i) => ({ on: addDays(ON, i - values.length), value }));

describe('scales', () => {
  // Hooper & Mackinnon 1995: 4 to 28; McLean 2010: 5 to 25; both recalled from memory.
  test.each([
    ['four-items', 4, 28],
    ['five-items', 5, 25],
  ] as const)('%s sums from %d to %d', (id, least, most) => {
    const scale = SCALES.find((each) => each.id === id)!;
    const all = (value: number) => Object.fromEntries(scale.items.map((item) => [item.id, value]));
    expect([scaleSum(id, all(scale.lowest)), scaleSum(id, all(scale.highest))]).toEqual([least, most]);
    const { sleep: _left, ...rest } = all(3);
    expect(scaleSum(id, rest)).toBeNull();
  });
});

describe('own normal', () => {
  test('is the median and 1.4826·MAD of a statistics library', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 4, max: 28 }), { minLength: 28, maxLength: 28 }), (values) => {
        const normal = ownNormal(days(values), ON, 0.001);
        expect(normal).toMatchObject({ kind: 'known', median: libraryMedian(values), answers: 28 });
        const spread = 1.4826 * medianAbsoluteDeviation(values);
        expect((normal as { unit: number }).unit).toBeCloseTo(Math.max(0.001, spread), 9);
      }),
    );
  });

  test('needs 8 answers in 14 days, and says how many are missing; missing days count for nothing', () => {
    expect(ownNormal(days([...Array<number>(14).fill(10), ...Array<null>(7).fill(null), ...Array<number>(7).fill(10)]), ON, 1)).toEqual({
      kind: 'not-known',
      missing: 1,
    });
    expect(ownNormal(days([...Array<null>(6).fill(null), ...Array<number>(8).fill(10)]), ON, 1)).toEqual({
      kind: 'known',
      median: 10,
      unit: 1,
      answers: 8,
    });
    expect(ownNormal([], ON, 1)).toEqual({ kind: 'not-known', missing: 8 });
  });

  test('the day itself and what is older than four weeks are no part of it', () => {
    const known = ownNormal([...days(Array<number>(28).fill(10)), { on: ON, value: 28 }, { on: addDays(ON, -29), value: 28 }], ON, 1);
    expect(known).toMatchObject({ median: 10, answers: 28 });
  });

  test('off is in own units, worse is positive on either scale, and a missing value is off nothing', () => {
    const normal = { kind: 'known', median: 10, unit: 2, answers: 20 } as const;
    expect([deviation(14, normal, 'higher'), deviation(14, normal, 'lower'), deviation(null, normal, 'higher')]).toEqual([2, -2, null]);
    expect(deviation(14, { kind: 'not-known', missing: 3 }, 'higher')).toBeNull();
  });
});

const checkIn = (onDate: string, more: Partial<CheckIn> = {}): CheckIn => ({
  id: `c-${onDate}`,
  at: `${onDate}T06:30:00.000Z`,
  by: 'the athlete',
  supersedes: null,
  onDate,
  scale: 'four-items',
  answers: { sleep: 3, stress: 3, fatigue: 3, soreness: 3 },
  hoursSlept: 7.5,
  sore: [],
  ill: false,
  injured: false,
  travelled: false,
  training: 'full',
  rmssdMs: null,
  ...more,
});
const weeks = (n: number, more: (i: number) => Partial<CheckIn> = () => ({})) =>
  Array.from({ length: n }, (_, i) => checkIn(addDays(ON, i - n), more(i)));
const facts = (checkIns: readonly CheckIn[]) => ({
  onDay: ON,
  checkIns,
  loads: [],
  motionsBelow: null,
  daysToEvent: null,
  daysSinceEvent: null,
});
const wordOf = (checkIns: readonly CheckIn[]) => readinessOf(told(facts(checkIns), 'four-items').signals);

describe('readiness today', () => {
  test('nobody is called ready of whom nothing is known, however much else is', () => {
    expect(wordOf([]).word).toBe('not known');
    expect(wordOf(weeks(28)).word).toBe('not known');
    expect(wordOf([checkIn(ON)]).word).toBe('not known');
    expect(wordOf([...weeks(20), checkIn(ON, { ill: null })]).missing).toEqual(['whether they are ill']);
    expect(wordOf([...weeks(20), checkIn(ON)]).word).toBe('ready');
    // Answers on the practice's other scale are no answers on this one.
    expect(readinessOf(told(facts([...weeks(20), checkIn(ON)]), 'five-items').signals).word).toBe('not known');
  });

  test('a short night eases, an illness holds, each with its reason', () => {
    const varied = (i: number) => ({ hoursSlept: 7 + (i % 3) * 0.5 });
    const night = wordOf([...weeks(28, varied), checkIn(ON, { hoursSlept: 4.5 })]);
    expect(night.word).toBe('ease');
    expect(night.reasons.map(({ ruleId }) => ruleId)).toEqual(['sleep-5']);
    expect(limitsOf(night)).toMatchObject({ effortPct: 30, edgeShare: 0.9, painCeiling: 4 });
    const ill = wordOf([...weeks(28), checkIn(ON, { ill: true })]);
    expect([ill.word, ill.reasons[0]!.reason]).toEqual(['hold', 'Ill today.']);
  });

  test('small reasons add up', () => {
    const one = wordOf([...weeks(28), checkIn(ON, { sore: [{ muscle: 'soleus', side: 'left', score: 5 }] })]);
    expect(one.word).toBe('ready');
    const two = wordOf([...weeks(28), checkIn(ON, { sore: [{ muscle: 'soleus', side: 'left', score: 5 }], training: 'part' })]);
    expect(two.word).toBe('ease');
  });

  test('a reason that is set aside weighs nothing, and neither does what is lighter in its matter', () => {
    const signals = told(facts([...weeks(28), checkIn(ON, { hoursSlept: 3 })]), 'four-items').signals;
    expect(readinessOf(signals).reasons.map(({ ruleId }) => ruleId)).toEqual(['sleep-4']);
    const without = readinessOf(signals, new Set(['sleep-4']));
    expect([without.word, without.reasons]).toEqual(['ready', []]);
  });

  test('a correction stands for what it corrects; of two of one day the later one', () => {
    const first = checkIn(ON, { id: 'a', at: `${ON}T06:00:00.000Z`, ill: true });
    const second = checkIn(ON, { id: 'b', at: `${ON}T07:00:00.000Z`, supersedes: 'a' });
    expect(standing([second, first]).map(({ id }) => id)).toEqual(['b']);
    expect(wordOf([...weeks(28), first, second]).word).toBe('ready');
  });
});

/** Every signal, from nothing known over harmless to bad; wide of every step. */
const RANGES: Readonly<Record<keyof Signals, number>> = {
  sumOff: 5,
  itemOff: 5,
  sleepShortH: 8,
  sleepOff: 5,
  sore: 10,
  ill: 1,
  injured: 1,
  travelled: 1,
  trainingCut: 2,
  loadOff: 6,
  hrvBelowDays: 6,
  motionsBelow: 4,
  eventNear: 2,
  eventFresh: 2,
};
const NAMES = Object.keys(RANGES) as (keyof Signals)[];
const RANK = { ready: 0, 'not known': 1, ease: 2, hold: 3 } as const;

/** Over a hundred thousand athletes, seeded, so that a failure comes back. */
describe('over 100,000 athletes', () => {
  const random = seeded(13);
  const WHOLE = new Set<keyof Signals>([
    'ill',
    'injured',
    'travelled',
    'trainingCut',
    'hrvBelowDays',
    'motionsBelow',
    'eventNear',
    'eventFresh',
  ]);
  const anySignals = () =>
    Object.fromEntries(
      NAMES.map((name) => {
        const value = random() * RANGES[name];
        return [name, random() < 0.25 ? null : WHOLE.has(name) ? Math.round(value) : value * random()];
      }),
    ) as unknown as Signals;
  const worse = (before: ReadinessVerdict, after: ReadinessVerdict) =>
    RANK[after.word] >= RANK[before.word] && after.weight >= before.weight && isAsStrict(limitsOf(after), limitsOf(before));

  test('one sign that gets worse never makes the word better nor a limit wider', () => {
    for (let i = 0; i < 100_000; i++) {
      const signals = anySignals();
      const name = NAMES[Math.floor(random() * NAMES.length)]!;
      const value = signals[name];
      if (value === null) continue;
      const after = { ...signals, [name]: value + random() * (RANGES[name] - value) };
      if (!worse(readinessOf(signals), readinessOf(after))) throw new Error(JSON.stringify({ signals, after }));
    }
  });

  test('no rule fires on what is not known, and not knowing never turns into ready', () => {
    for (let i = 0; i < 100_000; i++) {
      const signals = anySignals();
      const verdict = readinessOf(signals);
      for (const { ruleId } of verdict.reasons) {
        const rule = READINESS_RULES.find(({ id }) => id === ruleId)!;
        if (signals[rule.signal] === null) throw new Error(ruleId);
      }
      if (verdict.word === 'ready' && (signals.sumOff === null || signals.ill === null || signals.injured === null))
        throw new Error('ready');
      const sorted = [...verdict.reasons].sort((a, b) => b.weight - a.weight).map(({ weight }) => weight);
      if (JSON.stringify(sorted) !== JSON.stringify(verdict.reasons.map(({ weight }) => weight))) throw new Error('order');
    }
  });
});

test('in one matter a heavier rule never holds back less', () => {
  for (const heavy of READINESS_RULES)
    for (const light of READINESS_RULES.filter((each) => each.matter === heavy.matter && each.weight < heavy.weight))
      for (const [limit, value] of Object.entries(light.limits))
        expect(heavy.limits[limit as 'effortPct']).toBeLessThanOrEqual(value as number);
});

test('in one signal a higher step never weighs or holds back less', () => {
  for (const name of NAMES) {
    const steps = READINESS_RULES.filter(({ signal }) => signal === name).sort((a, b) => a.atLeast - b.atLeast);
    expect(steps.length).toBeGreaterThan(0);
    for (let i = 1; i < steps.length; i++) {
      expect(steps[i]!.weight).toBeGreaterThanOrEqual(steps[i - 1]!.weight);
      for (const [limit, value] of Object.entries(steps[i - 1]!.limits))
        expect(steps[i]!.limits[limit as 'effortPct']).toBeLessThanOrEqual(value as number);
    }
  }
});

describe('what today holds back', () => {
  const ready = readinessOf(told(facts([...weeks(28), checkIn(ON)]), 'four-items').signals);
  const ease = readinessOf(told(facts([...weeks(28), checkIn(ON, { hoursSlept: 4.5 })]), 'four-items').signals);

  test('a ready day holds back nothing; an eased one what the word and its reasons say', () => {
    expect(dayLimits(ready, [], [])).toEqual([]);
    expect(dayLimits(ease, [], []).map(({ id }) => id)).toEqual(['readiness-ease', 'sleep-5']);
    expect(dayLimits(ease, [], [], new Set(['readiness-ease'])).map(({ id }) => id)).toEqual(['sleep-5']);
  });

  test('a sore place softens its muscle on its side, and what was trained hard its muscles on both', () => {
    const limits = dayLimits(
      ready,
      [
        { muscle: 'soleus', side: 'left', score: 7 },
        { muscle: 'hamstrings', side: 'right', score: 3 },
      ],
      [
        { kind: null, name: 'Sprints', minutes: 50, exertion: 8, load: 400, muscles: ['hamstrings'] },
        { kind: null, name: 'Walk', minutes: 50, exertion: 2, load: 100, muscles: ['soleus'] },
      ],
    );
    expect(limits.map(({ id, side, muscles }) => [id, side, muscles])).toEqual([
      ['sore-left-soleus', 'left', ['soleus']],
      ['trained-Sprints', null, ['hamstrings']],
    ]);
    expect(limits[0]!.limits).toMatchObject({ effortPct: 0, painCeiling: 2 });
  });
});
