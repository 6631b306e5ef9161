import { ApiProblem } from '../app/api.ts';
import { installBrowser, settle } from '../testing/browser.ts';
import { autosave } from './autosave.ts';

const offline = () => new ApiProblem(0, 'No answer', '');
const stale = () => new ApiProblem(409, 'Changed meanwhile', 'Somewhere else.');

beforeEach(() => installBrowser(() => null));

test('what is typed is in the browser at once and leaves it only when it was acknowledged', async () => {
  const sent: string[] = [];
  const saver = autosave<string>('v.note', async (text) => { sent.push(text); });
  saver.set('one');
  expect(saver.pending()).toBe('one');
  expect(saver.state.value).toBe('saving');
  await saver.flush();
  expect(sent).toEqual(['one']);
  expect(saver.pending()).toBeNull();
  expect(saver.state.value).toBe('saved');
});

test('typing on sends the last words, not every letter', async () => {
  const sent: string[] = [];
  const saver = autosave<string>('v.note', async (text) => { sent.push(text); });
  for (const text of ['a', 'ab', 'abc']) saver.set(text);
  await settle(700);
  expect(sent).toEqual(['abc']);
});

test('what changes while a request is under way goes with the next one, in order', async () => {
  const sent: string[] = [];
  let release = () => {};
  const saver = autosave<string>('v.note', async (text) => {
    sent.push(text);
    if (text === 'first') await new Promise<void>((resolve) => { release = resolve; });
  });
  saver.set('first');
  const flushed = saver.flush();
  saver.set('second');
  release();
  await flushed;
  expect(sent).toEqual(['first', 'second']);
  expect(saver.pending()).toBeNull();
});

test('without an answer it stays, says so, and is sent later', async () => {
  let up = false;
  const saver = autosave<string>('v.note', async () => { if (!up) throw offline(); });
  saver.set('kept');
  await saver.flush();
  expect(saver.state.value).toBe('offline');
  expect(saver.pending()).toBe('kept');
  up = true;
  await saver.flush();
  expect(saver.state.value).toBe('saved');
});

test('a refusal is shown, is not repeated by itself, and loses nothing', async () => {
  let tries = 0;
  const saver = autosave<string>('v.note', async () => { tries += 1; throw stale(); });
  saver.set('mine');
  await saver.flush();
  expect(saver.state.value).toBe('refused');
  expect(saver.problem.value?.message).toBe('Somewhere else.');
  expect(saver.pending()).toBe('mine');
  await settle(50);
  expect(tries).toBe(1);
  saver.discard();
  expect(saver.state.value).toBe('saved');
  expect(saver.pending()).toBeNull();
});

test('a new page finds what an old one could not send', () => {
  const old = autosave<string>('v.note', async () => { throw offline(); });
  old.set('from the old page');
  expect(autosave<string>('v.note', async () => {}).pending()).toBe('from the old page');
  old.discard();
});

test('with the storage full, typing goes on', async () => {
  Object.defineProperty(globalThis, 'localStorage', { configurable: true, value: { getItem: () => { throw new Error('denied'); }, setItem: () => { throw new Error('full'); }, removeItem: () => { throw new Error('denied'); } } });
  const sent: string[] = [];
  const saver = autosave<string>('v.note', async (text) => { sent.push(text); });
  saver.set('still sent');
  await saver.flush();
  expect(sent).toEqual(['still sent']);
  expect(saver.pending()).toBeNull();
});
