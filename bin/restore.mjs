#!/usr/bin/env node
// Puts a backup into an empty database, every table checked before anything is replaced: `npm run restore -- file.sql [--replace]`.
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { makeBackup } from './lib/backup.mjs';
import { dataFolderFrom } from './lib/dataFolder.mjs';
import { markDatabase } from './lib/databaseFiles.mjs';
import { holdData } from './lib/lock.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { checkedBackup, restoreInto, writeErased } from './lib/restore.mjs';
import { giveUp, say } from './lib/say.mjs';
import { query, tablesOf } from './lib/sqlClient.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const [given] = process.argv.slice(2).filter((argument) => !argument.startsWith('--'));
if (!given) giveUp('Name the backup: npm run restore -- path/to/pace-bend-….sql');
const file = resolve(given);
const check = await checkedBackup(file);

ensurePackages(root);
const dataFolder = dataFolderFrom(root);
if (!process.env.DATABASE_URL) holdData(join(dataFolder, 'lock'), 'npm run restore');
const database = process.env.DATABASE_URL
  ? { url: process.env.DATABASE_URL, stop: async () => {} }
  : await startMariadb(dataFolder, { quiet: true });

const there = tablesOf(database.url);
const holdsRows = there.includes('practice') && Number(query(database.url, 'SELECT COUNT(*) FROM practice;')[0][0]) > 0;
if (there.length > 0 && !process.argv.includes('--replace')) {
  await database.stop();
  giveUp(`The database already holds ${there.length} tables. Restore into an empty one, or add --replace to put the backup in its place.`);
}
if (holdsRows) {
  const made = await makeBackup(database.url, join(dataFolder, 'backups'));
  say(`What stood there is backed up: ${made.file}`);
}
// Whoever was erased since the backup was made is not to be on file again because it is put back.
const erased = there.includes('erased') ? query(database.url, 'SELECT athlete_id, erased_by, copy FROM erased;') : [];
const restored = await restoreInto(root, database.url, file, check);
if (!process.env.DATABASE_URL) markDatabase(dataFolder, { filled: true });
say(
  `Restored ${Object.values(restored).reduce((sum, table) => sum + table.rows, 0)} rows of ${Object.keys(restored).length} tables; each is as it was backed up.`,
);
const back = writeErased(database.url, erased);
if (back > 0)
  say(
    `${back === 1 ? 'One record of it was' : `${back} records of it were`} erased since; the next start erases ${back === 1 ? 'it' : 'them'} again.`,
  );
await database.stop();
