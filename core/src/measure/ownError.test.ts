import fc from 'fast-check';
import { MOTIONS, motionOf } from '../body/index.ts';
import { defaultSem, errorOf, instrumentChange, NOTHING_KNOWN, type InstrumentShift, type OwnError } from './index.ts';

const hip = motionOf('hip-flexion');
const own = (patch: Partial<OwnError> = {}): OwnError => ({ examinerId: 'me', motionId: hip.id, instrument: 'goniometer', sem: 1.4, sides: 12, trials: 3, on: '2026-10-01', ...patch });
const shift = (patch: Partial<InstrumentShift> = {}): InstrumentShift => ({ motionId: hip.id, first: 'goniometer', second: 'inclinometer', bias: 3, biasError: 0.4, used: true, pairs: 12, on: '2026-10-01', ...patch });
const read = { instrument: 'goniometer', examinerId: 'me' } as const;

describe('whose error', () => {
  test('without a study it is the default, for every motion and instrument', () => {
    for (const motion of MOTIONS) for (const instrument of motion.instruments) expect(errorOf(motion, { instrument, examinerId: 'me' }, NOTHING_KNOWN)).toEqual(defaultSem(motion, instrument));
  });
  test.each([
    ['another examiner', own({ examinerId: 'you' })], ['another motion', own({ motionId: 'knee-flexion' })], ['another instrument', own({ instrument: 'inclinometer' })],
  ])('a study of %s changes nothing', (_, study) => expect(errorOf(hip, read, { own: [study], shifts: [] }).sem).toBe(3));
  test('the latest study holds, in whatever order they come', () => {
    const studies = [own({ sem: 2.2, on: '2026-05-01' }), own({ sem: 1.1, on: '2026-11-01' }), own({ sem: 1.9, on: '2026-08-01' })];
    for (const list of [studies, [...studies].reverse()]) expect(errorOf(hip, read, { own: list, shifts: [] })).toEqual({ sem: 1.1, source: 'own, 12 sides × 3 trials on 2026-11-01' });
  });
  test('a reading whose examiner was not kept has the default, whoever studied', () => expect(errorOf(hip, { ...read, examinerId: null }, { own: [own()], shifts: [] }).sem).toBe(3));
  test('never less than the rounding of the scale', () => fc.assert(fc.property(fc.double({ min: 0, max: 6, noNaN: true }), (sem) => {
    expect(errorOf(hip, read, { own: [own({ sem })], shifts: [] }).sem).toBeCloseTo(Math.max(sem, 1 / Math.sqrt(12)), 12);
  })));
});

describe('another instrument', () => {
  test('the same one is no change, even when two were compared', () => expect(instrumentChange(hip.id, 'goniometer', 'goniometer', { own: [], shifts: [shift()] })).toBeNull());
  test('never compared: said, without a correction', () => expect(instrumentChange(hip.id, 'goniometer', 'inclinometer', NOTHING_KNOWN)).toEqual({ from: 'goniometer', to: 'inclinometer', correction: null, correctionError: 0, used: false }));
  test('there and back are opposite corrections', () => {
    const known = { own: [], shifts: [shift()] };
    expect(instrumentChange(hip.id, 'goniometer', 'inclinometer', known)!.correction).toBe(-3);
    expect(instrumentChange(hip.id, 'inclinometer', 'goniometer', known)!.correction).toBe(3);
  });
  test('which of the two was named first in the study does not matter', () => fc.assert(fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (bias) => {
    const [one, other] = [{ own: [], shifts: [shift({ bias })] }, { own: [], shifts: [shift({ first: 'inclinometer', second: 'goniometer', bias: -bias })] }];
    expect(instrumentChange(hip.id, 'goniometer', 'inclinometer', one)!.correction).toBeCloseTo(instrumentChange(hip.id, 'goniometer', 'inclinometer', other)!.correction!, 12);
  })));
  test('of another motion it says nothing; the latest comparison holds', () => {
    expect(instrumentChange('knee-flexion', 'goniometer', 'inclinometer', { own: [], shifts: [shift()] })!.correction).toBeNull();
    expect(instrumentChange(hip.id, 'goniometer', 'inclinometer', { own: [], shifts: [shift({ bias: 5, on: '2026-11-01' }), shift()] })!.correction).toBe(-5);
  });
});
