import fc from 'fast-check';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { DateTime } from 'luxon';
import { playedSports } from '../sport/index.ts';
import {
  addDays,
  dayLoads,
  loadHistory,
  readTyped,
  sessionLoad,
  trainedYesterday,
  typedText,
  uncoupled,
  weekFigures,
  weightedMeans,
  type LoadFields,
} from './index.ts';

const session = (onDate: string, load: number, more: Partial<LoadFields> = {}): LoadFields => ({
  onDate,
  kind: 'easy-run',
  minutes: Math.max(1, load),
  exertion: load === 0 ? 0 : 1,
  amount: null,
  askedAfterMin: null,
  planned: false,
  ...more,
});
const END = '2026-11-25';
const series = (loads: readonly number[], end = END) => loads.map((load, i) => session(addDays(end, i + 1 - loads.length), load));

describe('one week', () => {
  // Foster C. Med Sci Sports Exerc 1998;30:1164–1168 (formulas recalled from memory); the example's figures are computed by hand from them.
  test('the worked example to the digit: 300, 0, 300, 0, 300, 0, 0', () => {
    const { sum, mean: average, sd, monotony, strain } = weekFigures([300, 0, 300, 0, 300, 0, 0]);
    expect(sum).toBe(900);
    expect(average.toFixed(2)).toBe('128.57');
    expect(sd.toFixed(2)).toBe('160.36');
    expect(monotony!.toFixed(2)).toBe('0.80');
    expect(strain!.toFixed(1)).toBe('721.6');
  });

  test('agrees with a statistics library on any week', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 1500 }), { minLength: 7, maxLength: 7 }), (days) => {
        const figures = weekFigures(days);
        expect(figures.mean).toBeCloseTo(mean(days), 9);
        expect(figures.sd).toBeCloseTo(sampleStandardDeviation(days), 9);
        if (new Set(days).size > 1) expect(figures.monotony).toBeCloseTo(mean(days) / sampleStandardDeviation(days), 9);
      }),
    );
  });

  test('a week of equal days has no monotony and no strain, also where sums round; never an infinity', () => {
    for (const load of [0, 1, 300, 1 / 3, 0.1])
      expect(weekFigures(Array<number>(7).fill(load))).toMatchObject({ monotony: null, strain: null });
  });

  test('six days are no week', () => {
    expect(() => weekFigures([1, 2, 3, 4, 5, 6])).toThrow(RangeError);
  });
});

describe('short against long', () => {
  test('the short and the long mean share no day', () => {
    const days = [...Array<number>(28).fill(100), ...Array<number>(7).fill(200)];
    expect(uncoupled(days)).toEqual({ short: 200, long: 100, ratio: 2 });
    expect(uncoupled(days.slice(1))).toEqual({ short: 200, long: null, ratio: null });
    expect(uncoupled(Array<number>(35).fill(0)).ratio).toBeNull();
  });

  // Williams S et al. Br J Sports Med 2017;51:209–210: λ = 2/(N + 1). Unrolled instead of run: the weights of every day written out.
  test('the exponentially weighted mean is the sum it stands for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 1500 }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 1, max: 28 }),
        (days, n) => {
          const weight = 2 / (n + 1);
          weightedMeans(days, n).forEach((value, i) => {
            if (i < n - 1) return expect(value).toBeNull();
            let sum = mean(days.slice(0, n)) * (1 - weight) ** (i - n + 1);
            for (let j = n; j <= i; j++) sum += weight * (1 - weight) ** (i - j) * days[j]!;
            expect(value).toBeCloseTo(sum, 6);
          });
        },
      ),
    );
  });

  test('a constant load stays what it is from the first value on', () => {
    expect(weightedMeans(Array<number>(40).fill(250), 28).slice(27)).toEqual(Array<number>(13).fill(250));
  });
});

describe('days', () => {
  test('sum by day, rest days are 0, planned and unrated sessions are no load', () => {
    const loads = [
      session('2026-11-20', 300),
      session('2026-11-20', 100),
      session('2026-11-22', 200, { planned: true }),
      session('2026-11-23', 50, { exertion: null }),
    ];
    expect(dayLoads(loads, '2026-11-20', '2026-11-23')).toEqual([
      { on: '2026-11-20', load: 400, sessions: 2, unrated: 0 },
      { on: '2026-11-21', load: 0, sessions: 0, unrated: 0 },
      { on: '2026-11-22', load: 0, sessions: 0, unrated: 0 },
      { on: '2026-11-23', load: 0, sessions: 1, unrated: 1 },
    ]);
    expect(sessionLoad({ exertion: 0, minutes: 30, planned: false })).toBe(0);
    expect(() => dayLoads([], '2026-11-23', '2026-11-20')).toThrow(RangeError);
  });

  // Days of clock change of the European Union, against a calendar library.
  test.each(['2026-03-28', '2026-10-24', '2027-02-28', '2028-02-28', '2026-12-31'])('the day after %s is the next one', (day) => {
    expect(addDays(day, 1)).toBe(DateTime.fromISO(day, { zone: 'Europe/Berlin' }).plus({ days: 1 }).toISODate());
    expect(dayLoads([], day, addDays(day, 2))).toHaveLength(3);
  });

  test('moving everything by a day moves every figure with it and changes none', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: -400, max: 400 }),
        (loads, by) => {
          const here = loadHistory(series(loads), END);
          const there = loadHistory(series(loads, addDays(END, by)), addDays(END, by));
          expect(there).toEqual({ ...here, days: here.days.map((day) => ({ ...day, on: addDays(day.on, by) })) });
        },
      ),
    );
  });

  test('what was before the first session is unknown and not rest: no figure stands on it', () => {
    expect(loadHistory(series([300, 300, 300]), END)).toMatchObject({
      week: null,
      rolling: { short: null, long: null },
      weighted: { short: null },
    });
    expect(loadHistory(series([300, 0, 300, 0, 300, 0, 0]), END).week!.sum).toBe(900);
    expect(loadHistory([], END)).toMatchObject({ days: [], week: null, unrated: 0 });
    // Rest since the last session is rest.
    expect(loadHistory(series([300], '2026-11-18'), END).days.map(({ load }) => load)).toEqual([300, 0, 0, 0, 0, 0, 0, 0]);
  });

  test('a gap in the middle is rest, and longer histories than asked for are cut', () => {
    expect(loadHistory([session('2020-01-01', 100), ...series([100, 100])], END, 35).days).toHaveLength(35);
  });
});

test('what was trained yesterday comes with its muscles, heaviest first; a kind that is gone keeps its name', () => {
  const runner = playedSports([{ sportId: 'running', discipline: null, role: null, leading: null, words: '' }]);
  const trained = trainedYesterday(
    [
      session('2026-11-24', 100),
      session('2026-11-24', 500, { kind: 'sprints', minutes: 50, exertion: 10 }),
      session('2026-11-24', 50, { kind: 'gone' }),
      session('2026-11-23', 900),
      session('2026-11-24', 900, { planned: true }),
    ],
    runner,
    END,
  );
  expect(trained.map(({ name, load }) => [name, load])).toEqual([
    ['Sprints', 500],
    ['Easy run', 100],
    ['gone', 50],
  ]);
  expect(trained[0]!.muscles).toContain('hamstrings');
  expect(trained[2]!.muscles).toEqual([]);
});

describe('a day’s cell', () => {
  const kinds = playedSports([{ sportId: 'rowing', discipline: null, role: null, leading: null, words: '' }])[0]!.sport.loadKinds;

  test.each([
    ['60 7', [['water', 60, 7, null]]],
    ['60x7', [['water', 60, 7, null]]],
    ['60 min 6,5', [['water', 60, 6.5, null]]],
    ['90', [['water', 90, null, null]]],
    [
      'str 45 6; 70 5 #12000',
      [
        ['strength', 45, 6, null],
        ['water', 70, 5, 12000],
      ],
    ],
    [
      'Rowing machine 40 8 + easy run 30 3',
      [
        ['ergometer', 40, 8, null],
        ['easy-run', 30, 3, null],
      ],
    ],
    ['', []],
  ])('%j is read', (text, sessions) => {
    const read = readTyped(text, kinds);
    expect(read.kind === 'sessions' && read.sessions.map((each) => [each.kind, each.minutes, each.exertion, each.amount])).toEqual(
      sessions,
    );
  });

  test.each(['hard', '60 11', '60 7.3', '0 5', '2000 5', 'swim 60 5', '60 7 x'])('%j is refused with a word', (text) => {
    expect(readTyped(text, kinds)).toMatchObject({ kind: 'wrong', message: expect.stringMatching(/\.$/) });
  });

  test('what is written is read back as it was', () => {
    const session = fc.record({
      kind: fc.constantFrom(...kinds.map(({ id }) => id)),
      minutes: fc.integer({ min: 1, max: 1440 }),
      exertion: fc.option(fc.integer({ min: 0, max: 20 }).map((half) => half / 2)),
      amount: fc.option(fc.integer({ min: 0, max: 999_999 })),
    });
    fc.assert(
      fc.property(fc.array(session, { maxLength: 4 }), (sessions) => {
        expect(readTyped(typedText(sessions, kinds), kinds)).toEqual({ kind: 'sessions', sessions });
      }),
    );
  });
});
