import { newBlock } from '@pace-bend/core/method';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { rows } from '../db/pool.ts';
import { ANN, newAskedVisit, openTestApp, request, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);
const AT_ONCE = 6;

/** Everything that is made under an id of its sender's, with its table. */
type New = (ids: { athleteId: string; visitId: string }, id: string) => readonly [path: string, body: object];
const NEW: Readonly<Record<string, New>> = {
  athlete: (_, id) => [`/athletes/${id}`, { ...ANN, name: `Once ${id}` }],
  visit: ({ athleteId }, id) => [`/visits/${id}`, { athleteId, startsAt: '2026-11-25T18:00:00.000Z', minutes: 30, overlap: true }],
  rom_reading: ({ visitId }, id) => [
    `/visits/${visitId}/readings/${id}`,
    { motionId: 'hip-flexion', side: 'left', moment: 'before', mode: 'passive', instrument: 'goniometer', trials: [100], supersedes: null },
  ],
  finding: ({ visitId }, id) => [
    `/visits/${visitId}/findings/${id}`,
    {
      kind: 'end',
      subject: 'hip-flexion',
      side: 'left',
      moment: 'before',
      data: { endFeel: 'capsular', pain: 3, felt: 'joint', guarding: false },
      supersedes: null,
    },
  ],
  athlete_condition: ({ athleteId }, id) => [
    `/athletes/${athleteId}/conditions/${id}`,
    {
      revision: 0,
      code: 'knee-pain',
      region: null,
      side: 'left',
      onset: null,
      surgeryOn: null,
      words: '',
      clearance: null,
      resolvedOn: null,
    },
  ],
  no_touch_area: ({ athleteId }, id) => [`/athletes/${athleteId}/no-touch/${id}`, { region: 'belly', side: null, words: '' }],
  athlete_goal: ({ athleteId }, id) => [
    `/athletes/${athleteId}/goals/${id}`,
    { motionId: 'hip-flexion', side: 'left', value: 120, byDate: null },
  ],
  run: ({ visitId }, id) => [
    `/runs/${id}`,
    {
      visitId,
      blocks: [newBlock('01a21000-0000-7000-8000-000000000001', 'calf-supine', 'static-hold', ['left'])],
      breath: { periodMs: 8000, inShare: 0.4 },
      edges: [],
      clockRate: 1,
    },
  ],
  squad: ({ athleteId }, id) => [`/squads/${id}`, { revision: 0, name: `Squad ${id.slice(-12)}`, athleteIds: [athleteId] }],
  calendar_event: (_, id) => [`/events/${id}`, { revision: 0, name: 'Autumn head', onDate: '2026-12-04', importance: 1, squadId: null }],
  error_study: (_, id) => [
    `/studies/${id}`,
    {
      revision: 0,
      kind: 'repeatability',
      motionId: 'hip-flexion',
      instruments: ['goniometer'],
      examinerIds: [owner],
      spacing: 'one-day',
      trials: 2,
      subjects: ['a', 'b', 'c'].map((label) => ({ label, athleteId: null, side: 'left' })),
      values: [[[null, null]], [[null, null]], [[null, null]]],
    },
  ],
  own_item: (_, id) => [
    `/shelf/${id}`,
    {
      supersedes: null,
      fields: {
        kind: 'way',
        baseId: 'cr-breath',
        name: `Ours ${id}`,
        purpose: '',
        what: '',
        synonyms: [],
        schoolsDiffer: '',
        rounds: 2,
        numbers: {},
        choices: {},
        lists: {},
      },
    },
  ],
  stop_answers: ({ visitId }, id) => [
    `/visits/${visitId}/answers/${id}`,
    { answers: Object.fromEntries(STOP_QUESTIONS.map((question) => [question.id, 'no'])) },
  ],
  account: (_, id) => [
    `/accounts/${id}`,
    {
      revision: 0,
      name: 'Twice',
      login: `twice-${id.slice(-12)}`,
      role: 'assistant',
      active: true,
      squadIds: [],
      password: 'a river in the rain',
    },
  ],
};
let owner = '';
beforeAll(async () => {
  owner = ((await api().get('/api/studies').expect(200)).body as { examiners: { id: string }[] }).examiners[0]!.id;
});

test.each(Object.entries(NEW))(
  '%s: the same request six times at the same instant writes once and is answered alike',
  async (table, make) => {
    const ids = await newAskedVisit(test_.app);
    const id = uuid();
    const [path, body] = make(ids, id);
    const answers = await Promise.all(Array.from({ length: AT_ONCE }, () => api().put(`/api${path}`).send(body)));
    expect(answers.map((answer) => answer.status)).toEqual(new Array(AT_ONCE).fill(200));
    expect(await rows(test_.pool, `SELECT id FROM ${table} WHERE id = ?`, [id])).toHaveLength(1);
    // And later, its answer lost on the way.
    await api().put(`/api${path}`).send(body).expect(200);
    expect(await rows(test_.pool, `SELECT id FROM ${table} WHERE id = ?`, [id])).toHaveLength(1);
  },
);

test('whoever writes into a file while it is erased is told it is gone; nothing is left behind, nothing fails', async () => {
  for (let round = 0; round < 6; round++) {
    const ids = await newAskedVisit(test_.app);
    const writes = Object.entries(NEW).filter(
      ([table]) => !['athlete', 'account', 'own_item', 'error_study', 'calendar_event', 'squad'].includes(table),
    );
    const answers = await Promise.all([
      ...writes.slice(0, 4).map(([, make]) => {
        const [path, body] = make(ids, uuid());
        return api().put(`/api${path}`).send(body);
      }),
      api().delete(`/api/athletes/${ids.athleteId}`).send({ confirm: ANN.name, copy: 'not wanted' }),
      ...writes.slice(4).map(([, make]) => {
        const [path, body] = make(ids, uuid());
        return api().put(`/api${path}`).send(body);
      }),
      api().patch(`/api/athletes/${ids.athleteId}`).send({ revision: 1, about: 'late' }),
      api().put(`/api/visits/${ids.visitId}/note`).send({ revision: 0, text: 'late' }),
    ]);
    expect(answers.map((answer) => answer.status).filter((status) => ![200, 404, 409].includes(status))).toEqual([]);
    for (const table of ['visit', 'athlete_condition', 'athlete_goal', 'no_touch_area'])
      expect(await rows(test_.pool, `SELECT id FROM ${table} WHERE athlete_id = ?`, [ids.athleteId])).toEqual([]);
  }
}, 60_000);

test('a study that is finished and dropped at the same instant has one outcome', async () => {
  for (let round = 0; round < 8; round++) {
    const id = uuid();
    const [, study] = NEW.error_study!({ athleteId: '', visitId: '' }, id);
    await api()
      .put(`/api/studies/${id}`)
      .send({ ...study, values: [[[100, 102]], [[110, 113]], [[120, 121]]] })
      .expect(200);
    const [finish, drop] = await Promise.all([
      api().post(`/api/studies/${id}/finish`).send({ revision: 1 }),
      api().delete(`/api/studies/${id}`),
    ]);
    const left = await rows<{ finished_at: Date | null }>(test_.pool, 'SELECT finished_at FROM error_study WHERE id = ?', [id]);
    expect([
      [200, 409, 1],
      [404, 200, 0],
      [409, 200, 0],
    ]).toContainEqual([finish.status, drop.status, left.length]);
    if (left.length > 0) expect(left[0]!.finished_at).not.toBeNull();
  }
});

test('a squad’s name in other letters or accents is refused and renames nobody; a change on what was is refused', async () => {
  const [one, two] = [uuid(), uuid()];
  await api().put(`/api/squads/${one}`).send({ revision: 0, name: 'Léopards', athleteIds: [] }).expect(200);
  for (const name of ['LEOPARDS', 'leopards', 'Léopards']) {
    const { body } = await api().put(`/api/squads/${two}`).send({ revision: 0, name, athleteIds: [] }).expect(422);
    expect(body.errors[0]).toEqual({ path: 'name', message: 'Another squad has this name.' });
  }
  const squads = async () =>
    ((await api().get('/api/squads').expect(200)).body as { squads: { id: string; name: string; revision: number }[] }).squads.filter(
      (squad) => [one, two].includes(squad.id),
    );
  expect(await squads()).toEqual([expect.objectContaining({ id: one, name: 'Léopards', revision: 1 })]);
  await api().put(`/api/squads/${one}`).send({ revision: 1, name: 'Leopards', athleteIds: [] }).expect(200);
  await api().put(`/api/squads/${one}`).send({ revision: 1, name: 'Leopards', athleteIds: [] }).expect(200);
  expect((await api().put(`/api/squads/${one}`).send({ revision: 1, name: 'Lions', athleteIds: [] }).expect(409)).body.current.name).toBe(
    'Leopards',
  );
});

test('an import knows a squad and a person in other letters and accents', async () => {
  const row = (name: string, squads: string[]) => ({
    id: uuid(),
    name,
    birthDate: '2001-05-06',
    referenceSex: 'none',
    sports: [],
    coach: '',
    about: '',
    squads,
  });
  await api()
    .post('/api/import/athletes')
    .send({ rows: [row('Zoë Brand', ['Élan'])] })
    .expect(200);
  await api()
    .post('/api/import/athletes')
    .send({ rows: [row('Ola Berg', ['ELAN'])] })
    .expect(200);
  const { squads } = (await api().get('/api/squads').expect(200)).body as { squads: { name: string; athleteIds: string[] }[] };
  expect(squads.filter((squad) => /lan$/i.test(squad.name))).toEqual([
    expect.objectContaining({ name: 'Élan', athleteIds: [expect.any(String), expect.any(String)] }),
  ]);
  expect(
    (
      await api()
        .post('/api/import/athletes')
        .send({ rows: [row('ZOE BRAND', [])] })
        .expect(422)
    ).body.detail,
  ).toContain('already here');
});
