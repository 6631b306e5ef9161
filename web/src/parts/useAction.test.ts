import { ApiProblem } from '../api/api.ts';
import { useAction } from './useAction.ts';

test('what is refused is kept until the next try; what is done is said', async () => {
  const { problem, run } = useAction();
  expect(
    await run(async () => {
      throw new ApiProblem('not-valid', 'No such day.', { errors: [{ path: 'scope.ruleLink', message: 'No link.' }] });
    }),
  ).toBe(false);
  expect(problem.value?.message).toBe('No such day.');
  expect(problem.value?.fieldMessages()).toEqual({ ruleLink: 'No link.' });
  expect(await run(async () => undefined)).toBe(true);
  expect(problem.value).toBeNull();
});

test('one at a time: pressing twice does it once', async () => {
  const { busy, run } = useAction();
  let done = 0;
  let release = () => {};
  const first = run(
    () =>
      new Promise<void>((resolve) => {
        done += 1;
        release = resolve;
      }),
  );
  expect(busy.value).toBe(true);
  expect(
    await run(async () => {
      done += 1;
    }),
  ).toBe(false);
  release();
  expect(await first).toBe(true);
  expect([done, busy.value]).toEqual([1, false]);
});

test('a fault of the program is no refusal, and does not leave the screen busy', async () => {
  const { busy, problem, run } = useAction();
  await expect(
    run(async () => {
      throw new TypeError('fault');
    }),
  ).rejects.toThrow('fault');
  expect([busy.value, problem.value]).toEqual([false, null]);
});

test('a refusal that names no field is told for the whole form', () => {
  expect(new ApiProblem('changed-meanwhile', 'Somewhere else.').fieldMessages('all')).toEqual({ all: 'Somewhere else.' });
});
