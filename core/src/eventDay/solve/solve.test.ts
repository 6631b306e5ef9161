import fc from 'fast-check';
import loadHighs from 'highs';
import { anyEventDay, disturbed } from '../../testing/eventDays.ts';
import { eventDayModel } from '../../testing/eventDayModel.ts';
import { seeded } from '../../random/index.ts';
import { solveDay, type DayPlace, type DayProblem, type DayWorth } from '../index.ts';

/** What a plan comes to, in one number, counted by itself. */
function count({ tasks }: DayProblem, { weight, kept, preferred }: DayWorth): number {
  const unit = tasks.length + 1;
  return weight * unit * unit + kept * unit + preferred;
}

function worth({ tasks }: DayProblem, places: readonly DayPlace[]): DayWorth {
  const of = (is: (place: DayPlace) => boolean) => places.filter(is).length;
  return {
    weight: places.reduce((sum, { task }) => sum + tasks[task]!.weight, 0),
    kept: of(({ task, start }) => {
      const { kept } = tasks[task]!;
      return kept !== null && start >= kept.start && start <= kept.start + kept.grace;
    }),
    preferred: of(({ task, shift }) => tasks[task]!.preferred.includes(shift)),
  };
}

/** What is wrong with a plan, read from the rules. */
function wrong({ tasks, shifts, step, turnover }: DayProblem, places: readonly DayPlace[]): string[] {
  const faults: string[] = [];
  if (new Set(places.map(({ task }) => task)).size < places.length) faults.push('a task has two times');
  for (const { task: j, shift, start } of places) {
    const task = tasks[j]!;
    const end = start + task.minutes;
    const keeps = task.kept !== null && start >= task.kept.start && start <= task.kept.start + task.kept.grace;
    if (start < task.earliest || end > task.latestEnd) faults.push(`${j} is outside its time`);
    if (!task.shifts.includes(shift) || start < shifts[shift]!.from || end > shifts[shift]!.until) faults.push(`${j} is outside its shift`);
    if (!keeps && (task.onlyKept || start % step !== 0 || start < task.newFrom)) faults.push(`${j} begins at ${start}`);
  }
  for (const a of places)
    for (const b of places) {
      if (a === b || a.start > b.start) continue;
      const end = a.start + tasks[a.task]!.minutes;
      if (a.shift === b.shift && b.start < end + turnover) faults.push(`${a.task} and ${b.task} are on one table`);
      if (tasks[a.task]!.person === tasks[b.task]!.person && b.start < end) faults.push(`${a.task} and ${b.task} are one person`);
    }
  return faults;
}

/** The most there is, by giving every task every minute of every shift and none. */
function byTryingAll(problem: DayProblem): number {
  let best = 0;
  const visit = (j: number, placed: readonly DayPlace[]): void => {
    if (j === problem.tasks.length) return void (best = Math.max(best, count(problem, worth(problem, placed))));
    visit(j + 1, placed);
    const { earliest, latestEnd } = problem.tasks[j]!;
    for (let shift = 0; shift < problem.shifts.length; shift++)
      for (let start = earliest; start < latestEnd; start++) {
        const more = [...placed, { task: j, shift, start }];
        if (wrong(problem, more).length === 0) visit(j + 1, more);
      }
  };
  visit(0, []);
  return best;
}

const smallDay: fc.Arbitrary<DayProblem> = fc
  .record({
    spans: fc.array(fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 5, max: 25 })), { minLength: 1, maxLength: 2 }),
    step: fc.constantFrom(1, 5),
    turnover: fc.integer({ min: 0, max: 3 }),
    tasks: fc.array(
      fc.record({
        person: fc.integer({ min: 0, max: 2 }),
        minutes: fc.integer({ min: 3, max: 9 }),
        earliest: fc.integer({ min: 0, max: 15 }),
        room: fc.integer({ min: 0, max: 10 }),
        later: fc.integer({ min: 0, max: 4 }),
        weight: fc.constantFrom(1, 1, 2, 3),
        kept: fc.option(fc.record({ start: fc.integer({ min: 0, max: 20 }), grace: fc.integer({ min: 0, max: 2 }) })),
        onlyKept: fc.boolean(),
        prefers: fc.boolean(),
      }),
      { maxLength: 4 },
    ),
  })
  .map(({ spans, tasks, ...rest }) => ({
    ...rest,
    shifts: spans.map(([from, long]) => ({ from, until: from + long })),
    tasks: tasks.map(({ room, later, prefers, ...task }) => ({
      ...task,
      newFrom: task.earliest + later,
      latestEnd: task.earliest + task.minutes + room,
      onlyKept: task.onlyKept && task.kept !== null,
      shifts: spans.map((_, i) => i),
      preferred: prefers ? [spans.length - 1] : [],
    })),
  }));

describe('a day of tasks on its tables', () => {
  test('small days: no better plan is found by trying every minute of every table', () => {
    fc.assert(
      fc.property(smallDay, (problem) => {
        const { places, proven, worth: told } = solveDay(problem);
        expect(wrong(problem, places)).toEqual([]);
        expect(told).toEqual(worth(problem, places));
        expect(proven).toBe('all');
        expect(count(problem, told)).toBe(byTryingAll(problem));
      }),
      { numRuns: 150 },
    );
  });

  // HiGHS, a general solver of mixed integer programs: another method on a model of its own.
  test.each([
    [1, { tasks: 18, tables: 2, spread: 120 }],
    [2, { tasks: 24, tables: 3, spread: 120 }],
    [3, { tasks: 26, tables: 2, spread: 200 }],
    [4, { tasks: 40, tables: 4, spread: 150 }],
    [5, { tasks: 40, tables: 3, spread: 200 }],
  ])('whole days: as good as the general solver’s, planned and planned again (%i)', async (seed, size) => {
    const random = seeded(seed);
    const first = anyEventDay(random, size);
    const again = disturbed(random, { problem: first, places: solveDay(first).places });
    for (const problem of [first, again]) {
      const { places, proven, worth: told } = solveDay(problem);
      expect(wrong(problem, places)).toEqual([]);
      const solved = (await loadHighs()).solve(eventDayModel(problem), { mip_rel_gap: 0 });
      expect(solved.Status).toBe('Optimal');
      expect([proven, count(problem, told)]).toEqual(['all', Math.round(solved.ObjectiveValue)]);
    }
  });

  test('stopped before it is proven, what is held is a plan, and it is said', () => {
    const problem = anyEventDay(seeded(2), { tasks: 40, tables: 3, spread: 200 });
    const again = disturbed(seeded(3), { problem, places: solveDay(problem).places });
    const stopped = solveDay(again, { stop: () => true });
    const whole = solveDay(again);
    expect(wrong(again, stopped.places)).toEqual([]);
    expect(count(again, stopped.worth)).toBeLessThanOrEqual(count(again, whole.worth));
    expect(whole.proven).toBe('all');
    if (count(again, stopped.worth) < count(again, whole.worth)) expect(stopped.proven).not.toBe('all');
  });

  test('a day with nothing in it, nobody there, or nonsense', () => {
    const empty: DayProblem = { shifts: [], tasks: [], step: 5, turnover: 2 };
    expect(solveDay(empty)).toEqual({ places: [], worth: { weight: 0, kept: 0, preferred: 0 }, proven: 'all', parts: 1 });
    const task = {
      person: 0,
      minutes: 10,
      earliest: 600,
      newFrom: 600,
      latestEnd: 640,
      weight: 1,
      kept: null,
      onlyKept: false,
      shifts: [],
      preferred: [],
    };
    expect(solveDay({ ...empty, tasks: [task] }).places).toEqual([]);
    const shifts = [{ from: 600, until: 640 }];
    for (const bad of [
      { ...empty, step: 0 },
      { ...empty, turnover: -1 },
      { ...empty, shifts: [{ from: 640, until: 640 }] },
      { ...empty, shifts, tasks: [{ ...task, minutes: 0 }] },
      { ...empty, shifts, tasks: [{ ...task, weight: 1.5 }] },
      { ...empty, shifts, tasks: [{ ...task, shifts: [1] }] },
    ])
      expect(() => solveDay(bad)).toThrow(RangeError);
  });
});
