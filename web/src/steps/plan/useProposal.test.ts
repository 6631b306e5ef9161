import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import { newBlock } from '@pace-bend/core/method';
import { proposeSession, type Proposal, type SessionFacts } from '@pace-bend/core/session';
import { useVisit } from '../../stores/visit.ts';
import { installBrowser, type Sent } from '../../testing/browser.ts';
import { reading, visitFile } from '../../testing/visitFile.ts';
import type { PlanAnswer, PlanQuestion } from '../../workers/plan.worker.ts';
import { useProposal } from './useProposal.ts';

/** A worker that answers when the test says so. */
class Asked {
  static all: Asked[] = [];
  onmessage: ((event: { data: PlanAnswer }) => void) | null = null;
  onerror: (() => void) | null = null;
  question: PlanQuestion | null = null;
  ended = false;
  constructor() {
    Asked.all.push(this);
  }
  postMessage(question: PlanQuestion): void {
    this.question = question;
  }
  terminate(): void {
    this.ended = true;
  }
  /** A worker that was ended says nothing any more. */
  say(answer: PlanAnswer): void {
    if (!this.ended) this.onmessage?.({ data: answer });
  }
  get facts(): Omit<SessionFacts, 'shelf'> {
    return this.question!.facts;
  }
}
const last = () => Asked.all.at(-1)!;

const file = visitFile({
  readings: [
    ['left', [55, 56, 55]],
    ['right', [70, 70, 70]],
  ].flatMap(([side, trials]) => [reading({ motionId: 'straight-leg-raise', side: side as 'left', trials: trials as number[] })]),
});

async function open() {
  Asked.all = [];
  installBrowser(({ path }: Sent) => ({
    status: 200,
    body: path.endsWith('/practice') ? { name: 'P', timeZone: 'utc', today: '2026-11-25' } : file,
  }));
  Object.assign(globalThis, { Worker: Asked });
  setActivePinia(createPinia());
  await useVisit().load('v');
  const scope = effectScope();
  const warn = console.warn;
  // Outside a component there is nothing to unmount.
  console.warn = () => undefined;
  const asked = scope.run(() => useProposal())!;
  console.warn = warn;
  return asked;
}
const solved = (asked: Asked): Proposal => proposeSession(asked.facts, String);

test('what is asked are the facts of the visit, and the answer is shown with what came after it', async () => {
  const asked = await open();
  expect(asked.state.value).toBe('none');
  asked.ask();
  expect(asked.state.value).toBe('working');
  expect(last().facts).toMatchObject({ minutes: 40, onDay: '2026-11-25', warm: false, pins: [], bans: [] });
  expect(last().facts.today.map((value) => [value.side, Math.round(value.value)])).toEqual([
    ['left', 55],
    ['right', 70],
  ]);
  const proposal = solved(last());
  last().say({ kind: 'plan', proposal, ms: 12 });
  expect(asked.state.value).toBe('ready');
  expect(asked.proposal.value!.blocks.some((each) => each.kind === 'work')).toBe(true);
  expect(asked.triedMore.value).toBe(false);
  last().say({ kind: 'others', others: [] });
  last().say({ kind: 'more', leftOut: proposal.leftOut.map((each) => ({ ...each, moreMinutes: 4 })) });
  expect(asked.others.value).toEqual([]);
  expect(asked.triedMore.value).toBe(true);
  expect(asked.leftOut.value.every((each) => each.moreMinutes === 4)).toBe(true);
});

test('stopping shows the best so far; with none the plan before stays; with no plan at all there is none', async () => {
  const asked = await open();
  asked.ask();
  asked.stop();
  expect([asked.state.value, last().ended]).toEqual(['none', true]);

  asked.ask();
  const proposal = solved(last());
  last().say({ kind: 'progress', best: 3, bound: 5, soFar: { ...proposal, status: 'stopped', gap: 2 } });
  expect(asked.bound.value).toMatchObject({ best: 3, bound: 5 });
  asked.stop();
  expect(asked.state.value).toBe('ready');
  expect(asked.proposal.value).toMatchObject({ status: 'stopped', gap: 2 });

  asked.ask();
  last().say({ kind: 'progress', best: 1, bound: 9, soFar: null });
  asked.stop();
  expect(asked.state.value).toBe('ready');
  expect(asked.proposal.value).toMatchObject({ status: 'stopped', gap: 2 });
});

test('a new question ends the one before: its late answer is not heard', async () => {
  const asked = await open();
  asked.ask();
  const first = last();
  asked.ask();
  expect(first.ended).toBe(true);
  first.say({ kind: 'failed', message: 'late' });
  expect(asked.state.value).toBe('working');
  last().say({ kind: 'failed', message: 'The planner lost its way.' });
  expect([asked.state.value, asked.failure.value]).toEqual(['failed', 'The planner lost its way.']);
});

test('a worker that cannot start is said in words', async () => {
  const asked = await open();
  asked.ask();
  last().onerror!();
  expect([asked.state.value, asked.failure.value]).toEqual(['failed', 'The planner could not be started.']);
});

test('pinned and left out exclude each other, and every change asks anew', async () => {
  const asked = await open();
  const pin = { entryId: 'hamstring-heel-on-shoulder', methodId: 'static-hold' };
  asked.ban(pin.entryId);
  expect(last().facts).toMatchObject({ bans: [pin.entryId], pins: [] });
  asked.pin(pin);
  expect(last().facts).toMatchObject({ bans: [], pins: [pin] });
  asked.longer(pin.entryId, pin.methodId, [
    { side: 'left', rounds: 2 },
    { side: 'right', rounds: 1 },
  ]);
  expect(last().facts.pins).toEqual([
    {
      ...pin,
      least: [
        { side: 'left', rounds: 3 },
        { side: 'right', rounds: 2 },
      ],
    },
  ]);
  asked.unpin(pin.entryId);
  expect(last().facts.pins).toEqual([]);
  asked.ban(pin.entryId);
  asked.unban(pin.entryId);
  expect(last().facts.bans).toEqual([]);
  expect(Asked.all).toHaveLength(6);
  expect(Asked.all.slice(0, -1).every((each) => each.ended)).toBe(true);
});

test('around what stands: measured blocks are pinned once each, in their order, with their sides and rounds as they are; longer keeps that', async () => {
  const asked = await open();
  const blocks = [
    newBlock('w', 'hip-circling', 'continuous-motion', ['left', 'right']),
    {
      ...newBlock('a', 'hamstring-heel-on-shoulder', 'static-hold', ['left', 'right']),
      sides: [
        { side: 'left' as const, rounds: 4 },
        { side: 'right' as const, rounds: 2 },
      ],
    },
    newBlock('b', 'calf-supine', 'static-hold', ['left']),
    newBlock('c', 'hamstring-heel-on-shoulder', 'static-hold', ['left']),
  ];
  asked.around(blocks);
  expect(last().facts.keepOrder).toBe(true);
  const kept = () =>
    last().facts.pins.map((pin) => [pin.entryId, pin.block?.sides.map(({ side, rounds }) => `${side} ${rounds}`).join(', ')]);
  const arranged = [
    ['hamstring-heel-on-shoulder', 'left 4, right 2, left 2'],
    ['calf-supine', 'left 2'],
  ];
  expect(kept()).toEqual(arranged);
  asked.longer('hamstring-heel-on-shoulder', 'static-hold', [
    { side: 'left', rounds: 6 },
    { side: 'right', rounds: 2 },
  ]);
  expect(kept()).toEqual(arranged);
  expect(last().facts.pins[0]!.least).toEqual([
    { side: 'left', rounds: 7 },
    { side: 'right', rounds: 3 },
  ]);
});

test('what is kept is learned from the visit’s own file, with today’s readings, and only anew where that changed', async () => {
  const asked = await open();
  asked.ask();
  const { response } = last().question!;
  if ('days' in response) throw new Error('Nothing was learned yet.');
  expect(response.now).toBe(file.visit.startsAt);
  expect(response.facts.past.map(({ visitId, side, moment, value }) => [visitId, side, moment, Math.round(value)])).toEqual([
    ['v', 'left', 'before', 55],
    ['v', 'right', 'before', 70],
  ]);
  const kept = { days: 4, usual: 0.2, own: [] };
  last().say({ kind: 'kept', kept });
  asked.ask();
  expect(last().question!.response).toEqual(kept);
  // Another reading is another question.
  const more = [...file.readings, reading({ motionId: 'knee-flexion', trials: [120, 121, 122] })];
  installBrowser(() => ({ status: 200, body: { ...file, readings: more } }));
  await useVisit().load('v');
  asked.ask();
  expect('days' in last().question!.response).toBe(false);
});
