import type { Page } from '@playwright/test';
import { expect, plannedVisit, test } from './support.ts';
import { frames } from './waiting.ts';

const entries = (page: Page) => page.locator('ul.entries li');

test('a muscle is pointed at on the body: by pointer, beside it, by keys; the shelf shows what works on it', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf');
  await expect(entries(page).first()).toBeVisible();
  const all = await entries(page).count();
  await page.getByRole('button', { name: 'Point at the body' }).click();
  const dialog = page.getByRole('dialog', { name: 'Point at what you want to work on' });
  await dialog.getByRole('button', { name: 'Back', exact: true }).click();
  const left = dialog.getByRole('button', { name: 'hamstrings, left' });
  await left.click();
  await expect(left).toHaveAttribute('aria-pressed', 'true');
  await expect(dialog.getByRole('status')).toHaveText('hamstrings');
  // By keys: the other side is the same muscle, and takes it back.
  const right = dialog.getByRole('button', { name: 'hamstrings, right' });
  await right.focus();
  await expect(dialog.getByText('hamstrings, right')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('status')).toHaveText('Nothing chosen');
  await page.keyboard.press('Space');
  // A small muscle under a large one can be touched.
  await dialog.getByRole('button', { name: 'piriformis, right, deep' }).click();
  await expect(dialog.getByRole('status')).toHaveText('hamstrings, piriformis');
  await dialog.getByRole('button', { name: /^Show \d+ entries$/ }).click();
  await expect(dialog).toBeHidden();
  const shown = await entries(page).count();
  expect(shown).toBeGreaterThan(4);
  expect(shown).toBeLessThan(all / 4);
  await expect(entries(page).filter({ hasText: 'Hamstrings, straight leg' })).toHaveCount(1);
  await expect(entries(page).filter({ hasText: 'Soleus' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Leave out hamstrings' }).click();
  await expect(entries(page).filter({ hasText: 'Hamstrings, straight leg' })).toHaveCount(0);
  await expect(entries(page).filter({ hasText: 'Piriformis, short repetitions' })).toHaveCount(1);
});

test('the shelf draws what comes into view, and on paper all of it', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf');
  await expect(entries(page).first().locator('svg')).toBeVisible();
  const [all, first] = [await entries(page).count(), await page.locator('ul.entries svg').count()];
  expect(first).toBeLessThan(all / 2);
  await entries(page).last().scrollIntoViewIfNeeded();
  await expect(entries(page).last().locator('svg')).toBeVisible();
  expect(await page.locator('ul.entries svg').count()).toBeLessThan(all);
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await expect(page.locator('ul.entries svg')).toHaveCount(all);
});

test('what the marks mean is a key away, but not while typing', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf');
  const legend = page.getByRole('dialog', { name: 'What the marks mean' });
  await page.getByLabel('Find on the shelf').fill('');
  await page.keyboard.type('l');
  await expect(page.getByLabel('Find on the shelf')).toHaveValue('l');
  await expect(legend).toBeHidden();
  await page.goto('/shelf/entry/iliopsoas-prone');
  await expect(page.getByRole('region', { name: 'Pictures' })).toBeVisible();
  await page.keyboard.press('l');
  await expect(legend).toBeVisible();
  await expect(legend.getByText('the athlete presses')).toBeVisible();
  expect(await legend.locator('li svg').count()).toBe(await legend.getByRole('listitem').count());
  await page.keyboard.press('Escape');
  await expect(legend).toBeHidden();
  await page.getByRole('button', { name: /^What the marks mean/ }).click();
  await expect(legend).toBeVisible();
});

test('an entry says its picture in words, and the two pictures of a turned page stay inside it at any width', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/entry/iliopsoas-prone');
  const pictures = page.getByRole('region', { name: 'Pictures' }).getByRole('img');
  await expect(pictures.nth(1)).toHaveAccessibleName(
    /iliopsoas; a forearm holds the pelvis; a cupped hand works on the thigh; the therapist moves it; the athlete presses/,
  );
  for (const width of [320, 390, 768, 1024, 1280, 1920]) {
    await page.setViewportSize({ width, height: 800 });
    for (const box of [await pictures.nth(0).boundingBox(), await pictures.nth(1).boundingBox()]) {
      expect(box!.x).toBeGreaterThanOrEqual(0);
      expect(box!.x + box!.width).toBeLessThanOrEqual(width);
      expect(box!.width).toBeGreaterThan(110);
    }
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  }
});

test('at the table the picture is of the side that is worked on; it goes its way slowly until the count begins, or stands where less motion is asked for', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await plannedVisit(page, 'Slow Way', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Passive hold');
  await page.goto(page.url().replace('/plan', '/table'));
  await expect(page.getByText('Space begins')).toBeVisible();
  const skin = page.locator('.posed path[data-tone="skin"]').first();
  const before = await skin.getAttribute('d');
  await expect.poll(() => skin.getAttribute('d'), { timeout: 6000 }).not.toBe(before);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.reload();
  await expect(page.getByText('Space begins')).toBeVisible();
  const still = await skin.getAttribute('d');
  await frames(page, 90);
  expect(await skin.getAttribute('d')).toBe(still);
  // The left leg of somebody on their back is seen from their left: the head is at the right.
  await expect(page.locator('.stage .instruction')).toContainText('Left:');
  const hair = await page.locator('.posed path[data-tone="hair"]').boundingBox();
  const whole = await page.locator('.posed').boundingBox();
  expect(hair!.x).toBeGreaterThan(whole!.x + whole!.width / 2);
});

test('the legend lies over the large figure and goes alone', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.getByRole('navigation', { name: 'The day' }).getByText('Tavi Brandsma').click();
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  await page.goto(page.url().replace(/\/arrive$/, '/measure'));
  await page
    .getByRole('button', { name: /^Show .* large/ })
    .first()
    .click();
  const large = page.getByRole('dialog', { name: /Hip extension/ });
  await expect(large.locator('svg.figure')).toBeVisible();
  await page.keyboard.press('l');
  const legend = page.getByRole('dialog', { name: 'What the marks mean' });
  await expect(legend).toBeVisible();
  // Uppermost: what is under the middle of the screen is the legend.
  const top = await page.evaluate(
    () => document.elementFromPoint(innerWidth / 2, innerHeight / 2)?.closest('[role="dialog"]')?.textContent ?? '',
  );
  expect(top).toContain('What the marks mean');
  await page.keyboard.press('Escape');
  await expect(legend).toBeHidden();
  await expect(large).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(large).toBeHidden();
});
