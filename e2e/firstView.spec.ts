import type { Page } from '@playwright/test';
import { gzipSync } from 'node:zlib';
import { expect, test } from './support.ts';

/** What a page loads until nothing is on its way any more: bytes of scripts and styles as gzip makes them, and how many files. */
async function loadedBy(page: Page, show: () => Promise<void>): Promise<{ readonly bytes: number; readonly files: number }> {
  const sizes: Promise<number>[] = [];
  page.on('response', (response) => {
    if (/^(script|stylesheet)$/.test(response.request().resourceType()))
      sizes.push(response.body().then((body) => gzipSync(body, { level: 9 }).length));
  });
  await show();
  await page.waitForLoadState('networkidle');
  return { bytes: (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0), files: sizes.length };
}

test('signing in loads at most 150 kB of program, the day at most 288 kB, in few pieces', async ({ page, browser }) => {
  const stranger = await (await browser.newContext({ baseURL: process.env.APPLICATION_URL })).newPage();
  const signIn = await loadedBy(stranger, async () => {
    await stranger.goto('/');
    await expect(stranger.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  });
  await stranger.context().close();
  const day = await loadedBy(page, async () => {
    await page.goto('/');
    await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  });

  console.log(`  sign-in ${signIn.bytes} bytes in ${signIn.files} files, day ${day.bytes} in ${day.files}`);
  expect(signIn.bytes).toBeLessThanOrEqual(150_000);
  expect(day.bytes).toBeLessThanOrEqual(288_000);
  expect(signIn.files).toBeLessThanOrEqual(16);
  expect(day.files).toBeLessThanOrEqual(50);
});
