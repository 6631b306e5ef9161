import { ageInYears, dayAt, dayNumber, findMotion, JOINTS, MOTIONS, motionOf } from './index.ts';

describe('motions', () => {
  test('cover every joint from neck to toes with at least seventy motion-and-position pairs', () => {
    expect(new Set(MOTIONS.map((motion) => motion.joint))).toEqual(new Set(JOINTS));
    expect(MOTIONS.length).toBeGreaterThanOrEqual(70);
    expect(new Set(MOTIONS.map((motion) => `${motion.name}, ${motion.testPosition}, ${motion.mode}`)).size).toBe(MOTIONS.length);
  });

  test('hold the distances of the trade', () => {
    const distances = MOTIONS.filter((motion) => motion.unit === 'cm').map((motion) => motion.id);
    expect(distances).toEqual(
      expect.arrayContaining([
        'knee-to-wall',
        'fingertip-to-floor',
        'heel-to-buttock',
        'side-bend-slide',
        'hands-behind-back-gap',
        'fist-to-wall',
      ]),
    );
  });

  test('ids are unique', () => {
    expect(new Set(MOTIONS.map((motion) => motion.id)).size).toBe(MOTIONS.length);
  });

  test.each(MOTIONS)('$id is complete and consistent', (motion) => {
    for (const words of [motion.name, motion.testPosition, motion.landmarks, motion.block]) expect(words.length).toBeGreaterThan(3);
    expect(motion.lengthens.length).toBeGreaterThan(0);
    expect(motion.fan.min).toBeLessThan(motion.fan.max);
    expect(motion.possible.min).toBeLessThanOrEqual(motion.fan.min);
    expect(motion.possible.max).toBeGreaterThanOrEqual(motion.fan.max);
    expect(motion.instruments.includes('tape')).toBe(motion.unit === 'cm');
    // Diminishing return per round: a later round never gains more than an earlier one.
    expect([...motion.roundGain].sort((a, b) => b - a)).toEqual([...motion.roundGain]);
    expect(Math.min(...motion.roundGain)).toBeGreaterThan(0);
  });

  test('an unknown id is undefined or refused by name', () => {
    expect(findMotion('wing-flap')).toBeUndefined();
    expect(() => motionOf('wing-flap')).toThrow('wing-flap');
  });
});

describe('age', () => {
  test('a leap-day birthday counts from 1 March in other years', () => {
    expect(ageInYears('2004-02-29', '2026-02-28')).toBe(21);
    expect(ageInYears('2004-02-29', '2026-03-01')).toBe(22);
  });

  test.each([['2001-13-01'], ['2001-02-30'], ['yesterday'], ['2001-2-3']])('%s is refused', (date) => {
    expect(() => ageInYears(date, '2026-01-01')).toThrow(RangeError);
  });

  test('a day before the birth is refused', () => {
    expect(() => ageInYears('2026-01-02', '2026-01-01')).toThrow('before the birth');
  });
});

test('days as numbers agree with the calendar of the platform, both ways, across centuries and leap years', () => {
  for (let number = -40_000; number <= 60_000; number += 7) {
    const day = new Date(number * 86_400_000).toISOString().slice(0, 10);
    expect([dayNumber(day), dayAt(number)]).toEqual([number, day]);
  }
  for (const day of ['2000-02-29', '1900-03-01', '2100-02-28', '2024-12-31', '2025-01-01']) expect(dayAt(dayNumber(day))).toBe(day);
});
