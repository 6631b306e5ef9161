import fc from 'fast-check';
import { MOTIONS, motionOf } from '../body/index.ts';
import { defaultSem, errorOf, instrumentChange, NOTHING_KNOWN, type InstrumentShift, type OwnError } from './index.ts';

const hip = motionOf('hip-flexion');
const own = (patch: Partial<OwnError> = {}): OwnError => ({
  examinerId: 'me',
  motionId: hip.id,
  instrument: 'goniometer',
  sem: 1.4,
  sides: 12,
  trials: 3,
  on: '2026-10-01',
  ...patch,
});
const shift = (patch: Partial<InstrumentShift> = {}): InstrumentShift => ({
  motionId: hip.id,
  first: 'goniometer',
  second: 'inclinometer',
  bias: 3,
  biasError: 0.4,
  used: true,
  pairs: 12,
  on: '2026-10-01',
  ...patch,
});
const read = { instrument: 'goniometer', examinerId: 'me' } as const;

describe('whose error', () => {
  test('without a study it is the default, for every motion and instrument', () => {
    for (const motion of MOTIONS)
      for (const instrument of motion.instruments) {
        const [within, over] = (['within', 'between'] as const).map((question) =>
          errorOf(motion, { instrument, examinerId: 'me' }, NOTHING_KNOWN, question),
        );
        expect(within).toEqual(defaultSem(motion, instrument));
        // From day to day half as large again, and said so.
        expect(over!.sem).toBeCloseTo(1.5 * within!.sem, 9);
        expect(over!.source).toContain('day-to-day');
        expect([within!.own, over!.own]).toEqual([false, false]);
      }
  });
  test.each([
    ['another examiner', own({ examinerId: 'you' })],
    ['another motion', own({ motionId: 'knee-flexion' })],
    ['another instrument', own({ instrument: 'inclinometer' })],
  ])('a study of %s changes nothing', (_, study) => expect(errorOf(hip, read, { own: [study], shifts: [] }, 'within').sem).toBe(3));
  test('the latest study holds, in whatever order they come', () => {
    const studies = [own({ sem: 2.2, on: '2026-05-01' }), own({ sem: 1.1, on: '2026-11-01' }), own({ sem: 1.9, on: '2026-08-01' })];
    for (const list of [studies, [...studies].reverse()])
      expect(errorOf(hip, { ...read, trialCount: 1 }, { own: list, shifts: [] }, 'within')).toEqual({
        sem: expect.closeTo(1.1, 9),
        df: 22,
        own: true,
        source: 'own, 12 sides × 3 trials on 2026-11-01, one day',
      });
  });
  test('a reading whose examiner was not kept has the default, whoever studied', () =>
    expect(errorOf(hip, { ...read, examinerId: null }, { own: [own()], shifts: [] }, 'within').sem).toBe(3));
  test('never less than the rounding of the scale', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6, noNaN: true }), (sem) => {
        expect(errorOf(hip, { ...read, trialCount: 1 }, { own: [own({ sem })], shifts: [] }, 'within').sem).toBeCloseTo(
          Math.max(sem, 1 / Math.sqrt(12)),
          12,
        );
      }),
    ));
});

describe('what the error is for', () => {
  const of = (patch: Partial<OwnError>, question: 'within' | 'between', trialCount = 1) =>
    errorOf(hip, { ...read, trialCount }, { own: [own(patch)], shifts: [] }, question);
  test('a study of one day says so where days are compared; one of days apart knows the whole', () => {
    expect(of({ spacing: 'one-day' }, 'between').source).toContain('until you repeat on another day');
    expect(of({ spacing: 'days-apart' }, 'between')).toMatchObject({
      sem: expect.closeTo(1.4, 9),
      source: expect.stringContaining('days apart'),
    });
    expect(of({ spacing: 'days-apart' }, 'within').sem).toBeLessThan(1.4);
    expect(of({ spacing: 'one-day' }, 'between').sem).toBeGreaterThan(1.4);
  });
  test('more trials take from the trial’s part only: never below what the set-up leaves', () => {
    const sems = [1, 2, 3, 4, 1000].map((trials) => of({}, 'within', trials).sem);
    expect([...sems].sort((a, b) => b - a)).toEqual(sems);
    expect(sems.at(-1)).toBeGreaterThan(1.4 * Math.sqrt(0.5) - 1e-9);
    expect(of({}, 'within', 4).sem).toBeCloseTo(1.4 * Math.sqrt(0.5 + 0.5 / 4), 9);
  });
});

describe('another instrument', () => {
  test('the same one is no change, even when two were compared', () =>
    expect(instrumentChange(hip.id, 'goniometer', 'goniometer', { own: [], shifts: [shift()] })).toBeNull());
  test('never compared: said, without a correction', () =>
    expect(instrumentChange(hip.id, 'goniometer', 'inclinometer', NOTHING_KNOWN)).toEqual({
      from: 'goniometer',
      to: 'inclinometer',
      correction: null,
      correctionError: 0,
      used: false,
      pairs: 0,
    }));
  test('there and back are opposite corrections', () => {
    const known = { own: [], shifts: [shift()] };
    expect(instrumentChange(hip.id, 'goniometer', 'inclinometer', known)!.correction).toBe(-3);
    expect(instrumentChange(hip.id, 'inclinometer', 'goniometer', known)!.correction).toBe(3);
  });
  test('which of the two was named first in the study does not matter', () =>
    fc.assert(
      fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (bias) => {
        const [one, other] = [
          { own: [], shifts: [shift({ bias })] },
          { own: [], shifts: [shift({ first: 'inclinometer', second: 'goniometer', bias: -bias })] },
        ];
        expect(instrumentChange(hip.id, 'goniometer', 'inclinometer', one)!.correction).toBeCloseTo(
          instrumentChange(hip.id, 'goniometer', 'inclinometer', other)!.correction!,
          12,
        );
      }),
    ));
  test('of another motion it says nothing; the latest comparison holds', () => {
    expect(instrumentChange('knee-flexion', 'goniometer', 'inclinometer', { own: [], shifts: [shift()] })!.correction).toBeNull();
    expect(
      instrumentChange(hip.id, 'goniometer', 'inclinometer', { own: [], shifts: [shift({ bias: 5, on: '2026-11-01' }), shift()] })!
        .correction,
    ).toBe(-5);
  });
});
