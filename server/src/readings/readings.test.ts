import type { ReadingFields } from '@pace-bend/core/record';
import { currentReadings } from '@pace-bend/core/record';
import { newVisit, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const HIP: ReadingFields = {
  motionId: 'hip-extension-knee-bent',
  side: 'left',
  moment: 'before',
  mode: 'passive',
  instrument: 'goniometer',
  trials: [3, 5, 4],
  supersedes: null,
};

test('a reading is kept with its mean; sending it again changes nothing', async () => {
  const { visitId } = await newVisit(test_.app);
  const id = uuid();
  for (let i = 0; i < 2; i++) {
    const answer = await api().put(`/api/visits/${visitId}/readings/${id}`).send(HIP).expect(200);
    expect(answer.body).toMatchObject({ id, value: 4, trials: [3, 5, 4] });
  }
  expect((await visitFile(test_.app, visitId)).readings).toHaveLength(1);
});

test('a correction is a new row that points at the old one, which stays as it was', async () => {
  const { visitId } = await newVisit(test_.app);
  const [first, second, third] = [uuid(), uuid(), uuid()];
  await api().put(`/api/visits/${visitId}/readings/${first}`).send(HIP).expect(200);
  await api()
    .put(`/api/visits/${visitId}/readings/${second}`)
    .send({ ...HIP, trials: [6, 6], supersedes: first })
    .expect(200);
  const { readings } = await visitFile(test_.app, visitId);
  expect(readings.map((reading) => reading.value)).toEqual([4, 6]);
  expect(currentReadings(readings).map((reading) => reading.id)).toEqual([second]);
  // Withdrawn: a row without trials. The motion then stands unmeasured.
  await api()
    .put(`/api/visits/${visitId}/readings/${third}`)
    .send({ ...HIP, trials: [], supersedes: second })
    .expect(200);
  expect(currentReadings((await visitFile(test_.app, visitId)).readings)).toEqual([]);
});

test('two tabs cannot fork a reading: the second is told what stands', async () => {
  const { visitId } = await newVisit(test_.app);
  const first = uuid();
  await api().put(`/api/visits/${visitId}/readings/${first}`).send(HIP).expect(200);
  const root = await api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({ ...HIP, trials: [9] })
    .expect(409);
  expect(root.body.current[0].value).toBe(4);
  const put = (trials: number[]) =>
    api()
      .put(`/api/visits/${visitId}/readings/${uuid()}`)
      .send({ ...HIP, trials, supersedes: first });
  const statuses = (await Promise.all([put([1]), put([2]), put([3])])).map((answer) => answer.status).sort();
  expect(statuses).toEqual([200, 409, 409]);
  expect(currentReadings((await visitFile(test_.app, visitId)).readings)).toHaveLength(1);
});

test.each([
  ['letters', { trials: ['abc'] }, 'number'],
  ['400°', { trials: [400] }, '400° is outside'],
  [
    'a negative distance',
    { motionId: 'knee-to-wall', instrument: 'tape', mode: 'active', trials: [-2] },
    'outside what this motion can read: 0 cm',
  ],
  ['no trial', { trials: [] }, 'at least one trial'],
  ['six trials', { trials: [1, 2, 3, 4, 5, 6] }, '5'],
  ['an unknown motion', { motionId: 'wing-flap' }, 'No such motion'],
  [
    'a side it does not have',
    { motionId: 'fingertip-to-floor', instrument: 'tape', mode: 'active', trials: [3] },
    'not measured on the left',
  ],
  ['a tape for an angle', { instrument: 'tape' }, 'not measured with a tape'],
  ['a correction of something else', { supersedes: uuid() }, 'not one of this motion'],
])('%s: refused, nothing written', async (_, patch, words) => {
  const { visitId } = await newVisit(test_.app);
  const answer = await api()
    .put(`/api/visits/${visitId}/readings/${uuid()}`)
    .send({ ...HIP, ...patch })
    .expect(422);
  expect(answer.body.detail).toContain(words);
  expect((await visitFile(test_.app, visitId)).readings).toEqual([]);
});
