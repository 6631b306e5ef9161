import fc from 'fast-check';
import { MOTIONS, motionOf, positionOn, POSITIONS, type Position, type Side } from '../body/index.ts';
import { ENTRIES } from '../catalogue/index.ts';
import type { ConditionFields } from '../caution/index.ts';
import { compile, findMethod, newBlock, type BlockPlan } from '../method/index.ts';
import type { ValueToday } from '../record/index.ts';
import { mayMeasure } from './free.ts';
import {
  minutesMore,
  moveSeconds,
  otherSessions,
  possibleBlocks,
  proposeSession,
  sessionStrip,
  type Possible,
  type Proposal,
  type SessionFacts,
} from './index.ts';
import { placeReadings, type ToRead } from './readings.ts';
import { playedSports } from '../sport/index.ts';
import { SESSION } from '../testing/sessionFacts.ts';

/** What a plan says of itself, held against everything that could prove it wrong. Readings and people are invented. */
const WORKED = MOTIONS.filter(
  (motion) => motion.sides.length === 2 && ENTRIES.some((entry) => entry.motionId === motion.id && entry.measured),
);
const readings = (least: number, most: number) =>
  fc
    .uniqueArray(fc.constantFrom(...WORKED), { minLength: least, maxLength: most, selector: (motion) => motion.id })
    .chain((motions) =>
      fc.tuple(
        ...motions.map((motion) =>
          fc.tuple(fc.double({ min: 0.1, max: 0.8, noNaN: true }), fc.double({ min: 0.1, max: 0.8, noNaN: true })).map((shares) =>
            (['left', 'right'] as const).map((side, i): ValueToday => ({
              motionId: motion.id,
              side,
              moment: 'before',
              instrument: motion.instruments[0],
              examinerId: null,
              value: Math.round((motion.fan.min + shares[i]! * (motion.fan.max - motion.fan.min)) * 10) / 10,
            })),
          ),
        ),
      ),
    )
    .map((rows) => rows.flat());

const factsFor = (least: number, most: number): fc.Arbitrary<SessionFacts> =>
  fc
    .record({ today: readings(least, most), minutes: fc.integer({ min: 8, max: 60 }), warm: fc.boolean() })
    .map(({ today, minutes, warm }) => ({
      ...SESSION,
      person: {
        ...SESSION.person,
        sports: playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }]),
      },
      today,
      minutes,
      warm,
    }));

const valueRead = (facts: SessionFacts, motionId: string, side: Side) =>
  facts.today.find((value) => value.motionId === motionId && value.side === side)?.value ?? null;
/** A row of blocks as the plan, the sheet and the table draw it. */
const strip = (facts: SessionFacts, blocks: readonly BlockPlan[]) =>
  sessionStrip({
    blocks,
    line: compile(blocks, { breath: facts.breath, edgeOf: (id, side) => valueRead(facts, id, side) }),
    isMeasured: (id, side) => valueRead(facts, id, side) !== null,
    mayMeasure: (id, side) => mayMeasure(facts, id, side),
  });
const rowOf = (proposal: Proposal) => proposal.blocks.map((each) => each.block);
const TURN = 0.4;
const BARE: Omit<ConditionFields, 'code'> = {
  region: null,
  side: null,
  onset: null,
  surgeryOn: null,
  muscle: null,
  grade: null,
  words: '',
  clearance: null,
  resolvedOn: null,
};

test('the minutes are those of the strip, to the second, and whatever is asked they are proven', () => {
  fc.assert(
    fc.property(factsFor(1, 6), (facts) => {
      const proposal = proposeSession(facts, (n) => `b${n}`);
      expect(proposal.status).toBe('optimal');
      if (proposal.blocks.length === 0) return;
      expect(strip(facts, rowOf(proposal)).seconds).toBe(proposal.seconds);
      expect(proposal.seconds).toBeLessThanOrEqual(facts.minutes * 60);
      // Of an entry one side at least gains; the other one may only keep up with it.
      const work = proposal.blocks.filter((block) => block.kind === 'work');
      for (const { block } of work)
        expect(
          work
            .filter((each) => each.block.entryId === block.entryId)
            .flatMap((each) => each.sides)
            .reduce((sum, side) => sum + side.gain, 0),
        ).toBeGreaterThan(0);
    }),
    { numRuns: 40 },
  );
}, 240_000);

/** What a row of work is worth by the candidates' own levels, or null where a block is none of them. */
function worthOf(row: readonly { readonly possible: readonly Possible[]; readonly rounds: readonly number[] }[]): number {
  return row.reduce(
    (sum, { possible, rounds }) =>
      sum + possible.reduce((all, each, i) => all + each.levels.find((level) => level.rounds === rounds[i])!.value, 0),
    0,
  );
}

// Independent of the solver: rows put together at random, timed by the strip that is drawn.
test('no row put together by chance fits the minutes and is worth more', () => {
  let fitting = 0;
  fc.assert(
    fc.property(
      factsFor(1, 3),
      fc.array(fc.tuple(fc.nat(1000), fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }), fc.boolean(), fc.nat(5)), {
        minLength: 1,
        maxLength: 4,
      }),
      fc.integer({ min: 0, max: 1 }),
      (facts, picks, order) => {
        const proposal = proposeSession(facts, (n) => `b${n}`);
        const { list } = possibleBlocks(facts);
        const variants = [...new Set(list.map((each) => each.variant))];
        if (variants.length === 0) return;
        const chosen = picks
          .map(([n, a, b, turned, at]) => ({
            possible: list.filter((each) => each.variant === variants[n % variants.length]),
            rounds: [a, b],
            turned,
            at,
          }))
          .filter(
            ({ possible }, i, all) => all.findIndex((other) => other.possible[0]!.wanted.motion.id === possible[0]!.wanted.motion.id) === i,
          )
          .filter(({ possible, rounds }) => possible.every((each, i) => each.levels.some((level) => level.rounds === rounds[i])));
        if (chosen.length === 0) return;
        const warmUps = [...new Set(chosen.flatMap(({ possible }) => possible[0]!.warmUp ?? []))];
        const warming = warmUps.map(({ entry, free }, i): BlockPlan => {
          const block = newBlock(`w${i}`, entry.id, entry.ways[0], entry.sides ?? motionOf(entry.motionId).sides);
          return { ...block, position: free[0]!, sides: block.sides.map((each) => ({ ...each, rounds: 1 })) };
        });
        const work = chosen.map(({ possible, rounds, turned, at }, i): BlockPlan => {
          const { entry, method } = possible[0]!;
          const fits = entry.positions.filter((position) =>
            possible.every((each) => each.positions.includes(positionOn({ position }, each.side))),
          );
          const sides = possible.map((each, j) => ({ side: each.side, rounds: rounds[j]! }));
          return {
            ...newBlock(
              `b${i}`,
              entry.id,
              method.id,
              sides.map((each) => each.side),
            ),
            position: fits[at % fits.length]!,
            sides: turned ? [...sides].reverse() : sides,
          };
        });
        const row = [...warming, ...(order ? [...work].reverse() : work)];
        const { seconds, turns } = strip(facts, row);
        if (seconds > facts.minutes * 60) return;
        fitting += 1;
        expect(worthOf(chosen) - turns * TURN).toBeLessThanOrEqual(proposal.value + 1e-6);
      },
    ),
    { numRuns: 400 },
  );
  expect(fitting).toBeGreaterThan(80);
}, 400_000);

test('a round more that still fits makes it worth no more; one less of anything makes it worth no more either', () => {
  let fitting = 0;
  fc.assert(
    fc.property(factsFor(2, 5), fc.nat(20), fc.nat(1), (facts, at, side) => {
      const proposal = proposeSession(facts, (n) => `b${n}`);
      const work = proposal.blocks.filter((each) => each.kind === 'work');
      if (work.length === 0) return;
      const one = work[at % work.length]!;
      const sides = one.block.sides.map((each, i) => (i === side % one.block.sides.length ? { ...each, rounds: each.rounds + 1 } : each));
      const changed = sides.find((each, i) => each.rounds !== one.block.sides[i]!.rounds)!;
      const possible = possibleBlocks(facts).list.find(
        (each) =>
          each.entry.id === one.block.entryId &&
          each.method.id === one.block.methodId &&
          each.side === changed.side &&
          each.cold === one.cold,
      )!;
      const more = possible.levels.find((level) => level.rounds === changed.rounds);
      if (!more || changed.rounds > findMethod(one.block.methodId)!.rounds.max) return;
      const row = rowOf(proposal).map((block) => (block.id === one.block.id ? { ...block, sides } : block));
      if (strip(facts, row).seconds > facts.minutes * 60) return;
      fitting += 1;
      expect(more.value).toBeLessThanOrEqual(one.sides.find((each) => each.side === changed.side)!.value + 1e-9);
    }),
    { numRuns: 120, seed: 20 },
  );
  // A plan that is the best leaves few rounds that fit: mostly those that bring nothing more.
  expect(fitting).toBeGreaterThan(0);
}, 240_000);

test('no pin and no other plan is worth more than what is proven', () => {
  fc.assert(
    fc.property(factsFor(1, 4), fc.nat(1000), fc.integer({ min: 1, max: 12 }), (facts, n, rounds) => {
      const best = proposeSession(facts, String);
      const { list, best: entries } = possibleBlocks(facts);
      if (list.length === 0) return;
      const { entry, method, side } = [...list, ...entries][n % (list.length + entries.length)]!;
      const pinned = proposeSession(
        { ...facts, pins: [{ entryId: entry.id, methodId: method.id, least: [{ side, rounds: Math.min(rounds, method.rounds.max) }] }] },
        String,
      );
      if (pinned.status !== 'impossible') {
        expect(pinned.value).toBeLessThanOrEqual(best.value + 1e-9);
        expect(pinned.blocks.some((each) => each.block.entryId === entry.id && each.block.methodId === method.id)).toBe(true);
      }
      for (const { proposal } of otherSessions(facts, best, String)) expect(proposal.value).toBeLessThanOrEqual(best.value + 1e-9);
    }),
    { numRuns: 25 },
  );
}, 300_000);

test('another plan without a position uses it nowhere: not to warm up, not to read, not to end in', () => {
  let seen = 0;
  fc.assert(
    fc.property(factsFor(1, 4), fc.constantFrom<Position>(...POSITIONS), (facts, position) => {
      const proposal = proposeSession({ ...facts, withoutPositions: [position] }, (n) => `b${n}`);
      if (proposal.blocks.length === 0) return;
      seen += 1;
      expect(strip(facts, rowOf(proposal)).items.map((item) => item.position)).not.toContain(position);
      expect(proposal.positions).not.toContain(position);
    }),
    { numRuns: 40 },
  );
  expect(seen).toBeGreaterThan(8);
}, 240_000);

test('a minute more never gives a plan of less worth, over the still end too', () => {
  fc.assert(
    fc.property(factsFor(1, 4), fc.integer({ min: 10, max: 40 }), (facts, minutes) => {
      const values = [0, 1, 2].map((more) => proposeSession({ ...facts, minutes: minutes + more }, String).value);
      expect(values[1]).toBeGreaterThanOrEqual(values[0]! - 1e-9);
      expect(values[2]).toBeGreaterThanOrEqual(values[1]! - 1e-9);
    }),
    { numRuns: 25 },
  );
  const [rower] = fc.sample(factsFor(4, 4), { numRuns: 1, seed: 3 });
  const row = Array.from({ length: 8 }, (_, i) => proposeSession({ ...rower!, minutes: 16 + i }, String).value);
  expect(row).toEqual([...row].sort((a, b) => a - b));
}, 240_000);

// Cautions about the whole athlete. One about one side leaves the other to be worked alone, which is another question.
test('a caution more never makes a plan worth more: what it takes away is replaced, or goes in cold and pays for it', () => {
  const CAUTIONS: readonly (
    { readonly medications: SessionFacts['caution']['subject']['medications'] } | { readonly code: ConditionFields['code'] }
  )[] = [
    { medications: ['muscle-relaxant'] },
    { medications: ['blood-thinner'] },
    { code: 'pregnancy' },
    { code: 'osteoporosis' },
    { code: 'hypermobility' },
    { code: 'bleeding-disorder' },
    { code: 'low-back-pain' },
  ];
  fc.assert(
    fc.property(factsFor(1, 4), fc.constantFrom(...CAUTIONS), (facts, caution) => {
      const { subject } = facts.caution;
      const more =
        'code' in caution
          ? { ...subject, conditions: [{ ...BARE, code: caution.code }] }
          : { ...subject, medications: caution.medications };
      expect(proposeSession({ ...facts, caution: { ...facts.caution, subject: more } }, String).value).toBeLessThanOrEqual(
        proposeSession(facts, String).value + 1e-9,
      );
    }),
    { numRuns: 30 },
  );
}, 240_000);

test('without any warm-up allowed it goes in cold, says so, and counts for less', () => {
  const [facts] = fc.sample(factsFor(1, 1), { numRuns: 1, seed: 12 });
  const today = (['left', 'right'] as const).map((side, i): ValueToday => ({
    motionId: 'straight-leg-raise',
    side,
    moment: 'before',
    instrument: 'inclinometer',
    examinerId: null,
    value: 45 + 8 * i,
  }));
  const base = { ...facts!, today, warm: false, minutes: 40 };
  const banned = { ...base, bans: ENTRIES.filter((entry) => entry.stage === 'warm').map((entry) => entry.id) };
  const [warm, cold] = [proposeSession(base, String), proposeSession(banned, String)];
  expect(warm.blocks.some((each) => each.kind === 'warm-up')).toBe(true);
  expect(cold.blocks.some((each) => each.cold)).toBe(true);
  expect(cold.value).toBeLessThan(warm.value);
});

test('minutes more: with so many it is in, with one less it is not, and what is not in by the last is not', () => {
  fc.assert(
    fc.property(factsFor(3, 5), (facts) => {
      const short = { ...facts, minutes: 12 };
      const proposal = proposeSession(short, String);
      const isIn = (minutes: number, id: string) =>
        proposeSession({ ...short, minutes }, String).blocks.some((each) => each.kind === 'work' && each.block.entryId === id);
      for (const { entry, moreMinutes, triedMinutes, value } of minutesMore(short, proposal.leftOut, 20)) {
        if (value === 0) continue;
        expect(triedMinutes).toBe(20);
        if (moreMinutes === null) expect([entry.id, isIn(32, entry.id)]).toEqual([entry.id, false]);
        else expect([entry.id, isIn(12 + moreMinutes, entry.id), isIn(12 + moreMinutes - 1, entry.id)]).toEqual([entry.id, true, false]);
      }
    }),
    { numRuns: 3 },
  );
}, 300_000);

test('what a hand arranged keeps its order, its sides, its passes and its numbers', () => {
  const today = (['straight-leg-raise', 'ankle-dorsiflexion'] as const).flatMap((motionId) =>
    (['left', 'right'] as const).map((side, i): ValueToday => ({
      motionId,
      side,
      moment: 'before',
      instrument: 'inclinometer',
      examinerId: null,
      value: motionId === 'straight-leg-raise' ? 50 + 8 * i : 4 + 3 * i,
    })),
  );
  const [facts] = fc.sample(factsFor(1, 1), { numRuns: 1, seed: 2 });
  const first: BlockPlan = {
    ...newBlock('a', 'calf-supine', 'static-hold', ['right']),
    numbers: { ...newBlock('a', 'calf-supine', 'static-hold', ['right']).numbers, hold: [33] },
  };
  const second: BlockPlan = {
    ...newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left', 'right']),
    sides: [
      { side: 'right', rounds: 1 },
      { side: 'left', rounds: 2 },
      { side: 'right', rounds: 1 },
    ],
  };
  const pins = [first, second].map((block) => ({ entryId: block.entryId, methodId: block.methodId, block }));
  const around = proposeSession({ ...facts!, today, minutes: 50, pins, keepOrder: true }, (n) => `n${n}`);
  const rows = around.blocks.filter((each) => each.kind === 'work').map((each) => each.block);
  const at = [first, second].map((block) => rows.findIndex((row) => row.entryId === block.entryId));
  expect(at[0]).toBeGreaterThanOrEqual(0);
  expect(at[1]).toBeGreaterThan(at[0]!);
  expect(rows[at[0]!]!.numbers.hold).toEqual([33]);
  expect(rows[at[0]!]!.sides.map((each) => each.side)).toEqual(['right']);
  expect(rows[at[1]!]!.sides.map((each) => each.side)).toEqual(['right', 'left', 'right']);
  rows[at[1]!]!.sides.forEach((pass, i) => expect(pass.rounds).toBeGreaterThanOrEqual(second.sides[i]!.rounds));
});

test('held by a written limit there is nothing to gain, and it says what is allowed instead', () => {
  const [facts] = fc.sample(factsFor(1, 1), { numRuns: 1, seed: 4 });
  const today = (['left', 'right'] as const).map((side): ValueToday => ({
    motionId: 'knee-flexion',
    side,
    moment: 'before',
    instrument: 'goniometer',
    examinerId: null,
    value: 95,
  }));
  const written: ConditionFields = {
    ...BARE,
    code: 'knee-operation',
    side: 'both',
    surgeryOn: '2026-10-07',
    clearance: {
      by: 'Dr Example',
      on: '2026-11-20',
      text: 'knee bend to 90°',
      limits: [{ kind: 'bend', movement: 'knee flexion', deg: 90 }],
    },
  };
  const proposal = proposeSession(
    { ...facts!, today, minutes: 40, caution: { ...facts!.caution, subject: { ...facts!.caution.subject, conditions: [written] } } },
    String,
  );
  expect(proposal.blocks.filter((each) => each.kind === 'work')).toEqual([]);
  expect(proposal.leftOut.map((each) => each.words)).toContain(
    'held by the limit of 90.0°: nothing to gain today. Up to there it may be moved, held and pressed lightly.',
  );
});

// Every way to read everything, by trying all gaps for each reading and all orders within a gap.
test('readings are placed where they take the least time', () => {
  const places = ['supine', 'prone', 'side-lying left', 'seated upright'] as const;
  const place = fc.constantFrom<Position>(...places);
  const reading = (n: number) =>
    fc.record({ place, a: fc.nat(n), b: fc.nat(n), late: fc.boolean() }).map(({ place: at, a, b, late }): Omit<ToRead, 'key'> => ({
      place: at,
      from: late ? 0 : Math.min(a, b),
      to: late ? Math.max(a, b) : n,
      late,
    }));
  const secondsOf = (work: readonly Position[], gaps: readonly (readonly Position[])[]) => {
    const way: Position[] = gaps.flatMap((stops, g) => [...stops, ...(work[g] === undefined ? [] : [work[g]!])]);
    return way.slice(1).reduce((sum, to, i) => sum + moveSeconds(way[i]!, to), 0);
  };
  const permutations = (all: readonly Position[]): Position[][] =>
    all.length === 0 ? [[]] : all.flatMap((first) => permutations(all.filter((each) => each !== first)).map((rest) => [first, ...rest]));
  const leastOf = (work: readonly Position[], toRead: readonly ToRead[]): number => {
    let best = Number.POSITIVE_INFINITY;
    const assign = (i: number, gaps: readonly (readonly Position[])[]): void => {
      if (i < toRead.length) {
        const { from, to, place: at } = toRead[i]!;
        for (let gap = from; gap <= to; gap++)
          assign(
            i + 1,
            gaps.map((stops, g) => (g === gap && !stops.includes(at) ? [...stops, at] : stops)),
          );
        return;
      }
      const orders = gaps.map(permutations);
      const pick = (g: number, so: readonly (readonly Position[])[]): void => {
        if (g === gaps.length) best = Math.min(best, secondsOf(work, so));
        else for (const order of orders[g]!) pick(g + 1, [...so, order]);
      };
      pick(0, []);
    };
    assign(
      0,
      Array.from({ length: work.length + 1 }, () => []),
    );
    return best;
  };
  fc.assert(
    fc.property(
      fc
        .array(place, { minLength: 1, maxLength: 4 })
        .chain((work) => fc.tuple(fc.constant(work), fc.array(reading(work.length), { minLength: 1, maxLength: 3 }))),
      ([work, some]) => {
        const toRead = some.map((each, i) => ({ ...each, key: `k${i}` }));
        const gaps = placeReadings(work, toRead);
        const read = gaps.flatMap(({ stops }, gap) => stops.flatMap((stop) => stop.keys.map((key) => ({ key, gap, place: stop.place }))));
        expect(read.map((each) => each.key).sort()).toEqual(toRead.map((each) => each.key));
        for (const { key, gap, place: at } of read) {
          const wanted = toRead.find((each) => each.key === key)!;
          expect([at, gap >= wanted.from && gap <= wanted.to]).toEqual([wanted.place, true]);
        }
        expect(
          secondsOf(
            work,
            gaps.map(({ stops }) => stops.map((stop) => stop.place)),
          ),
        ).toBe(leastOf(work, toRead));
      },
    ),
    { numRuns: 300 },
  );
}, 120_000);
