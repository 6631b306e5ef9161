#!/usr/bin/env node
// Makes a certificate for a practice's own network, signed by an authority of its own: `npm run certificate -- pace.local 192.168.1.20`.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { dataFolderFrom } from './lib/dataFolder.mjs';
import { writeWhole } from './lib/databaseFiles.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { giveUp, say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const names = process.argv.slice(2).filter((argument) => !argument.startsWith('--'));
const HOST_NAME = /^(?=.{1,253}$)[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?(?:\.[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?)*$/i;
if (names.length === 0) giveUp('Name what tablets will type: npm run certificate -- pace.local 192.168.1.20');
for (const name of names) if (!isIP(name) && !HOST_NAME.test(name)) giveUp(`“${name}” is no host name and no address.`);

ensurePackages(root);
const {
  cryptoProvider,
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  X509Certificate,
  X509CertificateGenerator,
} = await import('@peculiar/x509');
const { webcrypto } = await import('node:crypto');
cryptoProvider.set(webcrypto);

const KEY = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const DAY_MS = 86_400_000;
/** Tablets refuse certificates of servers that hold longer. */
const SERVER_DAYS = 397;
const AUTHORITY_DAYS = 3650;
const folder = join(dataFolderFrom(root), 'tls');
mkdirSync(folder, { recursive: true, mode: 0o700 });
const at = (name) => join(folder, name);
const serial = () =>
  Buffer.from(webcrypto.getRandomValues(new Uint8Array(15)))
    .toString('hex')
    .replace(/^/, '01');

const newKey = () => webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify']);
const keyText = async ({ privateKey }) => PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', privateKey), 'PRIVATE KEY');

/** The authority that is there, or a new one: tablets that trust it go on trusting the next certificates. */
async function authority() {
  if (existsSync(at('authority.crt')) && existsSync(at('authority.key'))) {
    const certificate = new X509Certificate(readFileSync(at('authority.crt'), 'utf8'));
    const privateKey = await webcrypto.subtle.importKey(
      'pkcs8',
      PemConverter.decode(readFileSync(at('authority.key'), 'utf8'))[0],
      KEY,
      false,
      ['sign'],
    );
    if (certificate.notAfter.getTime() > Date.now() + SERVER_DAYS * DAY_MS) return { certificate, privateKey, isNew: false };
  }
  const keys = await newKey();
  const certificate = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: `CN=Pace Bend authority of this practice ${new Date().toISOString().slice(0, 10)}`,
    notBefore: new Date(Date.now() - DAY_MS),
    notAfter: new Date(Date.now() + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: KEY,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
    ],
  });
  writeWhole(at('authority.key'), await keyText(keys));
  writeFileSync(at('authority.crt'), certificate.toString('pem'), { mode: 0o644 });
  return { certificate, privateKey: keys.privateKey, isNew: true };
}

const signer = await authority();
const keys = await newKey();
const all = [...new Set([...names, 'localhost', '127.0.0.1'])];
const certificate = await X509CertificateGenerator.create({
  serialNumber: serial(),
  subject: `CN=${names[0]}`,
  issuer: signer.certificate.subject,
  notBefore: new Date(Date.now() - DAY_MS),
  notAfter: new Date(Date.now() + SERVER_DAYS * DAY_MS),
  signingAlgorithm: KEY,
  publicKey: keys.publicKey,
  signingKey: signer.privateKey,
  extensions: [
    new BasicConstraintsExtension(false, undefined, true),
    new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
    new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
    new SubjectAlternativeNameExtension(all.map((value) => ({ type: isIP(value) ? 'ip' : 'dns', value }))),
  ],
});
writeWhole(at('server.key'), await keyText(keys));
writeFileSync(at('server.crt'), `${certificate.toString('pem')}\n${signer.certificate.toString('pem')}\n`, { mode: 0o644 });

const shown = (name) => relative(process.cwd(), at(name)) || at(name);
const [name] = names;
say(`A certificate for ${all.join(', ')}, good until ${certificate.notAfter.toISOString().slice(0, 10)}: ${shown('server.crt')}`);
say(
  signer.isNew
    ? `Its authority is new: ${shown('authority.crt')}. Keep ${shown('authority.key')} to yourself; who has it can pretend to be any site to your tablets.`
    : 'Its authority is the one that was there: tablets that trust it need nothing new.',
);
say('');
say('To serve it to the practice’s own network:');
say(
  `  HOST=0.0.0.0 PUBLIC_URL=https://${isIP(name) === 6 ? `[${name}]` : name}:4173 TLS_CERT=${shown('server.crt')} TLS_KEY=${shown('server.key')} npm start`,
);
say('');
say('Each tablet has to trust the authority once; docs/opening.md says how, for each kind.');
