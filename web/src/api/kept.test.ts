import 'fake-indexeddb/auto';
import { installBrowser, type Answer } from '../testing/browser.ts';
import { setAccountOfPage } from './account.ts';
import { amendKept, forgetForGood, forgetKept, forgetOthers, keepAnswer, read } from './kept.ts';

let answer: Answer | null = { status: 200, body: { value: 1 } };
beforeEach(async () => {
  installBrowser(() => answer);
  setAccountOfPage('ann');
  await forgetKept();
  answer = { status: 200, body: { value: 1 } };
});
afterAll(() => setAccountOfPage(null));
const offline = () => {
  answer = null;
};

test('without the line, what was read last is read again; what never was is said not to be', async () => {
  await read('/visits/v');
  answer = { status: 200, body: { value: 2 } };
  await read('/visits/v');
  offline();
  expect(await read('/visits/v')).toEqual({ value: 2 });
  await expect(read('/visits/w')).rejects.toMatchObject({ isOffline: true });
});

test('an answer of the server is never put aside for something older: a refusal stays one', async () => {
  await read('/visits/v');
  answer = { status: 403, body: { type: '/problems/not-yours', title: 'Not yours to do', detail: 'No.' } };
  await expect(read('/visits/v')).rejects.toMatchObject({ status: 403 });
});

test('what was acknowledged since is part of it', async () => {
  await read('/visits/v');
  await keepAnswer('/visits/v', { value: 'with the reading' });
  offline();
  expect(await read('/visits/v')).toEqual({ value: 'with the reading' });
});

test('what was acknowledged while nobody looked at it is put into everything kept that it belongs to', async () => {
  await read('/visits/v');
  answer = { status: 200, body: { value: 2 } };
  await read('/visits/w');
  await read('/day');
  await amendKept('/visits/', (value) => ({ ...(value as object), more: true }));
  offline();
  expect(await read('/visits/v')).toEqual({ value: 1, more: true });
  expect(await read('/visits/w')).toEqual({ value: 2, more: true });
  expect(await read('/day')).toEqual({ value: 2 });
});

test('an answer that was on its way while something was acknowledged is not kept over it', async () => {
  await read('/visits/v');
  answer = { status: 200, body: { value: 'asked for before' } };
  const asked = read('/visits/v');
  await amendKept('/visits/v', () => ({ value: 'acknowledged' }));
  expect(await asked).toEqual({ value: 'asked for before' });
  offline();
  expect(await read('/visits/v')).toEqual({ value: 'acknowledged' });
});

test('another account reads nothing of it, and once in leaves nothing of it there', async () => {
  await read('/visits/v');
  setAccountOfPage('ben');
  offline();
  await expect(read('/visits/v')).rejects.toMatchObject({ isOffline: true });
  await forgetOthers();
  setAccountOfPage('ann');
  await expect(read('/visits/v')).rejects.toMatchObject({ isOffline: true });
});

test('after sixteen hours it is too old to be shown', async () => {
  await read('/visits/v');
  offline();
  const now = Date.now;
  Date.now = () => now() + 16.1 * 3_600_000;
  await expect(read('/visits/v')).rejects.toMatchObject({ isOffline: true });
  Date.now = now;
});

test('signing out forgets it all', async () => {
  await read('/visits/v');
  await forgetKept();
  offline();
  await expect(read('/visits/v')).rejects.toMatchObject({ isOffline: true });
});

test('an answer that comes when somebody has already left is not kept', async () => {
  const asked = read('/visits/v');
  await forgetForGood();
  await asked;
  offline();
  await expect(read('/visits/v')).rejects.toMatchObject({ isOffline: true });
});
