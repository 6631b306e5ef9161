import { installBrowser, type Answer } from '../testing/browser.ts';
import { api, ApiProblem } from './api.ts';

async function problemOf(answer: Answer | null): Promise<ApiProblem> {
  installBrowser(() => answer);
  const error = await api('GET', '/x').catch((caught: unknown) => caught);
  expect(error).toBeInstanceOf(ApiProblem);
  return error as ApiProblem;
}

test('an answer comes back as its JSON; a body goes out as JSON', async () => {
  const { sent } = installBrowser(() => ({ status: 200, body: { value: 4 } }));
  expect(await api('PUT', '/visits/v/note', { text: 'a' })).toEqual({ value: 4 });
  expect(sent).toEqual([{ method: 'PUT', path: '/api/visits/v/note', body: { text: 'a' } }]);
});

test('a problem document keeps its words, its fields and what stands now', async () => {
  const problem = await problemOf({
    status: 409,
    body: {
      type: '/problems/changed-meanwhile',
      title: 'Changed meanwhile',
      detail: 'Somewhere else.',
      errors: [{ path: 'a', message: 'b' }],
      current: { revision: 3 },
    },
  });
  expect(problem).toMatchObject({
    status: 409,
    title: 'Changed meanwhile',
    message: 'Somewhere else.',
    errors: [{ path: 'a', message: 'b' }],
    current: { revision: 3 },
    isStale: true,
    isOffline: false,
  });
});

test('no answer is told apart from a refusal, and promises nothing of what was typed: that is the outbox’s to say', async () => {
  const problem = await problemOf(null);
  expect(problem.isOffline).toBe(true);
  expect(problem.message).toBe('The program cannot be reached.');
});

test('something unreadable is a problem, not a crash', async () => {
  expect((await problemOf({ status: 502, body: '<html>' })).title).toBe('Not readable');
  expect((await problemOf({ status: 200, body: '' })).title).toBe('Not readable');
});

test('a refusal without words still has some', async () => {
  expect((await problemOf({ status: 500, body: {} })).message.length).toBeGreaterThan(10);
});
