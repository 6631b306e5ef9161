import type { APIRequestContext } from '@playwright/test';
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { becomeOwner, expect, REFUSED, test } from './support.ts';

/** The start command with these settings: what it says until it is ready or ends. */
function start(dataFolder: string, port: number, env: Record<string, string>) {
  const child = spawn(process.execPath, ['bin/start.mjs'], {
    env: { ...process.env, PACE_BEND_DATA: dataFolder, PORT: String(port), DATABASE_URL: '', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  const over = new Promise<{ code: number | null; said: string }>((resolve) => {
    const listen = (chunk: Buffer) => {
      said += chunk;
      if (said.includes('Pace Bend is ready at')) resolve({ code: null, said });
    };
    child.stdout.on('data', listen);
    child.stderr.on('data', listen);
    child.once('exit', (code) => resolve({ code, said }));
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  return {
    over,
    async stop() {
      child.kill('SIGTERM');
      await ended;
    },
  };
}

test('opening to others: refused with the demo’s accounts and before there is an owner; then over TLS, with Secure cookies', async ({
  page,
  browser,
  expectedErrors,
  applicationFromNothing,
}) => {
  expectedErrors.push(/ERR_CONNECTION_REFUSED/);
  const application = await applicationFromNothing({ PACE_BEND_DEMO: 'off' });
  const { dataFolder, port } = application;
  const made = spawnSync(process.execPath, ['bin/certificate.mjs', 'pace.local'], {
    encoding: 'utf8',
    env: { ...process.env, PACE_BEND_DATA: dataFolder },
  });
  expect(made.status).toBe(0);
  const wide = {
    PACE_BEND_DEMO: 'off',
    HOST: '0.0.0.0',
    PUBLIC_URL: `https://localhost:${port}`,
    TLS_CERT: join(dataFolder, 'tls', 'server.crt'),
    TLS_KEY: join(dataFolder, 'tls', 'server.key'),
  };

  const early = await start(dataFolder, port, wide).over;
  expect(early).toEqual({ code: 1, said: expect.stringContaining('This practice has no owner yet') });
  const bare = await start(dataFolder, port, { PACE_BEND_DEMO: 'off', HOST: '0.0.0.0' }).over;
  expect(bare).toEqual({ code: 1, said: expect.stringContaining('Say with PUBLIC_URL which address browsers use') });

  await application.start();
  await becomeOwner(page, application.url);
  await application.halt();
  const open = start(dataFolder, port, wide);
  expect(await open.over).toEqual({ code: null, said: expect.stringContaining(`Pace Bend is ready at https://localhost:${port}`) });
  const context = await browser.newContext({ ignoreHTTPSErrors: true });
  const tablet = await context.newPage();
  await tablet.goto(wide.PUBLIC_URL);
  await tablet.getByLabel('Sign-in name').fill('owner');
  await tablet.getByLabel('Password').fill('a river in the rain');
  await tablet.getByRole('button', { name: 'Sign in' }).click();
  await expect(tablet.getByRole('button', { name: 'Walk-in' })).toBeVisible();
  expect((await context.cookies()).map((cookie) => cookie.secure)).toEqual([true, true]);
  // A tablet needs TLS for what it may keep and do offline.
  expect(await tablet.evaluate(() => window.isSecureContext)).toBe(true);
  await context.close();
  await open.stop();
});

test('demo data are not opened to others, and with the demo off their passwords are not shown', async ({
  page,
  applicationFromNothing,
  expectedErrors,
}) => {
  expectedErrors.push(/ERR_CONNECTION_REFUSED/, REFUSED);
  const application = await applicationFromNothing();
  await application.start();
  await application.halt();
  const { dataFolder, port } = application;
  const made = spawnSync(process.execPath, ['bin/certificate.mjs', 'pace.local'], {
    encoding: 'utf8',
    env: { ...process.env, PACE_BEND_DATA: dataFolder },
  });
  expect(made.status).toBe(0);
  const tls = { TLS_CERT: join(dataFolder, 'tls', 'server.crt'), TLS_KEY: join(dataFolder, 'tls', 'server.key') };
  expect(await start(dataFolder, port, { HOST: '0.0.0.0', PUBLIC_URL: `https://localhost:${port}`, ...tls }).over).toEqual({
    code: 1,
    said: expect.stringContaining('whose passwords everybody knows: it is not opened to others'),
  });
  const off = start(dataFolder, port, { PACE_BEND_DEMO: 'off' });
  expect((await off.over).said).toContain('this data holds it already. Its passwords are not shown');
  await page.context().clearCookies();
  await page.goto(application.url);
  await expect(page.getByLabel('Sign-in name')).toBeVisible();
  await expect(page.getByText('quiet river')).toHaveCount(0);
  await page.goto('about:blank');
  await off.stop();
});

test('what is sent is compressed; what carries its hash is kept for good, personal data never', async ({
  page,
  request,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const html = await request.get('/');
  expect(html.headers()['cache-control']).toBe('no-cache');
  const script = /href="(\/assets\/start-[^"]+\.js)"/.exec(await html.text())![1]!;
  for (const [accepts, encoding] of [
    ['br, gzip', 'br'],
    ['gzip', 'gzip'],
  ] as const) {
    const answer = await request.get(script, { headers: { 'Accept-Encoding': accepts } });
    expect([answer.status(), answer.headers()['content-encoding'], answer.headers()['cache-control']]).toEqual([
      200,
      encoding,
      'public, max-age=31536000, immutable',
    ]);
    expect(Number(answer.headers()['content-length'])).toBeLessThan((await answer.body()).length / 2);
  }
  const list = await page.request.get('/api/athletes', { headers: { 'Accept-Encoding': 'gzip' } });
  expect([list.status(), list.headers()['content-encoding'], list.headers()['cache-control']]).toEqual([200, 'gzip', 'no-store']);
  expect((await request.get('/mark.svg')).headers()['cache-control']).toBe('no-cache');
});

test('nobody signed in is an answer and no error: the sign-in page opens with a clean console', async ({ browser, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const context = await browser.newContext({ baseURL: process.env.APPLICATION_URL! });
  const page = await context.newPage();
  const said: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') said.push(message.text());
  });
  page.on('response', (response) => {
    if (response.status() >= 400) said.push(`${response.status()} ${response.url()}`);
  });
  await page.goto('/');
  await expect(page.getByLabel('Sign-in name')).toBeVisible();
  expect(said).toEqual([]);
  await context.close();
});

/** What a page asked for of the program, in kilobytes as gzip sends it: code and looks, without the type it ships. */
async function weight(request: APIRequestContext, urls: ReadonlySet<string>): Promise<number> {
  const bytes = await Promise.all(
    [...urls].map(async (url) => Number((await request.get(url, { headers: { 'Accept-Encoding': 'gzip' } })).headers()['content-length'])),
  );
  return bytes.reduce((sum, each) => sum + each, 0) / 1024;
}

test('whoever signs in is sent the sign-in page and nothing of the rest; the day is light as well', async ({ browser, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const context = await browser.newContext({ baseURL: process.env.APPLICATION_URL! });
  const page = await context.newPage();
  const asked = new Set<string>();
  page.on('request', (each) => /assets\/.*\.(js|css)$/.test(each.url()) && asked.add(each.url()));
  await page.goto('/squad');
  await expect(page.getByLabel('Sign-in name')).toBeVisible();
  await page.waitForLoadState('networkidle');
  const signIn = await weight(context.request, asked);
  // By its pieces: what opens, what signs in, and what that shares with the frame of a page. No page and no frame.
  const pieces = new Set([...asked].map((url) => /assets\/(.+)-.{8}\.\w+$/.exec(url)![1]!));
  expect([...pieces].sort()).toEqual(['index', 'parts', 'rolldown-runtime', 'sign-in', 'start']);
  expect(signIn).toBeGreaterThan(50);
  expect(signIn).toBeLessThan(150);

  await page.getByRole('button', { name: /Marit Voss/ }).click();
  // The page that was asked for before is the one that opens.
  await expect(page.getByRole('heading', { name: 'Squad' })).toBeVisible();
  asked.clear();
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  const day = await weight(context.request, asked);
  expect(day).toBeGreaterThan(100);
  expect(day).toBeLessThan(288);
  // Each is asked for by itself: seventy small ones make a first opening slow.
  expect(asked.size).toBeLessThan(50);
  await context.close();
});
