import { accessSync, constants, existsSync, mkdirSync, realpathSync, statfsSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { giveUp } from './say.mjs';

const REASONS = {
  EACCES: 'this user may not write there',
  EPERM: 'this user may not write there',
  EROFS: 'it is read-only',
  ENOTDIR: 'a part of the path is a file, not a folder',
  EEXIST: 'it is a file, not a folder',
  ENOSPC: 'the disk is full',
  ENAMETOOLONG: 'the name is too long',
  ELOOP: 'it is a link that leads to itself',
  ENOENT: 'it cannot be made',
};

/** In words why a folder or file could not be used. */
export const reasonOf = (error) => REASONS[error.code] ?? error.message;

/** Makes a folder and those above it. Node's own way of doing so tries for ever where a system makes no folders at all. */
function makeFolders(path) {
  if (existsSync(path)) return;
  makeFolders(dirname(path));
  mkdirSync(path, { mode: 0o700 });
}

/** The data folder, made where it is missing, with every link resolved; ends the program with one line when it cannot be used. */
export function dataFolderFrom(root) {
  const named = resolve(root, process.env.PACE_BEND_DATA || '.data');
  try {
    makeFolders(named);
    if (!statSync(named).isDirectory()) throw Object.assign(new Error('no folder'), { code: 'EEXIST' });
    accessSync(named, constants.R_OK | constants.W_OK | constants.X_OK);
    return realpathSync(named);
  } catch (error) {
    return giveUp(`The data folder ${named} cannot be used: ${reasonOf(error)}. Name another one with PACE_BEND_DATA.`);
  }
}

/** Free megabytes on the disk of a folder. */
export function freeMegabytes(folder) {
  const { bavail, bsize } = statfsSync(folder);
  return Math.floor((Number(bavail) * Number(bsize)) / 1024 / 1024);
}
