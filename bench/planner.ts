import loadHighs from 'highs';
import fc from 'fast-check';
import { MOTIONS, type Side } from '@pace-bend/core/body';
import { ENTRIES } from '@pace-bend/core/catalogue';
import { seeded } from '@pace-bend/core/random';
import { proposeSession, solveSession, type SessionFacts } from '@pace-bend/core/session';
import { anySession, largeSession } from '../core/src/testing/sessions.ts';
import { SESSION } from '../core/src/testing/sessionFacts.ts';
import { sessionModel } from '../core/src/testing/sessionModel.ts';
import { playedSports } from '@pace-bend/core/sport';

/** The planner beside an exact general solver on the same sessions, how its time grows, and whole proposals. Printed as JSON. */
const sorted = (values: readonly number[]): number[] => [...values].sort((a, b) => a - b);
const at = (values: readonly number[], share: number): number =>
  sorted(values)[Math.min(values.length - 1, Math.floor(values.length * share))]!;
const timed = (work: () => unknown): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};

const SESSIONS = 25;
const WARMING = 8;
const highs = await loadHighs();
const general = (model: string) => highs.solve(model, { mip_rel_gap: 0, output_flag: false });
const sizes = [
  { candidates: 6, places: 3, stays: 4 },
  { candidates: 9, places: 4, stays: 4 },
  { candidates: 12, places: 4, stays: 5 },
];
const against = sizes.map((size) => {
  const sessions = fc.sample(anySession({ ...size, seconds: [300, 1500], warmUps: 2, measurings: 4 }), { numRuns: SESSIONS, seed: 11 });
  // Writing the model down is not solving it.
  const models = sessions.map(sessionModel);
  for (const session of sessions.slice(0, WARMING)) solveSession(session);
  for (const model of models.slice(0, WARMING)) general(model);
  let infeasible = 0;
  const own = sessions.map((session) => timed(() => solveSession(session)));
  const other = models.map((model) =>
    timed(() => {
      if (general(model).Status === 'Infeasible') infeasible += 1;
    }),
  );
  return {
    name: `${size.candidates} candidates, ${size.places} places`,
    own: at(own, 0.5),
    general: at(other, 0.5),
    infeasible,
    sessions: SESSIONS,
  };
});

const grow = (candidates: number, minutes: number) => {
  const sessions = Array.from({ length: 40 }, (_, i) => largeSession(i + 1, { candidates, minutes }));
  const times = sessions.map((session) => timed(() => solveSession(session)));
  return { candidates, minutes, median: at(times, 0.5), p95: at(times, 0.95) };
};
grow(20, 35);
const growth = [...[10, 20, 30, 40].map((candidates) => grow(candidates, 60)), ...[20, 35, 90].map((minutes) => grow(40, minutes))];

/** Whole proposals from invented readings: what is wanted, everything that could be done for it, and the plan, to the second. */
const WORKED = MOTIONS.filter(
  (motion) => motion.sides.length === 2 && ENTRIES.some((entry) => entry.motionId === motion.id && entry.measured),
);
function factsOf(seed: number, motions: number, minutes: number): SessionFacts {
  const random = seeded(seed);
  const chosen = [...WORKED]
    .map((motion) => ({ motion, order: random() }))
    .sort((a, b) => a.order - b.order)
    .slice(0, motions)
    .map((each) => each.motion);
  const today = chosen.flatMap((motion) =>
    (['left', 'right'] as Side[]).map((side) => ({
      motionId: motion.id,
      side,
      moment: 'before' as const,
      instrument: motion.instruments[0],
      examinerId: null,
      value: Math.round((motion.fan.min + (0.1 + 0.6 * random()) * (motion.fan.max - motion.fan.min)) * 10) / 10,
    })),
  );
  return {
    ...SESSION,
    person: {
      birthDate: '1999-05-05',
      referenceSex: 'female',
      sports: playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }]),
    },
    today,
    minutes,
  };
}
for (let seed = 900; seed < 910; seed++) proposeSession(factsOf(seed, 5, 40), String);
const whole = [
  [3, 30],
  [5, 40],
  [8, 60],
  [8, 90],
].map(([motions, minutes]) => {
  const times = Array.from({ length: 40 }, (_, i) => timed(() => proposeSession(factsOf(i + 1, motions!, minutes!), String)));
  return { motions, minutes, median: at(times, 0.5), p95: at(times, 0.95) };
});
process.stdout.write(JSON.stringify({ against, growth, whole }));
