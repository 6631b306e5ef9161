import { findEntry } from '@pace-bend/core/catalogue';
import { homeItem } from '@pace-bend/core/home';
import { newVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const shin = () => homeItem(uuid(), findEntry('home-front-of-shin')!, ['left']);
async function sheetFor(visitId: string) {
  const { visit } = await visitFile(test_.app, visitId);
  return { items: [shin()], until: visit.startsAt.slice(0, 10), words: '' };
}

test('a sheet is given, given anew, and the same request again is answered with what stands', async () => {
  const { visitId } = await newVisit(test_.app);
  const path = `/api/visits/${visitId}/home`;
  expect((await visitFile(test_.app, visitId)).home).toEqual({ items: [], until: '', words: '', revision: 0 });
  const sheet = await sheetFor(visitId);
  const answers = await Promise.all(
    [1, 2].map(() =>
      api()
        .put(path)
        .send({ revision: 0, ...sheet }),
    ),
  );
  expect(answers.map(({ status }) => status)).toEqual([200, 200]);
  await api()
    .put(path)
    .send({ revision: 0, ...sheet, words: 'Another' })
    .expect(409);
  await api()
    .put(path)
    .send({ revision: 1, ...sheet, words: 'Another' })
    .expect(200);
  expect((await visitFile(test_.app, visitId)).home).toEqual({ ...sheet, words: 'Another', revision: 2 });
});

test('what cannot be given is named at its place', async () => {
  const { visitId, athleteId } = await newVisit(test_.app);
  const path = `/api/visits/${visitId}/home`;
  const sheet = await sheetFor(visitId);
  const put = (fields: object) =>
    api()
      .put(path)
      .send({ revision: 0, ...sheet, ...fields });
  for (const items of [
    [{ ...shin(), seconds: 0 }],
    [{ ...shin(), sides: [] }],
    [
      {
        ...shin(),
        sides: [
          { side: 'left', times: 1 },
          { side: 'left', times: 2 },
        ],
      },
    ],
    [{ ...shin(), how: ' ' }],
    [{ ...shin(), entryId: 'static-hold' }],
    [{ ...shin(), sides: [{ side: 'midline', times: 1 }] }],
    Array.from({ length: 9 }, shin),
  ])
    expect((await put({ items })).status).toBe(422);
  expect((await put({ until: '2020-01-01' })).status).toBe(422);
  expect((await put({ until: '2031-01-01' })).body.errors[0].path).toBe('until');
  expect((await put({ until: 'Friday' })).status).toBe(422);
  // A torn tendon of the other side says nothing, one of this side does.
  const tear = {
    code: 'achilles-repair',
    region: 'calf',
    onset: null,
    surgeryOn: '2026-11-10',
    muscle: null,
    grade: null,
    words: '',
    clearance: null,
    resolvedOn: null,
  };
  const calf = homeItem(uuid(), findEntry('home-calf-release')!, ['left']);
  await api()
    .put(`/api/athletes/${athleteId}/conditions/${uuid()}`)
    .send({ ...tear, side: 'right', revision: 0 })
    .expect(200);
  expect((await put({ items: [calf] })).status).toBe(200);
  await api()
    .put(`/api/athletes/${athleteId}/conditions/${uuid()}`)
    .send({ ...tear, side: 'left', revision: 0 })
    .expect(200);
  const refused = await api()
    .put(path)
    .send({ revision: 1, ...sheet, items: [calf] });
  expect([refused.status, refused.body.errors[0].path]).toEqual([422, 'items.0']);
});

test('only the sheet given last is asked about, at a visit after it; answers are counted in what the range answered with', async () => {
  const { visitId, athleteId } = await newVisit(test_.app);
  const sheet = await sheetFor(visitId);
  await api()
    .put(`/api/visits/${visitId}/home`)
    .send({ revision: 0, ...sheet })
    .expect(200);
  const later = uuid();
  await api().put(`/api/visits/${later}`).send({ athleteId, startsAt: '2026-11-25T15:00:00.000Z', minutes: 30, overlap: true }).expect(200);
  const file = await visitFile(test_.app, later);
  expect(file.lastHome).toMatchObject({ visitId, items: sheet.items });
  expect(file.homeAnswers).toBeNull();
  expect((await visitFile(test_.app, visitId)).nextVisitAt).toBe('2026-11-25T15:00:00.000Z');
  const put = (body: object) => api().put(`/api/visits/${later}/home-answers`).send(body);
  const id = sheet.items[0]!.id;
  await put({ revision: 0, sheetOf: uuid(), answers: {} }).expect(422);
  await put({ revision: 0, sheetOf: visitId, answers: { [uuid()]: 'every' } }).expect(422);
  await put({ revision: 0, sheetOf: visitId, answers: { [id]: 'always' } }).expect(422);
  await put({ revision: 0, sheetOf: visitId, answers: { [id]: 'most' } }).expect(200);
  await put({ revision: 0, sheetOf: visitId, answers: { [id]: 'most' } }).expect(200);
  await put({ revision: 0, sheetOf: visitId, answers: { [id]: 'none' } }).expect(409);
  // At a visit after that one it is not asked about again, and can still be given again.
  const third = uuid();
  await api().put(`/api/visits/${third}`).send({ athleteId, startsAt: '2026-11-25T18:00:00.000Z', minutes: 30, overlap: true }).expect(200);
  expect((await visitFile(test_.app, third)).lastHome).toMatchObject({ visitId, askedBefore: true });
  const { own } = (await api().get(`/api/athletes/${athleteId}/response`).expect(200)).body;
  expect(own.home).toMatchObject([{ sheet: { visitId }, asked: { visitId: later, answers: { [id]: 'most' } } }]);
  const history = (await api().get(`/api/athletes/${athleteId}/history`).expect(200)).body;
  expect(history.home).toHaveLength(1);
  expect(history.blocks).toEqual([]);
});

test('an assistant asks and gives nothing; a finished visit takes no sheet', async () => {
  const { visitId } = await newVisit(test_.app);
  const sheet = await sheetFor(visitId);
  const assistant = requestAs(test_.app, await test_.cookieOf('assistant'));
  expect((await assistant.put(`/api/visits/${visitId}/home`).send({ revision: 0, ...sheet })).status).toBe(403);
  const { revision } = (await visitFile(test_.app, visitId)).visit;
  await api().post(`/api/visits/${visitId}/finish`).send({ revision }).expect(200);
  expect(
    (
      await api()
        .put(`/api/visits/${visitId}/home`)
        .send({ revision: 0, ...sheet })
    ).body.type,
  ).toContain('finished');
});
