import { spawnSync } from 'node:child_process';
import { ensureDebianPackage, findProgram, installing, mayInstall } from './packages.mjs';

/**
 * Full path of Debian's headless Chromium. The headless shell is the same browser without the windows nobody looks at, and takes a third
 * less of the processor; where it cannot be had, the whole browser does.
 */
export function ensureBrowser() {
  const shell = 'chromium-headless-shell';
  if (!findProgram(shell) && mayInstall()) spawnSync(...installing(shell));
  return findProgram(shell) ?? ensureDebianPackage('chromium', 'chromium');
}
