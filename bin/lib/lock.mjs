import { spawnSync } from 'node:child_process';
import { closeSync, ftruncateSync, openSync, readFileSync, writeSync } from 'node:fs';
import { findProgram } from './packages.mjs';
import { giveUp } from './say.mjs';

/**
 * A lock that the living process holds. Node cannot lock a file, but a lock belongs to the open file and not to who
 * asked for it: `flock` locks the file that this process has open and ends, and the lock stays with this process. The
 * system takes it back however the process ends, so that a file left behind locks nothing.
 */
function lockFile(path, { wait = false } = {}) {
  const program = findProgram('flock');
  if (!program) giveUp('The program flock is missing; it is part of Debian’s util-linux.');
  const file = openSync(path, 'a+', 0o600);
  if (spawnSync(program, [wait ? '-x' : '-xn', '3'], { stdio: ['ignore', 'ignore', 'ignore', file] }).status === 0) return file;
  closeSync(file);
  return null;
}

function readHolder(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
}

/** Who the lock of a data folder says holds it, as words. */
function holderWords(holder) {
  if (!holder) return 'another process';
  const port = holder.port ? `, port ${holder.port}` : '';
  return `${holder.what}, process ${holder.pid}${port}, since ${holder.since}`;
}

/**
 * Takes the data folder for this process, or ends the program and says who has it. Returns a function that gives it back.
 * `what` is the command, for whoever is refused; nothing in the folder is touched before the lock is held.
 */
export function holdData(path, what, port = null) {
  const file = lockFile(path);
  if (file === null)
    giveUp(
      `This data is in use by ${holderWords(readHolder(path))}. Nothing was touched. Stop that one first, or name other data with PACE_BEND_DATA.`,
    );
  ftruncateSync(file);
  writeSync(
    file,
    `${JSON.stringify({ what, pid: process.pid, port, since: new Date().toISOString().slice(0, 19).replace('T', ' ') + ' UTC' })}\n`,
  );
  return () => {
    ftruncateSync(file);
    closeSync(file);
  };
}

/** Does something that two starts from one checkout must not do at once; the second waits. */
export function oneAtATime(path, work) {
  let file = null;
  try {
    file = lockFile(path, { wait: true });
  } catch (error) {
    // A checkout that belongs to somebody else is set up already, and nobody here could change it.
    if (!['EACCES', 'EROFS', 'EPERM'].includes(error.code)) throw error;
  }
  try {
    return work();
  } finally {
    if (file !== null) closeSync(file);
  }
}
