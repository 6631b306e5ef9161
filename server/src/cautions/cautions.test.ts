import { limitedBlock, STOP_QUESTIONS, type CautionContext } from '@pace-bend/core/caution';
import { newBlock, type BlockPlan } from '@pace-bend/core/method';
import { cautionContextOf, type VisitFile } from '@pace-bend/core/record';
import { ask, newVisit, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const KNEE = {
  revision: 0,
  code: 'knee-operation',
  region: null,
  side: 'left',
  onset: null,
  surgeryOn: '2026-10-07',
  words: '',
  resolvedOn: null,
  clearance: {
    by: 'Dr Example',
    on: '2026-11-20',
    text: 'knee bend to 110°',
    limits: [{ kind: 'bend', movement: 'knee flexion', deg: 110 }],
  },
};
const NO = Object.fromEntries(STOP_QUESTIONS.map((question) => [question.id, 'no']));

async function withCondition(condition: object): Promise<{ athleteId: string; visitId: string; context: () => Promise<CautionContext> }> {
  const made = await newVisit(test_.app);
  await api().put(`/api/athletes/${made.athleteId}/conditions/${uuid()}`).send(condition).expect(200);
  return { ...made, context: async () => cautionContextOf(await visitFile(test_.app, made.visitId), '2026-11-25') };
}
const measure = (visitId: string, motionId: string, side = 'left') =>
  api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({
      motionId,
      side,
      moment: 'before',
      mode: 'passive',
      instrument: motionId.startsWith('hip') ? 'inclinometer' : 'goniometer',
      trials: [50],
      supersedes: null,
    });
const plan = (visitId: string, revision: number, blocks: readonly BlockPlan[]) =>
  api().put(`/api/visits/${visitId}/plan`).send({ revision, blocks });
const run = (visitId: string, blocks: readonly BlockPlan[]) =>
  api()
    .put(`/api/runs/${uuid()}`)
    .send({
      visitId,
      blocks,
      breath: { periodMs: 8000, inShare: 0.4 },
      edges: [{ motionId: 'knee-flexion', side: 'left', value: 118 }],
      clockRate: 1,
    });

test('a plan without the limits that cautions set is refused; with them it is kept, and the run obeys them', async () => {
  const { visitId, context } = await withCondition(KNEE);
  const bare = newBlock(uuid(), 'vasti-supine', 'cr-breath', ['left', 'right']);
  expect((await plan(visitId, 0, [bare]).expect(409)).body.title).toBe('Limits changed');
  await run(visitId, [bare]).expect(409);
  const limited = limitedBlock(bare, await context());
  expect((await plan(visitId, 0, [limited]).expect(200)).body.blocks[0].limits).toEqual(limited.limits);
  // The table waits for what has to be asked.
  expect((await run(visitId, [limited]).expect(409)).body).toMatchObject({ title: 'Not asked yet', open: ['questions', 'consent'] });
  await ask(test_.app, visitId);
  const { body } = await run(visitId, [limited]).expect(200);
  const left = body.line.cues.filter((cue: { side: string }) => cue.side === 'left') as {
    to: number;
    effortPct: number | null;
    painCeiling: number;
  }[];
  expect(Math.max(...left.map((cue) => cue.to))).toBeLessThanOrEqual(110);
  expect(Math.max(...left.map((cue) => cue.effortPct ?? 0))).toBe(20);
  expect(Math.max(...left.map((cue) => cue.painCeiling))).toBe(3);
  // Stricter than asked is anybody's right; wider by one degree is not.
  const [own] = limited.limits!;
  await plan(visitId, 1, [{ ...limited, limits: [{ ...own!, cap: 90 }] }]).expect(200);
  await plan(visitId, 2, [{ ...limited, limits: [{ ...own!, cap: 111 }] }]).expect(409);
  expect((await visitFile(test_.app, visitId)).plan.revision).toBe(2);
});

test('what is to be avoided can be done only with a written reason, kept with who gave it', async () => {
  const { visitId, context } = await withCondition({ ...KNEE, clearance: null });
  await ask(test_.app, visitId);
  const refused = await measure(visitId, 'hip-internal-rotation').expect(409);
  const ground = 'knee-operation//left//2026-10-07';
  expect(refused.body).toMatchObject({
    title: 'Caution',
    cautions: [
      { ruleId: 'knee-torque', canOverride: true, ground },
      { ruleId: 'operation-no-clearance', canOverride: true, ground },
    ],
  });
  await measure(visitId, 'hip-internal-rotation', 'right').expect(200);
  const address = `/api/visits/${visitId}/overrides/${uuid()}`;
  const override = {
    ruleId: 'knee-torque',
    ground,
    motionId: 'hip-internal-rotation',
    side: 'left',
    reason: 'Held above the knee, agreed with the surgeon.',
  };
  expect(
    (
      await api()
        .put(address)
        .send({ ...override, reason: 'because' })
        .expect(422)
    ).body.errors[0].path,
  ).toBe('reason');
  await api()
    .put(address)
    .send({ ...override, ruleId: 'scope-mobilization' })
    .expect(422);
  await api().put(address).send(override).expect(200);
  await api().put(address).send(override).expect(200);
  // One reason is for one rule; the other still forbids it, and a reason for another condition changes nothing.
  await measure(visitId, 'hip-internal-rotation').expect(409);
  await api()
    .put(`/api/visits/${visitId}/overrides/${uuid()}`)
    .send({ ...override, ruleId: 'operation-no-clearance', ground: 'cruciate-hamstring//left//2026-10-07' })
    .expect(200);
  await measure(visitId, 'hip-internal-rotation').expect(409);
  await api()
    .put(`/api/visits/${visitId}/overrides/${uuid()}`)
    .send({ ...override, ruleId: 'operation-no-clearance' })
    .expect(200);
  await measure(visitId, 'hip-internal-rotation').expect(200);
  const [kept] = (await visitFile(test_.app, visitId)).overrides;
  expect(kept).toMatchObject({ ...override, by: 'A owner', at: '2026-11-25T09:00:00.000Z' });
  // For that motion and side only.
  await plan(visitId, 0, [limitedBlock(newBlock(uuid(), 'inward-rotators-prone', 'static-hold', ['left']), await context())]).expect(409);
});

test('a raised question stops everything until the answer is taken back or the visit ends in a referral; each answer is kept', async () => {
  const { visitId } = await newVisit(test_.app);
  const answer = (answers: object) => api().put(`/api/visits/${visitId}/answers/${uuid()}`).send({ answers });
  await answer({ ...NO, calf: 'perhaps' }).expect(422);
  await answer({}).expect(422);
  await answer({ ...NO, calf: 'unsure' }).expect(200);
  const block = newBlock(uuid(), 'neck-turn-supine', 'static-hold', ['left']);
  expect((await measure(visitId, 'hip-flexion').expect(409)).body).toMatchObject({
    title: 'Stopped',
    cautions: [{ ruleId: 'stop-calf', level: 'stop', canOverride: false }],
  });
  await plan(visitId, 0, [block]).expect(409);
  await run(visitId, [block]).expect(409);
  await api()
    .put(`/api/visits/${visitId}/overrides/${uuid()}`)
    .send({ ruleId: 'knee-torque', ground: 'x', motionId: 'hip-flexion', side: 'left', reason: 'I feel that it is fine' })
    .expect(409);
  expect((await api().post(`/api/visits/${visitId}/finish`).send({ revision: 1 }).expect(409)).body.title).toBe('Stopped');
  const referral = { to: 'Dr Example', seen: 'Left calf swollen and warm since Monday.' };
  await api()
    .put(`/api/visits/${visitId}/referral`)
    .send({ revision: 0, ...referral })
    .expect(200);
  await api()
    .put(`/api/visits/${visitId}/referral`)
    .send({ revision: 0, ...referral })
    .expect(200);
  await api().put(`/api/visits/${visitId}/referral`).send({ revision: 0, to: 'Somebody', seen: 'Other' }).expect(409);
  await api().post(`/api/visits/${visitId}/finish`).send({ revision: 1 }).expect(200);
  await api().post(`/api/visits/${visitId}/reopen`).send({ revision: 2 }).expect(200);
  await answer(NO).expect(200);
  await measure(visitId, 'hip-flexion').expect(200);
  const file = await visitFile(test_.app, visitId);
  expect(file.answers.map((each) => each.answers.calf)).toEqual(['unsure', 'no']);
  expect(file.referral).toMatchObject({ ...referral, by: 'A owner', revision: 1 });
});

test('scope, consent and no-touch areas: no reason opens them', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const glide = (numbers = {}) => {
    const block = newBlock(uuid(), 'ankle-back-glide', 'mobilize-oscillate', ['left']);
    return { ...block, numbers: { ...block.numbers, ...numbers } };
  };
  expect((await plan(visitId, 0, [glide()]).expect(409)).body.cautions[0]).toMatchObject({
    ruleId: 'scope-mobilization',
    canOverride: false,
  });
  const practice = (await api().get('/api/practice')).body as { name: string; timeZone: string; revision: number };
  await api()
    .patch('/api/practice')
    .send({
      name: practice.name,
      timeZone: practice.timeZone,
      revision: practice.revision,
      scope: { mobilizationGrade: 0, byRegion: { ankle: 2 }, frontOfNeck: true, ruleText: '', ruleLink: '' },
    })
    .expect(200);
  const context = async () => cautionContextOf(await visitFile(test_.app, visitId), '2026-11-25');
  await plan(visitId, 0, [limitedBlock(glide({ grade: [2] }), await context())]).expect(200);
  expect((await plan(visitId, 1, [limitedBlock(glide({ grade: [3] }), await context())]).expect(409)).body.cautions[0].ruleId).toBe(
    'scope-grade',
  );
  await api()
    .patch(`/api/visits/${visitId}`)
    .send({ revision: 1, consent: ['neck'] })
    .expect(200);
  expect((await measure(visitId, 'hip-flexion').expect(409)).body.cautions[0].ruleId).toBe('consent-missing');
  await api()
    .patch(`/api/visits/${visitId}`)
    .send({ revision: 2, consent: ['neck', 'hips'] })
    .expect(200);
  await measure(visitId, 'hip-flexion').expect(200);
  const area = uuid();
  await api().put(`/api/athletes/${athleteId}/no-touch/${area}`).send({ region: 'hip', side: 'right', words: '' }).expect(200);
  await measure(visitId, 'hip-flexion', 'right').expect(409);
  await api().delete(`/api/athletes/${athleteId}/no-touch/${area}`).expect(200);
  await measure(visitId, 'hip-flexion', 'right').expect(200);
});

test('what is read stays readable: a reading that was taken can be withdrawn after the file has changed', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const first = uuid();
  await api()
    .put(`/api/visits/${visitId}/readings/${first}`)
    .send({
      motionId: 'hip-internal-rotation',
      side: 'left',
      moment: 'before',
      mode: 'passive',
      instrument: 'inclinometer',
      trials: [30],
      supersedes: null,
    })
    .expect(200);
  await api().put(`/api/athletes/${athleteId}/conditions/${uuid()}`).send(KNEE).expect(200);
  await api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({
      motionId: 'hip-internal-rotation',
      side: 'left',
      moment: 'before',
      mode: 'passive',
      instrument: 'inclinometer',
      trials: [],
      supersedes: first,
    })
    .expect(200);
  const file: VisitFile = await visitFile(test_.app, visitId);
  expect(file.readings).toHaveLength(2);
});
