import { readFileSync } from 'node:fs';
import { expect, test } from './support.ts';

test('every page of the practice that is offered is there; a table of everybody is taken out from its page', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto('/practice');
  const tabs = page.getByRole('navigation', { name: 'Pages of the practice' }).getByRole('link');
  await expect(tabs.filter({ hasText: 'Export' })).toBeVisible();
  for (const label of await tabs.allInnerTexts()) {
    await tabs.filter({ hasText: label }).click();
    await expect(tabs.filter({ hasText: label })).toHaveAttribute('aria-current', 'page');
    await expect(page.getByRole('heading', { name: 'There is no such page' })).toHaveCount(0);
  }
  await tabs.filter({ hasText: 'Export' }).click();
  const tables = page.getByRole('region', { name: 'Tables of everybody' });
  await expect(tables).toContainText('Left out: stop questions, cautions and conditions');
  const [download] = await Promise.all([page.waitForEvent('download'), tables.getByRole('link', { name: 'Readings' }).click()]);
  expect(download.suggestedFilename()).toBe('practice-readings.csv');
  const lines = readFileSync(await download.path(), 'utf8').split('\r\n');
  expect(lines[0]).toMatch(/^Athlete id,Athlete name,Day,Motion,/);
  expect(lines.length).toBeGreaterThan(100);

  await page.goto('/shelf/entry/hamstring-heel-on-shoulder');
  const pictures = page.getByRole('region', { name: 'Pictures' });
  const [svg] = await Promise.all([page.waitForEvent('download'), pictures.getByRole('button', { name: 'Save SVG of the end' }).click()]);
  const text = readFileSync(await svg.path(), 'utf8');
  expect(text).toMatch(/^<svg [^>]*>\s*<title>[^<]+<\/title>/);
  expect(text).toContain('Drawn by Pace Bend.');
});
