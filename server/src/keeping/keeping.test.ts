import { archivePieces, archivePerson, readArchive } from '@pace-bend/core/exchange';
import { NO_KEEPING, type Keeping, type KeepingPage } from '@pace-bend/core/keeping';
import { change, rows } from '../db/pool.ts';
import { ANN, ask, newVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';
import { eraseAgain } from './erase.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);
const page = async () => (await api().get('/api/keeping').expect(200)).body as KeepingPage;
const LAW = {
  years: 10,
  untilAge: null,
  kinds: ['treatment', 'conditions'] as const,
  reason: 'Record keeping rule of the town, section 4',
};
const set = async (keeping: Partial<Keeping>) =>
  api()
    .put('/api/keeping')
    .send({ ...NO_KEEPING, ...keeping, revision: (await page()).revision })
    .expect(200);
const somebody = async () => {
  const ids = await newVisit(test_.app);
  await ask(test_.app, ids.visitId);
  await api().put(`/api/visits/${ids.visitId}/note`).send({ revision: 0, text: 'Calf eased' }).expect(200);
  await api()
    .put(`/api/athletes/${ids.athleteId}/goals/${uuid()}`)
    .send({ motionId: 'hip-flexion', side: 'left', value: 120, byDate: null })
    .expect(200);
  return ids;
};
const erase = (athleteId: string, copy = 'handed over') => api().delete(`/api/athletes/${athleteId}`).send({ confirm: ANN.name, copy });

test('without a rule nothing stays: no table of the database holds the athlete but the audit and that they were erased', async () => {
  const { athleteId, visitId } = await somebody();
  expect((await api().get(`/api/athletes/${athleteId}/erasing`).expect(200)).body).toEqual({
    keptUntil: null,
    kinds: [],
    reason: '',
    backups: [],
  });
  await api().delete(`/api/athletes/${athleteId}`).send({ confirm: ANN.name }).expect(422);
  expect((await erase(athleteId).expect(200)).body).toEqual({ erased: true, keptUntil: null });
  const columns = await rows<{ t: string; c: string }>(
    test_.pool,
    `SELECT c.table_name AS t, c.column_name AS c FROM information_schema.columns c JOIN information_schema.tables b USING (table_schema, table_name)
     WHERE c.table_schema = DATABASE() AND b.table_type = 'BASE TABLE'`,
  );
  const found: string[] = [];
  for (const { t, c } of columns)
    for (const id of [athleteId, visitId])
      if ((await rows(test_.pool, `SELECT 1 FROM \`${t}\` WHERE CAST(\`${c}\` AS CHAR) LIKE ? LIMIT 1`, [`%${id}%`])).length > 0)
        found.push(`${t}.${c}`);
  expect([...new Set(found)].sort()).toEqual(['audit.athlete_id', 'erased.athlete_id']);
});

test('what the law of the place keeps is put aside until its day: out of sight, taken out whole, erased no earlier', async () => {
  await set({ law: { ...LAW, kinds: [...LAW.kinds] } });
  const { athleteId, visitId } = await somebody();
  const said = (await api().get(`/api/athletes/${athleteId}/erasing`).expect(200)).body as { keptUntil: string; reason: string };
  expect(said).toMatchObject({ keptUntil: '2036-11-25', reason: LAW.reason });
  await erase(athleteId).expect(200);
  await api().get(`/api/athletes/${athleteId}`).expect(404);
  await api().get(`/api/visits/${visitId}`).expect(404);
  const [kept] = (await page()).kept;
  expect(kept).toMatchObject({ name: ANN.name, erasedOn: '2026-11-25', keepUntil: '2036-11-25', reason: LAW.reason, kinds: LAW.kinds });

  const file = readArchive((await api().get(`/api/keeping/kept/${kept!.id}`).expect(200)).text);
  if (typeof file === 'string') throw new Error(file);
  const [{ tables }] = file.athletes as [(typeof file.athletes)[number]];
  expect(archivePerson(tables)).toEqual({ id: athleteId, name: ANN.name, birthDate: ANN.birthDate });
  expect(tables.note).toMatchObject([{ visit_id: visitId, text: 'Calf eased' }]);
  expect(tables.athlete_goal).toBeUndefined();

  await api().delete(`/api/keeping/kept/${kept!.id}`).send({ confirm: 'Somebody' }).expect(422);
  const early = await api().delete(`/api/keeping/kept/${kept!.id}`).send({ confirm: ANN.name }).expect(403);
  expect((early.body as { detail: string }).detail).toContain('until 2036-11-25');
  const lines = ((await api().get(`/api/audit?athlete=${athleteId}`).expect(200)).body as { lines: { what: string }[] }).lines;
  expect(lines.map(({ what }) => what)).toEqual(expect.arrayContaining(['erased', 'kept record exported']));
  // Should they come back, the record is read in again.
  for (const piece of archivePieces(file, { [athleteId]: 'new' })) await api().post('/api/archive/take').send(piece).expect(200);
  expect((await visitFile(test_.app, visitId)).note?.text).toBe('Calf eased');
  expect(await rows(test_.pool, 'SELECT 1 FROM erased WHERE athlete_id = ?', [athleteId])).toEqual([]);

  test_.setNow(new Date('2036-11-26T09:00:00.000Z'));
  try {
    await test_.renewOwner();
    await api().delete(`/api/keeping/kept/${kept!.id}`).send({ confirm: ANN.name }).expect(200);
    expect((await page()).kept).toEqual([]);
  } finally {
    test_.setNow(new Date('2026-11-25T09:00:00.000Z'));
    await test_.renewOwner();
  }
});

test('whoever never came, or whose time is over, leaves nothing behind under the same law', async () => {
  const [never, long] = [uuid(), uuid()];
  for (const id of [never, long]) await api().put(`/api/athletes/${id}`).send(ANN).expect(200);
  const old = uuid();
  await api()
    .put(`/api/visits/${old}`)
    .send({ athleteId: long, startsAt: '2026-11-25T12:30:00.000Z', minutes: 30, overlap: true })
    .expect(200);
  await change(test_.pool, "UPDATE visit SET starts_at = '2016-11-24 12:00:00' WHERE id = ?", [old]);
  for (const id of [never, long]) expect((await erase(id, 'not wanted').expect(200)).body).toMatchObject({ keptUntil: null });
  const copies = await rows<{ copy: string }>(test_.pool, 'SELECT copy FROM erased WHERE athlete_id IN (?, ?)', [never, long]);
  expect(copies.map(({ copy }) => copy)).toEqual(['not wanted', 'not wanted']);
});

test('periods by kind: what is due is listed and counted, erased only as far as the period reaches, and noted', async () => {
  const { athleteId, visitId } = await somebody();
  await change(test_.pool, "UPDATE visit SET starts_at = '2024-11-24 12:00:00' WHERE id = ?", [visitId]);
  for (const [on, id] of [
    ['2026-05-24', uuid()],
    ['2026-05-25', uuid()],
    ['2026-11-20', uuid()],
  ] as const) {
    await change(
      test_.pool,
      "INSERT INTO check_in (id, athlete_id, on_date, scale, answers, entered_at, entered_by) VALUES (?, ?, ?, 'four-items', '{}', '2026-11-20', 'x')",
      [id, athleteId, on],
    );
    await change(
      test_.pool,
      "INSERT INTO training_load (id, athlete_id, on_date, kind, minutes, entered_at, entered_by) VALUES (?, ?, ?, 'training', 60, '2026-11-20', 'x')",
      [uuid(), athleteId, on],
    );
  }
  await set({ recordsMonths: 24, checkInsMonths: 6, loadsMonths: 6 });
  const found = await page();
  expect(found.records).toEqual([{ athleteId, name: ANN.name, lastOn: '2024-11-24', keptUntil: null }]);
  expect([found.checkIns, found.loads, found.guests]).toEqual([
    { count: 1, before: '2026-05-25' },
    { count: 1, before: '2026-05-25' },
    null,
  ]);

  await api().post('/api/keeping/check-ins').send({ before: '2026-11-25' }).expect(422);
  await api().post('/api/keeping/check-ins').send({ before: '2026-02-30' }).expect(422);
  await api().post('/api/keeping/guests').send({ before: '2020-01-01' }).expect(422);
  expect((await api().post('/api/keeping/check-ins').send({ before: '2026-05-25' }).expect(200)).body).toEqual({ erased: 1 });
  expect((await api().post('/api/keeping/loads').send({ before: '2026-05-25' }).expect(200)).body).toEqual({ erased: 1 });
  expect((await page()).checkIns).toEqual({ count: 0, before: '2026-05-25' });
  const lines = ((await api().get('/api/audit').expect(200)).body as { lines: { what: string }[] }).lines.map(({ what }) => what);
  expect(lines).toEqual(
    expect.arrayContaining(['check-ins past their period erased', 'loads past their period erased', 'periods of keeping changed']),
  );
});

test('guests of event days lose their names after their period; those with a file keep theirs', async () => {
  const { athleteId } = await somebody();
  const day = uuid();
  const starter = (id: string, name: string, of: string | null) => ({ id, athleteId: of, name, raceId: null });
  const data = {
    starters: [starter(uuid(), 'Guest Gone', null), starter(uuid(), ANN.name, athleteId)],
    wishes: [],
    races: [],
    shifts: [],
    offers: [],
  };
  await change(
    test_.pool,
    "INSERT INTO event_day (id, practice_id, on_date, title, data, changed_at, changed_by) VALUES (?, ?, '2026-01-10', 'Winter row', ?, '2026-01-10', 'x')",
    [day, test_.practiceId, JSON.stringify(data)],
  );
  await set({ guestsMonths: 3 });
  expect((await page()).guests).toEqual({ count: 1, before: '2026-08-25' });
  await api().post('/api/keeping/guests').send({ before: '2026-08-25' }).expect(200);
  const [row] = await rows<{ data: string }>(test_.pool, 'SELECT data FROM event_day WHERE id = ?', [day]);
  expect(JSON.stringify(row)).not.toContain('Guest Gone');
  expect(JSON.stringify(row)).toContain(ANN.name);
  expect((await page()).guests).toEqual({ count: 0, before: '2026-08-25' });
});

test('a rule that cannot be is refused at its place; a stale one is told what stands; only the owner comes here', async () => {
  const { revision } = await page();
  const wrong = await api()
    .put('/api/keeping')
    .send({ ...NO_KEEPING, law: { ...LAW, years: 0, reason: '' }, revision })
    .expect(422);
  expect((wrong.body as { errors: { path: string }[] }).errors.map(({ path }) => path)).toEqual(
    expect.arrayContaining(['law.years', 'law.reason']),
  );
  await api()
    .put('/api/keeping')
    .send({ ...NO_KEEPING, revision: revision + 7 })
    .expect(409);
  for (const role of ['therapist', 'assistant', 'coach'] as const)
    await requestAs(test_.app, await test_.cookieOf(role))
      .get('/api/keeping')
      .expect(403);
  const other = await requestAs(test_.app, await test_.cookieOf('owner', await test_.anotherPractice()))
    .get('/api/keeping')
    .expect(200);
  expect(other.body).toMatchObject({ records: [], kept: [], erased: { count: 0 } });
});

test('who was erased after a backup is erased again when it has been put back', async () => {
  await set({});
  const { athleteId } = await somebody();
  expect(await eraseAgain(test_.pool, new Date())).toBe(0);
  await test_.pool.query(
    'CREATE TABLE erase_again (athlete_id UUID NOT NULL PRIMARY KEY, erased_by VARCHAR(120) NOT NULL, copy VARCHAR(20) NOT NULL)',
  );
  await change(test_.pool, "INSERT INTO erase_again VALUES (?, 'Ann', 'handed over'), (?, 'Ann', 'handed over')", [athleteId, uuid()]);
  expect(await eraseAgain(test_.pool, new Date())).toBe(1);
  await api().get(`/api/athletes/${athleteId}`).expect(404);
  expect(await eraseAgain(test_.pool, new Date())).toBe(0);
});
