import type { AthleteRow, DayPage, FirstStepsPage } from '@pace-bend/core/record';
import { rows } from '../db/pool.ts';
import { NOW, openTestApp, request, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());

const page = async () => (await request(test_.app).get('/api/first-steps')).body as FirstStepsPage;
const ok = async (sent: PromiseLike<{ status: number; body: unknown }>) => {
  const answer = await sent;
  expect([answer.status, answer.status >= 300 ? answer.body : null]).toEqual([200, null]);
  return answer.body;
};
const athletes = async () => ((await request(test_.app).get('/api/athletes')).body as { athletes: AthleteRow[] }).athletes;
/** How many rows each table holds, but for what is meant to grow. */
async function counts(): Promise<Record<string, number>> {
  const tables = await rows<{ name: string }>(
    test_.pool,
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name NOT IN ('audit', 'lease') ORDER BY table_name",
  );
  const found: Record<string, number> = {};
  for (const { name } of tables) found[name] = (await rows<{ n: number }>(test_.pool, `SELECT COUNT(*) AS n FROM \`${name}\``))[0]!.n;
  return found;
}

test('an empty practice has done none of them; each is done when what it is about is there', async () => {
  expect(await page()).toEqual({ done: [], skipped: [], left: false, sampleAthletes: 0 });
  const api = request(test_.app);
  await ok(api.put(`/api/events/${uuid()}`).send({ revision: 0, name: 'Town run', onDate: '2026-12-12', importance: 2, squadId: null }));
  expect((await page()).done).toEqual(['events']);
  await ok(
    api
      .put(`/api/athletes/${uuid()}`)
      .send({ name: 'Own Person', birthDate: '2000-01-01', referenceSex: 'none', sports: [], about: '', breathPeriodMs: 10_000 }),
  );
  expect((await page()).done).toEqual(['events', 'athlete']);
  const { revision, name, timeZone, scope } = (await api.get('/api/practice')).body;
  await ok(
    api
      .patch('/api/practice')
      .send({ revision, name, timeZone, scope: { ...scope, ruleText: 'As the council says.' }, sportsServed: ['rowing'] }),
  );
  // A sport without a squad is half of that step.
  expect((await page()).done).toEqual(['scope', 'events', 'athlete']);
  await ok(api.put(`/api/squads/${uuid()}`).send({ revision: 0, name: 'Evening group', athleteIds: [] }));
  expect((await page()).done).toEqual(['sports', 'scope', 'events', 'athlete']);
});

test('what is set aside is kept; what is no step is refused at the place', async () => {
  await ok(
    request(test_.app)
      .put('/api/first-steps')
      .send({ skipped: ['error'], left: true }),
  );
  expect(await page()).toMatchObject({ skipped: ['error'], left: true });
  const refused = await request(test_.app)
    .put('/api/first-steps')
    .send({ skipped: ['error', 'money'], left: true });
  expect(refused.status).toBe(422);
  expect(JSON.stringify(refused.body)).toContain('skipped.1');
  expect(await page()).toMatchObject({ skipped: ['error'], left: true });
});

test('samples fill the practice, count as no step, come once, and go without a row left behind', async () => {
  const before = await counts();
  const steps = (await page()).done;
  const added = (await ok(request(test_.app).post('/api/samples').send({}))) as FirstStepsPage;
  expect(added.sampleAthletes).toBeGreaterThan(10);
  expect(added.done).toEqual(steps);
  const there = await counts();
  expect((await ok(request(test_.app).post('/api/samples').send({}))) as FirstStepsPage).toEqual(added);
  expect(await counts()).toEqual(there);
  const day = (await request(test_.app).get(`/api/days/${NOW.toISOString().slice(0, 10)}`)).body as DayPage;
  expect(day.visits.length).toBeGreaterThan(3);

  await ok(request(test_.app).delete('/api/samples'));
  expect(await counts()).toEqual(before);
  expect((await athletes()).map(({ name }) => name)).toEqual(['Own Person']);
  // Nothing to remove is no mistake.
  await ok(request(test_.app).delete('/api/samples'));
});

test('what was added to samples goes with them; a squad somebody of the practice’s own has joined stays', async () => {
  const api = request(test_.app);
  await ok(api.post('/api/samples').send({}));
  const all = await athletes();
  const own = all.find(({ name }) => name === 'Own Person')!;
  const sample = all.find(({ name }) => name === 'Tavi Brandsma')!;
  const visit = uuid();
  await ok(api.put(`/api/visits/${visit}`).send({ athleteId: sample.id, startsAt: '2026-12-01T09:00:00.000Z', minutes: 30 }));
  const { squads } = (await api.get('/api/squads')).body as {
    squads: { id: string; name: string; revision: number; athleteIds: string[] }[];
  };
  const joined = squads.find(({ name }) => name === 'Sculls')!;
  await ok(api.put(`/api/squads/${joined.id}`).send({ ...joined, id: undefined, athleteIds: [...joined.athleteIds, own.id] }));

  await ok(api.delete('/api/samples'));
  expect((await api.get(`/api/visits/${visit}`)).status).toBe(404);
  const left = ((await api.get('/api/squads')).body as { squads: { name: string; athleteIds: string[] }[] }).squads;
  expect(left.map(({ name, athleteIds }) => [name, athleteIds])).toEqual([
    ['Evening group', []],
    ['Sculls', [own.id]],
  ]);
});

test('a squad of the same name as a sample’s is told apart', async () => {
  const api = request(test_.app);
  const id = uuid();
  await ok(api.put(`/api/squads/${id}`).send({ revision: 0, name: 'Juniors', athleteIds: [] }));
  await ok(api.post('/api/samples').send({}));
  const { squads } = (await api.get('/api/squads')).body as { squads: { id: string; name: string }[] };
  expect(squads.filter(({ name }) => name.startsWith('Juniors')).map(({ name }) => name)).toEqual(['Juniors', 'Juniors (sample)']);
  await ok(api.delete('/api/samples'));
  expect(((await api.get('/api/squads')).body as { squads: { id: string }[] }).squads.some((squad) => squad.id === id)).toBe(true);
});
