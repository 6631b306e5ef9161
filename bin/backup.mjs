#!/usr/bin/env node
// Writes the whole database to one file, with a check file beside it: `npm run backup [-- folder] [--keep 14] [--days 30]`.
// The program may be running; who writes waits for the second or two it takes.
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { keepDays, keepNewest, makeBackup } from './lib/backup.mjs';
import { dataFolderFrom } from './lib/dataFolder.mjs';
import { holdData } from './lib/lock.mjs';
import { runningMariadb, startMariadb } from './lib/mariadb.mjs';
import { giveUp, say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const args = process.argv.slice(2);
/** The number after a word, taken out of the arguments. */
function numberAfter(word, what) {
  const at = args.indexOf(word);
  if (at === -1) return null;
  const [, number] = args.splice(at, 2);
  if (!/^[1-9]\d{0,4}$/.test(number ?? '')) giveUp(`${word} takes ${what}. Nothing was backed up.`);
  return Number(number);
}
const keep = numberAfter('--keep', 'how many backups stay, like --keep 14');
const days = numberAfter('--days', 'for how many days a backup stays, like --days 30');
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
  const gone = keep === null ? 0 : keepNewest(url, folder, keep);
  if (gone > 0) say(`${gone} older ${gone === 1 ? 'backup was' : 'backups were'} dropped; the newest ${keep} stay.`);
  const old = days === null ? 0 : keepDays(url, folder, days);
  if (old > 0) say(`${old} ${old === 1 ? 'backup was' : 'backups were'} dropped: ${days} days old or older.`);
  const until = days === null ? null : new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  say(
    until === null
      ? 'Whoever is erased from now on stands in this backup until it is dropped; --days says for how long one stays.'
      : `Whoever is erased from now on stands in this backup until ${until}: it goes with the first backup that is made from that day on.`,
  );
} catch (error) {
  await stop();
  giveUp(`The backup was not made: ${error.message}`);
}
await stop();
