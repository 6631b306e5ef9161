import { readFileSync } from 'node:fs';
import { choose, expect, test } from './support.ts';

test('a season report: for the athlete all of it, for a coach without reasons, as a PDF with its charts as vectors', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const { athletes } = (await (await page.request.get('/api/athletes?q=Kato%20Lindqvist&offset=0')).json()) as {
    athletes: { id: string }[];
  };
  await page.goto(`/athlete/${athletes[0]!.id}/report`);
  const sheet = page.getByRole('article', { name: 'Season report' });
  await expect(sheet.getByRole('heading', { level: 2 })).toContainText('Kato Lindqvist: ');
  await expect(sheet).toContainText('Availability today: ');
  await expect(sheet).toContainText(/Season: .*Build/);
  await expect(sheet).toContainText(/Goal .* by /);
  await expect(sheet.getByRole('region', { name: 'Shoulder flexion' }).getByRole('img').first()).toBeVisible();

  const saved = async (): Promise<Buffer> => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as PDF' }).click();
    return readFileSync(await (await download).path());
  };
  const forAthlete = await saved();
  expect(forAthlete.subarray(0, 5).toString()).toBe('%PDF-');
  // Drawings are drawn, not photographed: no picture lies in the file.
  expect(forAthlete.includes('/Subtype /Image')).toBe(false);
  expect(forAthlete.length).toBeGreaterThan(20_000);

  const chart = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'SVG of Shoulder flexion left' }).click();
  expect(readFileSync(await (await chart).path(), 'utf8')).toMatch(/^<svg[^>]*width="340"/);

  await choose(page, 'Report for', 'for a coach: availability and range');
  await expect(sheet).not.toContainText('Season: ');
  await expect(sheet).not.toContainText('path');
  const forCoach = await saved();
  expect(forCoach.subarray(0, 5).toString()).toBe('%PDF-');

  await page.getByLabel('From').fill('2090-01-01');
  await expect(page.getByRole('alert')).toContainText('It ends on the day it begins, or later.');
  await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeDisabled();
});
