import { createPinia, setActivePinia } from 'pinia';
import { installBrowser, settle } from '../testing/browser.ts';
import { useDay } from './day.ts';

const page = (date: string) => ({ date, visits: [], events: [], unfinished: [], unsigned: [] });

/** Answers after the pauses given, by date. */
function slowServer(pauses: Record<string, number>, refuse: string[] = []) {
  installBrowser(() => null);
  Object.defineProperty(globalThis, 'fetch', {
    configurable: true,
    value: async (path: string) => {
      if (path.endsWith('/practice'))
        return { ok: true, status: 200, text: async () => JSON.stringify({ name: 'P', timeZone: 'utc', today: '2026-11-25' }) };
      const date = path.split('/').at(-1)!;
      await settle(pauses[date] ?? 0);
      const ok = !refuse.includes(date);
      return {
        ok,
        status: ok ? 200 : 422,
        text: async () => JSON.stringify(ok ? page(date) : { title: 'Not valid', detail: 'No such day.' }),
      };
    },
  });
  setActivePinia(createPinia());
}

test('of two days asked for at once the last one is shown, whichever answer comes first', async () => {
  slowServer({ '2026-11-25': 60, '2026-11-30': 5 });
  const day = useDay();
  await Promise.all([day.load(), day.load('2026-11-30')]);
  expect(day.page?.date).toBe('2026-11-30');
  expect(day.loading).toBe(false);
});

test('an old answer does not wipe out the problem of a later question', async () => {
  slowServer({ '2026-11-25': 60 }, ['1880-01-01']);
  const day = useDay();
  await Promise.all([day.load(), day.load('1880-01-01')]);
  expect(day.problem?.message).toBe('No such day.');
  expect(day.page).toBeNull();
});

test('a good answer clears an earlier problem', async () => {
  slowServer({}, ['1880-01-01']);
  const day = useDay();
  await day.load('1880-01-01');
  await day.load();
  expect(day.problem).toBeNull();
  expect(day.page?.date).toBe('2026-11-25');
});
