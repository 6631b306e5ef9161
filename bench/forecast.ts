import { learn, pathsOf, pooled, visitDays, type Ahead } from '@pace-bend/core/forecast';
import { seeded } from '@pace-bend/core/random';
import { madeAthlete } from '../core/src/testing/athletes.ts';

/** Learning one motion, a squad, and walking its paths, beside a bare loop over the same days with the same numbers. Printed as JSON. */
const VISITS = 20;
const ATHLETES = 40;
const MOTIONS = 6;
const PATHS = 10_000;
const DAYS = 280;
const TIMES = 12;

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;
const timed = (work: () => unknown): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};

const random = seeded(3);
const courses = Array.from({ length: ATHLETES * MOTIONS }, () => madeAthlete(random, VISITS).course);
for (const course of courses.slice(0, 40)) learn(course);
const updates = courses.slice(0, 120).map((course) => timed(() => learn(course)));
const squad = timed(() =>
  pooled(courses.map((course, i) => ({ athleteId: String(Math.floor(i / MOTIONS)), course, known: learn(course, undefined, i + 1) }))),
);

const known = learn(courses[0]!);
const ahead: Ahead = {
  since: 2,
  visits: visitDays(2, 0, DAYS).map((day) => ({ day, usualGain: 6 })),
  homeShare: 0.5,
  at: Array.from({ length: 41 }, (_, week) => week * 7),
};

/** The same number of days, visits and normal numbers by path, in typed arrays, with nothing around it: one athlete, nothing sorted. */
const bareLevels = new Float64Array(PATHS * ahead.at.length);
function bare(): number {
  const visitOn = new Uint8Array(DAYS + 1);
  for (const { day } of ahead.visits) visitOn[day] = 1;
  for (let path = 0; path < PATHS; path++) {
    const next = seeded(path);
    let [level, noise, shift, floor, at] = [0, 0, 0, 0, 0];
    for (let day = 0; ; day++) {
      if (day % 7 === 0) bareLevels[at++ * PATHS + path] = level + noise;
      if (day === DAYS) break;
      if (visitOn[day] === 1) {
        level += noise + 0.3 * 6 * (1 - (level + noise - floor) / 20);
        noise = 0;
        floor += 0.7 * shift;
        shift = 0;
      }
      level = floor + 1 + (level - floor - 1) * 0.95;
      const length = Math.sqrt(-2 * Math.log(1 - next()));
      const angle = 2 * Math.PI * next();
      noise += 0.3 * length * Math.cos(angle);
      shift += 0.3 * length * Math.sin(angle);
    }
  }
  return bareLevels[0]!;
}

for (let i = 0; i < 3; i++) {
  pathsOf(known, ahead, PATHS, i);
  bare();
}
const [own, plain]: [number[], number[]] = [[], []];
for (let i = 0; i < TIMES; i++) {
  own.push(timed(() => pathsOf(known, ahead, PATHS, i)));
  plain.push(timed(bare));
}
process.stdout.write(
  JSON.stringify({
    visits: VISITS,
    update: median(updates),
    updateP95: [...updates].sort((a, b) => a - b)[Math.floor(updates.length * 0.95)]!,
    series: courses.length,
    squad,
    paths: PATHS,
    weeks: DAYS / 7,
    walk: median(own),
    bare: median(plain),
  }),
);
