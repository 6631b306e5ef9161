import { compile, findProtocol, PROTOCOLS, protocolBlocks, SLOW_BREATH, type BlockPlan } from '../method/index.ts';
import { foldRun, walkThrough } from '../table/index.ts';
import { blocksDone } from '../record/index.ts';
import {
  areasOf,
  contextOnDay,
  eventLimit,
  foldDay,
  howDone,
  lookAtWork,
  protocolFit,
  recordMinutes,
  recordNote,
  toWriteDown,
} from './index.ts';
import type { DayEvent, EventPerson } from './index.ts';
import { PHASE_RULES } from '../season/index.ts';

const PRACTICE = {
  scope: { mobilizationGrade: 2, byRegion: {}, frontOfNeck: false, ruleText: '', ruleLink: '' },
  guest: { nextEvent: null, lastEvent: null, limits: [] },
};
const DAY = '2026-12-04';
let n = 0;
const blocksOf = (id: string): BlockPlan[] => protocolBlocks(findProtocol(id)!, () => `b${(n += 1)}`);
const lineOf = (blocks: readonly BlockPlan[]) => compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null });
const person = (more: Partial<EventPerson> = {}): EventPerson => ({
  athleteId: 'a',
  athlete: { birthDate: '1998-05-05', medications: [], beighton: null, historyOn: '2026-01-01' },
  conditions: [],
  noTouch: [],
  nextEvent: null,
  lastEvent: null,
  limits: [],
  ...more,
});

test('the limits of a kind of work are those of the phase of the practice, tighter between races', () => {
  const [compete, recover] = ['compete', 'recover'].map((id) => PHASE_RULES.find((rule) => rule.id === id)!);
  expect(eventLimit('before').limits).toMatchObject(compete!.limits);
  expect(eventLimit('after').limits).toMatchObject(recover!.limits);
  expect(eventLimit('before', [{ ...compete!, limits: { ...compete!.limits, holdS: 8 } }]).limits.holdS).toBe(8);
  expect(eventLimit('between').limits).toMatchObject({ effortPct: 20, holdS: 10, painCeiling: 3 });
});

test.each(PROTOCOLS.map(({ id }) => id))('%s as it would be done: no cue holds, presses or hurts more than the day allows', (id) => {
  for (const kind of ['before', 'between', 'after'] as const) {
    const { limits } = eventLimit(kind);
    const { blocks } = lookAtWork(kind, blocksOf(id), contextOnDay(person(), PRACTICE, DAY, { asked: true }));
    for (const cue of lineOf(blocks.map(({ block }) => block)).cues) {
      if (cue.kind === 'hold' && limits.holdS !== null) expect((cue.endMs - cue.startMs) / 1000).toBeLessThanOrEqual(limits.holdS + 0.5);
      if (limits.painCeiling !== null) expect(cue.painCeiling).toBeLessThanOrEqual(limits.painCeiling);
    }
  }
});

test('what is offered fits its minutes and its place: the three that ship for it do, the whole body does not', () => {
  expect(protocolFit(findProtocol('before-a-start')!, 'before', 10).against).toEqual([]);
  expect(protocolFit(findProtocol('between-races')!, 'between', 10).against).toEqual([]);
  expect(protocolFit(findProtocol('after-a-race')!, 'after', 15).against).toEqual([]);
  const whole = protocolFit(findProtocol('whole-body')!, 'between', 10);
  expect(whole.against).toEqual([
    'Between races nothing goes to the end of its range.',
    `It takes ${Math.ceil(whole.seconds / 60)} minutes of 10.`,
  ]);
  // The minutes are those of the compiled line.
  const { seconds } = protocolFit(findProtocol('before-a-start')!, 'before', 10);
  expect(protocolFit(findProtocol('before-a-start')!, 'before', Math.ceil(seconds / 60) - 1).against).toHaveLength(1);
});

test('what speaks against a block of one person is said at it, and its seconds do not count', () => {
  const all = lookAtWork('before', blocksOf('before-a-start'), contextOnDay(person(), PRACTICE, DAY, { asked: true }));
  expect(all.blocks.flatMap(({ against }) => against)).toEqual([]);
  const some = lookAtWork(
    'before',
    blocksOf('before-a-start'),
    contextOnDay(person({ noTouch: [{ id: 'n', since: '', region: 'low-back', side: null, words: '' }] }), PRACTICE, DAY, { asked: true }),
  );
  const out = some.blocks.filter(({ against }) => against.length > 0).map(({ block }) => block.entryId);
  expect(out).toContain('low-back-rock');
  expect(out.length).toBeLessThan(all.blocks.length);
  expect(some.seconds).toBeLessThan(all.seconds);
  expect(some.seconds).toBe(
    Math.round(lineOf(some.blocks.filter(({ against }) => against.length === 0).map(({ block }) => block)).totalMs / 1000),
  );
});

test('a stop answer speaks against everything; a child who is a guest is looked at by their age', () => {
  const raised = lookAtWork('before', blocksOf('before-a-start'), contextOnDay(null, PRACTICE, DAY, { raised: ['fever'], asked: true }));
  expect(raised.blocks.every(({ against }) => against.length > 0)).toBe(true);
  expect(contextOnDay(null, PRACTICE, DAY, { birthDate: '2015-01-01' }).subject).toMatchObject({
    birthDate: '2015-01-01',
    historyTaken: false,
  });
});

test('nothing new: work they have not had here is held back until they say they know it', () => {
  const season = {
    id: 'phase-compete-new',
    because: 'Nothing new',
    reason: 'Not had.',
    instead: '',
    limits: eventLimit('before').limits,
    muscles: null,
    side: null,
  };
  const guest = { ...PRACTICE, guest: { ...PRACTICE.guest, limits: [{ ...season, onlyNew: { what: 'work' as const, had: [] } }] } };
  const against = (knowsWork: boolean) =>
    lookAtWork('before', blocksOf('before-a-start'), contextOnDay(null, guest, DAY, { asked: true, knowsWork })).blocks.map(
      (each) => each.against.length > 0,
    );
  expect(new Set(against(false))).toEqual(new Set([true]));
  expect(new Set(against(true))).toEqual(new Set([false]));
});

test('a birth date that cannot be is not taken for an age', () => {
  for (const birthDate of ['', '2030-01-01']) expect(contextOnDay(null, PRACTICE, DAY, { birthDate }).subject.birthDate).toBe('1990-01-01');
});

test('consent is asked for where hands are', () => {
  expect(areasOf(blocksOf('foot-series-short'))).toEqual(['feet']);
  expect(areasOf(blocksOf('neck-on-the-breath'))).toEqual(['neck']);
  expect(areasOf([])).toEqual([]);
});

test.each(PROTOCOLS.map(({ id }) => id))('%s walked through: every cue has its planned seconds, nothing was read or said', (id) => {
  const line = lineOf(blocksOf(id));
  const events = walkThrough(line);
  expect(new Set(events.map(({ kind }) => kind))).toEqual(
    new Set(events.some(({ kind }) => kind === 'go') ? ['start', 'go', 'finish'] : ['start', 'finish']),
  );
  const state = foldRun(line, events);
  expect(state.status).toBe('finished');
  for (const cue of line.cues.filter(({ open }) => !open))
    expect(state.spans.filter(({ cueIndex }) => cueIndex === cue.index).reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0)).toBe(
      cue.endMs - cue.startMs,
    );
  expect(new Set(blocksDone(line, state).map(({ entryId }) => entryId))).toEqual(new Set(line.blocks.map(({ entryId }) => entryId)));
});

test('how it was done, in words', () => {
  const protocol = findProtocol('between-races')!;
  const blocks = blocksOf('between-races');
  expect(howDone(protocol, blocks)).toBe('as it is');
  expect(howDone(protocol, [])).toBe('nothing of it');
  const [first, second, ...rest] = blocks;
  expect(howDone(protocol, [{ ...first!, sides: first!.sides.slice(0, 1) }, ...rest])).toMatch(/^.+ (left|right) only, without .+$/);
  expect(howDone(protocol, [...blocks, { ...second!, entryId: 'still-hold' }])).toMatch(/^with /);
});

test('the note says what it was for, that nobody counted, and that a guest agreed', () => {
  const setUp = { title: 'Head race', races: [{ id: 'r', name: 'Eights', callAt: null, startAt: 600 }] };
  const wish = { kind: 'after' as const, raceId: 'r', nextRaceId: null };
  const blocks = blocksOf('after-a-race');
  const guest = { athleteId: 'a', name: 'Mara', birthDate: '1999-01-01', about: '', agreed: true as const };
  expect(recordNote(setUp, wish, { blocks, words: ' fine ', referral: null, guest }, findProtocol('after-a-race')!).split('\n')).toEqual([
    'Event work, Head race: after the race, Eights.',
    'After a race: as it is.',
    'Written down afterwards: the dose is as planned, it was not counted at the table.',
    'A guest. They agreed to being on file.',
    'fine',
  ]);
  expect(recordNote(setUp, wish, { blocks: [], words: '', referral: null, guest: null }, null)).toBe(
    'Event work, Head race: after the race, Eights.\nNo technique was written down.',
  );
});

test('a record takes what it took, within what a visit may', () => {
  const at = (minute: number) => new Date(Date.UTC(2026, 11, 4, 8, minute)).toISOString();
  expect([recordMinutes(at(0), at(12)), recordMinutes(at(0), at(1)), recordMinutes(at(9), at(0)), recordMinutes(at(0), at(900))]).toEqual([
    12, 5, 5, 240,
  ]);
});

test('what is written down is off the list, whatever is taken back, and gives its guest a file for every wish', () => {
  const wish = (id: string) => ({
    id,
    starterId: 's',
    kind: 'before' as const,
    raceId: 'r',
    nextRaceId: null,
    minutes: 10,
    reasons: [],
    therapistId: null,
    protocolId: null,
  });
  const setUp = {
    races: [{ id: 'r', name: 'Eights', callAt: null, startAt: 600 }],
    starters: [{ id: 's', athleteId: null, name: 'A guest' }],
    wishes: [wish('w1'), wish('w2')],
  };
  const event = (id: string, at: number, body: DayEvent['body']): DayEvent => ({
    id,
    at: new Date(Date.UTC(2026, 11, 4, 8, at)).toISOString(),
    by: 'M',
    after: null,
    body,
  });
  const events = [
    event('e1', 0, { kind: 'asked', wishId: 'w1', consent: ['legs'] }),
    event('e2', 1, { kind: 'onTable', wishId: 'w1', shiftId: 'x' }),
    event('e3', 12, { kind: 'done', wishId: 'w1' }),
    event('e4', 14, { kind: 'done', wishId: 'w2' }),
  ];
  const before = foldDay(setUp, events);
  expect(before.wishes[0]).toMatchObject({ asked: ['legs'], beganAt: events[1]!.at, since: events[2]!.at, visitId: null });
  expect(toWriteDown(before.wishes).map((each) => each.wish.id)).toEqual(['w1', 'w2']);
  const recorded = event('e5', 15, { kind: 'recorded', wishId: 'w1', visitId: 'v', athleteId: 'a' });
  const after = foldDay(setUp, [...events, recorded, event('e6', 16, { kind: 'takeBack', eventId: 'e5' })]);
  expect(toWriteDown(after.wishes).map((each) => each.wish.id)).toEqual(['w2']);
  expect(after.starters[0]).toEqual({ id: 's', athleteId: 'a', name: 'A guest' });
});
