import { newBlock } from '@pace-bend/core/method';
import { LIMITS } from '@pace-bend/core/record';
import { newVisit, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const block = (rounds: number) => ({
  ...newBlock(uuid(), 'calf-supine', 'static-hold', ['left']),
  sides: [{ side: 'left' as const, rounds }],
});

test('of many plans sent at the same instant on the same revision exactly one stands, whole', async () => {
  const { visitId } = await newVisit(test_.app);
  for (const revision of [0, 1, 2]) {
    const plans = [1, 2, 3, 4, 5].map((n) => Array.from({ length: n }, () => block(n)));
    const answers = await Promise.all(plans.map((blocks) => api().put(`/api/visits/${visitId}/plan`).send({ revision, blocks })));
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409, 409]);
    const winner = plans[answers.findIndex((answer) => answer.status === 200)];
    expect((await visitFile(test_.app, visitId)).plan).toEqual({ revision: revision + 1, blocks: winner });
  }
});

test('plans of many visits written at the same instant all stand: two that wait for each other are no failure', async () => {
  const visits = await Promise.all(Array.from({ length: 8 }, () => newVisit(test_.app)));
  for (const revision of [0, 1, 2]) {
    const answers = await Promise.all(
      visits.map(({ visitId }, i) =>
        api()
          .put(`/api/visits/${visitId}/plan`)
          .send({ revision, blocks: Array.from({ length: 1 + (i % 4) }, () => block(1)) }),
      ),
    );
    expect(answers.map((answer) => answer.status)).toEqual(visits.map(() => 200));
  }
});

test('of many notes and complaints sent at once exactly one stands', async () => {
  const { visitId } = await newVisit(test_.app);
  const notes = await Promise.all(['a', 'b', 'c'].map((text) => api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text })));
  expect(notes.map((answer) => answer.status).sort()).toEqual([200, 409, 409]);
  const complaints = await Promise.all(
    ['a', 'b', 'c'].map((complaint) => api().patch(`/api/visits/${visitId}`).send({ revision: 1, complaint })),
  );
  expect(complaints.map((answer) => answer.status).sort()).toEqual([200, 409, 409]);
  expect((await visitFile(test_.app, visitId)).visit.revision).toBe(2);
});

test('a block id twice in one plan, too many blocks, a plan for nobody: refused, nothing written', async () => {
  const { visitId } = await newVisit(test_.app);
  const one = block(1);
  const twice = await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 0, blocks: [one, one] })
    .expect(422);
  expect(twice.body.errors[0].path).toBe('blocks.1');
  await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 0, blocks: Array.from({ length: LIMITS.blocksInPlan + 1 }, () => block(1)) })
    .expect(422);
  await api()
    .put(`/api/visits/${uuid()}/plan`)
    .send({ revision: 0, blocks: [one] })
    .expect(404);
  expect((await visitFile(test_.app, visitId)).plan).toEqual({ revision: 0, blocks: [] });
});

test('the step that is open is a place, not content: it never makes a change stale', async () => {
  const { visitId } = await newVisit(test_.app);
  for (const step of ['measure', 'plan', 'table'] as const)
    await api().patch(`/api/visits/${visitId}`).send({ revision: 1, step }).expect(200);
  const { visit } = await visitFile(test_.app, visitId);
  expect(visit).toMatchObject({ step: 'table', revision: 1 });
  await api().patch(`/api/visits/${visitId}`).send({ revision: 1, complaint: 'still fresh' }).expect(200);
  await api().patch(`/api/visits/${visitId}`).send({ revision: 1, step: 'sauna' }).expect(422);
});
