import fc from 'fast-check';
import { mean, rootMeanSquare, standardDeviation } from 'simple-statistics';
import { addDays } from '../load/index.ts';
import { seeded } from '../random/index.ts';
import { hrvOn, readIntervals, rmssd } from './index.ts';

const ON = '2026-11-25';
const random = seeded(4);
const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

describe('rMSSD', () => {
  test('of differences that are known is known: alternating 800 and 850 ms gives 50 ms', () => {
    const result = rmssd(Array.from({ length: 100 }, (_, i) => (i % 2 ? 850 : 800)));
    expect(result).toMatchObject({ kind: 'known', dropped: 0, pairs: 99 });
    expect((result as { rmssdMs: number }).rmssdMs).toBeCloseTo(50, 9);
  });

  test('agrees with a statistics library on clean series', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 780, max: 880 }), { minLength: 60, maxLength: 200 }), (ms) => {
        const differences = ms.slice(1).map((value, i) => value - ms[i]!);
        expect((rmssd(ms) as { rmssdMs: number }).rmssdMs).toBeCloseTo(rootMeanSquare(differences), 9);
      }),
    );
  });

  test('of noise of known size comes out as √2 times it', () => {
    const ms = Array.from({ length: 4000 }, () => 900 + 20 * normal());
    expect((rmssd(ms) as { rmssdMs: number }).rmssdMs / (20 * Math.SQRT2)).toBeCloseTo(1, 1);
  });

  /** Drops and pairs done once more in another way: every window is copied and sorted, and pairs are cut out of stretches. */
  function otherWay(ms: readonly number[]) {
    const good = ms.map((value, i) => {
      let at = i - 2;
      if (at < 0) at = 0;
      if (at > ms.length - 5) at = Math.max(0, ms.length - 5);
      const five = ms.slice(at, at + 5).toSorted((a, b) => a - b);
      const middle = five.length % 2 ? five[(five.length - 1) / 2]! : (five[five.length / 2 - 1]! + five[five.length / 2]!) / 2;
      return value >= 250 && value <= 2500 && value >= 0.8 * middle && value <= 1.2 * middle;
    });
    const stretches: number[][] = [[]];
    ms.forEach((value, i) => (good[i] ? stretches.at(-1)!.push(value) : stretches.push([])));
    const squares = stretches.flatMap((stretch) => stretch.slice(1).map((value, i) => (value - stretch[i]!) ** 2));
    return { dropped: good.filter((each) => !each).length, pairs: squares.length, rmssd: Math.sqrt(mean(squares)) };
  }

  test('artefacts are dropped with both their pairs, as done in another way', () => {
    for (let run = 0; run < 300; run++) {
      const ms = Array.from({ length: 200 }, () => Math.round(850 + 25 * normal()));
      const wrong = Math.floor(random() * 9);
      for (let i = 0; i < wrong; i++) ms[Math.floor(random() * ms.length)] = random() < 0.5 ? 380 : 1700;
      const [result, other] = [rmssd(ms), otherWay(ms)];
      expect(result).toMatchObject({ kind: 'known', dropped: other.dropped, pairs: other.pairs });
      expect((result as { rmssdMs: number }).rmssdMs).toBeCloseTo(other.rmssd, 9);
      // Without the rule every artefact makes it larger.
      const naive = rootMeanSquare(ms.slice(1).map((value, i) => value - ms[i]!));
      if (other.dropped > 0) expect((result as { rmssdMs: number }).rmssdMs).toBeLessThan(naive);
    }
  });

  test('more than one beat in twenty dropped is too noisy, a short one too short', () => {
    const ms = Array.from({ length: 100 }, (_, i) => (i % 15 === 7 ? 400 : 850));
    expect(rmssd(ms)).toMatchObject({ kind: 'too-noisy' });
    expect(rmssd(Array<number>(20).fill(850))).toEqual({ kind: 'too-short', pairs: 19 });
    expect(rmssd([])).toEqual({ kind: 'too-short', pairs: 0 });
  });
});

describe('a file of intervals', () => {
  test.each([
    ['812\n798\n805\n', [812, 798, 805]],
    ['\uFEFFRR [ms]\r\n812\r\n798\r\n', [812, 798]],
    ['time;rr\n0,81;812\n1,6;798', [812, 798]],
    ['0.812\n0.798', [812, 798]],
    ['812,\n\n'.replace(',', ''), [812]],
  ])('%j is read', (text, ms) => {
    expect(readIntervals(text)).toEqual({ kind: 'intervals', ms });
  });

  test.each([
    ['812\nabc\n798', 2],
    ['812\n-5', 2],
    ['', 1],
    ['heading only', 1],
  ])('%j names its line and gives nothing', (text, line) => {
    expect(readIntervals(text)).toMatchObject({ kind: 'unreadable', line });
  });
});

describe('week and band', () => {
  const values = Array.from({ length: 67 }, (_, i) => ({ on: addDays(ON, i - 66), value: Math.exp(4 + 0.1 * normal()) }));

  // Plews DJ et al. Sports Med 2013;43:773–781, recalled from memory: mean of seven days against mean ± 0.5 SD of the days before.
  test('are the mean of seven days and half a standard deviation about the 60 days before', () => {
    const { mean: week, band } = hrvOn(values, ON);
    const ln = values.map(({ value }) => Math.log(value));
    const before = ln.slice(0, 60);
    const sd = standardDeviation(before) * Math.sqrt(60 / 59);
    expect(week).toBeCloseTo(mean(ln.slice(60)), 9);
    expect(band!.low).toBeCloseTo(mean(before) - 0.5 * sd, 9);
    expect(band!.high).toBeCloseTo(mean(before) + 0.5 * sd, 9);
  });

  test('need three values of the week, and 28 days with 14 values before it', () => {
    expect(hrvOn(values.slice(-2), ON)).toMatchObject({ mean: null, band: null });
    expect(hrvOn(values.slice(-34), ON).band).toBeNull();
    expect(hrvOn(values.slice(-35), ON).band).not.toBeNull();
    expect(
      hrvOn(
        values.filter((_, i) => i % 5 === 0 || i > 60),
        ON,
      ).band,
    ).toBeNull();
  });
});
