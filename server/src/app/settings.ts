import { readFileSync } from 'node:fs';

/** Where and how the program is served. */
export interface Settings {
  readonly host: string;
  readonly port: number;
  readonly databaseUrl: string;
  readonly devicesUrl: string | null;
  readonly demo: boolean;
  /** Where browsers find it when that is not this machine's own loopback address, without a slash at the end. */
  readonly publicUrl: string | null;
  readonly tls: { readonly cert: string; readonly key: string } | null;
  /** Addresses of the proxy in front, as Express reads them; null for none. */
  readonly trustProxy: string | null;
  /** Where the log of requests is written; null for nowhere. */
  readonly logFile: string | null;
}

const LOOPBACK_HOST = /^(127\.\d{1,3}\.\d{1,3}\.\d{1,3}|localhost|::1|\[::1\])$/;

/** Thrown with one line for the person at the terminal. */
export class BadSetting extends Error {}

function fileOf(name: string, path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    throw new BadSetting(`${name} names ${path}, which cannot be read (${(error as NodeJS.ErrnoException).code}).`);
  }
}

function publicUrlFrom(text: string | undefined): string | null {
  if (!text) return null;
  let url: URL;
  try {
    url = new URL(text);
  } catch {
    throw new BadSetting(`PUBLIC_URL is a whole address like https://pace.example, not “${text}”.`);
  }
  if (!/^https?:$/.test(url.protocol) || url.pathname !== '/' || url.search || url.hash || url.username)
    throw new BadSetting('PUBLIC_URL is only scheme, name and port, like https://pace.example:8443.');
  return url.origin;
}

/**
 * Reads the settings of the environment. Loopback is the default; anything wider is a decision that needs all its guards: an address
 * that browsers use, with TLS, by this program itself or by a proxy that is named.
 * @throws BadSetting with what is wrong and what to set
 */
export function readSettings(env: Readonly<Record<string, string | undefined>>): Settings {
  const portText = env.PORT || '4173';
  const port = Number(portText);
  if (!/^\d{1,5}$/.test(portText) || port < 1 || port > 65_535)
    throw new BadSetting(`PORT is a whole number from 1 to 65535, not “${portText}”.`);
  if (!env.DATABASE_URL) throw new BadSetting('DATABASE_URL is not set: start the program with `npm start`, or name a MariaDB server.');
  const devicesUrl = env.DEVICES_URL || null;
  if (devicesUrl !== null && !/^ws:\/\/(127\.0\.0\.1|localhost):\d+$/.test(devicesUrl))
    throw new BadSetting('DEVICES_URL has to be a WebSocket address on this machine, like ws://127.0.0.1:4300.');
  const host = env.HOST || '127.0.0.1';
  const publicUrl = publicUrlFrom(env.PUBLIC_URL);
  if (Boolean(env.TLS_CERT) !== Boolean(env.TLS_KEY))
    throw new BadSetting('TLS_CERT and TLS_KEY go together; `npm run certificate` makes both.');
  const tls = env.TLS_CERT ? { cert: fileOf('TLS_CERT', env.TLS_CERT), key: fileOf('TLS_KEY', env.TLS_KEY!) } : null;
  const trustProxy = env.TRUST_PROXY || null;
  const settings = {
    host,
    port,
    databaseUrl: env.DATABASE_URL,
    devicesUrl,
    demo: env.PACE_BEND_DEMO !== 'off',
    publicUrl,
    tls,
    trustProxy,
    logFile: env.LOG_FILE || null,
  };
  if (isOpen(settings)) {
    if (!publicUrl)
      throw new BadSetting(
        `HOST ${host} can be reached from elsewhere. Say with PUBLIC_URL which address browsers use, like https://pace.example.`,
      );
    if (!publicUrl.startsWith('https://'))
      throw new BadSetting(
        'PUBLIC_URL has to begin with https:// when it can be reached from elsewhere: without TLS everybody on the way reads along.',
      );
    if (!tls && !trustProxy)
      throw new BadSetting(
        'To be reached from elsewhere it needs TLS: set TLS_CERT and TLS_KEY (`npm run certificate` makes them), or put a proxy in front and name its address with TRUST_PROXY.',
      );
  }
  return settings;
}

/** Whether others than this machine can reach it. */
export function isOpen({ host, publicUrl }: Pick<Settings, 'host' | 'publicUrl'>): boolean {
  return !LOOPBACK_HOST.test(host) || (publicUrl !== null && !LOOPBACK_HOST.test(new URL(publicUrl).hostname));
}
