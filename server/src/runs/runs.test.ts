import { compile, newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { LIMITS, type RunFields } from '@pace-bend/core/record';
import { newAskedVisit, newVisit, openTestApp, request, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const block = () => newBlock(uuid(), 'rectus-femoris-prone', 'cr-breath', ['left', 'right']);

describe('plans', () => {
  test('are replaced as a whole, by revision', async () => {
    const { visitId } = await newVisit(test_.app);
    const blocks = [
      block(),
      {
        ...block(),
        methodId: 'static-hold',
        numbers: newBlock('x', 'rectus-femoris-prone', 'static-hold', ['left']).numbers,
        choices: { timing: 'fixed' },
      },
    ];
    const saved = await api().put(`/api/visits/${visitId}/plan`).send({ revision: 0, blocks }).expect(200);
    expect(saved.body).toEqual({ revision: 1, blocks });
    // The same request again, its answer lost on the way.
    await api().put(`/api/visits/${visitId}/plan`).send({ revision: 0, blocks }).expect(200);
    const refused = await api().put(`/api/visits/${visitId}/plan`).send({ revision: 0, blocks: [] }).expect(409);
    expect(refused.body.current.blocks).toHaveLength(2);
    expect((await visitFile(test_.app, visitId)).plan.blocks).toEqual(blocks);
  });

  test.each([
    ['99 rounds', { sides: [{ side: 'left', rounds: 99 }] }, 'blocks.0.sides.0.rounds', 'Rounds are whole, 1 to 12'],
    ['an effort of 0', { numbers: { ...block().numbers, effort: [0] } }, 'blocks.0.numbers.effort.0', '5 to 100'],
    ['an effort of 120 %', { numbers: { ...block().numbers, effort: [20, 120] } }, 'blocks.0.numbers.effort.1', '5 to 100'],
    ['words for numbers', { numbers: { ...block().numbers, hold: ['long'] } }, 'blocks.0.numbers.hold.0', 'number'],
    ['an unknown way', { methodId: 'magic' }, 'blocks.0.methodId', 'No way of working'],
  ])('%s: refused at its path, the old plan stands', async (_, patch, path, words) => {
    const { visitId } = await newVisit(test_.app);
    const good = block();
    await api()
      .put(`/api/visits/${visitId}/plan`)
      .send({ revision: 0, blocks: [good] })
      .expect(200);
    const answer = await api()
      .put(`/api/visits/${visitId}/plan`)
      .send({ revision: 1, blocks: [{ ...good, ...patch }] })
      .expect(422);
    expect(answer.body.errors[0]).toMatchObject({ path, message: expect.stringContaining(words) });
    expect((await visitFile(test_.app, visitId)).plan).toEqual({ revision: 1, blocks: [good] });
  });
});

async function newRun() {
  const { visitId } = await newAskedVisit(test_.app);
  const id = uuid();
  const fields: RunFields = {
    visitId,
    blocks: [block()],
    breath: SLOW_BREATH,
    edges: [{ motionId: 'hip-extension-knee-bent', side: 'left', value: 4 }],
    clockRate: 1,
  };
  return { id, visitId, fields, start: () => api().put(`/api/runs/${id}`).send(fields) };
}

const event = (seq: number, kind = 'beat', more: object = {}) => ({ id: uuid(), seq, atMs: seq * 100, kind, ...more });

describe('runs', () => {
  test('the server compiles the very line that the browser compiles', async () => {
    const { id, visitId, fields, start } = await newRun();
    const answer = await start().expect(200);
    const expected = compile(fields.blocks, { breath: fields.breath, edgeOf: (_, side) => (side === 'left' ? 4 : null) });
    expect(answer.body.line).toEqual(JSON.parse(JSON.stringify(expected)));
    await start().expect(200);
    const run = (await visitFile(test_.app, visitId)).runs[0];
    expect(run).toMatchObject({ id, clockRate: 1, events: [] });
    expect(run!.line).toEqual(answer.body.line);
    await api()
      .put(`/api/runs/${id}`)
      .send({ ...fields, clockRate: 2 })
      .expect(409);
  });

  test('events are appended in order and come back; sending again is harmless', async () => {
    const { id, visitId, start } = await newRun();
    await start().expect(200);
    const events = [event(1, 'start'), event(2, 'discomfort', { score: 3 }), event(3, 'edge', { value: 6.5 })];
    expect((await api().post(`/api/runs/${id}/events`).send({ events }).expect(200)).body).toEqual({ lastSeq: 3 });
    const again = [...events.slice(1), event(4, 'hold')];
    expect((await api().post(`/api/runs/${id}/events`).send({ events: again }).expect(200)).body).toEqual({ lastSeq: 4 });
    const stored = (await visitFile(test_.app, visitId)).runs[0]!.events;
    expect(stored.map(({ event: each }) => each)).toEqual([
      { kind: 'start', atMs: 100 },
      { kind: 'discomfort', atMs: 200, score: 3 },
      { kind: 'edge', atMs: 300, value: 6.5 },
      { kind: 'hold', atMs: 400 },
    ]);
  });

  test('a second tab cannot write into a run that another one leads, not even at the same instant', async () => {
    const { id, visitId, start } = await newRun();
    await start().expect(200);
    const answers = await Promise.all(
      [1, 2, 3, 4].map(() =>
        api()
          .post(`/api/runs/${id}/events`)
          .send({ events: [event(1, 'start'), event(2)] }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409]);
    expect(answers.find((answer) => answer.status === 409)!.body).toMatchObject({ title: 'Led elsewhere', lastSeq: 2 });
    expect((await visitFile(test_.app, visitId)).runs[0]!.events).toHaveLength(2);
  });

  test.each([
    ['a gap', [event(2)], 409],
    ['a gap inside', [event(1), event(3)], 422],
    ['time going back', [event(1), { ...event(2), atMs: 0 }], 422],
    ['an unknown kind', [event(1, 'sneeze')], 422],
    ['discomfort of 11', [event(1, 'discomfort', { score: 11 })], 422],
    ['discomfort without a score', [event(1, 'discomfort')], 422],
    ['an edge on a hold', [event(1, 'hold', { value: 3 })], 422],
    ['nothing', [], 422],
    ['a flood', Array.from({ length: 501 }, (_, i) => event(i + 1)), 422],
  ])('%s: refused, nothing kept', async (_, events, status) => {
    const { id, visitId, start } = await newRun();
    await start().expect(200);
    await api().post(`/api/runs/${id}/events`).send({ events }).expect(status);
    expect((await visitFile(test_.app, visitId)).runs[0]!.events).toEqual([]);
  });

  test('an event id from another run is refused, and so is an unknown run', async () => {
    const [one, two] = [await newRun(), await newRun()];
    await one.start().expect(200);
    await two.start().expect(200);
    const shared = event(1, 'start');
    await api()
      .post(`/api/runs/${one.id}/events`)
      .send({ events: [shared] })
      .expect(200);
    await api()
      .post(`/api/runs/${two.id}/events`)
      .send({ events: [shared] })
      .expect(422);
    await api()
      .post(`/api/runs/${uuid()}/events`)
      .send({ events: [shared] })
      .expect(404);
  });
});

describe('a run has its room', () => {
  test('a plan that is too much is refused when it is planned and when it is run, in words; a full one stays small enough', async () => {
    const { visitId } = await newAskedVisit(test_.app);
    const whole = (methodId: string, rounds: number) => ({
      ...newBlock(uuid(), 'rectus-femoris-prone', methodId, ['left', 'right']),
      sides: Array.from({ length: 4 }, (_, i) => ({ side: i % 2 === 0 ? ('left' as const) : ('right' as const), rounds })),
    });
    const flood = Array.from({ length: LIMITS.blocksInPlan }, () => whole('cr-breath', 12));
    for (const answer of [
      await api().put(`/api/visits/${visitId}/plan`).send({ revision: 0, blocks: flood }),
      await api().put(`/api/runs/${uuid()}`).send({ visitId, blocks: flood, breath: SLOW_BREATH, edges: [], clockRate: 1 }),
    ]) {
      expect([answer.status, answer.body.title]).toEqual([422, 'Too long']);
      expect(answer.body.detail).toMatch(/at most\. Take rounds or blocks out, or run it in two parts\./);
    }
    // A long but real session: ten blocks of four rounds on both sides.
    const long = Array.from({ length: 10 }, () => ({
      ...newBlock(uuid(), 'rectus-femoris-prone', 'cr-breath', ['left', 'right']),
      sides: [
        { side: 'left' as const, rounds: 4 },
        { side: 'right' as const, rounds: 4 },
      ],
    }));
    await api().put(`/api/visits/${visitId}/plan`).send({ revision: 0, blocks: long }).expect(200);
  });

  test('whatever is run, a visit’s file stays under 2 MB; what does not fit is refused and what was kept stays', async () => {
    const { visitId } = await newAskedVisit(test_.app);
    const blocks = Array.from({ length: 14 }, () => ({
      ...newBlock(uuid(), 'rectus-femoris-prone', 'cr-breath', ['left', 'right']),
      sides: [
        { side: 'left' as const, rounds: 4 },
        { side: 'right' as const, rounds: 4 },
      ],
    }));
    const runs: string[] = [];
    for (;;) {
      const id = uuid();
      const answer = await api().put(`/api/runs/${id}`).send({ visitId, blocks, breath: SLOW_BREATH, edges: [], clockRate: 1 });
      if (answer.status !== 200) {
        expect([answer.status, answer.body.title]).toEqual([409, 'Full']);
        break;
      }
      runs.push(id);
    }
    expect(runs.length).toBeGreaterThan(0);
    let kept = 0;
    for (const id of [runs[0]!, runs.at(-1)!]) {
      for (let from = 1; from <= LIMITS.eventsInRun; from += 500) {
        const answer = await api()
          .post(`/api/runs/${id}/events`)
          .send({ events: Array.from({ length: 500 }, (_, i) => event(from + i)) });
        if (answer.status === 200) kept += 500;
        else expect([answer.status, answer.body.title]).toEqual([409, 'Full']);
      }
      if (runs.length === 1) break;
    }
    expect(kept).toBeLessThanOrEqual(LIMITS.eventsOfVisit);
    const file = await api().get(`/api/visits/${visitId}`).expect(200);
    expect(JSON.stringify(file.body).length).toBeLessThan(2 * 1024 * 1024);
    expect(file.body.runs).toHaveLength(runs.length);
  }, 120_000);
});
