import type { Study, StudyFields } from '@pace-bend/core/record';
import { ANN, newVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
let me: string;
beforeAll(async () => {
  test_ = await openTestApp();
  me = ((await api().get('/api/me').expect(200)).body as { me: { id: string } }).me.id;
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const fields = (patch: Partial<StudyFields> = {}): StudyFields => ({
  kind: 'repeatability',
  motionId: 'hip-flexion',
  instruments: ['goniometer'],
  examinerIds: [me],
  spacing: 'one-day',
  trials: 2,
  subjects: ['A', 'B', 'C', 'D'].map((label) => ({ label, athleteId: null, side: 'left' as const })),
  values: [[[100, 102]], [[110, 111]], [[120, 118]], [[130, 133]]],
  ...patch,
});
const begin = async (study = fields()) => {
  const id = uuid();
  await api()
    .put(`/api/studies/${id}`)
    .send({ revision: 0, ...study })
    .expect(200);
  return id;
};

test('a study is begun, written on, finished, and then that examiner’s error is used everywhere', async () => {
  const { visitId } = await newVisit(test_.app);
  const gaps = fields({ values: [[[100, 102]], [[110, 111]], [[120, null]], [[null, null]]] });
  const id = await begin(gaps);
  expect((await api().post(`/api/studies/${id}/finish`).send({ revision: 1 }).expect(409)).body.detail).toBe(
    'Only 2 of at least 3 sides are read completely.',
  );
  await api()
    .put(`/api/studies/${id}`)
    .send({ revision: 1, ...fields() })
    .expect(200);
  // The same request again, after its answer was lost.
  await api()
    .put(`/api/studies/${id}`)
    .send({ revision: 1, ...fields() })
    .expect(200);
  await api()
    .put(`/api/studies/${id}`)
    .send({ revision: 1, ...gaps })
    .expect(409);
  expect((await visitFile(test_.app, visitId)).errors.own).toEqual([]);
  const finished = (await api().post(`/api/studies/${id}/finish`).send({ revision: 2 }).expect(200)).body as Study;
  expect([finished.used, finished.finishedAt === null]).toEqual([true, false]);
  const { own } = (await visitFile(test_.app, visitId)).errors;
  // Differences −2, −1, 2, −3: SEM² = Σ(d − mean)² / 2 / 3.
  expect(own).toEqual([
    {
      examinerId: me,
      motionId: 'hip-flexion',
      instrument: 'goniometer',
      sem: expect.closeTo(Math.sqrt(14 / 6), 6),
      sides: 4,
      trials: 2,
      on: '2026-11-25',
      spacing: 'one-day',
    },
  ]);
  await api()
    .put(`/api/studies/${id}`)
    .send({ revision: 3, ...fields() })
    .expect(409);
  await api().delete(`/api/studies/${id}`).expect(409);
  await api().post(`/api/studies/${id}/use`).send({ revision: 3, used: false }).expect(200);
  expect((await visitFile(test_.app, visitId)).errors.own).toEqual([]);
});

test('a reading is kept with its examiner', async () => {
  const { visitId } = await newVisit(test_.app);
  await api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({
      motionId: 'hip-flexion',
      side: 'left',
      moment: 'before',
      mode: 'passive',
      instrument: 'goniometer',
      trials: [100, 104],
      supersedes: null,
    })
    .expect(200);
  expect((await visitFile(test_.app, visitId)).readings[0]!.examinerId).toBe(me);
  const { rows } = (await api().get('/api/studies/within-day').expect(200)).body as { rows: object[] };
  expect(rows).toContainEqual({ motionId: 'hip-flexion', instrument: 'goniometer', sd: expect.closeTo(Math.sqrt(8), 6), sets: 1, df: 1 });
});

test('two instruments: the bias is known at once and used only when somebody says so', async () => {
  const { visitId } = await newVisit(test_.app);
  const id = await begin(
    fields({
      kind: 'agreement',
      instruments: ['goniometer', 'inclinometer'],
      values: [
        [
          [100, 102],
          [98, 98],
        ],
        [
          [110, 110],
          [107, 107],
        ],
        [
          [120, 122],
          [117, 117],
        ],
        [
          [130, 130],
          [127, 127],
        ],
      ],
    }),
  );
  await api().post(`/api/studies/${id}/finish`).send({ revision: 1 }).expect(200);
  expect((await visitFile(test_.app, visitId)).errors.shifts).toEqual([
    {
      motionId: 'hip-flexion',
      first: 'goniometer',
      second: 'inclinometer',
      bias: expect.closeTo(3.25, 6),
      biasError: expect.any(Number),
      sd: expect.closeTo(0.5, 6),
      used: false,
      pairs: 4,
      on: '2026-11-25',
    },
  ]);
  await api().post(`/api/studies/${id}/use`).send({ revision: 2, used: true }).expect(200);
  expect((await visitFile(test_.app, visitId)).errors.shifts[0]!.used).toBe(true);
});

test.each<[string, () => object, string]>([
  [
    'one instrument twice',
    () => ({ kind: 'agreement', instruments: ['goniometer', 'goniometer'], values: [] }),
    'two different instruments',
  ],
  ['a tape for an angle', () => ({ instruments: ['tape'] }), 'not measured with that'],
  ['an examiner of nobody’s', () => ({ examinerIds: [uuid()] }), 'not one of this practice'],
  [
    'somebody else’s athlete',
    () => ({ subjects: fields().subjects.map((subject) => ({ ...subject, athleteId: uuid() })) }),
    'An athlete is not one',
  ],
  ['a table of another size', () => ({ values: [[[1, 2]]] }), 'does not fit'],
  ['two sides', () => ({ subjects: fields().subjects.slice(0, 2), values: fields().values.slice(0, 2) }), 'at least 3'],
  ['a side twice', () => ({ subjects: fields().subjects.map((subject) => ({ ...subject, label: 'A' })) }), 'named twice'],
  ['400°', () => ({ values: [[[400, 102]], [[110, 111]], [[120, 118]], [[130, 133]]] }), 'lies outside'],
])('%s: refused, nothing written', async (_, patch, words) => {
  const id = uuid();
  const answer = await api()
    .put(`/api/studies/${id}`)
    .send({ revision: 0, ...fields(), ...patch() })
    .expect(422);
  expect(answer.body.detail).toContain(words);
  await api().post(`/api/studies/${id}/finish`).send({ revision: 1 }).expect(404);
});

test('what a study is of stays; one that was never finished can be dropped', async () => {
  const id = await begin();
  expect(
    (
      await api()
        .put(`/api/studies/${id}`)
        .send({ revision: 1, ...fields({ motionId: 'straight-leg-raise' }) })
        .expect(422)
    ).body.detail,
  ).toContain('stays as it began');
  await api().post(`/api/studies/${id}/use`).send({ revision: 1, used: true }).expect(409);
  await api().delete(`/api/studies/${id}`).expect(200);
  await api().delete(`/api/studies/${id}`).expect(404);
});

test('an athlete who is erased is nobody in the studies', async () => {
  const { athleteId } = await newVisit(test_.app);
  const id = await begin(
    fields({
      subjects: fields().subjects.map((subject, i) => ({
        ...subject,
        label: i === 0 ? ANN.name : subject.label,
        athleteId: i === 0 ? athleteId : null,
      })),
    }),
  );
  await api().delete(`/api/athletes/${athleteId}`).send({ confirm: ANN.name, copy: 'not wanted' }).expect(200);
  const { studies } = (await api().get('/api/studies').expect(200)).body as { studies: Study[] };
  const study = studies.find((each) => each.id === id)!;
  expect(study.subjects[0]).toEqual({ label: 'Erased 1', athleteId: null, side: 'left' });
  expect(study.values[0]).toEqual([[100, 102]]);
});

test('a squad’s strip has of each motion and side the first reading and the latest two; another practice sees none of it', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const read = async (visit: string, value: number) =>
    api()
      .put(`/api/visits/${visit}/readings/${uuid()}`)
      .send({
        motionId: 'hip-flexion',
        side: 'left',
        moment: 'before',
        mode: 'passive',
        instrument: 'goniometer',
        trials: [value],
        supersedes: null,
      })
      .expect(200);
  await read(visitId, 100);
  for (const [i, value] of [104, 108, 112].entries()) {
    const later = uuid();
    await api()
      .put(`/api/visits/${later}`)
      .send({ athleteId, startsAt: `2026-11-${26 + i}T09:30:00.000Z`, minutes: 45, overlap: true })
      .expect(200);
    await read(later, value);
  }
  const squad = uuid();
  await api()
    .put(`/api/squads/${squad}`)
    .send({ revision: 0, name: 'Strip', athleteIds: [athleteId] })
    .expect(200);
  const { body } = await api().get(`/api/squads/${squad}/strip`).expect(200);
  expect(body.athletes).toEqual([expect.objectContaining({ id: athleteId, name: ANN.name })]);
  expect(body.athletes[0].readings.map((reading: { value: number }) => reading.value)).toEqual([100, 108, 112]);
  const stranger = await test_.cookieOf('owner', await test_.anotherPractice());
  await requestAs(test_.app, stranger).get(`/api/squads/${squad}/strip`).expect(404);
});

test('an assistant reads a study but does not decide whether it is used; a coach sees none; another practice has its own', async () => {
  const id = await begin();
  const assistant = requestAs(test_.app, await test_.cookieOf('assistant'));
  await assistant.post(`/api/studies/${id}/finish`).send({ revision: 1 }).expect(200);
  await assistant.post(`/api/studies/${id}/use`).send({ revision: 2, used: false }).expect(403);
  await requestAs(test_.app, await test_.cookieOf('coach'))
    .get('/api/studies')
    .expect(403);
  const stranger = requestAs(test_.app, await test_.cookieOf('owner', await test_.anotherPractice()));
  expect((await stranger.get('/api/studies').expect(200)).body.studies).toEqual([]);
  await stranger.delete(`/api/studies/${id}`).expect(404);
  await stranger
    .put(`/api/studies/${id}`)
    .send({ revision: 0, ...fields() })
    .expect(422);
});

test('finishing and using twice is harmless; a stale change of use is refused', async () => {
  const id = await begin();
  for (let i = 0; i < 2; i++) await api().post(`/api/studies/${id}/finish`).send({ revision: 1 }).expect(200);
  for (let i = 0; i < 2; i++) await api().post(`/api/studies/${id}/use`).send({ revision: 2, used: false }).expect(200);
  expect((await api().post(`/api/studies/${id}/use`).send({ revision: 2, used: true }).expect(409)).body.current.revision).toBe(3);
});

test('the day and the athlete’s file know the practice’s errors too', async () => {
  const { athleteId } = await newVisit(test_.app);
  const id = await begin(fields({ motionId: 'knee-flexion' }));
  await api().post(`/api/studies/${id}/finish`).send({ revision: 1 }).expect(200);
  const knows = (errors: { own: { motionId: string }[] }) => errors.own.some((own) => own.motionId === 'knee-flexion');
  expect(knows((await api().get('/api/days/2026-11-25').expect(200)).body.errors)).toBe(true);
  expect(knows((await api().get(`/api/athletes/${athleteId}`).expect(200)).body.errors)).toBe(true);
});

test('another examiner’s readings are not mine', async () => {
  const other = requestAs(test_.app, await test_.cookieOf('therapist'));
  expect((await other.get('/api/studies/within-day').expect(200)).body).toEqual({ rows: [] });
});

test('single trials say nothing about repeating; corrected readings count once', async () => {
  const { visitId } = await newVisit(test_.app);
  const read = (trials: number[], supersedes: string | null, id = uuid()) =>
    api()
      .put(`/api/visits/${visitId}/readings/${id}`)
      .send({
        motionId: 'shoulder-abduction',
        side: 'left',
        moment: 'before',
        mode: 'passive',
        instrument: 'goniometer',
        trials,
        supersedes,
      })
      .expect(200);
  const first = uuid();
  await read([150, 170], null, first);
  await read([150, 152], first);
  await api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({
      motionId: 'shoulder-abduction',
      side: 'right',
      moment: 'before',
      mode: 'passive',
      instrument: 'goniometer',
      trials: [150],
      supersedes: null,
    })
    .expect(200);
  const { rows } = (await api().get('/api/studies/within-day').expect(200)).body as {
    rows: { motionId: string; sd: number; sets: number }[];
  };
  expect(rows.filter((row) => row.motionId === 'shoulder-abduction')).toEqual([
    expect.objectContaining({ sd: expect.closeTo(Math.SQRT2, 9), sets: 1 }),
  ]);
});
