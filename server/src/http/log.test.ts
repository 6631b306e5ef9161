import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from '../app/app.ts';
import { openLog } from './log.ts';
import { ANN, NOW, openTestApp, requestAs, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
const folder = mkdtempSync(join(tmpdir(), 'pace-bend-log-'));
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(async () => {
  await test_.close();
  rmSync(folder, { recursive: true, force: true });
});

test('one line a request with its id, its row in the table, its status and its time; nothing of anybody in it', async () => {
  const path = join(folder, 'server.log');
  const log = openLog(path);
  const app = createApp({ pool: test_.pool, now: () => NOW, log });
  const as = requestAs(app, await test_.cookieOf('owner'));
  const athleteId = uuid();
  const made = await as
    .put(`/api/athletes/${athleteId}`)
    .send({ ...ANN, name: 'Secretname Person', about: 'private words' })
    .expect(200);
  await as.get(`/api/athletes/${athleteId}`).expect(200);
  await as.get('/api/athletes/not-an-id').expect(422);
  await as.get('/api/nothing/Secretname').expect(404);
  await requestAs(app, null).post('/api/sign-in').send({ login: 'secretlogin', password: 'secretpassword' }).expect(401);
  // A line is written once the answer is out, which a busy machine may do after the caller has it.
  const flushed = () =>
    new Promise<string>((resolve) => {
      log.flush(() => resolve(readFileSync(path, 'utf8')));
    });
  let text = await flushed();
  for (let i = 0; i < 100 && text.trim().split('\n').length < 5; i++) {
    await new Promise((resolve) => {
      setTimeout(resolve, 20);
    });
    text = await flushed();
  }
  const lines = text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  expect(lines.map(({ method, route, status }) => [method, route, status])).toEqual([
    ['PUT', '/athletes/:id', 200],
    ['GET', '/athletes/:id', 200],
    ['GET', '/athletes/:id', 422],
    ['GET', 'unknown', 404],
    ['POST', '/sign-in', 401],
  ]);
  for (const { id, ms, time } of lines)
    expect([typeof id, Number(ms) >= 0, Number.isNaN(Date.parse(String(time)))]).toEqual(['string', true, false]);
  expect(lines[0]!.id).toBe(made.headers['x-request-id']);
  for (const word of ['Secretname', 'private', 'secretlogin', 'secretpassword', athleteId, '127.0.0.1']) expect(text).not.toContain(word);
});

test('a log that has grown large is put aside at the next start', () => {
  const path = join(folder, 'large.log');
  writeFileSync(path, 'x'.repeat(11 * 1024 * 1024));
  openLog(path);
  expect(readFileSync(`${path}.1`, 'utf8')).toHaveLength(11 * 1024 * 1024);
});

test('a log that cannot be written costs its lines and nothing else', async () => {
  const told: string[] = [];
  const error = console.error;
  console.error = (line: string) => {
    told.push(line);
  };
  try {
    const app = createApp({ pool: test_.pool, now: () => NOW, log: openLog('/dev/null/nowhere/requests.log') });
    expect(told.join()).toContain('requests are not noted');
    await requestAs(app, null).get('/api/health').expect(200);
    // Every write to it fails, as on a full disk.
    const full = createApp({ pool: test_.pool, now: () => NOW, log: openLog('/dev/full') });
    for (let i = 0; i < 20; i++) await requestAs(full, null).get('/api/health').expect(200);
  } finally {
    console.error = error;
  }
});
