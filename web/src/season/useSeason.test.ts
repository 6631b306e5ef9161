import type { SeasonFile } from '@pace-bend/core/record';
import { EMPTY_PLAN, type Block } from '@pace-bend/core/season';
import { installBrowser, settle } from '../testing/browser.ts';
import { useSeason } from './useSeason.ts';

const block = (from: string, until: string, phase: Block['phase'] = 'build'): Block => ({
  phase,
  from,
  until,
  fromAnchor: null,
  untilAnchor: null,
});
const PLAN = { ...EMPTY_PLAN, blocks: [block('2026-11-01', '2026-11-30')] };

/** A server that keeps one season and counts its revisions; `refuse` says what it answers instead. */
function server(refuse: (method: string) => number | null = () => null, pauseOf: (path: string) => number = () => 1) {
  installBrowser(() => null);
  const kept = { plan: PLAN as SeasonFile['plan'], revision: 3 };
  const asked: string[] = [];
  const fileOf = (path: string): Partial<SeasonFile> => ({ owner: 'squad', ownerId: path, name: path, followed: null, ...kept });
  Object.defineProperty(globalThis, 'fetch', {
    configurable: true,
    value: async (path: string, { method, body }: { method: string; body?: string }) => {
      asked.push(`${method} ${path}`);
      await settle(pauseOf(path));
      const status = refuse(method) ?? 200;
      if (status !== 200)
        return {
          ok: false,
          status,
          headers: new Headers(),
          text: async () => JSON.stringify({ type: '/problems/stale', title: 'No', status, detail: 'Changed meanwhile.' }),
        };
      if (method === 'PUT') {
        const { revision, ...plan } = JSON.parse(body!) as SeasonFile['plan'] & { revision: number };
        if (revision !== kept.revision)
          return {
            ok: false,
            status: 409,
            headers: new Headers(),
            text: async () => JSON.stringify({ type: '/problems/stale', title: 'No', status: 409, detail: 'Changed meanwhile.' }),
          };
        Object.assign(kept, { plan, revision: revision + 1 });
      }
      return { ok: true, status: 200, headers: new Headers(), text: async () => JSON.stringify(fileOf(path)) };
    },
  });
  return { kept, asked };
}
const NEXT = { ...PLAN, blocks: [block('2026-11-01', '2026-12-10')] };

test('a change is written on the revision that is shown, taken back and done again', async () => {
  const { kept } = server();
  const season = useSeason();
  await season.open({ owner: 'squad', id: 's' });
  expect(await season.change('longer', NEXT)).toBe(true);
  expect(kept).toMatchObject({ plan: NEXT, revision: 4 });
  await season.undo();
  expect(kept).toMatchObject({ plan: PLAN, revision: 5 });
  expect([season.done.value.length, season.undone.value.length]).toEqual([0, 1]);
  await season.redo();
  expect(kept).toMatchObject({ plan: NEXT, revision: 6 });
  // Something new ends what could be done again.
  await season.undo();
  await season.change('other', { ...PLAN, blocks: [] });
  expect(season.undone.value).toEqual([]);
});

test('it is shown before the answer comes, and taken back where the server refuses it', async () => {
  let refusing = false;
  server(
    (method) => (refusing && method === 'PUT' ? 422 : null),
    () => 20,
  );
  const season = useSeason();
  await season.open({ owner: 'squad', id: 's' });
  refusing = true;
  const writing = season.change('longer', NEXT);
  expect(season.plan.value!.blocks[0]!.until).toBe('2026-12-10');
  expect(await writing).toBe(false);
  expect(season.plan.value!.blocks[0]!.until).toBe('2026-11-30');
  expect(season.problem.value!.message).toContain('Changed meanwhile');
  expect(season.done.value).toEqual([]);
});

test('changed by somebody else meanwhile: what stands is read again and the reason is said', async () => {
  const { kept } = server();
  const season = useSeason();
  await season.open({ owner: 'squad', id: 's' });
  Object.assign(kept, { plan: { ...PLAN, blocks: [] }, revision: 9 });
  expect(await season.change('longer', NEXT)).toBe(false);
  expect(season.file.value!.revision).toBe(9);
  expect(season.plan.value!.blocks).toEqual([]);
  // And now it goes.
  expect(await season.change('longer', NEXT)).toBe(true);
});

test('of two seasons asked for the later is shown, and the steps of one are not the other’s', async () => {
  server(undefined, (path) => (path.includes('slow') ? 60 : 5));
  const season = useSeason();
  await season.open({ owner: 'squad', id: 'first' });
  await season.change('longer', NEXT);
  await Promise.all([season.open({ owner: 'squad', id: 'slow' }), season.open({ owner: 'athlete', id: 'quick' })]);
  expect(season.file.value!.name).toBe('/api/athletes/quick/season');
  expect(season.done.value).toEqual([]);
});
