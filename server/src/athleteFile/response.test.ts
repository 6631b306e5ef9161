import { strFromU8, unzipSync } from 'fflate';
import { RECORD_TABLES } from '@pace-bend/core/exchange';
import { newBlock } from '@pace-bend/core/method';
import type { ResponseFile } from '@pace-bend/core/cycle';
import { ANN, ask, newVisit, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeEach(async () => {
  test_ = await openTestApp();
});
afterEach(() => test_.close());
const api = () => request(test_.app);

const read = (visitId: string, moment: string, trials: number[], more: object = {}) =>
  api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({
      motionId: 'straight-leg-raise',
      side: 'left',
      moment,
      mode: 'passive',
      instrument: 'goniometer',
      trials,
      supersedes: null,
      ...more,
    })
    .expect(200);

test('an athlete’s readings, work and what was broken, and others’ without a name; a walk-through with a faster clock is no work', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  await read(visitId, 'before', [60, 60, 61]);
  await api()
    .put(`/api/athletes/${athleteId}/conditions/${uuid()}`)
    .send({
      revision: 0,
      code: 'muscle-strain',
      region: 'calf',
      side: 'left',
      onset: '2026-11-01',
      surgeryOn: null,
      words: 'A word for nobody else',
      clearance: null,
      resolvedOn: '2026-11-20',
    })
    .expect(200);
  await ask(test_.app, visitId);
  const block = newBlock(uuid(), 'rectus-femoris-prone', 'cr-breath', ['left']);
  await api()
    .put(`/api/runs/${uuid()}`)
    .send({ visitId, blocks: [block], breath: { periodMs: 8000, inShare: 0.4 }, edges: [], clockRate: 20 })
    .expect(200);
  const other = await newVisit(test_.app);
  await read(other.visitId, 'before', [70, 70, 70]);
  const unread = await newVisit(test_.app);

  const file = (await api().get(`/api/athletes/${athleteId}/response`).expect(200)).body as ResponseFile;
  expect(file.own.past.map(({ value, moment, side }) => [Math.round(value), moment, side])).toEqual([[60, 'before', 'left']]);
  expect(file.own.conditions).toEqual([{ region: 'calf', side: 'left', onset: '2026-11-01', surgeryOn: null }]);
  expect(file.own.blocks).toEqual([]);
  expect(file.others.map(({ past }) => past.map(({ value }) => value))).toEqual([[70]]);
  expect(JSON.stringify(file)).not.toMatch(new RegExp(`${ANN.name}|A word for nobody else|${other.athleteId}|${unread.athleteId}`));
});

test('it is for those who treat, of their own practice; who is not there is not found', async () => {
  const { athleteId } = await newVisit(test_.app);
  const path = `/api/athletes/${athleteId}/response`;
  await requestAs(test_.app, await test_.cookieOf('coach'))
    .get(path)
    .expect(403);
  await requestAs(test_.app, await test_.cookieOf('owner', await test_.anotherPractice()))
    .get(path)
    .expect(404);
  await api().get(`/api/athletes/${uuid()}/response`).expect(404);
  await api().get('/api/athletes/nobody/response').expect(422);
});

test('tables of the record are CSV files, for therapists of the practice; one that there is not is not found', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  await read(visitId, 'before', [60, 60, 61]);
  const path = `/api/athletes/${athleteId}/tables`;
  const readings = await api()
    .get(`${path}/readings`)
    .expect(200)
    .expect('Content-Type', /text\/csv/)
    .expect('Content-Disposition', /readings\.csv/);
  expect(readings.text.split('\r\n')[1]).toMatch(
    /^2026-11-25,Straight-leg raise,.*,left,before work,60\.\d+,deg,3,passive,goniometer,A owner,/,
  );
  const zip = await api()
    .get(path)
    .buffer(true)
    .parse((answer, done) => {
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200)
    .expect('Content-Type', /application\/zip/)
    .expect('Content-Disposition', /athlete-tables\.zip/);
  // Unpacked by another library than the one that packs.
  const files = unzipSync(zip.body as Buffer);
  expect(Object.keys(files).sort()).toEqual(['datapackage.json', ...RECORD_TABLES.map(({ id }) => `${id}.csv`)].sort());
  expect(strFromU8(files['readings.csv']!)).toBe(readings.text);
  const { resources } = JSON.parse(strFromU8(files['datapackage.json']!)) as { resources: { path: string }[] };
  for (const resource of resources) expect(files[resource.path]).toBeDefined();
  for (const table of ['loads', 'check-ins', 'findings', 'blocks'])
    expect((await api().get(`${path}/${table}`).expect(200)).text).toMatch(/^[^\r]+\r\n$/);
  await api().get(`${path}/notes`).expect(404);
  await api().get(`/api/athletes/${uuid()}/tables/readings`).expect(404);
  await requestAs(test_.app, await test_.cookieOf('assistant'))
    .get(`${path}/readings`)
    .expect(403);
});
