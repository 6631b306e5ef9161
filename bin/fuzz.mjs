#!/usr/bin/env node
// Random and mutated requests at the whole server, as every role: `npm run fuzz [-- --requests 1000000] [--seed 2026]`.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { startMariadb } from './lib/mariadb.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { WITH_TYPES } from './lib/withTypes.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const option = (name, usual) => (process.argv.includes(name) ? process.argv[process.argv.indexOf(name) + 1] : usual);
ensurePackages(root);
const work = mkdtempSync(join(tmpdir(), 'pace-bend-fuzz-'));
const database = await startMariadb(work, { quiet: true, fast: true });
const { status } = spawnSync(process.execPath, ['--expose-gc', ...WITH_TYPES, 'faults/fuzz.ts'], {
  cwd: root,
  stdio: 'inherit',
  env: {
    ...process.env,
    TEST_DATABASE_URL: database.url,
    FUZZ_REQUESTS: option('--requests', '1000000'),
    FUZZ_SEED: option('--seed', '2026'),
  },
});
await database.stop();
rmSync(work, { recursive: true, force: true });
process.exit(status ?? 1);
