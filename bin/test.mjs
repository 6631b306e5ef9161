#!/usr/bin/env node
// Everything the change must pass: format, types, lint, unit and server tests on a throwaway database, and the real
// interface in a real browser. Ends with one plain line of totals.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureWebBuild } from './lib/build.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensureBrowser } from './lib/browser.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const screenshots = process.argv.includes('--screenshots');
ensurePackages(root);
const chromium = ensureBrowser();
const work = mkdtempSync(join(tmpdir(), 'pace-bend-test-'));
const bin = (...parts) => join(root, 'node_modules', ...parts);
const totals = { passed: 0, failed: 0 };

function step(name, command, args, env = {}) {
  say(`\n— ${name}`);
  return spawnSync(command, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } }).status === 0;
}

/** Looks at the source without running it. Each says what it found when it is done: two look at a time. */
async function check(name, tool, ...args) {
  const found = [];
  const child = spawn(process.execPath, [bin(...tool), ...args], { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (bytes) => found.push(bytes));
  const code = await new Promise((resolve) => {
    child.on('close', resolve);
    child.on('error', (error) => {
      found.push(Buffer.from(String(error)));
      resolve(1);
    });
  });
  say(`\n— ${name}`);
  process.stdout.write(Buffer.concat(found));
  if (code === 0) return;
  totals.failed += 1;
  say(`${name} failed.`);
}

async function checks() {
  const types = async () => {
    await check('Format', ['prettier', 'bin', 'prettier.cjs'], '--check', '--log-level=warn', '.');
    await check('Types of the core', ['typescript', 'bin', 'tsc'], '-p', 'core/tsconfig.json');
    await check('Types of the server and tests', ['typescript', 'bin', 'tsc'], '-p', 'tsconfig.json');
    await check('Types of the interface', ['vue-tsc', 'bin', 'vue-tsc.js'], '-p', 'web/tsconfig.json');
  };
  await Promise.all([types(), check('Lint', ['eslint', 'bin', 'eslint.js'], '.', '--max-warnings', '0')]);
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
      `--project=${screenshots ? 'screenshots' : 'real-time'}`,
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
    await checks();
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
