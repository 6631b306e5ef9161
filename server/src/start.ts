import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app/app.ts';
import { migrate } from './db/migrate.ts';
import { openPool } from './db/pool.ts';
import { ensurePractice } from './demo/load.ts';

const port = Number(process.env.PORT ?? 4173);
const databaseUrl = process.env.DATABASE_URL;
if (!databaseUrl) {
  console.error('DATABASE_URL is not set: start the program with `npm start`, or name a MariaDB server.');
  process.exit(1);
}

const now = () => new Date();
const devicesUrl = process.env.DEVICES_URL ?? null;
if (devicesUrl !== null && !/^ws:\/\/(127\.0\.0\.1|localhost):\d+$/.test(devicesUrl)) {
  console.error('DEVICES_URL has to be a WebSocket address on this machine, like ws://127.0.0.1:4300.');
  process.exit(1);
}
const pool = openPool(databaseUrl);
await migrate(pool);
await ensurePractice(pool, { now: now(), demo: process.env.PACE_BEND_DEMO !== 'off' });
const webFolder = join(dirname(fileURLToPath(import.meta.url)), '../../web/dist');
const server = createApp({ pool, now, webFolder, devicesUrl }).listen(port, '127.0.0.1', (error?: Error) => {
  if (error) {
    console.error(`Port ${port} cannot be used (${(error as NodeJS.ErrnoException).code}). Set PORT to another one.`);
    process.exit(1);
  }
  process.send?.({ ready: `http://127.0.0.1:${port}` });
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
