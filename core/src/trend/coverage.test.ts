import { seeded } from '../random/index.ts';
import { smoothLevel, type LevelInput } from './index.ts';

/** How often the 95 % band holds the true level, for athletes drawn from the model: still, wandering, with and without noise of the day. */
const random = seeded(95);
const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const ATHLETES = 1500;
const SEM = 3;

function coverage(readings: number, noiseOfDay: number): number {
  let [inside, all] = [0, 0];
  for (let i = 0; i < ATHLETES; i++) {
    // Wanders as the model takes them beforehand: still in two of fifteen, or a power of ten between, a day.
    const still = random() < 2 / 15;
    const wander = still ? 0 : SEM ** 2 * 10 ** (-5 + 6 * random());
    const sem = Math.hypot(SEM, noiseOfDay);
    let [level, day] = [100, 0];
    const truth: number[] = [];
    const inputs: LevelInput[] = [];
    for (let n = 0; n < readings; n++) {
      const days = n === 0 ? 0 : 3 + Math.floor(random() * 12);
      day += days;
      level += Math.sqrt(wander * days) * normal();
      truth.push(level);
      inputs.push({ day, value: level + sem * normal(), sem });
    }
    smoothLevel(inputs).points.forEach((point, n) => {
      all += 1;
      inside += point.low <= truth[n]! && truth[n]! <= point.high ? 1 : 0;
    });
  }
  return inside / all;
}

test.each(
  [2, 3, 4, 6, 10, 20].flatMap(
    (readings) =>
      [
        [readings, 0],
        [readings, 3],
      ] as const,
  ),
)(
  '%i readings, a noise of the day of %i°: 92 to 97 of 100 bands hold the level',
  (readings, noise) => {
    const share = coverage(readings, noise);
    process.stdout.write(`  the band holds the level, ${readings} readings, day noise ${noise}°: ${(100 * share).toFixed(1)} %\n`);
    expect(share).toBeGreaterThanOrEqual(0.92);
    expect(share).toBeLessThanOrEqual(0.97);
  },
  60_000,
);

test('one reading: the band is that of its error; a few readings know less of the wander than many, and are not made narrower by hope', () => {
  const [only] = smoothLevel([{ day: 0, value: 50, sem: 2 }]).points;
  expect(only!.high - only!.low).toBeCloseTo(2 * 1.96 * 2, 6);
  expect(smoothLevel([]).points).toEqual([]);
});
