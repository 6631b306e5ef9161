import type { FindingFields } from '@pace-bend/core/finding';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { currentFindings, lookFirst } from '@pace-bend/core/finding';
import { newVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const put = (visitId: string, id: string, body: object) => request(test_.app).put(`/api/visits/${visitId}/findings/${id}`).send(body);

const END: FindingFields = {
  kind: 'end',
  subject: 'hip-flexion',
  side: 'left',
  moment: 'before',
  data: { endFeel: 'capsular', pain: 3, felt: 'joint', guarding: false },
  supersedes: null,
};

test('a finding is kept with who found it; sending it again changes nothing', async () => {
  const { visitId } = await newVisit(test_.app);
  const id = uuid();
  for (let i = 0; i < 2; i++)
    expect((await put(visitId, id, END).expect(200)).body).toMatchObject({ ...END, id, visitId, foundBy: 'A owner' });
  expect((await visitFile(test_.app, visitId)).findings).toHaveLength(1);
});

test('a correction points at what it corrects; two tabs cannot fork it; withdrawn is not found', async () => {
  const { visitId } = await newVisit(test_.app);
  const [first, second] = [uuid(), uuid()];
  await put(visitId, first, END).expect(200);
  await put(visitId, uuid(), END).expect(409);
  await put(visitId, second, { ...END, data: { ...END.data, pain: 5 }, supersedes: first }).expect(200);
  await put(visitId, uuid(), { ...END, supersedes: first }).expect(409);
  const { findings } = await visitFile(test_.app, visitId);
  expect([findings.length, currentFindings(findings).map((each) => each.id)]).toEqual([2, [second]]);
  await put(visitId, uuid(), { ...END, data: null, supersedes: second }).expect(200);
  expect(currentFindings((await visitFile(test_.app, visitId)).findings)).toEqual([]);
});

test.each<[string, object, string]>([
  ['an hour too few', { kind: 'clock', subject: 'hip', data: { hours: ['free'] } }, '12'],
  ['an unknown motion', { subject: 'wing-flap' }, 'No such motion'],
  ['pain eleven', { data: { endFeel: null, pain: 11, felt: null, guarding: null } }, '0 to 10'],
  ['nothing found', { data: { endFeel: null, pain: null, felt: null, guarding: null } }, 'Nothing was found'],
  ['a withdrawal of nothing', { data: null }, 'nothing to withdraw'],
  ['a correction of something else', { supersedes: uuid() }, 'not the same thing'],
  ['a point in no muscle', { kind: 'point', subject: 'moon/upper', data: { what: 'lump', tenderness: 6, refers: '' } }, 'No such muscle'],
  ['tenderness eleven', { kind: 'point', subject: 'soleus/upper', data: { what: 'lump', tenderness: 11, refers: '' } }, '0 to 10'],
  ['a press of a ton', { kind: 'force', subject: 'hip-flexors', data: { trialsN: [9000] } }, '1500 N'],
])('%s: refused, nothing written', async (_, patch, words) => {
  const { visitId } = await newVisit(test_.app);
  const answer = await put(visitId, uuid(), { ...END, ...patch }).expect(422);
  expect(answer.body.detail).toContain(words);
  expect((await visitFile(test_.app, visitId)).findings).toEqual([]);
});

test('where cautions forbid measuring nothing is found either', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  await request(test_.app)
    .put(`/api/athletes/${athleteId}/conditions/${uuid()}`)
    .send({
      revision: 0,
      code: 'hip-replacement-back',
      region: null,
      side: 'left',
      onset: null,
      surgeryOn: '2026-11-01',
      words: '',
      clearance: null,
      resolvedOn: null,
    })
    .expect(200);
  expect((await put(visitId, uuid(), { ...END, subject: 'hip-internal-rotation' }).expect(409)).body.title).toBe('Caution');
});

test('the next visit sees what stood at the last one', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const [first, next] = [uuid(), uuid()];
  await put(visitId, first, END).expect(200);
  await put(visitId, uuid(), { ...END, data: { ...END.data, endFeel: 'bony' }, supersedes: first }).expect(200);
  await request(test_.app).put(`/api/visits/${next}`).send({ athleteId, startsAt: '2026-11-26T09:30:00.000Z', minutes: 45 }).expect(200);
  const { lastFindings, findings } = await visitFile(test_.app, next);
  expect([findings, lastFindings.map((each) => (each.kind === 'end' ? each.data?.endFeel : null))]).toEqual([[], ['bony']]);
});

test('a goal takes the place of the one before; erasing leaves neither goals nor findings', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const goal = (value: number) =>
    request(test_.app)
      .put(`/api/athletes/${athleteId}/goals/${uuid()}`)
      .send({ motionId: 'hip-flexion', side: 'left', value, byDate: '2026-12-20' });
  await goal(120).expect(200);
  expect((await goal(125).expect(200)).body.goals.map((each: { value: number }) => each.value)).toEqual([125]);
  expect((await goal(400).expect(422)).body.detail).toContain('A goal lies between');
  const { goals } = await visitFile(test_.app, visitId);
  expect((await request(test_.app).delete(`/api/athletes/${athleteId}/goals/${goals[0]!.id}`).expect(200)).body.goals).toEqual([]);
  await put(visitId, uuid(), END).expect(200);
  const record = (await request(test_.app).get(`/api/athletes/${athleteId}/record`).expect(200)).body.athletes[0].tables;
  expect([record.finding.length, record.athlete_goal.length, record.finding[0].data.endFeel]).toEqual([1, 2, 'capsular']);
  await request(test_.app).delete(`/api/athletes/${athleteId}`).send({ confirm: 'Ann Example', copy: 'not wanted' }).expect(200);
  const [left] = await test_.pool.query(
    'SELECT (SELECT COUNT(*) FROM finding WHERE visit_id = ?) AS f, (SELECT COUNT(*) FROM athlete_goal WHERE athlete_id = ?) AS g',
    [visitId, athleteId],
  );
  expect(left).toEqual([{ f: 0, g: 0 }]);
});

test('before and after work are two findings; an assistant finds too; a coach does not', async () => {
  const { visitId } = await newVisit(test_.app);
  await put(visitId, uuid(), END).expect(200);
  await put(visitId, uuid(), { ...END, moment: 'after' }).expect(200);
  const as = async (role: 'assistant' | 'coach') =>
    requestAs(test_.app, await test_.cookieOf(role))
      .put(`/api/visits/${visitId}/findings/${uuid()}`)
      .send({ kind: 'press', subject: 'hip-hike', side: 'left', moment: 'before', data: { answer: 'late' }, supersedes: null });
  expect((await as('assistant')).status).toBe(200);
  expect((await as('coach')).status).toBe(403);
  expect((await visitFile(test_.app, visitId)).findings).toHaveLength(3);
});

test('a finished visit takes no finding; once reopened it does', async () => {
  const { visitId } = await newVisit(test_.app);
  const { visit } = await visitFile(test_.app, visitId);
  await request(test_.app).post(`/api/visits/${visitId}/finish`).send({ revision: visit.revision }).expect(200);
  expect((await put(visitId, uuid(), END).expect(409)).body.title).toBe('Finished');
  await request(test_.app)
    .post(`/api/visits/${visitId}/reopen`)
    .send({ revision: visit.revision + 1 })
    .expect(200);
  await put(visitId, uuid(), END).expect(200);
});

test('while something says stop nothing is found; what stands can be withdrawn', async () => {
  const { visitId } = await newVisit(test_.app);
  const first = uuid();
  await put(visitId, first, END).expect(200);
  const answers = Object.fromEntries(STOP_QUESTIONS.map(({ id }, i) => [id, i === 0 ? 'yes' : 'no']));
  await request(test_.app).put(`/api/visits/${visitId}/answers/${uuid()}`).send({ answers }).expect(200);
  await put(visitId, uuid(), {
    kind: 'press',
    subject: 'hip-hike',
    side: 'left',
    moment: 'before',
    data: { answer: 'late' },
    supersedes: null,
  }).expect(409);
  await put(visitId, uuid(), { ...END, data: null, supersedes: first }).expect(200);
});

test('a lump is asked about at every later visit until somebody has looked, whatever else was found meanwhile; not after half a year', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const at = async (startsAt: string) => {
    const id = uuid();
    await request(test_.app).put(`/api/visits/${id}`).send({ athleteId, startsAt, minutes: 30, overlap: true }).expect(200);
    return id;
  };
  const before = async (id: string) =>
    (await visitFile(test_.app, id)).lastFindings.filter(({ kind }) => kind === 'point').map((each) => each.subject);
  const lump = (what: string): FindingFields =>
    ({
      kind: 'point',
      subject: 'gastrocnemius/upper',
      side: 'left',
      moment: 'before',
      data: { what, tenderness: 6, refers: '' },
      supersedes: null,
    }) as FindingFields;
  const first = uuid();
  await put(visitId, first, lump('lump')).expect(200);
  const second = await at('2026-12-02T09:30:00.000Z');
  expect(await before(second)).toEqual(['gastrocnemius/upper']);
  expect(await before(visitId)).toEqual([]);
  // Something else is found at the second visit: the lump is still asked about at the third.
  await put(second, uuid(), END).expect(200);
  const third = await at('2026-12-09T09:30:00.000Z');
  expect(await before(third)).toEqual(['gastrocnemius/upper']);
  // Looked at and clean: both are told, and the later one counts.
  await put(third, uuid(), lump('clean')).expect(200);
  const fourth = await at('2026-12-16T09:30:00.000Z');
  const { lastFindings, findings, visit } = await visitFile(test_.app, fourth);
  expect(lookFirst(lastFindings, findings, Date.parse(visit.startsAt))).toEqual([]);
  // Half a year after the last visit with anything found, what is older is left alone.
  const late = await at('2027-07-01T09:30:00.000Z');
  expect((await visitFile(test_.app, late)).lastFindings.map(({ visitId: where }) => where)).not.toContain(visitId);
});
