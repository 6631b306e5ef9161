import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { makeBackup } from './backup.mjs';
import { giveUp, say } from './say.mjs';
import { query, tablesOf } from './sqlClient.mjs';
import { WITH_TYPES } from './withTypes.mjs';

/** Names of the migrations this program has and the database has not, when the database holds a practice already. */
function pendingOnData(root, url) {
  const tables = tablesOf(url);
  if (!tables.includes('migration') || !tables.includes('practice') || Number(query(url, 'SELECT COUNT(*) FROM practice;')[0][0]) === 0)
    return [];
  const applied = new Set(query(url, 'SELECT name FROM migration;').map(([name]) => name));
  return readdirSync(join(root, 'server', 'src', 'db', 'migrations')).filter((name) => name.endsWith('.sql') && !applied.has(name));
}

/** Before the tables of a database that holds something are changed, a backup of it is made and named. */
export async function backUpBeforeUpgrade(root, url, folder) {
  const pending = pendingOnData(root, url);
  if (pending.length === 0) return;
  try {
    const made = await makeBackup(url, folder);
    say(
      `This version changes the database (${pending.length} ${pending.length === 1 ? 'step' : 'steps'}). What it held is backed up: ${made.file}`,
    );
  } catch (error) {
    giveUp(
      `The database has to be changed for this version, and the backup before that was not made: ${error.message} Nothing was changed.`,
    );
  }
}

/** Brings a schema to what this program needs, triggers included; ends the program when that fails. */
export function upgrade(root, url) {
  const { status, stderr } = spawnSync(process.execPath, [...WITH_TYPES, join('server', 'src', 'db', 'upgrade.ts')], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: url, NODE_OPTIONS: '' },
  });
  if (status !== 0) giveUp(stderr.trim() || 'The tables could not be brought up to date.');
}
