import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app.ts';
import { BadSetting, isOpen, readSettings } from './settings.ts';
import { openTestApp, requestAs, type TestApp } from '../testing/app.ts';

const folder = mkdtempSync(join(tmpdir(), 'pace-bend-settings-'));
const file = (name: string) => {
  const path = join(folder, name);
  writeFileSync(path, name);
  return path;
};
const base = { DATABASE_URL: 'mysql://u:p@127.0.0.1/x' };
const tls = { TLS_CERT: file('cert'), TLS_KEY: file('key') };

test('loopback is the default', () => {
  expect(readSettings(base)).toMatchObject({ host: '127.0.0.1', port: 4173, publicUrl: null, tls: null, trustProxy: null, demo: true });
  expect(isOpen(readSettings({ ...base, HOST: '::1' }))).toBe(false);
});

test.each([
  [{ PORT: '0' }, 'PORT is a whole number'],
  [{ PORT: '70000' }, 'PORT'],
  [{ PORT: '80a' }, '“80a”'],
  [{ DATABASE_URL: '' }, 'DATABASE_URL'],
  [{ DEVICES_URL: 'ws://elsewhere:1' }, 'on this machine'],
  [{ HOST: '0.0.0.0' }, 'PUBLIC_URL'],
  [{ HOST: '0.0.0.0', PUBLIC_URL: 'pace.example' }, 'whole address'],
  [{ HOST: '0.0.0.0', PUBLIC_URL: 'http://pace.example' }, 'https://'],
  [{ HOST: '0.0.0.0', PUBLIC_URL: 'https://pace.example' }, 'needs TLS'],
  [{ PUBLIC_URL: 'https://pace.example' }, 'needs TLS'],
  [{ PUBLIC_URL: 'https://pace.example/inside' }, 'only scheme, name and port'],
  [{ TLS_CERT: tls.TLS_CERT }, 'go together'],
  [{ TLS_CERT: '/nowhere', TLS_KEY: tls.TLS_KEY }, 'cannot be read (ENOENT)'],
])('%j is refused with what is wrong', (env, words) => {
  expect(() => readSettings({ ...base, ...env })).toThrow(BadSetting);
  expect(() => readSettings({ ...base, ...env })).toThrow(words);
});

test('with its guards it opens: TLS of its own, or a proxy that is named', () => {
  const own = readSettings({ ...base, HOST: '0.0.0.0', PUBLIC_URL: 'https://pace.example:8443', ...tls });
  expect([own.publicUrl, own.tls, isOpen(own)]).toEqual(['https://pace.example:8443', { cert: 'cert', key: 'key' }, true]);
  expect(isOpen(readSettings({ ...base, PUBLIC_URL: 'https://pace.example', TRUST_PROXY: '127.0.0.1' }))).toBe(true);
});

describe('served publicly', () => {
  let test_: TestApp;
  beforeAll(async () => {
    test_ = await openTestApp({ demo: true });
  });
  afterAll(() => test_.close());
  const app = () =>
    createApp({ pool: test_.pool, now: () => new Date(), publicUrl: 'https://pace.example', trustProxy: '127.0.0.1', demo: false });
  const ask = (host: string, origin: string | null) => {
    const call = requestAs(app(), null)
      .post('/api/sign-in')
      .set('Host', host)
      .set('X-Forwarded-For', '203.0.113.7')
      .send({ login: 'marit', password: 'quiet river owner' });
    return origin === null ? call : call.set('Origin', origin);
  };

  test('its own name and this machine are served; a change comes from its own pages', async () => {
    expect((await ask('pace.example', 'https://pace.example')).status).toBe(200);
    expect((await ask('127.0.0.1:4173', 'https://pace.example')).status).toBe(200);
    for (const [host, origin] of [
      ['elsewhere.example', null],
      ['pace.example', 'https://elsewhere.example'],
      ['pace.example', 'http://pace.example'],
      ['127.0.0.1:4173', 'http://elsewhere.example'],
    ] as const)
      expect((await ask(host, origin)).status).toBe(403);
  });

  test('cookies go over TLS only, browsers are told to come over TLS, the demo’s passwords are not shown', async () => {
    const answer = await ask('pace.example', 'https://pace.example');
    for (const cookie of answer.headers['set-cookie'] as unknown as string[]) expect(cookie).toContain('Secure');
    expect(answer.headers['strict-transport-security']).toBe('max-age=15552000');
    expect((await requestAs(app(), null).get('/api/welcome').set('Host', 'pace.example')).body.demoAccounts).toEqual([]);
    const local = await requestAs(test_.app, null).get('/api/welcome');
    expect(local.headers['strict-transport-security']).toBeUndefined();
    expect(local.body.demoAccounts.length).toBeGreaterThan(3);
  });
});
