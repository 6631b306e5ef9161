import { createPinia, setActivePinia } from 'pinia';
import { useOutbox } from './outbox.ts';
import { ENTRIES, findEntry } from '@pace-bend/core/catalogue';
import { METHODS, type OwnItem, type OwnWayFields } from '@pace-bend/core/method';
import { ApiProblem } from '../api/api.ts';
import { formOf, sentOf } from '../shelf/ownEntryForm.ts';
import { installBrowser, type Sent } from '../testing/browser.ts';
import { useShelf } from './shelf.ts';

const WAY: OwnWayFields = {
  kind: 'way',
  baseId: 'cr-breath',
  name: 'Crew breath work',
  purpose: '',
  what: '',
  synonyms: [],
  schoolsDiffer: '',
  rounds: 2,
  numbers: { contract: [9] },
  choices: {},
  lists: {},
};
const calf = () => ({ ...sentOf(formOf(findEntry('calf-supine')!)), name: 'Calf over the bolster' });
const LIMITS = {
  palm: 100,
  forearm: 100,
  knuckles: 30,
  thumb: 15,
  fingers: 30,
  elbow: 20,
  'body lean': 100,
  stick: 60,
  foot: 30,
  towel: 60,
};

/** A server that keeps items, and can be away. */
async function open() {
  const items: OwnItem[] = [];
  const server = { up: true, refuses: false };
  const { sent } = installBrowser(({ method, path, body }: Sent) => {
    if (!server.up) return null;
    if (server.refuses)
      return {
        status: 409,
        body: { type: '/problems/changed-meanwhile', title: 'Changed meanwhile', detail: 'Somebody else changed it first.' },
      };
    if (method === 'GET')
      return { status: 200, body: path.endsWith('/shelf') ? { items } : { limits: LIMITS, revision: 0, knuckleCm: 72 } };
    const id = path.split('/')[3]!;
    if (method === 'PUT' && path.includes('/shelf/')) {
      const made = {
        id,
        ...(body as Pick<OwnItem, 'fields' | 'supersedes'>),
        madeAt: '2026-11-25T10:00:00.000Z',
        madeBy: 'Marit Voss',
        retiredAt: null,
      };
      items.push(made);
      return { status: 200, body: made };
    }
    if (method === 'PUT')
      return {
        status: 200,
        body: {
          limits: path.endsWith('/limits') ? (body as { limits: typeof LIMITS }).limits : LIMITS,
          revision: 1,
          knuckleCm: path.endsWith('/me') ? (body as { knuckleCm: number }).knuckleCm : 72,
        },
      };
    const at = items.findIndex((item) => item.id === id);
    items[at] = { ...items[at]!, retiredAt: path.endsWith('/retire') ? '2026-11-25T11:00:00.000Z' : null };
    return { status: 200, body: items[at] };
  });
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  return { shelf: useShelf(), items, server, sent };
}

test('before anything is loaded, and without a server, there is what ships; asking again later finds it', async () => {
  const { shelf, server, sent } = await open();
  expect([shelf.entries.length, shelf.methods.length]).toEqual([ENTRIES.length, METHODS.length]);
  server.up = false;
  await expect(shelf.load()).rejects.toThrow();
  server.up = true;
  await Promise.all([shelf.load(), shelf.load()]);
  await shelf.load();
  expect(sent.filter((each) => each.path.endsWith('/shelf'))).toHaveLength(2);
  expect(shelf.hands).toEqual({ limits: LIMITS, revision: 0, knuckleCm: 72 });
});

test('a change is a new version: the new one is offered, the old one can still be looked up, and links find the new one', async () => {
  const { shelf } = await open();
  await shelf.load();
  const first = await shelf.save(WAY, null);
  const second = await shelf.save({ ...WAY, numbers: { contract: [4] } }, first);
  const third = await shelf.save({ ...WAY, name: 'Crew breath work, short' }, second);
  expect(shelf.methods.filter((method) => method.madeFrom === 'cr-breath').map((method) => method.id)).toEqual([third]);
  expect(shelf.methodOf(first).numbers.find((spec) => spec.id === 'contract')!.default).toEqual([9]);
  expect([first, second, third, 'cr-breath'].map(shelf.newestOf)).toEqual([third, third, third, 'cr-breath']);
  expect(shelf.itemOf(second)!.supersedes).toBe(first);
});

test('taken off the shelf it is not offered and can be put back; a refusal changes nothing here', async () => {
  const { shelf, server } = await open();
  await shelf.load();
  const id = await shelf.save(calf(), null);
  expect(shelf.entries.some((entry) => entry.id === id)).toBe(true);
  await shelf.setRetired(id, true);
  expect(shelf.entries.some((entry) => entry.id === id)).toBe(false);
  expect(shelf.entryOf(id).name).toBe('Calf over the bolster');
  server.refuses = true;
  await expect(shelf.setRetired(id, false)).rejects.toBeInstanceOf(ApiProblem);
  await expect(shelf.save(calf(), id)).rejects.toThrow('Somebody else changed it first.');
  expect(shelf.items).toHaveLength(1);
  server.refuses = false;
  await shelf.setRetired(id, false);
  expect(shelf.entries.some((entry) => entry.id === id)).toBe(true);
});

test('limits and the height of the knuckles are kept one by one', async () => {
  const { shelf, sent } = await open();
  await shelf.load();
  await shelf.saveHands({ knuckleCm: null });
  expect(shelf.hands.knuckleCm).toBeNull();
  await shelf.saveHands({ limits: { ...LIMITS, thumb: 5 } });
  expect(shelf.hands.limits.thumb).toBe(5);
  expect(sent.filter((each) => each.method === 'PUT').map((each) => each.path)).toEqual(['/api/hands/me', '/api/hands/limits']);
});
