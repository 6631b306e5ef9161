import { newVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);
const event = (more: object = {}) => ({ revision: 0, name: 'Autumn head', onDate: '2026-12-04', importance: 1, squadId: null, ...more });
const names = async () =>
  ((await api().get('/api/events').expect(200)).body as { events: { name: string }[] }).events.map((each) => each.name);

test('an event of a squad is ahead for its members and for nobody else; everybody’s is for all', async () => {
  const [member, other] = [await newVisit(test_.app), await newVisit(test_.app)];
  const squad = uuid();
  await api()
    .put(`/api/squads/${squad}`)
    .send({ revision: 0, name: 'Eight', athleteIds: [member.athleteId] })
    .expect(200);
  await api()
    .put(`/api/events/${uuid()}`)
    .send(event({ name: 'Crew race', onDate: '2026-11-28', squadId: squad }))
    .expect(200);
  await api()
    .put(`/api/events/${uuid()}`)
    .send(event({ name: 'Club day', onDate: '2026-11-30' }))
    .expect(200);
  expect((await visitFile(test_.app, member.visitId)).nextEvent?.name).toBe('Crew race');
  expect((await visitFile(test_.app, other.visitId)).nextEvent?.name).toBe('Club day');
  const file = async (id: string) =>
    ((await api().get(`/api/athletes/${id}`).expect(200)).body as { events: { name: string }[] }).events.map((each) => each.name);
  expect([await file(member.athleteId), await file(other.athleteId)]).toEqual([['Crew race', 'Club day'], ['Club day']]);
});

test('changed by revision, taken off once; what cannot be is named at its field; an assistant only reads', async () => {
  const id = uuid();
  await api().put(`/api/events/${id}`).send(event()).expect(200);
  await api()
    .put(`/api/events/${id}`)
    .send(event({ revision: 1, name: 'Winter head', importance: 3 }))
    .expect(200);
  await api()
    .put(`/api/events/${id}`)
    .send(event({ revision: 1, name: 'Winter head', importance: 3 }))
    .expect(200);
  expect(
    (
      await api()
        .put(`/api/events/${id}`)
        .send(event({ revision: 1, name: 'Another' }))
        .expect(409)
    ).body.current.name,
  ).toBe('Winter head');
  for (const [field, value] of [
    ['name', ''],
    ['onDate', '2026-02-30'],
    ['importance', 4],
    ['importance', 0],
    ['squadId', 'x'],
    ['squadId', uuid()],
  ] as const) {
    expect(
      (
        await api()
          .put(`/api/events/${uuid()}`)
          .send(event({ [field]: value }))
          .expect(422)
      ).body.errors[0].path,
    ).toBe(field);
  }
  const assistant = () => requestAs(test_.app, cookie);
  const cookie = await test_.cookieOf('assistant');
  await assistant().get('/api/events').expect(200);
  await assistant().put(`/api/events/${uuid()}`).send(event()).expect(403);
  expect(await names()).toContain('Winter head');
  await api().delete(`/api/events/${id}`).expect(200);
  await api().delete(`/api/events/${id}`).expect(404);
  await api()
    .put(`/api/events/${id}`)
    .send(event({ revision: 2 }))
    .expect(404);
  expect(await names()).not.toContain('Winter head');
});
