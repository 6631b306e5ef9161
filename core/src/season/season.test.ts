import fc from 'fast-check';
import { blockCautions, cautionsFor, daysBetween, measuring, NO_LIMITS, isAsStrict, type DayLimit } from '../caution/index.ts';
import { ACTION, CONTEXT } from '../caution/testing.ts';
import { addDays } from '../load/index.ts';
import { newBlock } from '../method/index.ts';
import {
  afterMove,
  againstPath,
  blockOn,
  edgeRoom,
  edgesOf,
  EMPTY_PLAN,
  fromTemplate,
  laidOver,
  moveEdge,
  movedLines,
  movedVisits,
  pathLevel,
  pathShares,
  PHASE_IDS,
  PHASE_RULES,
  phaseHold,
  phaseLimits,
  phaseRules,
  planProblems,
  putBlock,
  putLine,
  SEASON_TEMPLATES,
  seasonDay,
  stayOn,
  withPhase,
  type Block,
  type PhaseId,
  type SeasonEvent,
} from './index.ts';

const START = '2026-09-01';
const day = (n: number) => addDays(START, n);
const block = (phase: PhaseId, from: number, until: number, tied: Partial<Block> = {}): Block => ({
  phase,
  from: day(from),
  until: day(until),
  fromAnchor: null,
  untilAnchor: null,
  ...tied,
});
const HEAD: SeasonEvent = { id: 'head', name: 'Head race', onDate: day(60), importance: 1 };

/** Lines of any kind: blocks in order, with and without gaps, some ends tied to the event. */
const lines = fc
  .array(
    fc.record({
      phase: fc.constantFrom(...PHASE_IDS),
      gap: fc.constantFrom(0, 0, 0, 3),
      days: fc.integer({ min: 1, max: 30 }),
      tied: fc.boolean(),
      tiedEnd: fc.boolean(),
    }),
    {
      minLength: 1,
      maxLength: 8,
    },
  )
  .map((parts) => {
    let at = 0;
    return parts.map(({ phase, gap, days, tied, tiedEnd }): Block => {
      const from = at + gap;
      at = from + days;
      return block(phase, from, at - 1, {
        fromAnchor: tied ? { eventId: 'head', days: from - 60 } : null,
        untilAnchor: tiedEnd ? { eventId: 'head', days: at - 1 - 60 } : null,
      });
    });
  });

const sound = (blocks: readonly Block[]) => expect(planProblems({ ...EMPTY_PLAN, blocks })).toEqual([]);
/** The phase of every day, worked out by looking at each. */
const byDay = (blocks: readonly Block[]) => Array.from({ length: 200 }, (_, n) => blockOn(blocks, day(n))?.phase ?? null);

describe('a line of blocks', () => {
  test('what cannot be kept is said at its place', () => {
    const wrong = planProblems({
      ...EMPTY_PLAN,
      blocks: [block('build', 0, 10), block('sharpen', 10, 9), block('off', 12, 2000)],
      stays: [{ id: '1', kind: 'camp', name: 'Camp', from: day(4), until: day(3), visits: true }],
    });
    expect(wrong.map(({ path }) => path)).toEqual(['blocks.1.until', 'blocks.1.from', 'stays.0.until', 'blocks']);
  });

  test('an edge moves both blocks that meet there, never past a day of either, and no day changes but those it swept over', () => {
    fc.assert(
      fc.property(lines, fc.nat(), fc.integer({ min: -60, max: 60 }), (blocks, pick, by) => {
        const edges = edgesOf(blocks);
        const edge = edges[pick % edges.length]!;
        const moved = moveEdge(blocks, edge, addDays(edge.day, by));
        sound(moved);
        expect(moved.map(({ phase }) => phase)).toEqual(blocks.map(({ phase }) => phase));
        const now = edgesOf(moved).find(
          ({ ends, begins }) => (edge.ends !== null && ends === edge.ends) || (edge.begins !== null && begins === edge.begins),
        )!;
        const [before, after] = [byDay(blocks), byDay(moved)];
        const swept = [edge.day, now.day].sort();
        before.forEach((phase, n) => {
          if (phase !== after[n]) expect(day(n) >= swept[0]! && day(n) < swept[1]!).toBe(true);
        });
        const room = edgeRoom(blocks, edge);
        if (room.earliest !== null) expect(now.day >= room.earliest).toBe(true);
        if (room.latest !== null) expect(now.day <= room.latest).toBe(true);
        // And back again: the line that was.
        if (now.day === addDays(edge.day, by)) expect(byDay(moveEdge(moved, { ...edge, day: now.day }, edge.day))).toEqual(before);
      }),
    );
  });

  test('a dragged edge keeps to its event at the new distance', () => {
    const blocks = [block('build', 0, 28), block('sharpen', 29, 49, { fromAnchor: { eventId: 'head', days: -31 } })];
    const moved = moveEdge(blocks, edgesOf(blocks)[1]!, day(26));
    expect(moved[1]).toMatchObject({ from: day(26), fromAnchor: { eventId: 'head', days: -34 } });
    expect(moved[0]!.until).toBe(day(25));
  });

  test('a block put in stands as it was put, and every other day stays what it was', () => {
    fc.assert(
      fc.property(lines, fc.constantFrom(...PHASE_IDS), fc.nat({ max: 120 }), fc.nat({ max: 60 }), (blocks, phase, from, length) => {
        const put = block(phase, from, from + length);
        const now = putBlock(blocks, put);
        sound(now);
        const before = byDay(blocks);
        byDay(now).forEach((found, n) => expect(found).toBe(n >= from && n <= from + length ? phase : before[n]));
      }),
    );
  });

  test('own blocks lie over those that are followed', () => {
    fc.assert(
      fc.property(lines, lines, (followed, own) => {
        const laid = laidOver(followed, own);
        sound(laid);
        const [below, above] = [byDay(followed), byDay(own)];
        byDay(laid).forEach((phase, n) => expect(phase).toBe(above[n] ?? below[n]));
        for (const each of laid) if (each.own) expect(own.some(({ from, until }) => from === each.from && until === each.until)).toBe(true);
      }),
    );
  });

  test('neighbours that become the same phase are one block', () => {
    expect(withPhase([block('build', 0, 9), block('sharpen', 10, 19), block('build', 20, 29)], 1, 'build')).toEqual([
      block('build', 0, 29),
    ]);
  });
});

describe('templates', () => {
  const second: SeasonEvent = { id: 'regatta', name: 'Regatta', onDate: day(150), importance: 1 };
  test('a single peak, laid out by hand', () => {
    const made = fromTemplate(
      SEASON_TEMPLATES.find(({ id }) => id === 'single-peak')!,
      START,
      [HEAD],
    );
    // Day 60 is the event: sharpen from 31 days before, compete from 10 days before, recover for the 14 days after.
    expect(made).toEqual({
      ok: true,
      blocks: [
        block('build', 0, 28, { untilAnchor: { eventId: 'head', days: -32 } }),
        block('sharpen', 29, 49, { fromAnchor: { eventId: 'head', days: -31 }, untilAnchor: { eventId: 'head', days: -11 } }),
        block('compete', 50, 60, { fromAnchor: { eventId: 'head', days: -10 }, untilAnchor: { eventId: 'head', days: 0 } }),
        block('recover', 61, 74, { fromAnchor: { eventId: 'head', days: 1 }, untilAnchor: { eventId: 'head', days: 14 } }),
      ],
    });
  });

  test('every template around any events is sound, has no day without a phase, and competes on its events', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SEASON_TEMPLATES),
        fc.nat({ max: 200 }),
        fc.integer({ min: 1, max: 200 }),
        (template, first, between) => {
          const peaks = [
            { ...HEAD, onDate: day(first) },
            { ...second, onDate: day(first + between) },
          ].slice(0, template.peaks.length);
          const made = fromTemplate(template, START, peaks);
          if (!made.ok) throw new Error(made.message);
          sound(made.blocks);
          expect(made.blocks[0]!.from).toBe(START);
          made.blocks.slice(1).forEach((each, i) => expect(each.from).toBe(addDays(made.blocks[i]!.until, 1)));
          for (const { onDate } of peaks) expect(blockOn(made.blocks, onDate)?.phase).toBe('compete');
          for (const { from, fromAnchor, until, untilAnchor } of made.blocks) {
            for (const [anchor, at] of [
              [fromAnchor, from],
              [untilAnchor, until],
            ] as const)
              if (anchor) expect(daysBetween(peaks.find(({ id }) => id === anchor.eventId)!.onDate, at)).toBe(anchor.days);
          }
        },
      ),
    );
  });

  test('what cannot be laid out is said', () => {
    const [single, two] = SEASON_TEMPLATES;
    expect(fromTemplate(single!, START, [])).toEqual({ ok: false, message: 'It needs one event.' });
    expect(fromTemplate(single!, day(61), [HEAD])).toEqual({ ok: false, message: 'Head race is before the season begins.' });
    expect(fromTemplate(two!, START, [second, HEAD])).toEqual({ ok: false, message: 'Head race has to come after Regatta.' });
  });
});

describe('an event moves', () => {
  const made = fromTemplate(SEASON_TEMPLATES[0]!, START, [HEAD]);
  const blocks = made.ok ? made.blocks : [];

  test('by four days: everything tied to it goes along, the rest stays', () => {
    const { blocks: after, gone } = afterMove(blocks, HEAD, 4);
    expect(gone).toEqual([]);
    expect(after.map(({ from, until }) => [daysBetween(START, from), daysBetween(START, until)])).toEqual([
      [0, 32],
      [33, 53],
      [54, 64],
      [65, 78],
    ]);
    expect(afterMove(after, HEAD, -4)).toEqual({ blocks, gone: [] });
  });

  test('what nothing is left of is said', () => {
    const { blocks: after, gone } = afterMove(blocks, HEAD, -40);
    expect(gone.map(({ phase }) => phase)).toContain('build');
    sound(after);
  });

  test('any move of any line leaves a sound one; ends that are tied keep their distance unless they had to give way', () => {
    fc.assert(
      fc.property(lines, fc.integer({ min: -90, max: 90 }), (some, by) => {
        const { blocks: after, gone } = afterMove(some, HEAD, by);
        sound(after);
        expect(after.length + gone.length).toBe(some.length);
        for (const each of after) {
          const was = some.find(
            ({ phase, fromAnchor, untilAnchor }) =>
              phase === each.phase && fromAnchor === each.fromAnchor && untilAnchor === each.untilAnchor,
          );
          expect(was).toBeDefined();
        }
      }),
    );
  });

  test('only lines that are tied to it change, and only visits of stretches that begin by it go along', () => {
    const kept = { owner: 'squad' as const, ownerId: 'o', name: 'Eight', revision: 3, plan: { ...EMPTY_PLAN, blocks } };
    const free = {
      owner: 'squad' as const,
      ownerId: 'p',
      name: 'Four',
      revision: 1,
      plan: { ...EMPTY_PLAN, blocks: [block('build', 0, 99)] },
    };
    expect(movedLines([kept, free], HEAD, addDays(HEAD.onDate, 4)).map(({ ownerId }) => ownerId)).toEqual(['o']);
    expect(movedLines([kept], HEAD, HEAD.onDate)).toEqual([]);
    const visits = [10, 35, 55, 70].map((n) => ({ id: String(n), day: day(n) }));
    expect(movedVisits(visits, { followed: blocks, own: [] }, HEAD, addDays(HEAD.onDate, 4)).map(({ id, toDay }) => [id, toDay])).toEqual([
      ['35', day(39)],
      ['55', day(59)],
      ['70', day(74)],
    ]);
    // An own block over it takes a visit out of what moves.
    expect(
      movedVisits(visits, { followed: blocks, own: [block('off', 50, 58)] }, HEAD, addDays(HEAD.onDate, 4)).map(({ id }) => id),
    ).toEqual(['35', '70']);
  });
});

describe('what a phase holds back', () => {
  const plan = { ...EMPTY_PLAN, blocks: [block('sharpen', 20, 49), block('compete', 50, 60), block('off', 61, 80)] };
  const on = (n: number) => seasonDay({ followed: { name: 'Eight', plan }, own: null, rules: [], events: [HEAD] }, day(n));

  test('where somebody is: the block, whose it is, and the event it is for', () => {
    expect(on(51)).toMatchObject({ rule: { id: 'compete' }, whose: 'Eight', event: { name: 'Head race' } });
    expect(on(5)).toBeNull();
    const train = { ...HEAD, id: 'x', name: 'Small race', onDate: day(52), importance: 3 as const };
    expect(seasonDay({ followed: { name: 'Eight', plan }, own: null, rules: [], events: [HEAD, train] }, day(51))!.event!.name).toBe(
      'Head race',
    );
    const own = { ...EMPTY_PLAN, blocks: [block('recover', 51, 52)] };
    expect(seasonDay({ followed: { name: 'Eight', plan }, own, rules: [], events: [] }, day(51))).toMatchObject({
      rule: { id: 'recover' },
      whose: 'own',
    });
  });

  test('the table of phases as it is taught (common practice)', () => {
    const of = Object.fromEntries(PHASE_RULES.map((each) => [each.id, each]));
    expect([of.build!.develop, of.sharpen!.develop, of.compete!.develop, of.recover!.develop]).toEqual(['all', 'begun', 'none', 'gentle']);
    expect([of.build!.newWork, of.sharpen!.newWork, of.compete!.newWork, of.recover!.newWork]).toEqual([
      'any',
      'no-new-ways',
      'nothing',
      'any',
    ]);
    // "No new ways in the last 10–14 days", "shorter" holds, "under 60 s a muscle if at all that day".
    expect(of.sharpen!.newWorkDays).toBeGreaterThanOrEqual(10);
    expect(of.sharpen!.newWorkDays).toBeLessThanOrEqual(14);
    expect(of.compete!.limits.holdS!).toBeLessThan(of.sharpen!.limits.holdS!);
    expect(of.compete!.limits.holdS!).toBeLessThan(60);
  });

  test('a practice’s own phase stands for the one that ships', () => {
    const rules = phaseRules([{ ...PHASE_RULES[2]!, minutesShare: 0.5 }]);
    expect(rules.map(({ id, minutesShare }) => [id, minutesShare])).toContainEqual(['compete', 0.5]);
    expect(rules).toHaveLength(PHASE_IDS.length);
  });

  test('limits with their reason; new ways only near the event', () => {
    const found = phaseLimits(on(51), day(51), []);
    expect(found.map(({ because }) => because)).toEqual(['Compete: Head race in 9 days', 'Nothing new: Head race in 9 days']);
    expect(found[0]!.limits).toEqual({ ...NO_LIMITS, effortPct: 40, holdS: 20, painCeiling: 4 });
    expect(phaseLimits(on(30), day(30), []).map(({ id }) => id)).toEqual(['phase-sharpen']);
    expect(phaseLimits(on(46), day(46), []).map(({ because }) => because)).toEqual([
      'Sharpen: Head race in 14 days',
      'No new ways: Head race in 14 days',
    ]);
    expect(phaseLimits(on(70), day(70), [])).toEqual([]);
    expect(phaseLimits(null, START, [])).toEqual([]);
    expect(phaseHold(on(51), day(51))).toEqual({ develop: 'none', because: 'keep only: Head race in 9 days' });
    expect(phaseHold(on(70), day(70))).toBeNull();
  });

  test('nothing new forbids what they have not had, and nothing they have', () => {
    const had = ['cr-breath', 'leg-pull/mobilize-sustained', 'mobilize-sustained', 'hamstrings-supine/cr-breath'];
    const known = newBlock('b', 'leg-pull', 'mobilize-sustained', ['left']);
    const fresh = newBlock('b', 'leg-pull', 'continuous-motion', ['left']);
    const kinds = (today: readonly DayLimit[], which: typeof known) =>
      blockCautions(which, { ...CONTEXT, today }, [])[0]!
        .blocking.filter(({ kind }) => kind === 'today')
        .map(({ because }) => because);
    const nothing = phaseLimits(on(51), day(51), had);
    expect(kinds(nothing, known)).toEqual([]);
    expect(kinds(nothing, fresh)).toEqual(['Nothing new: Head race in 9 days']);
    // In the sharpening an entry may be new as long as its way is not.
    const ways = phaseLimits(on(46), day(46), ['continuous-motion']);
    expect(kinds(ways, fresh)).toEqual([]);
    expect(kinds(ways, known)).toEqual(['No new ways: Head race in 14 days']);
  });

  test('more that they have had never forbids more; any phase is as strict as none', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 80 }),
        fc.subarray(['cr-breath', 'mobilize-sustained', 'leg-pull/mobilize-sustained']),
        (n, had) => {
          const action = newBlock('b', 'leg-pull', 'mobilize-sustained', ['left']);
          const look = (today: readonly DayLimit[]) => blockCautions(action, { ...CONTEXT, today }, [])[0]!;
          const [less, more] = [look(phaseLimits(on(n), day(n), [])), look(phaseLimits(on(n), day(n), had))];
          expect(more.blocking.length).toBeLessThanOrEqual(less.blocking.length);
          expect(isAsStrict(less.result.limits, look([]).result.limits)).toBe(true);
        },
      ),
    );
  });

  test('measuring is held back by no phase', () => {
    const today = phaseLimits(on(51), day(51), []);
    const measured = cautionsFor({ ...CONTEXT, today }, measuring('knee-flexion', 'left'));
    expect(measured.cautions.filter(({ kind }) => kind === 'today')).toEqual([]);
    expect(cautionsFor({ ...CONTEXT, today }, ACTION).cautions.filter(({ kind }) => kind === 'today')).toHaveLength(1);
  });

  test('a camp is the athlete’s own or theirs whom they follow', () => {
    const camp = { id: 'c', kind: 'camp' as const, name: 'Winter camp', from: day(3), until: day(9), visits: true };
    expect(stayOn([null, { ...EMPTY_PLAN, stays: [camp] }], day(9))).toBe(camp);
    expect(stayOn([null, { ...EMPTY_PLAN, stays: [camp] }], day(10))).toBeNull();
  });
});

describe('the path to a goal', () => {
  const path = { fromDay: day(0), fromLevel: 4, byDay: day(40), goal: 10 };
  const rules = PHASE_RULES;

  test('flat while range is only kept, half as fast where it is gentle, and there on its day', () => {
    const shares = pathShares(
      path,
      [block('build', 0, 9), block('compete', 10, 19), block('recover', 20, 29), block('build', 30, 60)],
      rules,
    );
    // Ten days of building, ten of keeping, ten at half the pace, ten of building: 10 + 0 + 5 + 10 parts of 25.
    expect([0, 10, 20, 30, 40].map((n) => pathLevel(path, shares, day(n)))).toEqual(
      [4, 6.4, 6.4, 7.6, 10].map((each) => expect.closeTo(each, 10)),
    );
    expect(pathLevel(path, shares, day(-5))).toBe(4);
    expect(pathLevel(path, shares, day(99))).toBe(10);
  });

  test('never turns back, whatever the season', () => {
    fc.assert(
      fc.property(lines, (some) => {
        const shares = pathShares(path, some, rules);
        expect(shares[0]).toBe(0);
        expect(shares.at(-1)).toBe(1);
        shares.slice(1).forEach((share, i) => expect(share).toBeGreaterThanOrEqual(shares[i]! - 1e-12));
      }),
    );
  });

  test('under or ahead only beyond the level’s own band, whichever way is better', () => {
    const level = { level: 6, low: 5, high: 7 };
    expect(againstPath(level, 6.8, 1)).toEqual({ kind: 'on', short: expect.closeTo(0.8) });
    expect(againstPath(level, 7.4, 1)).toEqual({ kind: 'under', short: expect.closeTo(1.4) });
    expect(againstPath(level, 4.5, 1)).toEqual({ kind: 'ahead', short: expect.closeTo(-1.5) });
    expect(againstPath(level, 4.5, -1)).toEqual({ kind: 'under', short: expect.closeTo(1.5) });
  });
});

test('a template clears its days: what was over before it stays, what runs into it ends the day before, what lies later is gone', () => {
  const blocks = [
    block('recover', 0, 9),
    block('build', 10, 40, { untilAnchor: { eventId: 'head', days: -20 } }),
    block('sharpen', 41, 60),
  ];
  const laid = [block('compete', 30, 50), block('sharpen', 51, 58)];
  expect(putLine(blocks, laid)).toEqual([blocks[0], { ...blocks[1], until: day(29), untilAnchor: null }, ...laid]);
  expect(putLine([], laid)).toEqual(laid);
  expect(putLine(blocks, [])).toEqual(blocks);
});
