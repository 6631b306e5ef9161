import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import type { PoolConnection } from 'mysql2/promise';
import { newAskedVisit, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

/**
 * What is checked and what is written belong together: somebody else who is in the middle of finishing the visit, or of adding a
 * condition, is waited for, and what they did counts.
 */
let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

/** Somebody else's transaction, open until it is told to stand. */
async function meanwhile(work: (other: PoolConnection) => Promise<unknown>): Promise<() => Promise<void>> {
  const other = await test_.pool.getConnection();
  await other.beginTransaction();
  await work(other);
  return async () => {
    await other.commit();
    other.release();
  };
}
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

const reading = {
  motionId: 'hip-extension-knee-bent',
  side: 'left',
  moment: 'before',
  mode: 'passive',
  instrument: 'goniometer',
  trials: [4, 5, 4],
  supersedes: null,
};
const block = newBlock(uuid(), 'rectus-femoris-prone', 'cr-breath', ['left']);

const WRITES: Record<string, (visitId: string, runId: string) => { send: () => PromiseLike<{ status: number; body: { type?: string } }> }> =
  {
    'a reading': (visitId) => ({ send: () => api().put(`/api/visits/${visitId}/readings/${uuid()}`).send(reading) }),
    'a finding': (visitId) => ({
      send: () =>
        api()
          .put(`/api/visits/${visitId}/findings/${uuid()}`)
          .send({
            kind: 'end',
            subject: 'hip-extension-knee-bent',
            side: 'left',
            moment: 'before',
            data: { endFeel: 'muscular', felt: 'target', pain: 1, guarding: false },
            supersedes: null,
          }),
    }),
    'a plan': (visitId) => ({
      send: () =>
        api()
          .put(`/api/visits/${visitId}/plan`)
          .send({ revision: 0, blocks: [{ ...block, id: uuid() }] }),
    }),
    'a note': (visitId) => ({ send: () => api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'Late.' }) }),
    answers: (visitId) => ({
      send: () =>
        api()
          .put(`/api/visits/${visitId}/answers/${uuid()}`)
          .send({ answers: Object.fromEntries(STOP_QUESTIONS.map((question) => [question.id, 'no'])) }),
    }),
    'a run': (visitId) => ({
      send: () =>
        api()
          .put(`/api/runs/${uuid()}`)
          .send({ visitId, blocks: [{ ...block, id: uuid() }], breath: SLOW_BREATH, edges: [], clockRate: 1 }),
    }),
    'events of a run': (_visitId, runId) => ({
      send: () =>
        api()
          .post(`/api/runs/${runId}/events`)
          .send({ events: [{ id: uuid(), seq: 1, atMs: 0, kind: 'start' }] }),
    }),
  };

test.each(Object.keys(WRITES))('%s that comes while somebody finishes the visit is refused, and nothing of it stands', async (what) => {
  const { visitId } = await newAskedVisit(test_.app);
  const runId = uuid();
  await api()
    .put(`/api/runs/${runId}`)
    .send({ visitId, blocks: [{ ...block, id: uuid() }], breath: SLOW_BREATH, edges: [], clockRate: 1 })
    .expect(200);
  const before = await visitFile(test_.app, visitId);
  const stand = await meanwhile((other) =>
    other.execute('UPDATE visit SET finished_at = ?, revision = revision + 1 WHERE id = ?', [new Date('2026-11-25T10:00:00Z'), visitId]),
  );
  const answer = Promise.resolve(WRITES[what]!(visitId, runId).send());
  await pause(150);
  await stand();
  const { status, body } = await answer;
  expect([what, status, body.type]).toEqual([what, 409, '/problems/finished']);
  const { visit: _visit, ...after } = await visitFile(test_.app, visitId);
  const { visit: _was, ...was } = before;
  expect(after).toEqual(was);
});

test('a condition that is being added counts for what is written meanwhile', async () => {
  const { athleteId, visitId } = await newAskedVisit(test_.app);
  const stand = await meanwhile((other) =>
    other.execute(
      "INSERT INTO athlete_condition (id, athlete_id, code, region, side, surgery_on, words) VALUES (?, ?, 'hip-replacement-front', 'hip', 'left', '2026-11-10', '')",
      [uuid(), athleteId],
    ),
  );
  const answer = Promise.resolve(api().put(`/api/visits/${visitId}/readings/${uuid()}`).send(reading));
  await pause(150);
  await stand();
  const { status, body } = await answer;
  expect([status, body.type]).toEqual([409, '/problems/caution']);
  expect((await visitFile(test_.app, visitId)).readings).toEqual([]);
});

test('events that are there already are answered after the visit was finished: a lost answer is no refusal', async () => {
  const { visitId } = await newAskedVisit(test_.app);
  const runId = uuid();
  await api()
    .put(`/api/runs/${runId}`)
    .send({ visitId, blocks: [{ ...block, id: uuid() }], breath: SLOW_BREATH, edges: [], clockRate: 1 })
    .expect(200);
  const first = { id: uuid(), seq: 1, atMs: 0, kind: 'start' };
  await api()
    .post(`/api/runs/${runId}/events`)
    .send({ events: [first] })
    .expect(200);
  const { revision } = (await visitFile(test_.app, visitId)).visit;
  await api().post(`/api/visits/${visitId}/finish`).send({ revision }).expect(200);
  await api()
    .post(`/api/runs/${runId}/events`)
    .send({ events: [first] })
    .expect(200);
  const refused = await api()
    .post(`/api/runs/${runId}/events`)
    .send({ events: [{ id: uuid(), seq: 2, atMs: 10, kind: 'beat' }] })
    .expect(409);
  expect(refused.body.type).toBe('/problems/finished');
});
