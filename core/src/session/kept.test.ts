import fc from 'fast-check';
import { motionOf, MOTIONS, type Side } from '../body/index.ts';
import { ENTRIES, motionSide } from '../catalogue/index.ts';
import type { ValueToday } from '../record/index.ts';
import { SESSION } from '../testing/sessionFacts.ts';
import { degreesPer, possibleBlocks, proposeSession, type KeptFacts, type OwnKept, type SessionFacts } from './index.ts';

const today = (motionId: string, side: Side, value: number): ValueToday => ({
  motionId,
  side,
  moment: 'before',
  instrument: motionOf(motionId).instruments[0],
  examinerId: null,
  value,
});
const facts = (more: Partial<SessionFacts> = {}): SessionFacts => ({ ...SESSION, warm: true, ...more });
const own = (motionId: string, side: Side, mean: number): OwnKept => ({
  motionId,
  side,
  visits: 7,
  mean,
  low: mean - 0.1,
  high: mean + 0.1,
});
const USUAL: KeptFacts = { days: 7, usual: 0.2, own: [] };

/** Motions of limbs with two sides that the catalogue works on. */
const WORKED = MOTIONS.filter(
  ({ id, sides }) => sides.length === 2 && ENTRIES.some((entry) => entry.motionId === id && entry.measured && entry.stage === 'specific'),
);
const anyFacts = fc
  .record({
    rows: fc
      .uniqueArray(fc.constantFrom(...WORKED), { minLength: 1, maxLength: 3, selector: ({ id }) => id })
      .chain((motions) =>
        fc.tuple(
          ...motions.map((motion) =>
            fc
              .tuple(...motion.sides.map(() => fc.double({ min: 0.05, max: 0.6, noNaN: true })))
              .map((shares) => motion.sides.map((side, i) => ({ motion, side, share: shares[i]! }))),
          ),
        ),
      ),
    minutes: fc.integer({ min: 8, max: 25 }),
    means: fc.array(fc.option(fc.double({ min: 0.01, max: 0.8, noNaN: true }), { nil: null }), { minLength: 8, maxLength: 8 }),
  })
  .map(({ rows, minutes, means }) => {
    const sides = rows.flat();
    return {
      facts: facts({
        minutes,
        today: sides.map(({ motion, side, share }) =>
          today(motion.id, side, Math.round(motion.fan.min + share * (motion.fan.max - motion.fan.min))),
        ),
      }),
      kept: {
        ...USUAL,
        own: sides.flatMap(({ motion, side }, i) => (typeof means[i] === 'number' ? [own(motion.id, side, means[i])] : [])),
      } satisfies KeptFacts,
    };
  });

test('where nothing of one’s own is known a plan is the same as before anybody asked what is kept, and says so', () => {
  fc.assert(
    fc.property(anyFacts, ({ facts: given }) => {
      const plain = proposeSession(given, String);
      const usual = proposeSession({ ...given, kept: USUAL }, String);
      expect(usual.value).toBeCloseTo(plain.value, 9);
      expect(usual.blocks.map(({ block }) => block)).toEqual(plain.blocks.map(({ block }) => block));
      for (const { kept } of usual.blocks.flatMap(({ sides }) => sides))
        expect(kept).toEqual({ days: 7, share: 0.2, low: 0.2, high: 0.2, visits: null, factor: 1 });
      for (const { kept } of plain.blocks.flatMap(({ sides }) => sides)) expect(kept).toBeNull();
    }),
    { numRuns: 12 },
  );
}, 60_000);

test('whatever is known, a plan weighed by what is kept leaves at least as much as one that is not', () => {
  fc.assert(
    fc.property(anyFacts, ({ facts: given, kept }) => {
      const weighed = proposeSession({ ...given, kept }, String);
      const plain = proposeSession(given, String);
      // What the plan that does not ask would be worth to one who does: side by side, each by what is kept there.
      const factorOf = (motionId: string, side: Side) =>
        Math.max(0, (kept.own.find((each) => each.motionId === motionId && each.side === side)?.mean ?? kept.usual) / kept.usual);
      const lost = plain.blocks
        .flatMap(({ block, sides }) => sides.map((side) => ({ entryId: block.entryId, side })))
        .map(({ entryId, side: { side, value, missing } }) => {
          const entry = ENTRIES.find(({ id }) => id === entryId)!;
          // The side that is worked on need not be the one that is read.
          return missing > 0 ? value * (1 - factorOf(entry.motionId, motionSide(entry, entry.motionId, side))) : 0;
        })
        .reduce((sum, each) => sum + each, 0);
      if (weighed.status !== 'impossible') expect(weighed.value).toBeGreaterThanOrEqual(plain.value - lost - 1e-6);
    }),
    { numRuns: 15 },
  );
}, 60_000);

test('of two motions that miss the same, the one that keeps more gets the minutes', () => {
  const [hip, knee] = ['straight-leg-raise', 'knee-flexion'] as const;
  const given = facts({
    minutes: 9,
    today: [today(hip, 'left', 50), today(hip, 'right', 50), today(knee, 'left', 105), today(knee, 'right', 105)],
  });
  const motionsOf = (kept: KeptFacts) => {
    const { blocks } = proposeSession({ ...given, kept }, String);
    return [
      ...new Set(blocks.filter(({ kind }) => kind === 'work').map(({ block }) => ENTRIES.find(({ id }) => id === block.entryId)!.motionId)),
    ];
  };
  const sides = (id: string, mean: number) => [own(id, 'left', mean), own(id, 'right', mean)];
  expect(motionsOf({ ...USUAL, own: [...sides(hip, 0.5), ...sides(knee, 0.03)] })).toEqual([hip]);
  expect(motionsOf({ ...USUAL, own: [...sides(hip, 0.03), ...sides(knee, 0.5)] })).toEqual([knee]);
});

test('what a side is worth is weight × gain × what is kept against what is usual, and the share kept of a gain is told', () => {
  const id = 'straight-leg-raise';
  const given = facts({ today: [today(id, 'left', 50), today(id, 'right', 52)] });
  const kept = { ...USUAL, own: [own(id, 'left', 0.5)] };
  const worth = (list: ReturnType<typeof possibleBlocks>['list'], side: Side) =>
    list.filter((each) => each.side === side && each.wanted.motion.id === id && each.pin === null);
  const [with_, without] = [possibleBlocks({ ...given, kept }).list, possibleBlocks(given).list];
  for (const each of worth(with_, 'left')) {
    expect(each.kept).toMatchObject({ days: 7, visits: 7, share: 0.5, low: 0.4, high: 0.6, factor: 2.5 });
    const same = worth(without, 'left').find((other) => other.method.id === each.method.id && other.entry.id === each.entry.id);
    if (!same) continue;
    each.levels.forEach((level, i) => {
      expect(level.gain).toBeCloseTo(same.levels[i]!.gain, 9);
      expect(level.value).toBeCloseTo(2.5 * same.levels[i]!.value, 9);
      expect(level.value).toBeLessThanOrEqual(1.2 * each.wanted.weight * level.gain * degreesPer(id) * 2.5 + 1e-9);
    });
  }
  for (const each of worth(with_, 'right')) expect(each.kept).toMatchObject({ visits: null, share: 0.2, factor: 1 });
});

test('where nothing of a gain is left next time it is not proposed, and says from how many visits', () => {
  const id = 'straight-leg-raise';
  const given = facts({ today: [today(id, 'left', 50), today(id, 'right', 80)] });
  const { list, forbidden } = possibleBlocks({ ...given, kept: { ...USUAL, own: [own(id, 'left', -0.05)] } });
  expect(list.some((each) => each.wanted.side === 'left' && each.wanted.missing > 0)).toBe(false);
  const words = forbidden.map((each) => each.words).filter((each) => /nothing is there any more/.test(each));
  expect(words.length).toBeGreaterThan(0);
  expect(words[0]).toContain('from 7 visits');
});
