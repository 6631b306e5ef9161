import type { DueFacts } from '../cycle/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import { addDays } from '../load/index.ts';
import { seeded } from '../random/index.ts';
import {
  ANY_TIME,
  fillWeek,
  keptInWeek,
  leftOutOf,
  mostAtOnce,
  oneMore,
  slotKey,
  usualHours,
  valuedVisits,
  visitWords,
  WEEK_WEIGHTS,
  weekDays,
  weekPeople,
  weekPlan,
  workSlots,
  wrongSpans,
  type WeekAthlete,
  type WeekChoice,
  type WeekClock,
  type WeekFile,
  type WeekHours,
  type WeekPerson,
  type WeekVisit,
} from './index.ts';

const MONDAY = '2026-11-30';
const NOW = '2026-11-27T10:00:00.000Z';
const CLOCK: WeekClock = {
  now: NOW,
  dayOf: (instant) => instant.slice(0, 10),
  minuteOfDay: (instant) => Number(instant.slice(11, 13)) * 60 + Number(instant.slice(14, 16)),
};
const READING = { errors: NOTHING_KNOWN, dayOf: CLOCK.dayOf, now: NOW };
const NONE: WeekChoice = { closed: [], opened: [], out: [], pins: [] };
const DAYS = weekDays(MONDAY);
const span = (weekday: number, from: number, to: number) => ({ weekday, fromMin: from * 60, toMin: to * 60 });
const hours = (more: Partial<WeekHours> = {}): WeekHours => ({
  ...usualHours(['a']),
  therapists: [{ accountId: 'a', spans: [1, 2, 3, 4, 5].map((day) => span(day, 8, 10)), breaks: [], most: 8 }],
  ...more,
});

describe('hours', () => {
  const early = { day: '2026-11-27', fromMin: 0 };
  test('one after the other with the pause, around breaks and what is taken, not before now', () => {
    const two = hours({ therapists: [{ accountId: 'a', spans: [span(1, 8, 12)], breaks: [{ ...span(1, 9, 10), words: 'x' }], most: 8 }] });
    const froms = (taken: Parameters<typeof workSlots>[2], from = early) => workSlots(two, DAYS, taken, from).map(({ fromMin }) => fromMin);
    expect(froms([])).toEqual([480, 600, 650]);
    // A visit from 8:10 to 8:30 leaves nothing before the break, one from 10:40 keeps the pause on both sides.
    expect(froms([{ day: MONDAY, fromMin: 490, toMin: 510, accountId: null }])).toEqual([600, 650]);
    expect(froms([{ day: MONDAY, fromMin: 640, toMin: 660, accountId: 'a' }])).toEqual([480, 665]);
    // Somebody else’s visit takes the one table.
    expect(froms([{ day: MONDAY, fromMin: 600, toMin: 640, accountId: 'b' }])).toEqual([480, 650]);
    expect(froms([], { day: MONDAY, fromMin: 620 })).toEqual([620, 670]);
    expect(froms([], { day: addDays(MONDAY, 1), fromMin: 0 })).toEqual([]);
  });

  test('no more at once than tables: whoever stands first has it, and what is taken lies already', () => {
    const both = (tables: number): WeekHours =>
      hours({ tables, therapists: ['a', 'b'].map((accountId) => ({ accountId, spans: [span(1, 8, 10)], breaks: [], most: 8 })) });
    const found = (tables: number, taken: Parameters<typeof workSlots>[2] = []) =>
      workSlots(both(tables), DAYS, taken, early).map(({ accountId, fromMin }) => `${accountId}${fromMin}`);
    expect(found(2)).toEqual(['a480', 'a530', 'b480', 'b530']);
    expect(found(1)).toEqual(['a480', 'a530']);
    expect(found(1, [{ day: MONDAY, fromMin: 480, toMin: 525, accountId: 'b' }])).toEqual(['a530']);
  });

  test('at any time no more of a therapist’s slots meet than one, and with few tables no more than there are', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const random = seeded(seed);
      const pick = (n: number) => Math.floor(random() * n);
      const therapists = ['a', 'b', 'c'].map((accountId) => ({
        accountId,
        spans: [{ weekday: 1, fromMin: 480 + 5 * pick(20), toMin: 700 + 5 * pick(60) }],
        breaks: [{ weekday: 1, fromMin: 560 + 5 * pick(10), toMin: 620 + 5 * pick(10), words: '' }],
        most: 9,
      }));
      const taken = Array.from({ length: pick(4) }, () => {
        const fromMin = 480 + 5 * pick(60);
        return { day: MONDAY, fromMin, toMin: fromMin + 30, accountId: pick(2) === 0 ? null : 'b' };
      });
      const set = hours({ tables: 1 + pick(3), minutes: 20 + 5 * pick(6), pauseMin: 5 * pick(3), therapists });
      const slots = workSlots(set, DAYS, taken, early).map((slot) => ({ ...slot, toMin: slot.fromMin + slot.minutes }));
      for (const slot of slots) {
        const others = slots.filter((each) => each !== slot);
        expect(
          mostAtOnce(
            others.filter(({ accountId }) => accountId === slot.accountId),
            slot,
          ),
        ).toBe(0);
        expect(mostAtOnce([...others, ...taken], slot)).toBeLessThan(set.tables);
      }
    }
  });

  test('spans that cannot be are said', () => {
    expect(wrongSpans([span(1, 8, 10), span(1, 10, 12), span(2, 8, 12)])).toBe('');
    expect(wrongSpans([span(1, 8, 10), span(1, 9, 12)])).toContain('share');
    expect(wrongSpans([span(1, 10, 10)])).toContain('ends after');
    expect(wrongSpans([span(8, 8, 10)])).toContain('day of the week');
  });
});

const facts = (id: string, more: Partial<DueFacts> = {}): DueFacts => ({
  id,
  name: id,
  response: { person: { birthDate: '2000-01-01', referenceSex: 'none' }, conditions: [], past: [], blocks: [] },
  conditions: [],
  goals: [],
  lastVisitAt: null,
  nextVisitAt: null,
  lookFirst: '',
  referred: false,
  season: null,
  line: [],
  ...more,
});
const athlete = (id: string, more: Partial<WeekAthlete> = {}): WeekAthlete => ({
  facts: facts(id),
  times: ANY_TIME,
  timesRevision: 0,
  days: DAYS.map((date) => ({ date, away: '', develop: 'all', because: '', events: [], trainingMin: 0 })),
  eventAfter: null,
  thumbMin: null,
  since: '2026-01-01',
  ...more,
});
const file = (athletes: readonly WeekAthlete[], more: Partial<WeekFile> = {}): WeekFile => ({
  monday: MONDAY,
  hours: hours(),
  hoursSet: true,
  therapists: [{ id: 'a', name: 'Ann' }],
  athletes,
  visits: [],
  rules: [],
  errors: NOTHING_KNOWN,
  total: athletes.length,
  thumbLimit: 20,
  ...more,
});
const visit = (athleteId: string, on: string, more: Partial<WeekVisit> = {}): WeekVisit => ({
  id: `${athleteId}${on}`,
  athleteId,
  athleteName: athleteId,
  startsAt: `${on}T08:00:00.000Z`,
  minutes: 45,
  therapistId: 'a',
  state: 'booked',
  revision: 1,
  ...more,
});
const event = (onDate: string, importance: 1 | 2 | 3 = 1) => ({ id: onDate, name: 'Head race', onDate, importance });
/** Somebody whose visits are worth so much each, in degrees. */
const worth = (person: WeekPerson, keptDeg: readonly number[]): WeekPerson => ({
  ...person,
  keptDeg,
  brings: { motionId: 'straight-leg-raise', side: 'left', kept: keptDeg.map((middle) => ({ middle, low: middle / 2, high: middle * 2 })) },
});
const peopleOf = (of: WeekFile) => weekPeople(of, new Map(), READING);
const filled = (of: WeekFile, people = peopleOf(of), choice = NONE) => {
  const plan = weekPlan(of, people, choice, CLOCK);
  const solution = fillWeek(plan.problem);
  return {
    plan,
    solution,
    of: (id: string) => solution.placed.filter(({ person }) => people[person]!.id === id).map(({ slot }) => plan.slots[slot]!),
  };
};
const withDay = (i: number, more: object) => athlete('x').days.map((day, at) => (at === i ? { ...day, ...more } : day));

describe('what a day is', () => {
  test('not on the day of an event that counts; only to keep on the day before the first; a race to train through is a day like others', () => {
    for (const [importance, on, before] of [
      [1, null, 'keep'],
      [2, null, 'develop'],
      [3, 'develop', 'develop'],
    ] as const) {
      const { plan } = filled(file([athlete('x', { days: withDay(3, { events: [event(DAYS[3]!, importance)] }) })]));
      const kinds = plan.problem.people[0]!.days.map((day) => day?.kind ?? null);
      expect([kinds[3], kinds[2], kinds[1]]).toEqual([on, before, 'develop']);
    }
    // The event of the Monday after makes the Sunday before one for keeping.
    const after = filled(file([athlete('x', { eventAfter: event(addDays(MONDAY, 7)) })]));
    expect(after.plan.problem.people[0]!.days[6]).toMatchObject({ kind: 'keep' });
  });

  test('away there is none, in a phase that keeps it keeps, a long session planned takes away', () => {
    const { plan } = filled(
      file([
        athlete('x', {
          days: athlete('x').days.map((day, i) =>
            i === 0 ? { ...day, away: 'Camp' } : i === 1 ? { ...day, develop: 'none' } : i === 2 ? { ...day, trainingMin: 90 } : day,
          ),
        }),
      ]),
    );
    expect(plan.problem.people[0]!.days.slice(0, 4)).toEqual([
      null,
      { kind: 'keep', add: 0 },
      { kind: 'develop', add: WEEK_WEIGHTS.longTraining },
      { kind: 'develop', add: 0 },
    ]);
  });

  test('visits of the week before and after, and those that stand, keep their days free around them', () => {
    const of = file([athlete('x')], {
      visits: [visit('x', addDays(MONDAY, -1), { state: 'done' }), visit('x', DAYS[3]!), visit('x', addDays(MONDAY, 7))],
    });
    const { plan } = filled(of);
    expect(plan.problem.people[0]!.days.map((day) => day !== null)).toEqual([false, true, false, false, false, true, false]);
    expect(plan.problem.people[0]!.standing).toEqual([{ day: 3, kind: 'develop' }]);
  });
});

describe('who counts for what', () => {
  test('weeks left out in a row, none before they were there', () => {
    const visits = [visit('seen', addDays(MONDAY, -5)), visit('once', addDays(MONDAY, -16))];
    const [seen, once, never, young] = peopleOf(
      file([athlete('seen'), athlete('once'), athlete('never'), athlete('young', { since: addDays(MONDAY, -10) })], { visits }),
    );
    expect([seen, once, never, young].map((each) => each!.leftOut)).toEqual([0, 2, 3, 1]);
    expect(young!.seen).toEqual([null, null, false]);
    expect(once!.seen).toEqual([true, false, false]);
    expect(never!.bonus - once!.bonus).toBeCloseTo(WEEK_WEIGHTS.leftOut, 9);
  });

  test('must comes before anything that could be kept', () => {
    const of = file([athlete('must', { facts: facts('must', { lastVisitAt: NOW }) }), athlete('gains')], {
      hours: hours({ therapists: [{ accountId: 'a', spans: [{ weekday: 1, fromMin: 480, toMin: 525 }], breaks: [], most: 1 }] }),
    });
    const [must, gains] = peopleOf(of);
    const people = [{ ...must!, must: true, bonus: WEEK_WEIGHTS.must }, worth(gains!, [9, 8, 7])];
    expect(filled(of, people).of('must')).toHaveLength(1);
    expect(filled(of, people).of('gains')).toHaveLength(0);
  });

  test('an event or goal within six weeks counts half as much again; what is shown stays what is kept', () => {
    const of = file([
      athlete('near', { eventAfter: event(addDays(MONDAY, 40)) }),
      athlete('far', { eventAfter: event(addDays(MONDAY, 50)) }),
    ]);
    const people = peopleOf(of).map((each) => worth(each, [1, 0.5, 0.2]));
    expect(people.map(({ near }) => near)).toEqual([true, false]);
    const plan = weekPlan(of, people, NONE, CLOCK);
    expect(plan.problem.people.map(({ develop }) => develop[0])).toEqual([1.5, 1]);
    const placed = [
      { person: 0, slot: 0 },
      { person: 1, slot: 2 },
    ];
    expect(keptInWeek(plan, placed)).toBeCloseTo(2, 9);
  });
});

describe('a filled week', () => {
  test('times they can come, how often they want to, what is kept free, opened and left out are kept to', () => {
    const of = file([
      athlete('tue', { times: { perWeek: null, spans: [span(2, 8, 9)] } }),
      athlete('once', { times: { perWeek: 1, spans: [] } }),
      athlete('none', { times: { perWeek: 0, spans: [] } }),
      athlete('twice'),
      athlete('out'),
    ]);
    const people = peopleOf(of).map((each) => worth(each, [2, 1.5, 1]));
    const closed = slotKey('a', DAYS[1]!, 480);
    const opened = { key: slotKey('a', DAYS[6]!, 600), accountId: 'a', day: 6, date: DAYS[6]!, fromMin: 600, minutes: 45 };
    const free = filled(of, people, { ...NONE, out: ['out'] });
    expect(free.of('tue').map(({ key }) => key)).toEqual([slotKey('a', DAYS[1]!, 480)]);
    expect(['once', 'none', 'twice', 'out'].map((id) => free.of(id).length)).toEqual([1, 0, 2, 0]);
    const shut = filled(of, people, { ...NONE, closed: [closed], opened: [opened] });
    expect(shut.of('tue')).toEqual([]);
    expect(shut.plan.slots.map(({ key }) => key)).toContain(opened.key);
    const words = leftOutOf(shut.plan, shut.solution.placed, shut.solution.status).map(({ person, words: why }) => [
      people[person]!.id,
      why,
    ]);
    expect(Object.fromEntries(words)).toMatchObject({ tue: 'Can come at no time there is.', none: 'Wants no visit this week.' });
    expect(leftOutOf(free.plan, free.solution.placed, 'optimal').find(({ person }) => people[person]!.id === 'out')!.words).toBe(
      'Left out by hand.',
    );
  });

  test('what one more time is said to bring is what the week with it is worth more, and by trying every day nothing brings more', () => {
    const random = seeded(5);
    const ids = Array.from({ length: 14 }, (_, i) => `p${i}`);
    const of = file(ids.map((id) => athlete(id)));
    const people = peopleOf(of).map((each) => {
      const first = random() * 2;
      return { ...worth(each, [first, first * 0.8, first * 0.5]), bonus: 0 };
    });
    const now = filled(of, people);
    const more = oneMore(of, people, NONE, now, CLOCK);
    expect(more).toHaveLength(5);
    expect(more.map(({ adds }) => adds)).toEqual(more.map(({ adds }) => adds).sort((a, b) => b - a));
    for (const { slot, adds, gains, exact } of more) {
      const then = filled(of, people, { ...NONE, opened: [slot] });
      expect(exact).toBe(true);
      expect(adds).toBeCloseTo(then.solution.value - now.solution.value, 9);
      expect(adds === 0 || gains.length > 0).toBe(true);
    }
  });

  test('a cell says what a visit is for', () => {
    const [x] = peopleOf(file([athlete('x', { facts: facts('x', { lookFirst: 'left hip' }) })]));
    expect(visitWords(x!, { kind: 'develop', nth: 0 })).toBe('To look at first: left hip');
    expect(visitWords(x!, { kind: 'develop', nth: 1 })).toBe('second visit');
    expect(visitWords(x!, { kind: 'keep', nth: 0 })).toBe('keep only');
  });

  test('who is left out of the best week is told a reason that is so', () => {
    let told = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const random = seeded(seed);
      const ids = Array.from({ length: 16 }, (_, i) => `p${i}`);
      const of = file(
        ids.map((id) => athlete(id, { times: { perWeek: null, spans: random() < 0.5 ? [] : [span(1 + Math.floor(random() * 6), 8, 9)] } })),
      );
      const people = peopleOf(of).map((each) => {
        const first = random() < 0.2 ? 0 : random() * 2;
        return { ...worth(each, [first, first * 0.8, first * 0.5]), bonus: 0 };
      });
      const { plan, solution } = filled(of, people);
      const valued = valuedVisits(plan.problem, solution.placed);
      for (const { person, words, would } of leftOutOf(plan, solution.placed, solution.status)) {
        const self = plan.problem.people[person]!;
        const could = self.slots.filter((slot) => self.days[plan.problem.slots[slot]!.day]);
        if (words === 'Can come at no time there is.') expect(could).toEqual([]);
        else if (words.startsWith('No motion')) expect(people[person]!.keptDeg[0]).toBe(0);
        else {
          expect(words).toBe('All their times went to what brings as much or more.');
          told += 1;
          for (const slot of could) {
            const there = valued.find((each) => each.slot === slot)!;
            const last = valued.filter((each) => each.person === there.person).at(-1)!;
            expect(Math.max(there.value, last.value)).toBeGreaterThanOrEqual(would - 1e-9);
          }
        }
      }
    }
    expect(told).toBeGreaterThan(40);
  });
});
