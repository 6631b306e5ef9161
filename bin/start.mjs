#!/usr/bin/env node
// Sets everything up that is missing, and serves Pace Bend until Ctrl-C. `--verbose` says what takes how long.
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureWebBuild } from './lib/build.mjs';
import { dataFolderFrom } from './lib/dataFolder.mjs';
import { hasDatabaseFiles, markDatabase } from './lib/databaseFiles.mjs';
import { startDevices } from './lib/devices.mjs';
import { holdData, oneAtATime } from './lib/lock.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { beginDebianPackage, ensurePackages } from './lib/packages.mjs';
import { say, took } from './lib/say.mjs';
import { startServer } from './lib/server.mjs';
import { portFrom, requireFreePort } from './lib/settings.mjs';
import { backUpBeforeUpgrade } from './lib/upgrade.mjs';

/** Ends what has been begun so far; grows as the start goes on. */
let stop = (code) => process.exit(code);
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const checkoutLock = join(root, '.setup.lock');
const port = portFrom(process.env.PORT);
const named = process.env.DATABASE_URL;
const dataFolder = dataFolderFrom(root);
// A database that is named elsewhere may have several servers; a private one has this one.
if (!named) holdData(join(dataFolder, 'lock'), 'npm start', port);
// What cannot be opened is said before anything is fetched or built.
if (!named) hasDatabaseFiles(dataFolder);
await requireFreePort(port, process.env.HOST || '127.0.0.1');
// The database comes from Debian while the npm packages and the interface come from npm.
const databasePackage = named ? async () => {} : beginDebianPackage('mariadb-server', 'mariadbd');
oneAtATime(checkoutLock, () => ensurePackages(root));
took('npm packages');
oneAtATime(checkoutLock, () => ensureWebBuild(root));
took('interface');
await databasePackage();
took('MariaDB');

const database = named ? { url: named, lost: new Promise(() => {}), stop: async () => {} } : await startMariadb(dataFolder);
took('database');
await backUpBeforeUpgrade(root, database.url, join(dataFolder, 'backups'));
// With the demo the measuring devices are stand-ins; without it they are what DEVICES_URL names, if anything.
const devices = process.env.PACE_BEND_DEMO === 'off' || process.env.DEVICES_URL ? null : await startDevices(root);
const devicesUrl = process.env.DEVICES_URL ?? devices?.url;
const server = startServer(root, {
  DATABASE_URL: database.url,
  LOG_FILE: process.env.LOG_FILE ?? join(dataFolder, 'log', 'requests.log'),
  PORT: String(port),
  ...(devicesUrl ? { DEVICES_URL: devicesUrl } : {}),
});

let stopping = false;
stop = async (code) => {
  if (stopping) return;
  stopping = true;
  await server.stop();
  await devices?.stop();
  await database.stop();
  process.exit(code);
};
void server.ended.then((code) => stop(code));
void database.lost.then((reason) => {
  process.stderr.write(`${reason} Everything is stopped.\n`);
  return stop(1);
});

const url = await server.ready;
if (url) {
  took('server, devices and first data');
  if (!named) markDatabase(dataFolder, { filled: true });
  say(`Pace Bend is ready at ${url}`);
}
