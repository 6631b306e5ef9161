import { clean } from './axe.ts';
import { expect, ownPractice, plannedVisit, test, toTheTable } from './support.ts';
import { still } from './waiting.ts';

test('axe finds nothing while a list is open, and in the settings at the table', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/season');
  for (const name of ['Squad', 'Athlete']) {
    // The kit lays what is chosen over the field itself.
    await page.getByRole('combobox', { name, exact: true }).click({ force: true });
    await expect(page.locator('.ant-select-dropdown:visible')).toBeVisible();
    await clean(page, `season, list of ${name}`);
    await page.keyboard.press('Escape');
  }
  await plannedVisit(page, 'Open Lists', 'straight-leg', [55, 56, 55, 70, 70, 70], 'Passive hold');
  await toTheTable(page);
  await page.getByRole('button', { name: 'Settings', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Sound, voice and pedals' })).toBeVisible();
  await clean(page, 'settings at the table');
});

test('two hundred athletes: all are in the list, found by name, chosen for a visit, and the pages stay quick', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await ownPractice(page, emptyApplication);
  const rows = Array.from(
    { length: 200 },
    (_, i) => `Rower ${String(i + 1).padStart(3, '0')};${1985 + (i % 20)}-03-14;Crew ${1 + (i % 8)}`,
  );
  await page.goto(`${application.url}/squad/read-in`);
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'club.csv', mimeType: 'text/csv', buffer: Buffer.from(['Name;DOB;Crew', ...rows, ''].join('\r\n')) });
  await page.getByRole('button', { name: 'Import 200' }).click();
  await expect(page.getByText('200 athletes imported.')).toBeVisible();

  // How long a page was held up in one go, beside how long the same machine is held up by nothing but a page that opens.
  await page.addInitScript(() => {
    const held = ((globalThis as unknown as { held: number[] }).held = []) as number[];
    new PerformanceObserver((list) => held.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
      buffered: true,
    });
  });
  const longest = () => page.evaluate(() => Math.max(0, ...(globalThis as unknown as { held: number[] }).held.splice(0)));
  await page.goto(`${application.url}/practice`);
  await still(page);
  const opening = await longest();
  await page.goto(`${application.url}/squad`);
  const list = page.getByRole('region', { name: 'Athletes' });
  await expect(list.getByRole('link', { name: 'Rower 001' })).toBeVisible();
  await still(page);
  const whole = await longest();
  await expect(page.getByRole('status').filter({ hasText: 'of 200' })).toBeVisible();
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(list.getByRole('link', { name: /^Rower/ })).toHaveCount(200);
  await still(page);
  const all = await longest();
  const find = page
    .getByRole('textbox', { name: /Find/ })
    .or(page.getByRole('searchbox', { name: /Find/ }))
    .first();
  await find.pressSequentially('rower 187');
  await expect(list.getByRole('link', { name: /^Rower/ })).toHaveText([/Rower 187/]);
  await still(page);
  const typing = await longest();
  await find.fill('');
  await page.goto(application.url);
  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page
    .getByRole('combobox', { name: /Athlete|Who/ })
    .first()
    .fill('rower 199');
  await expect(page.locator('.ant-select-dropdown:visible').getByText('Rower 199').first()).toBeVisible();
  const choosing = await longest();
  // Two hundred rows may hold the page up for little more than opening any page does here.
  for (const each of [whole, all, typing, choosing]) expect(each).toBeLessThan(200 + 2 * opening);
});
