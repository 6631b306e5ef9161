import type { DayEvent, EventDaySetUp } from '@pace-bend/core/eventDay';
import { rows } from '../db/pool.ts';
import { ANN, newVisit, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';
import { smallEventDay } from '../testing/eventDay.ts';

let test_: TestApp;
let therapistId: string;
beforeAll(async () => {
  test_ = await openTestApp();
  const studies = (await api().get('/api/studies').expect(200)).body as { examiners: { id: string }[] };
  therapistId = studies.examiners[0]!.id;
});
afterAll(() => test_.close());
const api = () => request(test_.app);

interface File {
  readonly revision: number;
  readonly setUp: EventDaySetUp;
  readonly events: readonly DayEvent[];
  readonly upTo: number;
}

async function aDay(athleteId: string | null = null): Promise<{ id: string; setUp: EventDaySetUp }> {
  const [id, setUp] = [uuid(), smallEventDay(uuid, { athleteId, therapistId })];
  await api()
    .put(`/api/event-days/${id}`)
    .send({ revision: 0, ...setUp })
    .expect(200);
  return { id, setUp };
}
const fileOf = async (id: string) => (await api().get(`/api/event-days/${id}`).expect(200)).body as File;
const event = (body: DayEvent['body'], more: Partial<DayEvent> = {}) => ({
  id: uuid(),
  at: '2026-12-04T08:00:00.000Z',
  after: null,
  body,
  ...more,
});

test('set up once, changed by revision; a stale change is told what stands', async () => {
  const { id, setUp } = await aDay();
  for (let again = 0; again < 2; again++)
    expect(
      (
        await api()
          .put(`/api/event-days/${id}`)
          .send({ revision: 0, ...setUp })
          .expect(200)
      ).body,
    ).toMatchObject({ revision: 1, setUp, events: [] });
  const renamed = { ...setUp, title: 'Autumn head, Sunday' };
  expect(
    (
      await api()
        .put(`/api/event-days/${id}`)
        .send({ revision: 1, ...renamed })
        .expect(200)
    ).body,
  ).toMatchObject({ revision: 2, setUp: renamed });
  const stale = await api()
    .put(`/api/event-days/${id}`)
    .send({ revision: 1, ...setUp })
    .expect(409);
  expect(stale.body.current.setUp.title).toBe('Autumn head, Sunday');
  expect((await api().get('/api/event-days').expect(200)).body.days).toContainEqual({
    id,
    title: 'Autumn head, Sunday',
    onDate: '2026-12-04',
    revision: 2,
    wishes: 2,
  });
  await api()
    .put(`/api/event-days/${uuid()}`)
    .send({ revision: 3, ...setUp })
    .expect(404);
});

test('an event that is taken off the season leaves its day as it is, to be changed on', async () => {
  const [id, eventId] = [uuid(), uuid()];
  await api()
    .put(`/api/events/${eventId}`)
    .send({ revision: 0, name: 'Autumn head', onDate: '2026-12-04', importance: 1, squadId: null })
    .expect(200);
  const setUp = { ...smallEventDay(uuid, { athleteId: null, therapistId }), eventId };
  const put = (revision: number, title: string) =>
    api()
      .put(`/api/event-days/${id}`)
      .send({ revision, ...setUp, title });
  await put(0, 'Autumn head').expect(200);
  await api().delete(`/api/events/${eventId}`).expect(200);
  await put(1, 'Autumn head, later').expect(200);
  await api()
    .put(`/api/event-days/${uuid()}`)
    .send({ revision: 0, ...setUp })
    .expect(422);
});

test('what is wrong is named at its place: shapes, and what does not go together', async () => {
  const good = smallEventDay(uuid, { athleteId: null, therapistId });
  const shift = good.shifts[0]!;
  for (const [bad, path] of [
    [{ shifts: [shift, { ...shift, id: uuid() }] }, 'shifts.1.from'],
    [{ shifts: [{ ...shift, therapistId: uuid() }] }, 'shifts.0.therapistId'],
    [{ starters: [{ ...good.starters[0]!, athleteId: uuid() }, good.starters[1]!] }, 'starters.0.athleteId'],
    [{ eventId: uuid() }, 'eventId'],
    [{ races: [{ ...good.races[0]!, startAt: 1440 }] }, 'races.0.startAt'],
    [{ title: '' }, 'title'],
    [{ onDate: '2026-02-30' }, 'onDate'],
    [{ wishes: [{ ...good.wishes[0]!, kind: 'during' }] }, 'wishes.0.kind'],
    [{ offers: [] }, 'offers'],
  ] as const) {
    const answer = await api()
      .put(`/api/event-days/${uuid()}`)
      .send({ revision: 0, ...good, ...bad });
    expect([answer.status, answer.body.errors?.map((each: { path: string }) => each.path)]).toEqual([422, expect.arrayContaining([path])]);
  }
});

test('what happens is only added, once, in the order it arrives, and read on from where one was', async () => {
  const { id, setUp } = await aDay();
  const [wish] = setUp.wishes;
  const here = event({ kind: 'here', wishId: wish!.id });
  const slip = event({ kind: 'slip', raceId: setUp.races[0]!.id, callAt: 615, startAt: 635 });
  await api()
    .post(`/api/event-days/${id}/events`)
    .send({ events: [here] })
    .expect(200);
  const { upTo } = await fileOf(id);
  // Sent again, with one more; the second does not double the first, nor change it.
  const changed = { ...here, body: { kind: 'notComing', wishId: wish!.id } };
  for (let again = 0; again < 2; again++)
    await api()
      .post(`/api/event-days/${id}/events`)
      .send({ events: [changed, slip] })
      .expect(200);
  const file = await fileOf(id);
  expect(file.events).toEqual(
    [
      { ...here, by: 'Test Therapist' },
      { ...slip, by: 'Test Therapist' },
    ].map((each) => ({ ...each, by: expect.any(String) })),
  );
  const later = (await api().get(`/api/event-days/${id}/events?since=${upTo}`).expect(200)).body as File;
  expect(later.events.map((each) => each.id)).toEqual([slip.id]);
  expect((await api().get(`/api/event-days/${id}/events?since=${later.upTo}`).expect(200)).body).toEqual({ events: [], upTo: later.upTo });
  await api().get(`/api/event-days/${id}/events?since=x`).expect(422);
  // Two devices at the same instant.
  const both = event({ kind: 'done', wishId: wish!.id });
  await Promise.all(
    [1, 2].map(() =>
      api()
        .post(`/api/event-days/${id}/events`)
        .send({ events: [both] })
        .expect(200),
    ),
  );
  expect((await fileOf(id)).events).toHaveLength(3);
});

test('events of each kind are taken as they are, and nonsense in one is named', async () => {
  const { id, setUp } = await aDay();
  const [wish, shift, race, starter] = [setUp.wishes[0]!, setUp.shifts[0]!, setUp.races[0]!, setUp.starters[0]!];
  const bodies: DayEvent['body'][] = [
    { kind: 'onTable', wishId: wish.id, shiftId: shift.id },
    { kind: 'late', wishId: wish.id, until: 560 },
    { kind: 'overrun', wishId: wish.id, until: 570 },
    { kind: 'closes', shiftId: shift.id, from: 600, until: 630 },
    { kind: 'scratch', starterId: starter.id },
    { kind: 'wish', wish: { ...wish, id: uuid() }, starter: { id: uuid(), athleteId: null, name: 'B Guest' }, race, nextRace: null },
    { kind: 'promise', times: [{ wishId: wish.id, shiftId: shift.id, start: 540 }], dropped: [] },
    { kind: 'takeBack', eventId: uuid() },
  ];
  await api()
    .post(`/api/event-days/${id}/events`)
    .send({ events: bodies.map((body) => event(body)) })
    .expect(200);
  expect((await fileOf(id)).events.map(({ body }) => body)).toEqual(bodies);
  for (const bad of [
    { kind: 'dance', wishId: wish.id },
    { kind: 'here' },
    { kind: 'here', wishId: 'x' },
    { kind: 'here', wishId: wish.id, more: 1 },
    { kind: 'late', wishId: wish.id, until: 2000 },
    null,
  ])
    await api()
      .post(`/api/event-days/${id}/events`)
      .send({ events: [{ ...event(bodies[0]!), body: bad }] })
      .expect(422);
  const other = await aDay();
  const known = (await fileOf(id)).events[0]!;
  await api()
    .post(`/api/event-days/${other.id}/events`)
    .send({ events: [event(bodies[0]!, { id: known.id })] })
    .expect(422);
});

test('an assistant marks, and sets nothing up; a coach sees none of it', async () => {
  const { id, setUp } = await aDay();
  const assistant = requestAs(test_.app, await test_.cookieOf('assistant'));
  await assistant
    .post(`/api/event-days/${id}/events`)
    .send({ events: [event({ kind: 'here', wishId: setUp.wishes[0]!.id })] })
    .expect(200);
  await assistant
    .put(`/api/event-days/${id}`)
    .send({ revision: 1, ...setUp })
    .expect(403);
  await requestAs(test_.app, await test_.cookieOf('coach'))
    .get(`/api/event-days/${id}`)
    .expect(403);
});

test('a day is taken off with what happened on it', async () => {
  const { id, setUp } = await aDay();
  await api()
    .post(`/api/event-days/${id}/events`)
    .send({ events: [event({ kind: 'here', wishId: setUp.wishes[0]!.id })] })
    .expect(200);
  await api().delete(`/api/event-days/${id}`).expect(200);
  await api().get(`/api/event-days/${id}`).expect(404);
  expect(await rows(test_.pool, 'SELECT id FROM event_day_event WHERE event_day_id = ?', [id])).toEqual([]);
  await api().delete(`/api/event-days/${id}`).expect(404);
});

test('whoever is erased is in no start list any more, in none that was set up and in none that was added to', async () => {
  const { athleteId } = await newVisit(test_.app);
  const { id, setUp } = await aDay(athleteId);
  const wish = { ...setUp.wishes[0]!, id: uuid() };
  await api()
    .post(`/api/event-days/${id}/events`)
    .send({ events: [event({ kind: 'wish', wish, starter: { id: uuid(), athleteId, name: 'Ann Rower' }, race: null, nextRace: null })] })
    .expect(200);
  const record = (await api().get(`/api/athletes/${athleteId}/record`).expect(200)).body as {
    athletes: { beside: { eventDays: unknown[] } }[];
  };
  expect(record.athletes[0]!.beside.eventDays).toEqual([{ id, title: 'Autumn head', onDate: '2026-12-04' }]);
  await api().delete(`/api/athletes/${athleteId}`).send({ confirm: ANN.name, copy: 'not wanted' }).expect(200);
  const text = JSON.stringify(await fileOf(id));
  expect(text).not.toContain(athleteId);
  expect(text).not.toContain('Ann Rower');
  expect((await fileOf(id)).setUp.wishes).toHaveLength(2);
});
