import type { DayEvent, EventDaySetUp, EventPeople, EventRecord } from '@pace-bend/core/eventDay';
import type { AthleteFile, VisitFile } from '@pace-bend/core/record';
import { rows } from '../db/pool.ts';
import { ANN, openTestApp, request, uuid, type TestApp } from '../testing/app.ts';
import { smallEventDay } from '../testing/eventDay.ts';
import { smallRecord } from '../testing/eventRecord.ts';

let test_: TestApp;
let therapistId: string;
let therapist: string;
beforeAll(async () => {
  test_ = await openTestApp();
  const studies = (await api().get('/api/studies').expect(200)).body as { examiners: { id: string; name: string }[] };
  therapistId = studies.examiners[0]!.id;
  therapist = studies.examiners[0]!.name;
});
afterAll(() => test_.close());
const api = () => request(test_.app);

interface Day {
  readonly id: string;
  readonly setUp: EventDaySetUp;
  readonly annId: string;
}

/** A day with an athlete of the practice and a guest, each with one wish. */
async function aDay(more: Partial<EventDaySetUp> = {}): Promise<Day> {
  const [id, annId] = [uuid(), uuid()];
  await api().put(`/api/athletes/${annId}`).send(ANN).expect(200);
  const setUp = { ...smallEventDay(uuid, { athleteId: annId, therapistId }), ...more };
  await api()
    .put(`/api/event-days/${id}`)
    .send({ revision: 0, ...setUp })
    .expect(200);
  return { id, setUp, annId };
}
const guest = (more: Partial<NonNullable<EventRecord['guest']>> = {}) => ({
  athleteId: uuid(),
  name: 'Mara Quist',
  birthDate: '1999-03-02',
  about: '',
  agreed: true as const,
  ...more,
});
const put = (day: Day, wish: number, record: EventRecord | object) =>
  api().put(`/api/event-days/${day.id}/records/${day.setUp.wishes[wish]!.id}`).send(record);
const say = (day: Day, body: DayEvent['body'], at = '2026-12-04T08:00:00.000Z') =>
  api()
    .post(`/api/event-days/${day.id}/events`)
    .send({ events: [{ id: uuid(), at, after: null, body }] })
    .expect(200);
const visitOf = async (id: string) => (await api().get(`/api/visits/${id}`).expect(200)).body as VisitFile;
const eventsOf = async ({ id }: Day) => ((await api().get(`/api/event-days/${id}`).expect(200)).body as { events: DayEvent[] }).events;
/** How much of everything a record writes there is. */
const counts = async () =>
  JSON.stringify(
    await Promise.all(
      ['athlete', 'visit', 'stop_answers', 'plan', 'run', 'run_event', 'note', 'referral', 'event_day_event'].map((table) =>
        rows(test_.pool, `SELECT COUNT(*) AS n FROM ${table}`),
      ),
    ),
  );

test('what was done is a finished visit of event work: when it was, what was asked, the dose, whose hands, the words', async () => {
  const day = await aDay();
  const [wish] = day.setUp.wishes;
  await say(day, { kind: 'onTable', wishId: wish!.id, shiftId: day.setUp.shifts[0]!.id });
  const record = smallRecord(uuid);
  const { event } = (await put(day, 0, record).expect(200)).body as { event: DayEvent };
  expect(event).toMatchObject({
    id: record.event.id,
    body: { kind: 'recorded', wishId: wish!.id, visitId: record.visitId, athleteId: day.annId },
  });
  const file = await visitOf(record.visitId);
  expect(file.visit).toMatchObject({
    athleteId: day.annId,
    startsAt: record.startsAt,
    minutes: 12,
    eventDayId: day.id,
    consent: record.consent,
  });
  expect(file.visit.finishedAt).not.toBeNull();
  expect(file.answers).toHaveLength(1);
  expect(Object.values(file.answers[0]!.answers)).not.toContain('yes');
  expect(file.plan.blocks).toHaveLength(record.blocks.length);
  expect(file.runs).toHaveLength(1);
  expect(file.runs[0]!.startedAt).toBe(record.startsAt);
  expect(file.runs[0]!.events.at(-1)!.event.kind).toBe('finish');
  expect(file.note!.text.split('\n')).toEqual([
    'Event work, Autumn head: before the start, Eights.',
    'Before a start: as it is.',
    'Written down afterwards: the dose is as planned, it was not counted at the table.',
    'Loose, ready.',
  ]);
  // The dose, block by block, as every later look takes it.
  const [run] = await rows<{ done: string; account: string }>(test_.pool, 'SELECT done, account_id AS account FROM run WHERE id = ?', [
    record.runId!,
  ]);
  expect(run!.account).toBe(therapistId);
  const done = (typeof run!.done === 'string' ? JSON.parse(run!.done) : run!.done) as { entryId: string }[];
  expect(new Set(done.map(({ entryId }) => entryId))).toEqual(new Set(record.blocks.map(({ entryId }) => entryId)));
  // It is told to every device, and nobody can say it or take it back but by doing it.
  expect((await eventsOf(day)).map(({ body }) => body.kind)).toEqual(['onTable', 'recorded']);
  await api()
    .post(`/api/event-days/${day.id}/events`)
    .send({ events: [{ ...event, id: uuid(), by: undefined }] })
    .expect(422);
  await api().delete(`/api/event-days/${day.id}`).expect(409);
});

test('sent again it is the same visit; written down by somebody else first, it is theirs', async () => {
  const day = await aDay();
  const record = smallRecord(uuid);
  const first = (await put(day, 0, record).expect(200)).body as object;
  const before = await counts();
  expect((await put(day, 0, record).expect(200)).body).toEqual(first);
  const refused = await put(day, 0, smallRecord(uuid)).expect(409);
  expect(JSON.stringify(refused.body)).toContain(`${therapist} has written this down already`);
  expect(await counts()).toBe(before);
});

test('both at once: one visit', async () => {
  const day = await aDay();
  const answers = await Promise.all([put(day, 0, smallRecord(uuid)), put(day, 0, smallRecord(uuid))]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  const [n] = await rows<{ n: number }>(test_.pool, 'SELECT COUNT(*) AS n FROM visit WHERE event_day_id = ?', [day.id]);
  expect(Number(n!.n)).toBe(1);
});

test('a guest comes on file with the least, only if they agreed, and once for all their wishes', async () => {
  const day = await aDay();
  const wish = day.setUp.wishes[1]!;
  const before = await counts();
  for (const [wrong, path] of [
    [{ guest: null }, 'guest'],
    [{ guest: { ...guest(), agreed: false } }, 'guest.agreed'],
    [{ guest: guest({ birthDate: '2031-01-01' }) }, 'guest.birthDate'],
    [{ guest: guest({ name: '' }) }, 'guest.name'],
  ] as const) {
    const { body } = (await put(day, 1, { ...smallRecord(uuid), ...wrong }).expect(422)) as { body: { details: { path: string }[] } };
    expect(JSON.stringify(body)).toContain(`"${path}"`);
  }
  expect(await counts()).toBe(before);
  const mara = guest({ about: 'Left shoulder was out last year' });
  await put(day, 1, smallRecord(uuid, { guest: mara })).expect(200);
  const { athlete } = (await api().get(`/api/athletes/${mara.athleteId}`).expect(200)).body as AthleteFile;
  expect(athlete).toMatchObject({ name: 'Mara Quist', birthDate: '1999-03-02', about: mara.about, historyOn: null, referenceSex: 'none' });
  // One more wish of theirs, and another file sent along: it is the same person.
  const more = { ...wish, id: uuid() };
  await say(day, { kind: 'wish', wish: more, starter: null, race: null, nextRace: null });
  const again = smallRecord(uuid, { guest: guest() });
  await api().put(`/api/event-days/${day.id}/records/${more.id}`).send(again).expect(200);
  expect((await visitOf(again.visitId)).visit.athleteId).toBe(mara.athleteId);
  const people = (await api().get(`/api/event-days/${day.id}/people`).expect(200)).body as EventPeople;
  expect(people.people.map(({ athleteId }) => athleteId).sort()).toEqual([day.annId, mara.athleteId].sort());
});

test('a guest who is erased leaves no name on the day', async () => {
  const day = await aDay();
  const mara = guest();
  const record = smallRecord(uuid, { guest: mara });
  await put(day, 1, record).expect(200);
  await api().delete(`/api/athletes/${mara.athleteId}`).send({ confirm: mara.name, copy: 'not wanted' }).expect(200);
  const kept = JSON.stringify((await api().get(`/api/event-days/${day.id}`).expect(200)).body);
  for (const trace of ['A guest', 'Mara', mara.athleteId]) expect(kept).not.toContain(trace);
  expect(kept).toContain('Erased');
  expect(kept).toContain('Ann Rower');
});

test('somebody who is sent on is not worked on: the answers, what was seen and to whom are in the file', async () => {
  const day = await aDay();
  const record = smallRecord(uuid);
  const raised = { ...record, answers: { ...record.answers, fever: 'yes' } };
  const before = await counts();
  await put(day, 0, raised).expect(409);
  await put(day, 0, { ...raised, referral: { to: 'the race doctor', seen: '' } }).expect(422);
  expect(await counts()).toBe(before);
  await put(day, 0, { ...raised, blocks: [], runId: null, referral: { to: 'the race doctor', seen: 'Feverish, pale.' } }).expect(200);
  const file = await visitOf(record.visitId);
  expect(file.referral).toMatchObject({ to: 'the race doctor', seen: 'Feverish, pale.' });
  expect(file.runs).toEqual([]);
  expect(file.note!.text).toContain('No hands on: sent on.');
});

test('what a caution forbids is not written down as done, and nothing half is left', async () => {
  const day = await aDay();
  await api().put(`/api/athletes/${day.annId}/no-touch/${uuid()}`).send({ region: 'low-back', side: null, words: '' }).expect(200);
  const before = await counts();
  const refused = await put(day, 0, smallRecord(uuid)).expect(409);
  expect((refused.body as { type: string }).type).toBe('/problems/caution');
  expect(await counts()).toBe(before);
  // What they are told to look at first says why: the file stands in what the tablet reads.
  const { people } = (await api().get(`/api/event-days/${day.id}/people`).expect(200)).body as EventPeople;
  expect(people[0]!.noTouch.map(({ region }) => region)).toEqual(['low-back']);
});

test('in the phase of competing nothing new: what they say they know is set aside with that word, for a guest as well', async () => {
  const event = uuid();
  await api()
    .put(`/api/events/${event}`)
    .send({ revision: 0, name: 'Head race', onDate: '2026-12-04', importance: 1, squadId: null, athleteId: null })
    .expect(200);
  const { revision } = (await api().get('/api/season').expect(200)).body as { revision: number };
  const block = { phase: 'compete', from: '2026-11-28', until: '2026-12-06', fromAnchor: null, untilAnchor: null };
  await api()
    .put('/api/season')
    .send({ revision, blocks: [block], stays: [], follows: null, notAt: [] })
    .expect(200);
  const day = await aDay();
  const found = (await api().get(`/api/event-days/${day.id}/people`).expect(200)).body as EventPeople;
  for (const { limits, nextEvent } of [found.people[0]!, found.guest]) {
    expect(limits.some(({ onlyNew }) => onlyNew !== undefined)).toBe(true);
    expect(nextEvent!.id).toBe(event);
  }
  const before = await counts();
  await put(day, 1, smallRecord(uuid, { guest: guest() }, found)).expect(409);
  expect(await counts()).toBe(before);
  const record = smallRecord(uuid, { guest: guest(), knowsWork: true }, found);
  await put(day, 1, record).expect(200);
  const { readiness } = await visitOf(record.visitId);
  expect(readiness.setAside.map(({ reason }) => reason)).toEqual(['They know this work, they say.']);
});

test('a wish or a day that is not there', async () => {
  const day = await aDay();
  await api().put(`/api/event-days/${day.id}/records/${uuid()}`).send(smallRecord(uuid)).expect(404);
  await api().put(`/api/event-days/${uuid()}/records/${uuid()}`).send(smallRecord(uuid)).expect(404);
  await api().get(`/api/event-days/${uuid()}/people`).expect(404);
  // An id that is somebody else's visit.
  const other = uuid();
  await api().put(`/api/visits/${other}`).send({ athleteId: day.annId, startsAt: '2026-12-05T08:00:00.000Z', minutes: 30 }).expect(200);
  await put(day, 0, smallRecord(uuid, { visitId: other })).expect(422);
});
