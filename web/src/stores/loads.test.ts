import { createPinia, setActivePinia } from 'pinia';
import type { LoadFields } from '@pace-bend/core/load';
import { installBrowser, settle, until } from '../testing/browser.ts';
import { useLoads } from './loads.ts';
import { useOutbox } from './outbox.ts';

const SESSION: LoadFields = {
  onDate: '2026-11-20',
  kind: 'run',
  minutes: 60,
  exertion: 5,
  amount: null,
  askedAfterMin: null,
  planned: false,
};

/** A server that keeps sessions, and that answers a question, once it is let, with what it had when the question came. */
function slowServer(untilLet: (path: string) => Promise<void>) {
  installBrowser(() => null);
  const kept: object[] = [];
  const asked: string[] = [];
  Object.defineProperty(globalThis, 'fetch', {
    configurable: true,
    value: async (path: string, { method, body }: { method: string; body?: string }) => {
      let answer: object;
      if (method === 'PUT') {
        await settle(10);
        answer = { ...(JSON.parse(body!) as object), id: path.split('/').at(-1), at: '', by: '', revision: 1 };
        kept.push(answer);
      } else {
        asked.push(path);
        const to = new URLSearchParams(path.split('?')[1]).get('to')!;
        answer = { from: '', to, columns: null, athletes: [{ id: 'a', name: 'A', sports: [], loads: [...kept] }] };
        await untilLet(path);
      }
      return { ok: true, status: 200, text: async () => JSON.stringify(answer) };
    },
  });
  setActivePinia(createPinia());
  return { asked };
}

test('of two weeks asked for at once the last one is shown, whichever answer comes first', async () => {
  slowServer((path) => settle(path.includes('to=2026-11-22') ? 5 : 60));
  const loads = useLoads();
  await Promise.all([loads.load(null, '2026-11-29'), loads.load(null, '2026-11-22')]);
  expect(loads.served?.to).toBe('2026-11-22');
});

test('a session answered while the weeks are on their way is not lost from them: they are read again', async () => {
  let letIt = () => {};
  const first = new Promise<void>((resolve) => {
    letIt = resolve;
  });
  const { asked } = slowServer(() => first);
  await useOutbox().open('ann');
  const loads = useLoads();
  loads.write('a', SESSION, null);
  const reading = loads.load(null, '2026-11-22');
  void useOutbox().flush();
  await until(() => loads.unsent.length === 0);
  expect(loads.served).toBeNull();
  letIt();
  await reading;
  expect(asked).toHaveLength(2);
  expect(loads.athletes[0]!.loads.map(({ minutes }) => minutes)).toEqual([60]);
  expect(loads.saveState).toBe('saved');
});
