// Kills at moments drawn from a seed, each followed by what a person would do: start again, and look whether all is there.
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { holdData } from '../bin/lib/lock.mjs';
import { startMariadb } from '../bin/lib/mariadb.mjs';
import { fingerprint, query, tablesOf, withSchema } from '../bin/lib/sqlClient.mjs';
import { command, compare, pause, Program, remove, root, workFolder, Writers } from './program.mjs';
import { WITH_TYPES } from '../bin/lib/withTypes.mjs';

/** The first start of all, killed between its first moment and its last; the next one has to come up with the demo in it. */
export async function firstStart(kills, random, tell) {
  const result = { kills: 0, acknowledged: 0, lost: 0, doubled: 0 };
  let longest = 9000;
  for (let i = 0; i < kills; i++) {
    const folder = workFolder();
    const program = await Program.on(folder);
    const began = Date.now();
    program.begin();
    const wait = pause(random() * longest).then(() => 'time');
    const first = await Promise.race([wait, program.up().then(() => 'up')]);
    if (first === 'up') longest = Date.now() - began;
    await program.kill();
    result.kills += 1;
    await program.start();
    const [[athletes, accounts]] = program.sql('SELECT (SELECT COUNT(*) FROM athlete), (SELECT COUNT(*) FROM account);');
    result.acknowledged += 1;
    if (Number(athletes) < 5 || Number(accounts) < 4) result.lost += 1;
    if (Number(program.sql('SELECT COUNT(*) FROM practice;')[0][0]) !== 1) result.doubled += 1;
    await program.stop();
    remove(folder);
    tell(result);
  }
  return result;
}

/** The running program, killed while writers write; started again, everything acknowledged has to be there once. */
export async function running(kills, random, tell) {
  const folder = workFolder();
  const program = await Program.on(folder);
  await program.start();
  const all = [];
  const result = { kills: 0, acknowledged: 0, lost: 0, doubled: 0 };
  for (let i = 0; i < kills; i++) {
    const writers = new Writers([program.url], 4, `Run ${i}`);
    await pause(300 + random() * 1500);
    await program.kill();
    result.kills += 1;
    await program.start();
    await pause(300);
    await writers.stop();
    all.push(...writers.acknowledged);
    Object.assign(result, compare(all, program.sql("SELECT name FROM athlete WHERE name LIKE 'Run %';")));
    tell(result);
  }
  await program.stop();
  remove(folder);
  return result;
}

/** The database alone, killed under the running program: it is started again, and requests meanwhile are told to try again. */
export async function database(kills, random, tell) {
  const folder = workFolder();
  const program = await Program.on(folder);
  await program.start();
  const writers = new Writers([program.url], 4, 'Db');
  const result = { kills: 0, acknowledged: 0, lost: 0, doubled: 0, longestPauseMs: 0, refusals: {} };
  for (let i = 0; i < kills; i++) {
    // It is given up after five ends within a minute.
    await pause(12_500 + random() * 1500);
    const pid = readdirSync('/proc')
      .filter((name) => /^\d+$/.test(name))
      .find((name) => commandLineOf(name).includes(`--datadir=${join(program.folder, 'mariadb')}`));
    if (!pid) throw new Error(`There is no database to kill: ${program.run.said}`);
    process.kill(Number(pid), 'SIGKILL');
    result.kills += 1;
    tell(result);
  }
  await pause(3000);
  await writers.stop();
  Object.assign(result, compare(writers.acknowledged, program.sql("SELECT name FROM athlete WHERE name LIKE 'Db %';")), {
    longestPauseMs: writers.longestPauseMs,
    refusals: Object.fromEntries(writers.refusals),
  });
  await program.stop();
  remove(folder);
  return result;
}

function commandLineOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    return '';
  }
}

function node(script, env) {
  const child = spawn(process.execPath, [...WITH_TYPES, join(root, script)], {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk) => {
      said += chunk;
    });
  return { child, ended: new Promise((resolve) => child.once('exit', (code, signal) => resolve({ code, signal, said }))) };
}

/** Everything a schema is made of, for comparing. */
function shapeOf(url) {
  const tables = tablesOf(url);
  return JSON.stringify([
    tables.map((table) =>
      query(url, `SHOW CREATE TABLE \`${table}\`;`)
        .flat()
        .join(' ')
        .replace(/ AUTO_INCREMENT=\d+/, ''),
    ),
    query(url, 'SELECT TRIGGER_NAME, ACTION_STATEMENT FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = DATABASE() ORDER BY 1;'),
  ]);
}

/** Migrations from nothing, killed anywhere; the next run has to end with the very same schema. */
export async function migration(kills, random, tell) {
  const folder = workFolder();
  const server = await startMariadb(folder, { quiet: true, fast: true });
  const at = (name) => {
    query(server.url, `DROP DATABASE IF EXISTS ${name}; CREATE DATABASE ${name} CHARACTER SET utf8mb4;`);
    return withSchema(server.url, name);
  };
  const whole = at('whole');
  const began = Date.now();
  const first = await node('server/src/db/upgrade.ts', { DATABASE_URL: whole }).ended;
  if (first.code !== 0) throw new Error(first.said);
  const longest = Date.now() - began;
  const wanted = shapeOf(whole);
  const result = { kills: 0, acknowledged: 0, lost: 0, doubled: 0 };
  while (result.kills < kills) {
    const url = at('cut');
    const run = node('server/src/db/upgrade.ts', { DATABASE_URL: url });
    const over = await Promise.race([run.ended, pause(longest * (0.35 + 0.6 * random())).then(() => null)]);
    if (over) continue;
    run.child.kill('SIGKILL');
    await run.ended;
    result.kills += 1;
    const again = await node('server/src/db/upgrade.ts', { DATABASE_URL: url }).ended;
    result.acknowledged += 1;
    if (again.code !== 0 || shapeOf(url) !== wanted) {
      result.lost += 1;
      process.stdout.write(`  not gone on with: ${again.said}\n`);
    }
    tell(result);
  }
  await server.stop();
  remove(folder);
  return result;
}

/** A restore over a practice, its command and its database killed anywhere: either what stood still stands, or the backup does. */
export async function restore(kills, random, tell) {
  const folder = workFolder();
  const program = await Program.on(folder);
  await program.start();
  const mark = (words) => program.sql(`UPDATE practice SET name = '${words}';`);
  mark('The backup');
  await program.stop();
  const backup = command('backup.mjs', [join(folder, 'kept')], folder);
  await backup.ended;
  const file = join(
    folder,
    'kept',
    readdirSync(join(folder, 'kept')).find((name) => name.endsWith('.sql')),
  );

  /** What stands, seen by whoever opens the database next; the last tables of the lock and the audit are not the practice's. */
  const look = async () => {
    const release = holdData(join(folder, 'lock'), 'npm run faults');
    const server = await startMariadb(folder, { quiet: true });
    const tables = tablesOf(server.url).filter((table) => !['audit', 'lease', 'migration_step', 'sign_in'].includes(table));
    const seen = {
      tables: tables.length,
      name: query(server.url, 'SELECT name FROM practice;')[0]?.[0],
      print: JSON.stringify({ ...fingerprint(server.url, tables), practice: null }),
    };
    await server.stop();
    release();
    return seen;
  };
  const whole = await look();
  const result = { kills: 0, acknowledged: 0, lost: 0, doubled: 0, stood: 0, restored: 0 };
  let longest = 12_000;
  while (result.kills < kills) {
    await program.start();
    mark('What stood');
    await program.stop();
    const run = command('restore.mjs', [file, '--replace'], folder);
    const began = Date.now();
    const over = await Promise.race([run.ended, pause(longest * random()).then(() => null)]);
    if (over === null) {
      // Half of the time the database dies with it, as in a cut of the power.
      if (random() < 0.5)
        for (const name of readdirSync('/proc'))
          if (/^\d+$/.test(name) && commandLineOf(name).includes(`--datadir=${join(folder, 'mariadb')}`))
            process.kill(Number(name), 'SIGKILL');
      process.kill(-run.child.pid, 'SIGKILL');
      await run.ended;
      result.kills += 1;
    } else if (run.code !== 0) throw new Error(run.said);
    else longest = Date.now() - began;
    const seen = await look();
    result.acknowledged += 1;
    if (!['The backup', 'What stood'].includes(seen.name) || seen.tables !== whole.tables || seen.print !== whole.print) {
      result.lost += 1;
      process.stdout.write(`  neither one nor the other: ${seen.name}, ${seen.tables} tables of ${whole.tables}\n`);
    } else result[seen.name === 'The backup' ? 'restored' : 'stood'] += 1;
    tell(result);
  }
  await program.start();
  await program.stop();
  remove(folder);
  return result;
}
