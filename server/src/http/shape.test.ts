import { LIMITS } from '@pace-bend/core/record';
import { newVisit, openTestApp, request, uuid, type TestApp } from '../testing/app.ts';
import { MOST_PROBLEMS, requireSaneShape, SHAPE } from './shape.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

/** Text of a body that nests as deep as said; JSON.stringify itself could not write it. */
const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;

describe('what is looked at before any schema', () => {
  test('depth, parts and members are bounded, and the bound is said', () => {
    expect(() => requireSaneShape(JSON.parse(nested(SHAPE.depth)))).not.toThrow();
    expect(() => requireSaneShape(JSON.parse(nested(SHAPE.depth + 1)))).toThrow('nested deeper');
    expect(() => requireSaneShape(JSON.parse(nested(100_000)))).toThrow('nested deeper');
    expect(() => requireSaneShape({ list: new Array(SHAPE.parts + 1).fill(0) })).toThrow('parts');
    expect(() => requireSaneShape(Object.fromEntries(Array.from({ length: SHAPE.members + 1 }, (_, i) => [`m${i}`, 1])))).toThrow(
      'members',
    );
  });

  test('half characters and control characters are refused with their place; tabs and line ends are text', () => {
    const problemsOf = (body: unknown) => {
      try {
        requireSaneShape(body);
        return [];
      } catch (error) {
        return (error as { errors: { path: string }[] }).errors.map((each) => each.path);
      }
    };
    expect(problemsOf({ name: 'a\ud800b', list: ['fine', '\u0007'], note: 'line\n\tline\r\n' })).toEqual(
      expect.arrayContaining(['name', 'list.1']),
    );
    expect(problemsOf({ emoji: '🚣', note: 'a\u0085b' })).toEqual(['note']);
    expect(problemsOf(Array.from({ length: 500 }, () => '\u0000')).length).toBeLessThanOrEqual(MOST_PROBLEMS);
  });
});

test('60 kB of brackets are an answer of 4xx, not the end of the program', async () => {
  for (const text of [nested(30_000), `{"events":${nested(30_000)}}`, `${'{"a":'.repeat(10_000)}1${'}'.repeat(10_000)}`]) {
    const answer = await api().put(`/api/visits/${uuid()}`).set('Content-Type', 'application/json').send(text);
    expect([answer.status, answer.body.title]).toEqual([413, 'Too deep']);
  }
  for (const text of [nested(250_000), `[${'[],'.repeat(150_000)}[]]`]) {
    const answer = await api().put(`/api/visits/${uuid()}`).set('Content-Type', 'application/json').send(text);
    expect([answer.status, answer.body.title]).toEqual([413, 'Too much']);
  }
});

test('a list that is too long is refused before it is gone through; fifty problems are told, the rest counted', async () => {
  const flood = await api()
    .post(`/api/runs/${uuid()}/events`)
    .send({ events: Array.from({ length: 9000 }, () => ({ kind: 'x' })) });
  expect([404, 422]).toContain(flood.status);
  const { visitId } = await newVisit(test_.app);
  const blocks = Array.from({ length: 500 }, () => ({ id: 'same', bad: 1 }));
  const long = await api().put(`/api/visits/${visitId}/plan`).send({ revision: 0, blocks }).expect(422);
  expect(long.body.errors).toEqual([{ path: 'blocks', message: expect.stringContaining(`${LIMITS.blocksInPlan} at most; 500 were sent`) }]);
  const many = await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 0, blocks: Array.from({ length: 30 }, () => ({ a: 1, b: 2, c: 3 })) })
    .expect(422);
  expect(many.body.errors).toHaveLength(MOST_PROBLEMS + 1);
  expect(many.body.errors.at(-1).message).toMatch(/^\d+ more like these/);
  expect(JSON.stringify(many.body).length).toBeLessThan(16_000);
});

test('an import that is wrong everywhere is told in fifty lines, and one of too many rows by their number', async () => {
  const wrong = await api()
    .post('/api/import/athletes')
    .send({ rows: Array.from({ length: LIMITS.importRows }, () => ({ name: '' })) })
    .expect(422);
  expect(wrong.body.errors).toHaveLength(MOST_PROBLEMS + 1);
  expect(wrong.body.errors[0].path).toMatch(/^rows\.0\./);
  expect(
    (
      await api()
        .post('/api/import/athletes')
        .send({ rows: Array.from({ length: LIMITS.importRows + 1 }, () => 1) })
        .expect(422)
    ).body.detail,
  ).toContain(`${LIMITS.importRows} rows at most`);
  await api().post('/api/import/athletes').send({ rows: 'all' }).expect(422);
  expect(
    (
      await api()
        .post('/api/import/athletes')
        .send({ rows: ['x'.repeat(LIMITS.importBytes)] })
    ).status,
  ).toBe(413);
}, 60_000);

test('an id is a UUID and nothing around it', async () => {
  const id = uuid();
  for (const odd of [`{${id}}`, `[${id}]`, `(${id})`, id.replaceAll('-', ''), `${id}0`, ` ${id}`]) {
    expect((await api().get(`/api/visits/${encodeURIComponent(odd)}`)).status).toBe(422);
    expect(
      (await api().put(`/api/visits/${uuid()}`).send({ athleteId: odd, startsAt: '2026-11-25T09:30:00.000Z', minutes: 30 })).status,
    ).toBe(422);
  }
});

test('words with half a character or a bell in them are refused at their field; nothing is written', async () => {
  const { visitId } = await newVisit(test_.app);
  const answer = await api()
    .put(`/api/visits/${visitId}/note`)
    .set('Content-Type', 'application/json')
    .send('{"revision":0,"text":"half \\ud83d of it"}')
    .expect(422);
  expect(answer.body.errors).toEqual([{ path: 'text', message: expect.stringContaining('broken') }]);
  await api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'ring \u0007' }).expect(422);
  await api().put(`/api/visits/${visitId}/note`).send({ revision: 0, text: 'two\nlines\tand more' }).expect(200);
  // A name is one line.
  const name = await api().put(`/api/squads/${uuid()}`).send({ revision: 0, name: 'Two\nlines', athleteIds: [] }).expect(422);
  expect(name.body.errors).toEqual([{ path: 'name', message: 'Squad stands in one line.' }]);
});
