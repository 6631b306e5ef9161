import { spawnSync } from 'node:child_process';
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmdirSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freeMegabytes } from './dataFolder.mjs';
import { findProgram } from './packages.mjs';
import { giveUp, say } from './say.mjs';

/** Without one of these a folder is no database that a server could open with everything that was in it. */
const PARTS = ['mysql', 'ibdata1', 'ib_logfile0', 'aria_log_control'];
const UNFINISHED = /^mariadb\.new-/;
/** A new database and its first data take about 150 MB. */
const NEEDED_MB = 300;

export const schemaName = 'pace_bend';
const markFile = (dataFolder) => join(dataFolder, 'database.json');
export const databaseFolder = (dataFolder) => join(dataFolder, 'mariadb');

function markOf(dataFolder) {
  try {
    return JSON.parse(readFileSync(markFile(dataFolder), 'utf8'));
  } catch {
    return null;
  }
}

/** Writes a small file so that it is there whole or not at all, whatever happens meanwhile. */
export function writeWhole(file, text) {
  const unfinished = `${file}.unfinished`;
  writeFileSync(unfinished, text, { mode: 0o600, flush: true });
  renameSync(unfinished, file);
}

/** Remembers that this folder holds a database, and once it does, that it has its data: from then on neither may be missing. */
export function markDatabase(dataFolder, { filled = false } = {}) {
  const mark = markOf(dataFolder) ?? { format: 'pace-bend database', madeAt: new Date().toISOString(), filled: false };
  if (filled || !existsSync(markFile(dataFolder)))
    writeWhole(markFile(dataFolder), `${JSON.stringify({ ...mark, filled: mark.filled || filled })}\n`);
}

function syncFolder(folder) {
  const handle = openSync(folder, 'r');
  fsyncSync(handle);
  closeSync(handle);
}

/** Does something with a path to a folder that has no blanks or signs in it: MariaDB's set-up is a shell script that does not take them. */
function withPlainPath(folder, work) {
  if (/^[\w./+-]+$/.test(folder)) return work(folder);
  const place = mkdtempSync(join(tmpdir(), 'pace-bend-'));
  const plain = join(place, 'data');
  symlinkSync(folder, plain);
  try {
    return work(plain);
  } finally {
    rmSync(plain);
    rmdirSync(place);
  }
}

const listed = (names) =>
  names.length === 0 ? 'nothing' : `${names.slice(0, 8).join(', ')}${names.length > 8 ? ` and ${names.length - 8} more` : ''}`;
const HELP =
  'Put back what is missing from where it was copied, or move the folder away and restore a backup: npm run restore -- path/to/file.sql';

/**
 * Whether there is a database to open; false where one has to be made. Ends the program where a folder holds something but is no whole
 * database, with what was found, and where a database was and is no more. Changes nothing.
 */
export function hasDatabaseFiles(dataFolder) {
  const files = databaseFolder(dataFolder);
  const found = existsSync(files) ? readdirSync(files).sort() : [];
  const mark = markOf(dataFolder);
  if (found.length > 0) {
    const missing = [...PARTS, ...(mark?.filled ? [schemaName] : [])].filter((part) => !found.includes(part));
    if (missing.length > 0)
      giveUp(
        `${files} holds something but is not a whole database: ${missing.join(', ')} missing; found ${listed(found)}. Nothing was changed. ${HELP}`,
      );
    return true;
  }
  if (mark)
    giveUp(
      `The database that was made here on ${mark.madeAt.slice(0, 10)} is gone: ${files} is ${existsSync(files) ? 'empty' : 'missing'}. Nothing was changed. ${HELP} (To begin anew instead, delete ${markFile(dataFolder)}.)`,
    );
  return false;
}

/**
 * Makes sure that there is a database to open, and deletes nothing of anybody's. A new one is made in a folder beside its place and
 * moved there when it is complete, so that a start that is killed leaves either none or a whole one.
 */
export function ensureDatabaseFiles(dataFolder, { quiet, env, user }) {
  const files = databaseFolder(dataFolder);
  for (const name of readdirSync(dataFolder)) if (UNFINISHED.test(name)) rmSync(join(dataFolder, name), { recursive: true, force: true });
  if (hasDatabaseFiles(dataFolder)) return markDatabase(dataFolder);
  const free = freeMegabytes(dataFolder);
  if (free < NEEDED_MB)
    giveUp(
      `The disk of ${dataFolder} has ${free} MB free; a new database needs ${NEEDED_MB} MB. Make room, or name another place with PACE_BEND_DATA.`,
    );
  if (!quiet) say('Creating the database directory …');
  const name = `mariadb.new-${process.pid}`;
  const fresh = join(dataFolder, name);
  const made = withPlainPath(dataFolder, (plain) =>
    spawnSync(
      findProgram('mariadb-install-db'),
      ['--no-defaults', `--datadir=${join(plain, name)}`, '--auth-root-authentication-method=socket', '--skip-test-db', ...user],
      { encoding: 'utf8', env },
    ),
  );
  if (made.status !== 0) giveUp('The database directory could not be created:', made.stderr || made.stdout);
  if (existsSync(files)) rmdirSync(files);
  renameSync(fresh, files);
  syncFolder(dataFolder);
  markDatabase(dataFolder);
}
