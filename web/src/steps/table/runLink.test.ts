import { jest } from '@jest/globals';
import type { RunFields, StoredRunEvent } from '@pace-bend/core/record';
import { ApiProblem } from '../../app/api.ts';
import { joinEvents, RunLink, type PendingRun, type RunLinkDeps } from './runLink.ts';

const fields = { visitId: 'v' } as RunFields;

/** A server that can be switched off, answers late, and takes each place once. */
function fakeServer() {
  const kept = new Map<number, string>();
  let stored: PendingRun | null = null;
  const server = {
    up: true,
    loseAnswers: 0,
    begun: 0,
    kept,
    states: [] as string[],
    get stored() { return stored; },
    deps: {
      begin: async () => {
        if (!server.up) throw new ApiProblem(0, 'No answer', '');
        server.begun += 1;
      },
      append: async (_id, events) => {
        if (!server.up) throw new ApiProblem(0, 'No answer', '');
        for (const event of events as { seq: number; id: string }[]) {
          if (kept.has(event.seq) && kept.get(event.seq) !== event.id) throw new ApiProblem(409, 'Led elsewhere', '');
          kept.set(event.seq, event.id);
        }
        if (server.loseAnswers-- > 0) throw new ApiProblem(0, 'No answer', '');
        return { lastSeq: Math.max(...kept.keys()) };
      },
      keep: (value) => { stored = JSON.parse(JSON.stringify(value)) as PendingRun; },
      drop: () => { stored = null; },
      pause: async () => { await new Promise((resolve) => setImmediate(resolve)); },
      onState: (state) => { server.states.push(state); },
    } satisfies RunLinkDeps as RunLinkDeps,
  };
  return server;
}

test('begins the run once, then sends every event in order and keeps nothing back', async () => {
  const server = fakeServer();
  const link = new RunLink('r', fields, 0, [], server.deps);
  for (let i = 0; i < 5; i++) link.add({ kind: 'beat', atMs: i });
  await link.flush();
  expect([...server.kept.keys()]).toEqual([1, 2, 3, 4, 5]);
  expect(server.begun).toBe(1);
  expect(server.stored).toBeNull();
  expect(server.states.at(-1)).toBe('sent');
});

test('with the server gone everything stays in the browser, and a new page sends it', async () => {
  const server = fakeServer();
  server.up = false;
  const link = new RunLink('r', fields, 0, [], server.deps);
  link.add({ kind: 'start', atMs: 0 });
  link.add({ kind: 'hold', atMs: 900 });
  await new Promise((resolve) => setImmediate(resolve));
  expect(server.stored).toMatchObject({ runId: 'r', fields, events: [{ seq: 1 }, { seq: 2 }] });
  link.close();
  server.up = true;
  const { fields: kept, events } = server.stored!;
  const reopened = new RunLink('r', kept, 0, events, server.deps);
  reopened.add({ kind: 'go', atMs: 1000 });
  await reopened.flush();
  expect([...server.kept.keys()]).toEqual([1, 2, 3]);
  expect(server.stored).toBeNull();
});

test('a lost answer is no lost event and no doubled one', async () => {
  const server = fakeServer();
  server.loseAnswers = 3;
  const link = new RunLink('r', null, 0, [], server.deps);
  for (let i = 0; i < 4; i++) link.add({ kind: 'beat', atMs: i });
  await link.flush();
  expect([...server.kept.keys()]).toEqual([1, 2, 3, 4]);
  expect(server.states).toContain('waiting');
});

test('when another tab leads, nothing more is sent from here', async () => {
  const server = fakeServer();
  server.kept.set(1, 'somebody else');
  const append = jest.spyOn(server.deps, 'append');
  const link = new RunLink('r', null, 0, [], server.deps);
  link.add({ kind: 'start', atMs: 0 });
  await link.flush();
  link.add({ kind: 'hold', atMs: 5 });
  await link.flush();
  expect(server.states).toEqual(['elsewhere']);
  expect(append).toHaveBeenCalledTimes(1);
});

test('joining: what this browser kept counts only where it follows on', () => {
  const event = (seq: number, id: string): StoredRunEvent => ({ seq, id, event: { kind: 'beat', atMs: seq } });
  const stored = [event(1, 'a'), event(2, 'b')];
  expect(joinEvents(stored, [event(2, 'b'), event(3, 'c')]).unsent.map((each) => each.id)).toEqual(['c']);
  expect(joinEvents(stored, [event(2, 'x'), event(3, 'c')]).unsent).toEqual([]);
  expect(joinEvents(stored, [event(4, 'd')]).unsent).toEqual([]);
  expect(joinEvents([], [event(1, 'a')]).all).toHaveLength(1);
});
