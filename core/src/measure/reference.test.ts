import { motionOf } from '../body/index.ts';
import { classifyReference, referenceBands } from './index.ts';

/**
 * Soucie JM et al. Haemophilia 2011;17:500–507: mean (95 % CI of the mean), passive, degrees.
 * Recalled from memory; written down here a second time, row by row, and read through the public function.
 */
const PRINTED = `
hip-extension-knee-straight | 20.5 (18.6–22.4) | 18.1 (17.0–19.2) | 16.7 (15.5–17.9) | 18.2 (16.6–19.8) | 17.4 (16.3–18.5) | 13.5 (12.5–14.5)
hip-flexion | 134.9 (133.0–136.8) | 133.8 (132.5–135.1) | 130.8 (129.2–132.4) | 135.2 (133.0–137.4) | 130.4 (129.0–131.8) | 127.2 (125.7–128.7)
knee-flexion | 142.3 (140.8–143.8) | 141.9 (140.9–142.9) | 137.8 (136.5–139.1) | 142.2 (140.4–144.0) | 137.7 (136.5–138.9) | 132.9 (131.6–134.2)
ankle-dorsiflexion | 17.3 (15.6–19.0) | 13.8 (12.9–14.7) | 11.6 (10.6–12.6) | 16.3 (14.6–18.0) | 12.7 (11.6–13.8) | 11.9 (10.9–12.9)
ankle-plantar-flexion | 57.3 (54.8–59.8) | 62.1 (60.6–63.6) | 56.5 (55.0–58.0) | 52.8 (50.8–54.8) | 54.6 (53.2–56.0) | 49.4 (47.7–51.1)
shoulder-flexion | 171.8 (169.8–173.8) | 172.0 (170.9–173.1) | 168.1 (166.7–169.5) | 170.9 (169.1–172.7) | 168.8 (167.3–170.3) | 164.0 (162.3–165.7)
`;
const COLUMNS = [
  { sex: 'female', ages: [9, 19] },
  { sex: 'female', ages: [20, 44] },
  { sex: 'female', ages: [45, 69] },
  { sex: 'male', ages: [9, 19] },
  { sex: 'male', ages: [20, 44] },
  { sex: 'male', ages: [45, 69] },
] as const;

const cells = PRINTED.trim()
  .split('\n')
  .flatMap((line) => {
    const [motionId, ...columns] = line.split('|').map((part) => part.trim());
    return columns.map((cell, i) => {
      const [mean, low, high] = cell.match(/[\d.]+/g)!.map(Number);
      return { motionId: motionId!, ...COLUMNS[i]!, mean: mean!, low: low!, high: high! };
    });
  });

/** 1.96 times the least spread where our position is not quite that of the table (docs/sources.md). */
const LEAST: Record<string, number> = { 'shoulder-flexion': 1.96 * 8, 'ankle-dorsiflexion': 1.96 * 4.5 };

/** Somebody who is exactly this old on the day. */
const bornFor = (age: number) => `${2026 - age}-11-25`;

test.each(cells)('$motionId, $sex $ages: the printed interval', ({ motionId, sex, ages, mean, low, high }) => {
  for (const age of ages) {
    const [band, ...others] = referenceBands(motionId, { birthDate: bornFor(age), referenceSex: sex }, '2026-11-25');
    expect(others).toEqual([]);
    expect(band!.middle).toBe(mean);
    // Half the interval of the mean, times the root of about a hundred people, is 1.96 SD of persons: the limits of one person.
    const spread = ((high - low) / 2) * Math.sqrt(100);
    expect(Math.abs(band!.high - band!.low - 2 * Math.max(spread, LEAST[motionId] ?? 0))).toBeLessThanOrEqual(0.21);
  }
});

// AAOS, round clinical values, and what fits our positions better; all recalled from memory. A clinical value lies within the range of healthy people.
test.each([
  ['hip-external-rotation', 45],
  ['hip-abduction', 45],
  ['shoulder-external-rotation', 90],
  ['neck-side-bend', 45],
  ['trunk-rotation', 45],
  ['trunk-side-bend', 35],
  ['wrist-extension', 70],
  ['wrist-ulnar-deviation', 30],
])('%s: the clinical %d° lies within a standard deviation of the middle', (motionId, value) => {
  const [band] = referenceBands(motionId, { birthDate: '2000-01-01', referenceSex: 'none' }, '2026-11-25');
  expect(Math.abs(value - band!.middle)).toBeLessThanOrEqual((band!.high - band!.low) / (2 * 1.96));
});

test('no table, no band: other ages and motions without a source', () => {
  expect(referenceBands('hip-flexion', { birthDate: bornFor(8), referenceSex: 'male' }, '2026-11-25')).toEqual([]);
  expect(referenceBands('hip-flexion', { birthDate: bornFor(70), referenceSex: 'male' }, '2026-11-25')).toEqual([]);
  expect(referenceBands('hip-extension-knee-bent', { birthDate: bornFor(30), referenceSex: 'male' }, '2026-11-25')).toEqual([]);
});

describe('against the reference', () => {
  const hip = motionOf('hip-extension-knee-straight');
  const both = referenceBands(hip.id, { birthDate: '1975-01-01', referenceSex: 'none' }, '2026-11-25');

  test('with no reference sex both bands are shown and the easier one decides', () => {
    expect(both.map((band) => band.people)).toEqual(['women 45–69', 'men 45–69']);
    // Women 16.7 less 1.96 SD of 6.1 is 4.7; men 13.5 less 10 is 3.5.
    expect(both.map((band) => band.low)).toEqual([4.7, 3.5]);
    expect(classifyReference({ value: 4, sem: 1 }, both, hip)?.kind).toBe('reached');
    expect(classifyReference({ value: 1, sem: 1 }, both, hip)).toMatchObject({ kind: 'below', missing: 2.5 });
  });

  test('short by less than the error of one reading is said to be', () => {
    expect(classifyReference({ value: 2, sem: 2 }, both, hip)?.words).toBe(
      '1.5° short of the range of healthy people, by less than the error of one reading',
    );
    expect(classifyReference({ value: -6, sem: 2 }, both, hip)?.words).toBe('9.5° short of the range of healthy people');
  });

  test('where less is better the upper edge counts', () => {
    const popliteal = motionOf('knee-extension-hip-90');
    const bands = referenceBands(popliteal.id, { birthDate: '2000-01-01', referenceSex: 'male' }, '2026-11-25');
    expect(classifyReference({ value: 45, sem: 2 }, bands, popliteal)?.kind).toBe('reached');
    // Men are about 29 short of straight, 1.96 SD more is 48.6.
    expect(classifyReference({ value: 60, sem: 2 }, bands, popliteal)).toMatchObject({ kind: 'below', missing: expect.closeTo(11.4, 9) });
  });

  test('no band, no verdict', () => {
    expect(classifyReference({ value: 15, sem: 2 }, [], hip)).toBeNull();
  });
});
