import { spawnSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '../../..');
const folder = mkdtempSync(join(tmpdir(), 'pace-bend-tls-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const make = (...names: string[]) =>
  spawnSync(process.execPath, [join(root, 'bin/certificate.mjs'), ...names], {
    encoding: 'utf8',
    env: { ...process.env, PACE_BEND_DATA: folder, NODE_OPTIONS: '' },
  });
const read = (name: string) => readFileSync(join(folder, 'tls', name), 'utf8');

/** Asks over TLS as a tablet does that trusts the authority and nobody else. */
function ask(port: number, servername: string): Promise<string> {
  return new Promise((resolve) => {
    request({ host: '127.0.0.1', port, servername, ca: read('authority.crt') }, (answer) => {
      answer.resume();
      resolve(`${answer.statusCode}`);
    })
      .once('error', (error) => resolve((error as NodeJS.ErrnoException).code ?? error.message))
      .end();
  });
}

test('a local authority and a certificate that a tablet accepts for the names given, and for no other', async () => {
  const made = make('pace.local', '192.168.1.20');
  expect([made.status, made.stdout]).toEqual([0, expect.stringContaining('HOST=0.0.0.0 PUBLIC_URL=https://pace.local:4173')]);
  // Node's own reading of X.509 (OpenSSL) is the judge, not the library that wrote it.
  const [server, authority] = [new X509Certificate(read('server.crt')), new X509Certificate(read('authority.crt'))];
  expect([server.checkIssued(authority), server.verify(authority.publicKey), authority.ca, server.ca]).toEqual([true, true, true, false]);
  expect([server.checkHost('pace.local'), server.checkIP('192.168.1.20'), server.checkHost('elsewhere.example')]).toEqual([
    'pace.local',
    '192.168.1.20',
    undefined,
  ]);
  // Tablets refuse more than 398 days (common practice of browsers since 2020, recalled from memory).
  expect((Date.parse(server.validTo) - Date.parse(server.validFrom)) / 86_400_000).toBeLessThanOrEqual(398);
  for (const name of ['authority.key', 'server.key']) expect(statSync(join(folder, 'tls', name)).mode & 0o077).toBe(0);

  const https = createServer({ cert: read('server.crt'), key: read('server.key') }, (_request, answer) => answer.end('ok')).listen(
    0,
    '127.0.0.1',
  );
  await new Promise((resolve) => https.once('listening', resolve));
  const { port } = https.address() as AddressInfo;
  expect(await ask(port, 'pace.local')).toBe('200');
  expect(await ask(port, 'elsewhere.example')).toBe('ERR_TLS_CERT_ALTNAME_INVALID');
  https.close();

  // Made again, for another name: the authority that tablets trust stays.
  const before = read('authority.crt');
  expect(make('practice.local').stdout).toContain('tablets that trust it need nothing new');
  expect(read('authority.crt')).toBe(before);
  expect(new X509Certificate(read('server.crt')).verify(authority.publicKey)).toBe(true);
});

test('what is no name is refused', () => {
  expect([make().status, make('two words').status, make('-x').status]).toEqual([1, 1, 1]);
});
