import { addDays } from '@pace-bend/core/load';
import { usualHours, weekdayOf, type WeekFile, type WeekHours } from '@pace-bend/core/week';
import { rows } from '../db/pool.ts';
import { ANN, newVisit, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
let monday: string;
let therapist: string;
beforeAll(async () => {
  test_ = await openTestApp();
  const { today } = (await api().get('/api/practice').expect(200)).body as { today: string };
  monday = addDays(today, 8 - weekdayOf(today));
  therapist = (await hours()).therapists[0]!.id;
});
afterAll(() => test_.close());
const api = () => request(test_.app);
const hours = async () =>
  (await api().get('/api/week-hours').expect(200)).body as {
    hours: WeekHours;
    revision: number;
    set: boolean;
    therapists: { id: string }[];
  };
const week = async (of = monday) => (await api().get(`/api/week/${of}`).expect(200)).body as WeekFile;

async function athlete(more: object = {}): Promise<string> {
  const id = uuid();
  await api()
    .put(`/api/athletes/${id}`)
    .send({ ...ANN, ...more })
    .expect(200);
  return id;
}
const booking = (athleteId: string, day: number, time: string, more: object = {}) => ({
  id: uuid(),
  athleteId,
  startsAt: `${addDays(monday, day)}T${time}:00.000Z`,
  minutes: 45,
  therapistId: therapist,
  ...more,
});
const stateOf = async (ids: readonly string[]) =>
  (
    await rows<{ id: string; off: number }>(
      test_.pool,
      `SELECT id, cancelled_at IS NOT NULL AS off FROM visit WHERE id IN (${ids.map(() => '?').join(', ')})`,
      ids,
    )
  ).map(({ id, off }) => [id, Number(off)]);

test('hours: the usual ones until they are set, changed by revision, wrong ones named at their place', async () => {
  const before = await hours();
  expect(before).toMatchObject({ revision: 0, set: false, hours: usualHours(before.therapists.map(({ id }) => id)) });
  const sent = { ...before.hours, tables: 1, revision: 0 };
  for (let again = 0; again < 2; again++)
    expect((await api().put('/api/week-hours').send(sent).expect(200)).body).toMatchObject({ revision: 1, set: true });
  await api()
    .put('/api/week-hours')
    .send({ ...sent, minutes: 30 })
    .expect(409);
  const [first, ...others] = sent.therapists;
  const overlapping = [...first!.spans, { weekday: 1, fromMin: 500, toMin: 520 }];
  const wrong = await api()
    .put('/api/week-hours')
    .send({ ...sent, revision: 1, therapists: [{ ...first, spans: overlapping }, ...others] })
    .expect(422);
  expect(wrong.body.errors[0]).toMatchObject({ path: 'therapists.0.spans', message: 'Two times of a day share time.' });
  const stranger = await api()
    .put('/api/week-hours')
    .send({ ...sent, revision: 1, therapists: [{ ...first, accountId: uuid() }] })
    .expect(422);
  expect(stranger.body.errors[0].path).toBe('therapists.0.accountId');
});

test('times somebody can come: kept, changed by revision, erased with them', async () => {
  const id = await athlete();
  expect((await api().get(`/api/athletes/${id}/times`).expect(200)).body).toEqual({ times: { perWeek: null, spans: [] }, revision: 0 });
  const sent = { revision: 0, perWeek: 1, spans: [{ weekday: 2, fromMin: 960, toMin: 1140 }] };
  for (let again = 0; again < 2; again++)
    expect((await api().put(`/api/athletes/${id}/times`).send(sent).expect(200)).body).toMatchObject({ revision: 1 });
  await api()
    .put(`/api/athletes/${id}/times`)
    .send({ ...sent, perWeek: 2 })
    .expect(409);
  await api()
    .put(`/api/athletes/${id}/times`)
    .send({ ...sent, revision: 1, spans: [{ weekday: 2, fromMin: 1140, toMin: 960 }] })
    .expect(422);
  expect((await week()).athletes.find(({ facts }) => facts.id === id)!.times).toEqual({ perWeek: 1, spans: sent.spans });
  await api().delete(`/api/athletes/${id}`).send({ confirm: ANN.name, copy: 'not wanted' }).expect(200);
  expect(await rows(test_.pool, 'SELECT 1 FROM athlete_times WHERE athlete_id = ?', [id])).toEqual([]);
});

test('a week is named by its Monday, and holds what is around it', async () => {
  await api()
    .get(`/api/week/${addDays(monday, 1)}`)
    .expect(422);
  await api().get('/api/week/soon').expect(422);
  const id = await athlete();
  const visit = booking(id, -6, '10:00');
  await api()
    .post('/api/week/book')
    .send({ visits: [visit] })
    .expect(200);
  await api()
    .put(`/api/events/${uuid()}`)
    .send({ revision: 0, name: 'Head race', onDate: addDays(monday, 5), importance: 1, squadId: null })
    .expect(200);
  await api()
    .put(`/api/athletes/${id}/season`)
    .send({
      revision: 0,
      blocks: [{ phase: 'compete', from: addDays(monday, 2), until: addDays(monday, 5), fromAnchor: null, untilAnchor: null }],
      stays: [{ id: uuid(), kind: 'travel', name: 'Away', from: addDays(monday, 6), until: addDays(monday, 9), visits: false }],
      follows: null,
      notAt: [],
    })
    .expect(200);
  await api()
    .put(`/api/athletes/${id}/loads/${uuid()}`)
    .send({
      revision: 0,
      onDate: addDays(monday, 1),
      kind: 'row',
      minutes: 100,
      exertion: null,
      amount: null,
      askedAfterMin: null,
      planned: true,
    })
    .expect(200);
  const file = await week();
  expect(file.visits.map(({ id: of }) => of)).toContain(visit.id);
  const { days } = file.athletes.find(({ facts }) => facts.id === id)!;
  expect(days.map(({ develop }) => develop)).toEqual(['all', 'all', 'none', 'none', 'none', 'none', 'all']);
  expect(days.map(({ away }) => away)).toEqual(['', '', '', '', '', '', 'Away']);
  expect(days.map(({ trainingMin }) => trainingMin)).toEqual([0, 100, 0, 0, 0, 0, 0]);
  expect(days[5]!.events).toMatchObject([{ name: 'Head race', importance: 1 }]);
});

test('somebody who is out until Wednesday is away until then, and in the week; out for all of it they are not', async () => {
  const back = await athlete({ availability: 'out', availableUntil: addDays(monday, 2) });
  const gone = await athlete({ availability: 'out', availableUntil: addDays(monday, 6) });
  const { athletes } = await week();
  expect(athletes.find(({ facts }) => facts.id === back)!.days.map(({ away }) => away)).toEqual(['out', 'out', 'out', '', '', '', '']);
  expect(athletes.some(({ facts }) => facts.id === gone)).toBe(false);
});

test('booked in one step, all or nothing; the same again changes nothing; what is taken is named', async () => {
  const [a, b] = [await athlete({ name: 'Ada First' }), await athlete({ name: 'Bo Second' })];
  const visits = [booking(a, 0, '08:00'), booking(b, 0, '09:00'), booking(a, 3, '08:00')];
  for (let again = 0; again < 2; again++) await api().post('/api/week/book').send({ visits }).expect(200);
  expect((await stateOf(visits.map(({ id }) => id))).map(([, off]) => off)).toEqual([0, 0, 0]);
  expect((await week()).visits.filter(({ athleteId }) => athleteId === a)).toMatchObject([
    { therapistId: therapist },
    { therapistId: therapist },
  ]);

  const late = [booking(b, 4, '08:00'), booking(b, 0, '08:15')];
  const refused = await api().post('/api/week/book').send({ visits: late }).expect(409);
  expect(refused.body).toMatchObject({
    detail: 'One of these times is taken by now: Bo Second by Ada First. Nothing was booked.',
    conflicts: [{ id: late[1]!.id, takenBy: ['Ada First'] }],
  });
  expect(await stateOf(late.map(({ id }) => id))).toEqual([]);

  const ids = visits.map(({ id }) => id);
  for (let again = 0; again < 2; again++) await api().post('/api/week/cancel').send({ ids }).expect(200);
  expect((await stateOf(ids)).map(([, off]) => off)).toEqual([1, 1, 1]);
  await api().post('/api/week/book').send({ visits }).expect(200);
  expect((await stateOf(ids)).map(([, off]) => off)).toEqual([0, 0, 0]);
});

test('what has begun is not taken back, nor anything with it', async () => {
  const id = await athlete({ name: 'Cy Third' });
  const visits = [booking(id, 1, '14:00'), booking(id, 4, '14:00')];
  await api().post('/api/week/book').send({ visits }).expect(200);
  await api().patch(`/api/visits/${visits[0]!.id}`).send({ revision: 1, step: 'measure' }).expect(200);
  const refused = await api()
    .post('/api/week/cancel')
    .send({ ids: [visits[1]!.id, visits[0]!.id] })
    .expect(409);
  expect(refused.body.detail).toContain('Cy Third has begun');
  expect((await stateOf(visits.map((each) => each.id))).map(([, off]) => off)).toEqual([0, 0]);
});

test('two at the same time need two tables and two therapists, and nobody leads two', async () => {
  const [a, b, c] = [await athlete(), await athlete(), await athlete()];
  await test_.cookieOf('therapist');
  const { therapists, revision, hours: usual } = await hours();
  const now = { ...usual, therapists: usualHours(therapists.map(({ id }) => id)).therapists };
  const second = therapists[1]!.id;
  const at = (id: string, who: string) => booking(id, 2, '15:00', { therapistId: who });
  await api()
    .post('/api/week/book')
    .send({ visits: [at(a, therapist), at(b, second)] })
    .expect(409);
  await api()
    .put('/api/week-hours')
    .send({ ...now, tables: 2, revision })
    .expect(200);
  await api()
    .post('/api/week/book')
    .send({ visits: [at(a, therapist), at(b, therapist)] })
    .expect(409);
  await api()
    .post('/api/week/book')
    .send({ visits: [at(a, therapist), at(b, second)] })
    .expect(200);
  // A third at that time, whoever leads it, has no table.
  await api()
    .put(`/api/visits/${uuid()}`)
    .send({ athleteId: c, startsAt: `${addDays(monday, 2)}T15:30:00.000Z`, minutes: 30 })
    .expect(409);
  await api()
    .put('/api/week-hours')
    .send({ ...now, tables: 1, revision: revision + 1 })
    .expect(200);
});

test('what is not of this practice is refused in words', async () => {
  const { visitId } = await newVisit(test_.app);
  const other = requestAs(test_.app, await test_.cookieOf('owner', await test_.anotherPractice()));
  await other
    .post('/api/week/cancel')
    .send({ ids: [visitId] })
    .expect(422);
  expect((await stateOf([visitId]))[0]![1]).toBe(0);
  const id = await athlete();
  const unknown = await api()
    .post('/api/week/book')
    .send({ visits: [booking(id, 0, '17:00', { therapistId: uuid() })] })
    .expect(422);
  expect(unknown.body.errors[0].path).toBe('visits.0.therapistId');
  await api()
    .post('/api/week/book')
    .send({ visits: [booking(uuid(), 0, '17:00')] })
    .expect(422);
});
