import { createHash } from 'node:crypto';
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { giveUp, say } from './say.mjs';

/** Installs the npm packages when they are missing or the lock file has changed since. */
export function ensurePackages(root) {
  const marker = join(root, 'node_modules', '.pace-bend-lock');
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(marker) && readFileSync(marker, 'utf8') === lock) return;
  say('Installing npm packages …');
  const result = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (result.status !== 0)
    giveUp('npm could not install the packages. Check the network to the package registry and run the command again.');
  writeFileSync(marker, lock);
}

/** Full path of a program, looking also where Debian puts servers. */
export function findProgram(...names) {
  const folders = [...(process.env.PATH ?? '').split(':'), '/usr/sbin', '/usr/local/sbin', '/usr/bin'];
  for (const name of names) {
    for (const folder of folders) if (folder && existsSync(join(folder, name))) return join(folder, name);
  }
  return null;
}

const howTo = (packageName) => `  sudo apt-get update && sudo apt-get install -y --no-install-recommends ${packageName}`;

const isRoot = () => process.getuid?.() === 0;

/** Whether this user may install packages without being asked for a password. */
export const mayInstall = () => isRoot() || spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;

/**
 * The shell command that installs a Debian package; ends the program when this user may not. What a start that was killed left
 * half done is finished first, and another installation that runs is waited for.
 */
export function installing(packageName) {
  if (!mayInstall())
    giveUp(`${packageName} is missing and may not be installed from here. Run this once, then start again:`, howTo(packageName));
  say(`Installing ${packageName} …`);
  const as = `${isRoot() ? '' : 'sudo -n '}env DEBIAN_FRONTEND=noninteractive`;
  const apt = `${as} apt-get -qq -o DPkg::Lock::Timeout=120`;
  return [
    'sh',
    ['-c', `${as} dpkg --configure -a; ${apt} update; ${apt} install -y --no-install-recommends ${packageName}`],
    { stdio: ['ignore', 'ignore', 'inherit'] },
  ];
}

function requireInstalled(packageName, programs) {
  const installed = findProgram(...programs);
  if (!installed) giveUp(`${packageName} could not be installed. Run this, then start again:`, howTo(packageName));
  return installed;
}

/** Makes sure that a program of a Debian package is there; installs the package when it is not and when that is allowed. */
export function ensureDebianPackage(packageName, ...programs) {
  const found = findProgram(...programs);
  if (found) return found;
  spawnSync(...installing(packageName));
  return requireInstalled(packageName, programs);
}

/** Begins to install a package that is missing while other things are done; returns what to wait for. */
export function beginDebianPackage(packageName, ...programs) {
  if (findProgram(...programs)) return async () => {};
  const child = spawn(...installing(packageName));
  const ended = new Promise((resolve) => child.once('exit', resolve).once('error', resolve));
  return async () => {
    await ended;
    requireInstalled(packageName, programs);
  };
}
