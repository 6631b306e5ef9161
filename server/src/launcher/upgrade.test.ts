import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { migrate } from '../db/migrate.ts';
import { change } from '../db/pool.ts';
import { scratchSchema } from '../testing/scratch.ts';

const root = join(dirname(fileURLToPath(import.meta.url)), '../../..');
const folder = mkdtempSync(join(tmpdir(), 'pace-bend-upgrade-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** What the start command does before the server changes any table. */
const beforeUpgrade = (url: string) =>
  spawnSync(
    process.execPath,
    [
      '-e',
      `import(${JSON.stringify(join(root, 'bin/lib/upgrade.mjs'))}).then(({ backUpBeforeUpgrade }) => backUpBeforeUpgrade(${JSON.stringify(root)}, process.env.URL, ${JSON.stringify(folder)}))`,
    ],
    { encoding: 'utf8', env: { ...process.env, URL: url, NODE_OPTIONS: '' } },
  );

test('before the tables of a practice are changed a backup is made and named; an empty or a current database needs none', async () => {
  const schema = await scratchSchema();
  expect(beforeUpgrade(schema.url)).toMatchObject({ status: 0, stdout: '' });
  await migrate(schema.pool);
  expect(beforeUpgrade(schema.url).stdout).toBe('');
  // Two steps behind, with nobody in it; then with a practice.
  await change(schema.pool, 'DELETE FROM migration ORDER BY name DESC LIMIT 2');
  expect(beforeUpgrade(schema.url).stdout).toBe('');
  await change(
    schema.pool,
    "INSERT INTO practice (id, name, time_zone) VALUES ('01a21000-0000-7000-8000-000000000001', 'Ours', 'Europe/Berlin')",
  );
  const { status, stdout } = beforeUpgrade(schema.url);
  const [name] = readdirSync(folder).filter((each) => each.endsWith('.sql'));
  expect([status, stdout]).toEqual([0, `This version changes the database (2 steps). What it held is backed up: ${join(folder, name!)}\n`]);
  await schema.drop();
}, 60_000);

test('a start that cannot back up changes nothing', async () => {
  const schema = await scratchSchema();
  await migrate(schema.pool);
  await change(
    schema.pool,
    "INSERT INTO practice (id, name, time_zone) VALUES ('01a21000-0000-7000-8000-000000000001', 'Ours', 'Europe/Berlin')",
  );
  await change(schema.pool, 'DELETE FROM migration ORDER BY name DESC LIMIT 1');
  const refused = spawnSync(
    process.execPath,
    [
      '-e',
      `import(${JSON.stringify(join(root, 'bin/lib/upgrade.mjs'))}).then(({ backUpBeforeUpgrade }) => backUpBeforeUpgrade(${JSON.stringify(root)}, process.env.URL, '/sys/nowhere'))`,
    ],
    { encoding: 'utf8', env: { ...process.env, URL: schema.url, NODE_OPTIONS: '' } },
  );
  expect([refused.status, refused.stderr]).toEqual([1, expect.stringContaining('the backup before that was not made')]);
  expect(refused.stderr).toContain('Nothing was changed.');
  await schema.drop();
}, 60_000);
