import loadHighs from 'highs';
import fc from 'fast-check';
import { solveSession } from '@pace-bend/core/session';
import { anySession, largeSession } from '../core/src/testing/sessions.ts';
import { sessionModel } from '../core/src/testing/sessionModel.ts';

/** The planner beside an exact general solver on the same sessions, and how its time grows. Printed as JSON. */
const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const timed = (work: () => unknown): number => { const from = performance.now(); work(); return performance.now() - from; };

const highs = await loadHighs();
const sizes = [{ candidates: 6, places: 3, stays: 4 }, { candidates: 9, places: 4, stays: 4 }, { candidates: 12, places: 4, stays: 5 }];
const against = sizes.map((size) => {
  const sessions = fc.sample(anySession({ ...size, seconds: [300, 1500], warmUps: 2, measurings: 4 }), { numRuns: 25, seed: 11 });
  sessions.slice(0, 5).forEach((session) => solveSession(session));
  const own = sessions.map((session) => timed(() => solveSession(session)));
  const general = sessions.map((session) => timed(() => highs.solve(sessionModel(session), { mip_rel_gap: 0, output_flag: false })));
  return { name: `${size.candidates} candidates, ${size.places} places`, own: median(own), general: median(general) };
});

const grow = (candidates: number, minutes: number) => {
  const sessions = Array.from({ length: 40 }, (_, i) => largeSession(i + 1, { candidates, minutes }));
  const times = sessions.map((session) => timed(() => solveSession(session)));
  return { candidates, minutes, median: median(times), ninth: [...times].sort((a, b) => a - b)[35]! };
};
grow(20, 35);
const growth = [...[10, 20, 30, 40].map((candidates) => grow(candidates, 60)), ...[20, 35, 90].map((minutes) => grow(40, minutes))];
process.stdout.write(JSON.stringify({ against, growth }));
