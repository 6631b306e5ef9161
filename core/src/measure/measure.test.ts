import fc from 'fast-check';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { MOTIONS, motionOf } from '../body/index.ts';
import { playedSports, sportDifference } from '../sport/index.ts';
import {
  angleToGain,
  classifyChange,
  compareSides,
  defaultSem,
  formatNumber,
  formatSigned,
  gainToAngleDeg,
  mdc95,
  parseTrial,
  rankStiffness,
  summariseTrials,
} from './index.ts';

const STROKE_SIDE = playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }]);

const hip = motionOf('hip-extension-knee-bent');
const toWall = motionOf('knee-to-wall');
const toFloor = motionOf('fingertip-to-floor');
const reading = fc.double({ min: -50, max: 200, noNaN: true });
const sem = fc.double({ min: 0.1, max: 10, noNaN: true });

describe('trials', () => {
  test('mean and sample SD agree with a reference library (simple-statistics)', () => {
    fc.assert(
      fc.property(fc.array(reading, { minLength: 2, maxLength: 5 }), (trials) => {
        const summary = summariseTrials(trials);
        expect(summary.mean).toBeCloseTo(mean(trials), 9);
        expect(summary.sd).toBeCloseTo(sampleStandardDeviation(trials), 9);
        expect(summary.spread).toBeCloseTo(Math.max(...trials) - Math.min(...trials), 12);
      }),
    );
  });

  test('one trial has no SD; none is refused', () => {
    expect(summariseTrials([7])).toEqual({ n: 1, mean: 7, sd: null, spread: 0 });
    expect(() => summariseTrials([])).toThrow(RangeError);
    expect(() => summariseTrials([1, NaN])).toThrow(RangeError);
  });

  test.each([
    ['12', hip, 12],
    [' 12,5 ', hip, 12.5],
    ['−3', hip, -3],
    ['10.26', toWall, 10.3],
    ['-4', toFloor, -4],
  ])('"%s" is read', (typed, motion, value) => {
    expect(parseTrial(typed, motion)).toEqual({ ok: true, value });
  });

  test.each([
    ['abc', hip, 'not a number of degrees'],
    ['', hip, 'not a number'],
    ['1e3', hip, 'not a number'],
    ['400', hip, '−30° to 45°'],
    ['-2', toWall, 'cannot be negative'],
    ['12 13', toWall, 'not a number of centimetres'],
  ])('"%s" is refused with the reason', (typed, motion, words) => {
    const result = parseTrial(typed, motion);
    expect(result).toMatchObject({ ok: false });
    expect(!result.ok && result.message).toContain(words);
  });
});

describe('error of measurement', () => {
  // Weir JP. J Strength Cond Res 2005;19:231–240: MDC95 = SEM · 1.96 · √2.
  test('MDC95 follows Weir 2005', () => {
    fc.assert(
      fc.property(sem, (value) => {
        expect(mdc95(value)).toBeCloseTo(value * 1.96 * Math.SQRT2, 9);
      }),
    );
  });

  test('two different errors add as variances, and the larger one dominates', () => {
    fc.assert(
      fc.property(sem, sem, (a, b) => {
        expect(mdc95(a, b)).toBeCloseTo(mdc95(b, a), 12);
        expect(mdc95(a, b)).toBeGreaterThanOrEqual(1.96 * Math.max(a, b) - 1e-9);
        expect(mdc95(a, b)).toBeLessThanOrEqual(mdc95(Math.max(a, b)) + 1e-9);
      }),
    );
  });

  test('a negative or endless error is refused', () => {
    expect(() => mdc95(-1)).toThrow(RangeError);
    expect(() => mdc95(1, Infinity)).toThrow(RangeError);
  });

  // Defaults as listed for "no repeatability check yet"; recalled, order of magnitude.
  test('defaults by joint and instrument', () => {
    expect(defaultSem(hip, 'goniometer').sem).toBe(3);
    expect(defaultSem(hip, 'inclinometer').sem).toBe(2);
    expect(defaultSem(motionOf('neck-rotation'), 'inclinometer').sem).toBe(3.5);
    expect(defaultSem(motionOf('trunk-rotation'), 'inclinometer').sem).toBe(3.5);
    expect(defaultSem(toWall, 'tape').sem).toBe(0.6);
    for (const motion of MOTIONS)
      for (const instrument of motion.instruments) expect(defaultSem(motion, instrument).sem).toBeGreaterThan(0);
  });
});

describe('change', () => {
  test('counts only past the MDC, in both directions, and is symmetric', () => {
    fc.assert(
      fc.property(reading, reading, sem, sem, (a, b, semA, semB) => {
        const there = classifyChange({ value: a, sem: semA }, { value: b, sem: semB }, hip);
        const back = classifyChange({ value: b, sem: semB }, { value: a, sem: semA }, hip);
        expect(there.gain).toBeCloseTo(-back.gain, 9);
        expect(there.kind === 'inside-error').toBe(Math.abs(b - a) <= there.mdc);
        expect(there.kind === 'real-gain').toBe(back.kind === 'real-loss');
      }),
    );
  });

  test('a smaller gap is a gain where less is better', () => {
    const verdict = classifyChange({ value: 12, sem: 1.5 }, { value: 4, sem: 1.5 }, toFloor);
    expect(verdict).toMatchObject({ kind: 'real-gain', delta: -8, gain: 8 });
    expect(verdict.words).toBe('+8.0 cm: a real gain, past the default error of ±4.2 cm');
  });

  test('says inside the error out loud, and “your” only where it is the examiner’s own', () => {
    expect(classifyChange({ value: 10, sem: 1.5, own: true }, { value: 13.3, sem: 1.5, own: true }, hip).words).toBe(
      '+3.3°: inside your error of ±4.2°',
    );
    expect(classifyChange({ value: 10, sem: 1.5, own: true }, { value: 13.3, sem: 1.5 }, hip).words).toContain('the default error');
    expect(classifyChange({ value: 10, sem: 1.5 }, { value: 13.3, sem: 1.5 }, hip).words).toBe('+3.3°: inside the default error of ±4.2°');
    expect(classifyChange({ value: 10, sem: 1.5 }, { value: 4, sem: 1.5 }, hip).words).toContain('−6.0°: a real loss');
  });
});

describe('sides', () => {
  test('mirrors: swapping the sides swaps the stiffer one and nothing else', () => {
    fc.assert(
      fc.property(reading, reading, sem, (a, b, error) => {
        const one = compareSides({ value: a, sem: error }, { value: b, sem: error }, hip);
        const other = compareSides({ value: b, sem: error }, { value: a, sem: error }, hip);
        expect(one.kind).toBe(other.kind);
        expect(one.difference).toBeCloseTo(other.difference, 9);
        if (one.stiffer) expect(other.stiffer).toBe(one.stiffer === 'left' ? 'right' : 'left');
      }),
    );
  });

  test('names the stiffer side for angles and for gaps', () => {
    expect(compareSides({ value: 11.3, sem: 1.5 }, { value: 17, sem: 1.5 }, hip).words).toBe('Left 5.7° less: a real side difference');
    expect(compareSides({ value: 20, sem: 1.5 }, { value: 10, sem: 1.5 }, motionOf('heel-to-buttock')).words).toBe(
      'Left 10.0 cm more to go: a real side difference',
    );
  });

  test('noise is called noise', () => {
    expect(compareSides({ value: 68.7, sem: 1.5 }, { value: 72, sem: 1.5 }, hip).words).toBe(
      '3.3° apart: inside the default error of ±4.2°',
    );
    expect(compareSides({ value: 38, sem: 3 }, { value: 40.3, sem: 3 }, hip).words).toBe('Even');
  });

  test("the rigger explains a stroke-side rower's trunk, but only that way round and only so far", () => {
    const trunk = motionOf('trunk-rotation');
    const sport = sportDifference('trunk-rotation', STROKE_SIDE, () => null);
    expect(compareSides({ value: 43.7, sem: 1.5 }, { value: 51.3, sem: 1.5 }, trunk, sport)).toMatchObject({
      kind: 'explained-by-sport',
      words: '7.6° more to the right: follows the rigger',
    });
    expect(compareSides({ value: 51.3, sem: 1.5 }, { value: 43.7, sem: 1.5 }, trunk, sport).kind).toBe('real');
    expect(compareSides({ value: 35, sem: 1.5 }, { value: 51.3, sem: 1.5 }, trunk, sport).kind).toBe('real');
  });
});

describe('distance and angle', () => {
  test('are inverse to each other over every lever', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 150, noNaN: true }), fc.double({ min: -179, max: 179, noNaN: true }), (lever, angle) => {
        expect(gainToAngleDeg(angleToGain(angle, lever), lever)).toBeCloseTo(angle, 6);
      }),
    );
  });

  // A chord as long as the radius subtends 60°: Euclid, Elements IV.15.
  test('a gain as long as the lever is 60°', () => {
    expect(gainToAngleDeg(40, 40)).toBeCloseTo(60, 10);
  });

  test('impossible levers and distances are refused', () => {
    expect(() => gainToAngleDeg(1, 0)).toThrow(RangeError);
    expect(() => gainToAngleDeg(100, 40)).toThrow(RangeError);
    expect(() => angleToGain(200, 40)).toThrow(RangeError);
  });
});

describe('stiffness', () => {
  test('a side difference explained by sport or inside the error is not chased', () => {
    const trunk = motionOf('trunk-rotation');
    const explained = compareSides(
      { value: 43.7, sem: 1.5 },
      { value: 51.3, sem: 1.5 },
      trunk,
      sportDifference('trunk-rotation', STROKE_SIDE, () => null),
    );
    const real = compareSides({ value: 4, sem: 1.5 }, { value: 11.3, sem: 1.5 }, hip);
    const ranked = rankStiffness([
      { motion: trunk, side: 'left', sem: 1.5, reference: null, sides: explained },
      { motion: hip, side: 'left', sem: 1.5, reference: null, sides: real },
      { motion: hip, side: 'right', sem: 1.5, reference: null, sides: real },
    ]);
    expect(ranked[0]).toMatchObject({ side: 'left', motion: { id: hip.id } });
    expect(ranked[0]!.reasons[0]).toContain('real side difference');
    expect(ranked.slice(1).every((row) => row.score === 0)).toBe(true);
  });
});

test('numbers are printed with a proper minus, and never minus zero', () => {
  expect(formatNumber(-0.04)).toBe('0.0');
  expect(formatNumber(-2)).toBe('−2.0');
  expect(formatSigned(0.04, 'deg')).toBe('0.0°');
  expect(formatSigned(-1.5, 'cm')).toBe('−1.5 cm');
});
