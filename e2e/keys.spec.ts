import { expect, plannedVisit, signIn, test, toTheTable, typeTrials, walkIn } from './support.ts';
import { pedal } from './pedal.ts';
import { counted, frames, still } from './waiting.ts';

test('the whole table with a foot pedal and single keys; targets are large enough for an elbow', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await plannedVisit(page, 'Foot Pedal', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Breath-led contract-relax');
  await toTheTable(page);

  const table = page.getByTestId('table');
  const cue = () => table.getAttribute('data-cue').then(Number);
  await page.keyboard.press('Space');
  await pedal(page);
  await pedal(page);
  await expect.poll(cue).toBe(2);
  // Two digits are the widest count there usually is; at no size may the number run into the words.
  await expect(page.getByTestId('count')).toHaveText(/^\d\d?$/);
  for (const [width, height] of [
    [1024, 768],
    [768, 1024],
    [1920, 1080],
    [1280, 800],
  ] as const) {
    await page.setViewportSize({ width, height });
    const [count, words] = [(await page.getByTestId('count').boundingBox())!, (await page.locator('.say').boundingBox())!];
    const apart = count.x + count.width <= words.x || count.y + count.height <= words.y;
    expect(apart, `${width}×${height}`).toBe(true);
  }
  // Long enough in it that “again” means this one.
  await counted(page, 1600);
  await page.keyboard.press('PageUp');
  await expect.poll(cue).toBe(2);
  // At once again: the one before.
  await page.keyboard.press('PageUp');
  await expect.poll(cue).toBe(1);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect.poll(cue).toBe(3);

  await page.keyboard.press('Space');
  await expect(table).toHaveAttribute('data-status', 'held');
  const held = await table.getAttribute('data-position');
  await frames(page, 30);
  expect(await table.getAttribute('data-position')).toBe(held);
  await page.keyboard.press('Space');
  await expect(table).toHaveAttribute('data-status', 'running');

  await page.keyboard.press('m');
  await expect(page.getByRole('button', { name: /Sound off/ })).toBeVisible();
  await page.keyboard.press('v');
  await expect(page.getByRole('button', { name: /Voice on/ })).toBeVisible();

  // Escape closes the edge entry first; only then does it stop.
  await page.keyboard.press('e');
  await page.keyboard.press('6');
  await expect(page.getByTestId('edge-typing')).toHaveText('6_');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('edge')).toBeVisible();
  await expect(table).toHaveAttribute('data-status', 'running');
  await page.keyboard.press('e');
  await page.keyboard.press('6');
  await page.keyboard.press('5');
  await expect(page.getByTestId('edge')).toHaveText('65.0°');

  for (const button of await table
    .getByRole('button')
    .filter({ hasNotText: /Sound|Voice|view/ })
    .all()) {
    const box = (await button.boundingBox())!;
    expect(Math.min(box.width, box.height), (await button.textContent()) ?? '').toBeGreaterThanOrEqual(54);
  }

  await page.keyboard.press('Escape');
  await expect(page.getByText('Stopped. Bring it home')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(table).toHaveAttribute('data-status', 'running');
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Right ▸').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(table).toHaveAttribute('data-status', 'finished');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Left' })).toContainText('stopped');
});

test('the screen is kept awake, and a soft tone marks every change of phase until it is muted', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.addInitScript(() => {
    const heard = { tones: 0, awake: 0 };
    Object.assign(window, { heard });
    const create = AudioContext.prototype.createOscillator;
    AudioContext.prototype.createOscillator = function count(this: AudioContext) {
      heard.tones += 1;
      return create.call(this);
    };
    Object.defineProperty(navigator, 'wakeLock', {
      value: {
        request: async () => {
          heard.awake += 1;
          return {
            release: async () => {
              heard.awake -= 1;
            },
          };
        },
      },
    });
  });
  const heard = () => page.evaluate(() => (window as unknown as { heard: { tones: number; awake: number } }).heard);
  await plannedVisit(page, 'Sound Asleep', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Passive hold');
  expect((await heard()).awake).toBe(0);
  await toTheTable(page);
  await expect.poll(async () => (await heard()).awake).toBe(1);
  await page.keyboard.press('Space');
  await expect.poll(async () => (await heard()).tones).toBeGreaterThan(0);
  await frames(page, 10);
  const before = (await heard()).tones;
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await heard()).tones).toBeGreaterThan(before);
  await page.keyboard.press('m');
  const muted = (await heard()).tones;
  await page.keyboard.press('ArrowRight');
  await frames(page, 20);
  expect((await heard()).tones).toBe(muted);
  await page.keyboard.press('Space');
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect.poll(async () => (await heard()).awake).toBe(0);
});

test('at the desk: find with /, keys with ?, arrows between motions, undo and redo in the plan', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await emptyApplication();
  await application.start();
  await signIn(page, 'marit', application.url);
  await page.goto(application.url);
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
  await page.keyboard.press('/');
  await expect(page.getByPlaceholder('Find by name')).toBeFocused();
  await page.keyboard.type('brook');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Ewout van der Brook-Lindenhof');
  await expect(page.getByText('Nothing measured yet')).toBeVisible();

  await page.getByRole('navigation', { name: 'The day' }).getByText('Perrin Vale').click();
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  const rows = page.getByRole('region', { name: 'Motions' }).getByRole('listitem');
  await rows.first().getByRole('button').first().click();
  await expect(page.getByLabel('Left, trial 1')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(1)).toHaveClass(/on/);
  await expect(page.getByLabel('Left, trial 1')).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await typeTrials(page, [8, 9, 8, 9, 9, 10]);

  await page.getByRole('button', { name: /Plan from/ }).click();
  // No reference sex: both tables are shown and the easier one decides.
  const strip = page.getByRole('region', { name: 'Session line' });
  const blocks = strip.getByRole('button', { pressed: true });
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Passive hold' }).first().click();
  await expect(blocks).toHaveCount(1);
  await page.getByLabel('Stop above discomfort').fill('3');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Stop above discomfort')).toHaveValue('4');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByLabel('Stop above discomfort')).toHaveValue('3');
  await blocks.focus();
  await page.keyboard.press('Delete');
  await expect(page.getByText('Nothing planned yet')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(blocks).toHaveCount(1);
});

test('nothing to run and nothing measured: the screens say what to do next', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const visit = await walkIn(page, 'Empty Handed');
  await page.goto(`${visit}/plan`);
  await expect(page.getByText('Nothing planned yet')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Offers' })).toContainText('Nothing measured yet');
  await expect(page.getByRole('button', { name: 'Go to the table' })).toBeDisabled();
  await page.goto(`${visit}/table`);
  await expect(page.getByText('Nothing to run yet')).toBeVisible();
  await page.goto(`${visit}/close`);
  await expect(page.getByRole('region', { name: 'What was done' })).toContainText('Nothing was run at the table.');
  await page.goto('/day/2031-01-01');
  await expect(page.getByText('No visits on this day')).toBeVisible();
});

for (const [width, height] of [
  [1024, 768],
  [768, 1024],
  [1280, 800],
] as const) {
  test(`nothing runs out of the window at ${width}×${height}`, async ({ page, expectedErrors }) => {
    expect(expectedErrors).toEqual([]);
    await page.setViewportSize({ width, height });
    await page.goto('/squad');
    await page
      .getByRole('region', { name: 'Athletes' })
      .getByRole('link', { name: /Kato Lindqvist/ })
      .click();
    await expect(page.getByRole('region', { name: 'Range over the visits' })).toBeVisible();
    const fits = () => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth);
    expect(await fits()).toBe(true);
    await page.goto('/');
    await page.getByRole('region', { name: 'Visits' }).getByRole('link', { name: /Kato/ }).click();
    await expect(page).toHaveURL(/\/visit\/.*\/\w+$/);
    for (const step of ['arrive', 'measure', 'plan', 'table', 'close']) {
      await page.goto(page.url().replace(/\/(arrive|measure|plan|table|close)$/, `/${step}`));
      await expect(page).toHaveURL(new RegExp(`/${step}$`));
      await expect(page.locator('main')).toBeVisible();
      await still(page);
      expect(await fits(), step).toBe(true);
    }
    for (const place of ['/squad/range', '/practice/error']) {
      await page.goto(place);
      await expect(page.getByRole('table')).toBeVisible();
      expect(await fits(), place).toBe(true);
    }
  });
}
