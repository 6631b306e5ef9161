import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { appendFileSync, copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { eraseAgain } from '../keeping/erase.ts';
import { NOW, openTestApp, request, type TestApp } from '../testing/app.ts';
import { openPool, rows, type Pool } from './pool.ts';

const root = join(dirname(fileURLToPath(import.meta.url)), '../../..');
const folder = mkdtempSync(join(tmpdir(), 'pace-bend-backup-'));
let source: TestApp;
let sourceUrl: string;
beforeAll(async () => {
  source = await openTestApp({ demo: true });
  const [{ name } = { name: '' }] = await rows<{ name: string }>(source.pool, 'SELECT DATABASE() AS name');
  sourceUrl = process.env.TEST_DATABASE_URL!.replace(/\/[^/]*$/, `/${name}`);
}, 60_000);
afterAll(async () => {
  await source.close();
  rmSync(folder, { recursive: true, force: true });
});

/** The command as it is typed, on a database of the test's. */
function run(command: 'backup' | 'restore', databaseUrl: string, ...args: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(root, 'bin', `${command}.mjs`), ...args], {
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: databaseUrl, PACE_BEND_DATA: join(folder, 'data'), NODE_OPTIONS: '' },
  });
  return { status, said: stdout + stderr };
}

/** A database server of its own on an empty directory, as a new machine has it. */
async function emptyServer(): Promise<{ url: string; stop(): Promise<void> }> {
  const launcher = join(root, 'bin/lib/mariadb.mjs');
  const { startMariadb } = (await import(launcher)) as {
    startMariadb: (folder: string, options: object) => Promise<{ url: string; stop(): Promise<void> }>;
  };
  return startMariadb(join(folder, 'new-machine'), { quiet: true, fast: true });
}

async function emptyDatabase(): Promise<{ pool: Pool; url: string; drop(): Promise<void> }> {
  const name = `pace_restore_${Date.now()}_${Math.floor(Math.random() * 1e6)}`;
  await source.pool.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  const url = sourceUrl.replace(/\/[^/]*$/, `/${name}`);
  const pool = openPool(url);
  return {
    pool,
    url,
    async drop() {
      await pool.end();
      await source.pool.query(`DROP DATABASE ${name}`);
    },
  };
}

test('a backup goes into an empty server, and every table is the same, row by row, with the triggers', async () => {
  const made = run('backup', sourceUrl, folder);
  expect(made.said).toMatch(/^Backed up \d+ rows of \d+ tables/);
  const file = join(
    folder,
    readdirSync(folder).find((name) => name.endsWith('.sql'))!,
  );
  const server = await emptyServer();
  const empty = {
    url: server.url,
    pool: openPool(server.url),
    async drop() {
      await empty.pool.end();
      await server.stop();
    },
  };
  const put = run('restore', empty.url, file);
  expect(put).toMatchObject({ status: 0, said: expect.stringContaining('each is as it was backed up') });

  const names = (pool: Pool) =>
    rows<{ name: string }>(
      pool,
      'SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() ORDER BY TABLE_NAME',
    );
  const tables = (await names(source.pool)).map((row) => row.name);
  expect((await names(empty.pool)).map((row) => row.name)).toEqual(tables);
  expect(tables.length).toBeGreaterThan(20);
  for (const table of tables) {
    const all = async (pool: Pool) =>
      JSON.stringify((await rows<object>(pool, `SELECT * FROM \`${table}\``)).map((row) => JSON.stringify(row)).sort());
    // The restore itself is a line of the audit.
    if (table === 'audit')
      expect(await rows(empty.pool, 'SELECT account_name AS who, what FROM audit')).toEqual([
        { who: 'At the terminal', what: 'restored from a backup' },
      ]);
    // That the backup was made is noted once it is.
    else if (table !== 'backup_made') expect([table, await all(empty.pool)]).toEqual([table, await all(source.pool)]);
  }
  await request(source.app).get('/api/athletes').expect(200);
  await empty.pool.query(
    "INSERT INTO audit (practice_id, at, account_id, account_name, what) SELECT id, NOW(3), id, 'x', 'x' FROM practice LIMIT 1",
  );
  await expect(empty.pool.query('DELETE FROM audit')).rejects.toThrow('only added to');

  // Into a database that holds something: only on purpose.
  expect(run('restore', empty.url, file)).toMatchObject({ status: 1, said: expect.stringContaining('already holds') });
  expect(run('restore', empty.url, file, '--replace').status).toBe(0);
  await empty.drop();
}, 120_000);

test('a backup that was cut off, changed, or has lost its check file is refused before anything is written', async () => {
  const original = readdirSync(folder).find((name) => name.endsWith('.sql'))!;
  const copy = join(folder, 'copy.sql');
  const empty = await emptyDatabase();
  const untouched = async () => expect(await rows(empty.pool, 'SHOW TABLES')).toEqual([]);
  copyFileSync(join(folder, original), copy);
  expect(run('restore', empty.url, copy)).toMatchObject({ status: 1, said: expect.stringContaining('check.json is not there') });
  copyFileSync(join(folder, original.replace('.sql', '.check.json')), join(folder, 'copy.check.json'));
  writeFileSync(copy, readFileSync(copy, 'utf8').slice(0, -200));
  expect(run('restore', empty.url, copy)).toMatchObject({ status: 1, said: expect.stringContaining('changed or cut off') });
  copyFileSync(join(folder, original), copy);
  appendFileSync(copy, 'DROP TABLE athlete;\n');
  expect(run('restore', empty.url, copy).status).toBe(1);
  expect(run('restore', empty.url).said).toContain('Name the backup');
  await untouched();
  await empty.drop();
});

test('an empty database is not backed up', async () => {
  const empty = await emptyDatabase();
  expect(run('backup', empty.url, folder)).toMatchObject({ status: 1, said: expect.stringContaining('nothing to back up') });
  await empty.drop();
});

/** A backup with other words in it, its check file made to fit: whoever can write one of the two files can write both. */
function tampered(name: string, change: (sql: string) => string): string {
  const original = readdirSync(folder).find((each) => /^pace-bend-.*\.sql$/.test(each))!;
  const file = join(folder, `${name}.sql`);
  const sql = change(readFileSync(join(folder, original), 'utf8'));
  writeFileSync(file, sql);
  const check = JSON.parse(readFileSync(join(folder, original.replace('.sql', '.check.json')), 'utf8')) as object;
  writeFileSync(join(folder, `${name}.check.json`), JSON.stringify({ ...check, sha256: createHash('sha256').update(sql).digest('hex') }));
  return file;
}
const fingerprintOf = async (pool: Pool) => {
  const tables = (
    await rows<{ name: string }>(
      pool,
      "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME NOT IN ('audit', 'backup_made') ORDER BY TABLE_NAME",
    )
  ).map((row) => row.name);
  return JSON.stringify(
    await Promise.all(tables.map((name) => rows(pool, `CHECKSUM TABLE \`${name}\` EXTENDED`))).then((all) =>
      all.flat().map((row) => (row as { Checksum: number }).Checksum),
    ),
  );
};
const schemas = async (pool: Pool) =>
  (await rows<{ name: string }>(pool, 'SELECT SCHEMA_NAME AS name FROM information_schema.SCHEMATA')).map((row) => row.name);

test('a backup cannot run commands on the machine, nor reach another schema; whatever is in it, what stood still stands', async () => {
  const practice = await openTestApp({ demo: true });
  const [{ name } = { name: '' }] = await rows<{ name: string }>(practice.pool, 'SELECT DATABASE() AS name');
  const url = sourceUrl.replace(/\/[^/]*$/, `/${name}`);
  const before = await fingerprintOf(practice.pool);
  const marker = join(folder, 'ran');
  const evil = {
    shell: (sql: string) => `\\! touch ${marker}\n${sql}`,
    system: (sql: string) => `system touch ${marker}\n${sql}`,
    source: (sql: string) => `source ${join(folder, 'copy.sql')}\n${sql}`,
    drop: (sql: string) => `${sql}\nDROP DATABASE \`${name}\`;\n`,
    other: (sql: string) => `${sql}\nDELETE FROM \`${name}\`.note;\n`,
    user: (sql: string) => `${sql}\nCREATE USER 'intruder'@'%' IDENTIFIED BY 'x';\n`,
    broken: (sql: string) => `${sql}\nTHIS IS NO SQL;\n`,
    changed: (sql: string) => `${sql}\nINSERT INTO \`lease\` VALUES ('extra', NULL, '2000-01-01');\n`,
  };
  for (const [kind, change] of Object.entries(evil)) {
    const put = run('restore', url, tampered(`evil-${kind}`, change), '--replace');
    expect([kind, put.status, put.said.includes('what stood still stands')]).toEqual([kind, 1, true]);
    expect([kind, await fingerprintOf(practice.pool)]).toEqual([kind, before]);
  }
  expect(existsSync(marker)).toBe(false);
  expect((await schemas(practice.pool)).filter((each) => each.startsWith(`${name}_`))).toEqual([]);
  expect(await rows(practice.pool, "SELECT User FROM mysql.user WHERE User IN ('intruder', 'pace_bend_restore')")).toEqual([]);
  await practice.close();
}, 120_000);

test('what stood is backed up before it is replaced; an older backup with triggers in it is read and brought up to date', async () => {
  const practice = await openTestApp({ demo: true });
  const [{ name } = { name: '' }] = await rows<{ name: string }>(practice.pool, 'SELECT DATABASE() AS name');
  const url = sourceUrl.replace(/\/[^/]*$/, `/${name}`);
  const withTriggers = tampered(
    'older',
    (sql) =>
      `${sql}\nDELIMITER ;;\n/*!50003 CREATE*/ /*!50017 DEFINER=\`pace_bend\`@\`127.0.0.1\`*/ /*!50003 TRIGGER audit_not_deleted BEFORE DELETE ON audit FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'older' */;;\nDELIMITER ;\n`,
  );
  const put = run('restore', url, withTriggers, '--replace');
  expect(put.said).toMatch(/What stood there is backed up: .*pace-bend-.*\.sql\nRestored \d+ rows/);
  await expect(practice.pool.query('DELETE FROM audit')).rejects.toThrow('The audit is only added to.');
  await request(practice.app).get('/api/health').expect(200);
  await practice.close();
}, 120_000);

test('backups by rote: the newest stay, what is named otherwise stays too, and the newest can be restored', async () => {
  const rote = join(folder, 'rote');
  for (let i = 0; i < 4; i++) expect(run('backup', sourceUrl, rote, '--keep', '2').status).toBe(0);
  writeFileSync(join(rote, 'letter.sql'), 'mine');
  expect(run('backup', sourceUrl, rote, '--keep', '2').said).toContain('the newest 2 stay');
  const kept = readdirSync(rote).sort();
  expect(kept.filter((name) => name.endsWith('.check.json'))).toHaveLength(2);
  expect(kept).toContain('letter.sql');
  expect(run('backup', sourceUrl, rote, '--keep', 'all').said).toContain('--keep takes how many');
  const empty = await emptyDatabase();
  expect(run('restore', empty.url, join(rote, kept.filter((name) => /^pace-bend.*\.sql$/.test(name)).at(-1)!)).status).toBe(0);
  expect(await fingerprintOf(empty.pool)).toBe(await fingerprintOf(source.pool));
  await empty.drop();
}, 120_000);

test('backups say how long they stay and which are there; the old ones go, never the newest', async () => {
  const practice = await openTestApp();
  const [{ name } = { name: '' }] = await rows<{ name: string }>(practice.pool, 'SELECT DATABASE() AS name');
  const url = sourceUrl.replace(/\/[^/]*$/, `/${name}`);
  const byDays = join(folder, 'days');
  expect(run('backup', url, byDays).said).toContain('stands in this backup until it is dropped');
  const [made] = readdirSync(byDays).filter((each) => each.endsWith('.sql'));
  const old = made!.replace(/\d{8}/, '20200101');
  for (const each of ['.sql', '.check.json'])
    copyFileSync(join(byDays, made!.replace('.sql', each)), join(byDays, old.replace('.sql', each)));
  await practice.pool.query("INSERT INTO backup_made (name, made_at) VALUES (?, '2020-01-01')", [old.replace('.sql', '')]);
  const said = run('backup', url, byDays, '--days', '30').said;
  const goes = new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10);
  expect(said).toContain('1 backup was dropped: 30 days old or older.');
  expect(said).toContain(`stands in this backup until ${goes}`);
  expect(readdirSync(byDays)).not.toContain(old);
  const noted = await rows<{ name: string; goes: string | null; dropped: number }>(
    practice.pool,
    'SELECT name, goes_on AS goes, dropped_at IS NOT NULL AS dropped FROM backup_made ORDER BY made_at, name',
  );
  expect(noted.map(({ goes: on, dropped }) => [on, dropped])).toEqual([
    [null, 1],
    [goes, 0],
    [goes, 0],
  ]);
  expect(run('backup', url, byDays, '--days', 'soon').said).toContain('--days takes for how many days');
  await practice.close();
}, 120_000);

test('whoever was erased after the backup is written down by the restore and erased again at the next start', async () => {
  const practice = await openTestApp({ demo: true });
  const [{ name } = { name: '' }] = await rows<{ name: string }>(practice.pool, 'SELECT DATABASE() AS name');
  const url = sourceUrl.replace(/\/[^/]*$/, `/${name}`);
  const into = join(folder, 'again');
  run('backup', url, into);
  const [athlete] = await rows<{ id: string; name: string }>(practice.pool, 'SELECT id, name FROM athlete ORDER BY name LIMIT 1');
  await request(practice.app).delete(`/api/athletes/${athlete!.id}`).send({ confirm: athlete!.name, copy: 'handed over' }).expect(200);
  const put = run(
    'restore',
    url,
    join(
      into,
      readdirSync(into).find((each) => each.endsWith('.sql'))!,
    ),
    '--replace',
  );
  expect(put.said).toContain('One record of it was erased since; the next start erases it again.');
  const there = () => rows(practice.pool, 'SELECT id FROM athlete WHERE id = ?', [athlete!.id]);
  expect(await there()).toHaveLength(1);
  expect(await eraseAgain(practice.pool, NOW)).toBe(1);
  expect(await there()).toEqual([]);
  expect(await rows(practice.pool, 'SELECT erased_by, copy FROM erased')).toMatchObject([{ copy: 'handed over' }]);
  await practice.close();
}, 120_000);
