#!/usr/bin/env node
// Writes the whole database to one file, with a check file beside it: `npm run backup [-- folder]`.
// The program may be running; who writes waits for the second or two it takes.
import { createHash } from 'node:crypto';
import { spawn } from 'node:child_process';
import { createReadStream, createWriteStream, mkdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { runningMariadb, startMariadb } from './lib/mariadb.mjs';
import { giveUp, say } from './lib/say.mjs';
import { connection, heldStill, program, tablesOf } from './lib/sqlClient.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const dataFolder = resolve(root, process.env.PACE_BEND_DATA ?? '.data');
const folder = resolve(process.argv[2] ?? join(dataFolder, 'backups'));

const running = process.env.DATABASE_URL ?? runningMariadb(dataFolder);
const database = running ? { url: running, stop: async () => {} } : await startMariadb(dataFolder, { quiet: true });
const tables = tablesOf(database.url);
if (tables.length === 0) {
  await database.stop();
  giveUp('There is nothing to back up: the database has no tables yet.');
}

mkdirSync(folder, { recursive: true, mode: 0o700 });
const name = `pace-bend-${new Date().toISOString().slice(0, 19).replace(/[-:]/g, '').replace('T', '-')}`;
const file = join(folder, `${name}.sql`);
const unfinished = `${file}.unfinished`;

/** One consistent dump, triggers included, with nothing in it that names this server. */
async function dump() {
  const { args, env, database: schema } = connection(database.url);
  const child = spawn(program('mariadb-dump'), [...args, '--single-transaction', '--skip-lock-tables', '--triggers', '--hex-blob', '--skip-dump-date', '--no-tablespaces', schema], { env, stdio: ['ignore', 'pipe', 'pipe'] });
  let complaint = '';
  child.stderr.on('data', (chunk) => { complaint += chunk; });
  const ended = new Promise((settle) => child.once('exit', settle));
  await pipeline(child.stdout, createWriteStream(unfinished, { mode: 0o600 }));
  if ((await ended) !== 0) throw new Error(complaint.trim());
}

try {
  const fingerprint = await heldStill(database.url, tables, dump);
  const hash = createHash('sha256');
  await pipeline(createReadStream(unfinished), hash);
  renameSync(unfinished, file);
  writeFileSync(join(folder, `${name}.check.json`), `${JSON.stringify({ format: 'pace-bend backup', version: 1, file: `${name}.sql`, sha256: hash.digest('hex'), tables: fingerprint }, null, 2)}\n`, { mode: 0o600 });
  const rows = Object.values(fingerprint).reduce((sum, table) => sum + table.rows, 0);
  say(`Backed up ${rows} rows of ${tables.length} tables, ${(statSync(file).size / 1024 / 1024).toFixed(1)} MB: ${file}`);
} catch (error) {
  rmSync(unfinished, { force: true });
  await database.stop();
  giveUp('The backup was not made:', error.message);
}
await database.stop();
