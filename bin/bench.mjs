#!/usr/bin/env node
// Performance figures, measured side by side in one run: `npm run bench [-- --only stalls]`.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureWebBuild } from './lib/build.mjs';
import { startDevices } from './lib/devices.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { freePort } from './lib/ports.mjs';
import { ensureBrowser } from './lib/browser.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';
import { startServer } from './lib/server.mjs';
import { WITH_TYPES } from './lib/withTypes.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
ensurePackages(root);
const executablePath = ensureBrowser();
ensureWebBuild(root);
const { chromium } = await import('@playwright/test');
const { cueClock, describe } = await import('../bench/cueClock.mjs');
const { firstView } = await import('../bench/firstView.mjs');
const { squadStrip } = await import('../bench/squadStrip.mjs');
const { weekGrid } = await import('../bench/weekGrid.mjs');
const { shelfScripting } = await import('../bench/shelf.mjs');
const { longTasks } = await import('../bench/longTasks.mjs');
const { sampleLatency } = await import('../bench/latency.mjs');
const browser = await chromium.launch({
  executablePath,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
});
const ms = (value) => `${value.toFixed(2).padStart(9)} ms`;

/** Lists and files with 2,000 athletes and 200,000 readings, beside their bare SQL. */
async function load() {
  const work = mkdtempSync(join(tmpdir(), 'pace-bend-bench-'));
  const database = await startMariadb(work, { quiet: true });
  const run = spawnSync(process.execPath, ['--expose-gc', ...WITH_TYPES, 'bench/load.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: database.url },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await database.stop();
  rmSync(work, { recursive: true, force: true });
  if (run.status !== 0) throw new Error('The load benchmark failed.');
  say('\n2,000 athletes, 20,000 visits, 200,000 readings: median time of a request, and of the same queries without the server');
  say('                              request      bare SQL     ratio');
  const { found, table, practice } = JSON.parse(run.stdout);
  for (const row of found)
    say(`  ${row.name.padEnd(24)} ${ms(row.server)} ${ms(row.bare)} ${(row.server / row.bare).toFixed(1).padStart(7)} ×`);
  say('\nOf everybody, sent as it is read, and all readings by one query into memory');
  for (const [name, of] of [
    [`readings, ${table.lines} lines of CSV`, table],
    ['the whole practice as JSON', practice],
  ])
    say(
      `  ${name.padEnd(34)} ${ms(of.ms)} ${ms(of.bareMs)} ${(of.ms / of.bareMs).toFixed(1).padStart(7)} ×   ${of.sentMb.toFixed(0)} MB sent, ${of.heapMb.toFixed(0)} MB more of memory at the most`,
    );
}

/** The heaviest requests that are let in, with health asked alongside: nobody else may wait longer than that. */
const LONGEST_STALL_MS = 200;

async function stalls() {
  const work = mkdtempSync(join(tmpdir(), 'pace-bend-bench-'));
  const database = await startMariadb(work, { quiet: true });
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/stalls.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: database.url, PORT: String(await freePort()) },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await database.stop();
  rmSync(work, { recursive: true, force: true });
  if (run.status !== 0) throw new Error('The stalls benchmark failed.');
  const { idle, results } = JSON.parse(run.stdout);
  say(`\nThe heaviest requests, three times each, and the longest that /api/health waited meanwhile (idle ${idle.toFixed(1)} ms)`);
  for (const row of results)
    say(
      `  ${row.name.padEnd(34)} ${String(row.sentKb).padStart(5)} kB → ${row.status}, ${String(row.answerKb).padStart(4)} kB back in ${ms(row.requestMs)}; health ${ms(row.worstMs)}  ${(row.worstMs / idle).toFixed(1).padStart(5)} × idle${row.worstMs > LONGEST_STALL_MS ? '  TOO LONG' : ''}`,
    );
}

/** Readings into trends, beside plain means of the same groups. */
function fold() {
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/fold.ts'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (run.status !== 0) throw new Error('The fold benchmark failed.');
  const { readings, groups, foldMs, meansMs } = JSON.parse(run.stdout);
  say(
    `\n${readings} readings into ${groups} smoothed trends ${ms(foldMs)}; plain means of the same groups ${ms(meansMs)}; ratio ${(foldMs / meansMs).toFixed(1)} ×`,
  );
}

/** The planner beside an exact general solver on the same sessions, and how its time grows with candidates and minutes. */
function planner() {
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/planner.ts'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (run.status !== 0) throw new Error('The planner benchmark failed.');
  const { against, growth, whole } = JSON.parse(run.stdout);
  say('\nA plan, exactly: median of 25 sessions, beside HiGHS on the same sessions, both warm');
  for (const row of against)
    say(
      `  ${row.name.padEnd(26)} ${ms(row.own)}  general solver ${ms(row.general)}  ${(row.general / row.own).toFixed(0).padStart(6)} ×  (${row.infeasible} of ${row.sessions} have no plan)`,
    );
  say('How the time grows, eight places, steps of 5 s, 40 sessions each');
  for (const row of growth)
    say(`  ${String(row.candidates).padStart(2)} candidates, ${row.minutes} min  median ${ms(row.median)}  p95 ${ms(row.p95)}`);
  say('Whole proposals, everything weighed, to the second, 40 each');
  for (const row of whole) say(`  ${row.motions} motions read, ${row.minutes} min  median ${ms(row.median)}  p95 ${ms(row.p95)}`);
}

/** The shelf opened in the browser: what its pictures cost. */
async function shelf() {
  const work = mkdtempSync(join(tmpdir(), 'pace-bend-bench-'));
  const database = await startMariadb(work, { quiet: true, fast: true });
  const port = await freePort();
  const server = startServer(root, { DATABASE_URL: database.url, PORT: String(port) });
  await server.ready;
  const { medianMs, firstMs, drawn, entries } = await shelfScripting(browser, `http://127.0.0.1:${port}/`);
  const held = await longTasks(browser, `http://127.0.0.1:${port}/`, root);
  await server.stop();
  await database.stop();
  rmSync(work, { recursive: true, force: true });
  say(
    `\nThe shelf opened: scripting ${ms(medianMs)}, the first time ${ms(firstMs)}; ${drawn} of ${entries} pictures were in view and drawn`,
  );
  say('\nThe longest task that held the page up (under 200 ms is promised)');
  for (const [what, longest] of Object.entries(held)) say(`  ${what.padEnd(34)} ${ms(longest)}`);
}

/** A sample of the gauge until it is on the screen, at most; what a hand feels as at once. */
const LATENCY_MOST_MS = 100;

async function latency() {
  const work = mkdtempSync(join(tmpdir(), 'pace-bend-bench-'));
  const database = await startMariadb(work, { quiet: true, fast: true });
  const devices = await startDevices(root);
  const port = await freePort();
  const server = startServer(root, { DATABASE_URL: database.url, PORT: String(port), DEVICES_URL: devices.url });
  await server.ready;
  const { ours, bare } = await sampleLatency(browser, `http://127.0.0.1:${port}/`, devices.url);
  await server.stop();
  await devices.stop();
  await database.stop();
  rmSync(work, { recursive: true, force: true });
  const [mine, plain] = [describe(ours), describe(bare)];
  say(`\nFrom a sample of the force gauge to the frame that shows it, beside a bare element, ${ours.length} and ${bare.length} frames`);
  say(
    `  p50 ${ms(mine.p50)} and ${ms(plain.p50)}, ${(mine.p50 / plain.p50).toFixed(1)} ×; p99 ${ms(mine.p99)} and ${ms(plain.p99)}, ${(mine.p99 / plain.p99).toFixed(1)} ×${mine.p50 > LATENCY_MOST_MS ? '  TOO LONG' : ''}`,
  );
}

/** Pictures of the body, at the four sizes they are drawn at. */
function figures() {
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/figures.ts'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (run.status !== 0) throw new Error('The figures benchmark failed.');
  say('\nA figure drawn, beside writing the finished drawing down as text, both warm');
  for (const row of JSON.parse(run.stdout))
    say(
      `  ${row.name.padEnd(20)} ${String(row.size).padStart(3)} px  median ${ms(row.drawMs)}  p95 ${ms(row.p95Ms)}  written ${ms(row.writeMs)}  ${(row.drawMs / row.writeMs).toFixed(1).padStart(5)} ×`,
    );
}

/** 200 athletes with 400 days of answers and training: the morning beside its bare SQL, and readiness by itself. */
async function season() {
  const work = mkdtempSync(join(tmpdir(), 'pace-bend-bench-'));
  const database = await startMariadb(work, { quiet: true });
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/season.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: database.url },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (run.status !== 0) throw new Error('The season benchmark failed.');
  const row = JSON.parse(run.stdout);
  const port = await freePort();
  const server = startServer(root, { DATABASE_URL: database.url, PORT: String(port), PACE_BEND_DEMO: 'off' });
  await server.ready;
  const grid = await weekGrid(browser, `http://127.0.0.1:${port}/`, row.password);
  await server.stop();
  await database.stop();
  rmSync(work, { recursive: true, force: true });
  say(`\n${row.athletes} athletes, ${row.days} days of check-ins and loads, both warm, in turn`);
  say(
    `  the morning, request ${ms(row.request)} (p95 ${ms(row.requestP95)})  its SQL, rows read ${ms(row.bare)}  ${(row.request / row.bare).toFixed(2)} ×`,
  );
  say(
    `  typing into a week of ${grid.rows} people: ${grid.cells} cells, ${ms(grid.medianMs)} each with its keys; longest task ${ms(grid.longestTaskMs)}`,
  );
  say(`  readiness of all of them in core ${ms(row.core)} (p95 ${ms(row.coreP95)})`);
}

/** How a motion answers over weeks: learned, for a whole squad, and walked forward beside a bare loop. */
function forecast() {
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/forecast.ts'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (run.status !== 0) throw new Error('The forecast benchmark failed.');
  const row = JSON.parse(run.stdout);
  say(`\nA forecast: one motion of one athlete learned from ${row.visits} visits ${ms(row.update)} (p95 ${ms(row.updateP95)})`);
  say(`  a squad’s ${row.series} motions and sides, pooled ${ms(row.squad)}`);
  say(
    `  ${row.paths} paths of ${row.weeks} weeks ${ms(row.walk)}, a bare loop over as many days ${ms(row.bare)}  ${(row.walk / row.bare).toFixed(2)} ×`,
  );
}

/** A therapist's week of thirty slots, filled beside an exact general solver. */
function week() {
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/week.ts'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (run.status !== 0) throw new Error('The week benchmark failed.');
  say('\nA week of thirty slots filled to the end, and by a general solver (HiGHS): median, longest');
  for (const row of JSON.parse(run.stdout))
    say(
      `  ${String(row.people).padStart(3)} people, ${row.apart} days apart ${ms(row.own)} ${ms(row.ownMost)}   general ${ms(row.other)} ${ms(row.otherMost)}  ${(row.own / row.other).toFixed(2)} ×`,
    );
}

/** A day of forty tasks at an event, planned and planned anew, beside an exact general solver. */
function eventDay() {
  const run = spawnSync(process.execPath, [...WITH_TYPES, 'bench/eventDay.ts'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (run.status !== 0) throw new Error('The event day benchmark failed.');
  say(
    '\nForty tasks of an event day, within a second: median, ninetieth of a hundred, how many proven; a general solver (HiGHS) to the end',
  );
  for (const row of JSON.parse(run.stdout))
    say(
      `  ${row.tables} tables in ${row.spread} min, ${row.name.padEnd(12)} ${ms(row.own)} ${ms(row.ninetieth)}   proven ${row.all}, to the promises ${row.promises}, to the weight ${row.weight} of ${row.days}   general ${ms(row.other)}  ${(row.own / row.other).toFixed(3)} ×`,
    );
}

const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : null;
const parts = { load, stalls, fold, planner, figures, latency, shelf, season, forecast, week, eventDay };
if (only !== null) {
  if (!parts[only]) say(`There is no part “${only}”: ${Object.keys(parts).join(', ')}.`);
  else await parts[only]();
  await browser.close();
  process.exit(parts[only] ? 0 : 1);
}
try {
  const work = mkdtempSync(join(tmpdir(), 'pace-bend-bench-'));
  const database = await startMariadb(work, { quiet: true, fast: true });
  const port = await freePort();
  const server = startServer(root, { DATABASE_URL: database.url, PORT: String(port) });
  await server.ready;
  const bytes = await firstView(browser, `http://127.0.0.1:${port}/`);
  await server.stop();
  await database.stop();
  rmSync(work, { recursive: true, force: true });
  await load();
  await stalls();
  fold();
  planner();
  figures();
  await shelf();
  await latency();
  await season();
  forecast();
  week();
  eventDay();
  const { strip, table } = await squadStrip(browser);
  say('\nSquad strip, 40 people × 24 motions, and the same figures in the component kit’s table');
  say('                scripting  to first paint  first time of all   elements');
  for (const [name, run] of [
    ['strip', strip],
    ['kit table', table],
  ])
    say(`  ${name.padEnd(10)} ${ms(run.scriptMs)}    ${ms(run.paintMs)}       ${ms(run.firstMs)} ${String(run.nodes).padStart(10)}`);
  say(
    `  strip / table ${(strip.scriptMs / table.scriptMs).toFixed(2).padStart(7)} ×    ${(strip.paintMs / table.paintMs).toFixed(2).padStart(7)} ×\n`,
  );
  say('First view (the day)');
  say(
    `  scripts ${bytes.script} B gzip, styles ${bytes.stylesheet} B gzip, fonts ${bytes.font} B; shown after ${Math.round(bytes.shownMs)} ms`,
  );

  say('\nCue error over a real line of about two minutes, twice: a quiet page, then one kept busy in bursts of 20–180 ms');
  const runs = await cueClock(browser);
  for (const [name, run] of Object.entries(runs)) {
    const [ours, countdown] = [describe(run.ours), describe(run.countdown)];
    say(`  ${name} page, ${run.seconds} s, ${run.ours.length} cues`);
    say('                          p50          p99          max         last');
    for (const [what, errors] of [
      ['alarm in a worker', ours],
      ['setInterval count', countdown],
    ])
      say(`    ${what} ${ms(errors.p50)} ${ms(errors.p99)} ${ms(errors.max)} ${ms(errors.last)}`);
    say(
      `    countdown / alarm  ${(countdown.p50 / ours.p50).toFixed(1).padStart(9)} ×  ${(countdown.p99 / ours.p99).toFixed(1).padStart(9)} ×  ${(countdown.max / ours.max).toFixed(1).padStart(9)} ×`,
    );
  }
} finally {
  await browser.close();
}
