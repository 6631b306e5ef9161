import type { CoachPage } from '@pace-bend/core/record';
import { ANN, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

const ANSWERS = {
  scale: 'four-items',
  answers: { sleep: 3, stress: 3, fatigue: 3, soreness: 3 },
  hoursSlept: 7.5,
  sore: [],
  ill: false,
  injured: false,
  travelled: false,
  training: 'full',
  rmssdMs: null,
  supersedes: null,
};
let test_: TestApp;
let cookie: string;
const squadId = uuid();
const ids = { seen: uuid(), referred: uuid(), away: uuid(), back: uuid(), unseen: uuid() };

beforeAll(async () => {
  test_ = await openTestApp();
  const api = () => request(test_.app);
  for (const [name, id] of Object.entries(ids))
    await api()
      .put(`/api/athletes/${id}`)
      .send({ ...ANN, name: `A ${name}` })
      .expect(200);
  await api()
    .put(`/api/squads/${squadId}`)
    .send({ revision: 0, name: 'Eight', athleteIds: Object.values(ids) })
    .expect(200);
  await api()
    .put(`/api/squads/${uuid()}`)
    .send({ revision: 0, name: 'Not theirs', athleteIds: [ids.seen] })
    .expect(200);
  await api().patch(`/api/athletes/${ids.away}`).send({ revision: 1, availability: 'out', availableUntil: '2026-12-24' }).expect(200);
  await api().patch(`/api/athletes/${ids.back}`).send({ revision: 1, availability: 'out', availableUntil: '2026-11-24' }).expect(200);

  const visit = async (athleteId: string, startsAt: string, score: number, trials: number[]) => {
    const id = uuid();
    await api().put(`/api/visits/${id}`).send({ athleteId, startsAt, minutes: 30, overlap: true }).expect(200);
    await api()
      .patch(`/api/visits/${id}`)
      .send({ revision: 1, complaintScore: score, complaint: 'Secret ache', step: 'measure' })
      .expect(200);
    const reading = uuid();
    const fields = { motionId: 'hip-flexion', side: 'left', moment: 'before', mode: 'passive', instrument: 'goniometer' };
    await api()
      .put(`/api/visits/${id}/readings/${reading}`)
      .send({ ...fields, trials: [50], supersedes: null })
      .expect(200);
    // What was corrected counts, not what was typed first.
    await api()
      .put(`/api/visits/${id}/readings/${uuid()}`)
      .send({ ...fields, trials, supersedes: reading })
      .expect(200);
    await api()
      .put(`/api/visits/${id}/readings/${uuid()}`)
      .send({ ...fields, moment: 'after', trials: [140], supersedes: null })
      .expect(200);
    return id;
  };
  await visit(ids.seen, '2026-11-10T09:00:00.000Z', 8, [110]);
  await visit(ids.seen, '2026-11-20T09:00:00.000Z', 2, [116, 118]);
  const referred = await visit(ids.referred, '2026-11-23T09:00:00.000Z', 1, [120]);
  await api().put(`/api/visits/${referred}/referral`).send({ revision: 0, to: 'Dr', seen: 'Secret finding' }).expect(200);
  await visit(ids.unseen, '2026-09-01T09:00:00.000Z', 1, [120]);

  const account = uuid();
  await api()
    .put(`/api/accounts/${account}`)
    .send({ revision: 0, name: 'Coach', login: 'coach', role: 'coach', active: true, squadIds: [squadId], password: 'the boat goes well' })
    .expect(200);
  const cookies = (
    await requestAs(test_.app, null).post('/api/sign-in').send({ login: 'coach', password: 'the boat goes well' }).expect(200)
  ).headers['set-cookie'] as unknown as string[];
  cookie = cookies.map((each) => each.split(';')[0]).join('; ');
});
afterAll(() => test_.close());

const page = async () => (await requestAs(test_.app, cookie).get('/api/coach').expect(200)).body as CoachPage;
const athlete = async (name: keyof typeof ids) => (await page()).squads[0]!.athletes.find((each) => each.id === ids[name])!;

test('only the squads given to them, with everybody in them', async () => {
  const { squads } = await page();
  expect(squads.map((squad) => squad.name)).toEqual(['Eight']);
  expect(squads[0]!.athletes.map((each) => each.name)).toEqual(['A away', 'A back', 'A referred', 'A seen', 'A unseen']);
});

test('today’s word stands there and nothing behind it; whoever did not answer is not known', async () => {
  const morning = async (name: keyof typeof ids, more: object) => {
    for (let ago = 20; ago >= 0; ago--) {
      const onDate = new Date(Date.UTC(2026, 10, 25 - ago)).toISOString().slice(0, 10);
      await request(test_.app)
        .put(`/api/athletes/${ids[name]}/check-ins/${uuid()}`)
        .send({ ...ANSWERS, onDate, ...(ago === 0 ? more : {}) })
        .expect(200);
    }
  };
  await morning('seen', {});
  await morning('referred', { ill: true });
  expect((await athlete('seen')).readiness).toBe('ready');
  expect((await athlete('referred')).readiness).toBe('hold');
  expect((await athlete('unseen')).readiness).toBe('not known');
  expect(JSON.stringify(await page())).not.toMatch(/Secret|score|complaint|referr(?!ed")|Ill|slept|sleep|answer|weight|reason/);
});

test('availability runs out on its day', async () => {
  expect(await athlete('away')).toMatchObject({ availability: 'out', availableUntil: '2026-12-24', readiness: 'not known' });
  expect(await athlete('back')).toMatchObject({ availability: 'full', availableUntil: null, readiness: 'not known' });
});

test('trends hold what stands before work, visit by visit', async () => {
  expect((await athlete('seen')).trends).toEqual([
    {
      motionId: 'hip-flexion',
      side: 'left',
      points: [
        { on: '2026-11-10', value: 110 },
        { on: '2026-11-20', value: 117 },
      ],
    },
  ]);
});

test('the owner sees every squad there, an athlete in two of them in both', async () => {
  const { squads } = (await request(test_.app).get('/api/coach').expect(200)).body as CoachPage;
  expect(squads.map((squad) => [squad.name, squad.athletes.length])).toEqual([
    ['Eight', 5],
    ['Not theirs', 1],
  ]);
  expect(squads[1]!.athletes[0]!.trends[0]!.points).toHaveLength(2);
});
