import fc from 'fast-check';
import { motionOf } from '../body/index.ts';
import { ENTRIES } from '../catalogue/index.ts';
import {
  axisOf,
  breathAt,
  comesOut,
  compile,
  findMethod,
  METHODS,
  newBlock,
  phaseKind,
  phasesOf,
  sidesOf,
  type BlockPlan,
  type BreathPace,
  type Method,
  type SideLimits,
} from './index.ts';

/** The line of the table against what its cautions say: every entry, every way, numbers at their ends, breaths of 3–20 s, any limits. */
const PAIRS = ENTRIES.flatMap((entry) => METHODS.filter((method) => entry.ways.includes(method.id)).map((method) => ({ entry, method })));

const breaths: fc.Arbitrary<BreathPace> = fc.record({
  periodMs: fc.integer({ min: 3000, max: 20_000 }),
  inShare: fc.constantFrom(0.3, 0.4, 0.5),
});
const limit = (least: number, most: number) => fc.option(fc.integer({ min: least, max: most }));
const limits: fc.Arbitrary<Omit<SideLimits, 'side'>> = fc.record({
  cap: limit(0, 60),
  edgeShare: fc.option(fc.integer({ min: 5, max: 10 }).map((n) => n / 10)),
  effortPct: limit(5, 60),
  painCeiling: limit(0, 6),
  grade: limit(1, 4),
  holdS: limit(1, 40),
  contractS: limit(1, 40),
  pressS: limit(1, 60),
});
/** Each number at its least, its most, or its own. */
const ends = (method: Method) =>
  fc.record(Object.fromEntries(method.numbers.map((spec) => [spec.id, fc.constantFrom('least', 'most', 'own')])));

const blocks = fc.constantFrom(...PAIRS).chain(({ entry, method }) =>
  fc
    .record({
      at: ends(method),
      limits,
      choices: fc.record(
        Object.fromEntries(method.choices.map((choice) => [choice.id, fc.constantFrom(...choice.options.map((option) => option.id))])),
      ),
      rounds: fc.integer({ min: 1, max: Math.min(3, method.rounds.max) }),
    })
    .map((made): BlockPlan => {
      const side = sidesOf(entry)[0]!;
      const block = newBlock('b', entry.id, method.id, [side]);
      const numbers = Object.fromEntries(
        method.numbers.map((spec) => [
          spec.id,
          made.at[spec.id] === 'own' ? block.numbers[spec.id]! : [made.at[spec.id] === 'least' ? spec.min : spec.max],
        ]),
      );
      return { ...block, numbers, choices: made.choices, sides: [{ side, rounds: made.rounds }], limits: [{ side, ...made.limits }] };
    }),
);

const compiled = (block: BlockPlan, breath: BreathPace) => compile([block], { breath, edgeOf: () => 40 });
const seconds = (cue: { readonly startMs: number; readonly endMs: number }) => (cue.endMs - cue.startMs) / 1000;

test('every limit holds in every cue, after every rounding to a breath', () => {
  fc.assert(
    fc.property(blocks, breaths, (block, breath) => {
      const line = compiled(block, breath);
      const method = findMethod(block.methodId)!;
      const { cap, edgeShare, effortPct, painCeiling, grade, holdS, contractS, pressS } = block.limits![0]!;
      const axis = axisOf(method, motionOf(line.blocks[0]!.motionId));
      const past = (value: number, most: number) => (axis.better === 'higher' ? value > most + 1e-9 : value < most - 1e-9);
      let [contracted, pressed] = [0, 0];
      for (const cue of line.cues) {
        const { counts, techniques } = phaseKind(cue.kind);
        if (holdS !== null && counts === 'end-range') expect(seconds(cue)).toBeLessThanOrEqual(holdS);
        if (techniques.includes('contract')) contracted += seconds(cue);
        if (techniques.includes('press') || techniques.includes('pin')) pressed += seconds(cue);
        if (effortPct !== null && cue.effortPct !== null) expect(cue.effortPct).toBeLessThanOrEqual(effortPct);
        if (painCeiling !== null) expect(cue.painCeiling).toBeLessThanOrEqual(painCeiling);
        if (axis.unit === 'of10') {
          // The hand stops at what the way allows, at what the therapist set, and at what cautions leave.
          for (const value of [cue.from, cue.to, cue.edge]) expect(value).toBeLessThanOrEqual(Math.min(cue.painCeiling, 10));
        } else {
          for (const value of [cue.to, cue.edge]) {
            if (cap !== null) expect([cue.kind, past(value, cap)]).toEqual([cue.kind, false]);
            if (edgeShare !== null && edgeShare < 1) expect([cue.kind, past(value, 40)]).toEqual([cue.kind, false]);
          }
        }
        const said = /grade (\d)/.exec(cue.text + cue.detail);
        if (grade !== null && said) expect(Number(said[1])).toBeLessThanOrEqual(grade);
      }
      if (contractS !== null) expect(contracted).toBeLessThanOrEqual(contractS + 1e-9);
      if (pressS !== null) expect(pressed).toBeLessThanOrEqual(pressS + 1e-9);
    }),
    { numRuns: 800 },
  );
}, 120_000);

test('the pacer never shows the opposite of the words, and what is led by a breath begins with it', () => {
  let told = 0;
  fc.assert(
    fc.property(blocks, breaths, (block, breath) => {
      const method = findMethod(block.methodId)!;
      for (const cue of compiled(block, breath).cues) {
        const at = (ms: number) => breathAt(cue.breathOffsetMs + ms, breath).way;
        if (cue.breath !== 'free') {
          told += 1;
          const last = cue.endMs - cue.startMs - 1;
          expect([cue.kind, at(0), at(Math.floor(last / 2)), at(last)]).toEqual([cue.kind, cue.breath, cue.breath, cue.breath]);
        }
        const led = phasesOf(method)
          .filter((phase) => phase.kind === cue.kind)
          .map((phase) => phase.breath);
        if (led.length > 0 && led.every((way) => way === led[0]) && led[0] !== 'free')
          expect([cue.kind, at(0)]).toEqual([cue.kind, led[0]]);
        if (/on the breath out/.test(cue.detail) && cue.kind === 'advance') expect(at(0)).toBe('out');
      }
    }),
    { numRuns: 800 },
  );
  expect(told).toBeGreaterThan(1000);
}, 120_000);

test('a number never comes out longer than it may be, and differs from what was asked for only by the breath or by a limit', () => {
  fc.assert(
    fc.property(blocks, breaths, (block, breath) => {
      const method = findMethod(block.methodId)!;
      for (const cue of compiled(block, breath).cues) {
        const spec = method.numbers.find((each) => each.id === cue.madeOf?.seconds);
        if (!spec) continue;
        const asked = block.numbers[spec.id]!.at(-1)!;
        // What waits for a breath to begin waits less than one.
        expect(seconds(cue)).toBeLessThan(Math.max(spec.max, asked) + breath.periodMs / 1000);
        if (cue.effortPct !== null) expect(seconds(cue)).toBeLessThanOrEqual(spec.max);
        if (block.choices.timing !== 'breath') expect(seconds(cue)).toBeLessThanOrEqual(asked + 1e-9);
      }
    }),
    { numRuns: 800 },
  );
}, 120_000);

test('every entry in every way compiles at both ends of its numbers, at 3 s and at 20 s a breath, under the tightest limits', () => {
  for (const { entry, method } of PAIRS) {
    const side = sidesOf(entry)[0]!;
    for (const end of ['min', 'max'] as const) {
      for (const periodMs of [3000, 20_000]) {
        const bare = newBlock('b', entry.id, method.id, [side]);
        const numbers = Object.fromEntries(method.numbers.map((spec) => [spec.id, [spec[end]]]));
        const tight = { side, cap: null, edgeShare: 0.5, effortPct: 5, painCeiling: 0, grade: 1, holdS: 1, contractS: 1, pressS: 1 };
        const line = compile([{ ...bare, numbers, limits: [tight] }], { breath: { periodMs, inShare: 0.4 }, edgeOf: () => null });
        line.cues.forEach((cue, i) => expect(cue.startMs).toBe(i === 0 ? 0 : line.cues[i - 1]!.endMs));
        expect(line.totalMs).toBe(line.cues.at(-1)!.endMs);
      }
    }
  }
});

test('what comes out is told beside what was wished: moved to a breath, or cut by a caution, and nothing where it is as wished', () => {
  const block = newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left']);
  const cuesOf = (change: Partial<BlockPlan>) =>
    compile([{ ...block, ...change }], { breath: { periodMs: 7000, inShare: 0.4 }, edgeOf: () => 40 }).cues;
  const numbers = block.numbers;
  expect(comesOut(cuesOf({}), 'contract', numbers.contract!)).toEqual({ values: [4.2], why: 'breath' });
  expect(comesOut(cuesOf({ choices: { ...block.choices, timing: 'fixed' } }), 'contract', numbers.contract!)).toBeNull();
  const tight = {
    side: 'left' as const,
    cap: null,
    edgeShare: null,
    effortPct: 20,
    painCeiling: null,
    grade: null,
    holdS: 5,
    contractS: null,
    pressS: null,
  };
  expect(comesOut(cuesOf({ choices: { ...block.choices, timing: 'fixed' }, limits: [tight] }), 'hold', numbers.hold!)).toEqual({
    values: [5],
    why: 'caution',
  });
  expect(comesOut(cuesOf({ limits: [tight] }), 'effort', numbers.effort!)).toEqual({ values: [20], why: 'caution' });
  expect(comesOut(cuesOf({}), 'effort', numbers.effort!)).toBeNull();
});
