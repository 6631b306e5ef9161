import { motionOf } from '../body/index.ts';
import {
  checkBirthDate,
  compareMotion,
  stiffestFirst,
  currentReadings,
  formatDuration,
  type ComparisonContext,
  type PastReading,
  type ValueToday,
} from './index.ts';
import { playedSports } from '../sport/index.ts';

const hip = motionOf('hip-extension-knee-straight');
const past = (startsAt: string, side: 'left' | 'right', value: number, moment: 'before' | 'after' = 'before'): PastReading => ({
  visitId: startsAt,
  startsAt,
  motionId: hip.id,
  side,
  moment,
  instrument: 'goniometer',
  examinerId: null,
  value,
});
const today = (
  side: 'left' | 'right',
  value: number,
  moment: 'before' | 'after' = 'before',
  instrument: 'goniometer' | 'inclinometer' = 'goniometer',
): ValueToday => ({ motionId: hip.id, side, moment, instrument, examinerId: null, value });
const context = (patch: Partial<ComparisonContext>): ComparisonContext => ({
  person: {
    birthDate: '2002-02-21',
    referenceSex: 'male',
    sports: playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }]),
  },
  onDay: '2026-11-25',
  today: [],
  past: [],
  ...patch,
});

test('baseline is the first value before work, last the latest; values after work are neither', () => {
  const { sides } = compareMotion(
    hip,
    'before',
    context({
      past: [
        past('2026-09-01', 'left', 5),
        past('2026-09-01', 'left', 12, 'after'),
        past('2026-10-01', 'left', 8),
        past('2026-10-01', 'left', 15, 'after'),
        past('2026-10-01', 'right', 17),
      ],
      today: [today('left', 16)],
    }),
  );
  const left = sides.find((side) => side.side === 'left')!;
  // 16° lies within the range of healthy men, and there is no other side to compare with.
  expect(left.short).toBe(false);
  expect([left.baseline?.value, left.last?.value]).toEqual([5, 8]);
  // From visit to visit the default 3° of a goniometer is 4.5°: it takes 12.5° to be real.
  expect(left.sinceBaseline).toMatchObject({ kind: 'inside-error', gain: 11, mdc: expect.closeTo(1.96 * Math.SQRT2 * 4.5, 6) });
  expect(left.sinceLast).toMatchObject({ kind: 'inside-error', gain: 8 });
});

test('another instrument today carries its own error into the comparison', () => {
  const [left] = compareMotion(
    hip,
    'before',
    context({ past: [past('2026-09-01', 'left', 5)], today: [today('left', 13, 'before', 'inclinometer')] }),
  ).sides;
  // Goniometer 3°, inclinometer 2°, from day to day half as much again: 1.5 · 1.96 · √13. Nobody has compared the two.
  expect(left!.sinceBaseline).toMatchObject({ kind: 'cannot-tell', mdc: expect.closeTo(10.6, 2) });
  expect(left!.error!.sem).toBe(2);
});

test('after work: gained against before, and the sides are compared as they are now', () => {
  const result = compareMotion(
    hip,
    'after',
    context({ today: [today('left', 5), today('right', 17), today('left', 16, 'after'), today('right', 17, 'after')] }),
  );
  expect(result.sides[0]!.gained).toMatchObject({ kind: 'real-gain', gain: 11 });
  expect(result.sides[1]!.gained).toMatchObject({ kind: 'inside-error', gain: 0 });
  expect(result.sideVerdict!.kind).toBe('even');
  expect(result.sides.map((side) => side.short)).toEqual([false, false]);
  const before = compareMotion(hip, 'before', context({ today: [today('left', 5), today('right', 17)] }));
  expect(before.sides.map((side) => side.short)).toEqual([true, false]);
  // No table for the bent knee: the real side difference alone makes a side short.
  const bent = motionOf('hip-extension-knee-bent');
  const bentValues = [today('left', 4), today('right', 15)].map((value) => ({ ...value, motionId: bent.id }));
  expect(compareMotion(bent, 'before', context({ today: bentValues })).sides.map((side) => side.short)).toEqual([true, false]);
  expect(result.bands[0]).toMatchObject({ people: 'men 20–44' });
});

test('stiffest first: each motion once, led by its stiffer side; values after work do not count', () => {
  const even = motionOf('hip-abduction');
  const value = (motionId: string, side: 'left' | 'right', read: number): ValueToday => ({
    motionId,
    side,
    moment: 'before',
    instrument: 'goniometer',
    examinerId: null,
    value: read,
  });
  const ranked = stiffestFirst(
    context({
      today: [value(even.id, 'left', 45), value(even.id, 'right', 45), today('left', 2), today('right', 17), today('right', 0, 'after')],
    }),
  );
  expect(ranked.map(({ stiffness }) => [stiffness.motion.id, stiffness.side, stiffness.score > 0])).toEqual([
    [hip.id, 'left', true],
    [even.id, 'left', false],
  ]);
});

test('nothing measured, nothing claimed', () => {
  const { sides, sideVerdict } = compareMotion(hip, 'before', context({ today: [today('left', 16, 'after')] }));
  expect(sideVerdict).toBeNull();
  for (const side of sides)
    expect(side).toMatchObject({ now: null, error: null, sinceBaseline: null, sinceLast: null, gained: null, reference: null });
});

test('a corrected or withdrawn reading no longer stands', () => {
  const row = (id: string, supersedes: string | null, value: number | null) => ({ id, supersedes, value });
  expect(
    currentReadings([row('a', null, 4), row('b', 'a', 5), row('c', null, 7), row('d', 'c', null), row('e', null, 1)]).map(
      (each) => each.id,
    ),
  ).toEqual(['b', 'e']);
});

test('durations', () => {
  expect([0, 8_400, 59_600, 3_599_000, 3_600_000].map(formatDuration)).toEqual(['0:00', '0:08', '1:00', '59:59', '1:00:00']);
});

test.each(['1880-05-05', '2026-11-26', '2001-02-29', 'soon', '01.02.2003'])('birth date %s is refused', (date) => {
  expect(checkBirthDate(date, '2026-11-25')).toContain('lies between');
});

describe('the practice’s own error', () => {
  const own = (sem: number, on: string, examinerId = 'me') => ({
    examinerId,
    motionId: hip.id,
    instrument: 'goniometer' as const,
    sem,
    sides: 12,
    trials: 3,
    on,
  });
  const mine = (reading: ValueToday): ValueToday => ({ ...reading, examinerId: 'me' });

  test('is used for the examiner’s own readings, the latest study first; others keep the default', () => {
    const errors = { own: [own(1.5, '2026-09-01'), own(1, '2026-10-01'), own(9, '2026-11-01', 'you')], shifts: [] };
    const [left] = compareMotion(
      hip,
      'before',
      context({ past: [past('2026-09-01', 'left', 5)], today: [mine(today('left', 13))], errors }),
    ).sides;
    expect(left!.error).toMatchObject({
      sem: expect.closeTo(Math.sqrt(2 / 3), 9),
      own: true,
      df: 22,
      source: 'own, 12 sides × 3 trials on 2026-10-01, one day',
    });
    // The earlier reading has no examiner, so the default 3° stands for it; both with the part of the day.
    expect(left!.sinceLast!.mdc).toBeCloseTo(1.5 * 1.96 * Math.hypot(Math.sqrt(2 / 3), 3), 1);
  });

  test('never falls below the rounding of the scale', () => {
    const [left] = compareMotion(
      hip,
      'before',
      context({ today: [mine(today('left', 13))], errors: { own: [own(0, '2026-10-01')], shifts: [] } }),
    ).sides;
    expect(left!.error!.sem).toBeCloseTo(0.2887, 4);
  });
});

describe('another instrument than last time', () => {
  const shift = (used: boolean) => ({
    motionId: hip.id,
    first: 'goniometer' as const,
    second: 'inclinometer' as const,
    bias: 4,
    biasError: 0.5,
    used,
    pairs: 20,
    on: '2026-10-01',
  });
  const change = (used: boolean | null) =>
    compareMotion(
      hip,
      'before',
      context({
        past: [past('2026-09-01', 'left', 10)],
        today: [today('left', 13, 'before', 'inclinometer')],
        errors: { own: [], shifts: used === null ? [] : [shift(used)] },
      }),
    ).sides[0]!;

  test('is flagged, with or without a study', () => {
    expect(change(null).otherInstrument.last).toEqual({
      from: 'goniometer',
      to: 'inclinometer',
      correction: null,
      correctionError: 0,
      used: false,
      pairs: 0,
    });
    expect(change(false).sinceLast).toMatchObject({ gain: 3, kind: 'cannot-tell' });
  });
  test('its bias is taken into account when the practice wants that', () => {
    // The goniometer reads 4° more: its 10° would have been 6° with the inclinometer.
    expect(change(true).sinceLast!.gain).toBe(7);
    expect(change(true).sinceLast!.mdc).toBeCloseTo(1.96 * Math.hypot(Math.hypot(4.5, 0.5), 3), 2);
  });
  test('the same instrument is no change', () => {
    expect(
      compareMotion(hip, 'before', context({ past: [past('2026-09-01', 'left', 10)], today: [today('left', 13)] })).sides[0]!
        .otherInstrument.last,
    ).toBeNull();
  });
});
