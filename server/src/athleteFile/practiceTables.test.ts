import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { parse } from 'csv-parse/sync';
import { RECORD_TABLES } from '@pace-bend/core/exchange';
import { createApp } from '../app/app.ts';
import { ANN, NOW, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp({ demo: true });
}, 240_000);
afterAll(() => test_.close());
const api = () => request(test_.app);

type Row = Record<string, string>;
const rowsIn = (text: string) => parse<Row>(text, { columns: true, record_delimiter: '\r\n' });
const tableOf = async (id: string) => (await api().get(`/api/export/tables/${id}`).expect(200)).text;

test.each(RECORD_TABLES.map(({ id }) => id))('%s of everybody are the tables of each, one after another by name', async (id) => {
  const { athletes } = (await api().get('/api/athletes?limit=100').expect(200)).body as { athletes: { id: string; name: string }[] };
  expect(athletes.length).toBeGreaterThan(5);
  const wanted: Row[] = [];
  for (const { id: athleteId, name } of athletes) {
    const { text } = await api().get(`/api/athletes/${athleteId}/tables/${id}`).expect(200);
    for (const row of rowsIn(text)) wanted.push({ 'Athlete id': athleteId, 'Athlete name': name, ...row });
  }
  const found = rowsIn(await tableOf(id));
  expect(wanted.length).toBeGreaterThan(0);
  expect(found).toEqual(wanted);
});

test('every line has as many cells as the heading, ended by CR LF, and a formula is none', async () => {
  const id = uuid();
  await api()
    .put(`/api/athletes/${id}`)
    .send({ ...ANN, name: '=HYPERLINK("x"), "odd"' })
    .expect(200);
  await api().put(`/api/visits/${uuid()}`).send({ athleteId: id, startsAt: '2026-12-05T08:00:00.000Z', minutes: 30 }).expect(200);
  const text = await tableOf('visits');
  const lines = parse(text, { record_delimiter: '\r\n' }) as string[][];
  expect(new Set(lines.map((cells) => cells.length)).size).toBe(1);
  expect(lines.some((cells) => cells[1]!.startsWith('='))).toBe(false);
  expect(lines.some((cells) => cells[1]!.includes('HYPERLINK'))).toBe(true);
});

test('all of them in one file, with what every column says', async () => {
  const answer = await api()
    .get('/api/export/tables')
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  const bytes = answer.body as Buffer;
  expect(bytes.subarray(0, 4).toString('latin1')).toBe('PK\u0003\u0004');
  for (const name of ['datapackage.json', ...RECORD_TABLES.map(({ id }) => `${id}.csv`)]) expect(bytes.includes(name)).toBe(true);
});

test.each(['/api/export/tables', '/api/export/tables/blocks', '/api/export/practice'])(
  '%s: the database goes while it is sent, or the caller does',
  async (path) => {
    let asked = 0;
    let gone = Infinity;
    const answered = <T>(ask: () => Promise<T>): Promise<T> =>
      ++asked > gone ? Promise.reject(Object.assign(new Error('Connection lost'), { code: 'ECONNREFUSED', fatal: true })) : ask();
    const pool = Object.create(test_.pool, {
      execute: {
        value: (...given: Parameters<typeof test_.pool.execute>) => answered(() => test_.pool.execute(...given)),
      },
      getConnection: { value: () => answered(() => test_.pool.getConnection()) },
    }) as typeof test_.pool;
    const server = createApp({ pool, now: () => NOW }).listen(0, '127.0.0.1');
    await once(server, 'listening');
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`;
    const Cookie = await test_.cookieOf('owner');
    const take = async () => {
      const answer = await fetch(address, { headers: { Cookie } }).catch(() => null);
      return answer?.ok ? (await answer.arrayBuffer().catch(() => null))?.byteLength : answer && 'refused';
    };
    expect(await take()).toBeGreaterThan(1000);
    const whole = asked;
    // Whatever has come by then: the answer breaks off instead of ending as if it were whole, and the program goes on.
    let brokenOff = 0;
    for (const share of [0.1, 0.3, 0.5, 0.7, 0.95]) {
      [asked, gone] = [0, Math.floor(whole * share)];
      const taken = await take();
      expect([undefined, null, 'refused']).toContain(taken);
      if (taken === undefined) brokenOff += 1;
      gone = Infinity;
      expect(await take()).toBeGreaterThan(1000);
    }
    expect(brokenOff).toBeGreaterThan(2);

    const leaving = new AbortController();
    const left = await fetch(address, { headers: { Cookie }, signal: leaving.signal });
    await left.body!.getReader().read();
    leaving.abort();
    expect(await take()).toBeGreaterThan(1000);
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  },
);

test('a table that is not there; who may take them out, and that it is written into the audit', async () => {
  await api().get('/api/export/tables/everything').expect(404);
  for (const role of ['assistant', 'coach'] as const)
    for (const path of ['/api/export/tables', '/api/export/tables/visits'])
      await requestAs(test_.app, await test_.cookieOf(role))
        .get(path)
        .expect(403);
  const other = await requestAs(test_.app, await test_.cookieOf('therapist', await test_.anotherPractice()))
    .get('/api/export/tables/visits')
    .expect(200);
  expect(rowsIn(other.text)).toEqual([]);
  const whats = async () =>
    ((await api().get('/api/audit').expect(200)).body as { lines: { what: string }[] }).lines.map(({ what }) => what);
  await tableOf('loads');
  expect((await whats())[0]).toBe('table of the practice exported');
  await api().get('/api/export/tables').expect(200);
  expect((await whats())[0]).toBe('tables of the practice exported');
});
