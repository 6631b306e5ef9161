import { spawnSync } from 'node:child_process';
import { WITH_TYPES } from '../bin/lib/withTypes.mjs';

/** What holds the page up in one go, as the browser counts long tasks: opening and working the longest plan there may be, and the shelf. */
const BLOCKS = 40;

function manyBlocks(root) {
  const made = spawnSync(
    process.execPath,
    [
      ...WITH_TYPES,
      '--input-type=module',
      '-e',
      `import { newBlock } from '@pace-bend/core/method'; import { randomUUID } from 'node:crypto';
       console.log(JSON.stringify(Array.from({ length: ${BLOCKS} }, () => newBlock(randomUUID(), 'rectus-femoris-prone', 'cr-breath', ['left']))));`,
    ],
    { cwd: `${root}/bench`, encoding: 'utf8', stdio: ['ignore', 'pipe', 'inherit'] },
  );
  return JSON.parse(made.stdout);
}

/** The median of three goes, each in a browser that has seen nothing yet. */
export async function longTasks(browser, address, root) {
  const goes = [];
  for (let i = 0; i < 3; i++) goes.push(await once(browser, address, root));
  return Object.fromEntries(Object.keys(goes[0]).map((what) => [what, goes.map((go) => go[what]).sort((a, b) => a - b)[1]]));
}

async function once(browser, address, root) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.request.post(`${address}api/sign-in`, { data: { login: 'marit', password: 'quiet river owner' } });
  await page.addInitScript(() => {
    window.longTasks = [];
    new PerformanceObserver((list) => window.longTasks.push(...list.getEntries().map((entry) => entry.duration))).observe({
      type: 'longtask',
      buffered: true,
    });
  });
  /** The longest task while something is done, and until the page is quiet again. */
  const longest = async (work) => {
    await page.evaluate(() => (window.longTasks = []));
    await work();
    await page.waitForTimeout(1200);
    return page.evaluate(() => Math.max(0, ...window.longTasks));
  };
  await page.goto(address);
  await page.getByTestId('board-visit').first().waitFor();
  const href = await page.getByTestId('board-visit').filter({ hasText: 'Tavi Brandsma' }).getByRole('link').first().getAttribute('href');
  const id = href.split('/')[2];
  const file = await (await page.request.get(`${address}api/visits/${id}`)).json();
  const put = await page.request.put(`${address}api/visits/${id}/plan`, {
    data: { revision: file.plan.revision, blocks: manyBlocks(root) },
  });
  if (!put.ok()) throw new Error(`The plan was refused: ${await put.text()}`);
  const found = {};
  await page.goto(`${address}visit/${id}/measure`);
  await page.locator('h1').first().waitFor();
  await page.waitForTimeout(1500);
  const step = page.getByRole('link', { name: /Plan/ }).last();
  found['a plan of 40 blocks, opened'] = await longest(async () => {
    await step.click();
    await page.getByRole('slider').first().waitFor();
  });
  found['one more second in a block'] = await longest(async () => {
    await page.getByRole('slider').first().focus();
    for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowUp');
  });
  found['the same taken back'] = await longest(() => page.keyboard.press('Control+z'));
  await page.goto(address);
  await page.getByTestId('board-visit').first().waitFor();
  await page.waitForTimeout(1500);
  found['the shelf, opened'] = await longest(async () => {
    await page.getByRole('link', { name: 'Shelf', exact: true }).click();
    await page.locator('ul.entries li').first().waitFor();
  });
  found['the shelf, scrolled to its end'] = await longest(async () => {
    for (let i = 0; i < 20; i++) await page.mouse.wheel(0, 1200);
  });
  found['the shelf, searched'] = await longest(() =>
    page.getByRole('searchbox').or(page.getByRole('textbox')).first().pressSequentially('hamstr'),
  );
  await context.close();
  return found;
}
