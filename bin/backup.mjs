#!/usr/bin/env node
// Writes the whole database to one file, with a check file beside it: `npm run backup [-- folder] [--keep 14]`.
// The program may be running; who writes waits for the second or two it takes.
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { keepNewest, makeBackup } from './lib/backup.mjs';
import { dataFolderFrom } from './lib/dataFolder.mjs';
import { holdData } from './lib/lock.mjs';
import { runningMariadb, startMariadb } from './lib/mariadb.mjs';
import { giveUp, say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const args = process.argv.slice(2);
const keepAt = args.indexOf('--keep');
const [, keepWord] = keepAt === -1 ? [] : args.splice(keepAt, 2);
if (keepAt !== -1 && !/^[1-9]\d{0,4}$/.test(keepWord ?? ''))
  giveUp('--keep takes how many backups stay, like --keep 14. Nothing was backed up.');
const given = args.find((argument) => !argument.startsWith('--'));

/** The database to read: the one that is named, the one that runs, or a private one started for this and ended again. */
async function database() {
  if (process.env.DATABASE_URL)
    return { url: process.env.DATABASE_URL, folder: resolve(given ?? join(root, '.data', 'backups')), stop: async () => {} };
  const dataFolder = dataFolderFrom(root);
  const folder = resolve(given ?? join(dataFolder, 'backups'));
  const running = runningMariadb(dataFolder);
  if (running) return { url: running, folder, stop: async () => {} };
  holdData(join(dataFolder, 'lock'), 'npm run backup');
  return { ...(await startMariadb(dataFolder, { quiet: true })), folder };
}

const { url, folder, stop } = await database();
try {
  const made = await makeBackup(url, folder);
  if (!made) {
    await stop();
    giveUp('There is nothing to back up: the database has no tables yet.');
  }
  say(`Backed up ${made.rows} rows of ${made.tables} tables, ${made.megabytes.toFixed(1)} MB: ${made.file}`);
  const gone = keepWord ? keepNewest(folder, Number(keepWord)) : 0;
  if (gone > 0) say(`${gone} older ${gone === 1 ? 'backup was' : 'backups were'} dropped; the newest ${keepWord} stay.`);
} catch (error) {
  await stop();
  giveUp(`The backup was not made: ${error.message}`);
}
await stop();
