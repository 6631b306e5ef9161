import fc from 'fast-check';
import { motionOf } from '../body/index.ts';
import { ENTRIES, setUpIn } from '../catalogue/index.ts';
import { anyBlock, anyBreath, anyLine } from '../testing/arbitraries.ts';
import {
  BUILT_IN,
  checkBlock,
  compile,
  CR_BREATH,
  doseOf,
  METHODS,
  nearestBreathEndMs,
  newBlock,
  phaseKind,
  PlanProblem,
  sidesOf,
  SLOW_BREATH,
  STATIC_HOLD,
  type BlockPlan,
  type PhaseNode,
  type PhaseSpec,
  type Shelf,
} from './index.ts';

const contextAt = (edge: number) => ({ breath: SLOW_BREATH, edgeOf: () => edge });
const hip = (patch: Partial<BlockPlan> = {}) => ({ ...newBlock('b', 'rectus-femoris-prone', 'cr-breath', ['left']), ...patch });

describe('a line worked out by hand', () => {
  // Breath 10 s, 4 in and 6 out. Set-up 20 and rehearsal 10 wait for the therapist; the breath starts anew after
  // them. Move 6 → nearest end of a breath out = 10. Then in 4 · contract 6 · let go on the breath in 4 ·
  // advance on the breath out 6 · hold 10, three times. Home 6, rest one breath 10.
  const line = compile([hip()], contextAt(4));

  test('cues, times and total', () => {
    const round = [
      ['breathe-in', 4],
      ['contract', 6],
      ['relax', 4],
      ['advance', 6],
      ['hold', 10],
    ];
    expect(line.cues.map((cue) => [cue.kind, (cue.endMs - cue.startMs) / 1000])).toEqual([
      ['set-up', 20],
      ['rehearse', 10],
      ['move', 6],
      ...round,
      ...round,
      ...round,
      ['return', 6],
      ['rest', 10],
    ]);
    expect(line.totalMs).toBe((36 + 3 * 30 + 16) * 1000);
  });

  test('effort and edge by round; the last values serve later rounds', () => {
    expect(line.cues.filter((cue) => cue.kind === 'contract').map((cue) => cue.effortPct)).toEqual([20, 30, 40]);
    expect(line.cues.filter((cue) => cue.kind === 'hold').map((cue) => cue.to)).toEqual([7, 9, 10.2]);
    const five = compile([hip({ sides: [{ side: 'left', rounds: 5 }] })], contextAt(4));
    expect(five.cues.filter((cue) => cue.kind === 'contract').map((cue) => cue.effortPct)).toEqual([20, 30, 40, 40, 40]);
  });

  test('the words come from the catalogue entry', () => {
    expect(line.cues.find((cue) => cue.kind === 'contract')).toMatchObject({
      text: 'Press into my hand',
      detail: 'shin straight up, no twist',
      breath: 'out',
      works: 'athlete',
    });
    expect(line.cues.every((cue) => !/[{}]/.test(cue.text + cue.detail))).toBe(true);
  });

  test('dose: 30 s at end range, 18 s of contraction', () => {
    expect(doseOf(line)).toEqual([{ blockIndex: 0, side: 'left', totalMs: 142_000, endRangeMs: 30_000, contractMs: 18_000, rounds: 3 }]);
  });

  test('by the clock every number is taken as it is', () => {
    const fixed = compile([hip({ choices: { timing: 'fixed', startAt: 'edge' } })], contextAt(4));
    expect(fixed.totalMs).toBe((20 + 10 + 6 + 3 * (3 + 6 + 3 + 4 + 10) + 6 + 10) * 1000);
  });

  test('starting short of the edge contracts there, and still advances past the old edge', () => {
    const short = compile([hip({ choices: { timing: 'breath', startAt: 'short' } })], contextAt(20));
    expect(short.cues.find((cue) => cue.kind === 'contract')).toMatchObject({ from: 14, to: 14 });
    expect(short.cues.find((cue) => cue.kind === 'advance')).toMatchObject({ from: 14, to: 23 });
  });

  test('a gap closes: the edge goes down where less is better', () => {
    const line = compile([newBlock('b', 'quadriceps-heel-to-buttock', 'cr-breath', ['left'])], contextAt(12));
    expect(line.cues.filter((cue) => cue.kind === 'hold').map((cue) => cue.to)).toEqual([10, 8.8, 8]);
  });

  test('sides follow one another in the order given, each with its own rounds', () => {
    const line = compile(
      [
        hip({
          sides: [
            { side: 'right', rounds: 1 },
            { side: 'left', rounds: 2 },
          ],
        }),
      ],
      { breath: SLOW_BREATH, edgeOf: (_, side) => (side === 'left' ? 4 : 11) },
    );
    expect(line.cues.filter((cue) => cue.kind === 'contract').map((cue) => [cue.side, cue.round, cue.from])).toEqual([
      ['right', 1, 11],
      ['left', 1, 4],
      ['left', 2, 7],
    ]);
  });
});

describe('every line', () => {
  test('has no gap, no overlap, and numbered cues', () => {
    fc.assert(
      fc.property(anyLine, (line) => {
        let at = 0;
        line.cues.forEach((cue, i) => {
          expect(cue.index).toBe(i);
          expect(cue.startMs).toBe(at);
          expect(cue.endMs).toBeGreaterThan(cue.startMs);
          expect(Number.isInteger(cue.endMs)).toBe(true);
          at = cue.endMs;
        });
        expect(line.totalMs).toBe(at);
        expect(doseOf(line).reduce((sum, dose) => sum + dose.totalMs, 0)).toBe(line.totalMs);
      }),
    );
  });

  test('keeps the limb continuous within a side, and the edge moves only toward more range', () => {
    fc.assert(
      fc.property(anyLine, (line) => {
        for (let i = 1; i < line.cues.length; i++) {
          const [before, cue] = [line.cues[i - 1]!, line.cues[i]!];
          if (before.blockIndex !== cue.blockIndex || before.side !== cue.side) continue;
          expect(cue.from).toBe(before.to);
          const toward = line.blocks[cue.blockIndex]!.better === 'higher' ? 1 : -1;
          expect((cue.edge - before.edge) * toward).toBeGreaterThanOrEqual(0);
          const { unit, motionId } = line.blocks[cue.blockIndex]!;
          const { min, max } = unit === 'of10' ? { min: 0, max: 10 } : motionOf(motionId).possible;
          expect(cue.edge).toBeGreaterThanOrEqual(min);
          expect(cue.edge).toBeLessThanOrEqual(max);
        }
      }),
    );
  });

  test('has effort exactly where somebody contracts, and ends at rest with the athlete not helping', () => {
    fc.assert(
      fc.property(anyLine, (line) => {
        for (const cue of line.cues) expect(cue.effortPct !== null).toBe(cue.kind === 'contract');
        line.blocks.forEach((_, blockIndex) => {
          const cues = line.cues.filter((cue) => cue.blockIndex === blockIndex);
          const home = cues.findLast((cue) => cue.to !== cue.from);
          // Whatever moved the limb last was the therapist, back to where it lay at first; where the athlete moves all of it alone, they do.
          const alone = cues.every((cue) => cue.to === cue.from || cue.works === 'athlete');
          if (home)
            expect([home.works, home.to]).toEqual([alone ? 'athlete' : 'therapist', cues.find((cue) => cue.side === home.side)!.from]);
        });
      }),
    );
  });

  test('is the same for the same input', () => {
    fc.assert(
      fc.property(anyBlock, anyBreath, (block, breath) => {
        const context = { breath, edgeOf: () => 10 };
        expect(compile([block], context)).toEqual(compile([block], context));
      }),
    );
  });
});

test('every catalogue entry compiles in each of its ways, on every side it has', () => {
  for (const entry of ENTRIES) {
    for (const way of entry.ways) {
      const line = compile([newBlock('b', entry.id, way, sidesOf(entry))], { breath: SLOW_BREATH, edgeOf: () => null });
      expect(line.cues.length).toBeGreaterThan(2);
    }
  }
});

describe('following the breath', () => {
  test('goes to the nearest end of a breath: found again by trying every millisecond', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 30_000 }),
        fc.constantFrom('in' as const, 'out' as const),
        fc.integer({ min: 0, max: 20_000 }),
        anyBreath,
        (wanted, end, offset, pace) => {
          const endOffset = end === 'in' ? Math.round(pace.periodMs * pace.inShare) : 0;
          const isEnd = (ms: number) => (offset + ms) % pace.periodMs === endOffset % pace.periodMs;
          let best = -1;
          for (let ms = 1; ms <= wanted + pace.periodMs * 2; ms++) {
            if (isEnd(ms) && (best < 0 || Math.abs(ms - wanted) <= Math.abs(best - wanted))) best = ms;
          }
          expect(nearestBreathEndMs(wanted, end, offset, pace)).toBe(best);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('contractions led by the breath start with a breath out', () => {
    fc.assert(
      fc.property(anyBreath, fc.integer({ min: 1, max: 6 }), (breath, rounds) => {
        const line = compile([hip({ sides: [{ side: 'left', rounds }] })], { breath, edgeOf: () => 4 });
        for (const cue of line.cues.filter((each) => each.kind === 'contract')) {
          expect(cue.breathOffsetMs).toBe(Math.round(breath.periodMs * breath.inShare));
        }
      }),
    );
  });
});

// Garber CE et al. (ACSM position stand). Med Sci Sports Exerc 2011;43:1334–1359, recalled from memory: hold 10–30 s;
// contraction 3–6 s at 20–75 % of maximum, then 10–30 s assisted stretch; 2–4 repetitions.
describe('where a way of working claims the ACSM bounds, its defaults stay inside them', () => {
  const claiming = METHODS.filter((method) => method.claims.some((claim) => claim.guidance === 'acsm-2011'));

  test('three ways claim them', () => {
    expect(claiming.map((method) => method.id)).toEqual([STATIC_HOLD.id, CR_BREATH.id, 'crac']);
  });

  test.each(claiming)('$id', (method) => {
    const entry = ENTRIES.find((each) => each.ways.includes(method.id))!;
    const line = compile([newBlock('b', entry.id, method.id, ['left'])], { breath: SLOW_BREATH, edgeOf: () => 10 });
    const seconds = (kind: string) => line.cues.filter((cue) => cue.kind === kind).map((cue) => (cue.endMs - cue.startMs) / 1000);
    for (const s of seconds('hold')) {
      expect(s).toBeGreaterThanOrEqual(10);
      expect(s).toBeLessThanOrEqual(30);
    }
    for (const s of seconds('contract')) {
      expect(s).toBeGreaterThanOrEqual(3);
      expect(s).toBeLessThanOrEqual(6);
    }
    for (const cue of line.cues.filter((each) => each.effortPct !== null)) {
      expect(cue.effortPct).toBeGreaterThanOrEqual(20);
      expect(cue.effortPct).toBeLessThanOrEqual(75);
    }
    expect(method.rounds.default).toBeGreaterThanOrEqual(2);
    expect(method.rounds.default).toBeLessThanOrEqual(4);
  });
});

describe('bad blocks', () => {
  test.each([
    ['99 rounds', { sides: [{ side: 'left', rounds: 99 }] }, 'sides.0.rounds', 'Rounds are whole, 1 to 12.'],
    ['an effort of 0', { numbers: { ...hip().numbers, effort: [20, 0] } }, 'numbers.effort.1', 'Effort is 5 to 100 %.'],
    ['an effort of 120', { numbers: { ...hip().numbers, effort: [120] } }, 'numbers.effort.0', 'Effort is 5 to 100 %.'],
    ['NaN', { numbers: { ...hip().numbers, hold: [NaN] } }, 'numbers.hold.0', 'Hold after is 0 to 120 s.'],
    ['two values where one belongs', { numbers: { ...hip().numbers, contract: [5, 6] } }, 'numbers.contract', 'Contract takes one value.'],
    ['a missing number', { numbers: {} }, 'numbers.contract', 'Contract is missing.'],
    ['a foreign number', { numbers: { ...hip().numbers, speed: [1] } }, 'numbers.speed', 'has no number "speed"'],
    ['an unknown choice', { choices: { timing: 'moon', startAt: 'edge' } }, 'choices.timing', 'Timed by is one of'],
    ['an unknown way', { methodId: 'magic' }, 'methodId', 'No way of working'],
    ['an unknown entry', { entryId: 'wing' }, 'entryId', 'No catalogue entry'],
    ['a side that the motion does not have', { sides: [{ side: 'midline', rounds: 1 }] }, 'sides.0.side', 'not done on the midline'],
    [
      'a side that follows on itself',
      {
        sides: [
          { side: 'left', rounds: 1 },
          { side: 'left', rounds: 1 },
        ],
      },
      'sides.1.side',
      'follows on itself',
    ],
    [
      'seven passes',
      { sides: [1, 2, 3, 4, 5, 6, 7].map((n) => ({ side: n % 2 ? 'left' : 'right', rounds: 1 })) },
      'sides',
      'At most 6 passes',
    ],
    ['a list it does not have', { lists: { stations: ['here'] } }, 'lists.stations', 'has no list'],
    ['a position it is not done in', { position: 'standing' }, 'position', 'is done prone'],
    ['no side', { sides: [] }, 'sides', 'at least one side'],
  ])('%s', (_, patch, path, words) => {
    const problems = checkBlock(hip(patch as Partial<BlockPlan>));
    expect(problems.find((problem) => problem.path === path)?.message).toContain(words);
    expect(() => compile([hip(patch as Partial<BlockPlan>)], contextAt(4))).toThrow(PlanProblem);
  });

  test('sound blocks have no problems', () => {
    fc.assert(fc.property(anyBlock, (block) => expect(checkBlock(block)).toEqual([])));
  });
});

test('phase kinds: what is held at the edge counts as stretch, work does not', () => {
  expect(phaseKind('hold').counts).toBe('end-range');
  expect(phaseKind('contract').counts).toBe('contraction');
});

describe('choices that came later', () => {
  const lineFor = (block: BlockPlan) => compile([block], contextAt(70)).cues;
  const kinds = (block: BlockPlan) => lineFor(block).filter(({ kind }) => ['contract', 'relax', 'advance', 'hold'].includes(kind));
  const block = (choices: BlockPlan['choices']) => ({ ...newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left']), choices });

  test('a plan from before there was a choice goes on as it did', () => {
    const usual = newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left']);
    const { goOn: _gone, ...before } = usual.choices;
    expect(lineFor({ ...usual, choices: before })).toEqual(lineFor(usual));
    expect(() => lineFor({ ...usual, choices: { ...before, goOn: 'whenever' } })).toThrow();
  });

  test('let go and taken on in the same breath out: no breath in between press and gain', () => {
    const same = kinds(block({ timing: 'breath', startAt: 'edge', goOn: 'same' })).slice(0, 4);
    expect(same.map(({ kind }) => kind)).toEqual(['contract', 'relax', 'advance', 'hold']);
    expect(same[1]).toMatchObject({ text: 'Let go, air all out', breath: 'free' });
    expect([same[1]!.endMs - same[1]!.startMs, same[2]!.endMs - same[2]!.startMs]).toEqual([3000, 4000]);
    const next = kinds(block({ timing: 'breath', startAt: 'edge', goOn: 'next' })).slice(0, 4);
    expect(next.map(({ kind, breath }) => `${kind} ${breath}`)).toEqual(['contract out', 'relax in', 'advance out', 'hold free']);
    // The edge gains the same either way.
    expect(same[2]!.edge).toBe(next[2]!.edge);
  });

  test('the pin stays or slides, the strokes run one way or the other, the hand kneads or not: said as it is chosen', () => {
    const said = (entryId: string, methodId: string, choices: BlockPlan['choices']) => {
      const usual = newBlock('b', entryId, methodId, ['left']);
      return lineFor({ ...usual, choices: { ...usual.choices, ...choices } })
        .map(({ detail }) => detail)
        .join(' | ');
    };
    expect(said('calf-pin', 'pin-lengthen', { pinHand: 'slides' })).toContain('the hand slides on as it lengthens');
    expect(said('quad-glide-partial', 'glide-circumduct', { strokeWay: 'drain', lighter: 'third' })).toMatch(
      /from the knee to the hip, toward the heart.*a third of the pressure/,
    );
    expect(said('quad-glide-full', 'glide-circumduct', {})).toMatch(/from the hip to the knee, engaged/);
    expect(said('upper-trap-side-lying', 'slack-stretch', { stage: 'plain', stayAt: 'strand' })).toMatch(/no kneading.*tightest strand/);
  });
});

test('whoever lies another way is set up another way: every entry, in every position it has, says its own', () => {
  for (const entry of ENTRIES)
    for (const position of entry.positions) {
      const [side] = sidesOf(entry);
      const block = { ...newBlock('b', entry.id, entry.ways[0], [side!]), position };
      const first = compile([block], contextAt(0)).cues.find((cue) => cue.kind === 'set-up');
      if (first) expect([entry.id, position, first.detail.startsWith(setUpIn(entry, position).setUp)]).toEqual([entry.id, position, true]);
    }
});

describe('what an entry says in place of a way’s own words', () => {
  const phasesOf = (nodes: readonly PhaseNode[]): PhaseSpec[] => nodes.flatMap((node) => ('each' in node ? phasesOf(node.phases) : [node]));
  const said = (entryId: string, methodId: string, shelf?: Shelf) => {
    const [side] = sidesOf(ENTRIES.find(({ id }) => id === entryId)!);
    const block = newBlock('b', entryId, methodId, [side!], shelf);
    return compile([block], { ...contextAt(0), ...(shelf ? { shelf } : {}) }).cues;
  };

  test('stands for words that the way really has, for a way that fits, and is read across a room', () => {
    for (const { id, ways, says } of ENTRIES)
      for (const [way, lines] of Object.entries(says ?? {})) {
        expect([id, ways.some((each) => each === way)]).toEqual([id, true]);
        const { opening, round, closing } = METHODS.find((method) => method.id === way)!;
        const texts = phasesOf([...opening, ...round, ...closing]).map(({ text }) => text);
        for (const [words, { text, detail = 'as the way has it' }] of Object.entries(lines)) {
          expect([id, way, texts.includes(words)]).toEqual([id, way, true]);
          expect([id, text.split(' ').length <= 6, text.length <= 34, detail.length > 2]).toEqual([id, true, true, true]);
        }
      }
  });

  test('nothing that circles, glides, springs, shakes or is moved by the athlete is cued to be rocked', () => {
    const rhythmic = ENTRIES.filter(
      (entry) => entry.ways.some((way) => way === 'continuous-motion') && !entry.ways.some((way) => way === 'static-hold'),
    );
    expect(rhythmic.length).toBeGreaterThan(30);
    for (const { id, says } of rhythmic) {
      const cues = said(id, 'continuous-motion').filter(({ kind }) => kind === 'rock');
      expect([id, cues.length > 0, cues.every(({ text }) => text !== 'Rock')]).toEqual([id, true, true]);
      const own = says!['continuous-motion']!['Rock']!;
      expect([
        id,
        cues.every(({ text, works, detail }) => text === own.text && works === own.works && /^\d+ (taps )?a minute/.test(detail)),
      ]).toEqual([id, true]);
    }
  });

  test('another form, and what a practice says in a way of its own, are heard as they are', () => {
    const block = { ...newBlock('b', 'ankle-circles', 'continuous-motion', ['left']), choices: { form: 'circle' } };
    expect(compile([block], contextAt(0)).cues.some(({ text }) => text === 'Circles')).toBe(true);
    const base = METHODS.find(({ id }) => id === 'continuous-motion')!;
    const own = {
      ...base,
      id: 'own',
      madeFrom: base.id,
      round: base.round.map((node) => ('each' in node ? node : { ...node, text: 'Sway' })),
    };
    const shelf: Shelf = { ...BUILT_IN, methods: new Map([...BUILT_IN.methods, ['own', own]]) };
    expect(
      said('ankle-circles', 'own', shelf)
        .filter(({ kind }) => kind === 'rock')
        .map(({ text }) => text),
    ).toEqual(['Sway']);
    const plain = { ...base, id: 'own', madeFrom: base.id };
    const same: Shelf = { ...BUILT_IN, methods: new Map([...BUILT_IN.methods, ['own', plain]]) };
    expect(
      said('ankle-circles', 'own', same)
        .filter(({ kind }) => kind === 'rock')
        .map(({ text }) => text),
    ).toEqual(['Circle to a clear end']);
  });
});
