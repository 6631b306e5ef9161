import fc from 'fast-check';
import { ENTRIES, findEntry, positionsFor } from '../catalogue/index.ts';
import { applyEvent, carryTo, READY } from '../table/index.ts';
import {
  BUILT_IN,
  checkBlock,
  compile,
  doseOf,
  fits,
  METHODS,
  newBlock,
  phaseKind,
  shelfWith,
  sidesOf,
  SLOW_BREATH,
  techniquesOf,
  type BlockPlan,
  type Line,
  type Method,
} from './index.ts';

const at = (edge: number) => ({ breath: SLOW_BREATH, edgeOf: () => edge });
const block = (entryId: string, methodId: string, change: Partial<BlockPlan> = {}): BlockPlan => ({
  ...newBlock('b', entryId, methodId, ['left']),
  ...change,
});
const kinds = (line: Line) => line.cues.map((cue) => cue.kind).join(' ');
const seconds = (line: Line, kind: string) => line.cues.filter((cue) => cue.kind === kind).map((cue) => (cue.endMs - cue.startMs) / 1000);

// The rows of the table of ways of working, common practice: what each has to be able to say.
test('all thirty-five rows are there, each saying what it is for, how sure it is, and what schools differ on', () => {
  expect(METHODS.map((method) => method.id).sort()).toEqual([
    'active-assisted',
    'agonist-contract',
    'alternate-comfort',
    'breath-sink',
    'brief-hold',
    'clear-strip',
    'continuous-motion',
    'counter-rhythm',
    'cr-backoff',
    'cr-breath',
    'cr-firm',
    'cr-light',
    'crac',
    'each-in-turn',
    'four-way',
    'glide-circumduct',
    'hour-circles',
    'inhibit-integrated',
    'line-press',
    'mobilize-movement',
    'mobilize-oscillate',
    'mobilize-sustained',
    'pin-lengthen',
    'point-hold',
    'position-of-comfort',
    'press-strip',
    'pulsed',
    'push-along',
    'sink-contract',
    'sink-release',
    'slack-stretch',
    'static-hold',
    'stroke-active',
    'trial-stay',
    'wait-lighter',
  ]);
  for (const method of METHODS) {
    for (const words of [method.what, method.purpose, method.schoolsDiffer, method.breathWords]) expect(words.length).toBeGreaterThan(8);
    expect(method.claims.length).toBeGreaterThan(0);
    expect(method.synonyms.length).toBeGreaterThan(1);
    expect(method.claims.every((claim) => claim.source !== '' && ['shown', 'mixed', 'taught'].includes(claim.sure))).toBe(true);
    expect(techniquesOf(method)).not.toContain('thrust');
    const ids = method.numbers.map((spec) => spec.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toEqual(expect.arrayContaining([method.painCeiling, method.easeBack]));
  }
});

// Pain ceilings and defaults of the same table.
test.each([
  ['static-hold', 4],
  ['brief-hold', 4],
  ['cr-light', 4],
  ['cr-breath', 4],
  ['cr-firm', 4],
  ['cr-backoff', 4],
  ['agonist-contract', 3],
  ['crac', 4],
  ['active-assisted', 3],
  ['pulsed', 5],
  ['inhibit-integrated', 5],
  ['four-way', 4],
  ['position-of-comfort', 2],
  ['pin-lengthen', 4],
  ['point-hold', 4],
  ['slack-stretch', 3],
  ['mobilize-oscillate', 3],
  ['mobilize-sustained', 3],
  ['mobilize-movement', 2],
  ['continuous-motion', 2],
  ['breath-sink', 2],
  ['line-press', 4],
  ['glide-circumduct', 4],
] as const)('%s stops above %d', (id, ceiling) => {
  expect(METHODS.find((method) => method.id === id)!.numbers.find((spec) => spec.id === 'painCeiling')!.default).toEqual([ceiling]);
});

describe('what the phase model can say', () => {
  test('stations: pinned short and carried long at each, the gain at the last of a round', () => {
    const line = compile([block('forearm-pin', 'pin-lengthen', { sides: [{ side: 'left', rounds: 1 }] })], at(60));
    const pins = line.cues.filter((cue) => cue.kind === 'pin');
    expect(pins.map((cue) => cue.text)).toEqual(findEntry('forearm-pin')!.lists!.stations!.map((station) => `Pin: ${station}`));
    expect(pins[2]!.detail).toContain('station 3 of 5');
    expect(line.cues.filter((cue) => cue.kind === 'lengthen').map((cue) => cue.edge > 60)).toEqual([false, false, false, false, true]);
    expect(kinds(compile([block('forearm-pin', 'pin-lengthen', { choices: { who: 'athlete' } })], at(60)))).toContain('pin active ease');
  });

  test('directions: four of them, then as many as are named', () => {
    const four = compile([block('cuff-four-way', 'four-way')], at(60));
    expect(four.cues.filter((cue) => cue.kind === 'contract').map((cue) => cue.text)).toEqual([
      'Press toward your head',
      'Press up to the ceiling',
      'Press toward your feet',
      'Press into the table',
    ]);
    const hours = compile(
      [block('cuff-four-way', 'four-way', { lists: { directions: ['10 o’clock', '2 o’clock', '12 o’clock'] } })],
      at(60),
    );
    expect(hours.cues.filter((cue) => cue.kind === 'contract').map((cue) => cue.text)).toEqual([
      'Press 10 o’clock',
      'Press 2 o’clock',
      'Press 12 o’clock',
    ]);
  });

  test('bouts with an oscillation rate; rocking with a tempo', () => {
    const bouts = compile([block('ankle-back-glide', 'mobilize-oscillate')], at(12)).cues.filter((cue) => cue.kind === 'oscillate');
    expect(bouts.map((cue) => cue.perMin)).toEqual([120, 120, 120]);
    expect(
      compile([block('low-back-rock', 'continuous-motion', { sides: [{ side: 'midline', rounds: 1 }] })], at(30)).cues.find(
        (cue) => cue.kind === 'rock',
      )!.perMin,
    ).toBe(40);
  });

  test('breath-led deepening: down on each breath out, still on each breath in, a little deeper every time', () => {
    const line = compile([block('psoas-sink', 'breath-sink')], at(30));
    const sinks = line.cues.filter((cue) => cue.kind === 'sink').slice(1);
    expect(sinks).toHaveLength(9);
    for (const cue of sinks)
      expect([cue.breath, Math.round((cue.to - cue.from) * 100) / 100, cue.endMs - cue.startMs]).toEqual(['out', 0.1, 6000]);
    expect(
      line.cues.filter((cue) => cue.kind === 'wait').every((cue) => cue.from === cue.to && cue.breath === 'in' && cue.breathOffsetMs === 0),
    ).toBe(true);
    expect(line.blocks[0]!.unit).toBe('of10');
  });

  test('slack–stretch cycling: ten times short and long, then an easy long stretch', () => {
    const line = compile([block('upper-trap-supine', 'slack-stretch')], at(40));
    const shorts = line.cues.filter((cue) => cue.kind === 'shorten');
    expect(shorts).toHaveLength(10);
    expect(shorts.every((cue) => cue.to <= 0)).toBe(true);
    expect(line.cues.filter((cue) => cue.kind === 'lengthen').every((cue) => cue.to > 25 && cue.to < 40)).toBe(true);
    expect(seconds(line, 'hold')).toEqual([20]);
  });

  test('pulsed contraction: two on, two off, eight times a round', () => {
    const line = compile([block('calf-supine', 'pulsed', { sides: [{ side: 'left', rounds: 1 }] })], at(10));
    expect(seconds(line, 'contract')).toEqual(Array.from({ length: 8 }, () => 2));
    expect(seconds(line, 'relax')).toEqual(Array.from({ length: 8 }, () => 2));
  });

  test('comfort position, then lengthening, a tap, then the reset: in this order; a plan from before the tap has none', () => {
    const { tap: _tap, ...numbers } = block('rectus-femoris-pin', 'inhibit-integrated').numbers;
    const before = { ...block('rectus-femoris-pin', 'inhibit-integrated'), numbers };
    expect(checkBlock(before)).toEqual([]);
    expect(kinds(compile([before], at(80)))).toContain('return move contract relax');
    expect(kinds(compile([block('rectus-femoris-pin', 'inhibit-integrated')], at(80)))).toContain(
      'press shorten comfort return move tap contract relax advance hold active return set-up',
    );
  });

  test('active repetitions at several angles', () => {
    const line = compile([block('gluteus-maximus-reps', 'active-assisted')], at(110));
    expect(line.cues.filter((cue) => cue.kind === 'active')).toHaveLength(18);
    expect(new Set(line.cues.filter((cue) => cue.kind === 'active').map((cue) => cue.text)).size).toBe(2);
  });

  test('presses along a line, there and back', () => {
    const line = compile([block('line-press-inside', 'line-press', { sides: [{ side: 'left', rounds: 1 }] })], at(30));
    const places = line.cues.filter((cue) => cue.text.startsWith('Lean in:')).map((cue) => cue.text.slice(9));
    expect(places).toEqual([...places.slice(0, 7), ...places.slice(0, 7).reverse()]);
    expect(places).toHaveLength(14);
  });
});

describe('two-sided work', () => {
  test('left, right, left: rounds and their numbers count on, the edge is where it was left', () => {
    const line = compile(
      [
        block('rectus-femoris-prone', 'cr-breath', {
          sides: [
            { side: 'left', rounds: 2 },
            { side: 'right', rounds: 1 },
            { side: 'left', rounds: 1 },
          ],
        }),
      ],
      at(4),
    );
    const contractions = line.cues.filter((cue) => cue.kind === 'contract');
    expect(contractions.map(({ side, pass, round, rounds, effortPct }) => [side, pass, round, rounds, effortPct])).toEqual([
      ['left', 0, 1, 3, 20],
      ['left', 0, 2, 3, 30],
      ['right', 1, 1, 1, 20],
      ['left', 2, 3, 3, 40],
    ]);
    const [, second, , third] = contractions;
    expect(third!.from).toBeGreaterThan(second!.from);
    const left = doseOf(line).filter((dose) => dose.side === 'left');
    expect(left).toHaveLength(1);
    expect(left[0]!.rounds).toBe(3);
  });

  test('the share of the way that cautions allow is counted from today’s edge in every pass', () => {
    const line = compile(
      [
        block('rectus-femoris-prone', 'static-hold', {
          sides: [
            { side: 'left', rounds: 2 },
            { side: 'right', rounds: 1 },
            { side: 'left', rounds: 2 },
          ],
          limits: [
            {
              side: 'left',
              cap: null,
              edgeShare: 0.8,
              effortPct: null,
              painCeiling: null,
              grade: null,
              holdS: null,
              contractS: null,
              pressS: null,
            },
          ],
        }),
      ],
      at(10),
    );
    expect(new Set(line.cues.filter((cue) => cue.side === 'left').map((cue) => cue.furthest))).toEqual(new Set([8]));
  });
});

// A run of every entry in each of its ways, carried through by going on at every open cue.
test('every entry runs through in each of its ways, in every position it has', () => {
  let runs = 0;
  for (const entry of ENTRIES) {
    for (const [way, position] of entry.ways.flatMap((each) => positionsFor(entry, { id: each }).map((where) => [each, where] as const))) {
      const planned = { ...newBlock('b', entry.id, way, sidesOf(entry)), position };
      const line = compile([planned], { breath: SLOW_BREATH, edgeOf: () => null });
      let state = applyEvent(line, READY, { kind: 'start', atMs: 0 });
      for (let step = 0; step < line.cues.length * 2 + 2 && state.status !== 'finished'; step++) {
        state = carryTo(line, state, state.atMs + line.totalMs);
        if (state.status === 'waiting') state = applyEvent(line, state, { kind: 'go', atMs: state.atMs });
      }
      expect([entry.id, way, state.status]).toEqual([entry.id, way, 'finished']);
      expect(state.spans.map((span) => span.cueIndex)).toEqual(line.cues.map((cue) => cue.index));
      expect(line.cues.every((cue) => !/[{}]/.test(cue.text + cue.detail))).toBe(true);
      expect(line.totalMs).toBeLessThan(20 * 60_000);
      runs += 1;
    }
  }
  expect(runs).toBeGreaterThan(400);
});

test('nothing that is held short or part of the way counts as stretch', () => {
  for (const method of METHODS.filter((each) => !techniquesOf(each).includes('lengthen'))) {
    const entry = ENTRIES.find((each) => fits(each, method))!;
    const line = compile([newBlock('b', entry.id, method.id, sidesOf(entry).slice(0, 1))], at(50));
    expect([method.id, line.cues.some((cue) => phaseKind(cue.kind).counts === 'end-range')]).toEqual([method.id, false]);
  }
});

test('a practice’s own way fits where the one it was made from does, and cannot take a built-in one’s place', () => {
  const base = METHODS.find((method) => method.id === 'cr-breath')!;
  const own: Method = { ...base, id: 'own-1', madeFrom: 'cr-breath', name: 'Our breath work', rounds: { ...base.rounds, default: 2 } };
  const shelf = shelfWith({ entries: [], methods: [own, { ...base, name: 'Not mine' }] });
  expect(shelf.methods.get('cr-breath')!.name).toBe(base.name);
  const made = newBlock('b', 'calf-supine', 'own-1', ['left', 'right'], shelf);
  expect(checkBlock(made, shelf)).toEqual([]);
  expect(checkBlock(made)[0]!.path).toBe('methodId');
  expect(checkBlock({ ...made, entryId: 'shake-down' }, shelf).map((problem) => problem.path)).toContain('methodId');
  expect(compile([made], { ...at(10), shelf }).blocks[0]!.name).toBe('Calf, straight knee, our breath work');
  expect(BUILT_IN.methods.has('own-1')).toBe(false);
});

test('lists: too few, too many, empty names', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 45 }), { maxLength: 14 }), (directions) => {
      const sound =
        directions.length >= 1 && directions.length <= 12 && directions.every((each) => each.trim() !== '' && each.length <= 40);
      expect(checkBlock(block('cuff-four-way', 'four-way', { lists: { directions } })).length === 0).toBe(sound);
    }),
  );
});
