import loadHighs from 'highs';
import { seeded } from '@pace-bend/core/random';
import { fillWeek } from '@pace-bend/core/week';
import { largeWeek } from '../core/src/testing/weeks.ts';
import { weekModel } from '../core/src/testing/weekModel.ts';

/** A week filled beside an exact general solver on the same weeks, both warm. Printed as JSON. */
const WEEKS = 24;
const WARMING = 4;
const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);
const timed = (work: () => unknown): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};
const highs = await loadHighs();
const rows = [40, 14].flatMap((people) =>
  [2, 3].map((apart) => {
    const weeks = Array.from({ length: WEEKS }, (_, i) => largeWeek(seeded(100 + i), people, apart));
    // Writing the model down is not solving it.
    const models = weeks.map(weekModel);
    const general = (model: string) => highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 1e-7, output_flag: false });
    weeks.slice(0, WARMING).forEach((week) => fillWeek(week));
    models.slice(0, WARMING).forEach(general);
    const own = weeks.map((week) => timed(() => fillWeek(week)));
    const other = models.map((model) => timed(() => general(model)));
    return {
      people,
      apart,
      own: sorted(own)[WEEKS >> 1]!,
      ownMost: Math.max(...own),
      other: sorted(other)[WEEKS >> 1]!,
      otherMost: Math.max(...other),
    };
  }),
);
process.stdout.write(JSON.stringify(rows));
