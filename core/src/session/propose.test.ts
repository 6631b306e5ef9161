import fc from 'fast-check';
import { MOTIONS, type Side } from '../body/index.ts';
import { ENTRIES, findEntry, motionSide } from '../catalogue/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import { checkBlock, compile, findMethod, fits, SLOW_BREATH } from '../method/index.ts';
import type { ValueToday } from '../record/index.ts';
import { MOST_CANDIDATES, orderProblems, possibleBlocks, proposeSession, sessionStrip, type Proposal, type SessionFacts } from './index.ts';
import { playedSports } from '../sport/index.ts';

/** Motions of limbs with two sides that the catalogue works on. */
const WORKED = MOTIONS.filter(
  (motion) =>
    motion.sides.length === 2 && ENTRIES.some((entry) => entry.motionId === motion.id && entry.measured && entry.stage === 'specific'),
);
const anyToday = (least: number, most: number) =>
  fc
    .uniqueArray(fc.constantFrom(...WORKED), { minLength: least, maxLength: most, selector: (motion) => motion.id })
    .chain((motions) =>
      fc.tuple(
        ...motions.map((motion) =>
          fc.tuple(fc.double({ min: 0.1, max: 0.9, noNaN: true }), fc.double({ min: 0.1, max: 0.9, noNaN: true })).map(([left, right]) =>
            [
              ['left', left],
              ['right', right],
            ].map(([side, share]): ValueToday => ({
              motionId: motion.id,
              side: side as Side,
              moment: 'before',
              instrument: motion.instruments[0],
              examinerId: null,
              value: Math.round((motion.fan.min + Number(share) * (motion.fan.max - motion.fan.min)) * 10) / 10,
            })),
          ),
        ),
      ),
    )
    .map((rows) => rows.flat());

const factsWith = (today: ReturnType<typeof anyToday>, least: number): fc.Arbitrary<SessionFacts> =>
  fc
    .record({
      today,
      minutes: fc.integer({ min: least, max: 75 }),
      warm: fc.boolean(),
      days: fc.option(fc.integer({ min: 0, max: 30 }), { nil: null }),
      scope: fc.integer({ min: 0, max: 4 }),
    })
    .map(({ today, minutes, warm, days, scope }) => ({
      person: {
        birthDate: '1999-05-05',
        referenceSex: 'female' as const,
        sports: playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }]),
      },
      onDay: '2026-11-25',
      today,
      past: [],
      pastBlocks: [],
      goals: [],
      complaint: { region: null, side: null },
      errors: NOTHING_KNOWN,
      daysToEvent: days,
      minutes,
      breath: SLOW_BREATH,
      overrides: [],
      causes: {},
      warm,
      pins: [],
      bans: [],
      withoutPositions: [],
      caution: {
        subject: { birthDate: '1999-05-05', conditions: [], medications: [], beighton: null, noTouch: [], historyTaken: true },
        onDay: '2026-11-25',
        scope: { mobilizationGrade: scope, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
        daysToEvent: days,
        daysSinceEvent: null,
        raised: [],
        questions: 'answered',
        consent: null,
        today: [],
      },
    }));
const anyFacts = factsWith(anyToday(1, 6), 5);

test('whatever was read, each thing that could be done is worth ever less a round, and says where its value comes from', () => {
  fc.assert(
    fc.property(factsWith(anyToday(1, 8), 5), (facts) => {
      const { list } = possibleBlocks(facts);
      expect(list.length).toBeLessThanOrEqual(MOST_CANDIDATES);
      for (const { entry, method, wanted, levels, positions, side } of list) {
        expect([entry.id, levels.length > 0, positions.length > 0, fits(entry, method)]).toEqual([entry.id, true, true, true]);
        expect(entry.afterOperation).toBeUndefined();
        expect(motionSide(entry, wanted.motion.id, side)).toBe(wanted.side);
        expect(wanted.weight).toBeCloseTo(1 + wanted.terms.reduce((sum, term) => sum + term.weight, 0), 9);
        const steps = levels.map((level, i) => ({
          seconds: level.seconds - (levels[i - 1]?.seconds ?? 0),
          value: level.value - (levels[i - 1]?.value ?? 0),
        }));
        steps.forEach((step, i) => {
          expect(step.seconds).toBeGreaterThan(0);
          expect(step.value).toBeGreaterThanOrEqual(-1e-9);
          if (i > 1) expect(step.value).toBeLessThanOrEqual(steps[i - 1]!.value + 1e-9);
        });
        for (const level of levels) expect(level.gain).toBeLessThanOrEqual(wanted.missing + 1e-9);
      }
    }),
    { numRuns: 60 },
  );
}, 120_000);

test('on the day of a start nothing long or strong is weighed; two days before it says so where it is', () => {
  fc.assert(
    fc.property(factsWith(anyToday(1, 5), 10), fc.integer({ min: 0, max: 2 }), (facts, daysToEvent) => {
      const { list, forbidden } = possibleBlocks({ ...facts, daysToEvent });
      for (const { method, fit } of list) {
        const short = [
          'brief-hold',
          'agonist-contract',
          'active-assisted',
          'continuous-motion',
          'glide-circumduct',
          'stroke-active',
          'counter-rhythm',
          'each-in-turn',
        ].includes(method.id);
        expect([method.id, fit]).toEqual([
          method.id,
          short ? 'short and easy this close to a start' : 'longer than one wants this close to a start',
        ]);
        if (daysToEvent === 0) expect([method.id, short]).toEqual([method.id, true]);
      }
      // The reason is given on that day only, and only for what could be done on another.
      for (const { words } of forbidden)
        expect([daysToEvent, words.includes('day of a start')]).toEqual([
          daysToEvent,
          daysToEvent === 0 && words.includes('day of a start'),
        ]);
      for (const { entry, words } of forbidden)
        if (words.includes('day of a start'))
          expect([entry.id, entry.ways.some((way) => findMethod(way)!.share > 0)]).toEqual([entry.id, true]);
    }),
    { numRuns: 60 },
  );
}, 60_000);

test('what is asked for by hand is weighed on the day of a start as well', () => {
  const pin = { entryId: 'hamstring-heel-on-shoulder', methodId: 'static-hold' };
  fc.assert(
    fc.property(factsWith(anyToday(1, 3), 20), (facts) => {
      const today = (['left', 'right'] as const).map((side): ValueToday => ({
        motionId: 'straight-leg-raise',
        side,
        moment: 'before',
        instrument: 'inclinometer',
        examinerId: null,
        value: side === 'left' ? 50 : 70,
      }));
      const { list } = possibleBlocks({
        ...facts,
        today: [...facts.today.filter((value) => value.motionId !== 'straight-leg-raise'), ...today],
        daysToEvent: 0,
        pins: [pin],
      });
      expect(list.filter((each) => each.pin !== null).map((each) => each.method.id)).toEqual(expect.arrayContaining(['static-hold']));
    }),
    { numRuns: 15 },
  );
}, 60_000);

test('whatever was read: the plan is sound, in order, on both sides, and its strip fits the minutes', () => {
  fc.assert(
    fc.property(anyFacts, (facts) => {
      const proposal = proposeSession(facts, (n) => `b${n}`);
      // Where measuring needs a stay of its own the row may have to be cut a little: then it says how much better a plan could be.
      expect(proposal.status === 'optimal' || (proposal.status === 'stopped' && proposal.gap > 0)).toBe(true);
      const blocks = proposal.blocks.map((each) => each.block);
      expect(new Set(blocks.map((block) => block.id)).size).toBe(blocks.length);
      expect(blocks.flatMap((block) => checkBlock(block))).toEqual([]);
      expect(orderProblems(blocks)).toEqual([]);
      const edgeOf = (motionId: string, side: Side) =>
        facts.today.find((value) => value.motionId === motionId && value.side === side)?.value ?? null;
      if (blocks.length > 0) {
        const strip = sessionStrip({ blocks, line: compile(blocks, { breath: facts.breath, edgeOf }), isMeasured: () => true });
        expect(strip.seconds).toBeLessThanOrEqual(facts.minutes * 60);
      }
      for (const each of proposal.blocks.filter((block) => block.kind === 'work')) {
        const entry = findEntry(each.block.entryId)!;
        const sides = new Set(
          proposal.blocks
            .filter((other) => other.block.entryId === entry.id && other.block.methodId === each.block.methodId)
            .flatMap((other) => other.sides.map((side) => side.side)),
        );
        expect([entry.id, sides.size]).toEqual([entry.id, 2]);
        expect(facts.warm && proposal.blocks.some((block) => block.kind === 'warm-up')).toBe(false);
        expect(each.value).toBeGreaterThan(0);
        for (const side of each.sides) expect(side.gain).toBeLessThanOrEqual(side.missing + 1e-9);
      }
    }),
    { numRuns: 60 },
  );
}, 120_000);

test('stopped on the way: what could be taken fits the minutes and says what a better plan could be worth', () => {
  const halfWay = factsWith(anyToday(7, 10), 30);
  const waysTo = (facts: SessionFacts) => {
    const ways: Proposal[] = [];
    const full = proposeSession(facts, String, {
      progress: (_best, _bound, soFar) => {
        const way = soFar();
        if (way) ways.push(way);
      },
    });
    return { full, ways };
  };
  fc.assert(
    fc.property(halfWay, (facts) => {
      const { full, ways } = waysTo(facts);
      for (const way of ways) {
        expect(way.status).toBe('stopped');
        expect(way.seconds).toBeLessThanOrEqual(facts.minutes * 60);
        expect(way.value + way.gap).toBeGreaterThanOrEqual(full.value - 1e-9);
        expect(way.blocks.flatMap((each) => checkBlock(each.block))).toEqual([]);
      }
    }),
    { numRuns: 50 },
  );
  // Many searches end before there is anything to take; among these there are some that do not.
  const seen = fc.sample(halfWay, { numRuns: 50, seed: 5 }).map((facts) => waysTo(facts).ways.length);
  expect(seen.filter((ways) => ways > 0).length).toBeGreaterThan(0);
}, 120_000);

test('more minutes never give a plan of less worth while it ends the same way', () => {
  fc.assert(
    fc.property(anyFacts, fc.integer({ min: 1, max: 20 }), (facts, more) => {
      const base = { ...facts, minutes: Math.max(20, facts.minutes) };
      const [less, longer] = [proposeSession(base, String), proposeSession({ ...base, minutes: base.minutes + more }, String)];
      if (longer.status === 'optimal') expect(longer.value).toBeGreaterThanOrEqual(less.value - 1e-9);
    }),
    { numRuns: 40 },
  );
}, 120_000);
