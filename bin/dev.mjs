#!/usr/bin/env node
// The same as start, but the server restarts and the page reloads when a source file changes.
import { spawn } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { dataFolderFrom } from './lib/dataFolder.mjs';
import { startDevices } from './lib/devices.mjs';
import { holdData } from './lib/lock.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';
import { WITH_TYPES } from './lib/withTypes.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
ensurePackages(root);
const dataFolder = dataFolderFrom(root);
if (!process.env.DATABASE_URL) holdData(join(dataFolder, 'lock'), 'npm run dev', Number(process.env.PORT ?? 4173));
const database = process.env.DATABASE_URL ? { url: process.env.DATABASE_URL, stop: async () => {} } : await startMariadb(dataFolder);
const devices = await startDevices(root);
const apiPort = process.env.API_PORT ?? '4174';
const children = [
  spawn(process.execPath, [...WITH_TYPES, '--watch', '--watch-preserve-output', 'server/src/start.ts'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, DATABASE_URL: database.url, PORT: apiPort, ...(devices.url ? { DEVICES_URL: devices.url } : {}) },
  }),
  spawn(
    process.execPath,
    [
      join(root, 'node_modules', 'vite', 'bin', 'vite.js'),
      'web',
      '--host',
      '127.0.0.1',
      '--port',
      process.env.PORT ?? '4173',
      '--strictPort',
    ],
    { cwd: root, stdio: 'inherit', env: { ...process.env, API_PORT: apiPort } },
  ),
];
say(`The page reloads at http://127.0.0.1:${process.env.PORT ?? '4173'}`);

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  await Promise.all(
    children.map(
      (child) =>
        new Promise((done) => {
          if (child.exitCode !== null || child.signalCode !== null) return done();
          child.once('exit', done);
          child.kill('SIGTERM');
        }),
    ),
  );
  await devices.stop();
  await database.stop();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop());
for (const child of children) child.once('exit', () => void stop());
