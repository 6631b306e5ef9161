import { createHash } from 'node:crypto';
import { spawn } from 'node:child_process';
import { createReadStream, createWriteStream, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { writeWhole } from './databaseFiles.mjs';
import { attempt, connection, heldStill, program, tablesOf } from './sqlClient.mjs';

const NAME = /^pace-bend-\d{8}-\d{6}(-\d+)?\.sql$/;

/** One consistent dump. Triggers are the program's own and are made again from its migrations, so none is kept. */
async function dump(url, unfinished) {
  const { args, env, database: schema } = connection(url);
  const child = spawn(
    program('mariadb-dump'),
    [
      ...args,
      '--single-transaction',
      '--skip-lock-tables',
      '--skip-triggers',
      '--hex-blob',
      '--skip-dump-date',
      '--no-tablespaces',
      schema,
    ],
    { env, stdio: ['ignore', 'pipe', 'pipe'] },
  );
  let complaint = '';
  child.stderr.on('data', (chunk) => {
    complaint += chunk;
  });
  const ended = new Promise((settle) => child.once('exit', settle));
  await pipeline(child.stdout, createWriteStream(unfinished, { mode: 0o600, flush: true }));
  if ((await ended) !== 0) throw new Error(complaint.trim());
}

function freeName(folder) {
  const stem = `pace-bend-${new Date().toISOString().slice(0, 19).replace(/[-:]/g, '').replace('T', '-')}`;
  const taken = new Set(readdirSync(folder));
  for (let i = 1; ; i++) {
    const name = i === 1 ? stem : `${stem}-${i}`;
    if (!taken.has(`${name}.sql`) && !taken.has(`${name}.check.json`)) return name;
  }
}

/**
 * Writes the whole database to a `.sql` file with a check file beside it; who writes meanwhile waits. The `.sql` gets its
 * name last, so that a backup that can be seen is a whole one. Returns null when there are no tables yet.
 */
export async function makeBackup(url, folder) {
  const tables = tablesOf(url);
  if (tables.length === 0) return null;
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = freeName(folder);
  const file = join(folder, `${name}.sql`);
  const unfinished = `${file}.unfinished`;
  try {
    const fingerprint = await heldStill(url, tables, () => dump(url, unfinished));
    const hash = createHash('sha256');
    await pipeline(createReadStream(unfinished), hash);
    writeWhole(
      join(folder, `${name}.check.json`),
      `${JSON.stringify({ format: 'pace-bend backup', version: 1, file: `${name}.sql`, sha256: hash.digest('hex'), tables: fingerprint }, null, 2)}\n`,
    );
    renameSync(unfinished, file);
    note(url, name);
    return {
      file,
      rows: Object.values(fingerprint).reduce((sum, table) => sum + table.rows, 0),
      tables: tables.length,
      megabytes: statSync(file).size / 1024 / 1024,
    };
  } catch (error) {
    rmSync(unfinished, { force: true });
    throw error;
  }
}

/** Notes in the database which backups there are, so that the program can say where somebody erased still stands. A database of an older layout has no place for it. */
function note(url, name) {
  attempt(url, `INSERT IGNORE INTO backup_made (name, made_at) VALUES ('${name}', UTC_TIMESTAMP(3));`);
}

function noteDropped(url, names) {
  if (names.length > 0)
    attempt(url, `UPDATE backup_made SET dropped_at = UTC_TIMESTAMP(3) WHERE name IN (${names.map((name) => `'${name}'`).join(', ')});`);
}

const backupsIn = (folder) =>
  readdirSync(folder)
    .filter((name) => NAME.test(name))
    .sort();

function drop(folder, names) {
  for (const name of names) {
    rmSync(join(folder, name), { force: true });
    rmSync(join(folder, name.replace(/\.sql$/, '.check.json')), { force: true });
  }
  return names.map((name) => name.replace(/\.sql$/, ''));
}

/** The day a backup was made, in UTC, by its name: pace-bend-20261129-101500. */
const madeOn = (name) => Date.parse(name.replace(/^pace-bend-(\d{4})(\d{2})(\d{2}).*$/, '$1-$2-$3T00:00:00Z'));
const DAY_MS = 86_400_000;

/**
 * Drops the backups of a folder that are `days` days old or older, never the newest one, and notes of those that stay on which day they go. Returns
 * how many went.
 */
export function keepDays(url, folder, days) {
  const all = backupsIn(folder);
  const oldest = Date.parse(new Date().toISOString().slice(0, 10)) - days * DAY_MS;
  const gone = drop(
    folder,
    all.slice(0, -1).filter((name) => madeOn(name) <= oldest),
  );
  noteDropped(url, gone);
  const stay = backupsIn(folder).map((name) => name.replace(/\.sql$/, ''));
  if (stay.length > 0)
    attempt(
      url,
      `UPDATE backup_made SET goes_on = DATE_ADD(DATE(made_at), INTERVAL ${days} DAY) WHERE name IN (${stay.map((name) => `'${name}'`).join(', ')});`,
    );
  return gone.length;
}

/** Drops the oldest backups of a folder until `keep` are left; touches nothing that is not named like one. Returns how many went. */
export function keepNewest(url, folder, keep) {
  const gone = drop(folder, backupsIn(folder).reverse().slice(keep));
  noteDropped(url, gone);
  return gone.length;
}
