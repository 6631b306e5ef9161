import { setAccountOfPage } from './account.ts';
import { api, ApiProblem } from './api.ts';
import { installBrowser } from '../testing/browser.ts';
import { dropDraft, keepChoice, keepDraft, readChoice, readDraft, unsentDrafts } from './drafts.ts';

beforeEach(() => {
  installBrowser(() => ({ status: 200, body: {} }));
  setAccountOfPage('ann');
});
afterEach(() => setAccountOfPage(null));

test('what one account typed is nobody else’s to see or to drop', () => {
  keepDraft('v.note', 'Calf sore');
  setAccountOfPage('ben');
  expect(readDraft('v.note')).toBeNull();
  dropDraft('v.note');
  expect(unsentDrafts()).toEqual([]);
  setAccountOfPage('ann');
  expect(readDraft('v.note')).toBe('Calf sore');
});

test('what is not sent is told in words, once each; choices and empty leftovers are not', () => {
  keepDraft('v.referral', 'a');
  keepDraft('w.referral', 'b');
  keepDraft('v.trials.before', { 'hip/left': ['1'] });
  keepDraft('v.trials.after', {});
  keepChoice('muted', true);
  expect([...unsentDrafts()].sort()).toEqual(['a referral', 'readings before work that are not whole yet']);
  expect(readChoice('muted')).toBe(true);
});

test('every request says whose page it comes from, and a refusal for that keeps it for later', async () => {
  let headers: Record<string, string> = {};
  const answer = async (_path: string, init: { headers: Record<string, string> }) => {
    headers = init.headers;
    return {
      ok: false,
      status: 401,
      text: async () => JSON.stringify({ title: 'Somebody else', detail: 'Somebody else has signed in here meanwhile.' }),
    };
  };
  Object.defineProperty(globalThis, 'fetch', { configurable: true, value: answer });
  const problem = await api('PUT', '/visits/v/note', {}).catch((error: unknown) => error);
  expect(headers['Pace-Bend-Account']).toBe('ann');
  expect(problem).toBeInstanceOf(ApiProblem);
  expect((problem as ApiProblem).mayPass).toBe(true);
});
