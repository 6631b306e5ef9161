import loadHighs from 'highs';
import { solveDay, type DayProblem } from '@pace-bend/core/eventDay';
import { seeded } from '@pace-bend/core/random';
import { eventDayModel } from '../core/src/testing/eventDayModel.ts';
import { anyEventDay, disturbed } from '../core/src/testing/eventDays.ts';

/**
 * A day of forty tasks given times, and given them anew after races slipped and a table closed, beside an exact general solver on some of the
 * same days, both warm. How many were proven within a second. Printed as JSON.
 */
const DAYS = 100;
const BESIDE = 12;
const WARMING = 4;
const SECOND_MS = 1000;
const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);
const timed = <T>(work: () => T): { readonly ms: number; readonly result: T } => {
  const from = performance.now();
  const result = work();
  return { ms: performance.now() - from, result };
};
const within = (problem: DayProblem) => {
  const from = performance.now();
  return solveDay(problem, { stop: () => performance.now() - from > SECOND_MS });
};
const highs = await loadHighs();
const rows = [
  { tables: 4, spread: 300 },
  { tables: 4, spread: 150 },
  { tables: 3, spread: 200 },
  { tables: 2, spread: 300 },
].flatMap((size) => {
  const first = Array.from({ length: DAYS }, (_, i) => anyEventDay(seeded(500 + i), { tasks: 40, ...size }));
  const again = first.map((problem, i) => disturbed(seeded(900 + i), { problem, places: within(problem).places }));
  return (['planned', 'planned anew'] as const).map((name, which) => {
    const days = which === 0 ? first : again;
    days.slice(0, WARMING).forEach(within);
    const own = days.map((day) => timed(() => within(day)));
    // Writing the model down is not solving it.
    const models = days.slice(0, BESIDE).map(eventDayModel);
    const general = (model: string) => highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 1e-7, output_flag: false });
    models.slice(0, 1).forEach(general);
    const other = models.map((model) => timed(() => general(model)).ms);
    const proven = (what: readonly string[]) => own.filter(({ result }) => what.includes(result.proven)).length;
    const ms = sorted(own.map((each) => each.ms));
    return {
      name,
      ...size,
      days: DAYS,
      all: proven(['all']),
      promises: proven(['all', 'promises']),
      weight: proven(['all', 'promises', 'weight']),
      own: ms[DAYS >> 1]!,
      ninetieth: ms[Math.floor(DAYS * 0.9)]!,
      other: sorted(other)[BESIDE >> 1]!,
    };
  });
});
process.stdout.write(JSON.stringify(rows));
