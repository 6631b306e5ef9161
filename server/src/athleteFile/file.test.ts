import { LIMITS } from '@pace-bend/core/record';
import { rows } from '../db/pool.ts';
import { ANN, newVisit, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);
const athlete = async () => {
  const id = uuid();
  await api().put(`/api/athletes/${id}`).send(ANN).expect(200);
  return id;
};
const CONDITION = {
  revision: 0,
  code: 'muscle-strain',
  region: 'calf',
  side: 'left',
  onset: '2026-11-01',
  surgeryOn: null,
  words: 'Sprint',
  clearance: null,
  resolvedOn: null,
};

test('a whole file is kept as it was written; a change on an old revision is refused, the same one again is not', async () => {
  const id = await athlete();
  const fields = {
    sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: 'Bow' }],
    hand: 'left',
    foot: 'right',
    thighCm: 44.5,
    legCm: 42,
    armCm: null,
    forearmCm: 27,
    build: 'Long thighs',
    preferences: 'Quiet',
    coach: 'T. L.',
    contacts: [{ name: 'R', role: 'sister', phone: '555', email: '' }],
    medications: ['blood-thinner'],
    beighton: [true, true, false, false, false, false, true, true, true],
    availability: 'limited',
    availableUntil: '2026-12-24',
  };
  const changed = await api()
    .patch(`/api/athletes/${id}`)
    .send({ revision: 1, ...fields })
    .expect(200);
  expect(changed.body).toMatchObject({ ...ANN, ...fields, revision: 2 });
  await api()
    .patch(`/api/athletes/${id}`)
    .send({ revision: 1, ...fields })
    .expect(200);
  expect((await api().patch(`/api/athletes/${id}`).send({ revision: 1, coach: 'B. C.' }).expect(409)).body.current.coach).toBe('T. L.');
  await api().patch(`/api/athletes/${id}`).send({ revision: 2, beighton: null, thighCm: null }).expect(200);
  for (const wrong of [
    { thighCm: 500 },
    { beighton: [true] },
    { medications: ['tea'] },
    { hand: 'third' },
    { availableUntil: '2026-02-30' },
    {},
  ])
    await api()
      .patch(`/api/athletes/${id}`)
      .send({ revision: 3, ...wrong })
      .expect(422);
});

test('conditions: coded, changed in place, withdrawn but kept; impossible ones are refused in words', async () => {
  const athleteId = await athlete();
  const id = uuid();
  const put = (sent: object) => api().put(`/api/athletes/${athleteId}/conditions/${id}`).send(sent);
  await put(CONDITION).expect(200);
  await put(CONDITION).expect(200);
  expect((await put({ ...CONDITION, revision: 1, resolvedOn: '2026-11-20' }).expect(200)).body.revision).toBe(2);
  await put({ ...CONDITION, revision: 1, words: 'Other' }).expect(409);
  for (const [wrong, words] of [
    [{ code: 'hiccups' }, 'No such condition'],
    [{ region: null }, 'needs its region'],
    [{ surgeryOn: '2026-01-01' }, 'no operation'],
    [{ onset: '2027-01-01' }, 'future'],
    [{ clearance: { by: '', on: '2026-11-01', text: '', limits: [] } }, 'Cleared by'],
    [{ clearance: { by: 'Dr', on: '2026-11-01', text: '', limits: [{ kind: 'bend', movement: 'wing flap', deg: 3 }] } }, 'written limit'],
  ] as const) {
    expect(
      (
        await api()
          .put(`/api/athletes/${athleteId}/conditions/${uuid()}`)
          .send({ ...CONDITION, ...wrong })
          .expect(422)
      ).body.detail,
    ).toContain(words);
  }
  await api().delete(`/api/athletes/${athleteId}/conditions/${id}`).expect(200);
  expect((await api().get(`/api/athletes/${athleteId}`)).body.conditions).toEqual([]);
  expect(await rows(test_.pool, 'SELECT id FROM athlete_condition WHERE id = ? AND withdrawn_at IS NOT NULL', [id])).toHaveLength(1);
});

test('the list: pages, every word found, wildcards taken literally, one squad', async () => {
  const people = Array.from({ length: 130 }, (_, i) => ({
    id: uuid(),
    name: `Page ${String(i).padStart(3, '0')}${i === 7 ? ' 100%' : ''}`,
    birthDate: '2000-01-01',
    referenceSex: 'none',
    sports: [],
    coach: '',
    about: i % 2 ? 'tall' : '',
    squads: i < 3 ? ['First'] : [],
  }));
  await api().post('/api/import/athletes').send({ rows: people }).expect(200);
  const list = async (query: object) =>
    (await api().get('/api/athletes').query(query).expect(200)).body as { athletes: { name: string }[]; total: number };
  expect(await list({ q: 'page' })).toMatchObject({ total: 130 });
  expect((await list({ q: 'page' })).athletes).toHaveLength(100);
  expect((await list({ q: 'page', offset: 100 })).athletes.map((each) => each.name).at(-1)).toBe('Page 129');
  expect((await list({ q: 'tall page 01' })).athletes.map((each) => each.name)).toContain('Page 011');
  expect((await list({ q: '100%' })).athletes.map((each) => each.name)).toEqual(['Page 007 100%']);
  const { squads } = (await api().get('/api/squads').expect(200)).body as { squads: { id: string; name: string }[] };
  expect((await list({ squad: squads.find((squad) => squad.name === 'First')!.id })).total).toBe(3);
  await api().get('/api/athletes').query({ squad: 'x' }).expect(422);
});

describe('reading a squad in', () => {
  const row = (name: string, more: object = {}) => ({
    id: uuid(),
    name,
    birthDate: '2001-02-03',
    referenceSex: 'none',
    sports: [],
    coach: '',
    about: '',
    squads: [],
    ...more,
  });
  const count = async () => Number((await rows<{ n: number }>(test_.pool, 'SELECT COUNT(*) AS n FROM athlete'))[0]!.n);

  test('one row that cannot be refuses them all, each told with its place', async () => {
    await api()
      .post('/api/import/athletes')
      .send({ rows: [row('Here Already')] })
      .expect(200);
    const before = await count();
    const twice = row('Comes Twice');
    const { body } = await api()
      .post('/api/import/athletes')
      .send({ rows: [row('Fine One'), row('HERE  already'), twice, { ...twice, id: uuid() }] })
      .expect(422);
    expect(body.errors.map((error: { path: string }) => error.path)).toEqual(['rows.1.name', 'rows.3.name']);
    await api()
      .post('/api/import/athletes')
      .send({ rows: [row('Fine One'), row('', {}), row('Bad Date', { birthDate: 'x' })] })
      .expect(422);
    await api().post('/api/import/athletes').send({ rows: [] }).expect(422);
    expect(await count()).toBe(before);
  });

  test('sent again it adds nobody; as many rows as may be go in whole; one more is refused', async () => {
    const rows_ = Array.from({ length: LIMITS.importRows }, (_, i) => row(`Big Squad ${i}`, { squads: i % 100 === 0 ? ['Big'] : [] }));
    const before = await count();
    expect((await api().post('/api/import/athletes').send({ rows: rows_ }).expect(200)).body).toEqual({
      added: LIMITS.importRows,
      already: 0,
    });
    expect((await api().post('/api/import/athletes').send({ rows: rows_ }).expect(200)).body).toEqual({
      added: 0,
      already: LIMITS.importRows,
    });
    expect(await count()).toBe(before + LIMITS.importRows);
    await api()
      .post('/api/import/athletes')
      .send({ rows: [...rows_, row('One Too Many')] })
      .expect(422);
  }, 60_000);

  test('out again: a UTF-8 table whose cells no spreadsheet runs', async () => {
    await api()
      .post('/api/import/athletes')
      .send({ rows: [row('=cmd|calc', { about: '@x' })] })
      .expect(200);
    const answer = await api().get('/api/export/athletes').expect(200);
    expect(answer.headers['content-type']).toContain('text/csv');
    expect(answer.text.startsWith('\uFEFFName,Birth date,')).toBe(true);
    expect(answer.text).toContain("'=cmd|calc");
    expect(answer.text).not.toMatch(/(^|,)[=@]/m);
  });
});

test('a whole record is one file; erasing needs the name, takes all of it, and leaves only the audit', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const reading = uuid();
  const fields = { motionId: 'hip-flexion', side: 'left', moment: 'before', mode: 'passive', instrument: 'goniometer' };
  await api()
    .put(`/api/visits/${visitId}/readings/${reading}`)
    .send({ ...fields, trials: [100], supersedes: null })
    .expect(200);
  await api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({ ...fields, trials: [101], supersedes: reading })
    .expect(200);
  await api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'Words' }).expect(200);
  await api().put(`/api/athletes/${athleteId}/conditions/${uuid()}`).send(CONDITION).expect(200);
  await api().put(`/api/visits/${visitId}/referral`).send({ revision: 0, to: 'Dr', seen: 'x' }).expect(200);
  const record = await api().get(`/api/athletes/${athleteId}/record`).expect(200);
  expect(record.headers['content-disposition']).toContain('athlete-record.json');
  expect(record.body).toMatchObject({
    format: 'pace-bend-archive',
    athletes: [
      {
        tables: {
          athlete: [{ name: ANN.name }],
          visit: [{ id: visitId }],
          note: [{ text: 'Words' }],
          athlete_condition: [{ code: 'muscle-strain' }],
        },
      },
    ],
  });
  expect(record.body.athletes[0].tables.rom_reading.map((each: { trials: number[] }) => each.trials)).toEqual([[100], [101]]);

  await api().delete(`/api/athletes/${athleteId}`).send({ confirm: 'Ann', copy: 'not wanted' }).expect(422);
  await requestAs(test_.app, await test_.cookieOf('therapist'))
    .delete(`/api/athletes/${athleteId}`)
    .send({ confirm: ANN.name, copy: 'not wanted' })
    .expect(403);
  await api().delete(`/api/athletes/${athleteId}`).send({ confirm: ANN.name, copy: 'not wanted' }).expect(200);
  await api().get(`/api/athletes/${athleteId}`).expect(404);
  await api().get(`/api/visits/${visitId}`).expect(404);
  const tables = (
    await rows<{ name: string }>(
      test_.pool,
      "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME NOT IN ('audit', 'erased')",
    )
  ).map((each) => each.name);
  for (const table of tables) {
    const text = JSON.stringify(await rows(test_.pool, `SELECT * FROM \`${table}\``));
    expect([table, text.includes(athleteId), text.includes(visitId)]).toEqual([table, false, false]);
  }
  const { lines } = (await api().get('/api/audit').query({ athlete: athleteId })).body as { lines: { what: string; athleteName: null }[] };
  expect(lines[0]).toMatchObject({ what: 'erased', athleteName: null });
});
