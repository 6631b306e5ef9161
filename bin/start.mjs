#!/usr/bin/env node
// Sets everything up that is missing, and serves Pace Bend until Ctrl-C.
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureWebBuild } from './lib/build.mjs';
import { startDevices } from './lib/devices.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';
import { startServer } from './lib/server.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const dataFolder = resolve(root, process.env.PACE_BEND_DATA ?? '.data');

ensurePackages(root);
const database = process.env.DATABASE_URL ? { url: process.env.DATABASE_URL, stop: async () => {} } : await startMariadb(dataFolder);
ensureWebBuild(root);
// With the demo the measuring devices are stand-ins; without it they are what DEVICES_URL names, if anything.
const devices = process.env.PACE_BEND_DEMO === 'off' || process.env.DEVICES_URL ? null : await startDevices(root);
const devicesUrl = process.env.DEVICES_URL ?? devices?.url;
const server = startServer(root, { DATABASE_URL: database.url, PORT: process.env.PORT ?? '4173', ...(devicesUrl ? { DEVICES_URL: devicesUrl } : {}) });

let stopping = false;
async function stop(code) {
  if (stopping) return;
  stopping = true;
  await server.stop();
  await devices?.stop();
  await database.stop();
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
void server.ended.then((code) => stop(code));

const url = await server.ready;
if (url) say(`Pace Bend is ready at ${url}`);
