import { ANN, newVisit, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

describe('athletes', () => {
  test('are made once, found by any part of the name, and a retry is harmless', async () => {
    const id = uuid();
    for (let i = 0; i < 2; i++)
      await api()
        .put(`/api/athletes/${id}`)
        .send({ ...ANN, name: 'Søren 100%_ Example' })
        .expect(200);
    expect((await api().get('/api/athletes').query({ q: '100%_' })).body.athletes).toHaveLength(1);
    expect((await api().get('/api/athletes').query({ q: '1000' })).body.athletes).toHaveLength(0);
    const other = await api().put(`/api/athletes/${id}`).send(ANN).expect(409);
    expect(other.body.current.name).toBe('Søren 100%_ Example');
  });

  test.each([
    ['born in 1880', { birthDate: '1880-01-01' }, 'birthDate', 'between 1916-11-25 and 2026-11-25'],
    ['born tomorrow', { birthDate: '2026-11-26' }, 'birthDate', 'between'],
    ['born on 30 February', { birthDate: '2001-02-30' }, 'birthDate', 'between'],
    ['without a name', { name: '' }, 'name', 'empty'],
    ['with an endless name', { name: 'x'.repeat(500) }, 'name', '120'],
    ['with an unknown table', { referenceSex: 'robot' }, 'referenceSex', 'one of'],
    ['with an unknown member', { shoeSize: 44 }, 'shoeSize', 'not allowed'],
  ])('%s is refused at its place, and nothing is written', async (_, patch, path, words) => {
    const id = uuid();
    const answer = await api()
      .put(`/api/athletes/${id}`)
      .send({ ...ANN, ...patch })
      .expect(422)
      .expect('Content-Type', /problem\+json/);
    expect(answer.body.errors).toEqual([expect.objectContaining({ path, message: expect.stringContaining(words) })]);
    await api().get(`/api/athletes/${id}`).expect(404);
  });
});

describe('visits', () => {
  test('stand on the day of the practice, not of UTC', async () => {
    const { athleteId } = await newVisit(test_.app);
    const late = uuid();
    // 23:30 UTC is half past midnight in the practice's zone, the day after.
    await api().put(`/api/visits/${late}`).send({ athleteId, startsAt: '2026-11-27T23:30:00.000Z', minutes: 30 }).expect(200);
    const ids = async (date: string) =>
      (await api().get(`/api/days/${date}`).expect(200)).body.visits.map((visit: { id: string }) => visit.id);
    expect(await ids('2026-11-28')).toContain(late);
    expect(await ids('2026-11-27')).not.toContain(late);
  });

  test('a change names its revision; a stale one is refused with what stands', async () => {
    const { visitId } = await newVisit(test_.app);
    const { revision } = (await visitFile(test_.app, visitId)).visit;
    const changed = await api().patch(`/api/visits/${visitId}`).send({ revision, complaint: 'left hip' }).expect(200);
    expect(changed.body).toMatchObject({ complaint: 'left hip', revision: revision + 1 });
    const refused = await api().patch(`/api/visits/${visitId}`).send({ revision, complaint: 'overwritten' }).expect(409);
    expect(refused.body.current.complaint).toBe('left hip');
    expect((await visitFile(test_.app, visitId)).visit.complaint).toBe('left hip');
  });

  test('finish, and reopen to undo it; a finished visit is not changed by accident', async () => {
    const { visitId } = await newVisit(test_.app);
    await api().post(`/api/visits/${visitId}/finish`).send({ revision: 1 }).expect(200);
    await api().post(`/api/visits/${visitId}/finish`).send({ revision: 1 }).expect(200);
    await api().patch(`/api/visits/${visitId}`).send({ revision: 2, complaint: 'late idea' }).expect(409);
    await api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'late idea' }).expect(409);
    const open = await api().post(`/api/visits/${visitId}/reopen`).send({ revision: 2 }).expect(200);
    expect(open.body.finishedAt).toBeNull();
  });

  test('a visit of the last two weeks that was neither finished nor cancelled is offered', async () => {
    const { athleteId } = await newVisit(test_.app);
    const id = uuid();
    await api().put(`/api/visits/${id}`).send({ athleteId, startsAt: '2026-11-20T09:00:00.000Z', minutes: 30 }).expect(200);
    const offered = async () => (await api().get('/api/days/2026-11-25')).body.unfinished.map((visit: { id: string }) => visit.id);
    expect(await offered()).toContain(id);
    await api().post(`/api/visits/${id}/cancel`).send({ revision: 1 }).expect(200);
    expect(await offered()).not.toContain(id);
    await api().post(`/api/visits/${id}/restore`).send({ revision: 2 }).expect(200);
    await api().post(`/api/visits/${id}/finish`).send({ revision: 3 }).expect(200);
    expect(await offered()).not.toContain(id);
  });

  test.each([
    ['0 minutes', { minutes: 0 }, 'minutes'],
    ['a whole night', { minutes: 600 }, 'minutes'],
    ['the year 1880', { startsAt: '1880-01-01T09:00:00.000Z' }, 'startsAt'],
    ['no date', { startsAt: 'soon' }, 'startsAt'],
  ])('%s is refused', async (_, patch, path) => {
    const { athleteId } = await newVisit(test_.app);
    const answer = await api()
      .put(`/api/visits/${uuid()}`)
      .send({ athleteId, startsAt: '2026-11-25T09:30:00.000Z', minutes: 45, ...patch })
      .expect(422);
    expect(answer.body.errors[0].path).toBe(path);
  });

  test('the note keeps its latest words and refuses stale ones', async () => {
    const { visitId } = await newVisit(test_.app);
    await api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'one' }).expect(200);
    await api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'one' }).expect(200);
    const refused = await api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'two' }).expect(409);
    expect(refused.body.current.text).toBe('one');
    expect((await api().put(`/api/visits/${visitId}/note`).send({ revision: 1, text: 'three' }).expect(200)).body).toEqual({
      text: 'three',
      edits: {},
      revision: 2,
      signed: null,
      addenda: [],
    });
  });
});

describe('what is not a request', () => {
  test('broken JSON, too much, unknown places and ids: a problem each, never a 500', async () => {
    const id = uuid();
    const broken = await api().put(`/api/athletes/${id}`).set('Content-Type', 'application/json').send('{"name": ').expect(400);
    expect(broken.body).toMatchObject({ status: 400, title: 'Not JSON' });
    const large = await api()
      .put(`/api/athletes/${id}`)
      .send({ ...ANN, about: 'x'.repeat(5 * 1024 * 1024) })
      .expect(413);
    expect(large.body.detail).toContain('512 kB');
    await api().get(`/api/visits/${id}`).expect(404);
    await api().get('/api/visits/17').expect(422);
    await api().get('/api/nowhere').expect(404);
    await api().get('/api/days/yesterday').expect(422);
    await api().get('/api/days/1880-01-01').expect(422);
    await api().get('/api/days/2026-02-30').expect(422);
    await api().put(`/api/visits/${id}`).send([1, 2]).expect(422);
    await api().post(`/api/visits/${id}/finish`).send().expect(404);
    await api().put(`/api/athletes/${id}`).set('Content-Type', 'application/json; charset=klingon').send('{}').expect(415);
  });

  test('another host name and another site are refused', async () => {
    await api().get('/api/practice').set('Host', 'evil.example').expect(403);
    await api().put(`/api/athletes/${uuid()}`).set('Origin', 'http://evil.example').send(ANN).expect(403);
  });
});
