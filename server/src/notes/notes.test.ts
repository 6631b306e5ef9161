import { newVisit, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const EDITS = { 'said/complaint': { text: 'In my words.', was: 'As said.' } };

test('what was changed by hand is kept beside the own words; a program that knows of none leaves it', async () => {
  const { visitId } = await newVisit(test_.app);
  const path = `/api/visits/${visitId}/note`;
  await api().put(path).send({ revision: 0, text: 'Mine', edits: EDITS }).expect(200);
  await api().put(path).send({ revision: 1, text: 'Mine, more' }).expect(200);
  expect((await visitFile(test_.app, visitId)).note).toEqual({ text: 'Mine, more', edits: EDITS, revision: 2, signed: null, addenda: [] });
  for (const edits of [{ a: { text: 'x' } }, { a: 'x' }]) await api().put(path).send({ revision: 2, text: '', edits }).expect(422);
  // Two hundred sentences changed by hand are more than any note has.
  const many = Object.fromEntries(Array.from({ length: 201 }, (_, i) => [`said/${i}`, { text: '', was: '' }]));
  expect((await api().put(path).send({ revision: 2, text: '', edits: many })).status).toBeGreaterThanOrEqual(413);
});

test('signed once, by the one who signs, as it was read; then nothing changes but what is added', async () => {
  const { visitId } = await newVisit(test_.app);
  const path = `/api/visits/${visitId}/note`;
  await api().put(`${path}/addenda/${uuid()}`).send({ text: 'too early' }).expect(409);
  await api().put(path).send({ revision: 0, text: 'Mine' }).expect(200);
  // Somebody wrote on meanwhile: what would be signed was not seen.
  await api().put(`${path}/signature`).send({ revision: 0, text: 'Said\nMine' }).expect(409);
  await api().put(`${path}/signature`).send({ revision: 1, text: '  ' }).expect(422);
  const answers = await Promise.all([1, 2, 3].map(() => api().put(`${path}/signature`).send({ revision: 1, text: 'Said\nMine' })));
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
  expect(answers[0]!.body.signed).toMatchObject({ text: 'Said\nMine', by: expect.any(String) });
  expect(new Set(answers.map(({ body }) => body.signed.at)).size).toBe(1);
  // Another text under the same signature, and any change of the note, are refused in words.
  await api().put(`${path}/signature`).send({ revision: 1, text: 'Another' }).expect(409);
  const refused = await api().put(path).send({ revision: 1, text: 'Changed' }).expect(409);
  expect(refused.body.detail).toContain('signed');
  const id = uuid();
  await api().put(`${path}/addenda/${id}`).send({ text: 'Called the next day: better.' }).expect(200);
  await api().put(`${path}/addenda/${id}`).send({ text: 'Called the next day: better.' }).expect(200);
  await api().put(`${path}/addenda/${id}`).send({ text: 'Rewritten' }).expect(409);
  const { note } = await visitFile(test_.app, visitId);
  expect(note).toMatchObject({ text: 'Mine', signed: { text: 'Said\nMine' }, addenda: [{ id, text: 'Called the next day: better.' }] });
  expect(note!.addenda).toHaveLength(1);
});

test('a finished visit is signed, a cancelled one is not; what is finished and not signed is on the day', async () => {
  const { visitId } = await newVisit(test_.app);
  const { visit } = await visitFile(test_.app, visitId);
  const day = visit.startsAt.slice(0, 10);
  const unsigned = async () => ((await api().get(`/api/days/${day}`)).body.unsigned as { id: string }[]).map(({ id }) => id);
  expect(await unsigned()).not.toContain(visitId);
  await api().post(`/api/visits/${visitId}/finish`).send({ revision: visit.revision }).expect(200);
  expect(await unsigned()).toContain(visitId);
  await api().put(`/api/visits/${visitId}/note/signature`).send({ revision: 0, text: 'All of it' }).expect(200);
  expect(await unsigned()).not.toContain(visitId);
  const other = await newVisit(test_.app);
  const { revision } = (await visitFile(test_.app, other.visitId)).visit;
  await api().post(`/api/visits/${other.visitId}/cancel`).send({ revision }).expect(200);
  await api().put(`/api/visits/${other.visitId}/note/signature`).send({ revision: 0, text: 'x' }).expect(409);
});
