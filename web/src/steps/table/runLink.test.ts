import type { ProblemType } from '@pace-bend/core/access';
import type { StoredRunEvent } from '@pace-bend/core/record';
import { ApiProblem } from '../../api/api.ts';
import { refusalOf, type Change } from '../../outbox/change.ts';
import { eventsSpot, joinEvents, linkOf, pendingRun, RunLink, runSpot } from './runLink.ts';

const change = (spot: string, body: object, refusal: Change['refusal'] = null) => ({ spot, body, refusal }) as Change;
const refused = (type: ProblemType) => refusalOf(new ApiProblem(type, ''));
const sent = (seq: number) => ({ id: String(seq), seq, kind: 'beat', atMs: seq });

test('every event gets the next place in the sequence and an id of its own', () => {
  const kept: { id: string; seq: number; kind: string }[] = [];
  const link = new RunLink('r', 4, (events) => kept.push(...(events as typeof kept)));
  link.add({ kind: 'hold', atMs: 1 });
  link.add({ kind: 'go', atMs: 2 });
  expect(kept.map(({ seq, kind }) => [seq, kind])).toEqual([
    [5, 'hold'],
    [6, 'go'],
  ]);
  expect(new Set(kept.map(({ id }) => id)).size).toBe(2);
});

test('what waits of a run is put together again: its beginning, and its events over several requests; the last run counts', () => {
  expect(pendingRun([change('plan', {})])).toBeNull();
  const changes = [
    change(eventsSpot('old'), { events: [sent(1)] }),
    change(runSpot('r'), { visitId: 'v' }),
    change(eventsSpot('r'), { events: [sent(1), sent(2)] }),
    change(eventsSpot('r'), { events: [sent(3)] }),
  ];
  expect(pendingRun(changes)).toEqual({
    runId: 'r',
    fields: { visitId: 'v' },
    events: [1, 2, 3].map((seq) => ({ id: String(seq), seq, event: { kind: 'beat', atMs: seq } })),
  });
  expect(pendingRun(changes.slice(3))!.fields).toBeNull();
});

test('a place that is taken means another page leads; without an answer it waits; otherwise it is sent or on its way', () => {
  expect(linkOf([], new ApiProblem('no-answer', ''))).toMatchObject({ state: 'sent' });
  expect(linkOf([change(eventsSpot('r'), { events: [] })], null)).toMatchObject({ state: 'sent' });
  expect(linkOf([change(eventsSpot('r'), { events: [] })], new ApiProblem('no-answer', ''))).toMatchObject({ state: 'waiting' });
  expect(linkOf([change(eventsSpot('r'), { events: [] }, refused('led-elsewhere'))], null)).toMatchObject({ state: 'elsewhere' });
  // Every other refusal has words of its own and is nobody else's lead.
  for (const type of ['caution', 'finished', 'gap', 'full', 'not-asked-yet'] as const)
    expect(linkOf([change(runSpot('r'), {}, refused(type))], null)).toMatchObject({ state: 'refused', problem: { type } });
});

test('joining: what this browser kept counts only where it follows on', () => {
  const event = (seq: number, id: string): StoredRunEvent => ({ seq, id, event: { kind: 'beat', atMs: seq } });
  const stored = [event(1, 'a'), event(2, 'b')];
  expect(joinEvents(stored, [event(2, 'b'), event(3, 'c')]).unsent.map((each) => each.id)).toEqual(['c']);
  expect(joinEvents(stored, [event(2, 'x'), event(3, 'c')]).unsent).toEqual([]);
  expect(joinEvents(stored, [event(4, 'd')]).unsent).toEqual([]);
  expect(joinEvents([], [event(1, 'a')]).all).toHaveLength(1);
});
