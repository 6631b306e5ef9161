import { MOTIONS } from '@pace-bend/core/body';
import { foldTrends, type FoldReading } from '@pace-bend/core/trend';

/** Two hundred thousand readings folded into smoothed trends, beside plain means of the same groups, in turns. */
const READINGS = 200_000;
const ATHLETES = 2000;
const motions = MOTIONS.slice(0, 5);
const readings = Array.from({ length: READINGS }, (_, i): FoldReading => {
  const athlete = i % ATHLETES;
  const motion = motions[Math.floor(i / ATHLETES) % motions.length]!;
  const visit = Math.floor(i / (ATHLETES * motions.length * 2));
  return {
    athleteId: `a${athlete}`,
    motionId: motion.id,
    side: Math.floor(i / (ATHLETES * motions.length)) % 2 === 0 ? 'left' : 'right',
    instrument: motion.instruments[0],
    day: visit * 7,
    value: 60 + ((i * 2_654_435_761) % 1000) / 50,
  };
});

function means(): number {
  const groups = new Map<string, { sum: number; n: number }>();
  for (const { athleteId, motionId, side, value } of readings) {
    const key = `${athleteId}/${motionId}/${side}`;
    const group = groups.get(key);
    if (group) {
      group.sum += value;
      group.n += 1;
    } else groups.set(key, { sum: value, n: 1 });
  }
  return groups.size;
}

const time = (work: () => number): { readonly ms: number; readonly groups: number } => {
  const started = performance.now();
  const groups = work();
  return { ms: performance.now() - started, groups };
};
const runs = { fold: [] as number[], means: [] as number[] };
let groups = 0;
for (let i = 0; i < 5; i++) {
  const fold = time(() => foldTrends(readings, () => 2).length);
  groups = fold.groups;
  runs.fold.push(fold.ms);
  runs.means.push(time(means).ms);
}
const median = (list: number[]) => [...list].sort((a, b) => a - b)[2]!;
console.log(JSON.stringify({ readings: READINGS, groups, foldMs: median(runs.fold), meansMs: median(runs.means) }));
