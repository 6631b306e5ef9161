#!/usr/bin/env node
// Whether forecasts hold what they say, on made-up athletes whose truth is known: `npm run calibrate [-- athletes]`.
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensurePackages } from './lib/packages.mjs';
import { WITH_TYPES } from './lib/withTypes.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
ensurePackages(root);
const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/calibrate.ts', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
process.exit(run.status ?? 1);
