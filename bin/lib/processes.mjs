import { readdirSync, readFileSync, realpathSync } from 'node:fs';
import { giveUp } from './say.mjs';

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

function argumentsOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
  } catch {
    return [];
  }
}

function real(path) {
  try {
    return realpathSync(path);
  } catch {
    return path;
  }
}

/** Every process that was started on a database folder, or on one being made beside it. */
export function processesOn(files) {
  const found = [];
  for (const name of readdirSync('/proc')) {
    if (!/^\d+$/.test(name) || Number(name) === process.pid) continue;
    const args = argumentsOf(name);
    const folder = args.find((arg) => arg.startsWith('--datadir='))?.slice('--datadir='.length);
    if (folder === undefined) continue;
    const unfinished = folder.startsWith(`${files}.new-`) || real(folder).startsWith(`${files}.new-`);
    if (unfinished || folder === files || real(folder) === files)
      found.push({ pid: Number(name), unfinished, port: /^--port=(\d+)$/m.exec(args.join('\n'))?.[1] ?? null });
  }
  return found;
}

function signal(pid, name) {
  try {
    process.kill(pid, name);
  } catch (error) {
    if (error.code === 'EPERM') giveUp(`Process ${pid} of another user holds this database. End it first; nothing was touched.`);
  }
}

const isAlive = (pid) => argumentsOf(pid).some(Boolean);

/**
 * Ends exactly the database processes that a killed start left on a folder: the server is asked and given time to write what it has;
 * who was only making a new database is ended at once. Only whoever holds the folder's lock calls this.
 */
export async function endLeftovers(files) {
  const left = processesOn(files);
  for (const { pid, unfinished } of left) signal(pid, unfinished ? 'SIGKILL' : 'SIGTERM');
  for (const { pid } of left) {
    for (let i = 0; i < 1200 && isAlive(pid); i++) await pause(50);
    if (isAlive(pid)) signal(pid, 'SIGKILL');
    while (isAlive(pid)) await pause(50);
  }
}
