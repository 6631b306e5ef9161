import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { freePort } from '../bin/lib/ports.mjs';
import { arriveNow, expect, ownPractice, REFUSED, test, walkIn } from './support.ts';

/** Processes that hold a data directory. */
const holders = (folder: string) =>
  spawnSync('pgrep', ['-f', '--', `--datadir=${folder}`], { encoding: 'utf8' })
    .stdout.split('\n')
    .filter(Boolean);

test('a second start finds the same data, and a stop leaves no process behind', async ({
  page,
  expectedErrors,
  applicationFromNothing,
}) => {
  // It is killed while the page may be asking for something.
  expectedErrors.push(/ERR_CONNECTION_REFUSED/);
  const application = await ownPractice(page, applicationFromNothing);
  await page.goto(application.url);
  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByLabel('Name').fill('Still Here');
  await page.getByLabel('Birth date').fill('1990-10-10');
  await page.getByRole('button', { name: 'Arrive now' }).click();
  await expect(page.getByRole('heading', { name: 'Still Here' })).toBeVisible();
  expect(holders(application.dataFolder)).toHaveLength(1);
  // Only the owner may read the password of the private database.
  expect(statSync(join(application.dataFolder, 'database-password')).mode & 0o077).toBe(0);
  expect(readFileSync(join(application.dataFolder, 'database-password'), 'utf8')).toMatch(/^[0-9a-f]{48}$/);

  // Killed: the database is left over; the next start takes its directory back.
  await application.kill();
  expect(holders(application.dataFolder)).toHaveLength(1);
  await application.start();
  await page.goto(`${application.url}/squad`);
  await expect(page.getByRole('link', { name: /Still Here/ }).first()).toBeVisible();
  expect(holders(application.dataFolder)).toHaveLength(1);
  const { dataFolder } = application;
  await application.stop();
  expect(holders(dataFolder)).toEqual([]);
  expect(existsSync(dataFolder)).toBe(false);
});

test('the database is watched: it dies and is back on its port; when it cannot stay up, everything stops with the reason', async ({
  page,
  request,
  expectedErrors,
  applicationFromNothing,
}) => {
  expectedErrors.push(/ERR_CONNECTION_REFUSED/, /503/, REFUSED);
  const application = await ownPractice(page, applicationFromNothing);
  const database = () => Number(holders(application.dataFolder)[0]);
  const health = () =>
    request.get(`${application.url}/api/health`).then(
      (answer) => answer.status(),
      () => 0,
    );
  const before = database();
  process.kill(before, 'SIGKILL');
  const seen = new Set<number>();
  await expect
    .poll(
      async () => {
        seen.add(await health());
        return database() !== before && !Number.isNaN(database()) && seen.has(200) && (await health()) === 200;
      },
      { timeout: 20_000, intervals: [30] },
    )
    .toBe(true);
  expect([...seen].filter((status) => ![200, 503].includes(status))).toEqual([]);
  expect((await page.request.get(`${application.url}/api/athletes`)).status()).toBe(200);
  expect(application.said).toContain('The database ended (SIGKILL). Starting it again …\nThe database is back.');

  const ended = application.ended();
  await expect
    .poll(
      () => {
        const pid = database();
        if (pid) process.kill(pid, 'SIGKILL');
        return application.said.includes('Everything is stopped');
      },
      { timeout: 30_000, intervals: [150] },
    )
    .toBe(true);
  expect(await ended).toBe(1);
  expect(application.said).toContain('The database ended 6 times within a minute and is not started again');
  await page.goto('about:blank');
});

test('a port that is taken is named, and the start ends by itself', async ({ applicationFromNothing }) => {
  const port = await freePort();
  const other = createServer().listen(port, '127.0.0.1');
  const application = await applicationFromNothing();
  const child = spawn(process.execPath, ['bin/start.mjs'], {
    env: { ...process.env, PACE_BEND_DATA: application.dataFolder, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => {
    said += chunk;
  });
  const code = await new Promise((resolve) => child.once('exit', resolve));
  expect(code).toBe(1);
  expect(said).toContain(`Port ${port} cannot be used (EADDRINUSE). Set PORT to another one.`);
  expect(holders(application.dataFolder)).toEqual([]);
  other.close();
});

test('the server is there for this machine only', async ({ request, baseURL }) => {
  const foreign = await request.get('/api/practice', { headers: { Host: 'somewhere.example' } });
  expect(foreign.status()).toBe(403);
  const crossSite = await request.put('/api/athletes/00000000-0000-7000-8000-000000000001', {
    headers: { Origin: 'http://somewhere.example' },
    data: {},
  });
  expect(crossSite.status()).toBe(403);
  expect(new URL(baseURL!).hostname).toBe('127.0.0.1');
});

test('a visit is finished, looked at, reopened and changed; a known athlete walks in again', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const visit = await walkIn(page, 'Comes Twice');
  await page.goto(`${visit}/close`);
  await page.getByLabel('Your words').fill('First time here.');
  await page.getByRole('button', { name: 'Finish the visit' }).click();
  await expect(page.getByLabel('Your words')).not.toBeEditable();
  await page.goto(`${visit}/arrive`);
  await expect(page.getByLabel('What brings them today')).not.toBeEditable();
  await page.goto(`${visit}/close`);
  await page.getByRole('button', { name: 'Reopen' }).click();
  await expect(page.getByLabel('Your words')).toBeEditable();
  await page.getByRole('button', { name: 'Finish the visit' }).click();
  await page.getByRole('button', { name: 'The day', exact: true }).click();

  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByRole('combobox', { name: 'Who' }).fill('comes tw');
  await expect(page.locator('.ant-select-dropdown:visible').getByText('Comes Twice').first()).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByRole('dialog').getByLabel('Minutes').fill('30');
  await arriveNow(page);
  await expect(page.getByText(/· visit 2$/)).toBeVisible();
  await expect(page.getByLabel('Minutes available')).toHaveValue('30');
});
