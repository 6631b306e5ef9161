#!/usr/bin/env node
// Puts a backup into an empty database and checks every table against it: `npm run restore -- file.sql [--replace]`.
import { createHash } from 'node:crypto';
import { spawn } from 'node:child_process';
import { createReadStream, existsSync, readFileSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { runningMariadb, startMariadb } from './lib/mariadb.mjs';
import { giveUp, say } from './lib/say.mjs';
import { connection, fingerprint, program, query, tablesOf } from './lib/sqlClient.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const dataFolder = resolve(root, process.env.PACE_BEND_DATA ?? '.data');
const [given] = process.argv.slice(2).filter((argument) => !argument.startsWith('--'));
const replace = process.argv.includes('--replace');
if (!given) giveUp('Name the backup: npm run restore -- path/to/pace-bend-….sql');

const file = resolve(given);
const checkFile = file.replace(/\.sql$/, '.check.json');
for (const each of [file, checkFile]) if (!existsSync(each)) giveUp(`${each} is not there. A backup is two files: the .sql and its .check.json.`);
let check;
try {
  check = JSON.parse(readFileSync(checkFile, 'utf8'));
} catch {
  giveUp(`${checkFile} cannot be read.`);
}
if (check?.format !== 'pace-bend backup' || check.version !== 1) giveUp(`${checkFile} is not the check file of a backup this program knows.`);
const hash = createHash('sha256');
await pipeline(createReadStream(file), hash);
if (hash.digest('hex') !== check.sha256) giveUp(`${file} is not what was backed up: it was changed or cut off. Nothing was restored.`);

if (!process.env.DATABASE_URL && runningMariadb(dataFolder)) giveUp('Pace Bend is running on this data. Stop it first, then restore.');
const database = process.env.DATABASE_URL ? { url: process.env.DATABASE_URL, stop: async () => {} } : await startMariadb(dataFolder, { quiet: true });

async function fail(...lines) {
  await database.stop();
  giveUp(...lines);
}

const there = tablesOf(database.url);
if (there.length > 0 && !replace) await fail(`The database already holds ${there.length} tables. Restore into an empty one, or add --replace to put the backup in its place.`);
if (there.length > 0) query(database.url, `SET FOREIGN_KEY_CHECKS = 0; ${there.map((table) => `DROP TABLE \`${table}\`;`).join(' ')}`);

const { args, env, database: schema } = connection(database.url);
const child = spawn(program('mariadb'), [...args, schema], { env, stdio: ['pipe', 'ignore', 'pipe'] });
let complaint = '';
child.stderr.on('data', (chunk) => { complaint += chunk; });
const ended = new Promise((settle) => child.once('exit', settle));
await pipeline(createReadStream(file), child.stdin).catch(() => undefined);
if ((await ended) !== 0) await fail('The database refused the backup:', complaint.trim());

const now = fingerprint(database.url, tablesOf(database.url));
const wrong = [...new Set([...Object.keys(check.tables), ...Object.keys(now)])].filter((table) => now[table]?.rows !== check.tables[table]?.rows || now[table]?.checksum !== check.tables[table]?.checksum);
if (wrong.length > 0) await fail(`Not as it was backed up: ${wrong.join(', ')}.`);
say(`Restored ${Object.values(now).reduce((sum, table) => sum + table.rows, 0)} rows of ${Object.keys(now).length} tables; each is as it was backed up.`);
await database.stop();
