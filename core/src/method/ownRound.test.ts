import fc from 'fast-check';
import { blockAction } from '../caution/index.ts';
import { ENTRIES } from '../catalogue/index.ts';
import { applyEvent, carryTo, READY } from '../table/index.ts';
import {
  addable,
  arrange,
  basePhases,
  checkBlock,
  checkOwnRound,
  checkOwnWay,
  compile,
  doseOf,
  findMethod,
  fits,
  isBase,
  METHODS,
  MOST_PHASES,
  newBlock,
  ownWay,
  phaseKind,
  shelfWith,
  sidesOf,
  SLOW_BREATH,
  techniquesOf,
  type Method,
  type OwnPhase,
  type OwnWayFields,
} from './index.ts';

const LIGHT = findMethod('cr-light')!;
const HOLD = findMethod('static-hold')!;
const [CONTRACT, LET_GO, ADVANCE, KEEP] = [{ of: 0 }, { of: 1 }, { of: 2 }, { of: 3 }] as const;
const own = (method: Method): Method => ({ ...method, id: 'own', madeFrom: method.madeFrom ?? method.id });

/** What the compiler makes of a way on the first entry it fits, one side. */
function lineOf(method: Method, choices = {}) {
  const made = own(method);
  const shelf = shelfWith({ entries: [], methods: [made] });
  const entry = ENTRIES.find((each) => fits(each, made))!;
  const block = newBlock('b', entry.id, 'own', [sidesOf(entry)[0]!], shelf);
  expect(checkBlock(block, shelf)).toEqual([]);
  return compile([{ ...block, choices: { ...block.choices, ...choices } }], { breath: SLOW_BREATH, edgeOf: () => null, shelf });
}
const inRound = (method: Method, choices = {}) =>
  lineOf(method, choices)
    .cues.filter((cue) => cue.round === 1)
    .map((cue) => cue.kind)
    .join(' ');

test('the rules of a round are kept by every way of working that ships, and its own phases in its own order are the way itself', () => {
  for (const method of METHODS) {
    expect([method.id, checkOwnRound(method, basePhases(method))]).toEqual([method.id, []]);
    expect(isBase(basePhases(method), method)).toBe(true);
    expect(arrange(method, basePhases(method))).toBe(method);
  }
});

test('phases in another order are another way: light contract-relax, held first, is what firm contract-relax does', () => {
  const arranged = arrange(LIGHT, [KEEP, CONTRACT, LET_GO, ADVANCE]);
  expect(checkOwnRound(LIGHT, [KEEP, CONTRACT, LET_GO, ADVANCE])).toEqual([]);
  expect(inRound(arranged)).toBe(inRound(findMethod('cr-firm')!));
  expect(isBase([KEEP, CONTRACT, LET_GO, ADVANCE], LIGHT)).toBe(false);
});

test('a press, letting go and an advance added to a hold are contract-relax: the numbers come, the press is rehearsed, cautions about pressing speak', () => {
  const phases: OwnPhase[] = [
    ...basePhases(HOLD).slice(0, 3),
    { adds: 'contract', seconds: 6 },
    { adds: 'relax', seconds: 3 },
    { adds: 'advance', seconds: 4 },
    { adds: 'hold', seconds: 15, text: 'Hold the new one' },
    ...basePhases(HOLD).slice(3),
  ];
  expect(checkOwnRound(HOLD, phases)).toEqual([]);
  const way = arrange(HOLD, phases);
  expect(inRound(way)).toBe('move hold contract relax advance hold return rest');
  expect(way.numbers.map((spec) => spec.id)).toEqual([
    ...HOLD.numbers.map((spec) => spec.id),
    'effort',
    'own4',
    'own5',
    'own6',
    'own7',
    'rehearse',
  ]);
  expect(way.numbers.find((spec) => spec.id === 'own7')).toMatchObject({ label: 'Hold the new one', default: [15], limitedBy: 'holdS' });
  expect(way.opening.map((node) => ('kind' in node ? node.kind : ''))).toEqual(['set-up', 'rehearse']);
  expect([techniquesOf(HOLD), techniquesOf(way)]).toEqual([['lengthen'], ['lengthen', 'contract']]);
  expect(way.breathWords).toBe(
    'move to the edge on the breath out, advance on the breath out, contract on the breath out, relax on the breath in',
  );
  expect(way.claims).toHaveLength(1);
  expect(way.claims[0]!.sure).toBe('taught');
  const dose = doseOf(lineOf(way))[0]!;
  expect([dose.contractMs, dose.endRangeMs]).toEqual([2 * 6_000, 2 * (20_000 + 15_000)]);
  // The longest hold is what a caution about long holds looks at, whichever phase it is.
  const entry = ENTRIES.find((each) => each.ways.includes('static-hold'))!;
  const shelf = shelfWith({ entries: [], methods: [own(way)] });
  const block = newBlock('b', entry.id, 'own', ['left'], shelf);
  expect(blockAction({ ...block, numbers: { ...block.numbers, own7: [45] } }, 'left', shelf)).toMatchObject({
    holdS: 45,
    techniques: expect.arrayContaining(['contract']) as unknown,
  });
});

test('a choice keeps the options that some phase waits for: a round that was arranged before there was another way to go on has one', () => {
  const base = findMethod('cr-breath')!;
  const optionsOf = (phases: Parameters<typeof arrange>[1]) =>
    arrange(base, phases)
      .choices.find(({ id }) => id === 'goOn')!
      .options.map(({ id }) => id);
  // Breathe in, press, let go, take up, hold, by their places in the round.
  expect(optionsOf([{ of: 1 }, { of: 2 }, { of: 3 }, { of: 4 }, { of: 5 }])).toEqual(['next']);
  expect(optionsOf([{ of: 1 }, { of: 2 }, { of: 6 }, { of: 7 }, { of: 8 }])).toEqual(['same']);
  expect(arrange(base, [{ of: 1 }, { of: 2 }, { of: 6 }, { of: 7 }]).choices.find(({ id }) => id === 'goOn')!.default).toBe('same');
  const kinds = arrange(base, [{ of: 1 }, { of: 2 }, { of: 3 }, { of: 4 }, { of: 5 }]).round.map((node) =>
    'each' in node ? 'loop' : node.kind,
  );
  expect(kinds).toEqual(['breathe-in', 'contract', 'relax', 'advance', 'hold']);
});

test('what no phase asks for any more goes: its numbers, its choices, its lists', () => {
  expect(arrange(LIGHT, [CONTRACT, LET_GO]).numbers.map((spec) => spec.id)).not.toEqual(expect.arrayContaining(['gain']));
  expect(arrange(LIGHT, [CONTRACT, LET_GO]).numbers.map((spec) => spec.id)).toEqual(
    expect.arrayContaining(['contract', 'effort', 'relax', 'painCeiling', 'easeBack']),
  );
  const led = findMethod('cr-breath')!;
  expect(led.choices.map((choice) => choice.id)).toEqual(['timing', 'startAt', 'goOn']);
  const fourWay = findMethod('four-way')!;
  expect(arrange(fourWay, [{ adds: 'rest', seconds: 5 }]).lists).toEqual([]);
  // The pressure a hand begins with is asked for by no phase and stays.
  const point = findMethod('point-hold')!;
  expect(arrange(point, [{ of: 0 }, { adds: 'rest', seconds: 5 }]).numbers.map((spec) => spec.id)).toContain('pressure');
  expect(addable(point)).toEqual(['wait', 'rest']);
});

test('an added phase follows the breath where its way does, and the clock where it does not', () => {
  const led = findMethod('cr-breath')!;
  const phases: OwnPhase[] = [...basePhases(led), { adds: 'breathe-in', seconds: 3 }];
  const last = (timing: string) =>
    lineOf(arrange(led, phases), { timing })
      .cues.filter((cue) => cue.round === 1)
      .at(-1)!;
  const fixed = last('fixed');
  expect(fixed.endMs - fixed.startMs).toBe(3_000);
  const breath = last('breath');
  expect((breath.breathOffsetMs + breath.endMs - breath.startMs) % SLOW_BREATH.periodMs).toBe(
    Math.round(SLOW_BREATH.periodMs * SLOW_BREATH.inShare),
  );
});

test.each<[string, Method, readonly OwnPhase[], string, RegExp]>([
  ['nothing', LIGHT, [], 'phases', /1 to 16/],
  ['too much', LIGHT, Array.from({ length: MOST_PHASES + 1 }, () => LET_GO), 'phases', /1 to 16/],
  ['a phase it has not', LIGHT, [{ of: 9 }], 'phases.0', /no such phase/],
  ['half a phase', LIGHT, [{ of: 0.5 }], 'phases.0', /no such phase/],
  ['a stretch under a pressing hand', findMethod('point-hold')!, [{ of: 0 }, { adds: 'hold', seconds: 10 }], 'phases.1', /cannot be added/],
  ['an unknown kind', LIGHT, [CONTRACT, LET_GO, { adds: 'toString' as never, seconds: 5 }], 'phases.2', /cannot be added/],
  ['a press of a minute', LIGHT, [{ adds: 'contract', seconds: 60 }, LET_GO], 'phases.0.seconds', /2 to 20 s/],
  ['no seconds', LIGHT, [{ adds: 'rest', seconds: NaN }], 'phases.0.seconds', /1 to 60 s/],
  [
    'an instruction as long as a letter',
    LIGHT,
    [CONTRACT, { ...LET_GO, text: 'Let go of everything that you hold' }],
    'phases.1.text',
    /26 letters/,
  ],
  ['a how that is a page', LIGHT, [CONTRACT, { ...LET_GO, detail: 'x'.repeat(81) }], 'phases.1.detail', /80 letters/],
  ['moving on while they press', LIGHT, [CONTRACT, ADVANCE, LET_GO], 'phases.0', /letting go/],
  ['a press that the next round moves on from', LIGHT, [ADVANCE, CONTRACT], 'phases.1', /letting go/],
  ['a hold with the limb at rest', LIGHT, [{ adds: 'return', seconds: 5 }, KEEP], 'phases.1', /at the edge/],
  // Right in the first round and wrong in the second: the way back to the edge is left out.
  ['a hold that only the first round brings to the edge', HOLD, basePhases(HOLD).filter((_, i) => i !== 1), 'phases.1', /at the edge/],
  // The rest between rounds may be none, and then it is no letting go.
  [
    'a press that only a rest of maybe no seconds lets go of',
    HOLD,
    [...basePhases(HOLD).slice(0, 3), { adds: 'contract', seconds: 6 }, { of: 4 }, { of: 3 }],
    'phases.3',
    /letting go/,
  ],
  // Only with one of the choices: short of the edge, nothing brings it back.
  [
    'a hold short of the edge where one chooses to start there',
    findMethod('cr-breath')!,
    [{ of: 0 }, { of: 1 }, { of: 5 }],
    'phases.2',
    /at the edge/,
  ],
])('%s is refused at its place', (_, base, phases, path, message) => {
  const found = checkOwnRound(base, phases);
  expect(found.map((problem) => problem.path)).toEqual([path]);
  expect(found[0]!.message).toMatch(message);
});

test('a way with a round of its own is checked with the numbers that round asks for', () => {
  const fields: OwnWayFields = {
    kind: 'way',
    baseId: 'cr-light',
    name: 'Ours',
    purpose: '',
    what: '',
    synonyms: [],
    schoolsDiffer: '',
    rounds: 2,
    numbers: { effort: [15] },
    choices: {},
    lists: {},
    phases: [CONTRACT, LET_GO],
  };
  expect(checkOwnWay(fields)).toEqual([]);
  expect(checkOwnWay({ ...fields, numbers: { gain: [3] } }).map((problem) => problem.path)).toEqual(['numbers.gain']);
  expect(checkOwnWay({ ...fields, phases: [CONTRACT] }).map((problem) => problem.path)).toEqual(['phases.0']);
  expect(ownWay('w', fields).numbers.find((spec) => spec.id === 'effort')!.default).toEqual([15]);
  expect(ownWay('w', fields)).toMatchObject({ id: 'w', madeFrom: 'cr-light' });
  // As it comes back from where it is kept.
  expect(ownWay('w', JSON.parse(JSON.stringify(fields)) as OwnWayFields)).toEqual(ownWay('w', fields));
});

/** Any round at all over any way: phases of the base again, twice or not at all, and added ones between them. */
const anyRound = fc.constantFrom(...METHODS).chain((base) =>
  fc.record({
    base: fc.constant(base),
    phases: fc.array(
      fc.oneof(
        fc.record({ of: fc.nat({ max: base.round.length - 1 }) }),
        fc.record({ adds: fc.constantFrom(...addable(base)), seconds: fc.integer({ min: 4, max: 10 }) }),
      ),
      { minLength: 1, maxLength: 8 },
    ),
  }),
);

test('whatever round passes the check compiles with every choice, and keeps the rules when its line is read cue by cue', () => {
  fc.assert(
    fc.property(anyRound, ({ base, phases }) => {
      if (checkOwnRound(base, phases).length > 0) return;
      const way = arrange(base, phases);
      expect(new Set(way.numbers.map((spec) => spec.id)).size).toBe(way.numbers.length);
      expect(new Set(way.numbers.map((spec) => spec.label)).size).toBe(way.numbers.length);
      for (const choices of way.choices.flatMap((choice) => choice.options.map((option) => ({ [choice.id]: option.id }))).concat({})) {
        const { cues } = lineOf(way, choices);
        let pressed = false;
        for (const cue of cues) {
          if (cue.kind === 'contract') {
            pressed = true;
            expect(techniquesOf(way)).toContain('contract');
          } else if (['relax', 'rest'].includes(phaseKind(cue.kind).family)) pressed = false;
          // The limb does not move from the moment they press until they have let go; a hand may sink into what works.
          if (pressed && way.axis === 'motion') expect(cue.to).toBe(cue.from);
          if (cue.kind === 'hold') expect(cue.to).toBeCloseTo(cue.edge, 9);
          expect(cue.text).not.toMatch(/^#|[{}]/);
        }
      }
    }),
    { numRuns: 400 },
  );
});

test('enough of those rounds pass: the rules leave room', () => {
  const passing = fc.sample(anyRound, { numRuns: 300, seed: 11 }).filter(({ base, phases }) => checkOwnRound(base, phases).length === 0);
  expect(passing.length).toBeGreaterThan(60);
  expect(passing.length).toBeLessThan(300);
});

test('a round that passes runs through at the table, every cue once and in order, whatever the numbers within their bounds', () => {
  fc.assert(
    fc.property(anyRound, fc.double({ min: 0, max: 1, noNaN: true }), ({ base, phases }, share) => {
      if (checkOwnRound(base, phases).length > 0) return;
      const made = own(arrange(base, phases));
      const shelf = shelfWith({ entries: [], methods: [made] });
      const entry = ENTRIES.find((each) => fits(each, made))!;
      const block = newBlock('b', entry.id, 'own', [sidesOf(entry)[0]!], shelf);
      const numbers = Object.fromEntries(
        made.numbers.map((spec) => [
          spec.id,
          [Math.min(spec.max, spec.min + Math.round((share * Math.min(40, spec.max - spec.min)) / spec.step) * spec.step)],
        ]),
      );
      expect(checkBlock({ ...block, numbers }, shelf)).toEqual([]);
      const line = compile([{ ...block, numbers }], { breath: SLOW_BREATH, edgeOf: () => null, shelf });
      let state = applyEvent(line, READY, { kind: 'start', atMs: 0 });
      for (let step = 0; step < line.cues.length * 2 + 2 && state.status !== 'finished'; step++) {
        state = carryTo(line, state, state.atMs + line.totalMs);
        if (state.status === 'waiting') state = applyEvent(line, state, { kind: 'go', atMs: state.atMs });
      }
      expect(state.status).toBe('finished');
      expect(state.spans.map((span) => span.cueIndex)).toEqual(line.cues.map((cue) => cue.index));
      // Not a moment of the line is between two cues.
      line.cues.forEach((cue, i) => expect(cue.startMs).toBe(i === 0 ? 0 : line.cues[i - 1]!.endMs));
      expect(line.totalMs).toBe(line.cues.at(-1)!.endMs);
    }),
    { numRuns: 150 },
  );
});

test('a hold that a caution keeps short is kept short in an own round too, whichever phase it is', () => {
  const phases: OwnPhase[] = [...basePhases(HOLD).slice(0, 3), { adds: 'hold', seconds: 60 }, ...basePhases(HOLD).slice(3)];
  const made = own(arrange(HOLD, phases));
  const shelf = shelfWith({ entries: [], methods: [made] });
  const entry = ENTRIES.find((each) => fits(each, made))!;
  const limits = [
    {
      side: 'left' as const,
      cap: null,
      edgeShare: null,
      effortPct: null,
      painCeiling: null,
      grade: null,
      holdS: 15,
      contractS: null,
      pressS: null,
    },
  ];
  const held = (limited: boolean) =>
    compile([{ ...newBlock('b', entry.id, 'own', ['left'], shelf), ...(limited ? { limits } : {}) }], {
      breath: SLOW_BREATH,
      edgeOf: () => null,
      shelf,
    })
      .cues.filter((cue) => cue.kind === 'hold')
      .map((cue) => (cue.endMs - cue.startMs) / 1000);
  expect(held(false)).toEqual([20, 60, 20, 60]);
  expect(held(true)).toEqual([15, 15, 15, 15]);
});

test('an added press is held to the effort a caution allows', () => {
  const phases: OwnPhase[] = [
    ...basePhases(HOLD).slice(0, 3),
    { adds: 'contract', seconds: 6 },
    { adds: 'relax', seconds: 3 },
    ...basePhases(HOLD).slice(3),
  ];
  const made = own({ ...arrange(HOLD, phases) });
  const shelf = shelfWith({ entries: [], methods: [made] });
  const entry = ENTRIES.find((each) => fits(each, made))!;
  const block = {
    ...newBlock('b', entry.id, 'own', ['left' as const], shelf),
    limits: [
      {
        side: 'left' as const,
        cap: null,
        edgeShare: null,
        effortPct: 10,
        painCeiling: null,
        grade: null,
        holdS: null,
        contractS: null,
        pressS: null,
      },
    ],
  };
  expect(
    compile([block], { breath: SLOW_BREATH, edgeOf: () => null, shelf })
      .cues.filter((cue) => cue.effortPct !== null)
      .map((cue) => cue.effortPct),
  ).toEqual([10, 10]);
});
