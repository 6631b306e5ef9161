import { seeded } from '../random/index.ts';
import { GROUND, madeAthlete } from '../testing/athletes.ts';
import { FADE, KEPT, learn, leftOfUsual, nextKept, pathsOf, RESPONSE, ROOM, usuallyLeft, type Ahead, type Known } from './index.ts';

/** Athletes of whom the truth is known, with what is said of them. */
const random = seeded(41);
const made = Array.from({ length: 260 }, () => {
  const { course, truth } = madeAthlete(random, 12);
  const { theta, floor } = truth;
  const days = 4;
  const left = theta[KEPT]! * theta[RESPONSE]! * (1 - (truth.levelOn(0) - floor) / theta[ROOM]!) * Math.exp(-days / theta[FADE]!);
  const known = learn(course);
  return { known, left, said: leftOfUsual(known, 0, days) };
});
const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;

test('what is said to be left at the next visit is left: its mean is right, and eight in ten lie within the ends', () => {
  const within = made.filter(({ left, said }) => left >= said.low && left <= said.high).length / made.length;
  expect(within).toBeGreaterThan(0.72);
  expect(within).toBeLessThan(0.88);
  const off = made.map(({ left, said }) => left - said.mean);
  const sem = Math.sqrt(mean(off.map((each) => (each - mean(off)) ** 2)) / made.length);
  expect(Math.abs(mean(off))).toBeLessThan(3 * sem);
});

test('who goes by it works where more is left: of two motions the one with more expected, against either blindly and against knowing the truth', () => {
  const pairs = made.filter((_, i) => i % 2 === 0).map((first, i) => [first, made[2 * i + 1]!] as const);
  const byKept = mean(pairs.map(([a, b]) => (a.said.mean >= b.said.mean ? a.left : b.left)));
  const blindly = mean(pairs.map(([a, b]) => (a.left + b.left) / 2));
  const best = mean(pairs.map(([a, b]) => Math.max(a.left, b.left)));
  // More than half of what there is to be won by choosing.
  expect(byKept - blindly).toBeGreaterThan(0.5 * (best - blindly));
});

test('on the day of the visit it is what the next visit adds, and with the days it is what paths come to', () => {
  for (const { known } of made.slice(0, 5)) {
    const now = leftOfUsual(known, 3, 0);
    const added = nextKept(known, 3, 1);
    expect([now.low, now.middle, now.high].map((each) => each.toFixed(9))).toEqual(
      [added.low, added.middle, added.high].map((each) => each.toFixed(9)),
    );
    expect(throughPaths(known, 6)).toBeCloseTo(leftOfUsual(known, 0, 6).mean, 2);
  }
});

/** The same by paths, each with a full visit today and without: the same athlete on the same days but for the visit. */
function throughPaths(known: Known, days: number): number {
  const ends = (visits: Ahead['visits']) => pathsOf(known, { since: 0, visits, homeShare: 0, at: [days] }, 4000, 7).last;
  const [worked, idle] = [ends([{ day: 0, usualGain: GROUND.fullGain }]), ends([])];
  return mean(Array.from(worked, (level, i) => (level - idle[i]!) / GROUND.fullGain));
}

test('where nothing was read it is what is usual: less with the days, never below nothing on the whole', () => {
  const shares = [0, 2, 4, 7, 14].map((days) => usuallyLeft(days).mean);
  expect(shares[0]).toBeGreaterThan(0);
  for (let i = 1; i < shares.length; i++) expect(shares[i]).toBeLessThan(shares[i - 1]!);
  const nothing = learn({ ground: { floorMean: 50, floorSd: 10, fullGain: 6 }, occasions: [] }, undefined, 3);
  // The level of somebody never seen is as likely above the floor as below it.
  expect(leftOfUsual(nothing, 0, 4).mean).toBeCloseTo(usuallyLeft(4).mean, 1);
});
