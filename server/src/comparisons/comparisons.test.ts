import type { Comparison } from '@pace-bend/core/cycle';
import { newBlock } from '@pace-bend/core/method';
import { rows } from '../db/pool.ts';
import { SeededRandom } from '../demo/random.ts';
import { rehearse } from '../demo/rehearse.ts';
import { ANN, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);
const FIELDS = { motionId: 'ankle-dorsiflexion', side: 'left', entryId: 'calf-supine', ways: ['cr-breath', 'static-hold'], pairs: 5 };

async function athlete(): Promise<string> {
  const id = uuid();
  await api().put(`/api/athletes/${id}`).send(ANN).expect(200);
  return id;
}
const listOf = async (id: string) =>
  ((await api().get(`/api/athletes/${id}/comparisons`).expect(200)).body as { comparisons: Comparison[] }).comparisons;
const drawn = async (id: string) =>
  (await rows<{ drawn: string }>(test_.pool, 'SELECT drawn FROM way_comparison WHERE id = ?', [id]))[0]!.drawn;

async function visitAt(athleteId: string, time: string): Promise<string> {
  const id = uuid();
  await api()
    .put(`/api/visits/${id}`)
    .send({ athleteId, startsAt: `2026-11-25T${time}:00.000Z`, minutes: 30, overlap: true })
    .expect(200);
  return id;
}
/** A visit at which a way was done on the left calf, to its end. */
async function treat(visitId: string, methodId: string): Promise<void> {
  await api().put(`/api/visits/${visitId}/answers/${uuid()}`).send({ answers: {}, notAsked: 'asked at the door' }).expect(200);
  const { visit } = await visitFile(test_.app, visitId);
  await api().patch(`/api/visits/${visitId}`).send({ revision: visit.revision, consentWord: 'as agreed' }).expect(200);
  const run = uuid();
  await api()
    .put(`/api/runs/${run}`)
    .send({
      visitId,
      blocks: [newBlock(uuid(), 'calf-supine', methodId, ['left'])],
      breath: { periodMs: 8000, inShare: 0.4 },
      edges: [],
      clockRate: 1,
    })
    .expect(200);
  const { runs } = await visitFile(test_.app, visitId);
  await api()
    .post(`/api/runs/${run}/events`)
    .send({
      events: rehearse(runs[0]!.line, new SeededRandom(1), false).map(({ kind, atMs, ...data }, i) => ({
        id: uuid(),
        seq: i + 1,
        kind,
        atMs,
        ...data,
      })),
    })
    .expect(200);
}

test('planned once with an order by lot, of which no more than the next is shown; one runs at a time; ended early', async () => {
  const id = await athlete();
  const comparison = uuid();
  for (let again = 0; again < 2; again++) {
    const { body } = await api().put(`/api/athletes/${id}/comparisons/${comparison}`).send(FIELDS).expect(200);
    expect(body.comparisons).toMatchObject([{ ...FIELDS, id: comparison, endedOn: null, revision: 1 }]);
  }
  const order = await drawn(comparison);
  expect(order).toMatch(/^(ab|ba){5}$/);
  const [shown] = await listOf(id);
  expect(shown!.order).toEqual([order[0]]);
  expect(JSON.stringify(shown)).not.toContain(order);
  await api().put(`/api/athletes/${id}/comparisons/${uuid()}`).send(FIELDS).expect(409);
  await api()
    .put(`/api/athletes/${id}/comparisons/${comparison}`)
    .send({ ...FIELDS, pairs: 6 })
    .expect(409);

  // A visit is told its way, and no other.
  const visitId = await visitAt(id, '10:00');
  const told = await visitFile(test_.app, visitId);
  expect(told.comparison).toEqual({
    ...{ id: comparison, motionId: FIELDS.motionId, side: 'left', entryId: 'calf-supine', step: 1, of: 10 },
    methodId: FIELDS.ways[order[0] === 'a' ? 0 : 1],
  });

  for (let again = 0; again < 2; again++)
    await api().post(`/api/athletes/${id}/comparisons/${comparison}/end`).send({ revision: 1 }).expect(200);
  expect((await listOf(id))[0]).toMatchObject({ endedOn: '2026-11-25', order: [] });
  await api().put(`/api/athletes/${id}/comparisons/${uuid()}`).send(FIELDS).expect(200);
});

test('what cannot be compared is named at its place', async () => {
  const id = await athlete();
  const send = async (more: object) => {
    const { status, body } = await api()
      .put(`/api/athletes/${id}/comparisons/${uuid()}`)
      .send({ ...FIELDS, ...more });
    return [status, body.errors?.[0].path];
  };
  expect(await send({ pairs: 4 })).toEqual([422, 'pairs']);
  expect(await send({ ways: ['cr-breath', 'cr-breath'] })).toEqual([422, 'ways.1']);
  expect(await send({ ways: ['cr-breath', 'no-such-way'] })).toEqual([422, 'ways.1']);
  expect(await send({ entryId: 'nothing' })).toEqual([422, 'entryId']);
  expect(await send({ motionId: 'hip-flexion' })).toEqual([422, 'motionId']);
  expect(await send({ side: 'midline' })).toEqual([422, 'side']);
  expect(await listOf(id)).toEqual([]);
});

test('the demo’s comparison is half done: seven of ten visits, as they were drawn, and the eighth shown', async () => {
  const demo = await openTestApp({ demo: true });
  try {
    const [row] = await rows<{ athleteId: string; drawn: string }>(demo.pool, 'SELECT athlete_id AS athleteId, drawn FROM way_comparison');
    const { comparisons } = (await request(demo.app).get(`/api/athletes/${row!.athleteId}/comparisons`).expect(200)).body as {
      comparisons: Comparison[];
    };
    expect(comparisons).toHaveLength(1);
    expect(comparisons[0]!.order.join('')).toBe(row!.drawn.slice(0, 8));
  } finally {
    await demo.close();
  }
});

test('each visit that was done shows the next', async () => {
  const id = await athlete();
  const comparison = uuid();
  await api().put(`/api/athletes/${id}/comparisons/${comparison}`).send(FIELDS).expect(200);
  const order = await drawn(comparison);
  const first = await visitAt(id, '10:00');
  await treat(first, FIELDS.ways[order[0] === 'a' ? 0 : 1]!);
  const second = await visitAt(id, '16:00');
  expect((await listOf(id))[0]!.order.join('')).toBe(order.slice(0, 2));
  expect((await visitFile(test_.app, second)).comparison).toMatchObject({ step: 2, methodId: FIELDS.ways[order[1] === 'a' ? 0 : 1] });
  expect((await visitFile(test_.app, first)).comparison).toMatchObject({ step: 1 });
});
