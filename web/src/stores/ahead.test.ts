import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import type { DayPage } from '@pace-bend/core/record';
import { setAccountOfPage } from '../api/account.ts';
import { forgetKept, keepAnswer, read } from '../api/kept.ts';
import { installBrowser, settle, type Sent, until } from '../testing/browser.ts';
import { visitFile } from '../testing/visitFile.ts';
import { inOrderOfNeed, keepDayAhead } from './ahead.ts';
import { useDay } from './day.ts';
import { useOutbox } from './outbox.ts';

const PRACTICE = { name: 'P', timeZone: 'utc', today: '2026-11-25', revision: 1, devices: null, scope: {} };
const visit = (id: string, over: object = {}) => ({ ...visitFile().visit, id, athleteName: id, ...over });
const page = (date: string) =>
  ({
    date,
    errors: { own: [], shifts: [] },
    events: [],
    unfinished: [],
    unsigned: [],
    visits: [visit('a'), visit('b'), visit('over', { finishedAt: 'x' }), visit('off', { cancelledAt: 'x' })],
  }) as unknown as DayPage;

let up = true;
let sent: Sent[];
const aheads = () => sent.filter(({ path }) => path.endsWith('/ahead')).map(({ path }) => path.split('/')[3]);

beforeEach(async () => {
  up = true;
  ({ sent } = installBrowser(({ path }) => {
    if (!up) return null;
    if (path === '/api/practice') return { status: 200, body: PRACTICE };
    if (path.startsWith('/api/days/')) return { status: 200, body: page(path.split('/')[3]!) };
    return { status: 200, body: { ...visitFile(), visit: visit(path.split('/')[3]!) } };
  }));
  setActivePinia(createPinia());
  setAccountOfPage('ann');
  await forgetKept();
  await useOutbox().open('ann');
});
afterEach(() => useOutbox().close());
afterAll(() => setAccountOfPage(null));

async function start(can = () => true) {
  const scope = effectScope();
  scope.run(() => keepDayAhead(can));
  return scope;
}

test('today’s visits that are to come open without the line, though nobody has opened them; those that are over are left', async () => {
  const scope = await start();
  await useDay().load();
  await until(() => aheads().length >= 2);
  await settle(30);
  expect(aheads()).toEqual(['a', 'b']);
  up = false;
  expect((await read<{ visit: { id: string } }>('/visits/b')).visit.id).toBe('b');
  await expect(read('/visits/over')).rejects.toMatchObject({ isOffline: true });
  scope.stop();
});

test('what was read a while ago is not read again at every look; another day is not kept at all', async () => {
  const scope = await start();
  await useDay().load();
  await until(() => aheads().length >= 2);
  await settle(30);
  await useDay().load();
  await useDay().load('2026-11-26');
  await settle(30);
  expect(aheads()).toEqual(['a', 'b']);
  const now = Date.now;
  Date.now = () => now() + 16 * 60_000;
  await useDay().load();
  await until(() => aheads().length >= 4);
  Date.now = now;
  expect(aheads()).toEqual(['a', 'b', 'a', 'b']);
  scope.stop();
});

test('a visit with changes that wait is left as it is kept; where the program could not be opened, nothing is kept', async () => {
  await keepAnswer('/visits/a', { mine: true });
  const never = await start(() => false);
  await useDay().load();
  await settle(30);
  expect(aheads()).toEqual([]);
  never.stop();
  up = false;
  useOutbox().put({
    record: 'visit/a',
    spot: 'note',
    words: 'the note',
    method: 'PUT',
    path: '/visits/a/note',
    body: { text: 'x' },
    join: 'fields',
    revision: null,
  });
  await settle(30);
  up = true;
  const now = Date.now;
  Date.now = () => now() + 16 * 60_000;
  const scope = await start();
  await useDay().load();
  await settle(30);
  Date.now = now;
  expect(aheads()).not.toContain('a');
  scope.stop();
});

test('a full day: who has not begun comes before who is on a table already, and what is to come before what has passed', () => {
  const now = Date.parse('2026-11-25T12:00:00Z');
  const at = (id: string, time: string, step: 'arrive' | 'plan' = 'arrive') =>
    visit(id, { startsAt: `2026-11-25T${time}:00Z`, minutes: 30, step });
  const day = [
    at('early', '08:00'),
    at('missed', '11:00'),
    at('begun', '12:00', 'plan'),
    at('on', '11:40'),
    at('next', '13:00'),
    at('late', '18:00'),
  ];
  expect(inOrderOfNeed(day, now).map(({ id }) => id)).toEqual(['on', 'next', 'late', 'missed', 'early', 'begun']);
});
