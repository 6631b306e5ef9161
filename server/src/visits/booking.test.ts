import { ANN, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
let athleteId: string;
beforeEach(async () => {
  test_ = await openTestApp();
  athleteId = uuid();
  await request(test_.app).put(`/api/athletes/${athleteId}`).send(ANN).expect(200);
});
afterEach(() => test_.close());
const api = () => request(test_.app);
const at = (time: string) => `2026-11-25T${time}:00.000Z`;
const book = (id: string, time: string, minutes: number, overlap?: boolean) =>
  api()
    .put(`/api/visits/${id}`)
    .send({ athleteId, startsAt: at(time), minutes, ...(overlap === undefined ? {} : { overlap }) });
const day = async () =>
  (await api().get('/api/days/2026-11-25').expect(200)).body.visits as {
    id: string;
    startsAt: string;
    minutes: number;
    cancelledAt: string | null;
  }[];

test('time that is taken is refused with whose it is, unless it is meant; visits that touch are fine', async () => {
  const [a, b, c] = [uuid(), uuid(), uuid()];
  await book(a, '09:00', 45).expect(200);
  const refused = await book(b, '09:30', 30).expect(409);
  expect(refused.body).toMatchObject({ title: 'Overlaps', overlaps: [{ id: a, athleteName: ANN.name, minutes: 45 }] });
  await book(b, '09:45', 30).expect(200);
  await book(c, '09:30', 30, true).expect(200);
  await book(c, '09:30', 30).expect(200);
  expect((await day()).map((visit) => visit.id)).toEqual([a, c, b]);
});

test('moved, shortened, cancelled, put back: each with its revision, and nothing twice', async () => {
  const [a, b] = [uuid(), uuid()];
  await book(a, '09:00', 45).expect(200);
  await book(b, '10:00', 45).expect(200);
  const move = (revision: number, time: string, minutes: number, overlap = false) =>
    api()
      .post(`/api/visits/${a}/booking`)
      .send({ revision, startsAt: at(time), minutes, overlap });
  await move(1, '09:30', 45).expect(409);
  expect((await move(1, '09:15', 45).expect(200)).body).toMatchObject({ startsAt: at('09:15'), revision: 2 });
  // The same again, after its answer was lost.
  expect((await move(1, '09:15', 45).expect(200)).body.revision).toBe(2);
  await move(1, '08:00', 45).expect(409);
  expect((await move(2, '09:15', 30).expect(200)).body).toMatchObject({ minutes: 30, minutesAvailable: 30 });
  await api().post(`/api/visits/${a}/cancel`).send({ revision: 3 }).expect(200);
  await api().post(`/api/visits/${a}/cancel`).send({ revision: 3 }).expect(200);
  await api().patch(`/api/visits/${a}`).send({ revision: 4, complaint: 'x' }).expect(409);
  // Its time is free again, and so cannot be taken back without a word.
  await api()
    .post(`/api/visits/${b}/booking`)
    .send({ revision: 1, startsAt: at('09:20'), minutes: 45 })
    .expect(200);
  await api().post(`/api/visits/${a}/restore`).send({ revision: 4 }).expect(409);
  await api().post(`/api/visits/${a}/restore`).send({ revision: 4, overlap: true }).expect(200);
  expect((await day()).map((visit) => [visit.minutes, visit.cancelledAt])).toEqual([
    [30, null],
    [45, null],
  ]);
  await api().post(`/api/visits/${a}/finish`).send({ revision: 5 }).expect(200);
  await api().post(`/api/visits/${a}/cancel`).send({ revision: 6 }).expect(409);
  await move(6, '12:00', 45).expect(409);
});

test('of many who want the same time at the same instant one gets it', async () => {
  const answers = await Promise.all(Array.from({ length: 6 }, () => book(uuid(), '11:00', 30)));
  expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
  expect(await day()).toHaveLength(1);
});

test('another practice’s day does not take this one’s time', async () => {
  const other = await test_.cookieOf('owner', await test_.anotherPractice());
  const theirs = uuid();
  await requestAs(test_.app, other).put(`/api/athletes/${theirs}`).send(ANN).expect(200);
  await requestAs(test_.app, other)
    .put(`/api/visits/${uuid()}`)
    .send({ athleteId: theirs, startsAt: at('09:00'), minutes: 45 })
    .expect(200);
  await book(uuid(), '09:00', 45).expect(200);
});

test('what was answered on arriving is kept whole, and stands beside the next visit', async () => {
  const [a, b] = [uuid(), uuid()];
  await book(a, '09:00', 45).expect(200);
  const arrival = {
    complaint: 'Stiff',
    complaintRegion: 'hip',
    complaintSide: 'left',
    complaintScore: 4,
    changed: 'New seat',
    trainingSince: 'Rows',
    trainingNext: 'Rest',
    minutesAvailable: 40,
    consent: ['hips', 'legs'],
    lookFirst: 'Left hip',
  };
  expect(
    (
      await api()
        .patch(`/api/visits/${a}`)
        .send({ revision: 1, ...arrival })
        .expect(200)
    ).body,
  ).toMatchObject(arrival);
  await api()
    .patch(`/api/visits/${a}`)
    .send({ revision: 1, ...arrival })
    .expect(200);
  for (const wrong of [{ complaintScore: 11 }, { complaintRegion: 'moon' }, { consent: ['wings'] }, { minutesAvailable: 1 }])
    await api()
      .patch(`/api/visits/${a}`)
      .send({ revision: 2, ...wrong })
      .expect(422);
  await api().post(`/api/visits/${a}/finish`).send({ revision: 2 }).expect(200);
  await book(b, '12:00', 30).expect(200);
  const file = (await api().get(`/api/visits/${b}`).expect(200)).body;
  expect(file.lastArrival).toMatchObject({ ...arrival, startsAt: at('09:00') });
  expect(file.visit).toMatchObject({ complaint: '', consent: null, minutesAvailable: 30 });
});
