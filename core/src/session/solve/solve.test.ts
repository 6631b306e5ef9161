import fc from 'fast-check';
import { anySession } from '../../testing/sessions.ts';
import { solveSession, type SessionProblem, type Solution } from '../index.ts';

const small = anySession({ candidates: 4, places: 3, seconds: [60, 900], stays: 4, warmUps: 2, measurings: 2 });
const middle = anySession({ candidates: 12, places: 5, seconds: [300, 2400], stays: 7, warmUps: 3, measurings: 5 });

/** A task with everything that has to come before it, by its place in the list. */
interface Task {
  readonly places: readonly number[];
  readonly after: readonly number[];
}

/** Every task that a choice of candidates brings with it. */
function tasksOf(problem: SessionProblem, set: readonly number[]): Task[] {
  const tasks: Task[] = [];
  const add = (task: Task) => tasks.push(task) - 1;
  const warm = new Map<number, number>();
  const before = new Map<number, number>();
  const blocks = new Map<number, number>();
  for (const i of set) {
    const { warmUp, measuring } = problem.candidates[i]!;
    if (warmUp !== null && !warm.has(warmUp)) warm.set(warmUp, add({ places: problem.warmUps[warmUp]!.places, after: [] }));
    if (measuring !== null && problem.measurings[measuring]!.beforeS > 0 && !before.has(measuring))
      before.set(measuring, add({ places: problem.measurings[measuring]!.places, after: [] }));
  }
  for (const i of set) {
    const { places, warmUp, measuring } = problem.candidates[i]!;
    blocks.set(
      i,
      add({
        places,
        after: [
          ...(warmUp === null ? [] : [warm.get(warmUp)!]),
          ...(measuring !== null && before.has(measuring) ? [before.get(measuring)!] : []),
        ],
      }),
    );
  }
  for (const [a, b] of problem.precede) {
    const at = blocks.get(b)!;
    tasks[at] = { ...tasks[at]!, after: [...tasks[at]!.after, blocks.get(a)!] };
  }
  problem.measurings.forEach(({ places, afterS }, measuring) => {
    const of = set.filter((i) => problem.candidates[i]!.measuring === measuring);
    if (afterS > 0 && of.length > 0) add({ places, after: of.map((i) => blocks.get(i)!) });
  });
  return tasks;
}

/** Whether tasks can be given stays of a walk so that nothing comes before what it needs: by trying all. */
function fitsWalk(tasks: readonly Task[], walk: readonly number[]): boolean {
  const at: number[] = [];
  const place = (i: number): boolean => {
    if (i === tasks.length) return tasks.every((task, j) => task.after.every((other) => at[other]! <= at[j]!));
    for (let stay = 0; stay < walk.length; stay++) {
      if (!tasks[i]!.places.includes(walk[stay]!)) continue;
      at[i] = stay;
      if (place(i + 1)) return true;
    }
    return false;
  };
  return place(0);
}

/** The greatest value there is, by going through every choice, every level and every walk; null when what is required does not fit. */
function byBruteForce(problem: SessionProblem): number | null {
  const walks: { places: number[]; seconds: number; cost: number }[] = [{ places: [], seconds: 0, cost: 0 }];
  for (let i = 0; i < walks.length; i++) {
    const { places, seconds, cost } = walks[i]!;
    if (places.length === problem.mostStays) continue;
    problem.arriveS.forEach((arrive, next) => {
      const from = places.at(-1);
      if (from === next) return;
      walks.push({
        places: [...places, next],
        seconds: seconds + (from === undefined ? arrive : problem.moveS[from]![next]!),
        cost: cost + (from === undefined ? 0 : problem.moveCost[from]![next]!),
      });
    });
  }
  for (const walk of walks) {
    const last = walk.places.at(-1);
    if (last === undefined) continue;
    walk.seconds += problem.leaveS?.[last] ?? 0;
    walk.cost += problem.leaveCost?.[last] ?? 0;
  }
  let best: number | null = null;
  const visit = (i: number, set: readonly { i: number; seconds: number; value: number }[]): void => {
    if (i < problem.candidates.length) {
      if (problem.candidates[i]!.required !== true) visit(i + 1, set);
      if (problem.candidates[i]!.banned !== true)
        for (const level of problem.candidates[i]!.levels) visit(i + 1, [...set, { i, ...level }]);
      return;
    }
    const has = (j: number) => set.some((each) => each.i === j);
    if (
      problem.together.some(([a, b]) => has(a) !== has(b)) ||
      problem.exclude.some(([a, b]) => has(a) && has(b)) ||
      problem.oneOf?.some((list) => !list.some(has))
    )
      return;
    const warm = new Set(set.flatMap((each) => problem.candidates[each.i]!.warmUp ?? []));
    const measured = new Set(set.flatMap((each) => problem.candidates[each.i]!.measuring ?? []));
    const seconds =
      set.reduce((sum, each) => sum + each.seconds, 0) +
      [...warm].reduce((sum, w) => sum + problem.warmUps[w]!.seconds, 0) +
      [...measured].reduce((sum, m) => sum + problem.measurings[m]!.beforeS + problem.measurings[m]!.afterS, 0) +
      problem.openingS +
      problem.closingS;
    const value = set.reduce((sum, each) => sum + each.value, 0);
    const tasks = tasksOf(
      problem,
      set.map((each) => each.i),
    );
    for (const walk of walks) {
      if (seconds + walk.seconds > problem.seconds) continue;
      if (best !== null && value - walk.cost <= best) continue;
      if (set.length > 0 && !fitsWalk(tasks, walk.places)) continue;
      best = value - walk.cost;
    }
  };
  visit(0, []);
  return best;
}

/** What a solution says of itself, looked at from outside: it keeps every rule. */
function requireSound(problem: SessionProblem, solution: Solution): void {
  if (solution.status === 'impossible') return;
  const flat = solution.stays.flatMap((stay, at) => stay.tasks.map((task) => ({ ...task, at, place: stay.place })));
  const find = (kind: string, key: string, id: number) =>
    flat.findIndex((task) => task.kind === kind && (task as unknown as Record<string, unknown>)[key] === id);
  for (const { candidate, level } of solution.chosen) {
    const { places, warmUp, measuring } = problem.candidates[candidate]!;
    const at = find('block', 'candidate', candidate);
    expect(places).toContain(flat[at]!.place);
    expect(flat[at]).toMatchObject({ level });
    if (warmUp !== null) {
      const first = find('warm-up', 'warmUp', warmUp);
      expect(first).toBeGreaterThanOrEqual(0);
      expect(first).toBeLessThan(at);
      expect(problem.warmUps[warmUp]!.places).toContain(flat[first]!.place);
    }
    if (measuring !== null && problem.measurings[measuring]!.beforeS > 0)
      expect(find('measure-before', 'measuring', measuring)).toBeLessThan(at);
    if (measuring !== null && problem.measurings[measuring]!.afterS > 0) {
      const last = find('measure-after', 'measuring', measuring);
      expect(last).toBeGreaterThan(at);
      expect(problem.measurings[measuring]!.places).toContain(flat[last]!.place);
    }
  }
  expect(solution.seconds).toBeLessThanOrEqual(problem.seconds);
  expect(flat.filter((task) => task.kind === 'block')).toHaveLength(solution.chosen.length);
  const moves = solution.stays.slice(1).reduce((sum, stay, i) => sum + problem.moveCost[solution.stays[i]!.place]![stay.place]!, 0);
  const leave = solution.stays.length > 0 ? (problem.leaveCost?.[solution.stays.at(-1)!.place] ?? 0) : 0;
  expect(
    solution.chosen.reduce((sum, { candidate, level }) => sum + problem.candidates[candidate]!.levels[level]!.value, 0) - moves - leave,
  ).toBeCloseTo(solution.value, 9);
}

// Independent of the method: no states, no tables, no bounds.
test('five hundred small sessions: the same value as going through everything', () => {
  const found = { planned: 0, impossible: 0 };
  fc.assert(
    fc.property(small, (problem) => {
      const solution = solveSession(problem);
      const truth = byBruteForce(problem);
      if (truth === null) found.impossible += 1;
      else if (truth > 0) found.planned += 1;
      expect(solution.status === 'impossible' ? null : solution.value).toBe(truth);
      requireSound(problem, solution);
    }),
    { numRuns: 500 },
  );
  expect(found.planned).toBeGreaterThan(250);
  expect(found.impossible).toBeGreaterThan(5);
}, 120_000);

describe('properties', () => {
  test('a plan keeps every rule and never takes longer than there is', () => {
    fc.assert(
      fc.property(middle, (problem) => requireSound(problem, solveSession(problem))),
      { numRuns: 150 },
    );
  }, 60_000);

  test('more time never gives less value', () => {
    fc.assert(
      fc.property(middle, fc.integer({ min: 0, max: 900 }), (problem, more) => {
        const [less, longer] = [solveSession(problem), solveSession({ ...problem, seconds: problem.seconds + more })];
        if (less.status === 'optimal') expect(longer.value).toBeGreaterThanOrEqual(less.value - 1e-9);
      }),
      { numRuns: 100 },
    );
  }, 60_000);

  test('one candidate more never gives less, and one left out never appears', () => {
    fc.assert(
      fc.property(middle, fc.integer({ min: 0, max: 11 }), (problem, banned) => {
        const free = {
          ...problem,
          candidates: problem.candidates.map((candidate) => ({ ...candidate, required: false })),
          precede: [],
          together: [],
          oneOf: [],
        };
        const without = solveSession({
          ...free,
          candidates: free.candidates.map((candidate, i) => ({ ...candidate, banned: candidate.banned === true || i === banned })),
        });
        expect(without.chosen.some(({ candidate }) => candidate === banned)).toBe(false);
        expect(solveSession(free).value).toBeGreaterThanOrEqual(without.value - 1e-9);
      }),
      { numRuns: 100 },
    );
  }, 60_000);

  test('stopped early it says how much better a plan could be, and is never wrong about it', () => {
    fc.assert(
      fc.property(middle, fc.integer({ min: 0, max: 3 }), (problem, asked) => {
        let left = asked;
        const early = solveSession(problem, { stop: () => left-- <= 0 });
        const full = solveSession(problem);
        if (early.status === 'stopped') expect(early.value + early.gap).toBeGreaterThanOrEqual(full.value - 1e-9);
        requireSound(problem, early);
      }),
      { numRuns: 100 },
    );
  }, 60_000);

  test('what there is on the way is a sound plan, gets no worse, and its gap is never too small', () => {
    fc.assert(
      fc.property(middle, (problem) => {
        const ways: Solution[] = [];
        const bounds: number[] = [];
        const full = solveSession(problem, {
          progress: (_best, bound, soFar) => {
            bounds.push(bound);
            ways.push(soFar());
          },
        });
        expect(bounds).toEqual([...bounds].sort((a, b) => b - a));
        ways.forEach((way, i) => {
          requireSound(problem, way);
          // While nothing was found there is no plan whose value could be undercut: one that must be may cost more than it is worth.
          if (i > 0 && ways[i - 1]!.status !== 'impossible') expect(way.value).toBeGreaterThanOrEqual(ways[i - 1]!.value - 1e-9);
          if (way.status === 'stopped') expect(way.value + way.gap).toBeGreaterThanOrEqual(full.value - 1e-9);
        });
      }),
      { numRuns: 100 },
    );
  }, 60_000);

  test('where what must be done costs more than it is worth, the gap is counted from below nothing', () => {
    const must = (place: number) => ({
      places: [place],
      levels: [{ seconds: 60, value: 0.125 }],
      warmUp: null,
      measuring: null,
      required: true,
    });
    const problem: SessionProblem = {
      ...{ seconds: 600, openingS: 0, closingS: 0, stepS: 5, mostStays: 2 },
      arriveS: [0, 0],
      moveS: [
        [0, 10],
        [10, 0],
      ],
      moveCost: [
        [0, 1],
        [0.5, 0],
      ],
      ...{ warmUps: [], measurings: [], together: [], exclude: [], precede: [] },
      candidates: [must(0), must(1)],
    };
    const told: [number, number, number][] = [];
    const full = solveSession(problem, {
      progress: (best, _bound, soFar) => told.push([best, soFar().value, soFar().gap]),
    });
    expect(full).toMatchObject({ status: 'optimal', value: -0.25 });
    expect(told.at(-1)).toEqual([-0.75, -0.75, 0.5]);
  });
});

test('a problem that contradicts itself is refused in words', () => {
  const base: SessionProblem = {
    seconds: 600,
    openingS: 0,
    closingS: 0,
    stepS: 5,
    arriveS: [0, 0],
    moveS: [
      [0, 40],
      [40, 0],
    ],
    moveCost: [
      [0, 1],
      [1, 0],
    ],
    mostStays: 4,
    warmUps: [],
    measurings: [],
    together: [],
    exclude: [],
    precede: [],
    candidates: [
      { places: [0], levels: [{ seconds: 60, value: 1 }], warmUp: null, measuring: null, required: true },
      { places: [1], levels: [{ seconds: 60, value: 5 }], warmUp: null, measuring: null },
    ],
  };
  expect(solveSession(base)).toMatchObject({ status: 'optimal', value: 5, seconds: 160 });
  expect(solveSession({ ...base, seconds: 50 }).status).toBe('impossible');
  expect(() => solveSession({ ...base, precede: [[0, 1]] })).toThrow('required');
  expect(() => solveSession({ ...base, candidates: [{ ...base.candidates[0]!, places: [7] }] })).toThrow('place');
  expect(() => solveSession({ ...base, moveS: [[0, 40]] })).toThrow('row');
  expect(() =>
    solveSession({
      ...base,
      arriveS: [0, 0, 0],
      moveS: [
        [0, 10, 90],
        [10, 0, 10],
        [90, 10, 0],
      ],
      moveCost: [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ],
    }),
  ).toThrow('shorter than straight');
  const both = base.candidates.map((candidate) => ({ ...candidate, required: true }));
  expect(() =>
    solveSession({
      ...base,
      candidates: both,
      precede: [
        [0, 1],
        [1, 0],
      ],
    }),
  ).toThrow('circle');
  expect(solveSession({ ...base, candidates: both, precede: [[1, 0]] }).stays.map((stay) => stay.place)).toEqual([1, 0]);
});

test('asked again for other minutes, or with another end, the same problem gives what a new one would: nothing is carried over but what is the same', () => {
  fc.assert(
    fc.property(
      anySession({ candidates: 8, places: 4, stays: 4, seconds: [300, 1500], warmUps: 2, measurings: 3 }),
      fc.array(
        fc.record({ seconds: fc.integer({ min: 200, max: 4000 }), closingS: fc.integer({ min: 0, max: 200 }), leave: fc.boolean() }),
        { minLength: 2, maxLength: 5 },
      ),
      (session, questions) => {
        for (const { seconds, closingS, leave } of questions) {
          const asked: SessionProblem = {
            ...session,
            seconds,
            closingS,
            ...(leave ? { leaveS: session.arriveS, leaveCost: session.arriveS.map(() => 0.1) } : {}),
          };
          const again = solveSession(asked);
          const anew = solveSession(structuredClone(asked));
          expect([again.status, again.value, again.gap]).toEqual([anew.status, anew.value, anew.gap]);
        }
      },
    ),
    { numRuns: 150 },
  );
});
