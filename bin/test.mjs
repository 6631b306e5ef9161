#!/usr/bin/env node
// Everything the change must pass: format, types, lint, unit and server tests on a throwaway database, and the real
// interface in a real browser. Ends with one plain line of totals.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureWebBuild } from './lib/build.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensureDebianPackage, ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const screenshots = process.argv.includes('--screenshots');
ensurePackages(root);
const chromium = ensureDebianPackage('chromium', 'chromium');
const work = mkdtempSync(join(tmpdir(), 'pace-bend-test-'));
const bin = (...parts) => join(root, 'node_modules', ...parts);
const totals = { passed: 0, failed: 0 };

function step(name, command, args, env = {}) {
  say(`\n— ${name}`);
  return spawnSync(command, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } }).status === 0;
}

function check(name, command, args) {
  if (step(name, command, args)) return;
  totals.failed += 1;
  say(`${name} failed.`);
}

/** Runs one set of Jest's tests and adds what came out to the totals. */
function jest(name, nodeOptions, options, env = {}) {
  const report = join(work, `${name}.json`);
  step(name, process.execPath, [...nodeOptions, bin('jest', 'bin', 'jest.js'), ...options, '--json', `--outputFile=${report}`], env);
  if (!existsSync(report)) return void (totals.failed += 1);
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
  totals.passed += numPassedTests;
  totals.failed += numFailedTests + numRuntimeErrorTestSuites;
}

function playwright() {
  const report = join(work, 'playwright.json');
  ensureWebBuild(root);
  step(
    'Browser tests',
    process.execPath,
    [
      bin('@playwright', 'test', 'cli.js'),
      'test',
      '--config=e2e/playwright.config.ts',
      `--project=${screenshots ? 'screenshots' : 'application'}`,
    ],
    {
      PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      CHROMIUM: chromium,
    },
  );
  if (!existsSync(report)) return void (totals.failed += 1);
  const { stats, errors } = JSON.parse(readFileSync(report, 'utf8'));
  totals.passed += stats.expected;
  totals.failed +=
    stats.unexpected + stats.flaky + (stats.expected + stats.unexpected + stats.flaky === 0 ? Math.max(1, errors.length) : 0);
}

const database = screenshots ? null : await startMariadb(join(work, 'data'), { quiet: true, fast: true });
try {
  if (database) {
    check('Format', process.execPath, [bin('prettier', 'bin', 'prettier.cjs'), '--check', '--log-level=warn', '.']);
    check('Types of the core', process.execPath, [bin('typescript', 'bin', 'tsc'), '-p', 'core/tsconfig.json']);
    check('Types of the server and tests', process.execPath, [bin('typescript', 'bin', 'tsc'), '-p', 'tsconfig.json']);
    check('Types of the interface', process.execPath, [bin('vue-tsc', 'bin', 'vue-tsc.js'), '-p', 'web/tsconfig.json']);
    check('Lint', process.execPath, [bin('eslint', 'bin', 'eslint.js'), '.', '--max-warnings', '0']);
    jest('Unit and server tests', ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'], [], {
      TEST_DATABASE_URL: database.url,
    });
    jest('Mounted components', [], ['--config=jest.components.config.js']);
  }
  playwright();
} finally {
  await database?.stop();
  rmSync(work, { recursive: true, force: true });
}
say('');
say(`${totals.passed} passed, ${totals.failed} failed`);
process.exit(totals.failed > 0 ? 1 : 0);
