import 'fake-indexeddb/auto';
import { installBrowser, type Answer } from '../testing/browser.ts';
import { visitFile } from '../testing/visitFile.ts';
import { setAccountOfPage } from '../api/account.ts';
import { forgetKept, read } from '../api/kept.ts';
import type { Change } from './change.ts';
import { keepAcknowledged } from './keep.ts';

let answer: Answer | null;
beforeEach(async () => {
  installBrowser(() => answer);
  setAccountOfPage('ann');
  await forgetKept();
});
afterAll(() => setAccountOfPage(null));

const change = (record: string, spot: string, over: Partial<Change> = {}): Change => ({
  id: spot,
  record,
  spot,
  words: '',
  method: 'PUT',
  path: `/x/${spot}`,
  body: {},
  join: 'none',
  revision: null,
  order: 1,
  madeAt: '2026-11-25T09:30:00.000Z',
  tried: [],
  refusal: null,
  ...over,
});

async function kept(path: string, body: unknown) {
  answer = { status: 200, body };
  await read(path);
  answer = null;
}

test('a reading acknowledged with no visit open is in the visit when it is opened without a line', async () => {
  await kept('/visits/v', visitFile());
  await keepAcknowledged(change('visit/v', 'reading/hip-flexion/left/before'), { id: 'r', value: 4 });
  await keepAcknowledged(change('visit/other', 'reading/hip-flexion/left/before'), { id: 'no', value: 5 });
  expect((await read<ReturnType<typeof visitFile>>('/visits/v')).readings.map(({ id }) => id)).toEqual(['r']);
});

test('a condition added to an athlete’s file is in every visit of theirs that is kept, and in nobody else’s', async () => {
  const mine = visitFile();
  await kept('/visits/v', mine);
  await kept('/visits/w', { ...mine, athlete: { ...mine.athlete, id: 'somebody else' } });
  await keepAcknowledged(change(`athlete/${mine.athlete.id}`, 'condition/c'), { id: 'c', revision: 1 });
  expect((await read<typeof mine>('/visits/v')).conditions.map(({ id }) => id)).toEqual(['c']);
  expect((await read<typeof mine>('/visits/w')).conditions).toEqual([]);
});

test('an answer that is slower than what was read after it changes nothing back', async () => {
  const file = visitFile();
  await kept('/visits/v', { ...file, plan: { revision: 7, blocks: [] } });
  await keepAcknowledged(change('visit/v', 'plan', { body: { blocks: ['older'] } }), { revision: 6 });
  expect((await read<typeof file>('/visits/v')).plan).toEqual({ revision: 7, blocks: [] });
});

test('an item of one’s own is on the shelf that is kept, once', async () => {
  await kept('/shelf', { items: [{ id: 'a' }, { id: 'b', retiredAt: null }] });
  await keepAcknowledged(change('shelf', 'retired/b'), { id: 'b', retiredAt: 'now' });
  expect(await read('/shelf')).toEqual({ items: [{ id: 'a' }, { id: 'b', retiredAt: 'now' }] });
});
