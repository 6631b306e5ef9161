import fc from 'fast-check';
import loadHighs from 'highs';
import { anySession } from '../../testing/sessions.ts';
import { sessionModel } from '../../testing/sessionModel.ts';
import { solveSession } from '../index.ts';

const middle = anySession({ candidates: 9, places: 4, seconds: [300, 1500], stays: 4, warmUps: 2, measurings: 4 });

// HiGHS, an exact general solver for mixed-integer programs (Huangfu Q, Hall JAJ. Math Prog Comp 2018;10:119–142): the same
// sessions written as linear rows and whole numbers, with nothing of the program's own method.
test('two hundred middling sessions: the same value as an exact general solver', async () => {
  const highs = await loadHighs();
  const found = { planned: 0, impossible: 0 };
  fc.assert(
    fc.property(middle, (problem) => {
      const own = solveSession(problem);
      const general = highs.solve(sessionModel(problem), { mip_rel_gap: 0, mip_abs_gap: 1e-7, output_flag: false });
      if (general.Status === 'Infeasible') {
        found.impossible += 1;
        expect(own.status).toBe('impossible');
      } else {
        if (own.value > 0) found.planned += 1;
        expect(general.Status).toBe('Optimal');
        expect(own.status).toBe('optimal');
        expect(own.value).toBeCloseTo(general.ObjectiveValue, 5);
      }
    }),
    { numRuns: 120, endOnFailure: true },
  );
  expect(found.planned).toBeGreaterThan(70);
}, 300_000);
