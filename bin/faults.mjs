#!/usr/bin/env node
// Kills the program at moments drawn from a seed and counts what is lost: `npm run faults [-- kills|cluster|disk] [--seed 7] [--only running]`.
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureWebBuild } from './lib/build.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { giveUp, say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const args = process.argv.slice(2);
const option = (name, usual) => (args.includes(name) ? args[args.indexOf(name) + 1] : usual);
const seed = Number(option('--seed', '2026'));
const only = option('--only', null);
const [what = 'kills'] = args.filter((arg, i) => !arg.startsWith('--') && !args[i - 1]?.startsWith('--'));
ensurePackages(root);
ensureWebBuild(root);
// The core is TypeScript.
await import('./lib/typescript.mjs');
const { seeded: numbers } = await import('../core/src/random/index.ts');

async function kills() {
  const sweeps = await import('../faults/sweeps.mjs');
  const plan = [
    ['migration', sweeps.migration, 60],
    ['firstStart', sweeps.firstStart, 40],
    ['running', sweeps.running, 50],
    ['restore', sweeps.restore, 40],
    ['database', sweeps.database, 20],
  ];
  const total = { kills: 0, acknowledged: 0, lost: 0, doubled: 0 };
  for (const [name, sweep, usual] of plan) {
    if (only !== null && only !== name) continue;
    const began = Date.now();
    const result = await sweep(Number(option('--kills', String(usual))), numbers(seed), (so) => {
      if (so.kills % 10 === 0) say(`  ${name}: ${JSON.stringify(so)}`);
    });
    say(`${name}: ${JSON.stringify(result)} in ${Math.round((Date.now() - began) / 1000)} s`);
    for (const key of Object.keys(total)) total[key] += result[key];
  }
  say(`\n${total.kills} kills (seed ${seed}): ${total.acknowledged} acknowledged, ${total.lost} lost, ${total.doubled} doubled`);
  process.exitCode = total.lost + total.doubled > 0 ? 1 : 0;
}

if (what === 'kills') await kills();
else if (what === 'cluster') process.exitCode = await (await import('../faults/cluster.mjs')).cluster(numbers(seed));
else if (what === 'disk') process.exitCode = await (await import('../faults/disk.mjs')).fullDisk();
else giveUp(`There are three: npm run faults (kills), npm run faults -- cluster, npm run faults -- disk. Not “${what}”.`);
process.exit();
