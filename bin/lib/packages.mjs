import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { giveUp, say } from './say.mjs';

/** Installs the npm packages when they are missing or the lock file has changed since. */
export function ensurePackages(root) {
  const marker = join(root, 'node_modules', '.pace-bend-lock');
  const lock = createHash('sha256').update(readFileSync(join(root, 'package-lock.json'))).digest('hex');
  if (existsSync(marker) && readFileSync(marker, 'utf8') === lock) return;
  say('Installing npm packages …');
  const result = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });
  if (result.status !== 0) giveUp('npm could not install the packages. Check the network to the package registry and run the command again.');
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

/** Makes sure that a program of a Debian package is there; installs the package when it is not and when that is allowed. */
export function ensureDebianPackage(packageName, ...programs) {
  const found = findProgram(...programs);
  if (found) return found;
  const isRoot = process.getuid?.() === 0;
  const sudo = isRoot ? [] : ['sudo', '-n'];
  if (!isRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status !== 0) {
    giveUp(`${packageName} is missing and may not be installed from here. Run this once, then start again:`, `  sudo apt-get update && sudo apt-get install -y --no-install-recommends ${packageName}`);
  }
  say(`Installing ${packageName} …`);
  const run = (...args) => spawnSync([...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get'][0], [...[...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get'].slice(1), ...args], { stdio: ['ignore', 'ignore', 'inherit'] });
  // What a start that was killed left half done is finished first; another installation that runs is waited for.
  const patient = ['-o', 'DPkg::Lock::Timeout=120'];
  spawnSync([...sudo, 'dpkg'][0], [...[...sudo, 'dpkg'].slice(1), '--configure', '-a'], { stdio: 'ignore', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  run(...patient, 'update', '-qq');
  run(...patient, 'install', '-y', '-qq', '--no-install-recommends', packageName);
  const installed = findProgram(...programs);
  if (!installed) giveUp(`${packageName} could not be installed. Run this, then start again:`, `  apt-get update && apt-get install -y --no-install-recommends ${packageName}`);
  return installed;
}
