import fc from 'fast-check';
import { motionOf } from '../body/index.ts';
import { ENTRIES, findEntry, motionSide, TOOLS } from '../catalogue/index.ts';
import { compile, newBlock, shelfWith, SLOW_BREATH, type BlockPlan } from '../method/index.ts';
import { anyBlock } from '../testing/arbitraries.ts';
import {
  addDoses,
  betweenPasses,
  doseByTarget,
  mirrored,
  moveBlock,
  oneSideFirst,
  orderProblems,
  placeBlock,
  sessionStrip,
  sidePasses,
  SIDE_PATTERNS,
  toolMinutes,
} from './index.ts';

/** A row of sound blocks in any order, however odd. */
const anyRow = fc
  .array(anyBlock, { minLength: 1, maxLength: 5 })
  .map((blocks) => blocks.map((block, i): BlockPlan => ({ ...block, id: `b${i}` })));
const lineOf = (blocks: readonly BlockPlan[]) => compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null });
const ids = (blocks: readonly BlockPlan[]) => blocks.map((block) => block.id);

describe('the strip of any row', () => {
  const withStrip = fc
    .tuple(anyRow, fc.boolean())
    .map(([blocks, measured]) => ({ blocks, measured, strip: sessionStrip({ blocks, line: lineOf(blocks), isMeasured: () => measured }) }));

  test('has no gap, begins with the opening, ends with the close, and is as long as it says', () => {
    fc.assert(
      fc.property(withStrip, ({ strip }) => {
        expect(strip.items[0]!.kind).toBe('opening');
        expect(strip.items.at(-1)!.kind).toBe('close');
        strip.items.forEach((item, i) => expect(item.startS).toBe(i === 0 ? 0 : strip.items[i - 1]!.startS + strip.items[i - 1]!.seconds));
        expect(strip.seconds).toBe(strip.items.at(-1)!.startS + strip.items.at(-1)!.seconds);
      }),
      { numRuns: 150 },
    );
  });

  test('nobody is anywhere without having turned there', () => {
    fc.assert(
      fc.property(withStrip, ({ strip }) => {
        strip.items.slice(1).forEach((item, i) => {
          if (item.kind === 'turn') expect(item.position).not.toBe(strip.items[i]!.position);
          else expect(item.position).toBe(strip.items[i]!.position);
        });
        expect(strip.turns).toBe(strip.items.filter((item) => item.kind === 'turn').length);
      }),
      { numRuns: 150 },
    );
  });

  test('every side of every block once for each pass, in order', () => {
    fc.assert(
      fc.property(withStrip, ({ blocks, strip }) => {
        expect(strip.items.filter((item) => item.kind === 'block').map((item) => `${item.blockId}/${item.side}`)).toEqual(
          blocks.flatMap((block) => block.sides.map((each) => `${block.id}/${each.side}`)),
        );
      }),
      { numRuns: 150 },
    );
  });

  test('what is worked on is read again exactly once, after the last work on it; read first only where it was not yet', () => {
    fc.assert(
      fc.property(withStrip, ({ blocks, measured, strip }) => {
        const wanted = new Set(
          blocks.flatMap((block) => {
            const entry = findEntry(block.entryId)!;
            const motion = motionOf(entry.motionId);
            return entry.measured
              ? block.sides
                  .map((each) => motionSide(entry, motion.id, each.side))
                  .filter((side) => motion.sides.includes(side))
                  .map((side) => `${motion.id}/${side}`)
              : [];
          }),
        );
        const read = (kind: string) => strip.items.flatMap((item) => (item.kind === kind ? [`${item.motionId}/${item.side}`] : []));
        expect(read('after').sort()).toEqual([...wanted].sort());
        expect(read('before').sort()).toEqual(measured ? [] : [...wanted].sort());
        for (const key of wanted) {
          const works = strip.items.flatMap((item, i) => {
            const entry = item.kind === 'block' ? findEntry(blocks.find((block) => block.id === item.blockId)!.entryId)! : null;
            return entry?.measured && `${entry.motionId}/${motionSide(entry, entry.motionId, item.side!)}` === key ? [i] : [];
          });
          const after = strip.items.findIndex((item) => item.kind === 'after' && `${item.motionId}/${item.side}` === key);
          expect(after).toBeGreaterThan(works.at(-1)!);
          if (!measured)
            expect(strip.items.findIndex((item) => item.kind === 'before' && `${item.motionId}/${item.side}` === key)).toBeLessThan(
              works[0]!,
            );
        }
      }),
      { numRuns: 150 },
    );
  });

  test('two motions of one name are told apart in words', () => {
    fc.assert(
      fc.property(withStrip, ({ strip }) => {
        const words = new Map<string, Set<string>>();
        for (const item of strip.items)
          if (item.motionId !== undefined) words.set(item.words, (words.get(item.words) ?? new Set()).add(item.motionId));
        for (const [said, motions] of words) expect([said, motions.size]).toEqual([said, 1]);
      }),
      { numRuns: 150 },
    );
  });

  test('everything between the work is told before exactly one pass, or at the end', () => {
    fc.assert(
      fc.property(withStrip, ({ blocks, strip }) => {
        const between = betweenPasses(strip, blocks);
        const told = [...[...between.before.values()].flat(), ...between.afterLast];
        expect(told.map((item) => item.startS).sort((a, b) => a - b)).toEqual(
          strip.items.filter((item) => !['opening', 'close', 'block'].includes(item.kind)).map((item) => item.startS),
        );
        for (const [key, items] of between.before) {
          const [block, pass] = key.split('/').map(Number);
          const at = strip.items.filter((item) => item.blockId === blocks[block!]!.id)[pass!]!;
          expect(items.at(-1)!.startS + items.at(-1)!.seconds).toBe(at.startS);
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe('changing a row', () => {
  test('a move changes only the order, breaks no rule that was kept, and its refusal names both', () => {
    fc.assert(
      fc.property(anyRow, fc.nat(4), fc.integer({ min: -2, max: 7 }), (blocks, from, to) => {
        const block = blocks[from % blocks.length]!;
        const moved = moveBlock(blocks, block.id, to);
        if ('forbidden' in moved) {
          expect(moved.forbidden.length).toBeGreaterThan(10);
          return;
        }
        expect([...ids(moved.blocks)].sort()).toEqual([...ids(blocks)].sort());
        expect(ids(moved.blocks).filter((id) => id !== block.id)).toEqual(ids(blocks).filter((id) => id !== block.id));
        const known = new Set(orderProblems(blocks).map((problem) => problem.words));
        expect(orderProblems(moved.blocks).filter((problem) => !known.has(problem.words))).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  test('a block that is added breaks no rule that some place would keep, leaves the others as they are, and makes no turn that another sound place would spare', () => {
    fc.assert(
      fc.property(anyRow, anyBlock, (blocks, one) => {
        const block: BlockPlan = { ...one, id: 'new' };
        const placed = placeBlock(blocks, block);
        expect(placed.filter((each) => each.id !== 'new')).toEqual(blocks);
        const broken = (row: readonly BlockPlan[]) => {
          const known = new Set(orderProblems(blocks).map((problem) => problem.words));
          return orderProblems(row).filter((problem) => !known.has(problem.words)).length;
        };
        const everywhere = Array.from({ length: blocks.length + 1 }, (_, at) => [...blocks.slice(0, at), block, ...blocks.slice(at)]);
        const sound = everywhere.filter((row) => broken(row) === 0);
        if (sound.length === 0) {
          expect(placed.at(-1)).toBe(block);
          return;
        }
        expect(broken(placed)).toBe(0);
        const turns = (row: readonly BlockPlan[]) =>
          row
            .map((each) => each.position ?? findEntry(each.entryId)!.positions[0])
            .filter((position, i, all) => i > 0 && position !== all[i - 1]).length;
        expect(turns(placed)).toBe(Math.min(...sound.map(turns)));
      }),
      { numRuns: 200 },
    );
  });

  test('all of one side first: the same work, that side never after the other, and the rules of order still kept', () => {
    fc.assert(
      fc.property(anyRow, fc.constantFrom('left' as const, 'right' as const), (blocks, first) => {
        const split = oneSideFirst(blocks, first, (id) => `${id}x`);
        expect(new Set(ids(split)).size).toBe(split.length);
        const work = (row: readonly BlockPlan[]) =>
          row.flatMap((block) => block.sides.map((each) => `${block.entryId}/${block.methodId}/${each.side}/${each.rounds}`)).sort();
        expect(work(split)).toEqual(work(blocks));
        const fromTwo = new Set(
          blocks
            .filter((block) => findEntry(block.entryId)!.stage !== 'close' && new Set(block.sides.map((each) => each.side)).size > 1)
            .map((block) => block.id),
        );
        const sides = split
          .filter((block) => fromTwo.has(block.id.replace('x', '')))
          .flatMap((block) => block.sides.map((each) => each.side === first));
        expect(sides).toEqual([...sides].sort((a, b) => Number(b) - Number(a)));
        if (orderProblems(blocks).length === 0) expect(orderProblems(split)).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  test('mirrored twice is the same block without its limits, and every round is kept', () => {
    fc.assert(
      fc.property(anyBlock, (block) => {
        const other = mirrored(block, 'm');
        expect(other.limits).toBeUndefined();
        expect(other.sides.map((each) => each.rounds)).toEqual(block.sides.map((each) => each.rounds));
        expect(mirrored(other, block.id)).toEqual({ ...block, limits: undefined });
      }),
      { numRuns: 100 },
    );
  });

  test('every pattern works both sides, the tighter one at least as much', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SIDE_PATTERNS.map((pattern) => pattern.id)),
        fc.constantFrom('left' as const, 'right' as const),
        fc.integer({ min: 1, max: 6 }),
        (pattern, tighter, rounds) => {
          const passes = sidePasses(pattern, tighter, rounds);
          const of = (side: string) => passes.filter((pass) => pass.side === side).reduce((sum, pass) => sum + pass.rounds, 0);
          expect(of(tighter === 'left' ? 'right' : 'left')).toBe(rounds);
          expect(of(tighter)).toBe(pattern === 'even' ? rounds : rounds + 1);
          expect(passes[0]!.side === tighter).toBe(pattern !== 'easy-first');
        },
      ),
    );
  });
});

describe('dose and load of any row', () => {
  test('seconds are never more than the line has, and a row’s dose is the sum of its blocks’', () => {
    fc.assert(
      fc.property(anyRow, (blocks) => {
        const line = lineOf(blocks);
        const whole = doseByTarget(line);
        const parts = addDoses(blocks.map((block) => doseByTarget(lineOf([block]))));
        const key = (dose: (typeof whole)[number]) => `${dose.target}/${dose.side}`;
        expect(new Set(parts.map(key))).toEqual(new Set(whole.map(key)));
        for (const dose of whole) {
          const sum = parts.find((each) => key(each) === key(dose))!;
          expect(dose.endRangeS).toBeCloseTo(sum.endRangeS, 6);
          expect(dose.contractS).toBeCloseTo(sum.contractS, 6);
          expect(dose.effortPctS).toBeCloseTo(sum.effortPctS, 6);
          expect(dose.bouts).toBe(sum.bouts);
          expect(dose.effortPctS).toBeLessThanOrEqual(100 * dose.contractS + 1e-6);
        }
        expect(whole.reduce((sum, dose) => sum + dose.endRangeS + dose.contractS, 0)).toBeLessThanOrEqual(line.totalMs / 1000 + 1e-6);
      }),
      { numRuns: 120 },
    );
  });

  test('no tool carries longer than the line lasts; cut to half the time it carries half', () => {
    fc.assert(
      fc.property(anyRow, (blocks) => {
        const line = lineOf(blocks);
        const full = toolMinutes(line);
        const half = toolMinutes(line, (index) => (line.cues[index]!.endMs - line.cues[index]!.startMs) / 2000);
        for (const tool of TOOLS) {
          expect(full[tool]).toBeLessThanOrEqual(line.totalMs / 60_000 + 1e-6);
          expect(half[tool]).toBeCloseTo(full[tool] / 2, 6);
          if (!blocks.some((block) => ENTRIES.find((entry) => entry.id === block.entryId)!.tools.some((each) => each.tool === tool)))
            expect(full[tool]).toBe(0);
        }
      }),
      { numRuns: 100 },
    );
  });
});

test('dry before oil where one part of the body is worked both ways; the other side, and another part, are free', () => {
  const oil = ENTRIES.filter(({ medium }) => medium === 'oil');
  const dry = ENTRIES.filter(({ medium }) => medium === 'dry');
  expect([oil.length > 3, dry.length > 3]).toEqual([true, true]);
  // An own entry, worked with oil on the back.
  const oiled = { ...findEntry('back-dry-prep')!, id: 'oiled', medium: 'oil' as const };
  const shelf = shelfWith({ entries: [oiled], methods: [] });
  const row = (side: 'left' | 'right') => [
    newBlock('a', 'oiled', 'line-press', [side], shelf),
    newBlock('b', 'lumbar-forearm-sink', 'breath-sink', ['left']),
  ];
  expect(orderProblems(row('left'), shelf).map(({ rule }) => rule)).toContain('dry-first');
  expect(orderProblems(row('right'), shelf).map(({ rule }) => rule)).not.toContain('dry-first');
  expect(orderProblems([...row('left')].reverse(), shelf).map(({ rule }) => rule)).not.toContain('dry-first');
  const elsewhere = [
    newBlock('a', 'quad-warm-ladder', 'line-press', ['left']),
    newBlock('b', 'lumbar-forearm-sink', 'breath-sink', ['left']),
  ];
  expect(orderProblems(elsewhere)).toEqual([]);
});
