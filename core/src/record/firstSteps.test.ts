import fc from 'fast-check';
import { FIRST_STEPS, firstStepsProgress } from './firstSteps.ts';

const some = fc.subarray([...FIRST_STEPS]);

test('every step has one state; done wins over set aside; at most one is next, and nothing before it is open', () => {
  fc.assert(
    fc.property(some, some, (done, skipped) => {
      const { steps, done: count, complete } = firstStepsProgress({ done, skipped });
      expect(steps.map(({ id }) => id)).toEqual(FIRST_STEPS);
      expect(count).toBe(done.length);
      for (const { id, state } of steps) {
        expect(state === 'done').toBe(done.includes(id));
        expect(state === 'skipped').toBe(skipped.includes(id) && !done.includes(id));
      }
      const states = steps.map(({ state }) => state);
      expect(states.includes('next')).toBe(!complete);
      if (!complete) {
        expect(states.indexOf('open') === -1 || states.indexOf('open') > states.indexOf('next')).toBe(true);
        expect(states.lastIndexOf('next')).toBe(states.indexOf('next'));
      } else expect(states).not.toContain('open');
    }),
  );
});
