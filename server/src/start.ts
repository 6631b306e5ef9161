import { createServer as createTlsServer } from 'node:https';
import { createServer } from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app/app.ts';
import { openLog } from './http/log.ts';
import { BadSetting, isOpen, readSettings, type Settings } from './app/settings.ts';
import { migrate, requireReadable } from './db/migrate.ts';
import { firstRow, openPool, type Pool } from './db/pool.ts';
import { eraseAgain } from './keeping/erase.ts';
import { ensurePractice } from './demo/load.ts';

/** One line for the person at the terminal, and the end. */
function giveUp(line: string): never {
  console.error(line);
  process.exit(1);
}

function settings(): Settings {
  try {
    return readSettings(process.env);
  } catch (error) {
    if (error instanceof BadSetting) giveUp(error.message);
    throw error;
  }
}

/** Others are let in only to a practice that has its owner and none of the demo's accounts, whose passwords everybody knows. */
async function requireClosable(pool: Pool): Promise<void> {
  if (await firstRow(pool, 'SELECT id FROM account WHERE demo_password IS NOT NULL LIMIT 1'))
    giveUp(
      'This data holds the demo’s accounts, whose passwords everybody knows: it is not opened to others. Start on an empty data folder with PACE_BEND_DEMO=off, or give every account of the demo a password of its own.',
    );
  if (!(await firstRow(pool, "SELECT id FROM account WHERE role = 'owner' AND active LIMIT 1")))
    giveUp(
      'This practice has no owner yet, and whoever came first would become it: it is not opened to others. Start it on this machine alone first (without HOST and PUBLIC_URL), make the owner’s account, then open it.',
    );
}

const now = () => new Date();
const { host, port, databaseUrl, devicesUrl, demo, publicUrl, tls, trustProxy, logFile } = settings();
const pool = openPool(databaseUrl);
try {
  await migrate(pool);
  await requireReadable(pool);
  await ensurePractice(pool, { now: now(), demo });
  const again = await eraseAgain(pool, now());
  if (again > 0) console.log(`Erased again after the restore: ${again === 1 ? 'one record' : `${again} records`}.`);
} catch (error) {
  giveUp((error as Error).message);
}
if (isOpen({ host, publicUrl })) await requireClosable(pool);
if (!demo && (await firstRow(pool, 'SELECT id FROM account WHERE demo_password IS NOT NULL LIMIT 1'))) {
  console.log(
    'PACE_BEND_DEMO=off adds no demo, but this data holds it already. Its passwords are not shown. For a practice of your own, name an empty folder with PACE_BEND_DATA.',
  );
}
const webFolder = join(dirname(fileURLToPath(import.meta.url)), '../../web/dist');
const app = createApp({ pool, now, webFolder, devicesUrl, demo, publicUrl, trustProxy, log: openLog(logFile) });
const server = tls ? createTlsServer({ cert: tls.cert, key: tls.key, minVersion: 'TLSv1.2' }, app) : createServer(app);
// A connection that has been still for a few seconds is not closed under a request that is just on its way.
server.keepAliveTimeout = 65_000;
server.once('error', (error: NodeJS.ErrnoException) => giveUp(`Port ${port} cannot be used (${error.code}). Set PORT to another one.`));
server.listen(port, host, () => {
  const address = publicUrl ?? `${tls ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`;
  if (process.send) process.send({ ready: address });
  else console.log(`Serving ${address}`);
});

/** Longest that connections may take to close before the process ends anyway. */
const STOP_MS = 3000;

function stop(): void {
  setTimeout(() => process.exit(0), STOP_MS).unref();
  server.close(() => void pool.end().finally(() => process.exit(0)));
  server.closeAllConnections();
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
// The channel to the process that started this one is gone: so is that process.
process.on('disconnect', stop);
