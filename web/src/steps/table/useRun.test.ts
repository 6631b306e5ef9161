import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import { findMethod, newBlock, type BlockPlan } from '@pace-bend/core/method';
import { SECONDS_A_SIDE, type RunFields, type VisitFile } from '@pace-bend/core/record';
import { compile } from '@pace-bend/core/method';
import { useOutbox } from '../../stores/outbox.ts';
import { useVisit } from '../../stores/visit.ts';
import { installBrowser, settle, type Sent } from '../../testing/browser.ts';
import { reading, visitFile } from '../../testing/visitFile.ts';
import { useRun } from './useRun.ts';

const SLR = 'straight-leg-raise';
/** Two rounds on one side: set up, then by the clock to the edge, hold, back, rest, and once more. */
const block: BlockPlan = (() => {
  const made = newBlock('0190c000-0000-7000-8000-000000000001', 'hamstring-heel-on-shoulder', 'static-hold', ['left']);
  return { ...made, numbers: { ...made.numbers, hold: [10], moveIn: [3], bringHome: [3], between: [3], setUp: [5] } };
})();

interface SentEvent {
  readonly id: string;
  readonly seq: number;
  readonly atMs: number;
  readonly kind: string;
}

/** A page without a screen, and a server that keeps runs. */
function open() {
  globalThis.indexedDB = new IDBFactory();
  const runs = new Map<string, { fields: RunFields; events: SentEvent[] }>();
  const file = (): VisitFile =>
    visitFile({
      readings: [reading({ motionId: SLR, trials: [60, 62, 61] })],
      plan: { revision: 1, blocks: [block] },
      runs: [...runs].map(([id, { fields, events }]) => ({
        id,
        visitId: 'v',
        clockRate: fields.clockRate,
        startedAt: '2026-11-25T09:40:00.000Z',
        line: compile(fields.blocks, { breath: fields.breath, edgeOf: () => fields.edges[0]!.value }),
        events: events.map(({ id: eventId, seq, ...event }) => ({ id: eventId, seq, event: event as never })),
      })),
    });
  const server = { up: true };
  const { sent } = installBrowser(({ method, path, body }: Sent) => {
    if (!server.up) return null;
    if (method === 'GET') return { status: 200, body: file() };
    const runId = path.split('/')[3]!;
    if (method === 'PUT') {
      runs.set(runId, { fields: body as RunFields, events: runs.get(runId)?.events ?? [] });
      return { status: 200, body: file().runs.find((run) => run.id === runId) };
    }
    const { events } = body as { events: SentEvent[] };
    const kept = runs.get(runId)!.events;
    for (const event of events) {
      const there = kept.find((each) => each.seq === event.seq);
      if (there && there.id !== event.id)
        return { status: 409, body: { type: '/problems/led-elsewhere', title: 'Led elsewhere', detail: 'Another tab.' } };
      if (!there) kept.push(event);
    }
    return { status: 200, body: { lastSeq: kept.length } };
  });

  const listeners: Record<string, () => void> = {};
  Object.assign(globalThis, {
    window: {
      addEventListener: (name: string, act: () => void) => {
        listeners[name] = act;
      },
      removeEventListener: () => undefined,
    },
    requestAnimationFrame: () => 0,
    cancelAnimationFrame: () => undefined,
    // Nothing is drawn here: only the alarm moves the run, as in a page in the background.
    Worker: class {
      onmessage: ((event: { data: unknown }) => void) | null = null;
      private timer: ReturnType<typeof setTimeout> | undefined;
      postMessage({ token, atMs }: { token: number; atMs: number | null }): void {
        clearTimeout(this.timer);
        if (atMs !== null)
          this.timer = setTimeout(
            () => this.onmessage?.({ data: { token, atMs } }),
            Math.max(0, atMs - (performance.timeOrigin + performance.now())),
          );
      }
      terminate(): void {
        clearTimeout(this.timer);
      }
    },
  });
  return { runs, server, sent, hidePage: () => listeners.pagehide?.(), eventsOf: () => [...runs.values()].at(-1)?.events ?? [] };
}

async function atTheTable(rate: number) {
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  const visit = useVisit();
  await visit.load('v');
  const scope = effectScope();
  const run = scope.run(() => useRun(rate))!;
  const until = async (status: string) => {
    for (let i = 0; i < 200 && run.state.value.status !== status; i++) await settle(20);
    expect(run.state.value.status).toBe(status);
  };
  return { run, until, visit, close: () => scope.stop() };
}

test('a key that can do nothing where the run is says so, until the next one that can', async () => {
  open();
  const { run, close } = await atTheTable(1);
  run.space();
  run.act({ kind: 'drift' });
  expect(run.inVain.value).toBe('drift');
  run.act({ kind: 'next' });
  expect(run.inVain.value).toBeNull();
  run.act({ kind: 'other' });
  expect(run.inVain.value).toBe('other');
  close();
});

test('only the alarm moves it: begun, gone through every cue, finished, and told to the server in order', async () => {
  const page = open();
  const { run, until } = await atTheTable(60);
  expect(run.view.value!.cue.kind).toBe('set-up');
  // Measured already, and where the athlete lies anyway: nothing comes before the first block.
  expect(run.first.value).toBe('');
  expect(page.sent.filter((each) => each.method !== 'GET')).toEqual([]);
  run.space();
  run.space();
  await until('finished');
  await run.flush();
  expect(run.state.value.spans.map((span) => span.cueIndex)).toEqual(run.line.value!.cues.map((cue) => cue.index));
  const events = page.eventsOf();
  expect(events.map((event) => event.seq)).toEqual(events.map((_, i) => i + 1));
  expect(events.filter((event) => event.kind !== 'beat').map((event) => event.kind)).toEqual(['start', 'go', 'finish']);
  expect(events.some((event, i) => i > 0 && event.atMs < events[i - 1]!.atMs)).toBe(false);
  expect([...page.runs.values()][0]!.fields).toMatchObject({ visitId: 'v', clockRate: 60, blocks: [block] });
  // Nothing was read again yet, so that is what comes now.
  expect(run.first.value).toBe('read straight-leg raise, left, again');
  // Keys after the end do nothing.
  run.act({ kind: 'hold' });
  run.space();
  expect(page.eventsOf()).toHaveLength(events.length);
});

test('hold stands still, go takes it up at the same place; the run keeps both', async () => {
  const page = open();
  const { run, close } = await atTheTable(1);
  run.space();
  run.space();
  await settle(120);
  run.space();
  expect(run.state.value.status).toBe('held');
  const { positionMs } = run.state.value;
  await settle(120);
  run.act({ kind: 'beat' });
  expect(run.state.value.positionMs).toBe(positionMs);
  run.space();
  expect(run.state.value).toMatchObject({ status: 'running', positionMs });
  await run.flush();
  expect(page.eventsOf().map((event) => event.kind)).toEqual(['start', 'go', 'hold', 'beat', 'go']);
  close();
});

test('the page goes away and comes back: same place, standing still, written as a hold when it goes on', async () => {
  const page = open();
  const first = await atTheTable(1);
  first.run.space();
  first.run.space();
  await settle(150);
  page.hidePage();
  const { positionMs } = first.run.state.value;
  await first.run.flush();

  const second = await atTheTable(1);
  expect(second.run.reopened.value).toBe(true);
  expect(second.run.state.value.positionMs).toBe(positionMs);
  await settle(80);
  expect(second.run.state.value.positionMs).toBe(positionMs);
  second.run.space();
  expect(second.run.reopened.value).toBe(false);
  await second.run.flush();
  expect(
    page
      .eventsOf()
      .map((event) => event.kind)
      .slice(-3),
  ).toEqual(['beat', 'hold', 'go']);
  second.close();
  first.close();
});

test('begun while nobody answers: kept in the browser, found again by a new page, sent when somebody does', async () => {
  const page = open();
  const first = await atTheTable(1);
  page.server.up = false;
  first.run.space();
  first.run.space();
  await settle(60);
  expect(first.run.linkState.value).toBe('waiting');
  expect(useOutbox().changes.map((change) => change.spot.split('/')[0])).toEqual(['run', 'events']);
  page.hidePage();
  const { positionMs } = first.run.state.value;
  page.server.up = true;
  // The old page is gone; whatever it still tries to send is the same events under the same ids.
  const second = await atTheTable(1);
  expect(second.run.state.value.positionMs).toBe(positionMs);
  await second.run.flush();
  expect(page.runs.size).toBe(1);
  expect(page.eventsOf().map((event) => event.kind)).toEqual(['start', 'go', 'beat']);
  expect(useOutbox().changes).toEqual([]);
  second.close();
  first.close();
});

test('another tab leads: this one stops writing, and taking over goes on from what stands', async () => {
  const page = open();
  const { run, close } = await atTheTable(1);
  run.space();
  run.space();
  run.space();
  await run.flush();
  page.eventsOf().push({ id: 'other', seq: page.eventsOf().length + 1, atMs: 60_000, kind: 'discomfort', score: 3 } as never);
  run.act({ kind: 'discomfort', score: 2 });
  await run.flush();
  expect(run.linkState.value).toBe('elsewhere');
  run.space();
  expect(run.state.value.status).toBe('held');
  // A key in between waits: with another attempt it would be lost.
  const taken = run.takeOver();
  for (let i = 0; i < 3; i++) run.space();
  expect([run.taking.value, run.state.value.status]).toEqual([true, 'held']);
  await taken;
  expect([run.taking.value, run.state.value.status]).toEqual([false, 'running']);
  await run.flush();
  // Pressed three times because nothing moved, and meant once.
  expect(page.eventsOf().filter(({ kind }) => kind === 'go')).toHaveLength(2);
  expect(run.linkState.value).toBe('sent');
  expect(run.state.value.discomfort.map((note) => note.score)).toEqual([3]);
  expect(page.eventsOf().at(-1)!.kind).toBe('go');
  close();
});

test('left while a run is taken back: nothing more is done for it, neither by the attempt nor by keys that waited', async () => {
  const page = open();
  const { run, close, visit } = await atTheTable(1);
  run.space();
  run.space();
  run.space();
  await run.flush();
  page.eventsOf().push({ id: 'other', seq: page.eventsOf().length + 1, atMs: 60_000, kind: 'discomfort', score: 3 } as never);
  run.act({ kind: 'discomfort', score: 2 });
  await run.flush();
  expect(run.linkState.value).toBe('elsewhere');
  const before = page.eventsOf().map(({ kind }) => kind);
  const taken = run.takeOver();
  run.space();
  close();
  await taken;
  await useOutbox().flush(visit.record);
  await settle(50);
  expect(page.eventsOf().map(({ kind }) => kind)).toEqual(before);
  expect(useOutbox().changes).toEqual([]);
});

test('Space after easing off means: go on, shorter', async () => {
  open();
  const { run, close } = await atTheTable(1);
  run.space();
  run.space();
  run.act({ kind: 'next' });
  expect(run.view.value!.cue.kind).toBe('hold');
  run.act({ kind: 'discomfort', score: 8 });
  expect(run.state.value.status).toBe('eased');
  run.space();
  expect(run.state.value.status).toBe('running');
  expect(run.view.value!.edge).toBe(61 - block.numbers[findMethod('static-hold')!.easeBack]![0]!);
  run.startOver();
  expect(run.state.value.status).toBe('ready');
  close();
});

test('a device that slept: the run stands at the last moment that is certain, as a hold, and asks; nothing counts as done meanwhile', async () => {
  const page = open();
  const { run, until } = await atTheTable(1);
  run.space();
  run.space();
  await settle(50);
  expect(run.state.value.status).toBe('running');
  const now = Date.now;
  // Ten minutes by the clock on the wall, in which the page heard nothing.
  Date.now = () => now() + 600_000;
  try {
    await until('held');
    const { atMs, positionMs, spans } = run.state.value;
    expect(run.sleptMin.value).toBe(10);
    expect(atMs).toBeLessThan(5000);
    expect(positionMs).toBeLessThan(run.line.value!.cues[1]!.endMs);
    expect(spans.map((span) => span.cueIndex)).toEqual([0]);
    await run.flush();
    expect(
      page
        .eventsOf()
        .filter((event) => event.kind === 'hold')
        .map((event) => event.atMs),
    ).toEqual([atMs]);
    run.space();
    expect([run.state.value.status, run.sleptMin.value]).toEqual(['running', null]);
  } finally {
    Date.now = now;
  }
}, 20_000);

test('the table says the work of its line and the whole visit, as the plan draws it; of another plan only the work', async () => {
  open();
  const { run, visit } = await atTheTable(1);
  const work = run.view.value!.totalMs;
  expect(run.wholeMs.value).toBeGreaterThan(work);
  // Opening and close of a minute each, and one reading again.
  expect(run.wholeMs.value! - work).toBe(120_000 + SECONDS_A_SIDE * 1000);
  run.space();
  visit.setBlocks([{ ...block, sides: [{ side: 'left', rounds: 4 }] }]);
  await settle();
  expect(run.wholeMs.value).toBeNull();
});
