import fc from 'fast-check';
import type { SessionProblem } from '../session/index.ts';

/** The shortest ways between places, over others if need be: no detour is shorter afterwards. */
function closed(direct: readonly (readonly number[])[]): number[][] {
  const best = direct.map((row) => [...row]);
  for (let via = 0; via < best.length; via++) {
    for (let a = 0; a < best.length; a++)
      for (let b = 0; b < best.length; b++) best[a]![b] = Math.min(best[a]![b]!, best[a]![via]! + best[via]![b]!);
  }
  return best;
}

interface Size {
  readonly candidates: number;
  readonly places: number;
  readonly seconds: readonly [number, number];
  readonly stays: number;
  readonly warmUps: number;
  readonly measurings: number;
}

/** Invented sessions, whole steps throughout: places with unequal moves, warm-ups, measurings, pairs that go together or not. */
export function anySession(size: Size): fc.Arbitrary<SessionProblem> {
  const place = fc.integer({ min: 0, max: size.places - 1 });
  const somePlaces = fc.uniqueArray(place, { minLength: 1, maxLength: Math.min(2, size.places) });
  const steps = (from: number, to: number) => fc.integer({ min: from, max: to }).map((n) => n * 5);
  const matrix = (entry: fc.Arbitrary<number>) =>
    fc
      .array(fc.array(entry, { minLength: size.places, maxLength: size.places }), { minLength: size.places, maxLength: size.places })
      .map((rows) => rows.map((row, a) => row.map((value, b) => (a === b ? 0 : value))))
      .map(closed);
  const pair = fc
    .tuple(fc.integer({ min: 0, max: size.candidates - 1 }), fc.integer({ min: 0, max: size.candidates - 1 }))
    .filter(([a, b]) => a < b);
  // Values in eighths are exact, so that equal plans compare as equal.
  const levels = fc
    .array(fc.record({ seconds: steps(2, 30), value: fc.integer({ min: 1, max: 64 }).map((n) => n / 8) }), { minLength: 1, maxLength: 3 })
    .map((each) =>
      each
        .map((_, i) => ({
          seconds: each.slice(0, i + 1).reduce((sum, level) => sum + level.seconds, 0),
          value: each.slice(0, i + 1).reduce((sum, level, j) => sum + level.value / (j + 1), 0),
        }))
        .map((level) => ({ ...level, value: Math.round(level.value * 8) / 8 })),
    );
  return fc
    .record({
      seconds: steps(size.seconds[0] / 5, size.seconds[1] / 5),
      openingS: steps(0, 6),
      closingS: steps(0, 6),
      moveS: matrix(steps(2, 12)),
      moveCost: matrix(fc.integer({ min: 0, max: 8 }).map((n) => n / 8)),
      warmUps: fc.array(fc.record({ seconds: steps(4, 24), places: somePlaces }), { minLength: size.warmUps, maxLength: size.warmUps }),
      measurings: fc.array(
        fc.record({ places: somePlaces, beforeS: fc.oneof(fc.constant(0), steps(2, 8)), afterS: fc.oneof(fc.constant(0), steps(2, 8)) }),
        { minLength: size.measurings, maxLength: size.measurings },
      ),
      candidates: fc.array(
        fc.record({
          places: somePlaces,
          levels,
          role: fc.integer({ min: 0, max: 19 }),
          warmUp: size.warmUps > 0 ? fc.option(fc.integer({ min: 0, max: size.warmUps - 1 }), { nil: null }) : fc.constant(null),
          measuring: size.measurings > 0 ? fc.option(fc.integer({ min: 0, max: size.measurings - 1 }), { nil: null }) : fc.constant(null),
        }),
        { minLength: size.candidates, maxLength: size.candidates },
      ),
      together: fc.array(pair, { maxLength: 1 }),
      exclude: fc.array(pair, { maxLength: 2 }),
      precedes: fc.boolean(),
      oneOf: fc.oneof(fc.constant([]), fc.array(pair, { maxLength: 1 })),
      leave: fc.option(
        fc.record({
          seconds: fc.array(steps(0, 12), { minLength: size.places, maxLength: size.places }),
          cost: fc.array(
            fc.integer({ min: 0, max: 8 }).map((n) => n / 8),
            { minLength: size.places, maxLength: size.places },
          ),
        }),
        { nil: null },
      ),
    })
    .map(({ precedes, candidates, leave, ...session }) => {
      // No move makes leaving shorter or cheaper.
      const straight = (each: readonly number[], moves: readonly (readonly number[])[]) =>
        each.map((_, a) => Math.min(...each.map((value, b) => moves[a]![b]! + value)));
      const rest =
        leave === null
          ? session
          : { ...session, leaveS: straight(leave.seconds, session.moveS), leaveCost: straight(leave.cost, session.moveCost) };
      const problem = {
        ...rest,
        candidates: candidates.map(({ role, ...candidate }) => ({ ...candidate, required: role < 2, banned: role === 2 })),
      };
      const needed = problem.candidates.flatMap((candidate, i) => (candidate.required ? [i] : []));
      return {
        ...problem,
        stepS: 5,
        mostStays: size.stays,
        arriveS: problem.moveS.map(() => 10),
        precede: precedes && needed.length >= 2 ? [[needed[1]!, needed[0]!] as const] : [],
      };
    });
}

/** A small generator with a seed: the same session every time. */
function seeded(seed: number): (below: number) => number {
  let state = seed * 2_654_435_761;
  return (below) => {
    state = (Math.imul(state ^ (state >>> 15), 2_246_822_519) + 3_266_489_917) | 0;
    return ((state ^ (state >>> 13)) >>> 0) % below;
  };
}

/** Positions with the side of the table the therapist stands at, where that matters. */
const PLACES = [
  'supine, left',
  'supine, right',
  'prone, left',
  'prone, right',
  'side-lying left',
  'side-lying right',
  'seated',
  'long-sitting',
];
const positionOf = (place: number) => PLACES[place]!.split(',')[0]!;

/**
 * A session of the size a long visit can have. Motions have two sides, each worked on from its own side of the table, up to three
 * ways, and are measured where they are worked on, now and then in another position. Regions want warming, which can be done from
 * either side in one or two positions. Values grow less with every round. Changing sides takes little, turning the athlete close to
 * a minute.
 */
export function largeSession(
  seed: number,
  { candidates, minutes }: { readonly candidates: number; readonly minutes: number },
): SessionProblem {
  const below = seeded(seed);
  const seconds = (from: number, to: number) => (from + below(to - from + 1)) * 5;
  const turn = new Map<string, number>();
  const turnS = (a: string, b: string) => turn.get(`${a}/${b}`) ?? turn.set(`${a}/${b}`, seconds(7, 12)).get(`${a}/${b}`)!;
  const moveS = closed(
    PLACES.map((_, a) => PLACES.map((_, b) => (a === b ? 0 : positionOf(a) === positionOf(b) ? 10 : turnS(positionOf(a), positionOf(b))))),
  );
  const moveCost = PLACES.map((_, a) => PLACES.map((_, b) => (a === b ? 0 : positionOf(a) === positionOf(b) ? 0.05 : 0.3)));
  // A position with a place for each side: supine, prone, on either side, or the same seat for both.
  const positions: readonly (readonly [number, number])[] = [
    [0, 1],
    [0, 1],
    [2, 3],
    [2, 3],
    [5, 4],
    [6, 6],
    [7, 7],
  ];
  const regions = Array.from({ length: 5 }, () => {
    const home = positions[below(positions.length)]!;
    const second = positions[below(positions.length)]!;
    return { home, second, places: [...new Set([...home, ...(below(2) ? second : [])])] };
  });
  const made: SessionProblem['candidates'][number][] = [];
  const exclude: [number, number][] = [];
  const measurings: SessionProblem['measurings'][number][] = [];
  while (made.length < candidates) {
    const r = below(regions.length);
    const position = below(3) === 0 ? regions[r]!.second : regions[r]!.home;
    const measured = below(5) === 0 ? positions[below(positions.length)]! : position;
    const worth = 1 + below(80) / 10;
    const known = below(3) > 0;
    const warmed = below(4) > 0;
    for (let side = 0; side < 2; side++) {
      measurings.push({ places: [...new Set(measured)], beforeS: known ? 0 : 25, afterS: 25 });
      const first = made.length;
      for (let way = 0; way < 1 + below(3) && made.length < candidates; way++) {
        const round = seconds(5, 12);
        const share = 0.5 + below(40) / 100;
        const levels = Array.from({ length: 4 }, (_, n) => ({
          seconds: 40 + round * (n + 1),
          value: Math.round(worth * (1 - (1 - share * 0.5) ** (n + 1)) * 1000) / 1000,
        }));
        made.push({ places: [position[side]!], levels, warmUp: warmed ? r : null, measuring: measurings.length - 1 });
      }
      for (let a = first; a < made.length; a++) for (let b = a + 1; b < made.length; b++) exclude.push([a, b]);
    }
  }
  return {
    seconds: minutes * 60,
    openingS: 60,
    closingS: 90,
    stepS: 5,
    mostStays: 12,
    moveS,
    moveCost,
    arriveS: moveS.map(() => 45),
    candidates: made,
    measurings,
    exclude,
    together: [],
    precede: [],
    warmUps: regions.map(({ places }) => ({ seconds: seconds(18, 48), places })),
  };
}
